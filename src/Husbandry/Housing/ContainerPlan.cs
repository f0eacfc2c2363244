using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Housing;

/// <summary>The least enclosure for an animal, inner measures in mm.</summary>
/// <param name="MinHeightMm">Free height.</param>
/// <param name="MaxHeightMm">Greatest free height, where a fall kills.</param>
/// <param name="MinWidthMm">Longer side of the floor.</param>
/// <param name="MinDepthMm">Shorter side of the floor.</param>
/// <param name="SubstrateDepthMm">Depth of the floor.</param>
public sealed record ContainerPlan(
    double MinHeightMm,
    double? MaxHeightMm,
    double MinWidthMm,
    double? MinDepthMm,
    double? SubstrateDepthMm
)
{
    /// <summary>Sizes an enclosure from the length that the group is housed by.</summary>
    /// <param name="rules">Rules of the group for its habit.</param>
    /// <param name="lengthMm">Body length, or leg span for groups housed by leg span.</param>
    /// <param name="wording">Units for the reasons; millimetres when left out.</param>
    public static Answer<ContainerPlan> Of(ContainerRules rules, double lengthMm, Wording? wording = null)
    {
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

        return new Answer<ContainerPlan>(
            new ContainerPlan(height, most, width, depth, substrate),
            $"At least {words.Length(width)} wide and {words.Length(height)} of free height.",
            reasons
        );
    }
}
