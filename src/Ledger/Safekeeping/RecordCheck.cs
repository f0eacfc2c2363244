using System.Globalization;
using System.Text.Json;
using Husbandry.Journal;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Safekeeping;

/// <summary>Looks through the whole record: pages, entries, and whether what is shown follows from what was written.</summary>
/// <param name="file">The data file.</param>
/// <param name="db">The same, open.</param>
public sealed class RecordCheck(LedgerFile file, LanternDb db)
{
    private const int MostNamed = 5;

    /// <summary>What was found, a sentence for each thing; empty when all is as it must be.</summary>
    public async Task<IReadOnlyList<string>> RunAsync(CancellationToken cancel)
    {
        var says = new List<string>();
        if (await FileCheck.WholeAsync(file.Path, cancel) is { Count: > 0 } wrong)
        {
            says.Add(
                $"The file is damaged: {string.Join("; ", wrong.Take(MostNamed))}. Put the newest sound copy back with ./lantern restore."
            );
            return says;
        }

        var (unreadable, standings) = await FoldAsync(cancel);
        if (unreadable.Count > 0)
        {
            says.Add(
                $"{Count(unreadable.Count, "entry", "entries")} of the journal cannot be read, and {(unreadable.Count == 1 ? "its animal is" : "their animals are")} not judged: number {string.Join(", ", unreadable.Take(MostNamed))}. Put a copy back in which they are whole."
            );
        }

        var apart = 0;
        await foreach (var row in db.Standings.AsNoTracking().AsAsyncEnumerable().WithCancellation(cancel))
        {
            if (!standings.TryGetValue(row.StockId, out var folded) || folded != Hash(row.State))
            {
                apart++;
            }
        }

        if (apart > 0)
        {
            says.Add(
                $"What is shown of {Count(apart, "animal", "animals")} does not follow from {(apart == 1 ? "its" : "their")} journal: it is put together anew at the next start."
            );
        }

        if (await BrokenPicturesAsync(cancel) is { Count: > 0 } pictures)
        {
            says.Add(
                $"{Count(pictures.Count, "picture", "pictures")} cannot be read: {string.Join(", ", pictures.Take(MostNamed))}."
            );
        }

        return says;
    }

    private static string Count(int count, string one, string many) =>
        string.Create(CultureInfo.InvariantCulture, $"{count:#,0} {(count == 1 ? one : many)}");

    private static int Hash(string state) => string.GetHashCode(state, StringComparison.Ordinal);

    /// <summary>Entries that cannot be read, by number, and of every animal the hash of what its journal comes to.</summary>
    private async Task<(List<long> Unreadable, Dictionary<Guid, int> Standings)> FoldAsync(CancellationToken cancel)
    {
        var unreadable = new List<long>();
        var standings = new Dictionary<Guid, int>();
        var life = new List<JournalEntry>();
        void Close()
        {
            if (Standing.Fold(life) is { } standing)
            {
                standings[standing.StockId] = Hash(LedgerJson.Write(standing));
            }

            life.Clear();
        }

        var rows = db.Entries.AsNoTracking().OrderBy(e => e.StockId).ThenBy(e => e.Sequence).AsAsyncEnumerable();
        await foreach (var row in rows.WithCancellation(cancel))
        {
            if (life.Count > 0 && life[0].StockId != row.StockId)
            {
                Close();
            }

            try
            {
                life.Add(Rows.ToEntry(row));
            }
            catch (JsonException)
            {
                unreadable.Add(row.Sequence);
            }
        }

        Close();
        return (unreadable, standings);
    }

    /// <summary>Pictures that do not begin and end as a JPEG does.</summary>
    /// <remarks>Source: ITU-T T.81, markers SOI and EOI.</remarks>
    private async Task<List<Guid>> BrokenPicturesAsync(CancellationToken cancel)
    {
        var broken = new List<Guid>();
        await foreach (var picture in db.Pictures.AsNoTracking().AsAsyncEnumerable().WithCancellation(cancel))
        {
            if (picture.Jpeg is not [0xFF, 0xD8, .., 0xFF, 0xD9])
            {
                broken.Add(picture.Id);
            }
        }

        return broken;
    }
}
