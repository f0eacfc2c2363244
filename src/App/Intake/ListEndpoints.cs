using App.Hosting;
using App.Live;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Ledger;
using Ledger.Intake;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Intake;

/// <summary>A keeper's own list, to be written.</summary>
/// <param name="List">The list; a row that was written before is passed over.</param>
public sealed record ListRequest(KeepersList List);

/// <summary>A list that was written.</summary>
/// <param name="Entries">Entries of it.</param>
public sealed record ListWritten(int Entries);

/// <summary>Taking over lists of what happened, of the larder and of chores: read first, then written all or none.</summary>
public static class ListEndpoints
{
    public static void MapLists(this WebApplication app)
    {
        Map(app, "happened", "Happened", ReadHappenedAsync, WriteHappenedAsync);
        Map(app, "larder", "LarderList", ReadLarderAsync, WriteLarderAsync);
        Map(app, "chores", "ChoreList", ReadChoresAsync, WriteChoresAsync);
    }

    private static void Map(WebApplication app, string what, string name, Delegate read, Delegate write)
    {
        var list = app.MapGroup($"/api/intake/{what}").WithTags("Intake");
        list.MapPost("read", read).WithName($"read{name}").Produces<ListSheet>().ProducesValidationProblem();
        list.MapPost("", write)
            .WithName($"write{name}")
            .Produces<ListWritten>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<IResult> ReadHappenedAsync(
        KeepersList body,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    ) =>
        IntakeBounds.Problem(body.Text, body.Cells)
        ?? (IResult)
            TypedResults.Ok((await HappenedAsync(body, await now.ReadAsync(cancel), now, reader, cancel)).Sheet);

    private static async Task<(ListSheet Sheet, IReadOnlyList<HappenedRow> Rows)> HappenedAsync(
        KeepersList list,
        Room room,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var happened = new HappenedReader(list, room, await now.IndexAsync(cancel));
        var standings = await reader.StandingsAsync(happened.Named, cancel);
        return happened.Read(
            standings
                .Select(s => Judgement.TryOf(s, room))
                .OfType<Judgement>()
                .ToDictionary(j => j.Subject.Standing.StockId)
        );
    }

    private static async Task<IResult> WriteHappenedAsync(
        ListRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (Wrong(body, tap, room, out var at) is { } wrong)
        {
            return wrong;
        }

        var (sheet, rows) = await HappenedAsync(body.List, room, now, reader, cancel);
        if (sheet.Problems() is { Count: > 0 } unsound)
        {
            return Problems.Of(unsound);
        }

        var entries = HappenedReader.EntriesOf(rows, at, Hand.Of(context, room), room);
        var there = await reader.WrittenAsync([.. entries.Select(e => e.Entry.Id)], cancel);
        List<StockEntry> fresh = [.. entries.Where(e => !there.Contains(e.Entry.Id))];
        if (fresh.Count == 0)
        {
            return TypedResults.Ok(new ListWritten(0));
        }

        var result = await store.WriteAsync(fresh, null, room, cancel);
        return Problems.ForFailure(result, room) ?? TypedResults.Ok(new ListWritten(fresh.Count));
    }

    private static async Task<IResult> ReadLarderAsync(
        KeepersList body,
        RoomNow now,
        LarderStore store,
        CancellationToken cancel
    ) =>
        IntakeBounds.Problem(body.Text, body.Cells)
        ?? (IResult)TypedResults.Ok((await LarderAsync(body, await now.ReadAsync(cancel), store, cancel)).Read().Sheet);

    private static async Task<LarderReader> LarderAsync(
        KeepersList list,
        Room room,
        LarderStore store,
        CancellationToken cancel
    ) => new(list, room, await store.StandingAsync(room.Rules, cancel));

    private static async Task<IResult> WriteLarderAsync(
        ListRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        LarderStore store,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (Wrong(body, tap, room, out var at) is { } wrong)
        {
            return wrong;
        }

        var (sheet, acts) = (await LarderAsync(body.List, room, store, cancel)).Read();
        if (sheet.Problems() is { Count: > 0 } unsound)
        {
            return Problems.Of(unsound);
        }

        var by = Hand.Of(context, room);
        return Written(await store.WriteAllAsync(acts, at, by, room, cancel), room, live, LiveTopic.Larder, by);
    }

    private static async Task<IResult> ReadChoresAsync(
        KeepersList body,
        RoomNow now,
        ChoreStore store,
        CancellationToken cancel
    ) =>
        IntakeBounds.Problem(body.Text, body.Cells)
        ?? (IResult)
            TypedResults.Ok(
                new ChoreReader(body, await now.ReadAsync(cancel), await store.StandingAsync(cancel)).Read().Sheet
            );

    private static async Task<IResult> WriteChoresAsync(
        ListRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        ChoreStore store,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (Wrong(body, tap, room, out var at) is { } wrong)
        {
            return wrong;
        }

        var (sheet, acts) = new ChoreReader(body.List, room, await store.StandingAsync(cancel)).Read();
        if (sheet.Problems() is { Count: > 0 } unsound)
        {
            return Problems.Of(unsound);
        }

        var by = Hand.Of(context, room);
        return Written(await store.WriteAllAsync(acts, at, by, room, cancel), room, live, LiveTopic.Chores, by);
    }

    private static ValidationProblem? Wrong(ListRequest body, Tap tap, Room room, out DateTimeOffset at)
    {
        var odd = tap.Read(room, out at);
        return IntakeBounds.Problem(body.List.Text, body.List.Cells)
            ?? (odd is null ? null : Problems.Of(odd.Field, odd.Message));
    }

    private static IResult Written(
        (WriteResult Result, int Count) written,
        Room room,
        LiveRoom live,
        LiveTopic topic,
        string by
    )
    {
        if (Problems.ForFailure(written.Result, room) is { } failure)
        {
            return failure;
        }

        if (written.Count > 0)
        {
            live.Tell(topic, by);
        }

        return TypedResults.Ok(new ListWritten(written.Count));
    }
}
