using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Rulebook;

namespace Husbandry.Tests;

/// <summary>Two animals that are put together, and the acts of it.</summary>
internal static class Pair
{
    public static readonly Guid MateId = Guid.NewGuid();

    public static Diary Female(double molted = 80) =>
        new Diary(molts: 9, mature: true, cameNightsAgo: 500)
            .With(molted, new Molted(Ultimate: true))
            .With(molted - 20, new FangsChecked(true))
            .With(3, new ConditionSeen(BodyCondition.Normal));

    public static Diary Male() =>
        new Diary(sex: Sex.Male, molts: 9, cameNightsAgo: 500)
            .With(120, new Molted(Ultimate: true))
            .With(100, new FangsChecked(true));

    public static Paired Watched() => new(MateId, "Bolt", PairingMethod.Watched);

    public static Paired Led() => new(MateId, "Bolt", PairingMethod.Watched, Led: true);

    public static Paired Net() => new(MateId, "Bolt", PairingMethod.NetOvernight, Led: true);

    public static PairingEnded Out() => new(PairingEnding.MaleSafe, null, MateId, "Bolt");

    public static WebLooked Half(WebLook look, double anyway) => new(look, anyway, MateId, "Bolt", Guid.NewGuid());
}
