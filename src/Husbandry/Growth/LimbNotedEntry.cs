using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>A lost limb, or how far it has grown again.</summary>
/// <param name="Limb">Which, in the keeper's words, e.g. "leg 3 left"; 1–40 characters.</param>
/// <param name="State">How it was found.</param>
public sealed record LimbNoted(string Limb, LimbState State) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => LimbNotedEntry.It;
}

/// <summary>A note on a limb.</summary>
public sealed class LimbNotedEntry() : EntryDefinition<LimbNoted>("limbNoted")
{
    private const int LongestLimb = 40;

    /// <summary>The definition.</summary>
    public static LimbNotedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [.. Enum.GetValues<LimbState>().Select(state => new LimbNoted("leg 3 left", state))];

    /// <summary>How a limb was found, in words.</summary>
    public static string Word(LimbState state) =>
        state switch
        {
            LimbState.Lost => "lost",
            LimbState.Small => "grown again, still small",
            LimbState.Full => "full size again",
            _ => throw new ArgumentOutOfRangeException(nameof(state), state, "No word for a limb found so."),
        };

    /// <inheritdoc/>
    protected override Standing Fold(LimbNoted act, Standing standing, JournalEntry entry)
    {
        var growth = standing.Growth;
        var former = growth.Limbs.FirstOrDefault(l => l.Limb == act.Limb);
        var lostAt = act.State == LimbState.Lost ? growth.Molts.Count : former?.LostAtMolts ?? growth.Molts.Count;
        var now = new LimbEvent(act.Limb, act.State, entry.When.To, growth.Molts.Count, lostAt);
        return standing with { Growth = growth with { Limbs = [.. growth.Limbs.Where(l => l.Limb != act.Limb), now] } };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(LimbNoted act, EntryAt at) =>
        EntryCheck.CheckText("act.limb", act.Limb, required: true, LongestLimb);

    /// <inheritdoc/>
    protected override string Say(LimbNoted act, RuleSet rules, Wording words) => $"{act.Limb}: {Word(act.State)}";

    /// <inheritdoc/>
    protected override bool IsHistory(LimbNoted act) => true;

    /// <inheritdoc/>
    protected override LimbNoted? ForPapers(LimbNoted act) => act;
}
