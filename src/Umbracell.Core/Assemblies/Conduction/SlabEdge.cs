using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>The edge of a slab on the ground, reckoned in two dimensions: with its edge bare against the foundation, and with the foam
/// carried up it.</summary>
public sealed record SlabEdge
{
    /// <summary>Temperatures with the slab's edge bare.</summary>
    public required ConductionField Bare { get; init; }

    /// <summary>What was solved, between airs of 0 and 1 °C.</summary>
    public required ConductionCell Cell { get; init; }

    /// <summary>The part around the edge that is worth looking at: left, right, bottom, top, m.</summary>
    public required (double Left, double Right, double Bottom, double Top) Window { get; init; }

    /// <summary>Coldest spot of the floor's face with the edge bare.</summary>
    public required Temperature Coldest { get; init; }

    /// <summary>The same with the foam carried up the edge.</summary>
    public required Temperature ColdestWrapped { get; init; }

    /// <summary>Heat that carrying the foam up saves, W for each metre of edge and kelvin.</summary>
    public required double Saved { get; init; }

    /// <summary>Dew point of the room's air.</summary>
    public required Temperature Dew { get; init; }

    /// <summary>From the edge to the middle of the floor, m.</summary>
    public const double HalfFloor = 4;

    /// <summary>Conductivity of the soil, W/(m·K): clay or silt, ISO 13370 category 1.</summary>
    public const double Soil = 1.5;

    private const double Concrete = 1.6,
        FoundationWidth = 0.2,
        FoundationDepth = 0.6,
        GradeBelowFloor = 0.15,
        WallHeight = 1,
        GroundAround = 20;

    private const int Volumes = 5000;

    private static readonly Citation Source = Citations.SlabConduction(
        ThermalConductivity.FromSi(Soil),
        Length.FromMetres(HalfFloor),
        Length.FromMetres(FoundationWidth)
    );

    /// <summary>Solves the edge of a case; null for any surface but ground under a slab, without foam, or where the air beyond the edge
    /// is not known.</summary>
    /// <param name="section">The case.</param>
    public static SlabEdge? Of(SectionCase section)
    {
        if (
            section is not { Kind: SurfaceKind.UnderSlab, BeyondEdge: { } outdoor, Fill.Count: > 0, Inboard.Count: > 0 }
            || Math.Abs((section.Air.Indoor - outdoor).Kelvins) < 0.01
        )
        {
            return null;
        }

        var (bare, wrapped) = (Made(section, wrapped: false), Made(section, wrapped: true));
        var span = (section.Air.Indoor - outdoor).Kelvins;
        var fields = (Bare: section.Solved.FieldOf(bare.Cell, Volumes), Wrapped: section.Solved.FieldOf(wrapped.Cell, Volumes));
        var shown = fields.Bare.Between(outdoor.Celsius, section.Air.Indoor.Celsius);
        Temperature Coldest(ConductionField field, double edge) =>
            Temperature.FromCelsius(outdoor.Celsius + span * LeastAlong(field, bare.Floor, edge));
        return new()
        {
            Bare = shown,
            Cell = bare.Cell,
            Window = (
                HalfFloor - 0.9,
                HalfFloor + FoundationWidth + 0.5,
                bare.Floor - GradeBelowFloor - FoundationDepth - 0.1,
                bare.Floor + 0.25
            ),
            Coldest = Coldest(fields.Bare, HalfFloor),
            ColdestWrapped = Coldest(fields.Wrapped, HalfFloor - section.FillThickness.Metres),
            Saved = fields.Bare.HeatIn - fields.Wrapped.HeatIn,
            Dew = MoistAir.Of(section.Air.Indoor, section.Air.IndoorHumidity, StandardAtmosphere.PressureAt(Length.Zero)).DewPoint,
        };
    }

