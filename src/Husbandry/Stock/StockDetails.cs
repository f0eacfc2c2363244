using Husbandry.Rulebook;

namespace Husbandry.Stock;

/// <summary>What kind of thing is kept.</summary>
public enum StockKind
{
    /// <summary>One animal.</summary>
    Specimen,

    /// <summary>A counted cohort kept and fed as one, such as a tray of slings.</summary>
    Brood,

    /// <summary>Ants or isopods living as one.</summary>
    Colony,
}

/// <summary>Sex as far as the keeper knows it.</summary>
public enum Sex
{
    /// <summary>Not known.</summary>
    Unknown,

    /// <summary>Female.</summary>
    Female,

    /// <summary>Male.</summary>
    Male,
}

/// <summary>Stage of life that stage-keyed rules use. Decided by one function: <c>StageReading</c>.</summary>
public enum Stage
{
    /// <summary>The youngest stage: sling, scorpling, first nymphs, young larva, manca. Fed and watered as a mouthful.</summary>
    Sling,

    /// <summary>Growing, past the rules for the youngest.</summary>
    Juvenile,

    /// <summary>About one molt from adult.</summary>
    SubAdult,

    /// <summary>Mature.</summary>
    Adult,

    /// <summary>Pupa: neither eats nor moves about.</summary>
    Pupa,

    /// <summary>Eggs, kept as such.</summary>
    Egg,
}

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

/// <summary>What the keeper knows of an animal or brood apart from what happened to it.</summary>
/// <param name="Kind">Specimen or brood.</param>
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
    KnownOfSpecies? Known = null
);
