using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>How well one sign has held in this room.</summary>
/// <param name="SignId">The sign, or <see cref="PremoltReading.CleanLook"/>.</param>
/// <param name="SeenInPremolt">Premolts in which it was seen.</param>
/// <param name="Premolts">Premolts that were watched.</param>
/// <param name="SeenOutside">Stretches of the same length outside premolt in which it was seen.</param>
/// <param name="Outside">Such stretches that were watched.</param>
/// <param name="RulebookRatio">Likelihood ratio of the rulebook.</param>
/// <param name="Ratio">Likelihood ratio now, the rulebook's weighed against what was counted.</param>
public sealed record SignLesson(
    string SignId,
    int SeenInPremolt,
    int Premolts,
    int SeenOutside,
    int Outside,
    double RulebookRatio,
    double Ratio
);

/// <summary>A stretch of a wait as long as premolt, in which it was looked at or fed.</summary>
/// <param name="Premolt">Whether it is the premolt span itself.</param>
/// <param name="Seen">Signs seen in it.</param>
internal sealed record SignSpan(bool Premolt, HashSet<string> Seen);

/// <summary>
/// Counts signs in the premolt span before each molt and outside it. Beta counts: the rulebook's ratio stands for a few
/// premolts of its own and is outweighed as the room's are counted.
/// </summary>
public static class SignLessons
{
    private const double RarestShare = 0.001;

    /// <summary>Lessons of every sign of a group, from the waits of all its animals here and gone.</summary>
    internal static IReadOnlyList<SignLesson> Of(List<SignSpan> spans, RuleSet rules, string group)
    {
        var counted = (Premolt: Counted.Of(spans, premolt: true), Outside: Counted.Of(spans, premolt: false));
        return
        [
            .. rules
                .Signs.Where(s => s.Groups.Contains(group))
                .Select(s =>
                    Learn(
                        s.Id,
                        s.LikelihoodRatio.Value,
                        rules.Room.Signs.SignShown[s.Strength].Value,
                        s.Strength is not (SignStrength.Imminent or SignStrength.Opposite),
                        counted.Premolt,
                        counted.Outside,
                        rules.Room
                    )
                )
                .Append(
                    Learn(
                        PremoltReading.CleanLook,
                        rules.Room.Signs.LookWithoutSign.Value,
                        rules.Room.Signs.SignShown[SignStrength.Medium].Value,
                        true,
                        counted.Premolt,
                        counted.Outside,
                        rules.Room
                    )
                ),
        ];
    }

    /// <summary>
    /// Cuts every wait that ended in a molt into stretches as long as premolt, backwards from the molt, and keeps those in which
    /// somebody looked at the animal or fed it: where nobody looked nothing could be seen.
    /// </summary>
    internal static IEnumerable<SignSpan> SpansOf(Subject subject)
    {
        var (standing, pace) = (subject.Standing, subject.Pace);
        var seen = standing
            .Vigils.Signs.Select(s => (s.SignId, s.At))
            .Concat(standing.Vigils.CleanLooks.Select(at => (SignId: PremoltReading.CleanLook, At: at)))
            .OrderBy(s => s.At)
            .ToArray();
        if (seen.Length == 0)
        {
            // Somebody who never notes a sign teaches nothing about signs.
            yield break;
        }

        var looks = Array.ConvertAll(seen, s => s.At);
        DateTimeOffset[] fed = [.. standing.Vigils.Appetite.Select(o => o.At).Order()];
        for (var k = 1; k < standing.Growth.Molts.Count; k++)
        {
            var from = standing.Growth.Molts[k - 1].When.To;
            var end = standing.Growth.Molts[k].When.Middle;
            var length = VigilForecast.Premolt(subject, k);
            if (length <= EffectiveDays.Zero)
            {
                continue;
            }

            for (var isPremolt = true; end > from; isPremolt = false)
            {
                var begin = pace.Before(end, length);
                // What is left at the beginning of the wait is no whole stretch.
                if (begin < from && !isPremolt)
                {
                    break;
                }

                var (a, b) = (begin < from ? from : begin, end);
                var (first, next) = (After(looks, a), After(looks, b));
                if (first < next || After(fed, a) < After(fed, b))
                {
                    yield return new SignSpan(isPremolt, [.. seen[first..next].Select(s => s.SignId)]);
                }

                end = begin;
            }
        }
    }

    /// <summary>Where in an ordered list the instants after one begin.</summary>
    private static int After(DateTimeOffset[] ordered, DateTimeOffset at)
    {
        var (low, high) = (0, ordered.Length);
        while (low < high)
        {
            var middle = (low + high) / 2;
            (low, high) = ordered[middle] > at ? (low, middle) : (middle + 1, high);
        }

        return low;
    }

    /// <summary>In how many stretches each sign was seen.</summary>
    private sealed record Counted(int Count, Dictionary<string, int> Seen)
    {
        public static Counted Of(List<SignSpan> spans, bool premolt)
        {
            var (count, seen) = (0, new Dictionary<string, int>());
            foreach (var span in spans)
            {
                if (span.Premolt != premolt)
                {
                    continue;
                }

                count++;
                foreach (var sign in span.Seen)
                {
                    seen[sign] = seen.GetValueOrDefault(sign) + 1;
                }
            }

            return new Counted(count, seen);
        }
    }

    private static SignLesson Learn(
        string id,
        double ratio,
        double shown,
        bool lasts,
        Counted premolts,
        Counted outside,
        RoomRules rules
    )
    {
        var inPremolt = premolts.Seen.GetValueOrDefault(id);
        var outsideIt = outside.Seen.GetValueOrDefault(id);
        // The rulebook weighs as much outside premolt as inside it, measured by how much of each was watched, so that a
        // sign nobody ever noted keeps the rulebook's ratio.
        var weight = rules.Signs.SignPriorSpans.Value;
        var outsideWeight =
            premolts.Count == 0 || outside.Count == 0 ? weight : weight * outside.Count / premolts.Count;
        var inside = ((weight * shown) + inPremolt) / (weight + premolts.Count);
        var elsewhere = ((outsideWeight * shown / ratio) + outsideIt) / (outsideWeight + outside.Count);
        // Signs of hours are not what stretches of premolt can measure. Others stay on their own side of 1: a sign that
        // misleads says nothing rather than the contrary.
        var learned =
            lasts && premolts.Count > 0 ? Math.Max(inside, RarestShare) / Math.Max(elsewhere, RarestShare) : ratio;
        return new SignLesson(
            id,
            inPremolt,
            premolts.Count,
            outsideIt,
            outside.Count,
            ratio,
            ratio >= 1 ? Math.Max(1, learned) : Math.Min(1, learned)
        );
    }
}
