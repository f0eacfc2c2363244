using Husbandry.Rulebook;

namespace Husbandry.Colonies;

/// <summary>How many there are of each stage.</summary>
/// <param name="Eggs">Eggs.</param>
/// <param name="Larvae">Larvae.</param>
/// <param name="Pupae">Pupae.</param>
/// <param name="Workers">Workers.</param>
public readonly record struct BroodCount(double Eggs, double Larvae, double Pupae, double Workers);

/// <summary>
/// A colony as a chain of delays: eggs, larvae and pupae each pass through some equal steps, so that stage lengths scatter as gamma
/// times do, and workers die at a steady rate.
/// </summary>
/// <remarks>
/// Source: the linear chain trick for distributed delays, MacDonald (1978), Time Lags in Biological Models, Springer [from memory];
/// that eggs rise with the workers and level off towards the size of a grown colony is a house pick.
/// </remarks>
public sealed class BroodModel
{
    private readonly double[] eggs;
    private readonly double[] larvae;
    private readonly double[] pupae;
    private readonly (double Eggs, double Larvae, double Pupae) stepsPerDay;
    private readonly (double Queen, double Worker) lays;
    private readonly (double Final, double LifeDays) grown;
    private double workers;

    /// <summary>A colony whose brood is what the queen laid so far.</summary>
    /// <param name="life">Stage lengths of the species, effective days.</param>
    /// <param name="rules">What the room's rules say of laying and dying.</param>
    /// <param name="workers">Workers at the beginning, ≥ 0.</param>
    /// <param name="scale">Factor on the eggs that are laid, &gt; 0.</param>
    public BroodModel(ColonyLife life, RoomColonyRules rules, double workers, double scale)
    {
        ArgumentNullException.ThrowIfNull(life);
        ArgumentNullException.ThrowIfNull(rules);
        var steps = rules.StageShape.Value;
        this.workers = workers;
        lays = (scale * rules.EggsPerDay.Value.P50, scale * rules.EggsPerWorker.Value);
        grown = (life.FinalWorkers.Value, rules.WorkerLifeDays.Value);
        stepsPerDay = (steps / life.Larvae.Value.P50, steps / life.Pupae.Value.P50, steps / life.Workers.Value.P50);
        var laid = Laid();
        double[] Full(double perDay) => [.. Enumerable.Repeat(laid / perDay, steps)];
        (eggs, larvae, pupae) = (Full(stepsPerDay.Eggs), Full(stepsPerDay.Larvae), Full(stepsPerDay.Pupae));
    }

    /// <summary>What there is now.</summary>
    public BroodCount Now => new(eggs.Sum(), larvae.Sum(), pupae.Sum(), workers);

    /// <summary>Lets a day of warmth go by.</summary>
    /// <param name="days">Effective days, 0 to 1.</param>
    public void Pass(double days)
    {
        var hatched = Through(eggs, Laid() * days, stepsPerDay.Eggs * days);
        var spun = Through(larvae, hatched, stepsPerDay.Larvae * days);
        var born = Through(pupae, spun, stepsPerDay.Pupae * days);
        workers = Math.Max(0, (workers * Math.Exp(-days / grown.LifeDays)) + born);
    }

    private double Laid() => (lays.Queen + (lays.Worker * workers)) * Math.Max(0, 1 - (workers / grown.Final));

    /// <summary>Moves what goes on from each step to the next; gives what leaves the last.</summary>
    private static double Through(double[] steps, double comes, double share)
    {
        // So many go on each day that the mean stay in a step is exact, however coarse the days.
        var goes = Math.Min(1, share);
        for (var k = 0; k < steps.Length; k++)
        {
            var gone = steps[k] * goes;
            (steps[k], comes) = (steps[k] - gone + comes, gone);
        }

        return comes;
    }
}
