using Husbandry.Climate;
using Husbandry.Growth;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Pairing;

/// <summary>The chance of a sac when she is paired on a night.</summary>
/// <param name="Night">The night.</param>
/// <param name="Chance">Chance (0–1) that a sac comes before she molts or dies.</param>
public sealed record RaceNight(DateOnly Night, double Chance);

/// <summary>What would change the race.</summary>
/// <param name="How">What is done from tonight on.</param>
/// <param name="Chance">Chance (0–1) of the best night then.</param>
/// <param name="Says">The same in words.</param>
public sealed record RaceIf(Steering How, double Chance, string Says);

/// <summary>The race of a sac against a female's next molt, for every night from tonight on.</summary>
/// <param name="Nights">Night by night; every few nights only, where it is a long time.</param>
/// <param name="Best">The best night of those on which she may be paired.</param>
/// <param name="BestChance">The chance then.</param>
/// <param name="Last">The last sensible night; none where there is no chance.</param>
/// <param name="LostPerWeek">Chance that a week's delay after the best night costs.</param>
/// <param name="MoltsAgain">Whether a molt of hers is in the race at all.</param>
/// <param name="Ifs">What would change it; empty where no molt is in the race.</param>
public sealed record HerRace(
    IReadOnlyList<RaceNight> Nights,
    DateOnly Best,
    double BestChance,
    DateOnly? Last,
    double LostPerWeek,
    bool MoltsAgain,
    IReadOnlyList<RaceIf> Ifs
)
{
    private const int Shares = 100;
    private const int MostNights = 60;
    private const int Week = 7;
    private const int Points = 240;

    /// <summary>Runs the race.</summary>
    /// <param name="she">A female of a species that is paired.</param>
    /// <param name="first">The first night on which she may be paired.</param>
    /// <remarks>
    /// Her own molt forecast, with what its evidence tells; the sac's wait runs on her clock from the pairing on. Source: see
    /// <see cref="PairingRace"/>.
    /// </remarks>
    public static Answer<HerRace> Of(Mate she, DateOnly first)
    {
        var (subject, molt) = (she.Subject, she.Molt);
        var room = subject.Room.Rules.Room.Pairing;
        var horizon = room.HorizonDays.Value;
        var gone = subject.Pace.EachDayAhead(horizon);
        var sac = SacOutlook.Of(subject);
        var sacs = EqualShares.Of(sac.Wait, Shares);
        var still = Still(she, gone[^1] + sacs[^1]);
        double[] byDay =
        [
            .. gone.Select(paired => PairingRace.Chance(still, sacs.Select(wait => (paired + wait).Value), sac.Takes)),
        ];
        var tonight = subject.Room.Tonight;
        var from = Math.Clamp(first.DayNumber - tonight.DayNumber, 0, horizon);
        var (best, last) = PairingRace.Window(byDay, from, room.LastSensibleShare.Value);
        var shown = Math.Min(horizon, Math.Max(2 * Week, (last ?? horizon) + Week));
        var step = (shown + MostNights - 1) / MostNights;
        var race = new HerRace(
            [
                .. Enumerable
                    .Range(0, (shown / step) + 1)
                    .Select(k => new RaceNight(tonight.AddDays(k * step), byDay[k * step])),
            ],
            tonight.AddDays(best),
            byDay[best],
            last is { } day && day < horizon ? tonight.AddDays(day) : null,
            byDay[best] - byDay[Math.Min(horizon, best + Week)],
            molt is not null,
            molt is null ? [] : [.. IfsOf(she, (gone[best], sacs, sac.Takes), byDay[best])]
        );
        return new Answer<HerRace>(race, Says(race, subject), Why(race, molt, sac, subject));
    }

    /// <summary>
    /// The best night's chance with her fed leaner or more, and with her kept warmer or cooler. Food moves her molts alone; warmth
    /// moves the sac as much as the molt, so that only her life runs otherwise beside them.
    /// </summary>
    private static IEnumerable<RaceIf> IfsOf(
        Mate she,
        (EffectiveDays Paired, IReadOnlyList<EffectiveDays> Sacs, double Takes) best,
        double now
    )
    {
        var (subject, rules) = (she.Subject, she.Subject.Room.Rules.Room.Pairing);
        var slower = Math.Pow(rules.SteerFood.Value, subject.Group.Feeding.PacePerFood.Value);
        var (by, celsius) = (rules.SteerWarmthC.Value, subject.Pace.CelsiusNow);
        var (thin, fat) = (
            she.Condition.Value.Word == ConditionWord.Thin,
            she.Condition.Value.Word is ConditionWord.Plump or ConditionWord.VeryPlump
        );
        var moves = she.Hush[CareAct.Rehouse].Verdict == Verdict.Fine;
        // The thin are not starved, the fat not fattened, and who must be left alone is not moved.
        (Steering How, double Food, double Clock, bool May, string Says)[] ways =
        [
            (Steering.Leaner, slower, 1, !thin, "Fed leaner"),
            (Steering.Richer, 1 / slower, 1, !fat, "Fed more"),
            (Steering.Warmer, 1, Meeting.SlowerAt(subject, celsius + by), moves, $"Kept {Wording.Plain(by)} °C warmer"),
            (Steering.Cooler, 1, Meeting.SlowerAt(subject, celsius - by), moves, $"Kept {Wording.Plain(by)} °C cooler"),
        ];
        foreach (var (how, food, clock, may, says) in ways.Where(w => w.May && w is not { Food: 1, Clock: 1 }))
        {
            var still = Still(she, best.Paired + best.Sacs[^1], food, clock);
            var chance = PairingRace.Chance(still, best.Sacs.Select(wait => (best.Paired + wait).Value), best.Takes);
            if (Math.Abs(chance - now) >= rules.RaceNoticed.Value)
            {
                yield return new RaceIf(how, chance, $"{says} from tonight on: {Wording.Chance(chance)}");
            }
        }
    }

    /// <summary>
    /// Chance that neither a molt nor the end of her life has come by a day of her own clock: read off a table that is as fine as
    /// the drawing needs, straight between its points.
    /// </summary>
    /// <param name="she">She.</param>
    /// <param name="until">The last day that is asked for.</param>
    /// <param name="slower">Factor on what is left of her wait for a molt, by food.</param>
    /// <param name="clock">Factor on the nights in which a day of her clock goes by, by warmth.</param>
    private static Func<double, double> Still(Mate she, EffectiveDays until, double slower = 1, double clock = 1)
    {
        var (subject, molt, life) = (she.Subject, she.Molt, she.AdultLife);
        var step = Math.Max(1, until.Value / Points);
        var table = new double[(int)Math.Ceiling(until.Value / step) + 1];
        for (var k = 0; k < table.Length; k++)
        {
            var day = subject.Pace.Ahead(new EffectiveDays(k * step));
            table[k] =
                (molt?.Left.Survival(new CalendarDays(day.Value / slower)) ?? 1)
                * (1 - life.Within(new EffectiveDays(day.Value * clock)));
        }

        return day =>
        {
            var at = day / step;
            var whole = Math.Min((int)at, table.Length - 2);
            return table[whole] + (Math.Min(1, at - whole) * (table[whole + 1] - table[whole]));
        };
    }

    private static string Says(HerRace race, Subject subject)
    {
        var words = subject.Room.Wording;
        var chance = Wording.Chance(race.BestChance);
        var on = race.Best == subject.Room.Tonight ? "tonight" : $"on {words.Date(race.Best)}";
        return !race.MoltsAgain
                ? $"If paired {on}: {subject.Group.EggCase} in {chance}. No molt of hers stands against it."
            : race.Last is { } last
                ? $"If paired {on}: {subject.Group.EggCase} before her molt in {chance}; last sensible night {words.Date(last)}."
            : $"If paired {on}: {subject.Group.EggCase} before her molt in {chance}.";
    }

    private static List<Reason> Why(HerRace race, VigilForecast? molt, SacOutlook sac, Subject subject)
    {
        var (words, room) = (subject.Room.Wording, subject.Room.Rules.Room.Pairing);
        List<Reason> reasons =
        [
            molt is null
                ? Reason.FromRecord("Her molt", "She does not molt again: only her life is in the way.", "record.molt")
                : Reason.FromRecord(
                    "Her molt",
                    $"By her own forecast between {words.Between(molt.P10, molt.P90)}, half by {words.Date(molt.P50)}.",
                    "record.molt"
                ),
            .. sac.Why(subject.Profile.Pairing!),
            room.LastSensibleShare.Because(
                "Last sensible night",
                "room.lastSensibleShare",
                $"The last that still has {Wording.Plain(room.LastSensibleShare.Value)} of the best night's chance."
            ),
        ];
        if (race.LostPerWeek > 0.005)
        {
            reasons.Add(
                Reason.FromRecord("Delay", $"A week later costs {Wording.Chance(race.LostPerWeek)}.", "pairing.race")
            );
        }

        return reasons;
    }
}
