using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>A wait other than the one for a molt ended.</summary>
/// <param name="Vigil">What was awaited.</param>
/// <param name="End">How it ended, by the id of the end.</param>
/// <param name="Count">Of many: for how many of them; for all that waited when left out.</param>
/// <param name="VigilId">Which wait of the kind, by the entry that began it; the oldest that is open when left out.</param>
/// <param name="Loss">Of eggs or a brood that came to nothing: what became of it; may be left out.</param>
public sealed record Ended(VigilKind Vigil, string End, int? Count = null, Guid? VigilId = null, CaseLoss? Loss = null)
    : Act
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
            .. VigilDefinition.All.SelectMany(v =>
                v.AllEnds.Select(e => new Ended(v.Kind, e.Id, e.IsHoped ? null : 2))
            ),
            new Ended(VigilKind.Hatching, VigilEnd.AsHoped, VigilId: Guid.Empty),
            .. Enum.GetValues<CaseLoss>().Select(loss => new Ended(VigilKind.Young, VigilEnd.Otherwise, Loss: loss)),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Ended act, Standing standing, JournalEntry entry)
    {
        var vigils = standing.Vigils;
        if (Meant(act, vigils) is not { } open)
        {
            // A lone queen founds from the day she came, though nobody wrote that down.
            var founded = new VigilEvent(entry.Id, act.Vigil, Occurrence.At(standing.ArrivedAt), entry.When, act.End);
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

        var over = standing.WithWait(open, open with { Ended = entry.When, End = act.End, Loss = act.Loss });
        // Of many it is said of all or of none.
        return open.Whole || Effect(act) == EndEffect.Hatched ? After(Effect(act), over, open, entry) : over;
    }

    /// <summary>
    /// The wait that an end is told of; none when none such is open. A beginning that was mended since has another id: then
    /// the oldest is meant.
    /// </summary>
    private static VigilEvent? Meant(Ended act, VigilState vigils) =>
        vigils.All.Any(w => w.Id == act.VigilId && w.Vigil == act.Vigil)
            ? vigils.Open.FirstOrDefault(w => w.Id == act.VigilId)
            : vigils.OpenOf(act.Vigil);

    // An end that there is not is refused when it is logged; where a file has one that was taken back, it did nothing.
    private static EndEffect Effect(Ended act) =>
        VigilDefinition.Of(act.Vigil).FindEnd(act.End)?.Effect ?? EndEffect.None;

    /// <summary>What the end does beside ending the wait.</summary>
    private static Standing After(EndEffect effect, Standing standing, VigilEvent wait, JournalEntry end) =>
        effect switch
        {
            EndEffect.None => standing,
            EndEffect.MoltedLast => standing.AfterMolt(new MoltEvent(end.Id, end.When, Ultimate: true, Mismolt: false)),
            EndEffect.MoltedUnseen => standing.AfterMolt(
                new MoltEvent(end.Id, new Occurrence(wait.Began.From, end.When.To), Ultimate: false, Mismolt: false)
            ),
            EndEffect.Hatched => standing with
            {
                Details = standing.Details with { MoltsAtArrival = standing.Details.MoltsAtArrival ?? 0 },
            },
            _ => throw new ArgumentOutOfRangeException(nameof(effect), effect, "Nothing says what such an end does."),
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Ended act, EntryAt at)
    {
        if (act.Vigil == VigilKind.Molt)
        {
            yield return new Problem("act.vigil", "The wait for a molt ends with the molt: log that.");
        }
        else if (VigilDefinition.Of(act.Vigil).FindEnd(act.End) is null)
        {
            yield return new Problem(
                "act.end",
                $"Must be one of: {string.Join(", ", VigilDefinition.Of(act.Vigil).AllEnds.Select(e => e.Id))}."
            );
        }
        else if (at is { Standing: { } standing, Group: not null })
        {
            var waits = Subject.Of(standing, at.Room).Waits.Where(w => w.Vigil == act.Vigil).ToList();
            var waiting =
                act.VigilId is null || at.Written ? waits.FirstOrDefault() : waits.Find(w => w.Id == act.VigilId);
            if (waiting is null && waits.Count > 0)
            {
                yield return new Problem("act.vigilId", "No wait of this kind that began with that entry is open.");
            }
            else if (waiting is null)
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

        if (act.Loss is not null && !(act is { End: VigilEnd.Otherwise, Vigil: VigilKind.Young or VigilKind.Hatching }))
        {
            yield return new Problem("act.loss", "Only of eggs or a brood that came to nothing is it said how.");
        }

        foreach (var problem in EntryCheck.CheckCount(act.Count, at.Standing))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Ended act, RuleSet rules, Wording words) =>
        (VigilDefinition.Of(act.Vigil).FindEnd(act.End)?.PastOf(null) ?? act.End)
        + (act.Loss is { } loss ? $" ({Word(loss)})" : "")
        + EntryCheck.OfThem(act.Count);

    /// <summary>What became of an egg case in a word or two.</summary>
    public static string Word(CaseLoss loss) =>
        loss switch
        {
            CaseLoss.Eaten => "eaten",
            CaseLoss.Abandoned => "abandoned",
            CaseLoss.Moldy => "moldy",
            CaseLoss.Dry => "dried out",
            CaseLoss.NotFertile => "not fertile",
            _ => throw new ArgumentOutOfRangeException(nameof(loss), loss, "No word for such a loss."),
        };

    /// <inheritdoc/>
    protected override bool IsHistory(Ended act) => true;

    /// <inheritdoc/>
    protected override Ended? ForPapers(Ended act) => act with { VigilId = null };

    /// <inheritdoc/>
    protected override bool IsNews(Ended act) => true;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Ended act, Ended other) => act.Vigil == other.Vigil;
}
