using System.Globalization;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Nursery;

/// <summary>What a brood is measured by.</summary>
public enum BroodYardstick
{
    /// <summary>The keeper's earlier broods of its kind.</summary>
    OwnBroods,

    /// <summary>What the rulebook expects of the group.</summary>
    Rulebook,
}

/// <summary>Earlier broods of one origin or one way of rearing, taken together.</summary>
/// <param name="Of">Which, in two or three words: "bred here", "eggs taken from her".</param>
/// <param name="Broods">How many.</param>
/// <param name="Animals">Animals in them.</param>
/// <param name="Curve">How many of them lived how long.</param>
public sealed record EarlierBroods(string Of, int Broods, int Animals, SurvivalCurve Curve);

/// <summary>A brood beside what is usual.</summary>
/// <param name="By">What is usual by.</param>
/// <param name="Usual">The usual curve over ages in days.</param>
/// <param name="Broods">Earlier broods that it rests on; 0 by the rulebook.</param>
/// <param name="Animals">Animals in them.</param>
/// <param name="ByOrigin">The same for each origin apart, where there are two: bred here, from the wild, bought.</param>
/// <param name="ByRearing">The same for each way of rearing apart, where there are two: with the mother, or taken from her.</param>
/// <param name="Lost">As many were lost since the instar at which it stands out most, or in all.</param>
/// <param name="Expected">As many would usually have been.</param>
/// <param name="Since">That instar; none where it is the whole life.</param>
/// <param name="Spreads">By how many spreads it lost more than usual; negative for fewer.</param>
/// <param name="IsWorse">Whether that is more than chance would often do.</param>
/// <remarks>
/// The one-sample log-rank test: losses against the usual hazard summed over the lives that were followed, (O − E) / √E.
/// Source: Breslow (1975), Int. Stat. Rev. 43:45–57; the usual hazard by Nelson (1972), Technometrics 14:945–966.
/// </remarks>
public sealed record BroodMeasure(
    BroodYardstick By,
    IReadOnlyList<UsualStep> Usual,
    int Broods,
    int Animals,
    IReadOnlyList<EarlierBroods> ByOrigin,
    IReadOnlyList<EarlierBroods> ByRearing,
    int Lost,
    double Expected,
    string? Since,
    double Spreads,
    bool IsWorse
)
{
    /// <summary>A brood against the earlier ones of its species in the room, or against the rulebook where there are too few.</summary>
    /// <param name="brood">The brood.</param>
    /// <param name="others">Everything of its species that is or was in the room.</param>
    public static Answer<BroodMeasure?> Of(Subject brood, IEnumerable<Subject> others)
    {
        ArgumentNullException.ThrowIfNull(brood);
        if (!brood.IsBrood || brood.Group.Nursery is not { } rules)
        {
            return new Answer<BroodMeasure?>(null, "Nothing to measure by.", []);
        }

        var room = brood.Room.Rules.Room.Nursery;
        var earlier = others.Where(o => IsEarlier(o, brood)).ToList();
        var pooled = earlier.SelectMany(o => BroodLives.Of(o).Seen(LossDated.Middle)).ToList();
        var animals = earlier.Sum(o => o.Standing.Counts[0].Now);
        var own = animals >= room.ComparedFrom.Value;
        var begins = BroodLives.Begins(brood);
        var molts = BroodCurve.Molts(brood, begins);
        var usual = own ? UsualStep.Of(SurvivalCurve.Of(pooled)) : UsualStep.Of(rules, molts);
        var lives = BroodLives.Of(brood).Seen(LossDated.Middle);
        var best = FromEachInstar(lives, usual, molts).MaxBy(s => s.Spreads);
        var lost = lives.Where(l => l.Died).Sum(l => l.Count);
        var text = brood.Group.InstarMark + best.Instar?.ToString(CultureInfo.InvariantCulture);
        var worse = best.Spreads > room.WorseFrom.Value;
        var measure = new BroodMeasure(
            own ? BroodYardstick.OwnBroods : BroodYardstick.Rulebook,
            usual,
            own ? earlier.Count : 0,
            own ? animals : 0,
            own ? Apart(earlier, OriginOf) : [],
            own ? Apart(earlier.Where(o => o.Standing.Details.MotherId is not null), RearingOf) : [],
            best.Lost,
            best.Expected,
            best.Instar is null ? null : text,
            best.Spreads,
            worse
        );
        return new Answer<BroodMeasure?>(measure, Say(measure, rules, room), Why(measure, brood, rules, room, lost));
    }

    private static bool IsEarlier(Subject other, Subject brood) =>
        other.IsBrood
        && other.Standing.StockId != brood.Standing.StockId
        && BroodLives.Begins(other) < BroodLives.Begins(brood)
        // What was split off is the same brood.
        && other.Standing.Counts.All(c => c.Party?.StockId != brood.Standing.StockId)
        && brood.Standing.Counts.All(c => c.Party?.StockId != other.Standing.StockId);

    private static string OriginOf(Subject brood) =>
        brood.Standing.Details.Wild is not null ? "from the wild"
        : brood.Standing.Details.MotherId is not null ? "bred here"
        : "bought";

    private static string RearingOf(Subject brood) => brood.Standing.Kept is null ? "left with her" : "taken from her";

    private static List<EarlierBroods> Apart(IEnumerable<Subject> earlier, Func<Subject, string> of)
    {
        var parts = earlier
            .GroupBy(of)
            .OrderBy(g => g.Key, StringComparer.Ordinal)
            .Select(g => new EarlierBroods(
                g.Key,
                g.Count(),
                g.Sum(o => o.Standing.Counts[0].Now),
                SurvivalCurve.Of([.. g.SelectMany(o => BroodLives.Of(o).Seen(LossDated.Middle))])
            ))
            .ToList();
        return parts.Count > 1 ? parts : [];
    }

    /// <summary>Losses against the usual ones in all, and since the beginning of each instar.</summary>
    private static IEnumerable<(int? Instar, int Lost, double Expected, double Spreads)> FromEachInstar(
        IReadOnlyList<LifeSeen> lives,
        IReadOnlyList<UsualStep> usual,
        IReadOnlyList<(double Age, int Instar)> molts
    )
    {
        foreach (var (age, instar) in molts.Skip(1).Select(m => (m.Age, (int?)m.Instar)).Prepend((0, null)))
        {
            var after = lives.Where(l => l.Time >= age).ToList();
            var lost = after.Where(l => l.Died).Sum(l => l.Count);
            var expected = after.Sum(l =>
                l.Count
                * (UsualStep.HazardAt(usual, l.Time) - UsualStep.HazardBefore(usual, Math.Max(age, l.Entry ?? 0)))
            );
            yield return (instar, lost, expected, expected > 0 ? (lost - expected) / Math.Sqrt(expected) : 0);
        }
    }

    private static string Say(BroodMeasure m, NurseryRules rules, RoomNurseryRules room)
    {
        var usual = m.By == BroodYardstick.OwnBroods ? "yours usually are" : "the rulebook expects";
        var since = m.Since is { } instar ? $" since {instar}" : "";
        var figures = $"{Whole(m.Lost)} lost{since} where {Wording.Plain(Math.Round(m.Expected, 1))} would be usual";
        return m.IsWorse ? $"This brood is worse than {usual}{since}: {figures}. {rules.LookAt.Value}"
            : m.Spreads < -room.WorseFrom.Value ? $"This brood is better than {usual}: {figures}."
            : $"This brood is about as {usual}: {figures}.";
    }

    private static string Whole(int n) => n.ToString(CultureInfo.InvariantCulture);

    private static IReadOnlyList<Reason> Why(
        BroodMeasure m,
        Subject brood,
        NurseryRules rules,
        RoomNurseryRules room,
        int lost
    )
    {
        var numbers = Reason.FromRecord(
            "Numbers",
            $"{Whole(lost)} of this brood died or are gone without a word; who was sold, given, released, escaped or split off counts as alive when last seen.",
            "record.count"
        );
        var usual =
            m.By == BroodYardstick.OwnBroods
                ? Reason.FromRecord(
                    "Usual",
                    $"{m.Broods} earlier brood{(m.Broods == 1 ? "" : "s")} of its kind here, {m.Animals} animals, by age.",
                    "record.count"
                )
                : rules.EarlyLoss.Because(
                    "Usual",
                    "group.earlyLoss",
                    $"Fewer than {room.ComparedFrom.Value} animals in earlier broods of its kind here, so by the rulebook: {Wording.Chance(rules.EarlyLoss.Value)} are lost in each instar before {brood.Group.InstarMark}{rules.HardyFrom.Value}, {Wording.Chance(rules.LaterLoss.Value)} in each after it."
                );
        return
        [
            usual,
            numbers,
            room.WorseFrom.Because(
                "Worse from",
                "room.worseFrom",
                $"{Wording.Plain(Math.Round(m.Spreads, 2))} spreads above the usual losses; worse is said above {Wording.Plain(room.WorseFrom.Value)}."
            ),
        ];
    }
}

