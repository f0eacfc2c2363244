using System.Reflection;
using App.Access;
using Hosting.Tests;
using Microsoft.Extensions.DependencyInjection;

namespace Browser.Tests;

/// <summary>Makes the kept pictures of the main views from the demo room; run by <c>./lantern shots</c>, never in the suite.</summary>
public class Shots
{
    private static readonly string Folder = Environment.GetEnvironmentVariable("LANTERN_SHOTS") ?? DocsFolder();

    [Fact(Explicit = true)]
    public void Make_all()
    {
        using var app = new LanternFactory(demo: true);
        app.UseKestrel(0);
        app.StartServer();
        Directory.CreateDirectory(Folder);
        using var keeper = new Keeper(app.ClientOptions.BaseAddress);
        Round(keeper, "daylight");
        Save(keeper, "round-daylight");
        keeper.Keys("?");
        keeper.See("aside[aria-label=Why]");
        Save(keeper, "round-why");

        Animal(keeper, "Bramble", "lantern");
        Save(keeper, "animal-likely");
        keeper.Open("/stock");
        keeper.SeeText("[role=table]", "Bramble");
        Save(keeper, "stock");

        More(keeper);
        var link = SitterLinks.Make(app.Services, "Robin", "the harbour office, 555 0101");
        Access(app, keeper);
        keeper.Phone();
        Round(keeper, "lantern");
        Save(keeper, "round-phone");
        Sitter(keeper, link);
    }

    private static void More(Keeper keeper)
    {
        Round(keeper, "daylight");
        keeper.Open("/rulebook");
        keeper.SeeText("main", "Predatory ground beetles");
        Save(keeper, "rulebook");
        keeper.Open("/pairing");
        keeper.SeeText("main", "sac before her molt");
        Save(keeper, "pairing");
        keeper.Open("/nursery");
        keeper.SeeText("main", "Put each alone now");
        Save(keeper, "nursery");
        keeper.Open("/guide");
        keeper.SeeText("main", "It lies on its back");
        Save(keeper, "guide");
        keeper.Open("/climate");
        keeper.See("section[aria-labelledby=sensor] svg");
        Save(keeper, "climate");
        keeper.Open("/honesty");
        keeper.SeeText("main", "Brier score");
        keeper.SeeText("main", "How well do signs work");
        Save(keeper, "honesty");
        keeper.Open("/colonies");
        keeper.SeeText("main", "Queens and colonies");
        Save(keeper, "colonies");
        Larder(keeper);
        keeper.Open("/safekeeping");
        keeper.SeeText("main", "The whole room as a file");
        keeper.Press("Copy now", "main");
        keeper.SeeText("main", "Put back");
        // Where a room of one's own lies, not this one's folder.
        keeper.Run(
            "for (const p of document.querySelectorAll('main p')) if (p.childElementCount === 0) p.textContent = p.textContent.replace(/^\\/.*\\/(lantern-[^/]*\\/)?/, '~/hushed-lantern/')"
        );
        Save(keeper, "safekeeping");
        keeper.Open("/stock/many?way=larder");
        keeper.Type("Paste what is in the larder, or choose a file", List);
        keeper.Press("Read it", "main");
        keeper.SeeText("main", "No food or goods is called");
        Save(keeper, "intake");
    }

    private const string List = """
        food,small crickets,120,
        food,medium roach nymphs,40,
        culture,springtails,2,14 Nov
        goods,cotton,50,
        food,waxy crickets,7,
        """;

    private static void Larder(Keeper keeper)
    {
        Round(keeper, "daylight");
        keeper.Open("/larder");
        keeper.SeeText("main", "Eight weeks of each food");
        Save(keeper, "larder");
        Shelves(keeper);
    }

    private static void Shelves(Keeper keeper)
    {
        keeper.Open("/shelves");
        keeper.See("[data-place='A1·03']").Click();
        keeper.SeeText("aside", "Cockle");
        Save(keeper, "shelves");
        keeper.Open("/almanac");
        keeper.SeeText("main", "Zipped net cage");
        Save(keeper, "almanac");
    }

    /// <summary>Who may come in: the owner, a helper, a reader, a sitter for some nights.</summary>
    private static void Access(LanternFactory app, Keeper keeper)
    {
        using (var scope = app.Services.CreateScope())
        {
            var people = scope.ServiceProvider.GetRequiredService<People>();
            var cancel = TestContext.Current.CancellationToken;
            people.SetOwnerAsync("Keeper", "only in a picture", DateTimeOffset.UtcNow, cancel).GetAwaiter().GetResult();
            foreach (var (name, isReader) in new[] { ("Ann", false), ("Rae", true) })
            {
                people
                    .AddHelperAsync(name, "only in a picture", isReader, DateTimeOffset.UtcNow, cancel)
                    .GetAwaiter()
                    .GetResult();
            }
        }

        keeper.Open("/people");
        keeper.SeeText("main", "reader");
        keeper.SeeText("main", "Robin");
        keeper.Run("[...document.querySelectorAll('main h2')].find(h => h.textContent === 'Helpers').scrollIntoView()");
        Save(keeper, "people");
    }

    private static void Sitter(Keeper keeper, string link)
    {
        Round(keeper, "daylight");
        keeper.Open(link);
        keeper.SeeText("h1", "Tonight for Robin");
        Save(keeper, "sitter-phone");
    }

    private static void Round(Keeper keeper, string look)
    {
        keeper.Open("/");
        keeper.Look(look);
        keeper.Open("/");
        keeper.SeeText("h1", "Tonight’s round");
        keeper.See("header svg[aria-label^='Nights from']");
    }

    private static void Animal(Keeper keeper, string name, string look)
    {
        Round(keeper, look);
        keeper.Open("/stock");
        keeper.See("input[type=search]").SendKeys(name);
        keeper.Press(name, "[role=table]");
        keeper.SeeText("h1", name);
        keeper.SeeText("main", "may have");
    }

    private static void Save(Keeper keeper, string name)
    {
        // Pictures are taken once fonts have come and the page has been laid out with them.
        keeper.Wait(() => keeper.Run("return document.fonts.status") as string == "loaded", "fonts");
        File.WriteAllBytes(Path.Combine(Folder, $"{name}.png"), keeper.Picture());
    }

    private static string DocsFolder()
    {
        var at = new FileInfo(Assembly.GetExecutingAssembly().Location).Directory;
        while (at is not null && !File.Exists(Path.Combine(at.FullName, "HushedLantern.slnx")))
        {
            at = at.Parent;
        }

        return Path.Combine(at!.FullName, "docs", "screenshots");
    }
}
