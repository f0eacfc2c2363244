using OpenQA.Selenium;

namespace Browser.Tests;

/// <summary>What a keeper wrote for years on paper and in spreadsheets, brought in as it is.</summary>
public sealed class NotebookTests() : BrowserRoom(demo: false)
{
    private static readonly string[] Species =
    [
        "Tliltocatl albopilosus",
        "T. albopilosus",
        "brachypelma hamori",
        "Caribena versicolor",
        "Phidippus regius",
        "Messor barbarus",
    ];

    private static readonly string[] Dates = ["3/5/26", "2026-04-17", "12 Aug", "20.06.2026", "3 weeks ago", ""];

    /// <summary>Sixty rows with empty lines, quotation marks, slips, and dates in every form; two cannot be right.</summary>
    private static string Messy(int rows) =>
        "Box\t Species \tSex\tL\tlast molt\tfed?\tfrom who\n"
        + string.Join(
            "\n",
            Enumerable
                .Range(0, rows)
                .Select(k =>
                {
                    var species = k == 40 ? "Tliltokatl albopilosus" : Species[k % Species.Length];
                    var molt = k == 17 ? "31/2" : Dates[k % Dates.Length];
                    var blank = k % 20 == 19 ? "\t\t\t\t\t\t\n" : "";
                    return $"{blank}{(char)('A' + (k / 20))}{1 + (k / 10 % 2)}-{1 + (k % 10)}\t\"{species}\"\t{"f m?"[k % 4]}\ti{2 + (k % 5)}\t{molt}\tyesterday\ta friend";
                })
        );

    private int Count(string css) => Convert.ToInt32(Keeper.Run($"return document.querySelectorAll(\"{css}\").length"));

    [Fact]
    public void A_messy_table_of_sixty_rows_is_read_mended_written_and_taken_back_as_one()
    {
        Keeper.Open("/stock/many");
        Keeper.See("textarea").Click();
        Keeper.Paste(Messy(60));
        Keeper.SeeText(
            "section[aria-label='How it was read'] [role=status]",
            "to be mended: nothing is written before"
        );
        Assert.Equal(
            "true",
            Keeper.See("section[aria-label='How it was read'] .cell-wrong").GetAttribute("aria-invalid")
        );
        Assert.False(Keeper.See("section[aria-label='How it was read'] button.act-first").Enabled);
        for (var wrong = Count(".cell-wrong"); wrong > 0; wrong--)
        {
            var cell = Keeper.See(".cell-wrong");
            var text = cell.GetAttribute("value");
            cell.SendKeys(Keys.Control + "a" + Keys.Null + (text == "31/2" ? "28/2" : Species[0]) + Keys.Enter);
            var left = wrong - 1;
            Keeper.Wait(() => Count(".cell-wrong") == left, $"{left} cells to be left");
        }

        Keeper.SeeText("section[aria-label='How it was read'] [role=status]", "Every row was understood");
        Assert.Empty(EntryIds());
        Keeper.Press("Write down all 60");
        Keeper.SeeText("[data-bar]", "60 animals written down");
        Assert.Equal(60, EntriesSince(new HashSet<Guid>()).Select(e => e.StockId).Distinct().Count());
        Keeper.Press("Undo");
        Keeper.SeeText("main", "No enclosure stands here yet");
    }

    [Fact]
    public void A_notebook_of_forty_takes_at_most_two_taps_and_twenty_five_characters_an_animal()
    {
        // As it stands on paper: the species once, where it begins.
        string[] lines =
        [
            .. Enumerable
                .Range(0, 40)
                .Select(k =>
                    $"A{1 + (k / 10)}-{1 + (k % 10)}{(k % 10 == 0 ? " T albopil" : "")} {"fm"[k % 2]} i{3 + (k % 4)} fed {1 + (k % 20)}/11"
                ),
        ];
        const int MostCharacters = 25;
        Assert.InRange(lines.Average(l => l.Length + 1), 1, MostCharacters);
        Keeper.Open("/stock/many");
        Keeper.See("textarea").SendKeys(string.Join("\n", lines));
        Keeper.Press("Read it");
        Keeper.SeeText("section[aria-label='How it was read'] [role=status]", "Every row was understood");
        Keeper.Press("Write down all 40");
        Keeper.SeeText("[data-bar]", "40 animals written down");
        Assert.Equal(40, EntriesSince(new HashSet<Guid>()).Select(e => e.StockId).Distinct().Count());
    }
}
