using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Tests;

/// <summary>
/// Facts of the trade that are no words on the round: what is refused on entry, what is counted, who fits where, how long
/// adults live. Source: the chapter of the handbook that each test names; all of them common practice, no published source.
/// </summary>
public class TradeRules
{
    private static Enclosure Tub(double width, double depth, double height, double floor) =>
        new("tub", width, depth, height, floor, Ventilation.FewHoles, DampSide.None, HeatSource.Room, null);

    private static IReadOnlyList<HousingMeasure> Wrong(Diary diary, Enclosure tub) =>
        [.. diary.With(0.5, new Housed(tub, false)).Judge().Fit.Value!.Now.Select(m => m.Measure)];

    private static IReadOnlyList<Problem> Check(Diary diary, Act act) =>
        [.. EntryCheck.Check(act, Occurrence.At(Diary.Evening), diary.Standing(), Diary.Room())];

    /// <summary>Housing: snug and roomy by habit; the smaller that common practice supports is the default.</summary>
    [Fact]
    public void A_lone_adult_fits_the_snug_measures()
    {
        // Female of 130 mm leg span in a cube of 200 mm with 70 mm of soil.
        Assert.Empty(Wrong(new Diary(molts: 9, mature: true).LegSpan(130, 2), Tub(200, 200, 200, 70)));
        // Ground beetle of 35 mm in 150 × 100 mm, 80 mm free above 80 mm of soil.
        Assert.Empty(
            Wrong(
                new Diary("carabus-coriaceus", mature: true).With(2, new Measured(BodyPart.Body, 35)),
                Tub(150, 100, 160, 80)
            )
        );
    }

    /// <summary>Housing: nymphs must find their prey, so a box can be too large for them.</summary>
    [Fact]
    public void A_young_nymph_is_lost_in_a_large_box()
    {
        var nymph = new Diary("hierodula-membranacea", molts: 1).With(2, new Measured(BodyPart.Body, 8));
        Assert.NotEmpty(Wrong(nymph, Tub(400, 400, 400, 0)));
        Assert.Empty(
            Wrong(
                new Diary("hierodula-membranacea", molts: 1).With(2, new Measured(BodyPart.Body, 8)),
                Tub(60, 60, 80, 0)
            )
        );
    }

    /// <summary>Pairing, sexing: evidence fits the group and the stage; an earlier guess is refused with the reason.</summary>
    [Theory]
    [InlineData("hierodula-membranacea", 1, SexEvidence.Looks, "L5")]
    [InlineData("hierodula-membranacea", 2, SexEvidence.Segments, "L5")]
    [InlineData("hierodula-membranacea", 5, SexEvidence.ShedSkin, "not told so")]
    [InlineData("hierodula-membranacea", 5, SexEvidence.Segments, null)]
    [InlineData("hierodula-membranacea", 4, SexEvidence.Segments, null)]
    [InlineData("tliltocatl-albopilosus", 6, SexEvidence.Pectines, "not told so")]
    [InlineData("papilio-machaon", 2, SexEvidence.Antennae, "The sex of Papilio machaon is not told so")]
    [InlineData("papilio-machaon", 2, SexEvidence.AdultMarks, "claspers")]
    [InlineData("samia-ricini", 2, SexEvidence.Antennae, "through the case")]
    public void Sex_is_told_by_what_shows_and_not_too_early(string species, int molts, SexEvidence by, string? refused)
    {
        var diary = new Diary(species, Sex.Unknown, molts: molts).With(3, new Measured(BodyPart.Body, 25));
        var problems = Check(diary, new SexSeen(Sex.Female, by));
        if (refused is null)
        {
            Assert.Empty(problems);
        }
        else
        {
            Assert.Contains(refused, Assert.Single(problems).Message, StringComparison.Ordinal);
        }
    }

