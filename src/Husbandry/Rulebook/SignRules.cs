namespace Husbandry.Rulebook;

/// <summary>How much a sign says.</summary>
public enum SignStrength
{
    /// <summary>Says little alone.</summary>
    Weak,

    /// <summary>Worth a second look.</summary>
    Medium,

    /// <summary>Rarely wrong.</summary>
    Strong,

    /// <summary>The molt is hours to days away.</summary>
    Imminent,

    /// <summary>Points to something else that needs help.</summary>
    Opposite,
}

/// <summary>Signs of one family are correlated and count as one.</summary>
public enum SignFamily
{
    /// <summary>Turns food down.</summary>
    Appetite,

    /// <summary>Plump, tight or shiny abdomen.</summary>
    Fullness,

    /// <summary>New skin showing through.</summary>
    Colour,

    /// <summary>Moves less, hides, seals itself in.</summary>
    Behaviour,

    /// <summary>Mat, posture, fluid: the molt itself.</summary>
    Posture,
}

/// <summary>A sign a keeper can see.</summary>
/// <param name="Id">Identifier.</param>
/// <param name="Label">What is seen, as a keeper says it.</param>
/// <param name="Brief">The same in two or three words, for drawings.</param>
/// <param name="Groups">Groups in which it can be seen.</param>
/// <param name="Family">Signs of one family count once.</param>
/// <param name="Strength">How much it says.</param>
/// <param name="LikelihoodRatio">How much more often it is seen in premolt than outside it.</param>
/// <param name="Note">What to know about it; may be empty.</param>
/// <param name="Seals">Whether it has shut itself in: then it is left shut.</param>
/// <param name="NotToBeTakenFor">The false friend: what looks like it and is not; may be empty.</param>
public sealed record SignRule(
    string Id,
    string Label,
    string Brief,
    IReadOnlyList<string> Groups,
    SignFamily Family,
    SignStrength Strength,
    Rule<double> LikelihoodRatio,
    string Note,
    string NotToBeTakenFor,
    bool Seals = false
);
