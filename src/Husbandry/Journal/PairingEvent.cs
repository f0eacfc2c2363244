using Husbandry.Rulebook;

namespace Husbandry.Journal;

/// <summary>A pairing on record.</summary>
/// <param name="EntryId">Its entry.</param>
/// <param name="At">When.</param>
/// <param name="PartnerId">The partner, if it is or was in the collection.</param>
/// <param name="Partner">What the partner is called; none when nobody said.</param>
/// <param name="Method">How, when that was said.</param>
public sealed record PairingEvent(
    Guid EntryId,
    DateTimeOffset At,
    Guid? PartnerId,
    string? Partner,
    PairingMethod? Method
);
