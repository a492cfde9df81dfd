using Umbracell.Core.Airtightness;

namespace Umbracell.Formats.JobFiles;

/// <summary>A fan test.</summary>
public sealed record FiledFanTest
{
    public required string Phase { get; init; }

    public required FanDirection Direction { get; init; }

    public required double IndoorC { get; init; }

    public required double OutdoorC { get; init; }

    public required double? VolumeM3 { get; init; }

    public required double ZeroBeforePa { get; init; }

    public required double ZeroAfterPa { get; init; }

    public required IReadOnlyList<double> PressuresPa { get; init; }

    public required IReadOnlyList<double> FlowsM3S { get; init; }

    public required string Words { get; init; }

    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }
}

/// <summary>A spot of a thermal picture.</summary>
public sealed record FiledSpot(string Label, int Row, int Column);

/// <summary>A thermal picture.</summary>
public sealed record FiledThermalPicture
{
    public required Guid? SurfaceId { get; init; }

    public required string Name { get; init; }

    public required string Phase { get; init; }

    public required int Rows { get; init; }

    public required int Columns { get; init; }

    public required IReadOnlyList<float> TempsC { get; init; }

    public required double IndoorC { get; init; }

    public required double OutdoorC { get; init; }

    public required string Conditions { get; init; }

    public required IReadOnlyList<FiledSpot> Spots { get; init; }

    public required DateTimeOffset TakenAt { get; init; }

    public required string TakenBy { get; init; }
}

/// <summary>A data logger's series.</summary>
public sealed record FiledLog
{
    public required Guid? SurfaceId { get; init; }

    public required string Name { get; init; }

    public bool? Outdoors { get; init; }

    public required IReadOnlyList<long> TimesUnixS { get; init; }

    public required IReadOnlyList<double> TempsC { get; init; }

    public required IReadOnlyList<double> RhPct { get; init; }

    public required DateTimeOffset AddedAt { get; init; }

    public required string AddedBy { get; init; }
}
