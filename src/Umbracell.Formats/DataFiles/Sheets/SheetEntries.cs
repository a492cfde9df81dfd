using NJsonSchema;
using Umbracell.Core.Quantities;

namespace Umbracell.Formats.DataFiles;

/// <summary>The part of a product sheet a line stands in, in the order a sheet is read.</summary>
public enum SheetPart
{
    /// <summary>What it is and who makes it.</summary>
    Product,

    /// <summary>Weight, heat, vapour and air.</summary>
    Foam,

    /// <summary>How thick it may be sprayed, and how soon again.</summary>
    Lifts,

    /// <summary>Substrate, air, drums, humidity, wood and wind it may be sprayed at.</summary>
    Conditions,

    /// <summary>What a set gives.</summary>
    Yield,

    /// <summary>Set points, and how it reacts.</summary>
    Rig,

    /// <summary>What it may be exposed to, strength, fire, and when people come back.</summary>
    Afterwards,
}

/// <summary>Which way a line limits what may be sprayed.</summary>
public enum SheetLimit
{
    /// <summary>It limits nothing.</summary>
    None,

    /// <summary>More of it is out of bounds: a lower figure is tighter.</summary>
    AtMost,

    /// <summary>Less of it is out of bounds: a higher figure is tighter.</summary>
    AtLeast,
}

/// <summary>The unit a line is written in in a sheet's file.</summary>
/// <param name="Dimension">What it measures.</param>
/// <param name="Scale">SI per unit.</param>
public sealed record SheetUnit(Dimension Dimension, double Scale)
{
    // A figure typed in another unit is written to where no reader sees the rest.
    private const int Digits = 9;

    /// <summary>A figure of the file in SI.</summary>
    public Figure Of(double written) => new(written * Scale, Dimension);

    /// <summary>A figure in SI as the file writes it.</summary>
    public double Written(double si) => Math.Round(si / Scale, Digits);
}

/// <summary>One line of a product sheet.</summary>
/// <param name="Path">Where it stands in the file, such as <c>lift.greatestIn</c>.</param>
/// <param name="Part">The part of the sheet it stands in.</param>
/// <param name="Unit">What it measures; null where it is words.</param>
public sealed record SheetEntry(string Path, SheetPart Part, SheetUnit? Unit)
{
    /// <summary>What the line may hold, in SI; without meaning where it is words.</summary>
    public FigureRange Range { get; init; }

    /// <summary>Whether the sheet may leave it out.</summary>
    public bool MayBeBlank { get; init; }

    /// <summary>Which way it limits what may be sprayed.</summary>
    public SheetLimit Limit { get; init; }

    /// <summary>Whether a figure bounds tighter than another.</summary>
    public bool IsTighter(Figure? figure, Figure? than) =>
        Limit switch
        {
            SheetLimit.AtMost => figure?.Amount < (than?.Amount ?? double.MaxValue),
            SheetLimit.AtLeast => figure?.Amount > (than?.Amount ?? double.MinValue),
            _ => false,
        };

    /// <summary>Words it is one of; empty where it is free text or a figure.</summary>
    public IReadOnlyList<string> Words { get; init; } = [];

    /// <summary>Longest text it may hold.</summary>
    public int Longest { get; init; }
}

/// <summary>A curve of a product sheet: points of which each has two figures.</summary>
/// <param name="Path">Where it stands in the file.</param>
/// <param name="Part">The part of the sheet it stands in.</param>
/// <param name="X">What it is read along.</param>
/// <param name="Y">What it gives.</param>
public sealed record SheetCurve(string Path, SheetPart Part, SheetEntry X, SheetEntry Y)
{
    /// <summary>Most points it may have.</summary>
    public int MostPoints { get; init; }
}

