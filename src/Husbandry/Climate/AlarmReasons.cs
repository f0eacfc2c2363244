using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Climate;

/// <summary>What an alarm rests on: the limit that was passed, and how long is too long.</summary>
/// <remarks>Source: the rules that it names, each with its own.</remarks>
public static class AlarmReasons
{
    /// <summary>The reasons of an alarm.</summary>
    /// <param name="kind">What it is about.</param>
    /// <param name="needs">Animals that it is about; empty for one of the sensor.</param>
    /// <param name="rules">How long is too long.</param>
    public static IReadOnlyList<Reason> Of(AlarmKind kind, IReadOnlyList<AirNeed> needs, RoomClimateRules rules)
    {
        var alarms = rules.Alarms;
        Reason Lasts(Rule<double> rule, string name) =>
            rule.Because(
                "How long",
                $"room.alarms.{name}",
                $"Called out after {Wording.Plain(rule.Value)} {rule.Unit}, on {alarms.FewestReadings.Value} readings or more: never on one."
            );
        return kind switch
        {
            AlarmKind.Hot =>
            [
                .. Limits(needs, n => n.Band.CeilingC, "ceilingC", "too hot from"),
                Lasts(alarms.HotMinutes, "hotMinutes"),
            ],
            AlarmKind.Cold =>
            [
                .. Limits(needs, n => n.Band.FloorC, "floorC", "too cold below"),
                Lasts(alarms.ColdHours, "coldHours"),
            ],
            AlarmKind.WinterWarm => [Winter(rules), Lasts(alarms.WinterHours, "winterHours")],
            AlarmKind.WinterFrost => [Winter(rules), Lasts(alarms.ColdHours, "coldHours")],
            AlarmKind.Dry =>
            [
                .. Humidity(needs, alarms),
                needs.Any(n => n.Molts)
                    ? Lasts(alarms.DryMoltHours, "dryMoltHours")
                    : Lasts(alarms.DryHours, "dryHours"),
            ],
            AlarmKind.Damp => [.. Humidity(needs, alarms), Lasts(alarms.DampHours, "dampHours")],
            AlarmKind.Silent => [Lasts(alarms.SilentMinutes, "silentMinutes")],
            AlarmKind.Stuck =>
            [
                alarms.StuckTimesLongest.Because(
                    "How long",
                    "room.alarms.stuckTimesLongest",
                    $"Exactly the same for {Wording.Plain(alarms.StuckTimesLongest.Value)} times the longest of the week before: {Hours(alarms.StuckSwingHours.Value)} where day and night differ by {Wording.Plain(alarms.StuckSwingC.Value)} °C or more, else {Hours(alarms.StuckStillHours.Value)}."
                ),
            ],
            AlarmKind.Drifted =>
            [
                alarms.DriftC.Because(
                    "How much",
                    "room.alarms.driftC",
                    $"The last {alarms.DriftDays.Value} days against the {alarms.DriftAgainstDays.Value} before, as the difference to the neighbours' median: {Wording.Plain(alarms.DriftC.Value)} °C or {Wording.Plain(alarms.DriftHumidity.Value)} % is too much."
                ),
            ],
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "No reasons for such an alarm."),
        };
    }

    private static string Hours(Rulebook.Range hours) =>
        $"{Wording.Plain(hours.Low)} to {Wording.Plain(hours.High)} hours";

    private static Reason Winter(RoomClimateRules rules) =>
        rules.WinterC.Because(
            "Limit",
            "room.winterC",
            $"A winter box is kept at {Wording.Plain(rules.WinterC.Value.Low)} to {Wording.Plain(rules.WinterC.Value.High)} °C."
        );

    /// <summary>One line for each limit, with whom it is of.</summary>
    private static IEnumerable<Reason> Limits(
        IReadOnlyList<AirNeed> needs,
        Func<AirNeed, Rule<double>> limit,
        string name,
        string says
    ) =>
        needs
            .GroupBy(n => (limit(n).Value, n.Group))
            .Select(g =>
                limit(g.First())
                    .Because("Limit", $"group.{name}", $"{Who([.. g])}: {says} {Wording.Plain(g.Key.Value)} °C.")
            );

    private static IEnumerable<Reason> Humidity(IReadOnlyList<AirNeed> needs, RoomAlarmRules alarms) =>
        needs
            .GroupBy(n => (n.Band.Humidity.Value, n.Band.Moisture, n.Group))
            .Select(g =>
                g.First()
                    .Band.Humidity.Because(
                        "Limit",
                        $"group.humidity.{g.Key.Moisture.ToString().ToLowerInvariant()}",
                        $"{Who([.. g])}: {Wording.Plain(g.Key.Value.Low)} to {Wording.Plain(g.Key.Value.High)} %, and {Wording.Plain(alarms.HumidityMargin.Value)} % more for the instrument."
                    )
            );

    private static string Who(List<AirNeed> of) => of.Count == 1 ? of[0].Name : $"{of[0].Name} and {of.Count - 1} more";
}
