using System.Collections;
using System.Text.Json;
using Husbandry.Journal;
using Husbandry.Records;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Writes a whole room as a room file.</summary>
public sealed class RoomFileWriter(
    LanternDb db,
    RoomStore rooms,
    RulebookStore rulebook,
    LarderStore larder,
    ChoreStore chores,
    ContactStore contacts,
    ClimateStore air,
    SensorStore sensors
)
{
    /// <summary>The room as a file. Its journal and its pictures are read each time they are walked through, as long as the room is open.</summary>
    /// <param name="withPictures">Whether the pictures themselves stand in it; else they are only named.</param>
    /// <param name="cancel">Cancels.</param>
    public async Task<RoomFile> ReadAsync(bool withPictures, CancellationToken cancel)
    {
        // What is written meanwhile is not in it, neither an animal without its entries nor the other way round.
        var latest = await db.LatestSequenceAsync(cancel);
        var entries = db.Entries.AsNoTracking().Where(e => e.Sequence <= latest).OrderBy(e => e.Sequence);
        var came = await entries.Where(e => e.Act.Contains("\"acquired\"")).ToListAsync(cancel);
        var climate = await db.Climate.AsNoTracking().OrderBy(c => c.Ticks).ThenBy(c => c.Zone).ToListAsync(cancel);
        return new RoomFile(
            RoomFile.FormatName,
            RoomFile.CurrentVersion,
            (await rooms.ReadAsync(cancel)).Settings,
            [.. came.Select(Rows.ToEntry).Where(e => e.Act is Acquired).Select(Stock)],
            new ReadAsWalked<RoomFileEntry>(() =>
                entries.AsEnumerable().Select(Rows.ToEntry).Where(e => e.Act is not Acquired).Select(Line)
            ),
            [.. climate.Select(RulebookStore.Reading)],
            await rulebook.SpeciesAsync(cancel),
            await rulebook.OverridesAsync(cancel),
            new ReadAsWalked<RoomFilePicture>(() => Pictures(withPictures)),
            await rulebook.FeedersAsync(cancel),
            await larder.ReadAsync(cancel),
            (await rooms.LayoutAsync(cancel)) is { Version: > 0 } kept ? kept.Layout : null,
            await chores.ReadAsync(cancel),
            await contacts.ReadAsync(cancel),
            await air.ReadAsync(cancel),
            await SensorDaysAsync(cancel)
        );
    }

    private IEnumerable<RoomFilePicture> Pictures(bool themselves) =>
        db
            .Pictures.AsNoTracking()
            .OrderBy(p => p.AddedTicks)
            .Select(p => new
            {
                p.Id,
                p.StockId,
                p.AddedTicks,
                p.Width,
                p.Height,
                Jpeg = themselves ? p.Jpeg : null,
            })
            .AsEnumerable()
            .Select(p => new RoomFilePicture(
                p.Id,
                p.StockId,
                new DateTimeOffset(p.AddedTicks, TimeSpan.Zero),
                p.Width,
                p.Height,
                p.Jpeg
            ));

    private async Task<IReadOnlyList<RoomFileSensorDay>> SensorDaysAsync(CancellationToken cancel)
    {
        var days = await sensors.DaysAsync(DateTimeOffset.UnixEpoch, DateTimeOffset.MaxValue, cancel);
        return
        [
            .. days.OrderBy(d => d.Key)
                .SelectMany(of =>
                    of.Value.Select(d => new RoomFileSensorDay(
                        of.Key,
                        DateOnly.FromDateTime(d.From.UtcDateTime),
                        d.Count,
                        d.MinC,
                        d.MeanC,
                        d.MaxC,
                        d.MinHumidity,
                        d.MeanHumidity,
                        d.MaxHumidity
                    ))
                ),
        ];
    }

    /// <summary>Writes the room to a file, whole or not at all: an archive with its pictures where the name ends so, else one JSON.</summary>
    public async Task WriteAsync(string path, CancellationToken cancel)
    {
        if (Path.GetExtension(path).Equals(".zip", StringComparison.OrdinalIgnoreCase))
        {
            await RoomArchive.WriteAsync(db, await ReadAsync(withPictures: false, cancel), path, cancel);
            return;
        }

        var file = await ReadAsync(withPictures: true, cancel);
        var beside = path + ".part";
        try
        {
            await using (var stream = File.Create(beside))
            {
                await JsonSerializer.SerializeAsync(stream, file, RoomFile.Json, cancel);
            }

            File.Move(beside, path, overwrite: true);
        }
        finally
        {
            File.Delete(beside);
        }
    }

    private static RoomFileStock Stock(JournalEntry entry) =>
        RoomFileStock.Of(entry.StockId, (Acquired)entry.Act, entry.Id, entry.When.To) with
        {
            WrittenAt = entry.WrittenAt,
            WrittenBy = entry.WrittenBy,
        };

    private static RoomFileEntry Line(JournalEntry entry) =>
        new(
            entry.Id,
            entry.StockId,
            entry.Act,
            entry.When.To,
            null,
            entry.When.From == entry.When.To ? null : entry.When.From,
            entry.WrittenAt,
            entry.WrittenBy,
            entry.Supersedes,
            entry.Against
        );
}

/// <summary>A list that is read anew each time it is walked through, and never held.</summary>
internal sealed class ReadAsWalked<T>(Func<IEnumerable<T>> read) : IReadOnlyList<T>
{
    /// <inheritdoc/>
    public int Count => read().Count();

    /// <inheritdoc/>
    public T this[int index] => read().ElementAt(index);

    /// <inheritdoc/>
    public IEnumerator<T> GetEnumerator() => read().GetEnumerator();

    IEnumerator IEnumerable.GetEnumerator() => GetEnumerator();
}
