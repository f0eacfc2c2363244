using Husbandry.Rooms;

namespace Husbandry.Rounds;

/// <summary>How long the acts of a round take in a room.</summary>
public static class PaceFacts
{
    extension(Room room)
    {
        /// <summary>How long the acts of a round take here; the rulebook's seconds before any round was walked.</summary>
        public RoundPace RoundPace => room.Fact<RoundPace>() ?? RoundPace.Unlearned(room.Rules.Room);
    }
}
