using Husbandry.Climate;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>One piece of evidence.</summary>
/// <param name="SignId">The sign, <c>clean-look</c> or <c>meal</c>.</param>
/// <param name="Label">What was seen.</param>
/// <param name="Brief">The same in two or three words.</param>
/// <param name="Night">Night of the last sighting.</param>
/// <param name="Family">Its family.</param>
/// <param name="Strength">Its strength.</param>
/// <param name="LikelihoodRatio">What it does to the odds, after the family's cap; 1 when a stronger one of its family counts already.</param>
/// <param name="Note">Why it counts less than it might; may be empty.</param>
/// <param name="EntryId">The entry that recorded it, when it is one entry.</param>
public sealed record Evidence(
    string SignId,
    string Label,
    string Brief,
    DateOnly Night,
    SignFamily Family,
    SignStrength Strength,
    double LikelihoodRatio,
    string Note,
    Guid? EntryId
)
{
    /// <summary>What it says of the wait, as seen from tonight.</summary>
    internal Witness Witness(Subject subject, double premoltDays) =>
        new(
            Age(subject, premoltDays),
            Strength == SignStrength.Imminent ? subject.Group.Vigils.ImminentDays.Value : premoltDays,
            LikelihoodRatio,
            Strength == SignStrength.Imminent
        );

    // A sign that lasts until the molt is still there: it is never older than half a premolt.
    private double Age(Subject subject, double premoltDays)
    {
        var days = (subject.Room.Tonight.DayNumber - Night.DayNumber) * subject.Pace.RateNow;
        return subject.Room.Rules.Sign(SignId) is { } rule && Sighting.LastsUntilMolt(rule)
            ? Math.Min(days, premoltDays / 2)
            : days;
    }
}
