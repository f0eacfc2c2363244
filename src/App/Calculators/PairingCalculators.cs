using App.Hosting;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace App.Calculators;

/// <summary>A pairing on one of the days to come.</summary>
/// <param name="MoltPrior">From one molt of hers to the next, days.</param>
/// <param name="DaysSinceMolt">Days since her last molt; she has not molted since.</param>
/// <param name="SacPrior">From the pairing to the sac, days.</param>
/// <param name="HorizonDays">Last day to look at, 1–800; the sac may come later.</param>
/// <param name="TakeRate">Share of pairings that give a sac if nothing comes between, 0–1; 1 when left out.</param>
/// <param name="FirstDay">First day on which she may be paired; 0 when left out.</param>
public sealed record PairingRaceRequest(
    WaitPrior MoltPrior,
    double DaysSinceMolt,
    WaitPrior SacPrior,
    int HorizonDays,
    double? TakeRate = null,
    int? FirstDay = null
);

/// <summary>Chance of a sac before the next molt when paired on a day.</summary>
public sealed record DayChance(double Day, double Probability);

/// <summary>The race, day by day.</summary>
/// <param name="ByDay">Every whole day from 0 on.</param>
/// <param name="BestDay">The earliest of the best days from the first allowed one on.</param>
/// <param name="LastSensibleDay">The last day with at least half of that chance; none where there is none.</param>
public sealed record PairingRaceResult(IReadOnlyList<DayChance> ByDay, int BestDay, int? LastSensibleDay);

/// <summary>One of two animals.</summary>
/// <param name="LifeDays">How long it lives as an adult.</param>
/// <param name="AdultIn">Days from now until it is adult; none when it is adult now, its life then counted from now.</param>
public sealed record AdultLife(WaitPrior LifeDays, WaitPrior? AdultIn = null);

/// <summary>Two animals that should be adult together.</summary>
/// <param name="First">The one.</param>
/// <param name="Second">The other.</param>
/// <param name="Nights">For how many nights at least, above 0 to 365; 1 when left out.</param>
/// <param name="Days">Days from now for which the chance is wanted, 0–3,650.</param>
public sealed record OverlapRequest(
    AdultLife First,
    AdultLife Second,
    double? Nights = null,
    IReadOnlyList<double>? Days = null
);

/// <summary>How likely both are adult together.</summary>
/// <param name="Probability">For as many nights as asked, at any time.</param>
/// <param name="ByDay">That both are adult and alive on a day.</param>
public sealed record OverlapResult(double Probability, IReadOnlyList<DayChance> ByDay);

internal static class PairingCalculators
{
    private const int Shares = 1000;
    private const double LeastDays = 0.001;
    private const double MostDays = 2000;
    private const double MostElapsed = 100_000;
    private const int MostHorizon = 800;
    private const double MostNights = 365;
    private const double MostAhead = 3650;
    private const int MostListed = 1000;

