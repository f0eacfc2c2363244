using App.Hosting;
using Husbandry.Rooms;

namespace App.Tanks;

/// <summary>A shared tank as it can be chosen.</summary>
/// <param name="Inmates">How many animals live in it.</param>
public sealed record TankChoice(Guid StockId, string Name, string Place, string GroupOne, int Inmates);

/// <summary>The shared tanks of the room.</summary>
public static class TankEndpoints
{
    public static void MapTanks(this WebApplication app) =>
        app.MapGet(
                "/api/tanks",
                async (RoomNow now, CancellationToken cancel) =>
                {
                    var room = await now.ReadAsync(cancel);
                    return TypedResults.Ok(
                        room.Tanks.Standings.Values.Where(s => s.IsTank)
                            .OrderBy(s => s.OwnPlace)
                            .Select(s => new TankChoice(
                                s.StockId,
                                s.Details.Nickname,
                                s.OwnPlace.Code,
                                room.Rules.Group(s.Details.Group)?.One ?? s.Details.Group,
                                room.Tanks.InmatesOf(s.StockId).Sum(i => i.Details.Count)
                            ))
                            .ToList()
                    );
                }
            )
            .WithTags("Tanks")
            .WithName("tanks");
}
