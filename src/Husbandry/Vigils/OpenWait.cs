using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>One end of a wait that is under way.</summary>
/// <param name="End">The end.</param>
/// <param name="Share">Share of such waits that end so (0–1), as the room has taught.</param>
/// <param name="Prior">What the rulebook expects of those that end so.</param>
/// <param name="Left">What is left of the wait if it ends so, in effective days.</param>
internal sealed record EndClock(VigilEnd End, double Share, IntervalPrior Prior, RemainingWait Left);

/// <summary>
/// A wait other than for a molt as it stands tonight: for each of its ends what is left of it if it ends so, and how likely
/// that end is.
/// </summary>
/// <param name="Subject">The animal.</param>
/// <param name="Began">The wait.</param>
/// <param name="Clocks">Every end of it, the hoped one first.</param>
/// <param name="Lesson">What the room taught of waits that end as hoped.</param>
/// <param name="Ends">How such waits ended here.</param>
/// <param name="Own">The animal's own former waits that ended as hoped.</param>
/// <param name="Colds">How long until the cold that must come first is over, each as likely; none where none must.</param>
/// <remarks>
/// Source of the form with a clock for each end: Larson &amp; Dinse (1985), A mixture model for the regression analysis of
/// competing risks data, Appl. Statist. 34:201–211 [from memory].
/// </remarks>
internal sealed record OpenWait(
    Subject Subject,
    VigilEvent Began,
    IReadOnlyList<EndClock> Clocks,
    SpeciesLesson? Lesson,
    EndLesson? Ends,
    IReadOnlyList<PastWait> Own,
    IReadOnlyList<CalendarDays> Colds
)
{
    /// <summary>A wait that is under way.</summary>
    public static OpenWait Of(Subject subject, VigilEvent waiting)
    {
        var (vigil, began) = (waiting.Vigil, waiting.Began.Middle);
        var lessons = subject.Room.Lessons;
        var own = PastWaits.Of(subject, vigil).Where(w => w.IsWhole).ToList();
        var ends = lessons.EndsOf(subject, vigil);
        var takes = ends?.Shares ?? WaitPriors.Shares(subject, vigil);
        var evidence = vigil == VigilKind.EggCase ? PairingEvidence.Of(subject, waiting) : null;
        var shares = evidence?.Weigh(takes) ?? takes;
        var colds = vigil == VigilKind.Emergence ? lessons.Winter(subject.Room.Rules.Room).Left(subject) : [];
        var peeks = vigil == VigilKind.FirstWorkers ? FoundingPeeks.Of(subject, began) : null;
        var elapsed =
            colds.Count > 0 ? EffectiveDays.Zero : Warm(subject, peeks?.Began ?? began, subject.Room.Now).NotNegative;
        return new OpenWait(
            subject,
            waiting,
            [.. VigilDefinition.Of(vigil).AllEnds.Select(Clock)],
            lessons.For(subject, vigil),
            ends,
            own,
            colds
        )
        {
            Evidence = evidence,
            Takes = takes[VigilEnd.AsHoped],
        };

        EndClock Clock(VigilEnd end)
        {
            var prior = WaitPriors.Of(subject, vigil, end.Id, began);
            var whole = WholeWait.Of(subject, prior, lessons.For(subject, vigil, end.Id), end.IsHoped ? own : []);
            if (end.IsHoped && peeks is { Looks.Count: > 0 } && subject.Profile.Colony is { } life)
            {
                whole = peeks.Weigh(whole, life, subject.Room.Rules.Room.Colonies.Overlooked.Value);
            }

            return new EndClock(end, shares[end.Id], prior, new RemainingWait(whole, elapsed));
        }
    }

    /// <summary>What tells whether a pairing took; none of other waits.</summary>
    public PairingEvidence? Evidence { get; private init; }

    /// <summary>Share (0–1) of such waits that end as hoped, before what was seen of this one.</summary>
    public double Takes { get; private init; }

    /// <summary>The hoped end.</summary>
    public EndClock Hoped => Clocks[0];

    /// <summary>Chance (0–1) of each end, in the order of the clocks, after what was waited already.</summary>
    public IReadOnlyList<double> Chances { get; } = EndForecast.Chances([.. Clocks.Select(c => (c.Share, c.Left))]);

    /// <summary>Chance (0–1) that this wait ends in one of the ways that are not hoped for.</summary>
    public double OtherChance => Chances.Skip(1).Sum();

    /// <summary>What is left of it if it ends as hoped, cold included.</summary>
    public NightsLeft Left { get; } = NightsAhead.Of(Clocks[0].Left, Colds, Subject.PaceAhead);

    /// <summary>Night by which it has ended as hoped with chance <paramref name="p"/>, if it does end so.</summary>
    public DateOnly Quantile(double p) => Left.Quantile(p).After(Subject.Room.Tonight);

    /// <summary>
    /// Days of warmth since it began: what lies in the cold waits for nothing. A pupa that needs a winter, and a queen that
    /// lays after hers, count from the end of it.
    /// </summary>
    internal static EffectiveDays Warm(Subject subject, DateTimeOffset began, DateTimeOffset until)
    {
        if (subject.Standing.Vigils.Chill is not { } chill || chill.From < began || chill.From > until)
        {
            return subject.Pace.Between(began, until);
        }

        var anew = WinterWeeks.RestOf(subject) is not null || subject.Group.Feeding.Diet == Diet.SugarAndProtein;
        var before = anew ? EffectiveDays.Zero : subject.Pace.Between(began, chill.From);
        return before + (chill.To is { } warm && warm < until ? subject.Pace.Between(warm, until) : EffectiveDays.Zero);
    }
}

