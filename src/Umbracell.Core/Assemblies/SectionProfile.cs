using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>One place in the section with its temperature and vapour at design.</summary>
/// <param name="Key">What lies outboard of this place: a material id, <c>foam</c>, <c>freeSpace</c>, <c>ventChannel</c>, <c>outside</c>, <c>insideFilm</c>.</param>
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
    public Pressure OutwardDrive => Inside - Outside;

    /// <summary>The place nearest its dew point at design. Below zero, vapour by diffusion alone would condense there while such weather lasts; a year's balance decides whether that matters.</summary>
    public ProfilePoint NearestDew => Points.MinBy(p => p.DewMargin.Kelvins);

    /// <summary>One step from outside to the room: its width, thermal and vapour resistance in SI.</summary>
    internal readonly record struct Step(string Key, Length Width, double Resistance, double VapourResistance);

    internal static SectionProfile Of(SectionCase section, SectionHeat heat)
    {
        var pressure = StandardAtmosphere.PressureAt(Length.Zero);
        var outside = MoistAir.Of(section.Air.Outdoor, section.Air.OutdoorHumidity, pressure).VapourPressure;
        var inside = MoistAir.Of(section.Air.Indoor, section.Air.IndoorHumidity, pressure).VapourPressure;
        var steps = Steps(section, heat).ToList();
        var resistance = steps.Sum(s => s.Resistance);
        var vapourResistance = steps.Sum(s => s.VapourResistance);

        var points = new List<ProfilePoint>(steps.Count + 1);
        var (depth, r, z) = (0.0, 0.0, 0.0);
        points.Add(Point("outside", depth, 0, 0));
        foreach (var step in steps)
        {
            depth += step.Width.Metres;
            r += step.Resistance;
            z += step.VapourResistance;
            points.Add(Point(step.Key, depth, r / resistance, z / vapourResistance));
        }

        return new(points, outside, inside, new(1 / vapourResistance));

        ProfilePoint Point(string key, double at, double heatShare, double vapourShare)
        {
            var celsius = section.Air.Outdoor.Celsius + heatShare * (section.Air.Indoor.Celsius - section.Air.Outdoor.Celsius);
            var vapour = new Pressure(outside.Pascals + vapourShare * (inside.Pascals - outside.Pascals));
            return new(key, new(at), new(celsius), vapour, MoistAir.DewPointOf(vapour));
        }
    }

    internal static IEnumerable<Step> Steps(SectionCase section, SectionHeat heat)
    {
        if (section.VentChannel > Length.Zero)
        {
            // Beyond a ventilated channel all is at outdoor air: these layers carry neither heat nor vapour here.
            foreach (var layer in section.Outboard)
            {
                yield return new(layer.Material.Id, layer.Thickness, 0, 0);
            }

            yield return new("ventChannel", section.VentChannel, 0, 0);
        }

        yield return new("outsideFilm", Length.Zero, heat.OutsideFilm.SquareMetreKelvinsPerWatt, 0);
        foreach (var layer in heat.Outboard)
        {
            yield return Of(layer);
        }

        var fillAndSpace = section.Fill.SelectMany(Cut).Concat(FreeSpace(heat));
        foreach (var step in section.FoamAgainst == FoamSide.Outboard ? fillAndSpace : fillAndSpace.Reverse())
        {
            yield return step;
        }

        foreach (var layer in section.Inboard)
        {
            yield return Of(layer);
        }

        yield return new("insideFilm", Length.Zero, heat.InsideFilm.SquareMetreKelvinsPerWatt, 0);
    }

    // Cut into slices, so that a dew line crossing inside a layer is seen.
    private static IEnumerable<Step> Cut(FillLayer layer)
    {
        var vapour = 1 / layer.Permeance.KilogramsPerPascalSecondSquareMetre / layer.Slices;
        return Enumerable.Repeat(new Step(layer.Key, layer.Thickness / layer.Slices, layer.Resistance.SquareMetreKelvinsPerWatt / layer.Slices, vapour), layer.Slices);
    }

    // Still air resists vapour as its own thickness does (ISO 13788 conventional permeability).
    private static IEnumerable<Step> FreeSpace(SectionHeat heat) => heat.FreeWidth > Length.Zero
        ? [new("freeSpace", heat.FreeWidth, heat.FreeSpace.SquareMetreKelvinsPerWatt, heat.FreeWidth.Metres / Permeance.StillAirPermeability)]
        : [];

    private static Step Of(Layer layer) =>
        new(layer.Material.Id, layer.Thickness, layer.Resistance.SquareMetreKelvinsPerWatt, 1 / layer.Permeance.KilogramsPerPascalSecondSquareMetre);
}
