using Husbandry.Climate;
using Husbandry.Reasons;
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
    internal Witness Witness(Subject subject, EffectiveDays premolt) =>
        new(
            Age(subject, premolt),
            Strength == SignStrength.Imminent ? subject.Group.Imminent : premolt,
            LikelihoodRatio,
            (
                Strength == SignStrength.Imminent
                    ? subject.Room.Rules.Room.Signs.ImminentEdge
                    : subject.Room.Rules.Room.Signs.PremoltEdge
            ).Value
        );

    // A sign that lasts until the molt is still there: it is never older than half a premolt.
    private EffectiveDays Age(Subject subject, EffectiveDays premolt)
    {
        var ago = subject.Pace.Lately(new(subject.Room.Tonight.DayNumber - Night.DayNumber));
        return subject.Room.Rules.Sign(SignId) is { } rule && Sighting.LastsUntilMolt(rule) && ago > premolt / 2
            ? premolt / 2
            : ago;
    }
}
