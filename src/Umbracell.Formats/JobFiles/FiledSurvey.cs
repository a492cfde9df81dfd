using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;

namespace Umbracell.Formats.JobFiles;

/// <summary>A reading.</summary>
public sealed record FiledReading
{
    public required Guid? SurfaceId { get; init; }

    public required string? SheetId { get; init; }

    public required string Kind { get; init; }

    public required double? TempC { get; init; }

    public required double? Percent { get; init; }

    public required bool? FoundDry { get; init; }

    public required HumidityReference HumidityOver { get; init; }

    public required string Instrument { get; init; }

    public required double? ErrorK { get; init; }

    public required double? ErrorPoints { get; init; }

    public required string Place { get; init; }

    public required double? RawPercent { get; init; }

    public required string Species { get; init; }

    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }

    public DateTimeOffset? ReceivedAt { get; init; }

    /// <summary>The field for what an instrument that fills a field may be out by; null where a field is filled by eye.</summary>
    /// <param name="field">The field it fills.</param>
    internal static string? ErrorFieldOf(string field) =>
        field switch
        {
            "tempC" => "errorK",
            "percent" => "errorPoints",
            _ => null,
        };

    /// <summary>The one field that a kind of reading fills.</summary>
    /// <param name="kind">The kind, in whatever case.</param>
    internal static string FieldOf(string kind) =>
        kind.ToUpperInvariant() switch
        {
            "FOUNDDRY" => "foundDry",
            "HUMIDITY" or "OUTDOORHUMIDITY" or "WOODMOISTURE" or "CONCRETEMOISTURE" => "percent",
            _ => "tempC",
        };
}

/// <summary>A joint.</summary>
public sealed record FiledJoint
{
    public required Guid FirstId { get; init; }

    public required Guid? SecondId { get; init; }

    public required string Beyond { get; init; }

    public required JointKind Kind { get; init; }

    public required Handover Water { get; init; }

    public required Handover Air { get; init; }

    public required Handover Vapour { get; init; }

    public required Handover Heat { get; init; }

    public required string How { get; init; }

    public required string DoneBy { get; init; }

    public required bool Ready { get; init; }

    public required string SeenBy { get; init; }

    public required DateTimeOffset? SeenAt { get; init; }

    public required bool DoNotMeet { get; init; }
}

/// <summary>A complaint.</summary>
public sealed record FiledComplaint(ComplaintKind Kind, string Place, string Words, IReadOnlyList<Guid> Suspects, DateTimeOffset MadeAt);

/// <summary>A mark on the preparation list.</summary>
public sealed record FiledPreparation
{
    public required Guid? SurfaceId { get; init; }

    public required PreparationItem Item { get; init; }

    public required string AssignedTo { get; init; }

    public required DateOnly? DueOn { get; init; }

    public required DateTimeOffset? DoneAt { get; init; }

    public required string DoneBy { get; init; }

    public DateTimeOffset? TickedAt { get; init; }
}

/// <summary>A photo; its bytes in base 64.</summary>
public sealed record FiledPhoto
{
    public required Guid? SurfaceId { get; init; }

    /// <summary>The test shot it shows.</summary>
    public Guid? TestShotId { get; init; }

    /// <summary>The entry of the spray log it shows.</summary>
    public Guid? LogEntryId { get; init; }

    public required string Caption { get; init; }

    public required string ContentType { get; init; }

    public required byte[] Bytes { get; init; }

    public required byte[] Thumbnail { get; init; }

    public required int Width { get; init; }

    public required int Height { get; init; }

    public required DateTimeOffset AddedAt { get; init; }

    public required string AddedBy { get; init; }

    public DateTimeOffset? ReceivedAt { get; init; }
}
