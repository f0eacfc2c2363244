using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>A measure was taken.</summary>
/// <param name="Part">What.</param>
/// <param name="LengthMm">Millimetres.</param>
/// <param name="FromExuvia">Taken from the shed skin: it tells the size before that molt.</param>
/// <param name="ErrorMm">Standard error when it was measured in a picture, mm.</param>
/// <param name="PictureId">The picture it was measured in.</param>
public sealed record Measured(
    BodyPart Part,
    double LengthMm,
    bool FromExuvia = false,
    double? ErrorMm = null,
    Guid? PictureId = null
) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => MeasuredEntry.It;
}

/// <summary>A measure.</summary>
public sealed class MeasuredEntry() : EntryDefinition<Measured>("measured")
{
    /// <summary>The definition.</summary>
    public static MeasuredEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new Measured(BodyPart.LegSpan, 42),
            new Measured(BodyPart.Carapace, 8.5, FromExuvia: true),
            new Measured(BodyPart.Body, 20, false, 0.4, Guid.Empty),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Measured act, Standing standing, JournalEntry entry)
    {
        var growth = standing.Growth;
        var molts = growth.Molts.Count - (act.FromExuvia ? 1 : 0);
        var measure = new MeasureEvent(entry.Id, entry.When.To, act.Part, act.LengthMm, act.FromExuvia, molts);
        return standing with { Growth = growth with { Measures = [.. growth.Measures, measure] } };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Measured act, EntryAt at)
    {
        if (at is not { Standing: { } standing, Group: { } group })
        {
            yield break;
        }

        var limit = group.Growth.SizeLimitMm.Value;
        // The shortest part of the smallest animal is a tenth of its size; a body may be longer than a claw.
        var low = act.Part == group.Growth.SizePart ? limit.Low : limit.Low / 10;
        var high =
            act.Part == group.Growth.SizePart ? limit.High : limit.High * Math.Max(1, group.Growth.BodyPerSize.Value);
        if (!double.IsFinite(act.LengthMm) || act.LengthMm < low || act.LengthMm > high)
        {
            yield return new Problem(
                "act.lengthMm",
                string.Create(
                    CultureInfo.InvariantCulture,
                    $"{BodySize.Name(act.Part)} of a {group.One} must be {low:0.##} to {high:0.##} mm."
                )
            );
        }

        if (act.ErrorMm is { } error && !(error >= 0 && error <= act.LengthMm))
        {
            yield return new Problem("act.errorMm", "Must be 0 mm to the measured length.");
        }

        if (act.FromExuvia && standing.Growth.Molts.All(molt => molt.When.From > at.When.To))
        {
            yield return new Problem(
                "act.fromExuvia",
                "No molt is on record by then: log the molt first, then measure its skin."
            );
        }
    }

    /// <inheritdoc/>
    protected override string Say(Measured act, RuleSet rules, Wording words) =>
        $"{BodySize.Name(act.Part).ToLowerFirst()} {words.Length(act.LengthMm)}"
        + (act.ErrorMm is { } error ? $" ± {words.Length(error)}" : "")
        + (act.FromExuvia ? ", from the shed skin" : "")
        + (act.PictureId is null ? "" : ", in a picture");

    /// <inheritdoc/>
    protected override bool IsHistory(Measured act) => true;

    /// <inheritdoc/>
    protected override Measured? ForPapers(Measured act) => act with { PictureId = null };
}
