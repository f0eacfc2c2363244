using Husbandry.Rooms;

namespace Husbandry.Nursery;

/// <summary>One find outside.</summary>
/// <param name="StockId">What came of it.</param>
/// <param name="Name">Its name.</param>
/// <param name="Species">Its species.</param>
/// <param name="On">Day of the find.</param>
/// <param name="Host">Plant it sat on.</param>
/// <param name="WereEggs">Whether it was eggs.</param>
public sealed record OutsideFind(Guid StockId, string Name, string Species, DateOnly On, string? Host, bool WereEggs);

/// <summary>What was found at a place over the years, and when to look there again: eggs come in waves.</summary>
/// <param name="Place">The place, in the keeper's words.</param>
/// <param name="Finds">Finds, the latest first.</param>
/// <param name="LookFrom">First night of the next time of the year at which something was found there before.</param>
/// <param name="LookTo">Last such night.</param>
/// <remarks>Source: the room's own record; nothing is told of a place where nothing was found.</remarks>
public sealed record FindPlace(string Place, IReadOnlyList<OutsideFind> Finds, DateOnly LookFrom, DateOnly LookTo)
{
    /// <summary>The places of all finds, the next to look at first.</summary>
    /// <param name="all">Everything that is or was in the room.</param>
    /// <param name="tonight">Tonight.</param>
    public static IReadOnlyList<FindPlace> Of(IEnumerable<Subject> all, DateOnly tonight)
    {
        ArgumentNullException.ThrowIfNull(all);
        return
        [
            .. all.Where(s => s.Standing.Details.Wild is not null)
                .GroupBy(s => s.Standing.Details.Wild!.Place.Trim(), StringComparer.OrdinalIgnoreCase)
                .Select(g =>
                    At(
                        g.Key,
                        [.. g.Select(Find).OrderByDescending(f => f.On)],
                        tonight,
                        g.First().Room.Rules.Room.Nursery.WaveDays.Value
                    )
                )
                .OrderBy(p => p.LookFrom)
                .ThenBy(p => p.Place, StringComparer.Ordinal),
        ];
    }

    private static OutsideFind Find(Subject s) =>
        new(
            s.Standing.StockId,
            s.Standing.Details.Nickname,
            s.SpeciesName,
            s.Standing.Details.AcquiredOn,
            s.Standing.Details.Wild!.Host,
            s.Standing.Vigils.All.Any(v =>
                v.Vigil == Rulebook.VigilKind.Hatching && v.Began.From <= s.Standing.ArrivedAt.AddDays(1)
            )
        );

    private static FindPlace At(string place, List<OutsideFind> finds, DateOnly tonight, int waveDays)
    {
        var waves = Waves(finds, waveDays);
        var next = waves.Select(w => Next(w, tonight, waveDays)).MinBy(w => w.From);
        return new FindPlace(place, finds, next.From, next.To);
    }

    /// <summary>Times of the year with finds, as days of a year; what lies near is one.</summary>
    private static List<(int From, int To)> Waves(List<OutsideFind> finds, int waveDays)
    {
        var waves = new List<(int From, int To)>();
        foreach (var day in finds.Select(f => f.On.DayOfYear).Order())
        {
            if (waves.Count > 0 && day - waves[^1].To <= waveDays)
            {
                waves[^1] = (waves[^1].From, day);
            }
            else
            {
                waves.Add((day, day));
            }
        }

        return waves;
    }

    private static (DateOnly From, DateOnly To) Next((int From, int To) wave, DateOnly tonight, int waveDays)
    {
        DateOnly On(int year, int day) => new DateOnly(year, 1, 1).AddDays(day - 1);
        var (from, to) = (On(tonight.Year, wave.From), On(tonight.Year, wave.To).AddDays(waveDays));
        return to < tonight
            ? (On(tonight.Year + 1, wave.From), On(tonight.Year + 1, wave.To).AddDays(waveDays))
            : (from, to);
    }
}
