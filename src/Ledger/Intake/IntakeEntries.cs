using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Ledger.Intake;

/// <summary>What is known of the time before an animal was written down.</summary>
/// <param name="LastMolt">Night of its last molt.</param>
/// <param name="Measure">A measure taken as it is written down.</param>
/// <param name="LastMeal">Night of its last meal.</param>
/// <param name="LastWater">Night on which water was given last.</param>
public sealed record History(DateOnly? LastMolt, Measured? Measure, DateOnly? LastMeal, DateOnly? LastWater);

/// <summary>What is written of the animals of a table: how they came, and what their papers tell of the time before.</summary>
public static class IntakeEntries
{
    /// <summary>The entries of a table, all or none of them to be written.</summary>
    /// <param name="id">Id of the table, made by the client: the same table is written once.</param>
    /// <param name="sheet">The table as it was read, without problems.</param>
    /// <param name="at">When it was sent.</param>
    /// <param name="by">Who sent it.</param>
    /// <param name="room">The room.</param>
    public static IReadOnlyList<StockEntry> Of(Guid id, IntakeSheet sheet, DateTimeOffset at, string by, Room room) =>
        [.. sheet.Rows.SelectMany(row => Of(id, row, at, by, room))];

    /// <summary>Id of the animal of a row.</summary>
    public static Guid StockOf(Guid id, IntakeRow row) => DerivedId.Of(id, $"stock {row.Line}");

    private static IEnumerable<StockEntry> Of(Guid id, IntakeRow row, DateTimeOffset at, string by, Room room)
    {
        var stock = StockOf(id, row);
        var part = room.Rules.Group(row.Details!.Group)!.Growth.SizePart;
        var history = new History(
            row.LastMolt,
            row.SizeMm is { } mm ? new Measured(part, mm) : null,
            row.LastMeal,
            row.LastWater
        );
        var acts = Acts(row.Details, row.Place!, history, at, room);
        return acts.Select(
            (a, i) =>
                new StockEntry(
                    stock,
                    new NewEntry(DerivedId.Of(stock, $"entry {i}"), a.When, null, a.Act, at, by),
                    $"rows[{row.Line - 1}]."
                )
        );
    }

    /// <summary>What an animal is written down with, in order: that it came, and what is known of the time before.</summary>
    /// <param name="details">What it is.</param>
    /// <param name="place">Where it stands.</param>
    /// <param name="history">What is known of the time before.</param>
    /// <param name="at">When it is written.</param>
    /// <param name="room">The room.</param>
    public static IReadOnlyList<(Occurrence When, Act Act)> Acts(
        StockDetails details,
        Place place,
        History history,
        DateTimeOffset at,
        Room room
    )
    {
        // It came at the start of that night, so that whatever happened on the same day lies after it.
        var acts = new List<(Occurrence When, Act Act)>
        {
            (Occurrence.At(room.Clock.StartOf(details.AcquiredOn)), new Acquired(details, place)),
        };
        if (history.LastMolt is { } molt)
        {
            acts.Add((On(molt, room), new Molted()));
        }

        if (history.Measure is { } measure)
        {
            acts.Add((Occurrence.At(at), measure));
        }

        if (history.LastMeal is null && history.LastWater is null)
        {
            return acts;
        }

        // What it is given to eat and to drink is what the room would give it as it is by now.
        var journal = acts.Select(
            (a, i) => new JournalEntry(Guid.NewGuid(), Guid.Empty, i + 1, a.When, at, "", null, a.Act)
        );
        var judged = Judgement.Of(Standing.Fold([.. journal])!, room);
        if (history.LastMeal is { } meal && LineChoice.Offers(judged.Meal.Value.Offer).FirstOrDefault() is { } offer)
        {
            acts.Add((On(meal, room), offer with { Outcome = OfferOutcome.Eaten }));
        }

        if (history.LastWater is { } water && Water(judged) is { } given)
        {
            acts.Add((On(water, room), given));
        }

        return acts;
    }

    /// <summary>Water as it is given there; none where none is.</summary>
    internal static Act? Water(Judgement judged) =>
        judged.Water.Value.Clocks.Any(c => c.Way == Husbandry.Rulebook.WaterWay.Tube) ? new TubeSeen(TubeWater.Full)
        : judged.Water.Value.Clocks.Select(c => c.Kind).FirstOrDefault(k => k is not null) is { } kind
            ? new Watered(kind)
        : null;

    private static Occurrence On(DateOnly night, Room room)
    {
        var evening = room.Clock.EveningOf(night);
        return Occurrence.At(night >= room.Tonight || evening > room.Now ? room.Now : evening);
    }
}
