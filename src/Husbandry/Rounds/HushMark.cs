using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Rounds;

/// <summary>Marks entries that go against the hush: they happened, and the record says so.</summary>
public static class HushMark
{
    /// <summary>What forbids an act to an animal now, in one sentence; none when nothing does.</summary>
    /// <param name="act">The act.</param>
    /// <param name="standing">The animal before it.</param>
    /// <param name="room">The room at the instant of the act.</param>
    /// <param name="glance">
    /// The animal as judged for tonight, if that is at hand: one that still holds and forbids nothing of the kind spares
    /// judging anew.
    /// </param>
    public static string? Against(Act act, Standing standing, Room room, Glance? glance = null)
    {
        if (
            EntryDefinition.Of(act).Care(act, Subject.Of(standing, room)) is not { } care
            || (glance is not null && glance.Sequence == standing.LatestSequence && !glance.Waits.Never.Contains(care))
        )
        {
            return null;
        }

        var line = Judgement.Of(standing, room).Hush[care];
        return line.Verdict == Verdict.Never ? line.Contributors[0].Why.Text : null;
    }
}
