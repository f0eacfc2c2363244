using App.Access;
using App.Climate;
using App.Hosting;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Sitter;
using Ledger;
using Microsoft.EntityFrameworkCore;

namespace App.Sitter;

/// <summary>A line that the sitter has ticked tonight.</summary>
/// <param name="EntryId">The entry, by which it is taken back.</param>
public sealed record TickedLine(Guid StockId, Guid EntryId, string Place, string Name, string Text, DateTimeOffset At);

/// <summary>Taking back what was ticked tonight.</summary>
/// <param name="Id">Made by the client; the same id is written once.</param>
/// <param name="EntryId">The entry.</param>
public sealed record TickUndo(Guid Id, Guid EntryId);

/// <summary>What a sitter sees.</summary>
/// <param name="RoomName">Name of the room.</param>
/// <param name="Seen">Number of the newest entry of the journal, told back with what is written.</param>
/// <param name="Sitter">Name of the sitter.</param>
/// <param name="LastNight">Last night on which the link opens.</param>
/// <param name="Sheet">Tonight's sheet.</param>
/// <param name="Ticked">What was ticked tonight.</param>
/// <param name="Contacts">Whom to call.</param>
/// <param name="Note">What else to know.</param>
/// <param name="IfWrong">What to do if something looks wrong.</param>
/// <param name="Alarms">Alarms of the air that hold, with what to do now; those of sensors are the keeper's own.</param>
public sealed record SitterView(
    string RoomName,
    long Seen,
    string Sitter,
    DateOnly LastNight,
    SitterSheet Sheet,
    IReadOnlyList<TickedLine> Ticked,
    string Contacts,
    string Note,
    IReadOnlyList<string> IfWrong,
    IReadOnlyList<SitterAlarm> Alarms
);

/// <summary>An alarm as a sitter reads it.</summary>
/// <param name="Says">What is the matter.</param>
/// <param name="IsDanger">Whether minutes count.</param>
/// <param name="Now">What to do now.</param>
/// <param name="For">Places that it is about.</param>
public sealed record SitterAlarm(string Says, bool IsDanger, IReadOnlyList<string> Now, IReadOnlyList<string> For);

/// <summary>A tick of the sitter's.</summary>
/// <param name="Id">Made by the client; the same id is written once.</param>
/// <param name="StockId">Which line.</param>
/// <param name="Tick">What was done.</param>
/// <param name="Remark">What looks wrong; needed for that tick only.</param>
public sealed record TickRequest(Guid Id, Guid StockId, SitterTick Tick, string Remark = "");

/// <summary>The sheet behind a sitter's link: it opens this and nothing else.</summary>
public static class SitterEndpoints
{
    private const int LongestRemark = 300;

    /// <summary>Source: common practice, no published source.</summary>
    private static readonly string[] IfWrong =
    [
        "On its back is nearly always a molt: shut the lid softly, do not touch, do not spray, do not feed.",
        "Legs curled tightly under an upright body: put water within reach at once, then call.",
        "Something is out: shut the door of the room, do not reach for it, call.",
        "Stung, bitten, or hairs in the eye: rinse, and call a doctor or the emergency number; then call the keeper.",
        "When in doubt leave the lid shut. A missed meal harms nobody.",
    ];

    public static void MapSitterSheet(this WebApplication app)
    {
        var sit = app.MapGroup("/api/sit/{secret}").WithTags("Sitter").RequireRateLimiting(AccessServices.LinkLimit);
        sit.MapGet("", ReadAsync).WithName("sitterSheet").Produces<SitterView>().ProducesProblem(404);
        sit.MapPost("undo", UndoAsync)
            .WithName("sitterUndo")
            .Produces<SitterView>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .Produces<BothSides>(409, "application/problem+json");
        sit.MapPost("ticks", TickAsync)
            .WithName("sitterTick")
            .Produces<SitterView>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .Produces<BothSides>(409, "application/problem+json");
    }