    /// <summary>Feeding, outcomes: prey found uneaten and taken out is a refusal; still eating is none.</summary>
    [Theory]
    [InlineData(OfferOutcome.FoundUneaten, 1)]
    [InlineData(OfferOutcome.BattedAway, 1)]
    [InlineData(OfferOutcome.StillEating, 0)]
    [InlineData(OfferOutcome.SeenToCatch, 0)]
    public void An_outcome_is_a_refusal_or_not(OfferOutcome outcome, int refusals)
    {
        var diary = new Diary()
            .LegSpan(60)
            .Ate(20)
            .With(1, new Offered("cricket", "medium", 1, Preparation.Live, outcome));
        Assert.Equal(refusals, diary.Standing().Feeding.Untaken.Count(o => o.Offer.Outcome.IsRefusal()));
    }

    /// <summary>Stock: some of many escape, are lost or released; what is left and what has gone add up.</summary>
    [Fact]
    public void Departures_of_some_add_up()
    {
        var brood = new Diary(kind: StockKind.Brood)
            .With(9, new Counted(20))
            .With(8, new Departed(DepartureKind.Escaped, null, 3))
            .With(7, new Departed(DepartureKind.Died, null, 2))
            .With(6, new Departed(DepartureKind.Released, null, 5));
        var standing = brood.Standing();
        Assert.Equal(10, standing.Details.Count);
        Assert.Null(standing.Departure);
        Assert.Equal(-10, standing.Counts.Where(c => c.By < 0 && c.Change != CountChange.Counted).Sum(c => c.By));
        Assert.Equal("act.count", Assert.Single(Check(brood, new Departed(DepartureKind.Lost, null, 11))).Field);
        Assert.NotNull(brood.With(0.5, new Departed(DepartureKind.Lost)).Standing().Departure);
    }

    /// <summary>Ants: sugar and insect have clocks of their own; logging sugar does not erase the insect's.</summary>
    [Fact]
    public void Sugar_does_not_take_the_insect_out()
    {
        var queen = new Diary("formica-fusca", cameNightsAgo: 60, mature: true, kind: StockKind.Colony)
            .With(4, new Offered("cut-insect", "one", 1, Preparation.Fresh, OfferOutcome.Eaten))
            .With(1, new Offered("sugar-water", "one", 1, Preparation.Fresh, OfferOutcome.Eaten));
        Assert.Contains(queen.Standing().Feeding.FoodIn, f => f.Offer.FeederId == "cut-insect");
        Assert.Contains(queen.Standing().Feeding.FoodIn, f => f.Offer.FeederId == "sugar-water");
    }

    /// <summary>Molting: adults of mantises live three to eight months, females longest.</summary>
    [Fact]
    public void Adult_life_is_told_by_sex()
    {
        Subject Of(string species, Sex sex) => new Diary(species, sex, mature: true).Judge().Subject;
        var (she, he) = (
            Of("hierodula-membranacea", Sex.Female).AdultLife.Value,
            Of("hierodula-membranacea", Sex.Male).AdultLife.Value
        );
        Assert.True(she.High > he.High);
        Assert.InRange(he.Low, 60, 120);
        Assert.InRange(she.High, 180, 300);
    }

    /// <summary>Feeding: variety never proposes what is too small; an L4 mantis gets no small flies.</summary>
    [Fact]
    public void Variety_does_not_push_a_grown_nymph_to_small_flies()
    {
        var nymph = new Diary("hierodula-membranacea", molts: 3).With(6, new Measured(BodyPart.Body, 22));
        for (var night = 20; night > 2; night -= 2)
        {
            nymph.Ate(night, "fruit-fly-large", "large");
        }

        Assert.NotEqual("fruit-fly-small", nymph.Judge().Meal.Value.Offer?.FeederId);
    }

    /// <summary>Safety: an unlisted scorpion or spider counts as dangerous until its keeper says otherwise.</summary>
    [Theory]
    [InlineData("scorpion")]
    [InlineData("tarantula")]
    public void An_unlisted_species_is_not_for_a_sitter(string group)
    {
        var details = new Diary().Standing().Details with
        {
            Group = group,
            SpeciesId = null,
            OtherSpecies = "Nova ignota",
        };
        var standing = Standing.Fold([
            new Diary().Entries[0] with
            {
                Act = new Acquired(details, new Place("A", 1, 3)),
            },
        ])!;
        var judgement = Judgement.Of(standing, Diary.Room());
        Assert.Equal(Hazard.Unknown, judgement.Subject.Profile.Hazard?.Value);
    }
}
