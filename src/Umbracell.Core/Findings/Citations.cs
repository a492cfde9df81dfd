using System.Runtime.CompilerServices;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Findings;

/// <summary>All that judgements and workings rest on. Each is a key of the catalogue, which has its sentence in every language; those that
/// name a sheet, a material or a figure are made where they are cited.</summary>
public static class Citations
{
    // What each says stands in the catalogue, beside its translations; said here too it would be kept twice.
#pragma warning disable CS1591
    public static Citation AirColumns { get; } = Of();
    public static Citation FanSinglePoint { get; } = Of();
    public static Citation FanValidity { get; } = Of();
    public static Citation ResistanceShares { get; } = Of();
    public static Citation SteadyDiffusion { get; } = Of();
    public static Citation BufferBalance { get; } = Of();
    public static Citation WallTable { get; } = Of();
    public static Citation RoofTable { get; } = Of();
    public static Citation DoorWeight { get; } = Of();
    public static Citation InPlaceDensity { get; } = Of();
    public static Citation FilmsIso6946 { get; } = Of();
    public static Citation FilmsUsCode { get; } = Of();
    public static Citation JointLayers { get; } = Of();
    public static Citation MetalConduction { get; } = Of();
    public static Citation MetalFin { get; } = Of();
    public static Citation SteelStudFactors { get; } = Of();
    public static Citation SteelStudTable { get; } = Of();
    public static Citation SteelStudsThroughDepth { get; } = Of();
    public static Citation ClearFieldAndFin { get; } = Of();
    public static Citation ClearFieldAndConduction { get; } = Of();
    public static Citation FiniteVolumes { get; } = Of();
    public static Citation FinEstimate { get; } = Of();
    public static Citation MonthlyMethod { get; } = Of();
    public static Citation MonthlyVapour { get; } = Of();
    public static Citation MonthlySurface { get; } = Of();
    public static Citation MonthlyMeans { get; } = Of();
    public static Citation SealedBoard { get; } = Of();
    public static Citation VapourClassOfZone { get; } = Of();
    public static Citation ParallelAndMean { get; } = Of();
    public static Citation BattsFilling { get; } = Of();
    public static Citation VentChannelCode { get; } = Of();
    public static Citation NoTarget { get; } = Of();
    public static Citation NoDepth { get; } = Of();
    public static Citation DepthRule { get; } = Of();
    public static Citation TemperatureFactor { get; } = Of();
    public static Citation LayersAndAirSpace { get; } = Of();
    public static Citation LayersInSeries { get; } = Of();
    public static Citation ParallelPath { get; } = Of();
    public static Citation PermeancesInSeries { get; } = Of();
    public static Citation CombinedMethod { get; } = Of();
    public static Citation WithoutFoam { get; } = Of();
    public static Citation DepthLeft { get; } = Of();
    public static Citation VapourOfBothSides { get; } = Of();
    public static Citation LiftsOfEachFoam { get; } = Of();
    public static Citation Priorities { get; } = Of();
    public static Citation CostPerSquareMetre { get; } = Of();
    public static Citation CandidateCost { get; } = Of();
    public static Citation ThermalBarrier { get; } = Of();
    public static Citation ToleranceInterval { get; } = Of();
    public static Citation UnevenFoam { get; } = Of();
    public static Citation DepthPlan { get; } = Of();
    public static Citation DepthAcceptance { get; } = Of();
    public static Citation ReEntry { get; } = Of();
    public static Citation ProofLogged { get; } = Of();
    public static Citation GaugeBlock { get; } = Of();
    public static Citation AirTarget { get; } = Of();
    public static Citation InspectionBeforeCover { get; } = Of();
    public static Citation WeatherSide { get; } = Of();
    public static Citation GroundContact { get; } = Of();
    public static Citation OpenLeak { get; } = Of();
    public static Citation WoodMoistureLimit { get; } = Of();
    public static Citation WoodReadFirst { get; } = Of();
    public static Citation DryAndMended { get; } = Of();
    public static Citation BareMetal { get; } = Of();
    public static Citation TightFinish { get; } = Of();
    public static Citation TightCovering { get; } = Of();
    public static Citation ThinCoatPractice { get; } = Of();
    public static Citation VentChannel { get; } = Of();
    public static Citation ThicknessAgainstDepth { get; } = Of();
    public static Citation FibreInboard { get; } = Of();
    public static Citation NoAirBarrier { get; } = Of();
    public static Citation RainPlane { get; } = Of();
    public static Citation FlipSearch { get; } = Of();
    public static Citation Scores { get; } = Of();
    public static Citation TwoMeters { get; } = Of();
    public static Citation ConcreteMeters { get; } = Of();
    public static Citation GreatestHumidity { get; } = Of();
    public static Citation DewPointOfAir { get; } = Of();
    public static Citation PsychrometricsOverIce { get; } = Of();
    public static Citation Psychrometrics { get; } = Of();
    public static Citation PreparationTicked { get; } = Of();
    public static Citation SpaceBalance { get; } = Of();
    public static Citation Geometry { get; } = Of();
    public static Citation TreatedArea { get; } = Of();
    public static Citation LongMembers { get; } = Of();
    public static Citation AskedOfKind { get; } = Of();
    public static Citation MoistureReadFirst { get; } = Of();
    public static Citation Clearances { get; } = Of();
    public static Citation AreaOfMaterial { get; } = Of();
    public static Citation OpeningsWithin { get; } = Of();
    public static Citation AreaByGeometry { get; } = Of();
    public static Citation BalloonFraming { get; } = Of();
    public static Citation CrewDepths { get; } = Of();
    public static Citation LotsMixed { get; } = Of();
    public static Citation DrumsUsable { get; } = Of();
    public static Citation DrumsByLot { get; } = Of();
    public static Citation BlanketHours { get; } = Of();
    public static Citation ShavedFlush { get; } = Of();
    public static Citation DepthReadings { get; } = Of();
    public static Citation AreaTimesDepth { get; } = Of();
    public static Citation PacesAndAccess { get; } = Of();
    public static Citation WholeKits { get; } = Of();
    public static Citation MedianSets { get; } = Of();
    public static Citation FirmPrices { get; } = Of();
    public static Citation HeatWhereCold { get; } = Of();
    public static Citation FirmRates { get; } = Of();
    public static Citation FirmPaces { get; } = Of();
    public static Citation WholeDays { get; } = Of();
    public static Citation ColdRoutes { get; } = Of();
    public static Citation HeatingUp { get; } = Of();
    public static Citation WarmedAsOne { get; } = Of();
    public static Citation OpenFlame { get; } = Of();
    public static Citation KitOrRig { get; } = Of();
    public static Citation KitRates { get; } = Of();
    public static Citation PriceAlternatives { get; } = Of();
    public static Citation TrailerLoad { get; } = Of();
    public static Citation DenseSkin { get; } = Of();
    public static Citation NoOpenFace { get; } = Of();
    public static Citation OpenFace { get; } = Of();
    public static Citation NoAltitudeCurve { get; } = Of();
    public static Citation NothingLearned { get; } = Of();
    public static Citation SetsAdded { get; } = Of();
    public static Citation MeanYield { get; } = Of();
    public static Citation VolumeOverYield { get; } = Of();
    public static Citation LogNormalLoad { get; } = Of();
    public static Citation LogNormalChance { get; } = Of();
    public static Citation MedianLeft { get; } = Of();
    public static Citation VariancesAdded { get; } = Of();
    public static Citation DepthSprayed { get; } = Of();
    public static Citation MaterialBalance { get; } = Of();
    public static Citation HeaterBalance { get; } = Of();
    public static Citation HosePlugFlow { get; } = Of();
    public static Citation TestShotToday { get; } = Of();
    public static Citation LiftExotherm { get; } = Of();
    public static Citation SprayLogged { get; } = Of();
    public static Citation WorkAreaClosed { get; } = Of();
    public static Citation RunningYield { get; } = Of();
#pragma warning restore CS1591

