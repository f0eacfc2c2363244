using Husbandry.Climate;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Vigils;

/// <summary>One stage of a founding.</summary>
/// <param name="Stage">What appears: eggs, larvae, pupae, workers.</param>
/// <param name="NotYetOn">Last night on which it was looked for and not there; none where nobody looked.</param>
/// <param name="SeenOn">Night on which it was first seen; none while it was not.</param>
/// <param name="From">One in ten such stages has begun by then.</param>
/// <param name="Likely">Half have.</param>
/// <param name="To">Nine in ten have.</param>
public sealed record ChainStep(
    BroodSeen Stage,
    DateOnly? NotYetOn,
    DateOnly? SeenOn,
    DateOnly From,
    DateOnly Likely,
    DateOnly To
);

/// <summary>When the first workers would be there at another warmth.</summary>
/// <param name="Celsius">Warmth of the tube, °C.</param>
/// <param name="Likely">Night by which half of such foundings have workers.</param>
public sealed record WarmerOrCooler(double Celsius, DateOnly Likely);

/// <summary>A queen's founding as one line: eggs, larvae, pupae, first workers.</summary>
/// <param name="Steps">The stages in turn.</param>
/// <param name="BeganAnew">Whether she ate her brood and began anew, by what was seen.</param>
/// <param name="WhatIf">The first workers at other warmths; empty where nothing is read there.</param>
/// <param name="TubeMostC">Warmth that is never passed, °C.</param>
/// <param name="IsTooWarm">Whether it was passed of late where the tube stands.</param>
/// <param name="Mind">What to mind with her, each in a sentence.</param>
/// <param name="WorkersMayBeThere">Whether one in ten such foundings have workers by now.</param>
public sealed record FoundingChain(
    IReadOnlyList<ChainStep> Steps,
    bool BeganAnew,
    IReadOnlyList<WarmerOrCooler> WhatIf,
    double TubeMostC,
    bool IsTooWarm,
    IReadOnlyList<string> Mind,
    bool WorkersMayBeThere
)
{
    private static readonly BroodSeen[] InTurn = [BroodSeen.Eggs, BroodSeen.Larvae, BroodSeen.Pupae, BroodSeen.Workers];
    private static readonly double[] Apart2C = [-2, 2];
    private const double Negligible = 1e-9;
    private const double SlowestPace = 0.05;
    private const double OneInTen = 0.1;

    /// <summary>The chain of a queen who founds; none of others, and of species of whose stages nothing is known.</summary>
    public static Answer<FoundingChain>? Of(Subject subject)
    {
        ArgumentNullException.ThrowIfNull(subject);
        if (
            subject.Profile.Colony is not { } life
            || !subject.IsQueenAlone
            || subject.Standing.Departure is not null
            || subject.WaitsOfAll.FirstOrDefault(w => w.Vigil == VigilKind.FirstWorkers) is not { } waiting
        )
        {
            return null;
        }

        var rules = subject.Room.Rules.Room.Colonies;
        var began = waiting.Began.Middle;
        var peeks = FoundingPeeks.Of(subject, began);
        var wait = OpenWait.Of(subject, waiting);
        var whole = wait.Hoped.Left.Whole as SeenStagesWait ?? new SeenStagesWait(wait.Hoped.Left.Whole, _ => 1);
        var elapsed = wait.Hoped.Left.Elapsed.Value;
        var pace = subject.PaceAhead;
        var shares = FoundingPeeks.Shares(life);
        // Every length of the whole that is still possible, with every way to divide it, by how well both agree with the looks.
        var ways = whole
            .Cells.Where(c => c.Days > elapsed && c.Chance > Negligible)
            .SelectMany(c =>
                shares.Select(s =>
                    (c.Days, Shares: s, Weight: c.Chance * peeks.Likelihood(c.Days, s, rules.Overlooked.Value))
                )
            )
            .ToList();
        DateOnly Night(double days) =>
            days >= elapsed
                ? pace.Ahead(new EffectiveDays(days - elapsed)).After(subject.Room.Tonight)
                : subject.Room.Tonight.AddDays(
                    -(int)Math.Round((elapsed - days) / Math.Max(SlowestPace, subject.Pace.RateNow))
                );
        var steps = InTurn
            .Select(
                (stage, k) =>
                {
                    var at = Quantiles(ways.Select(w => (w.Days * w.Shares[k], w.Weight)));
                    var looked = subject.Standing.Colony.Peeks.Where(p => p.At >= peeks.Began).ToList();
                    return new ChainStep(
                        stage,
                        looked.LastOrDefault(p => p.Furthest() <= k) is { } not ? subject.Night(not.At) : null,
                        looked.FirstOrDefault(p => p.Furthest() > k) is { } seen ? subject.Night(seen.At) : null,
                        Night(at.P10),
                        Night(at.P50),
                        Night(at.P90)
                    );
                }
            )
            .ToList();
        // The last of them is the forecast that everything else goes by.
        steps[^1] = steps[^1] with
        {
            From = wait.Quantile(0.1),
            Likely = wait.Quantile(0.5),
            To = wait.Quantile(0.9),
        };
        var most = AirBand.Of(subject.Group, subject.Profile).CeilingC;
        var chain = new FoundingChain(
            steps,
            peeks.Began > began,
            WhatIfOf(subject, wait),
            most.Value,
            subject.Pace.IsKnown && subject.Pace.CelsiusNow > most.Value,
            MindOf(subject, life),
            // Not the night of the forecast: that moves on for as long as she waits.
            wait.Hoped.Left.ShareAlreadyOver >= OneInTen
        );
        return new Answer<FoundingChain>(chain, Says(chain, subject), Why(subject, life, peeks, rules));
    }

    /// <summary>What to mind. Source: common practice, no published source.</summary>
    private static List<string> MindOf(Subject subject, ColonyLife life)
    {
        var mind = new List<string>();
        var semi = subject.Profile.Founding?.Value == Founding.SemiClaustral;
        if (semi)
        {
            mind.Add("A pinch of sand from the start, a small outworld; food out after two or three days.");
        }
        else if (subject.Profile.Founding?.Value == Founding.Claustral)
        {
            // Said as the hush says it: a trace only where the keeper's rule allows it.
            mind.Add(
                subject.Group.Feeding.TraceForQueens?.Value == true
                    ? "No food; a trace of honey only while her abdomen is slimmer than her thorax."
                    : "No food: she lives on her reserves."
            );
        }

        if (
            life.SpinsCocoons.Value
            && subject.Standing.Colony.Peeks is [.., var last]
            && last.Seen.Contains(BroodSeen.LargeLarvae)
        )
        {
            mind.Add(
                semi
                    ? "Larvae are large: a thin layer of sand more, for their cocoons."
                    : "Larvae are large: some grains of sand help them to spin; never much."
            );
        }

        if (subject.Standing.Colony.Peeks is [.., var look] && look.Seen.Contains(BroodSeen.Mold))
        {
            mind.Add(
                "Mold was seen: if it spreads, offer a new tube in the light, the old one uncovered, and let her walk over by herself."
            );
        }

        return mind;
    }

    private static (double P10, double P50, double P90) Quantiles(IEnumerable<(double At, double Weight)> ways)
    {
        var ordered = ways.OrderBy(w => w.At).ToList();
        var total = ordered.Sum(w => w.Weight);
        double At(double share)
        {
            var sum = 0.0;
            foreach (var (at, weight) in ordered)
            {
                sum += weight;
                if (sum >= share * total)
                {
                    return at;
                }
            }

            return ordered[^1].At;
        }

        return ordered.Count == 0 ? (0, 0, 0) : (At(0.1), At(0.5), At(0.9));
    }

    private static List<WarmerOrCooler> WhatIfOf(Subject subject, OpenWait wait)
    {
        if (!subject.Pace.IsKnown || subject.IsChilled)
        {
            return [];
        }

        var (now, warmth, rules) = (
            subject.Pace.CelsiusNow,
            subject.Profile.Warmth.Value,
            subject.Room.Rules.Room.Climate
        );
        var left = wait.Hoped.Left.Quantile(0.5).Value;
        return
        [
            .. Apart2C
                .Select(by => Math.Round(now + by, 1))
                .Where(c => c <= AirBand.Of(subject.Group, subject.Profile).CeilingC.Value)
                .Select(c => new WarmerOrCooler(
                    c,
                    subject.Room.Tonight.AddDays((int)Math.Round(left / Pace.Rate(warmth, rules, c)))
                )),
        ];
    }

    private static string Says(FoundingChain chain, Subject subject)
    {
        var (words, tonight) = (subject.Room.Wording, subject.Room.Tonight);
        var unseen = chain.Steps.Where(s => s.SeenOn is null).ToList();
        var next = unseen.FirstOrDefault(s => s.Likely > tonight) ?? chain.Steps[^1];
        var there = unseen.Where(s => s.Likely <= tonight && s != next).Select(s => Word(s.Stage)).ToList();
        return (chain.BeganAnew ? "She ate her brood and began anew, by what was seen. " : "")
            + $"{Word(next.Stage).ToUpperFirst()} about {words.Date(next.Likely)}, between {words.Between(next.From, next.To)}"
            + (subject.IsChilled ? ", if she is warm from tonight on." : ".")
            + (
                there.Count > 0 ? $" Likely there by now, though nobody has seen them: {string.Join(", ", there)}." : ""
            );
    }

    private static string Word(BroodSeen stage) =>
        stage switch
        {
            BroodSeen.Eggs => "eggs",
            BroodSeen.Larvae => "larvae",
            BroodSeen.Pupae => "pupae",
            BroodSeen.Workers => "first workers",
            _ => throw new ArgumentOutOfRangeException(nameof(stage), stage, "No stage of a founding."),
        };

    private static List<Reason> Why(Subject subject, ColonyLife life, FoundingPeeks peeks, RoomColonyRules rules)
    {
        var most = AirBand.Of(subject.Group, subject.Profile).CeilingC;
        string Stage(Rule<WaitPrior> r) => $"{Wording.Plain(r.Value.P10)}–{Wording.Plain(r.Value.P90)}";
        var why = new List<Reason>
        {
            life.Larvae.Because(
                "Stages",
                "species.larvae",
                $"At the warmth for which they hold: eggs after {Stage(life.Eggs)} days, larvae {Stage(life.Larvae)} later, pupae {Stage(life.Pupae)} after that, workers {Stage(life.Workers)} after those."
            ),
            rules.Overlooked.Because(
                "Peeks",
                "room.overlooked",
                peeks.Looks.Count == 0
                    ? "Nobody has looked yet: every look moves these nights."
                    : $"{peeks.Looks.Count} look{(peeks.Looks.Count == 1 ? "" : "s")} counted; what is there is overlooked {Wording.Chance(rules.Overlooked.Value)} times."
            ),
            most.Because(
                "Warmth",
                "group.ceilingC",
                $"Never above {Wording.Plain(most.Value)} °C, heat at the water end or one side, never near her."
            ),
        };
        if (life.WintersFirst.Value)
        {
            why.Add(
                life.WintersFirst.Because(
                    "Winter",
                    "species.wintersFirst",
                    "Flies late: many lay nothing until after their winter. That is no cause for worry."
                )
            );
        }

        return why;
    }
}
