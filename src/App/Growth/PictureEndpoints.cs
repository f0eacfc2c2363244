using App.Hosting;
using App.Stock;
using Husbandry.Growth;
using Husbandry.Reasons;
using Ledger;
using Microsoft.EntityFrameworkCore;

namespace App.Growth;

/// <summary>Pictures on an animal's record.</summary>
public static class PictureEndpoints
{
    private const int MostCaption = 200;

    public static void MapPictures(this WebApplication app)
    {
        app.MapPost("/api/stock/{id:guid}/pictures", AddAsync)
            .WithName("addPicture")
            .WithTags("Growth")
            .Accepts<byte[]>("image/jpeg", "image/png", "image/webp")
            .Produces<AnimalView>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .Produces<BothSides>(409, "application/problem+json");
        app.MapGet("/api/pictures/{id:guid}", ReadAsync)
            .WithName("picture")
            .WithTags("Growth")
            .Produces(200, contentType: "image/jpeg")
            .ProducesProblem(404);
    }

    private static async Task<IResult> AddAsync(
        Guid id,
        Guid pictureId,
        Guid entryId,
        HttpRequest request,
        [AsParameters] Tap tap,
        RoomNow now,
        LanternDb db,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel,
        string caption = "",
        bool ofExuvia = false
    )
    {
        if (caption.Length > MostCaption)
        {
            return Problems.Of("caption", $"At most {MostCaption} characters.");
        }

        if (await reader.StandingAsync(id, cancel) is null)
        {
            return Problems.NotFound("animal");
        }

        if (await SentPicture.ReadAsync(request, cancel) is not { } bytes)
        {
            return SentPicture.TooLarge();
        }

        if (StoredPicture.From(bytes) is not { } picture)
        {
            return SentPicture.NoPicture();
        }

        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        var entry = new NewEntry(
            entryId,
            Occurrence.At(at),
            null,
            new Pictured(pictureId, caption, ofExuvia),
            WrittenAt: at,
            WrittenBy: Hand.Of(request.HttpContext, room)
        );
        // The picture goes first: an entry without its picture would be a promise broken.
        var isNew = !await db.Pictures.AnyAsync(p => p.Id == pictureId, cancel);
        if (isNew)
        {
            db.Pictures.Add(
                new PictureRow
                {
                    Id = pictureId,
                    StockId = id,
                    AddedTicks = at.UtcTicks,
                    Width = picture.Width,
                    Height = picture.Height,
                    Jpeg = picture.Jpeg,
                }
            );
            try
            {
                await db.SaveChangesAsync(cancel);
            }
            catch (DbUpdateException error) when (LanternDb.IsTakenId(error))
            {
                // A second tap was quicker: the picture is there.
                isNew = false;
                db.ChangeTracker.Clear();
            }
        }

        var result = await store.WriteAsync(id, [entry], null, room, cancel);
        if (isNew && result.Outcome is not (WriteOutcome.Written or WriteOutcome.WrittenBefore))
        {
            await db.Pictures.Where(p => p.Id == pictureId).ExecuteDeleteAsync(cancel);
        }

        return await StockEndpoints.AnswerAsync(id, result, room, reader, cancel);
    }

    private static async Task<IResult> ReadAsync(Guid id, LanternDb db, CancellationToken cancel)
    {
        var jpeg = await db
            .Pictures.AsNoTracking()
            .Where(p => p.Id == id)
            .Select(p => p.Jpeg)
            .FirstOrDefaultAsync(cancel);
        return jpeg is null ? Problems.NotFound("picture") : TypedResults.File(jpeg, "image/jpeg");
    }
}
