namespace Husbandry.Rounds;

/// <summary>A part of an animal's page.</summary>
public enum PageSection
{
    /// <summary>Its growth drawn as steps.</summary>
    Life,

    /// <summary>The weeks round tonight, and what is awaited.</summary>
    Awaited,

    /// <summary>Those that live in a shared tank.</summary>
    Inmates,

    /// <summary>What the signs add up to.</summary>
    Signs,

    /// <summary>How each wait may end.</summary>
    Ends,

    /// <summary>What would change the reading.</summary>
    Turns,

    /// <summary>Food that is still in there.</summary>
    Leftover,

    /// <summary>The next water.</summary>
    Water,

    /// <summary>What else is done at regular times.</summary>
    Upkeep,

    /// <summary>The next meal.</summary>
    Meal,

    /// <summary>When it may eat again after its molt.</summary>
    FirstMeal,

    /// <summary>Its stage of life.</summary>
    Stage,

    /// <summary>How well fed it is.</summary>
    Condition,

    /// <summary>What it lives in, and whether that fits.</summary>
    Enclosure,

    /// <summary>Until when it is kept apart.</summary>
    Quarantine,

    /// <summary>What its keeper has to beware of.</summary>
    Cautions,

    /// <summary>What fits, and what it likes.</summary>
    Food,

    /// <summary>That it eats nothing, and why.</summary>
    Fasting,

    /// <summary>Its skins.</summary>
    Growth,

    /// <summary>How many came, were born and left.</summary>
    Numbers,

    /// <summary>A brood as a whole: how many live, beside what is usual; when they go apart; vial by vial.</summary>
    Brood,

    /// <summary>The calcium of a tub, source by source.</summary>
    Calcium,

    /// <summary>The colony that it is: how many, how they grow, what is awaited, what may be taken.</summary>
    Colony,

    /// <summary>The young that came of it.</summary>
    Young,

    /// <summary>Molts left, limbs, pictures, sex.</summary>
    Notes,

    /// <summary>What may be done to it.</summary>
    Hush,

    /// <summary>Its journal.</summary>
    Journal,
}
