using App.Hosting;
using Husbandry.Journal;
using Husbandry.Pairing;
using Husbandry.Rooms;
using Husbandry.Rounds;
using Ledger;
using Microsoft.AspNetCore.Http.HttpResults;

namespace App.Pairing;

/// <summary>The animals of one species at the desk.</summary>
/// <param name="Name">Scientific name.</param>
/// <param name="EggCase">What a pairing is to give.</param>
/// <param name="Season">When of the year, or what season she needs first; none where any time will do.</param>
/// <param name="Candidates">Adult and maturing animals, females first.</param>
/// <param name="Pairs">Who with whom, the best first.</param>
public sealed record DeskSpecies(
    string Name,
    string EggCase,
    string? Season,
    IReadOnlyList<Candidate> Candidates,
    IReadOnlyList<PairChoice> Pairs
);

/// <summary>The pairing desk.</summary>
/// <param name="Tonight">The night for which it holds.</param>
/// <param name="Species">Species by species, those with a pair that is ready first.</param>
/// <param name="Loop">Who is recorded as an ancestor of itself; empty when nobody is.</param>
public sealed record PairingDesk(DateOnly Tonight, IReadOnlyList<DeskSpecies> Species, IReadOnlyList<string> Loop);

/// <summary>Who is ready, until when, and with whom.</summary>
public static class PairingEndpoints
{
    public static void MapPairing(this WebApplication app) =>
        app.MapGet("/api/pairing", ReadAsync).WithName("pairing").WithTags("Pairing");

    private static async Task<Ok<PairingDesk>> ReadAsync(RoomNow now, JournalReader reader, CancellationToken cancel)
    {
        var room = await now.ReadAsync(cancel);
        var all = new List<Standing>();
        await foreach (var standing in reader.StreamStandingsAsync(cancel))
        {
            all.Add(standing);
        }

        var pedigree = new RoomPedigree(all);
        List<DeskSpecies> species =
        [
            .. all.AsParallel()
                .WithCancellation(cancel)
                .Where(s => s.Departure is null && MayConcern(s, room))
                .Select(s => Judgement.Of(s, room))
                .Where(j => ReadinessChecks.Concerns(j.Subject, j.Stage.Value))
                .Select(j =>
                    (
                        j.Subject,
                        Candidate: Candidate.Of(
                            j.Subject,
                            j.Stage.Value,
                            j.Condition,
                            j.Hush[Husbandry.Rulebook.CareAct.Pair],
                            j.Molt.Value
                        )
                    )
                )
                .GroupBy(c => c.Candidate.SpeciesName)
                .Select(g => Of([.. g.Select(c => c.Candidate)], g.First().Subject, pedigree)),
        ];
        return TypedResults.Ok(
            new PairingDesk(
                room.Tonight,
                [
                    .. species
                        .OrderBy(s => s.Pairs.Select(p => (int)p.Word).DefaultIfEmpty(int.MaxValue).Min())
                        .ThenBy(s => s.Name, StringComparer.Ordinal),
                ],
                pedigree.Loop
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
            candidates,
            PairChoice.Ranked(candidates, pedigree, any.Room)
        );
    }

    /// <summary>What can be told without judging it.</summary>
    private static bool MayConcern(Standing standing, Room room) =>
        !standing.IsMany && Subject.Of(standing, room).Profile.Pairing is not null;
}
