using System.Globalization;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Vigils;

/// <summary>When the next molt is to be expected.</summary>
/// <param name="P10">Night by which one in ten would have molted.</param>
/// <param name="P50">Night by which half would have.</param>
/// <param name="P90">Night by which nine in ten would have.</param>
/// <param name="WaitedNights">Nights since the last molt, or since arrival when none is known.</param>
/// <param name="PremoltChance">Chance (0–1) that it is in premolt now.</param>
/// <param name="Ladder">How each step of the evidence moved that chance.</param>
/// <param name="LongerThanNormal">Whether the wait is beyond the 97.5 % point.</param>
public sealed record MoltForecast(
    DateOnly P10,
    DateOnly P50,
    DateOnly P90,
    int WaitedNights,
    double PremoltChance,
    IReadOnlyList<Rung> Ladder,
    bool LongerThanNormal
)
{
    /// <summary>
    /// The forecast: a lognormal wait by species and stage, learned from this animal's own intervals, conditioned on
    /// the nights already waited, and reweighted by the signs: they multiply the odds that what is left is no longer
    /// than premolt lasts, so that they move the dates coherently.
    /// </summary>
    /// <returns>No value for animals that will not molt again.</returns>
    public static Answer<MoltForecast?> Of(Subject subject, Stage stage, PremoltReading reading)
    {
        if (WillNotMoltAgain(subject, stage) is { } never)
        {
            return new Answer<MoltForecast?>(null, never.Text, [never]);
        }

        var prior = subject.Profile.MoltInterval[stage];
        var room = subject.Room.Rules.Room;
        var own = OwnIntervals(subject, stage);
        var learned = LearnedWait.FromPrior(prior.Value, room.LearningKappa.Value, room.LearningAlpha.Value).Seen(own);
        var last = subject.Standing.LastMolt;
        var start = last?.When.Middle ?? subject.Room.Clock.EveningOf(subject.Standing.Details.AcquiredOn);
        var waited = Math.Max(0, subject.NightsSince(start));
        IWait whole =
            last is null ? new UnknownStartWait(LogNormalWait.FromPrior(prior.Value))
            : own.Count == 0 ? LogNormalWait.FromPrior(prior.Value)
            : learned.Predictive();
        var left = new RemainingWait(whole, waited);
        var weighed = new WeighedWait(
            left,
            subject.Group.PremoltDays[stage].Value,
            subject.Group.ImminentDays.Value,
            reading.OddsFactor,
            reading.ImminentFactor
        );
        DateOnly Quantile(double p) => subject.Room.Tonight.AddDays((int)Math.Round(weighed.Quantile(p)));
        var forecast = new MoltForecast(
            Quantile(0.1),
            Quantile(0.5),
            Quantile(0.9),
            waited,
            weighed.PremoltChance,
            Rung.Climb(weighed, reading),
            last is not null && left.ShareAlreadyOver > room.LongerThanNormal.Value
        );
        var words = subject.Room.Wording;
        var summary =
            $"Molts about {words.Date(forecast.P50)}, between {words.Date(forecast.P10)} and {words.Date(forecast.P90)}.";
        return new Answer<MoltForecast?>(forecast, summary, Why(subject, stage, prior, own.Count, forecast, reading));
    }

    private static Reason? WillNotMoltAgain(Subject subject, Stage stage)
    {
        if (stage != Stage.Adult || !subject.Standing.IsMatureByRecord)
        {
            return null;
        }

        var last = subject.Group.AdultsMolt;
        if (last.Value == AdultMolting.Neither)
        {
            return last.Because("Next molt", "group.adultsMolt", $"An adult {subject.Group.One} does not molt again.");
        }

        return subject.Standing.Details.Sex == Sex.Male
            ? last.Because("Next molt", "group.adultsMolt", "A mature male does not molt again in practice.")
            : null;
    }

    /// <summary>
    /// ln of the animal's own intervals, each brought to the present stage: its ratio to the prior median at the
    /// stage it belonged to is what carries over.
    /// </summary>
    private static List<double> OwnIntervals(Subject subject, Stage stage)
    {
        var molts = subject.Standing.Molts;
        var now = Math.Log(subject.Profile.MoltInterval[stage].Value.P50);
        var logs = new List<double>();
        for (var k = 1; k < molts.Count; k++)
        {
            var days = (molts[k].When.Middle - molts[k - 1].When.Middle).TotalDays;
            var then = StageBefore(subject, k);
            logs.Add(Math.Log(Math.Max(1, days)) - Math.Log(subject.Profile.MoltInterval[then].Value.P50) + now);
        }

        return logs;
    }

    /// <summary>The stage in which the animal was between molts k−1 and k, by its size then.</summary>
    private static Stage StageBefore(Subject subject, int k)
    {
        var then = subject with
        {
            Standing = subject.Standing with
            {
                Details = subject.Standing.Details with { MatureAtArrival = false },
                Molts = [.. subject.Standing.Molts.Take(k)],
                Measures = [.. subject.Standing.Measures.Where(m => m.MoltsHere <= k)],
            },
        };
        return StageReading.Of(then, BodySize.Of(then).Value).Value;
    }

    private static List<Reason> Why(
        Subject subject,
        Stage stage,
        Rule<WaitPrior> prior,
        int ownIntervals,
        MoltForecast forecast,
        PremoltReading reading
    )
    {
        var words = subject.Room.Wording;
        var last = subject.Standing.LastMolt;
        var since = last is null
            ? $"No molt on record; {subject.It} came {words.Date(subject.Standing.Details.AcquiredOn)} and may have waited longer than the {Wording.Nights(forecast.WaitedNights)} since."
            : $"{Wording.Nights(forecast.WaitedNights)} since the molt of {MoltDates(subject, last)}.";
        var reasons = new List<Reason>
        {
            Reason.FromRecord("Waited", since, "record.molt"),
            prior.Because(
                "Usual wait",
                $"species.moltInterval.{StageReading.Word(stage)}",
                $"{subject.SpeciesName}, {StageReading.Word(stage)}: {prior.Value.P50:0} days, 8 of 10 between {prior.Value.P10:0} and {prior.Value.P90:0}."
            ),
        };
        if (ownIntervals > 0)
        {
            reasons.Add(
                subject.Room.Rules.Room.LearningKappa.Because(
                    "Own pace",
                    "room.learningKappa",
                    $"{ownIntervals.ToString(CultureInfo.InvariantCulture)} own interval{(ownIntervals == 1 ? "" : "s")} on record, weighed against the usual."
                )
            );
        }

        if (reading.Evidence.Count > 0)
        {
            var days = subject.Group.PremoltDays[stage];
            reasons.Add(
                days.Because(
                    "Signs",
                    "group.premoltDays",
                    $"The signs put premolt at {Wording.Chance(forecast.PremoltChance)}; it lasts up to about {Wording.Days(days.Value)} in a {StageReading.Word(stage)}."
                )
            );
        }

        if (forecast.LongerThanNormal)
        {
            reasons.Add(
                subject.Room.Rules.Room.LongerThanNormal.Because(
                    "Long wait",
                    "room.longerThanNormal",
                    $"Longer than 39 in 40 wait. Slow growth, a cool room or lean feeding can do that, or a molt nobody saw: look for a skin. Otherwise leave {subject.Them} be."
                )
            );
        }

        return reasons;
    }

    private static string MoltDates(Subject subject, MoltEvent molt) =>
        subject.Room.Wording.Dates(subject.Night(molt.When.From), subject.Night(molt.When.To));
}
