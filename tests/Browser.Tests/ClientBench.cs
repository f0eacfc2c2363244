using System.Globalization;

namespace Browser.Tests;

/// <summary>How soon the round follows a key; run by <c>./lantern bench client</c>, never in the suite.</summary>
public sealed class ClientBench() : BrowserRoom(demo: false)
{
    private const int Lines = 500;
    private const int Presses = 120;
    private const int MostMs = 50;

    // From the press until the frame that shows what it did has been handed over.
    private const string Measure = """
        window.frames_ = [];
        window.addEventListener('keydown', event => {
          const at = event.timeStamp;
          requestAnimationFrame(() => {
            const after = new MessageChannel();
            after.port1.onmessage = () => window.frames_.push(performance.now() - at);
            after.port2.postMessage(0);
          });
        }, { capture: true });
        """;

    [Fact(Explicit = true)]
    public async Task J_and_k_through_five_hundred_lines()
    {
        await ManySpiders.MoveInAsync(Services, Lines);
        Keeper.Open("/about");
        Keeper.SeeText("h1", "About");
        // Beside it in the same run: a key of which nothing comes, on a page with little on it.
        var idle = Press("q");
        Keeper.Open("/");
        RoundSteps.SeeRound(Keeper);
        var down = Press("j");
        var up = Press("k");
        Say("a key of which nothing comes", idle, idle);
        Say("j down the round of 500", down, idle);
        Say("k up again", up, idle);
        var late = down.Concat(up).Order().ElementAt(2 * Presses * 95 / 100);
        Assert.True(late <= MostMs, $"Five keys in a hundred took more than {late:0} ms to be seen.");
    }

    private List<double> Press(string key)
    {
        Keeper.Run(Measure);
        for (var press = 1; press <= Presses; press++)
        {
            Keeper.KeysAtOnce(key);
            var done = press;
            Keeper.Wait(
                () => Convert.ToInt32(Keeper.Run("return window.frames_.length"), CultureInfo.InvariantCulture) >= done,
                "the frame"
            );
        }

        return
        [
            .. ((IReadOnlyCollection<object>)Keeper.Run("return window.frames_")!).Select(ms =>
                Convert.ToDouble(ms, CultureInfo.InvariantCulture)
            ),
        ];
    }

    private static void Say(string what, List<double> ms, List<double> idle)
    {
        static double Share(List<double> all, double share) =>
            all.Order().ElementAt((int)Math.Min(all.Count - 1, all.Count * share));
        TestContext.Current.TestOutputHelper!.WriteLine(
            "{0}: median {1:0.0} ms, 95 in 100 within {2:0.0} ms, longest {3:0.0} ms, {4:0.0} times the idle key",
            what,
            Share(ms, 0.5),
            Share(ms, 0.95),
            ms.Max(),
            Share(ms, 0.5) / Share(idle, 0.5)
        );
    }
}
