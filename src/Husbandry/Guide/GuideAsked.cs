using Husbandry.Rulebook;

namespace Husbandry.Guide;

/// <summary>Of what the guide is asked: a group, or one animal of which more is known.</summary>
/// <param name="Group">Rules of the group, or those that hold for the animal.</param>
/// <param name="Room">Rules of the room.</param>
/// <param name="School">School of the first meal that the room follows.</param>
/// <param name="Stage">Stage of the animal; unknown for a group.</param>
/// <param name="SizeMm">Size of the animal, when known.</param>
/// <param name="Sex">Its sex.</param>
/// <param name="Moisture">Its moisture school; dry where unknown, whose wait for water is the longest that can be right.</param>
/// <param name="Founding">How a queen of its species founds, when known.</param>
/// <param name="PremoltDays">Length of premolt of its species at its stage, days; unknown for a group.</param>
/// <param name="Peeking">School of looking at a founding queen that the room follows.</param>
public sealed record GuideAsked(
    GroupRules Group,
    RoomRules Room,
    FirstMealSchool School,
    Stage? Stage = null,
    double? SizeMm = null,
    Sex Sex = Rulebook.Sex.Unknown,
    Moisture Moisture = Moisture.Dry,
    Founding? Founding = null,
    double? PremoltDays = null,
    PeekingSchool Peeking = PeekingSchool.Rationed
)
{
    /// <summary>Whether something is known to be so; <see langword="null"/> where it must be asked.</summary>
    public bool? Knows(GuideFact fact) =>
        fact switch
        {
            GuideFact.Adult => Stage is null ? null : Stage == Rulebook.Stage.Adult,
            GuideFact.Young => Stage is null
                ? null
                : Stage is Rulebook.Stage.Sling or Rulebook.Stage.Juvenile or Rulebook.Stage.SubAdult,
            GuideFact.LastStage => Stage is null ? null : Stage == Rulebook.Stage.SubAdult,
            GuideFact.NotLastStage => Stage is null ? null : Stage is Rulebook.Stage.Sling or Rulebook.Stage.Juvenile,
            GuideFact.MoltsLeft => MoltsAgain,
            GuideFact.NoMoltsLeft => !MoltsAgain,
            GuideFact.Claustral => Founding is null ? null : Founding == Rulebook.Founding.Claustral,
            GuideFact.SemiClaustral => Founding is null ? null : Founding == Rulebook.Founding.SemiClaustral,
            _ => throw new ArgumentOutOfRangeException(nameof(fact), fact, "Nothing tells whether that is so."),
        };

    private bool? MoltsAgain =>
        Stage is not { } stage ? null
        : stage != Rulebook.Stage.Adult ? true
        : Group.Growth.AdultsMolt.Value switch
        {
            AdultMolting.Both => true,
            AdultMolting.Neither => false,
            _ => Sex switch
            {
                Sex.Female => true,
                Sex.Male => false,
                _ => null,
            },
        };
}
