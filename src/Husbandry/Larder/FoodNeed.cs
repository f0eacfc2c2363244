using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Larder;

/// <summary>Food that one enclosure is expected to need on one night.</summary>
/// <param name="Food">What.</param>
/// <param name="Ahead">Nights from tonight.</param>
/// <param name="Amount">How many whole animals, or portions.</param>
/// <param name="Variance">Variance of that, since nobody knows on which side of its molt it will be.</param>
public sealed record FoodNeed(FoodKey Food, int Ahead, double Amount, double Variance)
{
    /// <summary>
    /// Meals to come: each by cadence, of the size it has now as long as it has not molted, of the next size after; none
    /// in the last of premolt nor while it is soft.
    /// </summary>
    /// <param name="j">The animal tonight.</param>
    /// <param name="nights">Nights to look ahead.</param>
    public static IEnumerable<FoodNeed> Of(Judgement j, int nights)
    {
        if (CleanersOf(j, nights) is { } cleaners)
        {
            yield return cleaners;
        }

        // Leaf is planned plant by plant, in grams, where it is known how much a larva eats.
        if (j.Subject.Standing.Departure is not null || LeafEater.Of(j) is not null)
        {
            yield break;
        }

        if (j.Meal.Value.Offer is not { } now)
        {
            foreach (var need in OfHatchlings(j, nights))
            {
                yield return need;
            }

            yield break;
        }

        // Only who waits for a brood eats on as before.
        var molt = j.Waits.All(w => w.Value!.Vigil == VigilKind.EggCase) ? j.Molt.Value : null;
        var (thisSkin, nextSkin) = (new Table(j, molts: 0, now), new Table(j, molts: 1, null));
        var tonight = j.Subject.Room.Tonight.DayNumber;
        var every = Math.Max(1, j.Meal.Value.EveryDays);
        for (var t = FirstMealAhead(j, tonight); t < nights; t += every)
        {
            var ahead = (int)Math.Round(t);
            var (before, after) = molt is null ? (1.0, 0.0) : Sides(j, molt, ahead);
            foreach (var need in thisSkin.Serve(before, ahead).Concat(nextSkin.Serve(after, ahead)))
            {
                yield return need;
            }
        }
    }

    /// <summary>
    /// Meals of young that are eggs yet, or out and not measured: the first food on the menu of the youngest, so many for each,
    /// with the chance that they have hatched by then. Hatchlings starve within days: their food is there before they are.
    /// </summary>
    private static IEnumerable<FoodNeed> OfHatchlings(Judgement j, int nights)
    {
        var s = j.Subject;
        var eggs = s.AllWaitFor(VigilKind.Hatching);
        if (
            !s.IsBrood
            || (eggs && s.IsChilled)
            || s.Group.Feeding.Diet != Diet.Prey
            || !s.Group.Has(Stage.Sling)
            || s.Group.At(Stage.Sling).Food is not { Menu: [var dish, ..] } food
            || !(eggs || (j.Size.Value is null && j.Stage.Value == Stage.Sling && !j.Meal.Value.EatsNothing))
        )
        {
            yield break;
        }

        var parts = dish.Split('/');
        if (s.Room.Rules.Feeder(parts[0]) is not { } feeder)
        {
            yield break;
        }

        var key = new FoodKey(feeder.Id, parts.Length > 1 ? parts[1] : feeder.Classes[0].Id);
        var young =
            !eggs ? s.Mouths
            : s.Standing.Details.Count > 1 ? s.Standing.Details.Count
            : s.Profile.Pairing?.BroodSize.Value.Middle ?? 0;
        var hatch = eggs ? j.Wait.Value : null;
        var hoped = hatch?.Ends?.Ends[0].Chance ?? 1;
        // Some live on their yolk until their first molt.
        var yolk =
            eggs && s.Group.Nursery?.EatsFrom is not null
                ? s.Profile.MoltInterval.GetValueOrDefault(Stage.Sling)?.Value.P50 ?? 0
                : 0;
        var each = young * s.Room.Rules.Room.Nursery.FliesEach.Value;
        for (var t = 0.0; t < nights && each > 0; t += Math.Max(1, food.Cadence.Default.Value))
        {
            var ahead = (int)Math.Round(t);
            var chance = hatch is null ? 1 : hoped * hatch.Left.Within(new CalendarDays(ahead - yolk));
            if (chance > 0)
            {
                yield return new FoodNeed(key, ahead, each * chance, each * each * chance * (1 - chance));
            }
        }
    }

