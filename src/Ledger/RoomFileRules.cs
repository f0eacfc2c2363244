using Husbandry.Climate;
using Husbandry.Honesty;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Ledger;

/// <summary>Works on a room file alone, without a ledger: its rules, its journal, its replay.</summary>
public static class RoomFileRules
{
    /// <summary>The shipped rulebook with the file's own species and changed rules.</summary>
    public static (RuleSet? Rules, IReadOnlyList<Problem> Problems) Of(RoomFile file)
    {
        var documents = (file.Species ?? [])
            .Select(RuleSet.Document)
            .Concat((file.Feeders ?? []).Select(RuleSet.Document))
            .ToList();
        var reading =
            documents.Count == 0
                ? new RuleSetReading(RuleSet.Shipped, [])
                : RuleSet.Read([.. RuleSet.ShippedDocuments(), .. documents]);
        if (reading.Rules is not null && file.Overrides is { Count: > 0 } overrides)
        {
            reading = reading.Rules.With(overrides);
        }

        return (reading.Rules, reading.Problems);
    }

    /// <summary>Replays the journal of a file as it was written down.</summary>
    /// <returns>The scores, or what is wrong with the file.</returns>
    public static (ReplayResult? Result, IReadOnlyList<Problem> Problems) Replay(RoomFile file, RuleSet rules)
    {
        if (file.Room?.Problems().ToList() is { Count: > 0 } unsound)
        {
            return (null, [.. unsound.Select(p => p with { Field = $"room.{p.Field}" })]);
        }

        // The file stands for itself: its present is when its last line was written.
        var settings = file.Room ?? RoomStore.Fresh;
        var now = file
            .Journal.Where(e => e is not null)
            .Select(e => e.WrittenAt ?? e.At ?? settings.Clock().EveningOf(e.Night ?? DateOnly.MinValue.AddDays(1)))
            .Concat(file.Stock.Where(s => s is not null).Select(s => settings.Clock().EveningOf(s.AcquiredOn)))
            .DefaultIfEmpty(DateTimeOffset.UnixEpoch)
            .Max();
        var room = Room.At(rules, settings, now).With(RoomClimate.Of(file.Climate ?? []));
        var problems = new List<Problem>();
        var entries = RoomFileText.Entries(file, file.Journal, room, new HashSet<Place>(), problems).ToList();
        if (problems.Count > 0)
        {
            return (null, problems);
        }

        var journal = entries
            .OrderBy(e => e.Entry.WrittenAt ?? e.Entry.When.To)
            .ThenBy(e => e.Entry.Act is Acquired ? 0 : 1)
            .Select((e, i) => Rows.ToEntry(Rows.Of(e.StockId, e.Entry, room, i + 1)))
            .ToList();
        var wrong = journal
            .GroupBy(e => e.StockId)
            .SelectMany(animal =>
                JournalImport.Check([], [.. animal], room).Select(p => p with { Field = $"{animal.Key} {p.Field}" })
            )
            .ToList();
        return wrong.Count > 0
            ? (null, wrong)
            : (Husbandry.Honesty.Replay.Of(journal, room, RuleHistory.Always(rules)), []);
    }
}
