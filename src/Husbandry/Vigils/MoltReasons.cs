using System.Globalization;
using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>Says why a molt is expected when it is.</summary>
internal static class MoltReasons
{
    public static List<Reason> Of(LifeReading life, MoltWait wait, VigilForecast forecast)
    {
        var (subject, stage, reading) = (life.Subject, life.Stage.Value, life.Premolt.Value);
        var words = subject.Room.Wording;
        var prior = subject.Profile.MoltInterval[stage];
        var alone = wait.Prior.Alone;
        double At(double z) => Math.Exp(alone.Mu + (z * alone.Sigma));
        var z = LogNormalWait.NormalQuantile90;
        var reasons = new List<Reason>
        {
            Reason.FromRecord("Waited", Since(subject, wait), "record.molt"),
            prior.Because(
                "Usual wait",
                $"species.moltInterval.{StageReading.Key(stage)}",
                $"{subject.SpeciesName}, {subject.Group.StageWord(stage)}: {At(0):0} days at this size, 8 of 10 between {At(-z):0} and {At(z):0}."
            ),
        };
        AddLearned(reasons, subject, subject.Room.Lessons.For(subject, VigilKind.Molt), wait.Prior, wait.OwnIntervals);
        AddWarmth(reasons, subject, wait.StartIsKnown ? subject.Room.Now.AddDays(-wait.WaitedNights) : null);
        if (reading.Evidence.Count > 0)
        {
            var days = VigilForecast.PremoltRule(subject, stage);
            reasons.Add(
                days.Because(
                    "Signs",
                    subject.Profile.PremoltDays is null
                        ? $"group.premoltDays.{StageReading.Key(stage)}"
                        : $"species.premoltDays.{StageReading.Key(stage)}",
                    $"The signs put premolt at {Wording.Chance(forecast.PremoltChance)}; it lasts up to about {Wording.Days(days.Value)} in a {subject.Group.StageWord(stage)}."
                )
            );
        }

        if (AdultUnmarked.Why(subject, forecast.AdultChance) is { } adult)
        {
            reasons.Add(adult);
        }

        if (forecast.LongerThanNormal)
        {
            reasons.Add(LongWait(subject));
        }

        return reasons;
    }

    /// <summary>What the room and the animal itself taught, once they taught something.</summary>
    public static void AddLearned(
        List<Reason> reasons,
        Subject subject,
        SpeciesLesson? lesson,
        IntervalPrior prior,
        int own
    )
    {
        var room = subject.Room.Rules.Room;
        if (lesson is { Intervals: > 0 })
        {
            var factor = Math.Exp(lesson.OffsetAt(prior));
            reasons.Add(
                room.Lessons.RoomShare.Because(
                    "This room",
                    "room.roomShare",
                    $"{Count(lesson.Intervals, "wait")} of {Count(lesson.Animals, "animal")} of the species ended here, at {factor:0.00} × the usual."
                )
            );
        }

        if (own > 0)
        {
            reasons.Add(
                room.Lessons.BetweenAnimalsShare.Because(
                    "Own pace",
                    "room.betweenAnimalsShare",
                    $"{Count(own, "own interval")} on record, weighed against the others."
                )
            );
        }
    }

    /// <summary>What a wait longer than normal can mean for this animal.</summary>
    public static Reason LongWait(Subject subject) =>
        subject.Group.Vigils.LongWait.Because(
            "Long wait",
            "group.longWait",
            $"Longer than 39 in 40 wait. {subject.Group.Vigils.LongWait.Value}"
        );

    /// <summary>What warmth does now, and what it has done to this wait.</summary>
    /// <param name="reasons">Reasons so far.</param>
    /// <param name="subject">The animal.</param>
    /// <param name="since">When the wait began; none where nobody knows.</param>
    public static void AddWarmth(List<Reason> reasons, Subject subject, DateTimeOffset? since)
    {
        if (subject.Room.RecentCAt(subject.Place) is not { } celsius)
        {
            return;
        }

        var warmth = subject.Profile.Warmth;
        reasons.Add(
            warmth.Because(
                "Warmth",
                "species.warmth",
                $"{Wording.Plain(Math.Round(celsius, 1))} °C lately: a day counts as {Wording.Plain(subject.Pace.RateNow)} of one at {Wording.Plain(warmth.Value.ReferenceC)} °C.{Moved(subject, since)}"
            )
        );
    }

    /// <summary>By how much the warmth since a wait began has moved its end, against the warmth for which the rulebook's waits hold.</summary>
    private static string Moved(Subject subject, DateTimeOffset? since)
    {
        if (since is not { } began)
        {
            return "";
        }

        var days = (subject.Room.Now - began).TotalDays;
        var lived = subject.Pace.Between(began, subject.Room.Now).Value;
        var moved = (int)Math.Round(Math.Abs(lived - days));
        return moved == 0
            ? ""
            : $" The {days:0} days since it began count as {lived:0}: the season has brought it {Wording.Nights(moved)} {(lived > days ? "forward" : "back")}.";
    }

    private static string Since(Subject subject, MoltWait wait)
    {
        var words = subject.Room.Wording;
        var nights = Wording.Nights(wait.WaitedNights);
        return subject.Standing.Growth.LastMolt is { } last ? $"{nights} since the molt of {MoltDates(subject, last)}."
            : wait.StartIsKnown ? $"{nights} since {subject.It} hatched."
            : $"No molt on record; {subject.It} came {words.Date(subject.Standing.Details.AcquiredOn)} and may have waited longer than the {nights} since.";
    }

    private static string Count(int n, string what) =>
        $"{n.ToString(CultureInfo.InvariantCulture)} {what}{(n == 1 ? "" : "s")}";

    private static string MoltDates(Subject subject, MoltEvent molt) =>
        subject.Room.Wording.Dates(subject.Night(molt.When.From), subject.Night(molt.When.To));
}
