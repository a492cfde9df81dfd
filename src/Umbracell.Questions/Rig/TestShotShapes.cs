using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Rigs.Shots;

namespace Umbracell.Questions.Rig;

/// <summary>Whether two lifts hold together.</summary>
public enum ShotLayers
{
    /// <summary>They do.</summary>
    Together,

    /// <summary>They part.</summary>
    Part,
}

/// <summary>What is seen of a test shot; what was not looked at is left out.</summary>
public sealed record ShotSeenAsked
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
public sealed record TestShotQuestion
{
    [Required]
    public required string SheetId { get; init; }

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
    public ShotSeenAsked Seen { get; init; } = new();

    /// <summary>Causes whose step was done.</summary>
    public IReadOnlyList<ShotCause> Done { get; init; } = [];
}

/// <summary>Times that are expected, and the mix temperature they come of.</summary>
public sealed record ExpectedShotAnswer(double CreamS, double TackFreeS, double MixTempC);

/// <summary>A cause.</summary>
/// <param name="Id">Which.</param>
/// <param name="Chance">0 to 1; those of all causes make 1.</param>
/// <param name="NextStep">What is done about it next; null for a good shot, and once it was done.</param>
public sealed record LikelyCauseAnswer(ShotCause Id, double Chance, ShotStep? NextStep);

/// <summary>What a test shot says.</summary>
public sealed record TestShotAnswer
{
    public required ExpectedShotAnswer Expected { get; init; }

    /// <summary>All causes, the likeliest first.</summary>
    public required IReadOnlyList<LikelyCauseAnswer> Causes { get; init; }

    /// <summary>The step to take next: of those worth one the cheapest, drums before primaries before pressure.</summary>
    public required ShotStep? NextStep { get; init; }

    /// <summary>Whether it can be accepted by the crew lead.</summary>
    public required bool Acceptable { get; init; }

    /// <summary>What stands against it, whatever the chances.</summary>
    public required IReadOnlyList<ShotRefusal> Findings { get; init; }
}
