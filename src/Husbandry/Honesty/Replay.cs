using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Honesty;

/// <summary>
/// Goes through a whole journal night by night as if it were being written, makes the forecasts that a keeper would have
/// seen, and scores them by what came. No night knows anything that was written down after it.
/// </summary>
public sealed class Replay
{
    private const int LearnEveryNights = 14;

    private readonly Room room;
    private readonly RuleHistory rules;
    private readonly List<ReplayedLife> lives;
    private readonly List<JournalEntry> written;

    private Replay(IReadOnlyList<JournalEntry> journal, Room room, RuleHistory rules)
    {
        (this.room, this.rules) = (room, rules);
        written = [.. journal.OrderBy(e => e.WrittenAt).ThenBy(e => e.Sequence)];
        lives = [.. journal.GroupBy(e => e.StockId).Select(g => ReplayedLife.Of([.. g])).OfType<ReplayedLife>()];
    }

    /// <summary>Replays a journal.</summary>
    /// <param name="journal">All entries of all animals, withdrawn and corrected ones included.</param>
    /// <param name="room">Settings and climate; what it has taught is not used.</param>
    /// <param name="rules">The rules as they were on each night.</param>
    public static ReplayResult Of(IReadOnlyList<JournalEntry> journal, Room room, RuleHistory rules)
    {
        var replay = new Replay(journal, room, rules);
        return journal.Count == 0 ? new ReplayResult(room.Tonight, room.Tonight, [], [], [], 0, 0) : replay.Run();
    }

    private ReplayResult Run()
    {
        var first = room.Clock.NightOf(written[0].WrittenAt);
        var last = room.Clock.NightOf(written.Max(e => e.WrittenAt));
        var byId = lives.ToDictionary(l => l.StockId);
        var next = 0;
        var lessons = Lessons.None;
        for (var night = first; night <= last; night = night.AddDays(1))
        {
            var end = room.Clock.EndOf(night);
            while (next < written.Count && written[next].WrittenAt < end)
            {
                if (byId.TryGetValue(written[next].StockId, out var life))
                {
                    life.Write(written[next]);
                }

                next++;
            }

            var then = Room.At(rules.At(end), room.Settings, end.AddTicks(-1)).With(room.Climate);
            if ((night.DayNumber - first.DayNumber) % LearnEveryNights == 0)
            {
                lessons = Lessons.Of([.. lives.Select(l => l.Standing).OfType<Standing>()], then, lessons);
            }

            then = then.With(lessons);
            // None knows of the others tonight but by the lessons.
            Parallel.ForEach(lives.Where(l => l.Standing is { Departure: null }), life => Visit(life, then, last));
        }

        var tallies = lives.Select(l => l.Tally).ToList();
        return new ReplayResult(
            first,
            last,
            Weighted([.. tallies.SelectMany(t => t.Forecasts)], tallies),
            Weighted([.. tallies.SelectMany(t => t.Readings)], tallies),
            [.. tallies.SelectMany(t => t.Ends)],
            tallies.Sum(t => t.TooLate),
            tallies.Sum(t => t.CutShort)
        );
    }

    /// <summary>Those that stayed stand for those that left before anybody saw what came.</summary>
    private static List<ScoredForecast> Weighted(List<ScoredForecast> all, List<ReplayTally> tallies)
    {
        var stay = tallies
            .SelectMany(t => t.Followed)
            .GroupBy(f => (f.Vigil, f.Group))
            .ToDictionary(g => g.Key, g => new Censoring(g.Select(f => (f.Days, f.Left))));
        return
        [
            .. all.Select(f =>
                f with
                {
                    Weight = stay[(f.Vigil, f.Group)].Weight(Math.Min(f.HappenedTo ?? f.Horizon, f.Horizon)),
                }
            ),
        ];
    }

    private static List<ScoredReading> Weighted(List<ScoredReading> all, List<ReplayTally> tallies)
    {
        var stay = tallies
            .SelectMany(t => t.Watched)
            .GroupBy(w => w.Group)
            .ToDictionary(g => g.Key, g => new Censoring(g.Select(w => (w.Days, w.Left))));
        // Until now its weight was how long it was watched.
        return [.. all.Select(r => r with { Weight = stay[r.Group].Weight(r.Weight) })];
    }

    private static void Visit(ReplayedLife life, Room then, DateOnly last)
    {
        var subject = Subject.Of(life.Standing!, then);
        // Molts are scored where nothing else is awaited beside them.
        var waits = subject.Standing.Vigils.Open.Where(w => subject.Group.Knows(w.Vigil)).ToList();
        foreach (var waiting in waits)
        {
            var prior = WaitPriors.Of(subject, waiting.Vigil, VigilEnd.AsHoped, waiting.Began.Middle);
            if (life.AgeDue(waiting.Began, AgeShare(subject, waiting.Began, prior)) is { } age)
            {
                var made = ForecastMade.OfOther(OpenWait.Of(subject, waiting));
                Score(life, subject, made, age, life.Next(waiting.Vigil, then.Now), last);
            }
        }

        if (waits.Count == 0 && Molting.WillNotMoltAgain(subject) is null)
        {
            Await(life, subject, last);
        }
    }

