using Husbandry.Contacts;
using Husbandry.Reasons;

namespace Ledger;

/// <summary>The journal of the people outside with whom the keeper deals: append-only, as that of the animals.</summary>
public sealed class ContactStore(LanternDb db)
{
    private readonly SideJournal<ContactRow, ContactAct> journal = new(
        db,
        () => new ContactRow { WrittenBy = "", Act = "" }
    );

    /// <summary>Every entry, in order of writing.</summary>
    public async Task<IReadOnlyList<ContactEntry>> ReadAsync(CancellationToken cancel) =>
        [.. (await journal.ReadAsync(cancel)).Select(e => new ContactEntry(e.Id, e.Sequence, e.At, e.By, e.Act))];

    /// <summary>Everybody on the list.</summary>
    public async Task<ContactBook> BookAsync(CancellationToken cancel) => ContactBook.Fold(await ReadAsync(cancel));

    /// <summary>Writes an entry once, however often it is sent.</summary>
    /// <param name="id">Id made by the client.</param>
    /// <param name="act">What is said.</param>
    /// <param name="at">When.</param>
    /// <param name="by">Who says so.</param>
    /// <param name="cancel">Cancels; nothing is written then.</param>
    public Task<WriteResult> WriteAsync(
        Guid id,
        ContactAct act,
        DateTimeOffset at,
        string by,
        CancellationToken cancel
    ) =>
        journal.WriteAsync(
            new SideEntry<ContactAct>(id, 0, at, by, act),
            at,
            async () => [.. (await BookAsync(cancel)).Check(act)],
            cancel
        );

    /// <summary>Writes many entries of one moment, all or none; those that are there already are passed over.</summary>
    /// <returns>What is wrong with them, or how many were written.</returns>
    public Task<(WriteResult Result, int Count)> WriteAllAsync(
        IReadOnlyList<(Guid Id, ContactAct Act)> acts,
        DateTimeOffset at,
        string by,
        CancellationToken cancel
    ) =>
        journal.WriteAllAsync(
            [.. acts.Select(a => new SideEntry<ContactAct>(a.Id, 0, at, by, a.Act))],
            at,
            async fresh =>
            {
                var (book, problems) = (await BookAsync(cancel), new List<Problem>());
                foreach (var e in fresh)
                {
                    problems.AddRange(book.Check(e.Act));
                    book = book.After(e.Act);
                }

                return problems;
            },
            cancel
        );

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

        return problems.Count > 0
            ? problems
            : await journal.AddAsync(
                "contacts",
                entries
                    .OfType<ContactEntry>()
                    .Select(e => new SideEntry<ContactAct>(e.Id, e.Sequence, e.At, e.WrittenBy, e.Act)),
                cancel
            );
    }
}
