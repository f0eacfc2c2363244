using System.Globalization;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Housing;

/// <summary>The least enclosure for an animal, inner measures in mm.</summary>
/// <param name="MinHeightMm">Free height.</param>
/// <param name="MaxHeightMm">Greatest free height, where a fall kills.</param>
/// <param name="MinWidthMm">Longer side of the floor.</param>
/// <param name="MinDepthMm">Shorter side of the floor.</param>
/// <param name="SubstrateDepthMm">Depth of the floor.</param>
/// <param name="MaxWidthMm">Greatest width, for nymphs that must find their prey.</param>
/// <param name="Litres">Room by volume, for larvae: then length and height say nothing.</param>
public sealed record ContainerPlan(
    double MinHeightMm,
    double? MaxHeightMm,
    double MinWidthMm,
    double? MinDepthMm,
    double? SubstrateDepthMm,
    double? MaxWidthMm = null,
    double? Litres = null
)
{
    /// <summary>Sizes an enclosure from the length that the group is housed by.</summary>
    /// <param name="rules">Rules of the group for its habit.</param>
    /// <param name="lengthMm">Body length, or leg span for groups housed by leg span.</param>
    /// <param name="wording">Units for the reasons; millimetres when left out.</param>
    /// <param name="nymph">Whether it is a nymph that must find its prey: then there is a largest size too.</param>
    /// <param name="school">The school; the rulebook's default when left out.</param>
    public static Answer<ContainerPlan> Of(
        ContainerRules rules,
        double lengthMm,
        Wording? wording = null,
        bool nymph = false,
        ContainerSchool? school = null
    )
    {
        var (both, upper, upperLeast) = (rules, rules.MostWidth, rules.UpperLeastMm);
        rules = both.Of(school);
        var words = wording ?? new Wording(LengthUnit.Mm, default);
        var by = rules.By == ContainerBasis.LegSpan ? "leg span" : "body length";
        var reasons = new List<Reason>();
        double Times(Rule<double> share, string name, string what)
        {
            var mm = share.Value * lengthMm;
            reasons.Add(
                share.Because(
                    what,
                    $"group.container.{name}",
                    $"{what} {Wording.Plain(share.Value)} × {by} = {words.Length(mm)}."
                )
            );
            return mm;
        }

        double? Maybe(Rule<double>? share, string name, string what) => share is null ? null : Times(share, name, what);
        var height = Times(rules.Height, "height", "Free height at least");
        var most = Maybe(rules.MostHeight, "mostHeight", "Free height at most");
        var width = Times(rules.Width, "width", "Floor at least");
        var depth = Maybe(rules.Depth, "depth", "Floor across at least");
        double? substrate = Maybe(rules.Substrate, "substrate", "Substrate at least");
        if (rules.SubstrateLeastMm is { } least)
        {
            if (least.Value > (substrate ?? 0))
            {
                substrate = least.Value;
            }

            reasons.Add(
                least.Because(
                    "Substrate",
                    "group.container.substrateLeastMm",
                    $"Substrate never below {words.Length(least.Value)}."
                )
            );
        }

        double? widest = null;
        if (nymph && upper is not null)
        {
            widest = Math.Max(Times(upper, "mostWidth", "Width and height at most"), upperLeast?.Value ?? 0);
            widest = Math.Max(widest.Value, Math.Max(width, height));
            most = widest;
        }

        if (both.School is { } chosen)
        {
            var snug = (school ?? chosen.Value) == ContainerSchool.Snug;
            reasons.Add(
                chosen.Because(
                    "School",
                    "group.containers.school",
                    snug ? "The snug size that common practice supports." : "The roomy size.",
                    new School("snug", Floor(both.Snug ?? both, lengthMm, words), snug),
                    new School("roomy", Floor(both, lengthMm, words), !snug)
                )
            );
        }

        return new Answer<ContainerPlan>(
            new ContainerPlan(height, most, width, depth, substrate, widest),
            $"At least {words.Length(width)} wide and {words.Length(height)} of free height.",
            reasons
        );
    }

    /// <summary>Room for larvae, by volume and number, never by multiples of their length.</summary>
    /// <param name="group">Rules of the group, which must house larvae by volume.</param>
    /// <param name="stage">Stage of the larvae.</param>
    /// <param name="count">How many live together.</param>
    public static Answer<ContainerPlan> OfLarvae(GroupRules group, Stage stage, int count)
    {
        var rule = group.At(stage).LarvaLitres!;
        // One or two large larvae take the same cup.
        var litres = rule.Value * Math.Max(2, count);
        var text =
            $"{Wording.Plain(litres)} L for {(count <= 2 ? "one or two" : count.ToString(CultureInfo.InvariantCulture))}, {Wording.Plain(rule.Value)} L each.";
        return new Answer<ContainerPlan>(
            new ContainerPlan(0, null, 0, null, null, null, litres),
            $"At least {Wording.Plain(litres)} L.",
            [rule.Because("Room", $"group.larvaLitres.{Growth.StageReading.Key(stage)}", text)]
        );
    }

    private static string Floor(ContainerRules rules, double lengthMm, Wording words) =>
        rules.Substrate is null && rules.SubstrateLeastMm is { } least
            ? $"floor {words.Length(rules.Width.Value * lengthMm)} long, {words.Length(least.Value)} deep"
            : $"floor {words.Length(rules.Width.Value * lengthMm)} long, {words.Length(rules.Height.Value * lengthMm)} high";
}
