using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Upkeep;

/// <summary>How much of one source was left at a look.</summary>
/// <param name="SourceId">Source of the rulebook.</param>
/// <param name="Left">How much.</param>
public sealed record CalciumLook(string SourceId, CalciumLeft Left);

/// <summary>The calcium of a tub was looked after: what is left of each source, and what was put in.</summary>
/// <param name="Seen">What was seen; empty where nobody looked.</param>
/// <param name="Put">Sources that were put in, or renewed.</param>
public sealed record CalciumLooked(IReadOnlyList<CalciumLook> Seen, IReadOnlyList<string> Put) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => CalciumLookedEntry.It;
}

/// <summary>Calcium looked after.</summary>
public sealed class CalciumLookedEntry() : EntryDefinition<CalciumLooked>("calciumLooked")
{
    /// <summary>The task of the upkeep that is done with it.</summary>
    public const string Task = "calcium";

    private const int MostSources = 20;

    /// <summary>The definition.</summary>
    public static CalciumLookedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new CalciumLooked([], ["powder", "cuttlebone"]),
            new CalciumLooked([new CalciumLook("powder", CalciumLeft.Some)], []),
        ];

    /// <summary>Whether its calcium is looked after source by source.</summary>
    public static bool Concerns(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return subject.Standing.Departure is null && subject.Group.Tasks.Any(t => t.Id == Task);
    }

    /// <inheritdoc/>
    protected override Standing Fold(CalciumLooked act, Standing standing, JournalEntry entry) =>
        standing.WithTended(Task, entry.When.To) with
        {
            Calcium = CalciumPieces.After(standing.Calcium, entry, act.Seen.Select(s => (s.SourceId, s.Left)), act.Put),
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(CalciumLooked act, EntryAt at)
    {
        if (at.Group is { } group && group.Tasks.All(t => t.Id != Task))
        {
            yield return new Problem("act.kind", $"No calcium is put in for a {group.One}.");
        }

        if (act.Seen.Count + act.Put.Count is 0 or > MostSources)
        {
            yield return new Problem("act.put", $"Say of 1 to {MostSources} sources what is left or put in.");
        }

        var sources = at.Room.Rules.Room.Colonies.Calcium;
        foreach (
            var (id, field) in act
                .Seen.Select((s, i) => (s?.SourceId, $"act.seen[{i}].sourceId"))
                .Concat(act.Put.Select((p, i) => ((string?)p, $"act.put[{i}]")))
                .Where(x => sources.All(s => s.Id != x.Item1))
        )
        {
            yield return new Problem(
                field,
                $"Unknown source of calcium{(id is null ? "" : $" “{id}”")}. Known: {string.Join(", ", sources.Select(s => s.Id))}."
            );
        }

        if (
            act.Seen.Where(s => s is not null).DistinctBy(s => s.SourceId).Count() < act.Seen.Count
            || act.Put.Distinct().Count() < act.Put.Count
        )
        {
            yield return new Problem("act.seen", "Say of each source once what is left of it.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(CalciumLooked act, RuleSet rules, Wording words)
    {
        string Name(string id) => rules.Room.Colonies.Calcium.FirstOrDefault(s => s.Id == id)?.Name ?? id;
        return string.Join(
            "; ",
            new[]
            {
                act.Seen.Count == 0
                    ? ""
                    : $"calcium: {string.Join(", ", act.Seen.Select(s => $"{Name(s.SourceId)} {Word(s.Left)}"))}",
                act.Put.Count == 0 ? "" : $"put in {string.Join(", ", act.Put.Select(Name))}",
            }.Where(p => p.Length > 0)
        );
    }

    /// <summary>How much is left, in a word.</summary>
    public static string Word(CalciumLeft left) =>
        left switch
        {
            CalciumLeft.Plenty => "plenty",
            CalciumLeft.Some => "some",
            CalciumLeft.Gone => "gone",
            _ => throw new ArgumentOutOfRangeException(nameof(left), left, "No word for such an amount."),
        };

    /// <inheritdoc/>
    protected override RoundPart Round(CalciumLooked act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override string? Pace(CalciumLooked act) => "upkeep";

    /// <inheritdoc/>
    protected override bool IsToldTwice(CalciumLooked act, CalciumLooked other) => true;
}
