using System.Text.Json;
using Husbandry.Climate;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Stock;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>What a loaded file added.</summary>
public sealed record LoadedRoom(int Stock, int Entries, int Readings, IReadOnlyList<Problem> Problems);

/// <summary>Reads a room file's text, and brings its contents into a ledger: all or nothing, and nothing twice.</summary>
public sealed class RoomFileLoader(
    LanternDb db,
    RoomStore rooms,
    JournalImport import,
    RulebookStore rulebook,
    LarderStore larder,
    ChoreStore chores,
    ContactStore contacts,
    ClimateStore air,
    SensorStore sensors,
    RoomCache cache
)
{
    // Far more than any room, and a guard against a wrong file.
    private const int MostEntries = 5_000_000;

    /// <summary>Reads the text of a room file.</summary>
    /// <returns>The file, or what is wrong with its form.</returns>
    public static (RoomFile? File, IReadOnlyList<Problem> Problems) Read(Stream text)
    {
        try
        {
            var file = JsonSerializer.Deserialize<RoomFile>(text, RoomFile.Json);
            return file is null ? (null, [new Problem("file", "It is empty.")])
                : file.Format != RoomFile.FormatName
                    ? (null, [new Problem("format", $"Must be \"{RoomFile.FormatName}\".")])
                : file.Version != RoomFile.CurrentVersion
                    ? (null, [new Problem("version", $"Must be {RoomFile.CurrentVersion}.")])
                : file.Journal.Count > MostEntries ? (null, [new Problem("journal", $"At most {MostEntries} entries.")])
                : (file, []);
        }
        catch (Exception error) when (error is JsonException or NotSupportedException)
        {
            var at = error is JsonException json ? json.Path ?? "file" : "file";
            return (null, [new Problem(at, error.Message)]);
        }
    }

    /// <summary>The entries of a file as the journal takes them, or what is wrong with them.</summary>
    public static (IReadOnlyList<(Guid StockId, NewEntry Entry)> Entries, IReadOnlyList<Problem> Problems) Entries(
        RoomFile file,
        Room room,
        IReadOnlySet<Place>? taken = null
    )
    {
        var problems = new List<Problem>();
        var places = new FreePlaces(taken ?? new HashSet<Place>(), file.Stock);
        var entries = new List<(Guid, NewEntry)>(file.Stock.Count + file.Journal.Count);
        var known = new HashSet<Guid>();
        foreach (var (stock, i) in file.Stock.Select((s, i) => (s, i)))
        {
            if (stock is null || !known.Add(stock.Id))
            {
                problems.Add(new Problem($"stock[{i}]", stock is null ? "Is missing." : "This id is given twice."));
                continue;
            }

            var at = stock.AcquiredAt ?? room.Clock.StartOf(stock.AcquiredOn);
            var place = stock.Place ?? places.Next();
            var act = new Acquired(stock.Details(), place);
            var entryId = stock.EntryId ?? DerivedId.Of(stock.Id, "acquired");
            entries.Add(
                (stock.Id, new NewEntry(entryId, Occurrence.At(at), null, act, stock.WrittenAt ?? at, stock.WrittenBy))
            );
        }

        foreach (var (line, i) in file.Journal.Select((e, i) => (e, i)))
        {
            if (line is null || !known.Contains(line.StockId))
            {
                problems.Add(new Problem($"journal[{i}].stockId", "No such animal in stock."));
            }
            else if (line.At is null && line.Night is null)
            {
                problems.Add(new Problem($"journal[{i}].at", "Say when: give at or night."));
            }
            else
            {
                var to = line.At ?? room.Clock.EveningOf(line.Night!.Value);
                var when = new Occurrence(line.From ?? to, to);
                entries.Add(
                    (
                        line.StockId,
                        new NewEntry(
                            line.Id,
                            when,
                            line.Supersedes,
                            line.Act,
                            line.WrittenAt ?? to,
                            line.WrittenBy,
                            line.Against
                        )
                    )
                );
            }
        }

        problems.AddRange(
            (file.Climate ?? [])
                .Select((c, i) => (c, i))
                .Where(x => x.c is null || x.c.Problem is not null)
                .Select(x => new Problem($"climate[{x.i}]", x.c?.Problem ?? "Is missing."))
        );
        return (entries, problems);
    }

    /// <summary>Brings a file into the ledger. Entries and readings that are there already are passed over.</summary>
    public async Task<LoadedRoom> LoadAsync(RoomFile file, DateTimeOffset now, CancellationToken cancel)
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var wrong = await rulebook.AddSpeciesAsync(file.Species ?? [], replace: true, cancel);
        if (wrong.Count > 0)
        {
            return new LoadedRoom(0, 0, 0, wrong);
        }

        foreach (var feeder in file.Feeders ?? [])
        {
            if (feeder is null)
            {
                return new LoadedRoom(0, 0, 0, [new Problem("feeders", "One of them is missing.")]);
            }

            wrong = await rulebook.SetFeederAsync(feeder, cancel);
            if (wrong.Count > 0)
            {
                return new LoadedRoom(0, 0, 0, [.. wrong.Select(p => p with { Field = $"feeders.{p.Field}" })]);
            }
        }

        foreach (var change in file.Overrides ?? [])
        {
            if ((await rulebook.SetAsync(change, now, cancel)).Problems is { Count: > 0 } refused)
            {
                return new LoadedRoom(0, 0, 0, refused);
            }
        }

        if (file.Room?.Problems().ToList() is { Count: > 0 } unsound)
        {
            return new LoadedRoom(0, 0, 0, [.. unsound.Select(p => p with { Field = $"room.{p.Field}" })]);
        }

        var former = await rooms.ReadAsync(cancel);
        var settings = file.Room ?? former.Settings;
        var rules = await rulebook.ReadAsync(cancel);
        if (file.Room is not null)
        {
            await rooms.WriteAsync(settings, former.Version, rules.Fingerprint, cancel);
        }

        if (file.Layout is { } layout)
        {
            if (layout.Problems().ToList() is { Count: > 0 } crooked)
            {
                return new LoadedRoom(0, 0, 0, [.. crooked.Select(p => p with { Field = $"layout.{p.Field}" })]);
            }

            await rooms.WriteLayoutAsync(layout, (await rooms.LayoutAsync(cancel)).Version, cancel);
        }

        var room = Room.At(rules, settings, now);
        var (entries, problems) = Entries(file, room, await TakenAsync(file, cancel));
        if (problems.Count > 0)
        {
            return new LoadedRoom(0, 0, 0, problems);
        }

        if (RoomFileLarder.Problems(file, rules) is { Count: > 0 } spoilt)
        {
            return new LoadedRoom(0, 0, 0, spoilt);
        }

        if (RoomFileChores.Problems(file, room) is { Count: > 0 } muddled)
        {
            return new LoadedRoom(0, 0, 0, muddled);
        }

        await larder.AddAsync(file.Larder ?? [], cancel);
        await chores.AddAsync(file.Chores ?? [], cancel);
        if (await contacts.AddAsync(file.Contacts ?? [], cancel) is { Count: > 0 } strange)
        {
            return new LoadedRoom(0, 0, 0, strange);
        }

        if (await AddSensorsAsync(file, room, cancel) is { Count: > 0 } unheard)
        {
            return new LoadedRoom(0, 0, 0, unheard);
        }

        var readings = await AddClimateAsync(file, cancel);
        await AddPicturesAsync(file, cancel);
        room = room.With(await rulebook.ClimateAsync(cancel));
        var result = await import.ImportAsync(entries, room, cancel);
        if (result.Problems.Count > 0)
        {
            return result with { Readings = 0 };
        }

        await db.SaveChangesAsync(cancel);
        // What was loaded teaches something of all the others, so the whole room is judged anew when it is next opened.
        await db.Rooms.ExecuteUpdateAsync(r => r.SetProperty(x => x.JudgedDay, 0), cancel);
        await transaction.CommitAsync(cancel);
        cache.LetGo();
        return result with { Readings = readings };
    }

    /// <summary>Places of enclosures that are in the room already and not in the file.</summary>
    private async Task<HashSet<Place>> TakenAsync(RoomFile file, CancellationToken cancel)
    {
        var inFile = file.Stock.Where(s => s is not null).Select(s => s.Id).ToHashSet();
        var rows = await db
            .Standings.AsNoTracking()
            .Where(s => s.Here && (s.TankId == null || s.TankId == s.StockId))
            .Select(s => new
            {
                s.StockId,
                s.Rack,
                s.Shelf,
                s.Slot,
            })
            .ToListAsync(cancel);
        return [.. rows.Where(r => !inFile.Contains(r.StockId)).Select(r => new Place(r.Rack, r.Shelf, r.Slot))];
    }

    /// <summary>Hands out places of rack Z to stock of which the file does not say where it stands.</summary>
    private sealed class FreePlaces(IReadOnlySet<Place> taken, IReadOnlyList<RoomFileStock> stock)
    {
        private const int Slots = 999;

        private readonly HashSet<Place> used = [.. taken, .. stock.Select(s => s?.Place).OfType<Place>()];
        private int next;

        public Place Next()
        {
            Place place;
            do
            {
                place = new Place("Z", 1 + (next / Slots), 1 + (next % Slots));
                next++;
            } while (!used.Add(place));

            return place;
        }
    }

    private async Task AddPicturesAsync(RoomFile file, CancellationToken cancel)
    {
        foreach (var picture in file.Pictures ?? [])
        {
            if (!await db.Pictures.AnyAsync(p => p.Id == picture.Id, cancel))
            {
                db.Pictures.Add(
                    new PictureRow
                    {
                        Id = picture.Id,
                        StockId = picture.StockId,
                        AddedTicks = picture.AddedAt.UtcTicks,
                        Width = picture.Width,
                        Height = picture.Height,
                        Jpeg = picture.Jpeg,
                    }
                );
            }
        }

        await db.SaveChangesAsync(cancel);
    }

    private async Task<IReadOnlyList<Problem>> AddSensorsAsync(RoomFile file, Room room, CancellationToken cancel)
    {
        var notes = file.ClimateNotes ?? [];
        if (await air.AddAsync(notes, room, cancel) is { Count: > 0 } problems)
        {
            return problems;
        }

        var book = ClimateBook.Fold(notes);
        var wrong = (file.SensorDays ?? [])
            .Select((d, i) => (Problem: d is null ? "Is missing." : d.Problem(book), Index: i))
            .Where(x => x.Problem is not null)
            .Select(x => new Problem($"sensorDays[{x.Index}]", x.Problem!))
            .ToList();
        if (wrong.Count == 0)
        {
            await db.SaveChangesAsync(cancel);
            await sensors.AddDaysAsync(file.SensorDays ?? [], cancel);
        }

        return wrong;
    }

    private async Task<int> AddClimateAsync(RoomFile file, CancellationToken cancel)
    {
        if (file.Climate is not { Count: > 0 } readings)
        {
            return 0;
        }

        var known = await db.Climate.AsNoTracking().Select(c => new { c.Zone, c.Ticks }).ToListAsync(cancel);
        var seen = known.Select(k => (k.Zone, k.Ticks)).ToHashSet();
        var added = readings.Where(r => seen.Add((r.Zone, r.At.UtcTicks))).ToList();
        db.Climate.AddRange(
            added.Select(r => new ClimateRow
            {
                Ticks = r.At.UtcTicks,
                Zone = r.Zone,
                TemperatureC = r.TemperatureC,
                RelativeHumidity = r.RelativeHumidity,
            })
        );
        return added.Count;
    }
}
