using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Colonies;

/// <summary>A look into a tub of isopods or springtails.</summary>
/// <param name="Signs">What was seen; empty where all was as it should be.</param>
public sealed record TubLooked(IReadOnlyList<TubSign> Signs) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => TubLookedEntry.It;
}

/// <summary>A look into a tub: pouches, young, and signs of trouble.</summary>
public sealed class TubLookedEntry() : EntryDefinition<TubLooked>("tubLooked")
{
    /// <summary>The definition.</summary>
    public static TubLookedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new TubLooked([TubSign.Pouches, TubSign.ManyYoung]), new TubLooked([])];

    /// <summary>Whether it is a tub that nobody can count: kept as a colony, and no ants.</summary>
    public static bool Concerns(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return subject.Group.Tasks.Any(t => t.Id == Upkeep.CalciumLookedEntry.Task)
            && subject.Standing.Departure is null
            && subject.IsMany;
    }

    /// <summary>A sign in words.</summary>
    public static string Word(TubSign sign) =>
        sign switch
        {
            TubSign.Pouches => "full pouches",
            TubSign.FewYoung => "a few young",
            TubSign.ManyYoung => "many young",
            TubSign.DeadInMolt => "dead in the molt",
            TubSign.Bloom => "springtails or mites all over",
            TubSign.Sour => "a sour smell",
            TubSign.DryEnd => "dry at the damp end",
            _ => throw new ArgumentOutOfRangeException(nameof(sign), sign, "No word for such a sign."),
        };

    /// <inheritdoc/>
    protected override Standing Fold(TubLooked act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Colony = standing.Colony with
            {
                Looks =
                [
                    .. standing.Colony.Looks.Append(new TubEvent(entry.When.To, act.Signs)).TakeLast(ColonyState.Kept),
                ],
            },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(TubLooked act, EntryAt at)
    {
        if (act.Signs.Distinct().Count() < act.Signs.Count || act.Signs.Any(s => !Enum.IsDefined(s)))
        {
            yield return new Problem("act.signs", "Say of each once that it was seen.");
        }

        foreach (var problem in TubChecks.Tub(at))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(TubLooked act, RuleSet rules, Wording words) =>
        act.Signs.Count == 0
            ? "looked into the tub: all as it should be"
            : $"in the tub: {string.Join(", ", act.Signs.Select(Word))}";

    /// <inheritdoc/>
    protected override bool IsNews(TubLooked act) => act.Signs.Count > 0;

    /// <inheritdoc/>
    protected override bool IsToldTwice(TubLooked act, TubLooked other) => true;
}

/// <summary>Some of a tub were marked with a dot of paint and put back.</summary>
/// <param name="Count">How many, 5 to 1000.</param>
public sealed record Marked(int Count) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => MarkedEntry.It;
}

/// <summary>The first catch of a count by marking.</summary>
public sealed class MarkedEntry() : EntryDefinition<Marked>("marked")
{
    private const int Least = 5;
    private const int Most = 1000;

    /// <summary>The definition.</summary>
    public static MarkedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Marked(30)];

    /// <inheritdoc/>
    protected override Standing Fold(Marked act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Colony = standing.Colony with { Marked = new MarkEvent(entry.When.To, act.Count) },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Marked act, EntryAt at)
    {
        if (act.Count is < Least or > Most)
        {
            yield return new Problem("act.count", $"Must be {Least} to {Most}: fewer tell nothing.");
        }

        foreach (var problem in TubChecks.Tub(at))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Marked act, RuleSet rules, Wording words) =>
        $"{act.Count.ToString(CultureInfo.InvariantCulture)} marked with a dot of paint and put back";
}

/// <summary>A second catch, some days after some were marked.</summary>
/// <param name="Caught">How many were caught, 1 to 10 000.</param>
/// <param name="MarkedAmong">How many of them bore a mark.</param>
public sealed record Recaught(int Caught, int MarkedAmong) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => RecaughtEntry.It;
}

/// <summary>The second catch of a count by marking: the number of the tub is then Chapman's estimate.</summary>
public sealed class RecaughtEntry() : EntryDefinition<Recaught>("recaught")
{
    private const int Most = 10_000;

