using Husbandry.Journal;
using Husbandry.Rounds;

namespace Ledger;

/// <summary>Turns core records into rows and back.</summary>
internal static class Rows
{
    // From two closed shutters on an animal is hushed and named as "pass by".
    private const int HushedShutters = 2;

    /// <summary>An entry as a row; sequence 0 lets the file give the next one.</summary>
    public static EntryRow Of(Guid stockId, NewEntry entry, Room room, long sequence) =>
        new()
        {
            Sequence = sequence,
            Id = entry.Id,
            StockId = stockId,
            FromTicks = entry.When.From.UtcTicks,
            ToTicks = entry.When.To.UtcTicks,
            WrittenTicks = (entry.WrittenAt ?? room.Now).UtcTicks,
            WrittenBy = entry.WrittenBy ?? room.Settings.KeeperName,
            Supersedes = entry.Supersedes,
            Act = LedgerJson.Write(entry.Act),
            Against = entry.Against,
        };

    /// <summary>A row as an entry.</summary>
    public static JournalEntry ToEntry(EntryRow row) =>
        new(
            row.Id,
            row.StockId,
            row.Sequence,
            new Occurrence(Instant(row.FromTicks), Instant(row.ToTicks)),
            Instant(row.WrittenTicks),
            row.WrittenBy,
            row.Supersedes,
            LedgerJson.Read<Act>(row.Act),
            row.Against
        );

    /// <summary>Keeps a standing with its next due instant; a new row when there is none yet. Saved by the caller.</summary>
    public static void Store(this LanternDb db, StandingRow? row, Standing standing, Room room)
    {
        var judgement = Judgement.Of(standing, room);
        var line = RoundLine.Of(judgement);
        if (row is null)
        {
            row = new StandingRow
            {
                StockId = standing.StockId,
                State = "",
                Rack = "",
            };
            db.Standings.Add(row);
        }

        row.State = LedgerJson.Write(standing);
        row.Here = standing.Departure is null;
        row.Rack = standing.Place.Rack;
        row.Shelf = standing.Place.Shelf;
        row.Slot = standing.Place.Slot;
        row.NextDueTicks = line.NextDue?.UtcTicks ?? long.MaxValue;
        row.Hushed = line.Shutters >= HushedShutters;
        row.Name = standing.Details.Nickname;
        row.Species = line.Species;
        row.Group = standing.Details.Group;
        row.Kind = standing.Details.Kind.ToString().ToCamel();
        row.Sex = standing.Details.Sex.ToString().ToCamel();
        row.Stage = judgement.Stage.Value.ToString().ToCamel();
        row.Count = standing.Details.Count;
        row.Tags = standing.Details.Tags is { Count: > 0 } tags ? $"|{string.Join('|', tags)}|" : "";
        row.CameDay = standing.Details.AcquiredOn.DayNumber;
        row.LastMealTicks = standing.Meals.Count > 0 ? standing.Meals[^1].At.UtcTicks : 0;
        row.LastMoltTicks = standing.LastMolt?.When.Middle.UtcTicks ?? 0;
    }

    private static string ToCamel(this string word) => char.ToLowerInvariant(word[0]) + word[1..];

    private static DateTimeOffset Instant(long ticks) => new(ticks, TimeSpan.Zero);
}