/// <summary>What the rulebook expects of waits other than for a molt.</summary>
internal static class WaitPriors
{
    /// <summary>What it expects of a wait that ends in one way.</summary>
    /// <param name="subject">The animal.</param>
    /// <param name="vigil">What is awaited.</param>
    /// <param name="end">How it ends.</param>
    /// <param name="began">When it began: the size then counts.</param>
    public static IntervalPrior Of(Subject subject, VigilKind vigil, string end, DateTimeOffset began)
    {
        if (end == VigilEnd.AsHoped)
        {
            return vigil == VigilKind.Surfacing && subject.Group.Vigils.Underground.Count > 0
                ? Underground(subject, began)
                : Plain(
                    (vigil == VigilKind.EggCase ? subject.Profile.Pairing?.SacWait : null)
                        ?? subject.Profile.Waits?.GetValueOrDefault(vigil)
                        ?? subject.Group.Vigils.Waits.GetValueOrDefault(vigil)
                        ?? subject.Room.Rules.Room.Lessons.UnknownWait
                );
        }

        var rules = subject.Group.Vigils.OtherEnds[vigil][end];
        var clock = Plain(rules.Wait);
        return rules.Measure == WaitMeasure.Days
            ? clock
            : clock with
            {
                Mu = clock.Mu + Of(subject, vigil, VigilEnd.AsHoped, began).Mu,
            };
    }

    /// <summary>Share (0–1) of such waits that end in each way, by the rulebook; together 1.</summary>
    public static IReadOnlyDictionary<string, double> Shares(Subject subject, VigilKind vigil)
    {
        var others = subject.Group.Vigils.OtherEnds[vigil].ToDictionary(o => o.Key, o => ShareOf(subject, o.Value));
        var hoped = 1 - others.Values.Sum();
        return VigilDefinition.Of(vigil).AllEnds.ToDictionary(e => e.Id, e => e.IsHoped ? hoped : others[e.Id]);
    }

    /// <summary>Share (0–1) of an end that is not hoped for; of pairings, of what does not take.</summary>
    private static double ShareOf(Subject subject, OtherEndRules end) =>
        end.Share?.Value
        ?? 1
            - (
                subject.Profile.Pairing?.TakeRate.Value
                ?? throw new InvalidOperationException(
                    $"Nothing says how often a pairing of {subject.SpeciesName} takes."
                )
            );

    private static IntervalPrior Plain(Rule<WaitPrior> rule)
    {
        var whole = LogNormalWait.FromPrior(rule.Value);
        return new IntervalPrior(whole.Mu, whole.Sigma);
    }

    /// <summary>
    /// Nights underground by size: a straight line on log scales through the rulebook's points. How far this room lies off it
    /// is learned by size as well, as it is by part of life for molts.
    /// </summary>
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
        var (smallest, largest) = (Math.Log(points[0].SizeMm), Math.Log(points[^1].SizeMm));
        var part = (int)
            Math.Min(IntervalPrior.Growing - 1, IntervalPrior.Growing * (x - smallest) / (largest - smallest));
        return new IntervalPrior(la.Mu + (share * (lb.Mu - la.Mu)), la.Sigma + (share * (lb.Sigma - la.Sigma)), part);
    }
}
