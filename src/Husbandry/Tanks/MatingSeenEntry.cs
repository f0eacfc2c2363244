using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tanks;

/// <summary>Something of the mating of crabs was seen in a shared tank.</summary>
/// <param name="FemaleId">The female.</param>
/// <param name="MaleId">The male, where it was seen which.</param>
/// <param name="Sight">What was seen.</param>
public sealed record MatingSeen(Guid FemaleId, Guid? MaleId, MatingSight Sight) : Act
{
    /// <inheritdoc/>
    public override EntryKind Kind() => MatingSeenEntry.It;
}

/// <summary>A line of a tank's mating log.</summary>
public sealed class MatingSeenEntry() : EntryDefinition<MatingSeen>("matingSeen")
{
    private const int Remembered = 80;

    /// <summary>The definition.</summary>
    public static MatingSeenEntry It { get; } = new();

    /// <inheritdoc/>
    public override bool OfTanks => true;

    /// <inheritdoc/>
    public override IReadOnlyList<Act> Examples =>
        [
            new MatingSeen(Guid.Empty, null, MatingSight.Guarding),
            new MatingSeen(Guid.Empty, Guid.Empty, MatingSight.Transfer),
        ];

    /// <inheritdoc/>
    protected override Standing Fold(MatingSeen act, Standing standing, JournalEntry entry) =>
        standing with
        {
            Shared = standing.Shared with
            {
                Matings =
                [
                    .. standing.Shared.Matings.TakeLast(Remembered - 1),
                    new MatingEvent(entry.When.To, act.FemaleId, act.MaleId, act.Sight),
                ],
            },
        };

    /// <inheritdoc/>
    protected override IEnumerable<Problem> Check(MatingSeen act, EntryAt at)
    {
        if (act.MaleId == act.FemaleId)
        {
            yield return new Problem("act.maleId", "Name two.");
        }

        if (act is { MaleId: null, Sight: MatingSight.Transfer or MatingSight.TakenOver })
        {
            yield return new Problem("act.maleId", "Say which male: he may be the father.");
        }

        if (at is not { Written: false, Standing: { } standing })
        {
            yield break;
        }

        if (!standing.IsTank)
        {
            yield return new Problem("act.kind", "The mating log is that of a shared tank.");
            yield break;
        }

        var inmates = at.Room.Tanks.InmatesOf(standing.StockId);
        if (inmates.FirstOrDefault(i => i.StockId == act.FemaleId) is not { } female)
        {
            yield return new Problem("act.femaleId", "She does not live in this tank.");
        }
        else if (female.Details.Sex == Sex.Male)
        {
            yield return new Problem("act.femaleId", "That one is a male by its record.");
        }

        if (act.MaleId is { } id)
        {
            if (inmates.FirstOrDefault(i => i.StockId == id) is not { } male)
            {
                yield return new Problem("act.maleId", "He does not live in this tank.");
            }
            else if (male.Details.Sex == Sex.Female)
            {
                yield return new Problem("act.maleId", "That one is a female by its record.");
            }
        }
    }

    /// <inheritdoc/>
    protected override string Say(MatingSeen act, RuleSet rules, Wording words) => $"mating log: {WordOf(act.Sight)}";

    /// <inheritdoc/>
    protected override bool IsToldTwice(MatingSeen act, MatingSeen other) =>
        act.FemaleId == other.FemaleId && act.Sight == other.Sight;

    /// <summary>A sight in words.</summary>
    public static string WordOf(MatingSight sight) =>
        sight switch
        {
            MatingSight.Guarding => "he guards her",
            MatingSight.Rivals => "rivals fight over her",
            MatingSight.Transfer => "shells together, transfer",
            MatingSight.TakenOver => "another male took her over",
            MatingSight.LooseEggs => "loose eggs at her shell",
            MatingSight.AttachedEggs => "eggs attached, orange",
            MatingSight.EyedEggs => "eggs grey, with eyes",
            MatingSight.ToTheWater => "at the salt water, eggs given off",
            _ => throw new ArgumentOutOfRangeException(nameof(sight), sight, "No word for such a sight."),
        };
}
