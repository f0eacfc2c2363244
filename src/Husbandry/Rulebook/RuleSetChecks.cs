using Husbandry.Reasons;

namespace Husbandry.Rulebook;

/// <summary>What a rulebook must satisfy beyond its form: references that exist, ranges that make sense.</summary>
internal static partial class RuleSetChecks
{
    public static IEnumerable<Problem> Check(RuleSet rules) =>
        rules
            .Groups.SelectMany(g => CheckGroup(g, rules))
            .Concat(rules.Species.SelectMany(s => CheckSpecies(s, rules)))
            .Concat(rules.Feeders.SelectMany(CheckFeeder))
            .Concat(rules.Signs.SelectMany(s => CheckSign(s, rules)))
            .Concat(CheckHush(rules))
            .Concat(CheckRoom(rules.Room))
            .Concat(rules.Guide.SelectMany(g => GuideChecks.Check(g, rules)))
            .Concat(Repeated("guide", rules.Guide.Select(g => g.Id)))
            .Concat(Repeated("groups", rules.Groups.Select(g => g.Id)))
            .Concat(Repeated("species", rules.Species.Select(s => s.Id)))
            .Concat(Repeated("feeders", rules.Feeders.Select(f => f.Id)))
            .Concat(Repeated("signs", rules.Signs.Select(s => s.Id)));

    public static IEnumerable<Problem> CheckGroup(GroupRules group, RuleSet rules)
    {
        var at = $"groups.json {group.Id}";
        var checks = new List<Problem?>
        {
            (group.Feeding.Diet == Diet.Prey) == (group.Feeding.Prey is not null)
                ? null
                : new Problem($"{at}.prey", "Groups that live on prey have rules for it, and no others."),
            Within($"{at}.deadPreyHours", group.Feeding.DeadPreyHours, 1, 96),
            Within($"{at}.imminentDays", group.Vigils.ImminentDays, 0.5, 30),
            Within($"{at}.bodyPerSize", group.Growth.BodyPerSize, 0.1, 10),
            Within($"{at}.hardPartPerBody", group.Growth.HardPartPerBody, 0.02, 1),
            Within($"{at}.growthRatio", group.Growth.GrowthRatio, 1.01, 2.5),
            Ordered($"{at}.sizeLimitMm", group.Growth.SizeLimitMm),
        };
        if (group.Feeding.Condition is { } condition)
        {
            checks.Add(Within($"{at}.condition.plumpAbove", condition.PlumpAbove, condition.ThinBelow.Value, 5));
            checks.Add(
                Within($"{at}.condition.veryPlumpAbove", condition.VeryPlumpAbove, condition.PlumpAbove.Value, 9)
            );
        }

        if (group.Nursery is { } nursery)
        {
            checks.Add(Within($"{at}.nursery.earlyLoss", nursery.EarlyLoss, 0, 0.95));
            checks.Add(Within($"{at}.nursery.laterLoss", nursery.LaterLoss, 0, 0.95));
            checks.Add(
                (nursery.ApartFrom is null) == (nursery.Vial is null)
                && (nursery.ApartFrom is null) == (nursery.ApartBeforeMolt is null)
                    ? null
                    : new Problem(
                        $"{at}.nursery.vial",
                        "Groups whose young live alone say in what, and whether before the molt, and no others."
                    )
            );
            checks.Add(
                nursery.Seed is not { Value: var seed }
                || (seed.Each > 0 && nursery.Vial is not null && rules.Feeder(seed.FeederId) is not null)
                    ? null
                    : new Problem(
                        $"{at}.nursery.seed",
                        "Cleaners are of a feeder of the rulebook, 1 or more in each vial."
                    )
            );
        }

        if (group.Feeding.Prey is { } prey)
        {
            checks.Add(Within($"{at}.prey.shareOfBody", prey.ShareOfBody, 0.1, 1));
            checks.Add(Within($"{at}.prey.neverAboveShare", prey.NeverAboveShare, prey.ShareOfBody.Value, 2));
            checks.Add(Within($"{at}.prey.mealShareOfBody", prey.MealShareOfBody, 0.05, 1));
        }

        if (!group.Has(Stage.Adult) || group.Stages.DistinctBy(s => s.Stage).Count() < group.Stages.Count)
        {
            checks.Add(new Problem($"{at}.stages", "Needs adults, and each stage once."));
        }

        foreach (var stage in group.Stages)
        {
            checks.AddRange(CheckStage($"{at}.stages.{stage.Stage}", stage, group, rules));
        }

        if (group.Knows(VigilKind.Surfacing) && group.Vigils.Underground.Count < 2)
        {
            checks.Add(
                new Problem($"{at}.underground", "Needs two sizes at least where animals bury themselves to molt.")
            );
        }

        if (group.Knows(VigilKind.Emergence))
        {
            checks.Add(
                group.Has(Stage.Pupa)
                    ? null
                    : new Problem($"{at}.stages", "What emerges was a pupa: that stage is missing.")
            );
        }

        if (group.Knows(VigilKind.Hatching))
        {
            checks.Add(
                group.Has(Stage.Egg)
                    ? null
                    : new Problem($"{at}.stages", "What hatches was an egg: that stage is missing.")
            );
        }

        checks.AddRange(
            Enum.GetValues<Moisture>().Select(m => Has(at + ".dampSideInPremolt", m, group.Water.DampSideInPremolt))
        );

        checks.AddRange(group.Vigils.Waits.Select(w => Rising($"{at}.waits.{w.Key}", w.Value.Value)));
        checks.AddRange(group.Vigils.OtherEnds.SelectMany(v => CheckEnds($"{at}.otherEnds.{v.Key}", v.Key, v.Value)));

        checks.AddRange(
            Enum.GetValues<Moisture>().Select(m => Has(at + ".waterEveryDays", m, group.Water.WaterEveryDays))
        );
        return checks.OfType<Problem>();
    }

