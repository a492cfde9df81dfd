using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>A space heated for several surfaces at once: each answers for its share by area, so that together they add up to the
/// whole.</summary>
/// <param name="VolumePerSquareMetre">Volume for a square metre treated, m.</param>
/// <param name="LossPerSquareMetre">Conductance of the bare envelope for a square metre treated, W/(m²·K).</param>
/// <param name="Assumed">Whether the size of the space was assumed.</param>
public sealed record SharedSpace(double VolumePerSquareMetre, double LossPerSquareMetre, bool Assumed)
{
    /// <summary>A space of unknown size is taken as high as a storey for every square metre treated, m.</summary>
    public const double StoreyHeight = 3;

    /// <summary>The space around surfaces.</summary>
    /// <param name="surfaces">Every surface without its foam, with its treated area.</param>
    /// <param name="volume">Enclosed volume, m³; null where it is not known.</param>
    public static SharedSpace Of(IReadOnlyList<(SectionCase Bare, Area Treated)> surfaces, double? volume)
    {
        var area = surfaces.Sum(s => s.Treated.SquareMetres);
        var loss = surfaces
            .Where(s => s.Bare.Exposure is Exposure.Outdoors or Exposure.Ventilated)
            .Sum(s => s.Treated.SquareMetres * AssemblyState.OfFilled(s.Bare).U.WattsPerSquareMetreKelvin);
        return area <= 0 ? new(StoreyHeight, 0, true) : new(volume is { } known ? known / area : StoreyHeight, loss / area, volume is null);
    }

    /// <summary>The share of one surface.</summary>
    /// <param name="treated">Its area.</param>
    /// <param name="airChanges">Changes with outdoor air an hour, above zero.</param>
    /// <param name="outdoor">Outdoor air.</param>
    /// <param name="humidity">Its humidity.</param>
    /// <param name="pressure">Air pressure.</param>
    public HeatedSpace ShareOf(Area treated, double airChanges, Temperature outdoor, RelativeHumidity humidity, Pressure pressure) =>
        new()
        {
            Volume = Math.Max(1, VolumePerSquareMetre * treated.SquareMetres),
            Loss = LossPerSquareMetre * treated.SquareMetres,
            AirChanges = airChanges,
            Outdoor = outdoor,
            OutdoorHumidity = humidity,
            Pressure = pressure,
        };
}
