using Husbandry.Climate;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Stock;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>What a loaded file added.</summary>
/// <param name="Stock">Animals.</param>
/// <param name="Entries">Entries of the journal.</param>
/// <param name="Readings">Climate readings.</param>
/// <param name="Pictures">Pictures.</param>
/// <param name="Problems">What is wrong with it; then nothing was added.</param>
public sealed record LoadedRoom(int Stock, int Entries, int Readings, int Pictures, IReadOnlyList<Problem> Problems)
{
    /// <summary>Nothing was added, for these reasons.</summary>
    public static LoadedRoom Refused(IReadOnlyList<Problem> problems) => new(0, 0, 0, 0, problems);
}

/// <summary>Brings the contents of a room file into a ledger: all or nothing, and nothing twice.</summary>
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
    /// <summary>Brings a file into the ledger. Entries and readings that are there already are passed over.</summary>
    /// <param name="opened">The file, with its pictures at hand.</param>
    /// <param name="now">When.</param>
    /// <param name="cancel">Cancels; then nothing is added.</param>
    public async Task<LoadedRoom> LoadAsync(OpenRoom opened, DateTimeOffset now, CancellationToken cancel)
    {
        var file = opened.File;
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (await AddRulesAsync(file, now, cancel) is { Count: > 0 } unruly)
        {
            return LoadedRoom.Refused(unruly);
        }

        if (await AddRoomAsync(file, cancel) is { Count: > 0 } unsound)
        {
            return LoadedRoom.Refused(unsound);
        }

        var rules = await rulebook.ReadAsync(cancel);
        var room = Room.At(rules, (await rooms.ReadAsync(cancel)).Settings, now);
        var problems = new List<Problem>();
        using var entries = new EntrySpool(
            RoomFileText.Entries(file, opened.Journal(), room, await TakenAsync(file, cancel), problems),
            room
        );
        if (problems.Count > 0)
        {
            return LoadedRoom.Refused(problems);
        }

        if (await AddSideJournalsAsync(file, room, cancel) is { Count: > 0 } muddled)
        {
            return LoadedRoom.Refused(muddled);
        }

        if (await AddAirAsync(opened, cancel) is { } odd)
        {
            return LoadedRoom.Refused([odd]);
        }

        var readings = await AddClimateAsync(file, cancel);
        var (pictures, torn) = await AddPicturesAsync(opened, cancel);
        if (torn.Count > 0)
        {
            return LoadedRoom.Refused(torn);
        }

        room = room.With(await rulebook.ClimateAsync(cancel));
        var result = await import.ImportAsync(entries, room, cancel);
        if (result.Problems.Count > 0)
        {
            return result;
        }

        await db.SaveChangesAsync(cancel);
        // What was loaded teaches something of all the others, so the whole room is judged anew when it is next opened.
        await db.Rooms.ExecuteUpdateAsync(r => r.SetProperty(x => x.JudgedDay, 0), cancel);
        await transaction.CommitAsync(cancel);
        cache.LetGo();
        return result with { Readings = readings, Pictures = pictures };
    }

    /// <summary>The keeper's own species, feeders and changed rules.</summary>
    private async Task<IReadOnlyList<Problem>> AddRulesAsync(
        RoomFile file,
        DateTimeOffset now,
        CancellationToken cancel
    )
    {
        var wrong = await rulebook.AddSpeciesAsync(file.Species ?? [], replace: true, cancel);
        if (wrong.Count > 0)
        {
            return wrong;
        }

        foreach (var feeder in file.Feeders ?? [])
        {
            wrong = await rulebook.SetFeederAsync(feeder, cancel);
            if (wrong.Count > 0)
            {
                return [.. wrong.Select(p => p with { Field = $"feeders.{p.Field}" })];
            }
        }

        foreach (var change in file.Overrides ?? [])
        {
            if ((await rulebook.SetAsync(change, now, cancel)).Problems is { Count: > 0 } refused)
            {
                return refused;
            }
        }

        return [];
    }

    /// <summary>Settings and furniture.</summary>
    private async Task<IReadOnlyList<Problem>> AddRoomAsync(RoomFile file, CancellationToken cancel)
    {
        if (file.Room?.Problems().ToList() is { Count: > 0 } unsound)
        {
            return [.. unsound.Select(p => p with { Field = $"room.{p.Field}" })];
        }

        if (file.Room is { } settings)
        {
            var former = await rooms.ReadAsync(cancel);
            var rules = await rulebook.ReadAsync(cancel);
            await rooms.WriteAsync(settings, former.Version, rules.Fingerprint, cancel);
        }

        if (file.Layout is { } layout)
        {
            if (layout.Problems().ToList() is { Count: > 0 } crooked)
            {
                return [.. crooked.Select(p => p with { Field = $"layout.{p.Field}" })];
            }

            await rooms.WriteLayoutAsync(layout, (await rooms.LayoutAsync(cancel)).Version, cancel);
        }

        return [];
    }

    /// <summary>Larder, chores, contacts, and what is known of the air.</summary>
    private async Task<IReadOnlyList<Problem>> AddSideJournalsAsync(RoomFile file, Room room, CancellationToken cancel)
    {
        if (RoomFileLarder.Problems(file, room.Rules) is { Count: > 0 } spoilt)
        {
            return spoilt;
        }

        if (RoomFileChores.Problems(file, room) is { Count: > 0 } muddled)
        {
            return muddled;
        }

        return await larder.AddAsync(file.Larder ?? [], cancel) is { Count: > 0 } larderTwice ? larderTwice
            : await chores.AddAsync(file.Chores ?? [], cancel) is { Count: > 0 } choresTwice ? choresTwice
            : await contacts.AddAsync(file.Contacts ?? [], cancel) is { Count: > 0 } strange ? strange
            : await AddSensorsAsync(file, room, cancel);
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

    /// <summary>Pictures, one at a time.</summary>
    private async Task<(int Added, IReadOnlyList<Problem> Problems)> AddPicturesAsync(
        OpenRoom opened,
        CancellationToken cancel
    )
    {
        var stock = opened.File.Stock.Select(s => s.Id).ToHashSet();
        var there = (await db.Pictures.AsNoTracking().Select(p => p.Id).ToListAsync(cancel)).ToHashSet();
        var (added, seen, i) = (0, new HashSet<Guid>(), -1);
        foreach (var (picture, bytes) in opened.Pictures())
        {
            i++;
            if (picture.Problem(seen.Add(picture.Id), stock.Contains(picture.StockId)) is { } odd)
            {
                return (0, [new Problem($"pictures[{i}]", odd)]);
            }

            if (there.Contains(picture.Id))
            {
                continue;
            }

            if (bytes is not { } jpeg)
            {
                return (0, [new Problem($"pictures[{i}]", "The picture itself is missing, damaged or too large.")]);
            }

            if (jpeg is not [0xFF, 0xD8, .., 0xFF, 0xD9])
            {
                return (0, [new Problem($"pictures[{i}]", "Is not a JPEG.")]);
            }

            db.Pictures.Add(
                new PictureRow
                {
                    Id = picture.Id,
                    StockId = picture.StockId,
                    AddedTicks = picture.AddedAt.UtcTicks,
                    Width = picture.Width,
                    Height = picture.Height,
                    Jpeg = jpeg,
                }
            );
            await db.SaveChangesAsync(cancel);
            // Let go of: the next one needs the memory.
            db.ChangeTracker.Clear();
            added++;
        }

        return (added, []);
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
            .Select((d, i) => (Problem: d.Problem(book), Index: i))
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

    private async Task<Problem?> AddAirAsync(OpenRoom opened, CancellationToken cancel)
    {
        await using var table = opened.Air();
        try
        {
            return table is null
                ? null
                : await new AirTable(db).ReadAsync(table, ClimateBook.Fold(opened.File.ClimateNotes ?? []), cancel);
        }
        catch (InvalidDataException error)
        {
            return new Problem(AirTable.Name, $"The archive is damaged: {error.Message}");
        }
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
