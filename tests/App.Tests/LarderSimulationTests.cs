using App.Larder;
using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Ledger;

namespace App.Tests;

/// <summary>
/// Eight weeks of a growing room, fed once by the larder's plan and once by what was bought last month. The animals molt by
/// a generator of the test's own, the supplier is the one that ships, and both ways have to feed the same meals.
/// </summary>
public class LarderSimulationTests
{
    private const int Before = 35;
    private const int Weeks = 8;
    private static readonly DateTimeOffset Start = new(2026, 6, 1, 21, 0, 0, TimeSpan.Zero);
    private static readonly RoomSettings Settings = RoomStore.Fresh with { ZoneId = "UTC" };

    private static Room On(int day) => Room.At(RuleSet.Shipped, Settings, Start.AddDays(day));

    /// <summary>A night as it went: what was fed, and what the plan then knew of needs to come.</summary>
    private sealed record Night(List<FoodFed> Meals, List<FoodNeed> Needs);

    [Theory]
    [InlineData(11)]
    [InlineData(29)]
    [InlineData(53)]
    [InlineData(71)]
    [InlineData(97)]
    public void Following_the_plan_never_runs_short_though_last_months_purchases_do(int seed)
    {
        var nights = Live(seed);
        var byPlan = Feed(nights, seed, ByPlan);
        var byHabit = Feed(nights, seed, ByHabit);
        Assert.True(byPlan.Count == 0, $"The plan ran short: {string.Join("; ", byPlan)}");
        Assert.NotEmpty(byHabit);
    }

    private static List<Night> Live(int seed)
    {
        var random = new Random(seed);
        var room = new List<List<JournalEntry>>();
        var nextMolt = new List<double>();
        for (var i = 0; i < 14; i++)
        {
            var journal = new List<JournalEntry>();
            room.Add(journal);
            Write(
                journal,
                -120,
                new Acquired(
                    new StockDetails(
                        StockKind.Brood,
                        "tarantula",
                        "tliltocatl-albopilosus",
                        null,
                        $"Tray {i}",
                        Sex.Unknown,
                        DateOnly.FromDateTime(Start.AddDays(-120).Date),
                        null,
                        3,
                        false,
                        null,
                        6
                    ),
                    new Place("A", 1, i + 1)
                )
            );
            Write(journal, -110, new Measured(BodyPart.LegSpan, 15 + random.Next(6), false));
            Write(journal, -45 + random.Next(30), new Molted());
            nextMolt.Add(5 + (60 * random.NextDouble()));
        }

        var nights = new List<Night>();
        for (var day = -Before; day < Weeks * 7; day++)
        {
            var night = new Night([], []);
            for (var i = 0; i < room.Count; i++)
            {
                if (nextMolt[i] < day)
                {
                    Write(room[i], day - 0.5, new Molted());
                    nextMolt[i] = day + 38 + (24 * random.NextDouble());
                }

                var j = Judgement.Of(Standing.Fold(room[i])!, On(day));
                night.Needs.AddRange(FoodNeed.Of(j, LarderPlan.NightsAhead(RuleSet.Shipped)));
                if (j.Meal.Value is { Forbidden: false, Offer: { } offer } meal && meal.Due <= j.Subject.Room.Tonight)
                {
                    Write(
                        room[i],
                        day,
                        new Offered(
                            offer.FeederId,
                            offer.SizeClassId,
                            offer.Count,
                            offer.Preparation,
                            OfferOutcome.Eaten
                        )
                    );
                    night.Meals.Add(
                        new FoodFed(new FoodKey(offer.FeederId, offer.SizeClassId), Start.AddDays(day), offer.Animals)
                    );
                }
            }

            nights.Add(night);
        }

        return nights;
    }

    private static void Write(List<JournalEntry> journal, double day, Act act) =>
        journal.Add(
            new JournalEntry(
                Guid.NewGuid(),
                Guid.Empty,
                journal.Count + 1,
                Occurrence.At(Start.AddDays(day)),
                Start.AddDays(day),
                "Keeper",
                null,
                act
            )
        );

    private delegate IEnumerable<LarderAct> Policy(
        int day,
        List<Night> nights,
        List<LarderEntry> larder,
        List<FoodFed> fed
    );

