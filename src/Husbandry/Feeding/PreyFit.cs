using System.Text.Json.Serialization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>What a size class of a feeder is to an animal.</summary>
public enum PreyVerdict
{
    /// <summary>Fits whole.</summary>
    [JsonStringEnumMemberName("fits")]
    Fits,

    /// <summary>Fits pre-killed and cut.</summary>
    [JsonStringEnumMemberName("cut")]
    Cut,

    /// <summary>Too large to offer in any way.</summary>
    [JsonStringEnumMemberName("too-large")]
    TooLarge,

    /// <summary>Too small to matter.</summary>
    [JsonStringEnumMemberName("too-small")]
    TooSmall,
}

/// <summary>One size class of a feeder judged for an animal.</summary>
/// <param name="FeederId">Feeder.</param>
/// <param name="SizeClassId">Size class.</param>
/// <param name="Name">"small roach nymph".</param>
/// <param name="Plural">"small roach nymphs".</param>
/// <param name="MinMm">Shortest of the class.</param>
/// <param name="MaxMm">Longest of the class.</param>
/// <param name="Verdict">What it is to the animal.</param>
/// <param name="Pieces">Pieces into which one must be cut; 1 when it is given whole, 0 when not at all.</param>
/// <param name="Count">How many make a meal (of whole animals; of pieces when cut); 0 when not at all.</param>
/// <param name="Fatty">Rich in fat.</param>
/// <param name="Serving">How to serve it.</param>
/// <param name="Traits">What it does that must be minded.</param>
/// <param name="OnMenu">Whether it suits the stage.</param>
/// <param name="TakenBefore">How often this animal has taken it whole.</param>
public sealed record PreyOption(
    string FeederId,
    string SizeClassId,
    string Name,
    string Plural,
    double MinMm,
    double MaxMm,
    PreyVerdict Verdict,
    int Pieces,
    int Count,
    bool Fatty,
    string Serving,
    IReadOnlyList<FeederTrait> Traits,
    bool OnMenu = false,
    int TakenBefore = 0
);

