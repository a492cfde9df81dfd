using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>An unventilated air space between ordinary (not reflective) faces.</summary>
/// <remarks>ISO 6946 table 8; straight between its widths, constant past 300 mm.</remarks>
public static class AirSpace
{
    private static readonly Curve UpCurve = Table(0.11, 0.13, 0.15, 0.16, 0.16, 0.16, 0.16, 0.16);
    private static readonly Curve HorizontalCurve = Table(0.11, 0.13, 0.15, 0.17, 0.18, 0.18, 0.18, 0.18);
    private static readonly Curve DownCurve = Table(0.11, 0.13, 0.15, 0.17, 0.19, 0.21, 0.22, 0.23);

    /// <summary>Resistance of the space.</summary>
    /// <param name="width">0 or more; under 1 mm counts as none.</param>
    /// <param name="flow">Direction of heat flow.</param>
    public static ThermalResistance Of(Length width, HeatFlow flow)
    {
        if (width.Millimetres < 1)
        {
            return default;
        }

        var curve = flow switch { HeatFlow.Up => UpCurve, HeatFlow.Horizontal => HorizontalCurve, _ => DownCurve };
        return new(curve.At(Math.Min(width.Metres, 0.3)));
    }

    private static Curve Table(double at5, double at7, double at10, double at15, double at25, double at50, double at100, double at300) =>
        new("air space", [new(0, 0), new(0.005, at5), new(0.007, at7), new(0.010, at10), new(0.015, at15), new(0.025, at25), new(0.050, at50), new(0.100, at100), new(0.300, at300)], Dimension.Thickness);
}
