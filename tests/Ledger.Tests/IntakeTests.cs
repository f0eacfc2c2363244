using Husbandry.Reasons;
using Husbandry.Rulebook;
using Ledger.Intake;

namespace Ledger.Tests;

/// <summary>Keepers' own tables are read as they write them. The forms are common practice, no published source.</summary>
public sealed class IntakeTests
{
    private static readonly DateOnly Tonight = new(2026, 11, 23);
    private static readonly SpeciesFinder Species = new(RuleSet.Shipped);

    [Theory]
    [InlineData("2026-11-20", "2026-11-20")]
    [InlineData("20/11", "2026-11-20")]
    [InlineData("3/5", "2026-05-03")]
    [InlineData("24/11", "2025-11-24")]
    [InlineData("20.11.2026", "2026-11-20")]
    [InlineData("20-11-26", "2026-11-20")]
    [InlineData("20 Nov", "2026-11-20")]
    [InlineData("Nov 20, 2025", "2025-11-20")]
    [InlineData("20 november 2026", "2026-11-20")]
    [InlineData("3 days ago", "2026-11-20")]
    [InlineData("2w", "2026-11-09")]
    [InlineData("yesterday", "2026-11-22")]
    [InlineData("29/2", "2024-02-29")]
    [InlineData("31/2", null)]
    [InlineData("soon", null)]
    [InlineData("13/13", null)]
    public void Dates_are_read_in_the_forms_that_keepers_write(string text, string? expected) =>
        Assert.Equal(
            expected is null ? null : DateOnly.Parse(expected, System.Globalization.CultureInfo.InvariantCulture),
            new IntakeDates(Tonight, DayFirst: true).Read(text)
        );

    [Theory]
    [InlineData("24/11", "2026-11-24")]
    [InlineData("20 Nov", "2026-11-20")]
    [InlineData("1/5", "2027-05-01")]
    [InlineData("31/5", "2026-05-31")]
    [InlineData("15 Feb", "2027-02-15")]
    [InlineData("29/2", "2028-02-29")]
    [InlineData("24/11/25", "2025-11-24")]
    public void A_day_that_may_lie_ahead_is_the_nearest_such_day(string text, string expected) =>
        Assert.Equal(
            DateOnly.Parse(expected, System.Globalization.CultureInfo.InvariantCulture),
            new IntakeDates(Tonight, DayFirst: true).Read(text, mayBeAhead: true)
        );

    [Fact]
    public void Whether_the_month_stands_first_is_told_by_what_can_be_only_one_way()
    {
        Assert.False(IntakeDates.GuessDayFirst(["3/5", "11/20/2026", "4/6"]));
        Assert.True(IntakeDates.GuessDayFirst(["3/5", "20/11/2026"]));
        Assert.True(IntakeDates.GuessDayFirst(["3/5"]));
        Assert.Equal(new DateOnly(2026, 3, 5), new IntakeDates(Tonight, DayFirst: false).Read("3/5"));
        // What can be one way only is read so, whatever the others say.
        Assert.Equal(new DateOnly(2026, 11, 20), new IntakeDates(Tonight, DayFirst: false).Read("20/11"));
    }

    [Theory]
    [InlineData("Tliltocatl albopilosus", "tliltocatl-albopilosus")]
    [InlineData("tliltocatl albopilosum", "tliltocatl-albopilosus")]
    [InlineData("Tlitocatl albopilosus", "tliltocatl-albopilosus")]
    [InlineData("T. albopilosus", "tliltocatl-albopilosus")]
    [InlineData("t albopil", "tliltocatl-albopilosus")]
    [InlineData("albopilosus", "tliltocatl-albopilosus")]
    [InlineData("B. hamorii", "brachypelma-hamorii")]
    [InlineData("Brachypelma hamori", "brachypelma-hamorii")]
    public void Species_are_found_shortened_and_with_slips_of_the_finger(string name, string id)
    {
        var found = Species.Find(name);
        Assert.True(found.Species?.Id == id, $"{found.Species?.Id} {string.Join(", ", found.Near)}");
    }

    [Fact]
    public void Every_species_of_the_rulebook_is_found_by_its_own_name_and_by_its_short_one()
    {
        foreach (var profile in RuleSet.Shipped.Species)
        {
            Assert.Equal(profile.Id, Species.Find(profile.ScientificName).Species?.Id);
            var words = profile.ScientificName.Split(' ', 2);
            var found = Species.Find($"{words[0][0]}. {words[1]}");
            Assert.True(
                found.Species?.Id == profile.Id || found.Near.Contains(profile.ScientificName),
                profile.ScientificName
            );
        }
    }

