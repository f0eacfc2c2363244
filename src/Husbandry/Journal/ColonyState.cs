namespace Husbandry.Journal;

/// <summary>How a queen was come by.</summary>
public enum CatchWay
{
    /// <summary>She walked about after a flight.</summary>
    Walking,

    /// <summary>Dug out of a nest.</summary>
    Dug,

    /// <summary>Caught as she flew, or in a pairing.</summary>
    Flying,

    /// <summary>From another keeper.</summary>
    FromKeeper,
}

/// <summary>A queen's catch.</summary>
/// <param name="At">When.</param>
/// <param name="Way">How.</param>
/// <param name="Winged">Whether she had her wings then; none where nobody looked.</param>
/// <param name="Weather">The weather of the flight, in the keeper's words.</param>
public sealed record CatchEvent(DateTimeOffset At, CatchWay Way, bool? Winged, string? Weather);

/// <summary>What is seen of a queen's brood at a peek.</summary>
public enum BroodSeen
{
    /// <summary>Eggs.</summary>
    Eggs,

    /// <summary>Larvae.</summary>
    Larvae,

    /// <summary>Larvae nearly as large as they get.</summary>
    LargeLarvae,

    /// <summary>Pupae, in cocoons or bare.</summary>
    Pupae,

    /// <summary>Workers.</summary>
    Workers,

    /// <summary>Mold.</summary>
    Mold,
}

/// <summary>One look at a queen or colony.</summary>
/// <param name="At">When.</param>
/// <param name="Seen">What was seen; empty where there was no brood.</param>
/// <param name="Workers">How many workers, where they were counted.</param>
/// <param name="WorkersMost">At most so many, where that is a range.</param>
public sealed record PeekEvent(DateTimeOffset At, IReadOnlyList<BroodSeen> Seen, int? Workers, int? WorkersMost)
{
    /// <summary>The furthest of the four stages that was seen: 0 none, 1 eggs, 2 larvae, 3 pupae, 4 workers.</summary>
    public int Furthest() =>
        Seen.Contains(BroodSeen.Workers) ? 4
        : Seen.Contains(BroodSeen.Pupae) ? 3
        : Seen.Contains(BroodSeen.Larvae) || Seen.Contains(BroodSeen.LargeLarvae) ? 2
        : Seen.Contains(BroodSeen.Eggs) ? 1
        : 0;
}

/// <summary>How a colony is moved into another nest.</summary>
public enum NestSchool
{
    /// <summary>Connect, darken the new, light the old, wait.</summary>
    Connect,

    /// <summary>By soft forceps, one by one, into the new outworld.</summary>
    Forceps,
}

/// <summary>How far a move has come.</summary>
public enum NestStep
{
    /// <summary>Begun.</summary>
    Begun,

    /// <summary>The first scout was seen in the new nest.</summary>
    Scout,

    /// <summary>All are over, the queen among them.</summary>
    Over,

    /// <summary>Given up.</summary>
    GivenUp,
}

/// <summary>A move into another nest.</summary>
/// <param name="BegunAt">When it was begun.</param>
/// <param name="School">How.</param>
/// <param name="ScoutAt">When the first scout was seen.</param>
/// <param name="EndedAt">When it was over or given up; none while it goes on.</param>
/// <param name="IsOver">Whether all went over.</param>
public sealed record NestEvent(
    DateTimeOffset BegunAt,
    NestSchool School,
    DateTimeOffset? ScoutAt,
    DateTimeOffset? EndedAt,
    bool IsOver
);

/// <summary>What is seen in a tub of isopods or springtails.</summary>
public enum TubSign
{
    /// <summary>Females with a full pouch.</summary>
    Pouches,

    /// <summary>A few young.</summary>
    FewYoung,

    /// <summary>Many young.</summary>
    ManyYoung,

    /// <summary>Dead in the molt, half white.</summary>
    DeadInMolt,

    /// <summary>Springtails or mites all over.</summary>
    Bloom,

    /// <summary>A sour smell.</summary>
    Sour,

    /// <summary>Dry at the damp end.</summary>
    DryEnd,
}

/// <summary>One look into a tub.</summary>
/// <param name="At">When.</param>
/// <param name="Signs">What was seen.</param>
public sealed record TubEvent(DateTimeOffset At, IReadOnlyList<TubSign> Signs);

/// <summary>Animals of a tub marked with a dot of paint and put back.</summary>
/// <param name="At">When.</param>
/// <param name="Count">How many.</param>
public sealed record MarkEvent(DateTimeOffset At, int Count);

/// <summary>Equal scoops of a tub, or equal times at a bait, counted.</summary>
/// <param name="At">When.</param>
/// <param name="Each">Animals in each.</param>
/// <param name="Bait">Whether it was at a bait.</param>
public sealed record ScoopEvent(DateTimeOffset At, IReadOnlyList<int> Each, bool Bait);

/// <summary>What is on record of a colony.</summary>
/// <param name="Catch">How the queen was caught.</param>
/// <param name="Peeks">The last looks at the brood, in order.</param>
/// <param name="Nest">The last move.</param>
/// <param name="Looks">The last looks into the tub, in order.</param>
/// <param name="Marked">Those marked and not yet caught again.</param>
/// <param name="Scoops">The last counts by equal scoops, in order.</param>
public sealed record ColonyState(
    CatchEvent? Catch,
    IReadOnlyList<PeekEvent> Peeks,
    NestEvent? Nest,
    IReadOnlyList<TubEvent> Looks,
    MarkEvent? Marked,
    IReadOnlyList<ScoopEvent> Scoops
)
{
    /// <summary>As many events of a kind are remembered.</summary>
    public const int Kept = 40;

    /// <summary>Nothing on record.</summary>
    public static ColonyState Empty { get; } = new(null, [], null, [], null, []);
}
