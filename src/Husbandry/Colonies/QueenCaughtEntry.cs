using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Colonies;

/// <summary>How a queen was caught.</summary>
/// <param name="Way">How.</param>
/// <param name="Winged">Whether she had her wings; none where nobody looked.</param>
/// <param name="Weather">The weather of the flight, 1–60 characters.</param>
public sealed record QueenCaught(CatchWay Way, bool? Winged = null, string? Weather = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => QueenCaughtEntry.It;
}

/// <summary>The catch of a queen.</summary>
public sealed class QueenCaughtEntry() : EntryDefinition<QueenCaught>("queenCaught")
{
    /// <summary>The definition.</summary>
    public static QueenCaughtEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new QueenCaught(CatchWay.Walking, false, "warm and still after rain"), new QueenCaught(CatchWay.Dug, true)];

    /// <summary>Whether a catch is written down of it: of ants.</summary>
    public static bool Concerns(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return subject.Group.Feeding.Diet == Diet.SugarAndProtein;
    }

    /// <summary>What the catch tells of her mating, in a sentence; empty where it tells nothing.</summary>
    /// <remarks>Source: common practice, no published source.</remarks>
    public static string Mated(CatchEvent? caught) =>
        caught switch
        {
            { Way: CatchWay.Dug, Winged: true } => "Dug from a nest with her wings on: probably not mated.",
            { Way: CatchWay.Walking, Winged: false } => "Walking without wings after a flight: most likely mated.",
            { Way: CatchWay.Walking } => "Walking after a flight: likely mated; some keep their wings for days.",
            { Way: CatchWay.Flying } => "Caught as she flew: she may not be mated yet.",
            _ => "",
        };

    /// <inheritdoc/>
    protected override Standing Fold(QueenCaught act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Colony = standing.Colony with
            {
                Catch = new CatchEvent(
                    entry.When.To,
                    act.Way,
                    act.Winged,
                    string.IsNullOrWhiteSpace(act.Weather) ? null : act.Weather.Trim()
                ),
            },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(QueenCaught act, EntryAt at)
    {
        if (at.Group is { } group && group.Feeding.Diet != Diet.SugarAndProtein)
        {
            yield return new Problem("act.kind", $"A catch is written down of ant queens, not of a {group.One}.");
        }

        foreach (
            var problem in EntryCheck.CheckText("act.weather", act.Weather, required: false, EntryCheck.LongestName)
        )
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(QueenCaught act, RuleSet rules, Wording words) =>
        string.Join(
            ", ",
            new[]
            {
                act.Way switch
                {
                    CatchWay.Walking => "caught walking",
                    CatchWay.Dug => "dug from a nest",
                    CatchWay.Flying => "caught flying",
                    CatchWay.FromKeeper => "from another keeper",
                    _ => throw new ArgumentOutOfRangeException(nameof(act), act.Way, "No words for such a catch."),
                },
                act.Winged switch
                {
                    true => "with her wings",
                    false => "without wings",
                    null => "",
                },
                act.Weather?.Trim() ?? "",
            }.Where(t => t.Length > 0)
        );

    /// <inheritdoc/>
    protected override bool IsHistory(QueenCaught act) => true;
}
