using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using Umbracell.Documents;
using Umbracell.Store.Model;

namespace Umbracell.Store;

/// <content>How rigs are set and run, what is fired with them, and what is sprayed.</content>
public sealed partial class UmbracellDb
{
    private void OfRigs(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<RigSettingRow>(setting =>
        {
            OfJob(setting);
            OfRig(setting, nameof(RigSettingRow.RigId));
            setting.Property(s => s.SheetSlug).HasMaxLength(60);
            setting.Property(s => s.Tip).HasMaxLength(RigSettingRow.LongestTip);
            setting.Property(s => s.LotA).HasMaxLength(RigSettingRow.LongestLot);
            setting.Property(s => s.LotB).HasMaxLength(RigSettingRow.LongestLot);
            setting
                .HasIndex(s => new
                {
                    s.FirmId,
                    s.RigId,
                    s.Number,
                })
                .IsUnique();
        });
        modelBuilder.Entity<TestShotRow>(shot =>
        {
            OfJob(shot);
            OfRig(shot, nameof(TestShotRow.RigId));
            shot.HasOne<Surface>()
                .WithMany()
                .HasForeignKey(s => new { s.FirmId, s.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id });
            shot.HasMany<PhotoRow>()
                .WithOne()
                .HasForeignKey(p => new { p.FirmId, p.TestShotId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id })
                .OnDelete(DeleteBehavior.Cascade);
            shot.Property(s => s.SheetSlug).HasMaxLength(60);
            shot.Property(s => s.Done).HasMaxLength(400);
            shot.Property(s => s.DoneSince).HasMaxLength(400);
            shot.Property(s => s.Document).AsJson();
            shot.Property(s => s.Version).IsRowVersion();
        });
        modelBuilder.Entity<SprayerCheckRow>(check =>
        {
            OfJob(check);
            OfRig(check, nameof(SprayerCheckRow.RigId));
            check.Property(c => c.Sprayer).HasMaxLength(SprayerCheckRow.LongestName);
        });
        modelBuilder.Entity<LogEntryRow>(entry =>
        {
            OfJob(entry);
            entry
                .HasOne<Surface>()
                .WithMany()
                .HasForeignKey(e => new { e.FirmId, e.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id })
                .OnDelete(DeleteBehavior.Cascade);
            entry
                .HasMany<PhotoRow>()
                .WithOne()
                .HasForeignKey(p => new { p.FirmId, p.LogEntryId })
                .HasPrincipalKey(e => new { e.FirmId, e.Id })
                .OnDelete(DeleteBehavior.Cascade);
            entry.Property(e => e.Document).AsJson();
        });
        OfSequences(modelBuilder);
    }

    private void OfSequences(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<FirmSequenceRow>(own =>
        {
            own.HasOne<Firm>().WithMany().HasForeignKey(s => s.FirmId);
            own.HasIndex(s => new { s.FirmId, s.Kind }).IsUnique();
            own.Property(s => s.Document).AsJson();
            own.Property(s => s.Version).IsRowVersion();
            own.HasQueryFilter(s => s.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<SequenceRunRow>(run =>
        {
            OfRig(run, nameof(SequenceRunRow.RigId));
            run.HasAlternateKey(r => new { r.FirmId, r.Id });
            run.HasOne<Job>()
                .WithMany()
                .HasForeignKey(r => new { r.FirmId, r.JobId })
                .HasPrincipalKey(j => new { j.FirmId, j.Id })
                .OnDelete(DeleteBehavior.Cascade);
            run.Property(r => r.Document).AsJson();
            run.HasQueryFilter(r => r.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<StepMarkRow>(mark =>
        {
            mark.HasOne<SequenceRunRow>()
                .WithMany()
                .HasForeignKey(m => new { m.FirmId, m.RunId })
                .HasPrincipalKey(r => new { r.FirmId, r.Id })
                .OnDelete(DeleteBehavior.Cascade);
            mark.Property(m => m.Step).HasMaxLength(StepDocument.LongestId);
            mark.Property(m => m.Reason).HasMaxLength(StepMarkRow.LongestReason);
            mark.HasIndex(m => new
                {
                    m.FirmId,
                    m.RunId,
                    m.Number,
                })
                .IsUnique();
            mark.HasQueryFilter(m => m.FirmId == CurrentFirm);
        });
    }

    private static void OfRig<T>(EntityTypeBuilder<T> row, string rig)
        where T : class, IFirmRow =>
        row.HasOne<MeansRow>()
            .WithMany()
            .HasForeignKey(nameof(IFirmRow.FirmId), rig)
            .HasPrincipalKey(nameof(MeansRow.FirmId), nameof(MeansRow.Id))
            .OnDelete(DeleteBehavior.Restrict);
}
