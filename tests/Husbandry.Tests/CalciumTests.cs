using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Upkeep;
using Worlds;

namespace Husbandry.Tests;

/// <summary>The calcium of isopod tubs. Source unless said otherwise: common practice, no published source.</summary>
public class CalciumTests
{
    private static Diary Box() => new("porcellio-scaber", Sex.Unknown, 400, kind: StockKind.Colony, count: 60);

    /// <summary>The line of a tub that was fed and watered tonight, so that nothing but its upkeep is left.</summary>
    private static RoundLine Line(Diary diary) =>
        diary
            .With(0.05, new Offered("leaf-litter", "one", 1, Preparation.Fresh, OfferOutcome.Eaten))
            .With(0.04, new Watered(WaterKind.Damp))
            .Line();

    private static CalciumLooked Put(params string[] sources) => new([], sources);

    private static CalciumLooked Seen(params (string Source, CalciumLeft Left)[] seen) =>
        new([.. seen.Select(s => new CalciumLook(s.Source, s.Left))], []);

    private static CalciumBoard Board(Diary diary) => CalciumBoard.Of(diary.Judge().Subject).Value!;

    [Fact]
    public void Nothing_is_promised_of_a_tub_whose_calcium_nobody_wrote_down()
    {
        var board = Board(Box());
        Assert.Null(board.See);
        Assert.Null(CalciumBoard.Of(new Diary().Judge().Subject).Value);
    }

    /// <summary>Two standing sources at once, one of them a fine powder; skin, bone and antler do not count.</summary>
    [Theory]
    [InlineData(new[] { "powder-heap", "cuttlebone" }, "")]
    [InlineData(new[] { "powder-heap" }, "a second source")]
    [InlineData(new[] { "cuttlebone", "limestone" }, "a fine powder")]
    [InlineData(new[] { "powder-heap", "shed-skin", "bone" }, "a second source")]
    public void Two_sources_stand_one_of_them_a_powder(string[] sources, string lacks)
    {
        var diary = Box().With(0.1, Put(sources));
        var (board, tonight) = (Board(diary), Diary.Room().Tonight);
        Assert.Equal(lacks.Length > 0, board.See <= tonight);
        if (lacks.Length > 0)
        {
            Assert.Equal(lacks, board.Lacks);
            var line = Line(diary);
            Assert.Equal(RoundAct.Tend, line.Act);
            Assert.Contains($"put in {lacks}", line.Do, StringComparison.Ordinal);
            var put = Assert.IsType<CalciumLooked>(Assert.Single(line.Choices[0].Acts));
            Assert.Null(Board(diary.With(0.02, put)).Renew);
        }
    }

    [Fact]
    public void What_is_seen_to_be_gone_no_longer_stands()
    {
        var diary = Box()
            .With(30, Put("powder-heap", "cuttlebone"))
            .With(1, Seen(("powder-heap", CalciumLeft.Plenty), ("cuttlebone", CalciumLeft.Gone)));
        var board = Board(diary);
        Assert.Equal((1, 1), (board.Standing, board.Powders));
        Assert.Equal("a second source", board.Lacks);
        Assert.Equal(2, Board(diary.With(0.5, Put("egg-shell-half"))).Standing);
    }

    [Fact]
    public void A_tub_that_is_faster_than_most_is_seen_to_earlier()
    {
        Diary After(double daysEach) =>
            Box()
                .With(200, Put("powder-heap", "limestone"))
                .With(200 - (daysEach * 0.8), Seen(("powder-heap", CalciumLeft.Some)))
                .With(
                    200 - daysEach,
                    new CalciumLooked([new CalciumLook("powder-heap", CalciumLeft.Gone)], ["powder-heap"])
                )
                .With(
                    200 - (2 * daysEach),
                    new CalciumLooked([new CalciumLook("powder-heap", CalciumLeft.Gone)], ["powder-heap"])
                )
                .With(0.1, Put("powder-heap"));
        var (fast, slow) = (Board(After(20)), Board(After(90)));
        Assert.True(fast.Pace < 0.7 && slow.Pace > 1.1, $"{fast.Pace:0.00} {slow.Pace:0.00}");
        Assert.True(fast.See < slow.See);
    }

    [Fact]
    public void A_look_at_plenty_makes_it_last_and_one_at_little_brings_its_end_nearer()
    {
        static DateOnly Gone(Diary diary) => Board(diary).Lines.Single(l => l.SourceId == "powder-heap").LikelyGone;
        Diary Heap() => Box().With(40, Put("powder-heap", "limestone"));
        var blind = Gone(Heap());
        Assert.True(Gone(Heap().With(0.1, Seen(("powder-heap", CalciumLeft.Plenty)))) > blind);
        Assert.True(
            Gone(Heap().With(30, Seen(("powder-heap", CalciumLeft.Some))))
                < Gone(Heap().With(30, Seen(("powder-heap", CalciumLeft.Plenty))))
        );
    }

