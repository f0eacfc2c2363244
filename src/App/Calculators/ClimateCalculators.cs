using App.Hosting;
using Husbandry.Climate;
using Husbandry.Reasons;

namespace App.Calculators;

/// <summary>Days whose warmth is to be summed.</summary>
/// <param name="Method">How a day's warmth follows from its lowest and highest temperature.</param>
/// <param name="LowerC">Threshold below which nothing is gained, −20 to 60 °C.</param>
/// <param name="Days">1 to 1000 days.</param>
/// <param name="UpperC">Temperature above which nothing more is gained; above the lower threshold.</param>
public sealed record DegreeDaysRequest(
    DegreeDayMethod Method,
    double LowerC,
    IReadOnlyList<DayTemperatures> Days,
    double? UpperC = null
);

/// <summary>Degree-days in °C·d.</summary>
public sealed record DegreeDaysResult(double Total, IReadOnlyList<double> Daily);

/// <summary>Air to be judged.</summary>
/// <param name="TemperatureC">−40 to 60 °C.</param>
/// <param name="RelativeHumidity">0 to 100 per cent.</param>
/// <param name="ToTemperatureC">Temperature to which the same air is brought.</param>
public sealed record AirRequest(double TemperatureC, double RelativeHumidity, double? ToTemperatureC = null);

/// <summary>What follows for that air.</summary>
/// <param name="SaturationKPa">Saturation vapour pressure.</param>
/// <param name="VapourKPa">Vapour pressure.</param>
/// <param name="DewPointC">Dew point; none for perfectly dry air.</param>
/// <param name="VpdKPa">Vapour-pressure deficit.</param>
/// <param name="AbsoluteHumidityGm3">Water in a cubic metre.</param>
/// <param name="RelativeHumidityAt">Per cent at the other temperature, 100 where it condenses; none when no other was asked.</param>
public sealed record AirResult(
    double SaturationKPa,
    double VapourKPa,
    double? DewPointC,
    double VpdKPa,
    double AbsoluteHumidityGm3,
    double? RelativeHumidityAt
);

/// <summary>A hygrometer check over one or two salts, and a reading to correct.</summary>
public sealed record HygrometerRequest(IReadOnlyList<HygrometerPoint> Points, double Reading);

/// <summary>The correction.</summary>
public sealed record HygrometerResult(double Corrected, double Slope, double Offset);

internal static class ClimateCalculators
{
    private const int MostDays = 1000;
    private const double ColdestC = -40;
    private const double HottestC = 60;

    public static IResult DegreeDaysOf(DegreeDaysRequest body)
    {
        var problems = Check(body).ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var daily = body.Days.Select(d => DegreeDays.Of(d, body.LowerC, body.UpperC, body.Method)).ToList();
        var limit = body.UpperC is { } upper
            ? $" Above {Wording.Plain(upper)} °C nothing more is gained (horizontal cut-off)."
            : "";
        var why =
            body.Method == DegreeDayMethod.SingleSine
                ? new CalcReason(
                    $"Mean over one sine wave a day of the warmth above {Wording.Plain(body.LowerC)} °C.{limit}",
                    DegreeDays.RuleName,
                    RuleTag.Published,
                    DegreeDays.SineSource
                )
                : new CalcReason(
                    $"Mean of minimum and maximum less {Wording.Plain(body.LowerC)} °C, never below 0.{limit}",
                    DegreeDays.RuleName,
                    RuleTag.Practice,
                    DegreeDays.AverageSource
                );
        return TypedResults.Ok(new CalcAnswer<DegreeDaysResult>(new DegreeDaysResult(daily.Sum(), daily), [why]));
    }

