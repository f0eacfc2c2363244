using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>Something else was done to it that the hush table speaks of: handled, rehoused, dug up, cleaned.</summary>
public sealed record Handled(CareAct Care) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => HandledEntry.It;
}

/// <summary>Something done to it.</summary>
public sealed class HandledEntry() : EntryDefinition<Handled>("handled")
{
    /// <summary>The definition.</summary>
    public static HandledEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [.. Enum.GetValues<CareAct>().Select(care => new Handled(care))];

    /// <inheritdoc/>
    protected override Standing Fold(Handled act, Standing standing, JournalEntry entry) =>
        act.Care == CareAct.Pair
            // As pairings were logged before the partner was asked for.
            ? PairedEntry.PutTogether(new Paired(), standing, entry)
        : act.Care == CareAct.Clean ? standing.WithTended(TendedEvent.Cleaned, entry.When.To)
        : standing;

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Handled act, EntryAt at)
    {
        if (act.Care is CareAct.FeedLive or CareAct.FeedDead or CareAct.Water or CareAct.Mist)
        {
            yield return new Problem("act.care", "Food and water are logged as offers and watering.");
        }
        else if (act.Care == CareAct.Pair && !at.Written)
        {
            yield return new Problem("act.care", "A pairing is logged as such, with its partner.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Handled act, RuleSet rules, Wording words) =>
        act.Care switch
        {
            CareAct.Handle => "handled",
            CareAct.Rehouse => "rehoused",
            CareAct.Dig => "dug up or opened",
            CareAct.Ship => "sent or carried away",
            CareAct.Pair => "put together with a mate",
            CareAct.BrightLight => "bright light",
            CareAct.Clean => "cleaned",
            CareAct.Mist => "misted",
            CareAct.Water => "water given",
            CareAct.FeedLive or CareAct.FeedDead => "fed",
            _ => throw new ArgumentOutOfRangeException(nameof(act), act.Care, "No words for what was done."),
        };

    /// <inheritdoc/>
    protected override bool IsHistory(Handled act) => act.Care == CareAct.Pair;

    /// <inheritdoc/>
    protected override CareAct? Care(Handled act, Subject subject) => act.Care;
}
