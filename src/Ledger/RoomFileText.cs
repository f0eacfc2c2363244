using System.Text.Json;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Stock;

namespace Ledger;

/// <summary>Reads the text of a room file, and what it holds as the journal takes it; no ledger is needed for it.</summary>
public static class RoomFileText
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
        var hands = new Dictionary<string, string>(StringComparer.Ordinal);
        // The same few names stand in every line.
        string? Hand(string? name) =>
            name is null ? null
            : hands.TryGetValue(name, out var same) ? same
            : hands[name] = name;
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
                            Hand(line.WrittenBy),
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
}
