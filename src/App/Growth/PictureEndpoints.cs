using App.Hosting;
using App.Stock;
using Husbandry.Growth;
using Husbandry.Reasons;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace App.Growth;

/// <summary>Pictures on an animal's record.</summary>
public static class PictureEndpoints
{
    private const int MostBytes = 12 * 1024 * 1024;
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

        if (request.ContentLength > MostBytes)
        {
            return TooLarge();
        }

        using var bytes = new MemoryStream();
        var buffer = new byte[81920];
        for (int read; (read = await request.Body.ReadAsync(buffer, cancel)) > 0; )
        {
            if (bytes.Length + read > MostBytes)
            {
                return TooLarge();
            }

            bytes.Write(buffer, 0, read);
        }

        if (StoredPicture.From(bytes.ToArray()) is not { } picture)
        {
            return Problems.Of(
                "picture",
                $"Must be a JPEG, PNG or WebP picture of {StoredPicture.LeastPixels} to {StoredPicture.MostPixels} pixels a side."
            );
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
            await db.SaveChangesAsync(cancel);
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

    private static ValidationProblem TooLarge() => Problems.Of("picture", $"At most {MostBytes / 1024 / 1024} MB.");
}
