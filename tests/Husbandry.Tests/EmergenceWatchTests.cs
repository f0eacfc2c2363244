using Husbandry.Nursery;
using Husbandry.Plants;
using Husbandry.Records;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Sitter;
using Husbandry.Stock;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>The daily look for adults that come out, what was found outside, and the larva that nobody knows.</summary>
public class EmergenceWatchTests
{
    private static Diary Pupa(string species, double nightsAgo) =>
        new Diary(species, Sex.Unknown, 200, molts: 4).With(nightsAgo, new Began(VigilKind.Emergence));

    private static readonly double FirstDays = RuleSet
        .Shipped.Profile("samia-ricini")!
        .Waits![VigilKind.Emergence]
        .Value.P10;

    [Theory]
    [InlineData(-8, false)]
    [InlineData(-1, true)]
    [InlineData(3, true)]
    public void A_pupa_is_looked_at_daily_shortly_before_one_in_ten_is_out(double afterFirst, bool looked)
    {
        var line = Pupa("samia-ricini", Math.Max(1, FirstDays + afterFirst)).Line();
        Assert.Equal(looked, line.Act == RoundAct.LookForAdult);
    }

    /// <summary>"Not yet" puts the box off till tomorrow, so that it must come behind what its larvae need tonight.</summary>
    [Fact]
    public void It_is_asked_again_tomorrow_and_never_before_those_that_eat_are_fed()
    {
        var tonight = Diary.Room().Tonight;
        foreach (var nights in new[] { FirstDays + 2, 40 })
        {
            var not = Pupa("samia-ricini", nights).Line().Choices.Single(c => c.Key == "n");
            Assert.Equal(tonight.AddDays(1), Assert.IsType<PutOff>(Assert.Single(not.Acts)).UntilNight);
        }

        var box = new Diary("samia-ricini", Sex.Unknown, 60, molts: 3, kind: StockKind.Brood, count: 20).With(
            FirstDays + 2,
            new Began(VigilKind.Emergence, 4)
        );
        Assert.NotEqual(RoundAct.LookForAdult, box.Line().Act);
    }

    /// <summary>A pupa in its winter cold is not watched, nor a beetle in its cell, nor by a sitter.</summary>
    [Fact]
    public void Nobody_looks_where_nothing_comes_out_or_where_a_look_disturbs()
    {
        var cold = Pupa("saturnia-pyri", 150).With(140, new Chilled(true));
        Assert.NotEqual(RoundAct.LookForAdult, cold.Line().Act);
        Assert.NotEqual(RoundAct.LookForAdult, Pupa("carabus-auratus", 150).Line().Act);
        var due = Pupa("samia-ricini", FirstDays + 2).Judge();
        Assert.Equal(RoundAct.LookForAdult, RoundLine.Of(due).Act);
        Assert.Empty(SitterSheet.Of([due], twoPeople: false, due.Subject.Room).Lines);
    }

    [Fact]
    public void What_is_out_is_looked_at_for_its_sex()
    {
        var out_ = Pupa("samia-ricini", FirstDays + 5).With(1, new Ended(VigilKind.Emergence, VigilEnd.AsHoped));
        Assert.Equal(Stage.Adult, out_.Judge().Stage.Value);
        Assert.Equal(RoundAct.TellSex, out_.Line().Act);
    }

    private static Rooms.Subject Found(string place, DateOnly on)
    {
        var diary = new Diary("aglais-io", Sex.Unknown, 3, kind: StockKind.Brood, count: 12);
        var standing = diary.Standing();
        return Rooms.Subject.Of(
            standing with
            {
                Details = standing.Details with { AcquiredOn = on, Wild = new WildFind(place, "nettle") },
            },
            Diary.Room()
        );
    }

    /// <summary>Two waves at one place: the next of them after tonight, 23 November, is next spring's.</summary>
    [Fact]
    public void A_place_is_looked_at_when_something_was_there_before()
    {
        var places = FindPlace.Of(
            [
                Found("The quay ditch", new DateOnly(2025, 5, 20)),
                Found("the quay ditch ", new DateOnly(2024, 5, 28)),
                Found("The quay ditch", new DateOnly(2025, 8, 1)),
                Found("Loft wall", new DateOnly(2025, 11, 20)),
            ],
            new DateOnly(2026, 11, 23)
        );
        Assert.Equal(["Loft wall", "The quay ditch"], places.Select(p => p.Place));
        // Within a fortnight after the find of a former year the time is now.
        Assert.True(places[0].LookFrom <= new DateOnly(2026, 11, 23));
        Assert.Equal(3, places[1].Finds.Count);
        Assert.Equal((5, 2027), (places[1].LookFrom.Month, places[1].LookFrom.Year));
        Assert.True(places[1].LookTo < new DateOnly(2027, 7, 1));
    }

    [Fact]
    public void An_unknown_larva_is_guessed_by_its_plant_and_its_looks()
    {
        var rules = RuleSet.Shipped;
        Assert.Equal("aglais-io", LarvaGuess.Of("Nettle", [LarvaLook.Black, LarvaLook.InWeb], rules)[0].SpeciesId);
        Assert.Equal("smerinthus-ocellatus", LarvaGuess.Of("willow", [LarvaLook.TailHorn], rules)[0].SpeciesId);
        Assert.Equal("papilio-machaon", LarvaGuess.Of(" FENNEL ", [], rules)[0].SpeciesId);
        Assert.Empty(LarvaGuess.Of(null, [], rules));
        var against = LarvaGuess
            .Of("fennel", [LarvaLook.TailHorn], rules)
            .Single(g => g.SpeciesId == "papilio-machaon");
        Assert.Equal([LarvaLook.TailHorn], against.Against);
    }
}
