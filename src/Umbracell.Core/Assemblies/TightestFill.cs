using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>The same surface with the tightest fill there is: what reads wet even then reads wet under any system, and steady means
/// cannot tell one from another.</summary>
/// <remarks>The fill is the same for every system of a surface, so that all are held against one yardstick: the whole depth, and a
/// permeance at the bound of Class I, which no foam is tighter than.</remarks>
internal sealed class TightestFill
{
    /// <summary>A place that reads nearly wet under the tightest fill: between this and saturation lies nothing that steady means could
    /// tell, percent.</summary>
    private const double ReadsWet = 95;

    /// <summary>Depth where nothing bounds it.</summary>
    private static readonly Length Unbounded = Length.FromInches(6);

    // As good as closed cell.
    private static readonly ThermalConductivity Conductivity = ThermalConductivity.FromSi(0.024);

    /// <summary>Class II and tighter lets nothing out that matters, Pa·s·m²/kg.</summary>
    private static readonly double LetsNothingOut = 1 / VapourResistance.GreatestOf(VapourClass.II).KilogramsPerPascalSecondSquareMetre;

    private readonly MoisturePath _path;
    private readonly YearOfAir _year;

    public TightestFill(SectionCase section, YearOfAir year)
    {
        var depth = section.FoamDepth is { } bound && bound > Length.Zero ? bound : Unbounded;
        var tight = Permeability.FromSi(VapourResistance.GreatestOf(VapourClass.I).KilogramsPerPascalSecondSquareMetre * depth.Metres);
        var filled = section with
        {
            Fill =
            [
                new SlabFill(
                    new(
                        new Material
                        {
                            Id = "tightest",
                            Conductivity = Conductivity,
                            Permeability = tight,
                            Source = "bound of Class I",
                        },
                        depth
                    )
                ),
            ],
        };
        (_path, _year) = (MoisturePath.Of(filled, SectionHeat.Of(filled)), year);
    }

    /// <summary>Whether a place reads wet in a month under the tightest fill, shut off from the drier air by what lies beyond it.</summary>
    /// <param name="fromOutside">The place, counted from outside for one outside of the fill.</param>
    /// <param name="fromInside">The place, counted from the room for one inside of it.</param>
    /// <param name="isOutside">Whether it lies outside of the fill.</param>
    /// <param name="month">0 for January.</param>
    public bool IsWet(int fromOutside, int fromInside, bool isOutside, int month)
    {
        var (outside, inside) = (_year.OutdoorVapour[month], _year.IndoorVapour[month]);
        if (isOutside != inside > outside)
        {
            return false;
        }

        var node = _path
            .Places[isOutside ? Math.Min(fromOutside, _path.Places.Count - 1) : Math.Max(0, _path.Places.Count - 1 - fromInside)]
            .Node;
        var z = _path.Resistance;
        if ((isOutside ? z[node] : z[^1] - z[node]) < LetsNothingOut)
        {
            return false;
        }

        Span<double> saturation = stackalloc double[_path.Count];
        Span<double> pressure = stackalloc double[_path.Count];
        for (var i = 0; i < saturation.Length; i++)
        {
            saturation[i] = AnnexE.Saturation(_path.TemperatureAt(i, _year.Outdoor[month], _year.Indoor[month]).Celsius);
        }

        CondensateYear.Pressures(z, saturation, outside, inside, pressure);
        return pressure[node] >= ReadsWet / 100 * saturation[node];
    }
}
