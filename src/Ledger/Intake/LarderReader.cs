using Husbandry.Journal;
using Husbandry.Larder;
using Husbandry.Rooms;
using Husbandry.Rulebook;

namespace Ledger.Intake;

/// <summary>Reads a keeper's own list of the larder: food and goods counted, cultures and food plants that are there.</summary>
public sealed class LarderReader
{
    private const string Kind = "kind";
    private const string Name = "name";
    private const string Size = "size";
    private const string Count = "count";
    private const string Since = "since";
    private const string Where = "where";

    private static readonly ListColumn[] Known =
    [
        new(Kind, "kind of thing", "kind", "type", "what"),
        new(Name, "name", "name", "food", "feeder", "item", "culture", "plant", "goods"),
        new(Size, "size, or leaf", "size", "class", "leaf"),
        new(Count, "how many", "count", "number", "quantity", "amount", "how many", "pots", "grams"),
        new(Since, "since", "since", "started", "start", "date", "from"),
        new(Where, "where", "where", "place"),
    ];

    private readonly Room room;
    private readonly LarderStanding larder;
    private readonly ListCells cells;

    /// <summary>A list as it is to be read.</summary>
    /// <param name="list">The list.</param>
    /// <param name="room">The room.</param>
    /// <param name="larder">What is on record.</param>
    public LarderReader(KeepersList list, Room room, LarderStanding larder)
    {
        (this.room, this.larder) = (room, larder);
        cells = new ListCells(list, Known, [Since], room.Tonight, ByContent);
    }

    /// <summary>Reads it.</summary>
    /// <param name="request">Of which what is new gets its ids: the same request sent again is the same.</param>
    /// <returns>The list as it was understood, and what will be written; rows of what is on record already write nothing.</returns>
    public (ListSheet Sheet, IReadOnlyList<(Guid Id, LarderAct Act)> Acts) Read(Guid request)
    {
        var (rows, acts) = (new List<ListRow>(), new List<(Guid, LarderAct)>());
        foreach (var (row, line) in cells.Rows)
        {
            var id = ListCells.IdOf(request, line);
            var (act, says, problem) = ActOf(row, DerivedId.Of(id, "thing"));
            problem ??= act is null
                ? null
                : string.Join(" ", LarderCheck.Check(act, larder, room.Rules).Select(p => p.Message));
            rows.Add(
                new ListRow(line, says, problem is { Length: > 0 } ? problem : null, act is null && problem is null)
            );
            if (act is null)
            {
                continue;
            }

            acts.Add((id, act));
            if (act is CultureStarted started && IsCold(row))
            {
                acts.Add((DerivedId.Of(id, "cold"), new CultureChilled(started.CultureId, true)));
            }
        }

        return (cells.Sheet(rows), acts);
    }

    private bool IsCold(IReadOnlyList<string> row) =>
        cells.Cell(row, Kind).Contains("cold", StringComparison.OrdinalIgnoreCase);

    private (LarderAct? Act, string Says, string? Problem) ActOf(IReadOnlyList<string> row, Guid id)
    {
        var (kind, name, size) = (cells.Cell(row, Kind), cells.Cell(row, Name), cells.Cell(row, Size));
        (LarderAct?, string, string?) Wrong(string problem) => (null, ListCells.Told(row), problem);
        bool IsKind(params string[] words) => words.Any(w => kind.Contains(w, StringComparison.OrdinalIgnoreCase));
        if (name.Length == 0)
        {
            return Wrong("Say what it is.");
        }

        var isOutside = IsKind("outside", "site");
        var count = IntakeWords.NumberOf(cells.Cell(row, Count));
        if (count is null && !isOutside)
        {
            return Wrong("Say how many there are, as a number.");
        }

        if (isOutside || IsKind("plant", "leaf", "cut"))
        {
            return PlantOf(
                new PlantAdded(
                    id,
                    name,
                    isOutside ? PlantForm.Site
                        : IsKind("cut") ? PlantForm.Cut
                        : PlantForm.Pot,
                    size.Contains("wood", StringComparison.OrdinalIgnoreCase) ? LeafKind.Woody : LeafKind.Soft,
                    isOutside ? 0 : count ?? 0,
                    Where: cells.Cell(row, Where) is { Length: > 0 } at ? at : null
                ),
                size
            );
        }

        if (IsKind("culture", "pot"))
        {
            return count == Math.Floor(count!.Value) && count <= int.MaxValue
                ? CultureOf(row, name, (int)count, id, Wrong)
                : Wrong("Cultures are counted in whole pots.");
        }

        if (!IsKind("goods") && FoodOf(name, size) is { } foods)
        {
            return foods switch
            {
                [var food] when count == Math.Floor(count!.Value) => (
                    new FoodCounted(food.Key, (int)Math.Min(count.Value, int.MaxValue)),
                    $"counted {count} {food.Name}",
                    null
                ),
                [_] => Wrong("Food is counted in whole pieces or portions."),
                _ => Wrong($"Say of what size: {string.Join(", ", foods.Select(f => f.Name))}."),
            };
        }

        return room.Rules.Larder.Goods.FirstOrDefault(g => IsCalled(name, g.Name) || IsCalled(name, g.Id)) is { } goods
            ? (new GoodsCounted(goods.Id, count!.Value), $"counted {count} {goods.Unit} of {goods.Name}", null)
            : Wrong($"No food or goods is called “{name}” here.");
    }

