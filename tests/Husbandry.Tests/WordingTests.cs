using Husbandry.Journal;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Husbandry.Tests;

public class WordingTests
{
    private static readonly Wording Words = new(LengthUnit.Mm, new DateOnly(2026, 11, 23));

    [Theory]
    [InlineData(LengthUnit.Mm, 14.64, "14.6 mm")]
    [InlineData(LengthUnit.Mm, 21.9, "22 mm")]
    [InlineData(LengthUnit.Cm, 60, "6 cm")]
    [InlineData(LengthUnit.Cm, 5, "0.5 cm")]
    [InlineData(LengthUnit.In, 25.4, "1 in")]
    [InlineData(LengthUnit.In, 60, "2.36 in")]
    public void Lengths_carry_their_unit(LengthUnit unit, double mm, string text) =>
        // Source: 1 in = 25.4 mm exactly, NIST SP 811 appendix B.
        Assert.Equal(text, (Words with { Unit = unit }).Length(mm));

    [Fact]
    public void Dates_say_the_year_only_when_it_is_far()
    {
        Assert.Equal("24 Dec", Words.Date(new DateOnly(2026, 12, 24)));
        Assert.Equal("24 Dec 2027", Words.Date(new DateOnly(2027, 12, 24)));
        Assert.Equal("Thu 19 Nov", Words.Day(new DateOnly(2026, 11, 19)));
        Assert.Equal("5 Dec – 18 Jan", Words.Dates(new DateOnly(2026, 12, 5), new DateOnly(2027, 1, 18)));
    }

    [Theory]
    [InlineData(0, "tonight")]
    [InlineData(1, "last night")]
    [InlineData(4, "4 nights ago")]
    public void Nights_ago_are_said_as_a_keeper_says_them(int ago, string text) =>
        Assert.Equal(text, Words.Ago(Words.Tonight.AddDays(-ago)));

    [Theory]
    [InlineData(0, "fewer than 1 in 100")]
    [InlineData(0.24, "24 in 100")]
    [InlineData(0.999, "more than 99 in 100")]
    public void No_chance_is_ever_nought_or_a_hundred(double chance, string text) =>
        Assert.Equal(text, Wording.Chance(chance));

    public static TheoryData<Act, string> Acts =>
        new()
        {
            {
                new Offered("roach-nymph", "small", 1, Preparation.Live, OfferOutcome.Eaten),
                "took 1 small roach nymph"
            },
            {
                new Offered("fruit-fly-large", "one", 3, Preparation.Live, OfferOutcome.Eaten),
                "took 3 large flightless fruit flies"
            },
            {
                new Offered("mealworm", "medium", 2, Preparation.Cut, OfferOutcome.BattedAway),
                "batted away 2 pieces of cut medium mealworm"
            },
            {
                new Offered("cricket", "small", 1, Preparation.PreKilled, OfferOutcome.NotSeen),
                "not seen to take 1 pre-killed small cricket"
            },
            { new SignSeen("dark-line"), "sign: dark line round the edge of the abdomen" },
            { new Molted(Ultimate: true, Mismolt: true), "molted to adult, a mismolt" },
            { new Measured(BodyPart.Carapace, 9.24, FromExuvia: true), "carapace 9.2 mm, from the shed skin" },
            { new Moved(Place.Parse("B2·07")!), "moved to B2·07" },
            { new PutOff(new DateOnly(2026, 11, 24)), "put off until Tue 24 Nov" },
            { new Departed(DepartureKind.GivenAway, "a school"), "given away: a school" },
            { new FangsChecked(false), "fangs not black yet" },
            { new Watered(WaterKind.Mist), "misted" },
        };

    [Theory]
    [MemberData(nameof(Acts))]
    public void The_journal_reads_like_a_notebook(Act act, string text) =>
        Assert.Equal(text, JournalText.Of(act, RuleSet.Shipped, Words));
}
