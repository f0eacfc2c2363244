using System.Globalization;
using System.Text.RegularExpressions;
using Microsoft.Data.Sqlite;

namespace Ledger.Safekeeping;

/// <summary>Why a copy was made.</summary>
public enum BackupReason
{
    /// <summary>Once a night, by itself.</summary>
    Nightly,

    /// <summary>Because the keeper asked for it.</summary>
    ByHand,

    /// <summary>Before the form of the file was changed.</summary>
    BeforeUpdate,

    /// <summary>Before a file was loaded.</summary>
    BeforeLoad,

    /// <summary>Before a copy was put back.</summary>
    BeforeRestore,
}

/// <summary>A copy of the data file.</summary>
/// <param name="Name">Name of the file in the backups folder.</param>
/// <param name="At">When it was made, to the second.</param>
/// <param name="Reason">Why.</param>
/// <param name="Bytes">Its size.</param>
public sealed record Backup(string Name, DateTimeOffset At, BackupReason Reason, long Bytes);

/// <summary>
/// The copies of the data file. One is written under a temporary name, checked, brought to the disk and only then given its
/// name: whatever has the name of a copy is one. A sound copy is never overwritten.
/// </summary>
/// <param name="file">The data file.</param>
public sealed partial class Backups(LedgerFile file)
{
    private const string Unfinished = ".part";
    private const string Stamp = "yyyyMMdd-HHmmss";

    private static readonly Dictionary<string, BackupReason> Reasons = new(StringComparer.Ordinal)
    {
        ["nightly"] = BackupReason.Nightly,
        ["by-hand"] = BackupReason.ByHand,
        ["before-update"] = BackupReason.BeforeUpdate,
        ["before-load"] = BackupReason.BeforeLoad,
        ["before-restore"] = BackupReason.BeforeRestore,
    };

    /// <summary>Folder of the copies.</summary>
    public string Folder => file.BackupFolder;

    /// <summary>The copies, the newest first.</summary>
    public IReadOnlyList<Backup> All() =>
        Directory.Exists(Folder)
            ?
            [
                .. new DirectoryInfo(Folder)
                    .EnumerateFiles("*.db")
                    .Select(Read)
                    .OfType<Backup>()
                    .OrderByDescending(b => b.At)
                    .ThenByDescending(b => b.Name.Length)
                    .ThenByDescending(b => b.Name, StringComparer.Ordinal),
            ]
            : [];

    /// <summary>A copy by its name; none when there is none of that name in the folder.</summary>
    public Backup? Find(string name) => All().FirstOrDefault(b => b.Name == name);

    /// <summary>Path of a copy.</summary>
    public string PathOf(Backup copy) => Path.Combine(Folder, copy.Name);

    /// <summary>Copies the file while it is in use, without disturbing it.</summary>
    /// <param name="reason">Why.</param>
    /// <param name="now">When.</param>
    /// <param name="cancel">Cancels; then nothing is left behind.</param>
    /// <exception cref="LedgerFileException">What was copied is damaged; the copy is thrown away.</exception>
    /// <exception cref="SqliteException">The disk is full, or cannot be written; <see cref="LedgerTrouble"/> says so in words.</exception>
    public async Task<Backup> MakeAsync(BackupReason reason, DateTimeOffset now, CancellationToken cancel)
    {
        OwnersOnly.Folder(Folder);
        var word = Reasons.First(r => r.Value == reason).Key;
        var begun =
            $"{Path.GetFileNameWithoutExtension(file.Path)}-{now.UtcDateTime.ToString(Stamp, CultureInfo.InvariantCulture)}-{word}";
        var unfinished = Path.Combine(Folder, begun + Unfinished);
        try
        {
            await Task.Run(() => Copy(unfinished), cancel);
            if (await FileCheck.QuickAsync(unfinished, cancel) is { Count: > 0 } wrong)
            {
                throw new LedgerFileException(
                    $"No copy was made: the data file is damaged ({wrong[0]}). Copies of before are untouched."
                );
            }

            await using (var written = new FileStream(unfinished, FileMode.Open, FileAccess.ReadWrite))
            {
                written.Flush(flushToDisk: true);
            }

            OwnersOnly.File(unfinished);
            return Read(new FileInfo(Name(unfinished, begun)))!;
        }
        finally
        {
            Clear(unfinished);
        }
    }

