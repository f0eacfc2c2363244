using App.Hosting;
using Husbandry.Colonies;
using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Stock;
using Husbandry.Tanks;
using Husbandry.Upkeep;
using Husbandry.Vigils;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Colonies;

/// <summary>A tub that lives on calcium: isopods.</summary>
/// <param name="Count">How many it was last said to hold.</param>
/// <param name="CountedOn">Night of that count; none where nobody counted.</param>
/// <param name="Calcium">Its calcium.</param>
/// <param name="Number">What the last count says, in words.</param>
/// <param name="Trend">How it grows; none before two counts.</param>
/// <param name="Harvest">What may be taken; none while nobody counted it.</param>
/// <param name="Trouble">Signs of trouble; none for most.</param>
/// <param name="YoungOn">Night on which young were last seen.</param>
/// <param name="Pouch">Young to come from full pouches that were seen; none where none were.</param>
/// <param name="MarkedCount">Animals that bear a mark and wait to be caught again; none where none do.</param>
/// <param name="MarkedOn">Night on which they were marked.</param>
public sealed record TubView(
    Guid StockId,
    string Name,
    string Species,
    Place Place,
    int Count,
    DateOnly? CountedOn,
    Answer<CalciumBoard?> Calcium,
    string Number,
    Answer<TubTrend>? Trend,
    Answer<TubHarvest>? Harvest,
    Answer<TubTrouble>? Trouble,
    DateOnly? YoungOn,
    Answer<PouchYoung>? Pouch,
    int? MarkedCount,
    DateOnly? MarkedOn,
    string Do
);

/// <summary>A queen that founds, or a colony of ants.</summary>
/// <param name="IsQueenAlone">Whether it is a queen without workers.</param>
/// <param name="Founding">How she founds; none where nobody knows.</param>
/// <param name="PhaseWord">What it is at.</param>
/// <param name="Shutters">Closed shutters, 0–3.</param>
/// <param name="First">When her first workers are to be expected.</param>
/// <param name="LookOn">Night on which the tube is looked at next.</param>
/// <param name="LookedOn">Night of the last look.</param>
/// <param name="Do">What its line of the round says.</param>
/// <param name="Chain">Her founding, stage by stage; none of others.</param>
/// <param name="Mated">What her catch tells of her mating; empty where it tells nothing.</param>
/// <param name="Seen">What was seen at the last peek, in words; empty where nobody peeked.</param>
/// <param name="SeenOn">Night of that peek.</param>
/// <param name="Winter">The winter rest.</param>
/// <param name="Nest">The move into a nest; none of a queen alone.</param>
/// <param name="Growth">How the colony grows; none before workers were counted.</param>
public sealed record AntsView(
    Guid StockId,
    string Name,
    string Species,
    Place Place,
    int Count,
    bool IsQueenAlone,
    Founding? Founding,
    string PhaseWord,
    int Shutters,
    VigilForecast? First,
    DateOnly? LookOn,
    DateOnly? LookedOn,
    string Do,
    Answer<FoundingChain>? Chain,
    string Mated,
    string Seen,
    DateOnly? SeenOn,
    Answer<AntWinter>? Winter,
    Answer<NestPlan>? Nest,
    Answer<ColonyGrowth>? Growth
);

/// <summary>Everything that is kept as a colony.</summary>
/// <param name="Tubs">Tubs of isopods, those to be seen to first.</param>
/// <param name="Ants">Queens that found, then colonies.</param>
/// <param name="Tanks">Shared tanks of crabs.</param>
/// <param name="Flights">Nuptial flights of the species of the rulebook; empty where no ants are kept.</param>
public sealed record ColonyDesk(
    DateOnly Tonight,
    IReadOnlyList<TubView> Tubs,
    IReadOnlyList<AntsView> Ants,
    IReadOnlyList<TankView> Tanks,
    IReadOnlyList<FlightSeason> Flights
);

/// <summary>A shared tank.</summary>
/// <param name="Board">Who is up, floor, warmth and shells.</param>
/// <param name="Shells">Empty shells in it.</param>
/// <param name="ShellsOn">Night on which those were counted; none while nobody has.</param>
/// <param name="Do">What its line of the round says.</param>
public sealed record TankView(
    Guid StockId,
    string Name,
    Place Place,
    Answer<TankBoard> Board,
    IReadOnlyList<ShellLot> Shells,
    DateOnly? ShellsOn,
    string Do
)
{
    /// <summary>The tank of a judgement; none of what is no tank of crabs.</summary>
    public static TankView? Of(Judgement j)
    {
        var s = j.Subject;
        return TankBoard.Of(s) is not { } board
            ? null
            : new TankView(
                s.Standing.StockId,
                s.Standing.Details.Nickname,
                s.Place,
                board,
                [.. s.Standing.Shared.Shells.OrderBy(l => l.OpeningMm)],
                s.Standing.Shared.ShellsAt is { } at ? s.Night(at) : null,
                RoundLine.Of(j).Do
            );
    }
}

