using Husbandry.Journal;
using Husbandry.Rounds;
using Husbandry.Vigils;

namespace Husbandry.Honesty;

/// <summary>
/// Goes through a whole journal night by night as if it were being written, makes the forecasts that a keeper would have
/// seen, and scores them by what came. No night knows anything that was written down after it.
/// </summary>
public sealed class Replay
{
    // Forecasts are kept at these ages of a wait, as shares of the rulebook's median.
    private static readonly double[] Ages = [0, 0.5, 1, 1.5];

    private const int ReadingEveryNights = 7;
    private const int LearnEveryNights = 7;

    private readonly Room room;
    private readonly List<Life> lives;
    private readonly List<JournalEntry> written;
    private readonly List<ScoredForecast> forecasts = [];
    private readonly List<ScoredReading> readings = [];
    private int tooLate;
    private int cutShort;

    private Replay(IReadOnlyList<JournalEntry> journal, Room room)
    {
        this.room = room;
        written = [.. journal.OrderBy(e => e.WrittenAt).ThenBy(e => e.Sequence)];
        lives = [.. journal.GroupBy(e => e.StockId).Select(g => Life.Of([.. g])).OfType<Life>()];
    }

    /// <summary>Replays a journal.</summary>
    /// <param name="journal">All entries of all animals, withdrawn and corrected ones included.</param>
    /// <param name="room">Rules, settings and climate; what it has taught is not used.</param>
    public static ReplayResult Of(IReadOnlyList<JournalEntry> journal, Room room)
    {
        var replay = new Replay(journal, room);
        return journal.Count == 0 ? new ReplayResult(room.Tonight, room.Tonight, [], [], 0, 0) : replay.Run();
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

            var then = Room.At(room.Rules, room.Settings, end.AddTicks(-1)) with { Climate = room.Climate };
            if ((night.DayNumber - first.DayNumber) % LearnEveryNights == 0)
            {
                lessons = Lessons.Of([.. lives.Select(l => l.Standing).OfType<Standing>()], then);
            }

            then = then with { Lessons = lessons };
            foreach (var life in lives.Where(l => l.Standing is { Departure: null }))
            {
                Visit(life, then, last);
            }
        }

