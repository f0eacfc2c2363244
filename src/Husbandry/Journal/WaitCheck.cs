using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Journal;

/// <summary>Checks entries about waits other than for a molt, and about things done to an animal.</summary>
internal static class WaitCheck
{
    public static IEnumerable<Problem> Began(Began b, Standing? standing, Room room)
    {
        if (b.Vigil == VigilKind.Molt)
        {
            yield return new Problem("act.vigil", "The wait for a molt begins with the molt before it: log that.");
        }
        else if (standing?.Waiting is { } waiting)
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

    public static IEnumerable<Problem> Ended(Ended e, Standing? standing)
    {
        if (standing is not null && standing.Waiting?.Vigil != e.Vigil)
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

    public static IEnumerable<Problem> Chilled(Standing? standing)
    {
        if (standing is not null && standing.Waiting?.Vigil != VigilKind.Emergence)
        {
            yield return new Problem("act.kind", "Only a pupa is put into the winter cold.");
        }
    }
}
