using App.Hosting;
using App.Pairing;
using App.Stock;
using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Ledger;

namespace App.Journal;

/// <summary>An entry to log.</summary>
/// <param name="Id">Made by the client; the same id is written once.</param>
/// <param name="Act">What happened.</param>
/// <param name="FoundOn">Night on which it happened or was found; tonight when left out.</param>
/// <param name="LastSeenBefore">Night on which it had not happened yet, when it was found afterwards.</param>
/// <param name="Corrects">The entry that this one corrects; without dates it keeps that one's.</param>
public sealed record LogRequest(
    Guid Id,
    Act Act,
    DateOnly? FoundOn = null,
    DateOnly? LastSeenBefore = null,
    Guid? Corrects = null
);

/// <summary>Taking an entry back.</summary>
public sealed record UndoRequest(Guid Id, Guid EntryId);

/// <summary>Logging, correcting and taking back.</summary>
public static class JournalEndpoints
{
    public static void MapJournal(this WebApplication app)
    {
        var journal = app.MapGroup("/api/stock/{id:guid}/journal").WithTags("Journal");
        journal
            .MapPost("", LogAsync)
            .WithName("log")
            .Produces<AnimalView>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .Produces<BothSides>(409, "application/problem+json");
        journal
            .MapPost("undo", UndoAsync)
            .WithName("undo")
            .Produces<AnimalView>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<IResult> LogAsync(
        Guid id,
        LogRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        if (body.Act is Acquired or DetailsChanged or Withdrawn)
        {
            return Problems.Of(
                "act.kind",
                "Cannot be logged here: animals are added and changed under /api/stock, entries taken back under undo."
            );
        }

        var room = await now.ReadAsync(cancel);
        if ((tap.Read(room, out var at) ?? JournalTimes.Check(body, room)) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        if (await KinGuard.CheckAsync(id, body.Act, "", room, now, reader, cancel) is { } kin)
        {
            return Problems.Of(kin.Field, kin.Message);
        }

        var former = body.Corrects is { } corrected
            ? (await reader.ReadAsync(id, cancel)).FirstOrDefault(e => e.Id == corrected)
            : null;
        var entry = new NewEntry(
            body.Id,
            JournalTimes.When(body, former, room, at),
            body.Corrects,
            body.Act,
            at,
            Hand.Of(context, room),
            Seen: tap.Seen
        );
        var result = await store.WriteAsync(id, [entry], null, room, cancel);
        return await StockEndpoints.AnswerAsync(id, result, room, reader, cancel);
    }

    private static async Task<IResult> UndoAsync(
        Guid id,
        UndoRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } wrong)
        {
            return Problems.Of(wrong.Field, wrong.Message);
        }

        var entry = new NewEntry(
            body.Id,
            Occurrence.At(at),
            null,
            new Withdrawn(body.EntryId),
            at,
            Hand.Of(context, room)
        );
        var result = await store.WriteAsync(id, [entry], null, room, cancel);
        return await StockEndpoints.AnswerAsync(id, result, room, reader, cancel);
    }
}

/// <summary>Makes occurrences of nights.</summary>
public static class JournalTimes
{
    /// <summary>The evening of a night; now when that evening is still to come.</summary>
    public static DateTimeOffset Evening(DateOnly night, Room room)
    {
        var evening = room.Clock.EveningOf(night);
        return night >= room.Tonight || evening > room.Now ? room.Now : evening;
    }

    public static Husbandry.Reasons.Problem? Check(LogRequest body, Room room)
    {
        var earliest = room.Tonight.AddYears(-EntryCheck.LongestRecordYears);
        if (body.FoundOn is { } found && (found > room.Tonight || found < earliest))
        {
            return new(
                "foundOn",
                $"Must be between {room.Wording.Date(earliest)} and tonight, {room.Wording.Date(room.Tonight)}."
            );
        }

        return body.LastSeenBefore is { } before && (before > (body.FoundOn ?? room.Tonight) || before < earliest)
            ? new(
                "lastSeenBefore",
                $"Must not lie after the night it was found, {room.Wording.Date(body.FoundOn ?? room.Tonight)}."
            )
            : null;
    }

    /// <summary>
    /// When an entry happened. A correction that says nothing of dates keeps those of what it corrects; food that is
    /// found to be taken after all was taken at some time between the offer and now.
    /// </summary>
    /// <param name="body">The entry.</param>
    /// <param name="former">What it corrects.</param>
    /// <param name="room">The room now.</param>
    /// <param name="at">When it was tapped.</param>
    public static Occurrence When(LogRequest body, JournalEntry? former, Room room, DateTimeOffset at)
    {
        if (former is not null && body.FoundOn is null && body.LastSeenBefore is null)
        {
            return body.Act is Offered { Outcome: OfferOutcome.TakenLater }
                ? former.When with
                {
                    To = at,
                }
                : former.When;
        }

        var to = body.FoundOn is { } found && found < room.Tonight ? Evening(found, room) : at;
        return new Occurrence(body.LastSeenBefore is { } before ? Evening(before, room) : to, to);
    }
}
