using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>How a face lies.</summary>
/// <param name="TiltDegrees">0 level and looking up, 90 upright, 180 level and looking down.</param>
/// <param name="AzimuthDegrees">Where it looks, clockwise from north, 0 to 360.</param>
public readonly record struct FacePlane(double TiltDegrees, double AzimuthDegrees)
{
    /// <summary>From this tilt on a face is a wall: no rain falls on it, and little stays on it.</summary>
    public const double WallFrom = 60;

    /// <summary>To this tilt a face is flat: water stands on it.</summary>
    public const double FlatTo = 5;

    /// <summary>Most water or frost that stays on it, kg/m² (practice: films run off a wall and a slope, and stand in the dips of a flat
    /// roof).</summary>
    public double GreatestFilm =>
        TiltDegrees >= WallFrom ? 0.1
        : TiltDegrees > FlatTo ? 0.2
        : 0.5;
}

/// <summary>What a face takes up and gives off.</summary>
/// <param name="Absorptance">Share of the sun it takes up, 0 to 1.</param>
/// <param name="Emittance">Heat it gives off against a black face, 0 to 1.</param>
public readonly record struct FaceFinish(double Absorptance, double Emittance);

/// <summary>What lies behind a face: so much resistance, and then air of one temperature.</summary>
/// <param name="Resistance">Layers and the film on the far side, above zero.</param>
/// <param name="Temperature">Air there.</param>
public readonly record struct FaceBehind(ThermalResistance Resistance, Temperature Temperature);

/// <summary>A thick layer right behind the face, reckoned in slices: its face cools at night long before its middle does.</summary>
/// <param name="Thickness">0.01 to 3 m.</param>
/// <param name="Conductivity">Of the layer.</param>
/// <param name="HeatCapacity">J/(m³·K), 1e4 to 1e7.</param>
public sealed record FaceMass(Length Thickness, ThermalConductivity Conductivity, double HeatCapacity)
{
    /// <summary>How slowly the layer follows a change at one of its faces: <c>4 d² C / (π² k)</c>, the slowest of the modes of a layer whose
    /// other face passes no heat.</summary>
    public TimeSpan TimeConstant =>
        TimeSpan.FromSeconds(
            4 * Thickness.Metres * Thickness.Metres * HeatCapacity / (Math.PI * Math.PI * Conductivity.WattsPerMetreKelvin)
        );

    /// <summary>Solid brick or rubble masonry: 0.7 W/(m·K), 1.5 MJ/(m³·K) (usual handbook values).</summary>
    /// <param name="thickness">How thick.</param>
    public static FaceMass Masonry(Length thickness) => new(thickness, ThermalConductivity.FromSi(0.7), 1.5e6);

    /// <summary>Ground under a slab: 1.5 W/(m·K), 2 MJ/(m³·K) (ISO 13370, clay or silt and sand).</summary>
    /// <param name="thickness">How deep the ground follows within days.</param>
    public static FaceMass Ground(Length thickness) => new(thickness, ThermalConductivity.FromSi(1.5), 2e6);
}

/// <summary>A face in the weather.</summary>
public sealed record FaceCase
{
    /// <summary>How it lies.</summary>
    public required FacePlane Plane { get; init; }

    /// <summary>What it takes up and gives off.</summary>
    public required FaceFinish Finish { get; init; }

    /// <summary>What lies behind it; null where no heat passes.</summary>
    public FaceBehind? Behind { get; init; }

    /// <summary>How slowly a face of little mass follows; zero for one that follows at once.</summary>
    public TimeSpan TimeConstant { get; init; }

    /// <summary>A thick layer behind the face, in the place of a time constant; null for sheet and boards.</summary>
    public FaceMass? Mass { get; init; }

    /// <summary>Share of the sun that ground before it throws back, 0 to 1; under snow <see cref="SnowAlbedo"/>.</summary>
    public double Albedo { get; init; } = 0.2;

    /// <summary>Wind near the face for each at 10 m in the open; see <see cref="WindNear"/>.</summary>
    public double WindShare { get; init; } = 1;

    /// <summary>Sun thrown back by snow.</summary>
    public const double SnowAlbedo = 0.7;

    /// <summary>The same case, each figure within its range.</summary>
    /// <exception cref="QuantityRangeException">One is not.</exception>
    internal FaceCase Checked()
    {
        QuantityRangeException.Within("tilt", Plane.TiltDegrees, 0, 180, Dimension.Number);
        QuantityRangeException.Within("azimuth", Plane.AzimuthDegrees, 0, 360, Dimension.Number);
        QuantityRangeException.Within("absorptance", Finish.Absorptance, 0, 1, Dimension.Number);
        QuantityRangeException.Within("emittance", Finish.Emittance, 0, 1, Dimension.Number);
        QuantityRangeException.Within("albedo", Albedo, 0, 1, Dimension.Number);
        QuantityRangeException.Within("share of wind", WindShare, 0, 2, Dimension.Number);
        QuantityRangeException.Within("time constant", TimeConstant.TotalHours, 0, 240, Dimension.Number);
        if (Behind is { } behind)
        {
            QuantityRangeException.Within(
                "resistance behind",
                behind.Resistance.SquareMetreKelvinsPerWatt,
                1e-3,
                100,
                Dimension.Resistance
            );
        }

        if (Mass is { } mass)
        {
            QuantityRangeException.Within("thickness of the layer", mass.Thickness.Metres, 0.01, 3, Dimension.Thickness);
            QuantityRangeException.Within("heat capacity", mass.HeatCapacity, 1e4, 1e7, Dimension.Number);
        }

        return this;
    }
}

/// <summary>Wind near a face from wind at 10 m in the open.</summary>
public static class WindNear
{
    /// <summary>Left of the wind by a tent or tarpaulin (practice).</summary>
    public const double UnderTarpaulin = 0.3;

    /// <summary>Share of the wind at 10 m in the open that is left at a height (ASHRAE Handbook—Fundamentals, airflow around buildings:
    /// boundary layers of 270 m with exponent 0.14, 370 m with 0.22, 460 m with 0.33).</summary>
    /// <param name="shelter">Ground around; not said is taken as sheltered.</param>
    /// <param name="height">Height of the face, 0.5 to 100 m.</param>
    /// <exception cref="QuantityRangeException">Height out of range.</exception>
    public static double Share(Shelter shelter, Length height)
    {
        QuantityRangeException.Within("height", height.Metres, 0.5, 100, Dimension.Span);
        var (layer, exponent) = shelter switch
        {
            Shelter.Open => (270.0, 0.14),
            Shelter.Town => (460.0, 0.33),
            _ => (370.0, 0.22),
        };
        return Math.Pow(270.0 / 10, 0.14) * Math.Pow(height.Metres / layer, exponent);
    }
}