/// <summary>Colonies: what stands in the tubs, who founds, when to look.</summary>
public static class ColonyEndpoints
{
    public static void MapColonies(this WebApplication app) =>
        app.MapGet("/api/colonies", ReadAsync).WithTags("Colonies").WithName("colonies");

    private static async Task<Ok<ColonyDesk>> ReadAsync(RoomNow now, JournalReader reader, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        bool IsColonial(string group) =>
            room.Rules.Group(group) is { } g && (g.IsColonial || g.Tasks.Any(t => t.Id == CalciumLookedEntry.Task));
        var ids = index.Here.Where(g => IsColonial(g.Who.Group)).Select(g => g.StockId).ToList();
        var judged = (await reader.StandingsAsync(ids, cancel))
            .AsParallel()
            .WithCancellation(cancel)
            .Select(s => Judgement.TryOf(s, room))
            .OfType<Judgement>()
            .ToList();
        var tanks = room
            .Tanks.Standings.Values.Where(t => t.IsTank)
            .Select(t => Judgement.TryOf(t, room))
            .OfType<Judgement>()
            .ToList();
        return TypedResults.Ok(
            new ColonyDesk(
                room.Tonight,
                [
                    .. judged
                        .Where(j => CalciumLookedEntry.Concerns(j.Subject))
                        .Select(TubOf)
                        .OrderBy(t => t.Calcium.Value?.See ?? DateOnly.MinValue)
                        .ThenBy(t => t.Place, room.Layout.WalkingOrder()),
                ],
                [
                    .. judged
                        .Where(j => QueenCaughtEntry.Concerns(j.Subject))
                        .Select(AntsOf)
                        .OrderByDescending(a => a.IsQueenAlone)
                        .ThenBy(a => a.First?.P50 ?? DateOnly.MaxValue)
                        .ThenBy(a => a.Place, room.Layout.WalkingOrder()),
                ],
                [.. tanks.Select(TankView.Of).OfType<TankView>().OrderBy(t => t.Place, room.Layout.WalkingOrder())],
                judged.Exists(j => QueenCaughtEntry.Concerns(j.Subject)) ? FlightSeason.Of(room) : []
            )
        );
    }

    private static TubView TubOf(Judgement j)
    {
        var s = j.Subject;
        var counted = s.Standing.Counts.LastOrDefault(c => c.Change == CountChange.Counted);
        return new TubView(
            s.Standing.StockId,
            s.Standing.Details.Nickname,
            s.SpeciesName,
            s.Place,
            s.Standing.Details.Count,
            counted is null ? null : s.Night(counted.At),
            CalciumBoard.Of(s),
            counted?.Taken is { } taken ? CountedEntry.Text(taken) : "",
            TubTrend.Of(s),
            TubHarvest.Of(s),
            TubTrouble.Of(s),
            LastSeen(s, TubSign.FewYoung, TubSign.ManyYoung),
            PouchYoung.Of(s),
            s.Standing.Colony.Marked?.Count,
            s.Standing.Colony.Marked is { } marked ? s.Night(marked.At) : null,
            RoundLine.Of(j).Do
        );
    }

    private static DateOnly? LastSeen(Subject s, params TubSign[] signs) =>
        s.Standing.Colony.Looks.LastOrDefault(l => l.Signs.Any(signs.Contains)) is { } look ? s.Night(look.At) : null;

    private static AntsView AntsOf(Judgement j)
    {
        var s = j.Subject;
        var tube = j.Water.Value.Clocks.FirstOrDefault(c => c.Way == WaterWay.Tube);
        return new AntsView(
            s.Standing.StockId,
            s.Standing.Details.Nickname,
            s.SpeciesName,
            s.Place,
            s.Standing.Details.Count,
            s.IsQueenAlone,
            s.Profile.Founding?.Value,
            PhaseMark.Of(j.Phase.Value).Word,
            PhaseMark.Of(j.Phase.Value).Shutters,
            j.Waits.Select(w => w.Value).FirstOrDefault(w => w?.Vigil == VigilKind.FirstWorkers),
            tube?.Due,
            tube?.Last,
            RoundLine.Of(j).Do,
            FoundingChain.Of(s),
            QueenCaughtEntry.Mated(s.Standing.Colony.Catch),
            s.Standing.Colony.Peeks is [.., var peek]
                ? peek.Seen.Count == 0
                    ? "no brood"
                    : string.Join(", ", peek.Seen.Select(PeekedEntry.Word))
                : "",
            s.Standing.Colony.Peeks is [.., var latest] ? s.Night(latest.At) : null,
            AntWinter.Of(s),
            NestPlan.Of(s),
            ColonyGrowth.Of(s)
        );
    }
}
