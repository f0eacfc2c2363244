using App.Hosting;
using Husbandry.Almanac;
using Husbandry.Journal;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Stock;
using Ledger;
using Microsoft.EntityFrameworkCore;

namespace App.Rounds;

/// <summary>Reads the round of a night. Only what is due or hushed is read from the file; the rest is counted in the index.</summary>
public sealed class RoundReader(RoomNow now, LanternDb db, JournalReader journal, ChoreStore chores, LineCache cache)
{
    private static readonly TimeSpan Break = TimeSpan.FromMinutes(10);

    /// <summary>Tonight's round.</summary>
    public async Task<RoundView> ReadAsync(CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        var order = room.Layout.WalkingOrder();
        var lines = await LinesAsync(room, index, cancel);
        lines.Sort(
            (a, b) =>
            {
                var out1 = a.Act == RoundAct.RemoveLeftovers ? 0 : 1;
                var out2 = b.Act == RoundAct.RemoveLeftovers ? 0 : 1;
                return out1 != out2 ? out1.CompareTo(out2)
                    : a.IsSick != b.IsSick ? a.IsSick.CompareTo(b.IsSick)
                    : order.Compare(a.Place, b.Place);
            }
        );
        var unknown = WaterUnknown(lines, index, room);
        var asked = unknown.Select(w => w.StockId).ToHashSet();
        lines = [.. lines.Where(l => !asked.Contains(l.StockId))];
        var open = lines.Where(l => l.State == LineState.Due).Select(l => l.StockId).ToHashSet();
        var hushed = lines.Where(l => l.State == LineState.PassBy).Select(l => l.StockId).ToHashSet();
        var tonight = Chronicle.Effective(await journal.ReadSinceAsync(room.Clock.StartOf(room.Tonight), cancel));
        var done = Done(tonight, index, room)
            .Where(d => !open.Contains(d.StockId))
            .Where(d => !hushed.Contains(d.StockId) || IsWork(tonight, d.StockId))
            .ToList();
        var doneIds = done.Select(d => d.StockId).ToHashSet();
        var walk = lines
            .Where(l => l.State == LineState.Due || (l.State == LineState.PassBy && !doneIds.Contains(l.StockId)))
            .ToList();
        walk = WithLooks(walk, room);
        var standing = await chores.StandingAsync(cancel);
        var due = standing.DueBy(room.Tonight).Select(c => new RoundChore(c, false));
        var doneChores = standing.Chores.Where(c => c.LastDone == room.Tonight).Select(c => new RoundChore(c, true));
        var openLines = walk.Where(l => l.State == LineState.Due).ToList();
        var progress = new RoundProgress(
            done.Count,
            done.Count + open.Count,
            walk.Count - open.Count,
            index.Here.Count - done.Count - walk.Count,
            openLines.Sum(l => l.Seconds)
        );
        return new RoundView(
            room.Settings.RoomName,
            now.Latest,
            room.Tonight,
            progress,
            LeftAt(tonight, index, openLines, order, room),
            Shelves(
                index,
                room,
                order,
                walk.Select(l => l.Place).Concat(done.Select(d => d.Place)),
                open,
                hushed,
                doneIds
            ),
            walk,
            done,
            [.. due, .. doneChores],
            RoundKit.Of(openLines),
            room.RoundPace.Why(room.Rules.Room),
            unknown,
            await FirstEveningAsync(index, room, cancel)
        );
    }

    /// <summary>Of those that are visited anyway, the few at which a look would tell most are named.</summary>
    private static List<RoundLine> WithLooks(List<RoundLine> lines, Room room)
    {
        var rules = room.Rules.Room.Signs;
        var most = lines
            .Where(l => l is { State: LineState.Due, LookWorth.Value: { } worth } && worth.IsWorthIt(rules))
            .OrderByDescending(l => l.LookWorth!.Value!.Narrower)
            .ThenBy(l => l.StockId)
            .Take(rules.LooksProposed.Value)
            .Select(l => l.StockId)
            .ToHashSet();
        return [.. lines.Select(l => most.Contains(l.StockId) ? l.WithLook() : l)];
    }

