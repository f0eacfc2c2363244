using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>One skin of an animal and its measures.</summary>
/// <param name="Instar">Instar of that skin; counted from 1 at arrival when the true instar is unknown.</param>
/// <param name="LengthMm">Length of the part that the record follows.</param>
/// <param name="FromExuvia">Whether it was taken from the shed skin.</param>
/// <param name="MeasuredOn">Night of the measure.</param>
/// <param name="RatioToNext">Ratio to the next skin on record.</param>
public sealed record Skin(int Instar, double LengthMm, bool FromExuvia, DateOnly MeasuredOn, GrowthStep? RatioToNext);

/// <summary>The growth of one animal: its skins and the line through them.</summary>
/// <param name="Part">The part followed: carapace where there are enough measures of it.</param>
/// <param name="InstarsAreKnown">Whether instar numbers are true or counted from arrival.</param>
/// <param name="Skins">Skins in order.</param>
/// <param name="Fit">The fit, with at least two different instars.</param>
/// <param name="Ratio">Ratio per molt used for forecasts: fitted, or the species'.</param>
/// <param name="Corrected">The fit if the molts that were probably missed are counted; none when none were. Proposed, never imposed.</param>
/// <param name="Limbs">Limbs that were lost and how far they have grown again.</param>
public sealed record GrowthRecord(
    BodyPart Part,
    bool InstarsAreKnown,
    IReadOnlyList<Skin> Skins,
    GrowthFit? Fit,
    double Ratio,
    GrowthFit? Corrected,
    IReadOnlyList<LimbRecord> Limbs
)
{
    private const int EnoughPoints = 3;

    /// <summary>Reads the growth of an animal from its measures.</summary>
    public static Answer<GrowthRecord?> Of(Subject subject)
    {
        var measures = subject.Standing.Growth.Measures;
        // The hard part first, then the size, then the body: where there are as many measures of each.
        BodyPart[] preferred = [subject.Group.Growth.HardPart, subject.Group.Growth.SizePart, BodyPart.Body];
        var part = preferred.MaxBy(p => measures.Where(m => m.Part == p).Select(m => m.MoltsHere).Distinct().Count());
        var first = subject.Standing.MoltsBeforeRecord is { } before ? before + subject.Group.InstarAtHatching : 1;
        var latest = measures
            .Where(m => m.Part == part)
            .GroupBy(m => m.MoltsHere)
            .OrderBy(g => g.Key)
            .Select(g => g.Last())
            .ToList();
        var prior = subject.Profile.GrowthRatio;
        if (latest.Count == 0)
        {
            return new Answer<GrowthRecord?>(
                LimbRecord.Of(subject) is { Count: > 0 } limbs
                    ? new GrowthRecord(subject.Group.Growth.HardPart, false, [], null, prior.Value, null, limbs)
                    : null,
                "Nothing measured yet.",
                [
                    Reason.FromRecord(
                        "Growth",
                        $"Measure the {BodySize.Name(subject.Group.Growth.HardPart).ToLowerInvariant()} of each shed skin to see growth.",
                        "record.measure"
                    ),
                ]
            );
        }

        var points = latest.Select(m => new GrowthPoint(first + m.MoltsHere, m.LengthMm)).ToList();
        var room = subject.Room.Rules.Room;
        double? shrinkTo = points.Count < EnoughPoints ? prior.Value : null;
        var fit = GrowthFit.Of(points, shrinkTo, room, first + subject.Standing.Growth.Molts.Count + 1);
        var steps = fit is null
            ? new Dictionary<int, GrowthStep>()
            : MissedMolts.Steps(points, prior.Value, room).ToDictionary(s => s.FromInstar);
        if (fit is not null)
        {
            fit = fit with { Steps = [.. steps.Values] };
        }

        var skins = latest
            .Zip(
                points,
                (m, p) =>
                    new Skin(p.Instar, m.LengthMm, m.FromExuvia, subject.Night(m.At), steps.GetValueOrDefault(p.Instar))
            )
            .ToList();
        var record = new GrowthRecord(
            part,
            subject.Standing.MoltsBeforeRecord is not null,
            skins,
            fit,
            fit?.Ratio ?? prior.Value,
            Correct(points, steps, shrinkTo, room),
            LimbRecord.Of(subject)
        );
        return new Answer<GrowthRecord?>(
            record,
            fit is null ? "One size on record; growth shows after the next molt."
                : record.Corrected is { } better
                    ? $"Grows {record.Ratio:0.00}-fold per molt as recorded, {better.Ratio:0.00}-fold if a molt was missed."
                : $"Grows {record.Ratio:0.00}-fold per molt.",
            fit?.Reasons(shrinkTo, room)
                ??
                [
                    prior.Because(
                        "Growth",
                        "species.growthRatio",
                        $"Until then the species' {prior.Value:0.00} is used."
                    ),
                ]
        );
    }

    /// <summary>The fit with every later skin moved on by the molts that were probably missed.</summary>
    private static GrowthFit? Correct(
        List<GrowthPoint> points,
        Dictionary<int, GrowthStep> steps,
        double? shrinkTo,
        Rulebook.RoomRules room
    )
    {
        if (!steps.Values.Any(s => s.HidesAMolt))
        {
            return null;
        }

        var missed = 0;
        var corrected = new List<GrowthPoint>();
        foreach (var point in points)
        {
            corrected.Add(point with { Instar = point.Instar + missed });
            if (steps.GetValueOrDefault(point.Instar) is { HidesAMolt: true } step)
            {
                missed += step.LikelyMolts - (step.ToInstar - step.FromInstar);
            }
        }

        return GrowthFit.Of(corrected, shrinkTo, room);
    }
}

/// <summary>A lost limb over the molts since.</summary>
/// <param name="Limb">Which.</param>
/// <param name="State">How it was found last.</param>
/// <param name="SeenOn">Night on which it was.</param>
/// <param name="MoltsSinceLost">Molts since it was lost.</param>
/// <param name="Outlook">What to expect, in one sentence.</param>
public sealed record LimbRecord(string Limb, LimbState State, DateOnly SeenOn, int MoltsSinceLost, string Outlook)
{
    /// <summary>The limbs of an animal that are or were missing.</summary>
    /// <remarks>Lost limbs regrow over one to three molts, smaller at first. Source: common practice, no published source.</remarks>
    public static IReadOnlyList<LimbRecord> Of(Subject subject) =>
        [
            .. subject.Standing.Growth.Limbs.Select(l =>
            {
                var since = subject.Standing.Growth.Molts.Count - l.LostAtMolts;
                var outlook =
                    l.State == LimbState.Full ? "Full size again."
                    : Molting.WillNotMoltAgain(subject) is not null ? "It will not grow again: no molt is to come."
                    : since == 0 ? "Grows again at the next one to three molts, thin at first."
                    : l.State == LimbState.Small ? "Full size after one or two more molts."
                    : "Look at the limb: it should have begun to grow again.";
                return new LimbRecord(l.Limb, l.State, subject.Night(l.At), since, outlook);
            }),
        ];
}
