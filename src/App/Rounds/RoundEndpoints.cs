using App.Hosting;
using Husbandry.Journal;
using Husbandry.Rounds;
using Husbandry.Stock;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;

namespace App.Rounds;

/// <summary>Something done tonight.</summary>
/// <param name="EntryId">The newest entry of the enclosure tonight.</param>
/// <param name="Text">What was done, joined.</param>
public sealed record DoneLine(Guid StockId, Place Place, string Name, Guid EntryId, string Text, DateTimeOffset At);

/// <summary>An enclosure that needs nothing tonight.</summary>
public sealed record RestingLine(Guid StockId, Place Place, string Name, DateOnly? NextDue);

/// <summary>How far the round has come.</summary>
public sealed record RoundProgress(int Done, int Total, int PassBy, double SecondsLeft);

/// <summary>Tonight's round.</summary>
public sealed record RoundView(
    string RoomName,
    DateOnly Night,
    RoundProgress Progress,
    IReadOnlyList<RoundLine> Lines,
    IReadOnlyList<DoneLine> Done,
    IReadOnlyList<RestingLine> Resting
);

/// <summary>The evening round and the strip of nights.</summary>
public static class RoundEndpoints
{
    public static void MapRound(this WebApplication app)
    {
        app.MapGet("/api/round", ReadAsync).WithName("round").WithTags("Round");
        app.MapGet("/api/nightline", NightlineAsync).WithName("nightline").WithTags("Round");
    }

    private static async Task<Ok<RoundView>> ReadAsync(
        RoomNow now,
        LanternDb db,
        JournalReader journal,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var endOfTonight = room.Clock.EndOf(room.Tonight).UtcTicks;
        var rows = await db.Standings.AsNoTracking().Where(s => s.Here).ToListAsync(cancel);
        // Only what is due or hushed is judged; the rest is named from the row.
        var lines = rows.Where(r => r.Hushed || r.NextDueTicks < endOfTonight)
            .Select(r => RoundLine.Of(Judgement.Of(LedgerJson.Read<Standing>(r.State), room)))
            .OrderBy(l => l.Act == RoundAct.RemoveLeftovers ? 0 : 1)
            .ThenBy(l => l.Place)
            .ToList();
        var open = lines.Where(l => l.State == LineState.Due).Select(l => l.StockId).ToHashSet();
        var hushed = lines.Where(l => l.State == LineState.PassBy).Select(l => l.StockId).ToHashSet();
        var done = await DoneAsync(room, rows, open, hushed, journal, cancel);
        var shown = lines
            .Where(l => l.State != LineState.Quiet)
            .Select(l => l.StockId)
            .Concat(done.Select(d => d.StockId))
            .ToHashSet();
        var resting = rows.Where(r => !shown.Contains(r.StockId))
            .Select(r =>
            {
                var standing = LedgerJson.Read<Standing>(r.State);
                var next =
                    r.NextDueTicks == long.MaxValue
                        ? (DateOnly?)null
                        : room.Clock.NightOf(new DateTimeOffset(r.NextDueTicks, TimeSpan.Zero));
                return new RestingLine(r.StockId, standing.Place, standing.Details.Nickname, next);
            })
            .OrderBy(r => r.Place)
            .ToList();
        var doneIds = done.Select(d => d.StockId).ToHashSet();
        var walk = lines
            .Where(l => l.State != LineState.Quiet && (l.State == LineState.Due || !doneIds.Contains(l.StockId)))
            .ToList();
        var progress = new RoundProgress(
            done.Count,
            done.Count + open.Count,
            walk.Count - open.Count,
            lines.Where(l => l.State == LineState.Due).Sum(l => l.Seconds)
        );
        return TypedResults.Ok(new RoundView(room.Settings.RoomName, room.Tonight, progress, walk, done, resting));
    }

    /// <summary>Enclosures at which something of the round was done tonight and nothing is left to do.</summary>
    private static async Task<List<DoneLine>> DoneAsync(
        Room room,
        List<StandingRow> rows,
        HashSet<Guid> stillOpen,
        HashSet<Guid> hushed,
        JournalReader journal,
        CancellationToken cancel
    )
    {
        var tonight = await journal.ReadSinceAsync(room.Clock.StartOf(room.Tonight), cancel);
        var here = rows.ToDictionary(r => r.StockId);
        return
        [
            .. Chronicle
                .Effective(tonight)
                .Where(e =>
                    IsRoundAct(e.Act, hushed.Contains(e.StockId))
                    && here.ContainsKey(e.StockId)
                    && !stillOpen.Contains(e.StockId)
                )
                .GroupBy(e => e.StockId)
                .Select(g =>
                {
                    var standing = LedgerJson.Read<Standing>(here[g.Key].State);
                    var last = g.Last();
                    var text = string.Join(", ", g.Select(e => JournalText.Of(e.Act, room.Rules, room.Wording)));
                    return new DoneLine(g.Key, standing.Place, standing.Details.Nickname, last.Id, text, last.When.To);
                })
                .OrderBy(d => d.Place),
        ];
    }

    /// <summary>A sign seen or a look at a hushed animal is no work done: it stays one to pass by.</summary>
    private static bool IsRoundAct(Act act, bool isHushed) =>
        act is Offered or LeftoversRemoved or Watered or FangsChecked or Molted or PutOff
        || (!isHushed && act is (Looked or SignSeen));

    private static async Task<Ok<Nightline>> NightlineAsync(
        RoomNow now,
        JournalReader journal,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var standings = await journal.StandingsAsync(here: true, cancel);
        return TypedResults.Ok(Nightline.Of([.. standings.Select(s => Judgement.Of(s, room))], room));
    }
}
