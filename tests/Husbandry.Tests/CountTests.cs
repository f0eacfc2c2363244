using CsCheck;
using Husbandry.Colonies;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>The numbers of broods and colonies are a series that adds up; none is overwritten.</summary>
public class CountTests
{
    private static Diary Brood() => new("armadillidium-vulgare", cameNightsAgo: 60, kind: StockKind.Brood);

    private static CountBook Book(Diary diary) => CountBook.Of(Subject.Of(diary.Standing(), Diary.Room()))!;

    [Fact]
    public void What_came_was_born_and_left_adds_up_to_what_is_there()
    {
        var there = Brood().Standing().Details.Count;
        var brood = Brood()
            .With(20, new Departed(DepartureKind.Died, null, 2))
            .With(15, new Gained(GainKind.Born, 6))
            .With(12, new Departed(DepartureKind.Escaped, null, 1))
            .With(11, new Gained(GainKind.Found, 1))
            .With(8, new Departed(DepartureKind.GivenAway, "a friend", 4))
            .With(3, new Counted(there - 3));
        var book = Book(brood);
        Assert.Equal(there - 3, book.Sums.Sum(s => s.By));
        Assert.Equal(
            [
                ("came", there),
                ("died", -2),
                ("born", 6),
                ("escaped", -1),
                ("found again", 1),
                ("given away", -4),
                ("gone, nobody knows how", -3),
            ],
            book.Sums.Select(s => (s.Word, s.By))
        );
        Assert.Equal(3, book.Missing);
        Assert.True(book.Lines[0] is { IsUnexplained: true, By: -3 });
        Assert.EndsWith($": {there - 3} are there.", book.Summary, StringComparison.Ordinal);
    }

    [Fact]
    public void A_count_with_a_reason_or_too_rough_to_differ_leaves_nothing_unexplained()
    {
        var there = Brood().Standing().Details.Count;
        var told = Brood().With(3, new Counted(there - 3, Reason: "eaten by their own"));
        Assert.Equal((0, "fewer by a count"), (Book(told).Missing, Book(told).Sums[1].Word));

        var rough = Brood().With(3, new Counted(there - 3, there - 8, there + 2, CountMethod.ByEye));
        Assert.Equal(0, Book(rough).Missing);
        var sure = Brood().With(3, new Counted(there - 3, there - 8, there - 1, CountMethod.ByEye));
        Assert.Equal(3, Book(sure).Missing);
    }

    [Fact]
    public void A_colony_that_nobody_counted_is_not_told_to_be_one_animal()
    {
        var colony = new Diary("armadillidium-vulgare", kind: StockKind.Colony, count: 1);
        Assert.Equal("Nobody has counted them yet.", Book(colony).Summary);
        Assert.EndsWith(": 60 are there.", Book(colony.With(1, new Counted(60))).Summary, StringComparison.Ordinal);
    }

    [Fact]
    public void Ants_whose_workers_were_counted_through_the_glass_are_not_called_uncounted()
    {
        var ants = new Diary("lasius-niger", Sex.Female, kind: StockKind.Colony, count: 1);
        Assert.Equal("Nobody has counted them yet.", Book(ants).Summary);
        var peeked = ants.With(2, new Peeked([BroodSeen.Workers], Workers: 90));
        Assert.Null(CountBook.Of(Subject.Of(peeked.Standing(), Diary.Room())));
    }

    [Fact]
    public void Those_written_down_by_mistake_are_mended_and_no_loss()
    {
        var ants = new Diary("messor-barbarus", Sex.Female, 60, kind: StockKind.Colony);
        var there = ants.Standing().Details.Count;
        var some = ants.With(5, new Departed(DepartureKind.Mistaken, Count: 1)).Standing();
        Assert.Null(some.Departure);
        Assert.Equal(there - 1, some.Details.Count);
        var all = ants.With(4, new Departed(DepartureKind.Mistaken)).Standing();
        Assert.Equal(DepartureKind.Mistaken, all.Departure?.Kind);
        Assert.Equal((CountChange.Mended, 0), (all.Counts[^1].Change, all.Counts[^1].Now));
    }

    [Fact]
    public void More_of_a_colony_was_bred_unseen_and_needs_no_reason()
    {
        var ants = new Diary("messor-barbarus", Sex.Female, 60, kind: StockKind.Colony);
        var there = ants.Standing().Details.Count;
        var book = Book(ants.With(5, new Counted(there + 40)));
        Assert.Equal([("came", there), ("bred", 40)], book.Sums.Select(s => (s.Word, s.By)));
        Assert.DoesNotContain(book.Lines, l => l.IsUnexplained);
    }

    [Fact]
    public void A_container_changes_the_whole_by_what_it_changed_itself()
    {
        var there = Brood().Standing().Details.Count;
        // The first count of a cup holds some of those on record.
        var brood = Brood().With(9, new Counted(3, Container: "cup 1"));
        Assert.Equal(there, brood.Standing().Details.Count);
        Assert.Equal(there - 1, brood.With(7, new Counted(2, Container: "cup 1")).Standing().Details.Count);
        // More in the cups than on record: there are as many as the cups hold.
        Assert.Equal(there + 12, brood.With(5, new Counted(there + 10, Container: "cup 2")).Standing().Details.Count);
        Assert.Equal(
            ["counted 3 in cup 1", $"counted {there + 10} in cup 2"],
            Book(brood)
                .Lines.Where(l => l.Text.Contains("cup", StringComparison.Ordinal) && l.By != -1)
                .Reverse()
                .Select(l => l.Text)
        );
    }

    [Fact]
    public void A_single_animal_has_no_numbers() =>
        Assert.Null(CountBook.Of(Subject.Of(new Diary().LegSpan(60).Standing(), Diary.Room())));

    [Fact]
    public void Of_any_stock_the_changes_add_up_to_what_is_there() =>
        Gen.Int[0, 1_000_000]
            .Sample(
                seed =>
                {
                    var standing = AnyStock.Of(seed).Standing();
                    var there = standing.Departure is null || standing.IsTank ? standing.Details.Count : 0;
                    Assert.Equal(there, standing.Counts.Sum(c => c.By));
                    Assert.Equal(there, standing.Counts[^1].Now);
                    Assert.All(standing.Counts, c => Assert.True(c.Now >= 0));
                    if (CountBook.Of(Subject.Of(standing, Diary.Room())) is { } book)
                    {
                        Assert.Equal(there, book.Sums.Sum(s => s.By));
                    }
                },
                iter: 300
            );
}
