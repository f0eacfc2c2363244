using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tanks;

/// <summary>How crabs that molt underground are kept safe: before, meanwhile and afterwards.</summary>
/// <remarks>Source: common practice, no published source.</remarks>
public static class BurialAdvice
{
    /// <summary>What to do, step by step, when others dig at one that is down, or when the signs are seen in time.</summary>
    public static IReadOnlyList<string> Steps(BurialSchool school) =>
        school switch
        {
            BurialSchool.LeaveAndSleeve =>
            [
                "Leave it where it is, however long it takes; nobody digs.",
                "When others dig at the place: cut a large drinks bottle across and rinse it of all residue.",
                "Sink its upper half round the crab, neck up and uncapped, half into the floor, slowly and never through the crab.",
                "Lay damp floor against it from outside; food and pools stay outside the sleeve.",
                "When it has come up by itself, the sleeve comes out.",
            ],
            BurialSchool.Isolate =>
            [
                "Only before it digs: once it is down it stays where it is, with a sleeve if others dig there.",
                "A tank for one crab, booked under Chores: the same depth of damp floor, both pools, the same warmth, food.",
                "Carry it over in its shell on the flat hand when the signs are seen in time.",
                "It goes back when it is hard and eats, after a few days.",
            ],
            _ => throw new ArgumentOutOfRangeException(nameof(school), school, "No steps for such a school."),
        };

    /// <summary>Why these steps, with the other school.</summary>
    public static Reason Why(RoomTankRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        var leave = rules.Burial.Value == BurialSchool.LeaveAndSleeve;
        return rules.Burial.Because(
            "Protection",
            "room.burial",
            leave
                ? "Left where it is, with a sleeve round it when others dig; where company is crowded or bullies, isolation is the other way."
                : "Isolated before it digs, when the signs are seen in time.",
            new School("leave, sleeve if threatened", "nothing moves a crab in its molt", leave),
            new School("isolate in time", "neighbours eat a soft crab", !leave)
        );
    }

    /// <summary>What one that came up of late needs, and whether it molted; empty once that is over, and for the others.</summary>
    /// <param name="crab">A single crab.</param>
    public static string AfterComingUp(Subject crab)
    {
        ArgumentNullException.ThrowIfNull(crab);
        var rules = crab.Room.Rules.Room.Tanks;
        var up = crab.Standing.Vigils.All.LastOrDefault(v => v is { Vigil: VigilKind.Surfacing, Ended: not null });
        if (up?.Ended is not { } ended || crab.Standing.Vigils.OpenOf(VigilKind.Surfacing) is not null)
        {
            return "";
        }

        var nights = crab.NightsSince(ended.To);
        if (nights > rules.AfterNights.Value)
        {
            return "";
        }

        var care =
            $"up {crab.Room.Wording.Day(crab.Night(ended.To))}: until {crab.Room.Wording.Day(crab.Night(ended.To).AddDays(rules.AfterNights.Value))} extra food and calcium each night, water at its own warmth, and an eye on bullies.";
        var marks =
            crab.Standing.Shared.Marks is { } seen && seen.At >= ended.From
                ? MoltMarksEntry.Verdict(seen.Seen, rules.MarksThatTell.Value)
                : "Did it molt? Tick what shows.";
        return $"{care.ToUpperFirst()} {marks}";
    }
}
