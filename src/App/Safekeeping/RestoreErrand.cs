using System.Globalization;
using App.Hosting;
using Ledger;
using Ledger.Safekeeping;

namespace App.Safekeeping;

/// <summary>Puts a copy of the data file back from the command line, after saying what that changes.</summary>
public sealed class RestoreErrand(LanternOptions options, TextReader ask, TextWriter say, TextWriter complain)
{
    private const string Agreed = "yes";

    /// <summary>Does it.</summary>
    /// <returns>Exit code: 0, or 2 when it was refused with a sentence.</returns>
    public async Task<int> RunAsync(Errand errand)
    {
        using var file = new LedgerFile(options.DataFile);
        var backups = new Backups(file);
        if (errand.File is not { } path)
        {
            return await ListAsync(backups);
        }

        // A name from the list will do.
        path = backups.Find(path) is { } named ? backups.PathOf(named) : path;
        if (!file.TryHold())
        {
            return Refuse(LedgerFile.Held);
        }

        try
        {
            var restoring = new Restoring(file);
            await TellAsync(path, await restoring.PreviewAsync(path, CancellationToken.None));
            if (!errand.IsAgreed)
            {
                await say.WriteAsync($"Type {Agreed} to put it back: ");
                if ((await ask.ReadLineAsync())?.Trim() != Agreed)
                {
                    return Refuse("Nothing was changed.");
                }
            }

            var former = await restoring.RestoreAsync(path, DateTimeOffset.UtcNow, CancellationToken.None);
            await say.WriteLineAsync(
                former is null ? "Put back." : $"Put back. What was there before is kept as {former}"
            );
            return 0;
        }
        catch (Exception error) when (error is LedgerFileException || LedgerTrouble.Of(error) is not null)
        {
            return Refuse(LedgerTrouble.Of(error)?.Says ?? error.Message);
        }
    }

    private async Task<int> ListAsync(Backups backups)
    {
        var all = backups.All();
        if (all.Count == 0)
        {
            return Refuse($"Say which file: ./lantern restore FILE. There is no copy in {backups.Folder}.");
        }

        await say.WriteLineAsync($"Copies in {backups.Folder}, the newest first:");
        foreach (var copy in all)
        {
            await say.WriteLineAsync(
                string.Create(CultureInfo.InvariantCulture, $"  {copy.Name}  {copy.Bytes / 1024.0 / 1024:0.0} MB")
            );
        }

        await say.WriteLineAsync("Put one back with ./lantern restore NAME");
        return 0;
    }

    private async Task TellAsync(string path, RestorePreview preview)
    {
        await say.WriteLineAsync($"{Path.GetFileName(path)} holds {Words(preview.Copy)}.");
        if (preview.Now is not { } now)
        {
            await say.WriteLineAsync(
                File.Exists(options.DataFile)
                    ? "The present data file is damaged; it is set aside as it is."
                    : "There is no data file now."
            );
            return;
        }

        await say.WriteLineAsync($"The present data file holds {Words(now)}.");
        await say.WriteLineAsync(
            preview.Lost == 0
                ? "Nothing that is there now would be missing."
                : string.Create(
                    CultureInfo.InvariantCulture,
                    $"{preview.Lost:#,0} entries that are there now would be missing, the first of them written {preview.LostSince?.UtcDateTime:yyyy-MM-dd HH:mm} UTC."
                )
        );
        if (preview.Found > 0)
        {
            await say.WriteLineAsync(
                string.Create(CultureInfo.InvariantCulture, $"{preview.Found:#,0} entries would come back.")
            );
        }
    }

    private static string Words(RoomSums sums) =>
        string.Create(
            CultureInfo.InvariantCulture,
            $"{sums.Entries:#,0} entries of {sums.Animals:#,0} animals and {sums.Pictures:#,0} pictures, the newest written {(sums.Newest is { } at ? at.UtcDateTime.ToString("yyyy-MM-dd HH:mm", CultureInfo.InvariantCulture) + " UTC" : "never")}"
        );

    private int Refuse(string why)
    {
        complain.WriteLine(why);
        return LanternOptions.RefusedExitCode;
    }
}
