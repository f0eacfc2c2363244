using Husbandry.Housing;
using Husbandry.Nursery;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Almanac;

/// <summary>An animal that needs another enclosure.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Name">Its name.</param>
/// <param name="Species">Its species.</param>
/// <param name="Why">What does not fit, and from when on.</param>
/// <param name="Needs">The least enclosure that lasts beyond the next molt.</param>
/// <param name="Tub">The smallest of the room's own sizes that does; none when none does.</param>
/// <param name="FloorMm">How deep its floor must be then, so that there is enough to dig in and no height to fall from.</param>
/// <param name="From">First night on which it may be moved over; none when nobody can say yet when the hush ends.</param>
/// <param name="By">Night by which it should be done.</param>
/// <param name="Waits">What it waits for, when not tonight.</param>
/// <param name="Reason">Why.</param>
public sealed record RehouseNeed(
    Guid StockId,
    Place Place,
    string Name,
    string Species,
    string Why,
    ContainerPlan Needs,
    string? Tub,
    double? FloorMm,
    DateOnly? From,
    DateOnly? By,
    string Waits,
    Answer<HousingFit?> Reason
);

/// <summary>How many of one size to have ready.</summary>
/// <param name="Tub">Name of the size; none for one that the room does not have.</param>
/// <param name="Least">The least inner measures, when the room has no such size.</param>
/// <param name="Count">How many.</param>
/// <param name="FirstFrom">When the first is needed.</param>
public sealed record TubCount(string? Tub, ContainerPlan? Least, int Count, DateOnly? FirstFrom);

/// <summary>A brood of which each will live alone.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Place">Where it stands.</param>
/// <param name="Name">Its name.</param>
/// <param name="Species">Its species.</param>
/// <param name="Apart">When, and what that takes.</param>
/// <param name="Says">The same in words.</param>
/// <param name="Why">Why.</param>
public sealed record BroodMove(
    Guid StockId,
    Place Place,
    string Name,
    string Species,
    Apart Apart,
    string Says,
    IReadOnlyList<Reason> Why
);

