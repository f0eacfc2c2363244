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
internal sealed record MoltWait(
    Subject Subject,
    IntervalPrior Prior,
    RemainingWait Left,
    int WaitedNights,
    bool StartIsKnown,
    int OwnIntervals,
    EffectiveDays Premolt
)
{
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
        var own = PastWaits.Of(subject, VigilKind.Molt).Where(w => w.IsOver).ToList();
        var lesson = subject.Room.Lessons.For(subject, VigilKind.Molt);
        // Without lessons of a room the animal's own intervals still count, against the rulebook alone.
        lesson ??= own.Count == 0 ? null : SpeciesLesson.Of([], prior.Sigma, subject.Room.Rules.Room);
        var whole = SpeciesLesson.Whole(prior, lesson, own);
        var waited = Math.Max(0, subject.NightsSince(since));
        var elapsed = subject.Pace.Between(since, subject.Room.Now).NotNegative;
        var left = new RemainingWait(start is null ? new UnknownStartWait(AsLogNormal(whole)) : whole, elapsed);
        return new MoltWait(
            subject,
            prior,
            left,
            waited,
            start is not null,
            own.Count,
            VigilForecast.Premolt(subject, stage)
        );
    }

    /// <summary>
    /// Weighs the evidence one piece at a time: the wait as it then stands, and the ladder of chances that led there.
    /// </summary>
    public (WeighedWait Wait, IReadOnlyList<Rung> Ladder) Weigh(PremoltReading reading)
    {
        var weighed = new WeighedWait(Left, Premolt, Subject.Group.Imminent, []);
        var rungs = new List<Rung> { new("Nights waited", "", weighed.PremoltChance) };
        foreach (var e in reading.Evidence)
        {
            weighed = weighed.And(e.Witness(Subject, Premolt));
            var strength = e.LikelihoodRatio < 1 ? "against" : e.Strength.ToString().ToLowerInvariant();
            var label = e.Note.Length > 0 ? $"{e.Brief}, {e.Note}" : e.Brief;
            rungs.Add(new Rung(label, strength, weighed.PremoltChance));
        }

        return (weighed, rungs);
    }

    /// <summary>A lognormal of the same centre and variance, for waits whose beginning nobody saw.</summary>
    private static LogNormalWait AsLogNormal(IWait wait)
    {
        if (wait is not LogStudentWait t)
        {
            return (LogNormalWait)wait;
        }

        var inflation = t.Freedom > 2 ? Math.Sqrt(t.Freedom / (t.Freedom - 2)) : 2;
        return new LogNormalWait(t.Location, t.Scale * inflation);
    }
}
