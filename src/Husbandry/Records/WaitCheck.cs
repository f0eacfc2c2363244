using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Records;

/// <summary>Checks entries about waits other than for a molt, and about things done to an animal.</summary>
internal static class WaitCheck
{
    public static IEnumerable<Problem> Began(Began b, Standing? standing, Room room)
    {
        if (b.Vigil == VigilKind.Molt)
        {
            yield return new Problem("act.vigil", "The wait for a molt begins with the molt before it: log that.");
        }
        else if (standing is not null && VigilForecast.InTheWay(standing, b.Vigil) is { } waiting)
        {
            yield return new Problem(
                "act.vigil",
                $"It {VigilWords.Began(waiting.Vigil)} already; log how that ended first."
            );
        }
        else if (standing is not null && !VigilForecast.CanBegin(room.Rules.Group(standing.Details.Group)!, b.Vigil))
        {
            yield return new Problem(
                "act.vigil",
                $"This does not happen to a {room.Rules.Group(standing.Details.Group)!.One}."
            );
        }
        else if (b.Vigil == VigilKind.Young && standing?.Details.Sex == Sex.Male)
        {
            yield return new Problem("act.vigil", "A male does not brood: mend the sex first if it was told wrong.");
        }
    }

    public static IEnumerable<Problem> Ended(Ended e, Standing? standing, Room room)
    {
        if (standing is null || room.Rules.Group(standing.Details.Group) is null)
        {
            yield break;
        }

        var waiting = Subject.Of(standing, room).Waits.FirstOrDefault(w => w.Vigil == e.Vigil);
        if (waiting is not null && e.Count > (waiting.Count ?? standing.Details.Count))
        {
            yield return new Problem("act.count", $"Only {waiting.Count ?? standing.Details.Count} of them wait.");
        }

        if (waiting is null)
        {
            yield return new Problem("act.vigil", $"Nothing says that it {VigilWords.Began(e.Vigil)}: log that first.");
        }
    }

    public static IEnumerable<Problem> Handled(Handled h)
    {
        if (h.Care is CareAct.FeedLive or CareAct.FeedDead or CareAct.Water or CareAct.Mist)
        {
            yield return new Problem("act.care", "Food and water are logged as offers and watering.");
        }
    }

    /// <summary>Whether it can be put into the winter cold: pupae and ants.</summary>
    public static bool MayBeChilled(Subject subject) =>
        subject.Standing.WaitFor(VigilKind.Emergence) is not null || subject.Group.Diet == Diet.SugarAndProtein;

    public static IEnumerable<Problem> Chilled(Standing? standing, Room room)
    {
        if (standing is not null && !MayBeChilled(Subject.Of(standing, room)))
        {
            yield return new Problem("act.kind", "Only pupae and ants are put into the winter cold.");
        }
    }
}
