using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using MathNet.Numerics.RootFinding;

namespace Husbandry.Vigils;

/// <summary>Chances of either end by one night; what is missing to 1 is still waiting then.</summary>
/// <param name="Night">The night.</param>
/// <param name="Hoped">Chance that it has ended as hoped by then (0–1).</param>
/// <param name="Otherwise">Chance that it has ended otherwise by then (0–1).</param>
public sealed record EndsBy(DateOnly Night, double Hoped, double Otherwise);

/// <summary>The chance of each end of a wait by each night.</summary>
/// <param name="Hoped">The end that is hoped for, in two or three words.</param>
/// <param name="Otherwise">The other end.</param>
/// <param name="OtherChance">Chance that it ends otherwise in the end (0–1).</param>
/// <param name="Nights">Chances by night, from tonight on, evenly spaced.</param>
public sealed record EndForecast(string Hoped, string Otherwise, double OtherChance, IReadOnlyList<EndsBy> Nights)
{
    private const int Steps = 24;

    /// <summary>Share of waits that have ended, one way or the other, by the last night drawn.</summary>
    private const double Drawn = 0.95;

    private const double DayAccuracy = 0.1;
    private const int MostHalvings = 60;

    /// <summary>Chance that a wait which has lasted so far ends otherwise: Bayes' rule on what either clock says.</summary>
    /// <param name="share">Share of such waits that end otherwise, between 0 and 1.</param>
    /// <param name="hoped">The wait if it ends as hoped.</param>
    /// <param name="otherwise">The wait if it ends otherwise.</param>
    public static double ChanceOtherwise(double share, RemainingWait hoped, RemainingWait otherwise) =>
        1 / (1 + ((1 - share) / share * Math.Exp(hoped.LogReached - otherwise.LogReached)));

    /// <summary>How a wait that stands may end. Both clocks run on effective days; dates are of the calendar.</summary>
    internal static EndForecast Of(OpenWait wait)
    {
        var (subject, other) = (wait.Subject, wait.OtherChance);
        double Ended(double effective) =>
            ((1 - other) * wait.Left.Within(effective)) + (other * wait.OtherLeft.Within(effective));
        // As far as most such waits have ended, one way or the other.
        var (least, most) = (
            Math.Min(wait.Left.Quantile(Drawn), wait.OtherLeft.Quantile(Drawn)),
            Math.Max(wait.Left.Quantile(Drawn), wait.OtherLeft.Quantile(Drawn))
        );
        var horizon = Bisection.TryFindRoot(d => Ended(d) - Drawn, least, most, DayAccuracy, MostHalvings, out var root)
            ? root
            : most;
        var nights = Math.Max(Steps, (int)Math.Ceiling(wait.ChillDays + subject.Pace.CalendarDays(horizon)));
        // The clocks stand still while the cold lasts.
        var cold = (int)Math.Ceiling(wait.ChillDays);
        var gone = subject.Pace.EffectiveAhead(nights);
        return new EndForecast(
            VigilDefinition.Of(wait.Began.Vigil).HopedEnd,
            VigilDefinition.Of(wait.Began.Vigil).OtherEnd,
            other,
            [
                .. Enumerable
                    .Range(0, Steps + 1)
                    .Select(k => (int)Math.Round((double)nights * k / Steps))
                    .Select(ahead =>
                    {
                        var effective = gone[Math.Max(0, ahead - cold)];
                        return new EndsBy(
                            subject.Room.Tonight.AddDays(ahead),
                            (1 - other) * wait.Left.Within(effective),
                            other * wait.OtherLeft.Within(effective)
                        );
                    }),
            ]
        );
    }

    /// <summary>Why that chance.</summary>
    internal static Reason Why(OpenWait wait, EndForecast ends)
    {
        var vigil = wait.Began.Vigil;
        var key = vigil.ToString();
        var counted = wait.Ends is { Ended: > 0 } lesson
            ? $" Here {lesson.Otherwise} of {lesson.Ended} that ended did."
            : "";
        return wait
            .Subject.Group.Vigils.OtherEnds[vigil]
            .Share.Because(
                "Other end",
                $"group.otherEnds.{char.ToLowerInvariant(key[0])}{key[1..]}.share",
                $"Of such waits {Wording.Chance(wait.OtherShare)} end otherwise ({ends.Otherwise}).{counted} "
                    + $"After this wait the chance is {Wording.Chance(ends.OtherChance)}. The dates hold if it {VigilDefinition.EndOf(vigil)}."
            );
    }
}
