using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>Tonight's work at this enclosure was put off.</summary>
/// <param name="UntilNight">The night on which it is due again.</param>
/// <param name="Reason">Why, in the keeper's words; may be left out.</param>
public sealed record PutOff(DateOnly UntilNight, string? Reason = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => PutOffEntry.It;
}

/// <summary>Work put off.</summary>
public sealed class PutOffEntry() : EntryDefinition<PutOff>("putOff")
{
    private const int LongestNights = 60;

    /// <summary>The definition.</summary>
    public static PutOffEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new PutOff(new DateOnly(2026, 1, 10)), new PutOff(new DateOnly(2026, 1, 10), "a draught")];

    /// <inheritdoc/>
    protected override Standing Fold(PutOff act, Standing standing, JournalEntry entry) =>
        standing with
        {
            PutOffUntil = act.UntilNight,
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(PutOff act, EntryAt at)
    {
        var night = at.Room.Clock.NightOf(at.When.To);
        if (act.UntilNight <= night || act.UntilNight > night.AddDays(LongestNights))
        {
            yield return new Problem(
                "act.untilNight",
                $"Must be after that night and at most {LongestNights} nights ahead."
            );
        }

        foreach (
            var problem in EntryCheck.CheckText("act.reason", act.Reason, required: false, EntryCheck.LongestCaption)
        )
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(PutOff act, RuleSet rules, Wording words)
    {
        var until = $"put off until {words.Day(act.UntilNight)}";
        return act.Reason is { Length: > 0 } reason ? $"{until}: {reason}" : until;
    }

    /// <inheritdoc/>
    protected override RoundPart Round(PutOff act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override string? Tomorrow(PutOff act) => "was put off";
}
