using Husbandry.Rulebook;

namespace Husbandry.Honesty;

/// <summary>What the replay of one animal came to: each animal has its own, so that several can be gone through at once.</summary>
internal sealed class ReplayTally
{
    /// <summary>Forecasts that were scored.</summary>
    public List<ScoredForecast> Forecasts { get; } = [];

    /// <summary>Premolt readings that were scored; until all are known the weight is how long each was watched.</summary>
    public List<ScoredReading> Readings { get; } = [];

    /// <summary>How waits were said to end.</summary>
    public List<ScoredEnd> Ends { get; } = [];

    /// <summary>How long each forecast could be followed, and whether the animal left first.</summary>
    public List<(VigilKind Vigil, string Group, double Days, bool Left)> Followed { get; } = [];

    /// <summary>The same of the readings.</summary>
    public List<(string Group, double Days, bool Left)> Watched { get; } = [];

    /// <summary>Forecasts made too near the end of the record.</summary>
    public int TooLate { get; set; }

    /// <summary>Forecasts whose animal left first, or whose wait ended otherwise.</summary>
    public int CutShort { get; set; }
}
