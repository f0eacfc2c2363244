using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Tanks;

/// <summary>A female of whose mating something was seen.</summary>
/// <param name="FemaleId">Which.</param>
/// <param name="Name">Her name.</param>
/// <param name="Says">What is known, and who the father may be.</param>
/// <param name="LookAt">When to look next, and for what; empty where nothing is to be looked for tonight.</param>
/// <param name="CarriedFrom">First night on which she may give her eggs off; none while she carries none.</param>
/// <param name="CarriedTo">Last night.</param>
public sealed record MatingLine(
    Guid FemaleId,
    string Name,
    string Says,
    IReadOnlyList<MatingLook> LookAt,
    DateOnly? CarriedFrom,
    DateOnly? CarriedTo
);

/// <summary>A look that is due some hours after a transfer.</summary>
/// <param name="At">When.</param>
/// <param name="For">What is looked for.</param>
public sealed record MatingLook(DateTimeOffset At, string For);

/// <summary>What a tank's mating log says of each female.</summary>
/// <remarks>Source: common practice, no published source: loose eggs after 1.5 h, attached after 2 to 3.5 h, carried three to four weeks.</remarks>
public static class MatingLog
{
    private const int MonthsTold = 3;

    /// <summary>Females of whom something was seen of late, the newest first.</summary>
    public static IReadOnlyList<MatingLine> Of(Subject tank)
    {
        ArgumentNullException.ThrowIfNull(tank);
        var since = tank.Room.Now.AddMonths(-MonthsTold);
        return
        [
            .. tank
                .Standing.Shared.Matings.Where(m => m.At >= since)
                .GroupBy(m => m.FemaleId)
                .OrderByDescending(g => g.Max(m => m.At))
                .Select(g => Line(g.Key, [.. g.OrderBy(m => m.At)], tank)),
        ];
    }

    private static MatingLine Line(Guid female, List<MatingEvent> seen, Subject tank)
    {
        var (room, rules) = (tank.Room, tank.Room.Rules.Room.Tanks);
        var transfer = seen.LastOrDefault(m => m.Sight is MatingSight.Transfer or MatingSight.TakenOver);
        var eggs = seen.FirstOrDefault(m =>
            m.Sight is MatingSight.AttachedEggs or MatingSight.EyedEggs && (transfer is null || m.At >= transfer.At)
        );
        var over = seen.LastOrDefault(m => m.Sight == MatingSight.ToTheWater && (eggs is null || m.At >= eggs.At));
        var looks = new List<MatingLook>();
        if (transfer is not null && eggs is null && over is null)
        {
            looks.Add(new MatingLook(transfer.At.AddHours(rules.LooseEggsHours.Value), "loose eggs at her shell"));
            looks.Add(new MatingLook(transfer.At.AddHours(rules.AttachedEggsHours.Value.Low), "eggs attached"));
            looks.Add(new MatingLook(transfer.At.AddHours(rules.AttachedEggsHours.Value.High), "eggs attached"));
        }

        // What was to be looked at hours ago is past: she is left alone, and seen when she comes by.
        looks.RemoveAll(l => l.At < room.Now.AddHours(-1));
        var carried = eggs is not null && over is null ? room.Clock.NightOf(eggs.At) : (DateOnly?)null;
        return new MatingLine(
            female,
            NameOf(female, tank),
            $"{MatingSeenEntry.WordOf(seen[^1].Sight).ToUpperFirst()}, {room.Wording.Day(room.Clock.NightOf(seen[^1].At))}. {Fathers(seen, tank)}".TrimEnd(),
            looks,
            carried?.AddDays((int)rules.CarriedDays.Value.Low),
            carried?.AddDays((int)rules.CarriedDays.Value.High)
        );
    }

    /// <summary>The male at the transfer is the father; when another took her over, either may be.</summary>
    private static string Fathers(List<MatingEvent> seen, Subject tank)
    {
        var males = seen.Where(m => m.Sight is MatingSight.Transfer or MatingSight.TakenOver)
            .Select(m => m.MaleId)
            .OfType<Guid>()
            .Distinct()
            .Select(id => NameOf(id, tank))
            .ToList();
        return males.Count switch
        {
            0 => "",
            1 => $"{males[0]} is the father.",
            _ => $"{string.Join(" or ", males)} may be the father.",
        };
    }

    private static string NameOf(Guid id, Subject tank) =>
        tank.Inmates.FirstOrDefault(i => i.StockId == id)?.Details.Nickname ?? "one that left";
}
