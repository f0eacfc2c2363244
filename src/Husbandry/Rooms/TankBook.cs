using Husbandry.Journal;

namespace Husbandry.Rooms;

/// <summary>The shared tanks of the room and who lives in them.</summary>
/// <param name="Standings">Every tank and every animal that lives in one, by id; those that left are not among them.</param>
public sealed record TankBook(IReadOnlyDictionary<Guid, Standing> Standings)
{
    /// <summary>A room without shared tanks.</summary>
    public static TankBook Empty { get; } = new(new Dictionary<Guid, Standing>());

    /// <summary>The book of these standings; those that have to do with no tank are left out.</summary>
    public static TankBook Of(IEnumerable<Standing> standings) =>
        new(standings.Where(Belongs).ToDictionary(s => s.StockId));

    /// <summary>Whether a standing is that of a tank or of one that lives in a tank, and still here.</summary>
    public static bool Belongs(Standing standing)
    {
        ArgumentNullException.ThrowIfNull(standing);
        return standing.Departure is null && (standing.IsTank || standing.TankId is not null);
    }

    /// <summary>The tank in which an animal lives; none where it lives by itself.</summary>
    public Standing? TankOf(Standing standing) => standing.TankId is { } id ? Find(id) : null;

    /// <summary>A tank; none when no tank here has this id.</summary>
    public Standing? Find(Guid tankId) => Standings.GetValueOrDefault(tankId) is { IsTank: true } tank ? tank : null;

    /// <summary>Who lives in a tank, by name.</summary>
    public IReadOnlyList<Standing> InmatesOf(Guid tankId) =>
        [
            .. Standings
                .Values.Where(s => s.TankId == tankId)
                .OrderBy(s => s.Details.Nickname, StringComparer.Ordinal)
                .ThenBy(s => s.StockId),
        ];

    /// <summary>The book after some standings changed.</summary>
    public TankBook With(IReadOnlyCollection<Standing> changed) =>
        changed.Any(s => Belongs(s) || Standings.ContainsKey(s.StockId))
            ? Of(Standings.Values.Where(s => changed.All(c => c.StockId != s.StockId)).Concat(changed))
            : this;

    /// <summary>The tank and the animals of whom something is said whenever one of them changes, apart from that one.</summary>
    public IEnumerable<Standing> SharingWith(Standing standing)
    {
        ArgumentNullException.ThrowIfNull(standing);
        return standing.IsTank ? InmatesOf(standing.StockId)
            : TankOf(standing) is { } tank ? [tank]
            : [];
    }

    /// <summary>Newest entry of an animal or of those with whom it shares a tank, by which what was said of it still holds.</summary>
    /// <param name="stockId">Which.</param>
    /// <param name="own">Newest entry of its own.</param>
    public long SequenceOf(Guid stockId, long own) =>
        Standings.TryGetValue(stockId, out var standing)
            ? SharingWith(standing).Select(s => s.LatestSequence).Append(own).Max()
            : own;
}

/// <summary>What a room knows of its tanks.</summary>
public static class TanksOfRoom
{
    extension(Room room)
    {
        /// <summary>The shared tanks.</summary>
        public TankBook Tanks => room.Fact<TankBook>() ?? TankBook.Empty;
    }
}
