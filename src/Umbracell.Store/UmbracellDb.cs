using Microsoft.AspNetCore.DataProtection.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Store;

/// <summary>The database as seen by one firm.</summary>
public sealed class UmbracellDb(DbContextOptions<UmbracellDb> options, FirmScope scope) : DbContext(options), IDataProtectionKeyContext
{
    public DbSet<Firm> Firms => Set<Firm>();

    public DbSet<Person> People => Set<Person>();

    public DbSet<ApiToken> ApiTokens => Set<ApiToken>();

    public DbSet<SheetRow> Sheets => Set<SheetRow>();

    public DbSet<Job> Jobs => Set<Job>();

    public DbSet<Surface> Surfaces => Set<Surface>();

    public DbSet<ReadingRow> Readings => Set<ReadingRow>();

    public DbSet<DataProtectionKey> DataProtectionKeys => Set<DataProtectionKey>();

    private Guid? CurrentFirm => scope.FirmId;

    public override Task<int> SaveChangesAsync(bool acceptAllChangesOnSuccess, CancellationToken cancellationToken = default)
    {
        foreach (var row in ChangeTracker.Entries<IFirmRow>().Where(entry => entry.State == EntityState.Added))
        {
            row.Entity.FirmId = CurrentFirm ?? throw new InvalidOperationException("No row can be written before a firm is entered.");
        }

        return base.SaveChangesAsync(acceptAllChangesOnSuccess, cancellationToken);
    }

    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder) =>
        configurationBuilder.Properties<Enum>().HaveConversion<string>().HaveMaxLength(40);

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<Firm>(firm =>
        {
            firm.Property(f => f.Name).HasMaxLength(200);
            firm.HasQueryFilter(f => f.Id == CurrentFirm);
        });
        modelBuilder.Entity<Person>(person =>
        {
            person.HasOne<Firm>().WithMany().HasForeignKey(p => p.FirmId);
            person.HasIndex(p => p.NormalizedSignInName).IsUnique();

            // At sign-in the firm is not yet known: the one person being checked is let through, here and in the row policy.
            person.HasQueryFilter(p => p.FirmId == CurrentFirm || p.NormalizedSignInName == scope.SignInName);
        });
        modelBuilder.Entity<ApiToken>(token =>
        {
            token.HasOne<Firm>().WithMany().HasForeignKey(t => t.FirmId);
            token.HasIndex(t => t.Hash).IsUnique();
            token.HasQueryFilter(t => t.FirmId == CurrentFirm || t.Hash == scope.TokenHash);
        });
        modelBuilder.Entity<SheetRow>(sheet =>
        {
            sheet.HasOne<Firm>().WithMany().HasForeignKey(s => s.FirmId);
            sheet.HasIndex(s => new { s.FirmId, s.Slug }).IsUnique();
            sheet.Property(s => s.Document).HasColumnType("jsonb");
            sheet.HasQueryFilter(s => s.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<Job>(job =>
        {
            job.HasOne<Firm>().WithMany().HasForeignKey(j => j.FirmId);
            job.HasAlternateKey(j => new { j.FirmId, j.Id });
            job.Property(j => j.Name).HasMaxLength(200);
            job.Property(j => j.Version).IsRowVersion();
            job.HasQueryFilter(j => j.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<Surface>(surface =>
        {
            surface.HasAlternateKey(s => new { s.FirmId, s.Id });
            surface.HasOne<Job>().WithMany(j => j.Surfaces).HasForeignKey(s => new { s.FirmId, s.JobId }).HasPrincipalKey(j => new { j.FirmId, j.Id });
            surface.HasIndex(s => new { s.JobId, s.Position });
            surface.Property(s => s.Name).HasMaxLength(200);
            surface.Property(s => s.OpenLeak).HasMaxLength(500);
            surface.PrimitiveCollection(s => s.Prepared).ElementType().HasConversion<string>();
            surface.Property(s => s.Version).IsRowVersion();
            surface.OwnsOne(s => s.Assembly, assembly =>
            {
                assembly.ToJson();
                assembly.OwnsMany(a => a.Outboard);
                assembly.OwnsMany(a => a.Inboard);
                assembly.OwnsOne(a => a.Baffle);
            });
            surface.HasQueryFilter(s => s.FirmId == CurrentFirm && s.RemovedAt == null);
        });
        modelBuilder.Entity<OpeningRow>(opening =>
        {
            opening.ToTable("surface_openings");
            opening.HasOne<Surface>().WithMany(s => s.Openings).HasForeignKey(o => new { o.FirmId, o.SurfaceId }).HasPrincipalKey(s => new { s.FirmId, s.Id });
            opening.HasQueryFilter(o => o.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<ReadingRow>(reading =>
        {
            reading.HasOne<Job>().WithMany().HasForeignKey(r => new { r.FirmId, r.JobId }).HasPrincipalKey(j => new { j.FirmId, j.Id });
            reading.HasOne<Surface>().WithMany().HasForeignKey(r => new { r.FirmId, r.SurfaceId }).HasPrincipalKey(s => new { s.FirmId, s.Id }).OnDelete(DeleteBehavior.Cascade);
            reading.HasIndex(r => new { r.JobId, r.TakenAt });
            reading.HasQueryFilter(r => r.FirmId == CurrentFirm);
        });
    }
}
