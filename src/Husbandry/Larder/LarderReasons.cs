using System.Globalization;
using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Husbandry.Larder;

/// <summary>Why the larder says what it says.</summary>
public static class LarderReasons
{
    /// <summary>What a culture's dates and numbers rest on.</summary>
    public static IReadOnlyList<Reason> Of(FeederRules feeder, CultureRules rules, double? celsius, LarderRules larder)
    {
        var at = $"feeder.{feeder.Id}.culture";
        var reasons = new List<Reason>
        {
            rules.FirstDays.Because(
                "Days",
                $"{at}.firstDays",
                $"At {Plain(larder.CultureC.Value)} °C the first come after {Plain(rules.FirstDays.Value)} days, most after {Plain(rules.PeakDays.Value)}, none after {Plain(rules.EndDays.Value)}."
            ),
            rules.Yield.Because(
                "Yield",
                $"{at}.yield",
                $"A pot gives some {Plain(rules.Yield.Value)} in its whole life, a poor one {Plain(larder.LeastYieldShare.Value * 100)} in 100 of that."
            ),
        };
        if (celsius is { } warmth)
        {
            reasons.Add(
                larder.CultureQ10.Because(
                    "Warmth",
                    "larder.cultureQ10",
                    $"{warmth.ToString("0.#", CultureInfo.InvariantCulture)} °C of late: it runs {Plain(Emergence.Pace(larder, warmth), "0.00")} times as fast."
                )
            );
        }

        if (rules.ColdHoldsDays is { } cold)
        {
            reasons.Add(
                cold.Because(
                    "Cold",
                    $"{at}.coldHoldsDays",
                    $"In the cold it stands still, and every {Plain(cold.Value)} days half of what is left no longer hatches."
                )
            );
        }

        return reasons;
    }

    /// <summary>What the outlook of a food rests on.</summary>
    internal static IReadOnlyList<Reason> Of(
        FoodKey food,
        FeederRules feeder,
        FeederClass size,
        FoodFlow flow,
        LarderSupply supply,
        Room room
    )
    {
        var (rules, words, name) = (room.Rules.Larder, room.Wording, feeder.NameOf(size, many: true));
        var perWeek = flow.Need.Sum() * 7 / flow.Nights;
        var counted = supply.CountedOn(food) is { } on
            ? $"Last counted {words.Day(on)}; what was fed since is taken off, what hatched or came is added."
            : "Never counted: taken as none but what is known to have come.";
        var reasons = new List<Reason>
        {
            Reason.FromRecord("There", counted, "record.larder"),
            feeder.KeepsDays.Because(
                "Keeps",
                $"feeder.{feeder.Id}.keepsDays",
                $"Half of the {name} in stock are gone after {Wording.Days(feeder.KeepsDays.Value)}."
            ),
            Reason.FromRecord(
                "Need",
                $"About {perWeek.ToString(perWeek < 10 ? "0.#" : "0", CultureInfo.InvariantCulture)} a week: every meal due in {Plain(rules.Weeks.Value)} weeks, of the size forecast for its night.",
                "record.needs"
            ),
        };
        if (flow.FromTubsADay > 0)
        {
            reasons.Add(
                room.Rules.Room.Colonies.AdvisedHarvestShare.Because(
                    "Own tubs",
                    "room.advisedHarvestShare",
                    $"Own tubs give about {Plain(flow.FromTubsADay * 7, "0.#")} a week of this size: half of what they grow, and none from one in trouble."
                )
            );
        }

        if (feeder.Culture is { } culture && LarderSupply.FoodOf(feeder) == food)
        {
            reasons.AddRange(Of(feeder, culture, room.RecentC, rules).Take(2));
        }

        if (feeder.From is not (FeederFrom.Kitchen or FeederFrom.Culture))
        {
            var lead = rules.Lead.Value;
            reasons.Add(
                rules.Lead.Because(
                    "Parcels",
                    "larder.lead",
                    $"Half come within {Wording.Days(lead.P50)}, nine of ten within {Wording.Days(lead.P90)}; the slow ones are reckoned with."
                )
            );
        }

        reasons.Add(
            rules.MarginDays.Because(
                "Margin",
                "larder.marginDays",
                $"Everything is to be there {Wording.Days(rules.MarginDays.Value)} before it is needed."
            )
        );
        reasons.Add(
            rules.GlutWeeks.Because(
                "Too much",
                "larder.glutWeeks",
                $"More than {Plain(rules.GlutWeeks.Value)} weeks' need, and more than a pack of {room.Rules.Larder.PackOf(size)}, is too much."
            )
        );
        return reasons;
    }

    /// <summary>What the use of a kind of goods rests on: each group that uses it.</summary>
    internal static IReadOnlyList<Reason> Of(
        GoodsRules goods,
        IReadOnlyDictionary<string, int> enclosures,
        IReadOnlyList<GoodsUsed> byRecord,
        Room room
    ) =>
        [
            .. byRecord.Count == 0
                ? Array.Empty<Reason>()
                :
                [
                    Reason.FromRecord(
                        "Tubs",
                        $"By what stands in them and how fast it goes there: {string.Join(", ", byRecord.Select(u => $"{u.Name} {Plain(u.PerWeek)} {goods.Unit}"))} a week.",
                        "record.calciumLooked"
                    ),
                ],
            .. goods
                .PerWeek.Where(p => enclosures.GetValueOrDefault(p.Key) > 0)
                .Select(p =>
                {
                    var many = enclosures[p.Key];
                    var group = room.Rules.Group(p.Key)!;
                    return p.Value.Because(
                        group.Name,
                        $"larder.goods.{goods.Id}.perWeek.{p.Key}",
                        $"{many} {(many == 1 ? "enclosure takes" : "enclosures take")} {Plain(many * p.Value.Value, "0.##")} {goods.Unit} a week."
                    );
                }),
            room.Rules.Larder.Lead.Because(
                "Order by",
                "larder.lead",
                $"A slow parcel takes {Wording.Days(Math.Ceiling(room.Rules.Larder.Lead.Value.P90))}, and {Wording.Days(room.Rules.Larder.MarginDays.Value)} are to spare."
            ),
        ];

    private static string Plain(double value, string format = "0.#") =>
        value.ToString(format, CultureInfo.InvariantCulture);
}
