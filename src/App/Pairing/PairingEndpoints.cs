using App.Hosting;
using Husbandry.Chores;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Husbandry.Rulebook;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Pairing;

/// <summary>The animals of one species at the desk.</summary>
/// <param name="Name">Scientific name.</param>
/// <param name="EggCase">What a pairing is to give.</param>
/// <param name="Season">When of the year, or what season she needs first; none where any time will do.</param>
/// <param name="Programme">Weeks of another climate that she is given first, in words; none where none are.</param>
/// <param name="InCage">Whether they may be put together in a net cage.</param>
/// <param name="Candidates">Adult and maturing animals, females first.</param>
/// <param name="Pairs">Who with whom, the best first.</param>
public sealed record DeskSpecies(
    string Name,
    string EggCase,
    string? Season,
    string? Programme,
    bool InCage,
    IReadOnlyList<Candidate> Candidates,
    IReadOnlyList<PairChoice> Pairs
);

/// <summary>The pairing desk.</summary>
/// <param name="Tonight">The night for which it holds.</param>
/// <param name="Species">Species by species, those with a pair that is ready first.</param>
/// <param name="Loop">Who is recorded as an ancestor of itself; empty when nobody is.</param>
/// <param name="Advice">Species fit for a first project, the keeper's own first.</param>
/// <param name="Cages">When the net cages are booked.</param>
public sealed record PairingDesk(
    DateOnly Tonight,
    IReadOnlyList<DeskSpecies> Species,
    IReadOnlyList<string> Loop,
    IReadOnlyList<FirstProject> Advice,
    IReadOnlyList<Gear> Cages
);

/// <summary>Who is ready, until when, and with whom.</summary>
public static class PairingEndpoints
{
    public static void MapPairing(this WebApplication app)
    {
        var pairing = app.MapGroup("/api/pairing").WithTags("Pairing");
        pairing.MapGet("", ReadAsync).WithName("pairing");
        pairing.MapGet("kin", KinAsync).WithName("kin");
        pairing.MapGet("run", RunAsync).WithName("run");
        pairing.MapGet("chart", ChartAsync).WithName("kinChart");
    }

    /// <summary>How near of kin two animals are, and whether they are of one line.</summary>
    private static async Task<Results<Ok<KinReading>, ProblemHttpResult>> KinAsync(
        Guid one,
        Guid other,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var both = await reader.StandingsAsync([one, other], cancel);
        Kin? Of(Guid id) =>
            both.FirstOrDefault(s => s.StockId == id) is { Details: var d } ? new Kin(id, d.Nickname, d.Line) : null;
        return Of(one) is { } first && Of(other) is { } second
            ? TypedResults.Ok(KinReading.Of(first, second, PedigreeOf(await now.IndexAsync(cancel)), room))
            : Problems.NotFound("animal");
    }

    /// <summary>Everything to lead a pairing by; of one that goes on, the mate need not be named.</summary>
    private static async Task<Results<Ok<RunSheet>, ProblemHttpResult>> RunAsync(
        Guid one,
        Guid? other,
        RoomNow now,
        JournalReader reader,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        if (await reader.StandingAsync(one, cancel) is not { } first)
        {
            return Problems.NotFound("animal");
        }

        // Nobody named: the mate with whom it is together, or was last.
        var mate = other ?? (first.Pairings is [.., var last] ? last.PartnerId : null);
        var second = mate is { } id ? await reader.StandingAsync(id, cancel) : null;
        if (other is not null && second is null)
        {
            return Problems.NotFound("animal");
        }

        List<Standing> both = second is null ? [first] : [first, second];
        var judged = both.Select(s => Judgement.Of(s, room)).ToList();
        var she = judged.Find(j => j.Subject.Standing.Details.Sex != Sex.Male);
        var he = judged.Find(j => j.Subject.Standing.Details.Sex == Sex.Male);
        var kin =
            she is null || he is null
                ? null
                : KinReading.Of(KinOf(she), KinOf(he), PedigreeOf(await now.IndexAsync(cancel)), room);
        var safety = judged
            .SelectMany(j => RoundKit.ItemsFor(j, RoundAct.PairAgain, null, []))
            .Where(i => i.Kind == KitKind.Safety)
            .Select(i => i.What)
            .Distinct();
        return RunSheet.Of(she?.Mate, he?.Mate, kin, [.. safety]) is { } sheet
            ? TypedResults.Ok(sheet)
            : Problems.NotFound("pairing of such animals");
    }

