namespace App.Safekeeping;

/// <summary>A table that any spreadsheet reads.</summary>
public enum OpenTable
{
    /// <summary>Every record of an animal, brood or colony, those that left included.</summary>
    Stock,

    /// <summary>Every entry that counts, in words.</summary>
    Journal,

    /// <summary>What is in the larder: food and goods as they are reckoned tonight, cultures and food plants.</summary>
    Larder,

    /// <summary>The chores that are planned.</summary>
    Chores,

    /// <summary>Shared gear, each time at which it is booked a line.</summary>
    Gear,

    /// <summary>People outside with whom the keeper deals.</summary>
    Contacts,

    /// <summary>The animals as occurrences in the terms of Darwin Core.</summary>
    Occurrences,

    /// <summary>What happened as events in the terms of Darwin Core.</summary>
    Events,
}

/// <summary>One record of the table of stock.</summary>
public sealed record StockLine(
    Guid Id,
    string Place,
    string Name,
    string Species,
    string Group,
    string Kind,
    string Sex,
    string Stage,
    string? Instar,
    int Count,
    string Came,
    string? LastMolt,
    int Molts,
    string? LastMeal,
    string? Left
);

/// <summary>One entry of the table of the journal.</summary>
public sealed record JournalLine(
    Guid Id,
    Guid StockId,
    string Name,
    string Night,
    string NotBefore,
    string At,
    string WrittenAt,
    string WrittenBy,
    string Kind,
    string Says
);

/// <summary>One thing in the larder.</summary>
public sealed record LarderTableLine(
    string Kind,
    string Name,
    string Size,
    double? Count,
    string? Since,
    string? Where
);

/// <summary>One chore.</summary>
public sealed record ChoreTableLine(
    string Title,
    string Where,
    string Kind,
    int? EveryDays,
    string Starts,
    string? Season,
    string Kit,
    int Minutes,
    string? LastDone
);

/// <summary>A piece of gear, or a time at which it is booked.</summary>
public sealed record GearTableLine(string Gear, string? From, string? To, string? For);

/// <summary>Somebody with whom the keeper deals.</summary>
public sealed record ContactTableLine(string Name, string Note);

/// <summary>An animal as an occurrence; the headings are terms of Darwin Core.</summary>
/// <remarks>Source: Darwin Core quick reference guide, dwc.tdwg.org/terms, class Occurrence (from memory).</remarks>
public sealed record OccurrenceLine(
    string OccurrenceID,
    string BasisOfRecord,
    string ScientificName,
    int IndividualCount,
    string Sex,
    string LifeStage,
    string DegreeOfEstablishment,
    string EventDate,
    string? Locality,
    string? AssociatedOccurrences,
    string OccurrenceStatus
);

/// <summary>What happened as an event; the headings are terms of Darwin Core.</summary>
/// <remarks>Source: Darwin Core quick reference guide, dwc.tdwg.org/terms, class Event (from memory).</remarks>
public sealed record EventLine(
    string EventID,
    string OccurrenceID,
    string EventType,
    string EventDate,
    string RecordedBy,
    string EventRemarks
);