    /// <summary>A line of a product sheet, with its edition.</summary>
    public static Citation Sheet(ProductSheet sheet, SheetLine line) =>
        Of(Vocabulary.KeyOf(line)) with
        {
            Words = new Dictionary<string, string> { ["sheet"] = sheet.Name, ["edition"] = sheet.Edition },
        };

    /// <summary>Aged R of a product, by the method its sheet names.</summary>
    public static Citation AgedR(ProductSheet sheet) =>
        Told("agedR", ("sheet", sheet.Name), ("edition", sheet.Edition), ("method", sheet.AgeingMethod));

    /// <summary>A square metre of a product.</summary>
    public static Citation SquareMetre(ProductSheet sheet) => Told("squareMetre", ("sheet", sheet.Name));

    /// <summary>The price of a product.</summary>
    public static Citation Product(ProductSheet sheet) => Told("product", ("sheet", sheet.Name));

    /// <summary>What the data of a material say of where they come from.</summary>
    public static Citation Data(Material material) => Told("data", ("source", material.Source));

    /// <summary>A set of targets in its edition.</summary>
    public static Citation Targets(string edition) => Told("targets", ("edition", edition));

    /// <summary>A rule of the choice, by the number people know it by.</summary>
    public static Citation ChoiceRule(Rule rule) => Told("choiceRule", ("rule", rule.Id));

