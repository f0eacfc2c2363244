using System.Text;
using System.Text.Json;
using Microsoft.Extensions.DependencyInjection;

namespace Browser.Tests;

/// <summary>The air of the room as a keeper uses it: alarms, a check over salt, a programme, on a screen and on a phone.</summary>
public sealed class ClimateTests() : BrowserRoom(demo: true)
{
    private const string Chosen = "section[aria-labelledby=sensor]";

    /// <summary>Makes a gateway on screen and posts as it would.</summary>
    private string MakeGateway()
    {
        Keeper.Type("A new gateway, by name", "Shed");
        Keeper.Press("Make its token", "section[aria-labelledby=gateways]");
        Keeper.SeeText("section[aria-labelledby=gateways]", "shown this once");
        return Keeper.Text("section[aria-labelledby=gateways] [role=status] code");
    }

    private void Post(string token, double celsius, double humidity, int minutes = 1)
    {
        using var http = new HttpClient { BaseAddress = Address };
        using var request = new HttpRequestMessage(HttpMethod.Post, "api/gateway/readings");
        var readings = Enumerable
            .Range(0, minutes)
            .Select(m => new
            {
                sensor = "shed-1",
                temperatureC = celsius + (m % 2 * 0.1),
                relativeHumidity = humidity,
                at = Services.GetRequiredService<TimeProvider>().GetUtcNow().AddMinutes(-m),
            });
        request.Content = new StringContent(
            JsonSerializer.Serialize(new { readings }),
            Encoding.UTF8,
            "application/json"
        );
        request.Headers.Authorization = new("Bearer", token);
        using var response = http.Send(request);
        response.EnsureSuccessStatusCode();
    }

    private void Answer(string says) =>
        Keeper.Wait(
            () =>
                Keeper.Run(
                    "const card = [...document.querySelectorAll('ul[aria-label=Alarms] > li')].find(l => l.textContent.includes(arguments[0])); card?.querySelector('.act-first')?.click(); return card != null",
                    says
                ) as bool?
                == true,
            $"an alarm “{says}”"
        );

    [Fact]
    public void A_stuck_sensor_of_the_demo_is_seen_on_the_round_and_answered()
    {
        Keeper.Open("/");
        Keeper.SeeText("section[aria-label='The air of the room']", "it is stuck");
        Keeper.Wait(
            () => Keeper.Run("return document.title.startsWith('(')") as bool? == true,
            "a title with the number of alarms"
        );
        Keeper.Keys("gt");
        Keeper.SeeText("h1", "Climate");
        Keeper.SeeText("main", "4 of 5 sensors speak");
        Keeper.See($"{Chosen} svg[aria-label^='North wall']");
        Keeper.SeeText("section[aria-labelledby=programmes]", "Winter of the emperor moths");
        Answer("it is stuck");
        Keeper.SeeText("ul[aria-label=Alarms]", "seen by");
        Assert.Empty(Keeper.Complaints());
    }

    [Fact]
    public void A_new_sensor_is_hung_up_falls_silent_is_called_out_and_answered_and_checked_over_salt()
    {
        Keeper.Open("/climate");
        Keeper.SeeText("h1", "Climate");
        var token = MakeGateway();
        Post(token, 24, 66);
        Keeper.Open("/climate");
        Keeper.Press("shed-1", "ul[aria-label=Sensors]");
        Keeper.SeeText(Chosen, "hangs nowhere yet");
        Keeper.Press("Say where it hangs", Chosen);
        Keeper.Type("Name", "Shed shelf");
        Keeper.Type("Rack, shelf or place; empty for the whole room", "nowhere");
        Keeper.Press("Write it down", "[role=dialog]");
        Keeper.SeeText("[role=dialog]", "a rack like B");
        Keeper.Type("Rack, shelf or place; empty for the whole room", "b1");
        Keeper.Press("Write it down", "[role=dialog]");
        Keeper.SeeText(Chosen, "Shed shelf");

        PassTime(TimeSpan.FromMinutes(50));
        Keeper.Open("/climate");
        Keeper.SeeText("ul[aria-label=Alarms]", "Shed shelf is silent");
        Answer("Shed shelf is silent");
        Keeper.Wait(
            () => Keeper.Text("ul[aria-label=Alarms]").Contains("seen by", StringComparison.Ordinal),
            "the alarm as seen"
        );

        Post(token, 24, 66);
        Keeper.Open("/climate");
        Keeper.Press("Shed shelf", "ul[aria-label=Sensors]");
        Keeper.Press("Check it over salt", Chosen);
        Keeper.SeeText("[role=dialog]", "wet to a stiff paste");
        Keeper.Press("It is closed in now", "[role=dialog]");
        Keeper.SeeText(Chosen, "Over table salt: true is 75.3 %");
        PassTime(TimeSpan.FromHours(12));
        Keeper.Type("It says, %", "79,3");
        Keeper.Press("Write it down", Chosen);
        Keeper.SeeText(Chosen, "humidity corrected −4 % by one salt");
        PassTime(TimeSpan.FromMinutes(2));
        Post(token, 24, 64);
        Keeper.Open("/climate");
        Keeper.SeeText("ul[aria-label=Sensors]", "60 %");
    }

    [Fact]
    public void Heat_is_answered_with_a_finger_and_a_programme_is_planned()
    {
        Keeper.Phone();
        Keeper.Open("/climate");
        var token = MakeGateway();
        Post(token, 36, 60, 40);
        Keeper.Open("/climate");
        Keeper.Tap("shed-1", "ul[aria-label=Sensors]");
        Keeper.Tap("Say where it hangs", Chosen);
        Keeper.Type("Rack, shelf or place; empty for the whole room", "A2");
        Keeper.Tap("Write it down", "[role=dialog]");
        Keeper.Open("/");
        Keeper.SeeText("section[aria-label='The air of the room']", "shed-1: 36");
        Keeper.SeeText("section[aria-label='The air of the room']", "Heat and lamps off");
        Keeper.Open("/climate");
        Keeper.Tap("Plan one", "section[aria-labelledby=programmes]");
        Keeper.Type("What for", "Dry season");
        Keeper.Type("Part of the room", "C");
        Keeper.Type("From, %", "30");
        Keeper.Type("To, %", "50");
        Keeper.Tap("Write it down", "[role=dialog]");
        Keeper.SeeText("section[aria-labelledby=programmes]", "Dry season");
        Keeper.SeeText("section[aria-labelledby=programmes]", "30–50 %");
        Assert.Equal(false, Keeper.Run("return document.documentElement.scrollWidth > window.innerWidth"));
        Assert.Empty(Keeper.Complaints());
    }
}
