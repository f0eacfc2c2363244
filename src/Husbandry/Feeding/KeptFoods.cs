using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Feeding;

/// <summary>Foods that the room keeps.</summary>
/// <param name="Foods">The foods; empty when nobody keeps count, and then nothing is preferred.</param>
public sealed record KeptFoods(IReadOnlySet<FoodKey> Foods)
{
    internal static readonly KeptFoods None = new(new HashSet<FoodKey>());
}

/// <summary>What is kept in a room.</summary>
public static class KeptFoodFacts
{
    extension(Room room)
    {
        /// <summary>Foods that the room keeps; empty when nobody keeps count, and then nothing is preferred.</summary>
        public IReadOnlySet<FoodKey> Kept => (room.Fact<KeptFoods>() ?? KeptFoods.None).Foods;
    }
}
