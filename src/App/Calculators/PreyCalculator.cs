using App.Hosting;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace App.Calculators;

/// <summary>A predator for which prey is wanted.</summary>
/// <param name="Group">Rulebook group.</param>
/// <param name="BodyLengthMm">Carapace and abdomen without legs.</param>
/// <param name="Stage">Stage of life, by its id or the group's own word; read from the leg span when left out.</param>
/// <param name="LegSpanMm">Diagonal leg span.</param>
/// <param name="AbdomenRatio">Abdomen width ÷ carapace width.</param>
/// <param name="ForelegMm">Femur and tibia of a mantis's grasping foreleg.</param>
public sealed record PreyRequest(
    string Group,
    double BodyLengthMm,
    string? Stage = null,
    double? LegSpanMm = null,
    double? AbdomenRatio = null,
    double? ForelegMm = null
);

/// <summary>One size class of a feeder judged.</summary>
public sealed record PreyChoice(
    string Feeder,
    string SizeClass,
    double MinMm,
    double MaxMm,
    PreyVerdict Verdict,
    int Pieces,
    int Count
);

/// <summary>Largest prey and every feeder class.</summary>
public sealed record PreyResult(double MaxPreyMm, double NeverAboveMm, IReadOnlyList<PreyChoice> Options);

internal static class PreyCalculator
{
    private const double MostRatio = 10;

    public static IResult Answer(PreyRequest body, RuleSet rules)
    {
        if (rules.Group(body.Group) is not { } group)
        {
            return Problems.Of("group", $"Unknown group. Known: {string.Join(", ", rules.Groups.Select(g => g.Id))}.");
        }

        if (group.Feeding.Prey is null)
        {
            var hunters = rules.Groups.Where(g => g.Feeding.Prey is not null).Select(g => g.Id);
            return Problems.Of("group", $"{group.Name} take no prey. Groups that do: {string.Join(", ", hunters)}.");
        }

        var limit = group.Growth.SizeLimitMm.Value;
        var problems = CalculatorEndpoints
            .Within("bodyLengthMm", body.BodyLengthMm, limit.Low / 10, limit.High, "mm")
            .Concat(CalculatorEndpoints.Within("legSpanMm", body.LegSpanMm, limit.Low, limit.High, "mm"))
            .Concat(CalculatorEndpoints.Within("forelegMm", body.ForelegMm, limit.Low / 10, limit.High, "mm"))
            .Concat(CalculatorEndpoints.Within("abdomenRatio", body.AbdomenRatio, 0.1, MostRatio, ""))
            .ToList();
        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var legSpan = body.LegSpanMm ?? (body.BodyLengthMm / group.Growth.BodyPerSize.Value);
        if (!StageWords.TryRead(group, body.Stage, out var said, out var unknown))
        {
            return Problems.Of([unknown!]);
        }

        var stage = said ?? StageReading.ForGroup(group, legSpan);

        var fit = PreyFit.Of(group, body.BodyLengthMm, rules.Feeders, stage, body.ForelegMm);
        var reasons = CalcReason.From(PreyFit.Why(group, fit, new Wording(LengthUnit.Mm, default))).ToList();
        reasons.Add(
            new CalcReason(
                $"Counts as {group.StageWord(stage)}{(stage == Husbandry.Rulebook.Stage.Adult ? "; adults may be given less than the limit" : "")}.",
                "group.slingUntilMm",
                group.Growth.SlingUntilMm.Tag,
                group.Growth.SlingUntilMm.Source
            )
        );
        if (body.AbdomenRatio is { } ratio && group.Feeding.Condition is { } condition)
        {
            reasons.Add(Condition(condition, ratio));
        }

        var options = fit
            .Options.Select(o => new PreyChoice(
                o.FeederId,
                o.SizeClassId,
                o.MinMm,
                o.MaxMm,
                o.Verdict,
                o.Pieces,
                o.Count
            ))
            .ToList();
        return TypedResults.Ok(
            new CalcAnswer<PreyResult>(new PreyResult(fit.MaxPreyMm, fit.NeverAboveMm, options), reasons)
        );
    }

    private static CalcReason Condition(ConditionRules rules, double ratio)
    {
        var (text, rule) =
            ratio < rules.ThinBelow.Value ? ("thin: feed sooner and check the water", rules.ThinBelow)
            : ratio > rules.VeryPlumpAbove.Value ? ("very plump: hold food and look for premolt", rules.VeryPlumpAbove)
            : ratio > rules.PlumpAbove.Value ? ("plump: skip one meal", rules.PlumpAbove)
            : ("normal", rules.PlumpAbove);
        return new CalcReason(
            $"Abdomen {Wording.Plain(ratio)} × carapace width: {text}.",
            "group.condition",
            rule.Tag,
            rule.Source
        );
    }
}
