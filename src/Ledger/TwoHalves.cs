using Husbandry.Journal;
using Husbandry.Reasons;
using Husbandry.Records;
using Husbandry.Rooms;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>
/// Writes what happened to two animals into the journals of both: whoever logs, corrects or takes back one half does so to
/// the other in the same transaction, by whichever door it came.
/// </summary>
internal sealed class TwoHalves(LanternDb db, JournalReader reader, Room room)
{
    /// <summary>The batch with the other halves of its entries, each behind the half that was given.</summary>
    public async Task<IReadOnlyList<StockEntry>> WithOtherHalvesAsync(
        IReadOnlyList<StockEntry> batch,
        CancellationToken cancel
    )
    {
        var both = new List<StockEntry>(batch.Count);
        foreach (var given in batch)
        {
            var former = await FormerAsync(given.Entry, cancel);
            if (given.Entry.Act is not TwoPartyAct && former is null)
            {
                both.Add(given);
                continue;
            }

            both.AddRange(await BothAsync(given, former, cancel));
        }

        return both;
    }

    private async Task<List<StockEntry>> BothAsync(StockEntry given, EntryRow? former, CancellationToken cancel)
    {
        var (stockId, entry, field) = given;
        var told = former is null ? null : LedgerJson.Read<Act>(former.Act) as TwoPartyAct;
        var formerHalf = told?.OtherHalf(former!.Id);
        var both = new List<StockEntry>();
        var partner = (entry.Act as TwoPartyAct)?.Other() is { } other
            ? await reader.StandingAsync(other, cancel)
            : null;
        var first = (entry.Act as TwoPartyAct)?.AsFirstHalf(partner?.Details.Nickname);
        var one = first is null ? null : await reader.StandingAsync(stockId, cancel);
        var began =
            first is not null && one is not null && entry.Supersedes is null ? await BeganAsync(first, one) : [];
        both.Add(first is null ? given : given with { Entry = entry with { Act = first } });
        both.AddRange(began);
        if (first?.Other() is { } party && (partner is not null || began.Count > 0))
        {
            var name = one?.Details.Nickname ?? "";
            var second = entry with
            {
                Id = first.OtherHalf(entry.Id)!.Value,
                Act = first.AsSecondHalf(stockId, entry.Id, name),
                Supersedes = told?.Other() == party ? formerHalf : null,
            };
            both.Add(new StockEntry(party, second, field));
        }

        // The other half is taken back with its first, or when a correction names somebody else.
        if (told?.Other() is { } before && before != first?.Other())
        {
            var undo = entry with
            {
                Id = DerivedId.Of(entry.Id, "undo of the second half"),
                Supersedes = null,
                Act = new Withdrawn(formerHalf!.Value),
                When = Occurrence.At(entry.When.To),
            };
            both.Add(new StockEntry(before, undo, field));
        }

        return both;

        // A retry is given the beginning as it was written: what is known of the first has changed since.
        async Task<List<StockEntry>> BeganAsync(TwoPartyAct act, Standing one)
        {
            var written = act.BeganOther()
                ? (await reader.ReadAsync(act.Other()!.Value, cancel)).TakeWhile(e => e.Id != act.OtherHalf(entry.Id))
                : [];
            var before = written.Select(e => (e.When, e.Act)).ToList();
            var beginning =
                before.Count > 0
                    ? before
                    : act.Beginning(
                        one,
                        entry.When,
                        room.Clock,
                        room.Rules.For(one.Details.Species, one.StockId).Group
                    );
            return
            [
                .. beginning.Select(
                    (b, i) =>
                        new StockEntry(
                            act.Other()!.Value,
                            entry with
                            {
                                Id = DerivedId.Of(entry.Id, $"beginning of the other {i}"),
                                Act = b.Act,
                                When = b.When,
                            },
                            field
                        )
                ),
            ];
        }
    }

    private async Task<EntryRow?> FormerAsync(NewEntry entry, CancellationToken cancel) =>
        (entry.Act.Withdraws() ?? entry.Supersedes) is { } id
            ? await db.Entries.AsNoTracking().FirstOrDefaultAsync(e => e.Id == id, cancel)
            : null;

    /// <summary>Halves in a file whose other half is neither in it nor in the room, or of which only one was taken back.</summary>
    public static IEnumerable<Problem> FindLoneHalves(
        IReadOnlyCollection<JournalEntry> fresh,
        IReadOnlySet<Guid> known,
        IReadOnlySet<Guid> struck
    )
    {
        foreach (var entry in fresh)
        {
            if (entry.Act is TwoPartyAct act && act.OtherHalf(entry.Id) is { } half)
            {
                if (!known.Contains(half))
                {
                    yield return new Problem(
                        $"{entry.StockId} act.partnerId",
                        $"The entry {entry.Id} is one half of a pair, and the other half, {half}, is missing: give both, or leave out partnerId and name the partner."
                    );
                }
                else if (struck.Contains(entry.Id) != struck.Contains(half))
                {
                    yield return new Problem(
                        $"{entry.StockId} act.entryId",
                        $"Of the two halves {entry.Id} and {half} only one is corrected or taken back: give that of both."
                    );
                }
            }
        }
    }
}
