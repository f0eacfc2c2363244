using System.Globalization;
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
    private const int MostProblems = 50;

    private const string Journal = "journal";
    private const string Pictures = "pictures";

    /// <summary>
    /// Reads the text of a room file once through. The lines of its journal and its pictures are checked for their form and let go
    /// of; <see cref="Lines"/> and <see cref="PicturesOf"/> read them again, one at a time.
    /// </summary>
    /// <returns>The file, with an empty journal and pictures that are only named, or what is wrong with its form.</returns>
    public static (RoomFile? File, IReadOnlyList<Problem> Problems) Read(Stream text)
    {
        try
        {
            var (splitter, pictures, lines) = (
                new ListSplitter(text, [Journal, Pictures]),
                new List<RoomFilePicture>(),
                0
            );
            Problem? odd = null;
            while (splitter.Next(out var element))
            {
                if (odd is not null)
                {
                    continue;
                }

                if (element.List == Journal)
                {
                    lines++;
                    odd = Parse<RoomFileEntry>(element).Problem;
                }
                else
                {
                    (var picture, odd) = Parse<RoomFilePicture>(element);
                    pictures.AddRange(picture is null ? [] : [picture with { Jpeg = null }]);
                }
            }

            var file = JsonSerializer.Deserialize<RoomFile>(splitter.Rest, RoomFile.Json);
            return file is null ? (null, [new Problem("file", "It is empty.")])
                : file.Format != RoomFile.FormatName
                    ? (null, [new Problem("format", $"Must be \"{RoomFile.FormatName}\".")])
                : file.Version != RoomFile.CurrentVersion
                    ? (null, [new Problem("version", $"Must be {RoomFile.CurrentVersion}.")])
                : lines > MostEntries ? (null, [new Problem(Journal, $"At most {MostEntries} entries.")])
                : odd is not null ? (null, [odd])
                : (file with { Pictures = file.Pictures is null ? null : pictures }, []);
        }
        catch (Exception error) when (error is JsonException or NotSupportedException)
        {
            var at = error is JsonException json ? json.Path ?? "$" : "file";
            return (null, [new Problem(at, error.Message)]);
        }
    }

    /// <summary>The lines of a journal, one at a time.</summary>
    /// <param name="text">A text that <see cref="Read"/> found in order, from its beginning.</param>
    /// <exception cref="JsonException">It is in order no more.</exception>
    public static IEnumerable<RoomFileEntry> Lines(Stream text) => Elements<RoomFileEntry>(text, Journal);

    /// <summary>The pictures of a file, one at a time.</summary>
    /// <inheritdoc cref="Lines"/>
    public static IEnumerable<RoomFilePicture> PicturesOf(Stream text) => Elements<RoomFilePicture>(text, Pictures);

    private static IEnumerable<T> Elements<T>(Stream text, string list)
        where T : class
    {
        var splitter = new ListSplitter(text, [Journal, Pictures]);
        while (splitter.Next(out var element))
        {
            if (element.List == list)
            {
                var (read, problem) = Parse<T>(element);
                yield return read ?? throw new JsonException(problem!.Message, problem.Field, null, null);
            }
        }
    }

    private static (T? Read, Problem? Problem) Parse<T>(ListElement element)
        where T : class
    {
        var at = string.Create(CultureInfo.InvariantCulture, $"$.{element.List}[{element.Index}]");
        try
        {
            return JsonSerializer.Deserialize<T>(element.Json.Span, RoomFile.Json) is { } read
                ? (read, null)
                : (null, new Problem(at, "Is missing."));
        }
        catch (Exception error) when (error is JsonException or NotSupportedException)
        {
            var within = (error as JsonException)?.Path?.TrimStart('$');
            // Where it is counts from the beginning of the element there, and would lead astray.
            return (null, new Problem(at + within, error.Message.Split(" Path: $")[0]));
        }
    }

    /// <summary>The entries of a file as the journal takes them, one at a time.</summary>
    /// <param name="file">The file.</param>
    /// <param name="lines">The lines of its journal.</param>
    /// <param name="room">The room.</param>
    /// <param name="taken">Places that are taken in it.</param>
    /// <param name="problems">What is wrong with them is added here as they are read; at the fiftieth nothing more is.</param>
    public static IEnumerable<(Guid StockId, NewEntry Entry)> Entries(
        RoomFile file,
        IEnumerable<RoomFileEntry> lines,
        Room room,
        IReadOnlySet<Place> taken,
        List<Problem> problems
    )
    {
        var places = new FreePlaces(taken, file.Stock);
        var known = new HashSet<Guid>();
        foreach (var (stock, i) in file.Stock.Select((s, i) => (s, i)))
        {
            if (stock is null || !known.Add(stock.Id))
            {
                problems.Add(new Problem($"stock[{i}]", stock is null ? "Is missing." : "This id is given twice."));
                continue;
            }

            var at = stock.AcquiredAt ?? room.Clock.StartOf(stock.AcquiredOn);
            var act = new Acquired(stock.Details(), stock.Place ?? places.Next());
            var entryId = stock.EntryId ?? DerivedId.Of(stock.Id, "acquired");
            yield return (
                stock.Id,
                new NewEntry(entryId, Occurrence.At(at), null, act, stock.WrittenAt ?? at, stock.WrittenBy)
            );
        }

        problems.AddRange(
            (file.Climate ?? [])
                .Select((c, i) => (c, i))
                .Where(x => x.c is null || x.c.Problem is not null)
                .Select(x => new Problem($"climate[{x.i}]", x.c?.Problem ?? "Is missing."))
        );
        foreach (var (line, i) in lines.Select((e, i) => (e, i)))
        {
            if (problems.Count >= MostProblems)
            {
                yield break;
            }

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
                yield return (line.StockId, Entry(line, room));
            }
        }
    }

    private static NewEntry Entry(RoomFileEntry line, Room room)
    {
        var to = line.At ?? room.Clock.EveningOf(line.Night!.Value);
        var when = new Occurrence(line.From ?? to, to);
        return new NewEntry(
            line.Id,
            when,
            line.Supersedes,
            line.Act,
            line.WrittenAt ?? to,
            line.WrittenBy,
            line.Against
        );
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