    private static IEnumerable<Problem?> CheckEnds(
        string at,
        VigilKind vigil,
        IReadOnlyDictionary<string, OtherEndRules> ends
    )
    {
        var defined = VigilDefinition.Of(vigil).Others.Select(e => e.Id).ToHashSet();
        yield return defined.SetEquals(ends.Keys)
            ? null
            : new Problem(at, $"Must name exactly the other ends of this wait: {string.Join(", ", defined)}.");
        foreach (var (id, end) in ends)
        {
            yield return (end.Share is null) == (vigil == VigilKind.EggCase)
                ? null
                : new Problem($"{at}.{id}.share", "Has a share, but where the take rate of the species is one.");
            yield return end.Share is { } share ? Within($"{at}.{id}.share", share, 0.005, 0.95) : null;
            yield return Rising($"{at}.{id}.wait", end.Wait.Value);
        }

        var others = ends.Values.Sum(e => e.Share?.Value ?? 0);
        yield return others <= 0.95 ? null : new Problem(at, "The other ends must leave 5 in 100 for the hoped one.");
    }

    private static IEnumerable<Problem?> CheckStage(string at, StageRules stage, GroupRules group, RuleSet rules)
    {
        if (group.Hardening is { } hardening && stage.PremoltDays is not null)
        {
            yield return hardening.FirstMeal.Any(r => r.Stage == stage.Stage && r.AboveSizeMm == 0)
                ? null
                : new Problem($"{at}.firstMeal", "Has no rule from 0 mm up.");
        }

        yield return stage.Upkeep.Count <= UpkeepTask.MostOfStage
            ? null
            : new Problem(
                $"{at}.upkeep",
                $"At most {UpkeepTask.MostOfStage} tasks, or the menu has no letters for them."
            );
        foreach (var task in stage.Upkeep)
        {
            yield return Within($"{at}.upkeep.{task.Id}.everyDays", task.EveryDays, 0.5, 400);
        }

        if (stage.Food is not { } food)
        {
            yield break;
        }

        yield return food.Cadence.Often.Value <= food.Cadence.Lean.Value
            ? null
            : new Problem($"{at}.cadence", "The often school must not wait longer than the lean one.");
        yield return food.Menu.Count > 0 ? null : new Problem($"{at}.menu", "Names no food.");
        foreach (var dish in food.Menu.Where(dish => !IsKnown(dish, rules)))
        {
            yield return new Problem($"{at}.menu", $"No feeder {dish}.");
        }
    }

