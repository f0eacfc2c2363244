using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;

namespace Husbandry.Labels;

/// <summary>What stands on the label of an enclosure.</summary>
/// <param name="StockId">Its inmate.</param>
/// <param name="Code">Place, such as A1·03.</param>
/// <param name="Name">Name.</param>
/// <param name="Species">Scientific name.</param>
/// <param name="Lines">Sex and stage, last molt, the day it came, and so on; the most wanted first.</param>
/// <param name="HazardText">What it can do to people, in capitals; none for most.</param>
/// <param name="Path">Path of its page, for the code that a phone reads.</param>
public sealed record LabelText(
    Guid StockId,
    string Code,
    string Name,
    string Species,
    IReadOnlyList<string> Lines,
    string? HazardText,
    string Path
)
{
    // Two dates fill a line of the smallest label; the earlier ones stand in the journal.
    private const int PairingsShown = 2;

    /// <summary>Writes the label of an animal.</summary>
    public static LabelText Of(Glance g)
    {
        var sex = g.Who.Sex switch
        {
            Sex.Female => "female",
            Sex.Male => "male",
            _ => "sex unknown",
        };
        var many = g.Who.Kind == StockKind.Specimen ? "" : $"{g.Who.Count} animals";
        var molted = g.Waits.LastMolt is { } molt ? $"molted {Wording.LongDate(molt)}" : "";
        string[] lines =
        [
            Join(many.Length > 0 ? many : sex, g.Who.Instar ?? ""),
            molted,
            g.Waits.Paired.Count == 0
                ? ""
                : $"paired {string.Join(", ", g.Waits.Paired.TakeLast(PairingsShown).Select(Wording.LongDate))}",
            g.Who.Owner is { } owner ? $"of {owner}" : "",
            g.Where.Quarantine is { } until ? $"apart until {Wording.LongDate(until)}" : "",
            $"here since {Wording.LongDate(g.Who.Came)}",
        ];
        return new LabelText(
            g.StockId,
            g.Where.Place.Code,
            g.Who.Name,
            g.Who.Species,
            [.. lines.Where(l => l.Length > 0)],
            HazardOf(g.Who.Hazard),
            $"/stock/{g.StockId}"
        );
    }

    /// <summary>The warning on a label. Source: common practice, no published source.</summary>
    public static string? HazardOf(Hazard? hazard) =>
        hazard switch
        {
            Hazard.MedicallySignificant => "DANGEROUS VENOM · TWO PEOPLE",
            Hazard.Unknown => "VENOM NOT KNOWN · TWO PEOPLE",
            Hazard.IrritantHairs => "IRRITANT HAIRS · GLOVES",
            Hazard.PainfulSting => "STINGS",
            _ => null,
        };

    private static string Join(params IEnumerable<string> parts) => string.Join(" · ", parts.Where(p => p.Length > 0));
}
