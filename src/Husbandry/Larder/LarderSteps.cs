using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>Finds what to start or order, and by when, so that a food does not run short.</summary>
internal static class LarderSteps
{
    // Each step covers a fortnight or the life of a pot; more than this are never needed within the weeks planned.
    private const int MostSteps = 12;

    public static IEnumerable<LarderStep> Of(
        FoodKey food,
        FeederRules feeder,
        FeederClass size,
        FoodFlow flow,
        LarderSupply supply,
        Room room
    )
    {
        var rules = room.Rules.Larder;
        var margin = (int)rules.MarginDays.Value;
        var covered = 0;
        for (var i = 0; i < MostSteps; i++)
        {
            if (ShortFrom(flow, feeder, covered) is not { } shortAt)
            {
                yield break;
            }

            var step =
                Breed(food, feeder, size, flow, supply, room, shortAt, margin)
                ?? Buy(food, feeder, size, flow, supply, room, shortAt, margin);
            if (step is not { } found)
            {
                yield break;
            }

            covered = Math.Max(covered, found.Covers);
            yield return found.Step;
        }
    }

    /// <summary>The first night from some night on that would not be kept if all goes badly.</summary>
    private static int? ShortFrom(FoodFlow flow, FeederRules feeder, int from)
    {
        var rest = new FoodFlow(flow.Nights) { OnHand = flow.OnHand };
        for (var t = 0; t < flow.Nights; t++)
        {
            // What cannot be kept any more takes nothing from what comes later.
            rest.Need[t] = t < from ? 0 : flow.Need[t];
            rest.NeedVariance[t] = t < from ? 0 : flow.NeedVariance[t];
            (rest.Coming[t], rest.ComingLow[t]) = (flow.Coming[t], flow.ComingLow[t]);
        }

        return (from == 0 ? flow : rest).Low(feeder.KeepsDays.Value).Short;
    }

    private static (LarderStep Step, int Covers)? Breed(
        FoodKey food,
        FeederRules feeder,
        FeederClass size,
        FoodFlow flow,
        LarderSupply supply,
        Room room,
        int shortAt,
        int margin
    )
    {
        if (feeder.Culture is not { } culture || feeder.From is FeederFrom.Shop || LarderSupply.FoodOf(feeder) != food)
        {
            return null;
        }

        var useful = (int)Math.Ceiling(UsefulAge(culture) / supply.Pace);
        var by = shortAt - margin - useful;
        if (by < 0)
        {
            return null;
        }

        var until = Math.Min(flow.Nights, shortAt + (int)culture.RenewEveryDays.Value + 1);
        var one = supply.PotGives(culture, by, 0, until);
        var pots = one <= 0 ? 1 : Math.Max(1, (int)Math.Ceiling(Wanted(flow, shortAt, until) / one));
        supply.Start(flow, culture, pots, by);
        var words = room.Wording;
        var needed = room.Tonight.AddDays(shortAt);
        var step = new LarderStep(
            LarderDo.StartCulture,
            food,
            feeder.PotsOf(pots),
            pots,
            room.Tonight.AddDays(by),
            needed,
            false,
            $"{(feeder.NameOf(size, many: true)).ToUpperFirst()} would run short about {words.Date(needed)}; a pot gives enough after some {useful} days, with {Wording.Days(margin)} to spare."
        );
        return (step, 0);
    }

