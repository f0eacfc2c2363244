using System.Text.RegularExpressions;
using Husbandry.Growth;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;

namespace Ledger.Intake;

/// <summary>
/// Reads a keeper's own table of what happened to animals that are on record: molts, meals, measures, water, deaths, notes. By the same
/// code as a table of animals where both have the same: rows, dates, lengths.
/// </summary>
public sealed partial class HappenedReader
{
    private const string Who = "who";
    private const string NightColumn = "night";
    private const string What = "what";
    private const string Size = "size";
    private const string Note = "note";

    private static readonly ListColumn[] Known =
    [
        new(Who, "animal", "name", "animal", "who", "place", "code", "tub"),
        new(NightColumn, "night", "night", "date", "day", "when", "on"),
        new(What, "what happened", "kind", "what", "event", "type", "action", "happened"),
        new(Size, "length", "dls", "leg span", "size", "length", "mm", "cm"),
        new(Note, "more about it", "says", "note", "notes", "remark", "remarks", "comment", "details"),
    ];

    private readonly Room room;
    private readonly StockIndex index;
    private readonly ListCells cells;
    private readonly LengthUnit unit;

    /// <summary>A table as it is to be read.</summary>
    /// <param name="list">The table.</param>
    /// <param name="room">The room.</param>
    /// <param name="index">Who is on record.</param>
    public HappenedReader(KeepersList list, Room room, StockIndex index)
    {
        (this.room, this.index) = (room, index);
        cells = new ListCells(list, Known, [NightColumn], room.Tonight, ByContent);
        unit = list.Unit ?? room.Settings.Unit;
    }

    /// <summary>The animals that it names, so that they can be fetched.</summary>
    public IReadOnlyList<Guid> Named =>
        [.. cells.All.Select(row => WhoOf(cells.Cell(row, Who)).Id).OfType<Guid>().Distinct()];

    /// <summary>Reads it.</summary>
    /// <param name="judged">The animals that it names; those that cannot be judged are missing.</param>
    /// <returns>The table as it was understood, and its rows with what will be written.</returns>
    public (ListSheet Sheet, IReadOnlyList<HappenedRow> Rows) Read(IReadOnlyDictionary<Guid, Judgement> judged)
    {
        List<HappenedRow> rows = [.. cells.Rows.Select(r => RowOf(r.Row, r.Line, judged))];
        return (cells.Sheet(rows, unit), rows);
    }

    /// <summary>The entries of a sound table. The same row of the same animal has the same id, so that it is written once.</summary>
    /// <param name="rows">The table as it was read.</param>
    /// <param name="at">When it was sent.</param>
    /// <param name="by">Who sent it.</param>
    /// <param name="room">The room.</param>
    public static IReadOnlyList<StockEntry> EntriesOf(
        IReadOnlyList<HappenedRow> rows,
        DateTimeOffset at,
        string by,
        Room room
    )
    {
        var seen = new Dictionary<(Guid, string), int>();
        return
        [
            .. rows.OrderBy(r => r.Night)
                .Select(r =>
                {
                    var key = (r.StockId!.Value, $"{r.Night:yyyy-MM-dd} {r.Key}");
                    var again = seen[key] = seen.GetValueOrDefault(key) + 1;
                    var id = DerivedId.Of(r.StockId.Value, $"table {key.Item2} {again}");
                    return new StockEntry(
                        r.StockId.Value,
                        new NewEntry(id, On(r.Night!.Value, at, room), null, r.Act!, at, by),
                        $"rows[{r.Line - 1}]."
                    );
                }),
        ];
    }

    private static Occurrence On(DateOnly night, DateTimeOffset now, Room room)
    {
        var evening = room.Clock.EveningOf(night);
        return Occurrence.At(evening < now ? evening : now);
    }

