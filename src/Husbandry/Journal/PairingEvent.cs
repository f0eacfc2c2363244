using System.Text.Json.Serialization;
using Husbandry.Rulebook;

namespace Husbandry.Journal;

/// <summary>A pairing on record.</summary>
/// <param name="EntryId">Its entry.</param>
/// <param name="At">When they were put together.</param>
/// <param name="PartnerId">The partner, if it is or was in the collection.</param>
/// <param name="Partner">What the partner is called; none when nobody said.</param>
/// <param name="Method">How, when that was said.</param>
/// <param name="Led">Whether it was led as it went, rather than told afterwards: then its end is logged.</param>
/// <param name="Seen">What was seen, in order.</param>
/// <param name="End">How it ended; none while they are together, and of what was told afterwards.</param>
public sealed record PairingEvent(
    Guid EntryId,
    DateTimeOffset At,
    Guid? PartnerId,
    string? Partner,
    PairingMethod? Method,
    bool Led,
    IReadOnlyList<PairingMoment> Seen,
    PairingEnd? End
)
{
    /// <summary>Whether they are together now.</summary>
    [JsonIgnore]
    public bool IsOpen => Led && End is null;

    /// <summary>Whether nothing else is done to either while they are together; who is left with a mate for days is cared for.</summary>
    [JsonIgnore]
    public bool HoldsAll => IsOpen && Method != PairingMethod.LeftTogether;

    /// <summary>Whether they were seen to mate.</summary>
    [JsonIgnore]
    public bool Mated => Seen.Any(s => SightWords.Of(s.Sight).Meaning == SightMeaning.Mated);
}

/// <summary>Something seen at a pairing or after it.</summary>
/// <param name="EntryId">Its entry.</param>
/// <param name="At">When.</param>
/// <param name="Sight">What.</param>
/// <param name="Minutes">How long it lasted; none for most.</param>
/// <param name="SpinsAnyway">Of a web: share (0–1) of looks at which he had spun though he was not mated; none when not known.</param>
public sealed record PairingMoment(
    Guid EntryId,
    DateTimeOffset At,
    PairingSight Sight,
    int? Minutes,
    double? SpinsAnyway = null
);

/// <summary>How a pairing ended.</summary>
/// <param name="At">When.</param>
/// <param name="How">How.</param>
/// <param name="Remark">What else was seen; may be missing.</param>
public sealed record PairingEnd(DateTimeOffset At, PairingEnding How, string? Remark);

/// <summary>A look for a sperm web.</summary>
/// <param name="At">When.</param>
/// <param name="Look">What it showed.</param>
public sealed record WebEvent(DateTimeOffset At, WebLook Look);