    [Fact]
    public void An_entry_names_sources_that_there_are_each_once()
    {
        string? Field(CalciumLooked act, Diary? diary = null) =>
            EntryCheck.Check(act, Occurrence.At(Diary.Evening), (diary ?? Box()).Standing(), Diary.Room())
                is [var first, ..]
                ? first.Field
                : null;
        Assert.Null(Field(Put("powder")));
        Assert.Equal("act.put", Field(new CalciumLooked([], [])));
        Assert.Equal("act.put[0]", Field(Put("chalk")));
        Assert.Equal("act.seen[0].sourceId", Field(Seen(("chalk", CalciumLeft.Some))));
        Assert.Equal("act.seen", Field(Put("powder", "powder")));
        Assert.Equal("act.kind", Field(Put("powder"), new Diary()));
    }

    [Fact]
    public void Telling_it_is_the_upkeep_of_the_tub_and_nothing_is_ticked_off_unseen()
    {
        var diary = Box().With(20, Put("powder-heap", "cuttlebone"));
        var line = Line(diary);
        Assert.Equal(RoundAct.Tend, line.Act);
        Assert.DoesNotContain(line.Choices.SelectMany(c => c.Acts), a => a is Tended);
        Assert.Contains(line.Beside, o => o.Form == EntryForm.CalciumLooked);
        // One key says what is there; it is not asked again the same evening.
        var told = Assert.IsType<CalciumLooked>(Assert.Single(line.Choices[0].Acts));
        Assert.All(told.Seen, s => Assert.Equal(CalciumLeft.Plenty, s.Left));
        Assert.NotEqual(RoundAct.Tend, Line(diary.With(0.1, told)).Act);
        Assert.NotEqual(
            RoundAct.Tend,
            Line(diary.With(0.1, Seen(("powder-heap", CalciumLeft.Plenty), ("cuttlebone", CalciumLeft.Plenty)))).Act
        );
    }

    /// <summary>
    /// 300 made-up tubs of other parameters, 400 days each, looks every 7 ± 3 days: it is seen to at least a week before the last powder is
    /// gone in 95 of 100, and at most once a quarter more than four weeks too early.
    /// </summary>
    [Theory]
    [InlineData(1)]
    [InlineData(2)]
    public void It_warns_in_time_and_seldom_too_early(int seed)
    {
        var (doses, inTime, early, quarters) = (0, 0, 0, 0.0);
        for (var k = 0; k < 150; k++)
        {
            var tub = new Tub(new Draws((1000 * seed) + k));
            var told = new Told();
            var day = 0.0;
            while (day < 400)
            {
                var dose = tub.Put(day);
                told.Put(dose);
                // A warning that rests for the night of a look and goes on after it is one.
                var (look, warned, silent) = (tub.NextLook(day), (double?)null, int.MaxValue / 2);
                for (day = Math.Ceiling(day); ; day++)
                {
                    if (look <= day)
                    {
                        look = tub.NextLook(look);
                        if (told.See(dose, day) == 0)
                        {
                            break;
                        }
                    }

                    var warns = told.Warns(day);
                    warned ??= warns && day < dose.GoneDay ? day : null;
                    early += warns && silent > 1 && dose.GoneDay - day > 28 ? 1 : 0;
                    silent = warns ? 0 : silent + 1;
                }

                doses++;
                inTime += warned is { } night && dose.GoneDay - night >= 7 ? 1 : 0;
                day++;
            }

            quarters += day / 91;
        }

        Assert.True(
            inTime >= 0.95 * doses,
            $"{inTime} of {doses} in time, {early / quarters:0.00} too early a quarter"
        );
        Assert.True(early <= quarters, $"{early / quarters:0.00} too early a quarter; {inTime} of {doses} in time");
    }

    /// <summary>What the keeper of a made-up tub has written down.</summary>
    private sealed class Told
    {
        private static readonly DateTimeOffset First = Diary.Evening;
        private static readonly Room Room = Diary.Room();
        private static readonly Standing Empty = Box().Standing();
        private IReadOnlyList<CalciumPiece> pieces = [];
        private DateTimeOffset lookedAt;
        private long sequence;

        public void Put(TubDose dose) => Tell(dose.PutDay, [], [dose.IsHeap ? "powder-heap" : "powder", "limestone"]);

        public int See(TubDose dose, double day)
        {
            var seen = Tub.Seen(dose, day);
            Tell(day, [(dose.IsHeap ? "powder-heap" : "powder", (CalciumLeft)(2 - seen))], []);
            return seen;
        }

        public bool Warns(double day)
        {
            var room = Diary.Room(now: First.AddDays(day));
            var told = Empty with { Calcium = pieces, Tended = [new TendedEvent("calcium", lookedAt)] };
            var board = CalciumBoard.Of(Subject.Of(told, room)).Value!;
            return board.See <= room.Tonight;
        }

        private void Tell(double day, IEnumerable<(string, CalciumLeft)> seen, IEnumerable<string> put)
        {
            lookedAt = First.AddDays(day);
            pieces = CalciumPieces.After(
                pieces,
                new JournalEntry(
                    Guid.NewGuid(),
                    Empty.StockId,
                    ++sequence,
                    Occurrence.At(First.AddDays(day)),
                    First.AddDays(day),
                    "Keeper",
                    null,
                    new CalciumLooked([], ["powder"])
                ),
                seen,
                put
            );
        }
    }
}