    private HappenedRow RowOf(IReadOnlyList<string> row, int line, IReadOnlyDictionary<Guid, Judgement> judged)
    {
        HappenedRow Wrong(string problem, Guid? id = null, DateOnly? night = null) =>
            new(line, ListCells.Told(row), problem, id, night, null, "");

        var (id, who) = WhoOf(cells.Cell(row, Who));
        if (id is not { } known)
        {
            return Wrong(who);
        }

        if (!judged.TryGetValue(known, out var j))
        {
            return Wrong("It cannot be judged by the rules as they are: see to its record first.", known);
        }

        if (cells.Dates.Read(NightOf(cells.Cell(row, NightColumn))) is not { } night)
        {
            return Wrong("Say when: a date such as 2026-11-20, 20/11 or 3 days ago.", known);
        }

        var (act, problem) = ActOf(row, j);
        if (act is null)
        {
            return Wrong(problem, known, night);
        }

        if (night > room.Tonight)
        {
            return Wrong($"Must not lie beyond tonight, {room.Wording.Date(room.Tonight)}.", known, night);
        }

        var odd = EntryCheck.Check(act, On(night, room.Now, room), j.Subject.Standing, room);
        var says = EntryDefinition.Of(act).Say(act, room.Rules, room.Wording);
        return new HappenedRow(
            line,
            $"{j.Subject.Standing.Details.Nickname}, {room.Wording.Date(night)}: {says}",
            odd.Count == 0 ? null : string.Join(" ", odd.Select(p => p.Message)),
            known,
            night,
            act,
            // By what the keeper wrote: what a meal is called here may be another tomorrow.
            string.Join('|', new[] { What, Size, Note }.Select(c => cells.Cell(row, c)))
        );
    }

    // A table with instants is read by their day.
    private static string NightOf(string text) =>
        InstantPattern().Match(text) is { Success: true } m ? m.Value[..10] : text;

    private (Guid? Id, string Problem) WhoOf(string text)
    {
        if (text.Length == 0)
        {
            return (null, "Say which animal: its name or its place.");
        }

        if (Guid.TryParse(text, out var id) && index.Find(id) is not null)
        {
            return (id, "");
        }

        if (Place.Parse(text) is { } place)
        {
            var there = index.Here.Where(g => g.Where.TankId is null && g.Where.Place == place).ToList();
            return there.Count == 1 ? (there[0].StockId, "") : (null, $"Nothing stands at {place.Code}.");
        }

        bool IsCalled(Glance g) => string.Equals(g.Who.Name, text, StringComparison.OrdinalIgnoreCase);
        var named = index.Here.Where(IsCalled).ToList();
        named = named.Count > 0 ? named : [.. index.Gone.Where(IsCalled)];
        return named.Count switch
        {
            0 => (null, $"Nobody here is called “{text}”."),
            1 => (named[0].StockId, ""),
            _ => (null, $"{named.Count} are called “{text}”: write the place instead."),
        };
    }

    private (Act? Act, string Problem) ActOf(IReadOnlyList<string> row, Judgement j)
    {
        var (what, note, size) = (cells.Cell(row, What), cells.Cell(row, Note), cells.Cell(row, Size));
        var text = $"{what} {note}".Trim();
        bool Says(params string[] words) => words.Any(w => what.Contains(w, StringComparison.OrdinalIgnoreCase));
        bool Tells(params string[] words) => words.Any(w => text.Contains(w, StringComparison.OrdinalIgnoreCase));
        if (Says("measured", "size", "dls", "leg span") || (what.Length == 0 && size.Length > 0))
        {
            return IntakeWords.LengthMm(size.Length > 0 ? size : LengthIn(text), unit) is { } mm
                ? (new Measured(PartOf(text, j), mm, Tells("skin", "exuvia")), "")
                : (null, "Write a length such as 45 mm or 6 cm.");
        }

        if (Says("molt", "moult", "shed"))
        {
            return (new Molted(Tells("adult", "ultimate", "mature"), Tells("mismolt", "stuck")), "");
        }

        if (Says("fed", "ate", "meal", "offered", "refused", "took", "eaten"))
        {
            return LineChoice.Offers(j.Meal.Value.Offer).FirstOrDefault() is not { } offer
                ? (
                    null,
                    j.Subject.Group.Feeding.Diet == Diet.Prey && j.Size.Value is null
                        ? "Measure it first: what it was given goes by its size."
                        : "It eats nothing as it is now: nobody knows what that was."
                )
                : (
                    offer with
                    {
                        Outcome = Tells("refus", "not eaten", "not taken", "left it")
                            ? OfferOutcome.FoundUneaten
                            : OfferOutcome.Eaten,
                    },
                    ""
                );
        }

        if (Says("water", "mist"))
        {
            return IntakeEntries.Water(j) is { } water ? (water, "") : (null, "No water is given to it.");
        }

        if (Says("died", "dead", "departed", "sold", "given"))
        {
            var kind =
                Tells("sold") ? DepartureKind.Sold
                : Tells("given") ? DepartureKind.GivenAway
                : DepartureKind.Died;
            return (new Departed(kind, note.Length == 0 ? null : note), "");
        }

        // What this application calls otherwise is not a note of the keeper's.
        if (EntryKinds.All.Any(k => k.Id == what && k.ActType != typeof(Noted)))
        {
            return (null, $"“{what}” is not taken from a table: an archive brings everything.");
        }

        return text.Length == 0
            ? (null, "Say what happened: molted, fed, refused, watered, measured, died, or a note.")
            : (new Noted(Says("noted", "note") && note.Length > 0 ? note : text), "");
    }

