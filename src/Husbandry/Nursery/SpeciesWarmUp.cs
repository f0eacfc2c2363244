using System.Globalization;
using Husbandry.Climate;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Nursery;

/// <summary>A pupa in the plan of warming up.</summary>
/// <param name="StockId">The pupa.</param>
/// <param name="Name">Its name.</param>
/// <param name="Sex">Its sex.</param>
/// <param name="On">Night on which it is taken out of the cold.</param>
/// <param name="EmergesFrom">Night by which one in ten of such pupae is out.</param>
/// <param name="EmergesTo">Night by which nine in ten are.</param>
/// <param name="LivesTo">Night to which it usually lives, if it comes out at the middle of these.</param>
public sealed record WarmUpPupa(
    Guid StockId,
    string Name,
    Sex Sex,
    DateOnly On,
    DateOnly EmergesFrom,
    DateOnly EmergesTo,
    DateOnly LivesTo
);

/// <summary>When the wintering pupae of a species are taken out of the cold, so that both sexes are out at once.</summary>
/// <param name="Species">The species.</param>
/// <param name="Pupae">Those whose sex is told, females first, each with its night.</param>
/// <param name="Pairs">Pairs to be expected.</param>
/// <param name="PairsAtOnce">The same if all were taken out on one night.</param>
/// <param name="AtOnceOn">The first night on which all may be.</param>
/// <param name="Unsexed">Pupae in the cold of which nobody told the sex.</param>
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
                    s is { IsChilled: true, Standing: { IsMany: false, Departure: null } }
                    && s.Standing.Vigils.OpenOf(VigilKind.Emergence) is not null
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
        var known = all.Where(s => s.Standing.Details.Sex != Sex.Unknown).ToList();
        // As many of either sex: more of one make no pair.
        var told = known
            .OrderBy(s => WinterWeeks.Of(s)!.Days.MissingDays)
            .ThenBy(s => s.Standing.OwnPlace.Code, StringComparer.Ordinal)
            .GroupBy(s => s.Standing.Details.Sex)
            .OrderBy(g => g.Key)
            .SelectMany(g => g.Take(rules.MostPupae.Value / 2))
            .ToList();
        if (told.Count < 2 || told.Select(s => s.Standing.Details.Sex).Distinct().Count() < 2)
        {
            return all.Count < 2
                ? null
                : new SpeciesWarmUp(
                    species,
                    [],
                    0,
                    0,
                    room.Tonight,
                    all.Count - known.Count,
                    told.Count == 0
                        ? "Tell the sexes first: feathered antennae show through the case of a male. Then the nights on which to warm them can be planned."
                        : $"Only {(told[0].Standing.Details.Sex == Sex.Male ? "males" : "females")} are known among them: no pair can be planned.",
                    []
                );
        }

        List<PupaToWarm> pupae = [.. told.Select(Pupa)];
        var plan = WarmUpPlan.Of(pupae, rules);
        List<WarmUpPupa> planned =
        [
            .. told.Select(
                (s, k) =>
                {
                    DateOnly Night(double days) => room.Tonight.AddDays((int)Math.Round(plan.Days[k] + days));
                    var (pupa, details) = (pupae[k], s.Standing.Details);
                    return new WarmUpPupa(
                        s.Standing.StockId,
                        details.Nickname,
                        details.Sex,
                        Night(0),
                        Night(pupa.EmergesAfter(Early)),
                        Night(pupa.EmergesAfter(Late)),
                        Night(pupa.EmergesAfter(Half) + pupa.Lives(Half))
                    );
                }
            ),
        ];
        return new SpeciesWarmUp(
            species,
            planned,
            plan.Pairs,
            plan.PairsAtOnce,
            room.Tonight.AddDays(plan.AtOnceDay),
            all.Count - known.Count,
            told.Count < known.Count
                ? $"{SaysOf(planned, plan, room)} {known.Count - told.Count} more are planned when these are out."
                : SaysOf(planned, plan, room),
            WhyOf(told, pupae.Average(p => p.Emerges), rules)
        );
    }

    /// <summary>
    /// One pupa as the plan takes it: its forecast if it is warm from its night on, its sex before or after the middle of its kind,
    /// and an adult life between the ends of its range in 8 of 10.
    /// </summary>
    private static PupaToWarm Pupa(Subject s)
    {
        var wait = OpenWait.Of(s, s.Standing.Vigils.OpenOf(VigilKind.Emergence)!);
        var left = wait.Hoped.Left;
        var earlier = s.Profile.Larvae?.MalesEarlierDays.Value ?? 0;
        var shift = s.Standing.Details.Sex == Sex.Male ? -earlier / 2 : earlier / 2;
        var pace = s.PaceAhead;
        var life = s.AdultLife.Value;
        var lives = LogNormalWait.FromPrior(
            new WaitPrior(life.Low, Math.Sqrt(life.Low * life.High), Math.Max(life.High, life.Low * 1.01))
        );
        return new PupaToWarm(
            s.Standing.Details.Sex,
            WinterWeeks.Of(s)!.Days.MissingDays,
            wait.Chances[0],
            share => Math.Max(LeastDays, pace.Ahead(left.Quantile(share)).Value + shift),
            share => new RemainingWait(lives, EffectiveDays.Zero).Quantile(share).Value
        );
    }

    private static string SaysOf(List<WarmUpPupa> pupae, WarmUpPlan plan, Room room)
    {
        string Nights(Sex sex)
        {
            var nights = pupae.Where(p => p.Sex == sex).Select(p => p.On).Distinct().Order().ToList();
            return nights.Count == 1
                ? room.Wording.Date(nights[0])
                : $"{room.Wording.Date(nights[0])} to {room.Wording.Date(nights[^1])}";
        }

        string Told(double pairs) => pairs.ToString("0.0", CultureInfo.InvariantCulture);
        return plan.Days.All(d => d == plan.AtOnceDay)
            ? $"Take all out on {room.Wording.Date(room.Tonight.AddDays(plan.AtOnceDay))}: {Told(plan.PairsAtOnce)} pairs to be expected, and no other nights are better."
            : $"Females {Nights(Sex.Female)}, males {Nights(Sex.Male)}: {Told(plan.Pairs)} pairs to be expected, instead of {Told(plan.PairsAtOnce)} if all are taken out on {room.Wording.Date(room.Tonight.AddDays(plan.AtOnceDay))}.";
    }

    private static List<Reason> WhyOf(List<Subject> told, double emerge, WarmUpRules rules)
    {
        var s = told[0];
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
                $"{rules.Seasons.Value} seasons are drawn from the forecasts and lives of these {told.Count} pupae, of which {100 * emerge:0} in 100 come out at all; the pairs are the mean of the largest matchings, told by other seasons than those by which the nights were chosen."
            ),
        };
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