    /// <summary>Goes through the eight weeks; says on which nights what was missing.</summary>
    private static List<string> Feed(List<Night> nights, int seed, Policy policy)
    {
        var ids = new Random(seed + 1);
        var larder = new List<LarderEntry>();
        var fed = new List<FoodFed>();
        var missing = new List<string>();
        void Log(int day, LarderAct act) =>
            larder.Add(new LarderEntry(NewId(ids), larder.Count + 1, Start.AddDays(day), "Keeper", act));

        // Both begin with what is needed until a first parcel can come.
        foreach (var food in nights[Before].Needs.Where(n => n.Ahead < 18).GroupBy(n => n.Food))
        {
            Log(0, new FoodCounted(food.Key, (int)Math.Ceiling(food.Sum(n => n.Amount) * 1.3) + 5));
        }

        for (var day = 0; day < Weeks * 7; day++)
        {
            foreach (var order in Fold(larder).Orders.Where(o => o.IsOpen))
            {
                var parcel = SimulatedSupplier.Ask(order, On(day).Tonight);
                if (parcel.HasArrived)
                {
                    Log(day, new OrderArrived(order.Id, parcel.Lines));
                }
            }

            foreach (var act in policy(day, nights, larder, fed).ToList())
            {
                Log(
                    day,
                    act is OrderPlaced placed
                            ? placed with
                            {
                                OrderId = NewId(ids),
                                PromisedOn = new SimulatedSupplier(RuleSet.Shipped).Promise(On(day).Tonight),
                            }
                        : act is CultureStarted started ? started with { CultureId = NewId(ids) }
                        : act
                );
            }

            var there = Plan(day, [], larder, fed).Foods.ToDictionary(f => f.Food, f => f.OnHand);
            foreach (var meal in nights[Before + day].Meals.GroupBy(m => m.Food))
            {
                var wanted = meal.Sum(m => m.Quantity);
                if (there.GetValueOrDefault(meal.Key) < wanted)
                {
                    missing.Add(
                        $"day {day}: {wanted} {meal.Key.FeederId} {meal.Key.SizeClassId}, {there.GetValueOrDefault(meal.Key):0.#} there"
                    );
                }

                fed.AddRange(meal);
            }
        }

        return missing;
    }

    private static IEnumerable<LarderAct> ByPlan(
        int day,
        List<Night> nights,
        List<LarderEntry> larder,
        List<FoodFed> fed
    ) =>
        Plan(day, nights[Before + day].Needs, larder, fed)
            .Steps.Where(s => s.By <= On(day).Tonight)
            .Select(s =>
                s.Do == LarderDo.StartCulture
                    ? (LarderAct)new CultureStarted(Guid.Empty, s.Food.FeederId, s.Amount)
                    : new OrderPlaced(
                        Guid.Empty,
                        [new OrderLine(s.Food.FeederId, s.Food.SizeClassId, s.Amount)],
                        default
                    )
            );

    /// <summary>Every other week, half of what was eaten in the four before.</summary>
    private static IEnumerable<LarderAct> ByHabit(
        int day,
        List<Night> nights,
        List<LarderEntry> larder,
        List<FoodFed> fed
    ) =>
        day % 14 != 0
            ? []
            : nights
                .Skip(Before + day - 28)
                .Take(28)
                .SelectMany(n => n.Meals)
                .GroupBy(m => m.Food)
                .Select(g => new OrderPlaced(
                    Guid.Empty,
                    [new OrderLine(g.Key.FeederId, g.Key.SizeClassId, Amount(g.Key, g.Sum(m => m.Quantity) / 2))],
                    default
                ));

    private static int Amount(FoodKey food, double eaten) =>
        RuleSet.Shipped.Feeder(food.FeederId) is { BoughtAsPots: true, Culture: { } culture }
            ? Math.Max(1, (int)Math.Round(eaten / culture.Yield.Value))
            : (int)Math.Ceiling(eaten);

    private static LarderPlan Plan(int day, IEnumerable<FoodNeed> needs, List<LarderEntry> larder, List<FoodFed> fed) =>
        LarderPlan.Of(needs, Fold(larder), fed, new Dictionary<string, int>(), [], On(day));

    private static LarderStanding Fold(List<LarderEntry> larder) => LarderStanding.Fold(larder, RuleSet.Shipped);

    private static Guid NewId(Random ids)
    {
        var bytes = new byte[16];
        ids.NextBytes(bytes);
        return new Guid(bytes);
    }
}
