using Husbandry.Journal;
using Husbandry.Nursery;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace App.Nursery;

/// <summary>An egg case, a clutch or a brooding mother of which something is awaited.</summary>
/// <param name="Vigil">What is awaited.</param>
/// <param name="What">What it is, e.g. "sac with its mother", "eggs kept apart".</param>
/// <param name="Began">Night on which the wait began.</param>
/// <param name="Forecast">When it is to be expected, and how it may end.</param>
/// <param name="IsHeld">Whether the cold holds it, so that those nights are none to plan by.</param>
/// <param name="Expects">Young that such a one usually gives; none where the rulebook does not know.</param>
/// <param name="IsChilled">Whether it is in the cold.</param>
/// <param name="TakenFrom">Night from which a sac may be taken from its mother, by the school that does; none where it is left.</param>
/// <param name="TakenTo">Night until which.</param>
/// <param name="Fathers">Who may be the father, the likeliest first.</param>
/// <param name="Record">How such waits of its species ended here, in words; empty while none has.</param>
/// <param name="Looks">Nights on which somebody looked since it began.</param>
/// <param name="MayBePromised">Whether young of it can be promised.</param>
/// <param name="HandOn">What is to become of the young; none where nothing was promised or capped.</param>
public sealed record NurseryWait(
    Guid StockId,
    string Name,
    string Species,
    string Group,
    Place Place,
    VigilKind Vigil,
    string What,
    DateOnly Began,
    Answer<VigilForecast?> Forecast,
    bool IsHeld,
    string? Expects,
    bool IsChilled,
    DateOnly? TakenFrom,
    DateOnly? TakenTo,
    IReadOnlyList<PossibleFather> Fathers,
    string Record,
    int Looks,
    bool MayBePromised,
    Answer<HandOn?> HandOn
);

/// <summary>A brood at the nursery.</summary>
/// <param name="Number">How many there are, and how sure that is.</param>
/// <param name="Living">Share (0–1) of those that were ever in it that are alive, by its curve.</param>
/// <param name="Missing">Gone, and nobody said how.</param>
/// <param name="Says">It beside what is usual; empty where nothing is known of that.</param>
/// <param name="Why">Why it is said.</param>
/// <param name="IsWorse">Whether more were lost than usual.</param>
/// <param name="Apart">When they go apart; none where they may stay together.</param>
/// <param name="Molt">Their next molt.</param>
/// <param name="HandOn">What is to become of them; none where nothing was promised or capped.</param>
/// <param name="GradedOn">Night on which they were graded last.</param>
public sealed record NurseryBrood(
    Guid StockId,
    string Name,
    string Species,
    string Group,
    Place Place,
    string StageWord,
    string? Instar,
    BroodRange Number,
    double Living,
    int Missing,
    string Says,
    IReadOnlyList<Reason> Why,
    bool IsWorse,
    Answer<Apart?> Apart,
    VigilForecast? Molt,
    Answer<HandOn?> HandOn,
    DateOnly? GradedOn
);

/// <summary>A mother after her brood.</summary>
/// <param name="Since">Night on which her young came out or her eggs were taken.</param>
/// <param name="AteOn">Night of her first meal on record after it; none while she has not eaten.</param>
/// <param name="Before">How well fed she was when it began, by eye; none where nobody looked.</param>
/// <param name="Now">How well fed she is now.</param>
/// <param name="Ready">Whether she may be paired again, in a sentence.</param>
/// <param name="Others">How that went with mothers of her kind before, in words; empty where nobody knows.</param>
public sealed record NurseryMother(
    Guid StockId,
    string Name,
    string Species,
    Place Place,
    DateOnly Since,
    DateOnly? AteOn,
    string? Before,
    string Now,
    string Ready,
    string Others
);

/// <summary>Everything in the nursery.</summary>
/// <param name="Tonight">The night for which it holds.</param>
/// <param name="Waits">What is awaited, the nearest first.</param>
/// <param name="Broods">Broods: those that need a hand first, then by age.</param>
/// <param name="Mothers">Mothers in the weeks after their broods, the latest first.</param>
/// <param name="Winters">Pupae that need a winter and have it before them, or are in it; those that are done first.</param>
/// <param name="WarmUps">When to take them out of it, species by species.</param>
/// <param name="Leaf">Larvae and eggs that need leaf, the hungriest first.</param>
/// <param name="Finds">Places where something was found outside, the next to look at first.</param>
/// <param name="Years">The year ahead of moths and butterflies, species by species.</param>
/// <param name="Sick">Boxes in which sick ones were seen of late.</param>
public sealed record NurseryDesk(
    DateOnly Tonight,
    IReadOnlyList<NurseryWait> Waits,
    IReadOnlyList<NurseryBrood> Broods,
    IReadOnlyList<NurseryMother> Mothers,
    IReadOnlyList<PupaInWinter> Winters,
    IReadOnlyList<SpeciesWarmUp> WarmUps,
    IReadOnlyList<LarvaeAtTable> Leaf,
    IReadOnlyList<FindPlace> Finds,
    IReadOnlyList<YearAhead> Years,
    IReadOnlyList<SickBox> Sick
);

/// <summary>One vial of a brood.</summary>
/// <param name="Number">Its number.</param>
/// <param name="Ahead">Molts by which it is ahead of the brood.</param>
/// <param name="IsSoft">Whether it molted of late and gets no food.</param>
/// <param name="MealsLeft">Meals left in a row.</param>
/// <param name="Grade">How it had grown at the last grading.</param>
/// <param name="LengthMm">Its length then, mm.</param>
public sealed record VialView(int Number, int Ahead, bool IsSoft, int MealsLeft, SizeGrade Grade, double? LengthMm);

/// <summary>A brood in full.</summary>
/// <param name="Number">How many there are, and how sure that is.</param>
/// <param name="Curve">How many of them live how long.</param>
/// <param name="Measure">It beside what is usual.</param>
/// <param name="River">Its living over the nights.</param>
/// <param name="Apart">When they go apart.</param>
/// <param name="IsDivided">Whether they were divided into numbered vials here.</param>
/// <param name="Vials">Vial by vial; empty for what takes no prey.</param>
/// <param name="GradedOn">Night of the last grading.</param>
/// <param name="Empty">Vials in use beyond the animals that are there: some are empty, and nobody said which.</param>
/// <param name="Fathers">Who may be the father, the likeliest first.</param>
/// <param name="MayLeave">Who may leave, in a sentence; none where nothing is known.</param>
public sealed record BroodView(
    Guid StockId,
    BroodRange Number,
    BroodCurve Curve,
    Answer<BroodMeasure?> Measure,
    BroodRiver River,
    Answer<Apart?> Apart,
    bool IsDivided,
    IReadOnlyList<VialView> Vials,
    DateOnly? GradedOn,
    int Empty,
    IReadOnlyList<PossibleFather> Fathers,
    string? MayLeave
);
