using Husbandry.Larder;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace App.Larder;

/// <summary>Something that the supplier sells.</summary>
/// <param name="ItemId">Feeder or kind of goods.</param>
/// <param name="SizeClassId">Size class of a feeder; empty for goods.</param>
/// <param name="Name">What it is called.</param>
/// <param name="Unit">What a quantity of one means: "animals", "pots", or the unit of the goods.</param>
/// <param name="Pack">Smallest amount; others are its multiples.</param>
public sealed record SupplierOffer(string ItemId, string SizeClassId, string Name, string Unit, int Pack);

/// <summary>How an order of the supplier stands.</summary>
/// <param name="HasArrived">Whether the parcel is at the door.</param>
/// <param name="Lines">What is in it; some lines may be short.</param>
/// <param name="Says">What the supplier says.</param>
public sealed record Parcel(bool HasArrived, IReadOnlyList<OrderLine> Lines, string Says);

/// <summary>
/// The supplier that comes with the product: it promises four days, is late now and then, and sometimes sends too few. It
/// keeps nothing: what becomes of an order follows from its id, so that it is the same whenever it is asked.
/// </summary>
public sealed class SimulatedSupplier(RuleSet rules)
{
    // Three parcels of five are on time, one in fourteen is later than the rulebook's slow parcel.
    private static readonly (double Share, int From, int To)[] Delays =
    [
        (0.60, 0, 0),
        (0.25, 1, 3),
        (0.08, 4, 4),
        (0.07, 5, 6),
    ];

    private const double ShortShare = 0.12;
    private const double LeastSent = 0.6;

    /// <summary>What can be ordered.</summary>
    public IReadOnlyList<SupplierOffer> Catalogue { get; } =
    [
        .. rules
            .Feeders.Where(f => f.From is FeederFrom.Shop or FeederFrom.Either)
            .SelectMany(f => f.Classes.Select(c => Of(f, c, rules))),
        .. rules.Larder.Goods.Select(g => new SupplierOffer(g.Id, "", g.Name, g.Unit, (int)g.Pack.Value)),
    ];

    /// <summary>The day for which an order is promised.</summary>
    public DateOnly Promise(DateOnly placedOn) => placedOn.AddDays((int)rules.Larder.Lead.Value.P50);

    /// <summary>Why an order cannot be placed; none when it can.</summary>
    public Problem? Refuses(IReadOnlyList<OrderLine> lines)
    {
        for (var i = 0; i < lines.Count; i++)
        {
            if (lines[i] is not { } line)
            {
                return new Problem($"lines[{i}]", "Is missing.");
            }

            if (
                Catalogue.FirstOrDefault(o => o.ItemId == line.ItemId && o.SizeClassId == line.SizeClassId)
                is not { } offer
            )
            {
                return new Problem($"lines[{i}].itemId", "The supplier does not sell this.");
            }

            if (line.Quantity < 1 || line.Quantity % offer.Pack != 0)
            {
                return new Problem(
                    $"lines[{i}].quantity",
                    offer.Pack == 1 ? "Must be at least 1." : $"Comes by {offer.Pack}: order a multiple of that."
                );
            }
        }

        return lines.Count == 0 ? new Problem("lines", "Order one thing at least.") : null;
    }

    /// <summary>How an order stands on a day.</summary>
    public static Parcel Ask(Order order, DateOnly today)
    {
        var fate = new Random(BitConverter.ToInt32(order.Id.ToByteArray(), 0));
        var arrives = order.PromisedOn.AddDays(Delay(fate));
        var lines = order.Lines.Select(l => Send(l, fate)).ToList();
        if (today < arrives)
        {
            return new Parcel(
                false,
                [],
                today <= order.PromisedOn
                    ? "on its way"
                    : $"late by {today.DayNumber - order.PromisedOn.DayNumber} days"
            );
        }

        var isShort = lines.Zip(order.Lines).Any(p => p.First.Quantity < p.Second.Quantity);
        return new Parcel(true, lines, isShort ? "at the door, short" : "at the door, complete");
    }

    private static SupplierOffer Of(FeederRules feeder, FeederClass size, RuleSet rules) =>
        !feeder.BoughtAsPots
            ? new SupplierOffer(
                feeder.Id,
                size.Id,
                feeder.NameOf(size, many: true),
                size.LengthMm is null ? "portions" : "animals",
                rules.Larder.PackOf(size)
            )
            : new SupplierOffer(feeder.Id, size.Id, $"pot of {feeder.Plural}", "pots", 1);

    private static int Delay(Random fate)
    {
        var roll = fate.NextDouble();
        foreach (var (share, from, to) in Delays)
        {
            if (roll < share)
            {
                return fate.Next(from, to + 1);
            }

            roll -= share;
        }

        return 0;
    }

    private static OrderLine Send(OrderLine line, Random fate) =>
        fate.NextDouble() < ShortShare
            ? line with
            {
                Quantity = (int)Math.Ceiling(line.Quantity * (LeastSent + ((1 - LeastSent) * fate.NextDouble()))),
            }
            : line;
}
