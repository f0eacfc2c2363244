using App.Hosting;
using App.Pairing;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Ledger;

namespace App.Journal;

/// <summary>One entry of a batch.</summary>
/// <param name="StockId">The animal.</param>
/// <param name="Id">Made by the client; the same id is written once.</param>
/// <param name="Act">What happened.</param>
public sealed record BatchEntry(Guid StockId, Guid Id, Act Act);

/// <summary>Entries of many animals, written all or none: "all of B2 watered", a sheet typed back.</summary>
/// <param name="Entries">The entries, in order; at most 5000.</param>
/// <param name="Night">Night on which it happened; tonight when left out.</param>
public sealed record BatchRequest(IReadOnlyList<BatchEntry> Entries, DateOnly? Night = null);

/// <summary>How many entries were written.</summary>
/// <param name="Entries">How many.</param>
/// <param name="Texts">What they say, for a few; none for a large batch.</param>
public sealed record BatchWritten(int Entries, IReadOnlyList<string> Texts);

/// <summary>Logging at many enclosures at once.</summary>
public static class BatchEndpoints
{
    private const int MostTold = 12;

    public static void MapBatch(this WebApplication app) =>
        app.MapPost("/api/journal/batch", WriteAsync)
            .WithName("logBatch")
            .WithTags("Journal")
            .Produces<BatchWritten>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .Produces<BothSides>(409, "application/problem+json");

    private static async Task<IResult> WriteAsync(
        BatchRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        if (body.Entries.Count is 0 or > JournalStore.MostInBatch)
        {
            return Problems.Of("entries", $"Must be 1 to {JournalStore.MostInBatch} entries.");
        }

        if (body.Entries.Any(e => e is null))
        {
            return Problems.Of("entries", "One of them is missing.");
        }

        var added = body.Entries.ToList().FindIndex(e => e.Act is Acquired or DetailsChanged);
        if (added >= 0)
        {
            return Problems.Of(
                $"entries[{added}].act.kind",
                "Cannot be logged here: animals are added and changed under /api/stock."
            );
        }

        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var tapped) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        var earliest = room.Tonight.AddYears(-EntryCheck.LongestRecordYears);
        if (body.Night is { } on && (on > room.Tonight || on < earliest))
        {
            return Problems.Of(
                "night",
                $"Must be between {room.Wording.Date(earliest)} and tonight, {room.Wording.Date(room.Tonight)}."
            );
        }

        for (var i = 0; i < body.Entries.Count; i++)
        {
            var (stockId, _, act) = body.Entries[i];
            if (await KinGuard.CheckAsync(stockId, act, $"entries[{i}].", room, now, reader, cancel) is { } kin)
            {
                return Problems.Of(kin.Field, kin.Message);
            }
        }

        var at = body.Night is { } night ? JournalTimes.Evening(night, room) : tapped;
        var by = Hand.Of(context, room);
        var result = await store.WriteAsync(
            [
                .. body.Entries.Select(
                    (e, i) =>
                        new StockEntry(
                            e.StockId,
                            new NewEntry(
                                e.Id,
                                Occurrence.At(e.Act is Withdrawn ? tapped : at),
                                null,
                                e.Act,
                                tapped,
                                by,
                                Seen: tap.Seen
                            ),
                            $"entries[{i}]."
                        )
                ),
            ],
            null,
            room,
            cancel
        );
        return Problems.ForFailure(result, room)
            ?? TypedResults.Ok(
                new BatchWritten(
                    body.Entries.Count,
                    body.Entries.Count <= MostTold
                        ? [.. body.Entries.Select(e => EntryDefinition.Of(e.Act).Say(e.Act, room.Rules, room.Wording))]
                        : []
                )
            );
    }
}
