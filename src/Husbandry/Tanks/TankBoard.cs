using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Tanks;

/// <summary>Whether one of a tank is up.</summary>
public enum UpState
{
    /// <summary>Seen of late, or nobody has looked for who is up.</summary>
    Up,

    /// <summary>Written down as buried.</summary>
    Buried,

    /// <summary>Not seen for some nights.</summary>
    PerhapsBuried,
}

/// <summary>One that lives in a shared tank.</summary>
/// <param name="StockId">Which.</param>
/// <param name="Name">Its name.</param>
/// <param name="Species">Its species.</param>
/// <param name="ClawMm">Width of its large claw, mm; none where its size is not known.</param>
/// <param name="State">Whether it is up.</param>
/// <param name="Since">Night since which it is buried, or was last seen; none where nobody looked.</param>
/// <param name="Shell">The shell it wears, in words; empty where nobody wrote that down.</param>
/// <param name="NeedsFromMm">Opening that fits its claw, mm; none where its size is not known.</param>
/// <param name="NeedsToMm">Opening of one size up, mm.</param>
/// <param name="Fitting">Empty shells of the tank that are in that size.</param>
/// <param name="Says">What stands out, in a sentence; empty for most.</param>
/// <param name="CameUp">Whether it came up of late, so that marks of a molt are asked for.</param>
/// <param name="IsDown">Whether it is down, so that it may have to be guarded from its neighbours.</param>
public sealed record TankMate(
    Guid StockId,
    string Name,
    string Species,
    double? ClawMm,
    UpState State,
    DateOnly? Since,
    string Shell,
    double? NeedsFromMm,
    double? NeedsToMm,
    int Fitting,
    string Says,
    bool CameUp,
    bool IsDown
);

