using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Housing;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Entries that cannot be are refused with the field's name, and the last value that can be is let through.</summary>
public class EntryCheckTests
{
    private static readonly Offered Offer = new("cricket", "small", 1, Preparation.Live, OfferOutcome.Eaten);
    private static readonly Enclosure Tub = new(
        "3 L tub",
        180,
        120,
        100,
        40,
        Ventilation.CrossHoles,
        DampSide.Left,
        HeatSource.Room,
        new MistPlan(1, 4, 3)
    );

    private static IReadOnlyList<string> Fields(Act act, Diary? diary = null, Occurrence? when = null) =>
        [
            .. EntryCheck
                .Check(act, when ?? Occurrence.At(Diary.Evening), (diary ?? new Diary()).Standing(), Diary.Room())
                .Select(p => p.Field),
        ];

    private static Diary Brood() => new(kind: StockKind.Brood);

    private static Diary Colony() => new("formica-fusca", kind: StockKind.Colony);

    public static TheoryData<Act, string> Impossible =>
        new()
        {
            { Offer with { FeederId = "dragon" }, "act.feederId" },
            { Offer with { SizeClassId = "vast" }, "act.sizeClassId" },
            { Offer with { Count = 0 }, "act.count" },
            { Offer with { Count = EntryCheck.MostAnimals + 1 }, "act.count" },
            { Offer with { Untaken = [1] }, "act.untaken" },
            { new SignSeen("no-such-sign"), "act.signId" },
            { new Measured(BodyPart.LegSpan, 1.9), "act.lengthMm" },
            { new Measured(BodyPart.LegSpan, 300.1), "act.lengthMm" },
            { new Measured(BodyPart.LegSpan, double.NaN), "act.lengthMm" },
            { new Measured(BodyPart.Carapace, double.PositiveInfinity), "act.lengthMm" },
            { new Measured(BodyPart.LegSpan, 60, ErrorMm: -0.1), "act.errorMm" },
            { new Measured(BodyPart.LegSpan, 60, ErrorMm: 61), "act.errorMm" },
            { new Measured(BodyPart.LegSpan, 60, FromExuvia: true), "act.fromExuvia" },
            { new Moved(new Place("", 1, 1)), "place" },
            { new Moved(new Place("ABC", 1, 1)), "place" },
            { new Moved(new Place("A", 0, 1)), "place" },
            { new Moved(new Place("A", 1, 1000)), "place" },
            { new Counted(5), "act.count" },
            { new Noted(" "), "act.text" },
            { new Noted(new string('x', EntryCheck.LongestText + 1)), "act.text" },
            { new Departed(DepartureKind.Sold, new string('x', EntryCheck.LongestText + 1)), "act.remark" },
            { new PutOff(new DateOnly(2026, 11, 23)), "act.untilNight" },
            { new PutOff(new DateOnly(2027, 1, 23)), "act.untilNight" },
            { new PutOff(new DateOnly(2026, 11, 24), new string('x', 201)), "act.reason" },
            { new Began(VigilKind.Molt), "act.vigil" },
            { new Began(VigilKind.Emergence), "act.vigil" },
            { new Ended(VigilKind.Young, VigilEnd.AsHoped), "act.vigil" },
            { new Chilled(true), "act.kind" },
            { new Handled(CareAct.FeedLive), "act.care" },
            { new Handled(CareAct.Mist), "act.care" },
            { new LimbNoted("", LimbState.Lost), "act.limb" },
            { new LimbNoted(new string('x', 41), LimbState.Lost), "act.limb" },
            { new Pictured(Guid.NewGuid(), new string('x', 201)), "act.caption" },
            { new Housed(Tub with { Name = "" }, false), "act.enclosure.name" },
            { new Housed(Tub with { WidthMm = 9.9 }, false), "act.enclosure.widthMm" },
            { new Housed(Tub with { DepthMm = 3000.1 }, false), "act.enclosure.depthMm" },
            { new Housed(Tub with { SubstrateMm = 100 }, false), "act.enclosure.substrateMm" },
            { new Housed(Tub with { Mist = new MistPlan(0.05, 4, 3) }, false), "act.enclosure.mist.mlPerSquirt" },
            { new Housed(Tub with { Mist = new MistPlan(1, 51, 3) }, false), "act.enclosure.mist.squirts" },
            { new Housed(Tub with { Mist = new MistPlan(1, 4, 61) }, false), "act.enclosure.mist.everyDays" },
        };

