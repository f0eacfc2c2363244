namespace App.Hosting;

/// <summary>
/// Judges the whole room when a night begins, so that the first keeper of the evening need not wait for it: at start,
/// and whenever a new night has come since.
/// </summary>
public sealed class NightWatch(IServiceScopeFactory scopes, TimeProvider clock, ILogger<NightWatch> log)
    : BackgroundService
{
    private static readonly TimeSpan Every = TimeSpan.FromMinutes(5);

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
                var now = scope.ServiceProvider.GetRequiredService<RoomNow>();
                await now.ReadAsync(stoppingToken);
                await now.IndexAsync(stoppingToken);
            }
            catch (Exception error) when (error is not OperationCanceledException)
            {
                // A request will do the same work and say what is wrong.
                log.LogWarning(error, "The room could not be judged ahead of the evening");
            }
        } while (await timer.WaitForNextTickAsync(stoppingToken));
    }
}
