using Husbandry.Reasons;

namespace Husbandry.Rulebook;

/// <summary>Stands in for a species the rulebook does not have: the widest span of its group's species.</summary>
internal static class OtherSpecies
{
    private const string Why = "house: not in the rulebook, so the whole span of its group is used";

    private const string Told = "said by the keeper when it was added";
    private const double MostChillWeeks = 12;

    /// <summary>
    /// Continuous values take the span of the group; what is one thing or another (how a queen founds, whether a pupa needs
    /// winter, what it can do to people) is what the keeper said, or not known.
    /// </summary>
    public static SpeciesProfile Of(
        string name,
        GroupRules group,
        IReadOnlyList<SpeciesProfile> relatives,
        KnownOfSpecies known
    ) =>
        new(
            "",
            name,
            group.Id,
            relatives[0].Habit,
            new Rule<Moisture>(Moisture.Damp, "moisture school", RuleTag.House, Why),
            new AdultSize(
                Span(relatives, s => s.AdultSizeMm.Female, "mm"),
                Span(relatives, s => s.AdultSizeMm.Male, "mm")
            ),
            group.Growth.SlingUntilMm,
            relatives[0].SubAdultFromShare,
            new MoltsToAdult(
                Span(relatives, s => s.MoltsToAdult.Female, "molts"),
                Span(relatives, s => s.MoltsToAdult.Male, "molts")
            ),
            group.Growth.GrowthRatio,
            group
                .Stages.Select(s => s.Stage)
                .Where(stage => stage != Stage.Egg)
                .ToDictionary(stage => stage, stage => Interval(relatives, stage)),
            null,
            relatives[0].Warmth,
            null,
            known.PupaNeedsWinter == true
                ? new Rule<Diapause>(new Diapause(MostChillWeeks), "weeks of cold", RuleTag.House, Why)
                : null,
            relatives[0].KeepingDifficulty,
            relatives[0].BreedingDifficulty,
            [],
            new Rule<string>("", "place", RuleTag.House, Why),
            new Rule<string>("Look up what holds where you live.", "note", RuleTag.House, Why),
            new Dictionary<string, Rule<string>>(),
            known.Founding is { } founding
                ? new Rule<Founding>(founding, "way of founding", RuleTag.Keeper, Told)
                : null,
            known.Hazard is { } hazard
                ? hazard == Hazard.None
                    ? null
                    : new Rule<Hazard>(hazard, "hazard", RuleTag.Keeper, Told)
                : group.Housing.HazardUntilKnown,
            AdultFeeds: known.AdultFeeds is { } feeds ? new Rule<bool>(feeds, "yes or no", RuleTag.Keeper, Told) : null,
            Pairing: Pairing([.. relatives.Select(s => s.Pairing).OfType<SpeciesPairing>()])
        );

    /// <summary>How its relatives are paired: the nights that suit all of them, and the widest waits.</summary>
    private static SpeciesPairing? Pairing(List<SpeciesPairing> relatives)
    {
        if (relatives.Count == 0)
        {
            return null;
        }

        Rule<Range> Common(Func<SpeciesPairing, Rule<Range>> of)
        {
            var (low, high) = (relatives.Max(r => of(r).Value.Low), relatives.Min(r => of(r).Value.High));
            return of(relatives[0]) with
            {
                Value = new Range(low, Math.Max(low, high)),
                Tag = RuleTag.House,
                Source = Why,
            };
        }

        Rule<double> Least(Func<SpeciesPairing, Rule<double>> of) =>
            of(relatives[0]) with
            {
                Value = relatives.Min(r => of(r).Value),
                Tag = RuleTag.House,
                Source = Why,
            };
        var waits = relatives.Select(r => r.SacWait.Value).ToList();
        return relatives[0] with
        {
            AfterMoltNights = Common(r => r.AfterMoltNights),
            SacWait = new Rule<WaitPrior>(
                new WaitPrior(
                    waits.Min(w => w.P10),
                    Math.Exp(waits.Average(w => Math.Log(w.P50))),
                    waits.Max(w => w.P90)
                ),
                "days",
                RuleTag.House,
                Why
            ),
            TakeRate = Least(r => r.TakeRate),
            MaleLives = Least(r => r.MaleLives),
            MaleNights = Common(r => r.MaleNights),
            Season = null,
            Programme = null,
            CallingHour = null,
        };
    }

    private static Rule<Range> Span(
        IEnumerable<SpeciesProfile> species,
        Func<SpeciesProfile, Rule<Range>> of,
        string unit
    )
    {
        var ranges = species.Select(s => of(s).Value).ToList();
        return new Rule<Range>(new Range(ranges.Min(r => r.Low), ranges.Max(r => r.High)), unit, RuleTag.House, Why);
    }

    private static Rule<WaitPrior> Interval(IReadOnlyList<SpeciesProfile> species, Stage stage)
    {
        var waits = species.Select(s => s.MoltInterval[stage].Value).ToList();
        var median = Math.Exp(waits.Average(w => Math.Log(w.P50)));
        return new Rule<WaitPrior>(
            new WaitPrior(waits.Min(w => w.P10), median, waits.Max(w => w.P90)),
            "days",
            RuleTag.House,
            Why
        );
    }
}
