using System.Text.Json.Serialization;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Journal;

/// <summary>A molt on record.</summary>
public sealed record MoltEvent(Guid EntryId, Occurrence When, bool Ultimate, bool Mismolt);

/// <summary>A measure on record.</summary>
/// <param name="EntryId">Its entry.</param>
/// <param name="At">When it was taken.</param>
/// <param name="Part">What.</param>
/// <param name="LengthMm">Millimetres.</param>
/// <param name="FromExuvia">Taken from the shed skin.</param>
/// <param name="MoltsHere">Molts on record behind the skin that was measured; −1 for the skin of arrival's first molt when shed.</param>
public sealed record MeasureEvent(
    Guid EntryId,
    DateTimeOffset At,
    BodyPart Part,
    double LengthMm,
    bool FromExuvia,
    int MoltsHere
);

/// <summary>How a limb was found.</summary>
public enum LimbState
{
    /// <summary>Missing.</summary>
    Lost,

    /// <summary>Grown again, smaller or thinner than its fellow.</summary>
    Small,

    /// <summary>Full size again.</summary>
    Full,
}

/// <summary>The latest state of a limb that was lost, with the molts behind it then.</summary>
public sealed record LimbEvent(string Limb, LimbState State, DateTimeOffset At, int MoltsHere, int LostAtMolts);

/// <summary>The sex was told from something.</summary>
public sealed record SexEvent(DateTimeOffset At, Sex Sex, SexEvidence By);

/// <summary>A picture on record.</summary>
public sealed record PictureEvent(
    Guid EntryId,
    Guid PictureId,
    DateTimeOffset At,
    string Caption,
    bool OfExuvia,
    int MoltsHere
);

/// <summary>A fang check on record.</summary>
public sealed record FangCheckEvent(DateTimeOffset At, bool Hard);

/// <summary>How well fed an animal looks, by eye.</summary>
public enum BodyCondition
{
    /// <summary>Thin.</summary>
    Thin,

    /// <summary>Normal.</summary>
    Normal,

    /// <summary>Full.</summary>
    Full,

    /// <summary>Very full.</summary>
    VeryFull,
}

/// <summary>The condition as last judged by eye, with the molts on record behind it then.</summary>
public sealed record ConditionEvent(DateTimeOffset At, BodyCondition Condition, int MoltsHere);

/// <summary>What is on record of an animal's growth.</summary>
/// <param name="Molts">Molts told of it, in order.</param>
/// <param name="Measures">Measures, in order.</param>
/// <param name="Limbs">Limbs that were lost and how far they have grown again.</param>
/// <param name="SexTold">By what the sex was told, first told first.</param>
/// <param name="Pictures">Pictures on record.</param>
/// <param name="FangsSeen">Last fang check since the last molt: when, and whether hard.</param>
/// <param name="ConditionByEye">The condition as last judged by eye.</param>
public sealed record GrowthState(
    IReadOnlyList<MoltEvent> Molts,
    IReadOnlyList<MeasureEvent> Measures,
    IReadOnlyList<LimbEvent> Limbs,
    IReadOnlyList<SexEvent> SexTold,
    IReadOnlyList<PictureEvent> Pictures,
    FangCheckEvent? FangsSeen,
    ConditionEvent? ConditionByEye
)
{
    /// <summary>Nothing on record.</summary>
    public static GrowthState Empty { get; } = new([], [], [], [], [], null, null);

    /// <summary>The last molt on record.</summary>
    [JsonIgnore]
    public MoltEvent? LastMolt => Molts.Count == 0 ? null : Molts[^1];
}
