using App.Hosting;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Ledger;
using Ledger.Intake;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Intake;

/// <summary>A table of animals to be written.</summary>
/// <param name="Id">Id of the table, made by the client: the same table is written once.</param>
/// <param name="Table">The table.</param>
public sealed record IntakeRequest(Guid Id, IntakeTable Table);

/// <summary>A table of what happened, to be written.</summary>
/// <param name="Table">The table; a row that was written before is passed over.</param>
public sealed record HappenedRequest(HappenedTable Table);

/// <summary>A table of what happened that was written.</summary>
/// <param name="Entries">Entries of it.</param>
public sealed record HappenedWritten(int Entries);

/// <summary>A table of animals that was written.</summary>
/// <param name="StockIds">The animals, in the order of the table.</param>
public sealed record IntakeWritten(IReadOnlyList<Guid> StockIds);

/// <summary>Taking over a keeper's own table of animals: read first, then written all or none.</summary>
public static class IntakeEndpoints
{
    private const int LongestText = 400_000;

    public static void MapIntake(this WebApplication app)
    {
        var intake = app.MapGroup("/api/intake").WithTags("Intake");
        intake.MapPost("read", ReadAsync).WithName("readTable").Produces<IntakeSheet>().ProducesValidationProblem();
        intake
            .MapPost("happened/read", ReadHappenedAsync)
            .WithName("readHappened")
            .Produces<HappenedSheet>()
            .ProducesValidationProblem();
        intake
            .MapPost("happened", WriteHappenedAsync)
            .WithName("writeHappened")
            .Produces<HappenedWritten>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
        intake
            .MapPost("", WriteAsync)
            .WithName("writeTable")
            .Produces<IntakeWritten>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<IResult> ReadAsync(IntakeTable body, RoomNow now, CancellationToken cancel)
    {
        if (Wrong(body.Text, body.Cells) is { } wrong)
        {
            return wrong;
        }

        var room = await now.ReadAsync(cancel);
        return TypedResults.Ok(new IntakeReader(room, await now.IndexAsync(cancel)).Read(body));
    }

    private static async Task<IResult> ReadHappenedAsync(
        HappenedTable body,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    ) =>
        Wrong(body.Text, body.Cells)
        ?? (IResult)TypedResults.Ok(await HappenedAsync(body, await now.ReadAsync(cancel), now, reader, cancel));

    private static async Task<HappenedSheet> HappenedAsync(
        HappenedTable table,
        Room room,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var happened = new HappenedReader(table, room, await now.IndexAsync(cancel));
        var standings = await reader.StandingsAsync(happened.Named, cancel);
        return happened.Read(
            standings
                .Select(s => Judgement.TryOf(s, room))
                .OfType<Judgement>()
                .ToDictionary(j => j.Subject.Standing.StockId)
        );
    }

    private static async Task<IResult> WriteHappenedAsync(
        HappenedRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        if (Wrong(body.Table.Text, body.Table.Cells) is { } wrong)
        {
            return wrong;
        }

        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        var sheet = await HappenedAsync(body.Table, room, now, reader, cancel);
        if (!sheet.IsSound)
        {
            return Problems.Of(
                sheet
                    .Rows.Where(r => r.Problem is not null)
                    .Select(r => new Husbandry.Reasons.Problem($"rows[{r.Line - 1}]", $"Row {r.Line}: {r.Problem}"))
                    .DefaultIfEmpty(new Husbandry.Reasons.Problem("table", "There is nothing in it."))
            );
        }

        var entries = HappenedReader.EntriesOf(sheet, at, Hand.Of(context, room), room);
        var there = await reader.WrittenAsync([.. entries.Select(e => e.Entry.Id)], cancel);
        List<StockEntry> fresh = [.. entries.Where(e => !there.Contains(e.Entry.Id))];
        if (fresh.Count == 0)
        {
            return TypedResults.Ok(new HappenedWritten(0));
        }

        var result = await store.WriteAsync(fresh, null, room, cancel);
        return Problems.ForFailure(result, room) ?? TypedResults.Ok(new HappenedWritten(fresh.Count));
    }

    private static async Task<IResult> WriteAsync(
        IntakeRequest body,
        [AsParameters] Tap tap,
        HttpContext context,
        RoomNow now,
        JournalStore store,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        if (Wrong(body.Table.Text, body.Table.Cells) is { } wrong)
        {
            return wrong;
        }

        var room = await now.ReadAsync(cancel);
        if (tap.Read(room, out var at) is { } odd)
        {
            return Problems.Of(odd.Field, odd.Message);
        }

        // Sent again after a lost answer its animals stand at their places: it is not read anew against them.
        if (
            body.Table.Cells is { Count: > 0 } cells
            && await WrittenBeforeAsync(body.Id, cells.Count, reader, cancel) is { } ids
        )
        {
            return TypedResults.Ok(new IntakeWritten(ids));
        }

        var sheet = new IntakeReader(room, await now.IndexAsync(cancel)).Read(body.Table);
        if (!sheet.IsSound)
        {
            return Problems.Of(
                sheet
                    .Rows.SelectMany(r => r.Problems.Select(p => (Row: r, Problem: p)))
                    .Select(x => new Husbandry.Reasons.Problem(
                        $"rows[{x.Row.Line - 1}]",
                        $"Row {x.Row.Line}: {x.Problem.Message}"
                    ))
                    .DefaultIfEmpty(new Husbandry.Reasons.Problem("table", "There is no animal in it."))
            );
        }

        var entries = IntakeEntries.Of(body.Id, sheet, at, Hand.Of(context, room), room);
        var result = await store.WriteAsync(entries, null, room, cancel);
        return Problems.ForFailure(result, room)
            ?? TypedResults.Ok(new IntakeWritten([.. sheet.Rows.Select(r => IntakeEntries.StockOf(body.Id, r))]));
    }

    private static async Task<IReadOnlyList<Guid>?> WrittenBeforeAsync(
        Guid id,
        int rows,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        List<Guid> ids =
        [
            .. Enumerable
                .Range(1, rows)
                .Select(line =>
                    IntakeEntries.StockOf(id, new IntakeRow(line, null, null, null, null, null, null, "", []))
                ),
        ];
        return await reader.StandingAsync(ids[0], cancel) is null ? null : ids;
    }

    private static ValidationProblem? Wrong(string? text, IReadOnlyList<IReadOnlyList<string>>? table) =>
        text is null && table is null ? Problems.Of("text", "Paste a table, or write one animal on each line.")
        : text?.Length > LongestText ? Problems.Of("text", $"At most {LongestText} characters.")
        : table is { } cells
        && (
            cells.Count > TableReader.MostRows
            || cells.Any(r => r is null || r.Any(c => c is null || c.Length > TableReader.LongestCell))
        )
            ? Problems.Of(
                "cells",
                $"At most {TableReader.MostRows} rows, and {TableReader.LongestCell} characters in a cell."
            )
        : null;
}
