namespace Husbandry.Journal;

/// <summary>How stock leaves the collection.</summary>
public enum DepartureKind
{
    /// <summary>Died.</summary>
    Died,

    /// <summary>Sold.</summary>
    Sold,

    /// <summary>Given away.</summary>
    GivenAway,

    /// <summary>Escaped.</summary>
    Escaped,

    /// <summary>Released, where that is lawful.</summary>
    Released,

    /// <summary>Lost: nobody knows what became of it.</summary>
    Lost,

    /// <summary>Of a tank: emptied and taken down.</summary>
    TakenDown,

    /// <summary>It was never here: it was written down by mistake.</summary>
    Mistaken,
}

/// <summary>A departure on record.</summary>
public sealed record DepartureEvent(DateTimeOffset At, DepartureKind Kind, string? Remark);
