using System.Globalization;
using SkiaSharp;

namespace Browser.Tests;

/// <summary>Changing rules, the guide, measuring in a picture, the honesty ledger, entries against the hush.</summary>
public sealed class RulesAndReadingTests() : BrowserRoom(demo: true)
{
    [Fact]
    public void A_rule_is_changed_for_one_animal_seen_beforehand_and_given_up_again()
    {
        OpenAnimal("Heron");
        Keeper.SeeText("main", "Next meal Wed 25 Nov");
        Keeper.Run("document.querySelector('[aria-label^=\"Why: Next meal\"]').click()");
        Keeper.SeeText("aside", "A juvenile eats every 7 days");
        PressIn("aside li", "Cadence", "button.linkish");
        Keeper.SeeText("[role=dialog]", "Days between meals");
        Keeper.Type("Yours, days", "10");
        Keeper.Press("See what it moves", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "This moves 1 animal.");
        // In a room that is warmer of late ten days are not ten nights: what is told beforehand is what comes.
        var told = MealIn(Keeper.Text("[role=dialog]"));
        Keeper.Press("Save it", "[role=dialog]");
        Assert.NotEqual("Wed 25 Nov", told);
        Keeper.SeeText("main", $"Next meal {told}");
        Keeper.Run("document.querySelector('[aria-label^=\"Why: Next meal\"]').click()");
        Keeper.SeeText("aside", "changed by you");
        Keeper.Press("back to the rulebook for it alone", "aside");
        Keeper.SeeText("main", "Next meal Wed 25 Nov");
    }

    private static string MealIn(string text) =>
        System.Text.RegularExpressions.Regex.Matches(text, @"Next meal (\w{3} \d+ \w{3})")[^1].Groups[1].Value;

    /// <summary>Presses a button of the line that begins with a text, once both are there.</summary>
    private void PressIn(string lines, string begins, string button) =>
        Keeper.Wait(
            () =>
                Keeper.Run(
                    "const found = [...document.querySelectorAll(arguments[0])].find(l => l.textContent.startsWith(arguments[1]))?.querySelector(arguments[2]); found?.click(); return found != null",
                    lines,
                    begins,
                    button
                ) as bool?
                == true,
            $"{button} of “{begins}”"
        );

    [Fact]
    public void A_species_rule_out_of_range_is_refused_and_one_in_range_shows_the_rulebooks_beside_it()
    {
        Keeper.Open("/rulebook/ceratogyrus-darlingi");
        Keeper.SeeText("h1", "Ceratogyrus darlingi");
        void Change(string ratio)
        {
            PressIn("tr", "Growth per molt", "button");
            Keeper.SeeText("[role=dialog]", "Growth per molt");
            Keeper.Type("Yours, ratio", ratio);
            Keeper.Press("See what it moves", "[role=dialog]");
        }

        Change("9");
        Keeper.SeeText("[role=alert]", "Must be 1.01 to 2.5");
        Keeper.Press("Cancel", "[role=dialog]");
        Change("1.2");
        Keeper.Press("Save it", "[role=dialog]");
        Keeper.SeeText("table", "rulebook: 1.31 ratio per molt");
        Keeper.Press("back to the rulebook", "table");
        Keeper.SeeNoText("table", "rulebook: 1.31 ratio per molt");
    }

    [Fact]
    public void Two_species_are_compared()
    {
        Keeper.Open("/rulebook");
        Keeper.SeeText("main", "Predatory ground beetles");
        Keeper.Run(
            "for (const name of ['Hierodula membranacea', 'Creobroter pictipennis']) [...document.querySelectorAll('label')].find(l => l.textContent.includes(name)).click()"
        );
        Keeper.Press("Compare the two", "main");
        Keeper.SeeText("table", "75–90 mm");
        Keeper.SeeText("table", "35–42 mm");
    }

    [Fact]
    public void A_worried_keeper_is_led_to_what_it_most_likely_is_and_logs_the_sign()
    {
        OpenAnimal("Teasel");
        Keeper.Press("What am I seeing?", "main");
        Keeper.Press("It lies on its back", "main");
        Keeper.Press("Loose, spread", "main");
        Keeper.SeeText("main", "It is molting.");
        Keeper.SeeText("main", "Turn it over, touch it");
        Keeper.Press("Log it for Teasel", "main");
        Keeper.SeeText("[role=status]", "Logged.");
        OpenAnimal("Teasel");
        Keeper.SeeText("header", "molting");
    }

