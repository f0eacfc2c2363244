using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Housing;

/// <summary>New stock that stands apart for its first nights.</summary>
/// <param name="Until">Night from which it may stand with the others.</param>
/// <param name="Apart">Whether it stands on a shelf for new stock.</param>
public sealed record Quarantine(DateOnly Until, bool Apart)
{
    /// <summary>Whether an animal is in its first nights here.</summary>
    /// <returns>No value when they are over, or when it hatched here.</returns>
    public static Answer<Quarantine?> Of(Subject subject)
    {
        var (standing, room) = (subject.Standing, subject.Room);
        var rule = room.Rules.Room.Housing.QuarantineNights;
        var until = standing.Details.AcquiredOn.AddDays(rule.Value);
        var hatchedHere = standing.Details.HatchedOn == standing.Details.AcquiredOn;
        if (until <= room.Tonight || hatchedHere || standing.IsTank)
        {
            return new Answer<Quarantine?>(null, "Stands with the others.", []);
        }

        var apart = room.Layout.IsQuarantine(subject.Place);
        return new Answer<Quarantine?>(
            new Quarantine(until, apart),
            apart
                ? $"New: apart until {room.Wording.Date(until)}."
                : $"New: belongs on a quarantine shelf until {room.Wording.Date(until)}.",
            [
                rule.Because(
                    "New stock",
                    "room.quarantineNights",
                    $"Came {room.Wording.Date(standing.Details.AcquiredOn)}; {Wording.Nights(rule.Value)} apart, tended last and with tools of its own: mites and disease show in that time."
                ),
            ]
        );
    }
}
