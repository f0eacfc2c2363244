using System.Text.Json.Serialization;

namespace Husbandry.Journal;

/// <summary>How a young one has grown beside its siblings.</summary>
public enum SizeGrade
{
    /// <summary>Ahead of most.</summary>
    Fast,

    /// <summary>As most.</summary>
    Middling,

    /// <summary>Behind most.</summary>
    Slow,

    /// <summary>Far behind.</summary>
    Runt,
}

/// <summary>A vial at a grading.</summary>
/// <param name="Number">Number of the vial.</param>
/// <param name="Grade">How it has grown.</param>
/// <param name="LengthMm">Its length, mm, where it was measured.</param>
public sealed record VialGrade(int Number, SizeGrade Grade, double? LengthMm = null);

/// <summary>A grading on record; vials that it does not name were as most.</summary>
/// <param name="EntryId">Its entry.</param>
/// <param name="At">When.</param>
/// <param name="Vials">The vials named, by number.</param>
public sealed record GradedEvent(Guid EntryId, DateTimeOffset At, IReadOnlyList<VialGrade> Vials);

/// <summary>A vial that is ahead of the brood by some molts.</summary>
/// <param name="Number">Number of the vial.</param>
/// <param name="Molts">By how many.</param>
/// <param name="At">When it molted last.</param>
public sealed record VialMolt(int Number, int Molts, DateTimeOffset At);

/// <summary>What is on record of a brood in numbered vials.</summary>
/// <param name="DividedAt">When it was divided; none while it is together, or where it came divided.</param>
/// <param name="Numbers">Vials that are in use, by number; empty while none were told.</param>
/// <param name="Molted">Vials ahead of the brood.</param>
/// <param name="Gradings">Gradings, in order.</param>
public sealed record TrayState(
    DateTimeOffset? DividedAt,
    IReadOnlyList<int> Numbers,
    IReadOnlyList<VialMolt> Molted,
    IReadOnlyList<GradedEvent> Gradings
)
{
    /// <summary>Nothing on record.</summary>
    public static TrayState Empty { get; } = new(null, [], [], []);

    /// <summary>After a molt of the brood as a whole: who was ahead by one is so no more.</summary>
    public TrayState AfterMolt() =>
        Molted.Count == 0
            ? this
            : this with
            {
                Molted = [.. Molted.Where(v => v.Molts > 1).Select(v => v with { Molts = v.Molts - 1 })],
            };

    /// <summary>Without a vial that is empty now.</summary>
    public TrayState Without(int number) =>
        this with
        {
            Numbers = [.. Numbers.Where(n => n != number)],
            Molted = [.. Molted.Where(v => v.Number != number)],
        };

    /// <summary>Whether it was divided here.</summary>
    [JsonIgnore]
    public bool IsDivided => DividedAt is not null;
}
