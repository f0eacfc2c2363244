using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rulebook;

namespace Ledger;

/// <summary>Holds the parents that are told of an animal against the rest of the pedigree.</summary>
internal sealed class ParentGuard(JournalReader reader)
{
    /// <summary>What is wrong with the parents that an entry tells; nothing where it tells none.</summary>
    public async Task<IReadOnlyList<Problem>> CheckAsync(Guid stockId, Act act, CancellationToken cancel)
    {
        if (act is not DetailsChanged { Details: var details })
        {
            return [];
        }

        var problems = new List<Problem>();
        foreach (
            var (field, parent, cannotBe, word) in new[]
            {
                ("details.motherId", details.MotherId, Sex.Male, "male, and no mother"),
                ("details.fatherId", details.FatherId, Sex.Female, "female, and no father"),
            }
        )
        {
            if (parent is not { } id)
            {
                continue;
            }

            if (id == stockId)
            {
                problems.Add(new Problem(field, $"{details.Nickname} is not a parent of itself."));
            }
            else if (await reader.StandingAsync(id, cancel) is not { } standing)
            {
                problems.Add(new Problem(field, "No such animal is or was in the room."));
            }
            else if (standing.Details.Sex == cannotBe)
            {
                problems.Add(new Problem(field, $"{standing.Details.Nickname} is {word}."));
            }
            else if (await LineToAsync(stockId, standing, cancel) is { } line)
            {
                problems.Add(
                    new Problem(
                        field,
                        $"{standing.Details.Nickname} descends from {details.Nickname}: {string.Join(" ← ", [.. line, details.Nickname])}."
                    )
                );
            }
        }

        return problems;
    }

    /// <summary>The names from an animal up to an ancestor of it; none where that is no ancestor.</summary>
    private async Task<IReadOnlyList<string>?> LineToAsync(Guid ancestor, Standing from, CancellationToken cancel)
    {
        // Breadth first, each ancestor once: a pedigree may come together again, and in an old file even run in a circle.
        var seen = new HashSet<Guid> { from.StockId };
        var open = new Queue<(Standing At, IReadOnlyList<string> Line)>([(from, [from.Details.Nickname])]);
        while (open.TryDequeue(out var next))
        {
            foreach (var parent in new[] { next.At.Details.MotherId, next.At.Details.FatherId }.OfType<Guid>())
            {
                if (parent == ancestor)
                {
                    return next.Line;
                }

                if (seen.Add(parent) && await reader.StandingAsync(parent, cancel) is { } standing)
                {
                    open.Enqueue((standing, [.. next.Line, standing.Details.Nickname]));
                }
            }
        }

        return null;
    }
}
