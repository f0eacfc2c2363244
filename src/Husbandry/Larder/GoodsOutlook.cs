using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Larder;

/// <summary>One kind of goods: what is there, how fast it goes, when to order.</summary>
/// <param name="GoodsId">Kind.</param>
/// <param name="Name">Its name.</param>
/// <param name="Unit">What it is counted in.</param>
/// <param name="OnHand">What is left by the last count; none when it was never counted.</param>
/// <param name="CountedOn">Night of the last count.</param>
/// <param name="PerWeek">Used a week by what is kept now.</param>
/// <param name="LastsUntil">Night on which it is used up; none when nothing uses it or it was never counted.</param>
/// <param name="OrderBy">Last night on which an order is in time.</param>
/// <param name="Pack">How much is in a pack.</param>
/// <param name="Reasons">What its use rests on.</param>
public sealed record GoodsOutlook(
    string GoodsId,
    string Name,
    string Unit,
    double? OnHand,
    DateOnly? CountedOn,
    double PerWeek,
    DateOnly? LastsUntil,
    DateOnly? OrderBy,
    double Pack,
    IReadOnlyList<Reason> Reasons
)
{
    // Later than this nobody plans; it also keeps dates within the calendar.
    private const double LongestDays = 3650;

    /// <summary>Every kind of goods that something here uses, or that is there.</summary>
    internal static IReadOnlyList<GoodsOutlook> Of(
        LarderStanding larder,
        IReadOnlyDictionary<string, int> enclosures,
        IReadOnlyList<GoodsUsed> byRecord,
        Room room
    )
    {
        var rules = room.Rules.Larder;
        var slow = (int)(Math.Ceiling(rules.Lead.Value.P90) + rules.MarginDays.Value);
        return
        [
            .. rules
                .Goods.Select(g =>
                {
                    List<GoodsUsed> own = [.. byRecord.Where(u => u.GoodsId == g.Id)];
                    var others = enclosures.ToDictionary(e => e.Key, e => e.Value - own.Count(u => u.Group == e.Key));
                    var perWeek =
                        own.Sum(u => u.PerWeek) + g.PerWeek.Sum(p => p.Value.Value * others.GetValueOrDefault(p.Key));
                    var changes = larder.Goods.GetValueOrDefault(g.Id) ?? [];
                    var left = Left(changes, perWeek, room.Now);
                    var lasts =
                        left is { } now && perWeek > 0
                            ? room.Tonight.AddDays((int)Math.Min(LongestDays, now / perWeek * 7))
                            : (DateOnly?)null;
                    return new GoodsOutlook(
                        g.Id,
                        g.Name,
                        g.Unit,
                        left,
                        changes.LastOrDefault(c => c.IsCount) is { } count ? room.Clock.NightOf(count.At) : null,
                        perWeek,
                        lasts,
                        lasts is { } end ? Later(end.AddDays(-slow), room.Tonight) : null,
                        g.Pack.Value,
                        LarderReasons.Of(g, others, own, room)
                    );
                })
                .Where(g => g.PerWeek > 0 || g.OnHand is not null)
                .OrderBy(g => g.OrderBy ?? DateOnly.MaxValue),
        ];
    }

    private static double? Left(IReadOnlyList<StockChange> changes, double perWeek, DateTimeOffset now)
    {
        if (changes.Count == 0)
        {
            return null;
        }

        var (stock, at) = (0.0, changes[0].At);
        foreach (var change in changes)
        {
            var used = perWeek * (change.At - at).TotalDays / 7;
            stock = change.IsCount ? change.Quantity : Math.Max(0, stock - used) + change.Quantity;
            at = change.At;
        }

        return Math.Max(0, stock - (perWeek * (now - at).TotalDays / 7));
    }

    private static DateOnly Later(DateOnly a, DateOnly b) => a > b ? a : b;
}
