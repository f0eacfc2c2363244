using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>The wait for the next molt of one animal, before and after the evidence.</summary>
/// <param name="Subject">The animal.</param>
/// <param name="Prior">What the rulebook expects of it.</param>
/// <param name="Left">What is left of it without evidence, in effective days.</param>
/// <param name="WaitedNights">Nights waited.</param>
/// <param name="StartIsKnown">Whether its beginning is on record.</param>
/// <param name="OwnIntervals">Own intervals that went into it.</param>
/// <param name="Premolt">Length of premolt.</param>
/// <param name="Adult">Chance (0–1) that it is adult already and molts no more, though nobody wrote it down; before the evidence.</param>
internal sealed record MoltWait(
    Subject Subject,
    IntervalPrior Prior,
    RemainingWait Left,
    int WaitedNights,
    bool StartIsKnown,
    int OwnIntervals,
    EffectiveDays Premolt,
    double Adult
)
{
    private const int Looks = 8;

    private const double NegligibleShare = 0.03;

    /// <summary>
    /// The wait: a lognormal by species and instar, moved by what the room's animals of the species taught and by this
    /// animal's own intervals, conditioned on the days already waited.
    /// </summary>
    public static MoltWait Of(Subject subject, Stage stage)
    {
        var standing = subject.Standing;
        var molts = standing.Growth.Molts.Count;
        var start = PastWaits.Start(standing, molts, subject);
        var since = start?.Middle ?? subject.Room.Clock.EveningOf(standing.Details.AcquiredOn);
        var prior = IntervalPrior.ForMolt(
            subject.Profile,
            stage,
            standing.MoltsInLife,
            BodySize.SizeAt(subject, molts),
            standing.Details.Sex
        );
        var own = PastWaits.Of(subject, VigilKind.Molt).Where(w => w.IsWhole).ToList();
        var lesson = subject.Room.Lessons.For(subject, VigilKind.Molt);
        var whole = WholeWait.Of(subject, prior, lesson, own);
        var waited = Math.Max(0, subject.NightsSince(since));
        var elapsed = subject.Pace.Between(since, subject.Room.Now).NotNegative;
        var left = new RemainingWait(
            start is null ? FirstWait.Of(subject, whole, lesson) : FoundLater(whole, start, subject.Pace),
            elapsed
        );
        return new MoltWait(
            subject,
            prior,
            left,
            waited,
            start is not null,
            own.Count,
            VigilForecast.Premolt(subject, stage),
            AdultUnmarked.Still(subject, left)
        );
    }

    /// <summary>
    /// Weighs the evidence one piece at a time: the wait as it then stands, and the ladder of chances that led there.
    /// </summary>
    public (WeighedWait Wait, IReadOnlyList<Rung> Ladder) Weigh(PremoltReading reading)
    {
        var witnesses = reading.Evidence.Select(e => e.Witness(Subject, Premolt)).ToList();
        var weighed = new WeighedWait(Left, Premolt, witnesses, Adult);
        var rungs = new List<Rung> { new("Nights waited", "", weighed.PremoltChance) };
        foreach (var (e, witness) in reading.Evidence.Zip(witnesses))
        {
            weighed = weighed.And(witness);
            var strength = e.LikelihoodRatio < 1 ? "against" : e.Strength.ToString().ToLowerInvariant();
            var label = e.Note.Length > 0 ? $"{e.Brief}, {e.Note}" : e.Brief;
            rungs.Add(new Rung(label, strength, weighed.PremoltChance));
        }

        return (weighed, rungs);
    }

    /// <summary>A wait whose beginning is known only to lie between two looks.</summary>
    private static IWait FoundLater(IWait whole, Occurrence start, Pace pace)
    {
        var width = pace.Between(start.From, start.To).Value;
        // Its variance is width²/12, nothing beside that of the wait.
        return width < Math.Max(1, whole.Median.Value * NegligibleShare)
            ? whole
            : new UncertainStartWait(
                whole,
                [
                    .. Enumerable
                        .Range(0, Looks)
                        .Select(k => (new EffectiveDays(width * (0.5 - ((k + 0.5) / Looks))), 1.0)),
                ]
            );
    }
}
