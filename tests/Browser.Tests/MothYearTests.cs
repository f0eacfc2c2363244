using System.Net.Http.Json;

namespace Browser.Tests;

/// <summary>One year of a moth from eggs to eggs, as its keeper writes it down; the cold is read where the pupae lie.</summary>
public sealed class MothYearTests() : BrowserRoom(demo: false)
{
    private const string Dialog = "[role=dialog]";
    private const string Menu = "[role=menu]";

    /// <summary>So many days go by, read at noon where they stand.</summary>
    private void PassDaysAt(int days, double celsius)
    {
        using var http = new HttpClient { BaseAddress = Address };
        for (var day = 0; day < days; day++)
        {
            PassDays(1);
            using var answer = http.Send(
                new HttpRequestMessage(HttpMethod.Post, "api/climate")
                {
                    Content = JsonContent.Create(
                        new
                        {
                            zone = "Q",
                            temperatureC = celsius,
                            relativeHumidity = 65,
                        }
                    ),
                }
            );
            answer.EnsureSuccessStatusCode();
        }
    }

    private void Tell(string animal, string entry, params (string Label, string Text)[] texts)
    {
        OpenAnimal(animal);
        Keeper.Keys("e");
        Keeper.Press(entry, Menu);
        foreach (var (label, text) in texts)
        {
            Keeper.Type(label, text);
        }

        Keeper.Press("Log it", Dialog);
        Keeper.Wait(
            () => Keeper.Run("return document.querySelector('[role=dialog]') === null") is true,
            "the dialog to close"
        );
    }

    [Fact]
    public void From_eggs_over_a_winter_to_eggs_again()
    {
        Keeper.Open("/stock/new");
        Keeper.Press("A batch of young");
        Keeper.Choose("Group", "Moths and butterflies");
        Keeper.Choose("Species", "Saturnia pyri");
        Keeper.Type("Name", "Lugger eggs");
        Keeper.Type("Place", "Q1·01");
        Keeper.Type("How many", "40");
        Keeper.Press("Add it");
        Keeper.SeeText("h1", "Lugger eggs");

        // Laid, hatched, boxed and counted box by box.
        Tell("Lugger eggs", "Laid…");
        Keeper.SeeText("header", "eggs");
        PassDaysAt(16, 21);
        Tell("Lugger eggs", "Hatched…");
        Keeper.SeeText("header", "L1");
        Tell("Lugger eggs", "How they are kept…", ("In each box, if counted", "21 18"));
        Keeper.SeeText("h1", "× 39");
        Keeper.Open("/nursery");
        Keeper.SeeText("section[aria-labelledby=leaf]", "Box 1 holds 21, at most 20 are good: split it");
        Tell("Lugger eggs", "Some parted from them…", ("How many", "18"), ("Name", "Second box"), ("Place", "Q1·02"));
        Keeper.SeeText("h1", "× 21");

        // At the clean-out one is missing, and is not found on a second look.
        Tell("Lugger eggs", "Counted…", ("How many", "20"));
        Keeper.Open("/");
        WalkTo("Lugger eggs");
        Keeper.SeeText("article[aria-current=true]", "Look again for 1");
        Keeper.Press("Some found", "article[aria-current=true]");
        Keeper.Type("How many of the missing were found", "0");
        Keeper.Press("Log it", Dialog);
        Keeper.SeeNoText("body", "Look again for 1");

        // Molt by molt to the pupa; two are told by their antennae and get a place of their own.
        for (var molt = 0; molt < 4; molt++)
        {
            PassDaysAt(7, 21);
            Tell("Lugger eggs", "Molted…");
        }

        Keeper.SeeText("header", "L5");
        PassDaysAt(12, 21);
        Tell("Lugger eggs", "Pupated…");
        Keeper.SeeText("main", "needs 14 weeks of cold");
        foreach (var (name, sex, place) in new[] { ("Lugger one", "Female", "Q1·03"), ("Lugger two", "Male", "Q1·04") })
        {
            Tell("Lugger eggs", "Some parted from them…", ("How many", "1"), ("Name", name), ("Place", place));
            OpenAnimal(name);
            Keeper.Keys("e");
            Keeper.Press("Sex told…", Menu);
            Keeper.Press(sex, Dialog);
            Keeper.Press("Log it", Dialog);
            Keeper.SeeText("header", sex.ToLowerInvariant());
            Tell(name, "Put into the cold…");
        }

        // The cold is what was read there; then the nights of taking out are planned, both sexes together.
        PassDaysAt(100, 4);
        OpenAnimal("Lugger one");
        Keeper.SeeText("main", "14 of 14 weeks");
        Keeper.Open("/nursery");
        Keeper.SeeText("section[aria-labelledby=winters]", "Lugger one");
        Keeper.SeeText("section[aria-labelledby=winters]", "pairs to be expected");
        foreach (var name in new[] { "Lugger one", "Lugger two" })
        {
            Tell(name, "Taken out of the cold…");
            Keeper.SeeText("main", "Emerges about");
        }

        PassDaysAt(30, 21);
        foreach (var name in new[] { "Lugger one", "Lugger two" })
        {
            Tell(name, "Emerged…");
            Keeper.SeeText("header", "adult");
        }

        // Put together, eggs, kept apart: the year begins anew.
        OpenAnimal("Lugger one");
        Keeper.Keys("e");
        Keeper.Press("Paired…", Menu);
        Keeper.Type("Mate in this room", "Lugger two");
        Keeper.Press("Lugger two", "[role=listbox]");
        Keeper.Press("Log it", Dialog);
        Keeper.SeeText("ol", "put together with Lugger two");
        PassDaysAt(2, 21);
        Tell("Lugger one", "Eggs taken, to be kept apart…", ("Name", "New eggs"), ("Place", "Q1·05"));
        OpenAnimal("New eggs");
        Keeper.SeeText("header", "eggs");
        Keeper.SeeText("main", "Lugger one");
        Assert.Empty(Keeper.Complaints());
    }
}
