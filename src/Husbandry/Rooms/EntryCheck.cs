using System.Globalization;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Rooms;

/// <summary>Checks an entry before it is written: dates that can be, sizes that can be, rules that exist.</summary>
public static class EntryCheck
{
    /// <summary>Longest note or remark, characters.</summary>
    public const int LongestText = 2000;

    /// <summary>Longest caption or reason, characters.</summary>
    public const int LongestCaption = 200;

    /// <summary>Longest nickname, characters.</summary>
    public const int LongestName = 60;

    /// <summary>Most animals in a brood, and most animals or pieces in one offer.</summary>
    public const int MostAnimals = 2000;

    /// <summary>Most animals in a colony.</summary>
    public const int MostInColony = 100_000;

    /// <summary>Most molts an animal can have behind it on arrival.</summary>
    public const int MostMolts = 30;

    /// <summary>Longest time an animal's record can reach back, in years.</summary>
    public const int LongestRecordYears = 60;

    /// <summary>All problems of an entry; none when it may be written.</summary>
    /// <param name="act">What happened.</param>
    /// <param name="when">When it happened.</param>
    /// <param name="standing">The animal's state, or none when the entry says that it came.</param>
    /// <param name="room">Rules and the present instant.</param>
    /// <param name="written">Whether it was accepted before and is loaded again.</param>
    public static IReadOnlyList<Problem> Check(
        Act act,
        Occurrence when,
        Standing? standing,
        Room room,
        bool written = false
    )
    {
        var definition = EntryDefinition.Of(act);
        var at = new EntryAt(when, standing, room, written);
        return
        [
            .. CheckWhen(definition, act, at),
            .. CheckTank(definition, at),
            .. definition.Check(act, at),
            .. CheckDeparted(definition, at),
        ];
    }

    private static IEnumerable<Problem> CheckTank(EntryDefinition definition, EntryAt at)
    {
        if (at.Standing?.IsTank == true && !definition.OfTanks)
        {
            yield return new Problem("act.kind", "That is not told of a tank, but of one that lives in it.");
        }
    }

    private static IEnumerable<Problem> CheckWhen(EntryDefinition definition, Act act, EntryAt at)
    {
        var (when, room) = (at.When, at.Room);
        if (when.From > when.To)
        {
            yield return new Problem("when.from", "\"Last seen before\" must not lie after \"found on\".");
        }

        if (when.To > room.Clock.EndOf(room.Tonight))
        {
            yield return new Problem("when.to", $"Must not lie beyond tonight, {room.Wording.Date(room.Tonight)}.");
        }

        if (at.Standing is not { } standing)
        {
            yield break;
        }

        var history = definition.IsHistory(act);
        var hatched = standing.Details.HatchedOn;
        // What was accepted under another cut-over may have shifted by one night.
        var night = room.Clock.NightOf(when.To).AddDays(at.Written ? 1 : 0);
        if (history && hatched is { } day && night < day)
        {
            yield return new Problem("when.to", $"Must not lie before it hatched, {room.Wording.Date(day)}.");
        }

        var earliest = room.Tonight.AddYears(-LongestRecordYears);
        if (history && night < earliest)
        {
            yield return new Problem("when.to", $"Must not lie before {room.Wording.Date(earliest)}.");
        }

        if (!definition.TellsOfNoNight && !history && night < standing.Details.AcquiredOn)
        {
            yield return new Problem(
                "when.to",
                $"Must not lie before the day it came, {room.Wording.Date(standing.Details.AcquiredOn)}; of the time before only molts, meals, pairings and the like are told."
            );
        }
    }

    private static IEnumerable<Problem> CheckDeparted(EntryDefinition definition, EntryAt at)
    {
        if (at.Standing?.Departure is { } gone && !definition.OutlivesDeparture && at.When.To > gone.At)
        {
            var left = at.Room.Wording.Date(at.Room.Clock.NightOf(gone.At));
            yield return new Problem("when", $"It left the collection on {left}; nothing can happen to it after that.");
        }
    }

    /// <summary>Problems of a text.</summary>
    /// <param name="field">Its field.</param>
    /// <param name="text">The text.</param>
    /// <param name="required">Whether it must be there.</param>
    /// <param name="longest">Most characters.</param>
    public static IEnumerable<Problem> CheckText(string field, string? text, bool required, int longest = LongestText)
    {
        if (required && string.IsNullOrWhiteSpace(text))
        {
            yield return new Problem(field, $"Write 1 to {longest} characters.");
        }
        else if (text?.Length > longest)
        {
            yield return new Problem(field, $"At most {longest} characters; this has {text.Length}.");
        }
    }

    /// <summary>Problems of the number of many that an entry speaks of.</summary>
    public static IEnumerable<Problem> CheckCount(int? count, Standing? standing)
    {
        if (count is not { } some || standing is null)
        {
            yield break;
        }

        if (standing.Details.Kind == StockKind.Specimen)
        {
            yield return new Problem("act.count", "One animal is not counted; leave it out.");
        }
        else if (some < 1 || some > standing.Details.Count)
        {
            yield return new Problem("act.count", $"Must be 1 to {standing.Details.Count}, as many as are there.");
        }
    }

    /// <summary>What is said where a group that is kept alone is to share a tank.</summary>
    public static string Alone(GroupRules group) =>
        $"A {group?.One} shares no tank: put together they bite, eat or fight each other.";

    /// <summary>How many of many an entry speaks of, in words; empty when of all.</summary>
    public static string OfThem(int? count) =>
        count is { } n ? $", {n.ToString(CultureInfo.InvariantCulture)} of them" : "";
}
