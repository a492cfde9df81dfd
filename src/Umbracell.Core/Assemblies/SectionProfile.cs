using Umbracell.Core.Air;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>One place in the section with its temperature and vapour at design.</summary>
/// <param name="Key">What lies outboard of this place: a material id, <c>foam</c>, <c>freeSpace</c>, <c>ventChannel</c>, <c>outside</c>,
/// <c>insideFilm</c>.</param>
/// <param name="Depth">Distance from the outermost face.</param>
/// <param name="Temperature">Temperature here.</param>
/// <param name="VapourPressure">Vapour pressure here by diffusion alone, as if nothing condensed.</param>
/// <param name="DewPoint">Dew or frost point of that vapour pressure.</param>
public readonly record struct ProfilePoint(string Key, Length Depth, Temperature Temperature, Pressure VapourPressure, Temperature DewPoint)
{
    /// <summary>How far the place lies above its dew point; negative where vapour would condense.</summary>
    public TemperatureDifference DewMargin => Temperature - DewPoint;
}

/// <summary>Temperature and vapour pressure through the cavity path at design, steady.</summary>
/// <param name="Points">From outside air to room air.</param>
/// <param name="Outside">Vapour pressure outside.</param>
/// <param name="Inside">Vapour pressure in the room.</param>
/// <param name="WholePermeance">All layers in series.</param>
public sealed record SectionProfile(IReadOnlyList<ProfilePoint> Points, Pressure Outside, Pressure Inside, Permeance WholePermeance)
{
    /// <summary>Vapour pressure difference that drives vapour, positive outward. The direction of heat decides nothing.</summary>
    public PressureDifference OutwardDrive => Inside - Outside;

    /// <summary>The place nearest its dew point at design. Below zero, vapour by diffusion alone would condense there while such weather
    /// lasts; a year's balance decides whether that matters.</summary>
    public ProfilePoint NearestDew => Points.MinBy(p => p.DewMargin.Kelvins);

    /// <summary>Where a part lies.</summary>
    internal enum Side
    {
        /// <summary>Outside of what is put in.</summary>
        Outboard,

        /// <summary>What is put in, and the free space beside it.</summary>
        Between,

        /// <summary>On the room's side of the members.</summary>
        Inboard,
    }

    /// <summary>One part from outside to the room, uncut: its width, thermal and vapour resistance in SI.</summary>
    /// <param name="Key">A material id, <c>foam</c>, <c>freeSpace</c>, <c>ventChannel</c>, <c>outsideFilm</c>, <c>insideFilm</c>.</param>
    /// <param name="Width">Width.</param>
    /// <param name="Resistance">m²K/W.</param>
    /// <param name="VapourResistance">Pa·s·m²/kg.</param>
    /// <param name="Side">Where it lies.</param>
    internal readonly record struct Part(string Key, Length Width, double Resistance, double VapourResistance, Side Side)
    {
        /// <summary>Slices it is cut into where a dew line crossing it must be seen.</summary>
        public int Slices { get; init; } = 1;

        /// <summary>What water does to its faces.</summary>
        public WaterHarm Harm { get; init; }

        /// <summary>What is put in, if it is that.</summary>
        public FillLayer? Fill { get; init; }
    }

    internal static SectionProfile Of(SectionCase section, SectionHeat heat)
    {
        var pressure = StandardAtmosphere.PressureAt(Length.Zero);
        var outside = MoistAir.Of(section.Air.Outdoor, section.Air.OutdoorHumidity, pressure).VapourPressure;
        var inside = MoistAir.Of(section.Air.Indoor, section.Air.IndoorHumidity, pressure).VapourPressure;
        var parts = Parts(section, heat).ToList();
        var resistance = parts.Sum(p => p.Resistance);
        var vapourResistance = parts.Sum(p => p.VapourResistance);

        var points = new List<ProfilePoint>(parts.Sum(p => p.Slices) + 1);
        var (depth, r, z) = (0.0, 0.0, 0.0);
        points.Add(Point("outside", depth, 0, 0));
        foreach (var part in parts)
        {
            for (var slice = 0; slice < part.Slices; slice++)
            {
                depth += part.Width.Metres / part.Slices;
                r += part.Resistance / part.Slices;
                z += part.VapourResistance / part.Slices;
                points.Add(Point(part.Key, depth, r / resistance, z / vapourResistance));
            }
        }

        return new(points, outside, inside, Permeance.FromSi(1 / vapourResistance));

        ProfilePoint Point(string key, double at, double heatShare, double vapourShare)
        {
            var celsius = section.Air.Outdoor.Celsius + heatShare * (section.Air.Indoor.Celsius - section.Air.Outdoor.Celsius);
            var vapour = Pressure.FromPascals(outside.Pascals + vapourShare * (inside.Pascals - outside.Pascals));
            return new(key, Length.FromMetres(at), Temperature.FromCelsius(celsius), vapour, MoistAir.DewPointOf(vapour));
        }
    }

    /// <summary>What lies between outdoor and room air, outermost first.</summary>
    internal static IEnumerable<Part> Parts(SectionCase section, SectionHeat heat)
    {
        if (section.VentChannel > Length.Zero)
        {
            // Beyond a ventilated channel all is at outdoor air: these layers carry neither heat nor vapour here.
            foreach (var layer in section.Outboard)
            {
                yield return new(layer.Material.Id, layer.Thickness, 0, 0, Side.Outboard);
            }

            yield return new("ventChannel", section.VentChannel, 0, 0, Side.Outboard);
        }

        yield return new("outsideFilm", Length.Zero, heat.OutsideFilm.SquareMetreKelvinsPerWatt, 0, Side.Outboard);
        foreach (var layer in heat.Outboard)
        {
            yield return Of(layer, Side.Outboard);
        }

        var fillAndSpace = section.Fill.Select(Of).Concat(FreeSpace(heat));
        foreach (var part in section.FoamAgainst == FoamSide.Outboard ? fillAndSpace : fillAndSpace.Reverse())
        {
            yield return part;
        }

        foreach (var layer in section.Inboard)
        {
            yield return Of(layer, Side.Inboard);
        }

        yield return new("insideFilm", Length.Zero, heat.InsideFilm.SquareMetreKelvinsPerWatt, 0, Side.Inboard);
    }

    private static Part Of(FillLayer layer) =>
        new(
            layer.Key,
            layer.Thickness,
            layer.Resistance.SquareMetreKelvinsPerWatt,
            1 / layer.Permeance.KilogramsPerPascalSecondSquareMetre,
            Side.Between
        )
        {
            Slices = layer.Slices,
            Fill = layer,
        };

    // Still air resists vapour as its own thickness does (ISO 13788 conventional permeability).
    private static IEnumerable<Part> FreeSpace(SectionHeat heat) =>
        heat.FreeWidth > Length.Zero
            ?
            [
                new(
                    "freeSpace",
                    heat.FreeWidth,
                    heat.FreeSpace.SquareMetreKelvinsPerWatt,
                    heat.FreeWidth.Metres / Permeance.StillAirPermeability,
                    Side.Between
                ),
            ]
            : [];

    private static Part Of(Layer layer, Side side) =>
        new(
            layer.Material.Id,
            layer.Thickness,
            layer.Resistance.SquareMetreKelvinsPerWatt,
            1 / layer.Permeance.KilogramsPerPascalSecondSquareMetre,
            side
        )
        {
            Harm = layer.Material.Harm,
        };
}
