using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Ledger;

namespace App.Demo;

/// <summary>What was brushed, wiped and renewed in the demo room: most of it in time, some of it due tonight.</summary>
internal static class DemoUpkeep
{
    private const int Seed = 20261127;

    /// <summary>The last time that each task was done.</summary>
    public static IEnumerable<(Guid StockId, NewEntry Entry)> Tend(
        IEnumerable<IReadOnlyList<(Guid StockId, NewEntry Entry)>> lives,
        Room room
    )
    {
        var random = new Random(Seed);
        foreach (var life in lives)
        {
            var entries = life.Select((e, i) => DemoHousing.Written(e.StockId, e.Entry, i)).ToList();
            if (Standing.Fold(entries) is not { Departure: null, Loan: null } standing)
            {
                continue;
            }

            foreach (var clock in Judgement.Of(standing, room).Upkeep.Value.Clocks)
            {
                var ago = random.Next(1, (int)Math.Ceiling(clock.Task.EveryDays.Value) + 1);
                var night = room.Tonight.AddDays(-ago);
                if (night <= standing.Details.AcquiredOn)
                {
                    continue;
                }

                yield return (
                    standing.StockId,
                    new NewEntry(
                        DemoHousing.Id(random),
                        Occurrence.At(room.Clock.EveningOf(night).AddMinutes(random.Next(-40, 40))),
                        null,
                        clock.Done
                    )
                );
            }
        }
    }
}