/// <summary>Every line of a product sheet, once: what reads, writes, shows and compares sheets goes by this. Ranges are those of the
/// schema.</summary>
public static class SheetEntries
{
    private static readonly SheetUnit Inches = new(Dimension.Thickness, Length.MetresPerInch);
    private static readonly SheetUnit Celsius = new(Dimension.Temperature, 1);
    private static readonly SheetUnit Pounds = new(Dimension.Density, Density.FromPoundsPerCubicFoot(1).KilogramsPerCubicMetre);
    private static readonly SheetUnit R = new(Dimension.Resistance, ThermalResistance.FromUsR(1).SquareMetreKelvinsPerWatt);
    private static readonly SheetUnit PermInches = new(
        Dimension.Permeability,
        Permeability.FromPermInches(1).KilogramsPerPascalSecondMetre
    );
    private static readonly SheetUnit Percent = new(Dimension.RelativeHumidity, 1);
    private static readonly SheetUnit Moisture = new(Dimension.MoistureContent, 1);
    private static readonly SheetUnit BoardFeet = new(Dimension.FoamVolume, FoamVolume.FromBoardFeet(1).CubicMetres);
    private static readonly SheetUnit Kilograms = new(Dimension.Mass, 1);
    private static readonly SheetUnit Megapascals = new(Dimension.MaterialPressure, 1e6);
    private static readonly SheetUnit Kilopascals = new(Dimension.BearingPressure, 1e3);
    private static readonly SheetUnit Minutes = new(Dimension.Duration, 60);
    private static readonly SheetUnit Hours = new(Dimension.Duration, 3600);
    private static readonly SheetUnit Seconds = new(Dimension.ReactionTime, 1);
    private static readonly SheetUnit MetresPerSecond = new(Dimension.Speed, 1);
    private static readonly SheetUnit Conductivity = new(Dimension.Conductivity, 1);
    private static readonly SheetUnit Plain = new(Dimension.Number, 1);

    private static readonly JsonSchema Schema = ShippedFiles.Schema("product-sheet");

    /// <summary>What the product is called.</summary>
    public static SheetEntry Name { get; } = Line("name", SheetPart.Product);

    /// <summary>What the edition is called.</summary>
    public static SheetEntry Edition { get; } = Line("edition", SheetPart.Product);

