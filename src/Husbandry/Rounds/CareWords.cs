using Husbandry.Rulebook;

namespace Husbandry.Rounds;

/// <summary>The acts of the hush table that mean something for an animal, in its own words.</summary>
public static class CareWords
{
    /// <summary>
    /// Words for the acts of an animal. Food is left out where it eats nothing, live prey where it takes none, pre-killed
    /// prey where only what moves is taken, water and mist where none is given.
    /// </summary>
    public static IReadOnlyDictionary<CareAct, string> Of(Judgement j)
    {
        var words = new Dictionary<CareAct, string>();
        var waters = j.Water.Value.Clocks.Count > 0;
        if (waters)
        {
            words[CareAct.Water] = "Water";
            // Where the water is a light mist, the line of the water speaks of it.
            if (j.Water.Value.Clocks.All(c => c.Way != WaterWay.ColdMist))
            {
                words[CareAct.Mist] = "Misting";
            }
        }

        if (LogMenu.Eats(j) && j.Subject.Group.Feeding.Prey is { } prey)
        {
            words[CareAct.FeedLive] = "Live food";
            if (!prey.LiveOnly.Value)
            {
                words[CareAct.FeedDead] = "Pre-killed food";
            }
        }
        else if (LogMenu.Eats(j))
        {
            words[CareAct.FeedDead] = "Food";
        }

        if (j.Subject.Standing.IsTank)
        {
            words[CareAct.Rehouse] = "Setting it up anew";
            words[CareAct.Dig] = "Digging or lifting the hides";
            words[CareAct.BrightLight] = "Bright light";
            words[CareAct.Clean] = "Cleaning the floor";
            return words;
        }

        var colony = j.Subject.Standing.Details.Kind == StockKind.Colony;
        if (!colony && j.Stage.Value != Stage.Egg)
        {
            // What is fine for the animal is not fine for a bare hand.
            words[CareAct.Handle] =
                j.Subject.Profile.Hazard?.Value.NeedsTwo() == true ? "Moving with long tongs" : "Handling";
        }

        words[CareAct.Rehouse] = "Rehousing";
        words[CareAct.Dig] = "Opening the hide or digging";
        words[CareAct.Ship] = "Shipping";
        if (!j.Subject.IsMany && j.Stage.Value == Stage.Adult && !j.Subject.IsQueenAlone)
        {
            words[CareAct.Pair] = "Pairing";
        }

        words[CareAct.BrightLight] = "Bright light";
        words[CareAct.Clean] = "Cleaning";
        return words;
    }
}