    [Theory]
    [MemberData(nameof(Impossible))]
    public void What_cannot_be_names_its_field(Act act, string field) => Assert.Equal([field], Fields(act));

    public static TheoryData<Act> Possible =>
        [
            Offer with
            {
                Count = EntryCheck.MostAnimals,
            },
            new SignSeen("dark-under-hair"),
            new Measured(BodyPart.LegSpan, 2),
            new Measured(BodyPart.LegSpan, 300),
            new Measured(BodyPart.LegSpan, 60, ErrorMm: 60),
            new Moved(new Place("ZZ", 99, 999)),
            new Noted(new string('x', EntryCheck.LongestText)),
            new Departed(DepartureKind.Died),
            new PutOff(new DateOnly(2026, 11, 24), new string('x', 200)),
            new PutOff(new DateOnly(2027, 1, 22)),
            new Began(VigilKind.Young),
            new Molted(Ultimate: true),
            new Handled(CareAct.Rehouse),
            new LimbNoted(new string('x', 40), LimbState.Lost),
            new Housed(Tub, true),
            new Housed(Tub with { WidthMm = 10, DepthMm = 3000, SubstrateMm = 0, Mist = null }, false),
        ];

    [Theory]
    [MemberData(nameof(Possible))]
    public void The_last_value_that_can_be_is_let_through(Act act) => Assert.Empty(Fields(act));

    [Fact]
    public void A_wait_under_way_must_end_before_another_begins()
    {
        var brooding = new Diary().With(9, new Began(VigilKind.Young));
        Assert.Equal(["act.vigil"], Fields(new Began(VigilKind.Young), brooding));
        Assert.Equal(["act.vigil"], Fields(new Ended(VigilKind.Surfacing, VigilEnd.AsHoped), brooding));
        Assert.Empty(Fields(new Ended(VigilKind.Young, VigilEnd.Otherwise), brooding));
    }

    [Fact]
    public void A_male_does_not_brood() =>
        Assert.Equal(["act.vigil"], Fields(new Began(VigilKind.Young), new Diary(sex: Sex.Male)));

    [Fact]
    public void Only_a_pupa_is_chilled()
    {
        var pupa = new Diary("saturnia-pyri").With(30, new Began(VigilKind.Emergence));
        Assert.Empty(Fields(new Chilled(true), pupa));
    }

    [Fact]
    public void An_adult_by_record_has_no_second_last_molt()
    {
        Assert.Equal(["act.ultimate"], Fields(new Molted(Ultimate: true), new Diary(mature: true)));
        // A female that goes on molting as an adult is common in tarantulas.
        Assert.Empty(Fields(new Molted(), new Diary(mature: true)));
    }

    [Fact]
    public void A_shed_skin_needs_a_molt_before_it()
    {
        var molted = new Diary().With(10, new Molted());
        Assert.Empty(Fields(new Measured(BodyPart.LegSpan, 50, FromExuvia: true), molted));
        Assert.Equal(
            ["act.fromExuvia"],
            Fields(
                new Measured(BodyPart.LegSpan, 50, FromExuvia: true),
                molted,
                Occurrence.At(Diary.Evening.AddDays(-20))
            )
        );
    }

    [Theory]
    [InlineData(0, true)]
    [InlineData(EntryCheck.MostAnimals, true)]
    [InlineData(-1, false)]
    [InlineData(EntryCheck.MostAnimals + 1, false)]
    public void A_brood_is_counted_within_reason(int count, bool passes) =>
        Assert.Equal(passes, Fields(new Counted(count), Brood()).Count == 0);

    [Theory]
    [InlineData(EntryCheck.MostInColony, true)]
    [InlineData(EntryCheck.MostInColony + 1, false)]
    public void A_colony_may_count_as_many_as_it_may_have(int count, bool passes) =>
        Assert.Equal(passes, Fields(new Counted(count), Colony()).Count == 0);

    [Fact]
    public void Vials_are_named_once_each_and_only_where_the_others_ate()
    {
        Assert.Empty(Fields(Offer with { Untaken = [1, 20] }, Brood()));
        Assert.Equal(["act.untaken"], Fields(Offer with { Untaken = [0] }, Brood()));
        Assert.Equal(["act.untaken"], Fields(Offer with { Untaken = [21] }, Brood()));
        Assert.Equal(["act.untaken"], Fields(Offer with { Untaken = [3, 3] }, Brood()));
        Assert.Equal(["act.untaken"], Fields(Offer with { Untaken = [3], Outcome = OfferOutcome.Fled }, Brood()));
    }

