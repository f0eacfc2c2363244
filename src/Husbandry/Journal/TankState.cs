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

/// <summary>What is on record of a shared tank, and of one that lives in it.</summary>
/// <param name="Seen">Of a tank: when each was last seen up at a look round.</param>
/// <param name="Shells">Of a tank: empty shells in it.</param>
/// <param name="ShellsAt">When those were counted; none while nobody has.</param>
/// <param name="Shell">Of a crab: the shell it wears.</param>
public sealed record TankState(
    IReadOnlyList<SeenUp> Seen,
    IReadOnlyList<ShellLot> Shells,
    DateTimeOffset? ShellsAt,
    ShellEvent? Shell
)
{
    /// <summary>Nothing on record.</summary>
    public static TankState Empty { get; } = new([], [], null, null);
}