/// <summary>A shared tank at a glance: who is up, floor and room, warmth, shells.</summary>
/// <param name="Mates">Who lives in it, those that stand out first.</param>
/// <param name="Holds">How many crabs of their size its floor holds; none where it was not measured.</param>
/// <param name="Floor">What is said of the floor, each in a sentence.</param>
/// <param name="Buy">Shells to be bought, in words; empty while there are enough.</param>
/// <param name="Season">The mating season, in words.</param>
/// <param name="Matings">What the mating log says, female by female.</param>
/// <param name="Protect">How one that is down is kept safe, step by step.</param>
/// <param name="Pools">What the two pools need, in words.</param>
/// <param name="SaltGrams">Marine salt for a litre of the salt pool, g.</param>
public sealed record TankBoard(
    IReadOnlyList<TankMate> Mates,
    int? Holds,
    IReadOnlyList<string> Floor,
    IReadOnlyList<string> Buy,
    string Season,
    IReadOnlyList<MatingLine> Matings,
    IReadOnlyList<string> Protect,
    string Pools,
    double SaltGrams
)
{
    private const int Year = 365;
    private const double Cm2 = 100;

    /// <summary>The board of a tank; none of other things, and of tanks whose animals wear no shells.</summary>
    public static Answer<TankBoard>? Of(Subject tank)
    {
        ArgumentNullException.ThrowIfNull(tank);
        if (!tank.Standing.IsTank || tank.Standing.Departure is not null || tank.Group.Growth.SizePart != BodyPart.Claw)
        {
            return null;
        }

        var rules = tank.Room.Rules.Room.Tanks;
        List<Subject> inmates = [.. tank.Inmates.Select(i => Subject.Of(i, tank.Room))];
        List<TankMate> mates = [.. inmates.Select(i => MateOf(i, tank, rules))];
        var board = new TankBoard(
            [
                .. mates
                    .OrderByDescending(m => m.State == UpState.PerhapsBuried)
                    .ThenByDescending(m => m.State == UpState.Buried)
                    .ThenBy(m => m.Name, StringComparer.Ordinal),
            ],
            HoldsOf(tank, mates, rules),
            FloorOf(tank, mates, rules),
            BuyOf(mates, tank, rules),
            SeasonOf(tank.Room, rules),
            MatingLog.Of(tank),
            BurialAdvice.Steps(rules.Burial.Value),
            PoolsOf(rules),
            SaltOf(rules)
        );
        return new Answer<TankBoard>(board, Says(board, tank), Why(rules));
    }

    private static TankMate MateOf(Subject crab, Subject tank, RoomTankRules rules)
    {
        var claw = BodySize.Of(crab).Value?.SizeMm;
        var buried = crab.Standing.Vigils.OpenOf(VigilKind.Surfacing);
        var seen = tank.Standing.Shared.Seen.FirstOrDefault(s => s.StockId == crab.Standing.StockId)?.At;
        var nights = seen is { } at ? crab.NightsSince(at) : (int?)null;
        var state =
            buried is not null ? UpState.Buried
            : nights >= rules.PerhapsBuriedNights.Value ? UpState.PerhapsBuried
            : UpState.Up;
        var (from, to) = (claw * rules.OpeningPerClaw.Value, claw * rules.OpeningPerClaw.Value * rules.SizesUp.Value);
        var shell = crab.Standing.Shared.Shell;
        // A smaller shell foretells a molt, and not one that has come and gone since.
        var hasMoltedSince =
            shell is not null
            && crab.Standing.Vigils.All.Any(v =>
                v is { Vigil: VigilKind.Surfacing, Ended: { } end } && end.To > shell.At
            );
        var ofShell =
            !hasMoltedSince && shell is { OpeningMm: { } now, FormerMm: { } former } && now < former
                ? "It took a smaller shell: often a molt is near, or somebody took its own."
            : shell?.OpeningMm < from ? "Its shell is small for its claw: one size up must be there."
            : "";
        var ofState =
            crab.Standing.Vigils.OpenOf(VigilKind.Surfacing) is { } down ? BurialAdvice.WhileDown(crab, down, tank)
            : BurialAdvice.AfterComingUp(crab) is { Length: > 0 } after ? after
            : state == UpState.PerhapsBuried
                ? $"Not seen for {Wording.Nights(nights!.Value)}: perhaps buried, not missing. Never dig; smell at the surface, and write down that it is buried."
            : "";
        var says = $"{ofState} {ofShell}".Trim();
        return new TankMate(
            crab.Standing.StockId,
            crab.Standing.Details.Nickname,
            crab.SpeciesName,
            claw,
            state,
            buried is not null ? crab.Night(buried.Began.Middle)
                : seen is { } lately ? crab.Night(lately)
                : null,
            shell is null
                ? ""
                : $"{ShellChecks.Word(shell.Shape)}{(shell.OpeningMm is { } mm ? $", {tank.Room.Wording.Length(mm)}" : "")}",
            from,
            to,
            from is null ? 0 : Fitting(tank.Standing.Shared.Shells, from.Value, to!.Value),
            says,
            BurialAdvice.AfterComingUp(crab).Length > 0,
            BurialGuardedEntry.Concerns(crab)
        );
    }

    private static int Fitting(IReadOnlyList<ShellLot> lots, double from, double to) =>
        lots.Where(l => l.OpeningMm >= from && l.OpeningMm <= to).Sum(l => l.Count);

    /// <summary>Crabs that the floor holds: room for each goes with the square of its claw.</summary>
    private static int? HoldsOf(Subject tank, List<TankMate> mates, RoomTankRules rules)
    {
        if (tank.House?.Enclosure is not { } house)
        {
            return null;
        }

        var claws = mates.Select(m => m.ClawMm).OfType<double>().ToList();
        var claw = claws.Count == 0 ? rules.ReferenceClawMm.Value : claws.Average();
        var each = rules.FloorPerCrabCm2.Value * Math.Pow(claw / rules.ReferenceClawMm.Value, 2);
        return Math.Max(1, (int)Math.Floor(house.WidthMm * house.DepthMm / Cm2 / each));
    }

    private static List<string> FloorOf(Subject tank, List<TankMate> mates, RoomTankRules rules)
    {
        var (words, says) = (tank.Room.Wording, new List<string>());
        var largest = mates.Select(m => m.ClawMm).OfType<double>().DefaultIfEmpty(0).Max();
        var needed = Math.Max(rules.LeastDepthMm.Value, largest * rules.DepthPerClaw.Value);
        if (tank.House?.Enclosure is { } house)
        {
            says.Add(
                house.SubstrateMm >= needed
                    ? $"Floor {words.Length(house.SubstrateMm)} deep: deep enough for the largest."
                    : $"Floor {words.Length(house.SubstrateMm)} deep, {words.Length(Math.Ceiling(needed))} are needed: a crab that cannot bury itself wholly dies in its molt. Add to it once nobody is buried."
            );
            var count = tank.Inmates.Sum(i => i.Details.Count);
            if (HoldsOf(tank, mates, rules) is { } holds && count > holds)
            {
                says.Add($"{count} crabs, and floor for about {holds}: crowded ones dig each other up.");
            }
        }
        else
        {
            says.Add("Measure the tank: floor and depth decide how many it holds.");
        }

        if (tank.Room.Climate.HumidityAt(tank.Place, tank.Room.Now) is { } humidity)
        {
            var air = AirBand.Of(tank.Group, tank.Profile).Humidity.Value;
            says.Add(
                humidity < air.Low
                    ? $"Air {humidity:0} %: too dry, their gills need {Wording.Plain(air.Low)}–{Wording.Plain(air.High)} %."
                : humidity > air.High
                    ? $"Air {humidity:0} %: wetter than {Wording.Plain(air.Low)}–{Wording.Plain(air.High)} %, mind mold."
                : $"Air {humidity:0} %: right."
            );
        }

        if (ColdAhead(tank) is { } cold)
        {
            says.Add(cold);
        }

        if (tank.Room.RecentCAt(tank.Place) is { } celsius)
        {
            var good = AirBand.Of(tank.Group, tank.Profile).GoodC.Value;
            var (low, high) = (good.Low, good.High);
            says.Add(
                celsius < low
                    ? $"{celsius:0.#} °C of late: too cool, {Wording.Plain(low)}–{Wording.Plain(high)} °C are needed."
                : celsius > high
                    ? $"{celsius:0.#} °C of late: too warm, {Wording.Plain(low)}–{Wording.Plain(high)} °C are good."
                : $"{celsius:0.#} °C of late: right."
            );
        }

        return says;
    }

    /// <summary>Shells to buy: for each crab some of one size up, as far as those that fit it are shared by others.</summary>
    private static List<string> BuyOf(List<TankMate> mates, Subject tank, RoomTankRules rules)
    {
        var left = tank
            .Standing.Shared.Shells.SelectMany(l => Enumerable.Repeat(l.OpeningMm, l.Count))
            .Order()
            .ToList();
        var each = (int)rules.ShellsEach.Value.Low;
        var buy = new List<(double From, double To, int Count)>();
        foreach (var crab in mates.Where(m => m.NeedsFromMm is not null).OrderBy(m => m.NeedsFromMm))
        {
            var fits = left.Where(o => o >= crab.NeedsFromMm && o <= crab.NeedsToMm).Take(each).ToList();
            fits.ForEach(o => left.Remove(o));
            if (fits.Count < each)
            {
                buy.Add((crab.NeedsFromMm!.Value, crab.NeedsToMm!.Value, each - fits.Count));
            }
        }

        return
        [
            .. buy.GroupBy(b => Math.Round(b.From))
                .Select(g =>
                    $"{g.Sum(b => b.Count)} with an opening of {tank.Room.Wording.Lengths(Math.Ceiling(g.Min(b => b.From)), Math.Floor(g.Max(b => b.To)))}"
                ),
        ];
    }

    /// <summary>From when on it will be too cold there, by the season of former years: pens outside need panels and heat by then.</summary>
    private static string? ColdAhead(Subject tank)
    {
        const int DaysAhead = 90;
        var floor = AirBand.Of(tank.Group, tank.Profile).FloorC.Value;
        var (room, rules) = (tank.Room, tank.Room.Rules.Room.Climate);
        for (var days = 1; days <= DaysAhead; days++)
        {
            var day = room.Tonight.AddDays(days);
            if (room.Climate.ExpectedC(tank.Place.Code, day, rules, room.Now) < floor)
            {
                return $"By the season it falls below {Wording.Plain(floor)} °C about {room.Wording.Date(day)}: a pen outside needs wind panels and heat from above before that.";
            }
        }

        return null;
    }

    private static double SaltOf(RoomTankRules rules) =>
        Seawater.SaltGrams(1, rules.Salinity.Value, Seawater.ReferenceC);

    private static string PoolsOf(RoomTankRules rules) =>
        $"Two pools, both dechlorinated: fresh, and salt with {SaltOf(rules):0.#} g of marine salt a litre (specific gravity {Seawater.SpecificGravity25(rules.Salinity.Value):0.000} at 25 °C). Deep enough for the largest to submerge, with a way out for the smallest.";

    private static string SeasonOf(Room room, RoomTankRules rules)
    {
        var shift = room.Rules.Room.Colonies.SeasonShiftDays.Value;
        var day = (((room.Tonight.DayOfYear - 1 - shift) % Year) + Year) % Year + 1;
        return day >= rules.SeasonDays.Value.Low && day <= rules.SeasonDays.Value.High
            ? "Mating season: a hole may be a mating pit; a guarded female, rivals and a mass at the shells are its signs. Larvae need the sea."
            : "Out of the mating season: who digs down molts or hides.";
    }

    private static string Says(TankBoard b, Subject tank)
    {
        var down = b.Mates.Count(m => m.State == UpState.Buried);
        var perhaps = b.Mates.Count(m => m.State == UpState.PerhapsBuried);
        return b.Mates.Count == 0
            ? "Nobody lives in it."
            : $"{b.Mates.Count - down - perhaps} up, {down} buried"
                + (perhaps > 0 ? $", {perhaps} not seen of late" : "")
                + (tank.Standing.Shared.Seen.Count == 0 ? "; nobody has written down who is up" : "")
                + ".";
    }

    private static List<Reason> Why(RoomTankRules rules) =>
        [
            rules.PerhapsBuriedNights.Because(
                "Not seen",
                "room.perhapsBuriedNights",
                $"Not seen for {Wording.Nights(rules.PerhapsBuriedNights.Value)}: perhaps buried. However long it takes, nobody digs: the floor falls in on a soft crab."
            ),
            rules.OpeningPerClaw.Because(
                "Shells",
                "room.openingPerClaw",
                $"An opening of {Wording.Plain(rules.OpeningPerClaw.Value)} times the large claw, up to {Wording.Plain(rules.SizesUp.Value)} times that."
            ),
            rules.ShellsEach.Because(
                "How many",
                "room.shellsEach",
                $"{Wording.Plain(rules.ShellsEach.Value.Low)} to {Wording.Plain(rules.ShellsEach.Value.High)} empty ones for each crab, so that nobody is turned out of its own."
            ),
            rules.FloorPerCrabCm2.Because(
                "Room",
                "room.floorPerCrabCm2",
                $"{Wording.Plain(rules.FloorPerCrabCm2.Value)} cm² of floor for a crab with a claw of {Wording.Plain(rules.ReferenceClawMm.Value)} mm; more for larger ones."
            ),
            BurialAdvice.Why(rules),
            rules.LeastDepthMm.Because(
                "Depth",
                "room.leastDepthMm",
                $"{Wording.Plain(rules.LeastDepthMm.Value)} mm or {Wording.Plain(rules.DepthPerClaw.Value)} times the largest claw, whichever is deeper."
            ),
        ];
}
