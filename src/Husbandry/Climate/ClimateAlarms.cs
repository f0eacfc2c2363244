using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Climate;

/// <summary>Which alarms hold: by how long, never by one reading.</summary>
public static class ClimateAlarms
{
    // A gap of more than this ends what was going on.
    private static readonly TimeSpan Gap = TimeSpan.FromHours(1);

    // Longer ago an hour alone may be any day's.
    private static readonly TimeSpan NamedHours = TimeSpan.FromHours(20);

    /// <summary>The alarms of a room, dangers first, then by since when.</summary>
    /// <param name="states">Its instruments.</param>
    /// <param name="needs">Its animals, and the air that they need.</param>
    /// <param name="book">What was said to alarms.</param>
    /// <param name="rules">How long is too long.</param>
    /// <param name="words">Words for hours.</param>
    /// <param name="now">The present instant.</param>
    public static IReadOnlyList<ClimateAlarm> Of(
        IReadOnlyList<SensorState> states,
        IReadOnlyList<AirNeed> needs,
        ClimateBook book,
        RoomClimateRules rules,
        NightClock words,
        DateTimeOffset now
    )
    {
        ArgumentNullException.ThrowIfNull(states);
        ArgumentNullException.ThrowIfNull(book);
        ArgumentNullException.ThrowIfNull(rules);
        var placed = states.Where(s => s.Sensor.Zone is not null).ToList();
        var living = placed.Where(s => s.IsAlive(now, rules.Alarms)).ToList();
        var watched = living.ToDictionary(s => s.Sensor.Id, _ => new List<(AirNeed Need, int Near)>());
        foreach (var need in needs)
        {
            // The nearest that lives; all of them where several hang equally near.
            var near = living
                .Select(s => (State: s, Near: ZoneNearness.Of(s.Sensor.Zone, need.Place)))
                // A winter box stands in the room and has not its air.
                .Where(x => x.Near is not null && (!need.Winters || x.Near > 0))
                .GroupBy(x => x.Near!.Value)
                .MaxBy(g => g.Key);
            foreach (var (state, nearness) in near ?? Enumerable.Empty<(SensorState, int?)>())
            {
                watched[state.Sensor.Id].Add((need, nearness!.Value));
            }
        }

        return
        [
            .. placed
                .SelectMany(s => OfSensor(s, rules, words, now))
                .Concat(living.SelectMany(s => OfAir(s, watched[s.Sensor.Id], rules, words, now)))
                .Select(a => Answered(a, book, rules.Alarms, now))
                .OrderByDescending(a => a.IsDanger)
                .ThenBy(a => a.Since)
                .ThenBy(a => a.Key, StringComparer.Ordinal),
        ];
    }

    private static IEnumerable<ClimateAlarm> OfSensor(
        SensorState state,
        RoomClimateRules rules,
        NightClock words,
        DateTimeOffset now
    )
    {
        var name = state.Sensor.Name;
        if (state.Track.SilentSince(now, rules.Alarms) is { } silent)
        {
            yield return Alarm(
                state,
                AlarmKind.Silent,
                silent,
                false,
                $"{name} is silent since {SinceWhen(silent, words, now)}, {Lasts(now - silent)}.",
                [],
                rules
            );
        }
        else if (state.Track.StuckSince(rules.Alarms) is { } stuck)
        {
            var last = state.Track.Last!.Value;
            var says = last.RelativeHumidity is { } h
                ? $"{Wording.Plain(last.TemperatureC)} °C and {Wording.Plain(h)} %"
                : $"{Wording.Plain(last.TemperatureC)} °C";
            yield return Alarm(
                state,
                AlarmKind.Stuck,
                stuck,
                false,
                $"{name} says {says} since {SinceWhen(stuck, words, now)}, {Lasts(now - stuck)} without a change: it is stuck.",
                [],
                rules
            );
        }

        if (state.Drift is { } drift)
        {
            var by = drift.OfHumidity
                ? $"{Math.Abs(drift.ByHumidity!.Value):0.#} % {(drift.ByHumidity > 0 ? "more" : "less")}"
                : $"{Math.Abs(drift.ByC):0.#} °C {(drift.ByC > 0 ? "more" : "less")}";
            yield return Alarm(
                state,
                AlarmKind.Drifted,
                words.StartOf(drift.Since),
                false,
                $"{name} reads {by} than a month ago, against its neighbours.",
                [],
                rules
            );
        }
    }

