namespace Husbandry.Rulebook;

/// <summary>Where an animal lives.</summary>
public enum Habit
{
    /// <summary>On the ground.</summary>
    Terrestrial,

    /// <summary>In trees and shrubs.</summary>
    Arboreal,

    /// <summary>In burrows.</summary>
    Fossorial,
}

/// <summary>What the rulebook knows of one species.</summary>
/// <param name="Id">Identifier, e.g. <c>tliltocatl-albopilosus</c>.</param>
/// <param name="ScientificName">Scientific name.</param>
/// <param name="Group">Its group.</param>
/// <param name="Habit">Where it lives.</param>
/// <param name="Moisture">Default moisture school.</param>
/// <param name="AdultSizeMm">Size of adults by sex, in the part that the group goes by; unknown sex takes the female's.</param>
/// <param name="SlingUntilMm">Size at which the youngest stage ends.</param>
/// <param name="SubAdultFromShare">Share of the smallest adult size from which an animal counts as sub-adult.</param>
/// <param name="MoltsToAdult">Number of molts from hatching to adult by sex.</param>
/// <param name="GrowthRatio">Ratio of hard parts from one molt to the next.</param>
/// <param name="MoltInterval">Nights from one molt to the next by stage at the reference temperature; adult means adult female.</param>
/// <param name="PremoltDays">Length of premolt by stage where it is not the group's.</param>
/// <param name="Warmth">How temperature changes the pace.</param>
/// <param name="Waits">Other waits of the species, such as pupa to adult.</param>
/// <param name="Diapause">The winter rest that its pupae need; none where they need none.</param>
/// <param name="KeepingDifficulty">1 (easy) to 5, and what makes it so.</param>
/// <param name="BreedingDifficulty">1 (easy) to 5, and what makes it so.</param>
/// <param name="Cautions">What to mind with this species, each a sentence.</param>
/// <param name="Origin">Where it comes from.</param>
/// <param name="LawNote">What to check in law before keeping or trading it; may be empty.</param>
/// <param name="FalseFriends">Looks like a sign and is none in this species, by sign.</param>
/// <param name="Founding">How a queen founds; none for what is no ant.</param>
/// <param name="Hazard">What it can do to people beyond a pinch; none for most.</param>
/// <param name="AdultLifeDays">Days an adult lives, where it is not the group's.</param>
/// <param name="Quick">Whether it runs or jumps so fast that a catch cup must be at hand.</param>
/// <param name="AdultFeeds">Whether the adult feeds, where adults of a group may not.</param>
/// <param name="Leaf">Soft leaf wilts in a day, woody leaf keeps for days; none for what eats no leaf.</param>
/// <param name="PupatesIn">What a full-grown larva needs to pupate.</param>
/// <param name="Pairing">How it is paired; none where it is not paired by hand.</param>
/// <param name="Larvae">What its larvae eat and how they are kept; none for what has no caterpillars.</param>
/// <param name="Sexing">By what its sex is told and from when on, where that is not as in its group.</param>
/// <param name="Colony">How it founds, winters, flies and moves; none of what is no ant.</param>
/// <param name="Air">Warmth and humidity where they are not as in its group.</param>
public sealed record SpeciesProfile(
    string Id,
    string ScientificName,
    string Group,
    Habit Habit,
    Rule<Moisture> Moisture,
    AdultSize AdultSizeMm,
    Rule<double> SlingUntilMm,
    Rule<double> SubAdultFromShare,
    MoltsToAdult MoltsToAdult,
    Rule<double> GrowthRatio,
    IReadOnlyDictionary<Stage, Rule<WaitPrior>> MoltInterval,
    IReadOnlyDictionary<Stage, Rule<double>>? PremoltDays,
    Rule<Warmth> Warmth,
    IReadOnlyDictionary<Rulebook.VigilKind, Rule<WaitPrior>>? Waits,
    Rule<Diapause>? Diapause,
    Rule<int> KeepingDifficulty,
    Rule<int> BreedingDifficulty,
    IReadOnlyList<Rule<string>> Cautions,
    Rule<string> Origin,
    Rule<string> LawNote,
    IReadOnlyDictionary<string, Rule<string>> FalseFriends,
    Rule<Founding>? Founding,
    Rule<Hazard>? Hazard = null,
    LifeBySex? AdultLifeDays = null,
    Rule<bool>? Quick = null,
    Rule<bool>? AdultFeeds = null,
    Rule<LeafKind>? Leaf = null,
    Rule<string>? PupatesIn = null,
    SpeciesPairing? Pairing = null,
    LarvaRules? Larvae = null,
    IReadOnlyDictionary<SexEvidence, SexingRule>? Sexing = null,
    ColonyLife? Colony = null,
    SpeciesAir? Air = null
)
{
    /// <summary>Size of adults of a sex; unknown sex is taken as female, the larger.</summary>
    public Rule<Range> AdultSizeOf(Sex sex) => sex == Sex.Male ? AdultSizeMm.Male : AdultSizeMm.Female;
}

/// <summary>What an animal can do to people.</summary>
public enum Hazard
{
    /// <summary>Hairs that irritate skin, eyes and lungs.</summary>
    IrritantHairs,

    /// <summary>A painful sting or bite, and no more for most people.</summary>
    PainfulSting,

    /// <summary>Venom that needs a doctor: two people for every open lid.</summary>
    MedicallySignificant,

    /// <summary>Nobody has said: counts as dangerous until somebody does.</summary>
    Unknown,

    /// <summary>Nothing beyond a pinch.</summary>
    None,
}

/// <summary>Meaning of the hazards.</summary>
public static class Hazards
{
    /// <summary>Whether a lid is opened by two people only.</summary>
    public static bool NeedsTwo(this Hazard hazard) => hazard is Hazard.MedicallySignificant or Hazard.Unknown;
}

/// <summary>How long a leaf stays fit to eat.</summary>
public enum LeafKind
{
    /// <summary>Wilts within a day.</summary>
    Soft,

    /// <summary>Keeps for days in a tight box.</summary>
    Woody,
}

/// <summary>How a queen founds her colony.</summary>
public enum Founding
{
    /// <summary>On her reserves, without food.</summary>
    Claustral,

    /// <summary>She must be fed from the first day.</summary>
    SemiClaustral,
}

/// <summary>How temperature changes the pace of waits.</summary>
/// <param name="ReferenceC">Temperature at which the waits of the profile hold, °C.</param>
/// <param name="Q10">Factor on the pace per 10 °C, where no threshold is known.</param>
/// <param name="ThresholdC">Below this temperature development stands still; then degree-days are counted, not Q10.</param>
public sealed record Warmth(double ReferenceC, double? Q10, double? ThresholdC);

/// <summary>A winter rest of pupae.</summary>
/// <param name="ChillWeeks">Weeks of cold that it needs.</param>
/// <param name="BelowC">A day counts when its mean is no warmer, °C; none where the room's own limit holds.</param>
/// <param name="Facultative">Whether only some broods rest, such as those of autumn: one that was put in the cold does.</param>
public sealed record Diapause(double ChillWeeks, double? BelowC = null, bool Facultative = false);

/// <summary>Adult size by sex, mm.</summary>
public sealed record AdultSize(Rule<Range> Female, Rule<Range> Male);

/// <summary>Number of molts to adult by sex.</summary>
public sealed record MoltsToAdult(Rule<Range> Female, Rule<Range> Male);
