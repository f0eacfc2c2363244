using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>How many became more.</summary>
public enum GainKind
{
    /// <summary>Born or hatched.</summary>
    Born,

    /// <summary>Found again.</summary>
    Found,

    /// <summary>Put in from elsewhere.</summary>
    PutIn,
}

/// <summary>There are more of many: young were born, a runaway was found, some were put in.</summary>
/// <param name="How">How.</param>
/// <param name="Count">How many.</param>
/// <param name="Remark">Free text; may be left out.</param>
public sealed record Gained(GainKind How, int Count, string? Remark = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => GainedEntry.It;
}

/// <summary>A gain.</summary>
public sealed class GainedEntry() : EntryDefinition<Gained>("gained")
{
    /// <summary>The definition.</summary>
    public static GainedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            .. Enum.GetValues<GainKind>()
                .Select(how => new Gained(how, 2, how == GainKind.Born ? null : "by the window")),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Gained act, Standing standing, JournalEntry entry) =>
        standing.WithCount(entry, Change(act.How), standing.Details.Count + act.Count);

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Gained act, EntryAt at)
    {
        var details = at.Standing?.Details;
        var most = details?.Kind == StockKind.Colony ? EntryCheck.MostInColony : EntryCheck.MostAnimals;
        if (details?.Kind == StockKind.Specimen)
        {
            yield return new Problem(
                "act.count",
                "One animal does not become more: note what came as stock of its own."
            );
        }
        else if (act.Count < 1 || act.Count > most - (details?.Count ?? 0))
        {
            yield return new Problem("act.count", $"Must be 1 or more, and at most {most} with those that are there.");
        }

        foreach (var problem in EntryCheck.CheckText("act.remark", act.Remark, required: false))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Gained act, RuleSet rules, Wording words)
    {
        var many = $"{act.Count.ToString(CultureInfo.InvariantCulture)} {CountBook.Word(Change(act.How))}";
        return act.Remark is { Length: > 0 } remark ? $"{many}: {remark}" : many;
    }

    /// <inheritdoc/>
    protected override bool IsNews(Gained act) => true;

    private static CountChange Change(GainKind how) =>
        how switch
        {
            GainKind.Born => CountChange.Born,
            GainKind.Found => CountChange.Found,
            GainKind.PutIn => CountChange.PutIn,
            _ => throw new ArgumentOutOfRangeException(nameof(how), how, "No such gain."),
        };

    /// <inheritdoc/>
    protected override bool IsToldTwice(Gained act, Gained other) => act.How == other.How;
}
