using App.Hosting;
using Husbandry.Growth;
using Husbandry.Nursery;
using Husbandry.Pairing;
using Husbandry.Records;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Husbandry.Vigils;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Nursery;

/// <summary>Egg cases, broods and their young.</summary>
public static class NurseryEndpoints
{
    public static void MapNursery(this WebApplication app)
    {
        var nursery = app.MapGroup("/api/nursery").WithTags("Nursery");
        nursery.MapGet("", ReadAsync).WithName("nursery");
        nursery.MapGet("{id:guid}", BroodAsync).WithName("brood");
    }

    private static async Task<Ok<NurseryDesk>> ReadAsync(RoomNow now, JournalReader reader, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        var broods = index.Here.Concat(index.Gone).Where(g => g.Who.Kind == StockKind.Brood).ToList();
        // Those of mothers that are judged brood, or did of late; the others tell how such waits ended.
        var mothers = index
            .Here.Concat(index.Gone)
            .Where(g => g is { Who.Kind: StockKind.Specimen, Waits.HasBrooded: true });
        var pupae = index.Here.Where(g => g is { Who: { Kind: StockKind.Specimen, Stage: Stage.Pupa } });
        var found = index.Here.Concat(index.Gone).Where(g => g.Who.FoundAt is not null);
        var standings = await reader.StandingsAsync(
            [.. broods.Concat(mothers).Concat(pupae).Concat(found).Select(g => g.StockId).Distinct()],
            cancel
        );
        var all = standings.Select(s => Subject.Of(s, room)).ToDictionary(s => s.Standing.StockId);
        var ofSpecies = all.Values.Where(s => s.IsBrood).ToLookup(s => s.SpeciesName, StringComparer.Ordinal);
        var here = standings
            .AsParallel()
            .WithCancellation(cancel)
            .Where(s =>
                s.Departure is null
                && (
                    s.IsMany
                    || s.Vigils.OpenOf(VigilKind.Young) is not null
                    || s.Vigils.OpenOf(VigilKind.Emergence) is not null
                    || s.Births.Count > 0
                )
            )
            .Select(s => Judgement.TryOf(s, room))
            .OfType<Judgement>()
            .ToList();
        // Caterpillars kept singly are no broods, and eat leaf as these do.
        var single = index.Here.Where(g =>
            g is { Who: { Kind: StockKind.Specimen, Stage: not (Stage.Pupa or Stage.Adult) } }
            && room.Rules.Group(g.Who.Group)?.Feeding.Diet == Diet.Leaves
        );
        var larvae = (await reader.StandingsAsync([.. single.Select(g => g.StockId)], cancel))
            .Select(s => Judgement.TryOf(s, room))
            .OfType<Judgement>()
            .ToList();
        return TypedResults.Ok(
            new NurseryDesk(
                room.Tonight,
                [
                    .. here.SelectMany(j => WaitsOf(j, all))
                        .OrderBy(w => w.Forecast.Value?.P50 ?? DateOnly.MaxValue)
                        .ThenBy(w => w.Name, StringComparer.Ordinal),
                ],
                [
                    .. here.Where(j => j.Subject.IsBrood && !j.Subject.AllWaitFor(VigilKind.Hatching))
                        .Select(j => BroodOf(j, ofSpecies[j.Subject.SpeciesName]))
                        .OrderBy(b => Urgency(b))
                        .ThenBy(b => b.Apart.Value?.On ?? DateOnly.MaxValue)
                        .ThenBy(b => b.Place, room.Layout.WalkingOrder()),
                ],
                [
                    .. here.Select(j => MotherOf(j, all.Values))
                        .OfType<NurseryMother>()
                        .OrderByDescending(m => m.Since)
                        .ThenBy(m => m.Name, StringComparer.Ordinal),
                ],
                [
                    .. here.Select(PupaInWinter.Of)
                        .OfType<PupaInWinter>()
                        .OrderByDescending(w => w.IsDone)
                        .ThenBy(w => w.Days.MissingDays)
                        .ThenBy(w => w.Place, room.Layout.WalkingOrder()),
                ],
                SpeciesWarmUp.Of(here.Select(j => j.Subject)),
                [
                    .. here.Concat(larvae)
                        .Select(LarvaeAtTable.Of)
                        .OfType<LarvaeAtTable>()
                        .OrderByDescending(l => l.Need.Value.Within(7))
                        .ThenBy(l => l.Place, room.Layout.WalkingOrder()),
                ],
                FindPlace.Of(all.Values, room.Tonight),
                YearAhead.Of(
                    here.Concat(larvae)
                        .Select(j =>
                            (
                                j.Subject,
                                j.Stage.Value,
                                j.Waits.FirstOrDefault(w =>
                                    w.Value?.Vigil is VigilKind.Hatching or VigilKind.Emergence
                                )?.Value?.P50
                            )
                        )
                        .DistinctBy(a => a.Subject.Standing.StockId)
                ),
                [
                    .. here.Concat(larvae)
                        .DistinctBy(j => j.Subject.Standing.StockId)
                        .Select(j => SickBox.Of(j, here.Concat(larvae)))
                        .OfType<SickBox>()
                        .OrderByDescending(b => b.Until),
                ]
            )
        );
    }

