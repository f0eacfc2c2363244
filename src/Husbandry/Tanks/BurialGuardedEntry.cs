using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tanks;

/// <summary>Over a crab that is down: whether others dig there, and what of a sleeve is done.</summary>
/// <param name="OthersDig">Whether neighbours dig at its place.</param>
/// <param name="Done">Steps of the sleeve that are done by now; empty while none is.</param>
public sealed record BurialGuarded(bool OthersDig, IReadOnlyList<SleeveStep> Done) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => BurialGuardedEntry.It;
}

/// <summary>Others dig at one that is down, and a sleeve is sunk round it, step by step.</summary>
/// <remarks>Source: common practice, no published source.</remarks>
public sealed class BurialGuardedEntry() : EntryDefinition<BurialGuarded>("burialGuarded")
{
    /// <summary>The definition.</summary>
    public static BurialGuardedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new BurialGuarded(true, [SleeveStep.BottleCut, SleeveStep.Sunk]), new BurialGuarded(false, [])];

    /// <summary>Whether it is a crab that is down.</summary>
    public static bool Concerns(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return ShellTakenEntry.Wears(subject)
            && subject.Standing.Departure is null
            && subject.Standing.Vigils.OpenOf(VigilKind.Surfacing) is not null;
    }

    /// <summary>What is on record of it since it went down; none where nothing is.</summary>
    public static GuardEvent? Now(Subject crab)
    {
        ArgumentNullException.ThrowIfNull(crab);
        return
            crab.Standing.Vigils.OpenOf(VigilKind.Surfacing) is { } down
            && crab.Standing.Shared.Guard is { } guard
            && guard.At >= down.Began.From
            ? guard
            : null;
    }

    /// <summary>What is to be done about it now; empty where nothing is.</summary>
    public static string Do(Subject crab) =>
        Now(crab) is not { } guard ? ""
        : guard.Done.Contains(SleeveStep.Sunk)
            ? guard.Done.Contains(SleeveStep.FloorAgainst)
                    ? "A sleeve stands round it: it comes out when the crab has come up by itself."
                : "A sleeve stands round it: lay damp floor against it from outside."
        : guard.OthersDig
            ? guard.Done.Contains(SleeveStep.Rinsed)
                    ? "Others dig there: sink the sleeve tonight, slowly, never through the crab."
                : "Others dig there: cut a bottle, rinse it, and sink it round the crab tonight."
        : "";

    /// <inheritdoc/>
    protected override Standing Fold(BurialGuarded act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Shared = standing.Shared with { Guard = new GuardEvent(entry.When.To, act.OthersDig, act.Done) },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(BurialGuarded act, EntryAt at)
    {
        if (act.Done.Distinct().Count() < act.Done.Count)
        {
            yield return new Problem("act.done", "Name each step once.");
        }

        if (at is { Written: false, Standing: { } standing } && !Concerns(Subject.Of(standing, at.Room)))
        {
            yield return new Problem("act.kind", "Only a crab that is down is guarded: write first that it is buried.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(BurialGuarded act, RuleSet rules, Wording words) =>
        (act.OthersDig ? "others dig at its place" : "nobody digs at its place")
        + (act.Done.Count == 0 ? "" : $"; sleeve: {string.Join(", ", act.Done.Select(WordOf))}");

    /// <inheritdoc/>
    protected override bool IsToldTwice(BurialGuarded act, BurialGuarded other) => true;

    private static string WordOf(SleeveStep step) =>
        step switch
        {
            SleeveStep.BottleCut => "bottle cut",
            SleeveStep.Rinsed => "rinsed",
            SleeveStep.Sunk => "sunk round it",
            SleeveStep.FloorAgainst => "floor laid against it",
            _ => throw new ArgumentOutOfRangeException(nameof(step), step, "No word for such a step."),
        };
}