    private static void Await(ReplayedLife life, Subject subject, DateOnly last)
    {
        var (standing, now) = (subject.Standing, subject.Room.Now);
        var readingDue = (subject.Room.Tonight.DayNumber + life.Offset) % ReplayedLife.ReadingEveryNights == 0;
        var start = PastWaits.Start(standing, standing.Growth.Molts.Count, subject);
        var age = start is null
            ? null
            : life.AgeDue(start, AgeShare(subject, start, PastWaits.PriorOf(subject, standing.Growth.Molts.Count)));
        if (age is null && !readingDue)
        {
            return;
        }

        var outlook = MoltOutlook.Of(LifeReading.Of(subject));
        var outcome = life.Next(VigilKind.Molt, now);
        if (readingDue)
        {
            Read(life, outlook, outcome, last);
        }

        if (age is { } share)
        {
            Score(life, subject, ForecastMade.OfMolt(outlook), share, outcome, last);
        }
    }

    private static void Score(
        ReplayedLife life,
        Subject subject,
        ForecastMade made,
        double age,
        Outcome outcome,
        DateOnly last
    )
    {
        // Whether a forecast is scored must not depend on what came of it: only those are whose wait would have ended before
        // the record of the room does by the rulebook's own 90 % night.
        var left = last.DayNumber - subject.Room.Tonight.DayNumber;
        if (made.Alone.P90 > left)
        {
            life.Tally.TooLate++;
            return;
        }

        if (made.Vigil != VigilKind.Molt && (outcome.AsHoped ?? outcome.Otherwise) is not null)
        {
            life.Tally.Ends.Add(
                new ScoredEnd(
                    life.StockId,
                    subject.Group.Id,
                    made.Vigil,
                    subject.Room.Tonight,
                    made.OtherChance,
                    made.OtherChanceAlone,
                    outcome.Otherwise is not null
                )
            );
        }

        // An end that was already past that night, only not yet found, lies before it.
        double NightsAhead(DateTimeOffset at) => (at - subject.Room.Now).TotalDays;
        var (group, ahead) = (subject.Group.Id, outcome.AsHoped is { } hoped ? NightsAhead(hoped.To) : (double?)null);
        var gone = outcome.CutShortAt is { } cut ? NightsAhead(cut) : (double?)null;
        life.Tally.Followed.Add((made.Vigil, group, gone ?? ahead ?? left, gone is not null));
        if (gone is not null)
        {
            life.Tally.CutShort++;
            return;
        }

        var from = outcome.AsHoped is { } when ? Math.Max(0, NightsAhead(when.From)) : left;
        var naive = made.LastInterval is { } days ? Math.Max(0, days) : (double?)null;
        life.Tally.Forecasts.Add(
            new ScoredForecast(
                life.StockId,
                subject.Standing.Details.Nickname,
                group,
                made.Vigil,
                subject.Room.Tonight,
                age,
                made.Engine,
                made.Alone,
                naive is { } n ? new Quantiles(n, n, n) : null,
                from,
                ahead,
                left,
                Given.Of(made.EngineLeft, from, ahead),
                Given.Of(made.AloneLeft, from, ahead)
            )
        );
    }

    private static void Read(ReplayedLife life, MoltOutlook outlook, Outcome outcome, DateOnly last)
    {
        var (subject, weighed) = (outlook.Life.Subject, outlook.Weighed);
        var until = subject.Room.Now.AddDays(subject.Pace.Ahead(weighed.Premolt).Value);
        // Near the end of the record nobody knows whether a molt would have followed.
        if (until > subject.Room.Clock.EndOf(last))
        {
            return;
        }

        double NightsAhead(DateTimeOffset at) => (at - subject.Room.Now).TotalDays;
        if (outcome.AsHoped is { } found && found.From < until && until < found.To)
        {
            // Nobody looked between: whether it was within the length of premolt is not known.
            return;
        }

        var molt = outcome.AsHoped?.Middle;
        var follows = molt <= until;
        var left = outcome.LeftAt is { } at && at < until && !follows ? NightsAhead(at) : (double?)null;
        var seen = left ?? NightsAhead(follows ? molt!.Value : until);
        life.Tally.Watched.Add((subject.Group.Id, seen, left is not null));
        if (left is not null)
        {
            return;
        }

        life.Tally.Readings.Add(
            new ScoredReading(
                life.StockId,
                subject.Group.Id,
                subject.Room.Tonight,
                weighed.PremoltChance,
                outlook.Life.Premolt.Value.Word,
                follows,
                seen
            )
        );
    }

    private static double AgeShare(Subject subject, Occurrence start, IntervalPrior prior) =>
        subject.Pace.Between(start.Middle, subject.Room.Now) / prior.Alone.Median;
}
