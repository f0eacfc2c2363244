using Husbandry.Stock;

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
/// <param name="AdultLegSpanMm">Leg span of adults by sex; unknown sex takes the female's.</param>
/// <param name="SlingUntilLegSpanMm">End of the sling stage.</param>
/// <param name="SubAdultFromShare">Share of the smallest adult leg span from which an animal counts as sub-adult.</param>
/// <param name="MoltsToAdult">Number of molts from hatching to adult by sex.</param>
/// <param name="GrowthRatio">Ratio of hard parts from one molt to the next.</param>
/// <param name="MoltInterval">Nights from one molt to the next by stage; adult means adult female.</param>
/// <param name="KeepingDifficulty">1 (easy) to 5, and what makes it so.</param>
/// <param name="BreedingDifficulty">1 (easy) to 5, and what makes it so.</param>
/// <param name="Cautions">What to mind with this species, each a sentence.</param>
/// <param name="FalseFriends">Looks like a sign and is none in this species, by sign.</param>
public sealed record SpeciesProfile(
    string Id,
    string ScientificName,
    string Group,
    Habit Habit,
    Rule<Moisture> Moisture,
    AdultSize AdultLegSpanMm,
    Rule<double> SlingUntilLegSpanMm,
    Rule<double> SubAdultFromShare,
    MoltsToAdult MoltsToAdult,
    Rule<double> GrowthRatio,
    IReadOnlyDictionary<Stage, Rule<WaitPrior>> MoltInterval,
    Rule<int> KeepingDifficulty,
    Rule<int> BreedingDifficulty,
    IReadOnlyList<string> Cautions,
    IReadOnlyDictionary<string, string> FalseFriends
)
{
    /// <summary>Leg span of adults of a sex; unknown sex is taken as female, the larger.</summary>
    public Rule<Range> AdultLegSpan(Sex sex) => sex == Sex.Male ? AdultLegSpanMm.Male : AdultLegSpanMm.Female;
}

/// <summary>Adult leg span by sex, mm.</summary>
public sealed record AdultSize(Rule<Range> Female, Rule<Range> Male);

/// <summary>Number of molts to adult by sex.</summary>
public sealed record MoltsToAdult(Rule<Range> Female, Rule<Range> Male);