    private async Task<FirstEvening?> FirstEveningAsync(StockIndex index, Room room, CancellationToken cancel)
    {
        var begun = await db
            .Entries.AsNoTracking()
            .OrderBy(e => e.Sequence)
            .Select(e => e.WrittenTicks)
            .FirstOrDefaultAsync(cancel);
        return begun >= room.Clock.StartOf(room.Tonight).UtcTicks && index.Here.Count > 0
            ? new FirstEvening(index.Here.Count, index.Here.Count(g => g.IsMoltUnknown))
            : null;
    }

    /// <summary>
    /// In a new room nobody wrote down yet when all was watered: that is asked once, instead of a line for each enclosure.
    /// </summary>
    private static List<WaterUnknown> WaterUnknown(List<RoundLine> lines, StockIndex index, Room room)
    {
        var unknown = lines
            .Where(l => l.Act == RoundAct.Water && index.Find(l.StockId) is { Care.WaterUnknown: true })
            .OrderBy(l => l.Place, room.Layout.WalkingOrder())
            .Select(l => new WaterUnknown(l.StockId, l.Place, l.Name, l.Choices[0].Acts))
            .ToList();
        return unknown.Count >= room.Rules.Room.Rounds.WaterAskedFrom.Value ? unknown : [];
    }

    /// <summary>A night that is over.</summary>
    public async Task<NightPast> PastAsync(DateOnly night, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        var entries = (await journal.ReadBetweenAsync(room.Clock.StartOf(night), room.Clock.EndOf(night), cancel))
            .Where(e => e.When.To < room.Clock.EndOf(night))
            .ToList();
        (Place, string)? Places(Guid id) => index.Find(id) is { } g ? (g.Where.Place, g.Who.Name) : null;
        return new NightPast(night, [.. Done(entries, index, room)], RoundSummary.Of(entries, Places, room));
    }

    /// <summary>A night to come.</summary>
    public async Task<NightAhead> AheadAsync(DateOnly night, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        return NightAhead.Of(index.Here, await chores.StandingAsync(cancel), night, room);
    }

    /// <summary>What needs nothing tonight on one shelf.</summary>
    public async Task<IReadOnlyList<RestingLine>> RestingAsync(string shelf, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        var rows = await db
            .Standings.AsNoTracking()
            .Where(s => s.Here && !s.Hushed)
            .Select(s => new
            {
                s.StockId,
                s.Rack,
                s.Shelf,
                s.NextDueTicks,
            })
            .Where(s => s.Rack + s.Shelf == shelf)
            .ToListAsync(cancel);
        var end = room.Clock.EndOf(room.Tonight).UtcTicks;
        return
        [
            .. rows.Where(r => r.NextDueTicks >= end)
                .Select(r => (Glance: index.Find(r.StockId), r.NextDueTicks))
                .Where(x => x.Glance is not null)
                .Select(x => new RestingLine(
                    x.Glance!.StockId,
                    x.Glance.Where.Place,
                    x.Glance.Who.Name,
                    x.NextDueTicks == long.MaxValue
                        ? null
                        : room.Clock.NightOf(new DateTimeOffset(x.NextDueTicks, TimeSpan.Zero))
                ))
                .OrderBy(r => r.Place),
        ];
    }

    /// <summary>The lines of everything due or hushed, those that hold from before and the others judged now.</summary>
    private async Task<List<RoundLine>> LinesAsync(Room room, StockIndex index, CancellationToken cancel)
    {
        var end = room.Clock.EndOf(room.Tonight).UtcTicks;
        var ids = await db.DueOrHushedIds(end).ToListAsync(cancel);
        var lines = new List<RoundLine>(ids.Count);
        var unknown = new List<Guid>();
        foreach (var id in ids)
        {
            if (cache.Find(id, room.Tanks.SequenceOf(id, index.Find(id)?.Sequence ?? 0), room) is { } line)
            {
                lines.Add(line);
            }
            else
            {
                unknown.Add(id);
            }
        }

        const int Portion = 500;
        foreach (var portion in unknown.Chunk(Portion))
        {
            var rows = await db.Standings.AsNoTracking().Where(s => portion.Contains(s.StockId)).ToListAsync(cancel);
            lines.AddRange(rows.Select(row => cache.Judge(row, room)));
        }

        return lines;
    }

