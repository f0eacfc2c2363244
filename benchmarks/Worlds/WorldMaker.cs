namespace Worlds;

/// <summary>Makes whole rooms.</summary>
public static class WorldMaker
{
    /// <summary>
    /// Scatter of animals whose windows, with all else that differs in these rooms, hold about 80 in 100 of what the handbook's own
    /// windows are said to.
    /// </summary>
    public const double Steady = 0.1;

    private const int RecordDays = 1500;
    private const int Before = 2600;
    private const int EachKind = 9;
    private const double RoomSpread = 0.2;

    /// <summary>Makes the room of one keeper.</summary>
    /// <param name="habits">How the keeper is.</param>
    /// <param name="seed">Seed; the same makes the same room.</param>
    /// <param name="scatter">Coefficient of variation of one animal's waits about their mean.</param>
    public static World Make(Habits habits, int seed, double scatter = Steady)
    {
        var draws = new Draws(HashCode(habits.Name, seed));
        var weather = Weather.Of(draws, Before + RecordDays + 400, habits.MeanC, habits.SwingC, 0.4);
        var animals = new List<Kept>();
        foreach (var kind in Kind.All)
        {
            var room = draws.Factor(RoomSpread);
            var short_ = kind.DaysAfter(0) * kind.MoltsToAdult < 400;
            var count = short_ ? EachKind * 3 : EachKind;
            for (var k = 0; k < count; k++)
            {
                animals.Add(Keep(animals.Count, kind, room, weather, habits, scatter, draws));
            }
        }

        var readings = new List<(double, double)>();
        if (habits.ReadsEveryDays is { } every)
        {
            for (var day = Before; day < Before + RecordDays; day += every)
            {
                readings.Add((day + 0.8, weather.CelsiusOn(day) + (0.3 * draws.Normal())));
            }
        }

        return new World(habits, seed, Before + RecordDays, weather, readings, animals);
    }

    private static Kept Keep(
        int number,
        Kind kind,
        double room,
        Weather weather,
        Habits habits,
        double scatter,
        Draws draws
    )
    {
        var came = Before + draws.Between(0, RecordDays * 0.7);
        var grown = kind.Group is not "moth" && draws.Chance(habits.BuysGrown);
        var youth = kind.DaysAfter(0) * 1.2;
        var age = grown
            ? draws.Between(0.2, 1.3) * Enumerable.Range(0, kind.MoltsToAdult).Sum(kind.DaysAfter)
            : draws.Between(0, youth);
        var life = Life.Of(kind, room, Math.Max(1, came - age), weather, scatter, draws);
        var stay = 365 / Math.Max(0.01, habits.LosesPerYear) * -Math.Log(1 - draws.Between(0, 0.999));
        var lived = life.Waits[^1].To + draws.Between(20, 120);
        var left = Math.Min(came + stay, kind.AdultsMolt ? double.MaxValue : lived);
        var end = Math.Min(Before + RecordDays, left);
        var (notes, unseen) = Diary.Of(life, came, end, habits, draws);
        if (left < Before + RecordDays)
        {
            notes.Add(new Note(left, left, draws.Chance(0.5) ? What.Sold : What.Died));
        }

        var molts = life.Waits.FirstOrDefault(w => w.To > came)?.Molts ?? life.MoltsToAdult;
        var adult = molts >= life.MoltsToAdult;
        return new Kept(
            number,
            life,
            came,
            grown && draws.Chance(0.6) ? null : molts,
            !grown || draws.Chance(habits.KnowsHatching) ? life.Waits[0].From : null,
            adult && draws.Chance(0.8),
            adult || draws.Chance(0.3),
            [.. notes.OrderBy(n => n.At)],
            unseen
        );
    }

    private static int HashCode(string name, int seed) => name.Aggregate(seed * 7919, (sum, c) => (sum * 31) + c);
}
