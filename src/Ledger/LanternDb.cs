using Microsoft.Data.Sqlite;
using Microsoft.EntityFrameworkCore;

namespace Ledger;

/// <summary>The SQLite file.</summary>
public sealed class LanternDb : DbContext
{
    // SQLITE_CONSTRAINT_UNIQUE of SQLite's result codes, sqlite.org/rescode.html.
    private const int UniqueConstraintFailed = 2067;

    // SQLITE_CONSTRAINT_PRIMARYKEY.
    private const int PrimaryKeyTaken = 1555;

    // SQLITE_CONSTRAINT_TRIGGER, and what the trigger against replacing says.
    private const int TriggerRefused = 1811;
    private const string GivenBefore = "This id was given before.";

    // Asked with every entry, so not translated anew each time.
    private static readonly Func<LanternDb, Guid, CancellationToken, Task<StandingRow?>> StandingOf =
        EF.CompileAsyncQuery(
            (LanternDb db, Guid id, CancellationToken _) =>
                db.Standings.AsNoTracking().FirstOrDefault(s => s.StockId == id)
        );

    private static readonly Func<LanternDb, CancellationToken, Task<long?>> LatestSequence = EF.CompileAsyncQuery(
        (LanternDb db, CancellationToken _) => db.Entries.Max(e => (long?)e.Sequence)
    );

    /// <summary>Opens the file.</summary>
    public LanternDb(DbContextOptions<LanternDb> options)
        : base(options) =>
        // Whoever saves in several steps does so in one transaction, which is given up as a whole.
        Database.AutoSavepointsEnabled = false;

    /// <summary>The journal.</summary>
    public DbSet<EntryRow> Entries => Set<EntryRow>();

    /// <summary>The standings.</summary>
    public DbSet<StandingRow> Standings => Set<StandingRow>();

    /// <summary>The settings.</summary>
    public DbSet<RoomRow> Rooms => Set<RoomRow>();

    /// <summary>Climate readings.</summary>
    public DbSet<ClimateRow> Climate => Set<ClimateRow>();

    /// <summary>The journal of the room's air.</summary>
    public DbSet<ClimateNoteRow> ClimateNotes => Set<ClimateNoteRow>();

    /// <summary>What brings readings.</summary>
    public DbSet<GatewayRow> Gateways => Set<GatewayRow>();

    /// <summary>Numbers of sensors.</summary>
    public DbSet<SensorRow> Sensors => Set<SensorRow>();

    /// <summary>Readings of sensors, for a month.</summary>
    public DbSet<SensorReadingRow> SensorReadings => Set<SensorReadingRow>();

    /// <summary>Readings of sensors, put together.</summary>
    public DbSet<SensorSpanRow> SensorSpans => Set<SensorSpanRow>();

    /// <summary>Changed rules.</summary>
    public DbSet<OverrideRow> Overrides => Set<OverrideRow>();

    /// <summary>The keeper's own species.</summary>
    public DbSet<SpeciesRow> Species => Set<SpeciesRow>();

    /// <summary>The larder's journal.</summary>
    public DbSet<LarderRow> Larder => Set<LarderRow>();

    /// <summary>The journal of chores and gear.</summary>
    public DbSet<ChoreRow> Chores => Set<ChoreRow>();

    /// <summary>The journal of contacts.</summary>
    public DbSet<ContactRow> Contacts => Set<ContactRow>();

    /// <summary>People who may sign in.</summary>
    public DbSet<PersonRow> People => Set<PersonRow>();

    /// <summary>Who came in, and who may.</summary>
    public DbSet<AccessNoteRow> AccessNotes => Set<AccessNoteRow>();

    /// <summary>Where they are signed in.</summary>
    public DbSet<SessionRow> Sessions => Set<SessionRow>();

    /// <summary>Links for people who mind the room.</summary>
    public DbSet<SitterLinkRow> SitterLinks => Set<SitterLinkRow>();

    /// <summary>The keeper's own feeders.</summary>
    public DbSet<FeederRow> Feeders => Set<FeederRow>();

