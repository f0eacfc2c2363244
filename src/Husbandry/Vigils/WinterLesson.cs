using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>When pupae are put in the cold in this room, and for how long.</summary>
/// <param name="FromDay">Day of the year, 1–365.</param>
/// <param name="FromSpread">Standard deviation of that, days.</param>
/// <param name="Lasts">How long they stay, as a multiple of what they need.</param>
/// <param name="LastsSpread">Standard deviation of that.</param>
/// <param name="Pupae">Winters counted here.</param>
/// <param name="StillBeginsDays">Days after which a cold that has not begun belongs to the next winter.</param>
public sealed record WinterLesson(
    double FromDay,
    double FromSpread,
    double Lasts,
    double LastsSpread,
    int Pupae,
    double StillBeginsDays
)
{
    private const int Year = 365;

    // The thirds of a normal distribution lie about these points, in standard deviations.
    private static readonly double[] Thirds = [-1.1, 0, 1.1];

    /// <summary>The rulebook's winter, weighed against those of the room.</summary>
    internal static WinterLesson Of(IReadOnlyList<(DateOnly From, double? TimesNeeded)> winters, RoomLessonRules rules)
    {
        var weight = rules.WinterPriorPupae.Value;
        // Days are counted from the rulebook's own, so that a winter across the turn of the year has no gap in it.
        var begins = winters.Select(w => (double)Near(w.From.DayOfYear - rules.ColdFrom.Value)).ToList();
        var lasts = winters.Select(w => w.TimesNeeded).OfType<double>().ToList();
        var (from, fromSd) = Weigh(begins, 0, rules.ColdFromSpread.Value, weight);
        var (length, lengthSd) = Weigh(lasts, rules.ColdLasts.Value, rules.ColdLastsSpread.Value, weight);
        return new WinterLesson(
            rules.ColdFrom.Value + from,
            fromSd,
            length,
            lengthSd,
            winters.Count,
            rules.ColdStillBegins.Value
        );
    }

    /// <summary>
    /// How many days from tonight until the cold of a pupa is over: several answers, each as likely. None of them where its cold
    /// is behind it or it needs none.
    /// </summary>
    internal IReadOnlyList<CalendarDays> Left(Subject subject)
    {
        if (WinterWeeks.RestOf(subject) is not { } rest || subject.Standing.Vigils.Chill is { To: not null })
        {
            return [];
        }

        var needed = rest.ChillWeeks * WinterWeeks.Week;
        double Length(double z) => needed * Math.Max(1, Lasts + (z * LastsSpread));
        if (subject.Standing.Vigils.Chill is { From: var from })
        {
            var passed = (subject.Room.Now - from).TotalDays;
            // One that has been there for longer than any is taken out any day now.
            return
            [
                .. Thirds.Select(
                    (z, i) => new CalendarDays(Math.Max((i + 1) * WinterWeeks.Week / 2, Length(z) - passed))
                ),
            ];
        }

        var wait = Near((int)Math.Round(FromDay) - subject.Room.Tonight.DayOfYear, (int)StillBeginsDays);
        return
        [
            .. Thirds.SelectMany(a =>
                Thirds.Select(b => new CalendarDays(Math.Max(0, wait + (a * FromSpread)) + Length(b)))
            ),
        ];
    }

    private static (double Mean, double Sd) Weigh(List<double> seen, double mean, double sd, double weight)
    {
        var center = ((weight * mean) + seen.Sum()) / (weight + seen.Count);
        var squares =
            (weight * ((sd * sd) + ((mean - center) * (mean - center)))) + seen.Sum(s => (s - center) * (s - center));
        return (center, Math.Sqrt(squares / (weight + seen.Count)));
    }

    /// <summary>Days of the year apart, the short way round; behind by no more than so many.</summary>
    private static int Near(int days, int behind = Year / 2) =>
        days < -behind ? days + Year
        : days > Year - behind ? days - Year
        : days;
}
