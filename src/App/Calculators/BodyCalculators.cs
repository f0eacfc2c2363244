using App.Hosting;
using Husbandry.Feeding;
using Husbandry.Housing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace App.Calculators;

/// <summary>An animal to be weighed by its length.</summary>
/// <param name="Group">Rulebook group, or <c>feeder</c> for insects in general.</param>
/// <param name="LengthMm">Body length, 0.1 to 500 mm.</param>
public sealed record MassRequest(string Group, double LengthMm);

/// <summary>Estimated mass.</summary>
public sealed record MassResult(double MassMg);

/// <summary>An animal to be housed.</summary>
/// <param name="Group">Rulebook group.</param>
/// <param name="BodyLengthMm">Body length; of a hermit crab its height with the shell.</param>
/// <param name="LegSpanMm">Leg span, for groups housed by it.</param>
/// <param name="Habit">Where it lives; the group's usual one when left out.</param>
/// <param name="School">How much room; the rulebook's default when left out.</param>
/// <param name="Stage">Stage, by its id or the group's own word; larvae go by volume, nymphs have a largest size.</param>
/// <param name="Instar">Instar, where the stage is not given.</param>
/// <param name="Count">How many live together, 1 to 2000.</param>
public sealed record ContainerRequest(
    string Group,
    double? BodyLengthMm = null,
    double? LegSpanMm = null,
    Habit? Habit = null,
    ContainerSchool? School = null,
    string? Stage = null,
    int? Instar = null,
    int? Count = null
);

/// <summary>The least enclosure.</summary>
public sealed record ContainerResult(
    double MinHeightMm,
    double MinWidthMm,
    double? MinDepthMm,
    double? SubstrateDepthMm,
    double? MaxHeightMm,
    double? MaxWidthMm,
    double? Litres
);

internal static class BodyCalculators
{
    private const string Feeder = "feeder";
    private const double LeastMm = 0.1;
    private const double MostMm = 500;

    public static IResult MassOf(MassRequest body, RuleSet rules)
    {
        var group = rules.Group(body.Group);
        var problems = CalculatorEndpoints.Within("lengthMm", body.LengthMm, LeastMm, MostMm, "mm").ToList();
        if (group is null && body.Group != Feeder)
        {
            problems.Add(UnknownGroup(rules, Feeder));
        }

        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        if (group is null)
        {
            return TypedResults.Ok(
                new CalcAnswer<MassResult>(
                    new MassResult(InsectMass.FromLengthMm(body.LengthMm)),
                    [
                        new CalcReason(
                            "Dry mass in mg = 0.0305 × length in mm to the power 2.62.",
                            InsectMass.RuleName,
                            RuleTag.Published,
                            InsectMass.Source
                        ),
                    ]
                )
            );
        }

        var mass = group.Growth.Mass;
        return TypedResults.Ok(
            new CalcAnswer<MassResult>(
                new MassResult(BodyMass.FromLengthMm(mass.Value, body.LengthMm)),
                [
                    new CalcReason(
                        $"Mass in mg = {mass.Value.Coefficient:0.####} × length in mm to the power {mass.Value.Exponent:0.##}.",
                        "group.mass",
                        mass.Tag,
                        mass.Source
                    ),
                ]
            )
        );
    }

    public static IResult ContainerOf(ContainerRequest body, RuleSet rules)
    {
        var problems = CalculatorEndpoints
            .Within("bodyLengthMm", body.BodyLengthMm, LeastMm, MostMm, "mm")
            .Concat(CalculatorEndpoints.Within("legSpanMm", body.LegSpanMm, LeastMm, MostMm, "mm"))
            .Concat(CalculatorEndpoints.Within("instar", body.Instar, 1, EntryCheck.MostMolts, ""))
            .Concat(CalculatorEndpoints.Within("count", body.Count, 1, EntryCheck.MostAnimals, ""))
            .ToList();
        if (rules.Group(body.Group) is not { } group)
        {
            return Problems.Of([.. problems, UnknownGroup(rules)]);
        }

        if (!StageWords.TryRead(group, body.Stage, out var stage, out var unknown))
        {
            problems.Add(unknown!);
        }

        stage ??= body.Instar is { } instar ? StageWords.OfInstar(group, instar, rules) : null;
        if (problems.Count == 0 && stage is { } larva && group.Has(larva) && group.At(larva).LarvaLitres is not null)
        {
            var litres = ContainerPlan.OfLarvae(group, larva, body.Count ?? 1);
            return TypedResults.Ok(
                new CalcAnswer<ContainerResult>(
                    new ContainerResult(0, 0, null, null, null, null, litres.Value.Litres),
                    CalcReason.From(litres.Reasons)
                )
            );
        }

        if (body.BodyLengthMm is null && body.LegSpanMm is null)
        {
            problems.Add(new Problem("bodyLengthMm", $"Give bodyLengthMm or legSpanMm, {LeastMm} to {MostMm} mm."));
        }

        if (problems.Count > 0)
        {
            return Problems.Of(problems);
        }

        var container = group.Container(body.Habit);
        var byLegSpan = container.By == ContainerBasis.LegSpan;
        // The other length serves where the one that counts was not given, and the answer says so.
        var perLegSpan = group.Growth.SizePart == Husbandry.Rulebook.BodyPart.LegSpan ? group.Growth.BodyPerSize : null;
        var reasons = new List<CalcReason>();
        var length = byLegSpan ? body.LegSpanMm : body.BodyLengthMm;
        if (length is null && perLegSpan is null)
        {
            return Problems.Of("bodyLengthMm", $"{group.Name} are housed by body length: give bodyLengthMm.");
        }

        if (length is null)
        {
            length = byLegSpan
                ? body.BodyLengthMm!.Value / perLegSpan!.Value
                : body.LegSpanMm!.Value * perLegSpan!.Value;
            reasons.Add(
                new CalcReason(
                    $"Converted: {(byLegSpan ? "leg span" : "body")} about {Wording.Plain(length.Value)} mm.",
                    "group.bodyPerSize",
                    perLegSpan.Tag,
                    perLegSpan.Source
                )
            );
        }

        // Without a stage nothing is known of being too large.
        var nymph = stage is { } s && s != Husbandry.Rulebook.Stage.Adult;
        var plan = ContainerPlan.Of(container, length.Value, nymph: nymph, school: body.School);
        return TypedResults.Ok(
            new CalcAnswer<ContainerResult>(
                new ContainerResult(
                    plan.Value.MinHeightMm,
                    plan.Value.MinWidthMm,
                    plan.Value.MinDepthMm,
                    plan.Value.SubstrateDepthMm,
                    plan.Value.MaxHeightMm,
                    plan.Value.MaxWidthMm,
                    plan.Value.Litres
                ),
                [.. CalcReason.From(plan.Reasons), .. reasons]
            )
        );
    }

    private static Problem UnknownGroup(RuleSet rules, params IReadOnlyList<string> others) =>
        new("group", $"Unknown group. Known: {string.Join(", ", rules.Groups.Select(g => g.Id).Concat(others))}.");
}
