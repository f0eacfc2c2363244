using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>The board of a crab tank: who is up, who is perhaps buried, floor, room, shells. Source: common practice, no published source.</summary>
public class CrabTankTests
{
    private const string Crab = "coenobita-rugosus";

    private readonly Diary tank = new(Crab, Sex.Unknown, 200, kind: StockKind.Tank);
    private readonly List<Diary> crabs = [];

    private Diary Inmate(double clawMm)
    {
        var crab = new Diary(Crab, Sex.Unknown, 190)
            .With(189, new Placed(tank.StockId, "Tansy"))
            .With(20, new Measured(BodyPart.Claw, clawMm, false));
        crabs.Add(crab);
        return crab;
    }

    private Room Room(DateTimeOffset? now = null) =>
        Diary.Room(now: now).With(TankBook.Of([tank.Standing(), .. crabs.Select(c => c.Standing())]));

    private TankBoard Board(DateTimeOffset? now = null) => TankBoard.Of(Subject.Of(tank.Standing(), Room(now)))!.Value;

    private TankMate Mate(Diary crab) => Board().Mates.Single(m => m.StockId == crab.StockId);

    private string? Refused(Diary of, Act act) =>
        EntryCheck.Check(act, Occurrence.At(Diary.Evening), of.Standing(), Room()) is [var first, ..]
            ? first.Field
            : null;

    [Fact]
    public void Who_is_not_seen_is_perhaps_buried_and_never_missing()
    {
        var (seen, unseen, down) = (Inmate(9), Inmate(9), Inmate(9));
        down.With(12, new Began(VigilKind.Surfacing));
        tank.With(9, new LookedRound([seen.StockId, unseen.StockId, down.StockId]))
            .With(1, new LookedRound([seen.StockId]));
        Assert.Equal(UpState.Up, Mate(seen).State);
        Assert.Equal(UpState.Buried, Mate(down).State);
        Assert.Equal(UpState.PerhapsBuried, Mate(unseen).State);
        Assert.Equal(Diary.Room().Tonight.AddDays(-9), Mate(unseen).Since);
        Assert.Contains("Never dig", Mate(unseen).Says, StringComparison.Ordinal);
        Assert.Equal(unseen.StockId, Board().Mates[0].StockId);
        Assert.Equal("act.seen", Refused(tank, new LookedRound([Guid.NewGuid()])));
        Assert.Equal("act.kind", Refused(seen, new LookedRound([])));
    }

    /// <summary>A claw of 10 mm needs an opening of 11 to 13.75 mm by the rules; three empty ones for each crab.</summary>
    [Fact]
    public void Shells_to_buy_are_one_size_up_and_three_for_each()
    {
        var (small, large) = (Inmate(10), Inmate(20));
        tank.With(3, new ShellsCounted([new ShellLot(12, ShellShape.Oval, 2), new ShellLot(25, ShellShape.Round, 5)]));
        Assert.Equal(
            (11.0, 13.75, 2),
            (
                Math.Round(Mate(small).NeedsFromMm!.Value, 6),
                Math.Round(Mate(small).NeedsToMm!.Value, 6),
                Mate(small).Fitting
            )
        );
        Assert.Equal(5, Mate(large).Fitting);
        Assert.StartsWith("1 with an opening of 11–13", Assert.Single(Board().Buy), StringComparison.Ordinal);
        // One shell is not counted for two crabs.
        Inmate(20);
        Assert.Equal(2, Board().Buy.Count);
    }

    [Fact]
    public void A_smaller_shell_is_a_sign()
    {
        var crab = Inmate(10)
            .With(60, new ShellTaken(ShellShape.Oval, 14))
            .With(4, new ShellTaken(ShellShape.Oval, 11.5));
        Assert.Contains("smaller shell", Mate(crab).Says, StringComparison.Ordinal);
        Assert.Equal("oval, 11.5 mm", Mate(crab).Shell);
        Assert.Equal("act.openingMm", Refused(crab, new ShellTaken(ShellShape.Oval, 90)));
        Assert.Equal("act.kind", Refused(new Diary(), new ShellTaken(ShellShape.Oval)));
        Assert.Equal("act.lots[0].count", Refused(tank, new ShellsCounted([new ShellLot(12, ShellShape.Oval, 0)])));
    }