    [Fact]
    public void A_length_is_measured_in_a_picture_and_kept_with_its_error()
    {
        // A scale of 300 pixels for 30 mm, and a carapace of 120 pixels: 12 mm.
        var path = Path.Combine(Directory.CreateTempSubdirectory("lantern-picture-").FullName, "skin.png");
        using (var bitmap = new SKBitmap(800, 500))
        {
            using var canvas = new SKCanvas(bitmap);
            canvas.Clear(SKColors.Beige);
            using var paint = new SKPaint { Color = SKColors.Black, StrokeWidth = 4 };
            canvas.DrawLine(100, 400, 400, 400, paint);
            canvas.DrawOval(500, 150, 40, 60, paint);
            File.WriteAllBytes(path, bitmap.Encode(SKEncodedImageFormat.Png, 100).ToArray());
        }

        OpenAnimal("Heron");
        Keeper.Press("Add a picture", "main");
        Keeper.SeeText("h1", "Pictures");
        Keeper.Type("What it shows", "skin beside a ruler");
        Keeper.Upload(path);
        Keeper.SeeText("main li", "skin beside a ruler");
        Keeper.Press("Measure in it", "main");
        Keeper.See("[data-testid=marks]");
        foreach (var (x, y) in new[] { (100, 400), (400, 400), (500, 90), (500, 210) })
        {
            Keeper.Run(
                "const svg = document.querySelector('[data-testid=marks]'); const box = svg.getBoundingClientRect(); const k = box.width / 800; svg.dispatchEvent(new PointerEvent('pointerdown', { bubbles: true, clientX: box.left + arguments[0] * k, clientY: box.top + arguments[1] * k }))",
                x,
                y
            );
        }

        Keeper.SeeText("[role=status]", "Move a mark");
        Keeper.Type("Length of the scale in mm", "30");
        Keeper.Press("Measure", "section[aria-label='Measure in the picture']");
        Keeper.SeeText("[role=status]", "12 ± 0.23 mm");
        Keeper.Press("Keep it on the record", "main");
        // The form closes once it is written; a page left before would take the entry with it.
        Keeper.SeeNoText("main", "Keep it on the record");
        OpenAnimal("Heron");
        Keeper.SeeText("ol", "carapace 12 mm ± 0.2 mm, in a picture");
    }

    [Fact]
    public void The_honesty_ledger_shows_scores_and_how_signs_hold()
    {
        Keeper.Open("/honesty");
        Keeper.SeeText("table", "Molts, tarantula");
        Keeper.SeeText("main", "Brier score");
        Keeper.SeeText("main", "The latest to come to their end");
        Keeper.SeeText("table caption", "Tarantulas");
        // Where it is no better than the rulebook is said in words, with how sure that is, season by season.
        Keeper.SeeText("section[aria-labelledby=scores] li", "Too few animals to tell");
        Keeper.SeeText("section[aria-labelledby=scores] td", "in 100 (");
        Keeper.SeeText("main h3", "quarter by quarter");
        Keeper.SeeText("section[aria-labelledby=looks]", "nights to about");
    }

    [Fact]
    public void What_is_done_against_the_hush_asks_once_and_is_marked()
    {
        OpenAnimal("Sorrel");
        Keeper.Keys("e");
        Keeper.Press("Misted", "[role=menu]");
        Keeper.SeeText("[role=dialog]", "Sorrel is hushed");
        Keeper.Press("It happened: log it", "[role=dialog]");
        Keeper.SeeText("ol", "against the hush:");
    }

    [Fact]
    public void A_brood_is_counted_in_a_picture_and_mended_with_a_tap()
    {
        Keeper.Open("/bench/picture-count");
        Keeper.SeeText("h2", "Count a brood");
        Keeper.Press("Work it out", "main");
        Keeper.SeeText("form", "Take or choose a picture.");
        Keeper.Upload(BroodPicture.Of(9, 5));
        // It is read before it can be counted.
        Keeper.See("img[alt='The picture you chose']");
        Keeper.Press("Work it out", "main");
        Keeper.SeeText("[data-count]", "45");
        // A tap strikes a ring, another on bare paper adds one.
        void Tap(double x, double y) =>
            Keeper.Run(
                $"const s = document.querySelector('[role=status] svg'), b = s.getBoundingClientRect(); s.dispatchEvent(new MouseEvent('click', {{ bubbles: true, clientX: b.left + b.width * {x.ToString(CultureInfo.InvariantCulture)}, clientY: b.top + b.height * {y.ToString(CultureInfo.InvariantCulture)} }}))"
            );
        Tap(0.1, 1 / 6.0);
        Keeper.SeeText("[data-count]", "44");
        Tap(0.05, 0.05);
        Tap(0.95, 0.95);
        Keeper.SeeText("[data-count]", "46");
        Keeper.SeeText("[role=status]", "2 added, 1 struck");
        Keeper.Press("One less", "main");
        Keeper.SeeText("[data-count]", "45");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void Every_calculator_on_the_bench_works_out_an_answer()
    {
        foreach (
            var (bench, says) in new[]
            {
                ("growth-fit", "× 1.268"),
                ("vigil", "11.4 days"),
                ("prey", "16 mm"),
                ("degree-days", "33.64 °C·d"),
                ("air", "21.2 °C"),
                ("hygrometer", "62.1 %"),
                ("mass", "78.2 mg"),
                ("survival", "60 in 100"),
                ("container", "Floor at least"),
                ("leaf-demand", "600 g of leaf"),
                ("chill", "11 of 14 cold days"),
                ("chain", "60 days"),
                ("population", "238"),
                ("harvest", "13.1 a week"),
            }
        )
        {
            Work(bench, says);
            Keeper.See("main [role=status] svg");
        }

        Work("seawater", "362 g of dry salt");
        Work("substrate", "21.6 litres");

        void Work(string bench, string says)
        {
            Keeper.Open($"/bench/{bench}");
            Keeper.Press("Work it out", "main");
            Keeper.SeeText("main [role=status]", says);
        }
    }

    [Fact]
    public void A_crab_is_logged_as_buried_and_hushed_until_it_comes_up()
    {
        OpenAnimal("Whelk");
        Keeper.Keys("e");
        Keeper.Press("Buried itself", "[role=menu]");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("header", "buried");
        Keeper.SeeText("main", "Buried: leave it be");
    }
}
