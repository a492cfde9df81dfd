using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Tests;

/// <summary>Sheets for tests, made up.</summary>
internal static class Sheets
{
    public static ProductSheet ClosedCell { get; } =
        Make(
            "closed",
            CellStructure.Closed,
            FoamGrade.Standard,
            2.0,
            2.3,
            [(1, 6.4), (2, 13.3), (3, 20.4), (4, 27.6), (6, 42)],
            1.35,
            1.0,
            (0.75, 2.0, 2.0),
            (4, 49),
            (2, 49),
            80,
            18,
            (18, 27),
            4350,
            [(4, .87), (10, .94), (21, 1), (49, 1.01)]
        );

    public static ProductSheet ColdGrade { get; } =
        Make(
            "cold",
            CellStructure.Closed,
            FoamGrade.Cold,
            2.1,
            2.45,
            [(1, 6.3), (6, 41.4)],
            1.40,
            1.0,
            (0.75, 2.25, 2.0),
            (-18, 12),
            (-20, 15),
            85,
            18,
            (15, 24),
            4100,
            [(-18, .83), (3, 1), (12, 1.01)]
        );

    public static ProductSheet OpenCell { get; } =
        Make(
            "open",
            CellStructure.Open,
            FoamGrade.Standard,
            .5,
            .56,
            [(1, 3.7), (16, 59.2)],
            31,
            3.75,
            (2, 7, 5.5),
            (2, 49),
            (0, 49),
            85,
            19,
            (20, 29),
            16400,
            [(2, .86), (21, 1), (49, 1.01)]
        );

    private static ProductSheet Make(
        string id,
        CellStructure cell,
        FoamGrade grade,
        double core,
        double inPlace,
        (double In, double R)[] aged,
        double permIn,
        double airBarrier,
        (double Least, double Greatest, double Reference) lift,
        (double, double) substrate,
        (double, double) air,
        double humidity,
        double wood,
        (double Low, double High) drums,
        double yield,
        (double C, double F)[] bySubstrate
    ) =>
        new()
        {
            Id = id,
            Name = id,
            Maker = "made up",
            Edition = "1",
            Cell = cell,
            Grade = grade,
            CoreDensity = Density.FromPoundsPerCubicFoot(core),
            InPlaceDensity = Density.FromPoundsPerCubicFoot(inPlace),
            AgedR = new(
                "aged R",
                aged.Select(p => new CurvePoint(Length.FromInches(p.In).Metres, ThermalResistance.FromUsR(p.R).SquareMetreKelvinsPerWatt)),
                Dimension.Thickness
            ),
            AgeingMethod = "long-term test",
            Permeability = Permeability.FromPermInches(permIn),
            AirBarrierFrom = Length.FromInches(airBarrier),
            LeastLift = Length.FromInches(lift.Least),
            GreatestLift = Length.FromInches(lift.Greatest),
            ReferenceLift = Length.FromInches(lift.Reference),
            FlashCoatFrom = cell == CellStructure.Closed && grade == FoamGrade.Standard ? Length.FromInches(0.5) : null,
            NextLiftBelow = Temperature.FromCelsius(38),
            LeastWait = TimeSpan.FromMinutes(15),
            Substrate = new(Temperature.FromCelsius(substrate.Item1), Temperature.FromCelsius(substrate.Item2)),
            Air = new(Temperature.FromCelsius(air.Item1), Temperature.FromCelsius(air.Item2)),
            Drums = new(Temperature.FromCelsius(drums.Low), Temperature.FromCelsius(drums.High)),
            GreatestHumidityPercent = humidity,
            GreatestWoodMoisturePercent = wood,
            WindLimit = Speed.FromMetresPerSecond(5),
            YieldByDrum = new(
                "drum temperature",
                [new(drums.Low, .97), new((drums.Low + drums.High) / 2, 1), new(drums.High, 1)],
                Dimension.Temperature
            ),
            YieldBySubstrate = new("substrate temperature", bySubstrate.Select(p => new CurvePoint(p.C, p.F)), Dimension.Temperature),
            SheetYield = FoamVolume.FromBoardFeet(yield),
            SetMassA = Mass.FromKilograms(227),
            SetMassB = Mass.FromKilograms(215),
            CureBeforeRain = TimeSpan.FromHours(1),
            SetPoints = new(Temperature.FromCelsius(49), Temperature.FromCelsius(49), 7.6e6),
            Reaction = new(TimeSpan.FromSeconds(1.5), TimeSpan.FromSeconds(9), Temperature.FromCelsius(21)),
            ReEntry = "24 h",
        };
}
