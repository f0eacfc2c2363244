namespace Husbandry.Climate;

/// <summary>A part of the room as it was of late.</summary>
/// <param name="Zone">Rack, shelf or place.</param>
/// <param name="MeanC">Mean of the last days, °C.</param>
/// <param name="LowC">Lowest daily mean, °C.</param>
/// <param name="HighC">Highest daily mean, °C.</param>
public sealed record ZoneLevel(string Zone, double MeanC, double LowC, double HighC);

/// <summary>Animals that another part of the room would suit better.</summary>
/// <param name="Zone">Where they would stand better.</param>
/// <param name="StockIds">Which.</param>
/// <param name="Says">Which and why, in a sentence.</param>
public sealed record BetterPlace(string Zone, IReadOnlyList<Guid> StockIds, string Says)
{
    private const int NamesShown = 4;

    /// <summary>
    /// For those that stand too warm or too cold of late, the part of the room that is read and lies inside their band. Hushed and
    /// wintering ones are never moved.
    /// </summary>
    /// <param name="needs">The animals.</param>
    /// <param name="levels">Parts of the room that are read themselves.</param>
    /// <param name="worthC">So far outside its band an animal is better moved, °C.</param>
    public static IReadOnlyList<BetterPlace> Of(
        IReadOnlyList<AirNeed> needs,
        IReadOnlyList<ZoneLevel> levels,
        double worthC
    )
    {
        ArgumentNullException.ThrowIfNull(needs);
        var byZone = levels.ToDictionary(l => l.Zone);
        ZoneLevel? At(AirNeed n) =>
            new[] { n.Place.Code, n.Place.ShelfCode, n.Place.Rack, "" }
                .Select(z => byZone.GetValueOrDefault(z))
                .FirstOrDefault(l => l is not null);
        return
        [
            .. needs
                .Where(n => !n.IsHushed && !n.Winters)
                .Select(n => (Need: n, Now: At(n)))
                .Where(x => x.Now is not null && Off(x.Need, x.Now) >= worthC)
                .Select(x =>
                    (
                        x.Need,
                        Now: x.Now!,
                        // A single place is somebody's own: nobody is sent there.
                        There: levels
                            .Where(l => l.Zone.Length > 0 && Stock.Place.Parse(l.Zone) is null && l.Zone != x.Now!.Zone)
                            .Where(l => Off(x.Need, l) == 0)
                            .MinBy(l => Math.Abs(l.MeanC - x.Need.Band.GoodC.Value.Middle))
                    )
                )
                .Where(x => x.There is not null)
                .GroupBy(x => (There: x.There!.Zone, x.Now.Zone))
                .Select(g => new BetterPlace(g.Key.There, [.. g.Select(x => x.Need.StockId)], Sentence([.. g]))),
        ];
    }

    /// <summary>By how much a part of the room lies outside the good band, °C.</summary>
    private static double Off(AirNeed need, ZoneLevel level) =>
        Math.Max(0, Math.Max(need.Band.GoodC.Value.Low - level.MeanC, level.MeanC - need.Band.GoodC.Value.High));

    private static string Sentence(List<(AirNeed Need, ZoneLevel Now, ZoneLevel? There)> moved)
    {
        var (now, there) = (moved[0].Now, moved[0].There!);
        var names = string.Join(", ", moved.Take(NamesShown).Select(m => m.Need.Name));
        var more = moved.Count > NamesShown ? $" and {moved.Count - NamesShown} more" : "";
        var warm = now.MeanC > moved[0].Need.Band.GoodC.Value.High;
        return $"{there.Zone} suits {names}{more} better: {there.MeanC:0.#} °C of late, where they stand {now.MeanC:0.#} °C, too {(warm ? "warm" : "cool")} for them.";
    }
}