    /// <summary>
    /// Cleaners that go into the vials before the young of a brood do: as many as the vials need, on the night on which they
    /// are put apart, with the chance that eggs hatch at all.
    /// </summary>
    private static FoodNeed? CleanersOf(Judgement j, int nights)
    {
        var s = j.Subject;
        if (
            !s.IsBrood
            || s.Group.Nursery?.Seed?.Value is not { } seed
            || s.Room.Rules.Feeder(seed.FeederId) is not { } feeder
            || j.Apart.Value is not { On: { } on } apart
        )
        {
            return null;
        }

        var ahead = Math.Max(0, on.DayNumber - s.Room.Tonight.DayNumber);
        var hoped = s.AllWaitFor(VigilKind.Hatching) ? j.Wait.Value?.Ends?.Ends[0].Chance ?? 1 : 1;
        var amount = (double)seed.Each * apart.Vials;
        return ahead < nights && amount > 0
            ? new FoodNeed(
                new FoodKey(feeder.Id, feeder.Classes[0].Id),
                ahead,
                amount * hoped,
                amount * amount * hoped * (1 - hoped)
            )
            : null;
    }

    /// <summary>Nights until food may be given again: the plan's night, or the middle of what forbids it.</summary>
    private static double FirstMealAhead(Judgement j, int tonight)
    {
        var due =
            j.Meal.Value.Due
            ?? j.Hush[Rulebook.CareAct.FeedDead].Until?.Night
            ?? j.Subject.Room.Tonight.AddDays((int)Math.Ceiling(j.Meal.Value.EveryDays));
        return Math.Max(0, due.DayNumber - tonight);
    }

    /// <summary>Chances that some nights ahead it has not begun to fast for its molt, and that it is hard again after it.</summary>
    private static (double Before, double After) Sides(Judgement j, VigilForecast molt, int ahead)
    {
        var s = j.Subject;
        var rules = s.Room.Rules;
        var fast = VigilForecast.PremoltAhead(s, j.Stage.Value) * rules.Larder.FastShareOfPremolt.Value;
        var soft = FirstMeal.Days(
            FirstMeal.RuleFor(s.Group, j.Stage.Value, j.Size.Value?.SizeMm),
            s.Room.Settings.FirstMeal
        );
        return (molt.Left.Survival(new CalendarDays(ahead) + fast), molt.Left.Within(new(ahead - soft)));
    }

    /// <summary>The meals of one skin, in turn: each choice changes the next, as on the round.</summary>
    private sealed class Table(Judgement j, int molts, MealOffer? first)
    {
        private const double Never = 1e-3;
        private readonly PreyFit? fit = molts == 0 ? j.Prey.Value : Grown(j);
        private readonly Stage stage = molts == 0 ? j.Stage.Value : StageAfter(j);
        private Variety variety = j.Variety;
        private MealOffer? next = first;

        /// <summary>One meal that is given with a chance.</summary>
        public IEnumerable<FoodNeed> Serve(double chance, int ahead)
        {
            if (chance < Never || (next ?? MealChoice.Freely(j.Subject, stage, fit, variety)) is not { } offer)
            {
                yield break;
            }

            next = null;
            variety = variety.After(offer.FeederId, j.Subject.Room.Rules);
            // A brood is written up as one: it molts, and changes its food, as one.
            yield return new FoodNeed(
                new FoodKey(offer.FeederId, offer.SizeClassId),
                ahead,
                offer.Animals * chance,
                (double)offer.Animals * offer.Animals * chance * (1 - chance)
            );
        }

        private static PreyFit? Grown(Judgement j)
        {
            var (s, ratio) = (j.Subject, j.Subject.Profile.GrowthRatio.Value);
            return j.Size.Value is { } size && s.Group.Feeding.Prey is not null
                ? PreyFit.Of(s.Group, size.BodyMm * ratio, s.Room.Rules.Feeders, StageAfter(j))
                : null;
        }

        private static Stage StageAfter(Judgement j) =>
            j.Size.Value is { } size
                ? StageReading.Decide(
                    j.Subject,
                    size.SizeMm * j.Subject.Profile.GrowthRatio.Value,
                    j.Subject.Standing.MoltsInLife + 1
                )
                : j.Stage.Value;
    }
}
