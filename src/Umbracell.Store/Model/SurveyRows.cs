using Umbracell.Core.Airtightness;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Store.Figures;

namespace Umbracell.Store.Model;

/// <summary>A row that belongs to a job.</summary>
public interface IJobRow : IFirmRow
{
    Guid JobId { get; set; }
}

/// <summary>Something found on a surface that bears on the work.</summary>
public sealed class SiteNoteRow : IFirmRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid SurfaceId { get; set; }

    public SiteNoteKind Kind { get; set; }

    public string Words { get; set; } = "";

    /// <summary>Leaks: what was traced, upward from where it shows.</summary>
    public string Traced { get; set; } = "";

    /// <summary>Leaks: days since it last rained when they were traced.</summary>
    public int? DaysSinceRain { get; set; }

    /// <summary>Flues, lights, wiring: clearance to be kept.</summary>
    public double? ClearanceM { get; set; }

    /// <summary>When it was mended, cleared or taken out; null while it is open.</summary>
    public DateTimeOffset? MendedAt { get; set; }

    public string MendedBy { get; set; } = "";

    public DateTimeOffset NotedAt { get; set; }

    /// <summary>When it arrived; later than it was noted where there was no connection.</summary>
    public DateTimeOffset ReceivedAt { get; set; }

    public string NotedBy { get; set; } = "";

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [SurfaceId];

    public uint Version { get; set; }
}

/// <summary>A joint between two surfaces, or between a surface and another layer.</summary>
public sealed class JointRow : IJobRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public Guid FirstId { get; set; }

    public Guid? SecondId { get; set; }

    /// <summary>What the surface meets where that is no surface of the job.</summary>
    public string Beyond { get; set; } = "";

    public JointKind Kind { get; set; }

    public Handover Water { get; set; }

    public Handover Air { get; set; }

    public Handover Vapour { get; set; }

    public Handover Heat { get; set; }

    public string How { get; set; } = "";

    public string DoneBy { get; set; } = "";

    public bool Ready { get; set; }

    public string SeenBy { get; set; } = "";

    public DateTimeOffset? SeenAt { get; set; }

    /// <summary>A suggestion that was looked at: the two do not meet.</summary>
    public bool DoNotMeet { get; set; }

    public uint Version { get; set; }

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => SecondId is { } second ? [FirstId, second] : [FirstId];
}

/// <summary>Why they called.</summary>
public sealed class ComplaintRow : IJobRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public ComplaintKind Kind { get; set; }

    public string Place { get; set; } = "";

    public string Words { get; set; } = "";

    public Guid[] Suspects { get; set; } = [];

    public DateTimeOffset MadeAt { get; set; }

    public uint Version { get; set; }
}

/// <summary>Who does an item of the preparation list, by when, and whether it is done.</summary>
public sealed class PreparationRow : IJobRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    /// <summary>The surface; null where the item is done once for the job.</summary>
    public Guid? SurfaceId { get; set; }

    public PreparationItem Item { get; set; }

    public string AssignedTo { get; set; } = "";

    public DateOnly? DueOn { get; set; }

    public DateTimeOffset? DoneAt { get; set; }

    public string DoneBy { get; set; } = "";

    /// <summary>When it was last ticked or unticked; of two, the later stands, whichever arrives first. Null where it never was.</summary>
    public DateTimeOffset? TickedAt { get; set; }

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [SurfaceId ?? JobId];

    public uint Version { get; set; }
}

/// <summary>A picture, with where it was taken removed.</summary>
public sealed class PhotoRow : IJobRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public Guid? SurfaceId { get; set; }

    /// <summary>The test shot it shows; null for any other photo.</summary>
    public Guid? TestShotId { get; set; }

    /// <summary>The entry of the spray log it shows; null for any other photo.</summary>
    public Guid? LogEntryId { get; set; }

    public string Caption { get; set; } = "";

    public required string ContentType { get; set; }

    public required byte[] Bytes { get; set; }

    public required byte[] Thumbnail { get; set; }

    public int Width { get; set; }

    public int Height { get; set; }

    public DateTimeOffset AddedAt { get; set; }

    /// <summary>When it arrived; later than it was added where there was no connection.</summary>
    public DateTimeOffset ReceivedAt { get; set; }

    public string AddedBy { get; set; } = "";

    public uint Version { get; set; }
}

