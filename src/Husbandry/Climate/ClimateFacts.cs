using Husbandry.Rooms;

namespace Husbandry.Climate;

/// <summary>What the climate knows of a room.</summary>
public static class ClimateFacts
{
    extension(Room room)
    {
        /// <summary>Temperatures and humidities read in the room.</summary>
        public RoomClimate Climate => room.Fact<RoomClimate>() ?? RoomClimate.Unread;
    }
}