/// <summary>Largest prey and what every feeder class is to an animal.</summary>
/// <param name="MaxPreyMm">Longest prey that may be offered whole.</param>
/// <param name="NeverAboveMm">Length that prey must never exceed.</param>
/// <param name="BodyMm">Body length it was judged by.</param>
/// <param name="Options">Every feeder class of the rulebook.</param>
/// <param name="ForelegMm">Foreleg it was judged by, if that was measured.</param>
public sealed record PreyFit(
    double MaxPreyMm,
    double NeverAboveMm,
    double BodyMm,
    IReadOnlyList<PreyOption> Options,
    double? ForelegMm
)
{
    // Lengths that differ by less than this are the same to a ruler; it keeps 2/3 of 15 mm from refusing 10 mm prey.
    private const double RulerMm = 1e-6;

    /// <summary>Longest prey given whole, mm: soft prey such as flies may be as long as the body.</summary>
    public double LimitMm(bool soft) => soft ? Math.Max(MaxPreyMm, NeverAboveMm) : MaxPreyMm;

    /// <summary>
    /// Judges every feeder class against a body length: prey no longer than the group's share of the body is given
    /// whole, soft prey such as flies up to the body's length, and so is what this animal has taken whole before; longer
    /// prey is cut into ⌈length ÷ allowed⌉ pieces of which one is served; small prey is counted up to the mass of one meal.
    /// </summary>
    /// <remarks>Source: common practice, no published source (two thirds, flies up to the body, never longer than it).</remarks>
    /// <param name="group">Rules of the predator's group, which must take prey.</param>
    /// <param name="bodyMm">Carapace and abdomen, legs not counted, mm, &gt; 0.</param>
    /// <param name="feeders">Feeders to judge.</param>
    /// <param name="stage">Stage, for the menu and for what adults may hold.</param>
    /// <param name="forelegMm">Femur and tibia of the grasping foreleg, where they were measured.</param>
    /// <param name="taken">Foods that this animal has taken whole.</param>
    public static PreyFit Of(
        GroupRules group,
        double bodyMm,
        IReadOnlyList<FeederRules> feeders,
        Stage stage,
        double? forelegMm = null,
        IReadOnlyList<TakenFood>? taken = null
    )
    {
        var rules = RulesOf(group);
        var limit = Limit(rules, bodyMm, stage, forelegMm);
        var menu = group.At(stage).Food?.Menu ?? [];
        var mealMg = InsectMass.FromLengthMm(bodyMm * rules.MealShareOfBody.Value);
        var options = feeders
            .SelectMany(f =>
                f.Classes.Where(c => c.LengthMm is not null)
                    .Select(c =>
                        Judge(
                            f,
                            c,
                            f.Soft ? Math.Max(limit, bodyMm * rules.NeverAboveShare.Value) : limit,
                            bodyMm,
                            taken?.FirstOrDefault(t => t.FeederId == f.Id && t.SizeClassId == c.Id)?.Times ?? 0,
                            mealMg,
                            rules
                        )
                    )
            )
            .Select(o => o with { OnMenu = MealChoice.Rank(menu, o) >= 0 })
            .ToList();
        return new PreyFit(limit, bodyMm * rules.NeverAboveShare.Value, bodyMm, options, forelegMm);
    }

    /// <summary>
    /// The group's share of the body; what must be held by the forelegs is no longer than they are, and for adults their
    /// length alone decides.
    /// </summary>
    private static double Limit(PreyRules rules, double bodyMm, Stage stage, double? forelegMm)
    {
        var byBody = bodyMm * rules.ShareOfBody.Value;
        return !rules.HeldByForelegs.Value || forelegMm is not { } foreleg ? byBody
            : stage == Stage.Adult ? Math.Min(foreleg, bodyMm * rules.NeverAboveShare.Value)
            : Math.Min(foreleg, byBody);
    }

    /// <summary>Why the limit is what it is.</summary>
    public static IReadOnlyList<Reason> Why(GroupRules group, PreyFit fit, Wording words)
    {
        var rules = RulesOf(group);
        return
        [
            .. ByForeleg(rules, fit, words),
            rules.ShareOfBody.Because(
                "Size",
                "group.prey.shareOfBody",
                $"{Share(rules.ShareOfBody.Value)} of a {words.Length(fit.BodyMm)} body is {words.Length(fit.BodyMm * rules.ShareOfBody.Value)}; legs do not count. Too large is the dangerous side."
            ),
            rules.NeverAboveShare.Because(
                "Never above",
                "group.prey.neverAboveShare",
                $"Never longer than the body whole, {words.Length(fit.NeverAboveMm)}: flies are soft and may be that long; what it has taken whole before counts as fitting. Anything longer: head crushed, cut to length, one piece served."
            ),
            rules.MealShareOfBody.Because(
                "A meal",
                "group.prey.mealShareOfBody",
                $"A meal weighs as much as one insect of {words.Length(fit.BodyMm * rules.MealShareOfBody.Value)}."
            ),
            new Reason(
                "Weight",
                "Dry weight in mg = 0.0305 × length in mm to the power 2.62.",
                InsectMass.RuleName,
                RuleTag.Published,
                InsectMass.Source,
                []
            ),
        ];
    }

    private static IEnumerable<Reason> ByForeleg(PreyRules rules, PreyFit fit, Wording words)
    {
        if (!rules.HeldByForelegs.Value)
        {
            yield break;
        }

        yield return rules.HeldByForelegs.Because(
            "Forelegs",
            "group.prey.heldByForelegs",
            fit.ForelegMm is { } mm
                ? $"It must be able to close its forelegs on it: {words.Length(mm)} of femur and tibia."
                : "It must be able to close its forelegs on it: measure femur and tibia to size prey by them; until then half the body counts."
        );
    }

    private static PreyRules RulesOf(GroupRules group) =>
        group.Feeding.Prey ?? throw new ArgumentException($"{group.Name} take no prey.", nameof(group));

    private static string Share(double share) =>
        Math.Abs(share - (2.0 / 3)) < RulerMm ? "Two thirds" : $"{share * 100:0} %";

    private static PreyOption Judge(
        FeederRules feeder,
        FeederClass size,
        double limit,
        double bodyMm,
        int takenBefore,
        double mealMg,
        PreyRules rules
    )
    {
        var (min, max) = (size.LengthMm!.Value.Low, size.LengthMm.Value.High);
        var oneMg = InsectMass.FromLengthMm(size.LengthMm.Value.Middle);
        var wanted = Math.Max(1, (int)Math.Round(mealMg / oneMg));
        var pieces = (int)Math.Ceiling((max / limit) - RulerMm);
        var (verdict, cuts, count) =
            max <= limit + RulerMm || takenBefore > 0
                ? wanted > rules.MostForAMeal.Value || max < bodyMm * rules.LeastShareOfBody.Value
                    ? (PreyVerdict.TooSmall, 1, wanted)
                    : (PreyVerdict.Fits, 1, wanted)
                : feeder.CanBeCut && !rules.LiveOnly.Value
                    ? (PreyVerdict.Cut, pieces, 1)
                    : (PreyVerdict.TooLarge, 0, 0);
        return new PreyOption(
            feeder.Id,
            size.Id,
            feeder.NameOf(size, many: false),
            feeder.NameOf(size, many: true),
            min,
            max,
            verdict,
            cuts,
            count,
            feeder.Fatty,
            verdict == PreyVerdict.Cut
                ? "Crush the head first, cut to length, lay one piece on web or surface; the rest is frozen or thrown away."
                : feeder.Serving,
            feeder.Traits,
            TakenBefore: takenBefore
        );
    }
}
