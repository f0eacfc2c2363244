namespace Husbandry.Rulebook;

/// <summary>What the keeper says of a species that is not in the rulebook; what is left out is not known.</summary>
/// <param name="Founding">How a queen founds.</param>
/// <param name="Hazard">What it can do to people; <c>none</c> when it can do nothing.</param>
/// <param name="PupaNeedsWinter">Whether its pupa needs weeks of cold.</param>
/// <param name="AdultFeeds">Whether the adult moth or butterfly feeds.</param>
public sealed record KnownOfSpecies(
    Founding? Founding = null,
    Hazard? Hazard = null,
    bool? PupaNeedsWinter = null,
    bool? AdultFeeds = null
);

/// <summary>Of which group and species something is, as its rules are looked up.</summary>
/// <param name="Group">Rulebook group.</param>
/// <param name="SpeciesId">Rulebook species, or <see langword="null"/> for another species of the group.</param>
/// <param name="OtherSpecies">Scientific name when <paramref name="SpeciesId"/> is <see langword="null"/>.</param>
/// <param name="Known">What the keeper knows of a species that is not in the rulebook.</param>
public sealed record SpeciesRef(
    string Group,
    string? SpeciesId,
    string? OtherSpecies = null,
    KnownOfSpecies? Known = null
);
