using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Section of a metal member: a girt, purlin or box rib with foam on the skin between, or a steel stud.</summary>
/// <param name="Flange">Width of the flange in the room, 5 to 500 mm.</param>
/// <param name="Web">Thickness of the web, 0.3 to 20 mm.</param>
/// <param name="Skin">Thickness of the skin it stands on, 0.2 to 20 mm; zero for a stud, which stands on none.</param>
public readonly record struct MetalProfile(Length Flange, Length Web, Length Skin);

/// <summary>The fin estimate of a metal member: heat from the room's flange through the web into the skin. Marked as an estimate until a
/// conduction model stands.</summary>
public static class Girts
{
    /// <summary>Conductivity of steel, W/(m·K).</summary>
    public const double Steel = 50;

    /// <summary>Heat transfer on the outer face of the skin, W/(m²·K).</summary>
    public const double OuterTransfer = 25;

    /// <summary>Heat through a metre of member for a kelvin: <c>ψ = 1/(R_si/b + d/(k t_w) + 1/(2 √(h_e k t_skin)))</c>.</summary>
    /// <param name="profile">Its section.</param>
    /// <param name="depth">Depth of the web, 10 to 900 mm.</param>
    /// <param name="inside">Inner surface resistance.</param>
    /// <exception cref="QuantityRangeException">A size out of range.</exception>
    /// <returns>W/(m·K).</returns>
    public static double LinearTransmittance(MetalProfile profile, Length depth, ThermalResistance inside)
    {
        QuantityRangeException.Within("flange", profile.Flange.Metres, 0.005, 0.5, Dimension.Thickness);
        QuantityRangeException.Within("web", profile.Web.Metres, 0.0003, 0.02, Dimension.Thickness);
        QuantityRangeException.Within("skin", profile.Skin.Metres, 0.0002, 0.02, Dimension.Thickness);
        QuantityRangeException.Within("member depth", depth.Metres, 0.01, 0.9, Dimension.Thickness);
        return 1
            / (
                inside.SquareMetreKelvinsPerWatt / profile.Flange.Metres
                + depth.Metres / (Steel * profile.Web.Metres)
                + 1 / (2 * Math.Sqrt(OuterTransfer * Steel * profile.Skin.Metres))
            );
    }

    /// <summary>Temperature of the flange in the room: <c>T_in − (T_in − T_out) ψ R_si / b</c>.</summary>
    /// <param name="profile">The member's section.</param>
    /// <param name="psi">Its linear transmittance, W/(m·K).</param>
    /// <param name="inside">Inner surface resistance.</param>
    /// <param name="indoor">Room air.</param>
    /// <param name="outdoor">Outdoor air.</param>
    public static Temperature Flange(MetalProfile profile, double psi, ThermalResistance inside, Temperature indoor, Temperature outdoor) =>
        Temperature.FromCelsius(
            indoor.Celsius - (indoor - outdoor).Kelvins * psi * inside.SquareMetreKelvinsPerWatt / profile.Flange.Metres
        );
}
