using BenchmarkDotNet.Attributes;
using Umbracell.Core.Air;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Bench;

/// <summary>Aims: 200 surfaces priced with all cold routes under 300 ms; learning over 5,000 jobs under 1 s; sets of 200 surfaces as a
/// distribution under 20 ms.</summary>
[MemoryDiagnoser]
[ShortRunJob]
public class MaterialBench
{
    private const int Surfaces = 200,
        Jobs = 5000;

    private readonly ProductSheet _standard = ProductSheetFile.Read("marl-cc-20", ShippedData.ProductSheets["marl-cc-20"]);
    private readonly ProductSheet _cold = ProductSheetFile.Read("marl-cc-20f", ShippedData.ProductSheets["marl-cc-20f"]);
    private List<FinishedJob> _jobs = [];
    private List<ColdRouteCase> _routes = [];
    private List<SetsCase> _sets = [];

    [GlobalSetup]
    public void Setup()
    {
        var random = new Random(7);
        _jobs =
        [
            .. Enumerable
                .Range(0, Jobs)
                .Select(i => new FinishedJob
                {
                    Id = "j" + i,
                    Crew = "crew " + i % 12,
                    Family = "family " + i % 5,
                    Actual = FoamVolume.FromBoardFeet(3600 + 800 * random.NextDouble()),
                    Predicted = FoamVolume.FromBoardFeet(4000),
                    Foam = FoamVolume.FromBoardFeet(1000 + 9000 * random.NextDouble()),
                }),
        ];
        var rates = new Rates
        {
            SetPrice = new Dictionary<string, double> { ["marl-cc-20"] = 2680, ["marl-cc-20f"] = 2790 },
            MaterialPrice = new Dictionary<string, double>(),
            CrewHour = 158,
            ClosedBoardFeetPerHour = 1100,
            OpenBoardFeetPerHour = 3400,
            HeatKilowattHour = 0.16,
        };
        _routes =
        [
            .. Enumerable
                .Range(0, Surfaces)
                .Select(i => new ColdRouteCase
                {
                    Standard = _standard,
                    ColdGrade = _cold,
                    Name = "surface",
                    Treated = Area.FromSquareMetres(40 + i),
                    Demand = FoamDemand.For(
                        Area.FromSquareMetres(38 + i),
                        Length.FromInches(2 + i % 4),
                        FoamDemand.DefaultScatter(CellStructure.Closed),
                        null
                    ),
                    Thickness = Length.FromInches(2 + i % 4),
                    Substrate = Temperature.FromCelsius(-8 + i % 10),
                    Air = Temperature.FromCelsius(-8 + i % 10),
                    AirHumidity = RelativeHumidity.FromPercent(60),
                    FaceShare = 0.7,
                    FaceCapacity = 12_000,
                    BuildingCapacity = 110_000,
                    Space = new()
                    {
                        Volume = 300,
                        Loss = 250,
                        AirChanges = 1,
                        Outdoor = Temperature.FromCelsius(-8 + i % 10),
                        OutdoorHumidity = RelativeHumidity.FromPercent(60),
                        Pressure = StandardAtmosphere.PressureAt(Length.Zero),
                    },
                    Access = AccessKind.Open,
                    Heater = HeaterKind.Indirect,
                    Rates = rates,
                    Means = new() { Heaters = [new(HeaterKind.Indirect, 60_000, 1)] },
                }),
        ];
        _sets =
        [
            .. Enumerable
                .Range(0, Surfaces)
                .Select(i => new SetsCase
                {
                    Sheet = _standard,
                    Sprayed = Area.FromSquareMetres(30 + i),
                    Thickness = Length.FromInches(2 + i % 4),
                    ShavedFlush = false,
                    Substrate = Temperature.FromCelsius(15),
                    Drums = Temperature.FromCelsius(22),
                }),
        ];
    }

    [Benchmark]
    public double PricedWithAllRoutes() => _routes.Sum(c => ColdRoutes.Of(c).Chosen?.Bid.Cost ?? 0);

    [Benchmark]
    public double Learning() => CrewLearning.From(_jobs).For("crew 3", "family 2").Factor;

    [Benchmark]
    public double SetsOfAJob() => _sets.Sum(s => SetsStudy.Of(s).Sets.Median);
}
