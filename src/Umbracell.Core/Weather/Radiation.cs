namespace Umbracell.Core.Weather;

/// <summary>Sun and sky heat in numbers, W/m²; see docs/methods/window.md.</summary>
internal static class Radiation
{
    /// <summary>Stefan-Boltzmann constant, W/(m²·K⁴).</summary>
    public const double Sigma = 5.670374419e-8;

    private const double SolarConstant = 1361;

    // Low over the horizon the beam is not followed further: 5°.
    private const double LeastSine = 0.087;

    /// <summary>Sun on level ground under a share of cloud (Kasten and Czeplak).</summary>
    public static double Global(double sinElevation, double cloud) =>
        sinElevation <= 0 ? 0 : Math.Max(0, 910 * sinElevation - 30) * (1 - 0.75 * Math.Pow(cloud, 3.4));

    /// <summary>Share of it that comes from the whole sky rather than from the sun (Erbs, Klein and Duffie).</summary>
    public static double DiffuseShare(double global, double sinElevation, int dayOfYear)
    {
        if (global <= 0 || sinElevation <= 0)
        {
            return 1;
        }

        var outside = SolarConstant * (1 + 0.033 * Math.Cos(2 * Math.PI * dayOfYear / 365)) * sinElevation;
        var k = global / outside;
        return k <= 0.22 ? 1 - 0.09 * k
            : k <= 0.80 ? 0.9511 + k * (-0.1604 + k * (4.388 + k * (-16.638 + k * 12.336)))
            : 0.165;
    }

    /// <summary>Sun's beam on a plane for each on level ground.</summary>
    public static double BeamFactor(double cosIncidence, double sinElevation) =>
        Math.Max(0, cosIncidence) / Math.Max(sinElevation, LeastSine);

    /// <summary>Emissivity of the sky, 0 to 1 (clear: Berdahl and Martin as fitted to the dew point, with the air's weight; cloud: Walton).</summary>
    /// <param name="dewKelvin">Dew point, K.</param>
    /// <param name="cloud">Share of cloud, 0 to 1.</param>
    /// <param name="pascals">Pressure at the place.</param>
    public static double SkyEmissivity(double dewKelvin, double cloud, double pascals)
    {
        var tenths = 10 * cloud;
        var clear = 0.787 + 0.764 * Math.Log(dewKelvin / 273) + 0.00012 * (pascals / 100 - 1000);
        return Math.Min(1, clear * (1 + tenths * (0.0224 + tenths * (-0.0035 + tenths * 0.00028))));
    }
}