    private static (LarderStep Step, int Covers)? Buy(
        FoodKey food,
        FeederRules feeder,
        FeederClass size,
        FoodFlow flow,
        LarderSupply supply,
        Room room,
        int shortAt,
        int margin
    )
    {
        var (rules, lead) = (room.Rules.Larder, room.Rules.Larder.Lead.Value);
        // Bought pots take some days more until enough hatches.
        var hatch = feeder is { BoughtAsPots: true, Culture: { } pot }
            ? (int)Math.Ceiling(Math.Max(0, UsefulAge(pot) - pot.ArrivesAtDays.Value) / supply.Pace)
            : 0;
        var slow = (int)Math.Ceiling(lead.P90) + hatch;
        var by = Math.Max(0, shortAt - margin - slow);
        var there = by + slow;
        var late = there > shortAt;
        var from = Math.Max(shortAt, there);
        if (from >= flow.Nights)
        {
            return null;
        }

        var until = Math.Min(flow.Nights, from + (int)rules.OrderForDays.Value + margin);
        var arrives = by + (int)Math.Round(lead.P50);
        int amount;
        string what;
        if (feeder is { BoughtAsPots: true, Culture: { } culture })
        {
            var one = supply.PotGives(culture, by + (int)Math.Ceiling(lead.P90), culture.ArrivesAtDays.Value, until);
            amount = one <= 0 ? 1 : Math.Max(1, (int)Math.Ceiling(Wanted(flow, from, until) / one));
            what = feeder.PotsOf(amount);
        }
        else
        {
            var keeps = Math.Pow(0.5, 1 / feeder.KeepsDays.Value);
            var pack = rules.PackOf(size);
            amount = Math.Max(1, (int)Math.Ceiling(ToBuy(flow, from, until, arrives, keeps) / pack)) * pack;
            what = size.LengthMm is null
                ? $"{amount} portions of {feeder.Plural}"
                : $"{amount} {feeder.NameOf(size, many: true)}";
        }

        supply.Deliver(flow, feeder, amount, arrives);
        var words = room.Wording;
        var needed = room.Tonight.AddDays(shortAt);
        var why = late
            ? $"{(feeder.NameOf(size, many: true)).ToUpperFirst()} run short about {words.Date(needed)}, and a slow parcel comes about {words.Date(room.Tonight.AddDays(there))}: order now."
            : $"{(feeder.NameOf(size, many: true)).ToUpperFirst()} would run short about {words.Date(needed)}; a slow parcel takes {Wording.Days(Math.Ceiling(lead.P90))}{(hatch > 0 ? $", hatching {Wording.Days(hatch)}" : "")}, with {Wording.Days(margin)} to spare.";
        var step = new LarderStep(
            feeder.BoughtAsPots ? LarderDo.OrderPots : LarderDo.Order,
            food,
            what,
            amount,
            room.Tonight.AddDays(by),
            needed,
            late,
            why
        );
        return (step, late ? there : 0);
    }

    /// <summary>High need of some nights, beyond what is expected to come in them at worst.</summary>
    private static double Wanted(FoodFlow flow, int from, int until) =>
        Math.Max(
            1,
            flow.Need[from..until].Sum()
                + (LarderPlan.OneInTen * Math.Sqrt(flow.NeedVariance[..until].Sum()))
                - flow.ComingLow[from..until].Sum()
        );

    /// <summary>How many must come that all are fed in time: some of those for a later night die before it.</summary>
    private static double ToBuy(FoodFlow flow, int from, int until, int arrives, double keeps)
    {
        var many = 0.0;
        for (var t = from; t < until; t++)
        {
            many += Math.Max(0, flow.Need[t] - flow.ComingLow[t]) / Math.Pow(keeps, t - arrives);
        }

        // The spread may fall on any night: it is bought for the last.
        var spread = LarderPlan.OneInTen * Math.Sqrt(flow.NeedVariance[..until].Sum());
        return Math.Max(1, many + (spread / Math.Pow(keeps, until - arrives)));
    }

    /// <summary>Age at which a culture has given a twentieth: before that it feeds nobody.</summary>
    private static double UsefulAge(CultureRules rules)
    {
        const double Twentieth = 0.05;
        var (first, peak, end) = (rules.FirstDays.Value, rules.PeakDays.Value, rules.EndDays.Value);
        return first + Math.Sqrt(Twentieth * (end - first) * (peak - first));
    }
}
