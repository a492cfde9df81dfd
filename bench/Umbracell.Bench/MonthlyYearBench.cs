using BenchmarkDotNet.Attributes;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Bench;

/// <summary>A year of monthly means through a framed wall with its findings. Aim: under 50 µs.</summary>
[MemoryDiagnoser]
[ShortRunJob]
public class MonthlyYearBench
{
    private SectionCase _wall = null!;
    private YearOfAir _year = null!;

    [GlobalSetup]
    public void Setup()
    {
        var place = ShippedData.Places["brindle-quay"];
        List<MonthAir> outdoor =
        [
            .. place.MeanC.Zip(place.MeanRhPct, (t, rh) => new MonthAir(Temperature.FromCelsius(t), RelativeHumidity.FromPercent(rh))),
        ];
        _year = new(outdoor, outdoor.ConvertAll(m => HumidityClasses.Room(3, m, Temperature.FromCelsius(20))));
        Layer Of(string id, double mm) => new(ShippedData.Materials[id], Length.FromMillimetres(mm));
        _wall = new()
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
            Fill = [new FoamFill(ProductSheetFile.Read("fleece-oc-5", ShippedData.ProductSheets["fleece-oc-5"]), Length.FromInches(7.25))],
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(40),
                Temperature.FromCelsius(-18),
                RelativeHumidity.FromPercent(80)
            ),
        };
    }

    [Benchmark]
    public double Year() => MonthlyYear.Of(_wall, _year).GreatestStored;
}
