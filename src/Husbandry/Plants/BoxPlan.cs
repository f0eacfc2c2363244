using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Plants;

/// <summary>Into how many boxes larvae are put, and how large these are.</summary>
/// <param name="Boxes">Boxes.</param>
/// <param name="Each">Larvae in one, about.</param>
/// <param name="Litres">Litres of one at least.</param>
/// <param name="IsAlone">Whether each is best alone by now.</param>
public sealed record BoxPlan(int Boxes, int Each, double Litres, bool IsAlone)
{
    /// <summary>The boxes of larvae; none of what is no larva or has no volume of its own.</summary>
    /// <param name="subject">The larvae.</param>
    /// <param name="stage">Their stage.</param>
    public static Answer<BoxPlan>? Of(Subject subject, Stage stage)
    {
        ArgumentNullException.ThrowIfNull(subject);
        if (
            subject.Profile.Larvae is not { } larvae
            || !subject.Group.Has(stage)
            || subject.Group.At(stage).LarvaLitres is not { } litres
            || stage is Stage.Pupa or Stage.Adult or Stage.Egg
            || subject.Mouths < 2
        )
        {
            return null;
        }

        var rule = subject.Room.Rules.Room.Plants.BoxOf;
        var alone = subject.Instar is { } instar && instar > larvae.TogetherUntil.Value;
        var (count, most) = (subject.Mouths, (int)rule.Value.High);
        var boxes = Math.Max(1, (int)Math.Ceiling(count / (count <= most ? (double)most : rule.Value.Low)));
        var each = (int)Math.Ceiling(count / (double)boxes);
        var plan = new BoxPlan(boxes, each, Math.Round(each * litres.Value, 1), alone);
        var size = $"of {Wording.Plain(plan.Litres)} L or more";
        var says = boxes == 1 ? $"One box {size} will do for {count}." : $"{boxes} boxes {size}, about {each} in each.";
        return new Answer<BoxPlan>(
            plan,
            alone ? $"{says} They no longer keep company: fewer in a box, or each alone, is better." : says,
            [
                rule.Because(
                    "Boxes",
                    "room.plants.boxOf",
                    $"About {Wording.Plain(rule.Value.Low)} in a box and at most {most}: disease in one spares the others. Thirty-odd small ones are kept by those who clean every day.",
                    new School("usual", $"{Wording.Plain(rule.Value.Low)} to {most}", true),
                    new School("dense, cleaned daily", "30 and more", false)
                ),
                litres.Because(
                    "Room",
                    $"group.larvaLitres.{StageReading.Key(stage)}",
                    $"{Wording.Plain(litres.Value)} L for each at this stage."
                ),
                larvae.TogetherUntil.Because(
                    "Company",
                    "species.togetherUntil",
                    larvae.TogetherUntil.Value == 0
                        ? "Each lives for itself from the egg."
                        : $"They keep company up to {subject.Group.InstarMark}{larvae.TogetherUntil.Value}."
                ),
            ]
        );
    }
}
