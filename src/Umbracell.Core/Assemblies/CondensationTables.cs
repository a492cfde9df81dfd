using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>The model code's tables on condensation: what they say of an assembly, where one of them speaks of it.</summary>
public static class CondensationTables
{
    /// <summary>The finding of the table for a kind of surface; null where no table speaks of it, or its zone is not known.</summary>
    /// <param name="section">The case with its fill.</param>
    /// <param name="covering">Roof covering, where it is known.</param>
    /// <param name="year">Its monthly year, for a deck that stays warm; null where none is known.</param>
    public static Finding? Of(SectionCase section, Covering covering, MonthlyYear? year) =>
        section.Kind switch
        {
            _ when ColdZones.Number(section.ClimateZone) == 0 => null,
            SurfaceKind.UnventedDeck => RoofTable.Judge(section, covering, year is null ? null : RoofTable.ColdestDeck(section, year)),
            SurfaceKind.StudWall => WallTable.Judge(section),
            _ => null,
        };
}

/// <summary>Unvented roofs by table: least R of air-impermeable insulation in contact with the deck.</summary>
internal static class RoofTable
{
    private static readonly Citation Source = Citations.RoofTable;

    /// <summary>Monthly means of the deck at or above this, at 20 °C indoors, stand for the table (IRC R806.5).</summary>
    private const double WarmDeck = 7;

    private const double RoomOfTheTable = 20;

    /// <summary>The deck's coldest monthly mean with 20 °C in the room: it lies at the same share of the way in every month.</summary>
    public static Temperature ColdestDeck(SectionCase section, MonthlyYear year)
    {
        var share = AssemblyState.SubstrateShareOf(section);
        return Temperature.FromCelsius(
            year.Months.Min(m => m.Outdoor.Temperature.Celsius + share * (RoomOfTheTable - m.Outdoor.Temperature.Celsius))
        );
    }

    // IRC R806.5: vented by an air space of a quarter of an inch.
    private static readonly Length UnderShingles = Length.FromInches(0.25);

    public static Finding Judge(SectionCase section, Covering covering, Temperature? coldestDeck)
    {
        var zone = section.ClimateZone!;
        var least = LeastR(zone, covering);
        var r = Impermeable(section);
        var ceilingTight = section.Inboard.Any(layer => VapourResistance.ClassOf(layer.Permeance) == VapourClass.I);
        var needsClass2 = ColdZones.Number(zone) >= 5;
        var retards = Retards(section);
        var warm = coldestDeck is { Celsius: >= WarmDeck };
        var name =
            ceilingTight ? "classOneInside"
            : r.UsR + SlabTarget.LabelRounding < least.UsR && !warm ? "tooLittle"
            : needsClass2 && !retards ? "notClassTwo"
            : covering == Covering.WoodShingles ? "shinglesNeedSpace"
            : r.UsR + SlabTarget.LabelRounding < least.UsR ? "warmDeck"
            : "holds";
        return new(CondensationRules.Roof, name, name is "holds" or "warmDeck" ? Verdict.Clear : Verdict.Care, Source)
        {
            Measured = r.ToFigure(),
            Limit = least.ToFigure(),
            Margin = new(r.SquareMetreKelvinsPerWatt - least.SquareMetreKelvinsPerWatt, Dimension.Resistance),
            Words = new Dictionary<string, Said> { ["zone"] = zone },
            Figures =
                name == "shinglesNeedSpace" ? new Dictionary<string, Figure> { ["space"] = UnderShingles.ToThickness() }
                : coldestDeck is { } t ? new Dictionary<string, Figure> { ["deck"] = t.ToFigure() }
                : new(),
        };
    }

    /// <summary>Least R by zone.</summary>
    public static ThermalResistance LeastR(string zone, Covering covering) =>
        ThermalResistance.FromUsR(
            (zone, ColdZones.Number(zone)) switch
            {
                ("2B" or "3B", _) when covering == Covering.Tile => 0,
                ("4C", _) => 10,
                (_, <= 3) => 5,
                (_, 4) => 15,
                (_, 5) => 20,
                (_, 6) => 25,
                (_, 7) => 30,
                _ => 35,
            }
        );

    // The foam that stops air is the retarder, or a coat on it; what lies loose below it does not count.
    private static bool Retards(SectionCase section)
    {
        var tight = section.Fill.TakeWhile(layer => layer.StopsAir).ToList();
        var coat = section.Fill.Skip(tight.Count).Take(1).Where(layer => layer is SlabFill { Layer.Material.IsInsulation: false });
        return tight.Count > 0
            && VapourResistance.ClassOf(VapourResistance.InSeries(tight.Concat(coat).Select(layer => layer.Permeance))) <= VapourClass.II;
    }

