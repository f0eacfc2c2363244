using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>
/// A wait other than for a molt as it stands tonight: what is left of it if it ends as hoped, what is left of it if it
/// ends otherwise, and which of the two it is likely to be.
/// </summary>
/// <param name="Subject">The animal.</param>
/// <param name="Began">The wait.</param>
/// <param name="Prior">What the rulebook expects if it ends as hoped.</param>
/// <param name="OtherPrior">What it expects if it ends otherwise.</param>
/// <param name="Left">What is left of it if it ends as hoped, in effective days.</param>
/// <param name="OtherLeft">What is left of it if it ends otherwise.</param>
/// <param name="OtherShare">Share of such waits that end otherwise (0–1), as the room has taught.</param>
/// <param name="Lesson">What the room taught of waits that end as hoped.</param>
/// <param name="Ends">How such waits ended here.</param>
/// <param name="Own">The animal's own former waits that ended as hoped.</param>
/// <param name="ChillDays">Days of cold that must come first.</param>
/// <remarks>
/// Source of the two-clock form: Larson &amp; Dinse (1985), A mixture model for the regression analysis of competing risks
/// data, Appl. Statist. 34:201–211 [from memory].
/// </remarks>
internal sealed record OpenWait(
    Subject Subject,
    VigilEvent Began,
    IntervalPrior Prior,
    IntervalPrior OtherPrior,
    RemainingWait Left,
    RemainingWait OtherLeft,
    double OtherShare,
    SpeciesLesson? Lesson,
    EndLesson? Ends,
    IReadOnlyList<PastWait> Own,
    double ChillDays
)
{
    /// <summary>A wait that is under way.</summary>
    public static OpenWait Of(Subject subject, VigilEvent waiting)
    {
        var (vigil, began) = (waiting.Vigil, waiting.Began.Middle);
        var lessons = subject.Room.Lessons;
        var prior = WaitPriors.Of(subject, vigil, VigilEnd.AsHoped, began);
        var other = WaitPriors.Of(subject, vigil, VigilEnd.Otherwise, began);
        var own = PastWaits.Of(subject, vigil).Where(w => w.IsOver).ToList();
        var lesson = lessons.For(subject, vigil);
        var ends = lessons.EndsOf(subject, vigil);
        var chill = ChillLeft(subject, waiting);
        var elapsed = chill > 0 ? 0 : Math.Max(0, Warm(subject, began));
        return new OpenWait(
            subject,
            waiting,
            prior,
            other,
            new RemainingWait(SpeciesLesson.Whole(prior, lesson, own), elapsed),
            new RemainingWait(SpeciesLesson.Whole(other, lessons.For(subject, vigil, VigilEnd.Otherwise), []), elapsed),
            ends?.Share ?? WaitPriors.OtherShare(subject, vigil),
            lesson,
            ends,
            own,
            chill
        );
    }

    /// <summary>Chance (0–1) that this wait ends otherwise, after what was waited already.</summary>
    public double OtherChance => EndForecast.ChanceOtherwise(OtherShare, Left, OtherLeft);

    /// <summary>Night by which it has ended as hoped with chance <paramref name="p"/>, if it does end so.</summary>
    public DateOnly Quantile(double p) =>
        Subject.Room.Tonight.AddDays((int)Math.Round(ChillDays + Subject.Pace.CalendarDays(Left.Quantile(p))));

    /// <summary>
    /// Days of warmth since it began: what lies in the cold waits for nothing. A pupa that needs a winter, and a queen that
    /// lays after hers, count from the end of it.
    /// </summary>
    private static double Warm(Subject subject, DateTimeOffset began)
    {
        var now = subject.Room.Now;
        if (subject.Standing.Vigils.Chill is not { } chill || chill.From < began)
        {
            return subject.Pace.Between(began, now);
        }

        var anew = subject.Profile.Diapause is not null || subject.Group.Feeding.Diet == Diet.SugarAndProtein;
        var before = anew ? 0 : subject.Pace.Between(began, chill.From);
        return before + (chill.To is { } warm ? subject.Pace.Between(warm, now) : 0);
    }

    /// <summary>Days of winter cold that a diapausing pupa still needs.</summary>
    private static double ChillLeft(Subject subject, VigilEvent waiting)
    {
        if (waiting.Vigil != VigilKind.Emergence || subject.Profile.Diapause is not { } diapause)
        {
            return 0;
        }

        var needed = diapause.Value.ChillWeeks * WinterWeeks.Week;
        return subject.Standing.Vigils.Chill switch
        {
            null => needed,
            { To: not null } => 0,
            { From: var from } => Math.Max(0, needed - (subject.Room.Now - from).TotalDays),
        };
    }
}

