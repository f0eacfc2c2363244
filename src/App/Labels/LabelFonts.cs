using System.Reflection;
using SkiaSharp;

namespace App.Labels;

/// <summary>The fonts of printed things, shipped with the application; letters that the first lacks come from the second.</summary>
internal static class LabelFonts
{
    public enum Style
    {
        Regular,
        Bold,
        Italic,
    }

    private static readonly Dictionary<Style, SKTypeface> Faces = Enum.GetValues<Style>()
        .ToDictionary(s => s, s => Load($"AtkinsonHyperlegibleNext-{s}"));

    private static readonly SKTypeface Fallback = Load("DejaVuSans");

    /// <summary>Draws a line of text, made narrower or cut so that it fits.</summary>
    public static void Draw(
        SKCanvas canvas,
        string text,
        float x,
        float baseline,
        float size,
        float room,
        Style style,
        SKColor? colour = null
    )
    {
        const float Narrowest = 0.66f;
        using var paint = new SKPaint { Color = colour ?? SKColors.Black, IsAntialias = true };
        var runs = Runs(text, Faces[style], size);
        var width = runs.Sum(r => r.Width);
        var narrow = width <= room ? 1 : Math.Max(Narrowest, room / width);
        while (width * narrow > room && text.Length > 1)
        {
            Let(runs);
            text = text[..^1].TrimEnd();
            runs = Runs(text + "…", Faces[style], size);
            width = runs.Sum(r => r.Width);
        }

        foreach (var (run, font, advance) in runs)
        {
            font.ScaleX = narrow;
            canvas.DrawText(run, x, baseline, SKTextAlign.Left, font, paint);
            x += advance * narrow;
        }

        Let(runs);
    }

    private static void Let(List<(string Text, SKFont Font, float Width)> runs) => runs.ForEach(r => r.Font.Dispose());

    private static List<(string Text, SKFont Font, float Width)> Runs(string text, SKTypeface face, float size)
    {
        var runs = new List<(string, SKFont, float)>();
        using var probe = new SKFont(face, size);
        var start = 0;
        for (var i = 1; i <= text.Length; i++)
        {
            var has = probe.ContainsGlyph(text[start]);
            if (i < text.Length && probe.ContainsGlyph(text[i]) == has)
            {
                continue;
            }

            var font = new SKFont(has ? face : Fallback, size)
            {
                // Sizes are millimetres here: advances must not be rounded to whole ones.
                Subpixel = true,
                LinearMetrics = true,
                Hinting = SKFontHinting.None,
            };
            var run = text[start..i];
            runs.Add((run, font, font.MeasureText(run)));
            start = i;
        }

        return runs;
    }

    private static SKTypeface Load(string name)
    {
        var assembly = Assembly.GetExecutingAssembly();
        using var stream = assembly.GetManifestResourceStream($"App.Labels.Fonts.{name}.ttf")!;
        return SKTypeface.FromStream(stream);
    }
}
