using CsCheck;
using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Sitter;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>What can be logged of an animal, and what its page shows, by group and stage; the laws that hold for any stock.</summary>
public class LogMenuTests
{
    private static readonly Gen<Diary> Any = Gen.Int[0, 1_000_000].Select(AnyStock.Of);

    [Fact]
    public void Whatever_is_offered_is_accepted() =>
        Any.Sample(
            diary =>
            {
                var (standing, room) = (diary.Standing(), Diary.Room());
                if (standing.Departure is not null)
                {
                    return;
                }

                var judgement = Judgement.Of(standing, room);
                var menu = LogMenu.Of(judgement);
                var offered = menu
                    .Head.Concat(menu.AtOnce)
                    .Concat(menu.Found)
                    .SelectMany(offer => offer.Acts)
                    .Concat(RoundLine.Of(judgement).Choices.SelectMany(choice => choice.Acts));
                foreach (var act in offered)
                {
                    var problems = EntryCheck.Check(act, Occurrence.At(room.Now), standing, room);
                    Assert.True(problems.Count == 0, $"{act}: {string.Join(' ', problems)}");
                }
            },
            iter: 600
        );

    [Fact]
    public void Keys_of_a_menu_are_told_apart() =>
        Any.Sample(
            diary =>
            {
                var menu = LogMenu.Of(diary.Judge());
                var keys = menu.AtOnce.Concat(menu.Found).Concat(menu.Forms).Select(offer => offer.Key).ToList();
                // Pictures, details and leaving have keys of their own in every menu.
                Assert.Distinct([.. keys, "p", "h", "q"]);
                Assert.Distinct([.. menu.Head.Select(offer => offer.Key), "e"]);
            },
            iter: 200
        );

    [Fact]
    public void Any_stock_is_judged_shown_and_put_on_the_sitters_sheet() =>
        Any.Sample(
            diary =>
            {
                var judgement = diary.Judge();
                var line = RoundLine.Of(judgement);
                Assert.Equal(LogMenu.ShowsSigns(judgement), line.Signs);
                var sheet = SitterSheet.Of([judgement], true, judgement.Subject.Room);
                Assert.All(sheet.Lines, l => Assert.Equal(line.StockId, l.StockId));
            },
            iter: 600
        );

    private static LogMenu Menu(Diary diary) => LogMenu.Of(diary.Judge());

    private static IReadOnlyList<string> Labels(LogMenu menu) =>
        [.. menu.Head.Concat(menu.AtOnce).Concat(menu.Found).Concat(menu.Forms).Select(o => o.Label)];

    private static Diary Larva => new Diary("saturnia-pyri", cameNightsAgo: 120, molts: 5).Ate(70, "leaf", "one");

    [Fact]
    public void A_pupa_emerges_and_is_neither_fed_nor_molted_nor_looked_through_for_signs()
    {
        var labels = Labels(Menu(Larva.With(60, new Began(VigilKind.Emergence))));
        Assert.Contains("Emerged…", labels);
        Assert.Contains("Put into the cold…", labels);
        Assert.DoesNotContain("Molted", labels);
        Assert.DoesNotContain("Feed", labels);
        Assert.DoesNotContain("Sign seen", labels);
        Assert.DoesNotContain("Misted", labels);
    }

    [Fact]
    public void A_pupa_in_the_cold_is_taken_out_of_it_and_misted()
    {
        var labels = Labels(Menu(Larva.With(60, new Began(VigilKind.Emergence)).With(50, new Chilled(true))));
        Assert.Contains("Taken out of the cold…", labels);
        Assert.DoesNotContain("Put into the cold…", labels);
        Assert.Contains("Misted", labels);
    }

    [Fact]
    public void Larvae_lay_no_eggs_and_what_came_without_a_stage_may_be_eggs()
    {
        Assert.DoesNotContain("Laid…", Labels(Menu(new Diary("samia-ricini", molts: 2, kind: StockKind.Brood))));
        Assert.Contains("Laid…", Labels(Menu(new Diary("samia-ricini", kind: StockKind.Brood))));
        Assert.Contains("Laid…", Labels(Menu(new Diary("samia-ricini", mature: true))));
    }

    [Fact]
    public void Eggs_hatch_and_nothing_else_happens_to_them()
    {
        var eggs = new Diary("samia-ricini", kind: StockKind.Brood).With(5, new Began(VigilKind.Hatching));
        var menu = Menu(eggs);
        Assert.Equal(["Hatched…"], menu.Head.Select(o => o.Label));
        Assert.DoesNotContain(menu.Forms, o => o.Form is EntryForm.Molted or EntryForm.Offered or EntryForm.SexSeen);
    }

    [Fact]
    public void A_colony_has_a_tube_and_no_molts_limbs_or_signs()
    {
        var menu = Menu(new Diary("lasius-niger", kind: StockKind.Colony));
        Assert.Equal(["Tube", "Feed"], menu.Head.Select(o => o.Label));
        Assert.DoesNotContain(menu.Forms, o => o.Form is EntryForm.Molted or EntryForm.LimbNoted);
        Assert.Contains(menu.Forms, o => o.Form == EntryForm.Counted);
    }

    [Fact]
    public void A_dish_is_filled_for_a_grown_spider_and_drops_are_given_to_a_sling()
    {
        Assert.Contains(new Watered(WaterKind.Dish), Menu(new Diary(molts: 9).LegSpan(110)).Head[1].Acts);
        Assert.Contains(new Watered(WaterKind.Mist), Menu(new Diary(molts: 3).LegSpan(9)).Head[1].Acts);
    }

    [Fact]
    public void Only_a_larva_pupates_and_no_male_broods()
    {
        Assert.Contains("Pupated…", Labels(Menu(Larva)));
        var moth = new Diary("saturnia-pyri", mature: true);
        Assert.DoesNotContain("Pupated…", Labels(Menu(moth)));
        Assert.DoesNotContain("Began to brood…", Labels(Menu(new Diary(sex: Sex.Male))));
        Assert.Contains("Began to brood…", Labels(Menu(new Diary(mature: true))));
    }
}
