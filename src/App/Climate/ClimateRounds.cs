using App.Hosting;
using App.Live;
using Ledger;

namespace App.Climate;

/// <summary>Looks at the room's air every minute: tells open screens of alarms that come and go, compares neighbours, lets go of old minutes.</summary>
public sealed class ClimateRounds(
    IServiceScopeFactory scopes,
    ClimateWatch watch,
    LiveRoom live,
    TimeProvider clock,
    ILogger<ClimateRounds> log
) : BackgroundService
{
    private static readonly TimeSpan Every = TimeSpan.FromMinutes(1);
    private static readonly TimeSpan ComparedEvery = TimeSpan.FromHours(1);
    private static readonly TimeSpan PrunedEvery = TimeSpan.FromDays(1);
    private static readonly TimeSpan NeighboursSince = TimeSpan.FromDays(45);

    private DateTimeOffset compared;
    private DateTimeOffset pruned;
    private string told = "";

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        if (!LanternOptions.IsServer)
        {
            return;
        }

        using var timer = new PeriodicTimer(Every, clock);
        do
        {
            try
            {
                using var scope = scopes.CreateScope();
                await LookAsync(scope.ServiceProvider, stoppingToken);
            }
            catch (Exception error) when (error is not OperationCanceledException)
            {
                // The next minute tries again; a request says what is wrong.
                log.LogWarning(error, "The room's air could not be looked at");
            }
        } while (await timer.WaitForNextTickAsync(stoppingToken));
    }

    private async Task LookAsync(IServiceProvider services, CancellationToken cancel)
    {
        var book = await services.GetRequiredService<ClimateStore>().BookAsync(cancel);
        if (book.Sensors.Count == 0)
        {
            return;
        }

        var (now, sensors) = (clock.GetUtcNow(), services.GetRequiredService<SensorStore>());
        if (now - compared >= ComparedEvery)
        {
            var rules = await services.GetRequiredService<RulebookStore>().ReadAsync(cancel);
            var days = await sensors.DaysAsync(now - NeighboursSince, now, cancel);
            watch.Compare(NeighbourCheck.Of(book, days, now, rules.Room.Climate.Alarms));
            compared = now;
        }

        if (now - pruned >= PrunedEvery)
        {
            await sensors.PruneAsync(now, cancel);
            pruned = now;
        }

        var air = await services.GetRequiredService<AirReader>().ReadAsync(cancel);
        var states = string.Join('|', air.Alarms.Select(a => $"{a.Key}{a.State}"));
        if (states != told)
        {
            told = states;
            live.Tell(LiveTopic.Alarms, air.Room.Settings.KeeperName);
        }
    }
}
