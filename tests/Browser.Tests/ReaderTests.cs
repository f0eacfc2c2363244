using System.Text.Json;
using System.Text.RegularExpressions;

namespace Browser.Tests;

/// <summary>Who only reads or helps: sees every page, and is offered nothing that the server would refuse.</summary>
public sealed partial class ReaderTests : BrowserRoom
{
    private const string Password = "a long enough one";

    /// <summary>Words of what shows, reckons or chooses what is shown; all else that can be pressed would write.</summary>
    private static readonly string[] Shows =
    [
        "why",
        "Go to",
        "Show",
        "Print",
        "Columns",
        "Have ready",
        "Sum up",
        "Put this away",
        "All ",
        "What if",
        "Score it both ways",
        "Cup is in the cold",
        "PDF of",
        "Save this filter",
        "SVG",
        "PNG",
    ];

    /// <summary>What chooses what is shown: lists, orders, switches, folds, and the reasons of a line.</summary>
    private const string Choosing =
        "[role=combobox], [role=columnheader] button, [aria-pressed], [aria-expanded], .line-acts button";

    private static readonly string[] WritersPlaces = ["/stock/new", "/stock/many", "/paper/typing"];

    public ReaderTests()
        : base(demo: true, lan: true) => SetOwner(Password);

    [Fact]
    public void A_reader_sees_everything_and_is_offered_nothing_to_write()
    {
        LetIn("Rae", "Read only");
        using var reader = new Keeper(Address, 1280, 800);
        reader.SignIn("Rae", Password);
        reader.SeeText("main", "Cockle");
        reader.SeeText("body", "You read here");
        reader.See("article[aria-current=true]");
        Assert.Equal("Why", reader.Text("article[aria-current=true] .line-acts").Split('\n')[^1]);
        // The key of the first act does nothing; that of the reasons does.
        reader.Keys("l");
        reader.Keys("?");
        reader.SeeText("[role=complementary], aside", "Why");
        Assert.Equal("/", reader.Path);
        Assert.DoesNotContain("leftovers taken out", reader.Text("body"), StringComparison.Ordinal);
        var offered = new List<string>();
        foreach (var (path, text) in EveryPlace.Texts.Append(("/safekeeping", "by the owner of the room")))
        {
            reader.Open(path);
            reader.SeeText("main", text);
            offered.AddRange(Offered(reader, path));
        }

        foreach (var (name, path) in AnimalOfEachKind(reader))
        {
            reader.Open(path);
            reader.SeeText("h1", name);
            reader.See("#reading");
            offered.AddRange(Offered(reader, name));
        }

        Assert.True(offered.Count == 0, string.Join("\n", offered));
        foreach (var path in WritersPlaces)
        {
            reader.Open(path);
            reader.SeeText("main", "You read here");
        }

        // To type what an animal did offers nothing either; it is found.
        reader.Open("/");
        reader.SeeText("main", "Cockle");
        reader.Keys("/");
        reader.See("[role=dialog] input").SendKeys("looked Cockle");
        reader.SeeText("[role=dialog]", "Nothing here is called that");
    }

    [Fact]
    public void A_helper_is_not_offered_what_only_the_owner_changes()
    {
        LetIn("Ann", "Help: log and read");
        using var helper = new Keeper(Address, 1280, 800);
        helper.SignIn("Ann", Password);
        helper.SeeText("main", "Cockle");
        (string Path, string Text, string Owners)[] places =
        [
            ("/rulebook/samia-ricini", "From molt to molt", "change"),
            ("/rulebook", "Predatory ground beetles", "Add a species"),
            ("/larder/feeders", "flour-beetle larvae", "Add one of your own"),
            ("/shelves", "Rack A", "Racks, shelves, walking order"),
            ("/climate", "sensors speak", "Gateways"),
            ("/room", "set by the owner of the room", "Save"),
        ];
        foreach (var (path, text, owners) in places)
        {
            Keeper.Open(path);
            Keeper.Wait(() => Has(Keeper, owners), $"{path} with {owners}");
            helper.Open(path);
            helper.SeeText("main", text);
            Assert.False(Has(helper, owners), $"{path}: {owners}");
        }

        static bool Has(Keeper who, string words) =>
            who.Run(
                "return [...document.querySelectorAll('main button, main h2, main label')].some(e => e.offsetParent !== null && e.textContent.trim().startsWith(arguments[0]));",
                words
            )
                is true;

        // What a helper does is offered as ever.
        helper.Open("/");
        helper.See("article[aria-current=true] .line-acts");
        helper.SeeText("article[aria-current=true]", "Something else");
    }

    /// <summary>The owner lets somebody in.</summary>
    private void LetIn(string name, string what)
    {
        Keeper.SignIn("Keeper", Password, "/people");
        Keeper.Type("Helper’s name", name);
        Keeper.Type("Helper’s password", Password);
        Keeper.Press(what, "main");
        Keeper.Press("Add", "main");
        Keeper.SeeText("main ul", name);
    }

    /// <summary>What can be pressed or filled in on the page, beyond what shows.</summary>
    private static IEnumerable<string> Offered(Keeper reader, string where)
    {
        var names =
            (IReadOnlyCollection<object>)
                reader.Run(
                    """
                    const names = [...document.querySelectorAll('main button, main form, main input[type=file]')]
                      .filter(e => e.offsetParent !== null && !e.matches(arguments[0]))
                      .map(e => (e.tagName === 'BUTTON' ? '' : e.tagName + ' ') + (e.getAttribute('aria-label') ?? e.textContent).trim().slice(0, 60));
                    return [...new Set(names)];
                    """,
                    Choosing
                )!;
        return names
            .Cast<string>()
            .Where(name =>
                !Shows.Any(word => name.StartsWith(word, StringComparison.OrdinalIgnoreCase))
                && !LooksAt().IsMatch(name)
            )
            .Select(name => $"{where}: {name}");
    }

    /// <summary>One animal of each group, as the round's list has them.</summary>
    private static IEnumerable<(string Name, string Path)> AnimalOfEachKind(Keeper reader)
    {
        var lines = JsonDocument
            .Parse(
                reader.RunAsync(
                    "const done = arguments[arguments.length - 1]; fetch('/api/stock').then(r => r.text()).then(done);"
                )!
            )
            .RootElement.GetProperty("lines")
            .EnumerateArray();
        return lines
            .GroupBy(l => l.GetProperty("species").GetString())
            .Select(g => g.First())
            .Select(l => (l.GetProperty("name").GetString()!, $"/stock/{l.GetProperty("stockId").GetString()}"));
    }

    /// <summary>An enclosure by its code, how much of the night's work is left, who rests.</summary>
    [GeneratedRegex(@"^([A-Z]\d·\d\d |\d+ min of chores|\d+ with nothing tonight)")]
    private static partial Regex LooksAt();
}