    /// <summary>Only what was written through this link, and tonight, is taken back through it.</summary>
    private static async Task<IResult> UndoAsync(
        string secret,
        TickUndo body,
        [AsParameters] Tap tap,
        RoomNow now,
        SitterReader reader,
        JournalStore store,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        if (await reader.LinkAsync(secret, room.Tonight, cancel) is not { } link)
        {
            return Problems.NotFound(
                "sheet: the link is not open, has run out or was withdrawn. Ask the keeper for a new one"
            );
        }

        if (await reader.WasWrittenAsync(body.Id, cancel))
        {
            return TypedResults.Ok(await ViewAsync(link, room, reader, cancel));
        }

        var ticked = await reader.TickedAsync(link, room, cancel);
        if (ticked.FirstOrDefault(t => t.EntryId == body.EntryId) is not { } line)
        {
            return Problems.Of("entryId", "That was not ticked here tonight: leave it to the keeper.");
        }

        var result = await store.WriteAsync(
            line.StockId,
            [
                new NewEntry(
                    body.Id,
                    Occurrence.At(at),
                    null,
                    new Withdrawn(body.EntryId),
                    at,
                    SitterReader.HandOf(link)
                ),
            ],
            null,
            room,
            cancel
        );
        return Problems.ForFailure(result, room)
            ?? TypedResults.Ok(await ViewAsync(link, await now.ReadAsync(cancel), reader, cancel));
    }

    private static async Task<IResult> ReadAsync(
        string secret,
        HttpContext context,
        RoomNow now,
        SitterReader reader,
        CancellationToken cancel
    )
    {
        context.Response.Headers.CacheControl = "no-store";
        var room = await now.ReadAsync(cancel);
        return await reader.LinkAsync(secret, room.Tonight, cancel) is { } link
            ? TypedResults.Ok(await ViewAsync(link, room, reader, cancel))
            : Problems.NotFound(
                "sheet: the link is not open, has run out or was withdrawn. Ask the keeper for a new one"
            );
    }

    private static async Task<SitterView> ViewAsync(
        SitterLinkRow link,
        Room room,
        SitterReader reader,
        CancellationToken cancel
    ) =>
        new(
            room.Settings.RoomName,
            reader.Seen,
            link.Name,
            DateOnly.FromDayNumber(link.ToDay),
            await reader.SheetAsync(link, room, cancel),
            await reader.TickedAsync(link, room, cancel),
            link.Contacts,
            link.Note,
            IfWrong,
            await reader.AlarmsAsync(cancel)
        );

    private static async Task<IResult> TickAsync(
        string secret,
        TickRequest body,
        [AsParameters] Tap tap,
        RoomNow now,
        SitterReader reader,
        JournalStore store,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        // What was ticked out of reach may come on another night: the link and the sheet of its own night count.
        var then = room.AsAt(at);
        if (await reader.LinkAsync(secret, then.Tonight, cancel) is not { } link)
        {
            return Problems.NotFound(
                "sheet: the link is not open, has run out or was withdrawn. Ask the keeper for a new one"
            );
        }

        if (
            body.Tick == SitterTick.LooksWrong
            && (string.IsNullOrWhiteSpace(body.Remark) || body.Remark.Length > LongestRemark)
        )
        {
            return Problems.Of("remark", $"Say what looks wrong, 1 to {LongestRemark} characters.");
        }

        // A second tap finds the line gone, or asking for something else by now.
        if (await reader.WasWrittenAsync(body.Id, cancel))
        {
            return TypedResults.Ok(await ViewAsync(link, room, reader, cancel));
        }

        var sheet = tap.Seen is { } seen
            ? await reader.SheetSeenAsync(link, body.StockId, seen, then, cancel)
            : await reader.SheetAsync(link, room, cancel);
        var line = sheet.Lines.FirstOrDefault(l => l.StockId == body.StockId);
        IReadOnlyList<Act> acts;
        if (line is not null)
        {
            acts = SitterSheet.ActsOf(line, body.Tick, body.Remark);
        }
        else
        {
            // What must stay shut can still look wrong through the wall.
            var shut = sheet.LeaveShut.Any(s => s.StockId == body.StockId);
            var ticked = (await reader.TickedAsync(link, then, cancel)).Any(t => t.StockId == body.StockId);
            acts =
                (shut || ticked) && body.Tick == SitterTick.LooksWrong
                    ? [new Noted($"looks wrong: {body.Remark}")]
                    : [];
        }

        if (acts.Count == 0)
        {
            return Problems.Of("stockId", "That is not on tonight’s sheet: leave it to the keeper.");
        }

        var result = await store.WriteAsync(
            body.StockId,
            [
                .. acts.Select(
                    (act, i) =>
                        new NewEntry(
                            i == 0 ? body.Id : DerivedId.Of(body.Id, $"{i}"),
                            Occurrence.At(at),
                            null,
                            act,
                            at,
                            SitterReader.HandOf(link),
                            Seen: tap.Seen
                        )
                ),
            ],
            null,
            room,
            cancel
        );
        return Problems.ForFailure(result, room)
            ?? TypedResults.Ok(await ViewAsync(link, await now.ReadAsync(cancel), reader, cancel));
    }
}