/// <summary>Before or after the work.</summary>
public enum WorkPhase
{
    Before,
    After,
}

/// <summary>A fan test as taken down.</summary>
public sealed class FanTestRow : IJobRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public WorkPhase Phase { get; set; }

    public FanDirection Direction { get; set; }

    public double IndoorC { get; set; } = 20;

    public double OutdoorC { get; set; } = 10;

    public double? VolumeM3 { get; set; }

    public double ZeroBeforePa { get; set; }

    public double ZeroAfterPa { get; set; }

    public double[] PressuresPa { get; set; } = [];

    public double[] FlowsM3S { get; set; } = [];

    public string Words { get; set; } = "";

    public DateTimeOffset TakenAt { get; set; }

    public string TakenBy { get; set; } = "";

    public uint Version { get; set; }
}

/// <summary>A spot read off a thermal picture.</summary>
public sealed class ThermalSpot
{
    public string Label { get; set; } = "";

    public int Row { get; set; }

    public int Column { get; set; }
}

/// <summary>A thermal picture as a grid of temperatures, with the conditions it was taken in.</summary>
public sealed class ThermalPictureRow : IJobRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public Guid? SurfaceId { get; set; }

    public required string Name { get; set; }

    public WorkPhase Phase { get; set; }

    public int Rows { get; set; }

    public int Columns { get; set; }

    /// <summary>°C, row by row from the top.</summary>
    public float[] TempsC { get; set; } = [];

    public double IndoorC { get; set; }

    public double OutdoorC { get; set; }

    /// <summary>Fan state, heating, sun and wind, in words.</summary>
    public string Conditions { get; set; } = "";

    public List<ThermalSpot> Spots { get; } = [];

    public DateTimeOffset TakenAt { get; set; }

    public string TakenBy { get; set; } = "";

    public uint Version { get; set; }
}

/// <summary>Temperatures and humidities of a data logger.</summary>
public sealed class LoggerSeriesRow : IJobRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public Guid? SurfaceId { get; set; }

    public required string Name { get; set; }

    /// <summary>Whether it hung outdoors: it then corrects the hours ahead.</summary>
    public bool Outdoors { get; set; }

    /// <summary>Seconds since 1970, rising.</summary>
    public long[] Times { get; set; } = [];

    public double[] TempsC { get; set; } = [];

    /// <summary>Percent over water; as long as <see cref="TempsC"/>.</summary>
    public double[] RhPct { get; set; } = [];

    public DateTimeOffset AddedAt { get; set; }

    public string AddedBy { get; set; } = "";
}

/// <summary>A space beside the rooms that is neither heated nor cooled.</summary>
public sealed class BufferSpaceRow : IJobRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public required string Name { get; set; }

    public BufferKind Kind { get; set; }

    public double VolumeM3 { get; set; }

    public double AirChanges { get; set; } = 3;

    /// <summary>Air changes once the line is moved.</summary>
    public double AirChangesPlanned { get; set; } = 3;

    /// <summary>Conductance to outdoors through what is no surface of the job, W/K.</summary>
    public double OtherLossWK { get; set; }

    public double DuctLossW { get; set; }

    public uint Version { get; set; }
}

/// <summary>A template of the firm's own.</summary>
public sealed class TemplateRow : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public required string Name { get; set; }

    public SurfaceKind Kind { get; set; }

    /// <summary>Its JSON, in the shape of the shipped templates.</summary>
    public required string Document { get; set; }

    public uint Version { get; set; }
}

/// <summary>How the columns of a kind of spreadsheet were mapped last time.</summary>
public sealed class ColumnMappingRow : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    /// <summary>The header line, as a hash.</summary>
    public required string Signature { get; set; }

    public required string Document { get; set; }

    public uint Version { get; set; }
}
