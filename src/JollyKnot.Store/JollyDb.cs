using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Design;

namespace JollyKnot.Store;

// Rows. Documents are JSON of Core's records; columns beside them are what is searched by.
internal sealed class DoughRow
{
    public Guid Id { get; set; }
    public required string Name { get; set; }
    public int Version { get; set; }
    public required string Document { get; set; }

    // Name and ingredients, folded: what a search looks through, and in whose order they stand.
    public string Words { get; set; } = "";
    public DateTime UpdatedAt { get; set; }
    public DateTime? DeletedAt { get; set; }
}

internal sealed class DoughVersionRow
{
    public Guid DoughId { get; set; }
    public int Version { get; set; }
    public required string Document { get; set; }
    public DateTime SavedAt { get; set; }
}

internal sealed class BakeRow
{
    public Guid Id { get; set; }
    public required string Document { get; set; }
    public DateTime CreatedAt { get; set; }
    public DateTime? ClosedAt { get; set; }

    // The bake as it was when it closed; null while it is open.
    public string? Closed { get; set; }
}

internal sealed class EventRow
{
    public Guid Id { get; set; }
    public Guid BakeId { get; set; }
    public int Position { get; set; }
    public DateTime ToldAt { get; set; }
    public required string Document { get; set; }
}

internal sealed class SettingRow
{
    public required string Key { get; set; }
    public required string Document { get; set; }
}

internal sealed class JollyDb(DbContextOptions<JollyDb> options) : DbContext(options)
{
    public DbSet<DoughRow> Doughs => Set<DoughRow>();
    public DbSet<DoughVersionRow> DoughVersions => Set<DoughVersionRow>();
    public DbSet<BakeRow> Bakes => Set<BakeRow>();
    public DbSet<EventRow> Events => Set<EventRow>();
    public DbSet<SettingRow> Settings => Set<SettingRow>();

    protected override void OnModelCreating(ModelBuilder model)
    {
        model.Entity<DoughRow>().HasIndex(d => d.Name);
        model.Entity<DoughVersionRow>().HasKey(v => new { v.DoughId, v.Version });
        model
            .Entity<DoughVersionRow>()
            .HasOne<DoughRow>()
            .WithMany()
            .HasForeignKey(v => v.DoughId)
            .OnDelete(DeleteBehavior.Restrict);
        model.Entity<BakeRow>().HasIndex(b => b.ClosedAt);
        model.Entity<EventRow>().HasIndex(e => new { e.BakeId, e.Position }).IsUnique();
        model.Entity<EventRow>().HasOne<BakeRow>().WithMany().HasForeignKey(e => e.BakeId).OnDelete(DeleteBehavior.Restrict);
        model.Entity<SettingRow>().HasKey(s => s.Key);
    }
}

// Used only when a migration is written.
internal sealed class DesignTime : IDesignTimeDbContextFactory<JollyDb>
{
    public JollyDb CreateDbContext(string[] args) =>
        new(new DbContextOptionsBuilder<JollyDb>().UseSqlite("Data Source=design.db").Options);
}
