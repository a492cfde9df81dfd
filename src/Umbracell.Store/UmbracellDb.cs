using Microsoft.AspNetCore.DataProtection.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore;
using Umbracell.Store.Figures;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;
using Umbracell.Store.Undo;

namespace Umbracell.Store;

/// <summary>The database as seen by one firm.</summary>
public sealed partial class UmbracellDb(DbContextOptions<UmbracellDb> options, FirmScope scope)
    : DbContext(options),
        IDataProtectionKeyContext
{
    public DbSet<Firm> Firms => Set<Firm>();

    public DbSet<Person> People => Set<Person>();

    public DbSet<ApiToken> ApiTokens => Set<ApiToken>();

    public DbSet<SheetRow> Sheets => Set<SheetRow>();

    public DbSet<Job> Jobs => Set<Job>();

    public DbSet<Surface> Surfaces => Set<Surface>();

    public DbSet<ReadingRow> Readings => Set<ReadingRow>();

    public DbSet<SiteNoteRow> SiteNotes => Set<SiteNoteRow>();

    public DbSet<JointRow> Joints => Set<JointRow>();

    public DbSet<ComplaintRow> Complaints => Set<ComplaintRow>();

    public DbSet<PreparationRow> Preparation => Set<PreparationRow>();

    public DbSet<PhotoRow> Photos => Set<PhotoRow>();

    public DbSet<FanTestRow> FanTests => Set<FanTestRow>();

    public DbSet<ThermalPictureRow> ThermalPictures => Set<ThermalPictureRow>();

    public DbSet<LoggerSeriesRow> LoggerSeries => Set<LoggerSeriesRow>();

    public DbSet<BufferSpaceRow> BufferSpaces => Set<BufferSpaceRow>();

    public DbSet<TemplateRow> Templates => Set<TemplateRow>();

    public DbSet<ColumnMappingRow> ColumnMappings => Set<ColumnMappingRow>();

    public DbSet<PlaceRow> Places => Set<PlaceRow>();

    public DbSet<PlaceHoursRow> PlaceHours => Set<PlaceHoursRow>();

    public DbSet<ForecastRow> Forecasts => Set<ForecastRow>();

    public DbSet<TargetSetRow> TargetSets => Set<TargetSetRow>();

    public DbSet<StockLotRow> StockLots => Set<StockLotRow>();

    public DbSet<MeansRow> Means => Set<MeansRow>();

    public DbSet<RigSettingRow> RigSettings => Set<RigSettingRow>();

    public DbSet<TestShotRow> TestShots => Set<TestShotRow>();

    public DbSet<LogEntryRow> SprayLog => Set<LogEntryRow>();

    public DbSet<SprayerCheckRow> SprayerChecks => Set<SprayerCheckRow>();

    public DbSet<FirmSequenceRow> FirmSequences => Set<FirmSequenceRow>();

    public DbSet<SequenceRunRow> SequenceRuns => Set<SequenceRunRow>();

    public DbSet<StepMarkRow> StepMarks => Set<StepMarkRow>();

    public DbSet<PastJobRow> PastJobs => Set<PastJobRow>();

    public DbSet<BidRow> Bids => Set<BidRow>();

    public DbSet<PaperRow> Papers => Set<PaperRow>();

    public DbSet<InputVersion> InputVersions => Set<InputVersion>();

    public DbSet<SurfaceCellsRow> SurfaceCells => Set<SurfaceCellsRow>();

    public DbSet<JobSumsRow> JobSums => Set<JobSumsRow>();

    public DbSet<CommandRow> Commands => Set<CommandRow>();

    public DbSet<DataProtectionKey> DataProtectionKeys => Set<DataProtectionKey>();

    private Guid? CurrentFirm => scope.FirmId;

    private readonly List<(CommandRow Command, object Record, RecordState Before)> _noted = [];

    /// <summary>Notes a command, and with it what is changed from now on of the record it edits.</summary>
    /// <param name="command">The command.</param>
    /// <param name="record">The record, read with the rows that are edited as a part of it; null where none is edited.</param>
    public void Note(CommandRow command, object? record)
    {
        Commands.Add(command);
        if (record is not null)
        {
            (command.Record, command.RecordId) = (record.GetType().Name, (Guid)Entry(record).Property("Id").CurrentValue!);
            _noted.Add((command, record, RecordState.Of(this, record)));
        }
    }

    public override async Task<int> SaveChangesAsync(bool acceptAllChangesOnSuccess, CancellationToken cancellationToken = default)
    {
        foreach (var row in ChangeTracker.Entries<IFirmRow>().Where(entry => entry.State == EntityState.Added))
        {
            row.Entity.FirmId = Firm();
        }

        foreach (var (command, record, before) in _noted)
        {
            command.Changed = RecordState.Between(before, RecordState.Of(this, record));
        }

        var changed = ChangedInputs.Of(ChangeTracker);
        if (changed.Length == 0)
        {
            return await base.SaveChangesAsync(acceptAllChangesOnSuccess, cancellationToken);
        }

        await using var own = Database.CurrentTransaction is null ? await Database.BeginTransactionAsync(cancellationToken) : null;
        var written = await base.SaveChangesAsync(acceptAllChangesOnSuccess, cancellationToken);
        await ChangedInputs.CountAsync(this, CurrentFirm!.Value, changed, cancellationToken);
        if (own is not null)
        {
            await own.CommitAsync(cancellationToken);
        }

        return written;
    }

    /// <summary>Writes many new rows of a kind within the open transaction, without tracking them: they are as new to who reads them next
    /// as rows of another.</summary>
    /// <param name="rows">The rows, seen once, in order.</param>
    /// <param name="cancellationToken">Breaks off.</param>
    /// <exception cref="InvalidOperationException">No transaction is open, or no firm is entered.</exception>
    /// <exception cref="NotSupportedException">The rows have parts of their own.</exception>
    public Task AddManyAsync<TRow>(IEnumerable<TRow> rows, CancellationToken cancellationToken = default)
        where TRow : class, IFirmRow, IFigureInput =>
        Database.CurrentTransaction is null
            ? throw new InvalidOperationException("Many rows are written in a transaction, so that all of them stand or none.")
            : ManyRows.AddAsync(this, Firm(), rows, cancellationToken);

    /// <summary>Adds a row that rows which stand are to name: it belongs to the firm at once, and not only once it is written.</summary>
    /// <param name="row">The row.</param>
    /// <exception cref="InvalidOperationException">No firm is entered.</exception>
    public void AddNamed(IFirmRow row)
    {
        row.FirmId = Firm();
        Add(row);
    }

    private Guid Firm() => CurrentFirm ?? throw new InvalidOperationException("No row can be written before a firm is entered.");

    protected override void ConfigureConventions(ModelConfigurationBuilder configurationBuilder) =>
        configurationBuilder.Properties<Enum>().HaveConversion<string>().HaveMaxLength(40);
}
