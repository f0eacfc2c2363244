using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tanks;

/// <summary>A crab wears another shell, or the one it wears was measured.</summary>
/// <param name="Shape">Shape of its opening.</param>
/// <param name="OpeningMm">Width of its opening, 2–80 mm, where it was measured.</param>
public sealed record ShellTaken(ShellShape Shape, double? OpeningMm = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => ShellTakenEntry.It;
}

/// <summary>A change of shell.</summary>
public sealed class ShellTakenEntry() : EntryDefinition<ShellTaken>("shellTaken")
{
    /// <summary>The definition.</summary>
    public static ShellTakenEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new ShellTaken(ShellShape.Oval, 14), new ShellTaken(ShellShape.Round)];

    /// <summary>Whether it wears a shell: a single animal of a group that is measured by its claw.</summary>
    public static bool Wears(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return subject.Group.Growth.SizePart == BodyPart.Claw && !subject.IsMany;
    }

    /// <inheritdoc/>
    protected override Standing Fold(ShellTaken act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Shared = standing.Shared with
            {
                Shell = new ShellEvent(entry.When.To, act.OpeningMm, act.Shape, standing.Shared.Shell?.OpeningMm),
            },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(ShellTaken act, EntryAt at)
    {
        if (act.OpeningMm is { } opening && !ShellChecks.IsOpening(opening))
        {
            yield return new Problem("act.openingMm", ShellChecks.Range);
        }

        if (at is { Written: false, Standing: { } standing } && !Wears(Subject.Of(standing, at.Room)))
        {
            yield return new Problem("act.kind", "Only a hermit crab kept as one wears a shell.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(ShellTaken act, RuleSet rules, Wording words) =>
        $"wears a shell, {ShellChecks.Word(act.Shape)}{(act.OpeningMm is { } mm ? $", {words.Length(mm)}" : "")}";

    /// <inheritdoc/>
    protected override bool IsToldTwice(ShellTaken act, ShellTaken other) => true;
}

/// <summary>Empty shells of a tank, as counted now; what was there before is forgotten.</summary>
/// <param name="Lots">By size and shape, 0 to 60 lots.</param>
public sealed record ShellsCounted(IReadOnlyList<ShellLot> Lots) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => ShellsCountedEntry.It;
}

/// <summary>Empty shells counted.</summary>
public sealed class ShellsCountedEntry() : EntryDefinition<ShellsCounted>("shellsCounted")
{
    private const int MostLots = 60;
    private const int MostShells = 1000;

    /// <summary>The definition.</summary>
    public static ShellsCountedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new ShellsCounted([new ShellLot(14, ShellShape.Oval, 4), new ShellLot(18, ShellShape.Round, 2)]),
            new ShellsCounted([]),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(ShellsCounted act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Shared = standing.Shared with { Shells = act.Lots, ShellsAt = entry.When.To },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(ShellsCounted act, EntryAt at)
    {
        if (act.Lots.Count > MostLots || act.Lots.Any(l => l is null))
        {
            yield return new Problem("act.lots", $"At most {MostLots} sizes and shapes.");
            yield break;
        }

        for (var i = 0; i < act.Lots.Count; i++)
        {
            if (!ShellChecks.IsOpening(act.Lots[i].OpeningMm))
            {
                yield return new Problem($"act.lots[{i}].openingMm", ShellChecks.Range);
            }

            if (act.Lots[i].Count is < 1 or > MostShells)
            {
                yield return new Problem($"act.lots[{i}].count", $"Must be 1 to {MostShells}.");
            }
        }

        if (at is { Written: false, Standing.IsTank: false })
        {
            yield return new Problem("act.kind", "Empty shells are counted in a shared tank.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(ShellsCounted act, RuleSet rules, Wording words) =>
        act.Lots.Count == 0
            ? "no empty shells"
            : $"empty shells: {string.Join(", ", act.Lots.OrderBy(l => l.OpeningMm).Select(l => $"{l.Count} × {words.Length(l.OpeningMm)} {ShellChecks.Word(l.Shape)}"))}";

    /// <inheritdoc/>
    protected override bool IsToldTwice(ShellsCounted act, ShellsCounted other) => true;
}

/// <summary>What holds for every shell.</summary>
internal static class ShellChecks
{
    private const double LeastMm = 2;
    private const double MostMm = 80;

    /// <summary>The range in words.</summary>
    public static string Range => $"Must be {LeastMm} to {MostMm} mm.";

    /// <summary>Whether an opening is within it.</summary>
    public static bool IsOpening(double mm) => mm is >= LeastMm and <= MostMm;

    /// <summary>A shape in a word.</summary>
    public static string Word(ShellShape shape) =>
        shape switch
        {
            ShellShape.Round => "round",
            ShellShape.Oval => "oval",
            ShellShape.Slit => "slit",
            _ => throw new ArgumentOutOfRangeException(nameof(shape), shape, "No word for such a shape."),
        };
}
