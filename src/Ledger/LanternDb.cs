using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>One line of the journal as stored. Rows are never changed or removed; triggers in the file see to that.</summary>
public sealed class EntryRow
{
    /// <summary>Order of writing; the primary key.</summary>
    public long Sequence { get; set; }

    /// <summary>Id made by the client; unique.</summary>
    public Guid Id { get; set; }

    /// <summary>The animal or brood.</summary>
    public Guid StockId { get; set; }

    /// <summary>Earliest occurrence, UTC ticks.</summary>
    public long FromTicks { get; set; }

    /// <summary>Latest occurrence, UTC ticks.</summary>
    public long ToTicks { get; set; }

    /// <summary>When it was written, UTC ticks.</summary>
    public long WrittenTicks { get; set; }

    /// <summary>Who wrote it.</summary>
    public required string WrittenBy { get; set; }

    /// <summary>The entry that it corrects.</summary>
    public Guid? Supersedes { get; set; }

    /// <summary>What happened, as JSON with a <c>kind</c>.</summary>
    public required string Act { get; set; }
}

/// <summary>The folded state of one animal and its next due instant. Rebuildable from the journal at any time.</summary>
public sealed class StandingRow
{
    /// <summary>The animal or brood; the primary key.</summary>
    public Guid StockId { get; set; }

    /// <summary>The fold, as JSON.</summary>
    public required string State { get; set; }

    /// <summary>Whether it is still in the collection.</summary>
    public bool Here { get; set; }

    /// <summary>Rack of its place.</summary>
    public required string Rack { get; set; }

    /// <summary>Shelf of its place.</summary>
    public int Shelf { get; set; }

    /// <summary>Slot of its place.</summary>
    public int Slot { get; set; }

    /// <summary>Instant from which it needs a hand, UTC ticks; <see cref="long.MaxValue"/> for never.</summary>
    public long NextDueTicks { get; set; }

    /// <summary>Whether it is hushed, so that the round names it as "pass by".</summary>
    public bool Hushed { get; set; }
}

/// <summary>Settings of the room; one row.</summary>
public sealed class RoomRow
{
    /// <summary>Always 1.</summary>
    public int Id { get; set; }

    /// <summary>Settings as JSON.</summary>
    public required string Settings { get; set; }

    /// <summary>Rises with every change, for optimistic concurrency.</summary>
    public long Version { get; set; }

    /// <summary>Fingerprint of the rulebook with which the standings were judged.</summary>
    public required string RulesFingerprint { get; set; }
}

/// <summary>The SQLite file.</summary>
public sealed class LanternDb(DbContextOptions<LanternDb> options) : DbContext(options)
{
    /// <summary>The journal.</summary>
    public DbSet<EntryRow> Entries => Set<EntryRow>();

    /// <summary>The standings.</summary>
    public DbSet<StandingRow> Standings => Set<StandingRow>();

    /// <summary>The settings.</summary>
    public DbSet<RoomRow> Rooms => Set<RoomRow>();

    /// <inheritdoc/>
    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<EntryRow>(entry =>
        {
            entry.HasKey(e => e.Sequence);
            entry.Property(e => e.Sequence).ValueGeneratedOnAdd();
            entry.HasIndex(e => e.Id).IsUnique();
            entry.HasIndex(e => new { e.StockId, e.Sequence });
            entry.HasIndex(e => e.ToTicks);
            entry.HasIndex(e => e.Supersedes);
        });
        modelBuilder.Entity<StandingRow>(standing =>
        {
            standing.HasKey(s => s.StockId);
            standing.HasIndex(s => new
            {
                s.Here,
                s.Rack,
                s.Shelf,
                s.Slot,
            });
            standing.HasIndex(s => new { s.Here, s.NextDueTicks });
        });
        modelBuilder.Entity<RoomRow>().Property(r => r.Id).ValueGeneratedNever();
    }
}
