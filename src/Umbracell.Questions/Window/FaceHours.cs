using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;

namespace Umbracell.Questions.Window;

/// <summary>What lies behind a face.</summary>
/// <param name="RM2KPerW">Resistance to the air behind it.</param>
/// <param name="TempC">That air.</param>
public sealed record BehindAsked([property: Range(0.001, 100)] double RM2KPerW, [property: Range(-60, 80)] double TempC);

/// <summary>How warm and how wet is a face, hour by hour?</summary>
public sealed record FaceHoursQuestion : HoursAsked
{
    /// <summary>0 level and looking up, 90 upright, 180 looking down.</summary>
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

    /// <summary>What lies behind it; null where no heat passes.</summary>
    public BehindAsked? Behind { get; init; }

    /// <summary>How slowly it follows; 0 at once.</summary>
    [Range(0, 240)]
    public double TimeConstantH { get; init; }

    /// <summary>Share of the sun that the ground throws back; under snow 0.7.</summary>
    [Range(0, 1)]
    public double Albedo { get; init; } = 0.2;
}

/// <summary>A face at an hour.</summary>
public sealed record FaceHourAnswer
{
    /// <summary>Instant at which the hour begins.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>Temperature of the face.</summary>
    public required double? FaceTempC { get; init; }

    /// <summary>Sun on its plane, W/m².</summary>
    public required double? SunWm2 { get; init; }

    /// <summary>Heat from sky and surroundings on its plane, W/m².</summary>
    public required double? SkyWm2 { get; init; }

    /// <summary>Water and frost that lie on it, kg/m².</summary>
    public required double? WetKgM2 { get; init; }

    /// <summary>Frost among it, kg/m².</summary>
    public required double? FrostKgM2 { get; init; }
}

/// <summary>A face, hour by hour.</summary>
/// <param name="Hours">As many as were asked.</param>
public sealed record FaceHoursAnswer(IReadOnlyList<FaceHourAnswer> Hours);

/// <summary>Puts a face to the core.</summary>
public static class FaceQuestions
{
    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static FaceHoursAnswer Answer(FaceHoursQuestion question) =>
        new([
            .. FaceRun
                .Of(Case(question), question.Sky())
                .Hours.Select(hour => new FaceHourAnswer
                {
                    Start = hour.Start,
                    FaceTempC = hour.Temperature?.Celsius,
                    SunWm2 = hour.SunWm2,
                    SkyWm2 = hour.SkyWm2,
                    WetKgM2 = hour.WetKgM2,
                    FrostKgM2 = hour.FrostKgM2,
                }),
        ]);

    private static FaceCase Case(FaceHoursQuestion question) =>
        new()
        {
            Plane = new(question.TiltDeg, question.AzimuthDeg),
            Finish = new(question.Absorptance, question.Emittance),
            Behind = question.Behind is { } behind
                ? new(ThermalResistance.FromSi(behind.RM2KPerW), Temperature.FromCelsius(behind.TempC))
                : null,
            TimeConstant = TimeSpan.FromHours(question.TimeConstantH),
            Albedo = question.Albedo,
        };
}
