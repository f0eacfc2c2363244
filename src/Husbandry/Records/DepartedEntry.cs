using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Trays;

namespace Husbandry.Records;

/// <summary>The animal left the collection, or some of many did; its history stays.</summary>
/// <param name="Departure">How.</param>
/// <param name="Remark">Cause of death, or who took it; free text.</param>
/// <param name="Count">Of many: how many of them; all when left out.</param>
/// <param name="Cause">Of what it died; of those that died only, and unexplained when left out.</param>
/// <param name="Vial">Of a brood in numbered vials: the vial that is empty now; then it is one animal.</param>
public sealed record Departed(
    DepartureKind Departure,
    string? Remark = null,
    int? Count = null,
    LossCause? Cause = null,
    int? Vial = null
) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => DepartedEntry.It;
}

/// <summary>A departure.</summary>
public sealed class DepartedEntry() : EntryDefinition<Departed>("departed")
{
    /// <summary>The definition.</summary>
    public static DepartedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            .. Enum.GetValues<DepartureKind>()
                .SelectMany(how => new Act[] { new Departed(how), new Departed(how, "a remark", 2) }),
            new Departed(DepartureKind.Sold, Vial: 1),
            .. Enum.GetValues<LossCause>().Select(cause => new Departed(DepartureKind.Died, Cause: cause)),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Departed act, Standing standing, JournalEntry entry)
    {
        var change = Change(act.Departure);
        var there = standing.Details.Count;
        if (act.Departure is DepartureKind.Sold or DepartureKind.GivenAway)
        {
            // Who took them is owed so many fewer.
            standing = standing with
            {
                HandOn = standing.HandOn.After(act.Remark, act.Vial is null ? act.Count ?? there : 1),
            };
        }

        if (standing.IsTank || change is null)
        {
            return standing with { Departure = new DepartureEvent(entry.When.To, act.Departure, act.Remark) };
        }

        if ((act.Vial is null ? act.Count : 1) is { } some && some < there)
        {
            return standing
                .WithCount(entry, change.Value, there - some, c => c with { Cause = act.Cause })
                .WithoutVial(act.Vial);
        }

        return standing.Gone(entry, act.Departure, change.Value, act.Remark, act.Cause);
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Departed act, EntryAt at) =>
        EntryCheck
            .CheckText("act.remark", act.Remark, required: false)
            .Concat(EntryCheck.CheckCount(act.Count, at.Standing))
            .Concat(CheckVial(act, at))
            .Concat(CheckTank(act, at));

    private static IEnumerable<Problem> CheckVial(Departed act, EntryAt at)
    {
        if (act.Vial is not { } vial || at.Standing is not { } standing)
        {
            return [];
        }

        return act.Count is null or 1
            ? VialNumbers.Check("act.vial", [vial], standing)
            : [new Problem("act.count", "Of one vial it is one animal: leave the number out, or the vial.")];
    }

    private static IEnumerable<Problem> CheckTank(Departed act, EntryAt at)
    {
        if (at.Standing is not { } standing)
        {
            yield break;
        }

        if (!standing.IsTank && act.Departure == DepartureKind.TakenDown)
        {
            yield return new Problem("act.departure", "Only a tank is taken down.");
        }

        if (
            standing.IsTank
            && act.Departure
                is not (
                    DepartureKind.TakenDown
                    or DepartureKind.Sold
                    or DepartureKind.GivenAway
                    or DepartureKind.Mistaken
                )
        )
        {
            yield return new Problem("act.departure", "A tank is taken down, sold or given away.");
        }

        if (act.Cause is not null && act.Departure != DepartureKind.Died)
        {
            yield return new Problem("act.cause", "Only those that died have a cause of death.");
        }

        if (!at.Written && at.Room.Tanks.InmatesOf(standing.StockId) is [var one, ..] inmates)
        {
            var who = inmates.Count == 1 ? $"{one.Details.Nickname} still lives" : $"{inmates.Count} still live";
            yield return new Problem("act.departure", $"{who} in it: move them to places of their own first.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Departed act, RuleSet rules, Wording words)
    {
        var how =
            Word(act.Departure)
            + (act.Cause is { } cause ? $" ({Word(cause)})" : "")
            + (act.Vial is { } vial ? $", vial {vial}" : EntryCheck.OfThem(act.Count));
        return act.Remark is { Length: > 0 } remark ? $"{how}: {remark}" : how;
    }

    /// <inheritdoc/>
    protected override CareAct? Care(Departed act, Subject subject) =>
        act.Departure is DepartureKind.Sold or DepartureKind.GivenAway or DepartureKind.Released ? CareAct.Ship : null;

    /// <inheritdoc/>
    protected override bool IsNews(Departed act) => true;

    private static CountChange? Change(DepartureKind departure) =>
        departure switch
        {
            DepartureKind.Died => CountChange.Died,
            DepartureKind.Sold => CountChange.Sold,
            DepartureKind.GivenAway => CountChange.GivenAway,
            DepartureKind.Escaped => CountChange.Escaped,
            DepartureKind.Released => CountChange.Released,
            DepartureKind.Lost => CountChange.Lost,
            // They never were: the number is mended, and none counts as a loss.
            DepartureKind.Mistaken => CountChange.Mended,
            DepartureKind.TakenDown => null,
            _ => throw new ArgumentOutOfRangeException(nameof(departure), departure, "No such departure."),
        };

    /// <summary>A cause of death in a word or two.</summary>
    public static string Word(LossCause cause) =>
        cause switch
        {
            LossCause.Mismolt => "mismolt",
            LossCause.Disease => "disease",
            LossCause.Parasite => "parasite",
            LossCause.Predation => "predation",
            LossCause.Cannibalised => "eaten by its own kind",
            LossCause.Injured => "injured",
            LossCause.Dried => "dried out",
            LossCause.Unexplained => "unexplained",
            _ => throw new ArgumentOutOfRangeException(nameof(cause), cause, "No word for such a cause."),
        };

    private static string Word(DepartureKind departure) =>
        departure switch
        {
            DepartureKind.Died => "died",
            DepartureKind.Sold => "sold",
            DepartureKind.GivenAway => "given away",
            DepartureKind.Escaped => "escaped",
            DepartureKind.Released => "released",
            DepartureKind.Lost => "lost",
            DepartureKind.TakenDown => "taken down",
            DepartureKind.Mistaken => "never here, written down by mistake",
            _ => throw new ArgumentOutOfRangeException(nameof(departure), departure, "No word for such a departure."),
        };

    /// <inheritdoc/>
    protected override bool IsToldTwice(Departed act, Departed other) => true;
}
