namespace Worlds;

/// <summary>What is written down of an animal.</summary>
public enum What
{
    /// <summary>It came.</summary>
    Came,

    /// <summary>A molt; the last one to adult is told by the detail <c>adult</c>.</summary>
    Molt,

    /// <summary>Its length; the amount is in millimetres.</summary>
    Length,

    /// <summary>A meal that was taken.</summary>
    Meal,

    /// <summary>A meal that was refused.</summary>
    Refusal,

    /// <summary>A sign, named by the detail.</summary>
    Sign,

    /// <summary>A look at which nothing was seen.</summary>
    CleanLook,

    /// <summary>It pupated.</summary>
    Pupated,

    /// <summary>It was put in the cold.</summary>
    Cold,

    /// <summary>It was taken out of it.</summary>
    Warm,

    /// <summary>The moth came out.</summary>
    Emerged,

    /// <summary>A crab went down.</summary>
    Down,

    /// <summary>It came up again.</summary>
    Up,

    /// <summary>It died.</summary>
    Died,

    /// <summary>It was sold.</summary>
    Sold,
}

/// <summary>One note.</summary>
/// <param name="At">When it happened at the latest, in days of the world.</param>
/// <param name="NotBefore">When at the earliest; the same where it was seen.</param>
/// <param name="What">What happened.</param>
/// <param name="Detail">Which, where there are several.</param>
/// <param name="Amount">How much, where it is measured.</param>
public sealed record Note(double At, double NotBefore, What What, string Detail = "", double Amount = 0);

/// <summary>An animal as its keeper has it.</summary>
/// <param name="Number">Counts the animals of a world.</param>
/// <param name="Life">Its true life.</param>
/// <param name="CameOn">Day on which it came.</param>
/// <param name="MoltsAtArrival">Molts behind it, where the keeper knows.</param>
/// <param name="HatchedOn">Day of hatching, likewise.</param>
/// <param name="CameAdult">Whether it came as an adult and its keeper knows.</param>
/// <param name="KnowsSex">Whether the keeper knows its sex.</param>
/// <param name="Notes">What is written down, in order.</param>
/// <param name="Unseen">Ends of waits that nobody noticed.</param>
public sealed record Kept(
    int Number,
    Life Life,
    double CameOn,
    int? MoltsAtArrival,
    double? HatchedOn,
    bool CameAdult,
    bool KnowsSex,
    IReadOnlyList<Note> Notes,
    IReadOnlySet<double> Unseen
);

/// <summary>A whole made-up room.</summary>
/// <param name="Habits">How its keeper is.</param>
/// <param name="Seed">Seed from which it was made.</param>
/// <param name="Days">How many days its record has.</param>
/// <param name="Weather">Its true weather.</param>
/// <param name="Readings">What the thermometer said: day and °C.</param>
/// <param name="Animals">Its animals.</param>
public sealed record World(
    Habits Habits,
    int Seed,
    int Days,
    Weather Weather,
    IReadOnlyList<(double Day, double Celsius)> Readings,
    IReadOnlyList<Kept> Animals
);
