using System.Globalization;
using App.Access;
using App.Honesty;
using App.Safekeeping;
using Husbandry.Reasons;
using Ledger;
using Ledger.Safekeeping;

namespace App.Hosting;

/// <summary>What the script does without starting the server: copy, put back, check, load, save, backtest.</summary>
public sealed class Errands(LanternOptions options, TextReader ask, TextWriter say, TextWriter complain)
{
    private const int ProblemsSaid = 20;

    /// <summary>Does an errand.</summary>
    /// <returns>Exit code: 0, or 2 when it was refused with a sentence.</returns>
    public Task<int> RunAsync(Errand errand) =>
        errand.What switch
        {
            ErrandKind.BackUp => BackUpAsync(),
            ErrandKind.Restore => new RestoreErrand(options, ask, say, complain).RunAsync(errand),
            ErrandKind.Check => CheckAsync(),
            ErrandKind.Load => LoadAsync(errand.File),
            ErrandKind.Save => SaveAsync(errand.File),
            ErrandKind.Schemas => SchemasAsync(errand.File),
            ErrandKind.Password => PasswordAsync(),
            _ => BacktestAsync(errand.File),
        };

    private async Task<int> BackUpAsync()
    {
        if (!File.Exists(options.DataFile))
        {
            return Refuse($"There is no data file at {options.DataFile} yet.");
        }

        var backups = new Backups(new LedgerFile(options.DataFile));
        try
        {
            var copy = await backups.MakeAsync(BackupReason.ByHand, DateTimeOffset.UtcNow, CancellationToken.None);
            await say.WriteLineAsync($"Copied to {backups.PathOf(copy)}");
            return 0;
        }
        catch (Exception error) when (error is LedgerFileException || LedgerTrouble.Of(error) is not null)
        {
            return Refuse(LedgerTrouble.Of(error)?.Says ?? error.Message);
        }
    }

    /// <summary>Sets the owner's password; it is read from the standard input, so that it stands in no list of commands.</summary>
    private async Task<int> PasswordAsync()
    {
        var password = await ask.ReadLineAsync() ?? "";
        if (Passwords.Problem(password) is { } wrong)
        {
            return Refuse($"The password {char.ToLowerInvariant(wrong[0])}{wrong[1..]}");
        }

        return await InLedgerAsync(
            alone: false,
            async services =>
            {
                var owner = await services
                    .GetRequiredService<People>()
                    .SetOwnerAsync(null, password, DateTimeOffset.UtcNow, CancellationToken.None);
                await say.WriteLineAsync($"Set. Sign in as {owner}. Whoever was signed in must sign in again.");
                return 0;
            }
        );
    }

