using App.Hosting;
using Ledger;
using Ledger.Intake;

namespace App.Intake;

/// <summary>A table of animals to be written.</summary>
/// <param name="Id">Id of the table, made by the client: the same table is written once.</param>
/// <param name="Table">The table.</param>
public sealed record IntakeRequest(Guid Id, IntakeTable Table);

/// <summary>A table of animals that was written.</summary>
/// <param name="StockIds">The animals, in the order of the table.</param>
public sealed record IntakeWritten(IReadOnlyList<Guid> StockIds);

/// <summary>Taking over a keeper's own table of animals: read first, then written all or none.</summary>
public static class IntakeEndpoints
{
    public static void MapIntake(this WebApplication app)
    {
        var intake = app.MapGroup("/api/intake").WithTags("Intake");
        intake.MapPost("read", ReadAsync).WithName("readTable").Produces<IntakeSheet>().ProducesValidationProblem();
        intake
            .MapPost("", WriteAsync)
            .WithName("writeTable")
            .Produces<IntakeWritten>()
            .ProducesValidationProblem()
            .Produces<BothSides>(409, "application/problem+json");
    }

    private static async Task<IResult> ReadAsync(IntakeTable body, RoomNow now, CancellationToken cancel)
    {
        if (IntakeBounds.Problem(body.Text, body.Cells) is { } wrong)
        {
            return wrong;
        }

        var room = await now.ReadAsync(cancel);
        return TypedResults.Ok(new IntakeReader(room, await now.IndexAsync(cancel)).Read(body));
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
        if (IntakeBounds.Problem(body.Table.Text, body.Table.Cells) is { } wrong)
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
}
