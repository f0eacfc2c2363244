using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>
/// What the record tells of an animal before anything is said of what to do: the one way from a standing to a forecast, for the
/// screen and for the replay that scores it.
/// </summary>
/// <param name="Subject">The animal.</param>
/// <param name="Size">How large it is.</param>
/// <param name="Stage">Its stage of life.</param>
/// <param name="Condition">How well fed it is.</param>
/// <param name="Premolt">What the signs add up to.</param>
public sealed record LifeReading(
    Subject Subject,
    Answer<BodySize?> Size,
    Answer<Stage> Stage,
    Answer<Condition> Condition,
    Answer<PremoltReading> Premolt
)
{
    /// <summary>Reads an animal.</summary>
    public static LifeReading Of(Subject subject)
    {
        var size = BodySize.Of(subject);
        var stage = StageReading.Of(subject, size.Value);
        var condition = Growth.Condition.Of(subject);
        return new LifeReading(
            subject,
            size,
            stage,
            condition,
            PremoltReading.Of(subject, stage.Value, condition.Value)
        );
    }
}

/// <summary>The wait for the next molt with the evidence weighed in.</summary>
/// <param name="Life">The animal as read.</param>
/// <param name="Wait">The wait without evidence.</param>
/// <param name="Weighed">The wait with it.</param>
/// <param name="Ladder">How each step of the evidence moved the chance of premolt.</param>
internal sealed record MoltOutlook(LifeReading Life, MoltWait Wait, WeighedWait Weighed, IReadOnlyList<Rung> Ladder)
{
    /// <summary>The outlook of an animal that will molt again.</summary>
    public static MoltOutlook Of(LifeReading life)
    {
        var wait = MoltWait.Of(life.Subject, life.Stage.Value);
        var (weighed, ladder) = wait.Weigh(life.Premolt.Value);
        return new MoltOutlook(life, wait, weighed, ladder);
    }
}
