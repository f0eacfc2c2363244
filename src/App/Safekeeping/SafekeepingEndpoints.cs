using System.Reflection;
using App.Access;
using App.Hosting;
using App.Live;
using Ledger;
using Ledger.Safekeeping;
using Microsoft.AspNetCore.Http.Features;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Safekeeping;

/// <summary>The data file and its copies: looked through, copied, put back, written out and loaded.</summary>
public static class SafekeepingEndpoints
{
    /// <summary>Where all of it lies.</summary>
    public const string Root = "/api/safekeeping";

    private const long MostLoadedBytes = 2_000_000_000;

    public static void MapHealth(this WebApplication app)
    {
        app.MapGet("/api/health", HealthAsync).WithName("health").WithTags("Safekeeping").Produces<Health>(503);
        app.MapGet("/api/troubles", TroublesAsync).WithName("troubles").WithTags("Safekeeping");
    }

    public static void MapSafekeeping(this WebApplication app)
    {
        var group = app.MapGroup(Root).WithTags("Safekeeping").ForOwner();
        group.MapGet("", ReadAsync).WithName("safekeeping");
        group.MapPost("check", CheckAsync).WithName("checkRecord");
        group.MapPost("backups", CopyAsync).WithName("makeBackup").ProducesProblem(503).ProducesProblem(507);
        group
            .MapGet("backups/{name}", Download)
            .WithName("backup")
            .Produces(200, contentType: "application/vnd.sqlite3")
            .ProducesProblem(404);
        group
            .MapGet("backups/{name}/preview", PreviewAsync)
            .WithName("previewRestore")
            .Produces<RestorePreview>()
            .ProducesValidationProblem()
            .ProducesProblem(404);
        group
            .MapPost("backups/{name}/restore", RestoreAsync)
            .WithName("restore")
            .Produces<SafekeepingView>()
            .ProducesValidationProblem()
            .ProducesProblem(404)
            .ProducesProblem(503);
        group.MapGet("archive", ArchiveAsync).WithName("archive").Produces(200, contentType: "application/zip");
        group
            .MapGet("tables/{table}.csv", TableAsync)
            .WithName("table")
            .Produces<string>(200, "text/csv")
            .ProducesProblem(404);
        group
            .MapPost("load", LoadAsync)
            .WithName("loadRoom")
            .Accepts<byte[]>("application/zip", "application/json")
            .Produces<LoadView>()
            .ProducesValidationProblem()
            .ProducesProblem(503);
    }

    private static async Task<Results<Ok<Health>, JsonHttpResult<Health>>> HealthAsync(
        RoomHealth health,
        LanternDb db,
        CancellationToken cancel
    )
    {
        var version = Assembly.GetExecutingAssembly().GetName().Version?.ToString(3) ?? "";
        if (health.IsDamaged)
        {
            return TypedResults.Json(
                new Health("damaged", version),
                statusCode: StatusCodes.Status503ServiceUnavailable
            );
        }

        var troubles = await health.TroublesAsync(db, cancel);
        return TypedResults.Ok(new Health(troubles.Count == 0 ? "well" : "ailing", version));
    }

    private static async Task<Ok<IReadOnlyList<string>>> TroublesAsync(
        RoomHealth health,
        LanternDb db,
        CancellationToken cancel
    ) => TypedResults.Ok(await health.TroublesAsync(db, cancel));

    private static async Task<Ok<SafekeepingView>> ReadAsync(
        LanternOptions options,
        Keeping keeping,
        RoomHealth health,
        LanternDb db,
        CancellationToken cancel
    ) => TypedResults.Ok(await ViewAsync(options, keeping, health, db, cancel));

    private static async Task<SafekeepingView> ViewAsync(
        LanternOptions options,
        Keeping keeping,
        RoomHealth health,
        LanternDb db,
        CancellationToken cancel
    ) =>
        new(
            options.DataFile,
            new FileInfo(options.DataFile).Length,
            await RoomSums.ReadAsync(options.DataFile, cancel),
            health.Found,
            keeping.Backups.Folder,
            [.. keeping.Backups.All().Select(b => new BackupView(b.Name, b.At, b.Reason, b.Bytes))],
            await health.TroublesAsync(db, cancel)
        );

    private static async Task<Ok<CheckView>> CheckAsync(
        LanternOptions options,
        Keeping keeping,
        RoomHealth health,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        health.Note(await FileCheck.QuickAsync(options.DataFile, cancel));
        var says = await keeping.CheckAsync(cancel);
        live.Tell(LiveTopic.Troubles, "");
        return TypedResults.Ok(new CheckView(says.Count == 0, says));
    }

