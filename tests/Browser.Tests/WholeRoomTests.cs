using System.Globalization;
using System.Text.Json;
using OpenQA.Selenium;
using UglyToad.PdfPig;

namespace Browser.Tests;

/// <summary>Shelves, batches, two people at one round, other nights, paper and labels, in the demo room.</summary>
public sealed class WholeRoomTests() : BrowserRoom(demo: true)
{
    private void See(string label) =>
        Keeper.Wait(
            () => Keeper.Run($"return document.activeElement.getAttribute('aria-label')?.includes('{label}')") is true,
            $"{label} to have the focus"
        );

    [Fact]
    public void An_enclosure_is_moved_by_keyboard_and_taken_back()
    {
        Keeper.Open("/shelves");
        Keeper.See("[data-place='A1·05']");
        Keeper.Run("document.querySelector(\"[data-place='A1·05']\").focus()");
        See("A1·05 Vesper");
        Keeper.Keys("m");
        Keeper.SeeText("main", "Carrying A1·05 Vesper to A1·05");
        Keeper.Keys(Keys.ArrowRight);
        Keeper.SeeText("main", "Vesper to A1·06");
        Keeper.Keys(Keys.Enter);
        Keeper.SeeText("[data-bar]", "Vesper moved to A1·06");
        Keeper.See("[data-place='A1·06'][data-stock]");
        Keeper.Keys("z");
        Keeper.SeeText("[data-bar]", "Taken back");
        Keeper.See("[data-place='A1·05'][data-stock]");
    }

    [Fact]
    public void An_enclosure_set_down_on_another_changes_places_with_it()
    {
        Keeper.Open("/shelves");
        Keeper.See("[data-place='A1·01']");
        Keeper.Run("document.querySelector(\"[data-place='A1·01']\").focus()");
        See("A1·01 Tansy");
        Keeper.Keys("m");
        Keeper.Keys(Keys.ArrowRight);
        Keeper.SeeText("main", "Bramble stands there");
        Keeper.Keys(Keys.Enter);
        Keeper.SeeText("[data-bar]", "Tansy and Bramble changed places");
        Keeper.See("[data-place='A1·02'][aria-label*='Tansy']");
        Keeper.Keys("m");
        Keeper.Keys(Keys.Escape);
        Keeper.SeeText("main", "Drag an enclosure");
    }

    [Fact]
    public void A_whole_shelf_is_logged_with_its_exceptions()
    {
        Keeper.Open("/");
        Keeper.SeeText("article[aria-current=true]", "Cockle");
        // A shelf on which several can be logged in one go.
        var shelf =
            Keeper.Run(
                "return [...document.querySelectorAll('section[aria-label^=Shelf]')].find(s => [...s.querySelectorAll('button')].some(b => b.innerText.startsWith('all'))).ariaLabel"
            ) as string;
        var section = $"section[aria-label='{shelf}']";
        Keeper.Press("all", section);
        Keeper.SeeText("[role=dialog]", $"All of {shelf!.Split(' ')[1]}");
        int Count(string css) =>
            Convert.ToInt32(Keeper.Run("return document.querySelectorAll(arguments[0]).length", css));
        var boxes = Count("[role=dialog] li input");
        Assert.True(boxes > 1);
        var done = Count($"{section} [aria-label=done]");
        var kept = Keeper.Run("return document.querySelector('[role=dialog] li b').innerText") as string;
        Keeper.See("[role=dialog] li input").Click();
        Keeper.Press($"Log {boxes - 1}", "[role=dialog]");
        Keeper.SeeText("[data-bar]", $"{boxes - 1} enclosure");
        // The exception stays to be done; the others are done, or ask for something else now.
        Keeper.SeeText($"{section} article", kept!);
        Keeper.Wait(() => Count($"{section} [aria-label=done]") > done, "others to be done");
        Keeper.Keys("z");
        Keeper.SeeText("[data-bar]", "Taken back");
    }

    [Fact]
    public void Two_people_see_each_others_ticks_as_they_are_made()
    {
        using var other = new Keeper(Address);
        other.Open("/");
        other.SeeText("article[aria-current=true]", "Cockle");
        Keeper.Open("/");
        Keeper.SeeText("article[aria-current=true]", "Cockle");
        Keeper.Keys("x");
        Keeper.SeeText("[data-bar]", "Cockle: leftovers taken out");
        // Nothing is reloaded in the other browser.
        other.SeeNoText("article[aria-current=true]", "Take out 1 small cricket");
        other.SeeText("main", "3 of ");
    }

