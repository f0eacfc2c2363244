using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;

namespace Ledger.Intake;

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
        var details = row.Details!;
        var acts = new List<(Occurrence When, Act Act)>
        {
            (Occurrence.At(room.Clock.StartOf(details.AcquiredOn)), new Acquired(details, row.Place!)),
        };
        if (row.LastMolt is { } molt)
        {
            acts.Add((On(molt, room), new Molted()));
        }

        if (row.SizeMm is { } mm)
        {
            var part = room.Rules.Group(details.Group)!.Growth.SizePart;
            acts.Add((Occurrence.At(at), new Measured(part, mm)));
        }

        // What it is given to eat and to drink is what the room would give it as it is by now.
        var judged = Judgement.Of(
            Standing.Fold([.. acts.Select((a, i) => Entry(stock, i, a.When, a.Act, at, by))])!,
            room
        );
        if (row.LastMeal is { } meal && LineChoice.Offers(judged.Meal.Value.Offer).FirstOrDefault() is { } offer)
        {
            acts.Add((On(meal, room), offer with { Outcome = OfferOutcome.Eaten }));
        }

        if (row.LastWater is { } water && Water(judged) is { } given)
        {
            acts.Add((On(water, room), given));
        }

        return acts.Select(
            (a, i) =>
                new StockEntry(
                    stock,
                    new NewEntry(DerivedId.Of(stock, $"entry {i}"), a.When, null, a.Act, at, by),
                    $"rows[{row.Line - 1}]."
                )
        );
    }

    private static Act? Water(Judgement judged) =>
        judged.Water.Value.Clocks.Any(c => c.Way == Husbandry.Rulebook.WaterWay.Tube) ? new TubeSeen(TubeWater.Full)
        : judged.Water.Value.Clocks.Select(c => c.Kind).FirstOrDefault(k => k is not null) is { } kind
            ? new Watered(kind)
        : null;

    private static Occurrence On(DateOnly night, Room room)
    {
        var evening = room.Clock.EveningOf(night);
        return Occurrence.At(night >= room.Tonight || evening > room.Now ? room.Now : evening);
    }

    private static JournalEntry Entry(Guid stock, int number, Occurrence when, Act act, DateTimeOffset at, string by) =>
        new(DerivedId.Of(stock, $"entry {number}"), stock, number + 1, when, at, by, null, act);
}
