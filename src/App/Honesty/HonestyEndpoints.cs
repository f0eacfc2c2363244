using App.Hosting;
using Husbandry.Climate;
using Husbandry.Honesty;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Honesty;

/// <summary>One sign in one group and how well it has held here.</summary>
public sealed record SignView(string Label, string Strength, SignLesson Lesson);

/// <summary>The signs of a group.</summary>
public sealed record GroupSigns(string Group, string Name, IReadOnlyList<SignView> Signs);

/// <summary>What the room taught of one wait of one species.</summary>
/// <param name="Factor">Length of the wait here against the rulebook's; 1 is the same.</param>
public sealed record SpeciesPace(
    string Species,
    VigilKind Vigil,
    string Waits,
    double Factor,
    int Intervals,
    int Animals
);

/// <summary>What this room has taught.</summary>
public sealed record LessonsView(IReadOnlyList<GroupSigns> Groups, IReadOnlyList<SpeciesPace> Paces);

/// <summary>How honest the forecasts were.</summary>
/// <param name="Report">Scores.</param>
/// <param name="Examples">The newest scored forecasts.</param>
public sealed record HonestyView(
    BacktestReport Report,
    IReadOnlyList<ScoredForecast> Examples,
    IReadOnlyDictionary<VigilKind, WaitsInWords> Waits
);

/// <summary>Waits of a kind in words.</summary>
/// <param name="Many">Many of them.</param>
/// <param name="Otherwise">Their other ends, in the past tense; none of molts.</param>
public sealed record WaitsInWords(string Many, string? Otherwise)
{
    public static IReadOnlyDictionary<VigilKind, WaitsInWords> All { get; } =
        Enum.GetValues<VigilKind>()
            .ToDictionary(
                v => v,
                v => new WaitsInWords(
                    VigilDefinition.ManyOf(v),
                    v == VigilKind.Molt ? null : string.Join(" or ", VigilDefinition.Of(v).Others.Select(e => e.Past))
                )
            );
}

/// <summary>An animal at which a look would tell much.</summary>
public sealed record LookView(Guid StockId, string Name, LookWorth Worth, IReadOnlyList<Reason> Reasons);

/// <summary>What to look at so that the forecasts become better.</summary>
/// <param name="Windows">Animals of which a molt is awaited.</param>
/// <param name="Worth">At how many of them a look would narrow the window by enough.</param>
/// <param name="Most">Those at which it tells most.</param>
public sealed record LooksView(int Windows, int Worth, IReadOnlyList<LookView> Most);

/// <summary>The honesty ledger, and what the room has taught.</summary>
public static class HonestyEndpoints
{
    private const int ExamplesShown = 24;
    private const int LooksShown = 6;

    // A long journal is not gone through anew for every entry: no figure moves before one in so many is new.
    private const int NewsAfter = 1_000;

    public static void MapHonesty(this WebApplication app)
    {
        app.MapGet("/api/honesty", ReadAsync).WithName("honesty").WithTags("Honesty");
        app.MapGet("/api/honesty/warmth", WarmthAsync).WithName("warmthHelps").WithTags("Honesty");
        app.MapGet("/api/looks", LooksAsync).WithName("looks").WithTags("Honesty");
        app.MapGet("/api/lessons", LessonsAsync).WithName("lessons").WithTags("Honesty");
    }

    private static async Task<Ok<HonestyView>> ReadAsync(
        RoomNow now,
        JournalReader reader,
        RulebookStore rulebook,
        RoomCache cache,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var scored = await ScoredAsync(room, byWarmth: true, reader, rulebook, cache, cancel);
        var newest = scored
            .Replay.Forecasts.Where(f => f.HappenedTo is not null && f.AgeShare > 0)
            .OrderByDescending(f => f.MadeOn.AddDays((int)f.HappenedTo!.Value))
            .Take(ExamplesShown)
            .ToList();
        return TypedResults.Ok(new HonestyView(BacktestReport.Of(scored.Replay), newest, WaitsInWords.All));
    }