    public static IEnumerable<Problem> CheckSpecies(SpeciesProfile species, RuleSet rules)
    {
        var at = $"species {species.Id}";
        var checks = new List<Problem?>
        {
            rules.Group(species.Group) is null ? new Problem($"{at}.group", $"No group {species.Group}.") : null,
            Ordered($"{at}.adultSizeMm.female", species.AdultSizeMm.Female),
            Ordered($"{at}.adultSizeMm.male", species.AdultSizeMm.Male),
            Ordered($"{at}.moltsToAdult.female", species.MoltsToAdult.Female),
            Ordered($"{at}.moltsToAdult.male", species.MoltsToAdult.Male),
            Within($"{at}.slingUntilMm", species.SlingUntilMm, 0.1, species.AdultSizeMm.Male.Value.Low),
            species.Warmth.Value is { ReferenceC: >= 10 and <= 40 } warmth
            && (warmth.ThresholdC ?? warmth.ReferenceC - 1) < warmth.ReferenceC
            && warmth is not { Q10: null, ThresholdC: null }
            && (warmth.Q10 ?? 2) is >= 1 and <= 5
                ? null
                : new Problem(
                    $"{at}.warmth",
                    "Reference 10 to 40 °C; a Q10 of 1 to 5 or a threshold below the reference."
                ),
            Within($"{at}.subAdultFromShare", species.SubAdultFromShare, 0.3, 1),
            Within($"{at}.growthRatio", species.GrowthRatio, 1.01, 2.5),
        };
        if (species.Larvae is { } larvae)
        {
            checks.Add(Within($"{at}.leafOfLifeG", larvae.LeafOfLifeG, 0.01, 10_000));
            checks.Add(Within($"{at}.malesEarlierDays", larvae.MalesEarlierDays, 0, 60));
            checks.Add(
                larvae.Hosts.Value.Count > 0 && larvae.Hosts.Value.All(h => h.Length > 0)
                    ? null
                    : new Problem($"{at}.hosts", "Name one plant at least.")
            );
        }

        checks.AddRange(
            (rules.Group(species.Group)?.Stages.Select(s => s.Stage) ?? [])
                .Where(s => s != Stage.Egg)
                .Select(s => Has(at + ".moltInterval", s, species.MoltInterval))
        );
        checks.AddRange(species.MoltInterval.Select(m => Rising($"{at}.moltInterval.{m.Key}", m.Value.Value)));
        checks.AddRange((species.Waits ?? Nothing).Select(w => Rising($"{at}.waits.{w.Key}", w.Value.Value)));
        checks.AddRange(
            species.Pairing is { } pairing ? CheckPairing($"{at}.pairing", pairing, rules.Group(species.Group)) : []
        );
        checks.AddRange(
            new[] { species.KeepingDifficulty, species.BreedingDifficulty }.Select(d =>
                d.Value is >= 1 and <= 5 ? null : new Problem($"{at}.difficulty", "Must be 1 to 5.")
            )
        );
        checks.AddRange(
            species.FalseFriends.Keys.Select(id =>
                rules.Sign(id) is null ? new Problem($"{at}.falseFriends", $"No sign {id}.") : null
            )
        );
        return checks.OfType<Problem>();
    }

    private static IEnumerable<Problem?> CheckPairing(string at, SpeciesPairing pairing, GroupRules? group) =>
        [
            group?.Courtship is null || group.Courtship.Ways.Any(w => w.Method == pairing.Method.Value)
                ? null
                : new Problem($"{at}.method", "The group has no steps for this way of pairing."),
            FromNone($"{at}.afterMoltNights", pairing.AfterMoltNights),
            FromNone($"{at}.maleNights", pairing.MaleNights),
            Ordered($"{at}.casesPerPairing", pairing.CasesPerPairing),
            Ordered($"{at}.broodSize", pairing.BroodSize),
            pairing.Programme?.Value is { } programme
            && (
                programme.Weeks.Low < 1
                || programme.Weeks.High < programme.Weeks.Low
                || programme.Celsius.High <= programme.Celsius.Low
            )
                ? new Problem($"{at}.programme", "Weeks from 1 up, and two temperatures, the lower first.")
                : null,
            Rising($"{at}.sacWait", pairing.SacWait.Value),
            Within($"{at}.takeRate", pairing.TakeRate, 0.02, 0.98),
            Within($"{at}.maleLives", pairing.MaleLives, 0, 1),
        ];

    private static bool IsKnown(string dish, RuleSet rules)
    {
        var parts = dish.Split('/');
        return rules.Feeder(parts[0]) is { } feeder && (parts.Length == 1 || feeder.Class(parts[1]) is not null);
    }

    private static IEnumerable<Problem> CheckFeeder(FeederRules feeder) =>
        feeder.Classes.Any(c => c is null)
            ? [new Problem($"feeders.json {feeder.Id}.classes", "A class is missing.")]
            : CheckWhole(feeder);

