using Husbandry.Labels;
using QRCoder;
using SkiaSharp;

namespace App.Labels;

/// <summary>Draws labels: on PDF sheets, and one by one as pictures for a printer.</summary>
internal static class LabelDrawing
{
    private const float PointsPerMm = 72 / 25.4f;
    private const float SheetWidthMm = 210;
    private const float SheetHeightMm = 297;
    private const float DotsPerMm = 300 / 25.4f;

    // Left at its zero, the quality would make blurred photographs of the codes; the default is without loss.
    private static readonly SKDocumentPdfMetadata Metadata = new()
    {
        Title = "Labels",
        EncodingQuality = SKDocumentPdfMetadata.DefaultEncodingQuality,
        RasterDpi = SKDocumentPdfMetadata.DefaultRasterDpi,
    };

    /// <summary>Sheets or single labels as a PDF.</summary>
    /// <param name="labels">The labels.</param>
    /// <param name="format">Size.</param>
    /// <param name="skip">Labels already used up on the first sheet.</param>
    /// <param name="address">Address under which a phone finds the room.</param>
    public static byte[] Pdf(IReadOnlyList<LabelText> labels, LabelFormat format, int skip, string address)
    {
        using var stream = new MemoryStream();
        using (var document = SKDocument.CreatePdf(stream, Metadata))
        {
            var (width, height) = format.OnRoll
                ? ((float)format.WidthMm, (float)format.HeightMm)
                : (SheetWidthMm, SheetHeightMm);
            foreach (var page in labels.Select((l, i) => (Label: l, At: i + skip)).GroupBy(x => x.At / format.PerSheet))
            {
                using var canvas = document.BeginPage(width * PointsPerMm, height * PointsPerMm);
                canvas.Scale(PointsPerMm);
                foreach (var (label, at) in page)
                {
                    var (column, row) = (at % format.PerSheet % format.Columns, at % format.PerSheet / format.Columns);
                    canvas.Save();
                    canvas.Translate(
                        (float)(format.LeftMm + (column * (format.WidthMm + format.GapMm))),
                        (float)(format.TopMm + (row * format.HeightMm))
                    );
                    Draw(canvas, label, (float)format.WidthMm, (float)format.HeightMm, address);
                    canvas.Restore();
                }

                document.EndPage();
            }

            document.Close();
        }

        return stream.ToArray();
    }

    /// <summary>One label as a picture at 300 dots an inch.</summary>
    public static byte[] Png(LabelText label, LabelFormat format, string address)
    {
        using var bitmap = new SKBitmap(
            (int)Math.Round(format.WidthMm * DotsPerMm),
            (int)Math.Round(format.HeightMm * DotsPerMm)
        );
        using var canvas = new SKCanvas(bitmap);
        canvas.Clear(SKColors.White);
        canvas.Scale(DotsPerMm);
        Draw(canvas, label, (float)format.WidthMm, (float)format.HeightMm, address);
        canvas.Flush();
        using var image = SKImage.FromBitmap(bitmap);
        using var data = image.Encode(SKEncodedImageFormat.Png, 100);
        return data.ToArray();
    }

    private static void Draw(SKCanvas canvas, LabelText label, float width, float height, string address)
    {
        var pad = height * 0.07f;
        var band = label.HazardText is null ? 0 : height * 0.15f;
        var code = Math.Min(height - band - (2 * pad), width * 0.38f);
        using var qr = QrCode(address + label.Path);
        canvas.DrawImage(
            qr,
            SKRect.Create(width - pad - code, pad, code, code),
            new SKSamplingOptions(SKFilterMode.Nearest)
        );
        var room = width - (3 * pad) - code;
        var y = pad;
        float Line(string text, float share, LabelFonts.Style style)
        {
            var size = height * share;
            LabelFonts.Draw(canvas, text, pad, y + (size * 0.78f), size, room, style);
            return size * 1.12f;
        }

        y += Line(label.Code, 0.2f, LabelFonts.Style.Bold);
        y += Line(label.Name, 0.16f, LabelFonts.Style.Bold);
        y += Line(label.Species, 0.11f, LabelFonts.Style.Italic);
        foreach (var line in label.Lines)
        {
            if (y + (height * 0.1f) > height - band - (pad / 2))
            {
                break;
            }

            y += Line(line, 0.1f, LabelFonts.Style.Regular);
        }

        if (label.HazardText is { } hazard)
        {
            using var black = new SKPaint { Color = SKColors.Black };
            canvas.DrawRect(0, height - band, width, band, black);
            LabelFonts.Draw(
                canvas,
                hazard,
                pad,
                height - (band * 0.28f),
                band * 0.72f,
                width - (2 * pad),
                LabelFonts.Style.Bold,
                SKColors.White
            );
        }
    }

    private static SKImage QrCode(string text)
    {
        const int DotsPerModule = 6;
        using var generator = new QRCodeGenerator();
        using var data = generator.CreateQrCode(text, QRCodeGenerator.ECCLevel.M);
        using var png = new PngByteQRCode(data);
        return SKImage.FromEncodedData(png.GetGraphic(DotsPerModule));
    }
}
