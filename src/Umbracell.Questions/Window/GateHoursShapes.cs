using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Findings;
using Umbracell.Core.Weather;

namespace Umbracell.Questions.Window;

/// <summary>The face that is sprayed in a question.</summary>
public sealed record SprayedFaceAsked
{
    /// <summary>0 level and looking up, 90 upright.</summary>
    [Range(0, 180)]
    public required double TiltDeg { get; init; }

    /// <summary>Where it looks, from north, clockwise.</summary>
    [Range(0, 360)]
    public double AzimuthDeg { get; init; }

    /// <summary>Share of the sun it takes up.</summary>
    [Range(0, 1)]
    public required double Absorptance { get; init; }

    /// <summary>Heat it gives off against a black face.</summary>
    [Range(0, 1)]
    public required double Emittance { get; init; }

    /// <summary>How slowly it follows; 0 at once.</summary>
    [Range(0, 240)]
    public double TimeConstantH { get; init; }

    /// <summary>What lies between it and the face that is sprayed inside; null where it is sprayed itself.</summary>
    [Range(0, 100)]
    public double? BetweenM2KPerW { get; init; }

    /// <summary>Whether wind and rain reach the work.</summary>
    public bool IsOpen { get; init; }
}

/// <summary>The room in a question, without heat.</summary>
public sealed record SprayedRoomAsked
{
    /// <summary>Enclosed volume.</summary>
    [Range(1, 1e6)]
    public required double VolumeM3 { get; init; }

    /// <summary>Conductance of the envelope to outdoors.</summary>
    [Range(0, 1e6)]
    public required double LossWPerK { get; init; }

    /// <summary>Heat that air and faces take up.</summary>
    [Range(1, 1e9)]
    public required double CapacityKjPerK { get; init; }

    /// <summary>Changes with outdoor air an hour while nobody sprays.</summary>
    [Range(0.05, 100)]
    public double AirChangesPerH { get; init; } = 1;

    /// <summary>Changes from the first trigger on.</summary>
    [Range(0.05, 100)]
    public double SprayingAirChangesPerH { get; init; } = 10;
}

/// <summary>Which hours can a face be sprayed in, over all members of a forecast?</summary>
public sealed record GateHoursQuestion
{
    /// <summary>Most members, and most hours of each.</summary>
    public const int MostMembers = 60,
        MostHours = 400;

    /// <summary>Degrees north.</summary>
    [Range(-90, 90)]
    public required double Latitude { get; init; }

    /// <summary>Degrees east.</summary>
    [Range(-180, 180)]
    public required double Longitude { get; init; }

    /// <summary>Height above the sea.</summary>
    [Range(-500, 9000)]
    public double AltitudeM { get; init; }

    /// <summary>Instant at which the first hour begins.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>The product.</summary>
    [Required]
    public required string SheetId { get; init; }

    /// <summary>The face.</summary>
    [Required]
    public required SprayedFaceAsked Face { get; init; }

    /// <summary>The room it is sprayed in; null in the open.</summary>
    public SprayedRoomAsked? Room { get; init; }

    /// <summary>Hours of lifts and waits.</summary>
    [Range(1, 48)]
    public int SprayingH { get; init; } = 1;

    /// <summary>Hours of each member, all with the same ones.</summary>
    [Required]
    [MinLength(1)]
    [MaxLength(MostMembers)]
    public required IReadOnlyList<IReadOnlyList<HourAsked>> Members { get; init; }
}

/// <summary>An hour over all members.</summary>
public sealed record GateHourAnswer
{
    /// <summary>Instant at which it begins.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>Clear, Care or Hold; null where the weather is not told.</summary>
    public required Verdict? Verdict { get; init; }

    /// <summary>Members that are not held, in percent.</summary>
    public required double PassingPct { get; init; }

    /// <summary>What limits most of them; null where the hour is clear.</summary>
    public required HourLimit? Limit { get; init; }

    /// <summary>Median of the face that is sprayed.</summary>
    public required double? SubstrateC { get; init; }

    /// <summary>Median of the dew or frost point at the work.</summary>
    public required double? DewPointC { get; init; }

    /// <summary>Chance that a start in this hour holds to the end of cure, in percent.</summary>
    public required double StartPct { get; init; }
}

/// <summary>The hours of a face.</summary>
/// <param name="Hours">As many as each member has.</param>
public sealed record GateHoursAnswer(IReadOnlyList<GateHourAnswer> Hours);
