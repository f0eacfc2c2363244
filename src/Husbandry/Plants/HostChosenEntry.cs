using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Plants;

/// <summary>The plant that larvae are fed with from now on, or that eggs are going to be.</summary>
/// <param name="Plant">Its name, 1–60 characters.</param>
/// <param name="Anyway">Whether that stands although they are not known to take it, or do not change midway.</param>
public sealed record HostChosen(string Plant, bool Anyway = false) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => HostChosenEntry.It;
}

/// <summary>The food plant on record; never changed without a word.</summary>
/// <remarks>Source: common practice, no published source: larvae refuse another plant midway, and starve before it.</remarks>
public sealed class HostChosenEntry() : EntryDefinition<HostChosen>("hostChosen")
{
    /// <summary>The definition.</summary>
    public static HostChosenEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new HostChosen("oak"), new HostChosen("oak", Anyway: true)];

    /// <summary>Whether it has a food plant: larvae and eggs of what eats leaf.</summary>
    public static bool HasHost(Subject subject, Stage stage)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return subject.Group.Feeding.Diet == Diet.Leaves
            && stage is not (Stage.Pupa or Stage.Adult)
            && !subject.AllWaitFor(VigilKind.Emergence);
    }

    /// <summary>The plant they are fed with: as on record, else that on which they were found, else none.</summary>
    public static string? OnRecord(Standing standing)
    {
        ArgumentNullException.ThrowIfNull(standing);
        return standing.Feeding.Host?.Plant ?? standing.Details.Wild?.Host;
    }

    /// <summary>Whether two names are of one plant.</summary>
    public static bool IsSame(string one, string other)
    {
        ArgumentNullException.ThrowIfNull(one);
        ArgumentNullException.ThrowIfNull(other);
        return string.Equals(one.Trim(), other.Trim(), StringComparison.OrdinalIgnoreCase);
    }

    /// <inheritdoc/>
    protected override Standing Fold(HostChosen act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Feeding = standing.Feeding with { Host = new HostEvent(entry.When.To, act.Plant.Trim(), act.Anyway) },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(HostChosen act, EntryAt at)
    {
        foreach (var problem in EntryCheck.CheckText("act.plant", act.Plant, required: true, EntryCheck.LongestName))
        {
            yield return problem;
        }

        if (at is not { Written: false, Standing: { } standing } || string.IsNullOrWhiteSpace(act.Plant))
        {
            yield break;
        }

        var subject = Subject.Of(standing, at.Room);
        if (!HasHost(subject, Growth.StageReading.Of(subject, Growth.BodySize.Of(subject).Value).Value))
        {
            yield return new Problem("act.kind", $"A {subject.Group.One} as it is now eats no leaf.");
            yield break;
        }

        if (act.Anyway || subject.Profile.Larvae is not { } larvae)
        {
            yield break;
        }

        var before = OnRecord(standing);
        if (larvae.Hosts.Value.All(h => !IsSame(h, act.Plant)) && (before is null || !IsSame(before, act.Plant)))
        {
            yield return new Problem(
                "act.anyway",
                $"{subject.SpeciesName} is not known to take {act.Plant.Trim()}: it takes {string.Join(", ", larvae.Hosts.Value)}. Say so if it stands anyway."
            );
        }
        else if (
            before is not null
            && !IsSame(before, act.Plant)
            && !larvae.HostMayChange.Value
            && !subject.AllWaitFor(VigilKind.Hatching)
        )
        {
            yield return new Problem(
                "act.anyway",
                $"They began on {before} and do not take another plant midway. Offer both together first; say so if it stands anyway."
            );
        }
    }

    /// <inheritdoc/>
    protected override string Say(HostChosen act, RuleSet rules, Wording words) =>
        $"fed with {act.Plant} from now on{(act.Anyway ? ", against what is known of it" : "")}";
}
