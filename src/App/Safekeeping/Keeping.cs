using App.Hosting;
using App.Live;
using Ledger;
using Ledger.Safekeeping;

namespace App.Safekeeping;

/// <summary>Copies, puts back, loads and looks through the record; the script and the screen do it by this alike.</summary>
public sealed class Keeping(
    LedgerFile file,
    LanternDb db,
    RoomFileLoader loader,
    RoomFileWriter writer,
    RoomCache cache,
    TimeProvider clock,
    IServiceProvider services
)
{
    /// <summary>What writers are told while a file is loaded.</summary>
    public const string Loading =
        "Busy: a file is being loaded. Nothing is lost; it is written as soon as that is done.";

    /// <summary>What writers are told while a copy is put back.</summary>
    public const string PuttingBack =
        "Busy: a copy of the record is being put back. Look at what is there before you write on.";

    /// <summary>The copies.</summary>
    public Backups Backups => new(file);

    /// <summary>Copies the record.</summary>
    public Task<Backup> CopyAsync(BackupReason reason, CancellationToken cancel) =>
        Backups.MakeAsync(reason, clock.GetUtcNow(), cancel);

    /// <summary>Looks through the whole record.</summary>
    public Task<IReadOnlyList<string>> CheckAsync(CancellationToken cancel) =>
        new RecordCheck(file, db).RunAsync(cancel);

    /// <summary>Loads a room file or an archive, after the record was copied.</summary>
    /// <param name="stream">The file, which can be sought in.</param>
    /// <param name="cancel">Cancels; then nothing is added.</param>
    public async Task<LoadedRoom> LoadAsync(Stream stream, CancellationToken cancel)
    {
        var (room, problems) = RoomArchive.Open(stream);
        if (room is null)
        {
            return LoadedRoom.Refused(problems);
        }

        using (room)
        {
            if (await db.LatestSequenceAsync(cancel) > 0)
            {
                await CopyAsync(BackupReason.BeforeLoad, cancel);
                Backups.Prune();
            }

            return await loader.LoadAsync(room, clock.GetUtcNow(), cancel);
        }
    }

    /// <summary>Writes the whole room to a file.</summary>
    public Task SaveAsync(string path, CancellationToken cancel) => writer.WriteAsync(path, cancel);

    /// <summary>What putting a copy back would change.</summary>
    public Task<RestorePreview> PreviewAsync(string path, CancellationToken cancel) =>
        new Restoring(file).PreviewAsync(path, cancel);

    /// <summary>Puts a copy back.</summary>
    /// <returns>Path of what was there before; none where there was nothing.</returns>
    public async Task<string?> RestoreAsync(string path, CancellationToken cancel)
    {
        var now = clock.GetUtcNow();
        var former = await new Restoring(file).RestoreAsync(path, now, cancel);
        cache.LetGo();
        db.ChangeTracker.Clear();
        await services.RebuildIfRulesChangedAsync(now);
        services.GetService<RoomHealth>()?.Note([]);
        services.GetService<LiveRoom>()?.Tell(LiveTopic.Anything, "");
        return former;
    }
}
