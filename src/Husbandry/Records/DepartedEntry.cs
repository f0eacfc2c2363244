using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Records;

/// <summary>The animal left the collection, or some of many did; its history stays.</summary>
/// <param name="Departure">How.</param>
/// <param name="Remark">Cause of death, or who took it; free text.</param>
/// <param name="Count">Of many: how many of them; all when left out.</param>
public sealed record Departed(DepartureKind Departure, string? Remark = null, int? Count = null) : Act
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
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Departed act, Standing standing, JournalEntry entry)
    {
        var change = Change(act.Departure);
        var there = standing.Details.Count;
        if (standing.IsTank || change is null)
        {
            return standing with { Departure = new DepartureEvent(entry.When.To, act.Departure, act.Remark) };
        }

        if (act.Count is { } some && some < there)
        {
            return standing.WithCount(entry, change.Value, there - some);
        }

        return standing.Gone(entry, act.Departure, change.Value, act.Remark);
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Departed act, EntryAt at) =>
        EntryCheck
            .CheckText("act.remark", act.Remark, required: false)
            .Concat(EntryCheck.CheckCount(act.Count, at.Standing))
            .Concat(CheckTank(act, at));

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

        if (!at.Written && at.Room.Tanks.InmatesOf(standing.StockId) is [var one, ..] inmates)
        {
            var who = inmates.Count == 1 ? $"{one.Details.Nickname} still lives" : $"{inmates.Count} still live";
            yield return new Problem("act.departure", $"{who} in it: move them to places of their own first.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(Departed act, RuleSet rules, Wording words)
    {
        var how = Word(act.Departure) + EntryCheck.OfThem(act.Count);
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