    [Theory]
    [InlineData("Xenesthis immanis")]
    [InlineData("house cat")]
    [InlineData("")]
    public void What_is_no_species_of_the_rulebook_is_not_taken_for_one(string name) =>
        Assert.Null(Species.Find(name).Species);

    [Theory]
    [InlineData("4.5\"", LengthUnit.Mm, 114.3)]
    [InlineData("4.5", LengthUnit.In, 114.3)]
    [InlineData("6 cm", LengthUnit.In, 60)]
    [InlineData("6,5", LengthUnit.Cm, 65)]
    [InlineData("45mm", LengthUnit.Cm, 45)]
    public void Lengths_are_read_in_their_units(string text, LengthUnit unit, double mm) =>
        // 1 in = 25.4 mm exactly: NIST SP 811, appendix B.
        Assert.Equal(mm, IntakeWords.LengthMm(text, unit)!.Value, 9);

    [Theory]
    [InlineData("f", Sex.Female, 1)]
    [InlineData("♂", Sex.Male, 1)]
    [InlineData("1.0", Sex.Male, 1)]
    [InlineData("0.1", Sex.Female, 1)]
    [InlineData("0.0.12", Sex.Unknown, 12)]
    [InlineData("1.1", Sex.Unknown, 2)]
    public void Sexes_are_read_as_letters_signs_and_ratios(string text, Sex sex, int count) =>
        Assert.Equal((sex, count), IntakeWords.SexOf(text));

    [Fact]
    public void Instars_count_as_their_group_counts_them()
    {
        var tarantula = RuleSet.Shipped.Group("tarantula")!;
        Assert.Equal((6 - tarantula.InstarAtHatching, false), IntakeWords.Stage("i6", tarantula));
        Assert.Equal((null, true), IntakeWords.Stage("Adult", tarantula));
        Assert.Null(IntakeWords.Stage("big", tarantula));
    }

    [Theory]
    [InlineData("a\tb\n1\t2", 2)]
    [InlineData("a;b\n1;2", 2)]
    [InlineData("a,b\n1,2", 2)]
    [InlineData("a|b|c\n1|2|3", 3)]
    [InlineData("\"a, big\",b\n\"1\",2", 2)]
    [InlineData("Tansy f\nMoss m", 1)]
    public void Tables_are_read_whatever_parts_their_cells(string text, int width)
    {
        var rows = TableReader.Read(text);
        Assert.Equal(2, rows.Count);
        Assert.All(rows, row => Assert.Equal(width, row.Count));
    }

    [Fact]
    public void Inches_behind_a_number_part_no_cells()
    {
        var rows = TableReader.Read("code\tDLS\nA1-1\t2.5\"\nA1-2\t3\"");
        Assert.Equal(["2.5\"", "3\""], rows.Skip(1).Select(r => r[1]));
    }

    [Theory]
    [InlineData("Last molt", IntakeColumn.LastMolt)]
    [InlineData("fed?", IntakeColumn.LastMeal)]
    [InlineData("DLS in", IntakeColumn.Size)]
    [InlineData("Scientific name", IntakeColumn.Species)]
    [InlineData("Code", IntakeColumn.Place)]
    [InlineData("price", IntakeColumn.Ignored)]
    public void Headings_are_understood(string heading, IntakeColumn column) =>
        Assert.Equal(column, ColumnGuess.Heading(heading));

    [Fact]
    public void A_line_is_read_in_any_order()
    {
        var dates = new IntakeDates(Tonight, DayFirst: true);
        string Cell(string line, IntakeColumn column) =>
            QuickLine.Read(line, Species, dates)[QuickLine.Columns.ToList().IndexOf(column)];
        const string Line = "A1-3 Tliltocatl albopilosus f i6 molt 3/5 fed 20/11";
        Assert.Equal("A1-3", Cell(Line, IntakeColumn.Place));
        Assert.Equal("Tliltocatl albopilosus", Cell(Line, IntakeColumn.Species));
        Assert.Equal("f", Cell(Line, IntakeColumn.Sex));
        Assert.Equal("i6", Cell(Line, IntakeColumn.Stage));
        Assert.Equal("3/5", Cell(Line, IntakeColumn.LastMolt));
        Assert.Equal("20/11", Cell(Line, IntakeColumn.LastMeal));
        Assert.Equal("", Cell(Line, IntakeColumn.Name));
        const string Other = "Old Moss fed 3 days ago B. hamorii 6 cm";
        Assert.Equal("Old Moss", Cell(Other, IntakeColumn.Name));
        Assert.Equal("3 days ago", Cell(Other, IntakeColumn.LastMeal));
        Assert.Equal("B. hamorii", Cell(Other, IntakeColumn.Species));
        Assert.Equal("6 cm", Cell(Other, IntakeColumn.Size));
    }
}