    public static IResult RaceOf(PairingRaceRequest body, RuleSet rules)
    {
        var first = body.FirstDay ?? 0;
        var problems = Prior("moltPrior", body.MoltPrior)
            .Concat(Prior("sacPrior", body.SacPrior))
            .Concat(CalculatorEndpoints.Within("daysSinceMolt", body.DaysSinceMolt, 0, MostElapsed, "days"))
            .Concat(CalculatorEndpoints.Within("horizonDays", body.HorizonDays, 1, MostHorizon, "days"))
            .Concat(CalculatorEndpoints.Within("takeRate", body.TakeRate, 0, 1, ""))
            .Concat(
                CalculatorEndpoints.Within("firstDay", first, 0, Math.Clamp(body.HorizonDays, 1, MostHorizon), "days")
            )
            .ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var pairing = rules.Room.Pairing;
        var left = new RemainingWait(LogNormalWait.FromPrior(body.MoltPrior), new(body.DaysSinceMolt));
        var sacDays = EqualShares.Of(LogNormalWait.FromPrior(body.SacPrior), Shares);
        var takeRate = body.TakeRate ?? 1;
        double[] byDay =
        [
            .. Enumerable
                .Range(0, body.HorizonDays + 1)
                .AsParallel()
                .AsOrdered()
                .Select(day =>
                    PairingRace.Chance(
                        days => 1 - left.Within(new(days)),
                        sacDays.Select(sac => day + sac.Value),
                        takeRate
                    )
                ),
        ];
        var (best, last) = PairingRace.Window(byDay, first, pairing.LastSensibleShare.Value);
        return TypedResults.Ok(
            new CalcAnswer<PairingRaceResult>(
                new PairingRaceResult([.. byDay.Select((p, day) => new DayChance(day, p))], best, last),
                [
                    new CalcReason(
                        $"She has not molted for {Wording.Plain(body.DaysSinceMolt)} days; the sac must come before she does: {Wording.Plain(takeRate)} · ∫ f(sac) · S(molt | not molted yet).",
                        "pairing.race",
                        RuleTag.Published,
                        "definition of competing waits; both lognormal from their quantiles"
                    ),
                    CalcReason.From([
                        pairing.LastSensibleShare.Because(
                            "Last sensible day",
                            "room.pairing.lastSensibleShare",
                            $"The last day that still has {Wording.Plain(pairing.LastSensibleShare.Value)} of the best day's chance."
                        ),
                    ])[0],
                ]
            )
        );
    }

    public static IResult OverlapOf(OverlapRequest body)
    {
        var nights = body.Nights ?? 1;
        var problems = Life("first", body.First).Concat(Life("second", body.Second)).ToList();
        if (!(nights > 0 && nights <= MostNights))
        {
            problems.Add(new Problem("nights", $"Must be above 0, to {MostNights:0}."));
        }

        if (body.Days?.Count > MostListed)
        {
            problems.Add(new Problem("days", $"At most {MostListed} days."));
        }
        else
        {
            problems.AddRange(
                (body.Days ?? []).SelectMany(
                    (d, k) => CalculatorEndpoints.Within($"days[{k}]", d, 0, MostAhead, "days")
                )
            );
        }

        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var (one, other) = (Span(body.First), Span(body.Second));
        return TypedResults.Ok(
            new CalcAnswer<OverlapResult>(
                new OverlapResult(
                    AdultOverlap.Chance(one, other, nights),
                    [
                        .. (body.Days ?? [])
                            .AsParallel()
                            .AsOrdered()
                            .Select(day => new DayChance(day, one.AdultOn(day) * other.AdultOn(day))),
                    ]
                ),
                [
                    new CalcReason(
                        $"Both adult and alive for {Wording.Plain(nights)} night{(nights == 1 ? "" : "s")}: each must outlive the other's coming of age by as much. Dates and lives are taken as independent.",
                        "pairing.overlap",
                        RuleTag.Published,
                        "the definition; all four lognormal from their quantiles"
                    ),
                ]
            )
        );
    }

    internal static IEnumerable<Problem> Prior(string field, WaitPrior prior) =>
        new[] { ("p10", prior.P10), ("p50", prior.P50), ("p90", prior.P90) }
            .SelectMany(p => CalculatorEndpoints.Within($"{field}.{p.Item1}", p.Item2, LeastDays, MostDays, "days"))
            .Concat(
                prior.P10 < prior.P50 && prior.P50 < prior.P90
                    ? []
                    : [new Problem(field, "Must rise: p10 < p50 < p90, in days.")]
            );

    private static IEnumerable<Problem> Life(string field, AdultLife life) =>
        (life.AdultIn is { } adultIn ? Prior($"{field}.adultIn", adultIn) : []).Concat(
            Prior($"{field}.lifeDays", life.LifeDays)
        );

    private static AdultSpan Span(AdultLife life) =>
        AdultSpan.From(
            life.AdultIn is { } adultIn ? LogNormalWait.FromPrior(adultIn) : null,
            LogNormalWait.FromPrior(life.LifeDays),
            Shares
        );
}
