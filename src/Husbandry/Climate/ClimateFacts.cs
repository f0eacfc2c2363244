using Husbandry.Rooms;
using Husbandry.Stock;

namespace Husbandry.Climate;

/// <summary>What the climate knows of a room.</summary>
public static class ClimateFacts
{
    extension(Room room)
    {
        /// <summary>Temperatures and humidities read in the room.</summary>
        public RoomClimate Climate => room.Fact<RoomClimate>() ?? RoomClimate.Unread;

        /// <summary>Present level of warmth of the room at large, °C; none when none was read.</summary>
        public double? RecentC => room.Climate.RecentC(room.Rules.Room.Climate, room.Now);

        /// <summary>Present level of warmth at a place, °C; none when none was read there.</summary>
        public double? RecentCAt(Place place) => room.Climate.RecentC(place, room.Rules.Room.Climate, room.Now);

        /// <summary>How much faster than of late the air at a place takes up water; none where that was not read.</summary>
        public double? DrynessAt(Place place) => room.Climate.Dryness(place, room.Rules.Room.Climate, room.Now);
    }
}
