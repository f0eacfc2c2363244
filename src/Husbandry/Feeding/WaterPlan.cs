using Husbandry.Housing;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Feeding;

/// <summary>When water is due.</summary>
/// <param name="Due">Night on which it is due.</param>
/// <param name="Last">Night on which it was last given.</param>
/// <param name="EveryDays">Days between two waterings now.</param>
/// <param name="Mist">How the enclosure is misted, where it has a plan of its own.</param>
public sealed record WaterPlan(DateOnly Due, DateOnly? Last, double EveryDays, MistPlan? Mist)
{
    /// <summary>
    /// The water clock: the mist plan of the enclosure, quicker in drier air, where it has one; else by stage and moisture
    /// school of the species.
    /// </summary>
    public static Answer<WaterPlan> Of(Subject subject, Stage stage)
    {
        var last = subject.Standing.LastWater is { } at ? subject.Night(at) : (DateOnly?)null;
        var mist = subject.Standing.House?.Enclosure.Mist;
        var (days, reason) = mist is null ? BySpecies(subject, stage, last) : ByMistPlan(subject, mist, last);
        var due = (last ?? subject.Standing.Details.AcquiredOn).AddDays((int)days);
        return new Answer<WaterPlan>(
            new WaterPlan(due, last, days, mist),
            due <= subject.Room.Tonight ? "Water is due." : $"Water again {subject.Room.Wording.Day(due)}.",
            [reason]
        );
    }

    private static (double Days, Reason Why) BySpecies(Subject subject, Stage stage, DateOnly? last)
    {
        var moisture = subject.Profile.Moisture.Value;
        var rule = stage == Stage.Sling ? subject.Group.SlingWaterEveryDays : subject.Group.WaterEveryDays[moisture];
        var whom =
            stage == Stage.Sling ? "slings"
            : moisture == Moisture.Damp ? "species that need it damp"
            : "dry species";
        var name =
            stage == Stage.Sling
                ? "group.slingWaterEveryDays"
                : $"group.waterEveryDays.{moisture.ToString().ToLowerInvariant()}";
        return (
            rule.Value,
            rule.Because("Water", name, $"{Given(subject, last)}; every {Wording.Days(rule.Value)} for {whom}.")
        );
    }

    private static (double Days, Reason Why) ByMistPlan(Subject subject, MistPlan mist, DateOnly? last)
    {
        var most = subject.Room.Rules.Room.MistDriestFactor;
        var plan =
            $"{Given(subject, last)}; mist plan of the enclosure: {Wording.Plain(mist.Ml)} mL every {Wording.Days(mist.EveryDays)}";
        if (subject.Room.Climate.Dryness(subject.Standing.Place, subject.Room.Now) is not { } factor)
        {
            return (
                Math.Max(1, mist.EveryDays),
                Reason.FromRecord(
                    "Mist",
                    $"{plan}. Humidity is not read here, so the plan stands as it is.",
                    "record.mist"
                )
            );
        }

        var bounded = Math.Clamp(factor, 1 / most.Value, most.Value);
        var days = Math.Max(1, Math.Round(mist.EveryDays / bounded));
        return (
            days,
            most.Because(
                "Mist",
                "room.mistDriestFactor",
                $"{plan}; the air takes up water {Wording.Plain(factor)} times as fast as in the weeks before: every {Wording.Days(days)}."
            )
        );
    }

    private static string Given(Subject subject, DateOnly? last) =>
        last is { } night ? $"Last given {subject.Room.Wording.Day(night)}" : "Not yet given";
}
