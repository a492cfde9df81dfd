using Microsoft.EntityFrameworkCore;
using Umbracell.Documents;
using Umbracell.Store.Figures;
using Umbracell.Store.Model;
using Umbracell.Store.Undo;

namespace Umbracell.Store;

/// <summary>How rows lie in tables, how they hang together, and whose they are.</summary>
public sealed partial class UmbracellDb
{
    /// <summary>A text without accents and capitals, as it is searched: "Café" and "cafe" are the same. Done by the database.</summary>
    public static string PlainText(string text) => throw new NotSupportedException("Only within a query.");

    protected override void OnModelCreating(ModelBuilder modelBuilder)
    {
        modelBuilder.HasDbFunction(() => PlainText("")).HasName("plain_text");
        modelBuilder.Entity<Firm>(firm =>
        {
            firm.Property(f => f.Version).IsRowVersion();
            firm.Property(f => f.Name).HasMaxLength(200);
            firm.Property(f => f.Currency).HasMaxLength(12);
            firm.Property(f => f.Rates).AsJson();
            firm.Property(f => f.Practice).AsJson(DocumentUpgrades.NameSchools);
            firm.Property(f => f.Margins).AsJson();
            firm.Property(f => f.Materials).AsJson();
            firm.HasQueryFilter(f => f.Id == CurrentFirm);
        });
        modelBuilder.Entity<Person>(person =>
        {
            person.HasOne<Firm>().WithMany().HasForeignKey(p => p.FirmId);
            person.HasIndex(p => p.NormalizedSignInName).IsUnique();

            // At sign-in the firm is not yet known: the one person being checked is let through, here and in the row policy.
            person.HasQueryFilter(p => p.FirmId == CurrentFirm || p.NormalizedSignInName == scope.SignInName);
        });
        modelBuilder.Entity<SessionRow>(session =>
        {
            session.ToTable("sessions");
            session.HasOne<Firm>().WithMany().HasForeignKey(s => s.FirmId);
            session.HasOne<Person>().WithMany().HasForeignKey(s => s.PersonId).OnDelete(DeleteBehavior.Cascade);
            session.HasIndex(s => s.SecretHash).IsUnique();
            session.Property(s => s.SecretHash).HasMaxLength(64);
            session.Property(s => s.Device).HasMaxLength(80);
            session.HasQueryFilter(s => s.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<SecondStepRow>(step =>
        {
            step.ToTable("second_steps");
            step.HasKey(s => s.PersonId);
            step.HasOne<Firm>().WithMany().HasForeignKey(s => s.FirmId);
            step.HasOne<Person>().WithOne().HasForeignKey<SecondStepRow>(s => s.PersonId).OnDelete(DeleteBehavior.Cascade);
            step.Property(s => s.Secret).HasMaxLength(400);
            step.Property(s => s.SecretToCome).HasMaxLength(400);
            step.HasQueryFilter(s => s.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<SecurityEventRow>(one =>
        {
            one.ToTable("security_events");
            one.HasOne<Firm>().WithMany().HasForeignKey(e => e.FirmId);
            one.HasIndex(e => new { e.FirmId, e.At });
            one.Property(e => e.By).HasMaxLength(120);
            one.Property(e => e.About).HasMaxLength(200);
            one.HasQueryFilter(e => e.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<SignInTry>(one =>
        {
            one.ToTable("sign_in_tries");
            one.HasKey(t => t.Key);
            one.Property(t => t.Key).HasMaxLength(64);
        });
        modelBuilder.Entity<ApiToken>(token =>
        {
            token.HasOne<Firm>().WithMany().HasForeignKey(t => t.FirmId);
            token.HasIndex(t => t.Hash).IsUnique();
            token.HasQueryFilter(t => t.FirmId == CurrentFirm || t.Hash == scope.TokenHash);
        });
        modelBuilder.Entity<AccessLinkRow>(link =>
        {
            link.ToTable("access_links");
            link.HasOne<Firm>().WithMany().HasForeignKey(l => l.FirmId);
            link.HasOne<Person>().WithMany().HasForeignKey(l => l.PersonId).OnDelete(DeleteBehavior.Cascade);
            link.HasOne<Person>().WithMany().HasForeignKey(l => l.MadeById).OnDelete(DeleteBehavior.Cascade);
            link.HasIndex(l => l.SecretHash).IsUnique();
            link.Property(l => l.SecretHash).HasMaxLength(64);
            link.Property(l => l.Title).HasMaxLength(80);
            link.Property(l => l.MadeBy).HasMaxLength(120);

            // Who opens one belongs to no firm yet: the one whose secret they have is let through, as a token is.
            link.HasQueryFilter(l => l.FirmId == CurrentFirm || l.SecretHash == scope.TokenHash);
        });
        modelBuilder.Entity<CommandRow>(command =>
        {
            command.HasKey(c => new { c.FirmId, c.Id }).HasName(CommandRow.Key);
            command.HasOne<Firm>().WithMany().HasForeignKey(c => c.FirmId);
            command.Property(c => c.By).HasMaxLength(120);
            command.Property(c => c.Policy).HasMaxLength(40);
            command.Property(c => c.Record).HasMaxLength(40);
            command.Property(c => c.Changed).AsJson(ChangedPart.UpgradeDocuments);
            command.HasQueryFilter(c => c.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<SheetRow>(sheet =>
        {
            sheet.HasOne<Firm>().WithMany().HasForeignKey(s => s.FirmId);
            sheet
                .HasIndex(s => new
                {
                    s.FirmId,
                    s.Slug,
                    s.Number,
                })
                .IsUnique();
            sheet.HasIndex(s => new { s.FirmId, s.Slug }, "ix_sheets_standing").IsUnique().HasFilter("stands");
            sheet.Property(s => s.Document).HasColumnType("jsonb");
            sheet.Property(s => s.KeptBy).HasMaxLength(120);
            sheet.Property(s => s.Version).IsRowVersion();
            sheet.HasQueryFilter(s => s.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<Job>(job =>
        {
            job.HasOne<Firm>().WithMany().HasForeignKey(j => j.FirmId);
            job.HasAlternateKey(j => new { j.FirmId, j.Id });
            job.Property(j => j.Name).HasMaxLength(200);
            job.Property(j => j.Version).IsRowVersion();
            job.Property(j => j.Priorities).AsJson();
            job.Property(j => j.Exceptions).AsJson(DocumentUpgrades.NameSchools);
            job.Property(j => j.Pricing).AsJson();
            job.Property(j => j.HeldEditions).AsJson();
            job.HasOne(j => j.OwnPlace)
                .WithMany()
                .HasForeignKey(j => new { j.FirmId, j.OwnPlaceId })
                .HasPrincipalKey(p => new { p.FirmId, p.Id })
                .OnDelete(DeleteBehavior.Restrict);
            job.Navigation(j => j.OwnPlace).AutoInclude();
            job.HasOne(j => j.OwnTargets)
                .WithMany()
                .HasForeignKey(j => new { j.FirmId, j.OwnTargetsId })
                .HasPrincipalKey(t => new { t.FirmId, t.Id })
                .OnDelete(DeleteBehavior.Restrict);
            job.Navigation(j => j.OwnTargets).AutoInclude();
            job.HasOne(j => j.CrewRow)
                .WithMany()
                .HasForeignKey(j => new { j.FirmId, j.CrewId })
                .HasPrincipalKey(m => new { m.FirmId, m.Id })
                .OnDelete(DeleteBehavior.Restrict);
            job.Navigation(j => j.CrewRow).AutoInclude();
            job.Property(j => j.DeletedBy).HasMaxLength(120);
            job.HasQueryFilter(JobFilters.OfFirm, j => j.FirmId == CurrentFirm);
            job.HasQueryFilter(JobFilters.Standing, j => j.DeletedAt == null);
        });
        modelBuilder.Entity<Surface>(surface =>
        {
            surface.HasAlternateKey(s => new { s.FirmId, s.Id });
            surface
                .HasOne<Job>()
                .WithMany(j => j.Surfaces)
                .HasForeignKey(s => new { s.FirmId, s.JobId })
                .HasPrincipalKey(j => new { j.FirmId, j.Id });
            surface.HasIndex(s => new { s.JobId, s.Position });
            surface.Property(s => s.Name).HasMaxLength(200);
            surface.Property(s => s.Version).IsRowVersion();
            surface.Property(s => s.Assembly).AsJson(DocumentUpgrades.DropOwnVersion);
            surface.Property(s => s.Details).AsJson(DocumentUpgrades.DropOwnVersion);
            surface.Property(s => s.System).AsJson(DocumentUpgrades.NameFurtherLayers);
            surface.Property(s => s.ChoiceFacts).AsJson();
            surface.Ignore(s => s.OpenLeak);
            surface.HasQueryFilter(s => s.FirmId == CurrentFirm && s.RemovedAt == null);
        });
        modelBuilder.Entity<OpeningRow>(opening =>
        {
            opening.ToTable("surface_openings");
            opening
                .HasOne<Surface>()
                .WithMany(s => s.Openings)
                .HasForeignKey(o => new { o.FirmId, o.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id });
            opening.HasQueryFilter(o => o.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<ReadingRow>(reading =>
        {
            reading.HasOne<Job>().WithMany().HasForeignKey(r => new { r.FirmId, r.JobId }).HasPrincipalKey(j => new { j.FirmId, j.Id });
            reading
                .HasOne<Surface>()
                .WithMany()
                .HasForeignKey(r => new { r.FirmId, r.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id })
                .OnDelete(DeleteBehavior.Cascade);
            reading.Ignore(r => r.Measured);
            reading.Ignore(r => r.StatedError);
            reading.ToTable(t =>
            {
                t.HasCheckConstraint("ck_readings_one_value", "num_nonnulls(temp_c, percent, found_dry) = 1");
                t.HasCheckConstraint(
                    "ck_readings_error_of_value",
                    "(error_k is null or temp_c is not null) and (error_points is null or percent is not null)"
                );
                t.HasCheckConstraint("ck_readings_raw_of_wood", "raw_percent is null or kind = 'WoodMoisture'");
            });
            reading.HasIndex(r => new { r.JobId, r.TakenAt });

            // The newest of each kind is found in this order, without sorting all that were ever taken.
            reading
                .HasIndex(r => new
                {
                    r.JobId,
                    r.SurfaceId,
                    r.SheetSlug,
                    r.Kind,
                    r.Instrument,
                    r.Place,
                    r.TakenAt,
                })
                .IsDescending(false, false, false, false, false, false, true)
                .HasDatabaseName("ix_readings_newest");
            reading.HasQueryFilter(r => r.FirmId == CurrentFirm);
        });
        OfPlacesAndTargets(modelBuilder);
        OfMaterial(modelBuilder);
        OfSurvey(modelBuilder);
        OfRigs(modelBuilder);
        OfFigures(modelBuilder);
    }

    private void OfFigures(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<InputVersion>(input =>
        {
            input.HasKey(i => new { i.FirmId, i.SubjectId });
            input.HasOne<Firm>().WithMany().HasForeignKey(i => i.FirmId);
            input.HasQueryFilter(i => i.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<SurfaceCellsRow>(cells =>
        {
            cells.ToTable("surface_cells");
            cells.HasKey(c => c.SurfaceId);
            OfJob(cells);
            cells
                .HasOne<Surface>()
                .WithMany()
                .HasForeignKey(c => new { c.FirmId, c.SurfaceId })
                .HasPrincipalKey(s => new { s.FirmId, s.Id })
                .OnDelete(DeleteBehavior.Cascade);
            cells.Property(c => c.MadeFrom).HasMaxLength(120);
            cells.Property(c => c.Document).HasColumnType("jsonb");
        });
        modelBuilder.Entity<JobSumsRow>(sums =>
        {
            sums.ToTable("job_sums");
            sums.HasKey(s => s.JobId);
            OfJob(sums);
            sums.Property(s => s.MadeFrom).HasMaxLength(120);
            sums.Property(s => s.Document).HasColumnType("jsonb");
        });
    }

    private void OfMaterial(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<StockLotRow>(lot =>
        {
            lot.HasOne<Firm>().WithMany().HasForeignKey(l => l.FirmId);
            lot.Property(l => l.Lot).HasMaxLength(60);
            lot.Property(l => l.SheetSlug).HasMaxLength(60);
            lot.Property(l => l.Version).IsRowVersion();
            lot.HasQueryFilter(l => l.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<PastJobRow>(job =>
        {
            job.HasOne<Firm>().WithMany().HasForeignKey(j => j.FirmId);
            job.Property(j => j.Name).HasMaxLength(200);
            job.HasOne(j => j.CrewRow)
                .WithMany()
                .HasForeignKey(j => new { j.FirmId, j.CrewId })
                .HasPrincipalKey(m => new { m.FirmId, m.Id })
                .OnDelete(DeleteBehavior.Restrict);
            job.Navigation(j => j.CrewRow).AutoInclude();
            job.Property(j => j.SheetSlug).HasMaxLength(60);
            job.Property(j => j.LeftOutBecause).HasMaxLength(300);

            // Of each product of a job its log makes one.
            job.HasIndex(j => new
                {
                    j.FirmId,
                    j.JobId,
                    j.SheetSlug,
                })
                .IsUnique()
                .HasFilter("job_id is not null");
            job.Property(j => j.Version).IsRowVersion();
            job.HasIndex(j => new { j.FirmId, j.FinishedOn });
            job.HasQueryFilter(j => j.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<MeansRow>(means =>
        {
            means.HasOne<Firm>().WithMany().HasForeignKey(m => m.FirmId);
            means.HasAlternateKey(m => new { m.FirmId, m.Id });
            means
                .HasIndex(m => new
                {
                    m.FirmId,
                    m.Kind,
                    m.Name,
                })
                .IsUnique();
            means.Property(m => m.Name).HasMaxLength(MeansRow.LongestName);
            means.Property(m => m.Document).AsJson();
            means
                .HasOne<MeansRow>()
                .WithMany()
                .HasForeignKey(m => new { m.FirmId, m.CrewId })
                .HasPrincipalKey(m => new { m.FirmId, m.Id })
                .OnDelete(DeleteBehavior.Restrict);
            means.Property(m => m.Version).IsRowVersion();
            means.HasQueryFilter(m => m.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<BidRow>(bid =>
        {
            OfJob(bid);
            bid.Property(b => b.MadeBy).HasMaxLength(120);
            bid.Property(b => b.Document).AsJson();
            bid.HasIndex(b => new { b.JobId, b.MadeAt });
        });
        modelBuilder.Entity<PaperRow>(paper =>
        {
            OfJob(paper);
            paper.Property(p => p.MadeBy).HasMaxLength(120);
            paper.Property(p => p.Document).AsJson();
            paper.HasIndex(p => new { p.JobId, p.MadeAt });
        });
    }

    private void OfPlacesAndTargets(ModelBuilder modelBuilder)
    {
        modelBuilder.Entity<TargetSetRow>(set =>
        {
            set.HasOne<Firm>().WithMany().HasForeignKey(t => t.FirmId);
            set.Property(t => t.Edition).HasMaxLength(120);
            set.Property(t => t.BasedOn).HasMaxLength(60);
            set.Property(t => t.GreatestU).AsJson();
            set.Property(t => t.Version).IsRowVersion();
            set.HasQueryFilter(t => t.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<PlaceRow>(place =>
        {
            place.HasOne<Firm>().WithMany().HasForeignKey(p => p.FirmId);
            place.Property(p => p.Name).HasMaxLength(120);
            place.Property(p => p.Source).HasMaxLength(200);
            place.Property(p => p.TimeZone).HasMaxLength(60);
            place.Property(p => p.Version).IsRowVersion();
            place.HasQueryFilter(p => p.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<ForecastRow>(forecast =>
        {
            forecast.HasOne<Firm>().WithMany().HasForeignKey(f => f.FirmId);
            forecast.Property(f => f.Source).HasMaxLength(60);
            forecast
                .HasIndex(f => new
                {
                    f.FirmId,
                    f.North,
                    f.East,
                    f.IssuedAt,
                    f.Source,
                })
                .IsUnique();
            forecast.HasQueryFilter(f => f.FirmId == CurrentFirm);
        });
        modelBuilder.Entity<PlaceHoursRow>(hours =>
        {
            hours.HasKey(h => h.PlaceId);
            hours
                .HasOne<PlaceRow>()
                .WithOne()
                .HasForeignKey<PlaceHoursRow>(h => new { h.FirmId, h.PlaceId })
                .HasPrincipalKey<PlaceRow>(p => new { p.FirmId, p.Id })
                .OnDelete(DeleteBehavior.Cascade);
            hours.HasQueryFilter(h => h.FirmId == CurrentFirm);
        });
    }
}
