using Husbandry.Feeding;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Nursery;
using Husbandry.Pairing;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Tests;

/// <summary>Young that are promised, how many are wanted, and what mothers before did afterwards.</summary>
public class HandOnTests
{
    private static Diary Brood(int count) =>
        new Diary("tliltocatl-albopilosus", Sex.Unknown, 30, molts: 0, kind: StockKind.Brood).With(
            29,
            new Counted(count, Method: CountMethod.InPicture)
        );

    private static HandOn Of(Diary diary)
    {
        var j = Judgement.Of(diary.Standing(), Diary.Room());
        return HandOn.Of(j.Subject, j.Molt.Value, j.Size.Value).Value!;
    }

    [Fact]
    public void Nothing_is_said_where_nothing_was_promised()
    {
        var j = Judgement.Of(Brood(40).Standing(), Diary.Room());
        Assert.Null(HandOn.Of(j.Subject, j.Molt.Value, j.Size.Value).Value);
    }

    [Fact]
    public void The_newest_word_to_a_name_counts_and_none_ends_it()
    {
        var brood = Brood(40).With(9, new Promised("Ada", 6)).With(8, new Promised("Ben", 4));
        Assert.Equal(10, Of(brood).Promised);
        brood.With(7, new Promised(" ada ", 3));
        Assert.Equal(7, Of(brood).Promised);
        brood.With(6, new Promised("BEN", 0)).With(5, new Promised("Ada", 0));
        Assert.Empty(brood.Standing().HandOn.Promises);
    }

    [Theory]
    [InlineData(DepartureKind.Sold, "Ada", 4, 2)]
    [InlineData(DepartureKind.GivenAway, " ADA", 9, 0)]
    [InlineData(DepartureKind.Sold, "somebody else", 4, 6)]
    [InlineData(DepartureKind.Died, "Ada", 4, 6)]
    public void What_went_to_a_name_is_no_longer_owed(DepartureKind how, string to, int count, int owed)
    {
        var brood = Brood(40).With(9, new Promised("Ada", 6)).With(5, new Departed(how, to, count));
        Assert.Equal(owed, brood.Standing().HandOn.Promised);
    }

    /// <summary>Of 40 at the first instar the rulebook lets 40 · (1 − 0.06) live until i2, from which they may leave.</summary>
    [Fact]
    public void More_promised_than_will_be_there_is_said()
    {
        var enough = Of(Brood(40).With(9, new Promised("Ada", 30)));
        Assert.Equal((38, 0), (enough.High, enough.Lacking));
        var lacking = Of(Brood(40).With(9, new Promised("Ada", 45)));
        Assert.Equal(45 - 38, lacking.Lacking);
    }

    [Fact]
    public void What_is_beyond_the_wanted_counts_the_promised_in()
    {
        Assert.Equal(30, Of(Brood(40).With(9, new Capped(10))).Beyond);
        Assert.Equal(20, Of(Brood(40).With(9, new Capped(10)).With(8, new Promised("Ada", 20))).Beyond);
        Assert.Equal(0, Of(Brood(40).With(9, new Capped(60))).Beyond);
        Assert.Null(Brood(40).With(9, new Capped(10)).With(8, new Capped()).Standing().HandOn.Cap);
    }

    [Fact]
    public void Before_they_are_laid_the_usual_number_stands()
    {
        var she = new Diary("tliltocatl-albopilosus", Sex.Female, 400, mature: true).With(3, new Capped(50));
        var usual = RuleSet.Shipped.Profile("tliltocatl-albopilosus")!.Pairing!.BroodSize.Value;
        Assert.Equal((int)Math.Round(usual.Middle) - 50, Of(she).Beyond);
        var j = Judgement.Of(she.Standing(), Diary.Room());
        Assert.Contains("frozen", HandOn.Of(j.Subject, null, null).Summary, StringComparison.Ordinal);
    }