    private static IEnumerable<ClimateAlarm> OfAir(
        SensorState state,
        List<(AirNeed Need, int Near)> watched,
        RoomClimateRules rules,
        NightClock words,
        DateTimeOffset now
    )
    {
        var alarms = rules.Alarms;
        var awake = watched.Where(w => !w.Need.Winters).Select(w => w.Need).ToList();
        var wintering = watched.Where(w => w.Need.Winters).Select(w => w.Need).ToList();
        var where = state.Sensor.Name;
        var minutes = TimeSpan.FromMinutes(alarms.HotMinutes.Value);
        var found = new[]
        {
            ByLimit(state, AlarmKind.Hot, awake, n => n.Band.CeilingC.Value, (s, limit) => s.MeanC > limit, minutes),
            ByLimit(
                state,
                AlarmKind.Cold,
                awake,
                n => n.Band.FloorC.Value,
                (s, limit) => s.MeanC < limit,
                TimeSpan.FromHours(alarms.ColdHours.Value)
            ),
            ByLimit(
                state,
                AlarmKind.WinterWarm,
                wintering,
                _ => rules.WinterC.Value.High,
                (s, limit) => s.MeanC > limit,
                TimeSpan.FromHours(alarms.WinterHours.Value)
            ),
            ByLimit(
                state,
                AlarmKind.WinterFrost,
                wintering,
                _ => rules.WinterC.Value.Low,
                (s, limit) => s.MeanC < limit,
                TimeSpan.FromHours(alarms.ColdHours.Value)
            ),
        };
        foreach (var hit in found.OfType<Hit>())
        {
            var above = hit.Kind is AlarmKind.Hot or AlarmKind.WinterWarm;
            var beyond = above ? hit.Now.MeanC - hit.Limit : hit.Limit - hit.Now.MeanC;
            yield return Alarm(
                state,
                hit.Kind,
                hit.Since,
                hit.Kind is AlarmKind.Hot or AlarmKind.Cold or AlarmKind.WinterFrost && beyond >= alarms.DangerC.Value,
                $"{where}: {hit.Now.MeanC:0.#} °C, {(above ? "above" : "below")} {Wording.Plain(hit.Limit)} °C since {SinceWhen(hit.Since, words, now)}, {Lasts(now - hit.Since)}.",
                hit.Needs,
                rules
            );
        }

        // In a box the air of the room is not the air of the animal.
        var breathe = watched
            .Where(w => !w.Need.Winters && (w.Near == ZoneNearness.OwnPlace || w.Need.IsInTheOpen))
            .Select(w => w.Need)
            .ToList();
        var margin = alarms.HumidityMargin.Value;
        foreach (
            var hit in new[]
            {
                ByLimit(
                    state,
                    AlarmKind.Dry,
                    [.. breathe.Where(n => n.Molts)],
                    n => n.Band.Humidity.Value.Low - margin,
                    (s, limit) => s.MeanHumidity < limit,
                    TimeSpan.FromHours(alarms.DryMoltHours.Value)
                )
                    ?? ByLimit(
                        state,
                        AlarmKind.Dry,
                        breathe,
                        n => n.Band.Humidity.Value.Low - margin,
                        (s, limit) => s.MeanHumidity < limit,
                        TimeSpan.FromHours(alarms.DryHours.Value)
                    ),
                ByLimit(
                    state,
                    AlarmKind.Damp,
                    breathe,
                    n => n.Band.Humidity.Value.High + margin,
                    (s, limit) => s.MeanHumidity > limit,
                    TimeSpan.FromHours(alarms.DampHours.Value)
                ),
            }.OfType<Hit>()
        )
        {
            var dry = hit.Kind == AlarmKind.Dry;
            yield return Alarm(
                state,
                hit.Kind,
                hit.Since,
                dry && hit.Needs.Any(n => n.Molts),
                $"{where}: {hit.Now.MeanHumidity:0} %, {(dry ? "below" : "above")} {Wording.Plain(hit.Limit)} % since {SinceWhen(hit.Since, words, now)}, {Lasts(now - hit.Since)}{(dry && hit.Needs.Any(n => n.Molts) ? ": too dry for a molt" : "")}.",
                hit.Needs,
                rules
            );
        }

        Hit? ByLimit(
            SensorState of,
            AlarmKind kind,
            List<AirNeed> needs,
            Func<AirNeed, double> limit,
            Func<AirSpan, double, bool> isBeyond,
            TimeSpan dwell
        ) =>
            needs
                .GroupBy(limit)
                .Select(g =>
                    (
                        Limit: g.Key,
                        Needs: g.ToList(),
                        Since: BeyondSince(of.Lately, s => isBeyond(s, g.Key), dwell, alarms, now)
                    )
                )
                .Where(x => x.Since is not null)
                .GroupBy(_ => kind)
                .Select(g => new Hit(
                    kind,
                    // The limit that was passed first is the one that is said.
                    g.MinBy(x => x.Since!.Value).Limit,
                    g.Min(x => x.Since!.Value),
                    of.Lately[^1],
                    [.. g.SelectMany(x => x.Needs)]
                ))
                .FirstOrDefault();
    }

