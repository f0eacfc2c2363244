using Husbandry.Reasons;

namespace Husbandry.Journal;

/// <summary>One line of the append-only journal.</summary>
/// <param name="Id">Made by the client, so that a double tap or a retry writes once.</param>
/// <param name="StockId">The animal or brood.</param>
/// <param name="Sequence">Order of writing within the whole journal; 0 until written.</param>
/// <param name="When">When it happened.</param>
/// <param name="WrittenAt">When it was written down.</param>
/// <param name="WrittenBy">Who wrote it.</param>
/// <param name="Supersedes">The entry that this one corrects, if any.</param>
/// <param name="Act">What happened.</param>
/// <param name="Against">What the hush table said against it when it was written; none when nothing did.</param>
public sealed record JournalEntry(
    Guid Id,
    Guid StockId,
    long Sequence,
    Occurrence When,
    DateTimeOffset WrittenAt,
    string WrittenBy,
    Guid? Supersedes,
    Act Act,
    string? Against = null
);
