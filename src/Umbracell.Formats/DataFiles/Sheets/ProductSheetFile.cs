using System.Globalization;
using System.Text.Json;
using NJsonSchema;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Words;

namespace Umbracell.Formats.DataFiles;

/// <summary>A product sheet as a JSON file: the figures as the maker prints them, units in the names.</summary>
public static class ProductSheetFile
{
    private static readonly Lazy<JsonSchema> Schema = new(() => ShippedFiles.Schema("product-sheet"));

    /// <summary>The schema, as text.</summary>
    public static string SchemaText => ShippedFiles.Text("schemas/product-sheet.schema.json");

    /// <summary>Reads and checks a product sheet.</summary>
    /// <param name="name">File name, for errors.</param>
    /// <param name="text">The JSON.</param>
    /// <exception cref="DataFileException">Against the schema, or contradicting itself; each fault with its line.</exception>
    public static ProductSheet Read(string name, string text)
    {
        // Of another version nothing else can be told: its fields may mean something else.
        if (DataFile.NumberAt(name, text, "schemaVersion") is { } version && version != SheetDocument.CurrentVersion)
        {
            var sentence = WordCatalog.Say(
                "dataFile.sheet.version",
                ("version", Told(version)),
                ("read", Told(SheetDocument.CurrentVersion))
            );
            throw new DataFileException(name, DataFile.Faults(text, [("schemaVersion", sentence)]));
        }

        var file = DataFile.Read<SheetShape>(name, text, Schema.Value);
        var faults = DataFile.Faults(text, Contradictions(file).Select(c => (c.Path, Sentence(c))));
        return faults.Count > 0 ? throw new DataFileException(name, faults) : ToSheet(file);
    }

    /// <summary>What contradicts itself on a sheet whose lines are all filled in.</summary>
    /// <param name="sheet">Within the schema.</param>
    public static IReadOnlyList<SheetContradiction> Contradictions(SheetDocument sheet) =>
        Contradictions(JsonSerializer.Deserialize<SheetShape>(sheet.Write(), DataFile.Json)!);

    // A curve that turns back cannot be read along: nothing else is said before it is in order.
    private static List<SheetContradiction> Contradictions(SheetShape file)
    {
        var unordered = Unordered(file).Select(path => new SheetContradiction(path, "curveOrder")).ToList();
        return unordered.Count > 0 ? unordered : [.. ToSheet(file).Contradictions()];
    }

    private static string Told(double version) => version.ToString(CultureInfo.InvariantCulture);

    private static IEnumerable<string> Unordered(SheetShape s)
    {
        (string Path, IEnumerable<double> X)[] curves =
        [
            ("agedR", s.AgedR.Select(p => p.ThicknessIn)),
            ("yieldByDrum", s.YieldByDrum.Select(p => p.TempC)),
            ("yieldBySubstrate", s.YieldBySubstrate.Select(p => p.TempC)),
        ];
        return curves.Where(curve => curve.X.Zip(curve.X.Skip(1)).Any(pair => pair.Second <= pair.First)).Select(curve => curve.Path);
    }

    // Sheets are written in board feet and pounds.
    private static string Sentence(SheetContradiction of) =>
        WordCatalog.Say(
            $"dataFile.sheet.{of.Case}",
            [.. of.Figures.Select(figure => (figure.Key, QuantityPrinter.Print(figure.Value, UnitSystem.Us)))]
        );

    private static ProductSheet ToSheet(SheetShape s) =>
        new()
        {
            Id = s.Id,
            Name = s.Name,
            Maker = s.Maker,
            Edition = s.Edition,
            Cell = s.Cell,
            Grade = s.Grade,
            CoreDensity = Density.FromPoundsPerCubicFoot(s.Density.CoreLbFt3),
            InPlaceDensity = Density.FromPoundsPerCubicFoot(s.Density.InPlaceLbFt3),
            AgedR = new(
                "aged R",
                s.AgedR.Select(p => new CurvePoint(
                    Length.FromInches(p.ThicknessIn).Metres,
                    ThermalResistance.FromUsR(p.R).SquareMetreKelvinsPerWatt
                )),
                Dimension.Thickness
            ),
            AgeingMethod = s.AgeingMethod,
            Permeability = Permeability.FromPermInches(s.PermeabilityPermIn),
            AirBarrierFrom = Length.FromInches(s.AirBarrierFromIn),
            LeastLift = Length.FromInches(s.Lift.LeastIn),
            GreatestLift = Length.FromInches(s.Lift.GreatestIn),
            ReferenceLift = Length.FromInches(s.Lift.ReferenceIn),
            FlashCoatFrom = s.FlashCoatFromIn is { } flash ? Length.FromInches(flash) : null,
            NextLiftBelow = Temperature.FromCelsius(s.NextLift.BelowC),
            LeastWait = TimeSpan.FromMinutes(s.NextLift.LeastWaitMin),
            GivenExotherm = s.Exotherm?.Of(FoamExotherm.Usual(s.Cell)),
            Substrate = s.SubstrateC.ToWindow(),
            Air = s.AirC.ToWindow(),
            Drums = s.DrumsC.ToWindow(),
            GreatestHumidityPercent = s.GreatestHumidityPct,
            GreatestWoodMoisturePercent = s.GreatestWoodMoisturePct,
            WindLimit = Speed.FromMetresPerSecond(s.WindLimitMs),
            YieldByDrum = new("drum temperature", s.YieldByDrum.Select(p => new CurvePoint(p.TempC, p.Factor)), Dimension.Temperature),
            YieldBySubstrate = new(
                "substrate temperature",
                s.YieldBySubstrate.Select(p => new CurvePoint(p.TempC, p.Factor)),
                Dimension.Temperature
            ),
            SheetYield = FoamVolume.FromBoardFeet(s.YieldBoardFeet),
            SetMassA = Mass.FromKilograms(s.SetMassKg.A),
            SetMassB = Mass.FromKilograms(s.SetMassKg.B),
            CureBeforeRain = TimeSpan.FromHours(s.CureH),
            SetPoints = new(Temperature.FromCelsius(s.Rig.PrimaryHeatC), Temperature.FromCelsius(s.Rig.HoseHeatC), s.Rig.PressureMPa * 1e6),
            Reaction = new(
                TimeSpan.FromSeconds(s.Reaction.CreamS),
                TimeSpan.FromSeconds(s.Reaction.TackFreeS),
                Temperature.FromCelsius(s.Reaction.AtSubstrateC)
            ),
            ReEntry = s.ReEntry,
            ReEntryTime = s.ReEntryAfter is { Hours: { } hours } after ? new(TimeSpan.FromHours(hours), after.AirChanges) : null,
            LeastPull = s.Adhesion?.LeastKPa is { } pull ? BearingPressure.FromKilopascals(pull) : null,
            CompressiveStrength = s.CompressiveStrengthKPa is { } strength ? BearingPressure.FromKilopascals(strength) : null,
            FlameSpread = s.Fire?.FlameSpread,
            SmokeDeveloped = s.Fire?.SmokeDeveloped,
            OpenToSunDays = s.OpenDays?.Sun,
            OpenToRainDays = s.OpenDays?.Rain,
        };

