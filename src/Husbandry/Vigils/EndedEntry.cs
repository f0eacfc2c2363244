using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>How a wait ended.</summary>
public enum VigilEnd
{
    /// <summary>As hoped: it came up, emerged, the first workers are there.</summary>
    AsHoped,

    /// <summary>Otherwise: it had only hidden, the pupa failed, the queen gave up.</summary>
    Otherwise,
}

/// <summary>A wait other than the one for a molt ended.</summary>
/// <param name="Vigil">What was awaited.</param>
/// <param name="End">How it ended.</param>
/// <param name="Count">Of many: for how many of them; for all that waited when left out.</param>
public sealed record Ended(VigilKind Vigil, VigilEnd End, int? Count = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => EndedEntry.It;
}

/// <summary>The end of a wait.</summary>
public sealed class EndedEntry() : EntryDefinition<Ended>("ended")
{
    /// <summary>The definition.</summary>
    public static EndedEntry It { get; } = new();

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            .. VigilDefinition
                .All.Select(v => v.Kind)
                .SelectMany(v => Enum.GetValues<VigilEnd>().Select(end => new Ended(v, end, end == 0 ? null : 2))),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Ended act, Standing standing, JournalEntry entry)
    {
        var asHoped = act.End == VigilEnd.AsHoped;
        var vigils = standing.Vigils;
        if (vigils.OpenOf(act.Vigil) is not { } open)
        {
            // A lone queen founds from the day she came, though nobody wrote that down.
            var founded = new VigilEvent(entry.Id, act.Vigil, Occurrence.At(standing.ArrivedAt), entry.When, asHoped);
            return act.Vigil == VigilKind.FirstWorkers && vigils.All.All(v => v.Vigil != VigilKind.FirstWorkers)
                ? standing with
                {
                    Vigils = vigils with { All = [.. vigils.All, founded] },
                }
                : standing;
        }

        var waiting = open.Count ?? standing.Details.Count;
        if (standing.IsMany && act.Count < waiting)
        {
            return standing.WithWait(open, open with { Count = waiting - act.Count });
        }

        var molted = asHoped && open.Whole ? MoltOf(open, entry) : null;
        var after = molted is null ? standing : standing.AfterMolt(molted);
        return after.WithWait(open, open with { Ended = entry.When, AsHoped = asHoped }) with
        {
            Details =
                act.Vigil == VigilKind.Hatching && asHoped && standing.Details.MoltsAtArrival is null
                    ? standing.Details with
                    {
                        MoltsAtArrival = 0,
                    }
                    : standing.Details,
        };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Ended act, EntryAt at)
    {
        if (act.Vigil == VigilKind.Molt)
        {
            yield return new Problem("act.vigil", "The wait for a molt ends with the molt: log that.");
        }
        else if (at is { Standing: { } standing, Group: not null })
        {
            var waiting = Subject.Of(standing, at.Room).Waits.FirstOrDefault(w => w.Vigil == act.Vigil);
            if (waiting is null)
            {
                yield return new Problem(
                    "act.vigil",
                    $"Nothing says that it {VigilDefinition.Of(act.Vigil).Began}: log that first."
                );
            }
            else if (act.Count > (waiting.Count ?? standing.Details.Count))
            {
                yield return new Problem("act.count", $"Only {waiting.Count ?? standing.Details.Count} of them wait.");
            }
        }

        foreach (var problem in EntryCheck.CheckCount(act.Count, at.Standing))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Ended act, RuleSet rules, Wording words) =>
        VigilDefinition.Of(act.Vigil).PastEnd(act.End == VigilEnd.AsHoped) + EntryCheck.OfThem(act.Count);

    /// <inheritdoc/>
    protected override bool IsHistory(Ended act) => true;

    /// <inheritdoc/>
    protected override bool IsNews(Ended act) => true;

    /// <summary>
    /// The molt that lay in the wait: a crab that comes up as hoped molted at some time underground; what leaves the pupa
    /// is adult. Of many it is said of all or of none.
    /// </summary>
    private static MoltEvent? MoltOf(VigilEvent wait, JournalEntry end) =>
        VigilDefinition.Of(wait.Vigil).Molt switch
        {
            MoltInWait.None => null,
            MoltInWait.FirstAndLast => new MoltEvent(end.Id, end.When, Ultimate: true, Mismolt: false),
            MoltInWait.Unseen => new MoltEvent(
                end.Id,
                new Occurrence(wait.Began.From, end.When.To),
                Ultimate: false,
                Mismolt: false
            ),
            _ => throw new ArgumentOutOfRangeException(nameof(wait), wait.Vigil, "Nothing says what its end does."),
        };
}
