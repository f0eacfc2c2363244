using CsCheck;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rounds;
using Husbandry.Stock;

namespace Ledger.Tests;

/// <summary>Finding by code, name, species and tag, with typing mistakes forgiven.</summary>
public sealed class StockFinderTests : LedgerFolder
{
    private static Glance Of(string place, string name, string species = "brachypelma-hamorii", params string[] tags)
    {
        var details = Details(species: species) with { Nickname = name, Tags = tags.Length == 0 ? null : tags };
        var came = new JournalEntry(
            Guid.NewGuid(),
            Guid.NewGuid(),
            1,
            Occurrence.At(Evening.AddDays(-90)),
            Evening,
            "Keeper",
            null,
            new Acquired(details, Place.Parse(place)!)
        );
        return Glance.Of(Judgement.Of(Standing.Fold([came])!, Room));
    }

    private static readonly StockFinder Finder = new([
        Of("A1·01", "Bramble"),
        Of("A1·02", "Brämbling", "caribena-versicolor"),
        Of("A1·03", "Ash", "tliltocatl-vagans", "for sale", "shy"),
        Of("B12·07", "Ashgrove"),
    ]);

    private static string[] Find(string text) => [.. Finder.Find(text).Select(g => g.Who.Name)];

    [Theory]
    [InlineData("a1-3", "Ash")]
    [InlineData("A1·03", "Ash")]
    [InlineData("b12", "Ashgrove")]
    [InlineData("bramble", "Bramble")]
    [InlineData("brambling", "Brämbling")]
    [InlineData("bramb", "Bramble,Brämbling")]
    [InlineData("brmable", "Bramble")]
    [InlineData("ash", "Ash,Ashgrove")]
    [InlineData("versiclor", "Brämbling")]
    [InlineData("hamorii", "Bramble,Ashgrove")]
    [InlineData("for sale", "Ash")]
    [InlineData("ash vagans", "Ash")]
    [InlineData("bramble vagans", "")]
    [InlineData("xyz", "")]
    public void What_was_meant_comes_first(string text, string names) =>
        Assert.Equal(names.Length == 0 ? [] : names.Split(','), Find(text));

    [Fact]
    public void Nothing_typed_is_everything() => Assert.Equal(4, Find("  ").Length);

    [Fact]
    public void One_slip_of_the_finger_in_a_name_still_finds_it() =>
        Gen.Select(Gen.Int[0, 7], Gen.Int[0, 2], Gen.Char['a', 'z'])
            .Sample(
                (at, kind, letter) =>
                {
                    const string Name = "Ashgrove";
                    var slipped = kind switch
                    {
                        0 => Name.Remove(at, 1),
                        1 => Name.Insert(at, letter.ToString()),
                        _ => Name.Remove(at, 1).Insert(at, letter.ToString()),
                    };
                    return Finder.Find(slipped).Any(g => g.Who.Name == Name);
                },
                iter: 500
            );
}
