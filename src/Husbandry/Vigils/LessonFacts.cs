using Husbandry.Rooms;

namespace Husbandry.Vigils;

/// <summary>What the waits of a room have taught.</summary>
public static class LessonFacts
{
    extension(Room room)
    {
        /// <summary>What the room has taught so far.</summary>
        public Lessons Lessons => room.Fact<Lessons>() ?? Lessons.None;
    }
}