    [Fact]
    public void What_was_promised_of_eggs_goes_on_with_them()
    {
        var she = new Diary("tliltocatl-albopilosus", Sex.Female, 400, mature: true)
            .With(40, new Promised("Ada", 6))
            .With(39, new Capped(50));
        var act = new CaseTaken(Guid.NewGuid(), "the sac", new Place("A", 1, 6));
        var begun = act.Beginning(
                she.Standing(),
                Occurrence.At(Diary.Evening.AddDays(-10)),
                Diary.Room().Clock,
                RuleSet.Shipped.Group("tarantula")!
            )
            .Select(b => b.Act)
            .ToList();
        Assert.Contains(new Promised("Ada", 6), begun);
        Assert.Contains(new Capped(50), begun);
        she.With(10, act);
        // The list goes with the eggs; how many are wanted holds on for her next ones.
        Assert.Empty(she.Standing().HandOn.Promises);
        Assert.Equal(50, she.Standing().HandOn.Cap!.Count);
    }

    [Theory]
    [InlineData(0, "Ada", null)]
    [InlineData(-1, "Ada", "act.count")]
    [InlineData(3, "  ", "act.to")]
    public void A_promise_has_a_name_and_a_number(int count, string to, string? field) =>
        Assert.Equal(
            field,
            EntryCheck
                .Check(new Promised(to, count), Occurrence.At(Diary.Evening), Brood(40).Standing(), Diary.Room())
                .SingleOrDefault()
                ?.Field
        );

    [Fact]
    public void No_young_are_promised_of_a_male()
    {
        var he = new Diary("tliltocatl-albopilosus", Sex.Male, 400, mature: true).Standing();
        foreach (var act in new Act[] { new Promised("Ada", 3), new Capped(3) })
        {
            Assert.Equal(
                "act.kind",
                Assert.Single(EntryCheck.Check(act, Occurrence.At(Diary.Evening), he, Diary.Room())).Field
            );
        }
    }

    [Fact]
    public void Mothers_before_tell_when_they_ate_and_were_paired_again()
    {
        static Subject Mother(int ate, int? paired)
        {
            var she = new Diary("tliltocatl-albopilosus", Sex.Female, 500, mature: true)
                .With(200, new ConditionSeen(BodyCondition.Thin))
                .With(100, new GaveBirth(Guid.NewGuid(), 60, "young", new Place("A", 1, 6)))
                .Ate(100 - ate);
            if (paired is { } nights)
            {
                she.With(100 - nights, new Paired(null, "a mate"));
            }

            return Subject.Of(she.Standing(), Diary.Room());
        }

        var first = Mother(9, null);
        Assert.Equal("", MotherAfter.Of(first, [first]));
        var told = MotherAfter.Of(first, [first, Mother(6, 60), Mother(12, null)]);
        Assert.Contains("first meal of 2 mothers", told, StringComparison.Ordinal);
        Assert.Contains("6–12 nights", told, StringComparison.Ordinal);
        Assert.Contains("60 nights", told, StringComparison.Ordinal);
        Assert.Equal(BodyCondition.Thin, first.Standing.Births[^1].Before);
    }

    /// <summary>The sex shows by what the last molt brought; asked for while it is new, and not of one that may not be handled.</summary>
    [Theory]
    [InlineData(5, 10, true)]
    [InlineData(5, 40, false)]
    [InlineData(5, 1, false)]
    [InlineData(2, 10, false)]
    public void A_nymph_is_looked_at_when_its_sex_begins_to_show(int instar, int nightsAgo, bool asked)
    {
        var nymph = new Diary("hierodula-membranacea", Sex.Unknown, molts: instar - 2)
            .With(nightsAgo, new Molted())
            .With(nightsAgo / 2.0, new Measured(BodyPart.Body, 30));
        Assert.Equal(asked, Asked(nymph));
        if (asked)
        {
            Assert.False(Asked(nymph.With(0.2, new SexSeen(Sex.Unknown, SexEvidence.Segments))));
        }
    }

    private static bool Asked(Diary diary)
    {
        var j = Judgement.Of(diary.Ate(0.1).With(0.05, new Watered(WaterKind.Mist)).Standing(), Diary.Room());
        return RoundLine.Of(j).Act == RoundAct.TellSex;
    }
}
