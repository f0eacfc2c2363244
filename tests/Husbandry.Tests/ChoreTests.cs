using CsCheck;
using Husbandry.Chores;

namespace Husbandry.Tests;

/// <summary>When chores fall due, and gear that cannot be in two places.</summary>
public class ChoreTests
{
    private static readonly DateOnly Tonight = new(2026, 11, 23);

    private static ChorePlan Plan(int? every = null, SeasonSpan? season = null, DateOnly? starts = null) =>
        new(ChoreKind.Own, "Wipe the fronts", "", starts ?? Tonight, every, season, "", 10);

    private static ChoreEntry Entry(ChoreAct act, int sequence, Guid? id = null) =>
        new(id ?? Guid.NewGuid(), sequence, Diary.Evening, "Keeper", act);

    [Fact]
    public void Every_few_days_counts_from_when_it_was_done()
    {
        Assert.Equal(Tonight, Plan(7).DueAfter(null));
        Assert.Equal(new DateOnly(2026, 12, 2), Plan(7).DueAfter(new DateOnly(2026, 11, 25)));
        Assert.Null(Plan().DueAfter(Tonight));
    }

    [Fact]
    public void A_season_may_reach_over_New_Year()
    {
        var winter = new SeasonSpan(11, 15, 2, 10);
        Assert.True(winter.Holds(new DateOnly(2027, 1, 3)));
        Assert.False(winter.Holds(new DateOnly(2027, 2, 11)));
        Assert.Equal(new DateOnly(2026, 11, 15), winter.StartFor(new DateOnly(2027, 1, 3)));
        Assert.Equal(new DateOnly(2027, 11, 15), winter.StartFor(new DateOnly(2027, 5, 1)));
        Assert.Equal(new DateOnly(2027, 2, 10), winter.EndAfter(new DateOnly(2026, 11, 15)));
    }

    [Fact]
    public void Leap_days_are_kept_where_there_are_any()
    {
        var span = new SeasonSpan(2, 29, 3, 5);
        Assert.Equal(new DateOnly(2027, 2, 28), span.StartFor(new DateOnly(2027, 1, 1)));
        Assert.Equal(new DateOnly(2028, 2, 29), span.StartFor(new DateOnly(2028, 1, 1)));
        Assert.False(new SeasonSpan(2, 30, 3, 5).IsSound);
    }

    [Fact]
    public void Once_a_year_comes_again_with_the_next_season_and_not_in_the_same()
    {
        var leaves = Plan(null, new SeasonSpan(10, 15, 12, 5), new DateOnly(2026, 6, 1));
        Assert.Equal(new DateOnly(2026, 10, 15), leaves.DueAfter(null));
        Assert.Equal(new DateOnly(2027, 10, 15), leaves.DueAfter(new DateOnly(2026, 11, 2)));
        // Done out of season it does not count: the season that follows still asks for it.
        Assert.Equal(new DateOnly(2026, 10, 15), leaves.DueAfter(new DateOnly(2026, 9, 30)));
    }

    [Fact]
    public void A_rhythm_within_a_season_rests_outside_it()
    {
        var shade = Plan(10, new SeasonSpan(5, 1, 8, 31), new DateOnly(2026, 5, 1));
        Assert.Equal(new DateOnly(2026, 8, 30), shade.DueAfter(new DateOnly(2026, 8, 20)));
        Assert.Equal(new DateOnly(2027, 5, 1), shade.DueAfter(new DateOnly(2026, 8, 25)));
    }

    [Fact]
    public void Whatever_the_season_a_night_lies_in_it_or_waits_for_the_next_start() =>
        Gen.Select(Gen.Int[1, 12], Gen.Int[1, 31], Gen.Int[1, 12], Gen.Int[1, 31], Gen.Int[0, 1500])
            .Where((from, day, to, last, _) => new SeasonSpan(from, day, to, last).IsSound)
            .Sample(
                (from, day, to, last, ahead) =>
                {
                    var span = new SeasonSpan(from, day, to, last);
                    var night = Tonight.AddDays(ahead);
                    var start = span.StartFor(night);
                    return span.Holds(night)
                        ? start <= night && night <= span.EndAfter(start)
                        : start > night && start <= night.AddYears(1).AddDays(1);
                },
                iter: 2000
            );