    private sealed record Hit(
        AlarmKind Kind,
        double Limit,
        DateTimeOffset Since,
        AirSpan Now,
        IReadOnlyList<AirNeed> Needs
    );

    /// <summary>Since when every span was beyond a limit, where that is long enough and rests on enough readings.</summary>
    internal static DateTimeOffset? BeyondSince(
        IReadOnlyList<AirSpan> lately,
        Func<AirSpan, bool> isBeyond,
        TimeSpan dwell,
        RoomAlarmRules rules,
        DateTimeOffset now
    )
    {
        DateTimeOffset? since = null;
        var (readings, until) = (0, now);
        for (var i = lately.Count - 1; i >= 0 && isBeyond(lately[i]) && until - lately[i].To <= Gap; i--)
        {
            (since, until) = (lately[i].From, lately[i].From);
            readings += lately[i].Count;
        }

        return since is { } from && now - from >= dwell && readings >= rules.FewestReadings.Value ? from : null;
    }

    private static ClimateAlarm Alarm(
        SensorState state,
        AlarmKind kind,
        DateTimeOffset since,
        bool danger,
        string says,
        IReadOnlyList<AirNeed> needs,
        RoomClimateRules rules
    ) =>
        new(
            $"{kind}:{state.Sensor.Id}",
            kind,
            state.Sensor.Id,
            state.Sensor.Name,
            state.Sensor.Zone ?? "",
            since,
            danger,
            says,
            AlarmAdvice.Of(kind, needs),
            AlarmReasons.Of(kind, needs, rules),
            [
                .. needs
                    .OrderByDescending(n => n.Molts)
                    .ThenBy(n => n.Place)
                    .Select(n => new AlarmFor(n.StockId, n.Name, n.Place.Code, n.IsHushed)),
            ],
            AlarmState.Open,
            null,
            null
        );

    /// <summary>What was said to it; to one that began later nothing was.</summary>
    private static ClimateAlarm Answered(ClimateAlarm alarm, ClimateBook book, RoomAlarmRules rules, DateTimeOffset now)
    {
        var answer = book.Answers.FirstOrDefault(a => a.Alarm == alarm.Key && a.At >= alarm.Since);
        if (answer is null)
        {
            return alarm;
        }

        var again = answer.Until is { } until
            ? now >= until
            : now - answer.At >= TimeSpan.FromHours(rules.EscalateHours.Value);
        return alarm with
        {
            State =
                // A silent sensor that somebody knows of is not said again and again.
                again && (answer.Until is not null || !IsOfSensor(alarm.Kind))
                    ? AlarmState.SaidAgain
                : answer.Until is not null ? AlarmState.Snoozed
                : AlarmState.Seen,
            AnsweredBy = answer.By,
            Until = answer.Until,
        };
    }

    private static bool IsOfSensor(AlarmKind kind) => kind is AlarmKind.Silent or AlarmKind.Stuck or AlarmKind.Drifted;

    private static string SinceWhen(DateTimeOffset at, NightClock clock, DateTimeOffset now) =>
        now - at >= NamedHours ? $"{clock.DayOf(at)} {clock.HourOf(at)}" : clock.HourOf(at);

    private static string Lasts(TimeSpan time) =>
        time.TotalHours >= 48 ? $"{time.TotalDays:0} days"
        : time.TotalMinutes >= 100 ? $"{time.TotalHours:0.#} h"
        : $"{time.TotalMinutes:0} min";
}
