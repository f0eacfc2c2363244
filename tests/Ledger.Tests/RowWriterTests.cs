using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger.Tests;

/// <summary>Rows written with prepared statements are read back by EF Core as they were, column for column.</summary>
public sealed class RowWriterTests : LedgerFolder
{
    private static EntryRow Entry(long sequence) =>
        new()
        {
            Sequence = sequence,
            Id = Guid.NewGuid(),
            StockId = Guid.NewGuid(),
            FromTicks = 11,
            ToTicks = 12,
            WrittenTicks = 13,
            WrittenBy = "Keeper’s \"helper\"",
            Supersedes = Guid.NewGuid(),
            Act = """{"kind":"noted","text":"ü"}""",
            Against = "on its back",
        };

    private static StandingRow Standing(Guid id, string rack = "B") =>
        new()
        {
            StockId = id,
            State = $"state in {rack}",
            Here = true,
            Rack = rack,
            Shelf = 2,
            Slot = 7,
            TankId = Guid.NewGuid(),
            NextDueTicks = long.MaxValue,
            Hushed = true,
            Glance = $"glance in {rack}",
        };

    private async Task WriteAsync(Func<RowWriter, Task> write)
    {
        await using var db = Open();
        await using var transaction = await db.Database.BeginTransactionAsync(Cancel);
        await using (var writer = new RowWriter(db))
        {
            await write(writer);
        }

        await transaction.CommitAsync(Cancel);
    }

    /// <summary>Every column of a row that the model knows, by name: one that a statement forgets comes back empty.</summary>
    private static Dictionary<string, object?> Columns<T>(LanternDb db, T row)
        where T : class => db.Entry(row).Properties.ToDictionary(p => p.Metadata.Name, p => p.CurrentValue);

    [Fact]
    public async Task An_entry_comes_back_as_it_was_written()
    {
        var row = Entry(1);
        await WriteAsync(w => w.WriteAsync(row, Cancel));
        await using var db = Open();
        var read = await db.Entries.SingleAsync(Cancel);
        Assert.Equal(Columns(db, row), Columns(db, read));
        Assert.DoesNotContain(Columns(db, read).Values, value => value is null);
    }

    [Fact]
    public async Task What_an_entry_leaves_out_is_nothing_in_the_file()
    {
        var row = Entry(1);
        (row.Supersedes, row.Against) = (null, null);
        await WriteAsync(w => w.WriteAsync(row, Cancel));
        await using var db = Open();
        var read = await db.Entries.SingleAsync(Cancel);
        Assert.Equal((null, null), (read.Supersedes, read.Against));
    }

    [Fact]
    public async Task An_id_is_taken_once()
    {
        var (one, again) = (Entry(1), Entry(2));
        again.Id = one.Id;
        await WriteAsync(w => w.WriteAsync(one, Cancel));
        var failed = await Assert.ThrowsAsync<SqliteException>(() => WriteAsync(w => w.WriteAsync(again, Cancel)));
        Assert.True(LanternDb.IsTakenId(failed));
        await using var db = Open();
        Assert.Equal(1, await db.Entries.CountAsync(Cancel));
    }

    [Fact]
    public async Task A_standing_comes_back_as_it_was_written_and_takes_the_place_of_the_former()
    {
        var id = Guid.NewGuid();
        await WriteAsync(w => w.WriteAsync(Standing(id), null, Cancel));
        var moved = Standing(id, "C");
        await WriteAsync(w => w.WriteAsync(moved, null, Cancel));
        await using var db = Open();
        Assert.Equal(Columns(db, moved), Columns(db, await db.Standings.SingleAsync(Cancel)));
    }

    [Fact]
    public async Task One_that_is_found_as_before_is_renewed_in_what_can_have_changed()
    {
        var former = Standing(Guid.NewGuid());
        await WriteAsync(w => w.WriteAsync(former, null, Cancel));
        var renewed = Standing(former.StockId);
        (renewed.State, renewed.Glance, renewed.NextDueTicks) = ("later", "seen later", 42);
        renewed.TankId = former.TankId;
        await WriteAsync(w => w.WriteAsync(renewed, former, Cancel));
        await using var db = Open();
        Assert.Equal(Columns(db, renewed), Columns(db, await db.Standings.SingleAsync(Cancel)));
    }

    [Theory]
    [InlineData("here")]
    [InlineData("hushed")]
    [InlineData("slot")]
    [InlineData("tank")]
    public async Task Whatever_it_is_looked_up_by_is_written_with_it(string what)
    {
        var former = Standing(Guid.NewGuid());
        await WriteAsync(w => w.WriteAsync(former, null, Cancel));
        var now = Standing(former.StockId);
        now.TankId = what == "tank" ? null : former.TankId;
        now.Here = what != "here";
        now.Hushed = what != "hushed";
        now.Slot = what == "slot" ? 9 : former.Slot;
        await WriteAsync(w => w.WriteAsync(now, former, Cancel));
        await using var db = Open();
        Assert.Equal(Columns(db, now), Columns(db, await db.Standings.SingleAsync(Cancel)));
    }

    [Fact]
    public async Task Nothing_stays_of_a_transaction_that_was_given_up()
    {
        await using (var db = Open())
        {
            await using var transaction = await db.Database.BeginTransactionAsync(Cancel);
            await using var writer = new RowWriter(db);
            await writer.WriteAsync(Entry(1), Cancel);
            await writer.WriteAsync(Standing(Guid.NewGuid()), null, Cancel);
            await transaction.RollbackAsync(Cancel);
        }

        await using var after = Open();
        Assert.False(await after.Entries.AnyAsync(Cancel) || await after.Standings.AnyAsync(Cancel));
    }
}