    private sealed record SheetShape
    {
        public required string Id { get; init; }

        public required string Name { get; init; }

        public required string Maker { get; init; }

        public required string Edition { get; init; }

        public required CellStructure Cell { get; init; }

        public required FoamGrade Grade { get; init; }

        public required DensityShape Density { get; init; }

        public required RPoint[] AgedR { get; init; }

        public required string AgeingMethod { get; init; }

        public required double PermeabilityPermIn { get; init; }

        public required double AirBarrierFromIn { get; init; }

        public required LiftShape Lift { get; init; }

        public required double? FlashCoatFromIn { get; init; }

        public required NextLiftShape NextLift { get; init; }

        public ExothermShape? Exotherm { get; init; }

        public required WindowShape SubstrateC { get; init; }

        public required WindowShape AirC { get; init; }

        public required WindowShape DrumsC { get; init; }

        public required double GreatestHumidityPct { get; init; }

        public required double? GreatestWoodMoisturePct { get; init; }

        public required double YieldBoardFeet { get; init; }

        public required FactorPoint[] YieldByDrum { get; init; }

        public required FactorPoint[] YieldBySubstrate { get; init; }

        public required SetMassShape SetMassKg { get; init; }

        public required RigShape Rig { get; init; }

        public required ReactionShape Reaction { get; init; }

        public required double WindLimitMs { get; init; }

        public required string ReEntry { get; init; }

        // Of no use to the core so far, but text like any other: read so that it is text that can be kept.
        public required string AgeingEvidence { get; init; }

        public required string Coating { get; init; }

        public double? CompressiveStrengthKPa { get; init; }

        public ReEntryShape? ReEntryAfter { get; init; }

        public AdhesionShape? Adhesion { get; init; }

        public FireShape? Fire { get; init; }

        public required double CureH { get; init; }

        public OpenDaysShape? OpenDays { get; init; }
    }

    private sealed record ExothermShape
    {
        public double? HeatKJKg { get; init; }

        public double? RatePerS { get; init; }

        public double? ActivationKJMol { get; init; }

        public double? ConductivityWMK { get; init; }

        public double? HeatCapacityKJKgK { get; init; }

        public FoamExotherm Of(FoamExotherm usual) =>
            new(
                HeatKJKg * 1e3 ?? usual.Heat,
                RatePerS ?? usual.Rate,
                ActivationKJMol * 1e3 ?? usual.Activation,
                ConductivityWMK is { } k ? ThermalConductivity.FromSi(k) : usual.Conductivity,
                HeatCapacityKJKgK * 1e3 ?? usual.SpecificHeat
            );
    }

    private sealed record RigShape(double PrimaryHeatC, double HoseHeatC, double PressureMPa);

    private sealed record ReactionShape(double CreamS, double TackFreeS, double AtSubstrateC);

    private sealed record FireShape(double FlameSpread, double SmokeDeveloped);

    private sealed record OpenDaysShape(double Sun, double Rain);

    private sealed record ReEntryShape(double? Hours = null, double? AirChanges = null);

    private sealed record AdhesionShape(double? LeastKPa = null);

    private sealed record DensityShape(double CoreLbFt3, double InPlaceLbFt3);

    private sealed record RPoint(double ThicknessIn, double R);

    private sealed record FactorPoint(double TempC, double Factor);

    private sealed record LiftShape(double LeastIn, double GreatestIn, double ReferenceIn);

    private sealed record NextLiftShape(double BelowC, double LeastWaitMin);

    private sealed record SetMassShape(double A, double B);

    private sealed record WindowShape(double Least, double Greatest)
    {
        public TemperatureWindow ToWindow() => new(Temperature.FromCelsius(Least), Temperature.FromCelsius(Greatest));
    }
}
