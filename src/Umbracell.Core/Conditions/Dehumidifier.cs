using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>How a dehumidifier takes water out of air.</summary>
public enum DehumidifierKind
{
    /// <summary>On a cold coil: next to nothing in cold dry air.</summary>
    Refrigerant,

    /// <summary>On a drying wheel or bed: in the cold too.</summary>
    Desiccant,
}

/// <summary>Dehumidifiers of one kind, all together: what they take out goes with the water in the air over what their coil leaves in it,
/// and is what the plate says at 27 °C and 60 %, the air they are rated in.</summary>
/// <param name="Kind">How they work.</param>
/// <param name="RatedKilogramsPerHour">What they take out in the air they are rated in, above 0 to 1000 kg/h.</param>
public sealed record Dehumidifier(DehumidifierKind Kind, double RatedKilogramsPerHour)
{
    // A coil that is colder ices up: it leaves what saturates air at 2 °C.
    private const double CoilCelsius = 2;

    private static readonly double RatedRatio = RatioOf(27, 60),
        CoilRatio = RatioOf(CoilCelsius, 100);

    /// <summary>Water they leave in the air, kg/kg.</summary>
    internal double Leaves => Kind == DehumidifierKind.Refrigerant ? CoilRatio : 0;

    /// <summary>Water they take out for each part of water over that, kg/h for kg/kg.</summary>
    internal double PerRatio =>
        QuantityRangeException.Within("water taken out", RatedKilogramsPerHour, double.Epsilon, 1000, Dimension.Mass)
        / (RatedRatio - Leaves);

    /// <summary>Water they take out of air.</summary>
    /// <param name="air">The air.</param>
    /// <returns>kg/h, nothing where the coil leaves more; never more than the plate says.</returns>
    public double TakesOut(MoistAir air) => Math.Clamp(PerRatio * (air.HumidityRatio - Leaves), 0, RatedKilogramsPerHour);

    private static double RatioOf(double celsius, double percent) =>
        MoistAir
            .Of(
                Temperature.FromCelsius(celsius),
                RelativeHumidity.FromPercent(percent),
                StandardAtmosphere.PressureAt(Length.FromMetres(0))
            )
            .HumidityRatio;
}
