using OpenQA.Selenium;

namespace Browser.Tests;

/// <summary>An act lands on the line that was under the finger, once, and can be taken back.</summary>
public sealed class RightLineTests() : BrowserRoom(demo: true)
{
    /// <summary>Visits logged and taken back from this page, as the server has answered them.</summary>
    private int Answered => Convert.ToInt32(Keeper.Run("return window.written"));

    private void OpenRound()
    {
        Keeper.BeforeEachPage(
            """
            window.written = 0;
            const ask = window.fetch.bind(window);
            window.fetch = async (...given) => {
              const answer = await ask(...given);
              const method = given[1]?.method ?? given[0]?.method ?? 'GET';
              if (method === 'POST' && answer.ok) window.written++;
              return answer;
            };
            """
        );
        Keeper.Open("/");
        Keeper.See("[role=group][data-settling=false] .act-first");
    }

    [Fact]
    public void A_second_tap_soon_after_the_first_logs_nothing_more()
    {
        OpenRound();
        var taps = 0;
        foreach (var delayMs in new[] { 60, 150, 250, 400 })
        {
            // A line whose first act is logged at once, not one that opens a form.
            Keeper.Wait(
                () =>
                {
                    var logs = !Keeper
                        .Text("[role=group][data-settling=false] .act-first")
                        .Contains("Molted", StringComparison.Ordinal);
                    if (!logs)
                    {
                        Keeper.Keys("j");
                    }

                    return logs;
                },
                "a line that is logged with one tap"
            );
            Keeper.RunAsync(
                $$"""
                const done = arguments[arguments.length - 1];
                const tap = (x, y) => {
                  const at = document.elementFromPoint(x, y);
                  for (const type of ['pointerdown', 'pointerup']) at.dispatchEvent(new PointerEvent(type, { bubbles: true, clientX: x, clientY: y }));
                  at.click();
                };
                // The list may be read anew at any moment: the first tap comes when the light stands still.
                const first = () => {
                  const button = document.querySelector('[role=group][data-settling=false] .act-first:enabled');
                  if (button === null) return void requestAnimationFrame(first);
                  const box = button.getBoundingClientRect();
                  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
                  tap(x, y);
                  const began = performance.now();
                  // On a busy machine the second comes late: then it is a tap of its own, and not what is asked here.
                  setTimeout(() => {
                    if (performance.now() - began < {{delayMs}} + 60) tap(x, y);
                    done('');
                  }, {{delayMs}});
                };
                first();
                """
            );
            taps++;
            Keeper.Wait(() => Answered >= taps, $"an act after taps {delayMs} ms apart");
            Keeper.See("[role=group][data-settling=false] .act-first");
            Assert.Equal(taps, Answered);
        }

        // Undo reaches each, the newest first.
        var last = Keeper.Text("[data-bar]");
        Keeper.Keys("z");
        Keeper.SeeText("[data-bar]", "Taken back");
        var first = Keeper.Text("[data-bar]");
        Keeper.Wait(() => Answered == taps + 1, "the last to be taken back");
        Keeper.Keys("z");
        Keeper.Wait(() => Answered == taps + 2, "the one before to be taken back");
        Keeper.Wait(() => Keeper.Text("[data-bar]") != first, $"a word that is not about {last}");
    }

    [Fact]
    public void A_held_key_logs_once()
    {
        OpenRound();
        Keeper.Run(
            "for (let k = 0; k < 6; k++) window.dispatchEvent(new KeyboardEvent('keydown', { key: 'x', bubbles: true, repeat: k > 0 }))"
        );
        Keeper.SeeText("[data-bar]", "Cockle: leftovers taken out");
        Keeper.See("[role=group][data-settling=false]");
        Assert.Equal(1, Answered);
    }