/// <summary>A step of what is usual.</summary>
/// <param name="AgeDays">Age, days.</param>
/// <param name="Living">Share (0–1) usually alive after it.</param>
/// <param name="Hazard">Usual losses for each animal followed so far, summed.</param>
public sealed record UsualStep(double AgeDays, double Living, double Hazard)
{
    /// <summary>From a curve that was seen.</summary>
    internal static IReadOnlyList<UsualStep> Of(SurvivalCurve curve)
    {
        var (steps, hazard) = (new List<UsualStep>(), 0.0);
        foreach (var step in curve.Steps)
        {
            hazard += (double)step.Deaths / step.AtRisk;
            steps.Add(new UsualStep(step.Time, step.Survival, hazard));
        }

        return steps;
    }

    /// <summary>
    /// From what a rulebook expects in each instar of a brood. How long an instar lasts is not known while it does, so that its
    /// losses are all expected from its beginning on.
    /// </summary>
    internal static IReadOnlyList<UsualStep> Of(NurseryRules rules, IReadOnlyList<(double Age, int Instar)> molts)
    {
        var (steps, hazard, living) = (new List<UsualStep>(), 0.0, 1.0);
        foreach (var (age, instar) in molts)
        {
            var loss = rules.LossIn(instar);
            hazard -= Math.Log(1 - loss);
            living *= 1 - loss;
            steps.Add(new UsualStep(age, living, hazard));
        }

        return steps;
    }

    internal static double HazardAt(IReadOnlyList<UsualStep> usual, double age) =>
        usual.LastOrDefault(u => u.AgeDays <= age)?.Hazard ?? 0;

    internal static double HazardBefore(IReadOnlyList<UsualStep> usual, double age) =>
        usual.LastOrDefault(u => u.AgeDays < age)?.Hazard ?? 0;
}