/// <summary>Who needs which size of enclosure when.</summary>
/// <param name="Needs">The animals, the earliest first.</param>
/// <param name="Tubs">Counts of tubs to have ready.</param>
/// <param name="Broods">Broods and eggs of which each will live alone, the earliest first.</param>
public sealed record RehousePlan(
    IReadOnlyList<RehouseNeed> Needs,
    IReadOnlyList<TubCount> Tubs,
    IReadOnlyList<BroodMove> Broods
)
{
    /// <summary>Plans the moves of the next weeks. A move never lies inside a hush.</summary>
    /// <param name="judgements">The animals tonight; those that fit are passed over.</param>
    /// <param name="inUse">Enclosures in use, from which sizes are chosen.</param>
    /// <param name="room">The room.</param>
    public static RehousePlan Of(IEnumerable<Judgement> judgements, IEnumerable<Enclosure> inUse, Room room)
    {
        var sizes = inUse.DistinctBy(e => e.Name).OrderBy(e => e.WidthMm * e.DepthMm * e.HeightMm).ToList();
        var horizon = room.Tonight.AddDays((int)room.Rules.Room.Housing.RehouseAheadDays.Value);
        var all = judgements.ToList();
        var broods = all.Where(j => j.Apart.Value is { State: not ApartState.Apart })
            .Select(j => new BroodMove(
                j.Subject.Standing.StockId,
                j.Subject.Place,
                j.Subject.Standing.Details.Nickname,
                j.Subject.SpeciesName,
                j.Apart.Value!,
                j.Apart.Summary,
                j.Apart.Reasons
            ))
            .Where(b => b.Apart.On is not { } on || on <= horizon)
            .OrderBy(b => b.Apart.On ?? DateOnly.MaxValue)
            .ThenBy(b => b.Place)
            .ToList();
        var needs = all.Where(j => IsNear(j, horizon))
            .Select(j => NeedOf(j, sizes))
            .OfType<RehouseNeed>()
            .OrderBy(n => n.From ?? DateOnly.MaxValue)
            .ThenBy(n => n.By ?? DateOnly.MaxValue)
            .ThenBy(n => n.Place)
            .ToList();
        return new RehousePlan(needs, Counts(needs, room.Rules.Room.Housing.TubRoomierBy.Value), broods);
    }

    /// <summary>Whether what it lives in does not fit now, or will likely have to be changed before a night.</summary>
    private static bool IsNear(Judgement j, DateOnly horizon) =>
        j.Fit.Value is { } fit
        && (
            fit.Now.Count > 0
            || (
                fit.Outgrown is { } outgrown
                && outgrown.Likely.AddDays(-(int)VigilForecast.PremoltAhead(j.Subject, j.Stage.Value).Value) <= horizon
            )
        );

    private static List<TubCount> Counts(List<RehouseNeed> needs, double roomier) =>
        [
            .. needs
                .Where(n => n.Tub is not null)
                .GroupBy(n => n.Tub)
                .Select(g => new TubCount(g.Key, null, g.Count(), g.Min(n => n.From)))
                .OrderByDescending(t => t.Count),
            .. Shared([.. needs.Where(n => n.Tub is null)], roomier),
        ];

    /// <summary>Sizes to look for where the room has none: one for several animals where it is not much too large for any.</summary>
    private static IEnumerable<TubCount> Shared(List<RehouseNeed> needs, double roomier)
    {
        var left = needs.OrderByDescending(n => n.Needs.MinWidthMm).ThenBy(n => n.Place).ToList();
        while (left.Count > 0)
        {
            var (plan, taken) = (left[0].Needs, new List<RehouseNeed>());
            foreach (var need in left)
            {
                if (
                    need.Needs.MinWidthMm * roomier >= plan.MinWidthMm
                    && Both(plan, need.Needs) is { } both
                    && (both.MaxHeightMm is not { } most || both.MinHeightMm <= most)
                )
                {
                    plan = both;
                    taken.Add(need);
                }
            }

            yield return new TubCount(null, plan, taken.Count, taken.Min(n => n.From));
            left.RemoveAll(taken.Contains);
        }
    }

    private static ContainerPlan Both(ContainerPlan a, ContainerPlan b) =>
        new(
            Math.Max(a.MinHeightMm, b.MinHeightMm),
            a.MaxHeightMm is { } x && b.MaxHeightMm is { } y ? Math.Min(x, y) : a.MaxHeightMm ?? b.MaxHeightMm,
            Math.Max(a.MinWidthMm, b.MinWidthMm),
            Most(a.MinDepthMm, b.MinDepthMm),
            Most(a.SubstrateDepthMm, b.SubstrateDepthMm),
            a.MaxWidthMm is { } v && b.MaxWidthMm is { } w ? Math.Min(v, w) : a.MaxWidthMm ?? b.MaxWidthMm,
            Most(a.Litres, b.Litres)
        );

    private static double? Most(double? a, double? b) => a is null ? b : Math.Max(a.Value, b ?? 0);

    /// <summary>
    /// How deep the floor of an enclosure must be for an animal: enough to dig in, and deep enough that no height is left
    /// to fall from.
    /// </summary>
    /// <returns>None when the enclosure does not do, however deep its floor.</returns>
    private static double? FloorOf(Enclosure tub, ContainerPlan needs, double mostFloor)
    {
        var floor = Math.Max(needs.SubstrateDepthMm ?? 0, tub.HeightMm - (needs.MaxHeightMm ?? double.MaxValue));
        const double MmPerLitre = 1_000_000;
        return
            tub.LongSideMm >= needs.MinWidthMm
            && tub.LongSideMm <= (needs.MaxWidthMm ?? double.MaxValue)
            && tub.WidthMm * tub.DepthMm * (tub.HeightMm - floor) / MmPerLitre >= (needs.Litres ?? 0)
            && tub.ShortSideMm >= (needs.MinDepthMm ?? 0)
            && tub.HeightMm - floor >= needs.MinHeightMm
            && floor <= tub.HeightMm * mostFloor
            ? floor
            : null;
    }

    private static RehouseNeed? NeedOf(Judgement j, List<Enclosure> sizes)
    {
        var fit = j.Fit;
        if (fit.Value is not { } known || (known.Now.Count == 0 && known.Outgrown is null))
        {
            return null;
        }

        var s = j.Subject;
        var ratio = s.Profile.GrowthRatio.Value;
        // The new enclosure lasts beyond the molt that makes the old one too small; an adult grows no more.
        var molts = j.Molt.Value is null ? 0 : known.Outgrown?.Molts ?? 1;
        var lasts = known.Needs.Litres is null ? j.NeedsWhenGrown(Math.Pow(ratio, molts)).Value : known.Needs;
        var most = known.Needs.MaxHeightMm;
        var needs = lasts with { MaxHeightMm = most is { } top ? Math.Max(top, lasts.MinHeightMm) : null };
        var tub = sizes
            .Select(e =>
                (e.Name, Usual: e.SubstrateMm, Floor: FloorOf(e, needs, s.Room.Rules.Room.Housing.MostFloorShare.Value))
            )
            .Where(t => t.Floor is not null)
            // Sizes filled as they are here already come first, before those filled up only to take the height out of a fall.
            .OrderBy(t => Math.Max(0, t.Floor!.Value - Math.Max(t.Usual, needs.SubstrateDepthMm ?? 0)))
            .FirstOrDefault();
        var (from, by, waits) = Window(j, known.Outgrown);
        return new RehouseNeed(
            s.Standing.StockId,
            s.Place,
            s.Standing.Details.Nickname,
            s.SpeciesName,
            fit.Summary.TrimEnd('.'),
            needs,
            tub.Name,
            tub.Floor,
            from,
            by,
            waits,
            fit
        );
    }

    /// <summary>When to move it over: after what forbids it, and before the next premolt where that leaves time.</summary>
    private static (DateOnly? From, DateOnly? By, string Waits) Window(Judgement j, OutgrownAt? outgrown)
    {
        var s = j.Subject;
        var hush = j.Hush[CareAct.Rehouse];
        if (hush.Verdict != Verdict.Fine)
        {
            var why = hush.Contributors[0].Why.Text;
            return (hush.Until?.Night, hush.Until is null ? null : Later(hush.Until.To, outgrown?.From), why);
        }

        var tonight = s.Room.Tonight;
        var premolt = (int)Math.Ceiling(VigilForecast.PremoltAhead(s, j.Stage.Value).Value);
        if (outgrown is { Molts: > 1 } && j.Molt.Value is { } next)
        {
            var hardening = (int)Math.Ceiling(FirstMealDays(j));
            var after = next.P90.AddDays(hardening);
            return (after, Later(outgrown.From.AddDays(-premolt), after), "after the next molt has hardened");
        }

        var before = j.Molt.Value is { } molt ? molt.P10.AddDays(-premolt) : (DateOnly?)null;
        return (tonight, before is { } b ? Later(b, tonight) : null, "");
    }

    private static double FirstMealDays(Judgement j) =>
        Vigils.FirstMeal.Days(
            Vigils.FirstMeal.RuleFor(j.Subject.Group, j.Stage.Value, j.Size.Value?.SizeMm),
            j.Subject.Room.Settings.FirstMeal
        );

    private static DateOnly Later(DateOnly a, DateOnly? b) => b is { } other && other > a ? other : a;
}
