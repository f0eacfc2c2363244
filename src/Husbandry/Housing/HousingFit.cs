using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Housing;

/// <summary>Which measure of an enclosure does not fit.</summary>
public enum HousingMeasure
{
    /// <summary>Too little height to hang and molt, or to stand.</summary>
    TooLow,

    /// <summary>So high that a fall can kill.</summary>
    TooHigh,

    /// <summary>The longer side of the floor is too short.</summary>
    TooNarrow,

    /// <summary>The shorter side of the floor is too short.</summary>
    TooShallow,

    /// <summary>Not enough floor to dig in.</summary>
    TooLittleSubstrate,

    /// <summary>So large that a nymph does not find its prey.</summary>
    TooLarge,

    /// <summary>Too little room for larvae, by volume.</summary>
    TooSmall,
}

/// <summary>One measure that does not fit.</summary>
/// <param name="Measure">Which.</param>
/// <param name="HasMm">What the enclosure has; litres for <see cref="HousingMeasure.TooSmall"/>.</param>
/// <param name="NeedsMm">
/// What the animal needs: at least, or at most for <see cref="HousingMeasure.TooHigh"/> and <see cref="HousingMeasure.TooLarge"/>.
/// </param>
public sealed record HousingMisfit(HousingMeasure Measure, double HasMm, double NeedsMm)
{
    /// <summary>The misfit in a keeper's words, such as "too low: 60 mm, needs 84 mm".</summary>
    public string Text(Wording words) =>
        Measure == HousingMeasure.TooLarge
            ? $"too large to find its prey in: {words.Length(HasMm)}, at most {words.Length(NeedsMm)}"
        : Measure == HousingMeasure.TooSmall ? $"too small: {Wording.Plain(HasMm)} L, needs {Wording.Plain(NeedsMm)} L"
        : Measure == HousingMeasure.TooHigh ? $"too high: {words.Length(HasMm)}, at most {words.Length(NeedsMm)}"
        : $"{Word}: {words.Length(HasMm)}, needs {words.Length(NeedsMm)}";

    /// <summary>"too low", "too narrow" and so on.</summary>
    public string Word =>
        Measure switch
        {
            HousingMeasure.TooLow => "too low",
            HousingMeasure.TooHigh => "too high",
            HousingMeasure.TooNarrow => "too narrow",
            HousingMeasure.TooLarge => "too large to find its prey in",
            HousingMeasure.TooSmall => "too small",
            HousingMeasure.TooShallow => "not deep enough from front to back",
            HousingMeasure.TooLittleSubstrate => "too little substrate",
            _ => throw new InvalidOperationException($"No words for {Measure}."),
        };
}

/// <summary>From which molt on an enclosure does not fit any more.</summary>
/// <param name="Molts">How many molts ahead, 1 for the next.</param>
/// <param name="Instar">The instar after it, as written; none where it is not known.</param>
/// <param name="From">Early end of the window of that molt.</param>
/// <param name="Likely">Middle of it.</param>
/// <param name="To">Late end.</param>
/// <param name="Misfits">What does not fit then.</param>
public sealed record OutgrownAt(
    int Molts,
    string? Instar,
    DateOnly From,
    DateOnly Likely,
    DateOnly To,
    IReadOnlyList<HousingMisfit> Misfits
);

/// <summary>What has to be known of an animal to see whether an enclosure fits it.</summary>
/// <param name="Subject">The animal.</param>
/// <param name="Stage">Its stage of life.</param>
/// <param name="Size">Its size, when known.</param>
/// <param name="Molt">Its next molt, where one is awaited.</param>
/// <param name="MoltsLeft">Molts left to adult, when told.</param>
public sealed record Inmate(
    Subject Subject,
    Stage Stage,
    Answer<BodySize?> Size,
    VigilForecast? Molt,
    MoltsLeft? MoltsLeft
);

/// <summary>Whether an animal fits its enclosure, now and after the molts to come.</summary>
/// <param name="Needs">What it needs now.</param>
/// <param name="Now">What does not fit now.</param>
/// <param name="Outgrown">From when on it does not fit any more, when that comes within the molts looked at.</param>
public sealed record HousingFit(ContainerPlan Needs, IReadOnlyList<HousingMisfit> Now, OutgrownAt? Outgrown)
{
    /// <summary>Checks an enclosure against its inmate.</summary>
    /// <returns>No value while the enclosure or the animal was never measured, and for many animals kept as one.</returns>
    public static Answer<HousingFit?> Of(Inmate inmate)
    {
        var s = inmate.Subject;
        if (s.House is not { } house)
        {
            return new Answer<HousingFit?>(null, "The enclosure was never measured.", []);
        }

        if (inmate.Stage is Stage.Egg or Stage.Pupa)
        {
            return new Answer<HousingFit?>(null, "What neither eats nor walks needs no room.", []);
        }

        if (LarvaeOf(inmate) is { } larvae)
        {
            return FitLarvae(inmate, house.Enclosure, larvae);
        }

        if (s.IsMany)
        {
            return new Answer<HousingFit?>(null, "Many animals in one: no single body to measure it by.", []);
        }

        if (inmate.Size.Value is null)
        {
            return new Answer<HousingFit?>(
                null,
                "Whether it fits cannot be told: its size is not on record.",
                inmate.Size.Reasons
            );
        }

        var needs = NeedsOf(inmate, 1);
        var misfits = Misfits(house.Enclosure, needs.Value);
        var outgrown = misfits.Count > 0 ? null : Outgrow(inmate, house.Enclosure);
        var words = s.Room.Wording;
        var summary =
            misfits.Count > 0 ? $"{misfits[0].Text(words).ToUpperFirst()}."
            : outgrown is { } o
                ? $"{o.Misfits[0].Word.ToUpperFirst()} {(o.Instar is { } instar ? $"from {instar} on" : "after the next molt")}: about {words.Date(o.Likely)} ({words.Dates(o.From, o.To)})."
            : inmate.Molt is null ? "Fits."
            : "Fits, and will after the molts ahead.";
        Reason[] growth = outgrown is null
            ? []
            :
            [
                s.Profile.GrowthRatio.Because(
                    "Growth",
                    "species.growthRatio",
                    $"Each molt × {s.Profile.GrowthRatio.Value:0.00}: then {outgrown.Misfits[0].Text(words)}."
                ),
            ];
        return new Answer<HousingFit?>(
            new HousingFit(needs.Value, misfits, outgrown),
            summary,
            [
                Reason.FromRecord(
                    "Enclosure",
                    $"{house.Enclosure.Name}: {house.Enclosure.Text(words)}.",
                    "record.housed"
                ),
                .. needs.Reasons,
                .. growth,
                .. inmate.Size.Reasons.Take(1),
            ]
        );
    }

