using System.Text.Json.Serialization;
using Husbandry.Rulebook;

namespace Husbandry.Stock;

/// <summary>What the keeper knows of an animal or brood apart from what happened to it.</summary>
/// <param name="Kind">Specimen, brood, colony or tank.</param>
/// <param name="Group">Rulebook group, e.g. <c>tarantula</c>.</param>
/// <param name="SpeciesId">Rulebook species, or <see langword="null"/> for another species of the group.</param>
/// <param name="OtherSpecies">Scientific name when <paramref name="SpeciesId"/> is <see langword="null"/>.</param>
/// <param name="Nickname">Name in the room, 1–60 characters.</param>
/// <param name="Sex">Sex as far as known.</param>
/// <param name="AcquiredOn">Day it came.</param>
/// <param name="AcquiredFrom">Where it came from, free text.</param>
/// <param name="MoltsAtArrival">Number of molts it had behind it when it came (0–30), or unknown.</param>
/// <param name="MatureAtArrival">Whether it came as an adult.</param>
/// <param name="HatchedOn">Day it hatched or left the sac, if known.</param>
/// <param name="Count">Number of animals; 1 for a specimen.</param>
/// <param name="Tags">The keeper's own words for finding it, 1–30 characters each, at most 12.</param>
/// <param name="MotherId">Its mother, where she is or was in the room.</param>
/// <param name="FatherId">Its father, likewise.</param>
/// <param name="Known">What the keeper knows of a species that is not in the rulebook.</param>
/// <param name="Line">The line or locality that it belongs to, in the keeper's words, 1–60 characters; lines are not mixed.</param>
/// <param name="Borrowed">Whose it is, when it is only here for a time.</param>
/// <param name="Wild">Where it was found, when it was taken from the wild.</param>
public sealed record StockDetails(
    StockKind Kind,
    string Group,
    string? SpeciesId,
    string? OtherSpecies,
    string Nickname,
    Sex Sex,
    DateOnly AcquiredOn,
    string? AcquiredFrom,
    int? MoltsAtArrival,
    bool MatureAtArrival,
    DateOnly? HatchedOn,
    int Count,
    IReadOnlyList<string>? Tags = null,
    Guid? MotherId = null,
    Guid? FatherId = null,
    KnownOfSpecies? Known = null,
    string? Line = null,
    Borrowed? Borrowed = null,
    WildFind? Wild = null
)
{
    /// <summary>Of which species it is, as its rules are looked up.</summary>
    [JsonIgnore]
    public SpeciesRef Species => new(Group, SpeciesId, OtherSpecies, Known);
}

/// <summary>Where an animal, eggs or larvae were found outside.</summary>
/// <param name="Place">The place, in the keeper's words, 1–60 characters: where released ones may go back to.</param>
/// <param name="Host">Plant it sat on, 1–60 characters; none where it was on none.</param>
/// <param name="Permit">Why that was lawful, in the keeper's words, at most 200 characters.</param>
public sealed record WildFind(string Place, string? Host = null, string? Permit = null);

/// <summary>A loan from somebody else: the animal is here for a time.</summary>
/// <param name="Owner">Whose it is, 1–60 characters.</param>
/// <param name="BackBy">Night by which it goes back, if that was agreed.</param>
/// <param name="Share">What was agreed of the offspring, in the keeper's words, at most 200 characters.</param>
public sealed record Borrowed(string Owner, DateOnly? BackBy = null, string? Share = null);
