using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Rounds;

/// <summary>How long one kind of act takes this keeper.</summary>
/// <param name="Act">Kind of act, as in the rulebook: feed, feedBrood, water, leftovers, fangs …</param>
/// <param name="Seconds">Seconds, the rulebook's weighed against what was measured.</param>
/// <param name="Measured">Times that it was measured.</param>
public sealed record ActPace(string Act, double Seconds, int Measured);

/// <summary>
/// How long the acts of a round take, learned from past rounds: the time between one entry and the next by the same
/// hand. Batches logged in one tap share the time before them.
/// </summary>
public sealed class RoundPace
{
    private readonly Dictionary<string, ActPace> acts;

    private RoundPace(Dictionary<string, ActPace> acts) => this.acts = acts;

    /// <summary>The paces, one for each kind of act.</summary>
    public IReadOnlyCollection<ActPace> Acts => acts.Values;

    /// <summary>The rulebook's seconds, before any round was walked.</summary>
    public static RoundPace Unlearned(RoomRules rules) =>
        new(rules.Rounds.SecondsPerAct.ToDictionary(r => r.Key, r => new ActPace(r.Key, r.Value.Value, 0)));

    /// <summary>Learns from past entries.</summary>
    /// <param name="entries">Entries of the last weeks, of any animals.</param>
    /// <param name="rules">Rules of the room.</param>
    public static RoundPace Of(IEnumerable<JournalEntry> entries, RoomRules rules)
    {
        var seconds = new Dictionary<string, List<double>>();
        foreach (var hand in entries.GroupBy(e => e.WrittenBy))
        {
            DateTimeOffset? before = null;
            foreach (var tap in hand.GroupBy(e => e.WrittenAt).OrderBy(g => g.Key))
            {
                var each = before is { } b ? (tap.Key - b).TotalSeconds / tap.Count() : 0;
                before = tap.Key;
                foreach (var entry in tap.Where(_ => each > 0 && each <= rules.Rounds.LongestActSeconds.Value))
                {
                    if (EntryDefinition.Of(entry.Act).Pace(entry.Act) is { } kind)
                    {
                        seconds.TryAdd(kind, []);
                        seconds[kind].Add(each);
                    }
                }
            }
        }

        var weight = rules.Rounds.PacePriorActs.Value;
        return new RoundPace(
            rules.Rounds.SecondsPerAct.ToDictionary(
                r => r.Key,
                r =>
                {
                    var measured = seconds.GetValueOrDefault(r.Key) ?? [];
                    var mean = measured.Count == 0 ? 0 : Median(measured);
                    var learned = ((weight * r.Value.Value) + (measured.Count * mean)) / (weight + measured.Count);
                    return new ActPace(r.Key, learned, measured.Count);
                }
            )
        );
    }

    /// <summary>Seconds for a kind of act.</summary>
    public double SecondsFor(string act) => acts[act].Seconds;

    /// <summary>Why a round should take so long.</summary>
    public IReadOnlyList<Reason> Why(RoomRules rules) =>
        [
            .. acts
                .Values.Where(a => a.Measured > 0)
                .OrderByDescending(a => a.Measured)
                .Select(a =>
                    rules
                        .Rounds.SecondsPerAct[a.Act]
                        .Because(
                            "Pace",
                            $"room.secondsPerAct.{a.Act}",
                            $"{a.Act}: {a.Seconds:0} s, from {a.Measured} of your own and the rulebook's {rules.Rounds.SecondsPerAct[a.Act].Value:0} s."
                        )
                ),
        ];

    private static double Median(List<double> values)
    {
        values.Sort();
        var half = values.Count / 2;
        return values.Count % 2 == 1 ? values[half] : (values[half - 1] + values[half]) / 2;
    }
}
