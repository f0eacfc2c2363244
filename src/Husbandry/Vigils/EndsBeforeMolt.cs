using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>How a wait may end that a molt cuts short: what was stored of a pairing goes with the skin.</summary>
/// <remarks>
/// Competing risks, day by day: an end on a day counts while she has not molted, a molt while nothing has ended it. Source: the
/// definition of the cumulative incidence (Kalbfleisch &amp; Prentice, The Statistical Analysis of Failure Time Data) [from memory];
/// within a day both are taken as spread evenly.
/// </remarks>
internal static class EndsBeforeMolt
{
    private const int Steps = 24;

    /// <summary>Share of such waits that are drawn to their end.</summary>
    private const double Drawn = 0.95;

    /// <summary>Share of such waits that are reckoned to their end; the rest is laid upon the ends as they lie.</summary>
    private const double Reckoned = 0.999;

    private const int MostDays = 3 * 365;

    /// <summary>The forecast of the ends with her molt as one of them, the last.</summary>
    /// <param name="wait">The wait.</param>
    /// <param name="molt">Her next molt.</param>
    public static EndForecast Of(OpenWait wait, NightsLeft molt)
    {
        var (clocks, chances, subject) = (wait.Clocks, wait.Chances, wait.Subject);
        var cut = VigilDefinition.Of(wait.Began.Vigil).Interrupted!;
        var gone = subject.Pace.EachDayAhead(MostDays);
        var ends = clocks.Count + 1;
        var days = new List<double[]> { new double[ends] };
        var (molted, over) = (0.0, new double[clocks.Count]);
        for (var day = 1; day <= MostDays && days[^1].Sum() < Reckoned; day++)
        {
            var by = (double[])days[^1].Clone();
            var molts = molt.Within(new CalendarDays(day));
            var waiting = 0.0;
            for (var i = 0; i < clocks.Count; i++)
            {
                var ended = clocks[i].Left.Within(gone[day]);
                by[i] += chances[i] * (ended - over[i]) * (1 - ((molted + molts) / 2));
                waiting += chances[i] * (1 - ((ended + over[i]) / 2));
                over[i] = ended;
            }

            by[^1] += (molts - molted) * waiting;
            molted = molts;
            days.Add(by);
        }

        var all = days[^1].Sum();
        var drawn = days.FindIndex(d => d.Sum() >= Drawn * all);
        var nights = Math.Max(Steps, drawn < 0 ? days.Count - 1 : drawn);
        double[] By(int day) => days[Math.Min(day, days.Count - 1)];
        return new EndForecast(
            [
                .. clocks.Select((c, i) => new EndChance(c.End.Id, c.End.SaysOf(subject.Group), days[^1][i] / all)),
                new EndChance(cut.Id, cut.SaysOf(subject.Group), days[^1][^1] / all),
            ],
            [
                .. Enumerable
                    .Range(0, Steps + 1)
                    .Select(k => (int)Math.Round((double)nights * k / Steps))
                    .Select(ahead => new EndsBy(subject.Room.Tonight.AddDays(ahead), By(ahead))),
            ]
        );
    }
}
