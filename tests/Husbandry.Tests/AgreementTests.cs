using CsCheck;
using Husbandry.Almanac;
using Husbandry.Chores;
using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Sitter;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>
/// Round, hush, page, menu, sitter's sheet and almanac speak of one animal with one voice, whatever it is: wrong advice kills.
/// Laws over random stock of every group, stage and kind.
/// </summary>
public class AgreementTests
{
    private static readonly Gen<Diary> Any = Gen.Int[0, 1_000_000].Select(AnyStock.Of);

    private static void ForAny(Action<Judgement> law, int iter = 500) => Any.Sample(d => law(d.Judge()), iter: iter);

    private static string Told(Judgement j) =>
        $"{j.Subject.SpeciesName}, {j.Stage.Value}, {j.Subject.Standing.Details.Kind}, {j.Phase.Value}";

    private static bool IsHere(Judgement j) => j.Subject.Standing is { Departure: null, Loan: null };

    private static IEnumerable<Act> Offered(LogMenu menu) =>
        menu.Head.Concat(menu.AtOnce).Concat(menu.Found).SelectMany(o => o.Acts);

    [Fact]
    public void What_takes_nothing_is_never_told_to_be_fed() =>
        ForAny(j =>
        {
            if (!j.Meal.Value.EatsNothing)
            {
                return;
            }

            Assert.True(j.Meal.Value.Due is null, Told(j));
            Assert.NotEqual(RoundAct.Feed, RoundLine.Of(j).Act);
            Assert.False(PageLayout.Of(j, Lifeline.Of(j, [])).Has(PageSection.Food), Told(j));
            Assert.DoesNotContain(LogMenu.Of(j).Head, o => o.Form == EntryForm.Offered);
            Assert.DoesNotContain(CareAct.FeedLive, CareWords.Of(j).Keys);
        });

    [Fact]
    public void Where_food_is_forbidden_no_meal_is_due() =>
        ForAny(j =>
        {
            if (j.Hush[CareAct.FeedLive].Verdict == Verdict.Never && j.Hush[CareAct.FeedDead].Verdict == Verdict.Never)
            {
                Assert.True(!(j.Meal.Value.Due <= j.Subject.Room.Tonight), Told(j));
                Assert.NotEqual(RoundAct.Feed, RoundLine.Of(j).Act);
            }
        });

    [Fact]
    public void The_menu_marks_with_the_hush_table_what_the_entry_is_for_it() =>
        ForAny(j =>
        {
            var menu = LogMenu.Of(j);
            foreach (var offer in menu.Head.Concat(menu.AtOnce).Where(o => o.Form is null))
            {
                var cares = offer
                    .Acts.Select(act => EntryDefinition.Of(act).Care(act, j.Subject))
                    .OfType<CareAct>()
                    .ToList();
                Assert.Equal(cares.Count > 0, offer.Care is not null);
                Assert.All(cares, care => Assert.True(j.Hush[care].Verdict <= j.Hush[offer.Care!.Value].Verdict));
            }
        });

    [Fact]
    public void The_sitter_gets_a_line_or_is_told_to_leave_it_shut_never_both() =>
        ForAny(j =>
        {
            var sheet = SitterSheet.Of([j], twoPeople: false, j.Subject.Room);
            Assert.True(sheet.Lines.Count + sheet.LeaveShut.Count <= 1, Told(j));
            foreach (var act in sheet.Lines.SelectMany(l => l.Done))
            {
                var care = EntryDefinition.Of(act).Care(act, j.Subject);
                Assert.True(care is not { } c || j.Hush[c].Verdict != Verdict.Never, $"{Told(j)}: {act}");
            }
        });

    [Fact]
    public void Water_that_the_round_asks_for_is_asked_of_a_sitter_too() =>
        ForAny(
            j =>
            {
                var line = RoundLine.Of(j);
                if (
                    line.Act is RoundAct.Help or RoundAct.Water
                    && j.Water.Value.Clocks.All(c => c.Way != WaterWay.ColdMist)
                )
                {
                    Assert.Single(SitterSheet.Of([j], twoPeople: true, j.Subject.Room).Lines);
                }
            },
            iter: 1500
        );

    [Fact]
    public void The_sitter_is_told_nothing_that_the_keeper_is_not() =>
        ForAny(j =>
        {
            var line = RoundLine.Of(j);
            var sheet = SitterSheet.Of([j], twoPeople: true, j.Subject.Room);
            Assert.All(
                sheet.Lines,
                l =>
                {
                    Assert.Equal(LineState.Due, line.State);
                    // What waits for an act of the keeper's own is told of the visit after it.
                    var visit = line.Act
                        is RoundAct.PutApart
                            or RoundAct.CountYoung
                            or RoundAct.LookAgain
                            or RoundAct.LookForWeb
                            or RoundAct.TellSex
                            or RoundAct.LookForAdult
                            or RoundAct.WarmUp
                            or RoundAct.PairAgain
                        ? RoundLine.ForAnotherHand(j)
                        : line;
                    var keepers = visit.Choices.SelectMany(c => c.Acts).Select(a => a.GetType()).ToHashSet();
                    var water = RoundLine.ForWater(j)?.Choices.SelectMany(c => c.Acts).Select(a => a.GetType()) ?? [];
                    Assert.All(l.Done, done => Assert.Contains(done.GetType(), keepers.Concat(water)));
                }
            );
        });