    /// <summary>Whether the floor stays above the room's dew point at its edge.</summary>
    public Finding Judge()
    {
        var dry = Coldest > Dew;
        return new(
            SectionRules.SlabEdge,
            dry ? "dry"
                : ColdestWrapped > Dew ? "carryUp"
                : "damp",
            dry ? Verdict.Clear : Verdict.Care,
            Source
        )
        {
            Measured = Coldest.ToFigure(),
            Limit = Dew.ToFigure(),
            Margin = (Coldest - Dew).ToFigure(),
            Figures = new Dictionary<string, Figure>
            {
                ["wrapped"] = ColdestWrapped.ToFigure(),
                ["saved"] = new(Saved, Dimension.LinearTransmittance),
            },
        };
    }

    // From below: soil, what lies under the foam, the foam, the slab and its finish; beside them the foundation that carries a wall as
    // well insulated as the floor.
    private static (ConductionCell Cell, double Floor) Made(SectionCase section, bool wrapped)
    {
        var end = HalfFloor + FoundationWidth + GroundAround;
        var foam = section.FillThickness.Metres;
        var bed = section.Outboard.Sum(l => l.Thickness.Metres);
        var slab = section.Inboard.Sum(l => l.Thickness.Metres);
        var floor = GroundAround + bed + foam + slab;
        var (grade, foot, top) = (floor - GradeBelowFloor, floor - GradeBelowFloor - FoundationDepth, floor + WallHeight);
        var fillR = section.Fill.Sum(f => f.Resistance.SquareMetreKelvinsPerWatt);
        List<Block> blocks = [new(0, end, 0, top, Soil)];
        var y = GroundAround;
        foreach (
            var (thickness, conductivity) in section
                .Outboard.Select(Plain)
                .Append((foam, foam / fillR))
                .Concat(section.Inboard.Select(Plain))
        )
        {
            blocks.Add(new(0, HalfFloor, y, y + thickness, conductivity));
            y += thickness;
        }

        if (wrapped)
        {
            blocks.Add(new(HalfFloor - foam, HalfFloor, floor - slab, floor, foam / fillR));
        }

        blocks.Add(new(HalfFloor, HalfFloor + FoundationWidth, foot, floor, Concrete));
        blocks.Add(new(HalfFloor, HalfFloor + FoundationWidth, floor, top, FoundationWidth / fillR));
        var inside = new EdgeAir(1, Films.Inside(section.Films, HeatFlow.Down).SquareMetreKelvinsPerWatt);
        var outside = new EdgeAir(0, Films.Outside(section.Films, HeatFlow.Horizontal, Exposure.Outdoors).SquareMetreKelvinsPerWatt);
        return (
            new(end, top, blocks, null, null)
            {
                Rooms = [new(0, HalfFloor, floor, top, inside), new(HalfFloor + FoundationWidth, end, grade, top, outside)],

                // Most of the heat turns within a metre of the edge: the grid is finer there than its lines alone would make it.
                AcrossAt =
                [
                    HalfFloor - 1,
                    HalfFloor - 0.4,
                    HalfFloor - 0.15,
                    HalfFloor + FoundationWidth + 0.3,
                    HalfFloor + FoundationWidth + 1,
                ],
                ThroughAt = [foot - 0.4, foot - 2, floor + 0.1],
            },
            floor
        );
    }

    private static (double Thickness, double Conductivity) Plain(Layer layer) =>
        (layer.Thickness.Metres, layer.Material.Conductivity.WattsPerMetreKelvin);

    // The slab's face: the row of volumes under the room, to where the slab ends. The strip of foam beside it lies under the wall's finish.
    private static double LeastAlong(ConductionField field, double floor, double edge)
    {
        var row = Enumerable.Range(0, field.Through).Last(j => field.EdgesThrough[j + 1] <= floor + 1e-9);
        return Enumerable.Range(0, field.Across).Where(i => field.EdgesAcross[i + 1] <= edge + 1e-9).Min(i => field.At(i, row));
    }
}
