using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Records;

/// <summary>The keeper knows better now; the whole of the details replaces the former.</summary>
public sealed record DetailsChanged(StockDetails Details) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => DetailsChangedEntry.It;
}

/// <summary>Details mended.</summary>
public sealed class DetailsChangedEntry() : EntryDefinition<DetailsChanged>("detailsChanged")
{
    /// <summary>The definition.</summary>
    public static DetailsChangedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override bool TellsOfNoNight => true;

    /// <inheritdoc/>
    public override bool OutlivesDeparture => true;

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new DetailsChanged(DetailsCheck.Example)];

    /// <inheritdoc/>
    protected override Standing Fold(DetailsChanged act, Standing standing, JournalEntry entry) =>
        (
            act.Details.Count == standing.Details.Count
                ? standing
                : standing.WithCount(entry, CountChange.Mended, act.Details.Count)
        ) with
        {
            Details = act.Details,
            DetailsVersion = entry.Sequence,
            ArrivedAt = standing.ArrivedAt.AddDays(
                act.Details.AcquiredOn.DayNumber - standing.Details.AcquiredOn.DayNumber
            ),
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(DetailsChanged act, EntryAt at) =>
        DetailsCheck
            .Check(act.Details, at.Room)
            .Concat(DetailsCheck.AgainstKind(act.Details, at.Standing))
            .Concat(DetailsCheck.AgainstMolts(act.Details, at.Standing, at.Room))
            .Concat(DetailsCheck.AgainstWaits(act.Details, at.Standing, at.Room));

    /// <inheritdoc/>
    protected override string Say(DetailsChanged act, RuleSet rules, Wording words) => "details changed";
}
