namespace Husbandry.Feeding;

/// <summary>Words of the clocks of water that are asked for elsewhere.</summary>
public static class WaterWords
{
    /// <summary>The clock of misting.</summary>
    public const string Mist = "mist";
}