    [Fact]
    public void Nothing_happens_tomorrow_nor_before_it_came_nor_ends_before_it_began()
    {
        var tomorrow = Occurrence.At(Diary.Evening.AddDays(1));
        var early = Occurrence.At(Diary.Evening.AddDays(-401));
        var turned = new Occurrence(Diary.Evening, Diary.Evening.AddDays(-1));
        Assert.Equal(["when.to"], Fields(new Looked(), when: tomorrow));
        Assert.Equal(["when.to"], Fields(new Looked(), when: early));
        Assert.Equal(["when.from"], Fields(new Looked(), when: turned));
    }

    [Fact]
    public void What_left_is_let_alone_but_for_words_and_pictures()
    {
        var gone = new Diary().With(3, new Departed(DepartureKind.Sold));
        Assert.Equal(["when"], Fields(new Watered(WaterKind.Dish), gone));
        Assert.Empty(Fields(new Noted("arrived well"), gone));
        Assert.Empty(Fields(new Pictured(Guid.NewGuid(), "at its new home"), gone));
        // What happened before it left may still be told.
        Assert.Empty(Fields(new Watered(WaterKind.Dish), gone, Occurrence.At(Diary.Evening.AddDays(-4))));
    }

    [Fact]
    public void Details_cannot_contradict_the_molts_on_record()
    {
        var molted = new Diary().With(100, new Molted());
        var details = molted.Standing().Details;
        Assert.Empty(Fields(new DetailsChanged(details), molted));
        // A molt before it came is history like any other; one before it hatched cannot be.
        var late = details with
        {
            AcquiredOn = details.AcquiredOn.AddDays(350),
        };
        Assert.Empty(Fields(new DetailsChanged(late), molted));
        var young = late with { HatchedOn = late.AcquiredOn };
        Assert.Equal(["details.hatchedOn"], Fields(new DetailsChanged(young), molted));
    }

    [Theory]
    [InlineData(StockKind.Specimen, 1, 1)]
    [InlineData(StockKind.Brood, 1, EntryCheck.MostAnimals)]
    [InlineData(StockKind.Colony, 1, EntryCheck.MostInColony)]
    public void Each_kind_has_its_least_and_most_animals(StockKind kind, int least, int most)
    {
        var diary = new Diary();
        var details = diary.Standing().Details with { Kind = kind };
        foreach (var count in new[] { least, most })
        {
            Assert.Empty(Fields(new DetailsChanged(details with { Count = count }), diary));
        }

        foreach (var count in new[] { least - 1, most + 1 })
        {
            Assert.Equal(["details.count"], Fields(new DetailsChanged(details with { Count = count }), diary));
        }
    }

    [Fact]
    public void Tags_are_few_short_and_without_the_sign_that_parts_them()
    {
        var diary = new Diary();
        IReadOnlyList<string> With(params string[] tags) =>
            Fields(new DetailsChanged(diary.Standing().Details with { Tags = tags }), diary);
        Assert.Empty(With("breeding loan", new string('x', DetailsCheck.LongestTag)));
        Assert.Equal(["details.tags"], With(""));
        Assert.Equal(["details.tags"], With("a|b"));
        Assert.Equal(["details.tags"], With(new string('x', DetailsCheck.LongestTag + 1)));
        Assert.Equal(["details.tags"], With([.. Enumerable.Range(0, DetailsCheck.MostTags + 1).Select(k => $"t{k}")]));
    }

    [Fact]
    public void A_species_belongs_to_its_group_or_has_a_name_of_its_own()
    {
        var diary = new Diary();
        var details = diary.Standing().Details;
        Assert.Equal(
            ["details.speciesId"],
            Fields(new DetailsChanged(details with { SpeciesId = "formica-fusca" }), diary)
        );
        Assert.Equal(["details.otherSpecies"], Fields(new DetailsChanged(details with { SpeciesId = null }), diary));
        Assert.Empty(
            Fields(new DetailsChanged(details with { SpeciesId = null, OtherSpecies = "Aphonopelma sp." }), diary)
        );
    }
}
