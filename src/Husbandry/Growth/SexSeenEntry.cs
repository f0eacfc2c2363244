using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Growth;

/// <summary>The sex was told from something; the details follow it.</summary>
public sealed record SexSeen(Sex Sex, SexEvidence By) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => SexSeenEntry.It;
}

/// <summary>The sex told from something; too early a guess is refused with the reason.</summary>
/// <remarks>Source: common practice, no published source.</remarks>
public sealed class SexSeenEntry() : EntryDefinition<SexSeen>("sexSeen")
{
    /// <summary>The definition.</summary>
    public static SexSeenEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [.. Enum.GetValues<SexEvidence>().SelectMany(by => Enum.GetValues<Sex>().Select(sex => new SexSeen(sex, by)))];

    /// <inheritdoc/>
    protected override Standing Fold(SexSeen act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Growth = standing.Growth with
            {
                SexTold = [.. standing.Growth.SexTold, new SexEvent(entry.When.To, act.Sex, act.By)],
            },
            Details = standing.Details with { Sex = act.Sex },
            DetailsVersion = entry.Sequence,
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(SexSeen act, EntryAt at)
    {
        // Rules of telling the sex may be newer than what was written under others.
        if (at is not { Written: false, Standing: { } standing, Group: not null } || act.Sex == Sex.Unknown)
        {
            yield break;
        }

        var subject = Subject.Of(standing, at.Room);
        var marks = SexTelling.Marks(subject);
        if (marks.GetValueOrDefault(act.By) is not { } rule)
        {
            var known = string.Join(", ", marks.Keys.Select(Noun));
            var whose = subject.Profile.Sexing is null ? $"a {subject.Group.One}" : subject.SpeciesName;
            yield return new Problem("act.by", $"The sex of {whose} is not told so. It is told by: {known}.");
            yield break;
        }

        // What was seen before the last molts on record is held against the stage of then.
        var molts = standing.Growth.Molts.Count(m => m.When.From <= at.When.To);
        var then =
            molts == standing.Growth.Molts.Count
                ? StageReading.Of(subject, BodySize.Of(subject).Value).Value
                : StageReading.Then(subject, molts);
        var instar = standing.MoltsBeforeRecord + molts + subject.Group.InstarAtHatching;
        if (!SexTelling.Shows(rule, then, instar))
        {
            yield return new Problem("act.by", $"Too early to tell: {rule.Why.Value}");
        }
    }

    /// <inheritdoc/>
    protected override string Say(SexSeen act, RuleSet rules, Wording words) =>
        $"told as {Word(act.Sex)} {Evidence(act.By)}";

    /// <inheritdoc/>
    protected override bool IsHistory(SexSeen act) => true;

    /// <inheritdoc/>
    protected override SexSeen? ForPapers(SexSeen act) => act;

    private static string Word(Sex sex) =>
        sex switch
        {
            Sex.Female => "female",
            Sex.Male => "male",
            Sex.Unknown => "not certain",
            _ => throw new ArgumentOutOfRangeException(nameof(sex), sex, "No word for such a sex."),
        };

    /// <summary>By what the sex is told, as a noun.</summary>
    internal static string Noun(SexEvidence by) =>
        by switch
        {
            SexEvidence.ShedSkin => "the shed skin",
            SexEvidence.Furrow => "the furrow",
            SexEvidence.AdultMarks => "adult marks",
            SexEvidence.Segments => "its segments",
            SexEvidence.Pores => "pores or tubes",
            SexEvidence.Pectines => "its combs",
            SexEvidence.Antennae => "its antennae",
            SexEvidence.Looks => "its looks",
            _ => throw new ArgumentOutOfRangeException(nameof(by), by, "No words for such evidence."),
        };

    private static string Evidence(SexEvidence by) =>
        by switch
        {
            SexEvidence.ShedSkin => "from the shed skin",
            SexEvidence.Furrow => "by the furrow",
            SexEvidence.AdultMarks => "by its adult marks",
            SexEvidence.Segments => "by its segments",
            SexEvidence.Pores => "by its pores or tubes",
            SexEvidence.Pectines => "by its combs",
            SexEvidence.Antennae => "by its antennae",
            SexEvidence.Looks => "by its looks",
            _ => throw new ArgumentOutOfRangeException(nameof(by), by, "No words for such evidence."),
        };
}
