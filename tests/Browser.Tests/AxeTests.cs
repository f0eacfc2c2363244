using System.Reflection;

namespace Browser.Tests;

/// <summary>Every view held against the rules of accessibility that a machine can check, in all three looks.</summary>
public sealed class AxeTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void Axe_finds_nothing_in_any_view_and_look()
    {
        Keeper.Still();
        Keeper.Open("/");
        var axe = AxeSource();
        var found = new List<string>();
        void Check(string view, string path, string text, Action? then = null)
        {
            Keeper.Open(path);
            Keeper.See("main h1");
            Keeper.SeeText("main", text);
            then?.Invoke();
            Keeper.See("header svg");
            Keeper.Run(axe);
            // Looks differ in nothing but colours: what else axe knows is asked once.
            Ask(view, "daylight", "{ resultTypes: ['violations'] }");
            Ask(view, "lantern", "{ runOnly: ['color-contrast'], resultTypes: ['violations'] }");
            Ask(view, "ember", "{ runOnly: ['color-contrast'], resultTypes: ['violations'] }");
        }

        void Ask(string view, string look, string options)
        {
            Keeper.Look(look);
            var violations = Keeper.RunAsync(
                $"const done = arguments[arguments.length - 1]; axe.run(document, {options}).then(r => done(r.violations.map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + (n.any[0]?.message ?? '')).slice(0, 4).join(' | ')).join('\\n')));"
            );
            if (violations is { Length: > 0 })
            {
                found.Add($"{view}, {look}: {violations}");
            }
        }

        void Bramble()
        {
            Keeper.Press("Bramble", "[role=table]");
            Keeper.SeeText("h1", "Bramble");
            Keeper.See("figure svg");
        }

        Check("round", "/", "Tonight’s round");
        Check(
            "why",
            "/",
            "Tonight’s round",
            () =>
            {
                WalkTo("Tansy");
                Keeper.Keys("?");
                Keeper.SeeText("aside[aria-label=Why]", "change");
            }
        );
        Check("climate", "/climate", "sensors speak");
        Check("safekeeping", "/safekeeping", "entries of");
        Check("stock", "/stock", "Bramble");
        Check("pairing", "/pairing", "sac before her molt");
        Check(
            "kinship",
            "/pairing",
            "Dapple × Reeve",
            () =>
            {
                Keeper.See("section[aria-labelledby=desk-Ceratogyrus-darlingi] summary").Click();
                Keeper.SeeText("figure", "Inbreeding of the young");
            }
        );
        Check(
            "pair",
            "/pairing",
            "Dapple × Reeve",
            () =>
            {
                Keeper.Press("Put them together", "section[aria-labelledby=desk-Ceratogyrus-darlingi] ol");
                Keeper.SeeText("section[aria-label='At hand']", "net cage");
            }
        );
        Check(
            "run",
            "/pairing",
            "Halyard",
            () =>
            {
                Keeper.Press("To the pairing", "article[aria-label=Halyard]");
                Keeper.SeeText("h1", "Halyard × Sprit");
            }
        );
        Check(
            "loan",
            "/stock",
            "Bramble",
            () =>
            {
                OpenAnimal("Tern");
                Keeper.Press("Loan sheet", "main");
                Keeper.SeeText("h1", "Tern, on loan");
            }
        );
        Check("nursery", "/nursery", "What is hatching, and who lives?");
        Check("unknown larva", "/nursery/unknown", "What is seen of it");
        Check("colonies", "/colonies", "Tubs and their calcium");
        Check("new", "/stock/new", "First measure");
        Check("room", "/room", "Time zone");
        Check("animal", "/stock", "Bramble", Bramble);
        Check(
            "sign",
            "/stock",
            "Bramble",
            () =>
            {
                Bramble();
                Keeper.Keys("s");
                Keeper.SeeText("[role=dialog]", "The molt itself");
            }
        );
        Check(
            "pictures",
            "/stock",
            "Bramble",
            () =>
            {
                Bramble();
                Keeper.Press("Add a picture", "main");
                Keeper.SeeText("h1", "Pictures");
            }
        );
        Check("guide", "/guide", "It lies on its back");
        Check(
            "outcome",
            "/guide",
            "It has lost a leg",
            () =>
            {
                Keeper.Press("It has lost a leg", "main");
                Keeper.Press("Yes", "main");
                Keeper.SeeText("main", "A fresh wound");
            }
        );
        Check("rulebook", "/rulebook", "Predatory ground beetles");
        Check("species", "/rulebook/samia-ricini", "From molt to molt");
        Check("compare", "/rulebook/samia-ricini?with=papilio-machaon", "rules differ");
        Check("larder", "/larder", "Eight weeks of each food");
        Check("feeders", "/larder/feeders", "flour-beetle larvae");
        Check("shelves", "/shelves", "Rack A", () => Keeper.See("[data-place='A1·03']").Click());
        Check("rehousing", "/shelves/rehousing", "Have ready");
        Check(
            "layout",
            "/shelves",
            "Rack A",
            () =>
            {
                Keeper.Press("Racks, shelves, walking order", "aside");
                Keeper.SeeText("[role=dialog]", "Walking order");
            }
        );
        Check("chores", "/chores", "Shared gear");
        Check("almanac", "/almanac", "Came in the last five weeks");
        Check("labels", "/paper/labels", "Label printer");
        Check("sheet", "/paper/round", "Do not open");
        Check("typing", "/paper/typing", "Tonight, ");
        Check("people", "/people", "Sitters");
        Check("about", "/about", "Licence");
        Check("night ahead", "/night/2026-12-01", "meal");
        Check("night past", "/night/2026-11-20", "watered");
        Check(
            "kit",
            "/",
            "Tonight’s round",
            () =>
            {
                Keeper.Keys("c");
                Keeper.SeeText("[role=dialog]", "Food");
            }
        );
        Check("honesty", "/honesty", "Brier score");
        Check("bench", "/bench/vigil", "A wait", () => Keeper.Press("Work it out", "main"));
        (string View, string Path, string Text)[] main =
        [
            ("round", "/", "Tonight’s round"),
            ("shelves", "/shelves", "Rack A"),
            ("stock", "/stock", "Bramble"),
            ("almanac", "/almanac", "awaited"),
            ("larder", "/larder", "Eight weeks of each food"),
            ("guide", "/guide", "It lies on its back"),
            ("honesty", "/honesty", "Brier score"),
            ("many", "/stock/many", "Paste it here"),
            ("papers", "/stock/many?way=papers", "Choose the papers"),
            ("happened", "/stock/many?way=happened", "Paste what happened"),
        ];
        foreach (var (size, width, height) in new[] { ("a tablet", 820, 1180), ("a phone", 390, 844) })
        {
            Keeper.Resize(width, height);
            foreach (var (view, path, text) in main)
            {
                Check($"{view} on {size}", path, text);
            }
        }

        Assert.True(found.Count == 0, string.Join("\n", found));
    }

    private static string AxeSource()
    {
        for (var at = new FileInfo(Assembly.GetExecutingAssembly().Location).Directory; at is not null; at = at.Parent)
        {
            var axe = Path.Combine(at.FullName, "client", "node_modules", "axe-core", "axe.min.js");
            if (File.Exists(axe))
            {
                return File.ReadAllText(axe);
            }
        }

        throw new FileNotFoundException("axe-core is not installed: run npm ci in client.");
    }
}
