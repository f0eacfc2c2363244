namespace Husbandry.Journal;

/// <summary>Shape of the opening of a shell.</summary>
public enum ShellShape
{
    /// <summary>Round.</summary>
    Round,

    /// <summary>Oval, as most land crabs like it.</summary>
    Oval,

    /// <summary>A long slit.</summary>
    Slit,
}

/// <summary>Empty shells of one size and shape.</summary>
/// <param name="OpeningMm">Width of the opening, mm.</param>
/// <param name="Shape">Shape of the opening.</param>
/// <param name="Count">How many.</param>
public sealed record ShellLot(double OpeningMm, ShellShape Shape, int Count);

/// <summary>The shell that a crab wears.</summary>
/// <param name="At">Since when, as far as it was seen.</param>
/// <param name="OpeningMm">Width of its opening, mm; none where nobody measured.</param>
/// <param name="Shape">Shape of its opening.</param>
/// <param name="FormerMm">Opening of the one before, mm; none where that is not known.</param>
public sealed record ShellEvent(DateTimeOffset At, double? OpeningMm, ShellShape Shape, double? FormerMm);

/// <summary>When one of a shared tank was last seen up.</summary>
/// <param name="StockId">Which.</param>
/// <param name="At">When.</param>
public sealed record SeenUp(Guid StockId, DateTimeOffset At);

/// <summary>What shows on a crab that molted underground.</summary>
public enum MoltMark
{
    /// <summary>Long antennae.</summary>
    LongAntennae,

    /// <summary>Sharp black leg tips.</summary>
    BlackTips,

    /// <summary>Hairs on the legs.</summary>
    Hairs,

    /// <summary>Brighter than before.</summary>
    Brighter,

    /// <summary>Livelier than before.</summary>
    Livelier,

    /// <summary>Limbs grown anew, still small.</summary>
    SmallNewLimbs,
}

/// <summary>What of a molt was looked for on a crab that came up.</summary>
/// <param name="At">When.</param>
/// <param name="Seen">What showed.</param>
public sealed record MarksSeen(DateTimeOffset At, IReadOnlyList<MoltMark> Seen);

/// <summary>A step of putting a sleeve round a crab that is down.</summary>
public enum SleeveStep
{
    /// <summary>A large drinks bottle cut across.</summary>
    BottleCut,

    /// <summary>Rinsed of all residue.</summary>
    Rinsed,

    /// <summary>Its upper half sunk round the crab, neck up and open.</summary>
    Sunk,

    /// <summary>Damp floor laid against it from outside.</summary>
    FloorAgainst,
}

/// <summary>What was seen and done over a crab that is down.</summary>
/// <param name="At">When.</param>
/// <param name="OthersDig">Whether neighbours dug at its place.</param>
/// <param name="Done">Steps of the sleeve that were done.</param>
public sealed record GuardEvent(DateTimeOffset At, bool OthersDig, IReadOnlyList<SleeveStep> Done);

/// <summary>What is seen of the mating of land crabs.</summary>
public enum MatingSight
{
    /// <summary>He guards her.</summary>
    Guarding,

    /// <summary>Others fight over her.</summary>
    Rivals,

    /// <summary>Shells opening to opening: the transfer.</summary>
    Transfer,

    /// <summary>Another male took her over, with a transfer.</summary>
    TakenOver,

    /// <summary>Eggs loose at her shell.</summary>
    LooseEggs,

    /// <summary>Eggs attached, orange.</summary>
    AttachedEggs,

    /// <summary>Eggs grey, with eyes.</summary>
    EyedEggs,

    /// <summary>She gives them off at the water.</summary>
    ToTheWater,
}

/// <summary>A line of a tank's mating log.</summary>
/// <param name="At">When.</param>
/// <param name="FemaleId">The female.</param>
/// <param name="MaleId">The male; none where nobody saw which.</param>
/// <param name="Sight">What was seen.</param>
public sealed record MatingEvent(DateTimeOffset At, Guid FemaleId, Guid? MaleId, MatingSight Sight);

/// <summary>What is on record of a shared tank, and of one that lives in it.</summary>
/// <param name="Seen">Of a tank: when each was last seen up at a look round.</param>
/// <param name="Shells">Of a tank: empty shells in it.</param>
/// <param name="ShellsAt">When those were counted; none while nobody has.</param>
/// <param name="Shell">Of a crab: the shell it wears.</param>
/// <param name="Marks">Of a crab: what of a molt was looked for when it came up.</param>
/// <param name="Matings">Of a tank: its mating log, in order of writing.</param>
/// <param name="Guard">Of a crab: what was seen and done over it while it was down last.</param>
public sealed record TankState(
    IReadOnlyList<SeenUp> Seen,
    IReadOnlyList<ShellLot> Shells,
    DateTimeOffset? ShellsAt,
    ShellEvent? Shell,
    MarksSeen? Marks,
    IReadOnlyList<MatingEvent> Matings,
    GuardEvent? Guard = null
)
{
    /// <summary>Nothing on record.</summary>
    public static TankState Empty { get; } = new([], [], null, null, null, []);
}