    /// <summary>How near of kin the living animals of a species are.</summary>
    private static async Task<Results<Ok<KinChart>, ProblemHttpResult>> ChartAsync(
        string species,
        RoomNow now,
        CancellationToken cancel
    )
    {
        var index = await now.IndexAsync(cancel);
        var animals = index
            .Here.Where(g => g.Who.Kind == StockKind.Specimen && g.Who.Species == species)
            .OrderBy(g => g.Who.MotherId)
            .ThenBy(g => g.Who.FatherId)
            .ThenBy(g => g.Who.Name, StringComparer.Ordinal)
            .Select(g => (g.StockId, g.Who.Name, MarkOf(g.Who.Sex)))
            .ToList();
        return animals.Count == 0
            ? Problems.NotFound("species in this room")
            : TypedResults.Ok(KinChart.Of(species, animals, PedigreeOf(index), await now.ReadAsync(cancel)));
    }

    private static string MarkOf(Sex sex) =>
        sex switch
        {
            Sex.Female => "♀",
            Sex.Male => "♂",
            _ => "",
        };

    private static Kin KinOf(Judgement j) =>
        new(j.Subject.Standing.StockId, j.Subject.Standing.Details.Nickname, j.Subject.Standing.Details.Line);

    private static async Task<Ok<PairingDesk>> ReadAsync(
        RoomNow now,
        JournalReader reader,
        ChoreStore chores,
        CancellationToken cancel
    )
    {
        var room = await now.ReadAsync(cancel);
        var index = await now.IndexAsync(cancel);
        var pedigree = PedigreeOf(index);
        var adults = index
            .Here.Where(g =>
                g.Who.Kind == StockKind.Specimen && g.Who.Stage is (Stage.Adult or Stage.SubAdult or Stage.Pupa)
            )
            .Select(g => g.StockId)
            .ToList();
        List<DeskSpecies> species =
        [
            .. (await reader.StandingsAsync(adults, cancel))
                .AsParallel()
                .WithCancellation(cancel)
                .Select(s => Judgement.TryOf(s, room))
                .OfType<Judgement>()
                .Where(j => j.Subject.Profile.Pairing is not null)
                .Where(j => ReadinessChecks.Concerns(j.Subject, j.Stage.Value))
                .Select(j => (j.Subject, Candidate: Candidate.Of(j.Mate)))
                .GroupBy(c => c.Candidate.SpeciesName)
                .Select(g => Of([.. g.Select(c => c.Candidate)], g.First().Subject, pedigree)),
        ];
        var ids = room.Rules.Species.ToDictionary(s => s.ScientificName, s => s.Id, StringComparer.Ordinal);
        var own = species
            .SelectMany(s => s.Candidates)
            .Where(c => ids.ContainsKey(c.SpeciesName))
            .ToLookup(c => ids[c.SpeciesName], c => c.Name);
        var gear = (await chores.StandingAsync(cancel)).Gear;
        return TypedResults.Ok(
            new PairingDesk(
                room.Tonight,
                [
                    .. species
                        .OrderBy(s => s.Pairs.Select(p => (int)p.Word).DefaultIfEmpty(int.MaxValue).Min())
                        .ThenBy(s => s.Name, StringComparer.Ordinal),
                ],
                pedigree.Loop,
                FirstProject.Ranked(room.Rules, own),
                [.. gear.Where(g => IsCage(g.Name))]
            )
        );
    }

    private static DeskSpecies Of(List<Candidate> candidates, Subject any, RoomPedigree pedigree)
    {
        candidates =
        [
            .. candidates.OrderBy(c => c.Sex).ThenBy(c => c.Readiness.Word).ThenBy(c => c.Name, StringComparer.Ordinal),
        ];
        return new DeskSpecies(
            any.SpeciesName,
            any.Group.EggCase ?? "eggs",
            any.Profile.Pairing!.Season?.Value,
            any.Profile.Pairing.Programme is { } programme ? ReadinessChecks.Says(programme.Value) : null,
            any.Group.Courtship?.Ways.Any(w => w.Kit.Any(IsCage)) == true,
            candidates,
            PairChoice.Ranked(candidates, pedigree, any.Room)
        );
    }

    private static bool IsCage(string gear) => gear.Contains("cage", StringComparison.OrdinalIgnoreCase);

    internal static RoomPedigree PedigreeOf(StockIndex index) =>
        new(
            index
                .Here.Concat(index.Gone)
                .Select(g => new Descent(g.StockId, g.Who.Name, g.Who.FatherId, g.Who.MotherId))
        );
}
