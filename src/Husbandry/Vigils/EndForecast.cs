using System.Text.Json.Serialization;
using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using MathNet.Numerics.RootFinding;

namespace Husbandry.Vigils;

/// <summary>Chances of the ends by one night; what is missing to 1 is still waiting then.</summary>
/// <param name="Night">The night.</param>
/// <param name="Chances">Chance that it has ended so by then (0–1), in the order of the ends.</param>
public sealed record EndsBy(DateOnly Night, IReadOnlyList<double> Chances);

/// <summary>One way in which a wait may end.</summary>
/// <param name="End">Its id.</param>
/// <param name="Says">The end in two or three words.</param>
/// <param name="Chance">Chance that it ends so in the end (0–1).</param>
public sealed record EndChance(string End, string Says, double Chance);

/// <summary>The chance of each end of a wait by each night.</summary>
/// <param name="Ends">Its ends, the hoped one first; their chances add up to 1.</param>
/// <param name="Nights">Chances by night, from tonight on, evenly spaced.</param>
public sealed record EndForecast(IReadOnlyList<EndChance> Ends, IReadOnlyList<EndsBy> Nights)
{
    private const int Steps = 24;

    /// <summary>Chance (0–1) that it ends in one of the ways that are not hoped for.</summary>
    [JsonIgnore]
    public double OtherChance => Ends.Skip(1).Sum(e => e.Chance);

    /// <summary>Share of waits that have ended, one way or the other, by the last night drawn.</summary>
    private const double Drawn = 0.95;

    private const double DayAccuracy = 0.1;
    private const int MostHalvings = 60;

    /// <summary>Chance of each end of a wait that has lasted so far: Bayes' rule on what every clock says.</summary>
    /// <param name="ends">Share of such waits with each end, between 0 and 1, and the wait if it ends so; the hoped end first.</param>
    /// <returns>Chances (0–1) in the same order; together 1.</returns>
    public static IReadOnlyList<double> Chances(IReadOnlyList<(double Share, RemainingWait Left)> ends)
    {
        var chances = new double[ends.Count];
        for (var i = 1; i < ends.Count; i++)
        {
            var (share, left) = ends[i];
            var against = 0.0;
            for (var j = 0; j < ends.Count; j++)
            {
                against += j == i ? 0 : ends[j].Share / share * Math.Exp(ends[j].Left.LogReached - left.LogReached);
            }

            chances[i] = 1 / (1 + against);
        }

        chances[0] = Math.Max(0, 1 - chances.Sum());
        return chances;
    }

    /// <summary>Chance of one end of a wait that has lasted so far, from what each clock says of so long a wait.</summary>
    /// <param name="end">The end.</param>
    /// <param name="shares">Share of such waits with each end.</param>
    /// <param name="reached">ln of the chance to last so long, by end.</param>
    public static double Chance(
        string end,
        IReadOnlyDictionary<string, double> shares,
        IReadOnlyDictionary<string, double> reached
    )
    {
        var high = reached.Values.Max();
        double Part(string e) => shares[e] * Math.Exp(reached[e] - high);
        return Part(end) / reached.Keys.Sum(Part);
    }

    /// <summary>How a wait that stands may end. All clocks run on effective days; dates are of the calendar.</summary>
    internal static EndForecast Of(OpenWait wait)
    {
        var (subject, clocks, chances) = (wait.Subject, wait.Clocks, wait.Chances);
        double Ended(EffectiveDays effective) => clocks.Select((c, i) => chances[i] * c.Left.Within(effective)).Sum();
        // As far as most such waits have ended, one way or another.
        var drawn = clocks.Select(c => c.Left.Quantile(Drawn).Value).ToList();
        var (least, most) = (drawn.Min(), drawn.Max());
        var horizon = Bisection.TryFindRoot(
            d => Ended(new(d)) - Drawn,
            least,
            most,
            DayAccuracy,
            MostHalvings,
            out var root
        )
            ? root
            : most;
        var last = wait.Colds.Count == 0 ? CalendarDays.Zero : wait.Colds.Max();
        var nights = Math.Max(
            Steps,
            (int)
                Math.Ceiling(subject.PaceAhead.Ahead(subject.PaceAhead.Within(last) + new EffectiveDays(horizon)).Value)
        );
        var gone = subject.PaceAhead.EachDayAhead(nights);
        // The clocks stand still while the cold lasts.
        int[] colds =
            wait.Colds.Count == 0 ? [0] : [.. wait.Colds.Select(c => Math.Min(nights, (int)Math.Ceiling(c.Value)))];
        return new EndForecast(
            [.. clocks.Select((c, i) => new EndChance(c.End.Id, c.End.SaysOf(subject.Group), chances[i]))],
            [
                .. Enumerable
                    .Range(0, Steps + 1)
                    .Select(k => (int)Math.Round((double)nights * k / Steps))
                    .Select(ahead =>
                    {
                        return new EndsBy(
                            subject.Room.Tonight.AddDays(ahead),
                            [
                                .. clocks.Select(
                                    (c, i) =>
                                        chances[i]
                                        * colds.Average(cold =>
                                            ahead <= cold ? 0 : c.Left.Within(gone[ahead] - gone[cold])
                                        )
                                ),
                            ]
                        );
                    }),
            ]
        );
    }

    /// <summary>Why those chances: one reason for each end that is not hoped for.</summary>
    internal static IEnumerable<Reason> Why(OpenWait wait)
    {
        var vigil = wait.Began.Vigil;
        var key = vigil.ToString();
        var rules = wait.Subject.Group.Vigils.OtherEnds[vigil];
        for (var i = 1; i < wait.Clocks.Count; i++)
        {
            var clock = wait.Clocks[i];
            var counted = wait.Ends is { Ended: > 0 } lesson
                ? $" Here {lesson.Counted[clock.End.Id]} of {lesson.Ended} that ended did."
                : "";
            var end = clock.End.Id == VigilEnd.Otherwise ? "" : $"{clock.End.Id}.";
            var group = wait.Subject.Group;
            var text =
                $"Of such waits {Wording.Chance(clock.Share)} end otherwise ({clock.End.SaysOf(group)}).{counted} "
                + $"After this wait the chance is {Wording.Chance(wait.Chances[i])}. "
                + (
                    vigil == VigilKind.EggCase
                        ? "The dates hold if it took."
                        : $"The dates hold if it {VigilDefinition.EndOf(vigil, group)}."
                );
            yield return rules[clock.End.Id].Share is { } share
                ? share.Because(
                    "Other end",
                    $"group.otherEnds.{char.ToLowerInvariant(key[0])}{key[1..]}.{end}share",
                    text
                )
                : wait.Subject.Profile.Pairing!.TakeRate.Because("Other end", "species.takeRate", text);
        }
    }
}
