namespace Browser.Tests;

/// <summary>The pairing desk as a keeper uses it.</summary>
public sealed class PairingTests() : BrowserRoom(demo: true)
{
    private const string Family = "section[aria-labelledby=desk-Ceratogyrus-darlingi]";

    [Fact]
    public void The_desk_says_who_is_ready_until_when_and_with_whom()
    {
        Keeper.Open("/");
        Keeper.SeeText("h1", "Tonight’s round");
        Keeper.Keys("gp");
        Keeper.SeeText("h1", "Who is ready");
        Keeper.SeeText($"{Family} article", "Dapple");
        Keeper.SeeText($"{Family} article", "sac before her molt in");
        Keeper.See($"{Family} svg[aria-label^='Chance of sac by night of pairing']");
        // First cousins are warned of, half-sibs stopped.
        Keeper.SeeText($"{Family} ol", "Dapple × Reeve");
        Keeper.SeeText($"{Family} ol", "near of kin");
        Keeper.SeeText($"{Family} ol", "too near of kin");
        // Every word has its reasons.
        Keeper.See($"{Family} [aria-label='Why: whether Dapple may be paired']").Click();
        Keeper.SeeText("aside[aria-label=Why]", "nights since her molt");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void Who_will_be_adult_together_is_said_and_a_cage_is_booked_from_the_desk()
    {
        Keeper.Open("/pairing");
        // Quill has a molt to go: whether she and Ebb will both be adult is reckoned by their molts.
        Keeper.SeeText($"{Family} ol", "Quill × Ebb");
        Keeper.SeeText($"{Family} ol", "Adult together in");
        Keeper.PressNamed("Book for tonight: Zipped net cage: Dapple × Reeve");
        Keeper.SeeText("[role=dialog]", "Book: Zipped net cage");
        Keeper.Press("Book it", "[role=dialog]");
        Keeper.SeeText($"{Family} ol", "A cage is booked for");
        Keeper.Open("/chores");
        Keeper.SeeText("main", "Dapple × Reeve");
    }

    [Fact]
    public void A_night_in_the_net_is_led_on_two_phones_up_to_the_web_and_the_second_try()
    {
        using var phone = Another(Address);
        Keeper.Phone();
        phone.Phone();
        Keeper.Open("/pairing");
        Keeper.SeeText($"{Family} ol", "Dapple × Reeve");
        Keeper.Tap("Put them together", $"{Family} ol");
        Keeper.SeeText("h1", "Dapple × Reeve");
        Keeper.SeeText("main", "Near of kin: F 6.25 %");
        Keeper.SeeText("section[aria-label='At hand']", "a zipped net cage");
        Assert.Empty(Keeper.Complaints());
        Keeper.Tap("They are together now");
        Keeper.SeeText("[role=timer]", "together since");

        // Another phone takes it up in the morning, and this one sees how it ended.
        var run = Keeper.Path;
        phone.Open(run);
        phone.SeeText("[role=timer]", "together since");
        PassTime(TimeSpan.FromHours(9));
        phone.SeeText("section[aria-label='When they part']", "First say who is who");
        phone.Tap("He is out, unhurt");
        phone.SeeText("section[aria-label='What comes now']", "Look for a new sperm web of Reeve");
        Keeper.SeeText("[role=timer]", "He is out, unhurt");
        Keeper.Tap("Print her label with the date");
        Keeper.SeeText("main", "PDF of 1 label");

        // The evening of the next night his web is asked for; it tells of her.
        PassTime(TimeSpan.FromHours(39));
        phone.Resize(1280, 800);
        phone.Open("/");
        WalkTo("Reeve", phone);
        phone.SeeText("article[aria-current=true]", "has he spun a new sperm web?");
        phone.Keys("n");
        phone.SeeText("[data-bar]", "a new sperm web after the pairing with Dapple");
        OpenAnimal("Dapple");
        Keeper.SeeText("figure", "Did it take?");
        Keeper.See("svg[aria-label*='New sperm web']");

        // After a week they may meet again.
        PassDays(5);
        Keeper.Open(run);
        Keeper.Tap("Put them together once more");
        Keeper.Tap("They are together now");
        Keeper.SeeText("[role=timer]", "together since");
        OpenAnimal("Dapple");
        Keeper.SeeText("ol", "put together with Reeve, in the net overnight");
    }

    [Fact]
    public void A_watched_pairing_is_told_tap_by_tap_and_goes_on_without_the_server()
    {
        Keeper.Phone();
        Keeper.Open("/pairing");
        Keeper.Tap("Put them together", "section[aria-labelledby=desk-Sphodromantis-lineola] ol");
        Keeper.Tap("They are together now");
        Keeper.SeeText("[role=timer]", "together since");
        Keeper.Tap("She lunges");
        Keeper.SeeText("ol[aria-label='What was seen']", "She lunges");
        Keeper.SeeText("main", "Once can happen");
        Keeper.Tap("Joined");
        Keeper.SeeText("ol[aria-label='What was seen']", "Joined");
        // What waits for the server is seen at once.
        StopServer();
        Keeper.Tap("He leaves");
        Keeper.SeeText("ol[aria-label='What was seen']", "waits for the server");
        Keeper.Tap("He is out, unhurt");
        Keeper.SeeText("[role=timer]", "He is out, unhurt");
    }

    [Fact]
    public void A_loan_goes_with_a_sheet_that_tells_nothing_of_the_room()
    {
        OpenAnimal("Reeve");
        Keeper.Keys("e");
        Keeper.Press("Lent to somebody", "[role=menu]");
        Keeper.Type("To whom", "a keeper up the river");
        Keeper.Type("Agreed of the offspring", "half of the young");
        Keeper.Press("Normal", "[role=dialog]");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("header", "With a keeper up the river");
        Keeper.Press("Loan sheet", "main");
        Keeper.SeeText("dl", "half of the young");
        var sheet = Keeper.Text("main article");
        Assert.DoesNotContain("E3·07", sheet, StringComparison.Ordinal);
        Assert.DoesNotContain("Shoal", sheet, StringComparison.Ordinal);
        Assert.DoesNotContain("Sallow Quay", sheet, StringComparison.Ordinal);
        // His runs there can be written down; here nothing is asked of him.
        Keeper.Run("history.back()");
        Keeper.SeeText("h1", "Reeve");
        Keeper.Keys("e");
        Keeper.SeeText("[role=menu]", "Paired…");
    }

    [Fact]
    public void Half_sibs_are_paired_only_when_that_is_confirmed()
    {
        OpenAnimal("Dapple");
        Keeper.Keys("e");
        Keeper.Press("Paired…", "[role=menu]");
        Keeper.Type("Mate in this room", "Ebb");
        Keeper.Press("Ebb", "[role=listbox]");
        Keeper.SeeText("[role=dialog] [role=alert]", "F 12.5 %");
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "say that they were all the same");
        Keeper.See("[role=dialog] input[type=checkbox]").Click();
        Keeper.Press("Log it", "[role=dialog]");
        Keeper.SeeText("ol", "put together with Ebb");
    }
}
