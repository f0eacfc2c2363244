using System.Text.Json.Serialization;

namespace Husbandry.Journal;

/// <summary>Young promised to somebody.</summary>
/// <param name="EntryId">The entry that says so.</param>
/// <param name="At">When.</param>
/// <param name="To">To whom, in the keeper's words.</param>
/// <param name="Count">How many are still owed.</param>
public sealed record PromiseEvent(Guid EntryId, DateTimeOffset At, string To, int Count);

/// <summary>How many young a keeper means to rear.</summary>
/// <param name="At">When that was said.</param>
/// <param name="Count">How many, those promised among them.</param>
public sealed record CapEvent(DateTimeOffset At, int Count);

/// <summary>What is to become of young: promised, and how many are wanted at all.</summary>
/// <param name="Promises">Promises that are still owed, in order; one for each name.</param>
/// <param name="Cap">How many are wanted; none while nobody has said.</param>
public sealed record HandOnState(IReadOnlyList<PromiseEvent> Promises, CapEvent? Cap)
{
    /// <summary>Nothing promised, nothing capped.</summary>
    public static HandOnState Empty { get; } = new([], null);

    /// <summary>How many are owed in all.</summary>
    [JsonIgnore]
    public int Promised => Promises.Sum(p => p.Count);

    /// <summary>With what is owed to somebody: the newest word counts, and 0 ends it.</summary>
    public HandOnState With(PromiseEvent promise)
    {
        ArgumentNullException.ThrowIfNull(promise);
        var others = Promises.Where(p => !IsSame(p.To, promise.To));
        return this with { Promises = promise.Count > 0 ? [.. others, promise] : [.. others] };
    }

    /// <summary>After some went to somebody: so many fewer are owed to that name.</summary>
    /// <param name="to">Who took them; nobody is owed less where that was not said.</param>
    /// <param name="count">How many.</param>
    public HandOnState After(string? to, int count) =>
        to is null || Promises.FirstOrDefault(p => IsSame(p.To, to)) is not { } owed
            ? this
            : With(owed with { Count = Math.Max(0, owed.Count - count) });

    private static bool IsSame(string one, string other) =>
        string.Equals(one.Trim(), other.Trim(), StringComparison.OrdinalIgnoreCase);
}
