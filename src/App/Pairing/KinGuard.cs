using App.Hosting;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Ledger;

namespace App.Pairing;

/// <summary>Refuses a pairing of near kin, or of two lines, that nobody confirmed, whichever way it is logged.</summary>
public static class KinGuard
{
    /// <summary>What stands against an act at an animal; none where nothing does, or where it was confirmed.</summary>
    /// <param name="stockId">The animal.</param>
    /// <param name="act">What is logged of it.</param>
    /// <param name="field">Prefix of the field, as <c>entries[3].</c> of a batch.</param>
    /// <param name="room">The room.</param>
    /// <param name="now">Reads the pedigree.</param>
    /// <param name="reader">Reads the two.</param>
    /// <param name="cancel">Cancels.</param>
    public static async Task<Problem?> CheckAsync(
        Guid stockId,
        Act act,
        string field,
        Room room,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        if (act is not Paired { PartnerId: { } mateId, DespiteKin: not true })
        {
            return null;
        }

        var both = await reader.StandingsAsync([stockId, mateId], cancel);
        var (one, mate) = (
            both.FirstOrDefault(s => s.StockId == stockId),
            both.FirstOrDefault(s => s.StockId == mateId)
        );
        if (one is null || mate is null || one == mate)
        {
            return null;
        }

        var kin = KinReading.Of(
            new Kin(stockId, one.Details.Nickname, one.Details.Line),
            new Kin(mateId, mate.Details.Nickname, mate.Details.Line),
            PairingEndpoints.PedigreeOf(await now.IndexAsync(cancel)),
            room
        );
        return kin.Stops
            ? new Problem(
                $"{field}act.partnerId",
                $"{kin.Why.Text} It is written only when that is confirmed (despiteKin)."
            )
            : null;
    }
}
