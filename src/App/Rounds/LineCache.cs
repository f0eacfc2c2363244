using System.Collections.Concurrent;
using Husbandry.Climate;
using Husbandry.Feeding;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;
using Ledger;

namespace App.Rounds;

/// <summary>
/// Keeps the lines of the round as judged, so that a round of hundreds is judged once a night and after that only where
/// something was logged. A line with prey in the enclosure counts hours and holds for minutes only.
/// </summary>
public sealed class LineCache
{
    private static readonly TimeSpan HoursAreCountedFor = TimeSpan.FromMinutes(5);

    private readonly ConcurrentDictionary<Guid, Kept> lines = new();
    private Mark? mark;

    /// <summary>All that a line depends on besides its animal.</summary>
    private sealed record Mark(
        string Rules,
        RoomSettings Settings,
        DateOnly Tonight,
        Lessons Lessons,
        RoomClimate Climate,
        RoomLayout Layout,
        IReadOnlySet<FoodKey> Kept,
        RoundPace Pace
    )
    {
        public static Mark Of(Room room) =>
            new(
                room.Rules.Fingerprint,
                room.Settings,
                room.Tonight,
                room.Lessons,
                room.Climate,
                room.Layout,
                room.Kept,
                room.RoundPace
            );
    }

    private sealed record Kept(long Sequence, DateTimeOffset Until, RoundLine Line);

    /// <summary>The line of an animal if it still holds.</summary>
    public RoundLine? Find(Guid stockId, long sequence, Room room)
    {
        LookAtRoom(room);
        return lines.TryGetValue(stockId, out var kept) && kept.Sequence == sequence && room.Now < kept.Until
            ? kept.Line
            : null;
    }

    /// <summary>Judges an animal and keeps its line.</summary>
    public RoundLine Judge(StandingRow row, Room room)
    {
        if (StoredStanding.Read(row.State) is not { } standing)
        {
            return NotJudged(row, null, "What is stored of it cannot be read. Everything that was written is kept.");
        }

        RoundLine line;
        try
        {
            line = RoundLine.Of(Judgement.Of(standing, room));
        }
        catch (Exception error) when (error is not OutOfMemoryException)
        {
            return NotJudged(row, standing.Details.Nickname, "Its record holds something that cannot be judged.");
        }

        var until = standing.Feeding.FoodIn.Count == 0 ? room.Clock.EndOf(room.Tonight) : room.Now + HoursAreCountedFor;
        lines[row.StockId] = new Kept(room.Tanks.SequenceOf(row.StockId, standing.LatestSequence), until, line);
        return line;
    }

    // One that cannot be judged is one line with its reason; the others are judged as ever.
    private static RoundLine NotJudged(StandingRow row, string? name, string why) =>
        Unjudged.Line(
            row.StockId,
            new Place(row.Rack, row.Shelf, row.Slot),
            name ?? StoredStanding.NameOf(row.StockId),
            why
        );

    private void LookAtRoom(Room room)
    {
        var now = Mark.Of(room);
        if (mark != now)
        {
            lines.Clear();
            mark = now;
        }
    }
}
