using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;

namespace Ledger;

/// <summary>Turns core records into rows and back.</summary>
internal static class Rows
{
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

    /// <summary>A standing as a row, judged: its next due instant and its glance.</summary>
    public static (StandingRow Row, Glance Glance) Of(Standing standing, Room room)
    {
        var row = Bare(standing);
        return (row, row.Judge(Judgement.Of(standing, room)));
    }

    /// <summary>A standing as a row that is still to be judged.</summary>
    public static StandingRow Bare(Standing standing) =>
        new()
        {
            StockId = standing.StockId,
            State = LedgerJson.Write(standing),
            Rack = standing.OwnPlace.Rack,
            Shelf = standing.OwnPlace.Shelf,
            Slot = standing.OwnPlace.Slot,
            Here = standing.Departure is null,
            TankId = standing.IsTank ? standing.StockId : standing.TankId,
        };

    /// <summary>Notes what a judgement says of a standing that has not changed. Written by the caller.</summary>
    public static Glance Judge(this StandingRow row, Judgement judgement)
    {
        var glance = Glance.Of(judgement);
        (row.Rack, row.Shelf, row.Slot) = (glance.Where.Place.Rack, glance.Where.Place.Shelf, glance.Where.Place.Slot);
        row.NextDueTicks = RoundLine.Of(judgement).NextDue?.UtcTicks ?? long.MaxValue;
        row.Hushed = row.Here && glance.IsHushed;
        row.Glance = LedgerJson.Write(glance);
        return glance;
    }

    private static DateTimeOffset Instant(long ticks) => new(ticks, TimeSpan.Zero);
}
