using System.Globalization;
using Husbandry.Climate;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Nursery;

/// <summary>A pupa, or a box of them, in the plan of warming up.</summary>
/// <param name="StockId">The pupa, or the box.</param>
/// <param name="Name">Its name.</param>
/// <param name="Sex">Its sex; unknown of a box, half of which are reckoned males.</param>
/// <param name="Count">How many; 1 of a pupa by itself.</param>
/// <param name="Kept">Night on which it is to be taken out by what is on record; none while nothing is.</param>
/// <param name="On">Night on which it is taken out of the cold.</param>
/// <param name="EmergesFrom">Night by which one in ten of such pupae is out.</param>
/// <param name="EmergesTo">Night by which nine in ten are.</param>
/// <param name="LivesTo">Night to which it usually lives, if it comes out at the middle of these.</param>
public sealed record WarmUpPupa(
    Guid StockId,
    string Name,
    Sex Sex,
    int Count,
    DateOnly? Kept,
    DateOnly On,
    DateOnly EmergesFrom,
    DateOnly EmergesTo,
    DateOnly LivesTo
);

/// <summary>When the wintering pupae of a species are taken out of the cold, so that both sexes are out at once.</summary>
/// <param name="Species">The species.</param>
/// <param name="Pupae">Boxes, and those whose sex is told, females first, each with its night.</param>
/// <param name="Pairs">Pairs to be expected.</param>
/// <param name="PairsAtOnce">The same if all were taken out on one night.</param>
/// <param name="AtOnceOn">The first night on which all may be.</param>
/// <param name="Unsexed">Pupae by themselves in the cold of which nobody told the sex.</param>
/// <param name="Says">The plan in a sentence.</param>
/// <param name="Why">What it rests on.</param>
public sealed record SpeciesWarmUp(
    string Species,
    IReadOnlyList<WarmUpPupa> Pupae,
    double Pairs,
    double PairsAtOnce,
    DateOnly AtOnceOn,
    int Unsexed,
    string Says,
    IReadOnlyList<Reason> Why
)
{
    private const double Early = 0.1;
    private const double Half = 0.5;
    private const double Late = 0.9;

    private const double LeastDays = 0.5;

    /// <summary>The plans of every species of which pupae lie in the cold.</summary>
    /// <param name="subjects">Animals of the room; others than wintering pupae are left out.</param>
    public static IReadOnlyList<SpeciesWarmUp> Of(IEnumerable<Subject> subjects) =>
        [
            .. subjects
                .Where(s =>
                    s is { IsChilled: true, Standing.Departure: null }
                    && s.Standing.Vigils.OpenOf(VigilKind.Emergence) is not null
                    && (!s.IsMany || s.AllWaitFor(VigilKind.Emergence))
                    && WinterWeeks.Of(s) is not null
                )
                .GroupBy(s => s.SpeciesName, StringComparer.Ordinal)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => Of(g.Key, [.. g]))
                .OfType<SpeciesWarmUp>(),
        ];

    private static SpeciesWarmUp? Of(string species, List<Subject> all)
    {
        var room = all[0].Room;
        var rules = room.Rules.Room.Pairing.WarmUp;
        var singles = all.Where(s => !s.IsMany).ToList();
        var known = singles.Where(s => s.Standing.Details.Sex != Sex.Unknown).ToList();
        var lots = LotsOf(all, rules.MostPupae.Value);
        // As many of either sex: more of one make no pair.
        var each = (rules.MostPupae.Value - lots.Sum(l => l.Count)) / 2;
        var told = known
            .OrderBy(s => WinterWeeks.Of(s)!.Days.MissingDays)
            .ThenBy(s => s.Standing.OwnPlace.Code, StringComparer.Ordinal)
            .GroupBy(s => s.Standing.Details.Sex)
            .OrderBy(g => g.Key)
            .SelectMany(g => g.Take(each))
            .ToList();
        if (lots.Count == 0 && told.Select(s => s.Standing.Details.Sex).Distinct().Count() < 2)
        {
            return all.Count < 2 ? null : WithoutPair(species, told, singles.Count - known.Count, room);
        }

        // Each row is one pupa by itself or a box; of a box the pupae are reckoned half males, half females.
        List<(Subject Of, List<PupaToWarm> Pupae)> rows =
        [
            .. lots.Select(
                (l, lot) =>
                    (
                        l.Of,
                        Enumerable
                            .Range(0, l.Count)
                            .Select(k => Pupa(l.Of, k % 2 == 0 ? Sex.Female : Sex.Male) with { Lot = lot })
                            .ToList()
                    )
            ),
            .. told.Select(s => (s, new List<PupaToWarm> { Pupa(s, s.Standing.Details.Sex) })),
        ];
        List<PupaToWarm> pupae = [.. rows.SelectMany(r => r.Pupae)];
        var plan = WarmUpPlan.Of(pupae, rules);
        var planned = new List<WarmUpPupa>();
        var at = 0;
        foreach (var (s, of) in rows)
        {
            var day = plan.Days[at];
            at += of.Count;
            DateOnly Night(double days) => room.Tonight.AddDays((int)Math.Round(day + days));
            planned.Add(
                new WarmUpPupa(
                    s.Standing.StockId,
                    s.Standing.Details.Nickname,
                    s.IsMany ? Sex.Unknown : s.Standing.Details.Sex,
                    s.Standing.Details.Count,
                    s.Standing.Vigils.WarmUpOn,
                    Night(0),
                    Night(of.Min(p => p.EmergesAfter(Early))),
                    Night(of.Max(p => p.EmergesAfter(Late))),
                    Night(of.Max(p => p.EmergesAfter(Half) + p.Lives(Half)))
                )
            );
        }

        var left = known.Count - told.Count;
        return new SpeciesWarmUp(
            species,
            planned,
            plan.Pairs,
            plan.PairsAtOnce,
            room.Tonight.AddDays(plan.AtOnceDay),
            singles.Count - known.Count,
            left > 0
                ? $"{SaysOf(planned, plan, room)} {left} more are planned when these are out."
                : SaysOf(planned, plan, room),
            WhyOf(rows[0].Of, pupae, rules)
        );
    }

    /// <summary>Boxes of pupae, with as many as are reckoned of each: no more than half of what is planned at once in one.</summary>
    private static List<(Subject Of, int Count)> LotsOf(List<Subject> all, int most)
    {
        var lots = new List<(Subject Of, int Count)>();
        var left = most;
        foreach (var box in all.Where(s => s.IsMany).OrderBy(s => WinterWeeks.Of(s)!.Days.MissingDays))
        {
            var count = Math.Min(box.Standing.Details.Count, Math.Min(left, most / 2));
            if (count >= 2)
            {
                lots.Add((box, count));
                left -= count;
            }
        }

        return lots;
    }

    private static SpeciesWarmUp WithoutPair(string species, List<Subject> told, int unsexed, Room room) =>
        new(
            species,
            [],
            0,
            0,
            room.Tonight,
            unsexed,
            told.Count == 0
                ? "Tell the sexes first: feathered antennae show through the case of a male. Then the nights on which to warm them can be planned."
                : $"Only {(told[0].Standing.Details.Sex == Sex.Male ? "males" : "females")} are known among them: no pair can be planned.",
            []
        );

    /// <summary>
    /// One pupa as the plan takes it: its forecast if it is warm from its night on, its sex before or after the middle of its kind,
    /// and an adult life between the ends of its range in 8 of 10.
    /// </summary>
    private static PupaToWarm Pupa(Subject s, Sex sex)
    {
        var wait = OpenWait.Of(s, s.Standing.Vigils.OpenOf(VigilKind.Emergence)!);
        var left = wait.Hoped.Left;
        var earlier = s.Profile.Larvae?.MalesEarlierDays.Value ?? 0;
        var shift = sex == Sex.Male ? -earlier / 2 : earlier / 2;
        var pace = s.PaceAhead;
        var life = s.AdultLife.Value;
        var lives = LogNormalWait.FromPrior(
            new WaitPrior(life.Low, Math.Sqrt(life.Low * life.High), Math.Max(life.High, life.Low * 1.01))
        );
        return new PupaToWarm(
            sex,
            WinterWeeks.Of(s)!.Days.MissingDays,
            wait.Chances[0],
            share => Math.Max(LeastDays, pace.Ahead(left.Quantile(share)).Value + shift),
            share => new RemainingWait(lives, EffectiveDays.Zero).Quantile(share).Value
        );
    }

    private static string SaysOf(List<WarmUpPupa> pupae, WarmUpPlan plan, Room room)
    {
        string Nights(Sex sex, string whose)
        {
            var nights = pupae.Where(p => p.Sex == sex).Select(p => p.On).Distinct().Order().ToList();
            return nights.Count switch
            {
                0 => "",
                1 => $"{whose} {room.Wording.Date(nights[0])}",
                _ => $"{whose} {room.Wording.Date(nights[0])} to {room.Wording.Date(nights[^1])}",
            };
        }

        var when = string.Join(
            ", ",
            new[] { Nights(Sex.Unknown, "boxes"), Nights(Sex.Female, "females"), Nights(Sex.Male, "males") }.Where(t =>
                t.Length > 0
            )
        );
        string Told(double pairs) => pairs.ToString("0.0", CultureInfo.InvariantCulture);
        return plan.Days.All(d => d == plan.AtOnceDay)
            ? $"Take all out on {room.Wording.Date(room.Tonight.AddDays(plan.AtOnceDay))}: {Told(plan.PairsAtOnce)} pairs to be expected, and no other nights are better."
            : $"{when.ToUpperFirst()}: {Told(plan.Pairs)} pairs to be expected, instead of {Told(plan.PairsAtOnce)} if all are taken out on {room.Wording.Date(room.Tonight.AddDays(plan.AtOnceDay))}.";
    }

    private static List<Reason> WhyOf(Subject s, List<PupaToWarm> pupae, WarmUpRules rules)
    {
        var why = new List<Reason>
        {
            rules.NightsTogether.Because(
                "Pair",
                "room.pairing.warmUp.nightsTogether",
                $"Two count as a pair when both are out together for {Wording.Nights((int)Math.Ceiling(rules.NightsTogether.Value))}; each animal in one pair at most."
            ),
            s.AdultLife.Because(
                "Life",
                "group.adultLifeDays",
                $"Adults live {Wording.Plain(s.AdultLife.Value.Low)} to {Wording.Plain(s.AdultLife.Value.High)} days."
            ),
            rules.Seasons.Because(
                "Seasons",
                "room.pairing.warmUp.seasons",
                $"{rules.Seasons.Value} seasons are drawn from the forecasts and lives of these {pupae.Count} pupae, of which {100 * pupae.Average(p => p.Emerges):0} in 100 come out at all; the pairs are the mean of the largest matchings, told by other seasons than those by which the nights were chosen."
            ),
        };
        if (pupae.Count > rules.CagePlaces.Value)
        {
            why.Add(
                rules.CagePlaces.Because(
                    "Cages",
                    "room.pairing.warmUp.cagePlaces",
                    $"Places for {rules.CagePlaces.Value} adults at once: who comes out while all are taken makes no pair."
                )
            );
        }

        if (pupae.Any(p => p.Lot is not null))
        {
            why.Add(
                Reason.FromRecord(
                    "Boxes",
                    "Of a box, half are reckoned females and half males; all are taken out on one night.",
                    "record.counted"
                )
            );
        }

        if (s.Profile.Larvae?.MalesEarlierDays is { Value: > 0 } earlier)
        {
            why.Insert(
                1,
                earlier.Because(
                    "Males",
                    "species.malesEarlierDays",
                    $"Males come out about {Wording.Plain(earlier.Value)} days before the females."
                )
            );
        }

        return why;
    }
}
