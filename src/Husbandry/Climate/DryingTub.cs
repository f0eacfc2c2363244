using System.Text.Json;
using Husbandry.Reasons;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Climate;

/// <summary>How fast a tub dries, and what a misting must bring.</summary>
/// <param name="MlADay">Water that it loses a day in the air of now, mL.</param>
/// <param name="MlEach">What one misting brings, mL.</param>
/// <param name="EveryDays">Days between two.</param>
/// <param name="Side">Which part of the floor is wetted.</param>
/// <param name="IsOwnPlan">Whether its keeper planned the amount, or it follows from vents and floor.</param>
public sealed record DryingTub(double MlADay, double MlEach, double EveryDays, DampSide Side, bool IsOwnPlan)
{
    // A misting brings what goes off in so many days where nobody planned it: the usual way of a keeper's week.
    private const double UsualDays = 3;

    /// <summary>
    /// Reckons by the mist plan where there is one, with the interval that the round goes by; else from the damp floor, the vents
    /// and the deficit of the air.
    /// </summary>
    /// <param name="house">The enclosure.</param>
    /// <param name="everyDays">Interval at which the round mists it now; none where it does not.</param>
    /// <param name="deficitKPa">Vapour-pressure deficit of the air there, kPa; none where it was not read.</param>
    /// <param name="rules">What a damp floor loses.</param>
    /// <returns>None where nothing of the floor is damp, or neither plan nor air is known.</returns>
    /// <remarks>Source: evaporation goes with the deficit (Dalton's law); the losses per cm² are house values of the rulebook.</remarks>
    public static Answer<DryingTub>? Of(Enclosure house, double? everyDays, double? deficitKPa, RoomClimateRules rules)
    {
        ArgumentNullException.ThrowIfNull(house);
        ArgumentNullException.ThrowIfNull(rules);
        if (house.Mist is { } plan)
        {
            var every = everyDays ?? plan.EveryDays;
            var loses = plan.Ml / every;
            return new Answer<DryingTub>(
                new DryingTub(loses, plan.Ml, every, house.Damp, true),
                $"{Wording.Plain(plan.Ml)} mL {SideWord(house.Damp)} every {Wording.Days(every)}: it dries {loses:0.#} mL a day{(every < plan.EveryDays ? ", more than when it was planned" : every > plan.EveryDays ? ", less than when it was planned" : "")}.",
                [
                    Reason.FromRecord(
                        "Mist plan",
                        $"Planned: {Wording.Plain(plan.Ml)} mL every {Wording.Days(plan.EveryDays)}; the round mists every {Wording.Days(every)} now, by how dry the air is against the weeks before.",
                        "record.mist"
                    ),
                ]
            );
        }

        if (house.Damp == DampSide.None || deficitKPa is not { } deficit)
        {
            return null;
        }

        const double Mm2PerCm2 = 100;
        var share = house.Damp == DampSide.Whole ? 1 : rules.DampShare.Value;
        var cm2 = house.WidthMm * house.DepthMm / Mm2PerCm2 * share;
        var vents = JsonNamingPolicy.CamelCase.ConvertName(house.Vents.ToString());
        var each = rules.Drying[vents];
        var ml = cm2 * each.Value * deficit;
        return new Answer<DryingTub>(
            new DryingTub(ml, ml * UsualDays, UsualDays, house.Damp, false),
            $"It dries about {ml:0.#} mL a day in this air: {ml * UsualDays:0.#} mL {SideWord(house.Damp)} every {Wording.Days(UsualDays)}.",
            [
                each.Because(
                    "Vents",
                    $"room.drying.{vents}",
                    $"{Wording.Plain(each.Value)} mL for each cm² of damp floor, day and kPa of deficit, by how its air comes in."
                ),
                rules.DampShare.Because(
                    "Floor",
                    "room.dampShare",
                    $"{cm2:0} cm² of it are damp{(house.Damp == DampSide.Whole ? ", the whole floor" : $", {Wording.Plain(share)} of the floor")}; the air's deficit is {deficit:0.00} kPa."
                ),
            ]
        );
    }

    private static string SideWord(DampSide side) =>
        side switch
        {
            DampSide.Whole => "over the whole floor",
            DampSide.None => "on a wall or the web",
            DampSide.Left or DampSide.Right => $"on the {side.ToString().ToLowerInvariant()} side",
            DampSide.Back or DampSide.Front => $"at the {side.ToString().ToLowerInvariant()}",
            _ => throw new ArgumentOutOfRangeException(nameof(side), side, "No word for such a side."),
        };
}
