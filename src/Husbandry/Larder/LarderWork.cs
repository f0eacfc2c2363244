using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Larder;

/// <summary>What is to be done at the larder on a round.</summary>
public enum LarderTask
{
    /// <summary>A pot is past its time or has mites: out with it.</summary>
    ThrowAway,

    /// <summary>Pots come out of the cold before too many no longer hatch.</summary>
    OutOfCold,

    /// <summary>A culture is started.</summary>
    Start,

    /// <summary>Food is ordered.</summary>
    Order,

    /// <summary>A pot of a food plant is watered.</summary>
    WaterPlant,

    /// <summary>Cut leaf is past its time: out with it.</summary>
    ThrowLeaf,

    /// <summary>Leaf is cut outside.</summary>
    CutLeaf,

    /// <summary>Pots of a food plant are bought.</summary>
    BuyPlant,
}

/// <summary>Work at the larder that falls on a night, found from the cultures and the plan, not planned by the keeper.</summary>
/// <param name="Task">What.</param>
/// <param name="Due">Night on which it falls; before tonight when it is overdue.</param>
/// <param name="CultureId">Which culture; none for one that is not there yet.</param>
/// <param name="FeederId">Of which feeder.</param>
/// <param name="Pots">Pots; 0 for an order.</param>
/// <param name="End">Why a culture is thrown away.</param>
/// <param name="Text">"Throw away 1 pot of fruit flies".</param>
/// <param name="Because">Why now, in a few words.</param>
/// <param name="Minutes">How long it takes, minutes; 0 for an order.</param>
/// <param name="Reasons">What that rests on.</param>
/// <param name="PlantId">Which food plant; none where it is not about one that is there.</param>
public sealed record LarderWork(
    LarderTask Task,
    DateOnly Due,
    Guid? CultureId,
    string FeederId,
    int Pots,
    CultureEnd? End,
    string Text,
    string Because,
    double Minutes,
    IReadOnlyList<Reason> Reasons,
    Guid? PlantId = null
)
{
    /// <summary>All work that can be seen coming, the first due first.</summary>
    /// <param name="larder">The larder.</param>
    /// <param name="plan">Its plan.</param>
    /// <param name="room">Rules, climate and tonight.</param>
    public static IReadOnlyList<LarderWork> Of(LarderStanding larder, LarderPlan plan, Room room) =>
        [
            .. larder
                .StandingCultures.Select(c => OfCulture(c, room))
                .Concat(plan.Steps.Select(s => OfStep(s, plan, room)))
                .Concat(PantryWork.Of(larder, plan, room))
                .OfType<LarderWork>()
                .OrderBy(w => w.Due)
                .ThenBy(w => w.Task)
                .ThenBy(w => w.Text, StringComparer.Ordinal),
        ];

    private static LarderWork? OfCulture(Culture culture, Room room)
    {
        if (room.Rules.Feeder(culture.FeederId) is not { Culture: { } rules } feeder)
        {
            return null;
        }

        var words = room.Wording;
        LarderWork Work(LarderTask task, DateOnly due, CultureEnd? end, string verb, string because, Reason why) =>
            new(
                task,
                due,
                culture.Id,
                feeder.Id,
                culture.Pots,
                end,
                $"{verb} {feeder.PotsOf(culture.Pots)}",
                because,
                culture.Pots * room.Rules.Larder.MinutesPerPot.Value,
                [why, .. LarderReasons.Of(feeder, rules, room.RecentC, room.Rules.Larder)]
            );

        if (culture.MitesAt is { } seen)
        {
            var night = room.Clock.NightOf(seen);
            return Work(
                LarderTask.ThrowAway,
                night,
                CultureEnd.Mites,
                "Throw away",
                $"mites, seen {words.Day(night)}",
                Reason.FromRecord(
                    "Mites",
                    $"Mites were seen {words.Day(night)}: they ride along with the flies and move into the next pot.",
                    "record.larder"
                )
            );
        }

        if (culture.IsCold)
        {
            if (rules.ColdHoldsDays is not { } holds)
            {
                return null;
            }

            var since = room.Clock.NightOf(culture.Cold[^1].From);
            return Work(
                LarderTask.OutOfCold,
                since.AddDays((int)holds.Value),
                null,
                "Take out of the cold",
                $"in it since {words.Day(since)}",
                holds.Because(
                    "Cold",
                    $"feeder.{feeder.Id}.culture.coldHoldsDays",
                    $"In the cold since {words.Day(since)}; after {Wording.Days(holds.Value)} only half still hatches."
                )
            );
        }

        var ends = Emergence.NightAt(culture, rules.EndDays.Value, room);
        return Work(
            LarderTask.ThrowAway,
            ends,
            CultureEnd.Spent,
            "Throw away",
            $"past its time since {words.Day(ends)}",
            rules.EndDays.Because(
                "Spent",
                $"feeder.{feeder.Id}.culture.endDays",
                $"Nothing comes any more from {words.Day(ends)} on; an old pot breeds mold and mites."
            )
        );
    }

    private static LarderWork OfStep(LarderStep step, LarderPlan plan, Room room)
    {
        var starts = step.Do == LarderDo.StartCulture;
        return new LarderWork(
            starts ? LarderTask.Start : LarderTask.Order,
            step.By,
            null,
            step.Food.FeederId,
            starts ? step.Amount : 0,
            null,
            $"{(starts ? "Start" : "Order")} {step.What}",
            step.Why,
            starts ? step.Amount * room.Rules.Larder.MinutesPerPot.Value : 0,
            plan.Foods.FirstOrDefault(f => f.Food == step.Food)?.Reasons ?? []
        );
    }
}
