using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Documents;

namespace Umbracell.Formats.JobFiles;

/// <summary>The job itself.</summary>
public sealed record FiledJob
{
    public required string Name { get; init; }

    public required string Crew { get; init; }

    public required string ClimateZone { get; init; }

    public required string TargetSetId { get; init; }

    public required double IndoorC { get; init; }

    public required double IndoorRhPct { get; init; }

    public required double OutdoorC { get; init; }

    public required double OutdoorRhPct { get; init; }

    public required double SummerIndoorC { get; init; }

    public required double SummerIndoorRhPct { get; init; }

    public required double SummerOutdoorC { get; init; }

    public required double SummerOutdoorRhPct { get; init; }

    public required double? HeightM { get; init; }

    public required string? PlaceId { get; init; }

    public required int? HumidityClass { get; init; }

    public required IReadOnlyList<double> RoomMonthsC { get; init; }

    public required IReadOnlyList<double> RoomMonthsRhPct { get; init; }

    public required double AltitudeM { get; init; }

    public required double RiskPct { get; init; }

    public required DateTimeOffset CreatedAt { get; init; }

    public FiledChoosing? Choosing { get; init; }

    public FiledPlace? OwnPlace { get; init; }

    public FiledTargets? OwnTargets { get; init; }

    public PricingDocument? Pricing { get; init; }

    public JobState? State { get; init; }

    public bool? CorrectsForecast { get; init; }
}

/// <summary>A target set of the firm's own that the job is held to.</summary>
public sealed record FiledTargets(string Edition, string BasedOn, IReadOnlyList<FiledTarget> GreatestU);

/// <summary>The greatest U of one part of the envelope in one zone.</summary>
public sealed record FiledTarget(string Element, string Zone, double UWM2K);

/// <summary>A place of the firm's own that the job names.</summary>
public sealed record FiledPlace
{
    public required string Name { get; init; }

    public required string ClimateZone { get; init; }

    public required double AltitudeM { get; init; }

    public required IReadOnlyList<double> MeanC { get; init; }

    public required IReadOnlyList<double> MeanRhPct { get; init; }

    public required double HeatingC { get; init; }

    public required double CoolingC { get; init; }

    public required double CoolingRhPct { get; init; }

    public required string Source { get; init; }

    public double? Latitude { get; init; }

    public double? Longitude { get; init; }

    public string? TimeZone { get; init; }
}

/// <summary>How the job chooses; lists are empty where it follows the firm and the product.</summary>
public sealed record FiledChoosing(TargetPath TargetPath, IReadOnlyList<FiledWeight> Weights, IReadOnlyList<FiledSchool> Schools);

/// <summary>What a part of a score weighs.</summary>
public sealed record FiledWeight(ScorePart Part, double Weight);

/// <summary>A school followed in a question.</summary>
public sealed record FiledSchool(PracticeQuestion Question, School School);

/// <summary>A buffer space.</summary>
public sealed record FiledBuffer
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required BufferKind Kind { get; init; }

    public required double VolumeM3 { get; init; }

    public required double AirChanges { get; init; }

    public required double AirChangesPlanned { get; init; }

    public required double OtherLossWK { get; init; }

    public required double DuctLossW { get; init; }
}
