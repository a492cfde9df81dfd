using Umbracell.Core.Quantities;

namespace Umbracell.Core.Lifts;

/// <summary>A layer behind a lift: substrate, or a lift sprayed before.</summary>
/// <param name="Thickness">Above 0 to 2 m.</param>
/// <param name="Conductivity">Of the layer.</param>
/// <param name="HeatCapacity">J/(m³·K), 1e3 to 1e7.</param>
/// <param name="Temperature">What it is at when the lift goes on.</param>
public sealed record LiftLayer(Length Thickness, ThermalConductivity Conductivity, double HeatCapacity, Temperature Temperature);

/// <summary>A lift that goes on.</summary>
public sealed record LiftCase
{
    /// <summary>How the foam heats itself.</summary>
    public required FoamExotherm Foam { get; init; }

    /// <summary>Density in place.</summary>
    public required Density Density { get; init; }

    /// <summary>Of the lift, 0.5 mm to 0.5 m.</summary>
    public required Length Thickness { get; init; }

    /// <summary>Where it starts: the mix, drawn down by the substrate.</summary>
    public required Temperature Mix { get; init; }

    /// <summary>Layers behind it, the one it lies on first; none where no heat passes there.</summary>
    public required IReadOnlyList<LiftLayer> Behind { get; init; }

    /// <summary>Air before it.</summary>
    public required Temperature Air { get; init; }

    /// <summary>Air behind the layers.</summary>
    public required Temperature AirBehind { get; init; }

    /// <summary>Film at its face, W/(m²·K), 0 to 100.</summary>
    public double Film { get; init; } = 8;

    /// <summary>Film behind the layers, W/(m²·K), 0 to 100.</summary>
    public double FilmBehind { get; init; } = 15;

    /// <summary>The sheet's temperature a lift has cooled below before the next.</summary>
    public required Temperature CoolBelow { get; init; }

    /// <summary>The same case, each figure within its range.</summary>
    /// <exception cref="QuantityRangeException">One is not.</exception>
    internal LiftCase Checked()
    {
        QuantityRangeException.Within("thickness", Thickness.Metres, 0.0005, 0.5, Dimension.Thickness);
        QuantityRangeException.Within("mix", Mix.Celsius, -20, 120, Dimension.Temperature);
        QuantityRangeException.Within("air", Air.Celsius, -60, 70, Dimension.Temperature);
        QuantityRangeException.Within("air behind", AirBehind.Celsius, -60, 90, Dimension.Temperature);
        QuantityRangeException.Within("film", Film, 0, 100, Dimension.Number);
        QuantityRangeException.Within("film behind", FilmBehind, 0, 100, Dimension.Number);
        foreach (var layer in Behind)
        {
            QuantityRangeException.Within("layer", layer.Thickness.Metres, 1e-5, 2, Dimension.Thickness);
            QuantityRangeException.Within("heat capacity", layer.HeatCapacity, 1e3, 1e7, Dimension.Number);
            QuantityRangeException.Within("layer", layer.Temperature.Celsius, -60, 250, Dimension.Temperature);
        }

        return this;
    }
}