    public static IResult AirOf(AirRequest body)
    {
        var problems = CalculatorEndpoints
            .Within("temperatureC", body.TemperatureC, ColdestC, HottestC, "°C")
            .Concat(CalculatorEndpoints.Within("relativeHumidity", body.RelativeHumidity, 0, 100, "per cent"))
            .Concat(CalculatorEndpoints.Within("toTemperatureC", body.ToTemperatureC, ColdestC, HottestC, "°C"))
            .ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var air = new MoistAir(body.TemperatureC, body.RelativeHumidity);
        var reasons = new List<CalcReason>
        {
            new(
                "Saturation e° = 0.6108·exp(17.27·T/(T+237.3)) kPa; the dew point is its inverse; the deficit is e° less e.",
                MoistAir.RuleName,
                RuleTag.Published,
                MoistAir.Source
            ),
        };
        if (body.ToTemperatureC is { } to)
        {
            var condenses = 100 * air.VapourKPa / MoistAir.SaturationKPa(to) > 100;
            reasons.Add(
                new CalcReason(
                    condenses
                        ? $"At {Wording.Plain(to)} °C it condenses: water runs down the coldest wall."
                        : $"The same air at {Wording.Plain(to)} °C keeps its vapour pressure.",
                    MoistAir.RuleName,
                    RuleTag.Published,
                    MoistAir.Source
                )
            );
        }

        return TypedResults.Ok(
            new CalcAnswer<AirResult>(
                new AirResult(
                    MoistAir.SaturationKPa(body.TemperatureC),
                    air.VapourKPa,
                    air.DewPointC,
                    air.DeficitKPa,
                    air.AbsoluteHumidityGm3,
                    body.ToTemperatureC is { } t ? air.RelativeHumidityAt(t) : null
                ),
                reasons
            )
        );
    }

    public static IResult HygrometerOf(HygrometerRequest body)
    {
        var problems = new List<Problem>();
        if (body.Points.Count is < 1 or > 2)
        {
            problems.Add(new Problem("points", "Give 1 or 2 points."));
        }

        problems.AddRange(
            body.Points.SelectMany(
                (p, i) =>
                    p is null
                        ? [new Problem($"points[{i}]", "Is missing.")]
                        : CalculatorEndpoints
                            .Within($"points[{i}].reference", p.Reference, 0, 100, "per cent")
                            .Concat(CalculatorEndpoints.Within($"points[{i}].reading", p.Reading, 0, 100, "per cent"))
            )
        );
        problems.AddRange(CalculatorEndpoints.Within("reading", body.Reading, 0, 100, "per cent"));
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        if (HygrometerCheck.Of(body.Points[0], body.Points.Count > 1 ? body.Points[1] : null) is not { } check)
        {
            return Problems.Of("points", "Both readings are the same: no gain can be found; the readings must differ.");
        }

        var text =
            body.Points.Count == 1
                ? "One point: the offset is corrected, the gain taken as 1."
                : "Two points: gain and offset by the straight line through them.";
        return TypedResults.Ok(
            new CalcAnswer<HygrometerResult>(
                new HygrometerResult(check.Correct(body.Reading), check.Slope, check.Offset),
                [new CalcReason(text, HygrometerCheck.RuleName, RuleTag.Published, HygrometerCheck.Source)]
            )
        );
    }

    private static IEnumerable<Problem> Check(DegreeDaysRequest body)
    {
        foreach (var problem in CalculatorEndpoints.Within("lowerC", body.LowerC, ColdestC, HottestC, "°C"))
        {
            yield return problem;
        }

        if (body.UpperC is { } upper && !(upper > body.LowerC && upper <= HottestC))
        {
            yield return new Problem("upperC", $"Must be above lowerC and at most {HottestC} °C.");
        }

        if (body.Days.Count is < 1 or > MostDays)
        {
            yield return new Problem("days", $"Give 1 to {MostDays} days.");
        }

        for (var i = 0; i < body.Days.Count; i++)
        {
            if (body.Days[i] is not { } day)
            {
                yield return new Problem($"days[{i}]", "Is missing.");
                continue;
            }

            foreach (
                var problem in CalculatorEndpoints
                    .Within($"days[{i}].minC", day.MinC, ColdestC, HottestC, "°C")
                    .Concat(CalculatorEndpoints.Within($"days[{i}].maxC", day.MaxC, ColdestC, HottestC, "°C"))
            )
            {
                yield return problem;
            }

            if (day.MinC > day.MaxC)
            {
                yield return new Problem($"days[{i}].minC", "Must not be above maxC.");
            }
        }
    }
}
