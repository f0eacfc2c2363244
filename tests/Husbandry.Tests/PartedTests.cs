using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>
/// Whoever is put with others is cared for as they are from then on: what is awaited of all, and a soft skin, must be the
/// same for both. Common practice, no published source: eggs, pupae and just molted animals are kept apart from feeding ones.
/// </summary>
public class PartedTests
{
    private static Diary Many(string species) => new(species, Sex.Unknown, 60, kind: StockKind.Brood);

    private static IReadOnlyList<Problem> Put(Diary from, Diary with) =>
        [
            .. PartedEntry.It.CheckBoth(
                new Parted(with.StockId, 2, "the others"),
                new EntryAt(Occurrence.At(Diary.Evening), from.Standing(), Diary.Room()),
                with.Standing()
            ),
        ];

    [Fact]
    public void Pupae_are_not_put_with_caterpillars_that_feed()
    {
        var feeding = Many("actias-luna");
        var pupae = Many("actias-luna").With(9, new Began(VigilKind.Emergence));
        Assert.Equal(["act.partyId"], Put(pupae, feeding).Select(p => p.Field));
        Assert.Contains(
            "waits for something else",
            Assert.Single(Put(feeding, pupae)).Message,
            StringComparison.Ordinal
        );
        Assert.Empty(Put(feeding, Many("actias-luna")));
        Assert.Empty(Put(pupae, Many("actias-luna").With(3, new Began(VigilKind.Emergence))));
    }

    [Fact]
    public void A_soft_skin_is_left_to_harden_before_it_comes_to_those_that_are_fed()
    {
        var others = Many("brachypelma-hamorii");
        var soft = Many("brachypelma-hamorii").With(1, new Molted());
        var hard = Many("brachypelma-hamorii").With(59, new Molted());
        Assert.Contains("still hardening", Assert.Single(Put(soft, others)).Message, StringComparison.Ordinal);
        Assert.Empty(Put(hard, others));
    }

    [Fact]
    public void Parting_from_a_hushed_brood_and_digging_one_out_of_a_tank_are_marked()
    {
        var soft = Many("brachypelma-hamorii").With(1, new Molted());
        var part = new Parted(Guid.NewGuid(), 2, "tray 2", new Place("F", 1, 1));
        Assert.NotNull(HushMark.Against(part, soft.Standing(), Diary.Room()));

        var tank = new Diary("coenobita-rugosus", Sex.Unknown, 200, kind: StockKind.Tank);
        var crab = new Diary("coenobita-rugosus", Sex.Unknown, 190).With(189, new Placed(tank.StockId, "Tansy"));
        var moved = new Moved(new Place("F", 1, 2));
        Assert.Null(HushMark.Against(moved, crab.Standing(), Diary.Room()));
        crab.With(3, new Began(VigilKind.Surfacing));
        Assert.NotNull(HushMark.Against(moved, crab.Standing(), Diary.Room()));

        // A tub of its own is carried with whoever lives in it.
        var own = new Diary("brachypelma-hamorii").With(1, new Molted());
        Assert.Null(HushMark.Against(moved, own.Standing(), Diary.Room()));
    }
}
