using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Nursery;

/// <summary>Where in the span in which a loss fell it is put.</summary>
public enum LossDated
{
    /// <summary>In the middle.</summary>
    Middle,

    /// <summary>As early as it can have been.</summary>
    Earliest,

    /// <summary>As late as it can have been.</summary>
    Latest,
}

/// <summary>
/// How long the animals of one brood lived, from the lines of its numbers. Who was sold, given, released, escaped or split
/// off was alive when last seen; who died or is gone without a word is a loss, within the span in which it fell. A count that
/// mends a rough one is no loss, and who is found again was none.
/// </summary>
public sealed class BroodLives
{
    // Whoever comes and goes on one night was there for half of it.
    private const double HalfNight = 0.5;

    private sealed record Exit(double From, double To, bool Died, bool MayBeFound)
    {
        public int Count { get; set; }
    }

    private readonly Subject brood;
    private readonly List<(double Age, int Count)> entries = [];
    private readonly List<Exit> exits = [];

    private BroodLives(Subject brood) => this.brood = brood;

    /// <summary>The night on which a brood hatched, where that is known.</summary>
    public static DateOnly? Hatched(Subject brood) =>
        brood.Standing.Details.HatchedOn
        ?? (
            brood.Standing.Vigils.All.FirstOrDefault(v => v is { Vigil: VigilKind.Hatching, AsHoped: true })
                is { Ended: { } hatched }
                ? brood.Night(hatched.Middle)
                : null
        );

    /// <summary>The night from which its ages count: that on which it hatched, else that on which it came.</summary>
    public static DateOnly Begins(Subject brood) => Hatched(brood) ?? brood.Standing.Details.AcquiredOn;

    /// <summary>The lives of a brood.</summary>
    public static BroodLives Of(Subject brood)
    {
        var lives = new BroodLives(brood);
        var counts = brood.Standing.Counts;
        lives.entries.Add((lives.Age(counts[0].At), counts[0].Now));
        var (rough, countedAt) = (IsRough(counts[0]), counts[0].At);
        foreach (var c in counts.Skip(1))
        {
            lives.Add(c, rough, countedAt);
            if (c.Change == CountChange.Counted && c.Taken?.Container is null)
            {
                (rough, countedAt) = (IsRough(c), c.At);
            }
        }

        return lives;
    }

    /// <summary>Whether a number may be far from what is there.</summary>
    public static bool IsRough(CountEvent c) => c.Taken is { Method: CountMethod.ByEye };

    /// <summary>What is known of each, with the losses put where it is asked.</summary>
    public IReadOnlyList<LifeSeen> Seen(LossDated dated)
    {
        var waiting = new List<(double Age, int Left)>(entries.OrderBy(e => e.Age));
        var seen = new List<LifeSeen>();
        var leaving = exits
            .Where(e => e.Count > 0)
            .Select(e => (Exit: e, Time: Time(e, dated)))
            .OrderBy(e => e.Time)
            .Select(e => (e.Time, e.Exit.Died, e.Exit.Count))
            .Append((Time: Math.Max(Age(Last), waiting[0].Age), Died: false, Count: int.MaxValue));
        var first = 0;
        foreach (var (time, died, count) in leaving)
        {
            for (var left = count; left > 0 && first < waiting.Count; )
            {
                var (age, there) = waiting[first];
                var taken = Math.Min(left, there);
                if (taken > 0)
                {
                    var until = time > age || age == 0 ? time : age + HalfNight;
                    seen.Add(new LifeSeen(until, died, taken, age > 0 ? age : null));
                }

                waiting[first] = (age, there - taken);
                left -= taken;
                first += there == taken ? 1 : 0;
            }
        }

        return seen;
    }

    private DateTimeOffset Last => brood.Standing.Departure?.At ?? brood.Room.Now;

    private static double Time(Exit exit, LossDated dated) =>
        dated switch
        {
            LossDated.Earliest => exit.From,
            LossDated.Latest => exit.To,
            LossDated.Middle => (exit.From + exit.To) / 2,
            _ => throw new ArgumentOutOfRangeException(nameof(dated), dated, "No such place in a span."),
        };

    private double Age(DateTimeOffset at) => Math.Max(0, brood.Night(at).DayNumber - Begins(brood).DayNumber);

    private void Add(CountEvent c, bool rough, DateTimeOffset countedAt)
    {
        var (from, to) = (Age(c.From ?? c.At), Age(c.At));
        switch (c.Change)
        {
            case CountChange.Came:
            case CountChange.Born:
            case CountChange.PutIn:
            case CountChange.TakenOver:
                entries.Add((to, c.By));
                break;
            case CountChange.Mended:
                Mend(c.By);
                break;
            case CountChange.Found:
                Found(c.By, to);
                break;
            case CountChange.Counted when c.By > 0:
                Mend(Found(c.By));
                break;
            case CountChange.Counted when rough || IsWithin(c):
                Mend(c.By);
                break;
            case CountChange.Counted:
                exits.Add(new Exit(Age(countedAt), to, Died: true, MayBeFound: true) { Count = -c.By });
                break;
            case CountChange.Died:
                exits.Add(new Exit(from, to, Died: true, MayBeFound: false) { Count = -c.By });
                break;
            case CountChange.Lost:
                exits.Add(new Exit(from, to, Died: true, MayBeFound: true) { Count = -c.By });
                break;
            case CountChange.Escaped:
                exits.Add(new Exit(from, to, Died: false, MayBeFound: true) { Count = -c.By });
                break;
            case CountChange.Parted:
            case CountChange.Sold:
            case CountChange.GivenAway:
            case CountChange.Released:
                exits.Add(new Exit(from, to, Died: false, MayBeFound: false) { Count = -c.By });
                break;
            default:
                throw new ArgumentOutOfRangeException(nameof(c), c.Change, "Nothing says what such a change is.");
        }
    }

    private static bool IsWithin(CountEvent c) =>
        c.Taken is { Container: null } taken && taken.Low <= c.Now - c.By && c.Now - c.By <= taken.High;

    /// <summary>There were more, or fewer, from the beginning.</summary>
    private void Mend(int by)
    {
        var (age, count) = entries[0];
        entries[0] = (age, Math.Max(0, count + by));
    }

    private void Found(int count, double at)
    {
        if (Found(count) is > 0 and var more)
        {
            entries.Add((at, more));
        }
    }

    /// <summary>Takes back the latest of those that were missed; returns how many more there are.</summary>
    private int Found(int count)
    {
        for (var k = exits.Count - 1; k >= 0 && count > 0; k--)
        {
            if (exits[k].MayBeFound)
            {
                var back = Math.Min(count, exits[k].Count);
                exits[k].Count -= back;
                count -= back;
            }
        }

        return count;
    }
}
