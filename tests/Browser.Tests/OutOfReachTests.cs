using System.Globalization;
using Hosting.Tests;
using Microsoft.Extensions.DependencyInjection;
using static Browser.Tests.RoundSteps;

namespace Browser.Tests;

/// <summary>At the edge of the radio: what is tapped is never lost, never written twice, and stands at its own time.</summary>
public sealed class OutOfReachTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void Twelve_acts_without_the_server_are_written_once_each_at_their_own_times()
    {
        using var proxy = new CutProxy(Address);
        using var keeper = new Keeper(proxy.Address);
        keeper.Open("/");
        keeper.See("[role=group][data-settling=false] .act-first");
        var before = EntryIds();
        const int Acts = 12;
        using var clock = RunClock();
        for (var k = 1; k <= Acts; k++)
        {
            // In turn nobody answers, and the answer alone is lost: then it is written, and sent again all the same.
            proxy.Let(k % 4 == 1 ? Passage.Mute : Passage.Closed);
            ActByKey(keeper);
            SeeWaiting(keeper, k);
        }

        proxy.Let(Passage.Open);
        SeeNothingWaiting(keeper);
        var fresh = EntriesSince(before);
        // One tap at each of twelve, though a visit may be two entries.
        Assert.Equal(Acts, fresh.Select(e => e.StockId).Distinct().Count());
        // In the order of the taps and at their times; the first had been written and asked about all along.
        var late = fresh.Skip(1).Select(e => e.WrittenTicks).ToList();
        Assert.Equal(late.Order(), late);
        Assert.True(late[^1] - late[0] > TimeSpan.TicksPerSecond, "all stand at the time at which they arrived");
        Assert.All(late, ticks => Assert.True(ticks >= LanternFactory.Evening.AddMinutes(-1).UtcTicks));
        // The room agrees: each stands as done, once.
        var done = Convert.ToInt32(
            keeper.Run("return document.querySelectorAll('[aria-label=done]').length"),
            CultureInfo.InvariantCulture
        );
        Assert.True(done >= Acts, $"{done} done");
    }

    [Fact]
    public void What_two_logged_of_one_animal_is_shown_side_by_side_and_the_keeper_says_what_stands()
    {
        using var proxy = new CutProxy(Address);
        using var away = new Keeper(proxy.Address);
        away.Open("/");
        SeeRound(away);
        Keeper.Open("/");
        SeeRound(Keeper);
        var before = EntryIds();
        proxy.Let(Passage.Closed);
        // Both stand at the same first line.
        ActByKey(away);
        SeeWaiting(away, 1);
        ActByKey(Keeper);
        Keeper.Wait(() => EntryIds().Count > before.Count, "the nearer to be written");
        var nearer = EntryIds();
        proxy.Let(Passage.Open);
        away.SeeText(Strip, "Not written");
        away.Press("See both", Strip);
        away.SeeText("[role=dialog]", "In the room");
        Assert.True(nearer.SetEquals(EntryIds()), "something was written over the head of the other");
        away.Press("leave mine out", "[role=dialog]");
        SeeNothingWaiting(away);
        Assert.True(nearer.SetEquals(EntryIds()));
    }

    [Fact]
    public void What_waits_outlives_the_page_and_is_written_by_the_next()
    {
        using var proxy = new CutProxy(Address);
        using var keeper = new Keeper(proxy.Address);
        keeper.Open("/");
        keeper.See("[role=group][data-settling=false] .act-first");
        var before = EntryIds();
        proxy.Let(Passage.ReadsOnly);
        ActByKey(keeper);
        SeeWaiting(keeper, 1);
        keeper.Open("/stock");
        keeper.SeeText("main", "Bramble");
        SeeWaiting(keeper, 1);
        Assert.True(before.SetEquals(EntryIds()));
        proxy.Let(Passage.Open);
        SeeNothingWaiting(keeper);
        Assert.NotEmpty(EntryIds().Except(before));
    }

    [Fact]
    public void What_was_not_sent_yet_is_taken_back_as_if_it_had_never_been()
    {
        using var proxy = new CutProxy(Address);
        using var keeper = new Keeper(proxy.Address);
        keeper.Open("/");
        keeper.See("[role=group][data-settling=false] .act-first");
        var before = EntryIds();
        proxy.Let(Passage.Closed);
        ActByKey(keeper);
        SeeWaiting(keeper, 1);
        var first = keeper.Text("[data-bar]");
        ActByKey(keeper);
        SeeWaiting(keeper, 2);
        keeper.Wait(() => keeper.Text("[data-bar]") != first, "the bar to name the second");
        // The second was never sent, as the first had no answer.
        keeper.Keys("z");
        keeper.SeeText("[data-bar]", "Taken back");
        SeeWaiting(keeper, 1);
        proxy.Let(Passage.Open);
        SeeNothingWaiting(keeper);
        Assert.Single(EntryIds().Except(before));
    }

    [Fact]
    public void A_sitters_tick_waits_as_well_and_is_written_under_the_sitters_name()
    {
        var path = SitterLinks.Make(Services, "Wren", "555 0101");
        using var proxy = new CutProxy(Address);
        using var sitter = new Keeper(proxy.Address);
        sitter.Phone();
        sitter.Open(path);
        sitter.SeeText("section[aria-label='To do']", "Tansy");
        var before = EntryIds();
        proxy.Let(Passage.Closed);
        sitter.Press("Put in", "section[aria-label='To do']");
        sitter.SeeText(Strip, "1 entry waits");
        sitter.SeeText("section[aria-label='To do']", "Ticked; it waits for the server.");
        Assert.True(before.SetEquals(EntryIds()));
        proxy.Let(Passage.Open);
        SeeNothingWaiting(sitter);
        sitter.SeeText("section[aria-label=Done]", "Tansy");
        var fresh = EntriesSince(before);
        Assert.Equal(["Wren (sitter)"], fresh.Select(e => e.WrittenBy).Distinct());
    }

    [Fact]
    public void On_a_phone_a_fast_second_tap_hits_no_other_animal_and_the_lit_line_stays_in_view()
    {
        using var proxy = new CutProxy(Address);
        using var keeper = new Keeper(proxy.Address);
        keeper.Phone();
        keeper.Open("/");
        keeper.See("[role=group][data-settling=false] .act-first");
        proxy.Let(Passage.Closed);
        var taps = 0;
        foreach (var delayMs in new[] { 40, 120, 300 })
        {
            keeper.RunAsync(
                $$"""
                const done = arguments[arguments.length - 1];
                const first = () => {
                  const button = document.querySelector('[role=group][data-settling=false] .act-first:enabled');
                  if (button === null) return void requestAnimationFrame(first);
                  const box = button.getBoundingClientRect();
                  const tap = () => document.elementFromPoint(box.x + box.width / 2, box.y + box.height / 2)?.click();
                  tap();
                  setTimeout(() => { tap(); done(''); }, {{delayMs}});
                };
                first();
                """
            );
            SeeWaiting(keeper, ++taps);
            keeper.See("[role=group][data-settling=false] .act-first");
            keeper.Wait(
                () =>
                    keeper.Run(
                        """
                        const line = document.querySelector('article[aria-current=true]');
                        const box = line?.getBoundingClientRect();
                        return line !== null && line.contains(document.elementFromPoint(box.x + 60, box.y + 14));
                        """
                    )
                        is true,
                $"the lit line to be in view after {taps} acts"
            );
            keeper.SeeText(Strip, taps == 1 ? "1 entry waits" : $"{taps} entries wait");
        }
    }

    [Fact]
    public void The_radio_may_fail_before_all_is_fetched_the_round_stays_and_the_rest_comes_once_it_is_back()
    {
        using var proxy = new CutProxy(Address);
        using var keeper = new Keeper(proxy.Address);
        // As if the page had been loaded anew just now: it is not again while the server, which is there, lacks a part of it.
        keeper.BeforeEachPage("sessionStorage.setItem('lantern-loaded-anew', String(Date.now()))");
        keeper.Block("*AlarmCall*", "*AlarmStrip*", "*TroubleStrip*", "*WaterAsked*", "*RoundChores*", "*Nightline*");
        keeper.Open("/");
        SeeRound(keeper);
        proxy.Let(Passage.Closed);
        ActByKey(keeper);
        SeeWaiting(keeper, 1);
        Assert.Equal(0L, keeper.Run("return document.querySelectorAll('#chores').length"));
        keeper.Block();
        proxy.Let(Passage.Open);
        SeeNothingWaiting(keeper);
        keeper.See("#chores");
        keeper.See("[role=group][aria-label^='Nights from']");
    }
}