        return new ReplayResult(first, last, forecasts, readings, tooLate, cutShort);
    }

    private void Visit(Life life, Room then, DateOnly last)
    {
        var subject = Subject.Of(life.Standing!, then);
        var readingDue = (then.Tonight.DayNumber + life.Offset) % ReadingEveryNights == 0;
        if (subject.Standing.Waiting is { } waiting)
        {
            if (life.AgeDue(waiting.Began, AgeShare(subject, waiting)) is { } age)
            {
                Forecast(life, subject, waiting.Vigil, age, last);
            }
        }
        else if (VigilForecast.WillNotMoltAgain(subject) is null)
        {
            var start = PastWaits.Start(subject.Standing, subject.Standing.Molts.Count, subject);
            var age = start is null ? null : life.AgeDue(start, AgeShare(subject, start));
            if (age is not null || readingDue)
            {
                Molt(life, subject, age, readingDue, last);
            }
        }
    }

    private void Molt(Life life, Subject subject, double? age, bool readingDue, DateOnly last)
    {
        var size = Growth.BodySize.Of(subject).Value;
        var stage = Growth.StageReading.Of(subject, size).Value;
        var reading = PremoltReading.Of(subject, stage, Feeding.Condition.Of(subject).Value).Value;
        var wait = MoltWait.Of(subject, stage);
        var (weighed, _) = wait.Weigh(reading);
        var outcome = life.Next(VigilKind.Molt, subject.Room.Now);
        if (readingDue)
        {
            Read(life, subject, reading, weighed, outcome, last);
        }

        if (age is { } share)
        {
            var own = PastWaits.Of(subject, VigilKind.Molt).LastOrDefault(w => w.IsOver);
            double Calendar(double effective) => subject.Pace.CalendarDays(effective);
            var prior = new RemainingWait(wait.Prior.Alone, wait.Left.ElapsedDays);
            Score(
                life,
                subject,
                VigilKind.Molt,
                share,
                new Quantiles(
                    Calendar(weighed.Quantile(0.1)),
                    Calendar(weighed.Quantile(0.5)),
                    Calendar(weighed.Quantile(0.9))
                ),
                prior,
                LastInterval(subject, own is not null),
                outcome,
                last
            );
        }
    }

    private void Forecast(Life life, Subject subject, VigilKind vigil, double age, DateOnly last)
    {
        if (VigilForecast.OfOther(subject).Value is not { } forecast)
        {
            return;
        }

        var tonight = subject.Room.Tonight.DayNumber;
        var prior = VigilForecast.PriorFor(subject, vigil, subject.Standing.Waiting!.Began.Middle);
        var elapsed = Math.Max(0, subject.Pace.Between(subject.Standing.Waiting.Began.Middle, subject.Room.Now));
        var former = subject.Standing.Vigils.LastOrDefault(v =>
            v.Vigil == vigil && v is { Ended: not null, AsHoped: true }
        );
        var sameAsLast = former is null
            ? (double?)null
            : (former.Ended!.Middle - former.Began.Middle).TotalDays - forecast.WaitedNights;
        Score(
            life,
            subject,
            vigil,
            age,
            new Quantiles(
                forecast.P10.DayNumber - tonight,
                forecast.P50.DayNumber - tonight,
                forecast.P90.DayNumber - tonight
            ),
            new RemainingWait(prior.Alone, elapsed),
            sameAsLast,
            life.Next(vigil, subject.Room.Now),
            last
        );
    }

    private void Score(
        Life life,
        Subject subject,
        VigilKind vigil,
        double age,
        Quantiles engine,
        RemainingWait prior,
        double? sameAsLast,
        Outcome outcome,
        DateOnly last
    )
    {
        var alone = new Quantiles(prior.Quantile(0.1), prior.Quantile(0.5), prior.Quantile(0.9));
        // Whether a forecast can be scored must not depend on what came of it: only those are whose wait would have
        // ended before the record of the animal does by the rulebook's own 90 % night.
        var left = life.LastNight(room, last).DayNumber - subject.Room.Tonight.DayNumber;
        if (alone.P90 > left)
        {
            tooLate++;
            return;
        }

        if (outcome is { When: null, CutShortAt: not null })
        {
            cutShort++;
            return;
        }

        // An end that was already past that night, only not yet found, lies before it.
        double NightsAhead(DateTimeOffset at) => (at - subject.Room.Now).TotalDays;
        var naive = sameAsLast is { } days ? Math.Max(0, days) : (double?)null;
        forecasts.Add(
            new ScoredForecast(
                life.StockId,
                subject.Standing.Details.Nickname,
                subject.Group.Id,
                vigil,
                subject.Room.Tonight,
                age,
                engine,
                alone,
                naive is { } n ? new Quantiles(n, n, n) : null,
                outcome.When is { } when ? NightsAhead(when.From) : left,
                outcome.When is { } found ? NightsAhead(found.To) : null
            )
        );
    }

    private void Read(
        Life life,
        Subject subject,
        PremoltReading reading,
        WeighedWait weighed,
        Outcome outcome,
        DateOnly last
    )
    {
        var days = weighed.PremoltDays;
        var until = subject.Room.Now.AddDays(days);
        var followed = outcome.When is { } when && when.Middle <= until;
        // Near the end of the record, or of its stay, nobody knows whether a molt would have followed.
        if (!followed && (until > room.Clock.EndOf(life.LastNight(room, last)) || outcome.CutShortAt < until))
        {
            return;
        }

        readings.Add(
            new ScoredReading(
                life.StockId,
                subject.Group.Id,
                subject.Room.Tonight,
                weighed.PremoltChance,
                reading.Word,
                followed
            )
        );
    }

    private static double? LastInterval(Subject subject, bool hasOwn)
    {
        var standing = subject.Standing;
        var n = standing.Molts.Count;
        if (!hasOwn || PastWaits.Start(standing, n - 1, subject) is not { } before)
        {
            return null;
        }

        var length = (standing.Molts[n - 1].When.Middle - before.Middle).TotalDays;
        return length - (subject.Room.Now - standing.Molts[n - 1].When.Middle).TotalDays;
    }

    private static double AgeShare(Subject subject, Occurrence start)
    {
        var prior = PastWaits.PriorOf(subject, subject.Standing.Molts.Count);
        return (subject.Room.Now - start.Middle).TotalDays / Math.Exp(prior.Mu);
    }

    private static double AgeShare(Subject subject, VigilEvent waiting)
    {
        var prior = VigilForecast.PriorFor(subject, waiting.Vigil, waiting.Began.Middle);
        return (subject.Room.Now - waiting.Began.Middle).TotalDays / Math.Exp(prior.Mu);
    }

    /// <summary>What came of a wait: when it ended, or when the animal left before.</summary>
    private sealed record Outcome(Occurrence? When, DateTimeOffset? CutShortAt);

    /// <summary>One animal: what is known of it so far, and what is known of it in the end.</summary>
    private sealed class Life(Guid stockId, Standing final, Dictionary<Guid, DateTimeOffset> writtenAt)
    {
        private readonly List<JournalEntry> known = [];
        private Occurrence? waitingSince;
        private int agesDone;

        public Guid StockId => stockId;

        public Standing? Standing { get; private set; }

        /// <summary>The night on which its record ends: nobody knows what came of an animal that was never written of again.</summary>
        public DateOnly LastNight(Room room, DateOnly last)
        {
            var own = room.Clock.NightOf(final.LatestEventAt);
            return final.Departure is null && own < last ? own : last;
        }

        /// <summary>Spreads the weekly readings of a room over the week.</summary>
        public int Offset { get; } = stockId.ToByteArray()[0] % ReadingEveryNights;

        public static Life? Of(IReadOnlyList<JournalEntry> entries)
        {
            var final = Journal.Standing.Fold(entries);
            return final is null
                ? null
                : new Life(entries[0].StockId, final, entries.ToDictionary(e => e.Id, e => e.WrittenAt));
        }

        public void Write(JournalEntry entry)
        {
            known.Add(entry);
            Standing =
                Standing is not null && Standing.CanApply(entry) ? Standing.Apply(entry) : Journal.Standing.Fold(known);
        }

        /// <summary>The age at which a forecast is due tonight, if one is.</summary>
        public double? AgeDue(Occurrence start, double share)
        {
            if (start != waitingSince)
            {
                (waitingSince, agesDone) = (start, 0);
            }

            if (agesDone >= Ages.Length || share < Ages[agesDone])
            {
                return null;
            }

            // After a gap in the record only the latest age that has passed is due.
            while (agesDone + 1 < Ages.Length && share >= Ages[agesDone + 1])
            {
                agesDone++;
            }

            return Ages[agesDone++];
        }

        /// <summary>How the wait that stood at an instant ended, by the record as it is in the end.</summary>
        public Outcome Next(VigilKind vigil, DateTimeOffset now)
        {
            if (vigil == VigilKind.Molt)
            {
                var molt = final.Molts.FirstOrDefault(m => writtenAt[m.EntryId] > now && m.When.To > Since());
                return new Outcome(molt?.When, final.Departure?.At);
            }

            var began = Standing!.Waiting!.Began;
            var wait = final.Vigils.FirstOrDefault(v => v.Vigil == vigil && v.Began == began);
            return wait is { Ended: not null, AsHoped: true } ? new Outcome(wait.Ended, null)
                : wait?.Ended is { } otherwise ? new Outcome(null, otherwise.To)
                : new Outcome(null, final.Departure?.At);
        }

        private DateTimeOffset Since() => Standing?.LastMolt?.When.To ?? DateTimeOffset.MinValue;
    }
}