    /// <summary>Enclosures at which something of the round was done.</summary>
    private static IEnumerable<DoneLine> Done(IReadOnlyList<JournalEntry> night, StockIndex index, Room room) =>
        night
            .Where(e => Part(e) != RoundPart.None)
            .GroupBy(e => e.StockId)
            .Select(g => (Entries: g.ToList(), Glance: index.Find(g.Key)))
            .Where(x => x.Glance is not null)
            .Select(x =>
            {
                var last = x.Entries[^1];
                var text = string.Join(
                    ", ",
                    x.Entries.Select(e => EntryDefinition.Of(e.Act).Say(e.Act, room.Rules, room.Wording))
                );
                return new DoneLine(
                    last.StockId,
                    x.Glance!.Where.Place,
                    x.Glance.Who.Name,
                    last.Id,
                    text,
                    last.When.To,
                    last.WrittenBy
                );
            })
            .OrderBy(d => d.Place, room.Layout.WalkingOrder());

    private static RoundPart Part(JournalEntry entry) => EntryDefinition.Of(entry.Act).Round(entry.Act);

    /// <summary>A sign seen or a look at a hushed animal is no work done: it stays one to pass by.</summary>
    private static bool IsWork(IReadOnlyList<JournalEntry> night, Guid stockId) =>
        night.Any(e => e.StockId == stockId && Part(e) == RoundPart.Work);

    private static RoundBreak? LeftAt(
        IReadOnlyList<JournalEntry> tonight,
        StockIndex index,
        List<RoundLine> open,
        IComparer<Place> order,
        Room room
    )
    {
        var last = tonight.Where(e => Part(e) != RoundPart.None).MaxBy(e => e.WrittenAt);
        return
            open.Count > 0
            && last is not null
            && room.Now - last.WrittenAt > Break
            && index.Find(last.StockId) is { } glance
            ? new RoundBreak(
                glance.Where.Place,
                glance.Who.Name,
                last.WrittenAt,
                GoesOnAt(open, glance.Where.Place, order).StockId
            )
            : null;
    }

    /// <summary>Leftovers first, then the first line behind the enclosure at which it was left; from the start when none is.</summary>
    private static RoundLine GoesOnAt(List<RoundLine> open, Place left, IComparer<Place> order) =>
        open[0].Section == LineSection.First
            ? open[0]
            : open.FirstOrDefault(l => order.Compare(l.Place, left) >= 0) ?? open[0];

    private static List<RoundShelf> Shelves(
        StockIndex index,
        Room room,
        IComparer<Place> order,
        IEnumerable<Place> told,
        HashSet<Guid> open,
        HashSet<Guid> hushed,
        HashSet<Guid> done
    )
    {
        // Most shelves of a large room have nothing tonight, and nothing is looked up for them.
        var touched = told.Select(p => p.ShelfCode).ToHashSet();
        char State(Guid id) =>
            open.Contains(id) ? 'o'
            : done.Contains(id) ? 'd'
            : hushed.Contains(id) ? 'h'
            : 'r';
        return
        [
            .. index
                .Shelves.OrderBy(s => s[0].Where.Place, order)
                .Select(s =>
                {
                    var layout = room.Layout.ShelfOf(s[0].Where.Place);
                    var notes = new[] { layout?.HeatNote, layout?.MoistureNote }.Where(n => n is { Length: > 0 });
                    var quiet = !touched.Contains(s[0].Where.Place.ShelfCode);
                    return new RoundShelf(
                        s[0].Where.Place.ShelfCode,
                        layout?.Quarantine == true,
                        string.Join(" · ", notes),
                        quiet ? [] : [.. s.Select(g => g.Where.Place.Slot)],
                        quiet
                            ? new string('r', s.Count)
                            : string.Create(
                                s.Count,
                                s,
                                (letters, shelf) =>
                                {
                                    for (var k = 0; k < shelf.Count; k++)
                                    {
                                        letters[k] = State(shelf[k].StockId);
                                    }
                                }
                            )
                    );
                }),
        ];
    }
}
