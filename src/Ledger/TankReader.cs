using Husbandry.Journal;
using Husbandry.Rooms;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Reads the shared tanks of the room.</summary>
internal static class TankReader
{
    /// <summary>Every tank and all that live in one; nothing else is read.</summary>
    public static async Task<TankBook> ReadAsync(LanternDb db, CancellationToken cancel)
    {
        var states = await db
            .Standings.AsNoTracking()
            .Where(s => s.TankId != null && s.Here)
            .Select(s => s.State)
            .ToListAsync(cancel);
        return states.Count == 0 ? TankBook.Empty : TankBook.Of(states.Select(StoredStanding.Read).OfType<Standing>());
    }
}
