namespace Umbracell.Core.Moisture;

/// <summary>Saturation pressure as ISO 13788 reckons its months (annex E): over water from 0 °C, over ice below.</summary>
internal static class AnnexE
{
    /// <summary>Saturation pressure, Pa.</summary>
    /// <param name="celsius">-60 to 80 °C.</param>
    public static double Saturation(double celsius) =>
        celsius >= 0 ? 610.5 * Math.Exp(17.269 * celsius / (237.3 + celsius)) : 610.5 * Math.Exp(21.875 * celsius / (265.5 + celsius));
}