    [Fact]
    public void Another_night_is_looked_at_from_the_strip()
    {
        Keeper.Open("/");
        Keeper.See("[role=slider]").SendKeys(Keys.ArrowLeft);
        Keeper.SeeText("h1", "Sunday 22 November");
        Keeper.SeeText("main", "Last night: what was done");
        Keeper.See("[role=slider]").SendKeys(Keys.ArrowRight + Keys.ArrowRight);
        Keeper.SeeText("h1", "Tuesday 24 November");
        Keeper.SeeText("main", "what will be due");
        Keeper.See("[role=slider]").SendKeys(Keys.Home);
        Keeper.SeeText("h1", "Tonight’s round");
    }

    [Fact]
    public void The_round_is_summed_up_with_what_to_check_tomorrow()
    {
        Keeper.Open("/");
        WalkTo("Tansy");
        Keeper.Keys("r");
        Keeper.SeeText("[role=menu]", "Batted it away");
        Keeper.Keys("1");
        Keeper.SeeText("[data-bar]", "Tansy: batted away");
        Keeper.Press("Sum up", "main");
        Keeper.SeeText("[role=dialog]", "Check tomorrow");
        Keeper.SeeText("[role=dialog]", "refused: look for signs");
    }

    [Fact]
    public void A_sheet_of_paper_is_typed_back()
    {
        Keeper.Open("/paper/round");
        Keeper.SeeText("table", "Take out 1 small cricket");
        Keeper.Press("Type a sheet back");
        Keeper.See("ol input").SendKeys("x" + Keys.Enter);
        Keeper.Wait(
            () => Keeper.Run("return document.activeElement === document.querySelectorAll('ol input')[1]") is true,
            "the next line to have the focus"
        );
        Keeper.See("input[aria-label='Boxes of A1·01 Tansy']").Click();
        Keeper.Keys("fw" + Keys.Enter);
        Keeper.SeeText("ol", "fed, watered");
        Keeper.Keys("q");
        Keeper.SeeText("main", "1 cannot be read");
        Keeper.Keys(Keys.Backspace);
        Keeper.Press("Log 3 entries", "main");
        Keeper.SeeText("[data-bar]", "Sheet of 3 entries");
        Keeper.Open("/");
        // Water first, then food.
        Keeper.SeeText("main", "Tansy dish filled, took 1 medium cricket");
    }

    /// <summary>Outside check: the PDF is opened and its codes are read by general libraries.</summary>
    [Fact]
    public void The_code_on_a_label_leads_to_its_animal()
    {
        Keeper.Open("/stock");
        Keeper.See("input[aria-label='Choose A1·02 Bramble']").Click();
        Keeper.Press("Labels", "[role=toolbar]");
        Keeper.SeeText("main", "PDF of 1 label");
        Keeper.See("img[alt=Label]");
        foreach (var format in new[] { "a4-24", "roll-38-25" })
        {
            var file = Keeper.RunAsync(
                $$"""
                const done = arguments[arguments.length - 1];
                const id = document.querySelector('img[alt=Label]').src.split('/preview/')[1].split('?')[0];
                fetch('/api/session').then(r => r.json()).then(s => fetch('/api/labels/pdf', { method: 'POST',
                  headers: { 'Content-Type': 'application/json', 'X-Lantern-Token': s.token },
                  body: JSON.stringify({ stockIds: [id], format: '{{format}}', skip: 0 }) }))
                  .then(r => r.arrayBuffer()).then(b => done(btoa(String.fromCharCode(...new Uint8Array(b)))));
                """
            );
            using var pdf = PdfDocument.Open(Convert.FromBase64String(file!));
            var image = Assert.Single(pdf.GetPage(1).GetImages());
            Assert.True(image.TryGetBytesAsMemory(out var samples));
            Assert.Equal(StockAddress(), Decode(samples.ToArray(), image.WidthInSamples, image.HeightInSamples));
        }

        // And as the printer prints it, at its own resolution.
        var printed = Keeper
            .RunAsync(
                """
                const done = arguments[arguments.length - 1];
                const image = new Image();
                image.onload = () => {
                  const canvas = document.createElement('canvas');
                  [canvas.width, canvas.height] = [image.width, image.height];
                  const pen = canvas.getContext('2d');
                  pen.drawImage(image, 0, 0);
                  const pixels = pen.getImageData(0, 0, image.width, image.height).data;
                  const grey = Uint8Array.from({ length: pixels.length / 4 }, (_, k) => pixels[4 * k]);
                  let text = '';
                  grey.forEach(g => { text += String.fromCharCode(g); });
                  done(`${image.width} ${image.height} ${btoa(text)}`);
                };
                image.src = document.querySelector('img[alt=Label]').src;
                """
            )!
            .Split(' ');
        Assert.Equal(
            StockAddress(),
            Decode(
                Convert.FromBase64String(printed[2]),
                int.Parse(printed[0], CultureInfo.InvariantCulture),
                int.Parse(printed[1], CultureInfo.InvariantCulture)
            )
        );
    }

