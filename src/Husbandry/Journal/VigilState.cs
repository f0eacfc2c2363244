using System.Text.Json.Serialization;
using Husbandry.Reasons;
using Husbandry.Rulebook;

namespace Husbandry.Journal;

/// <summary>A sign on record; of many with the number at which it was seen, when not all.</summary>
public sealed record SignEvent(Guid EntryId, DateTimeOffset At, string SignId, int? Count = null);

/// <summary>What became of an egg case or a brood with its mother that came to nothing. Source: handbook of the trade, common practice.</summary>
public enum CaseLoss
{
    /// <summary>She ate it.</summary>
    Eaten,

    /// <summary>She left it.</summary>
    Abandoned,

    /// <summary>It went moldy.</summary>
    Moldy,

    /// <summary>It dried out.</summary>
    Dry,

    /// <summary>It was not fertile.</summary>
    NotFertile,
}

/// <summary>A wait other than the one for a molt, under way or over.</summary>
/// <param name="Id">The entry that began it.</param>
/// <param name="Vigil">What is waited for.</param>
/// <param name="Began">When it began.</param>
/// <param name="Ended">When it ended; none while it lasts.</param>
/// <param name="End">How it ended, by the id of the end; none while it lasts.</param>
/// <param name="Count">Of many: how many still wait; none when all do.</param>
/// <param name="Whole">Whether it began for all of them.</param>
/// <param name="Loss">Of an egg case that came to nothing: what became of it; none where nobody said.</param>
public sealed record VigilEvent(
    Guid Id,
    VigilKind Vigil,
    Occurrence Began,
    Occurrence? Ended,
    string? End,
    int? Count = null,
    bool Whole = true,
    CaseLoss? Loss = null
)
{
    /// <summary>Whether it is over and ended as hoped.</summary>
    [JsonIgnore]
    public bool AsHoped => End == VigilEnd.AsHoped;
}

/// <summary>Winter cold of a pupa, a queen or a colony.</summary>
public sealed record ChillEvent(DateTimeOffset From, DateTimeOffset? To);

/// <summary>What came of one offer of a feeder: taken or turned down.</summary>
public sealed record AppetiteEvent(DateTimeOffset At, bool Taken, string? FeederId = null);

/// <summary>What is on record of what an animal waits for, and of what tells how long.</summary>
/// <param name="All">Waits other than for a molt, in order of their beginning; any of them may be under way.</param>
/// <param name="Chill">Winter cold of the pupa, the queen or the colony, if any.</param>
/// <param name="Signs">Signs seen in its whole life here, in order.</param>
/// <param name="CleanLooks">Looks without a sign in its whole life here, in order.</param>
/// <param name="Appetite">What came of the last offers, in order.</param>
/// <param name="WarmUpOn">Night on which it is to be taken out of the cold, as planned; none while nothing is planned.</param>
/// <param name="Sick">The last look at which some did not thrive.</param>
public sealed record VigilState(
    IReadOnlyList<VigilEvent> All,
    ChillEvent? Chill,
    IReadOnlyList<SignEvent> Signs,
    IReadOnlyList<DateTimeOffset> CleanLooks,
    IReadOnlyList<AppetiteEvent> Appetite,
    DateOnly? WarmUpOn = null,
    SickEvent? Sick = null
)
{
    /// <summary>How many of the last offers count towards the appetite; enough for years of an adult.</summary>
    public const int OffersKept = 150;

    /// <summary>Nothing on record.</summary>
    public static VigilState Empty { get; } = new([], null, [], [], []);

    /// <summary>After a molt: what was stored of a pairing went with the skin.</summary>
    public VigilState AfterMolt(Occurrence molt) =>
        OpenOf(VigilKind.EggCase) is not { } open
            ? this
            : this with
            {
                All =
                [
                    .. All.Select(v => ReferenceEquals(v, open) ? v with { Ended = molt, End = VigilEnd.CutShort } : v),
                ],
            };

    /// <summary>The waits under way other than the one for a molt, the oldest first.</summary>
    [JsonIgnore]
    public IEnumerable<VigilEvent> Open => All.Where(v => v.Ended is null);

    /// <summary>The oldest wait of a kind that is under way, if any.</summary>
    public VigilEvent? OpenOf(VigilKind vigil) => Open.FirstOrDefault(v => v.Vigil == vigil);

    /// <summary>With what came of one more offer.</summary>
    public VigilState After(params IEnumerable<AppetiteEvent> offers) =>
        this with
        {
            Appetite = [.. Appetite.Concat(offers).TakeLast(OffersKept)],
        };
}
