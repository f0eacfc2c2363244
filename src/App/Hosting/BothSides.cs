using System.Text.Json;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Ledger;

namespace App.Hosting;

/// <summary>Why something was not written beside what is there.</summary>
public enum ConflictKind
{
    /// <summary>The id stands at something else.</summary>
    IdTaken,

    /// <summary>Somebody changed it since it was read.</summary>
    Stale,

    /// <summary>Somebody else told the same of the same night since the screen was read.</summary>
    ToldTwice,
}

/// <summary>Something that two have set differently.</summary>
/// <param name="Field">Path of the field, as in the body.</param>
/// <param name="Label">What it is called.</param>
/// <param name="Theirs">What is there now, in words.</param>
/// <param name="Yours">What was sent, in words.</param>
/// <param name="Value">What is there now, to be sent instead.</param>
public sealed record Difference(string Field, string Label, string Theirs, string Yours, JsonElement Value);

/// <summary>An entry that somebody else wrote in the meantime, beside the one that tells the same.</summary>
/// <param name="EntryId">Id of theirs.</param>
/// <param name="YourId">Id of yours.</param>
/// <param name="StockId">The animal.</param>
/// <param name="Theirs">What theirs says.</param>
/// <param name="Yours">What yours says.</param>
/// <param name="By">Who wrote theirs.</param>
/// <param name="At">When theirs happened.</param>
public sealed record ToldBoth(
    Guid EntryId,
    Guid YourId,
    Guid StockId,
    string Theirs,
    string Yours,
    string By,
    DateTimeOffset At
);

/// <summary>A 409 in the form of RFC 9457, with both sides: nothing was written, and the keeper decides.</summary>
/// <param name="Title">What is in the way, in one sentence.</param>
/// <param name="Status">409.</param>
/// <param name="Kind">Why.</param>
/// <param name="Field">The field that it is about.</param>
/// <param name="Version">Version that is there now; to be sent with what shall hold.</param>
/// <param name="Differences">What differs, field by field.</param>
/// <param name="Twice">What was told twice.</param>
public sealed record BothSides(
    string Title,
    int Status,
    ConflictKind Kind,
    string Field,
    long Version,
    IReadOnlyList<Difference> Differences,
    IReadOnlyList<ToldBoth> Twice
)
{
    /// <summary>An id that is used already.</summary>
    public static BothSides OfId(Problem problem) =>
        new(problem.Message, StatusCodes.Status409Conflict, ConflictKind.IdTaken, problem.Field, 0, [], []);

    /// <summary>Something changed by another since it was read.</summary>
    /// <param name="version">Version that is there now.</param>
    /// <param name="differences">What differs.</param>
    public static BothSides OfVersion(long version, IReadOnlyList<Difference> differences) =>
        new(
            "Somebody changed this in the meantime. Both are shown; nothing was overwritten.",
            StatusCodes.Status409Conflict,
            ConflictKind.Stale,
            "version",
            version,
            differences,
            []
        );

    /// <summary>Entries that others wrote in the meantime.</summary>
    public static BothSides OfTwice(IReadOnlyList<ToldTwice> twice, Room room) =>
        new(
            "Somebody else wrote the same in the meantime. Both are shown; nothing was written twice.",
            StatusCodes.Status409Conflict,
            ConflictKind.ToldTwice,
            "seen",
            0,
            [],
            [
                .. twice.Select(t => new ToldBoth(
                    t.Theirs.Id,
                    t.Yours.Id,
                    t.Theirs.StockId,
                    EntryDefinition.Of(t.Theirs.Act).Say(t.Theirs.Act, room.Rules, room.Wording),
                    EntryDefinition.Of(t.Yours.Act).Say(t.Yours.Act, room.Rules, room.Wording),
                    t.Theirs.WrittenBy,
                    t.Theirs.When.To
                )),
            ]
        );
}
