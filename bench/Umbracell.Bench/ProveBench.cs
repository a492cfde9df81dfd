using BenchmarkDotNet.Attributes;
using Umbracell.Core.Materials;
using Umbracell.Core.Quality;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Bench;

/// <summary>Aim: the depth map of 200 readings under 50 ms; plan and statement beside it.</summary>
[MemoryDiagnoser]
[ShortRunJob]
public class ProveBench
{
    private const int Readings = 200;

    private readonly ProductSheet _sheet = ProductSheetFile.Read("marl-cc-20", ShippedData.ProductSheets["marl-cc-20"]);
    private SurfaceSketch _sketch = new([], [], []);
    private List<DepthSpot> _spots = [];

    [GlobalSetup]
    public void Setup()
    {
        var random = new Random(7);
        var wall = new Shape
        {
            Kind = ShapeKind.Rectangle,
            First = Length.FromMetres(50),
            Second = Length.FromMetres(40),
            Third = Length.Zero,
            Pitch = 0,
            Count = 1,
        };
        _sketch = SurfaceSketch.Of(wall, [new(6, Length.FromMetres(1.2), Length.FromMetres(1.5))], Length.FromMetres(0.6));
        _spots =
        [
            .. Enumerable
                .Range(0, Readings)
                .Select(_ => new DepthSpot(
                    new(50 * random.NextDouble(), 40 * random.NextDouble()),
                    Length.FromMillimetres(60 + 30 * random.NextDouble())
                )),
        ];
    }

    [Benchmark]
    public DepthMap? MapOf200Readings() => DepthMap.Of(_sketch, _spots);

    [Benchmark]
    public int PlanOf200Places() => DepthPlan.Of(_sketch, Area.FromSquareMetres(2_000), 7).Count;

    [Benchmark]
    public DepthCheck StatementOf200Readings() =>
        DepthCheck.Of(
            new()
            {
                Sheet = _sheet,
                Specified = Length.FromMillimetres(70),
                Area = [.. _spots.Select(spot => spot.Depth)],
            }
        );
}
