using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>How well fed an animal is.</summary>
public enum ConditionWord
{
    /// <summary>No measure that still says something.</summary>
    Unknown,

    /// <summary>Thin.</summary>
    Thin,

    /// <summary>Normal.</summary>
    Normal,

    /// <summary>Plump.</summary>
    Plump,

    /// <summary>Very plump.</summary>
    VeryPlump,
}

/// <summary>The condition score: abdomen width ÷ carapace width.</summary>
/// <param name="Word">What it means.</param>
/// <param name="Score">The score, when measured.</param>
public sealed record Condition(ConditionWord Word, double? Score)
{
    /// <summary>
    /// Reads the newest of what was measured and what was judged by eye since the last molt, while it is fresh; the sign
    /// of a plump abdomen counts as judged by eye.
    /// </summary>
    /// <remarks>Mature males are naturally thin, so no score is read for them. Source: common practice, no published source.</remarks>
    public static Answer<Condition> Of(Subject subject)
    {
        var lasts = subject.Room.Rules.Room.Growth.ConditionLastsDays;
        var eye = ByEye(subject);
        if (eye is { } seen && subject.NightsSince(seen.At) <= lasts.Value && !(Measured(subject)?.At > seen.At))
        {
            return FromEye(subject, seen.At, seen.Word);
        }

        if (subject.Group.Feeding.Condition is not { } rules)
        {
            return Unknown($"A {subject.Group.One} has no abdomen to be measured by.");
        }

        if (subject.Standing.Details.Sex == Sex.Male && subject.Standing.IsMatureByRecord)
        {
            return Unknown("A mature male is naturally thin: no score is read.");
        }

        var here = subject
            .Standing.Growth.Measures.Where(m => m.MoltsHere == subject.Standing.Growth.Molts.Count)
            .ToList();
        var abdomen = here.LastOrDefault(m => m.Part == BodyPart.AbdomenWidth);
        var carapace = here.LastOrDefault(m => m.Part == BodyPart.CarapaceWidth);
        if (abdomen is null || carapace is null || subject.NightsSince(abdomen.At) > lasts.Value)
        {
            return Unknown("Abdomen not measured lately: taken as normal.");
        }

        var score = abdomen.LengthMm / carapace.LengthMm;
        var (word, rule, name) =
            score < rules.ThinBelow.Value ? (ConditionWord.Thin, rules.ThinBelow, "thinBelow")
            : score > rules.VeryPlumpAbove.Value ? (ConditionWord.VeryPlump, rules.VeryPlumpAbove, "veryPlumpAbove")
            : score > rules.PlumpAbove.Value ? (ConditionWord.Plump, rules.PlumpAbove, "plumpAbove")
            : (ConditionWord.Normal, rules.PlumpAbove, "plumpAbove");
        var words = subject.Room.Wording;
        var text =
            $"Abdomen {words.Length(abdomen.LengthMm)} ÷ carapace {words.Length(carapace.LengthMm)} wide = {score:0.0}: "
            + $"{Text(word)}. Normal is {Wording.Plain(rules.ThinBelow.Value)}–{Wording.Plain(rules.PlumpAbove.Value)}.";
        return new Answer<Condition>(
            new Condition(word, score),
            $"Condition {Text(word)}.",
            [rule.Because("Condition", $"group.condition.{name}", text)]
        );
    }

    private static MeasureEvent? Measured(Subject subject) =>
        subject.Standing.Growth.Measures.LastOrDefault(m =>
            m.Part == BodyPart.AbdomenWidth && m.MoltsHere == subject.Standing.Growth.Molts.Count
        );

    private static (DateTimeOffset At, ConditionWord Word)? ByEye(Subject subject)
    {
        var standing = subject.Standing;
        var judged =
            standing.Growth.ConditionByEye is { } eye && eye.MoltsHere == standing.Growth.Molts.Count
                ? (eye.At, Word: WordOf(eye.Condition))
                : ((DateTimeOffset At, ConditionWord Word)?)null;
        var plump = standing.SignsNow.LastOrDefault(s => s.SignId == PlumpSign && s.Count is null);
        return plump is not null && !(judged?.At >= plump.At) ? (plump.At, ConditionWord.Plump) : judged;
    }

    private const string PlumpSign = "plump";

    private static ConditionWord WordOf(BodyCondition condition) =>
        condition switch
        {
            BodyCondition.Thin => ConditionWord.Thin,
            BodyCondition.Normal => ConditionWord.Normal,
            BodyCondition.Full => ConditionWord.Plump,
            BodyCondition.VeryFull => ConditionWord.VeryPlump,
            _ => throw new ArgumentOutOfRangeException(nameof(condition), condition, "No word belongs to it."),
        };

    private static Answer<Condition> FromEye(Subject subject, DateTimeOffset at, ConditionWord word)
    {
        var natural =
            word == ConditionWord.Thin && subject.Standing.Details.Sex == Sex.Male && subject.Standing.IsMatureByRecord;
        var text = $"By eye, {subject.Room.Wording.Day(subject.Night(at))}: {Text(word)}.";
        return natural
            ? Unknown($"{text} A mature male is naturally thin.")
            : new Answer<Condition>(
                new Condition(word, null),
                $"Condition {Text(word)}.",
                [subject.Group.Feeding.ConditionByEye.Because("Condition", "group.conditionByEye", text)]
            );
    }

    /// <summary>When the condition that holds was seen; none when none is known.</summary>
    internal static DateTimeOffset? SeenAt(Subject subject) =>
        new[] { ByEye(subject)?.At, Measured(subject)?.At }.Max();

    /// <summary>The word as a keeper says it.</summary>
    public static string Text(ConditionWord word) =>
        word switch
        {
            ConditionWord.Thin => "thin",
            ConditionWord.Normal => "normal",
            ConditionWord.Plump => "plump",
            ConditionWord.VeryPlump => "very plump",
            _ => "not known",
        };

    private static Answer<Condition> Unknown(string text) =>
        new(
            new Condition(ConditionWord.Unknown, null),
            text,
            [Reason.FromRecord("Condition", text, "record.condition")]
        );
}