    private static async Task<Results<Ok<BroodView>, ProblemHttpResult>> BroodAsync(
        Guid id,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (await reader.StandingAsync(id, cancel) is not { } standing)
        {
            return Problems.NotFound("brood");
        }

        var j = Judgement.Of(standing, room);
        var s = j.Subject;
        if (!s.IsBrood)
        {
            return Problems.NotFound("brood");
        }

        var index = await now.IndexAsync(cancel);
        var alike = index
            .Here.Concat(index.Gone)
            .Where(g => g.Who.Kind == StockKind.Brood && g.Who.Species == s.SpeciesName)
            .Select(g => g.StockId)
            .ToList();
        var others = (await reader.StandingsAsync(alike, cancel)).Select(o => Subject.Of(o, room));
        var mother = standing.Details.MotherId is { } of ? await reader.StandingAsync(of, cancel) : null;
        var laid = standing.Vigils.All.FirstOrDefault(v => v.Vigil == VigilKind.Hatching)?.Began.To;
        var tray = standing.Tray;
        var vials = s.Group.Feeding.Diet == Diet.Prey || tray.IsDivided ? standing.Vials.ToList() : [];
        return TypedResults.Ok(
            new BroodView(
                id,
                BroodRange.Of(s),
                BroodCurve.Of(s)!,
                BroodMeasure.Of(s, others),
                BroodRiver.Of(s)!,
                j.Apart,
                tray.IsDivided,
                j.Apart.Value is { State: not ApartState.Apart } ? [] : VialsOf(j, vials),
                tray.Gradings is [.., var last] ? s.Night(last.At) : null,
                Math.Max(0, (tray.IsDivided ? vials.Count : 0) - standing.Details.Count),
                mother is null ? [] : PossibleFather.Of(Subject.Of(mother, room), laid ?? standing.ArrivedAt),
                MayLeave(s)
            )
        );
    }

    private static List<VialView> VialsOf(Judgement j, List<int> vials)
    {
        var (tray, feeding) = (j.Subject.Standing.Tray, j.Subject.Standing.Feeding);
        var soft = RoundLine.SoftVials(j).ToHashSet();
        var ahead = tray.Molted.ToDictionary(v => v.Number, v => v.Molts);
        var left = feeding.Vials.ToDictionary(v => v.Number, v => v.Times);
        var grades = (tray.Gradings is [.., var last] ? last.Vials : []).ToDictionary(v => v.Number);
        return
        [
            .. vials.Select(n => new VialView(
                n,
                ahead.GetValueOrDefault(n),
                soft.Contains(n),
                left.GetValueOrDefault(n),
                grades.GetValueOrDefault(n)?.Grade ?? Husbandry.Journal.SizeGrade.Middling,
                grades.GetValueOrDefault(n)?.LengthMm
            )),
        ];
    }

    private static string? MayLeave(Subject s) =>
        s.Group.Nursery is not { LeaveFrom: { } from, LeaveBetterFrom: { } better }
            ? null
            : $"None leaves before {s.Group.InstarMark}{from.Value}; from {s.Group.InstarMark}{better.Value} on they travel well.";

    private static int Urgency(NurseryBrood b) =>
        b.Apart.Value?.State == ApartState.Due ? 0
        : b.IsWorse ? 1
        : b.Missing > 0 ? 2
        : 3;