    [Fact]
    public void Nights_ahead_rise_and_lie_within_what_was_asked_for() =>
        Gen.Select(Gen.Int[1, 60], Gen.Int[1, 12], Gen.Int[1, 28], Gen.Int[1, 12], Gen.Bool, Gen.Int[-400, 0])
            .Sample(
                (every, from, day, to, seasonal, done) =>
                {
                    var plan = Plan(every, seasonal ? new SeasonSpan(from, day, to, day) : null);
                    var (first, last) = (Tonight, Tonight.AddDays(200));
                    var nights = plan.Between(Tonight.AddDays(done), first, last).ToList();
                    return nights.Zip(nights.Skip(1), (a, b) => b > a).All(rises => rises)
                        && nights.TrueForAll(n => n >= first && n <= last)
                        && (!seasonal || nights.Skip(1).All(n => plan.Season!.Holds(n)));
                },
                iter: 500
            );

    [Fact]
    public void What_was_put_off_is_due_later_and_what_was_taken_back_is_due_again()
    {
        var (id, done) = (Guid.NewGuid(), Guid.NewGuid());
        List<ChoreEntry> entries =
        [
            Entry(new ChorePlanned(id, Plan(7)), 1),
            Entry(new ChorePutOff(id, Tonight.AddDays(2), "away"), 2),
        ];
        Assert.Equal(Tonight.AddDays(2), ChoreStanding.Fold(entries).Chores[0].Due);
        entries.Add(Entry(new ChoreDone(id, Tonight), 3, done));
        Assert.Equal(Tonight.AddDays(7), ChoreStanding.Fold(entries).Chores[0].Due);
        Assert.Empty(ChoreStanding.Fold(entries).DueBy(Tonight));
        entries.Add(Entry(new ChoreWithdrawn(done), 4));
        Assert.Equal(Tonight.AddDays(2), ChoreStanding.Fold(entries).Chores[0].Due);
    }

    [Fact]
    public void Gear_is_booked_once_at_a_time()
    {
        var gear = Guid.NewGuid();
        var standing = ChoreStanding.Fold([
            Entry(new GearAdded(gear, "Net cage"), 1),
            Entry(new GearBooked(Guid.NewGuid(), gear, Tonight, Tonight.AddDays(3), "Tansy and Fennel"), 2),
        ]);
        var room = Diary.Room();
        string? Problem(int from, int to)
        {
            var problems = ChoreCheck.Check(
                new GearBooked(Guid.NewGuid(), gear, Tonight.AddDays(from), Tonight.AddDays(to), "others"),
                standing,
                room
            );
            return problems.Count == 0 ? null : problems[0].Message;
        }

        Assert.Null(Problem(4, 6));
        Assert.Equal("Booked then already: Tansy and Fennel, 23 Nov – 26 Nov.", Problem(3, 5));
        Assert.NotNull(Problem(5, 4));
        Assert.Equal("Must lie within 10 years of tonight.", Problem(1_000_000, 1_000_001));
        Assert.Equal(
            "act.name",
            ChoreCheck.Check(new GearAdded(Guid.NewGuid(), "net CAGE"), standing, room).Single().Field
        );
    }

    [Fact]
    public void What_a_plan_cannot_be_is_named()
    {
        var wrong = new ChorePlan(
            ChoreKind.Season,
            "",
            "shelf two",
            new DateOnly(1900, 1, 1),
            0,
            new SeasonSpan(13, 1, 2, 31),
            new string('x', 121),
            0
        );
        Assert.Equal(
            ["title", "where", "starts", "everyDays", "season", "kit", "minutes"],
            wrong.Problems(Tonight).Select(p => p.Field)
        );
    }
}
