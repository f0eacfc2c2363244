using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rooms;

namespace Husbandry.Nursery;

/// <summary>What joins or leaves the living of a brood.</summary>
public enum RiverBranch
{
    /// <summary>Came, were born, put in or found: more.</summary>
    More,

    /// <summary>Split off into a record of their own, or to others.</summary>
    Split,

    /// <summary>One with a record of its own.</summary>
    Promoted,

    /// <summary>Sold, given away or released.</summary>
    Left,

    /// <summary>Died, escaped, or gone without a word.</summary>
    Lost,

    /// <summary>The number was mended: they never were, or always had been.</summary>
    Mended,
}

/// <summary>One change of the living of a brood.</summary>
/// <param name="Night">The night.</param>
/// <param name="Branch">What joined or left.</param>
/// <param name="Count">How many; above 0.</param>
/// <param name="Living">How many were there after it.</param>
/// <param name="Text">What it was, e.g. "died (mismolt)".</param>
/// <param name="To">The stock that they became or came from; none for most.</param>
public sealed record RiverBend(DateOnly Night, RiverBranch Branch, int Count, int Living, string Text, CountParty? To);

/// <summary>The beginning of an instar.</summary>
public sealed record RiverMark(DateOnly Night, string Instar);

/// <summary>The living of a brood over its nights: as wide as there are, with a branch for whoever joined or left.</summary>
/// <param name="From">Its first night.</param>
/// <param name="To">Tonight, or the night on which the last left.</param>
/// <param name="Source">How many it began with.</param>
/// <param name="Bends">Every change, in order; of one night and kind together.</param>
/// <param name="Instars">When instars began.</param>
public sealed record BroodRiver(
    DateOnly From,
    DateOnly To,
    int Source,
    IReadOnlyList<RiverBend> Bends,
    IReadOnlyList<RiverMark> Instars
)
{
    /// <summary>The river of a brood; none for what is kept as one, or breeds as it goes.</summary>
    public static BroodRiver? Of(Subject brood)
    {
        ArgumentNullException.ThrowIfNull(brood);
        if (!brood.IsBrood)
        {
            return null;
        }

        var counts = brood.Standing.Counts;
        var begins = BroodLives.Begins(brood);
        var bends = counts
            .Skip(1)
            .Where(c => c.By != 0)
            .GroupBy(c => (Night: brood.Night(c.At), Branch: BranchOf(c), Text: CountBook.Word(c), c.Party))
            .Select(g => new RiverBend(
                g.Key.Night,
                g.Key.Branch,
                Math.Abs(g.Sum(c => c.By)),
                g.Last().Now,
                g.Key.Text,
                g.Key.Party
            ))
            .Where(b => b.Count > 0)
            .ToList();
        var last = brood.Standing.Departure?.At ?? brood.Room.Now;
        return new BroodRiver(
            brood.Night(counts[0].At),
            brood.Night(last),
            counts[0].Now,
            bends,
            [
                .. BroodCurve
                    .Molts(brood, begins)
                    .Select(m => new RiverMark(
                        begins.AddDays((int)m.Age),
                        FormattableString.Invariant($"{brood.Group.InstarMark}{m.Instar}")
                    )),
            ]
        );
    }

    private static RiverBranch BranchOf(CountEvent c) =>
        c.Change switch
        {
            CountChange.Came or CountChange.Born or CountChange.Found or CountChange.PutIn or CountChange.TakenOver =>
                RiverBranch.More,
            CountChange.Parted => c.By == -1 ? RiverBranch.Promoted : RiverBranch.Split,
            CountChange.Sold or CountChange.GivenAway or CountChange.Released => RiverBranch.Left,
            CountChange.Died or CountChange.Escaped or CountChange.Lost => RiverBranch.Lost,
            CountChange.Mended => RiverBranch.Mended,
            CountChange.Counted => c.By > 0 ? RiverBranch.Mended : RiverBranch.Lost,
            _ => throw new ArgumentOutOfRangeException(nameof(c), c.Change, "Nothing says where such a change flows."),
        };
}
