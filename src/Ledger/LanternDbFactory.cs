using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace Ledger;

/// <summary>Lets the migration tool build a context; never used at run time.</summary>
public sealed class LanternDbFactory : IDesignTimeDbContextFactory<LanternDb>
{
    /// <inheritdoc/>
    public LanternDb CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<LanternDb>().UseSqlite("Data Source=design-time.db").Options);
}
