using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Colonies;

/// <summary>When a colony moves into another nest, how large that is, and what to have ready.</summary>
/// <param name="Workers">Workers by the last look.</param>
/// <param name="IsDue">Whether it is time.</param>
/// <param name="NestMl">Volume of the new nest, mL.</param>
/// <param name="Ready">What to have ready, item by item.</param>
/// <param name="Move">The move that goes on; none while none does.</param>
public sealed record NestPlan(int Workers, bool IsDue, double NestMl, IReadOnlyList<string> Ready, NestEvent? Move)
{
    /// <summary>The move of a colony that has workers; none of a queen alone, in winter, and of species of which nothing is known.</summary>
    public static Answer<NestPlan>? Of(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        if (
            subject.Profile.Colony is not { } life
            || !NestMovedEntry.MayMove(subject)
            || subject.IsChilled
            || ColonyCounts.Workers(subject.Standing) is not { } workers
        )
        {
            return null;
        }

        var rules = subject.Room.Rules.Room.Colonies;
        var nest = subject.Standing.Colony.Nest;
        var open = nest is { EndedAt: null } ? nest : null;
        var moved = nest is { IsOver: true };
        var due = !moved && workers >= life.MoveWorkers.Value.Low;
        var litres = Math.Max(5, Math.Round(workers * rules.NestAheadTimes.Value * rules.NestMlPerWorker.Value));
        var bore = Math.Ceiling(life.LargestWorkerMm.Value);
        List<string> ready =
        [
            life.SpinsCocoons.Value ? "a thin layer of fine sand, for cocoons" : "",
            $"tubing of {Wording.Plain(bore)} mm or more inside, softened in hot water (it scalds), with a clamp",
            "a barrier against escape on the new outworld",
            "everything washed and dry, without scent",
            subject.Profile.Hazard?.Value == Rulebook.Hazard.PainfulSting ? "long forceps and sleeves: they sting" : "",
        ];
        var plan = new NestPlan(workers, due, litres, [.. ready.Where(r => r.Length > 0)], open);
        return new Answer<NestPlan>(
            plan,
            Says(plan, moved, life.MoveWorkers.Value.Low, subject),
            [
                life.MoveWorkers.Because(
                    "When",
                    "species.moveWorkers",
                    $"With {Wording.Plain(life.MoveWorkers.Value.Low)} to {Wording.Plain(life.MoveWorkers.Value.High)} workers, when the tube is crowded: not before."
                ),
                rules.NestMlPerWorker.Because(
                    "How large",
                    "room.nestMlPerWorker",
                    $"{Wording.Plain(rules.NestMlPerWorker.Value)} mL for each of {Wording.Plain(rules.NestAheadTimes.Value)} times the workers: a nest much larger is soiled and chilly."
                ),
                life.LargestWorkerMm.Because(
                    "Bore",
                    "species.largestWorkerMm",
                    $"The largest workers are {Wording.Plain(life.LargestWorkerMm.Value)} mm long.",
                    new School(
                        "connect",
                        "Connect, darken the new nest, light the old one, wait: hours to weeks",
                        true
                    ),
                    new School(
                        "forceps",
                        "One by one by soft forceps into the new outworld, the queen counted; they find the nest themselves",
                        false
                    )
                ),
            ]
        );
    }

    private static string Says(NestPlan plan, bool moved, double from, Subject subject)
    {
        if (plan.Move is { } move)
        {
            var nights = subject.NightsSince(move.BegunAt);
            return move.ScoutAt is null
                ? $"Connected {Wording.Nights(nights)} ago, no scout yet: quick kinds look in within hours, shy ones take weeks. Keep the new nest dark."
                : $"The first scout was seen {subject.Room.Wording.Ago(subject.Night(move.ScoutAt.Value))}: most are over by the next day, shy kinds take weeks.";
        }

        return moved ? $"In a nest; {plan.Workers} workers."
            : plan.IsDue
                ? $"{plan.Workers} workers: crowded in a tube. A nest of about {Wording.Plain(plan.NestMl)} mL."
            : $"{plan.Workers} workers: stays in its tube until about {Wording.Plain(from)}.";
    }
}

/// <summary>What was counted of a colony.</summary>
public static class ColonyCounts
{
    /// <summary>Workers by the last look at which they were counted; none where nobody did.</summary>
    public static int? Workers(Standing standing)
    {
        ArgumentNullException.ThrowIfNull(standing);
        return standing.Colony.Peeks.LastOrDefault(p => p.Workers is not null)?.Workers
            ?? (standing.Details.Count > 1 ? standing.Details.Count : null);
    }
}
