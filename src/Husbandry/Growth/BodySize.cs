using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;

namespace Husbandry.Growth;

/// <summary>How large an animal is now, as far as its measures tell.</summary>
/// <param name="LegSpanMm">Diagonal leg span.</param>
/// <param name="BodyMm">Carapace and abdomen.</param>
/// <param name="CarapaceMm">Carapace length.</param>
/// <param name="IsEstimate">Whether any of it was converted or carried over a molt.</param>
public sealed record BodySize(double LegSpanMm, double BodyMm, double CarapaceMm, bool IsEstimate)
{
    private static readonly BodyPart[] Parts = [BodyPart.Body, BodyPart.LegSpan, BodyPart.Carapace];

    /// <summary>
    /// The size now: measured since the last molt; else converted from another part by the animal's own proportions
    /// or its group's; else carried over the molts since by the growth ratio. Every step says so.
    /// </summary>
    public static Answer<BodySize?> Of(Subject subject)
    {
        var measures = subject.Standing.Measures.Where(m => Parts.Contains(m.Part)).ToList();
        if (measures.Count == 0)
        {
            return new Answer<BodySize?>(
                null,
                "Never measured.",
                [Reason.FromRecord("Size", "No measure yet: measure the leg span or the body once.", "record.measure")]
            );
        }

        var reasons = new List<Reason>();
        // The newest skin that was measured; within it the newest measure of each part.
        var newest = measures.Max(m => m.MoltsHere);
        var known = measures
            .Where(m => m.MoltsHere == newest)
            .GroupBy(m => m.Part)
            .ToDictionary(g => g.Key, g => g.Last());
        var carried = subject.Standing.Molts.Count - newest;
        var factor = Math.Pow(subject.Profile.GrowthRatio.Value, carried);
        foreach (var measure in known.Values)
        {
            var from = measure.FromExuvia ? " from the shed skin" : "";
            reasons.Add(
                Reason.FromRecord(
                    "Size",
                    $"{Name(measure.Part)} {subject.Room.Wording.Length(measure.LengthMm)}{from}, measured {subject.Room.Wording.Date(subject.Night(measure.At))}.",
                    "record.measure"
                )
            );
        }

        if (carried > 0)
        {
            reasons.Add(
                subject.Profile.GrowthRatio.Because(
                    "Since then",
                    "species.growthRatio",
                    $"{carried} molt{(carried == 1 ? "" : "s")} since: × {factor:0.00}, an estimate until {subject.It} {(subject.IsBrood ? "are" : "is")} measured."
                )
            );
        }

        var values = Parts.ToDictionary(p => p, p => Resolve(p, known, subject, reasons) * factor);
        var size = new BodySize(
            values[BodyPart.LegSpan],
            values[BodyPart.Body],
            values[BodyPart.Carapace],
            carried > 0 || !known.ContainsKey(BodyPart.Body)
        );
        return new Answer<BodySize?>(size, $"Body about {subject.Room.Wording.Length(size.BodyMm)}.", reasons);
    }

    /// <summary>The part as a keeper calls it.</summary>
    public static string Name(BodyPart part) =>
        part switch
        {
            BodyPart.LegSpan => "Leg span",
            BodyPart.Body => "Body length",
            BodyPart.Carapace => "Carapace",
            BodyPart.CarapaceWidth => "Carapace width",
            _ => "Abdomen width",
        };

    private static double Resolve(
        BodyPart part,
        Dictionary<BodyPart, MeasureEvent> known,
        Subject subject,
        List<Reason> reasons
    )
    {
        if (known.TryGetValue(part, out var direct))
        {
            return direct.LengthMm;
        }

        var from = Parts.First(known.ContainsKey);
        var (share, own) = Proportion(part, from, subject);
        var mm = known[from].LengthMm * share;
        if (part == BodyPart.Body)
        {
            var text =
                $"Body taken as {share:0.00} × {Name(from).ToLowerInvariant()} = {subject.Room.Wording.Length(mm)}.";
            reasons.Add(
                own
                    ? Reason.FromRecord("Converted", text + " By its own measures.", "record.proportion")
                    : subject.Group.BodyPerLegSpan.Because("Converted", "group.bodyPerLegSpan", text)
            );
        }

        return mm;
    }

    /// <summary>How long <paramref name="to"/> is per <paramref name="from"/>: the animal's own pairs, else the group's.</summary>
    private static (double Share, bool Own) Proportion(BodyPart to, BodyPart from, Subject subject)
    {
        var pairs = subject
            .Standing.Measures.GroupBy(m => m.MoltsHere)
            .Select(g => (To: g.LastOrDefault(m => m.Part == to), From: g.LastOrDefault(m => m.Part == from)))
            .Where(p => p.To is not null && p.From is not null)
            .Select(p => p.To!.LengthMm / p.From!.LengthMm)
            .ToList();
        return pairs.Count > 0 ? (pairs.Average(), true) : (PerLegSpan(to, subject) / PerLegSpan(from, subject), false);
    }

    private static double PerLegSpan(BodyPart part, Subject subject) =>
        part switch
        {
            BodyPart.Body => subject.Group.BodyPerLegSpan.Value,
            BodyPart.Carapace => subject.Group.BodyPerLegSpan.Value * subject.Group.CarapacePerBody.Value,
            _ => 1,
        };
}
