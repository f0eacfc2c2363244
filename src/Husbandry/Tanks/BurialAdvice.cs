using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tanks;

/// <summary>How crabs that molt underground are kept safe: before, meanwhile and afterwards.</summary>
/// <remarks>Source: common practice, no published source.</remarks>
public static class BurialAdvice
{
    // Who mates digs within days.
    private const int DaysBefore = 7;

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

    /// <summary>What it probably does down there, and that it is left there, however long.</summary>
    /// <param name="crab">A crab that is down.</param>
    /// <param name="down">Its wait.</param>
    /// <param name="tank">Its tank.</param>
    public static string WhileDown(Subject crab, VigilEvent down, Subject tank)
    {
        ArgumentNullException.ThrowIfNull(crab);
        ArgumentNullException.ThrowIfNull(down);
        ArgumentNullException.ThrowIfNull(tank);
        var forecast = VigilForecast.OfOther(crab, down, null).Value;
        var mated = tank.Standing.Shared.Matings.Any(m =>
            (m.FemaleId == crab.Standing.StockId || m.MaleId == crab.Standing.StockId)
            && m.At <= down.Began.To
            && m.At >= down.Began.From.AddDays(-DaysBefore)
        );
        var why =
            mated ? "Seen mating shortly before: a mating pit as likely as a molt."
            : forecast?.Ends is { } ends ? $"A molt: {Wording.Chance(1 - ends.OtherChance)}; else it only hides."
            : "";
        var says = forecast is { LongerThanNormal: true }
            ? "Longer than most: still leave it. Smell at the surface, keep the others away, and do not dig."
            : why;
        return $"{BurialGuardedEntry.Do(crab)} {says}".Trim();
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
        var sleeve =
            crab.Standing.Shared.Guard is { } guard && guard.At >= up.Began.From && guard.Done.Contains(SleeveStep.Sunk)
                ? "Take the sleeve out. "
                : "";
        return $"{sleeve}{care.ToUpperFirst()} {marks}";
    }
}
