using System.Globalization;
using System.Text.Json;

namespace Devices;

/// <summary>A roll of labels.</summary>
/// <param name="FormatId">Format of the labels on it.</param>
/// <param name="Left">Labels left on it.</param>
public sealed record LabelRoll(string FormatId, int Left);

/// <summary>One label that was printed.</summary>
/// <param name="Id">Number of the label, counted from 1 for ever.</param>
/// <param name="Title">What is on it.</param>
/// <param name="FormatId">Format.</param>
/// <param name="PrintedAt">When.</param>
public sealed record PrintedLabel(int Id, string Title, string FormatId, DateTimeOffset PrintedAt);

/// <summary>What came of printing.</summary>
/// <param name="Printed">Labels that were printed; none when the printer refused.</param>
/// <param name="Refusal">Why it refused, for the keeper to read.</param>
public sealed record PrintOutcome(IReadOnlyList<PrintedLabel> Printed, string? Refusal);

/// <summary>
/// A stand-in for a label printer: it holds one roll, prints only what fits on it, runs out, and keeps a picture of all
/// it printed in a folder. Safe for several callers.
/// </summary>
/// <param name="folder">Folder for its memory and its labels; made when first needed.</param>
public sealed class LabelPrinter(string folder)
{
    /// <summary>Labels on a fresh roll.</summary>
    public const int FreshRoll = 250;

    private const int Remembered = 200;

    private readonly Lock door = new();

    private sealed record Memory(LabelRoll? Roll, int Count, IReadOnlyList<PrintedLabel> Printed);

    /// <summary>The roll in it; none before one was put in.</summary>
    public LabelRoll? Roll
    {
        get
        {
            lock (door)
            {
                return Read().Roll;
            }
        }
    }

    /// <summary>The labels printed last, the newest first.</summary>
    public IReadOnlyList<PrintedLabel> Printed
    {
        get
        {
            lock (door)
            {
                return Read().Printed;
            }
        }
    }

    /// <summary>Puts a fresh roll in.</summary>
    public LabelRoll Load(string formatId)
    {
        lock (door)
        {
            var roll = new LabelRoll(formatId, FreshRoll);
            Write(Read() with { Roll = roll });
            return roll;
        }
    }

    /// <summary>Prints labels: all of them, or none with a reason.</summary>
    /// <param name="formatId">Format of the labels.</param>
    /// <param name="labels">Title and PNG picture of each.</param>
    /// <param name="at">When.</param>
    public PrintOutcome Print(string formatId, IReadOnlyList<(string Title, byte[] Png)> labels, DateTimeOffset at)
    {
        lock (door)
        {
            var memory = Read();
            if (memory.Roll is not { } roll)
            {
                return new PrintOutcome([], "There is no roll in the printer.");
            }

            if (roll.FormatId != formatId)
            {
                return new PrintOutcome([], "The roll in the printer is of another size.");
            }

            if (roll.Left < labels.Count)
            {
                return new PrintOutcome(
                    [],
                    string.Create(
                        CultureInfo.InvariantCulture,
                        $"Only {roll.Left} labels are left on the roll, and {labels.Count} are to be printed."
                    )
                );
            }

            var printed = labels
                .Select((l, i) => new PrintedLabel(memory.Count + i + 1, l.Title, formatId, at))
                .ToList();
            Directory.CreateDirectory(folder);
            foreach (var (label, made) in labels.Zip(printed))
            {
                File.WriteAllBytes(PathOf(made.Id), label.Png);
            }

            Write(
                new Memory(
                    roll with
                    {
                        Left = roll.Left - labels.Count,
                    },
                    memory.Count + labels.Count,
                    [.. Enumerable.Reverse(printed), .. memory.Printed.Take(Remembered)]
                )
            );
            return new PrintOutcome(printed, null);
        }
    }

    /// <summary>Picture of a printed label as PNG; none when there is no such.</summary>
    public byte[]? Picture(int id)
    {
        lock (door)
        {
            return File.Exists(PathOf(id)) ? File.ReadAllBytes(PathOf(id)) : null;
        }
    }

    private string PathOf(int id) =>
        Path.Combine(folder, string.Create(CultureInfo.InvariantCulture, $"label-{id}.png"));

    private string MemoryPath => Path.Combine(folder, "printer.json");

    /// <summary>Its memory; one that was lost half-written begins anew after the labels that are there.</summary>
    private Memory Read()
    {
        if (File.Exists(MemoryPath))
        {
            try
            {
                if (JsonSerializer.Deserialize<Memory>(File.ReadAllText(MemoryPath)) is { Printed: not null } memory)
                {
                    return memory;
                }
            }
            catch (JsonException)
            {
                // Whatever it held is lost; what it printed is not.
            }
        }

        return new Memory(
            null,
            Directory.Exists(folder) ? Directory.EnumerateFiles(folder, "label-*.png").Count() : 0,
            []
        );
    }

    private void Write(Memory memory)
    {
        Directory.CreateDirectory(folder);
        // Whole or not at all.
        File.WriteAllText(MemoryPath + ".part", JsonSerializer.Serialize(memory));
        File.Move(MemoryPath + ".part", MemoryPath, overwrite: true);
    }
}
