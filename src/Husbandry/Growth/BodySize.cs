using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>How large an animal is now, as far as its measures tell.</summary>
/// <param name="SizeMm">What the hobby calls its size: leg span of a spider, body length of a mantis, claw of a crab.</param>
/// <param name="BodyMm">Body length.</param>
/// <param name="HardPartMm">The hard part by which growth is followed.</param>
/// <param name="IsEstimate">Whether any of it was converted or carried over a molt.</param>
public sealed record BodySize(double SizeMm, double BodyMm, double HardPartMm, bool IsEstimate)
{
    /// <summary>
    /// The size now: measured since the last molt; else converted from another part by the animal's own proportions
    /// or its group's; else carried over the molts since by the growth ratio. Every step says so.
    /// </summary>
    public static Answer<BodySize?> Of(Subject subject)
    {
        var parts = PartsOf(subject.Group);
        var measures = subject.Standing.Growth.Measures.Where(m => parts.Contains(m.Part)).ToList();
        if (measures.Count == 0)
        {
            var text =
                $"No measure yet: measure the {Name(subject.Group.Growth.SizePart).ToLowerInvariant()} or the body once.";
            return new Answer<BodySize?>(null, "Never measured.", [Reason.FromRecord("Size", text, "record.measure")]);
        }

        var reasons = new List<Reason>();
        // The newest skin that was measured; within it the newest measure of each part.
        var newest = measures.Max(m => m.MoltsHere);
        var known = measures
            .Where(m => m.MoltsHere == newest)
            .GroupBy(m => m.Part)
            .ToDictionary(g => g.Key, g => g.Last());
        var carried = subject.Standing.Growth.Molts.Count - newest;
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
                    $"{carried} molt{(carried == 1 ? "" : "s")} since: × {factor:0.00}, an estimate until {subject.It} {(subject.IsMany ? "are" : "is")} measured."
                )
            );
        }

        double Now(BodyPart part) => Resolve(part, known, subject, reasons) * factor;
        var body = Now(BodyPart.Body);
        var size = new BodySize(
            subject.Group.Growth.SizePart == BodyPart.Body ? body : Now(subject.Group.Growth.SizePart),
            body,
            Now(subject.Group.Growth.HardPart),
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
            BodyPart.HeadCapsule => "Head capsule",
            BodyPart.Claw => "Large claw",
            BodyPart.Foreleg => "Foreleg, femur and tibia",
            BodyPart.AbdomenWidth => "Abdomen width",
            _ => throw new ArgumentOutOfRangeException(nameof(part), part, "No name of such a part."),
        };

    /// <summary>The parts whose lengths say how large an animal of a group is.</summary>
    public static IReadOnlyList<BodyPart> PartsOf(GroupRules group) =>
        [.. new[] { BodyPart.Body, group.Growth.SizePart, group.Growth.HardPart }.Distinct()];

    /// <summary>
    /// Size with so many molts behind it here, carried from the nearest measured skin by the species' growth ratio and
    /// the group's proportions; none when it was never measured.
    /// </summary>
    public static double? SizeAt(Subject subject, int moltsHere)
    {
        MeasureEvent? nearest = null;
        foreach (var m in subject.Standing.Growth.Measures)
        {
            if (
                (
                    m.Part == BodyPart.Body
                    || m.Part == subject.Group.Growth.SizePart
                    || m.Part == subject.Group.Growth.HardPart
                ) && (nearest is null || Math.Abs(m.MoltsHere - moltsHere) <= Math.Abs(nearest.MoltsHere - moltsHere))
            )
            {
                nearest = m;
            }
        }

        return nearest is null
            ? null
            : nearest.LengthMm
                * PerBody(subject.Group.Growth.SizePart, subject.Group)
                / PerBody(nearest.Part, subject.Group)
                * Math.Pow(subject.Profile.GrowthRatio.Value, moltsHere - nearest.MoltsHere);
    }

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

        var from = PartsOf(subject.Group).First(known.ContainsKey);
        var (share, own) = Proportion(part, from, subject);
        var mm = known[from].LengthMm * share;
        if (part == BodyPart.Body)
        {
            var text =
                $"Body taken as {share:0.00} × {Name(from).ToLowerInvariant()} = {subject.Room.Wording.Length(mm)}.";
            reasons.Add(
                own
                    ? Reason.FromRecord("Converted", text + " By its own measures.", "record.proportion")
                    : subject.Group.Growth.BodyPerSize.Because("Converted", "group.bodyPerSize", text)
            );
        }

        return mm;
    }

    /// <summary>How long <paramref name="to"/> is per <paramref name="from"/>: the animal's own pairs, else the group's.</summary>
    private static (double Share, bool Own) Proportion(BodyPart to, BodyPart from, Subject subject)
    {
        var pairs = subject
            .Standing.Growth.Measures.GroupBy(m => m.MoltsHere)
            .Select(g => (To: g.LastOrDefault(m => m.Part == to), From: g.LastOrDefault(m => m.Part == from)))
            .Where(p => p.To is not null && p.From is not null)
            .Select(p => p.To!.LengthMm / p.From!.LengthMm)
            .ToList();
        return pairs.Count > 0
            ? (pairs.Average(), true)
            : (PerBody(to, subject.Group) / PerBody(from, subject.Group), false);
    }

    private static double PerBody(BodyPart part, GroupRules group) =>
        part == BodyPart.Body ? 1
        : part == group.Growth.SizePart ? 1 / group.Growth.BodyPerSize.Value
        : group.Growth.HardPartPerBody.Value;
}
