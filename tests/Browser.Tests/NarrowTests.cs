namespace Browser.Tests;

/// <summary>On a phone everything is within its breadth: what stands beyond it is not found in the dark.</summary>
public sealed class NarrowTests : BrowserRoom
{
    private const string Password = "a long enough one";

    private static readonly (string Path, string Text)[] OwnersPlaces =
    [
        ("/people", "Signed in"),
        ("/safekeeping", "Copy now"),
        ("/room", "Time zone"),
        ("/guide", "What am I seeing?"),
        ("/bench", "The race of a sac"),
        ("/stock/new", "Species"),
        ("/stock/many", "Paste it here"),
        ("/paper/typing", "Which night"),
    ];

    public NarrowTests()
        : base(demo: true, lan: true) => SetOwner(Password);

    [Fact]
    public void No_page_is_wider_than_a_phone()
    {
        Keeper.Phone();
        Keeper.SignIn("Keeper", Password);
        Keeper.SeeText("main", "Tonight’s round");
        var wide = new List<string>();
        foreach (var (path, text) in EveryPlace.Texts.Concat(OwnersPlaces))
        {
            Keeper.Open(path);
            Keeper.SeeText("main", text);
            wide.AddRange(Beyond().Select(what => $"{path}: {what}"));
        }

        Assert.True(wide.Count == 0, string.Join("\n", wide));
    }

    /// <summary>What reaches beyond the screen, but for what has a frame of its own to be moved in.</summary>
    private IEnumerable<string> Beyond() =>
        (
            (IReadOnlyCollection<object>)
                Keeper.Run(
                    """
                    const main = document.getElementById('main');
                    const framed = e => e !== main && (getComputedStyle(e).overflowX !== 'visible' || framed(e.parentElement));
                    return [...main.querySelectorAll('*')]
                      .filter(e => e.getBoundingClientRect().right > innerWidth + 1 && !framed(e.parentElement))
                      .slice(0, 2)
                      .map(e => e.tagName + ' ' + e.textContent.trim().slice(0, 60));
                    """
                )!
        ).Select(o => (string)o);
}