    // What stops air from the deck inward until something lets it through, and rigid boards above the deck.
    private static ThermalResistance Impermeable(SectionCase section) =>
        section
            .Fill.TakeWhile(layer => layer.StopsAir)
            .Select(layer => layer.Resistance)
            .Concat(section.Outboard.Where(layer => layer.Material.IsInsulation).Select(layer => layer.Resistance))
            .Aggregate(default(ThermalResistance), (sum, r) => sum + r);
}

/// <summary>Framed walls by table: which vapour retarder inside, and what foam and exterior board stand for it.</summary>
internal static class WallTable
{
    private static readonly Citation Source = Citations.WallTable;
    private const double TightEnough = 1.5;
    private static readonly Length TwoByFour = Length.FromInches(3.5);

    public static Finding Judge(SectionCase section)
    {
        var zone = section.ClimateZone!;
        var number = ColdZones.Number(zone);
        var inside = section.Inboard.Count > 0 ? section.Inboard.Min(layer => VapourResistance.ClassOf(layer.Permeance)) : VapourClass.Open;
        var outside =
            section.Outboard.Count > 0 ? section.Outboard.Min(layer => VapourResistance.ClassOf(layer.Permeance)) : VapourClass.Open;
        var fill = VapourResistance.ClassOf(VapourResistance.InSeries(section.Fill.Select(f => f.Permeance)));
        var least = LeastR(zone, section.Members.Depth);
        var foam = FoamAgainstSheathing(section);
        var name =
            inside == VapourClass.I && outside == VapourClass.I ? "classOneBothFaces"
            : inside == VapourClass.I && number <= 4 && zone != "4C" ? "classOneWarm"
            : inside == VapourClass.II && number <= 2 ? "classTwoWarm"
            : !ColdZones.Holds(zone) ? "noneAsked"
            : inside <= VapourClass.II || fill <= VapourClass.II ? "retards"
            : section.VentedCladding && IsServedByVenting(section, zone) && (inside <= VapourClass.III || fill <= VapourClass.III)
                ? "ventedCladding"
            : least is { } r && foam.UsR + SlabTarget.LabelRounding >= r.UsR ? "foamStandsFor"
            : IsServedByVenting(section, zone) && !section.VentedCladding ? "noRetarderUnvented"
            : "noRetarder";
        return new(
            CondensationRules.Wall,
            name,
            name is "noneAsked" or "retards" or "ventedCladding" or "foamStandsFor" ? Verdict.Clear : Verdict.Care,
            Source
        )
        {
            Measured = foam.ToFigure(),
            Limit = least?.ToFigure(),
            Words = new Dictionary<string, Said> { ["zone"] = zone, ["class"] = (inside < fill ? inside : fill).ToString() },
        };
    }

    /// <summary>Least R of foam against the sheathing with exterior board; deeper studs by the same share of R.</summary>
    public static ThermalResistance? LeastR(string zone, Length depth)
    {
        var (four, six) = (zone, ColdZones.Number(zone)) switch
        {
            ("4C", _) => (2.5, 3.75),
            (_, 5) => (5, 7.5),
            (_, 6) => (7.5, 11.25),
            (_, 7) => (10, 15),
            (_, 8) => (12.5, 20),
            _ => (0.0, 0.0),
        };
        return four == 0 ? null
            : depth <= TwoByFour + Length.FromMetres(0.002) ? ThermalResistance.FromUsR(four)
            : ThermalResistance.FromUsR(six * Math.Max(1, depth.Inches / 5.5));
    }

    // Over vented cladding Class III will do: in 4C and 5 whatever the sheathing, in 6 not over wood panels or boards, colder nowhere.
    private static bool IsServedByVenting(SectionCase section, string zone) =>
        zone == "4C"
        || ColdZones.Number(zone) == 5
        || (ColdZones.Number(zone) == 6 && section.Outboard.Count > 0 && section.Outboard[^1].Material.Harm != WaterHarm.Wood);

    private static ThermalResistance FoamAgainstSheathing(SectionCase section)
    {
        var foam = section.Fill is [FoamFill first, ..] && first.Permeance.Perms <= TightEnough ? first.Resistance : default;
        return section.Outboard.Where(layer => layer.Material.IsInsulation).Aggregate(foam, (sum, layer) => sum + layer.Resistance);
    }
}
