using App.Hosting;
using Husbandry.Climate;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace App.Calculators;

/// <summary>Larvae of one age.</summary>
/// <param name="Instar">Instar, 1 to as many as there are instarDays.</param>
/// <param name="DayInInstar">Days of it that are done: 0 for just molted, at most as long as it lasts.</param>
/// <param name="Count">How many, 1 to 1,000,000.</param>
public sealed record LarvaeGiven(int Instar, double DayInInstar, int Count);

/// <summary>Larvae whose leaf is to be reckoned.</summary>
/// <param name="Larvae">1 to 1000 ages.</param>
/// <param name="InstarDays">Days that each instar lasts, above 0 to 400, the first first; 1 to 1000 of them.</param>
/// <param name="TotalLeafG">Leaf that one larva eats in its life, 0 to 1,000,000 g, without what spoils.</param>
/// <param name="Days">Days ahead, 1 to 366.</param>
/// <param name="MassRatio">How much heavier a larva is in each instar than in the one before, above 0 to 1000; 5 when left out.</param>
public sealed record LeafDemandRequest(
    IReadOnlyList<LarvaeGiven> Larvae,
    IReadOnlyList<double> InstarDays,
    double TotalLeafG,
    int Days,
    double? MassRatio = null
);

/// <summary>Leaf of one day.</summary>
/// <param name="Day">1 for the day that begins now.</param>
/// <param name="Grams">Leaf, g.</param>
public sealed record DayGrams(int Day, double Grams);

/// <summary>Leaf by day.</summary>
/// <param name="ByDay">Each day asked for.</param>
/// <param name="TotalG">All of them, g.</param>
/// <param name="ShareOfLastInstar">Share (0–1) of a larva's leaf that it eats in its last instar.</param>
public sealed record LeafDemandResult(IReadOnlyList<DayGrams> ByDay, double TotalG, double ShareOfLastInstar);

/// <summary>The mean temperature of one day.</summary>
/// <param name="MeanC">−60 to 60 °C; null where nothing was read.</param>
public sealed record DayMean(double? MeanC);

/// <summary>Days of a winter.</summary>
/// <param name="Days">1 to 10,000 consecutive days.</param>
/// <param name="BelowC">A day counts when its mean is no warmer, −60 to 60 °C.</param>
/// <param name="NeededDays">Days that are needed, 1 to 10,000.</param>
public sealed record ChillRequest(IReadOnlyList<DayMean> Days, double BelowC, int NeededDays);

internal static class LarvaCalculators
{
    private const int MostListed = 1000;
    private const int MostCount = 1_000_000;
    private const double LongestInstarDays = 400;
    private const double MostLeafG = 1e6;
    private const double MostRatio = 1000;
    private const int MostAhead = 366;
    private const int MostDays = 10_000;
    private const double ExtremeC = 60;
    private const int MostTold = 20;

    public static IResult LeafDemandOf(LeafDemandRequest body, RuleSet rules)
    {
        var problems = Check(body).Take(MostTold).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var rule = rules.Room.Plants.MassRatio;
        var ratio = body.MassRatio ?? rule.Value;
        var demand = new LeafDemand(body.InstarDays, body.TotalLeafG, ratio);
        List<LarvaeOfAge> larvae = [.. body.Larvae.Select(l => new LarvaeOfAge(l.Instar, l.DayInInstar, l.Count))];
        List<DayGrams> byDay =
        [
            .. Enumerable.Range(1, body.Days).Select(day => new DayGrams(day, larvae.Sum(l => demand.OnDay(l, day)))),
        ];
        return TypedResults.Ok(
            new CalcAnswer<LeafDemandResult>(
                new LeafDemandResult(byDay, byDay.Sum(d => d.Grams), demand.ShareOfLast),
                [
                    CalcReason.From([
                        rule.Because(
                            "Growth",
                            "room.plants.massRatio",
                            $"Each instar eats {Wording.Plain(ratio)} times as much as the one before, evenly over its days: {100 * demand.ShareOfLast:0} in 100 in the last."
                        ),
                    ])[0],
                ]
            )
        );
    }

    public static IResult ChillOf(ChillRequest body)
    {
        var problems = Check(body).Take(MostTold).ToList();
        return problems.Count > 0
            ? Problems.Of(problems)
            : TypedResults.Ok(
                new CalcAnswer<ChillDone>(
                    ChillClock.Of(body.Days.Select(d => d.MeanC), body.BelowC, body.NeededDays),
                    [
                        new CalcReason(
                            $"A day counts when its mean was {Wording.Plain(body.BelowC)} °C or less. A warm spell undoes nothing, and a day without a reading counts for nothing.",
                            "climate.chill",
                            RuleTag.Practice,
                            "common practice, no published source for the counting"
                        ),
                    ]
                )
            );
    }

    private static IEnumerable<Problem> Check(LeafDemandRequest body)
    {
        foreach (
            var problem in Length("larvae", body.Larvae.Count, MostListed)
                .Concat(Length("instarDays", body.InstarDays.Count, MostListed))
                .Concat(CalculatorEndpoints.Within("totalLeafG", body.TotalLeafG, 0, MostLeafG, "g"))
                .Concat(CalculatorEndpoints.Within("days", body.Days, 1, MostAhead, "days"))
                .Concat(Positive("massRatio", body.MassRatio ?? 1, MostRatio))
                .Concat(body.InstarDays.SelectMany((d, k) => Positive($"instarDays[{k}]", d, LongestInstarDays)))
        )
        {
            yield return problem;
        }

        for (var k = 0; k < body.Larvae.Count; k++)
        {
            if (body.Larvae[k] is not { } larvae)
            {
                yield return new Problem($"larvae[{k}]", "Is missing.");
            }
            else if (larvae.Instar < 1 || larvae.Instar > body.InstarDays.Count)
            {
                yield return new Problem(
                    $"larvae[{k}].instar",
                    $"Must be 1 to {body.InstarDays.Count}: as many as there are instarDays."
                );
            }
            else
            {
                var (at, lasts) = ($"larvae[{k}]", body.InstarDays[larvae.Instar - 1]);
                foreach (
                    var problem in CalculatorEndpoints
                        .Within($"{at}.dayInInstar", larvae.DayInInstar, 0, lasts, "days")
                        .Concat(CalculatorEndpoints.Within($"{at}.count", larvae.Count, 1, MostCount, ""))
                )
                {
                    yield return problem;
                }
            }
        }
    }

    private static IEnumerable<Problem> Check(ChillRequest body) =>
        Length("days", body.Days.Count, MostDays)
            .Concat(CalculatorEndpoints.Within("belowC", body.BelowC, -ExtremeC, ExtremeC, "°C"))
            .Concat(CalculatorEndpoints.Within("neededDays", body.NeededDays, 1, MostDays, "days"))
            .Concat(
                body.Days.SelectMany(
                    (day, k) =>
                        day is null
                            ? [new Problem($"days[{k}]", "Give meanC, or null in it where nothing was read.")]
                            : CalculatorEndpoints.Within($"days[{k}].meanC", day.MeanC, -ExtremeC, ExtremeC, "°C")
                )
            );

    private static IEnumerable<Problem> Length(string field, int count, int most) =>
        count is 0 || count > most ? [new Problem(field, $"Give 1 to {most}.")] : [];

    private static IEnumerable<Problem> Positive(string field, double value, double most) =>
        value > 0 && value <= most ? [] : [new Problem(field, $"Must be above 0, to {Wording.Plain(most)}.")];
}
