using System.Text.Json;
using Husbandry.Contacts;
using Husbandry.Reasons;
using Husbandry.Rooms;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>The journal of the people outside with whom the keeper deals: append-only, as that of the animals.</summary>
public sealed class ContactStore(LanternDb db)
{
    /// <summary>Every entry, in order of writing.</summary>
    public async Task<IReadOnlyList<ContactEntry>> ReadAsync(CancellationToken cancel) =>
        [.. (await db.Contacts.AsNoTracking().OrderBy(e => e.Sequence).ToListAsync(cancel)).Select(ToEntry)];

    /// <summary>Everybody on the list.</summary>
    public async Task<ContactBook> BookAsync(CancellationToken cancel) => ContactBook.Fold(await ReadAsync(cancel));

    /// <summary>Writes an entry once, however often it is sent.</summary>
    /// <param name="id">Id made by the client.</param>
    /// <param name="act">What is said.</param>
    /// <param name="at">When.</param>
    /// <param name="by">Who says so.</param>
    /// <param name="room">The room.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    public async Task<WriteResult> WriteAsync(
        Guid id,
        ContactAct act,
        DateTimeOffset at,
        string by,
        Room room,
        CancellationToken cancel
    )
    {
        await using var transaction = await db.Database.BeginTransactionAsync(cancel);
        if (await db.Contacts.Where(e => e.Id == id).Select(e => e.Act).FirstOrDefaultAsync(cancel) is { } former)
        {
            return WriteResult.Again(former, JsonSerializer.Serialize(act, LedgerJson.Options));
        }

        if ((await BookAsync(cancel)).Check(act).ToList() is { Count: > 0 } problems)
        {
            return WriteResult.Refuse(problems);
        }

        db.Contacts.Add(Row(id, act, at, by));
        await db.SaveChangesAsync(cancel);
        await transaction.CommitAsync(cancel);
        return WriteResult.Written;
    }

    /// <summary>Adds entries of a room file; those that are there already are passed over. Saved by the caller.</summary>
    /// <returns>What is wrong with them; then none is added.</returns>
    internal async Task<IReadOnlyList<Problem>> AddAsync(IReadOnlyList<ContactEntry?> entries, CancellationToken cancel)
    {
        var book = new ContactBook([]);
        var problems = new List<Problem>();
        foreach (var (entry, i) in entries.Select((e, i) => (e, i)))
        {
            if (entry?.Act is null)
            {
                problems.Add(new Problem($"contacts[{i}]", "Is missing."));
                continue;
            }

            problems.AddRange(book.Check(entry.Act).Select(p => p with { Field = $"contacts[{i}].{p.Field}" }));
            book = book.After(entry.Act);
        }

        var known = (await db.Contacts.AsNoTracking().Select(e => e.Id).ToListAsync(cancel)).ToHashSet();
        if (problems.Count == 0)
        {
            var fresh = entries.OfType<ContactEntry>().OrderBy(e => e.Sequence).Where(e => known.Add(e.Id));
            db.Contacts.AddRange(fresh.Select(e => Row(e.Id, e.Act, e.At, e.WrittenBy)));
        }

        return problems;
    }

    private static ContactRow Row(Guid id, ContactAct act, DateTimeOffset at, string by) =>
        new()
        {
            Id = id,
            AtTicks = at.UtcTicks,
            WrittenTicks = at.UtcTicks,
            WrittenBy = by,
            Act = JsonSerializer.Serialize(act, LedgerJson.Options),
        };

    private static ContactEntry ToEntry(ContactRow row) =>
        new(
            row.Id,
            row.Sequence,
            new DateTimeOffset(row.AtTicks, TimeSpan.Zero),
            row.WrittenBy,
            LedgerJson.Read<ContactAct>(row.Act)
        );
}
