using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Plants;

/// <summary>How much leaf some larvae, or eggs that will be, are going to eat.</summary>
/// <param name="Count">How many.</param>
/// <param name="Instar">Their instar; none while they are eggs.</param>
/// <param name="GramsByDay">Leaf to be picked for each night from tonight on, g, with what spoils.</param>
/// <param name="ReadyOn">Of eggs: night by which leaf must be there.</param>
/// <param name="Pupates">Night on which the last of it is eaten, at the present warmth.</param>
/// <param name="Host">The plant they are fed with: as on record, else the first that the rulebook names.</param>
/// <param name="IsHostOnRecord">Whether that is on record.</param>
/// <param name="Hosts">Plants that they take.</param>
/// <param name="MayChange">Whether they take another of them midway.</param>
public sealed record LeafNeed(
    double Count,
    int? Instar,
    IReadOnlyList<double> GramsByDay,
    DateOnly? ReadyOn,
    DateOnly Pupates,
    string Host,
    bool IsHostOnRecord,
    IReadOnlyList<string> Hosts,
    bool MayChange
)
{
    private const double Whole = 1e-9;

    /// <summary>Leaf of the next nights, g.</summary>
    /// <param name="nights">How many nights.</param>
    public double Within(int nights) => GramsByDay.Take(nights).Sum();

    /// <summary>What larvae or eggs will need; none of what eats no leaf, or of which the rulebook does not know how much.</summary>
    /// <param name="subject">The larvae.</param>
    /// <param name="stage">Their stage.</param>
    /// <param name="hatch">Of eggs: when they are to be expected; none of others.</param>
    public static Answer<LeafNeed>? Of(Subject subject, Stage stage, VigilForecast? hatch)
    {
        ArgumentNullException.ThrowIfNull(subject);
        var isEggs = subject.AllWaitFor(VigilKind.Hatching);
        if (
            subject.Standing.Departure is not null
            || subject.Profile.Larvae is not { } larvae
            || (!isEggs && stage is Stage.Pupa or Stage.Adult or Stage.Egg)
            || (isEggs && (hatch is null || subject.IsChilled))
        )
        {
            return null;
        }

        var host = HostChosenEntry.OnRecord(subject.Standing);
        var rules = subject.Room.Rules.Room.Plants;
        var days = InstarDays(subject.Profile);
        var demand = new LeafDemand(days, larvae.LeafOfLifeG.Value, rules.MassRatio.Value);
        var spoils = subject.Profile.Leaf?.Value == LeafKind.Soft ? rules.SpoilsSoft : rules.SpoilsWoody;
        var count = isEggs ? (double)subject.Standing.Details.Count : subject.Mouths;
        var age = isEggs ? 0 : AgeOf(subject, stage, days);
        var gone = subject.Pace.EachDayAhead(rules.DaysAhead.Value);
        List<double> hatched = hatch is null
            ? []
            : [.. Enumerable.Range(0, rules.DaysAhead.Value + 1).Select(d => hatch.Left.Within(new CalendarDays(d)))];
        List<double> byDay =
        [
            .. Enumerable
                .Range(0, rules.DaysAhead.Value)
                .Select(d =>
                    spoils.Value
                    * count
                    * (
                        isEggs
                            ? (hatch!.Ends?.Ends[0].Chance ?? 1) * Hatched(hatched, d, gone, demand)
                            : demand.EatenBy(age + gone[d + 1].Value) - demand.EatenBy(age + gone[d].Value)
                    )
                ),
        ];
        var left = subject.Pace.Ahead(new EffectiveDays(Math.Max(0, demand.LarvalDays - age)));
        var need = new LeafNeed(
            count,
            isEggs ? null : InstarAt(age, days),
            byDay,
            isEggs ? hatch!.P10.AddDays(-(int)Math.Ceiling(rules.ReadyBeforeDays.Value)) : null,
            (isEggs ? hatch!.P50 : subject.Room.Tonight).AddDays((int)Math.Ceiling(left.Value)),
            host ?? larvae.Hosts.Value[0],
            host is not null,
            larvae.Hosts.Value,
            larvae.HostMayChange.Value
        );
        return new Answer<LeafNeed>(need, Says(need, subject), WhyOf(subject, demand, spoils, isEggs));
    }

    /// <summary>What one larva out of an egg eats on a day, if it hatches at all: the mean over when it may.</summary>
    /// <param name="hatched">Chance that it is out by the beginning of each day.</param>
    /// <param name="day">The day, 0 for tonight.</param>
    /// <param name="gone">Effective days gone by at the beginning of each day.</param>
    /// <param name="demand">What it eats by age.</param>
    private static double Hatched(List<double> hatched, int day, EffectiveDays[] gone, LeafDemand demand) =>
        Enumerable
            .Range(0, day + 1)
            .Sum(d =>
                (hatched[d + 1] - hatched[d])
                * (demand.EatenBy((gone[day + 1] - gone[d]).Value) - demand.EatenBy((gone[day] - gone[d]).Value))
            );

    /// <summary>Days of each instar by the waits of the species, at the warmth for which they hold.</summary>
    internal static List<double> InstarDays(SpeciesProfile profile)
    {
        var instars = (int)Math.Round(profile.MoltsToAdult.Female.Value.Middle) + 1;
        var last = instars - 1;
        return
        [
            .. Enumerable
                .Range(0, instars)
                .Select(k =>
                {
                    var stage =
                        k >= last - 1 ? Stage.SubAdult
                        : k < (last + 1) / 2 ? Stage.Sling
                        : Stage.Juvenile;
                    return Math.Exp(IntervalPrior.ForMolt(profile, stage, k, null, Sex.Unknown).Mu);
                }),
        ];
    }

    /// <summary>Effective days since hatching: the instars behind it and the days since its last molt.</summary>
    private static double AgeOf(Subject subject, Stage stage, List<double> days)
    {
        var molts = Math.Clamp(
            subject.Standing.MoltsInLife
                ?? (
                    stage == Stage.Sling ? 0
                    : stage == Stage.Juvenile ? days.Count / 2
                    : days.Count - 1
                ),
            0,
            days.Count - 1
        );
        var since = subject.Standing.Growth.LastMolt?.When.Middle ?? subject.Standing.ArrivedAt;
        var inside = subject.Pace.Between(since, subject.Room.Now).Value;
        return days.Take(molts).Sum() + Math.Clamp(inside, 0, days[molts] - Whole);
    }

    private static int InstarAt(double age, List<double> days)
    {
        var (instar, end) = (1, days[0]);
        while (age >= end && instar < days.Count)
        {
            end += days[instar++];
        }

        return instar;
    }

    private static string Says(LeafNeed need, Subject subject)
    {
        var hosts = (
            need.IsHostOnRecord ? need.Host
            : need.Hosts.Count > 1 ? $"{string.Join(", ", need.Hosts.SkipLast(1))} or {need.Hosts[^1]}"
            : string.Join(", ", need.Hosts)
        ).ToUpperFirst();
        var (night, week) = (Grams(need.Within(1)), Grams(need.Within(7)));
        return need.ReadyOn is { } ready
            ? $"{hosts}: there {(ready <= subject.Room.Tonight ? "now" : $"by {subject.Room.Wording.Date(ready)}")}, as hatchlings starve within a day or two; {week} in the first week ahead."
            : $"{hosts}: {night} tonight, {week} within a week.";
    }

    private static string Grams(double grams) =>
        grams < 1 ? "less than 1 g"
        : grams < 1000 ? $"{Wording.Plain(Math.Round(grams))} g"
        : $"{Wording.Plain(Math.Round(grams / 1000, 1))} kg";

    private static List<Reason> WhyOf(Subject subject, LeafDemand demand, Rule<double> spoils, bool isEggs)
    {
        var (larvae, rules) = (subject.Profile.Larvae!, subject.Room.Rules.Room.Plants);
        var why = new List<Reason>
        {
            larvae.LeafOfLifeG.Because(
                "Leaf",
                "species.leafOfLifeG",
                $"One larva eats about {Wording.Plain(larvae.LeafOfLifeG.Value)} g of leaf in its life."
            ),
            rules.MassRatio.Because(
                "Growth",
                "room.plants.massRatio",
                $"Each instar eats {Wording.Plain(rules.MassRatio.Value)} times as much as the one before: {100 * demand.ShareOfLast:0} in 100 in the last."
            ),
            spoils.Because(
                "Spoils",
                subject.Profile.Leaf?.Value == LeafKind.Soft ? "room.plants.spoilsSoft" : "room.plants.spoilsWoody",
                $"What wilts, stalks and what is left: × {Wording.Plain(spoils.Value)}."
            ),
            larvae.Hosts.Because(
                "Plants",
                "species.hosts",
                larvae.HostMayChange.Value
                    ? $"It takes {string.Join(", ", larvae.Hosts.Value)}, and may be changed over between them."
                    : $"It takes {string.Join(", ", larvae.Hosts.Value)}; it stays on the one it began with. Several may be offered together from the first day."
            ),
        };
        if (isEggs)
        {
            why.Add(
                rules.ReadyBeforeDays.Because(
                    "Ready",
                    "room.plants.readyBeforeDays",
                    $"Leaf stands ready {Wording.Days(rules.ReadyBeforeDays.Value)} before the first may hatch."
                )
            );
        }

        return why;
    }
}