    [Fact]
    public void Who_is_passed_by_is_hushed_and_needs_no_hand_tonight() =>
        ForAny(j =>
        {
            var line = RoundLine.Of(j);
            if (line.State == LineState.PassBy)
            {
                Assert.Contains(j.Phases, p => PhaseMark.Of(p.Value).PassesBy);
                Assert.Empty(line.Choices);
                Assert.NotEmpty(j.HushReasons);
                Assert.True(line.NextDue is null || line.NextDue >= j.Subject.Room.Now.AddDays(-1), Told(j));
            }
        });

    [Fact]
    public void What_the_round_offers_as_done_is_done_with_it() =>
        Any.Sample(
            diary =>
            {
                var before = diary.Judge();
                var line = RoundLine.Of(before);
                // A look that finds nothing new asks again the next night, and a dislike is tried anew: these are others.
                if (line.Act is not (RoundAct.Water or RoundAct.Tend or RoundAct.DampSide))
                {
                    return;
                }

                foreach (var act in line.Choices[0].Acts)
                {
                    diary.With(0, act);
                }

                Assert.True(RoundLine.Of(diary.Judge()).Act != line.Act, $"{Told(before)}: {line.Do}");
            },
            iter: 800
        );

    [Fact]
    public void The_almanac_promises_no_work_that_the_round_would_not_ask_for() =>
        ForAny(j =>
        {
            if (!IsHere(j))
            {
                return;
            }

            var room = j.Subject.Room;
            var glance = Glance.Of(j);
            foreach (var ahead in new[] { 1, 3, 8, 21 })
            {
                var night = NightAhead.Of([glance], ChoreStanding.Empty, room.Tonight.AddDays(ahead), room);
                Assert.All(
                    night.Lines.SelectMany(l => l.Care),
                    care => Assert.Contains(j.Care, c => c.What == care.What && c.Due is not null)
                );
            }
        });

    [Fact]
    public void A_glance_says_what_the_judgement_does() =>
        ForAny(j =>
        {
            var glance = Glance.Of(j);
            Assert.Equal(j.Phase.Value, glance.Waits.Phase);
            Assert.Equal(PhaseMark.Of(j.Phase.Value).Shutters, glance.Waits.Shutters);
            Assert.Equal(j.Hush.Never, glance.Waits.Never);
            Assert.Equal(j.Care, glance.Care.Clocks);
            Assert.Equal(j.Subject.FedWith is null ? j.Meal.Value.Due : null, glance.Care.MealDue);
            Assert.Equal(IsHere(j) && PhaseMark.Of(j.Phase.Value).PassesBy, glance.IsHushed && IsHere(j));
            Assert.Equal(j.Subject.Standing.LatestSequence, glance.Sequence);
        });

    [Fact]
    public void Every_act_of_the_page_has_a_word_and_a_verdict() =>
        ForAny(j =>
        {
            Assert.All(CareWords.Of(j), word => Assert.False(string.IsNullOrWhiteSpace(word.Value), Told(j)));
            // Its head says "no bare hands": the table below it never says that handling is fine.
            if (j.Subject.Profile.Hazard?.Value.NeedsTwo() == true)
            {
                Assert.DoesNotContain("Handling", CareWords.Of(j).Values);
            }

            Assert.Equal(Enum.GetValues<CareAct>().Length, j.Hush.Lines.Select(l => l.Act).Distinct().Count());
            Assert.All(j.Hush.Lines.Where(l => l.Verdict != Verdict.Fine), l => Assert.NotEmpty(l.Contributors));
        });

    [Fact]
    public void Eggs_and_pupae_are_offered_no_molt_no_sign_no_food_and_no_measure() =>
        ForAny(
            j =>
            {
                if (j.Stage.Value is not (Stage.Egg or Stage.Pupa) || j.Subject.Standing.IsTank)
                {
                    return;
                }

                var menu = LogMenu.Of(j);
                EntryForm[] meaningless =
                [
                    EntryForm.Molted,
                    EntryForm.SignSeen,
                    EntryForm.Offered,
                    EntryForm.ConditionSeen,
                ];
                Assert.DoesNotContain(
                    menu.Head.Concat(menu.Forms),
                    o => o.Form is { } form && meaningless.Contains(form)
                );
                Assert.DoesNotContain(Offered(menu), act => act is Looked or LeftoversRemoved);
                Assert.False(PageLayout.Of(j, Lifeline.Of(j, [])).Has(PageSection.Signs), Told(j));
            },
            iter: 900
        );
}
