using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Feeding;

/// <summary>What becomes of an animal when it is fed every so many days.</summary>
/// <param name="EveryDays">Days between meals now; later stages change it as the schools do.</param>
/// <param name="AdultOn">Night by which it is adult in half of such lives; none when it is adult already, or not told.</param>
/// <param name="AdultFrom">Night by which it is in one of ten.</param>
/// <param name="AdultTo">Night by which it is in nine of ten.</param>
/// <param name="EndsFrom">When its life ends at the earliest of what is usual.</param>
/// <param name="EndsTo">And at the latest.</param>
/// <param name="Meals">Meals until it is adult; for an adult, in a year.</param>
/// <param name="FoodMg">What they weigh, dry.</param>
public sealed record FeedingPath(
    double EveryDays,
    DateOnly? AdultOn,
    DateOnly? AdultFrom,
    DateOnly? AdultTo,
    DateOnly? EndsFrom,
    DateOnly? EndsTo,
    int Meals,
    double FoodMg
);

/// <summary>What has to be known of an animal to reckon with another cadence.</summary>
/// <param name="Subject">The animal.</param>
/// <param name="Stage">Its stage of life.</param>
/// <param name="Size">Its size, when known.</param>
/// <param name="Molt">Its next molt, where one is awaited.</param>
/// <param name="MoltsLeft">Molts left to adult, when told.</param>
/// <param name="Meal">Its plan of meals.</param>
public sealed record FedAnimal(
    Subject Subject,
    Stage Stage,
    Answer<BodySize?> Size,
    Answer<VigilForecast?> Molt,
    MoltsLeft? MoltsLeft,
    MealPlan Meal
);

/// <summary>The present plan beside another.</summary>
public sealed record FeedingChoice(FeedingPath Now, FeedingPath Other)
{
    private const double Year = 365;

    /// <summary>
    /// Reckons both ways. Waits between molts, and adult life, grow with a power of the days between meals; meals grow with
    /// the animal. Nothing is stored.
    /// </summary>
    /// <param name="fed">The animal tonight.</param>
    /// <param name="everyDays">Days between meals to compare with, &gt; 0.</param>
    /// <returns>No value where molts are not followed one by one, or its size is not known.</returns>
    public static Answer<FeedingChoice?> Of(FedAnimal fed, double everyDays)
    {
        var s = fed.Subject;
        if (s.Group.Feeding.Prey is null || s.Standing.Details.Kind is StockKind.Colony or StockKind.Tank)
        {
            return new Answer<FeedingChoice?>(null, "Only for animals that are fed by the meal.", []);
        }

        if (fed.Meal.EatsNothing)
        {
            return new Answer<FeedingChoice?>(null, "Takes nothing at this stage.", []);
        }

        if (fed.Size.Value is null)
        {
            return new Answer<FeedingChoice?>(null, "Size unknown: measure first.", fed.Size.Reasons);
        }

        var now = Path(fed, 1);
        var factor = everyDays / fed.Meal.EveryDays;
        var other = Path(fed, factor);
        var pace = s.Group.Feeding.PacePerFood;
        var life = s.AdultLife;
        return new Answer<FeedingChoice?>(
            new FeedingChoice(now, other),
            Summary(s, now, other),
            [
                pace.Because(
                    "Pace",
                    "group.pacePerFood",
                    $"Waits × {Math.Pow(factor, pace.Value):0.00} when meals come every {Wording.Days(everyDays)} instead of {Wording.Days(fed.Meal.EveryDays)}: an order of magnitude, not a promise."
                ),
                life.Because(
                    "Adult life",
                    s.Profile.AdultLifeDays is null ? "group.adultLifeDays" : "species.adultLifeDays",
                    $"Adults live {life.Value.Low:0}–{life.Value.High:0} days; rich feeding shortens it, above all in males."
                ),
                .. fed.Molt.Reasons.Take(2),
            ]
        );
    }

    private static string Summary(Subject s, FeedingPath now, FeedingPath other)
    {
        if (now.AdultOn is not { } a || other.AdultOn is not { } b)
        {
            return $"{now.Meals} meals a year now, {other.Meals} then.";
        }

        var days = b.DayNumber - a.DayNumber;
        var later = days == 0 ? "at the same time" : $"about {Math.Abs(days)} days {(days > 0 ? "later" : "sooner")}";
        return $"Adult {later} ({s.Room.Wording.Date(b)} instead of {s.Room.Wording.Date(a)}), with {other.Meals} meals instead of {now.Meals}.";
    }

    private static FeedingPath Path(FedAnimal fed, double factor)
    {
        var s = fed.Subject;
        var slower = Math.Pow(factor, s.Group.Feeding.PacePerFood.Value);
        var every = fed.Meal.EveryDays * factor;
        var life = s.AdultLife.Value;
        var body = fed.Size.Value!.BodyMm;
        if (fed.Molt.Value is null || fed.Stage == Stage.Adult)
        {
            var lived = Cadence.AdultNights(s) ?? 0;
            var meals = (int)Math.Round(Year / every);
            return new FeedingPath(
                every,
                null,
                null,
                null,
                Ahead(s, Math.Max(0, (life.Low * slower) - lived)),
                Ahead(s, Math.Max(1, (life.High * slower) - lived)),
                meals,
                meals * MealMg(s, body)
            );
        }

        var (adult, eaten, mg) = Grow(fed, factor, slower, body);
        double By(double p) => adult?.Quantile(p).Value ?? 0;
        return new FeedingPath(
            every,
            Ahead(s, By(0.5)),
            Ahead(s, Math.Max(1, By(0.1))),
            Ahead(s, By(0.9)),
            Ahead(s, By(0.5) + (life.Low * slower)),
            Ahead(s, By(0.5) + (life.High * slower)),
            (int)Math.Round(eaten),
            mg
        );
    }

    /// <summary>Goes through the molts left: until when they last, meals and what they weigh.</summary>
    private static (NightsLeft? Adult, double Meals, double Mg) Grow(
        FedAnimal fed,
        double factor,
        double slower,
        double body
    )
    {
        var s = fed.Subject;
        var (eaten, mg, former) = (0.0, 0.0, 0.0);
        NightsLeft? adult = null;
        foreach (var step in MoltPath.Of(s, fed.Molt.Value, fed.Size.Value, MoltPath.Left(fed.MoltsLeft), slower))
        {
            adult = step.Until;
            var until = adult.Quantile(0.5).Value;
            var days = until - former;
            former = until;
            // What takes nothing until its next molt eats nothing of what is reckoned here.
            if (s.Group.At(step.Stage).Food is not { } food || s.Group.At(fed.Stage).Food is not { } now)
            {
                continue;
            }

            var cadence = food.Cadence.Default.Value / now.Cadence.Default.Value;
            var meals = days / (fed.Meal.EveryDays * cadence * factor);
            eaten += meals;
            mg += meals * MealMg(s, body * step.GrownBy);
        }

        return (adult, eaten, mg);
    }

    private static double MealMg(Subject s, double bodyMm) =>
        InsectMass.FromLengthMm(bodyMm * s.Group.Feeding.Prey!.MealShareOfBody.Value) * s.Mouths;

    private static DateOnly Ahead(Subject s, double days) => s.Room.Tonight.AddDays((int)Math.Round(days));
}