    /// <summary>Pictures.</summary>
    public DbSet<PictureRow> Pictures => Set<PictureRow>();

    /// <summary>The standing of one animal; none when there is no such.</summary>
    public Task<StandingRow?> StandingOfAsync(Guid stockId, CancellationToken cancel) =>
        StandingOf(this, stockId, cancel);

    /// <summary>Sequence of the newest entry; 0 in an empty journal.</summary>
    public async Task<long> LatestSequenceAsync(CancellationToken cancel) => await LatestSequence(this, cancel) ?? 0;

    /// <summary>Whether saving failed because an id, or something else that is given once, was given before.</summary>
    public static bool IsTakenId(Exception failed) =>
        (failed as SqliteException ?? failed.InnerException) is SqliteException error
        && (
            error.SqliteExtendedErrorCode is UniqueConstraintFailed or PrimaryKeyTaken
            || (
                error.SqliteExtendedErrorCode == TriggerRefused
                && error.Message.Contains(GivenBefore, StringComparison.Ordinal)
            )
        );

    // Written out: a bare truth value, as it is translated from C#, is not looked up in an index by SQLite.

    /// <summary>Animals that need a hand before an instant, in UTC ticks.</summary>
    public IQueryable<Guid> DueIds(long beforeTicks) =>
        Database.SqlQuery<Guid>(
            $"SELECT StockId AS Value FROM Standings WHERE Here = 1 AND NextDueTicks < {beforeTicks}"
        );

    /// <summary>Animals that need a hand before an instant, and hushed ones: each half by an index of its own.</summary>
    public IQueryable<Guid> DueOrHushedIds(long beforeTicks) =>
        Database.SqlQuery<Guid>(
            $"SELECT StockId AS Value FROM Standings WHERE Here = 1 AND NextDueTicks < {beforeTicks} UNION SELECT StockId FROM Standings WHERE Here = 1 AND Hushed = 1"
        );

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
            standing.HasIndex(s => new { s.Here, s.Hushed });
            standing.HasIndex(s => s.TankId);
        });
        SideJournal<LarderRow>(modelBuilder);
        SideJournal<ChoreRow>(modelBuilder);
        SideJournal<ContactRow>(modelBuilder);
        SideJournal<ClimateNoteRow>(modelBuilder);
        modelBuilder.Entity<GatewayRow>().HasIndex(g => g.TokenHash).IsUnique();
        modelBuilder.Entity<SensorRow>().HasKey(s => s.No);
        modelBuilder.Entity<SensorRow>().HasIndex(s => s.Id).IsUnique();
        modelBuilder.Entity<SensorReadingRow>().HasKey(r => new { r.SensorNo, r.At });
        modelBuilder
            .Entity<SensorSpanRow>()
            .HasKey(s => new
            {
                s.SensorNo,
                s.Minutes,
                s.From,
            });
        modelBuilder.Entity<PersonRow>().HasIndex(p => p.Name);
        modelBuilder.Entity<AccessNoteRow>().HasIndex(n => n.AtTicks);
        modelBuilder.Entity<SessionRow>().HasIndex(s => s.PersonId);
        modelBuilder.Entity<SitterLinkRow>().HasIndex(l => l.TokenHash).IsUnique();
        modelBuilder.Entity<ClimateRow>().HasIndex(c => new { c.Zone, c.Ticks }).IsUnique();
        modelBuilder.Entity<ClimateRow>().HasIndex(c => c.ReadingId).IsUnique();
        modelBuilder.Entity<OverrideRow>().HasIndex(o => o.EndedTicks);
        modelBuilder.Entity<PictureRow>().HasIndex(p => p.StockId);
        modelBuilder.Entity<RoomRow>().Property(r => r.Id).ValueGeneratedNever();
    }

    private static void SideJournal<TRow>(ModelBuilder model)
        where TRow : SideRow =>
        model.Entity<TRow>(entry =>
        {
            entry.HasKey(e => e.Sequence);
            entry.Property(e => e.Sequence).ValueGeneratedOnAdd();
            entry.HasIndex(e => e.Id).IsUnique();
        });
}
