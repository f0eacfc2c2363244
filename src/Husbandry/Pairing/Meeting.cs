using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>What a keeper can do so that an animal is adult sooner or later.</summary>
public enum Steering
{
    /// <summary>A warmer shelf.</summary>
    Warmer,

    /// <summary>A cooler shelf.</summary>
    Cooler,

    /// <summary>Meals further apart.</summary>
    Leaner,

    /// <summary>Meals closer together.</summary>
    Richer,
}

/// <summary>Steering one animal, and when it would be adult then.</summary>
/// <param name="How">What is done.</param>
/// <param name="Span">When it is adult, and how long.</param>
public sealed record SteeredSpan(Steering How, AdultSpan Span);

/// <summary>Whether a male and a female will be adult together, and what would make it likelier.</summary>
/// <param name="Chance">Chance (0–1) as both are kept now.</param>
/// <param name="Steered">Which of the two is best kept otherwise; none where nothing gains enough.</param>
/// <param name="How">How.</param>
/// <param name="Then">Chance (0–1) then.</param>
/// <param name="Says">The same in a sentence.</param>
public sealed record Meeting(double Chance, Guid? Steered, Steering? How, double? Then, string Says)
{
    /// <summary>Dates of one molt, each equally likely.</summary>
    private const int Dates = 12;

    // Beyond so many molts no date says anything.
    private const int MostMolts = 8;

    /// <summary>When an animal is adult as it is kept now; none where that cannot be told.</summary>
    public static AdultSpan? SpanOf(Mate mate, double slower = 1)
    {
        var life = mate.AdultLife;
        if (mate.IsAdult)
        {
            return new AdultSpan([0], new LeftOfLife(life));
        }

        if (mate.Molt is null || mate.MoltsLeft is not { } left)
        {
            return null;
        }

        var low = Math.Max(1, left.ByInstarLow ?? left.BySizeLow ?? 1);
        var high = Math.Min(MostMolts, Math.Max(low, left.ByInstarHigh ?? left.BySizeHigh ?? low));
        var steps = MoltPath.Of(mate.Subject, mate.Molt, mate.Size, high, slower).ToList();
        return steps.Count < low
            ? null
            : new AdultSpan(
                [
                    .. steps
                        .Skip(low - 1)
                        .SelectMany(s =>
                            Enumerable.Range(0, Dates).Select(k => s.Until.Quantile((k + 0.5) / Dates).Value)
                        ),
                ],
                life.Whole
            );
    }

    /// <summary>The ways in which it can be steered; none of who is adult or must be left alone, and no hunger for the thin.</summary>
    public static IReadOnlyList<SteeredSpan> SteeringOf(Mate mate)
    {
        if (mate.IsAdult || mate.Hush[CareAct.Rehouse].Verdict != Verdict.Fine)
        {
            return [];
        }

        var (subject, rules) = (mate.Subject, mate.Subject.Room.Rules.Room);
        var warmth = subject.Profile.Warmth.Value;
        var now = Pace.Rate(warmth, rules.Climate, subject.Pace.CelsiusNow);
        double At(double by) =>
            now
            / Pace.Rate(
                warmth,
                rules.Climate,
                Math.Clamp(
                    subject.Pace.CelsiusNow + by,
                    warmth.ReferenceC - rules.Pairing.SteerWarmthC.Value,
                    warmth.ReferenceC + rules.Pairing.SteerWarmthC.Value
                )
            );
        var food = Math.Pow(rules.Pairing.SteerFood.Value, subject.Group.Feeding.PacePerFood.Value);
        return
        [
            .. new[]
            {
                (How: Steering.Warmer, Slower: At(rules.Pairing.SteerWarmthC.Value)),
                (How: Steering.Cooler, Slower: At(-rules.Pairing.SteerWarmthC.Value)),
                (How: Steering.Leaner, Slower: mate.Condition.Value.Word == ConditionWord.Thin ? 1 : food),
                (
                    How: Steering.Richer,
                    Slower: mate.Condition.Value.Word is ConditionWord.Plump or ConditionWord.VeryPlump ? 1 : 1 / food
                ),
            }
                .Where(o => o.How is Steering.Warmer or Steering.Richer ? o.Slower < 1 : o.Slower > 1)
                .Select(o => (o.How, Span: SpanOf(mate, o.Slower)))
                .Where(o => o.Span is not null)
                .Select(o => new SteeredSpan(o.How, o.Span!)),
        ];
    }

    /// <summary>Whether two will meet; none where both are adult, or one cannot be told.</summary>
    public static Meeting? Of(Candidate she, Candidate he, RoomPairingRules rules)
    {
        if (she.Span is not { } her || he.Span is not { } his || (she.IsAdult && he.IsAdult))
        {
            return null;
        }

        var nights = rules.MeetNights.Value;
        var now = AdultOverlap.Chance(her, his, nights);
        var best = she
            .Steering.Select(s => (One: she, s.How, Then: AdultOverlap.Chance(s.Span, his, nights)))
            .Concat(he.Steering.Select(s => (One: he, s.How, Then: AdultOverlap.Chance(her, s.Span, nights))))
            .OrderByDescending(s => s.Then)
            .FirstOrDefault();
        var says = $"Adult together in {Wording.Chance(now)}";
        return best.One is null || best.Then - now < rules.SteerWorth.Value
            ? new Meeting(now, null, null, null, $"{says}.")
            : new Meeting(
                now,
                best.One.StockId,
                best.How,
                best.Then,
                $"{says}; {Words(best.How, best.One.Name, rules)}: in {Wording.Chance(best.Then)}."
            );
    }

    private static string Words(Steering how, string name, RoomPairingRules rules) =>
        how switch
        {
            Steering.Warmer => $"{name} {Wording.Plain(rules.SteerWarmthC.Value)} °C warmer",
            Steering.Cooler => $"{name} {Wording.Plain(rules.SteerWarmthC.Value)} °C cooler",
            Steering.Leaner => $"{name} fed leaner",
            Steering.Richer => $"{name} fed more",
            _ => throw new ArgumentOutOfRangeException(nameof(how), how, "No words for such steering."),
        };

    /// <summary>What is left of a life, as a wait from now on.</summary>
    private sealed record LeftOfLife(RemainingWait Left) : IWait
    {
        public EffectiveDays Median => Left.Quantile(0.5);

        public double LogSurvival(EffectiveDays days) => double.LogP1(-Math.Min(Left.Within(days), 1 - 1e-12));
    }
}
