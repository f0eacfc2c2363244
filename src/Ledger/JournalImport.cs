using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Rounds;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>Brings whole journals in at once.</summary>
public sealed class JournalImport(LanternDb db)
{
    /// <summary>
    /// Writes many entries of many animals at once, all or nothing, and folds their standings. Each animal's entries
    /// are checked in the order in which they happened.
    /// </summary>
    /// <returns>What is wrong, each naming the animal; empty when everything was written.</returns>
    public async Task<IReadOnlyList<Problem>> ImportAsync(
        IReadOnlyList<(Guid StockId, NewEntry Entry)> entries,
        Room room,
        CancellationToken cancel
    )
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        var sequence = await db.Entries.MaxAsync(e => (long?)e.Sequence, cancel) ?? 0;
        var rows = entries
            .OrderBy(e => e.Entry.When.To)
            .Select(e => Rows.Of(e.StockId, e.Entry, room, ++sequence))
            .ToList();
        var problems = new List<Problem>();
        foreach (var animal in rows.GroupBy(r => r.StockId))
        {
            Standing? standing = null;
            foreach (var entry in animal.Select(Rows.ToEntry))
            {
                var wrong = EntryCheck.Check(entry.Act, entry.When, standing, room);
                problems.AddRange(wrong.Select(p => p with { Field = $"{animal.Key} {p.Field}" }));
                standing = standing is null ? Standing.Fold([entry]) : standing.Apply(entry);
            }

            if (standing is null)
            {
                problems.Add(new Problem($"{animal.Key}", "No entry says that it came."));
            }
            else if (problems.Count == 0)
            {
                db.Store(null, standing, room);
            }
        }

        if (problems.Count > 0)
        {
            db.ChangeTracker.Clear();
            return problems;
        }

        db.Entries.AddRange(rows);
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return [];
    }
}
