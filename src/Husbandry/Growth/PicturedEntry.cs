using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>A picture was kept on the record.</summary>
/// <param name="PictureId">The stored picture.</param>
/// <param name="Caption">What it shows; may be empty.</param>
/// <param name="OfExuvia">Whether it shows the shed skin of the last molt.</param>
public sealed record Pictured(Guid PictureId, string Caption, bool OfExuvia = false) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => PicturedEntry.It;
}

/// <summary>A picture on record.</summary>
public sealed class PicturedEntry() : EntryDefinition<Pictured>("pictured")
{
    /// <summary>The definition.</summary>
    public static PicturedEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override bool OutlivesDeparture => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new Pictured(Guid.Empty, "by lamplight"), new Pictured(Guid.Empty, "", OfExuvia: true)];

    /// <inheritdoc/>
    protected override Standing Fold(Pictured act, Standing standing, JournalEntry entry)
    {
        var growth = standing.Growth;
        var molts = growth.Molts.Count - (act.OfExuvia ? 1 : 0);
        var picture = new PictureEvent(entry.Id, act.PictureId, entry.When.To, act.Caption, act.OfExuvia, molts);
        return standing with { Growth = growth with { Pictures = [.. growth.Pictures, picture] } };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Pictured act, EntryAt at) =>
        EntryCheck.CheckText("act.caption", act.Caption, required: false, EntryCheck.LongestCaption);

    /// <inheritdoc/>
    protected override string Say(Pictured act, RuleSet rules, Wording words) =>
        act.Caption.Length > 0 ? $"picture: {act.Caption}" : "picture";

    /// <inheritdoc/>
    protected override bool IsHistory(Pictured act) => true;
}
