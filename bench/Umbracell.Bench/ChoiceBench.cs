using BenchmarkDotNet.Attributes;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Bench;

/// <summary>All systems of one framed wall, with and without flip points. Aim: under 150 ms with them.</summary>
[MemoryDiagnoser]
[ShortRunJob]
public class ChoiceBench
{
    private ChoiceCase _wall = null!;

    [GlobalSetup]
    public void Setup()
    {
        var place = ShippedData.Places["brindle-quay"];
        List<MonthAir> outdoor =
        [
            .. place.MeanC.Zip(place.MeanRhPct, (t, rh) => new MonthAir(Temperature.FromCelsius(t), RelativeHumidity.FromPercent(rh))),
        ];
        Layer Of(string id, double mm) => new(ShippedData.Materials[id], Length.FromMillimetres(mm));
        var sheets = ShippedData.ProductSheets.Select(s => ProductSheetFile.Read(s.Key, s.Value)).ToList();
        _wall = new()
        {
            Section = new()
            {
                Kind = SurfaceKind.StudWall,
                Outboard = [Of("wood-siding", 19), Of("osb", 11)],
                Inboard = [Of("gypsum-board", 12.7)],
                Members = new()
                {
                    Material = MemberMaterial.Wood,
                    Depth = Length.FromInches(7.25),
                    Spacing = Length.FromInches(24),
                    Share = 0.22,
                    Conductivity = ShippedData.Materials["softwood"].Conductivity,
                },
                HeatFlow = HeatFlow.Horizontal,
                Exposure = Exposure.Outdoors,
                Films = FilmSet.Us,
                Fill = [],
                Air = new(
                    Temperature.FromCelsius(21),
                    RelativeHumidity.FromPercent(40),
                    Temperature.FromCelsius(-18),
                    RelativeHumidity.FromPercent(80)
                ),
                Target = new(ThermalTransmittance.FromUsU(0.045), "bench"),
                ClimateZone = "6A",
            },
            Facts = new()
            {
                WoodSubstrate = true,
                WoodMoisturePercent = 14,
                Treated = Area.FromSquareMetres(120),
            },
            Sheets = sheets,
            Materials = new(
                ShippedData.Batts,
                ShippedData.Materials["foam-board"],
                ShippedData.Materials["foil-board"],
                ShippedData.Materials["vapour-coat"],
                ShippedData.Materials["weather-coat"]
            ),
            Year = new(outdoor, outdoor.ConvertAll(m => HumidityClasses.Room(2, m, Temperature.FromCelsius(21)))),
            Rates = new()
            {
                SetPrice = sheets.ToDictionary(s => s.Id, s => s.Cell == Core.Materials.CellStructure.Open ? 2200.0 : 2700),
                MaterialPrice = ShippedData
                    .Batts.Select(b => b.Id)
                    .Concat(["foam-board", "foil-board", "vapour-coat", "weather-coat"])
                    .ToDictionary(id => id, _ => 0.5),
                CrewHour = 150,
                ClosedBoardFeetPerHour = 1100,
                OpenBoardFeetPerHour = 3400,
                BattM2PerHour = 16,
                BoardM2PerHour = 6,
                CoatM2PerHour = 45,
                ShaveM2PerHour = 38,
            },
        };
    }

    [Benchmark]
    public int Candidates() => Choice.Of(_wall, FlipSearch.None).Candidates.Count;

    [Benchmark]
    public int WithFlips() => Choice.Of(_wall).Flips.Count;
}
