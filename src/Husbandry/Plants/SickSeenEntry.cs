using System.Globalization;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Plants;

/// <summary>Young were looked at, and some did not thrive.</summary>
/// <param name="Signs">What was seen, at least one.</param>
/// <param name="Count">How many of them, where that was counted.</param>
public sealed record SickSeen(IReadOnlyList<SickSign> Signs, int? Count = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => SickSeenEntry.It;
}

/// <summary>Sick ones seen: their box is tended last for some time, and the others of their kind are watched.</summary>
/// <remarks>Source: common practice, no published source.</remarks>
public sealed class SickSeenEntry() : EntryDefinition<SickSeen>("sickSeen")
{
    /// <summary>The definition.</summary>
    public static SickSeenEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [new SickSeen([SickSign.RunnyFrass, SickSign.Sluggish], 2), new SickSeen([SickSign.OddColour])];

    /// <summary>Whether such looks are written down of it: broods, and what lives on leaf.</summary>
    public static bool Concerns(Subject subject, Stage stage)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return subject.Group.Feeding.Diet != Diet.SugarAndProtein
            && (subject.IsBrood || subject.Group.Feeding.Diet == Diet.Leaves)
            && stage is not (Stage.Egg or Stage.Pupa)
            && !subject.AllWaitFor(VigilKind.Hatching)
            && !subject.AllWaitFor(VigilKind.Emergence);
    }

    /// <summary>Night until which it is tended last; none where nothing sick was seen of late.</summary>
    public static DateOnly? WatchedUntil(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return
            subject.Standing.Vigils.Sick is { } seen
            && seen.Signs.Any(s => s != SickSign.OddColour)
            && subject.Standing.Departure is null
            && subject.Night(seen.At).AddDays(subject.Room.Rules.Room.Plants.SickWatchNights.Value) is var until
            && until > subject.Room.Tonight
            ? until
            : null;
    }

    /// <summary>What was seen, in words.</summary>
    public static string Word(SickSign sign) =>
        sign switch
        {
            SickSign.Sluggish => "sluggish",
            SickSign.RunnyFrass => "runny frass",
            SickSign.Shrunken => "shrunken",
            SickSign.DarkAndSoft => "dark and soft",
            SickSign.OddColour => "coloured otherwise",
            _ => throw new ArgumentOutOfRangeException(nameof(sign), sign, "No word for such a sign."),
        };

    /// <summary>What to do about it, in a sentence.</summary>
    public static string Advice(IReadOnlyList<SickSign> signs)
    {
        ArgumentNullException.ThrowIfNull(signs);
        return signs.All(s => s == SickSign.OddColour)
            ? "Only coloured otherwise: perhaps its mother’s line. Note it and watch; put it by itself if anything else appears."
            : "One that sits still with a swollen head is about to molt: leave it where it is. Put the others that ail by themselves at once, in a small box of their own. Tend this box last, with tools of its own; look at the others of their kind daily.";
    }

    /// <inheritdoc/>
    protected override Standing Fold(SickSeen act, Standing standing, JournalEntry entry)
    {
        var (former, seen) = (standing.Vigils.Sick, new SickEvent(entry.When.To, act.Signs, act.Count));
        // One that is only coloured otherwise ends no watch for the sick.
        var keeps = act.Signs.All(s => s == SickSign.OddColour) && former is not null;
        return keeps ? standing : standing with { Vigils = standing.Vigils with { Sick = seen } };
    }

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(SickSeen act, EntryAt at)
    {
        if (
            act.Signs.Count == 0
            || act.Signs.Distinct().Count() < act.Signs.Count
            || act.Signs.Any(s => !Enum.IsDefined(s))
        )
        {
            yield return new Problem("act.signs", "Say what was seen, each once.");
        }

        var most = at.Standing?.Details.Count ?? EntryCheck.MostAnimals;
        if (act.Count is { } count && (count < 1 || count > most))
        {
            yield return new Problem("act.count", $"Must be 1 to {most}, as many as there are.");
        }

        if (at is { Written: false, Standing: { } standing })
        {
            var subject = Subject.Of(standing, at.Room);
            if (!Concerns(subject, StageReading.Of(subject, BodySize.Of(subject).Value).Value))
            {
                yield return new Problem(
                    "act.kind",
                    $"That is written down of broods and of larvae, not of a {subject.Group.One} as it is now."
                );
            }
        }
    }

    /// <inheritdoc/>
    protected override string Say(SickSeen act, RuleSet rules, Wording words) =>
        (act.Count is { } count ? $"{count.ToString(CultureInfo.InvariantCulture)} " : "some ")
        + string.Join(", ", act.Signs.Select(Word));

    /// <inheritdoc/>
    protected override bool IsNews(SickSeen act) => true;

    /// <inheritdoc/>
    protected override bool IsToldTwice(SickSeen act, SickSeen other) => true;
}