    /// <summary>
    /// Lets go of nightly copies that are no longer needed: the newest of each of the last seven days, four weeks and twelve
    /// months are kept, and ten of each kind that was made before a change. What was copied by hand stays.
    /// </summary>
    /// <returns>How many were removed.</returns>
    /// <remarks>Source: a usual scheme of grandfather, father and son; common practice, no published source.</remarks>
    public int Prune()
    {
        var all = All();
        var nightly = all.Where(b => b.Reason == BackupReason.Nightly).ToList();
        var kept = Newest(nightly, b => b.At.UtcDateTime.Date, Days)
            .Concat(Newest(nightly, b => Week(b.At), Weeks))
            .Concat(Newest(nightly, b => (b.At.Year, b.At.Month), Months))
            .Concat(all.Where(b => b.Reason == BackupReason.ByHand))
            .Concat(
                all.Where(b => b.Reason is not (BackupReason.Nightly or BackupReason.ByHand))
                    .GroupBy(b => b.Reason)
                    .SelectMany(g => g.Take(BeforeChanges))
            )
            .Select(b => b.Name)
            .ToHashSet();
        var gone = all.Where(b => !kept.Contains(b.Name)).ToList();
        foreach (var copy in gone)
        {
            File.Delete(PathOf(copy));
        }

        return gone.Count;
    }

    /// <summary>Takes away what a copy that was cut short has left.</summary>
    public void ClearUnfinished()
    {
        if (Directory.Exists(Folder))
        {
            foreach (var left in Directory.EnumerateFiles(Folder, "*" + Unfinished + "*"))
            {
                File.Delete(left);
            }
        }
    }

    private const int Days = 7;
    private const int Weeks = 4;
    private const int Months = 12;
    private const int BeforeChanges = 10;

    private static IEnumerable<Backup> Newest<TKey>(IEnumerable<Backup> copies, Func<Backup, TKey> of, int most) =>
        copies.GroupBy(of).Select(g => g.MaxBy(b => b.At)!).OrderByDescending(b => b.At).Take(most);

    private static (int Year, int Week) Week(DateTimeOffset at) =>
        (ISOWeek.GetYear(at.UtcDateTime), ISOWeek.GetWeekOfYear(at.UtcDateTime));

    private void Copy(string to)
    {
        Clear(to);
        using var source = new SqliteConnection(
            new SqliteConnectionStringBuilder { DataSource = file.Path, Pooling = false }.ToString()
        );
        source.Open();
        using var copy = new SqliteConnection($"Data Source={to};Pooling=False");
        copy.Open();
        source.BackupDatabase(copy);
        // One file, with no log beside it that could be forgotten.
        using var command = copy.CreateCommand();
        command.CommandText = "PRAGMA journal_mode=DELETE";
        command.ExecuteNonQuery();
    }

    /// <summary>Gives a finished copy its name; another of the same second gets a number.</summary>
    private string Name(string unfinished, string begun)
    {
        for (var n = 1; ; n++)
        {
            var path = Path.Combine(Folder, n == 1 ? $"{begun}.db" : $"{begun}-{n}.db");
            if (!File.Exists(path))
            {
                File.Move(unfinished, path);
                return path;
            }
        }
    }

    private static void Clear(string unfinished)
    {
        foreach (var part in new[] { "", "-journal", "-wal", "-shm" })
        {
            File.Delete(unfinished + part);
        }
    }

    private static Backup? Read(FileInfo found) =>
        NamePattern().Match(found.Name) is { Success: true } name
        && Reasons.TryGetValue(name.Groups[2].Value, out var reason)
        && DateTime.TryParseExact(
            name.Groups[1].Value,
            Stamp,
            CultureInfo.InvariantCulture,
            DateTimeStyles.AssumeUniversal | DateTimeStyles.AdjustToUniversal,
            out var at
        )
            ? new Backup(found.Name, new DateTimeOffset(at, TimeSpan.Zero), reason, found.Length)
            : null;

    [GeneratedRegex(@"-(\d{8}-\d{6})-([a-z]+(?:-[a-z]+)?)(?:-\d+)?\.db$")]
    private static partial Regex NamePattern();
}
