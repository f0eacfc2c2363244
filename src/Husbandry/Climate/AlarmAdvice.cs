namespace Husbandry.Climate;

/// <summary>What to do now about an alarm. Source: common practice, no published source; nothing of it opens a hushed animal's lid.</summary>
internal static class AlarmAdvice
{
    public static IReadOnlyList<string> Of(AlarmKind kind, IReadOnlyList<AirNeed> needs)
    {
        var groups = needs.Select(n => n.Group).ToHashSet();
        var (hushed, others) = (needs.Any(n => n.IsHushed), needs.Any(n => !n.IsHushed));
        return
        [
            .. kind switch
            {
                AlarmKind.Hot => Hot(groups, hushed, others),
                AlarmKind.Cold => Cold(hushed),
                AlarmKind.Dry => Dry(groups, hushed, others),
                AlarmKind.Damp => Damp(groups, hushed),
                AlarmKind.WinterWarm =>
                [
                    "Look at the door and the setting of the cold box, or carry the boxes to a colder place, level and unopened.",
                    "The days of cold that are done are not lost.",
                ],
                AlarmKind.WinterFrost =>
                [
                    "Move the boxes to where it is a few degrees above freezing, level and unopened.",
                    "Do not bring them into the warm room: that ends the winter.",
                ],
                AlarmKind.Silent =>
                [
                    "Look at its battery and its gateway.",
                    "Until it speaks the place is judged by the next sensor out.",
                ],
                AlarmKind.Stuck =>
                [
                    "Take it out and in again, or warm it in the hand: it must move.",
                    "What it says is left out until then.",
                ],
                AlarmKind.Drifted => ["Lay it beside another for a night, or check it over salt."],
                _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "No advice for such an alarm."),
            },
        ];
    }

    private static IEnumerable<string> Hot(HashSet<string> groups, bool hushed, bool others)
    {
        yield return "Heat and lamps off, out of the sun, window or door open; a fan moves air past the boxes, not into them.";
        if (others)
        {
            yield return "Fill the dishes of those that are not hushed; no cold water over an animal.";
        }

        if (hushed)
        {
            yield return "Hushed ones stay shut: if it must be, carry the box as it is, level, to a cooler place.";
        }

        if (groups.Contains("ant"))
        {
            yield return "Founding tubes: carry them level and dark to a cooler place first, they die soonest.";
        }

        if (groups.Contains("moth"))
        {
            yield return "Larvae: lids ajar, so that air comes in; wet leaf and heat kill them. Those that sit still stay untouched.";
        }
    }

    private static IEnumerable<string> Cold(bool hushed)
    {
        yield return "Look at heater, thermostat and window. Warm the room again slowly, by no more than a few degrees an hour.";
        if (hushed)
        {
            yield return "Hushed ones stay shut and where they are.";
        }
    }

    private static IEnumerable<string> Dry(HashSet<string> groups, bool hushed, bool others)
    {
        if (hushed)
        {
            yield return "Do not open and do not spray those that molt: cover part of the vents from outside, and lay a wet cloth over them.";
        }

        if (others)
        {
            yield return "Damp the side of the floor that is kept damp, and fill the dish, of those that are not hushed.";
        }

        if (groups.Contains("hermit-crab"))
        {
            yield return "Crabs: fill both pools and damp the floor at the edges by pouring; nobody digs.";
        }
    }

    private static IEnumerable<string> Damp(HashSet<string> groups, bool hushed)
    {
        yield return "More air: open vents, wipe the lid dry.";
        if (groups.Contains("moth"))
        {
            yield return "Larvae: wipe drops off the walls, they kill; those that sit still stay on their leaf.";
        }

        if (hushed)
        {
            yield return "Hushed ones stay shut: open only vents that can be opened from outside.";
        }
    }
}
