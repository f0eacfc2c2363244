using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Trays;

/// <summary>Some of a brood in numbered vials molted; when all of them have, the brood has.</summary>
/// <param name="Vials">Numbers of the vials in which a skin was found.</param>
public sealed record VialsMolted(IReadOnlyList<int> Vials) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => VialsMoltedEntry.It;
}

/// <summary>Molts of some of a brood.</summary>
public sealed class VialsMoltedEntry() : EntryDefinition<VialsMolted>("vialsMolted")
{
    /// <summary>The definition.</summary>
    public static VialsMoltedEntry It { get; } = new();

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new VialsMolted([1]), new VialsMolted([1, 2])];

    /// <inheritdoc/>
    protected override Standing Fold(VialsMolted act, Standing standing, JournalEntry entry)
    {
        var before = standing.Tray.Molted;
        VialMolt After(int number) =>
            new(number, 1 + (before.FirstOrDefault(v => v.Number == number)?.Molts ?? 0), entry.When.To);
        List<VialMolt> molted = [.. before.Where(v => !act.Vials.Contains(v.Number)), .. act.Vials.Select(After)];
        var some = standing with
        {
            Tray = standing.Tray with { Molted = [.. molted.OrderBy(v => v.Number)] },
            // Who has molted left its food for that.
            Feeding = standing.Feeding with
            {
                Vials = [.. standing.Feeding.Vials.Where(v => !act.Vials.Contains(v.Number))],
            },
        };
        if (standing.Vials.Any(n => molted.TrueForAll(v => v.Number != n)))
        {
            return some;
        }

        // The last of them has: the brood as a whole molted between the first and the last.
        var first = molted.Min(v => v.At);
        var when = new Occurrence(first < entry.When.From ? first : entry.When.From, entry.When.To);
        return some.AfterMolt(new MoltEvent(entry.Id, when, Ultimate: false, Mismolt: false));
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(VialsMolted act, EntryAt at)
    {
        if (act.Vials is not { Count: > 0 })
        {
            yield return new Problem("act.vials", "Name at least one vial.");
        }
        else if (at.Standing is { } standing)
        {
            foreach (var problem in VialNumbers.Check("act.vials", act.Vials, standing))
            {
                yield return problem;
            }
        }
    }

    /// <inheritdoc/>
    protected override string Say(VialsMolted act, RuleSet rules, Wording words) =>
        $"molted: {VialNumbers.Text(act.Vials)}";

    /// <inheritdoc/>
    protected override RoundPart Round(VialsMolted act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override string? Pace(VialsMolted act) => "molted";

    /// <inheritdoc/>
    protected override bool IsNews(VialsMolted act) => true;

    /// <inheritdoc/>
    protected override string? Tomorrow(VialsMolted act) => "some molted: still soft, no food in their vials";

    /// <inheritdoc/>
    protected override bool IsToldTwice(VialsMolted act, VialsMolted other) => act.Vials.Any(other.Vials.Contains);
}
