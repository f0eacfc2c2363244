using App.Hosting;
using Devices;
using Husbandry.Rooms;
using Ledger;
using Microsoft.EntityFrameworkCore;

namespace App.Demo;

/// <summary>Switches the made-up gateway of the demo on: it posts every minute to the address to which a real one would post.</summary>
public sealed class DemoGateway(
    IServiceScopeFactory scopes,
    LanternOptions options,
    TimeProvider clock,
    ILogger<DemoGateway> log
) : BackgroundService
{
    private static readonly TimeSpan Every = TimeSpan.FromMinutes(1);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        // On the network a real gateway would come by TLS, and the demo is for one machine.
        if (!LanternOptions.IsServer || options.Encrypted)
        {
            return;
        }

        using var timer = new PeriodicTimer(Every, clock);
        GatewayPost? post = null;
        using var http = new HttpClient { BaseAddress = new Uri(options.Address) };
        ClimateGateway? gateway = null;
        while (await timer.WaitForNextTickAsync(stoppingToken))
        {
            try
            {
                if (post is null || gateway is null)
                {
                    (gateway, post) = await SwitchOnAsync(http, stoppingToken);
                }

                if (!await post.SendAsync(gateway.Read(clock.GetUtcNow()), stoppingToken))
                {
                    log.LogWarning("The simulated gateway was not heard");
                }
            }
            catch (HttpRequestException error)
            {
                log.LogWarning(error, "The simulated gateway could not post");
            }
        }
    }

    private async Task<(ClimateGateway, GatewayPost)> SwitchOnAsync(HttpClient http, CancellationToken cancel)
    {
        using var scope = scopes.CreateScope();
        var services = scope.ServiceProvider;
        var db = services.GetRequiredService<LanternDb>();
        var token = Secrets.New();
        var row = await db.Gateways.FirstAsync(g => g.Id == DemoClimate.GatewayId, cancel);
        row.TokenHash = Secrets.Hash(token);
        await db.SaveChangesAsync(cancel);
        var rules = await services.GetRequiredService<RulebookStore>().ReadAsync(cancel);
        var settings = await services.GetRequiredService<RoomStore>().ReadAsync(cancel);
        var laid = Room.At(rules, settings.Settings, clock.GetUtcNow());
        return (new DemoClimate(laid, SimulatedRacks.WeatherOf(laid)).Gateway, new GatewayPost(http, token));
    }
}