    /// <summary>The least enclosure for an animal whose lengths have grown by a factor.</summary>
    /// <exception cref="InvalidOperationException">Its size is unknown; callers check that first.</exception>
    public static Answer<ContainerPlan> NeedsOf(Inmate inmate, double grownBy)
    {
        var size = inmate.Size.Value ?? throw new InvalidOperationException("The size is unknown.");
        var rules = inmate.Subject.Group.Container(inmate.Subject.Profile.Habit);
        var length = rules.By == ContainerBasis.Body ? size.BodyMm : LegSpanMm(inmate.Subject, size);
        return ContainerPlan.Of(
            rules,
            length * grownBy,
            inmate.Subject.Room.Wording,
            nymph: inmate.Stage != Stage.Adult
        );
    }

    private static Answer<ContainerPlan>? LarvaeOf(Inmate inmate) =>
        inmate.Subject.Group.At(inmate.Stage).LarvaLitres is not null
            ? ContainerPlan.OfLarvae(inmate.Subject.Group, inmate.Stage, inmate.Subject.Standing.Details.Count)
            : null;

    private static Answer<HousingFit?> FitLarvae(Inmate inmate, Enclosure has, Answer<ContainerPlan> needs)
    {
        const double MmPerLitre = 1_000_000;
        var litres = has.WidthMm * has.DepthMm * has.FreeHeightMm / MmPerLitre;
        var misfits =
            litres < needs.Value.Litres!.Value
                ? [new HousingMisfit(HousingMeasure.TooSmall, litres, needs.Value.Litres.Value)]
                : Array.Empty<HousingMisfit>();
        return new Answer<HousingFit?>(
            new HousingFit(needs.Value, misfits, null),
            misfits.Length > 0
                ? $"Too small: {Wording.Plain(litres)} L, needs {Wording.Plain(needs.Value.Litres.Value)} L."
                : "Room enough.",
            needs.Reasons
        );
    }

    /// <summary>What does not fit; empty when all does.</summary>
    public static IReadOnlyList<HousingMisfit> Misfits(Enclosure has, ContainerPlan needs)
    {
        var found = new List<HousingMisfit>();
        void AtLeast(HousingMeasure measure, double hasMm, double? needsMm)
        {
            if (needsMm is { } least && hasMm < least)
            {
                found.Add(new HousingMisfit(measure, hasMm, least));
            }
        }

        AtLeast(HousingMeasure.TooLow, has.FreeHeightMm, needs.MinHeightMm);
        if (needs.MaxWidthMm is { } widest && Math.Max(has.LongSideMm, has.FreeHeightMm) > widest)
        {
            found.Add(new HousingMisfit(HousingMeasure.TooLarge, Math.Max(has.LongSideMm, has.FreeHeightMm), widest));
        }
        else if (needs.MaxHeightMm is { } most && has.FreeHeightMm > most)
        {
            found.Add(new HousingMisfit(HousingMeasure.TooHigh, has.FreeHeightMm, most));
        }

        AtLeast(HousingMeasure.TooNarrow, has.LongSideMm, needs.MinWidthMm);
        AtLeast(HousingMeasure.TooShallow, has.ShortSideMm, needs.MinDepthMm);
        AtLeast(HousingMeasure.TooLittleSubstrate, has.SubstrateMm, needs.SubstrateDepthMm);
        return found;
    }

    private static double LegSpanMm(Subject s, BodySize size) =>
        s.Group.Growth.SizePart == Rulebook.BodyPart.LegSpan
            ? size.SizeMm
            : size.BodyMm / s.Group.Growth.BodyPerSize.Value;

    private static OutgrownAt? Outgrow(Inmate inmate, Enclosure enclosure)
    {
        var s = inmate.Subject;
        var molts = 0;
        foreach (
            var step in MoltPath.Of(
                s,
                inmate.Molt,
                inmate.Size.Value,
                Math.Min(s.Room.Rules.Room.Housing.MoltsAhead.Value, MoltPath.Left(inmate.MoltsLeft))
            )
        )
        {
            molts++;
            var after = NeedsOf(inmate, step.GrowsTo).Value;
            // A tall enclosure is no worse for having been too tall before; only what becomes too small is outgrown.
            var misfits = Misfits(enclosure, after)
                .Where(m => m.Measure is not (HousingMeasure.TooHigh or HousingMeasure.TooLarge))
                .ToList();
            if (misfits.Count > 0)
            {
                DateOnly By(double p) => step.Until.Quantile(p).After(s.Room.Tonight);
                var instar = s.Instar is { } i ? $"{s.Group.InstarMark}{i + molts}" : null;
                return new OutgrownAt(molts, instar, By(0.1), By(0.5), By(0.9), misfits);
            }
        }

        return null;
    }
}