    private async Task<int> LoadAsync(string? path)
    {
        if (path is null || !File.Exists(path))
        {
            return Refuse(path is null ? "Say which file." : $"There is no file {path}.");
        }

        return await InLedgerAsync(
            alone: true,
            async services =>
            {
                await using var stream = File.OpenRead(path);
                var loaded = await services.GetRequiredService<Keeping>().LoadAsync(stream, CancellationToken.None);
                if (loaded.Problems.Count > 0)
                {
                    return Refuse(loaded.Problems);
                }

                await say.WriteLineAsync(
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"Added {loaded.Stock} animals, {loaded.Entries} entries, {loaded.Pictures} pictures and {loaded.Readings} climate readings."
                    )
                );
                return 0;
            }
        );
    }

    private async Task<int> CheckAsync()
    {
        if (!File.Exists(options.DataFile))
        {
            return Refuse($"There is no data file at {options.DataFile} yet.");
        }

        return await InLedgerAsync(
            alone: false,
            async services =>
            {
                var says = await services.GetRequiredService<Keeping>().CheckAsync(CancellationToken.None);
                foreach (var wrong in says)
                {
                    await complain.WriteLineAsync(wrong);
                }

                if (says.Count > 0)
                {
                    return LanternOptions.RefusedExitCode;
                }

                var sums = await RoomSums.ReadAsync(options.DataFile, CancellationToken.None);
                await say.WriteLineAsync(
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"All is sound: {sums.Entries:#,0} entries of {sums.Animals:#,0} animals and {sums.Pictures:#,0} pictures were read."
                    )
                );
                return 0;
            }
        );
    }

    private async Task<int> SaveAsync(string? path)
    {
        if (path is null)
        {
            return Refuse("Say to which file: ./lantern save FILE");
        }

        if (!File.Exists(options.DataFile))
        {
            return Refuse($"There is no data file at {options.DataFile} yet.");
        }

        if (Path.GetDirectoryName(Path.GetFullPath(path)) is { } folder && !Directory.Exists(folder))
        {
            return Refuse($"There is no folder {folder}.");
        }

        return await InLedgerAsync(
            alone: false,
            async services =>
            {
                await services.GetRequiredService<RoomFileWriter>().WriteAsync(path, CancellationToken.None);
                await say.WriteLineAsync($"Saved to {path}");
                return 0;
            }
        );
    }

    private async Task<int> SchemasAsync(string? folder)
    {
        if (folder is null)
        {
            return Refuse("Say into which folder.");
        }

        Directory.CreateDirectory(folder);
        foreach (var (name, schema) in Schemas.All)
        {
            await File.WriteAllTextAsync(Path.Combine(folder, name), schema);
        }

        return 0;
    }

    private async Task<int> BacktestAsync(string? path)
    {
        if (path is null)
        {
            return !File.Exists(options.DataFile)
                ? Refuse($"There is no data file at {options.DataFile} yet; name a room file: ./lantern backtest FILE")
                : await InLedgerAsync(
                    alone: false,
                    async services =>
                    {
                        var file = await services
                            .GetRequiredService<RoomFileWriter>()
                            .ReadAsync(withPictures: false, CancellationToken.None);
                        return Score(file);
                    }
                );
        }

        return Read(path, out var room) is { } refusal ? refusal : Score(room!);
    }

    private int Score(RoomFile file)
    {
        var (rules, problems) = RoomFileRules.Of(file);
        if (rules is null)
        {
            return Refuse(problems);
        }

        var (result, wrong) = RoomFileRules.Replay(file, rules);
        if (result is null)
        {
            return Refuse(wrong);
        }

        BacktestReport.Write(result, say);
        return 0;
    }

    private int? Read(string? path, out RoomFile? file)
    {
        file = null;
        if (path is null)
        {
            return Refuse("Say which file.");
        }

        if (!File.Exists(path))
        {
            return Refuse($"There is no file {path}.");
        }

        using var stream = File.OpenRead(path);
        var (room, problems) = RoomArchive.Open(stream);
        if (room is null)
        {
            return Refuse(problems);
        }

        using (room)
        {
            file = room.File with { Journal = [.. room.Journal()] };
        }

        return null;
    }

    /// <summary>Opens the ledger for an errand.</summary>
    /// <param name="alone">Whether it changes what a running server holds in memory, and so must be alone with the file.</param>
    /// <param name="work">The errand.</param>
    private async Task<int> InLedgerAsync(bool alone, Func<IServiceProvider, Task<int>> work)
    {
        var services = new ServiceCollection();
        services.AddSingleton(options);
        services.AddSingleton(TimeProvider.System);
        services.AddLedger();
        services.AddScoped<Keeping>();
        await using var provider = services.BuildServiceProvider();
        await using var scope = provider.CreateAsyncScope();
        try
        {
            var file = provider.GetRequiredService<LedgerFile>();
            var db = scope.ServiceProvider.GetRequiredService<LanternDb>();
            if (!file.TryHold() && !alone)
            {
                await LedgerFile.JoinAsync(db, CancellationToken.None);
                return await work(scope.ServiceProvider);
            }

            await file.BringUpToDateAsync(db, DateTimeOffset.UtcNow, CancellationToken.None);
            await scope.ServiceProvider.RebuildIfRulesChangedAsync(DateTimeOffset.UtcNow);
            return await work(scope.ServiceProvider);
        }
        catch (Exception error) when (error is LedgerFileException || LedgerTrouble.Of(error) is not null)
        {
            return Refuse(LedgerTrouble.Of(error)?.Says ?? error.Message);
        }
    }

    private int Refuse(IReadOnlyList<Problem> problems)
    {
        foreach (var problem in problems.Take(ProblemsSaid))
        {
            complain.WriteLine($"{problem.Field}: {problem.Message}");
        }

        if (problems.Count > ProblemsSaid)
        {
            complain.WriteLine($"… and {problems.Count - ProblemsSaid} more.");
        }

        return Refuse("Nothing was changed.");
    }

    private int Refuse(string why)
    {
        complain.WriteLine(why);
        return LanternOptions.RefusedExitCode;
    }
}
