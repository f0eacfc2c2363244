using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rooms;

namespace Husbandry.Colonies;

/// <summary>What may be taken from a tub, and whether a second one is begun for safety.</summary>
/// <param name="PerWeek">Animals that may be taken in a week; 0 for none.</param>
/// <param name="Insure">Whether a second tub is due.</param>
/// <param name="Starter">Animals for that.</param>
public sealed record TubHarvest(double PerWeek, bool Insure, int Starter)
{
    private const double Week = 7;
    private const double Litre = 1e6;

    // A tub as full as that says nothing of how it grows with room to spare.
    private const double NearlyFull = 0.8;

    /// <summary>The harvest of a tub; none while nobody counted it.</summary>
    public static Answer<TubHarvest>? Of(Subject tub)
    {
        ArgumentNullException.ThrowIfNull(tub);
        if (TubTrend.CountsOf(tub) is not [.., var last])
        {
            return null;
        }

        var rules = tub.Room.Rules.Room.Colonies;
        var trend = TubTrend.Of(tub)?.Value;
        var house = tub.House?.Enclosure;
        var litres = house is null ? (double?)null : house.WidthMm * house.DepthMm * house.HeightMm / Litre;
        var capacity = Math.Max(last.Value, litres is { } l ? l * rules.HeldPerLitre.Value : 2 * last.Value);
        var share = last.Value / capacity;
        var growth =
            trend is { IsIndex: false } own && share < NearlyFull ? own.PerDay / (1 - share) : rules.GrowthPerDay.Value;
        var trouble = TubTrouble.Of(tub) is not null;
        var harvest = SustainableHarvest.Of(growth, capacity, rules.AdvisedHarvestShare.Value);
        // Never more than it grows now.
        var grows = Math.Max(0, growth * last.Value * (1 - share));
        var perWeek =
            last.Value < rules.LeastToSplit.Value || trend?.High < 0 || trouble
                ? 0
                : Math.Floor(Week * Math.Min(harvest.AdvisedPerDay, grows));
        var insure = last.Value >= rules.InsuranceAt.Value.Low && !trouble;
        var starter = (int)rules.Starter.Value.High;
        var says =
            trouble ? "Take none: see to the tub first."
            : last.Value < rules.LeastToSplit.Value ? $"Take none below about {rules.LeastToSplit.Value}."
            : perWeek < 1 ? "Take none: it does not grow."
            : $"At most {Wording.Plain(perWeek)} a week.";
        return new Answer<TubHarvest>(
            new TubHarvest(perWeek, insure, starter),
            insure
                ? $"{says} A second tub of {Wording.Plain(rules.Starter.Value.Low)}–{starter} insures the kind."
                : says,
            [
                rules.AdvisedHarvestShare.Because(
                    "Harvest",
                    "room.advisedHarvestShare",
                    $"Growth of {growth * 100:0.##} in 100 a day with room to spare, room for about {capacity:0}: a half-full tub grows by {harvest.MaximumPerDay:0.#} a day at most, and half of that is advised."
                ),
                rules.HeldPerLitre.Because(
                    "Room",
                    "room.heldPerLitre",
                    litres is null
                        ? "Its volume is not on record: room is taken for twice as many as were counted."
                        : $"{litres:0.#} L, {Wording.Plain(rules.HeldPerLitre.Value)} in each."
                ),
                rules.InsuranceAt.Because(
                    "Second tub",
                    "room.insuranceAt",
                    $"From {Wording.Plain(rules.InsuranceAt.Value.Low)} to {Wording.Plain(rules.InsuranceAt.Value.High)} on one is begun with {Wording.Plain(rules.Starter.Value.Low)} to {starter}: a tub may collapse."
                ),
            ]
        );
    }
}

/// <summary>Signs of trouble of a tub, and what to look at, the likeliest first.</summary>
/// <param name="Signs">What was seen, and when.</param>
/// <param name="LookAt">What to look at in turn, each with what is on record of it.</param>
/// <remarks>Source: common practice, no published source: want of calcium and a dry damp end come first.</remarks>
public sealed record TubTrouble(IReadOnlyList<string> Signs, IReadOnlyList<string> LookAt)
{
    /// <summary>Trouble of a tub; none while nothing of it was seen of late.</summary>
    public static Answer<TubTrouble>? Of(Subject tub)
    {
        ArgumentNullException.ThrowIfNull(tub);
        var looks = tub.Standing.Colony.Looks;
        var rules = tub.Room.Rules.Room.Colonies;
        var words = tub.Room.Wording;
        var signs = new List<string>();
        if (looks is [.., var last])
        {
            signs.AddRange(
                last.Signs.Where(s => s is TubSign.DeadInMolt or TubSign.Bloom or TubSign.Sour or TubSign.DryEnd)
                    .Select(s => $"{TubLookedEntry.Word(s)}, {words.Day(tub.Night(last.At))}")
            );
            var young = looks.LastOrDefault(l =>
                l.Signs.Contains(TubSign.FewYoung) || l.Signs.Contains(TubSign.ManyYoung)
            );
            var since = tub.NightsSince(young?.At ?? looks[0].At);
            if (since > rules.FewYoungDays.Value && tub.NightsSince(last.At) < since)
            {
                signs.Add($"no young seen for {Wording.Days(since)}");
            }
        }

        if (TubTrend.Of(tub)?.Value is { High: < 0 })
        {
            signs.Add("fewer at every count");
        }

        if (signs.Count == 0)
        {
            return null;
        }

        var put = tub.Standing.Calcium.Where(c => c.EndedAt is null).ToList();
        var damp = tub.Standing.Water.LastGivenAt;
        List<string> look =
        [
            put.Count == 0
                ? "Calcium: none stands on record. Two sources, one a fine powder."
                : $"Calcium: {put.Count} source{(put.Count == 1 ? "" : "s")} since {words.Date(tub.Night(put.Max(p => p.PutAt)))}; is a fine powder among them?",
            damp is { } at
                ? $"The damp end: moistened {words.Day(tub.Night(at))}. Damp there, dry at the other."
                : "The damp end: nothing on record.",
            "Leaf and rotten wood: is there enough, and soft food out after two or three days?",
            "Warmth and smell: sour floor is taken out by halves.",
        ];
        return new Answer<TubTrouble>(
            new TubTrouble(signs, look),
            $"{string.Join("; ", signs).ToUpperFirst()}.",
            [
                rules.FewYoungDays.Because(
                    "Young",
                    "room.fewYoungDays",
                    $"Broods come every one to three months: none seen for more than {Wording.Days(rules.FewYoungDays.Value)} is a sign."
                ),
            ]
        );
    }
}
