using Husbandry.Journal;

namespace Husbandry.Pairing;

/// <summary>Something that is told of an animal and its mate, in the journals of both.</summary>
/// <param name="PartnerId">The mate, when it is in the collection.</param>
/// <param name="Partner">What the mate is called: of one in the collection its name is taken; 1–60 characters.</param>
/// <param name="HalfOf">The entry of the mate of which this is the other half; set by the application.</param>
public abstract record MateAct(Guid? PartnerId, string? Partner, Guid? HalfOf) : TwoPartyAct
{
    /// <inheritdoc/>
    public override Guid? Other() => PartnerId;

    /// <inheritdoc/>
    public override Guid? FirstHalf() => HalfOf;

    /// <inheritdoc/>
    public override TwoPartyAct AsSecondHalf(Guid stockId, Guid firstHalf, string name) =>
        this with
        {
            PartnerId = stockId,
            Partner = name,
            HalfOf = firstHalf,
        };

    /// <inheritdoc/>
    public override TwoPartyAct AsFirstHalf(string? other) => this with { Partner = other ?? Partner, HalfOf = null };
}
