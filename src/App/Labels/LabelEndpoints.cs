using App.Hosting;
using Devices;
using Husbandry.Labels;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Labels;

/// <summary>Labels to print.</summary>
/// <param name="StockIds">Animals, in the order of the labels; at most 2000.</param>
/// <param name="Format">Size.</param>
/// <param name="Skip">Labels already used up on the first sheet.</param>
public sealed record LabelRequest(IReadOnlyList<Guid> StockIds, string Format, int Skip = 0);

/// <summary>A roll to put into the printer.</summary>
public sealed record RollRequest(string Format);

/// <summary>The printer.</summary>
public sealed record PrinterView(LabelRoll? Roll, IReadOnlyList<PrintedLabel> Printed);

/// <summary>What can be printed, and where the codes on it lead.</summary>
/// <param name="Formats">Sizes.</param>
/// <param name="Address">Address under which a phone finds the room.</param>
/// <param name="OnNetwork">Whether a phone can: the server listens on the network.</param>
public sealed record LabelsView(
    IReadOnlyList<LabelFormat> Formats,
    string Address,
    bool OnNetwork,
    PrinterView Printer
);

/// <summary>Labels as PDF, and on the printer that comes with the product.</summary>
public static class LabelEndpoints
{
    private const int MostLabels = 2000;

    public static void AddLabels(this IServiceCollection services) =>
        services.AddSingleton(provider => new LabelPrinter(
            Path.Combine(Path.GetDirectoryName(provider.GetRequiredService<LanternOptions>().DataFile)!, "printed")
        ));

    public static void MapLabels(this WebApplication app)
    {
        var labels = app.MapGroup("/api/labels").WithTags("Labels");
        labels.MapGet("", Read).WithName("labels");
        labels
            .MapGet("preview/{id:guid}", PreviewAsync)
            .WithName("previewLabel")
            .Produces<byte[]>(200, "image/png")
            .ProducesValidationProblem();
        labels
            .MapPost("pdf", PdfAsync)
            .WithName("labelSheet")
            .Produces<byte[]>(200, "application/pdf")
            .ProducesValidationProblem();
        labels.MapPost("print", PrintAsync).WithName("printLabels").Produces<PrinterView>().ProducesValidationProblem();
        labels.MapPost("roll", Load).WithName("loadRoll").Produces<PrinterView>().ProducesValidationProblem();
        labels
            .MapGet("printed/{id:int}", Picture)
            .WithName("printedLabel")
            .Produces<byte[]>(200, "image/png")
            .ProducesProblem(404);
    }

    private static Ok<LabelsView> Read(LanternOptions options, LabelPrinter printer) =>
        TypedResults.Ok(new LabelsView(LabelFormat.All, options.PublicAddress, options.Lan, View(printer)));

    private static PrinterView View(LabelPrinter printer) => new(printer.Roll, printer.Printed);

    /// <summary>One label as it will be printed.</summary>
    private static async Task<IResult> PreviewAsync(
        Guid id,
        string format,
        RoomNow now,
        LanternOptions options,
        CancellationToken cancel
    )
    {
        var (labels, size, refusal) = await LabelsAsync(new LabelRequest([id], format), now, cancel);
        return refusal ?? TypedResults.File(LabelDrawing.Png(labels[0], size!, options.PublicAddress), "image/png");
    }

    private static async Task<IResult> PdfAsync(
        LabelRequest body,
        RoomNow now,
        LanternOptions options,
        CancellationToken cancel
    )
    {
        var (labels, format, refusal) = await LabelsAsync(body, now, cancel);
        return refusal
            ?? TypedResults.File(
                LabelDrawing.Pdf(labels, format!, body.Skip, options.PublicAddress),
                "application/pdf",
                "labels.pdf"
            );
    }

    private static async Task<IResult> PrintAsync(
        LabelRequest body,
        RoomNow now,
        LanternOptions options,
        LabelPrinter printer,
        TimeProvider clock,
        CancellationToken cancel
    )
    {
        var (labels, format, refusal) = await LabelsAsync(body, now, cancel);
        if (refusal is not null)
        {
            return refusal;
        }

        if (!format!.OnRoll)
        {
            return Problems.Of("format", "The printer takes rolls; sheets are printed from the PDF.");
        }

        var outcome = printer.Print(
            format.Id,
            [.. labels.Select(l => ($"{l.Code} {l.Name}", LabelDrawing.Png(l, format, options.PublicAddress)))],
            clock.GetUtcNow()
        );
        return outcome.Refusal is { } why ? Problems.Of("format", why) : TypedResults.Ok(View(printer));
    }

    private static IResult Load(RollRequest body, LabelPrinter printer)
    {
        if (LabelFormat.Find(body.Format) is not { OnRoll: true } format)
        {
            return Problems.Of("format", $"Must be one of {Known(LabelFormat.All.Where(f => f.OnRoll))}.");
        }

        printer.Load(format.Id);
        return TypedResults.Ok(View(printer));
    }

    private static IResult Picture(int id, LabelPrinter printer) =>
        printer.Picture(id) is { } png ? TypedResults.File(png, "image/png") : Problems.NotFound("printed label");

    private static async Task<(IReadOnlyList<LabelText> Labels, LabelFormat? Format, IResult? Refusal)> LabelsAsync(
        LabelRequest body,
        RoomNow now,
        CancellationToken cancel
    )
    {
        if (LabelFormat.Find(body.Format) is not { } format)
        {
            return ([], null, Problems.Of("format", $"Must be one of {Known(LabelFormat.All)}."));
        }

        if (body.StockIds.Count is 0 or > MostLabels)
        {
            return ([], null, Problems.Of("stockIds", $"Must be 1 to {MostLabels} animals."));
        }

        if (body.Skip < 0 || body.Skip >= format.PerSheet)
        {
            return ([], null, Problems.Of("skip", $"Must be 0 to {format.PerSheet - 1} labels."));
        }

        await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        var found = body.StockIds.Select(index.Find).ToList();
        var missing = found.FindIndex(g => g is null);
        return missing >= 0
            ? ([], null, Problems.Of($"stockIds[{missing}]", "There is no such animal."))
            : ([.. found.Select(g => LabelText.Of(g!))], format, null);
    }

    private static string Known(IEnumerable<LabelFormat> formats) => string.Join(", ", formats.Select(f => f.Id));
}