    private static IEnumerable<Problem> CheckWhole(FeederRules feeder) =>
        feeder
            .Classes.Where(c => c.LengthMm is not null)
            .Select(c => Ordered($"feeders.json {feeder.Id}.{c.Id}.lengthMm", c.LengthMm!))
            .Append(Within($"feeders.json {feeder.Id}.keepsDays", feeder.KeepsDays, 0.5, 3650))
            .Append(
                feeder.Classes.Count == 0
                    ? new Problem($"feeders.json {feeder.Id}.classes", "Needs one class at least.")
                    : null
            )
            .Append(
                feeder.Culture is { } c
                && !(
                    c.FirstDays.Value > 0
                    && c.FirstDays.Value < c.PeakDays.Value
                    && c.PeakDays.Value < c.EndDays.Value
                    && c.Yield.Value > 0
                )
                    ? new Problem(
                        $"feeders.json {feeder.Id}.culture",
                        "Must rise: 0 < first < peak < end, and give something."
                    )
                    : null
            )
            .OfType<Problem>()
            .Concat(Repeated($"feeders.json {feeder.Id}", feeder.Classes.Select(c => c.Id)));

    private static IEnumerable<Problem> CheckSign(SignRule sign, RuleSet rules)
    {
        var at = $"signs.json {sign.Id}";
        foreach (var group in sign.Groups.Where(g => rules.Group(g) is null))
        {
            yield return new Problem($"{at}.groups", $"No group {group}.");
        }

        var isOpposite = sign.Strength == SignStrength.Opposite;
        if (sign.LikelihoodRatio.Value <= 0 || isOpposite != sign.LikelihoodRatio.Value < 1)
        {
            yield return new Problem($"{at}.likelihoodRatio", "Must be above 1; for opposite signs between 0 and 1.");
        }
    }

    private static IEnumerable<Problem> CheckHush(RuleSet rules) =>
        Enum.GetValues<HushCause>()
            .Where(cause => rules.Hush.Count(h => h.Cause == cause && h.Groups is null) != 1)
            .Select(cause => new Problem("hush.json", $"Cause {cause} must be given exactly once for all groups."))
            .Concat(
                rules
                    .Hush.Where(h => h.Groups is not null)
                    .SelectMany(h => h.Groups!.Select(g => (h.Cause, Group: g)))
                    .GroupBy(x => x)
                    .Where(g => g.Count() > 1 || rules.Group(g.Key.Group) is null)
                    .Select(g => new Problem(
                        "hush.json",
                        $"Cause {g.Key.Cause} for {g.Key.Group}: an unknown group, or given twice."
                    ))
            );

    private static readonly IReadOnlyDictionary<VigilKind, Rule<WaitPrior>> Nothing =
        new Dictionary<VigilKind, Rule<WaitPrior>>();

    private static Problem? Rising(string field, WaitPrior q) =>
        q.P10 > 0 && q.P10 < q.P50 && q.P50 < q.P90 && q.P90 < LongestWaitDays
            ? null
            : new Problem(field, "Must rise: 0 < p10 < p50 < p90, in days, below 10000.");

    private const double LongestWaitDays = 10_000;

    private static Problem? Within(string field, Rule<double> rule, double low, double high) =>
        rule.Value >= low && rule.Value <= high
            ? null
            : new Problem(field, $"Must be {Wording.Plain(low)} to {Wording.Plain(high)} {rule.Unit}.");

    private static Problem? Ordered(string field, Rule<Range> rule) =>
        rule.Value.Low > 0 && rule.Value.Low <= rule.Value.High
            ? null
            : new Problem(field, "The low end must be above 0 and not above the high end.");

    private static Problem? FromNone(string field, Rule<Range> rule) =>
        rule.Value.Low >= 0 && rule.Value.Low <= rule.Value.High
            ? null
            : new Problem(field, "The low end must be 0 or above and not above the high end.");

    private static Problem? Has<TKey, TValue>(string field, TKey key, IReadOnlyDictionary<TKey, TValue> values)
        where TKey : notnull => values.ContainsKey(key) ? null : new Problem(field, $"Nothing given for {key}.");

    private static IEnumerable<Problem> Repeated(string field, IEnumerable<string> ids) =>
        ids.GroupBy(id => id).Where(g => g.Count() > 1).Select(g => new Problem(field, $"{g.Key} is given twice."));
}