    private string StockAddress()
    {
        var id = Keeper.Run("return document.querySelector('img[alt=Label]').src.split('/preview/')[1].split('?')[0]");
        return $"http://127.0.0.1:0/stock/{id}";
    }

    /// <summary>Reads a code out of grey or coloured samples with a general library.</summary>
    private string? Decode(byte[] samples, int width, int height)
    {
        var decoder = File.ReadAllText(
            Path.Combine(Hosting.Tests.LanternFactory.Root, "client", "node_modules", "jsqr", "dist", "jsQR.js")
        );
        Keeper.Run(
            $"if (!window.jsQR) {{ const module = {{ exports: {{}} }}; const exports = module.exports; {decoder}; window.jsQR = module.exports.default ?? module.exports; }}"
        );
        return Keeper.RunAsync(
            $$"""
            const done = arguments[arguments.length - 1];
            const bytes = Uint8Array.from(atob('{{Convert.ToBase64String(samples)}}'), c => c.charCodeAt(0));
            const [width, height, pad] = [{{width}}, {{height}}, 40];
            const each = Math.max(1, Math.floor(bytes.length / (width * height)));
            const bits = bytes.length < width * height;
            const row = Math.ceil(width / 8);
            // A quiet zone, as the white of the paper round it is.
            const [w, h] = [width + 2 * pad, height + 2 * pad];
            const pixels = new Uint8ClampedArray(w * h * 4).fill(255);
            for (let y = 0; y < height; y++) for (let x = 0; x < width; x++) {
              const grey = bits ? ((bytes[y * row + (x >> 3)] >> (7 - (x & 7))) & 1) * 255 : bytes[(y * width + x) * each];
              pixels.fill(grey, ((y + pad) * w + x + pad) * 4, ((y + pad) * w + x + pad) * 4 + 3);
            }
            done(window.jsQR(pixels, w, h)?.data ?? `no code found in ${width} x ${height}, ${bytes.length} bytes`);
            """
        );
    }

    [Fact]
    public void The_stock_is_narrowed_with_a_slip_of_the_finger_and_the_filter_is_kept()
    {
        Keeper.Open("/stock");
        Keeper.SeeText("[role=table]", "Tansy");
        Keeper.See("input[type=search]").SendKeys("bramlbe");
        Keeper.SeeNoText("[role=table]", "Tansy");
        Keeper.SeeText("[role=table]", "Bramble");
        Keeper.Press("Save this filter", "header");
        Keeper.See("input[aria-label='Name of the filter']").SendKeys("mine" + Keys.Enter);
        Keeper.Press("Show all", "main");
        Keeper.SeeText("[role=table]", "Tansy");
        Keeper.Open("/stock");
        Keeper.Press("mine", "main");
        Keeper.SeeNoText("[role=table]", "Tansy");
    }

    [Fact]
    public void A_chore_is_done_on_the_round()
    {
        Keeper.Open("/");
        Keeper.SeeText("section[aria-label=Chores]", "Damp side of the crab tank");
        Keeper.See("section[aria-label=Chores] li button").Click();
        Keeper.SeeText("section[aria-label=Chores]", "take back");
        Keeper.Press("take back", "section[aria-label=Chores]");
        Keeper.SeeNoText("section[aria-label=Chores]", "take back");
    }

    /// <summary>The list builds what is looked at, not what there is.</summary>
    [Fact]
    public void The_stock_list_builds_only_the_rows_that_are_looked_at()
    {
        Keeper.Open("/stock");
        Keeper.SeeText("[role=table]", "Bramble");
        var rows = Convert.ToInt32(Keeper.Run("return document.querySelectorAll('[role=row]').length"));
        Assert.InRange(rows, 5, 40);
        Keeper.Run("document.querySelector('[role=table]').scrollTop = 1e6");
        Keeper.SeeNoText("[role=table]", "Bramble");
        Assert.Equal("102 enclosures", JsonSerializer.Serialize(Keeper.Text("header p")).Trim('"').Split(',')[0]);
    }
}
