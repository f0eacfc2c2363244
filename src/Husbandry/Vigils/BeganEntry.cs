using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>A wait other than the one for a molt began: it buried itself, pupated, was set up to found a colony.</summary>
/// <param name="Vigil">What is awaited.</param>
/// <param name="Count">Of many: how many of them; when left out all, but one for what buries itself.</param>
public sealed record Began(VigilKind Vigil, int? Count = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => BeganEntry.It;
}

/// <summary>The beginning of a wait.</summary>
public sealed class BeganEntry() : EntryDefinition<Began>("began")
{
    /// <summary>The definition.</summary>
    public static BeganEntry It { get; } = new();

    /// <inheritdoc/>
    public override Teaching Teaches => Teaching.Waits;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            .. VigilDefinition
                .All.Where(v => v.Kind != VigilKind.EggCase)
                .SelectMany(v => new Act[] { new Began(v.Kind), new Began(v.Kind, 2) }),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(Began act, Standing standing, JournalEntry entry)
    {
        var vigil = VigilDefinition.Of(act.Vigil);
        if (!standing.IsMany && act.Vigil is VigilKind.Young or VigilKind.Hatching)
        {
            standing = standing.WithEggCase(entry.When);
        }

        // Of many, what buries itself is one unless it is said how many do.
        var count = !standing.IsMany ? null : act.Count ?? (vigil.IsOfOne ? 1 : null);
        if (standing.Vigils.OpenOf(act.Vigil) is { Count: { } already } open)
        {
            var now = Math.Min(standing.Details.Count, already + (count ?? standing.Details.Count));
            return standing.WithWait(open, open with { Count = now });
        }

        var some = count < standing.Details.Count ? count : null;
        // Pupating is a molt: the larva's skin comes off.
        var before =
            vigil.BeginsWithMolt && some is null
                ? standing.AfterMolt(new MoltEvent(entry.Id, entry.When, false, false))
                : standing;
        var wait = new VigilEvent(entry.Id, act.Vigil, entry.When, null, null, some, some is null);
        return before with { Vigils = before.Vigils with { All = [.. before.Vigils.All, wait] } };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(Began act, EntryAt at)
    {
        if (act.Vigil == VigilKind.Molt)
        {
            yield return new Problem("act.vigil", "The wait for a molt begins with the molt before it: log that.");
        }
        else if (act.Vigil == VigilKind.EggCase)
        {
            yield return new Problem(
                "act.vigil",
                "The wait for what a pairing gives begins with the pairing: log that."
            );
        }
        else if (at is { Standing: { } standing, Group: { } group })
        {
            if (VigilForecast.InTheWay(standing, act.Vigil) is { } waiting)
            {
                yield return new Problem(
                    "act.vigil",
                    $"It {VigilDefinition.Of(waiting.Vigil).Began} already; log how that ended first."
                );
            }
            else if (!group.Knows(act.Vigil))
            {
                yield return new Problem("act.vigil", $"This does not happen to a {group.One}.");
            }
            else if (act.Vigil == VigilKind.Young && standing.Details.Sex == Sex.Male)
            {
                yield return new Problem(
                    "act.vigil",
                    "A male does not brood: mend the sex first if it was told wrong."
                );
            }
        }

        foreach (var problem in EntryCheck.CheckCount(act.Count, at.Standing))
        {
            yield return problem;
        }
    }

    /// <inheritdoc/>
    protected override string Say(Began act, RuleSet rules, Wording words) =>
        VigilDefinition.Of(act.Vigil).Began + EntryCheck.OfThem(act.Count);

    /// <inheritdoc/>
    protected override bool IsHistory(Began act) => true;

    /// <inheritdoc/>
    protected override Began? ForPapers(Began act) => act;

    /// <inheritdoc/>
    protected override bool IsNews(Began act) => true;

    /// <inheritdoc/>
    protected override bool IsToldTwice(Began act, Began other) => act.Vigil == other.Vigil;
}

/// <summary>Changes of single waits in a standing.</summary>
internal static class StandingWaits
{
    /// <summary>What was waited for after a pairing has come.</summary>
    public static Standing WithEggCase(this Standing standing, Occurrence when) =>
        standing.Vigils.OpenOf(VigilKind.EggCase) is { } open
            ? standing.WithWait(open, open with { Ended = when, End = VigilEnd.AsHoped })
            : standing;

    public static Standing WithWait(this Standing standing, VigilEvent former, VigilEvent now) =>
        standing with
        {
            Vigils = standing.Vigils with
            {
                All = [.. standing.Vigils.All.Select(v => ReferenceEquals(v, former) ? now : v)],
            },
        };
}
