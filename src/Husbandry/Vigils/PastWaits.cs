using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>One wait of one animal, over or still lasting.</summary>
/// <param name="Prior">What the rulebook expected of it.</param>
/// <param name="Length">How long it lasted, or has lasted so far.</param>
/// <param name="DateSpread">Standard deviation of that because its ends were only found later.</param>
/// <param name="IsOver">Whether it ended; else it is known only to be longer.</param>
/// <param name="Chance">Chance (0–1) that it is one that ends this way at all; 1 when it did.</param>
/// <param name="StartUnknown">Whether it had begun before anybody looked: its length is what was seen of it.</param>
/// <param name="Reached">Of one that still lasts: ln of the chance to last so long, by each of its ends.</param>
public sealed record PastWait(
    IntervalPrior Prior,
    EffectiveDays Length,
    EffectiveDays DateSpread,
    bool IsOver,
    double Chance = 1,
    bool StartUnknown = false,
    IReadOnlyDictionary<string, double>? Reached = null
)
{
    private const double LeastDays = 0.5;

    private const double LeastForSpread = 1;

    /// <summary>Whether it was seen from its beginning to its end.</summary>
    public bool IsWhole => IsOver && !StartUnknown;

    /// <summary>Standard deviation of ln of its length because its ends were only found later.</summary>
    public double LogSpread => DateSpread.Value / Math.Max(LeastForSpread, Length.Value);

    /// <summary>ln of its length against what the rulebook expected.</summary>
    public double Residual => Math.Log(Math.Max(LeastDays, Length.Value)) - Prior.Mu;
}

/// <summary>Reads the waits of an animal from its standing.</summary>
public static class PastWaits
{
    // An event spread evenly over an interval of width w has the standard deviation w/√12.
    private static readonly double Uniform = Math.Sqrt(12);

    /// <summary>
    /// The waits of one kind that end one way, in order; the last is the present one when it still lasts, or one that the animal's leaving
    /// cut short.
    /// </summary>
    public static IReadOnlyList<PastWait> Of(Subject subject, VigilKind vigil, string end = VigilEnd.AsHoped) =>
        vigil != VigilKind.Molt ? [.. Others(subject, vigil, end)]
        : end == VigilEnd.AsHoped ? [.. Molts(subject, subject.Pace)]
        : [];

    private static IEnumerable<PastWait> Molts(Subject subject, Pace pace)
    {
        var standing = subject.Standing;
        if (!Molting.Follows(subject))
        {
            yield break;
        }

        for (var k = 0; k <= standing.Growth.Molts.Count; k++)
        {
            var isOver = k < standing.Growth.Molts.Count;
            // After the ultimate molt of those that molt no more nothing is waited for.
            if (!isOver && EndsHere(subject))
            {
                yield break;
            }

            var end = isOver ? standing.Growth.Molts[k].When : Until(subject);
            if (IsAnother(standing, k > 0 ? standing.Growth.Molts[k - 1].When : null, end))
            {
                continue;
            }

            if (Start(standing, k, subject) is { } start)
            {
                yield return Between(start, end, PriorOf(subject, k), pace, isOver);
            }
            else
            {
                var came = Occurrence.At(subject.Room.Clock.EveningOf(standing.Details.AcquiredOn));
                yield return Between(came, end, PriorOf(subject, k), pace, isOver) with
                {
                    StartUnknown = true,
                };
            }
        }
    }