    private (LarderAct?, string, string?) PlantOf(PlantAdded plant, string leaf)
    {
        var says =
            plant.Form == PlantForm.Site ? $"{plant.Plant}, a place outside"
            : plant.Form == PlantForm.Cut ? $"{plant.Plant}, {plant.Grams} g of cut leaf"
            : $"{plant.Plant} in a pot, {plant.Grams} g of leaf";
        return leaf.Length == 0 ? (null, says, "Say whether its leaf is soft or woody.")
            : larder.Plants.Any(p =>
                p.IsThere && p.Form == plant.Form && IsCalled(p.Plant, plant.Plant) && p.Where == plant.Where
            )
                ? (null, $"{says}: on record already", null)
            : (plant, says, null);
    }

    private (LarderAct?, string, string?) CultureOf(
        IReadOnlyList<string> row,
        string name,
        int pots,
        Guid id,
        Func<string, (LarderAct?, string, string?)> wrong
    )
    {
        var grown = room.Rules.Feeders.Where(f => f.Culture is not null).ToList();
        if (
            grown.Find(f => IsCalled(name, f.Name) || IsCalled(name, f.Plural) || IsCalled(name, f.Id))
            is not { } feeder
        )
        {
            return wrong($"Cannot be cultured here: {string.Join(", ", grown.Select(f => f.Plural))} can.");
        }

        var told = cells.Cell(row, Since);
        if (told.Length > 0 && cells.Dates.Read(told) is null)
        {
            return wrong("Say since when: a date such as 2026-11-20, 20/11 or 3 days ago.");
        }

        var since = cells.Dates.Read(told) ?? room.Tonight;
        var says =
            $"{pots} {(pots == 1 ? "pot" : "pots")} of {feeder.Plural}, started {room.Wording.Date(since)}"
            + (IsCold(row) ? ", in the cold" : "");
        return since > room.Tonight ? wrong("Must not have been started later than tonight.")
            : IsCold(row) && feeder.Culture!.ColdHoldsDays is null
                ? wrong($"{feeder.Plural} do not live through the cold.")
            : larder.StandingCultures.Any(c => IsSame(c, feeder.Id, pots, since))
                ? (null, $"{says}: on record already", null)
            : (new CultureStarted(id, feeder.Id, pots, room.Tonight.DayNumber - since.DayNumber), says, null);
    }

    /// <summary>By the day on which it was begun, or by that from which its warm days count.</summary>
    private bool IsSame(Culture culture, string feederId, int pots, DateOnly since) =>
        culture.FeederId == feederId
        && culture.Pots == pots
        && new[] { culture.BegunOn(room.Clock), culture.WarmSince(room.Clock, room.Now) }.Any(day =>
            Math.Abs(day.DayNumber - since.DayNumber) <= 1
        );

    private List<(FoodKey Key, string Name)>? FoodOf(string name, string size)
    {
        var all = room.Rules.Feeders.SelectMany(f => f.Classes.Select(c => (Feeder: f, Class: c))).ToList();
        var whole = all.Where(x =>
            IsCalled(name, x.Feeder.NameOf(x.Class, true)) || IsCalled(name, x.Feeder.NameOf(x.Class, false))
        );
        var parts = all.Where(x =>
            (IsCalled(name, x.Feeder.Name) || IsCalled(name, x.Feeder.Plural) || IsCalled(name, x.Feeder.Id))
            && (size.Length == 0 || IsCalled(size, x.Class.Name) || IsCalled(size, x.Class.Id))
        );
        var found = whole.Concat(parts).DistinctBy(x => (x.Feeder.Id, x.Class.Id)).ToList();
        return found.Count == 0
            ? null
            : [.. found.Select(x => (new FoodKey(x.Feeder.Id, x.Class.Id), x.Feeder.NameOf(x.Class, many: true)))];
    }

    private static bool IsCalled(string text, string name) =>
        string.Equals(text, name, StringComparison.OrdinalIgnoreCase);

    private static readonly string[] Kinds = ["food", "culture", "goods", "plant", "cut", "outside"];

    /// <summary>Without headings: words of a kind, a number and dates are known by what they are; the rest is the name, size and place.</summary>
    private string[] ByContent(IReadOnlyList<IReadOnlyList<string>> rows)
    {
        var guess = new IntakeDates(room.Tonight, true);
        var left = new Queue<string>([Name, Size, Where]);
        var taken = new HashSet<string>();
        string Of(int c)
        {
            var filled = rows.Select(r => c < r.Count ? r[c] : "").Where(t => t.Length > 0).ToList();
            bool Mostly(Func<string, bool> fits) => filled.Count > 0 && filled.Count(fits) * 2 > filled.Count;
            var found =
                Mostly(t => Kinds.Any(k => t.StartsWith(k, StringComparison.OrdinalIgnoreCase))) ? Kind
                : Mostly(t => guess.Read(t) is not null) ? Since
                : Mostly(t => IntakeWords.NumberOf(t) is not null) ? Count
                : "";
            return found.Length > 0 && taken.Add(found) ? found
                : left.TryDequeue(out var word) ? word
                : ListCells.Ignored;
        }

        return [.. Enumerable.Range(0, rows.Count == 0 ? 0 : rows.Max(r => r.Count)).Select(Of)];
    }
}