/// <summary>Reads links and sheets.</summary>
public sealed class SitterReader(LanternDb db, JournalReader journal, RoomNow now, AirReader air)
{
    /// <summary>Alarms of the air that hold, whoever has seen them: the sitter is the one who is there.</summary>
    public async Task<IReadOnlyList<SitterAlarm>> AlarmsAsync(CancellationToken cancel) =>
        [
            .. (await air.ReadAsync(cancel))
                .Alarms.Where(a => a.For.Count > 0)
                .Select(a => new SitterAlarm(a.Says, a.IsDanger, a.Now, [.. a.For.Select(f => f.Place).Distinct()])),
        ];

    /// <summary>The name under which a sitter's ticks are written.</summary>
    public static string HandOf(SitterLinkRow link) => $"{link.Name} (sitter)";

    /// <summary>Number of the newest entry of the journal when the room was read.</summary>
    public long Seen => now.Latest;

    /// <summary>The link of a secret, if it is open on a night.</summary>
    public async Task<SitterLinkRow?> LinkAsync(string secret, DateOnly on, CancellationToken cancel)
    {
        var (hash, tonight) = (Secrets.Hash(secret), on.DayNumber);
        return await db
            .SitterLinks.AsNoTracking()
            .FirstOrDefaultAsync(
                l => l.TokenHash == hash && l.EndedTicks == null && l.FromDay <= tonight && l.ToDay >= tonight,
                cancel
            );
    }

    public async Task<SitterSheet> SheetAsync(SitterLinkRow link, Room room, CancellationToken cancel)
    {
        var end = room.Clock.EndOf(room.Tonight).UtcTicks;
        var ids = await db.DueOrHushedIds(end).ToListAsync(cancel);
        var standings = await journal.StandingsAsync(ids, cancel);
        List<(Standing Standing, Judgement? Judged)> each = [.. standings.Select(s => (s, Judgement.TryOf(s, room)))];
        var sheet = SitterSheet.Of(each.Select(e => e.Judged).OfType<Judgement>(), link.TwoPeople, room);
        return sheet.With(each.Where(e => e.Judged is null).Select(e => e.Standing), room);
    }

    /// <summary>What the sheet said of one animal when it was looked at.</summary>
    /// <param name="link">The link.</param>
    /// <param name="stockId">The animal.</param>
    /// <param name="seen">Number of the newest entry that was told then.</param>
    /// <param name="then">The room at that instant.</param>
    /// <param name="cancel">Cancels.</param>
    public async Task<SitterSheet> SheetSeenAsync(
        SitterLinkRow link,
        Guid stockId,
        long seen,
        Room then,
        CancellationToken cancel
    )
    {
        var entries = await journal.ReadAsync(stockId, cancel);
        return SitterSheet.Of(
            Standing.Fold([.. entries.Where(e => e.Sequence <= seen)]) is { Departure: null } standing
                ? [Judgement.Of(standing, then)]
                : [],
            link.TwoPeople,
            then
        );
    }

    public async Task<IReadOnlyList<TickedLine>> TickedAsync(SitterLinkRow link, Room room, CancellationToken cancel)
    {
        var index = await now.IndexAsync(cancel);
        var hand = HandOf(link);
        var tonight = await journal.ReadSinceAsync(room.Clock.StartOf(room.Tonight), cancel);
        return
        [
            .. Chronicle
                .Effective(tonight)
                .Where(e => e.WrittenBy == hand)
                .Select(e => (Entry: e, Glance: index.Find(e.StockId)))
                .Where(x => x.Glance is not null)
                .Select(x => new TickedLine(
                    x.Entry.StockId,
                    x.Entry.Id,
                    x.Glance!.Where.Place.Code,
                    x.Glance.Who.Name,
                    EntryDefinition.Of(x.Entry.Act).Say(x.Entry.Act, room.Rules, room.Wording),
                    x.Entry.WrittenAt
                )),
        ];
    }

    public Task<bool> WasWrittenAsync(Guid entryId, CancellationToken cancel) =>
        db.Entries.AnyAsync(e => e.Id == entryId, cancel);
}