    /// <summary>
    /// Waits that ended in one way, and those still lasting: one that ended another way ran on another clock and says nothing of
    /// this one.
    /// </summary>
    private static IEnumerable<PastWait> Others(Subject subject, VigilKind vigil, string end)
    {
        foreach (var wait in subject.Standing.Vigils.All.Where(v => v.Vigil == vigil && subject.Group.Knows(vigil)))
        {
            var prior = WaitPriors.Of(subject, vigil, end, wait.Began.Middle);
            // What a molt cut short had lasted so long, and nobody knows how it would have ended.
            var cut = wait.End == VigilEnd.CutShort ? wait.Ended : null;
            if (wait.Ended is { } ended && cut is null)
            {
                if (wait.End == end)
                {
                    yield return Between(wait.Began, ended, prior, subject.Pace, isOver: true) with
                    {
                        Length = OpenWait.Warm(subject, wait.Began.Middle, ended.Middle).NotNegative,
                    };
                }

                continue;
            }

            if (
                vigil == VigilKind.Emergence
                && subject.Room.Lessons.Winter(subject.Room.Rules.Room).Left(subject).Count > 0
            )
            {
                // It has not begun to wait for warmth.
                continue;
            }

            var until = cut ?? Until(subject);
            var open = Between(wait.Began, until, prior, subject.Pace, isOver: false) with
            {
                Length = OpenWait.Warm(subject, wait.Began.Middle, until.Middle).NotNegative,
            };
            yield return open with
            {
                Reached = VigilDefinition.Of(vigil).AllEnds.ToDictionary(e => e.Id, e => Alone(e.Id).LogReached),
            };

            RemainingWait Alone(string e) =>
                new(WaitPriors.Of(subject, vigil, e, wait.Began.Middle).Alone, open.Length);
        }
    }

    /// <summary>Whether its first wait here began at its hatching.</summary>
    public static bool StartIsHatching(Standing standing) =>
        standing is { Details.HatchedOn: not null, MoltsBeforeRecord: 0 };

    /// <summary>When the wait for molt <paramref name="k"/> (counted from 0) began, if that is known.</summary>
    public static Occurrence? Start(Standing standing, int k, Subject subject) =>
        k > 0 ? standing.Growth.Molts[k - 1].When
        : StartIsHatching(standing) ? Occurrence.At(subject.Room.Clock.EveningOf(standing.Details.HatchedOn!.Value))
        : null;

    /// <summary>What the rulebook expected of the wait for molt <paramref name="k"/>, by the animal's size and stage then.</summary>
    public static IntervalPrior PriorOf(Subject subject, int k)
    {
        var standing = subject.Standing;
        return IntervalPrior.ForMolt(
            subject.Profile,
            StageReading.Then(subject, k),
            standing.MoltsBeforeRecord + k,
            BodySize.SizeAt(subject, k),
            standing.Details.Sex
        );
    }

    /// <summary>Whether something else was awaited in between, such as the adult from its pupa: no molt of a larva.</summary>
    private static bool IsAnother(Standing standing, Occurrence? start, Occurrence end) =>
        standing.Vigils.All.Any(v =>
            v.Count is null
            && VigilDefinition.Of(v.Vigil).BeginsWithMolt
            && v.Began.From < end.To
            && (start is null || v.Ended is null || v.Ended.To > start.To)
            && (start is null || v.Began.To >= start.From)
        );

    // A mother that broods may molt, but how long she waits for it then says little of other waits; one that was paired goes on
    // as before.
    private static bool EndsHere(Subject subject) =>
        Molting.WillNotMoltAgain(subject) is not null || subject.WaitsOfAll.Any(w => w.Vigil != VigilKind.EggCase);

    /// <summary>The last instant at which it is known to have waited: nobody knows what came of one not written of again.</summary>
    private static Occurrence Until(Subject subject) =>
        Occurrence.At(subject.Standing.Departure?.At ?? subject.Standing.LatestEventAt);

    private static PastWait Between(Occurrence start, Occurrence end, IntervalPrior prior, Pace pace, bool isOver)
    {
        double Width(Occurrence when) => pace.Between(when.From, when.To).Value;
        var spread = Math.Sqrt(Square(Width(start)) + Square(Width(end))) / Uniform;
        return new PastWait(prior, pace.Between(start.Middle, end.Middle).NotNegative, new(spread), isOver);
    }

    private static double Square(double x) => x * x;
}
