using CsCheck;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Whatever a keeper may write of whatever animal, there is a judgement, with reasons for each answer.</summary>
public class JudgementTests
{
    private static readonly Gen<(SpeciesProfile Species, StockKind Kind, Sex Sex)> Kept = Gen.Select(
        Gen.Int[0, RuleSet.Shipped.Species.Count - 1].Select(k => RuleSet.Shipped.Species[k]),
        Gen.Enum<StockKind>(),
        Gen.Enum<Sex>()
    );

    private static readonly Gen<(bool Mature, int? Molts, double? Size, int Nights)> Record = Gen.Select(
        Gen.Bool,
        Gen.Int[-1, 12].Select(m => m < 0 ? (int?)null : m),
        Gen.Double[-0.3, 1.3].Select(s => s < 0 ? (double?)null : s),
        Gen.Int[0, 2000]
    );

    private static readonly Gen<(bool Waits, bool Molted, bool Refused, bool Ate)> Acts = Gen.Select(
        Gen.Bool,
        Gen.Bool,
        Gen.Bool,
        Gen.Bool
    );

    [Fact]
    public void Everything_that_can_be_kept_can_be_judged() =>
        Gen.Select(Kept, Record, Acts)
            .Sample(
                (kept, record, acts) =>
                {
                    var j = Judgement.Of(Write(kept, record, acts), Diary.Room());
                    Assert.NotEmpty(j.Phase.Reasons);
                    Assert.NotEmpty(j.Stage.Reasons);
                    Assert.NotEmpty(j.Hush.Lines);
                    Assert.True(j.Subject.Group.Has(j.Stage.Value), $"{j.Stage.Value}");
                    foreach (var f in new[] { j.Molt.Value, j.Wait.Value }.OfType<VigilForecast>())
                    {
                        Assert.True(f.P10 <= f.P50 && f.P50 <= f.P90 && f.P10 >= j.Subject.Room.Tonight);
                        Assert.InRange(f.PremoltChance, 0, 1);
                        Assert.InRange(f.Ends?.OtherChance ?? 0, 0, 1);
                    }

                    Assert.NotEqual("", RoundLine.Of(j).Do);
                },
                iter: 3000
            );

    [Fact]
    public void The_mark_against_a_hush_is_the_same_whether_the_glance_is_at_hand_or_not() =>
        Gen.Select(Kept, Record, Acts)
            .Sample(
                (kept, record, acts) =>
                {
                    var standing = Write(kept, record, acts);
                    var room = Diary.Room();
                    var judgement = Judgement.Of(standing, room);
                    var glance = Glance.Of(judgement);
                    foreach (
                        var act in new Act[]
                        {
                            new Watered(WaterKind.Dish),
                            new Watered(WaterKind.Mist),
                            new Offered("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten),
                            new Offered("cricket", "small", 1, Preparation.Cut, OfferOutcome.Eaten),
                            new Handled(CareAct.Rehouse),
                            new Handled(CareAct.Dig),
                            new Looked(),
                        }
                    )
                    {
                        var mark = HushMark.Against(act, standing, room);
                        Assert.Equal(mark, HushMark.Against(act, standing, room, glance));
                        // A glance of another state of the animal says nothing.
                        var stale = glance with
                        {
                            Sequence = glance.Sequence - 1,
                            Waits = glance.Waits with { Never = [] },
                        };
                        Assert.Equal(mark, HushMark.Against(act, standing, room, stale));
                        Assert.Equal(
                            mark is not null,
                            EntryDefinition.Of(act).Care(act, judgement.Subject) is { } care
                                && judgement.Hush[care].Verdict == Verdict.Never
                        );
                    }
                },
                iter: 500
            );

    private static Standing Write(
        (SpeciesProfile Species, StockKind Kind, Sex Sex) kept,
        (bool Mature, int? Molts, double? Size, int Nights) record,
        (bool Waits, bool Molted, bool Refused, bool Ate) acts
    )
    {
        var group = RuleSet.Shipped.Group(kept.Species.Group)!;
        var diary = new Diary(
            kept.Species.Id,
            kept.Sex,
            record.Nights + 10,
            record.Mature,
            record.Molts,
            kind: kept.Kind
        );
        if (record.Size is { } share)
        {
            var adult = kept.Species.AdultSizeOf(kept.Sex).Value.High;
            diary.With(record.Nights + 9, new Measured(group.Growth.SizePart, Math.Max(0.5, share * adult)));
        }

        if (acts.Molted && group.Growth.MoltsFollowed.Value)
        {
            diary.With(record.Nights * 0.8, new Molted());
        }

        if (acts.Ate)
        {
            diary.Ate(record.Nights * 0.7);
        }

        if (acts.Refused)
        {
            diary.Refused(record.Nights * 0.6);
        }

        if (acts.Waits)
        {
            foreach (var vigil in Enum.GetValues<VigilKind>().Where(v => v != VigilKind.Molt))
            {
                if (group.Knows(vigil))
                {
                    diary.With(record.Nights * 0.5, new Began(vigil));
                    break;
                }
            }
        }

        return diary.Standing();
    }
}
