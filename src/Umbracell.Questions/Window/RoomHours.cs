using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;

namespace Umbracell.Questions.Window;

/// <summary>What is done to a room from an hour on, until the next entry takes over.</summary>
public sealed record RoomDriveAsked
{
    /// <summary>Number of the first hour, from 0.</summary>
    [Range(0, HoursAsked.Most)]
    public int FromHour { get; init; }

    /// <summary>Changes with outdoor air an hour.</summary>
    [Range(0.05, 100)]
    public required double AirChangesPerH { get; init; }

    /// <summary>Heat there is.</summary>
    [Range(0, 10_000)]
    public double HeatKW { get; init; }

    /// <summary>What is burnt, and where its exhaust goes.</summary>
    public HeaterKind Heater { get; init; }

    /// <summary>Where heaters hold; null where they run throughout.</summary>
    [Range(-30, 60)]
    public double? HoldTempC { get; init; }

    /// <summary>Water a dehumidifier takes out in an hour.</summary>
    [Range(0, 1000)]
    public double DriedKgPerH { get; init; }
}

/// <summary>How warm and how humid is a room, hour by hour?</summary>
public sealed record RoomHoursQuestion : HoursAsked
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

    /// <summary>Temperature it begins at; null for that of the first hour outdoors.</summary>
    [Range(-60, 60)]
    public double? StartTempC { get; init; }

    /// <summary>What is done to it, in the order of the hours; the first from hour 0.</summary>
    [Required]
    [MinLength(1)]
    [MaxLength(HoursAsked.Most)]
    public required IReadOnlyList<RoomDriveAsked> Drive { get; init; }
}

/// <summary>A room at an hour.</summary>
public sealed record RoomHourAnswer
{
    /// <summary>Instant at which the hour begins.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>Air temperature.</summary>
    public required double? TempC { get; init; }

    /// <summary>Relative humidity over water.</summary>
    public required double? RhPct { get; init; }

    /// <summary>Dew or frost point.</summary>
    public required double? DewPointC { get; init; }

    /// <summary>Heat given.</summary>
    public required double HeatKWh { get; init; }

    /// <summary>Water that flames brought in.</summary>
    public required double FlameWaterKg { get; init; }
}

/// <summary>A room, hour by hour.</summary>
/// <param name="Hours">As many as were asked.</param>
public sealed record RoomHoursAnswer(IReadOnlyList<RoomHourAnswer> Hours);

/// <summary>Puts a room to the core.</summary>
public static class RoomQuestions
{
    /// <summary>Answers a question.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static RoomHoursAnswer Answer(RoomHoursQuestion question)
    {
        var drives = question.Drive;
        QuantityRangeException.Within("drive", drives[0].FromHour, 0, 0, Dimension.Count);
        var at = 0;
        var run = RoomRun.Of(
            new()
            {
                Volume = question.VolumeM3,
                Loss = question.LossWPerK,
                Capacity = question.CapacityKjPerK * 1000,
                Start = question.StartTempC is { } start ? Temperature.FromCelsius(start) : null,
            },
            question.Sky(),
            i =>
            {
                while (at + 1 < drives.Count && drives[at + 1].FromHour <= i)
                {
                    at++;
                }

                return Drive(drives[at]);
            }
        );
        return new([
            .. run.Hours.Select(hour => new RoomHourAnswer
            {
                Start = hour.Start,
                TempC = hour.Temperature?.Celsius,
                RhPct = hour.Humidity?.Percent,
                DewPointC = hour.DewPoint?.Celsius,
                HeatKWh = hour.Heat / SpaceHeating.JoulesPerKilowattHour,
                FlameWaterKg = hour.FlameWater,
            }),
        ]);
    }

    private static RoomHourDrive Drive(RoomDriveAsked drive) =>
        new()
        {
            AirChanges = drive.AirChangesPerH,
            Power = drive.HeatKW * 1000,
            Kind = drive.Heater,
            Thermostat = drive.HoldTempC is { } hold ? Temperature.FromCelsius(hold) : null,
            Dried = drive.DriedKgPerH,
        };
}