    private static IEnumerable<NurseryWait> WaitsOf(Judgement j, Dictionary<Guid, Subject> all)
    {
        var s = j.Subject;
        foreach (var (wait, forecast) in s.Waits.Zip(j.Waits))
        {
            if (wait.Vigil is not (VigilKind.Young or VigilKind.Hatching))
            {
                continue;
            }

            // Once that time is over nobody is reminded of it.
            var began = s.Night(wait.Began.Middle);
            var taken =
                wait.Vigil == VigilKind.Young
                && s.Group.Nursery?.TakenDays?.Value is { } days
                && began.AddDays((int)days.High) >= s.Room.Tonight
                    ? days
                    : null;
            var size = s.Profile.Pairing?.BroodSize.Value;
            yield return new NurseryWait(
                s.Standing.StockId,
                s.Standing.Details.Nickname,
                s.SpeciesName,
                s.Group.Id,
                s.Place,
                wait.Vigil,
                WhatOf(s, wait.Vigil),
                began,
                forecast,
                VigilForecast.IsHeldByCold(s, wait.Vigil),
                size is null ? null : FormattableString.Invariant($"{size.Low:0}–{size.High:0} young"),
                s.IsChilled,
                taken is null ? null : began.AddDays((int)taken.Low),
                taken is null ? null : began.AddDays((int)taken.High),
                FathersOf(s, wait, all),
                NurseryRecord.Of(s, wait.Vigil, all.Values),
                LooksSince(s, wait),
                PromisedEntry.MayBePromised(s),
                HandOn.Of(s, null, null)
            );
        }
    }

    /// <summary>Nights on which somebody looked since a wait began: each look is a chance to be disturbed, or to find mold.</summary>
    private static int LooksSince(Subject s, Husbandry.Journal.VigilEvent wait) =>
        s
            .Standing.Vigils.CleanLooks.Concat(s.Standing.Vigils.Signs.Select(sign => sign.At))
            .Where(at => at >= wait.Began.To)
            .Select(s.Night)
            .Distinct()
            .Count();

    /// <summary>Who may be the father of what is awaited: by her pairings, or those of the mother it was taken from.</summary>
    private static IReadOnlyList<PossibleFather> FathersOf(
        Subject s,
        Husbandry.Journal.VigilEvent wait,
        Dictionary<Guid, Subject> all
    ) =>
        wait.Vigil == VigilKind.Young ? PossibleFather.Of(s, wait.Began.To)
        : s.Standing.Details.MotherId is { } id && all.TryGetValue(id, out var mother)
            ? PossibleFather.Of(mother, wait.Began.To)
        : [];

    private static NurseryMother? MotherOf(Judgement j, IEnumerable<Subject> all)
    {
        var s = j.Subject;
        if (
            s.IsMany
            || s.Standing.Births is not [.., var last]
            || s.Standing.Vigils.OpenOf(VigilKind.Young) is not null
        )
        {
            return null;
        }

        var since = s.Night(last.At);
        if (s.NightsSince(last.At) > s.Room.Rules.Room.Nursery.MotherAfterNights.Value)
        {
            return null;
        }

        return new NurseryMother(
            s.Standing.StockId,
            s.Standing.Details.Nickname,
            s.SpeciesName,
            s.Place,
            since,
            last.AteAt is { } ate ? s.Night(ate) : null,
            last.Before is { } before ? ConditionSeenEntry.Word(before) : null,
            j.Condition.Value.Word == ConditionWord.Unknown
                ? "not looked at since"
                : Condition.Text(j.Condition.Value.Word),
            s.Profile.Pairing is null ? "" : Candidate.Of(j.Mate).Readiness.Says,
            MotherAfter.Of(s, all)
        );
    }

    private static string WhatOf(Subject s, VigilKind vigil)
    {
        var what = s.Group.EggCase ?? "brood";
        return vigil == VigilKind.Young ? $"{what} with its mother"
            : s.Standing.Kept is { } kept
                ? $"{what} of {kept.Mother}, kept apart{(CaseTakenEntry.Text(kept.Kept) is { Length: > 0 } how ? $", {how}" : "")}"
            : $"{(what == "eggs" ? "eggs" : $"{what} or eggs")} kept apart";
    }

    private static NurseryBrood BroodOf(Judgement j, IEnumerable<Subject> alike)
    {
        var s = j.Subject;
        var measure = BroodMeasure.Of(s, alike);
        return new NurseryBrood(
            s.Standing.StockId,
            s.Standing.Details.Nickname,
            s.SpeciesName,
            s.Group.Id,
            s.Place,
            KindWords.StageWord(j),
            s.InstarText,
            BroodRange.Of(s),
            BroodCurve.Of(s)!.Living,
            CountBook.Of(s)?.Missing ?? 0,
            measure.Value is null ? "" : measure.Summary,
            measure.Value is null ? [] : measure.Reasons,
            measure.Value?.IsWorse == true,
            j.Apart,
            j.Molt.Value,
            HandOn.Of(s, j.Molt.Value, j.Size.Value),
            s.Standing.Tray.Gradings is [.., var last] ? s.Night(last.At) : null
        );
    }
}
