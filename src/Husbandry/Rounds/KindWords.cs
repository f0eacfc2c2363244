using Husbandry.Rulebook;

namespace Husbandry.Rounds;

/// <summary>What a keeper calls the thing that is kept.</summary>
public static class KindWords
{
    /// <summary>Its stage of life, or that it is a colony, a tank, a queen alone.</summary>
    public static string StageWord(Judgement j) =>
        j?.Subject.Standing.Details.Kind switch
        {
            null => "",
            StockKind.Colony => "colony",
            StockKind.Tank => "shared tank",
            _ => j.Subject.IsQueenAlone ? "queen alone" : j.Subject.Group.StageWord(j.Stage.Value),
        };
}
