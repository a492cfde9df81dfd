using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Rigs.Shots;

namespace Umbracell.Documents;

/// <summary>Whether two lifts hold together.</summary>
public enum ShotLayers
{
    /// <summary>They do.</summary>
    Together,

    /// <summary>They part.</summary>
    Part,
}

/// <summary>What is seen of a test shot; what was not looked at is left out.</summary>
public sealed record ShotSeenDocument
{
    /// <summary>From the trigger until it creams.</summary>
    [Range(0.05, 600)]
    public double? CreamS { get; init; }

    /// <summary>From the trigger until it has risen.</summary>
    [Range(0.05, 600)]
    public double? RiseS { get; init; }

    /// <summary>From the trigger until it is free of tack.</summary>
    [Range(0.05, 600)]
    public double? TackFreeS { get; init; }

    public ShotRise? Rise { get; init; }

    public ShotSkin? Skin { get; init; }

    public ShotCells? Cells { get; init; }

    public ShotColour? Colour { get; init; }

    public ShotFeel? Feel { get; init; }

    public ShotAdhesion? Adhesion { get; init; }

    public ShotLayers? Layers { get; init; }

    public bool? Pooling { get; init; }

    public bool? Shrinks { get; init; }

    public bool? Blowholes { get; init; }

    public bool? Scorch { get; init; }

    /// <summary>Density of a sample cut out of it.</summary>
    [Range(1, 400)]
    public double? SampleDensityKgM3 { get; init; }
}

/// <summary>A test shot: what is read on rig and substrate, and what is seen. What was not read is left out.</summary>
public record ShotDocument
{
    [Range(-60, 100)]
    public double? SubstrateTempC { get; init; }

    [Range(-60, 70)]
    public double? AirTempC { get; init; }

    [Range(-40, 80)]
    public double? DrumATempC { get; init; }

    [Range(-40, 80)]
    public double? DrumBTempC { get; init; }

    [Range(-40, 120)]
    public double? PrimaryATempC { get; init; }

    [Range(-40, 120)]
    public double? PrimaryBTempC { get; init; }

    [Range(-40, 120)]
    public double? HoseTempC { get; init; }

    /// <summary>Pressure of A while it is sprayed.</summary>
    [Range(0, 40)]
    public double? PressureAMpa { get; init; }

    /// <summary>Pressure of B while it is sprayed.</summary>
    [Range(0, 40)]
    public double? PressureBMpa { get; init; }

    /// <summary>Hours since the B drum was stirred.</summary>
    [Range(0, 100_000)]
    public double? HoursSinceMixed { get; init; }

    [Range(0.5, 500)]
    public double? LiftMm { get; init; }

    /// <summary>What is seen.</summary>
    public ShotSeenDocument Seen { get; init; } = new();
}
