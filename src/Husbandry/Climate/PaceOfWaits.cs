using Husbandry.Rooms;

namespace Husbandry.Climate;

/// <summary>What the climate knows of an animal.</summary>
public static class PaceOfWaits
{
    extension(Subject subject)
    {
        /// <summary>How fast waits go by where it stands, and went by where it stood.</summary>
        public Pace Pace =>
            subject.Room.Climate.PaceFor(
                subject.Stays,
                subject.Profile.Warmth.Value,
                subject.Room.Rules.Room.Climate,
                subject.Room.Now
            );

        /// <summary>How fast waits will go by: of what lies in the cold, when it is out of it.</summary>
        public Pace PaceAhead =>
            subject.IsChilled
                ? subject.Room.Climate.PaceOutOfTheCold(
                    subject.Profile.Warmth.Value,
                    subject.Room.Rules.Room.Climate,
                    subject.Room.Now
                )
                : subject.Pace;
    }
}
