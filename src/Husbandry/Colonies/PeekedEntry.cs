using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Colonies;

/// <summary>A look at a queen's brood, or at a colony.</summary>
/// <param name="Seen">What was seen; empty where there was no brood.</param>
/// <param name="Workers">How many workers, where they were counted.</param>
/// <param name="WorkersMost">At most so many, where that is a range.</param>
/// <param name="Water">Water of the tube; none where nobody looked at it.</param>
public sealed record Peeked(
    IReadOnlyList<BroodSeen> Seen,
    int? Workers = null,
    int? WorkersMost = null,
    TubeWater? Water = null
) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => PeekedEntry.It;
}

/// <summary>
/// A peek: what was seen moves the dates of the founding. With the first workers the founding is over; they came between this look
/// and the one before.
/// </summary>
public sealed class PeekedEntry() : EntryDefinition<Peeked>("peeked")
{
    /// <summary>The definition.</summary>
    public static PeekedEntry It { get; } = new();

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new Peeked([], Water: TubeWater.Full),
            new Peeked([BroodSeen.Eggs, BroodSeen.Larvae], Water: TubeWater.Low),
            new Peeked([BroodSeen.Pupae, BroodSeen.Workers], 12, 15),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Peeked act, Standing standing, JournalEntry entry)
    {
        var at = entry.When.To;
        var (vigils, before) = (
            standing.Vigils,
            standing.Colony.Peeks is [.., var last] ? last.At : standing.ArrivedAt
        );
        var first =
            act.Seen.Contains(BroodSeen.Workers)
            && vigils.All.All(v => v is not { Vigil: VigilKind.FirstWorkers, Ended: not null });
        if (first)
        {
            var open = vigils.OpenOf(VigilKind.FirstWorkers);
            var when = new Occurrence(before < entry.When.From ? before : entry.When.From, at);
            var over = (
                open ?? new VigilEvent(entry.Id, VigilKind.FirstWorkers, Occurrence.At(standing.ArrivedAt), null, null)
            ) with
            {
                Ended = when,
                End = VigilEnd.AsHoped,
            };
            vigils = vigils with { All = [.. vigils.All.Where(v => v != open), over] };
        }

        var peeks = standing.Colony.Peeks.Append(new PeekEvent(at, act.Seen, act.Workers, act.WorkersMost));
        return standing with
        {
            Vigils = vigils,
            Colony = standing.Colony with { Peeks = [.. peeks.TakeLast(ColonyState.Kept)] },
            Water = act.Water is { } water ? standing.Water with { Tube = new TubeEvent(at, water) } : standing.Water,
        };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Peeked act, EntryAt at)
    {
        if (at.Group is { } group && group.Feeding.Diet != Diet.SugarAndProtein)
        {
            yield return new Problem("act.kind", $"A {group.One} has no brood to peek at.");
        }

        if (act.Seen.Distinct().Count() < act.Seen.Count || act.Seen.Any(s => !Enum.IsDefined(s)))
        {
            yield return new Problem("act.seen", "Say of each once that it was seen.");
        }

        if (act.Workers is { } workers && (workers < 0 || workers > EntryCheck.MostInColony))
        {
            yield return new Problem("act.workers", $"Must be 0 to {EntryCheck.MostInColony}.");
        }
        else if (act.Workers > 0 && !act.Seen.Contains(BroodSeen.Workers))
        {
            yield return new Problem("act.seen", "Workers were counted: then they were seen.");
        }

        if (
            act.WorkersMost is { } most
            && (act.Workers is null || most < act.Workers || most > EntryCheck.MostInColony)
        )
        {
            yield return new Problem(
                "act.workersMost",
                $"Must be the number of workers, or more, up to {EntryCheck.MostInColony}."
            );
        }
    }

    /// <summary>What was seen, in a word.</summary>
    public static string Word(BroodSeen seen) =>
        seen switch
        {
            BroodSeen.Eggs => "eggs",
            BroodSeen.Larvae => "larvae",
            BroodSeen.LargeLarvae => "large larvae",
            BroodSeen.Pupae => "pupae",
            BroodSeen.Workers => "workers",
            BroodSeen.Mold => "mold",
            _ => throw new ArgumentOutOfRangeException(nameof(seen), seen, "No word for that."),
        };

    /// <inheritdoc/>
    protected override string Say(Peeked act, RuleSet rules, Wording words)
    {
        string Number(int n) => n.ToString(CultureInfo.InvariantCulture);
        var workers = act.Workers is { } w
            ? $" ({Number(w)}{(act.WorkersMost is { } most && most > w ? $"–{Number(most)}" : "")})"
            : "";
        var seen =
            act.Seen.Count == 0
                ? "no brood"
                : string.Join(", ", act.Seen.Select(s => Word(s) + (s == BroodSeen.Workers ? workers : "")));
        return $"peeked: {seen}" + (act.Water is { } water ? $"; water {water.ToString().ToLowerInvariant()}" : "");
    }

    /// <inheritdoc/>
    protected override CareAct? Care(Peeked act, Subject subject) => CareAct.Water;

    /// <inheritdoc/>
    protected override RoundPart Round(Peeked act) => RoundPart.Work;

    /// <inheritdoc/>
    protected override bool IsNews(Peeked act) => act.Seen.Count > 0;

    /// <inheritdoc/>
    protected override string? Pace(Peeked act) => "look";

    /// <inheritdoc/>
    protected override bool IsToldTwice(Peeked act, Peeked other) => true;
}
