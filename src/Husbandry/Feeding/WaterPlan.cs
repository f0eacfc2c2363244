using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Husbandry.Feeding;

/// <summary>When water is due.</summary>
/// <param name="Due">Night on which it is due.</param>
/// <param name="Last">Night on which it was last given.</param>
public sealed record WaterPlan(DateOnly Due, DateOnly? Last)
{
    /// <summary>The water clock of an animal, by stage and moisture school of its species.</summary>
    public static Answer<WaterPlan> Of(Subject subject, Stage stage)
    {
        var moisture = subject.Profile.Moisture.Value;
        var rule = stage == Stage.Sling ? subject.Group.SlingWaterEveryDays : subject.Group.WaterEveryDays[moisture];
        var last = subject.Standing.LastWater is { } at ? subject.Night(at) : (DateOnly?)null;
        var due = (last ?? subject.Standing.Details.AcquiredOn).AddDays((int)rule.Value);
        var words = subject.Room.Wording;
        var text =
            $"{(last is { } night ? $"Last given {words.Day(night)}" : "Not yet given")}; every {Wording.Days(rule.Value)} for {(stage == Stage.Sling ? "slings" : moisture == Rulebook.Moisture.Damp ? "species that need it damp" : "dry species")}.";
        return new Answer<WaterPlan>(
            new WaterPlan(due, last),
            due <= subject.Room.Tonight ? "Water is due." : $"Water again {words.Day(due)}.",
            [
                rule.Because(
                    "Water",
                    stage == Stage.Sling
                        ? "group.slingWaterEveryDays"
                        : $"group.waterEveryDays.{moisture.ToString().ToLowerInvariant()}",
                    text
                ),
            ]
        );
    }
}
