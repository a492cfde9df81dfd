using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.Metadata.Builders;
using Umbracell.Store.Model;

namespace Umbracell.Store;

/// <content>What a survey holds beside its surfaces.</content>
public sealed partial class UmbracellDb
{
    private void OfSurvey(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<SiteNoteRow>(note =>
        {
            note.Property(n => n.Version).IsRowVersion();
            note.HasOne<Surface>()
                .WithMany(s => s.Notes)
                .HasForeignKey(n => new { n.FirmId, n.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id });
            note.Property(n => n.Words).HasMaxLength(500);
            note.HasQueryFilter(n => n.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<JointRow>(joint =>
        {
            OfJob(joint);
            joint.HasOne<Surface>().WithMany().HasForeignKey(j => new { j.FirmId, j.FirstId }).HasPrincipalKey(s => new { s.FirmId, s.Id });
            joint
                .HasOne<Surface>()
                .WithMany()
                .HasForeignKey(j => new { j.FirmId, j.SecondId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id });
            joint.Property(j => j.Version).IsRowVersion();
        });
        modelBuilder.Entity<ComplaintRow>(complaint =>
        {
            OfJob(complaint);
            complaint.Property(c => c.Version).IsRowVersion();
        });
        modelBuilder.Entity<PreparationRow>(mark =>
        {
            OfJob(mark);
            mark.ToTable("preparation_marks");
            mark.Property(m => m.Version).IsRowVersion();
            mark.HasOne<Surface>()
                .WithMany()
                .HasForeignKey(m => new { m.FirmId, m.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id });
            mark.HasIndex(m => new
                {
                    m.JobId,
                    m.SurfaceId,
                    m.Item,
                })
                .IsUnique()
                .AreNullsDistinct(false);
        });
        modelBuilder.Entity<PhotoRow>(photo =>
        {
            OfJob(photo);
            photo.Property(p => p.Version).IsRowVersion();
            photo
                .HasOne<Surface>()
                .WithMany()
                .HasForeignKey(p => new { p.FirmId, p.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id });
        });
        modelBuilder.Entity<FanTestRow>(test =>
        {
            OfJob(test);
            test.Property(t => t.Version).IsRowVersion();
        });
        modelBuilder.Entity<ThermalPictureRow>(picture =>
        {
            OfJob(picture);
            picture
                .HasOne<Surface>()
                .WithMany()
                .HasForeignKey(p => new { p.FirmId, p.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id });
            picture.OwnsMany(p => p.Spots, spots => spots.ToJson());
            picture.Property(p => p.Version).IsRowVersion();
        });
        modelBuilder.Entity<LoggerSeriesRow>(series =>
        {
            OfJob(series);
            series
                .HasOne<Surface>()
                .WithMany()
                .HasForeignKey(s => new { s.FirmId, s.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id });
        });
        modelBuilder.Entity<BufferSpaceRow>(space =>
        {
            OfJob(space);
            space.Property(s => s.Version).IsRowVersion();
        });
        modelBuilder.Entity<TemplateRow>(template =>
        {
            template.ToTable("surface_templates");
            template.HasOne<Firm>().WithMany().HasForeignKey(t => t.FirmId);
            template.Property(t => t.Document).HasColumnType("jsonb");
            template.Property(t => t.Version).IsRowVersion();
            template.HasQueryFilter(t => t.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<ColumnMappingRow>(mapping =>
        {
            mapping.HasOne<Firm>().WithMany().HasForeignKey(m => m.FirmId);
            mapping.HasIndex(m => new { m.FirmId, m.Signature }).IsUnique();
            mapping.Property(m => m.Document).HasColumnType("jsonb");
            mapping.Property(m => m.Version).IsRowVersion();
            mapping.HasQueryFilter(m => m.FirmId == CurrentFirm);
        });
    }

    // A record of a job: bound to it within its firm, and seen by that firm alone.
    private void OfJob<T>(EntityTypeBuilder<T> row)
        where T : class, IJobRow
    {
        row.HasOne<Job>()
            .WithMany()
            .HasForeignKey(nameof(IJobRow.FirmId), nameof(IJobRow.JobId))
            .HasPrincipalKey(nameof(IJobRow.FirmId), nameof(Job.Id))
            .OnDelete(DeleteBehavior.Cascade);
        row.HasQueryFilter(r => r.FirmId == CurrentFirm);
    }
}
