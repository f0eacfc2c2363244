using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Rounds;

/// <summary>Something that would change the reading of an animal, said beforehand.</summary>
/// <param name="When">What would be seen.</param>
/// <param name="Then">What it would mean.</param>
/// <param name="Case">The guide's case of it; none where the guide has nothing to ask.</param>
public sealed record Turn(string When, string Then, string? Case)
{
    /// <summary>What would change the reading of an animal tonight: only what can be seen in its group and stage.</summary>
    public static IEnumerable<Turn> Of(Judgement j) =>
        j.Phase.Value switch
        {
            Phase.Suspected or Phase.Likely => Before(j),
            Phase.Imminent => During(j),
            _ => [],
        };

    private static IEnumerable<Turn> Before(Judgement j)
    {
        var signs = j
            .Subject.Room.Rules.Signs.Where(sign => sign.Groups.Contains(j.Subject.Group.Id))
            .ToLookup(sign => sign.Strength);
        if (LogMenu.Eats(j))
        {
            yield return new Turn(
                $"If {j.Subject.It} takes food",
                "what was seen before is answered: the signs are taken back",
                null
            );
        }

        var imminent = signs[SignStrength.Imminent].Select(sign => sign.Label).ToList();
        if (imminent.Count > 0)
        {
            var mark = PhaseMark.Of(Phase.Imminent);
            yield return new Turn(
                string.Join(", or ", imminent.Select((label, k) => k == 0 ? label : label.ToLowerFirst())),
                $"{mark.Word}: three shutters, close the lid softly",
                null
            );
        }

        foreach (var sign in signs[SignStrength.Opposite])
        {
            yield return new Turn(sign.Label, sign.Note, null);
        }
    }

    private static IEnumerable<Turn> During(Judgement j) =>
        j
            .Subject.Room.Rules.Guide.Where(c =>
                c.During?.Contains(Phase.Imminent) == true
                && c.Groups.Contains(j.Subject.Group.Id)
                && (c.Stages is null || c.Stages.Contains(j.Stage.Value))
            )
            .Select(c => new Turn(
                c.Title,
                "the guide asks what you see and says what to do; until then hands off",
                c.Id
            ));
}