/// <summary>What the rulebook expects of waits other than for a molt.</summary>
internal static class WaitPriors
{
    /// <summary>What it expects of a wait that ends one way or the other.</summary>
    /// <param name="subject">The animal.</param>
    /// <param name="vigil">What is awaited.</param>
    /// <param name="end">How it ends.</param>
    /// <param name="began">When it began: the size then counts.</param>
    public static IntervalPrior Of(Subject subject, VigilKind vigil, VigilEnd end, DateTimeOffset began)
    {
        if (end == VigilEnd.AsHoped)
        {
            return vigil == VigilKind.Surfacing && subject.Group.Vigils.Underground.Count > 0
                ? Underground(subject, began)
                : Plain(
                    subject.Profile.Waits?.GetValueOrDefault(vigil)
                        ?? subject.Group.Vigils.Waits.GetValueOrDefault(vigil)
                        ?? subject.Room.Rules.Room.Lessons.UnknownWait
                );
        }

        var rules = subject.Group.Vigils.OtherEnds[vigil];
        var clock = Plain(rules.Wait);
        return rules.Measure == WaitMeasure.Days
            ? clock
            : clock with
            {
                Mu = clock.Mu + Of(subject, vigil, VigilEnd.AsHoped, began).Mu,
            };
    }

    /// <summary>Share of such waits that end otherwise, by the rulebook.</summary>
    public static double OtherShare(Subject subject, VigilKind vigil) =>
        subject.Group.Vigils.OtherEnds[vigil].Share.Value;

    private static IntervalPrior Plain(Rule<WaitPrior> rule)
    {
        var whole = LogNormalWait.FromPrior(rule.Value);
        return new IntervalPrior(whole.Mu, whole.Sigma, 0);
    }

    /// <summary>Nights underground by size: a straight line on log scales through the rulebook's points.</summary>
    private static IntervalPrior Underground(Subject subject, DateTimeOffset began)
    {
        var points = subject.Group.Vigils.Underground.OrderBy(p => p.SizeMm).ToList();
        var size =
            subject
                .Standing.Growth.Measures.LastOrDefault(m => m.Part == subject.Group.Growth.SizePart && m.At <= began)
                ?.LengthMm
            ?? BodySize.Of(subject).Value?.SizeMm
            ?? Math.Sqrt(points[0].SizeMm * points[^1].SizeMm);
        var x = Math.Clamp(Math.Log(size), Math.Log(points[0].SizeMm), Math.Log(points[^1].SizeMm));
        var i = Math.Max(1, points.FindIndex(p => Math.Log(p.SizeMm) >= x));
        var (a, b) = (points[i - 1], points[i]);
        var (la, lb) = (LogNormalWait.FromPrior(a.Wait.Value), LogNormalWait.FromPrior(b.Wait.Value));
        var share = (x - Math.Log(a.SizeMm)) / (Math.Log(b.SizeMm) - Math.Log(a.SizeMm));
        return new IntervalPrior(la.Mu + (share * (lb.Mu - la.Mu)), la.Sigma + (share * (lb.Sigma - la.Sigma)), 0);
    }
}
