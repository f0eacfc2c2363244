using App.Hosting;
using Husbandry.Climate;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Ledger;

namespace App.Climate;

/// <summary>The room's air now.</summary>
/// <param name="Room">The room.</param>
/// <param name="Book">Instruments, answers, programmes.</param>
/// <param name="States">Instruments in use, as they stand.</param>
/// <param name="Needs">Its animals, and the air that they need.</param>
/// <param name="Alarms">Alarms that hold.</param>
public sealed record AirNow(
    Room Room,
    ClimateBook Book,
    IReadOnlyList<SensorState> States,
    IReadOnlyList<AirNeed> Needs,
    IReadOnlyList<ClimateAlarm> Alarms
);

/// <summary>Reads what sensors say, for whose sake, and which alarms follow.</summary>
public sealed class AirReader(RoomNow now, ClimateStore store, SensorStore sensors, ClimateWatch watch)
{
    /// <summary>The room's air now.</summary>
    public async Task<AirNow> ReadAsync(CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var book = await store.BookAsync(cancel);
        await EnsureAsync(room.Now, cancel);
        var states = watch.States(book);
        var needs = Needs(await now.IndexAsync(cancel), room.Rules);
        return new AirNow(
            room,
            book,
            states,
            needs,
            ClimateAlarms.Of(states, needs, book, room.Rules.Room.Climate, room.Clock, room.Now)
        );
    }

    /// <summary>Fills the watch from the file where that was not done yet.</summary>
    public async Task EnsureAsync(DateTimeOffset at, CancellationToken cancel)
    {
        if (!watch.IsReady)
        {
            watch.Fill(await sensors.SinceAsync(at - ClimateWatch.LooksBack, cancel), at);
        }
    }

    /// <summary>Animals of a room that breathe its air.</summary>
    internal static IReadOnlyList<AirNeed> Needs(StockIndex index, RuleSet rules)
    {
        var species = rules.Species.ToDictionary(s => s.ScientificName, StringComparer.Ordinal);
        return
        [
            .. index
                .Here.Where(g => g.Where.LentTo is null && !(g.Who.Kind == StockKind.Tank))
                .Select(g => Need(g, rules.Group(g.Who.Group), species.GetValueOrDefault(g.Who.Species)))
                .OfType<AirNeed>(),
        ];
    }

    private static AirNeed? Need(Glance glance, GroupRules? group, SpeciesProfile? species) =>
        group is null
            ? null
            : new AirNeed(
                glance.StockId,
                glance.Who.Name,
                group.Id,
                glance.Where.Place,
                AirBand.Of(group, species),
                glance.Waits.Winters,
                glance.Waits.Phase is Phase.Imminent or Phase.Likely or Phase.SealedIn or Phase.Buried,
                glance.IsHushed,
                glance.House.Enclosure?.Vents
            );
}
