using Husbandry.Growth;
using Husbandry.Plants;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;

namespace Husbandry.Tests;

/// <summary>Leaf ahead of larvae and eggs of the room. Source unless said otherwise: common practice, no published source.</summary>
public class LeafNeedTests
{
    private static Diary Box(string species, int count, int molts) =>
        new Diary(species, Sex.Unknown, 30, molts: molts, kind: StockKind.Brood, count: count);

    private static Answer<LeafNeed>? Of(Judgement j) =>
        LeafNeed.Of(j.Subject, j.Stage.Value, j.Waits.FirstOrDefault(w => w.Value?.Vigil == VigilKind.Hatching)?.Value);

    [Fact]
    public void A_life_eats_what_the_rulebook_says_and_what_spoils()
    {
        // A silkworm eats 20 to 25 g of mulberry leaf in all: from memory. Woody leaf: 1.3 times as much is picked.
        var need = Of(Box("bombyx-mori", 10, 0).With(0.01, new Molted()).Judge())!.Value;
        Assert.Equal(2, need.Instar);
        Assert.Equal(["mulberry"], need.Hosts);
        // All of it but the first instar's 1 of 781 parts.
        Assert.Equal(10 * 22 * 1.3 * (1 - (1 / 781.0)), need.GramsByDay.Sum(), 0.5);
        Assert.Equal(0, need.GramsByDay[^1]);
        Assert.True(need.Within(7) < need.Within(28));
    }

    [Fact]
    public void Leaf_is_there_two_days_before_the_first_egg_may_hatch()
    {
        var eggs = new Diary("vanessa-cardui", Sex.Unknown, 3, kind: StockKind.Brood, count: 50)
            .With(1, new Began(VigilKind.Hatching))
            .Judge();
        var hatch = eggs.Waits.Single(w => w.Value?.Vigil == VigilKind.Hatching).Value!;
        var need = Of(eggs)!;
        Assert.Equal(hatch.P10.AddDays(-2), need.Value.ReadyOn);
        Assert.Contains("starve", need.Summary, StringComparison.Ordinal);
        Assert.Contains("Thistle, nettle or mallow", need.Summary, StringComparison.Ordinal);
        Assert.Null(need.Value.Instar);
        // No more than all of them would eat, as some do not hatch.
        Assert.InRange(need.Value.GramsByDay.Sum(), 50 * 6 * 0.5, 50 * 6 * 1.6);
    }

    [Fact]
    public void Who_eats_no_leaf_needs_none()
    {
        Assert.Null(Of(new Diary().Judge()));
        Assert.Null(Of(new Diary("samia-ricini", Sex.Female, 4, mature: true).Judge()));
        var pupa = new Diary("saturnia-pyri", Sex.Unknown, 90, molts: 4).With(20, new Began(VigilKind.Emergence));
        Assert.Null(Of(pupa.Judge()));
    }

    [Theory]
    // About a dozen to a box, at most twenty.
    [InlineData(18, 1)]
    [InlineData(20, 1)]
    [InlineData(21, 2)]
    [InlineData(60, 5)]
    public void Many_larvae_go_into_many_boxes(int count, int boxes)
    {
        var j = Box("samia-ricini", count, 1).Judge();
        var plan = BoxPlan.Of(j.Subject, j.Stage.Value, null)!.Value;
        Assert.Equal(boxes, plan.Boxes);
        Assert.True(plan.Boxes * plan.Each >= count);
        Assert.False(plan.IsAlone);
    }

    [Fact]
    public void Solitary_larvae_are_better_alone()
    {
        var j = Box("papilio-machaon", 18, 2).Judge();
        var plan = BoxPlan.Of(j.Subject, j.Stage.Value, null)!;
        Assert.True(plan.Value.IsAlone);
        Assert.Contains("alone", plan.Summary, StringComparison.Ordinal);
        Assert.Null(BoxPlan.Of(Box("samia-ricini", 1, 1).Judge().Subject, Stage.Sling, null));
    }
}
