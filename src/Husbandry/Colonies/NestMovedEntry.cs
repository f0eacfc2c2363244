using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Colonies;

/// <summary>A colony moves into another nest: begun, first scout, over or given up.</summary>
/// <param name="Step">How far it has come.</param>
/// <param name="School">How, when it begins.</param>
public sealed record NestMoved(NestStep Step, NestSchool? School = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => NestMovedEntry.It;
}

/// <summary>A move into another nest.</summary>
public sealed class NestMovedEntry() : EntryDefinition<NestMoved>("nestMoved")
{
    /// <summary>The definition.</summary>
    public static NestMovedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new NestMoved(NestStep.Begun, NestSchool.Connect),
            new NestMoved(NestStep.Scout),
            new NestMoved(NestStep.Over),
        ];

    /// <summary>Whether it may be moved: a colony that has workers.</summary>
    public static bool MayMove(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return subject.Group.Feeding.Diet == Diet.SugarAndProtein
            && !subject.IsQueenAlone
            && subject.Standing.Departure is null;
    }

    /// <inheritdoc/>
    protected override Standing Fold(NestMoved act, Standing standing, JournalEntry entry)
    {
        var at = entry.When.To;
        var open = standing.Colony.Nest is { EndedAt: null } under ? under : null;
        NestEvent? nest = act.Step switch
        {
            NestStep.Begun => new NestEvent(at, act.School ?? NestSchool.Connect, null, null, false),
            NestStep.Scout => open is null ? standing.Colony.Nest : open with { ScoutAt = open.ScoutAt ?? at },
            NestStep.Over => (open ?? new NestEvent(at, NestSchool.Forceps, null, null, false)) with
            {
                EndedAt = at,
                IsOver = true,
            },
            NestStep.GivenUp => open is null ? standing.Colony.Nest : open with { EndedAt = at },
            _ => throw new ArgumentOutOfRangeException(nameof(act), act.Step, "No such step."),
        };
        return standing with { Colony = standing.Colony with { Nest = nest } };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(NestMoved act, EntryAt at)
    {
        if (at.Written || at is not { Standing: { } standing, Group: not null })
        {
            yield break;
        }

        if (!MayMove(Subject.Of(standing, at.Room)))
        {
            yield return new Problem("act.kind", "Only a colony of ants that has workers moves into a nest.");
        }
        else if (act.Step is NestStep.Scout or NestStep.GivenUp && standing.Colony.Nest is not { EndedAt: null })
        {
            yield return new Problem("act.step", "No move is under way: begin it first.");
        }
    }

    /// <inheritdoc/>
    protected override string Say(NestMoved act, RuleSet rules, Wording words) =>
        act.Step switch
        {
            NestStep.Begun => act.School == NestSchool.Forceps
                ? "being moved by forceps into a new nest"
                : "connected to a new nest: new one dark, old one light",
            NestStep.Scout => "first scout in the new nest",
            NestStep.Over => "all in the new nest, the queen among them",
            NestStep.GivenUp => "the move was given up",
            _ => throw new ArgumentOutOfRangeException(nameof(act), act.Step, "No words for such a step."),
        };

    /// <inheritdoc/>
    protected override CareAct? Care(NestMoved act, Subject subject) =>
        act.Step == NestStep.Begun ? CareAct.Rehouse : null;

    /// <inheritdoc/>
    protected override bool IsNews(NestMoved act) => true;
}