    /// <summary>The definition.</summary>
    public static RecaughtEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Recaught(40, 6)];

    /// <inheritdoc/>
    protected override Standing Fold(Recaught act, Standing standing, JournalEntry entry)
    {
        if (standing.Colony.Marked is not { } marked)
        {
            return standing;
        }

        var estimate = MarkRecapture.Of(marked.Count, act.Caught, Math.Min(act.MarkedAmong, marked.Count));
        int Whole(double n) => (int)Math.Clamp(Math.Round(n), 1, EntryCheck.MostInColony);
        var count = Whole(estimate.Chapman);
        return standing.WithCount(
            entry,
            CountChange.Counted,
            count,
            c =>
                c with
                {
                    Taken = new CountTaken(
                        count,
                        Whole(estimate.Low95),
                        Whole(estimate.High95),
                        CountMethod.Recaptured
                    ),
                }
        ) with
        {
            Colony = standing.Colony with { Marked = null },
        };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Recaught act, EntryAt at)
    {
        if (act.Caught is < 1 or > Most)
        {
            yield return new Problem("act.caught", $"Must be 1 to {Most}.");
        }

        if (act.MarkedAmong < 0 || act.MarkedAmong > act.Caught)
        {
            yield return new Problem(
                "act.markedAmong",
                $"Must be 0 to {Math.Max(0, act.Caught)}, as many as were caught."
            );
        }

        foreach (var problem in TubChecks.Tub(at))
        {
            yield return problem;
        }

        if (at is not { Written: false, Standing.Colony: { } colony })
        {
            yield break;
        }

        var days = at.Room.Rules.Room.Colonies.MarkLastsDays.Value;
        if (colony.Marked is not { } marked)
        {
            yield return new Problem("act.kind", "None are marked: mark some and put them back first.");
        }
        else if (act.MarkedAmong > marked.Count)
        {
            yield return new Problem("act.markedAmong", $"Only {marked.Count} were marked.");
        }
        else if (at.When.To < marked.At || (at.When.To - marked.At).TotalDays > days)
        {
            yield return new Problem(
                "act.kind",
                $"They were marked {at.Room.Wording.Date(at.Room.Clock.NightOf(marked.At))}: a mark counts for {Wording.Days(days)}, then it is shed with the skin. Mark anew."
            );
        }
    }

    /// <inheritdoc/>
    protected override string Say(Recaught act, RuleSet rules, Wording words) =>
        string.Create(CultureInfo.InvariantCulture, $"{act.Caught} caught again, {act.MarkedAmong} of them marked");

    /// <inheritdoc/>
    protected override bool IsNews(Recaught act) => true;
}

/// <summary>Equal scoops, or equal times at a bait, counted: an index of how many there are.</summary>
/// <param name="Each">Animals in each, 2 to 20 scoops of 0 to 5000.</param>
/// <param name="Bait">Whether at a bait.</param>
public sealed record Scooped(IReadOnlyList<int> Each, bool Bait = false) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => ScoopedEntry.It;
}

/// <summary>A count by equal scoops.</summary>
public sealed class ScoopedEntry() : EntryDefinition<Scooped>("scooped")
{
    private const int LeastScoops = 2;
    private const int MostScoops = 20;
    private const int MostInOne = 5000;

    /// <summary>The definition.</summary>
    public static ScoopedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new Scooped([12, 9, 15]), new Scooped([4, 7], Bait: true)];

    /// <inheritdoc/>
    protected override Standing Fold(Scooped act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Colony = standing.Colony with
            {
                Scoops =
                [
                    .. standing
                        .Colony.Scoops.Append(new ScoopEvent(entry.When.To, act.Each, act.Bait))
                        .TakeLast(ColonyState.Kept),
                ],
            },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Scooped act, EntryAt at)
    {
        if (act.Each.Count is < LeastScoops or > MostScoops)
        {
            yield return new Problem(
                "act.each",
                $"Take {LeastScoops} to {MostScoops} equal ones: one alone has no spread."
            );
        }
        else if (act.Each.Any(n => n is < 0 or > MostInOne))
        {
            yield return new Problem("act.each", $"Each must be 0 to {MostInOne}.");
        }

        foreach (var problem in TubChecks.Tub(at))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Scooped act, RuleSet rules, Wording words) =>
        $"{(act.Bait ? "at the bait" : "equal scoops")}: {string.Join(", ", act.Each.Select(n => n.ToString(CultureInfo.InvariantCulture)))}";
}

/// <summary>What holds for every entry of a tub.</summary>
internal static class TubChecks
{
    /// <summary>That it is of a tub which nobody can count.</summary>
    public static IEnumerable<Problem> Tub(EntryAt at)
    {
        if (at is { Written: false, Standing: { } standing, Group: { } group })
        {
            if (!TubLookedEntry.Concerns(Subject.Of(standing, at.Room)))
            {
                yield return new Problem(
                    "act.kind",
                    $"That is written down of tubs of isopods, not of a {group.One} as it is kept here."
                );
            }
        }
    }
}
