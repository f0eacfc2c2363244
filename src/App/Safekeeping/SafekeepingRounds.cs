using App.Hosting;
using App.Live;
using Ledger;
using Ledger.Safekeeping;

namespace App.Safekeeping;

/// <summary>Looks at the data file and copies it, once at start and then once a night, without being asked.</summary>
public sealed class SafekeepingRounds(
    IServiceScopeFactory scopes,
    LedgerFile file,
    RoomHealth health,
    WriteGate gate,
    LiveRoom live,
    TimeProvider clock,
    ILogger<SafekeepingRounds> log
) : BackgroundService
{
    private static readonly TimeSpan Every = TimeSpan.FromMinutes(10);

    // A little less than a day, so that the hour of the copy does not wander through the night.
    private static readonly TimeSpan CopiedEvery = TimeSpan.FromHours(23);

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
                await LookAsync(stoppingToken);
            }
            catch (Exception error) when (error is not OperationCanceledException)
            {
                log.LogWarning(error, "The data file could not be looked after");
            }
        } while (await timer.WaitForNextTickAsync(stoppingToken));
    }

    /// <summary>Checks and copies the file when the last nightly copy is of another night.</summary>
    public async Task LookAsync(CancellationToken cancel)
    {
        var now = clock.GetUtcNow();
        var backups = new Backups(file);
        var last = backups.All().FirstOrDefault(b => b.Reason == BackupReason.Nightly);
        if (
            gate.Closed is not null
            || (last is not null && now - last.At < CopiedEvery)
            || !await HasEntriesAsync(cancel)
        )
        {
            return;
        }

        var (was, before) = (health.IsDamaged, health.CopyTrouble);
        health.Note(await FileCheck.QuickAsync(file.Path, cancel));
        if (!health.IsDamaged)
        {
            await CopyAsync(backups, now, cancel);
        }

        if (was != health.IsDamaged || before != health.CopyTrouble)
        {
            live.Tell(LiveTopic.Troubles, "");
        }
    }

    private async Task CopyAsync(Backups backups, DateTimeOffset now, CancellationToken cancel)
    {
        try
        {
            var made = await backups.MakeAsync(BackupReason.Nightly, now, cancel);
            health.CopyTrouble = null;
            var gone = backups.Prune();
            log.LogInformation("Copied the data file to {Copy}; {Gone} older ones are gone", made.Name, gone);
        }
        catch (Exception error) when (error is LedgerFileException || LedgerTrouble.Of(error) is not null)
        {
            var why = LedgerTrouble.Of(error)?.Kind == TroubleKind.Full ? "The disk is full" : error.Message;
            health.CopyTrouble =
                $"The copy of this night could not be made: {why.TrimEnd('.')}. Copies of before are there.";
            log.LogWarning(error, "The nightly copy could not be made");
        }
    }

    private async Task<bool> HasEntriesAsync(CancellationToken cancel)
    {
        using var scope = scopes.CreateScope();
        return await scope.ServiceProvider.GetRequiredService<LanternDb>().LatestSequenceAsync(cancel) > 0;
    }
}