    /// <summary>Several marks tell a molt, none that it hid; for four nights it is fed more. Source: common practice.</summary>
    [Fact]
    public void One_that_came_up_is_asked_whether_it_molted_and_fed_for_four_nights()
    {
        var crab = Inmate(9)
            .With(40, new Began(VigilKind.Surfacing))
            .With(2, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped));
        Assert.Contains("extra food and calcium", Mate(crab).Says, StringComparison.Ordinal);
        Assert.Contains("Did it molt?", Mate(crab).Says, StringComparison.Ordinal);
        crab.With(1, new MoltMarksSeen([MoltMark.LongAntennae, MoltMark.BlackTips]));
        Assert.Contains("it molted", Mate(crab).Says, StringComparison.Ordinal);
        crab.With(0, new MoltMarksSeen([]));
        Assert.Contains("only hid", Mate(crab).Says, StringComparison.Ordinal);
        Assert.Equal("", TankBoardLater(crab, 5));
        Assert.Equal("act.seen", Refused(crab, new MoltMarksSeen([MoltMark.Hairs, MoltMark.Hairs])));
        Assert.Equal("act.kind", Refused(new Diary(), new MoltMarksSeen([])));
    }

    /// <summary>Common practice, no published source: a sleeve round it, never a spade.</summary>
    [Fact]
    public void Neighbours_who_dig_are_kept_off_by_a_sleeve_step_by_step()
    {
        var crab = Inmate(9);
        Assert.Equal("act.kind", Refused(crab, new BurialGuarded(true, [])));
        crab.With(6, new Began(VigilKind.Surfacing)).With(3, new BurialGuarded(true, []));
        Assert.StartsWith("Others dig there: cut a bottle", Mate(crab).Says, StringComparison.Ordinal);
        Assert.True(Mate(crab).IsDown);
        // Whoever opens the tank is told, a sitter too, and nobody is told to dig.
        Assert.Contains(
            RoundKit.Mind(Judgement.Of(tank.Standing(), Room()), RoundAct.Feed),
            m =>
                m.StartsWith("Others dig at", StringComparison.Ordinal)
                && m.Contains("never dig", StringComparison.Ordinal)
        );
        crab.With(3, new BurialGuarded(true, [SleeveStep.BottleCut, SleeveStep.Rinsed]));
        Assert.StartsWith("Others dig there: sink the sleeve", Mate(crab).Says, StringComparison.Ordinal);
        crab.With(2, new BurialGuarded(true, [.. Enum.GetValues<SleeveStep>()]));
        Assert.StartsWith("A sleeve stands round it", Mate(crab).Says, StringComparison.Ordinal);
        Assert.Equal("act.done", Refused(crab, new BurialGuarded(true, [SleeveStep.Sunk, SleeveStep.Sunk])));
        crab.With(0, new Ended(VigilKind.Surfacing, VigilEnd.AsHoped));
        Assert.StartsWith("Take the sleeve out.", Mate(crab).Says, StringComparison.Ordinal);
        Assert.Equal("act.kind", Refused(crab, new BurialGuarded(true, [])));
    }

    private string TankBoardLater(Diary crab, int nights) =>
        Board(Diary.Evening.AddDays(nights)).Mates.Single(m => m.StockId == crab.StockId).Says;

    [Fact]
    public void What_one_does_down_there_is_told_by_what_was_seen_before()
    {
        var crab = Inmate(9).With(9, new Began(VigilKind.Surfacing));
        var other = Inmate(9);
        Assert.Contains("else it only hides", Mate(crab).Says, StringComparison.Ordinal);
        tank.With(11, new MatingSeen(other.StockId, crab.StockId, MatingSight.Guarding));
        Assert.Contains("mating pit", Mate(crab).Says, StringComparison.Ordinal);
    }

    [Fact]
    public void One_that_is_down_for_long_is_still_left_alone()
    {
        var crab = Inmate(6).With(180, new Began(VigilKind.Surfacing));
        Assert.Contains("do not dig", Mate(crab).Says, StringComparison.Ordinal);
        Assert.All(
            Enum.GetValues<BurialSchool>(),
            school =>
                Assert.DoesNotContain(
                    BurialAdvice.Steps(school),
                    s => s.Contains("dig it up", StringComparison.Ordinal)
                )
        );
    }

    /// <summary>Loose eggs after 1.5 h, attached after 2 and 3.5 h, carried three to four weeks. Source: common practice.</summary>
    [Fact]
    public void The_mating_log_says_when_to_look_and_who_may_be_the_father()
    {
        var (she, he, other) = (Inmate(9), Inmate(10), Inmate(11));
        tank.With(0.05, new MatingSeen(she.StockId, he.StockId, MatingSight.Transfer));
        var line = Assert.Single(Board().Matings);
        var at = Diary.Evening.AddDays(-0.05);
        Assert.Equal([1.5, 2, 3.5], line.LookAt.Select(l => Math.Round((l.At - at).TotalHours, 3)));
        Assert.Contains("is the father", line.Says, StringComparison.Ordinal);
        tank.With(0.03, new MatingSeen(she.StockId, other.StockId, MatingSight.TakenOver));
        Assert.Contains("may be the father", Assert.Single(Board().Matings).Says, StringComparison.Ordinal);
        tank.With(0.01, new MatingSeen(she.StockId, null, MatingSight.AttachedEggs));
        line = Assert.Single(Board().Matings);
        Assert.Empty(line.LookAt);
        Assert.Equal((21, 28), (Nights(line.CarriedFrom), Nights(line.CarriedTo)));
        Assert.Equal("act.maleId", Refused(tank, new MatingSeen(she.StockId, null, MatingSight.Transfer)));
        Assert.Equal("act.maleId", Refused(tank, new MatingSeen(she.StockId, she.StockId, MatingSight.Guarding)));
        Assert.Equal("act.femaleId", Refused(tank, new MatingSeen(Guid.NewGuid(), null, MatingSight.Guarding)));
        Assert.Equal("act.kind", Refused(she, new MatingSeen(she.StockId, null, MatingSight.Guarding)));
    }

    private static int Nights(DateOnly? night) => night!.Value.DayNumber - Diary.Room().Tonight.DayNumber;

    // Source: EOS-80 (checked against UNESCO values in the tests of the calculators); practice asks for 1.024–1.026 at 25 °C.
    [Fact]
    public void The_salt_pool_is_mixed_to_the_gravity_of_the_trade()
    {
        var board = Board();
        Assert.InRange(board.SaltGrams, 34, 37);
        Assert.Contains("specific gravity 1.02", board.Pools, StringComparison.Ordinal);
    }

    [Fact]
    public void Floor_and_room_are_held_against_the_largest_and_all_of_them()
    {
        Inmate(12);
        Inmate(20);
        Assert.Null(Board().Holds);
        tank.With(
            100,
            new Housed(
                new Enclosure(
                    "tank",
                    600,
                    400,
                    400,
                    150,
                    Ventilation.FewHoles,
                    DampSide.Whole,
                    HeatSource.SideMat,
                    null
                ),
                false
            )
        );
        // 2400 cm² of floor; 600 cm² for a claw of 12 mm, by the square of 16 ÷ 12 here: 1066.7 each.
        Assert.Equal(2, Board().Holds);
        // Nine times the largest claw of 20 mm: 180 mm are needed, 150 are there.
        Assert.Contains(Board().Floor, f => f.Contains("180 mm are needed", StringComparison.Ordinal));
        Inmate(12);
        Assert.Contains(Board().Floor, f => f.StartsWith("3 crabs", StringComparison.Ordinal));
    }

    [Theory]
    [InlineData(7, true)]
    [InlineData(1, false)]
    public void The_season_of_mating_is_told_by_the_calendar(int month, bool mates)
    {
        Inmate(12);
        var season = Board(new DateTimeOffset(2027, month, 10, 21, 0, 0, TimeSpan.Zero)).Season;
        Assert.Equal(mates, season.StartsWith("Mating season", StringComparison.Ordinal));
    }

    [Fact]
    public void What_is_no_crab_tank_has_no_such_board() =>
        Assert.Null(
            TankBoard.Of(new Diary("porcellio-scaber", Sex.Unknown, 9, kind: StockKind.Colony).Judge().Subject)
        );
}
