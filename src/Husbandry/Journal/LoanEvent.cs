namespace Husbandry.Journal;

/// <summary>An animal that is with somebody else for a time.</summary>
/// <param name="At">Since when.</param>
/// <param name="To">With whom.</param>
/// <param name="ContactId">The same on the list of contacts, if they are on it.</param>
/// <param name="BackBy">Night by which it is to be back, if that was agreed.</param>
/// <param name="Share">What was agreed of the offspring; may be missing.</param>
public sealed record LoanEvent(DateTimeOffset At, string To, Guid? ContactId, DateOnly? BackBy, string? Share = null);

/// <summary>Young that an animal had.</summary>
/// <param name="At">When they came out.</param>
/// <param name="YoungId">The stock that they began.</param>
/// <param name="Young">What that was called.</param>
/// <param name="Count">How many.</param>
/// <param name="Before">How well fed she looked when that was last looked at before; none where nobody had.</param>
/// <param name="AteAt">Her first meal after it; none while she has not eaten.</param>
public sealed record BirthEvent(
    DateTimeOffset At,
    Guid YoungId,
    string Young,
    int Count,
    BodyCondition? Before = null,
    DateTimeOffset? AteAt = null
);
