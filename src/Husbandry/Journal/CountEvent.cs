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

/// <summary>Of what animals are lost; one list for all of them. Source: handbook of the trade, common practice.</summary>
public enum LossCause
{
    /// <summary>A molt that went wrong.</summary>
    Mismolt,

    /// <summary>A disease.</summary>
    Disease,

    /// <summary>A parasite, such as mites or a wasp's larvae.</summary>
    Parasite,

    /// <summary>Killed by another kind of animal, such as the prey left in with it.</summary>
    Predation,

    /// <summary>Eaten by its own kind.</summary>
    Cannibalised,

    /// <summary>Injured.</summary>
    Injured,

    /// <summary>Dried out.</summary>
    Dried,

    /// <summary>Nobody knows.</summary>
    Unexplained,
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

    /// <summary>A counted part was weighed, and all of them.</summary>
    ByWeight,

    /// <summary>Estimated by eye.</summary>
    ByEye,

    /// <summary>Some marked, and caught again.</summary>
    Recaptured,
}

/// <summary>What was counted, and how sure it is.</summary>
/// <param name="Count">As many were found, in the container if one is named.</param>
/// <param name="Low">At least as many, when it is not certain.</param>
/// <param name="High">At most as many, when it is not certain.</param>
/// <param name="Method">How they were counted, when that was said.</param>
/// <param name="Container">The one container that was counted; all of them when none is named.</param>
/// <param name="Reason">Why there are more or fewer than on record, in the keeper's words.</param>
/// <param name="PictureId">The picture in which they were counted, where it is kept.</param>
public sealed record CountTaken(
    int Count,
    int? Low = null,
    int? High = null,
    CountMethod? Method = null,
    string? Container = null,
    string? Reason = null,
    Guid? PictureId = null
);

/// <summary>One line of the numbers of a stock. Nothing is overwritten: what came, was born and left adds up to what is there.</summary>
/// <param name="EntryId">The entry that says it.</param>
/// <param name="At">When.</param>
/// <param name="Change">Why.</param>
/// <param name="By">By how many there are more; negative for fewer.</param>
/// <param name="Now">How many there are after it.</param>
/// <param name="Taken">What was counted, of a count.</param>
/// <param name="From">The earliest that it can have happened; none when that is <paramref name="At"/>.</param>
/// <param name="Cause">Of what they died, where that was said.</param>
/// <param name="Party">The stock with which those parted or taken over are or were.</param>
public sealed record CountEvent(
    Guid EntryId,
    DateTimeOffset At,
    CountChange Change,
    int By,
    int Now,
    CountTaken? Taken = null,
    DateTimeOffset? From = null,
    LossCause? Cause = null,
    CountParty? Party = null
);

/// <summary>The other stock of a change in numbers.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Name">Its name; empty where nobody knows it any more.</param>
public sealed record CountParty(Guid StockId, string Name);
