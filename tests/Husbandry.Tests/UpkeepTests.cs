using Husbandry.Feeding;
using Husbandry.Journal;
using Husbandry.Records;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Sitter;
using Husbandry.Upkeep;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>
/// What is done at regular times besides food and water, by stage of life. Source: handbook of the trade, rearing of
/// caterpillars (frass out every day or two, condensation wiped), ants and isopods.
/// </summary>
public class UpkeepTests
{
    private static readonly DateOnly Tonight = Diary.Room().Tonight;

    private static Diary Larvae() => new("actias-luna", cameNightsAgo: 20, molts: 2, kind: StockKind.Brood);

    private static IReadOnlyList<UpkeepClock> Clocks(Diary diary) => diary.Judge().Upkeep.Value.Clocks;

    [Fact]
    public void Frass_goes_out_every_other_night_and_a_cleaning_does_it_too()
    {
        Assert.Equal(Tonight.AddDays(-18), Assert.Single(Clocks(Larvae())).Due);
        Assert.Equal(Tonight.AddDays(1), Assert.Single(Clocks(Larvae().With(1, new Tended("frass")))).Due);
        Assert.Equal(Tonight.AddDays(2), Assert.Single(Clocks(Larvae().With(0, new Handled(CareAct.Clean)))).Due);
        // The later of the two counts.
        var both = Larvae().With(1, new Handled(CareAct.Clean)).With(5, new Tended("frass"));
        Assert.Equal(Tonight.AddDays(1), Assert.Single(Clocks(both)).Due);
    }

    [Fact]
    public void Each_stage_has_its_own_and_most_have_none()
    {
        var eggs = new Diary("actias-luna", cameNightsAgo: 6, kind: StockKind.Brood).With(
            6,
            new Began(VigilKind.Hatching)
        );
        Assert.Equal(["condensation"], Clocks(eggs).Select(c => c.Task.Id));
        Assert.Empty(Clocks(Larvae().With(3, new Began(VigilKind.Emergence))));
        Assert.Empty(Clocks(new Diary("brachypelma-hamorii")));
        Assert.Empty(Clocks(new Diary("coenobita-rugosus", Sex.Unknown)));
        Assert.Equal(["calcium"], Clocks(new Diary("porcellio-laevis", kind: StockKind.Colony)).Select(c => c.Task.Id));
    }

    [Fact]
    public void A_colony_has_an_outworld_and_a_queen_alone_is_left_in_the_dark()
    {
        var colony = new Diary("lasius-niger", cameNightsAgo: 100, mature: true, kind: StockKind.Colony);
        Assert.Equal(["barrier", "outworld"], Clocks(colony).Select(c => c.Task.Id).Order());
        Assert.Empty(Clocks(new Diary("lasius-niger", Sex.Female, cameNightsAgo: 100, mature: true)));
        Assert.Empty(Clocks(colony.With(10, new Chilled(true))));
    }

    [Fact]
    public void Over_those_that_molt_the_box_is_not_cleaned_and_the_clock_waits()
    {
        var molting = new Diary("actias-luna", cameNightsAgo: 20, molts: 2).With(0.1, new SignSeen("spins-or-hangs"));
        var j = molting.Judge();
        Assert.NotEqual(Verdict.Fine, j.Hush[CareAct.Clean].Verdict);
        Assert.Null(Assert.Single(j.Upkeep.Value.Clocks).Due);
        Assert.NotEqual(RoundAct.Tend, RoundLine.Of(j).Act);
        Assert.NotNull(
            HushMark.Against(new Tended("frass"), molting.Standing(), Diary.Room())
                ?? (j.Hush[CareAct.Clean].Verdict == Verdict.Avoid ? "" : null)
        );
    }

    [Fact]
    public void While_some_of_a_box_pupate_the_frass_of_the_rest_goes_out()
    {
        var box = Larvae().With(5, new Tended("frass")).With(1, new Began(VigilKind.Emergence, 5));
        Assert.Equal(Tonight.AddDays(-3), Assert.Single(Clocks(box)).Due);
    }

    [Fact]
    public void Nobody_is_tended_in_an_empty_tank()
    {
        Assert.Empty(Clocks(new Diary("porcellio-laevis", kind: StockKind.Tank)));
    }

    [Fact]
    public void The_round_asks_for_all_that_is_due_in_one_visit_and_is_done_with_it()
    {
        var colony = new Diary("lasius-niger", cameNightsAgo: 100, mature: true, kind: StockKind.Colony)
            .With(0, new TubeSeen(TubeWater.Full))
            .With(0, new Offered("sugar-water", "drop", 1, Preparation.Fresh, OfferOutcome.Eaten))
            .With(0, new Offered("cricket", "small", 1, Preparation.PreKilled, OfferOutcome.Eaten));
        var line = RoundLine.Of(colony.Judge());
        Assert.Equal((LineState.Due, RoundAct.Tend), (line.State, line.Act));
        Assert.Equal(2, Assert.Single(line.Choices).Acts.Count);
        foreach (var act in line.Choices[0].Acts)
        {
            colony.With(0, act);
        }

        Assert.NotEqual(RoundAct.Tend, RoundLine.Of(colony.Judge()).Act);
    }

    [Fact]
    public void With_food_due_the_line_says_what_is_to_be_done_besides()
    {
        var line = RoundLine.Of(Larvae().Judge());
        Assert.Equal(RoundAct.Feed, line.Act);
        Assert.Contains("then: frass", line.Detail, StringComparison.Ordinal);
    }

    [Fact]
    public void A_sitter_wipes_eggs_dry_and_leaves_the_rest_to_the_keeper()
    {
        var eggs = new Diary("actias-luna", cameNightsAgo: 6, kind: StockKind.Brood).With(
            6,
            new Began(VigilKind.Hatching)
        );
        var sheet = SitterSheet.Of([eggs.Judge()], twoPeople: false, Diary.Room());
        Assert.Equal(RoundAct.Tend, Assert.Single(sheet.Lines).Act);
        Assert.Empty(sheet.LeaveShut);
        var done = eggs.With(0, sheet.Lines[0].Done[0]);
        Assert.Single(SitterSheet.Of([done.Judge()], twoPeople: false, Diary.Room()).LeaveShut);
    }

    [Fact]
    public void A_task_that_its_group_does_not_know_is_refused()
    {
        var at = new Rooms.EntryAt(Reasons.Occurrence.At(Diary.Evening), Larvae().Standing(), Diary.Room());
        Assert.Empty(TendedEntry.It.Check(new Tended("frass"), at));
        Assert.Contains(
            "condensation",
            Assert.Single(TendedEntry.It.Check(new Tended("barrier"), at)).Message,
            StringComparison.Ordinal
        );
        var spider = at with { Standing = new Diary("brachypelma-hamorii").Standing() };
        Assert.Equal("act.task", Assert.Single(TendedEntry.It.Check(new Tended("frass"), spider)).Field);
    }
}