    private static async Task<IResult> CopyAsync(
        LanternOptions options,
        Keeping keeping,
        RoomHealth health,
        LanternDb db,
        CancellationToken cancel
    )
    {
        try
        {
            await keeping.CopyAsync(BackupReason.ByHand, cancel);
        }
        catch (LedgerFileException damaged)
        {
            return Results.Problem(statusCode: StatusCodes.Status503ServiceUnavailable, title: damaged.Message);
        }

        health.CopyTrouble = null;
        return TypedResults.Ok(await ViewAsync(options, keeping, health, db, cancel));
    }

    private static IResult Download(string name, Keeping keeping) =>
        keeping.Backups.Find(name) is { } copy
            ? TypedResults.PhysicalFile(keeping.Backups.PathOf(copy), "application/vnd.sqlite3", copy.Name)
            : Problems.NotFound("copy");

    private static async Task<IResult> PreviewAsync(string name, Keeping keeping, CancellationToken cancel)
    {
        if (keeping.Backups.Find(name) is not { } copy)
        {
            return Problems.NotFound("copy");
        }

        try
        {
            return TypedResults.Ok(await keeping.PreviewAsync(keeping.Backups.PathOf(copy), cancel));
        }
        catch (LedgerFileException unsound)
        {
            return Problems.Of("name", unsound.Message);
        }
    }

    private static async Task<IResult> RestoreAsync(
        string name,
        LanternOptions options,
        Keeping keeping,
        RoomHealth health,
        WriteGate gate,
        LanternDb db,
        CancellationToken cancel
    )
    {
        if (keeping.Backups.Find(name) is not { } copy)
        {
            return Problems.NotFound("copy");
        }

        // A damaged file is shut already, and putting a copy back is what opens it again.
        using var shut = gate.TryClose(Keeping.PuttingBack);
        if (shut is null && !health.IsDamaged)
        {
            return Busy(gate);
        }

        try
        {
            await keeping.RestoreAsync(keeping.Backups.PathOf(copy), cancel);
        }
        catch (LedgerFileException unsound)
        {
            return Problems.Of("name", unsound.Message);
        }

        return TypedResults.Ok(await ViewAsync(options, keeping, health, db, cancel));
    }

    private static async Task<IResult> ArchiveAsync(LanternOptions options, Keeping keeping, CancellationToken cancel)
    {
        var path = Beside(options, "zip");
        await keeping.SaveAsync(path, cancel);
        return TypedResults.File(
            new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.None, 1 << 16, FileOptions.DeleteOnClose),
            "application/zip",
            "room.zip"
        );
    }

    private static async Task<IResult> TableAsync(string table, OpenTables tables, CancellationToken cancel) =>
        // By name only: a number is none.
        Enum.GetNames<OpenTable>().Contains(table, StringComparer.OrdinalIgnoreCase)
        && Enum.TryParse<OpenTable>(table, ignoreCase: true, out var known)
            ? TypedResults.File(await tables.WriteAsync(known, cancel), "text/csv; charset=utf-8", $"{table}.csv")
            : Problems.NotFound("table");

    private static async Task<IResult> LoadAsync(
        HttpContext context,
        LanternOptions options,
        Keeping keeping,
        WriteGate gate,
        LiveRoom live,
        CancellationToken cancel
    )
    {
        if (context.Features.Get<IHttpMaxRequestBodySizeFeature>() is { IsReadOnly: false } size)
        {
            size.MaxRequestBodySize = MostLoadedBytes;
        }

        // Kept on the disk and not in memory: it may be larger than that.
        await using var file = new FileStream(
            Beside(options, "loading"),
            FileMode.CreateNew,
            FileAccess.ReadWrite,
            FileShare.None,
            1 << 16,
            FileOptions.DeleteOnClose
        );
        await context.Request.Body.CopyToAsync(file, cancel);
        file.Position = 0;
        using var shut = gate.TryClose(Keeping.Loading);
        if (shut is null)
        {
            return Busy(gate);
        }

        LoadedRoom loaded;
        try
        {
            loaded = await keeping.LoadAsync(file, cancel);
        }
        catch (LedgerFileException damaged)
        {
            return Results.Problem(statusCode: StatusCodes.Status503ServiceUnavailable, title: damaged.Message);
        }

        if (loaded.Problems.Count > 0)
        {
            return Problems.Of(loaded.Problems);
        }

        live.Tell(LiveTopic.Anything, "");
        return TypedResults.Ok(new LoadView(loaded.Stock, loaded.Entries, loaded.Readings, loaded.Pictures));
    }

    private static ProblemHttpResult Busy(WriteGate gate) =>
        TypedResults.Problem(statusCode: StatusCodes.Status503ServiceUnavailable, title: gate.Closed ?? "Busy.");

    private static string Beside(LanternOptions options, string what) =>
        Path.Combine(Path.GetDirectoryName(options.DataFile)!, $".{Guid.NewGuid():N}.{what}");
}