    private static BodyPart PartOf(string text, Judgement j)
    {
        bool Tells(string word) => text.Contains(word, StringComparison.OrdinalIgnoreCase);
        return Tells("carapace width") ? BodyPart.CarapaceWidth
            : Tells("abdomen") ? BodyPart.AbdomenWidth
            : Tells("carapace") ? BodyPart.Carapace
            : Tells("leg span") || Tells("dls") ? BodyPart.LegSpan
            : Tells("body") ? BodyPart.Body
            : j.Subject.Group.Growth.SizePart;
    }

    private static string LengthIn(string text) => LengthPattern().Match(text).Value;

    /// <summary>The columns of a table without headings: who is known, what is a date, what is a length; the rest says what.</summary>
    private string[] ByContent(IReadOnlyList<IReadOnlyList<string>> rows)
    {
        var guess = new IntakeDates(room.Tonight, true);
        var found = new string[rows.Count == 0 ? 0 : rows.Max(r => r.Count)];
        Array.Fill(found, ListCells.Ignored);
        void Take(string column, Func<string, bool> fits)
        {
            for (var c = 0; c < found.Length && !found.Contains(column); c++)
            {
                var filled = rows.Select(r => c < r.Count ? r[c] : "").Where(t => t.Length > 0).ToList();
                if (found[c] == ListCells.Ignored && filled.Count > 0 && filled.Count(fits) * 2 > filled.Count)
                {
                    found[c] = column;
                }
            }
        }

        Take(NightColumn, t => guess.Read(NightOf(t)) is not null);
        Take(Who, t => WhoOf(t).Id is not null);
        Take(Size, t => IntakeWords.LengthMm(t, LengthUnit.Mm) is not null);
        Take(What, _ => true);
        Take(Note, _ => true);
        return found;
    }

    [GeneratedRegex(@"^\d{4}-\d{2}-\d{2}T")]
    private static partial Regex InstantPattern();

    [GeneratedRegex(@"\d+(?:[.,]\d+)?\s*(?:mm|cm|in)\b")]
    private static partial Regex LengthPattern();
}

/// <summary>A row of a table of what happened.</summary>
/// <param name="Line">Its number.</param>
/// <param name="Says">All of it in one sentence.</param>
/// <param name="Problem">What is wrong with it.</param>
/// <param name="StockId">The animal; none while that cannot be read.</param>
/// <param name="Night">The night.</param>
/// <param name="Act">What will be written.</param>
/// <param name="Key">What the row says, by which the same row is known again.</param>
public sealed record HappenedRow(
    int Line,
    string Says,
    string? Problem,
    Guid? StockId,
    DateOnly? Night,
    Act? Act,
    string Key
) : ListRow(Line, Says, Problem);
