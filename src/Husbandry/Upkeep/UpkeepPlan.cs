using System.Text.Json.Serialization;
using Husbandry.Hush;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Upkeep;

/// <summary>When one task of the upkeep is due.</summary>
/// <param name="Task">The task.</param>
/// <param name="Due">Night on which it is due; none while it is held by the hush.</param>
/// <param name="Last">Night on which it was last done.</param>
/// <param name="EveryDays">Days between two times of doing it.</param>
/// <param name="Says">What is to be done, where more is known than the task itself says; none where not.</param>
public sealed record UpkeepClock(UpkeepTask Task, DateOnly? Due, DateOnly? Last, double EveryDays, string? Says = null)
{
    /// <summary>What is to be done, in words.</summary>
    [JsonIgnore]
    public string Do => Says ?? Task.Do;

    /// <summary>Whether it is told in a form of its own, what is left and what was put in, rather than ticked off.</summary>
    [JsonIgnore]
    public bool IsTold => Says is not null;

    /// <summary>What is logged when it is done.</summary>
    public Act Done => new Tended(Task.Id);

    /// <summary>The clock as one of its care.</summary>
    [JsonIgnore]
    public CareDue Care => new(CareClock.Upkeep, Task.Name.ToLowerFirst(), Due, EveryDays, Last);
}

/// <summary>What is to be done for it at regular times besides food and water; empty for most.</summary>
/// <param name="Clocks">The clocks, the first due first, those held last.</param>
public sealed record UpkeepPlan(IReadOnlyList<UpkeepClock> Clocks)
{
    /// <summary>The task of taking the frass of larvae out.</summary>
    private const string Frass = "frass";

    /// <summary>The clocks of its stage: from when it was last done, or from when it came.</summary>
    /// <param name="subject">The animal.</param>
    /// <param name="stage">Its stage of life.</param>
    /// <param name="hush">What may be done: a task that the hush forbids waits.</param>
    public static Answer<UpkeepPlan> Of(Subject subject, Stage stage, HushTable hush)
    {
        var tasks = subject.Group.Has(stage) ? subject.Group.At(stage).Upkeep : [];
        // What lies in the cold is left in the dark; who is fed with a tank is tended with it; nobody lives in an empty one.
        if (subject.IsChilled || subject.FedWith is not null || (subject.Standing.IsTank && subject.Inmates.Count == 0))
        {
            tasks = [];
        }

        var reasons = new List<Reason>();
        var clocks = new List<UpkeepClock>();
        foreach (var task in tasks.Where(t => !t.OfColony || !subject.IsQueenAlone))
        {
            var last = subject.Standing.Tended.LastOrDefault(t => t.Task == task.Id || t.Task == task.DoneBy)?.At;
            var since = subject.Night(last ?? subject.Standing.ArrivedAt);
            var (every, rule) = EveryOf(task, subject, stage);
            var due = since.AddDays((int)Math.Ceiling(every.Value));
            // Of many the rest need it all the same; the task itself says to leave those that molt in peace.
            var held =
                task.Care is { } care
                && (hush[care].Verdict == Verdict.Never || (hush[care].Verdict == Verdict.Avoid && !subject.IsMany))
                    ? hush[care]
                    : null;
            var board = task.Id == CalciumLookedEntry.Task ? CalciumBoard.Of(subject) : null;
            if (board?.Value is { See: { } see })
            {
                due = see < due ? see : due;
                reasons.AddRange(board.Reasons);
            }

            clocks.Add(
                new UpkeepClock(
                    task,
                    held is null ? due : null,
                    last is { } at ? subject.Night(at) : null,
                    every.Value,
                    board?.Value is { See: not null } ? board.Summary : null
                )
            );
            reasons.Add(
                held is not null
                    ? held.Contributors[0].Why
                    : every.Because(
                        task.Name,
                        rule,
                        $"{task.Do}: every {Wording.Days(every.Value)}"
                            + (last is null ? "." : $", last {subject.Room.Wording.Day(subject.Night(last.Value))}.")
                    )
            );
        }

        var plan = new UpkeepPlan([.. clocks.OrderBy(c => c.Due ?? DateOnly.MaxValue)]);
        return new Answer<UpkeepPlan>(plan, Summary(subject, plan), reasons);
    }

    /// <summary>How often a task is done: frass by how larvae are kept, where that is on record.</summary>
    private static (Rule<double> Every, string Name) EveryOf(UpkeepTask task, Subject subject, Stage stage) =>
        task.Id == Frass
        && subject.Standing.Feeding.Box is { } kept
        && subject.Room.Rules.Room.Plants.Box(kept.School) is { } box
            ? (box.FrassDays, $"room.boxes.{box.Id}.frassDays")
            : (task.EveryDays, $"group.upkeep.{Growth.StageReading.Key(stage)}.{task.Id}.everyDays");

    /// <summary>The first due; none where nothing is done besides.</summary>
    public UpkeepClock? First => Clocks.Count == 0 ? null : Clocks[0];

    /// <summary>The tasks that are due on a night.</summary>
    public IReadOnlyList<UpkeepClock> DueOn(DateOnly night) => [.. Clocks.Where(c => c.Due <= night)];

    private static string Summary(Subject subject, UpkeepPlan plan) =>
        plan.Clocks.Count == 0 ? "Nothing besides food and water."
        : plan.Clocks[0].Due is not { } due ? $"{plan.Clocks[0].Task.Name} waits for the hush to end."
        : due <= subject.Room.Tonight ? $"{plan.Clocks[0].Task.Name}: tonight."
        : $"{plan.Clocks[0].Task.Name} again {subject.Room.Wording.Day(due)}.";
}
