using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;

namespace Umbracell.Core.Weather;

/// <summary>What the hours of a surface are held against.</summary>
public sealed record HourLimits
{
    /// <summary>The product.</summary>
    public required ProductSheet Sheet { get; init; }

    /// <summary>The firm's margins.</summary>
    public required GatePractice Practice { get; init; }

    /// <summary>Whether wind and rain reach the work.</summary>
    public required bool IsOpen { get; init; }

    /// <summary>Whether a tent keeps the rain off.</summary>
    public bool IsCovered { get; init; }
}

/// <summary>Readings of an hour that rules of the gate are held to.</summary>
internal readonly record struct HourReadings
{
    /// <summary>Face that is sprayed, °C.</summary>
    public required double Substrate { get; init; }

    /// <summary>Air at the work, °C.</summary>
    public required double Air { get; init; }

    /// <summary>Its dew or frost point, °C.</summary>
    public required double Dew { get; init; }

    /// <summary>Its relative humidity, percent.</summary>
    public required double RhPct { get; init; }

    /// <summary>Water and frost on the face, kg/m².</summary>
    public required double Wet { get; init; }

    /// <summary>Gusts at the face, m/s.</summary>
    public required double Gust { get; init; }

    /// <summary>Whether all of them are known; of wind only an open face asks.</summary>
    public bool AreKnown(bool isOpen) => !double.IsNaN(Substrate + Air + Dew + RhPct + Wet) && !(isOpen && double.IsNaN(Gust));
}

/// <summary>Rules G1 to G5 and G7 in numbers: each margin in parts of what lies between hold and clear. 1 and more is clear, 0 the edge to a
/// hold.</summary>
internal readonly struct HourRules(HourLimits limits)
{
    // From seven tenths of the greatest wind on an hour is care (rule G7).
    private const double CareOfWind = 0.3;

    // As wet as this a face is as dark as can be, kg/m².
    private const double Soaked = 0.05;

    /// <summary>The worst rule of an hour.</summary>
    public (double Score, HourLimit Limit) Worst(in HourReadings hour)
    {
        var (worst, limit) = (double.PositiveInfinity, HourLimit.Unknown);
        for (var rule = HourLimit.Substrate; rule <= (limits.IsOpen ? HourLimit.Wind : HourLimit.Wet); rule++)
        {
            var score = Of(rule, hour);
            if (score < worst)
            {
                (worst, limit) = (score, rule);
            }
        }

        return (worst, limit);
    }

    /// <summary>What a rule says of an hour.</summary>
    public double Of(HourLimit rule, in HourReadings hour)
    {
        var (sheet, practice) = (limits.Sheet, limits.Practice);
        var score = rule switch
        {
            HourLimit.Substrate => Score(Inside(sheet.Substrate, hour.Substrate), practice.WellInside.Kelvins),
            HourLimit.Air => Score(Inside(sheet.Air, hour.Air), practice.WellInside.Kelvins),
            HourLimit.Dew => Score(
                hour.Substrate - hour.Dew - practice.DewHold.Kelvins,
                practice.DewClear.Kelvins - practice.DewHold.Kelvins
            ),
            HourLimit.Humidity => Score(
                Math.Min(sheet.GreatestHumidityPercent, practice.GreatestHumidityPercent) - hour.RhPct,
                practice.HumidityPoints
            ),
            HourLimit.Wet => hour.Wet <= SurfaceHours.SeenWet ? double.PositiveInfinity : -hour.Wet / Soaked,
            HourLimit.Wind => Score(sheet.WindLimit.MetresPerSecond - hour.Gust, CareOfWind * sheet.WindLimit.MetresPerSecond),
            _ => throw new ArgumentOutOfRangeException(nameof(rule)),
        };

        // A margin met to the last bit is met.
        return Math.Abs(score) < 1e-9 ? 0 : score;
    }

    /// <summary>A score as the depth of a shadow: 0 clear, a half at the edge to a hold, 1 as far again beyond it, or not known.</summary>
    public static double Shortfall(double score) =>
        double.IsNaN(score) ? 1
        : score >= 1 ? 0
        : score >= 0 ? 0.5 * (1 - score)
        : 0.5 + 0.5 * Math.Min(1, -score);

    private static double Inside(TemperatureWindow window, double celsius) =>
        Math.Min(celsius - window.Least.Celsius, window.Greatest.Celsius - celsius);

    // Where clear begins at the hold itself there is no care between them.
    private static double Score(double margin, double care) =>
        care > 1e-9 ? margin / care
        : margin >= 0 ? 1
        : margin;
}
