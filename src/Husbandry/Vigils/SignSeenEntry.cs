using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>A sign of the rulebook was seen.</summary>
/// <param name="SignId">The sign.</param>
/// <param name="Count">Of many: at how many of them; all when left out.</param>
public sealed record SignSeen(string SignId, int? Count = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => SignSeenEntry.It;
}

/// <summary>A sign.</summary>
public sealed class SignSeenEntry() : EntryDefinition<SignSeen>("signSeen")
{
    /// <summary>The definition.</summary>
    public static SignSeenEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new SignSeen("dull"), new SignSeen("swollen", 2)];

    /// <inheritdoc/>
    protected override Standing Fold(SignSeen act, Standing standing, JournalEntry entry)
    {
        var sign = new SignEvent(entry.Id, entry.When.To, act.SignId, act.Count);
        return standing with { Vigils = standing.Vigils with { Signs = [.. standing.Vigils.Signs, sign] } };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(SignSeen act, EntryAt at)
    {
        var rules = at.Room.Rules;
        bool Fits(SignRule sign) => at.Standing is null || sign.Groups.Contains(at.Standing.Details.Group);
        if (rules.Sign(act.SignId) is not { } sign || !Fits(sign))
        {
            var known = rules.Signs.Where(Fits).Select(s => s.Id);
            yield return new Problem("act.signId", $"Unknown sign for this group. Known: {string.Join(", ", known)}.");
        }

        foreach (var problem in EntryCheck.CheckCount(act.Count, at.Standing))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(SignSeen act, RuleSet rules, Wording words) =>
        $"sign: {(rules.Sign(act.SignId)?.Label ?? act.SignId).ToLowerFirst()}{EntryCheck.OfThem(act.Count)}";

    /// <inheritdoc/>
    protected override RoundPart Round(SignSeen act) => RoundPart.Look;

    /// <inheritdoc/>
    protected override string? Pace(SignSeen act) => "look";

    /// <inheritdoc/>
    protected override bool IsNews(SignSeen act) => true;

    /// <inheritdoc/>
    protected override string? Tomorrow(SignSeen act) => "sign seen: how does it look now?";
}
