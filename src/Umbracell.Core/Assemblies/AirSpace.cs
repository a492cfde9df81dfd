using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>An unventilated air space.</summary>
/// <remarks>Between ordinary faces ISO 6946 table 8, straight between its widths, constant past 300 mm. With a bright face ISO 6946 annex
/// D: convection or conduction, whichever carries more, beside radiation by the emittance of both faces.</remarks>
public static class AirSpace
{
    private static readonly Curve UpCurve = Table(0.11, 0.13, 0.15, 0.16, 0.16, 0.16, 0.16, 0.16);
    private static readonly Curve HorizontalCurve = Table(0.11, 0.13, 0.15, 0.17, 0.18, 0.18, 0.18, 0.18);
    private static readonly Curve DownCurve = Table(0.11, 0.13, 0.15, 0.17, 0.19, 0.21, 0.22, 0.23);

    /// <summary>Emittance of ordinary faces: wood, paper, gypsum, foam, masonry.</summary>
    public const double OrdinaryFace = 0.9;

    /// <summary>A face is bright below this; above it the table of ordinary faces stands.</summary>
    private const double Bright = 0.5;

    /// <summary>Radiation between black faces at 10 °C, W/(m²·K): 4 σ T³ (ISO 6946 table A.1).</summary>
    private const double BlackRadiation = 5.1;

    private const double StillAir = 0.025;

    /// <summary>Resistance of the space.</summary>
    /// <param name="width">0 or more; under 1 mm counts as none.</param>
    /// <param name="flow">Direction of heat flow.</param>
    /// <param name="oneFace">Emittance of one face, above 0 to 1.</param>
    /// <param name="otherFace">Emittance of the other, above 0 to 1.</param>
    public static ThermalResistance Of(Length width, HeatFlow flow, double oneFace = OrdinaryFace, double otherFace = OrdinaryFace)
    {
        if (width.Millimetres < 1)
        {
            return default;
        }

        if (Math.Min(oneFace, otherFace) < Bright)
        {
            return Reflective(Math.Min(width.Metres, 0.3), flow, 1 / (1 / oneFace + 1 / otherFace - 1));
        }

        var curve = flow switch
        {
            HeatFlow.Up => UpCurve,
            HeatFlow.Horizontal => HorizontalCurve,
            _ => DownCurve,
        };
        return ThermalResistance.FromSi(curve.At(Math.Min(width.Metres, 0.3)));
    }

    private static ThermalResistance Reflective(double width, HeatFlow flow, double emittance)
    {
        var still = StillAir / width;
        var moving = flow switch
        {
            HeatFlow.Up => 1.95,
            HeatFlow.Horizontal => 1.25,
            _ => 0.12 * Math.Pow(width, -0.44),
        };
        return ThermalResistance.FromSi(1 / (Math.Max(still, moving) + emittance * BlackRadiation));
    }

    private static Curve Table(double at5, double at7, double at10, double at15, double at25, double at50, double at100, double at300) =>
        new(
            "air space",
            [
                new(0, 0),
                new(0.005, at5),
                new(0.007, at7),
                new(0.010, at10),
                new(0.015, at15),
                new(0.025, at25),
                new(0.050, at50),
                new(0.100, at100),
                new(0.300, at300),
            ],
            Dimension.Thickness
        );
}