    /// <summary>The journal replayed, by one at a time: whoever asks meanwhile waits for the same answer.</summary>
    private static async Task<RoomCache.ScoredUntil> ScoredAsync(
        Room room,
        bool byWarmth,
        JournalReader reader,
        RulebookStore rulebook,
        RoomCache cache,
        CancellationToken cancel
    )
    {
        await cache.Scoring.WaitAsync(cancel);
        try
        {
            var sequence = await reader.LatestSequenceAsync(cancel);
            var kept = byWarmth ? cache.Scored : cache.ScoredByCalendar;
            if (
                kept is not null
                && kept.Fingerprint == room.Rules.Fingerprint
                && sequence - kept.Sequence <= sequence / NewsAfter
            )
            {
                return kept;
            }

            var journal = await reader.ReadSinceAsync(DateTimeOffset.MinValue, cancel);
            var rules = await rulebook.HistoryAsync(cancel);
            var replay = Replay.Of(journal, byWarmth ? room : room.With(RoomClimate.Unread), rules);
            var scored = new RoomCache.ScoredUntil(replay, sequence, room.Rules.Fingerprint);
            if (byWarmth)
            {
                cache.Scored = scored;
            }
            else
            {
                cache.ScoredByCalendar = scored;
            }

            return scored;
        }
        finally
        {
            cache.Scoring.Release();
        }
    }

    private static async Task<Ok<IReadOnlyList<WarmthHelps>>> WarmthAsync(
        RoomNow now,
        JournalReader reader,
        RulebookStore rulebook,
        RoomCache cache,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var with = await ScoredAsync(room, byWarmth: true, reader, rulebook, cache, cancel);
        var without = await ScoredAsync(room, byWarmth: false, reader, rulebook, cache, cancel);
        return TypedResults.Ok(WarmthHelps.Of(with.Replay, without.Replay));
    }

    private static async Task<Ok<LooksView>> LooksAsync(RoomNow now, JournalReader reader, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var (looks, windows) = (new List<LookView>(), 0);
        await foreach (var standing in reader.StreamStandingsAsync(cancel))
        {
            if (
                standing.Departure is not null
                || Judgement.TryOf(standing, room) is not { Subject.IsMany: false } judged
            )
            {
                continue;
            }

            windows += judged.Molt.Value is null ? 0 : 1;
            if (
                LogMenu.ShowsSigns(judged)
                && judged.LookWorth is { Value: { } worth } answer
                && worth.IsWorthIt(room.Rules.Room.Signs)
            )
            {
                looks.Add(new LookView(standing.StockId, standing.Details.Nickname, worth, answer.Reasons));
            }
        }

        return TypedResults.Ok(
            new LooksView(windows, looks.Count, [.. looks.OrderByDescending(l => l.Worth.Narrower).Take(LooksShown)])
        );
    }

    private static async Task<Ok<LessonsView>> LessonsAsync(RoomNow now, JournalReader reader, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var groups = room
            .Rules.Groups.Select(g => new GroupSigns(
                g.Id,
                g.Name,
                [
                    .. room
                        .Lessons.Signs(g.Id)
                        .Select(l => new SignView(
                            room.Rules.Sign(l.SignId)?.Label ?? "Looked, no sign",
                            room.Rules.Sign(l.SignId)?.Strength.ToString().ToLowerInvariant() ?? "against",
                            l
                        )),
                ]
            ))
            .Where(g => g.Signs.Any(s => s.Lesson.Premolts > 0))
            .ToList();
        var species = new Dictionary<string, Subject>();
        await foreach (var standing in reader.StreamStandingsAsync(cancel))
        {
            if (room.Rules.Group(standing.Details.Group) is not null)
            {
                var subject = Subject.Of(standing, room);
                species.TryAdd(subject.SpeciesName, subject);
            }
        }

        var paces = species
            .Values.SelectMany(s =>
                Enum.GetValues<VigilKind>()
                    .Select(v => (Vigil: v, Lesson: room.Lessons.For(s, v)))
                    .Where(x => x.Lesson is { Intervals: > 0 })
                    .Select(x => new SpeciesPace(
                        s.SpeciesName,
                        x.Vigil,
                        VigilDefinition.ManyOf(x.Vigil),
                        Math.Exp(x.Lesson!.Offset),
                        x.Lesson.Intervals,
                        x.Lesson.Animals
                    ))
            )
            .OrderBy(p => p.Species, StringComparer.Ordinal)
            .ToList();
        return TypedResults.Ok(new LessonsView(groups, paces));
    }
}
