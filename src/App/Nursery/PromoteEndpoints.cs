using App.Hosting;
using App.Stock;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Stock;
using Ledger;
using Ledger.Intake;

namespace App.Nursery;

/// <summary>A vial whose animal gets a record of its own.</summary>
/// <param name="EntryId">Made by the client; the same id is written once.</param>
/// <param name="StockId">The new record; made by the client.</param>
/// <param name="Vial">Number of the vial.</param>
/// <param name="Name">What it is called, 1–60 characters.</param>
public sealed record PromotedVial(Guid EntryId, Guid StockId, int Vial, string Name);

/// <summary>Vials whose animals get records of their own, all or none.</summary>
/// <param name="Vials">1 to 500 of them.</param>
/// <param name="From">Place of the first; the others follow in free slots behind it. Any free places when left out.</param>
public sealed record PromoteRequest(IReadOnlyList<PromotedVial> Vials, Place? From = null);

/// <summary>Promoting vials of a brood to animals.</summary>
public static class PromoteEndpoints
{
    private const int Most = 500;
    private const int MostSlots = 999;

    public static void MapPromote(this WebApplication app) =>
        app.MapPost("/api/nursery/{id:guid}/promote", PromoteAsync)
            .WithName("promote")
            .WithTags("Nursery")
            .Produces<AnimalView>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .Produces<BothSides>(409, "application/problem+json");

    private static async Task<IResult> PromoteAsync(
        Guid id,
        PromoteRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        if (body.Vials.Count is 0 or > Most || body.Vials.Any(v => v is null))
        {
            return Problems.Of("vials", $"Must be 1 to {Most} vials.");
        }

        if (body.Vials.Select(v => v.Vial).Distinct().Count() != body.Vials.Count)
        {
            return Problems.Of("vials", "Each vial once: an animal has one record.");
        }

        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        var index = await now.IndexAsync(cancel);
        var places = Places(index, room.Layout, body);
        var by = Hand.Of(context, room);
        var result = await store.WriteAsync(
            [
                .. body.Vials.Select(
                    (v, i) =>
                        new StockEntry(
                            id,
                            new NewEntry(
                                v.EntryId,
                                Occurrence.At(at),
                                null,
                                new Parted(v.StockId, 1, v.Name, places[i], Vial: v.Vial),
                                at,
                                by,
                                Seen: tap.Seen
                            ),
                            $"vials[{i}]."
                        )
                ),
            ],
            null,
            room,
            cancel
        );
        return await StockEndpoints.AnswerAsync(id, result, room, reader, cancel);
    }

    /// <summary>A place for each; of a retry those that the animals have already.</summary>
    private static List<Place> Places(StockIndex index, RoomLayout layout, PromoteRequest body)
    {
        if (index.Find(body.Vials[0].StockId) is not null)
        {
            return [.. body.Vials.Select(v => index.Find(v.StockId)?.Where.Place ?? new Place("A", 1, 1))];
        }

        var taken = index.Here.Where(g => g.Where.TankId is null).Select(g => g.Where.Place).ToList();
        var free = new FreePlaces(taken, layout);
        var places = new List<Place>();
        var next = body.From;
        while (next is not null && places.Count < body.Vials.Count && next.Slot <= MostSlots)
        {
            if (free.Take(next))
            {
                places.Add(next);
            }

            next = next with { Slot = next.Slot + 1 };
        }

        while (places.Count < body.Vials.Count)
        {
            places.Add(free.Next());
        }

        return places;
    }
}