    /// <summary>The lines, in the order they are read.</summary>
    public static IReadOnlyList<SheetEntry> All { get; } =
    [
        Name,
        Line("maker", SheetPart.Product),
        Edition,
        Line("cell", SheetPart.Product),
        Line("grade", SheetPart.Product),
        Line("density.coreLbFt3", SheetPart.Foam, Pounds),
        Line("density.inPlaceLbFt3", SheetPart.Foam, Pounds),
        Line("ageingMethod", SheetPart.Foam),
        Line("ageingEvidence", SheetPart.Foam),
        Line("permeabilityPermIn", SheetPart.Foam, PermInches),
        Line("airBarrierFromIn", SheetPart.Foam, Inches, SheetLimit.AtLeast),
        Line("lift.leastIn", SheetPart.Lifts, Inches, SheetLimit.AtLeast),
        Line("lift.greatestIn", SheetPart.Lifts, Inches, SheetLimit.AtMost),
        Line("lift.referenceIn", SheetPart.Lifts, Inches),
        Line("flashCoatFromIn", SheetPart.Lifts, Inches, SheetLimit.AtLeast),
        Line("nextLift.belowC", SheetPart.Lifts, Celsius, SheetLimit.AtMost),
        Line("nextLift.leastWaitMin", SheetPart.Lifts, Minutes, SheetLimit.AtLeast),
        Line("exotherm.heatKJKg", SheetPart.Lifts, Plain),
        Line("exotherm.ratePerS", SheetPart.Lifts, Plain),
        Line("exotherm.activationKJMol", SheetPart.Lifts, Plain),
        Line("exotherm.conductivityWMK", SheetPart.Lifts, Conductivity),
        Line("exotherm.heatCapacityKJKgK", SheetPart.Lifts, Plain),
        Line("substrateC.least", SheetPart.Conditions, Celsius, SheetLimit.AtLeast),
        Line("substrateC.greatest", SheetPart.Conditions, Celsius, SheetLimit.AtMost),
        Line("airC.least", SheetPart.Conditions, Celsius, SheetLimit.AtLeast),
        Line("airC.greatest", SheetPart.Conditions, Celsius, SheetLimit.AtMost),
        Line("drumsC.least", SheetPart.Conditions, Celsius, SheetLimit.AtLeast),
        Line("drumsC.greatest", SheetPart.Conditions, Celsius, SheetLimit.AtMost),
        Line("greatestHumidityPct", SheetPart.Conditions, Percent, SheetLimit.AtMost),
        Line("greatestWoodMoisturePct", SheetPart.Conditions, Moisture, SheetLimit.AtMost),
        Line("windLimitMs", SheetPart.Conditions, MetresPerSecond, SheetLimit.AtMost),
        Line("yieldBoardFeet", SheetPart.Yield, BoardFeet),
        Line("setMassKg.a", SheetPart.Yield, Kilograms),
        Line("setMassKg.b", SheetPart.Yield, Kilograms),
        Line("rig.primaryHeatC", SheetPart.Rig, Celsius),
        Line("rig.hoseHeatC", SheetPart.Rig, Celsius),
        Line("rig.pressureMPa", SheetPart.Rig, Megapascals),
        Line("reaction.creamS", SheetPart.Rig, Seconds),
        Line("reaction.tackFreeS", SheetPart.Rig, Seconds),
        Line("reaction.atSubstrateC", SheetPart.Rig, Celsius),
        Line("reaction.atHumidityPct", SheetPart.Rig, Percent),
        Line("openDays.sun", SheetPart.Afterwards, Plain, SheetLimit.AtMost),
        Line("openDays.rain", SheetPart.Afterwards, Plain, SheetLimit.AtMost),
        Line("cureH", SheetPart.Afterwards, Hours, SheetLimit.AtLeast),
        Line("compressiveStrengthKPa", SheetPart.Afterwards, Kilopascals),
        Line("fire.flameSpread", SheetPart.Afterwards, Plain),
        Line("fire.smokeDeveloped", SheetPart.Afterwards, Plain),
        Line("reEntry", SheetPart.Afterwards),
        Line("reEntryAfter.hours", SheetPart.Afterwards, Hours, SheetLimit.AtLeast),
        Line("reEntryAfter.airChanges", SheetPart.Afterwards, Plain, SheetLimit.AtLeast),
        Line("adhesion.leastKPa", SheetPart.Afterwards, Kilopascals),
        Line("coating", SheetPart.Afterwards),
    ];

    /// <summary>The curves, in the order they are read.</summary>
    public static IReadOnlyList<SheetCurve> Curves { get; } =
    [
        CurveOf("agedR", SheetPart.Foam, "thicknessIn", Inches, "r", R),
        CurveOf("yieldByDrum", SheetPart.Yield, "tempC", Celsius, "factor", Plain),
        CurveOf("yieldBySubstrate", SheetPart.Yield, "tempC", Celsius, "factor", Plain),
    ];

    private static SheetCurve CurveOf(string path, SheetPart part, string x, SheetUnit ofX, string y, SheetUnit ofY) =>
        new(path, part, Line(x, part, ofX, within: PointOf(path)), Line(y, part, ofY, within: PointOf(path)))
        {
            MostPoints = Schema.ActualProperties[path].MaxItems,
        };

    private static JsonSchema PointOf(string curve) => Schema.ActualProperties[curve].Item!.ActualSchema;

    private static SheetEntry Line(
        string path,
        SheetPart part,
        SheetUnit? unit = null,
        SheetLimit limit = SheetLimit.None,
        JsonSchema? within = null
    )
    {
        var schema = path.Split('.').Aggregate(within ?? Schema, (at, name) => at.ActualProperties[name].ActualSchema);
        return new(path, part, unit)
        {
            Range = unit is null
                ? default
                : new(unit.Of((double)schema.Minimum!.Value).Amount, unit.Of((double)schema.Maximum!.Value).Amount, unit.Dimension),
            Limit = limit,
            MayBeBlank = schema.Type.HasFlag(JsonObjectType.Null),
            Words = [.. schema.Enumeration.Select(word => word!.ToString()!)],
            Longest = schema.MaxLength ?? 0,
        };
    }
}
