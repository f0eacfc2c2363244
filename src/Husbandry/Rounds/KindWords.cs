using Husbandry.Rulebook;

namespace Husbandry.Rounds;

/// <summary>What a keeper calls the thing that is kept.</summary>
public static class KindWords
{
    /// <summary>Its stage of life, or that it is a colony, a tank, a queen alone.</summary>
    public static string StageWord(Judgement j)
    {
        ArgumentNullException.ThrowIfNull(j);
        var kind = j.Subject.Standing.Details.Kind;
        return kind switch
        {
            StockKind.Colony => "colony",
            StockKind.Tank => "shared tank",
            StockKind.Specimen or StockKind.Brood => j.Subject.IsQueenAlone
                ? "queen alone"
                : j.Subject.Group.StageWord(j.Stage.Value),
            _ => throw new ArgumentOutOfRangeException(nameof(j), kind, "No word for such a kind."),
        };
    }
}
