using App.Access;
using App.Hosting;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace App.Sitter;

/// <summary>A link for somebody who minds the room.</summary>
/// <param name="Name">Name under which the sitter's ticks are written.</param>
/// <param name="From">First night on which it opens.</param>
/// <param name="To">Last night on which it opens.</param>
/// <param name="TwoPeople">Whether a second person will be there for animals with dangerous venom.</param>
/// <param name="Contacts">Whom to call, and when.</param>
/// <param name="Note">What else to know.</param>
public sealed record SitterLinkRequest(
    string Name,
    DateOnly From,
    DateOnly To,
    bool TwoPeople,
    string Contacts,
    string Note
);

/// <summary>A link as listed; the secret in it is shown only when it is made.</summary>
public sealed record SitterLinkView(
    Guid Id,
    string Name,
    DateOnly From,
    DateOnly To,
    bool TwoPeople,
    string Contacts,
    string Note,
    bool Open
);

/// <summary>A link that was just made, with its secret.</summary>
public sealed record SitterLinkMade(string Path, IReadOnlyList<SitterLinkView> Links);

/// <summary>Making and withdrawing links for sitters.</summary>
public static class SitterLinks
{
    private const int LongestName = 40;
    private const int LongestText = 600;
    private const int LongestNights = 62;
    private const int FurthestNights = 730;

    public static void MapSitterLinks(this WebApplication app)
    {
        var links = app.MapGroup("/api/sitter-links").WithTags("Sitter").ForOwner();
        links.MapGet("", ListAsync).WithName("sitterLinks");
        links.MapPost("", MakeAsync).WithName("makeSitterLink").Produces<SitterLinkMade>().ProducesValidationProblem();
        links
            .MapDelete("{id:guid}", WithdrawAsync)
            .WithName("withdrawSitterLink")
            .Produces<IReadOnlyList<SitterLinkView>>()
            .ProducesProblem(404);
    }

    private static async Task<Ok<IReadOnlyList<SitterLinkView>>> ListAsync(
        RoomNow now,
        LanternDb db,
        CancellationToken cancel
    ) => TypedResults.Ok(await ViewAsync(now, db, cancel));

    private static async Task<IReadOnlyList<SitterLinkView>> ViewAsync(
        RoomNow now,
        LanternDb db,
        CancellationToken cancel
    )
    {
        var tonight = (await now.ReadAsync(cancel)).Tonight;
        var rows = await db
            .SitterLinks.AsNoTracking()
            .Where(l => l.EndedTicks == null)
            .OrderBy(l => l.FromDay)
            .ToListAsync(cancel);
        return
        [
            .. rows.Where(l => l.ToDay >= tonight.DayNumber)
                .Select(l => new SitterLinkView(
                    l.Id,
                    l.Name,
                    DateOnly.FromDayNumber(l.FromDay),
                    DateOnly.FromDayNumber(l.ToDay),
                    l.TwoPeople,
                    l.Contacts,
                    l.Note,
                    l.FromDay <= tonight.DayNumber
                )),
        ];
    }

    private static async Task<IResult> MakeAsync(
        SitterLinkRequest body,
        HttpContext context,
        RoomNow now,
        LanternOptions options,
        LanternDb db,
        AccessLog log,
        CancellationToken cancel
    )
    {
        // A link that leads to this computer opens nothing on the sitter's phone: it would look as if it did.
        if (!options.Lan)
        {
            return Problems.Of(
                "name",
                "The room listens on this computer only, so that a sitter’s phone could not open the link: start it with --lan first."
            );
        }

        if (string.IsNullOrWhiteSpace(body.Name) || body.Name.Length > LongestName)
        {
            return Problems.Of("name", $"Write 1 to {LongestName} characters.");
        }

        if (string.IsNullOrWhiteSpace(body.Contacts) || body.Contacts.Length > LongestText)
        {
            return Problems.Of("contacts", $"Write whom to call, 1 to {LongestText} characters.");
        }

        if (body.Note.Length > LongestText)
        {
            return Problems.Of("note", $"At most {LongestText} characters.");
        }

        var room = await now.ReadAsync(cancel);
        if (Math.Abs(body.From.DayNumber - room.Tonight.DayNumber) > FurthestNights)
        {
            return Problems.Of("from", $"Must lie within {FurthestNights} nights of tonight.");
        }

        if (body.To < room.Tonight || body.To < body.From || body.To.DayNumber - body.From.DayNumber > LongestNights)
        {
            return Problems.Of(
                "to",
                $"Must not lie before tonight or the first night, nor more than {LongestNights} nights after it."
            );
        }

        var secret = Secrets.New();
        db.SitterLinks.Add(
            new SitterLinkRow
            {
                Id = Guid.NewGuid(),
                Name = body.Name.Trim(),
                TokenHash = Secrets.Hash(secret),
                FromDay = body.From.DayNumber,
                ToDay = body.To.DayNumber,
                TwoPeople = body.TwoPeople,
                Contacts = body.Contacts,
                Note = body.Note,
                MadeTicks = room.Now.UtcTicks,
            }
        );
        await db.SaveChangesAsync(cancel);
        await log.NoteAsync(AccessEvent.LinkMade, context, cancel, body.Name.Trim());
        return TypedResults.Ok(new SitterLinkMade($"/sit/{secret}", await ViewAsync(now, db, cancel)));
    }

    private static async Task<IResult> WithdrawAsync(
        Guid id,
        HttpContext context,
        RoomNow now,
        LanternDb db,
        AccessLog log,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var name = await db.SitterLinks.Where(l => l.Id == id).Select(l => l.Name).FirstOrDefaultAsync(cancel);
        var ended = await db
            .SitterLinks.Where(l => l.Id == id && l.EndedTicks == null)
            .ExecuteUpdateAsync(l => l.SetProperty(x => x.EndedTicks, clock.GetUtcNow().UtcTicks), cancel);
        if (ended == 0)
        {
            return Problems.NotFound("link");
        }

        await log.NoteAsync(AccessEvent.LinkEnded, context, cancel, name);
        return TypedResults.Ok(await ViewAsync(now, db, cancel));
    }
}
