namespace Husbandry.Journal;

/// <summary>Why there are more or fewer of many than before.</summary>
public enum CountChange
{
    /// <summary>As many came.</summary>
    Came,

    /// <summary>They were counted: the number is now what was found.</summary>
    Counted,

    /// <summary>The keeper mended the number: in the details, or as some never were here.</summary>
    Mended,

    /// <summary>Young were born or hatched.</summary>
    Born,

    /// <summary>Found again.</summary>
    Found,

    /// <summary>Put in from elsewhere.</summary>
    PutIn,

    /// <summary>Taken over from another stock of the room.</summary>
    TakenOver,

    /// <summary>Parted from them and kept as a stock of its own, or with another.</summary>
    Parted,

    /// <summary>Died.</summary>
    Died,

    /// <summary>Sold.</summary>
    Sold,

    /// <summary>Given away.</summary>
    GivenAway,

    /// <summary>Escaped.</summary>
    Escaped,

    /// <summary>Released.</summary>
    Released,

    /// <summary>Lost: nobody knows what became of them.</summary>
    Lost,
}

/// <summary>How a number was found.</summary>
public enum CountMethod
{
    /// <summary>Each one was counted.</summary>
    OneByOne,

    /// <summary>Counted in a picture.</summary>
    InPicture,

    /// <summary>A part was counted and reckoned up to the whole.</summary>
    FromPart,

    /// <summary>Estimated by eye.</summary>
    ByEye,
}

/// <summary>What was counted, and how sure it is.</summary>
/// <param name="Count">As many were found, in the container if one is named.</param>
/// <param name="Low">At least as many, when it is not certain.</param>
/// <param name="High">At most as many, when it is not certain.</param>
/// <param name="Method">How they were counted, when that was said.</param>
/// <param name="Container">The one container that was counted; all of them when none is named.</param>
/// <param name="Reason">Why there are more or fewer than on record, in the keeper's words.</param>
public sealed record CountTaken(
    int Count,
    int? Low = null,
    int? High = null,
    CountMethod? Method = null,
    string? Container = null,
    string? Reason = null
);

/// <summary>One line of the numbers of a stock. Nothing is overwritten: what came, was born and left adds up to what is there.</summary>
/// <param name="EntryId">The entry that says it.</param>
/// <param name="At">When.</param>
/// <param name="Change">Why.</param>
/// <param name="By">By how many there are more; negative for fewer.</param>
/// <param name="Now">How many there are after it.</param>
/// <param name="Taken">What was counted, of a count.</param>
public sealed record CountEvent(
    Guid EntryId,
    DateTimeOffset At,
    CountChange Change,
    int By,
    int Now,
    CountTaken? Taken = null
);
