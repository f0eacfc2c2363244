using Husbandry.Rulebook;

namespace Husbandry.Pairing;

/// <summary>A pupa whose warm days may begin on a day of the keeper's choice.</summary>
/// <param name="Sex">Female or male.</param>
/// <param name="EarliestDay">First day from now on which it may be taken out: its winter must be over.</param>
/// <param name="Emerges">Chance (0–1) that it emerges at all.</param>
/// <param name="EmergesAfter">Days from being taken out until it emerges, if it does, by the share (0–1) of such pupae that are out by then.</param>
/// <param name="Lives">Days that it lives then, by share.</param>
/// <param name="Lot">Pupae of one lot lie in one box and are taken out together; none for one by itself.</param>
public sealed record PupaToWarm(
    Sex Sex,
    int EarliestDay,
    double Emerges,
    Func<double, double> EmergesAfter,
    Func<double, double> Lives,
    int? Lot = null
);

/// <summary>On which days pupae are taken out of the cold so that as many pairs as possible are out together.</summary>
/// <param name="Days">Day from now for each pupa, in the order in which they were given.</param>
/// <param name="Pairs">Pairs to be expected: the mean of the largest one-to-one matchings.</param>
/// <param name="PairsAtOnce">The same if all are taken out on the first day on which every one of them may be.</param>
/// <param name="AtOnceDay">That day.</param>
/// <remarks>
/// Seasons are drawn from the waits and lives of the pupae; the plan is the best of all ways to shift the sexes against each other,
/// bettered pupa by pupa, and is told by other seasons than those it was chosen by. Source: sample average approximation,
/// Kleywegt, Shapiro &amp; Homem-de-Mello (2002), SIAM J. Optim. 12:479–502.
/// </remarks>
public sealed record WarmUpPlan(IReadOnlyList<int> Days, double Pairs, double PairsAtOnce, int AtOnceDay)
{
    /// <summary>Finds the plan.</summary>
    /// <param name="pupae">The pupae; both sexes must be among them for any pair.</param>
    /// <param name="rules">How far it looks, and what counts as together.</param>
    public static WarmUpPlan Of(IReadOnlyList<PupaToWarm> pupae, WarmUpRules rules)
    {
        var chosenBy = Season.Draw(pupae, rules, seed: 1);
        var toldBy = Season.Draw(pupae, rules, seed: 2);
        List<int[]> moved =
        [
            .. Enumerable
                .Range(0, pupae.Count)
                .GroupBy(k => pupae[k].Lot is { } lot ? (lot, -1) : (-1, k))
                .Select(g => g.ToArray()),
        ];
        var (nights, step) = (rules.NightsTogether.Value, rules.StepDays.Value);
        var atOnce = pupae.Count == 0 ? 0 : pupae.Max(p => p.EarliestDay);
        var together = Enumerable.Repeat(atOnce, pupae.Count).ToArray();
        var (best, most) = (together, chosenBy.Pairs(together, nights));

        void Try(int[] days, double worth)
        {
            var pairs = chosenBy.Pairs(days, nights);
            // More of the same pairs is no reason to wait.
            if (pairs > most + worth)
            {
                (best, most) = ([.. days], pairs);
            }
        }

        foreach (var late in new[] { Sex.Male, Sex.Female })
        {
            for (var shift = 0; shift <= rules.LatestDays.Value; shift += step)
            {
                Try([.. pupae.Select(p => (p.Sex == late && p.Lot is null ? shift : 0) + p.EarliestDay)], 0);
                Try([.. pupae.Select(p => p.Sex == late && p.Lot is null ? atOnce + shift : atOnce)], 0);
            }
        }

        for (var round = 0; round < rules.Rounds.Value; round++)
        {
            var before = most;
            foreach (var lot in moved)
            {
                for (var day = pupae[lot[0]].EarliestDay; day <= atOnce + rules.LatestDays.Value; day += step)
                {
                    int[] days = [.. best];
                    Array.ForEach(lot, k => days[k] = day);
                    Try(days, rules.WorthPairs.Value);
                }
            }

            if (most <= before)
            {
                break;
            }
        }

        var (gained, atOnceGained) = (toldBy.Pairs(best, nights), toldBy.Pairs(together, nights));
        return gained < atOnceGained + rules.WorthPairs.Value
            ? new WarmUpPlan(together, atOnceGained, atOnceGained, atOnce)
            : new WarmUpPlan(best, gained, atOnceGained, atOnce);
    }

    /// <summary>Seasons that may come: when each pupa emerges after being taken out, and how long it lives.</summary>
    private sealed class Season(IReadOnlyList<PupaToWarm> pupae, double[][] emerges, double[][] lives, int places)
    {
        /// <summary>Each pupa's waits and lives stand in equal shares, shuffled so that no two hang together.</summary>
        public static Season Draw(IReadOnlyList<PupaToWarm> pupae, WarmUpRules rules, int seed)
        {
            var (random, seasons) = (new Random(seed), rules.Seasons.Value);
            double[] Drawn(Func<double, double> quantile, double chance = 1)
            {
                var values = Enumerable
                    .Range(0, seasons)
                    .Select(k => (k + random.NextDouble()) / seasons)
                    .Select(p => p < chance ? quantile(p / chance) : double.PositiveInfinity)
                    .ToArray();
                random.Shuffle(values);
                return values;
            }

            return new Season(
                pupae,
                [.. pupae.Select(p => Drawn(p.EmergesAfter, p.Emerges))],
                [.. pupae.Select(p => Drawn(p.Lives))],
                rules.CagePlaces.Value
            );
        }

        public double Pairs(int[] days, double nights)
        {
            if (pupae.Count == 0)
            {
                return 0;
            }

            var spans = new FlightSpan[pupae.Count];
            var (pairs, seasons) = (0, emerges[0].Length);
            for (var s = 0; s < seasons; s++)
            {
                for (var k = 0; k < spans.Length; k++)
                {
                    var from = days[k] + emerges[k][s];
                    spans[k] = new FlightSpan(pupae[k].Sex, from, from + lives[k][s]);
                }

                if (spans.Length > places)
                {
                    Crowd(spans, places);
                }

                pairs += FlightSpans.MostPairs(spans, nights);
            }

            return pairs / (double)seasons;
        }

        /// <summary>Who comes out while every place of the cages is taken makes no pair.</summary>
        private static void Crowd(FlightSpan[] spans, int places)
        {
            var there = new List<double>();
            foreach (var k in Enumerable.Range(0, spans.Length).OrderBy(k => spans[k].From))
            {
                var from = spans[k].From;
                there.RemoveAll(to => to <= from);
                if (there.Count < places)
                {
                    there.Add(spans[k].To);
                }
                else
                {
                    spans[k] = spans[k] with { To = from };
                }
            }
        }
    }
}
