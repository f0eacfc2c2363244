using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>The night on which a wintering pupa is to be taken out of the cold was planned.</summary>
/// <param name="On">The night; none takes the plan back.</param>
public sealed record WarmUpPlanned(DateOnly? On = null) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => WarmUpPlannedEntry.It;
}

/// <summary>A night out of the cold, planned; the round asks for it then.</summary>
public sealed class WarmUpPlannedEntry() : EntryDefinition<WarmUpPlanned>("warmUpPlanned")
{
    private const int FurthestDays = 730;

    /// <summary>The definition.</summary>
    public static WarmUpPlannedEntry It { get; } = new();

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples => [new WarmUpPlanned(new DateOnly(2027, 4, 12)), new WarmUpPlanned()];

    /// <summary>Whether it lies in the cold as a pupa, and comes out of it one day.</summary>
    public static bool MayBePlanned(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        return subject.IsChilled && subject.Standing.Vigils.OpenOf(VigilKind.Emergence) is not null;
    }

    /// <inheritdoc/>
    protected override Standing Fold(WarmUpPlanned act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Vigils = standing.Vigils with { WarmUpOn = act.On },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(WarmUpPlanned act, EntryAt at)
    {
        if (at.Written || at is not { Standing: { } standing, Group: not null })
        {
            yield break;
        }

        if (!MayBePlanned(Subject.Of(standing, at.Room)))
        {
            yield return new Problem(
                "act.kind",
                "Only pupae that lie in the winter cold are planned to be taken out of it."
            );
        }
        else if (
            act.On is { } on
            && (on < at.Room.Clock.NightOf(at.When.To) || on > at.Room.Tonight.AddDays(FurthestDays))
        )
        {
            yield return new Problem(
                "act.on",
                $"Must be from tonight to {at.Room.Wording.Date(at.Room.Tonight.AddDays(FurthestDays))}."
            );
        }
    }

    /// <inheritdoc/>
    protected override string Say(WarmUpPlanned act, RuleSet rules, Wording words) =>
        act.On is { } on
            ? $"to be taken out of the cold {words.Day(on)}"
            : "no night planned for taking it out of the cold";

    /// <inheritdoc/>
    protected override bool IsToldTwice(WarmUpPlanned act, WarmUpPlanned other) => act.On == other.On;
}
