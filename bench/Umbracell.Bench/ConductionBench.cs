using BenchmarkDotNet.Attributes;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Bench;

/// <summary>A girt's cell in two dimensions. Aim: 20,000 volumes under 100 ms.</summary>
[ShortRunJob]
public class ConductionBench
{
    private SectionCase _wall = null!;
    private static readonly ProductSheet Sheet = ProductSheetFile.Read("marl-cc-20", ShippedData.ProductSheets["marl-cc-20"]);

    private int _step;

    [Params(3000, 20_000)]
    public int Volumes { get; set; }

    [GlobalSetup]
    public void Setup() =>
        _wall = new()
        {
            Kind = SurfaceKind.MetalWall,
            Outboard = [new(ShippedData.Materials["steel-skin"], Length.FromMillimetres(0.6))],
            Inboard = [],
            Members = new()
            {
                Material = MemberMaterial.Girt,
                Depth = Length.FromInches(8),
                Spacing = Length.FromMetres(1.5),
                Share = 0,
                Conductivity = ThermalConductivity.FromSi(50),
                Profile = new(Length.FromMetres(0.0635), Length.FromMetres(0.0019), Length.FromMetres(0.0006)),
            },
            HeatFlow = HeatFlow.Horizontal,
            Exposure = Exposure.Outdoors,
            Films = FilmSet.Us,
            Fill = [new FoamFill(Sheet, Length.FromInches(3))],
            Air = new(
                Temperature.FromCelsius(20),
                RelativeHumidity.FromPercent(40),
                Temperature.FromCelsius(-18),
                RelativeHumidity.FromPercent(80)
            ),
        };

    // Another thickness each time: a field that was solved before is kept.
    private static FoamFill Foam(int step) => new(Sheet, Length.FromMetres(0.05 + step % 5000 * 1e-5));

    [Benchmark]
    public double Girt() => MemberCell.Of(_wall with { Fill = [Foam(_step++)] }, Volumes)!.Psi;
}