    /// <summary>The distance from the dew point, as the firm holds it.</summary>
    public static Citation DewDistance(TemperatureDifference least, TemperatureDifference clear) =>
        With("dewDistance", ("least", least.ToFigure()), ("clear", clear.ToFigure()));

    /// <summary>The distance from the dew point below which the gate holds.</summary>
    public static Citation DewHold(TemperatureDifference least) => With("dewHold", ("least", least.ToFigure()));

    /// <summary>How damp the underside of a tight finish may be.</summary>
    /// <param name="greatest">Percent.</param>
    public static Citation FinishUnderside(double greatest) =>
        With("finishUnderside", ("greatest", new(greatest, Dimension.RelativeHumidity)));

    /// <summary>How long readings count.</summary>
    public static Citation FreshFor(TimeSpan longest) => With("freshFor", ("longest", Figure.Duration(longest)));

    /// <summary>A fan test of several points, brought to the standard's air.</summary>
    public static Citation FanRegression(Temperature temperature, Pressure pressure) =>
        With("fanRegression", ("temp", temperature.ToFigure()), ("pressure", pressure.ToFigure()));

    /// <summary>Heat in the ground about the edge of a slab.</summary>
    /// <param name="soil">Conductivity of the soil.</param>
    /// <param name="halfFloor">From the middle of the floor to its edge.</param>
    /// <param name="foundation">Width of the foundation.</param>
    public static Citation SlabConduction(ThermalConductivity soil, Length halfFloor, Length foundation) =>
        With("slabConduction", ("soil", soil.ToFigure()), ("half", halfFloor.ToSpan()), ("foundation", foundation.ToThickness()));

    /// <summary>What lies on a roof when its deck comes to freezing.</summary>
    public static Citation SettledSnow(Density density, ThermalConductivity conductivity) =>
        With("settledSnow", ("density", density.ToFigure()), ("k", conductivity.ToFigure()));

    /// <summary>Fibre that is pressed together.</summary>
    /// <param name="reference">Density its shape is stated at.</param>
    public static Citation PressedFibre(Density reference) => With("pressedFibre", ("density", reference.ToFigure()));

    /// <summary>The air layer that lets through as much vapour.</summary>
    /// <param name="air">Permeability of still air, kg/(Pa·s·m).</param>
    public static Citation EquivalentAir(double air) => With("equivalentAir", ("air", new(air, Dimension.Permeability)));

    /// <summary>Foam left bare at band joists.</summary>
    public static Citation BandJoistException(Length depth, Density lightest, Density densest) =>
        With("bandJoistException", ("depth", depth.ToThickness()), ("lightest", lightest.ToFigure()), ("densest", densest.ToFigure()));

    /// <summary>What crews learn from finished jobs.</summary>
    /// <param name="reference">Foam of the job whose scatter is stated.</param>
    public static Citation CrewLearning(Figure reference) => With("crewLearning", ("foam", reference));

    /// <summary>Drums warmed in a room.</summary>
    /// <param name="loss">Of each, W/K.</param>
    public static Citation HotRoom(double loss) => With("hotRoom", ("loss", new(loss, Dimension.HeatLoss)));

    /// <summary>A drum as one mass, warmed by its blanket.</summary>
    /// <param name="bare">Loss of a bare drum, W/K.</param>
    /// <param name="wrapped">Loss of one in its blanket, W/K.</param>
    public static Citation LumpedDrum(double bare, double wrapped) =>
        With("lumpedDrum", ("bare", new(bare, Dimension.HeatLoss)), ("wrapped", new(wrapped, Dimension.HeatLoss)));

    /// <summary>Heat a building takes up.</summary>
    /// <param name="storey">Height by which its floor follows from its volume.</param>
    public static Citation BuildingHeat(Length storey) => With("buildingHeat", ("storey", storey.ToSpan()));

    private static Citation With(string key, params (string Name, Figure Figure)[] figures) =>
        Of(key) with
        {
            Figures = figures.ToDictionary(f => f.Name, f => f.Figure),
        };

    private static Citation Told(string key, params (string Name, string Word)[] words) =>
        Of(key) with
        {
            Words = words.ToDictionary(w => w.Name, w => w.Word),
        };

    private static Citation Of([CallerMemberName] string name = "") => new(char.ToLowerInvariant(name[0]) + name[1..]);
}