    [Fact]
    public void Enter_belongs_to_what_has_the_focus()
    {
        OpenRound();
        Keeper.Run("[...document.querySelectorAll('main button')].find(b => b.textContent.includes('Sum up')).focus()");
        Keeper.KeysAtOnce(Keys.Enter);
        Keeper.See("[role=dialog]");
        Assert.Equal("/", Keeper.Path);
        Keeper.KeysAtOnce(Keys.Escape);
        // The dialog gives the focus back when it is gone, and not before.
        Keeper.Wait(
            () => Keeper.Run("return document.activeElement.textContent.includes('Sum up')") is true,
            "the focus to be back"
        );
        Keeper.Run("document.querySelector('[role=group][data-settling=false] .act-first').focus()");
        Keeper.KeysAtOnce(Keys.Enter);
        Keeper.SeeText("[data-bar]", "Cockle: leftovers taken out");
        Assert.Equal("/", Keeper.Path);
        // With nothing in the focus it opens the lit animal.
        Keeper.Run("document.activeElement.blur()");
        Keeper.KeysAtOnce(Keys.Enter);
        Keeper.Wait(() => Keeper.Path.StartsWith("/stock/", StringComparison.Ordinal), "the lit animal");
    }

    [Fact]
    public void What_another_does_moves_the_light_and_the_tap_that_comes_then_logs_nothing()
    {
        OpenRound();
        // A finger that comes down in the very moment in which the light has moved.
        Keeper.Run(
            """
            const lit = () => document.querySelector('[role=group][data-settling]')?.ariaLabel + document.querySelector('article[aria-current=true]')?.innerText;
            const before = lit();
            window.tapped = false;
            new MutationObserver((_, self) => {
              if (lit() !== before) { self.disconnect(); document.querySelector('[role=group][data-settling] .act-first').click(); window.tapped = true; }
            }).observe(document.body, { subtree: true, childList: true, characterData: true, attributes: true });
            """
        );
        using var other = new Keeper(Address);
        other.Open("/");
        other.See("[role=group][data-settling=false] .act-first");
        other.Keys("x");
        other.SeeText("[data-bar]", "Cockle: leftovers taken out");
        Keeper.Wait(() => Keeper.Run("return window.tapped") is true, "the tap on the next line");
        Keeper.See("[role=group][data-settling=false] .act-first");
        Assert.Equal(0, Answered);
        Keeper.SeeText("[data-bar]", "Cockle: done by");
    }

    [Fact]
    public void When_the_bar_is_gone_nothing_ticks_any_more()
    {
        Keeper.BeforeEachPage(
            """
            const live = new Set();
            const [set, clear] = [window.setInterval.bind(window), window.clearInterval.bind(window)];
            window.setInterval = (...given) => { const id = set(...given); if (given[1] <= 2000) live.add(id); return id; };
            window.clearInterval = id => { live.delete(id); clear(id); };
            window.liveTicks = () => live.size;
            """
        );
        OpenRound();
        Assert.Equal(0L, Keeper.Run("return window.liveTicks()"));
        Keeper.Keys("x");
        Keeper.SeeText("[data-bar]", "Cockle: leftovers taken out");
        Assert.Equal(1L, Keeper.Run("return window.liveTicks()"));
        Keeper.Wait(() => Keeper.Run("return window.liveTicks()") is 0L, "the countdown to end");
        Keeper.SeeNoText("[data-bar]", "Cockle");
    }

    [Fact]
    public void A_page_that_cannot_be_loaded_says_so_in_plain_words()
    {
        Keeper.Block("*GuidePage*");
        OpenRound();
        Keeper.Press("Guide", "nav");
        Keeper.SeeText("[role=alert]", "This page did not open.");
        Keeper.SeeText("nav", "Guide");
        Keeper.Press("Round", "nav");
        Keeper.SeeText("main", "Tonight’s round");
    }

    [Fact]
    public void What_is_opened_over_the_round_and_cannot_be_loaded_leaves_the_round_as_it_is()
    {
        Keeper.Block("*SumUp*");
        OpenRound();
        // A part that is gone may be of an older page: once the newer one is loaded, and then one is told.
        Keeper.Run("sessionStorage.setItem('lantern-loaded-anew', String(Date.now()))");
        Keeper.Press("Sum up", "main");
        Keeper.SeeText("[role=dialog]", "That did not open");
        Keeper.Press("Close", "[role=dialog]");
        Keeper.SeeNoText("body", "That did not open");
        Keeper.Keys("x");
        Keeper.SeeText("[data-bar]", "Cockle: leftovers taken out");
    }
}
