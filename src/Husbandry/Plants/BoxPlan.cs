using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Plants;

/// <summary>Into how many boxes larvae are put, how large these are, and what to mind with the way they are kept.</summary>
/// <param name="Boxes">Boxes.</param>
/// <param name="Each">Larvae in one, about.</param>
/// <param name="Litres">Litres of one at least.</param>
/// <param name="IsAlone">Whether each is best alone by now.</param>
/// <param name="Kept">How they are kept, in words; none while that is not on record.</param>
/// <param name="Mind">What does not fit, each in a sentence.</param>
public sealed record BoxPlan(int Boxes, int Each, double Litres, bool IsAlone, string? Kept, IReadOnlyList<string> Mind)
{
    /// <summary>The boxes of larvae; none of what is no larva or has no volume of its own.</summary>
    /// <param name="subject">The larvae.</param>
    /// <param name="stage">Their stage.</param>
    /// <param name="size">How large they are, where that is known.</param>
    public static Answer<BoxPlan>? Of(Subject subject, Stage stage, BodySize? size)
    {
        ArgumentNullException.ThrowIfNull(subject);
        var kept = subject.Standing.Feeding.Box;
        // Once some died or were parted nobody knows from which box.
        if (kept?.Numbers is { } told && told.Sum() != subject.Standing.Details.Count)
        {
            kept = kept with { Numbers = null };
        }

        if (
            subject.Profile.Larvae is not { } larvae
            || !subject.Group.Has(stage)
            || subject.Group.At(stage).LarvaLitres is not { } litres
            || stage is Stage.Pupa or Stage.Adult or Stage.Egg
            || (subject.Mouths < 2 && kept is null)
        )
        {
            return null;
        }

        var plants = subject.Room.Rules.Room.Plants;
        var school = kept is null ? null : plants.Box(kept.School);
        var (rule, name) = school is null
            ? (plants.BoxOf, "room.plants.boxOf")
            : (school.Of, $"room.boxes.{school.Id}.of");
        var alone = subject.Instar is { } instar && instar > larvae.TogetherUntil.Value;
        var (count, most) = (subject.Mouths, (int)rule.Value.High);
        var boxes = Math.Max(1, (int)Math.Ceiling(count / (count <= most ? (double)most : rule.Value.Low)));
        var each = (int)Math.Ceiling(count / (double)boxes);
        var plan = new BoxPlan(
            boxes,
            each,
            Math.Round(each * litres.Value, 1),
            alone && count > 1,
            kept is null || school is null ? null : Told(kept, school),
            [.. FullOf(kept, (int)rule.Value.High), .. MindOf(kept, subject, stage, size, litres.Value)]
        );
        return new Answer<BoxPlan>(
            plan,
            Says(plan, count),
            [
                rule.Because(
                    "Boxes",
                    name,
                    $"About {Wording.Plain(rule.Value.Low)} in one and at most {most}: disease in one spares the others. Thirty-odd small ones are kept by those who clean every day.",
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
                Advised(subject, kept?.School),
                .. school is null
                    ? Array.Empty<Reason>()
                    : [school.Way.Because("Mind", $"room.boxes.{school.Id}.way", school.Way.Value)],
            ]
        );
    }

    private static string Says(BoxPlan plan, int count)
    {
        var size = $"of {Wording.Plain(plan.Litres)} L or more";
        var says =
            count == 1 ? $"A box {size} for one."
            : plan.Boxes == 1 ? $"One box {size} will do for {count}."
            : $"{plan.Boxes} boxes {size}, about {plan.Each} in each.";
        return plan.IsAlone ? $"{says} They no longer keep company: fewer in a box, or each alone, is better." : says;
    }

    private static string Told(BoxEvent kept, BoxSchoolRules school) =>
        string.Join(
            ", ",
            new[]
            {
                school.Name,
                kept.Litres is { } litres ? $"{Wording.Plain(litres)} L" : "",
                kept.HoleMm is > 0 and { } hole ? $"holes of {Wording.Plain(hole)} mm" : "",
                kept.Lining ?? "",
                kept.Numbers is { } numbers ? BoxedEntry.InEach(numbers) : "",
            }.Where(t => t.Length > 0)
        );

    /// <summary>The schools of keeping them, the advised one by instar.</summary>
    private static Reason Advised(Subject subject, BoxSchool? kept)
    {
        var plants = subject.Room.Rules.Room.Plants;
        var from = plants.VentedFrom;
        var advised = subject.Instar < from.Value ? BoxSchool.TightLid : BoxSchool.Vented;
        return from.Because(
            "How",
            "room.ventedFrom",
            $"A tight lid before {subject.Group.InstarMark}{from.Value}, a vented one from then on, a living plant where there is one.",
            [.. plants.Boxes.Select(b => new School(b.Name, b.Way.Value, b.School == (kept ?? advised)))]
        );
    }

    /// <summary>Boxes that hold more than is good, by the numbers of each.</summary>
    private static IEnumerable<string> FullOf(BoxEvent? kept, int most) =>
        (kept?.Numbers ?? [])
            .Select((number, k) => (Number: number, Box: k + 1))
            .Where(b => b.Number > most)
            .Select(b => $"Box {b.Box} holds {b.Number}, at most {most} are good: split it.");

    private static List<string> MindOf(
        BoxEvent? kept,
        Subject subject,
        Stage stage,
        BodySize? size,
        double litresForEach
    )
    {
        var mind = new List<string>();
        if (kept is null)
        {
            return mind;
        }

        var plants = subject.Room.Rules.Room.Plants;
        // Where the boxes were counted the volume is that of one, and the fullest needs most.
        var inOne = kept.Numbers is { } numbers ? Math.Min(numbers.Max(), subject.Mouths) : subject.Mouths;
        var litresNeeded = inOne * litresForEach;
        if (kept.Litres is { } litres && litres < litresNeeded)
        {
            mind.Add(
                $"{Wording.Plain(litres)} L is small for {(inOne == 1 ? "it" : $"{inOne} of them")}: {Wording.Plain(Math.Round(litresNeeded, 2))} L or more."
            );
        }

        if (kept.HoleMm is { } hole && size is { } body && hole > body.BodyMm * plants.HoleShare.Value)
        {
            mind.Add(
                $"Holes of {Wording.Plain(hole)} mm: the smallest get out. At most {Wording.Plain(Math.Round(body.BodyMm * plants.HoleShare.Value, 1))} mm."
            );
        }

        if (kept.School == BoxSchool.TightLid && subject.Instar >= plants.VentedFrom.Value)
        {
            mind.Add("A tight lid gets damp now: wipe it dry daily, or give them a vented one.");
        }

        if (kept.School == BoxSchool.StemsInWater)
        {
            mind.Add("Is the neck plugged? They crawl in and drown.");
        }

        if (kept.School == BoxSchool.LivingPlant && stage == Stage.SubAdult)
        {
            mind.Add("A plant may be stripped in two days: look daily.");
        }

        return mind;
    }
}
