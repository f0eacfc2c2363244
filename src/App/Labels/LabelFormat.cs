namespace App.Labels;

/// <summary>A size of label, on a sheet or on a roll; all measures in mm.</summary>
/// <param name="Id">Identifier.</param>
/// <param name="Name">What the keeper reads.</param>
/// <param name="OnRoll">Whether labels come one by one from a roll.</param>
/// <param name="WidthMm">Width of a label.</param>
/// <param name="HeightMm">Height of a label.</param>
/// <param name="Columns">Labels side by side on a sheet.</param>
/// <param name="Rows">Labels below each other on a sheet.</param>
/// <param name="LeftMm">Margin of the sheet to the left of the first.</param>
/// <param name="TopMm">Margin of the sheet above the first.</param>
/// <param name="GapMm">Gap between two columns.</param>
public sealed record LabelFormat(
    string Id,
    string Name,
    bool OnRoll,
    double WidthMm,
    double HeightMm,
    int Columns = 1,
    int Rows = 1,
    double LeftMm = 0,
    double TopMm = 0,
    double GapMm = 0
)
{
    /// <summary>Labels on one sheet.</summary>
    public int PerSheet => Columns * Rows;

    /// <summary>The sizes that any stationer sells. Source: common practice, no published source; sheets are ISO 216 A4.</summary>
    public static IReadOnlyList<LabelFormat> All { get; } =
    [
        new("a4-24", "A4 sheet, 24 labels of 70 × 37 mm", false, 70, 37, 3, 8, 0, 0.5),
        new("a4-21", "A4 sheet, 21 labels of 63.5 × 38.1 mm", false, 63.5, 38.1, 3, 7, 7.2, 15.1, 2.5),
        new("a4-65", "A4 sheet, 65 labels of 38.1 × 21.2 mm, for vials", false, 38.1, 21.2, 5, 13, 4.7, 10.7, 2.5),
        new("roll-62-29", "Roll, 62 × 29 mm", true, 62, 29),
        new("roll-50-30", "Roll, 50 × 30 mm", true, 50, 30),
        new("roll-38-25", "Roll, 38 × 25 mm, for vials", true, 38, 25),
    ];

    public static LabelFormat? Find(string id) => All.FirstOrDefault(f => f.Id == id);
}
