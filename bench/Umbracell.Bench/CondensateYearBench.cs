using BenchmarkDotNet.Attributes;
using Umbracell.Core.Moisture;

namespace Umbracell.Bench;

/// <summary>The balance of a year by itself, on an assembly cut into thirty slices: what every month condenses and dries. It allocates
/// nothing; the months and findings told of it are the caller's.</summary>
[MemoryDiagnoser]
[ShortRunJob]
public class CondensateYearBench
{
    private const int Slices = 30;

    private readonly double[] _resistance = [.. Enumerable.Range(1, Slices + 1).Select(i => i * 1e9)];
    private readonly double[] _saturation = new double[YearOfAir.Months * Slices];
    private readonly double[] _outside = new double[YearOfAir.Months];
    private readonly double[] _inside = new double[YearOfAir.Months];
    private readonly double[] _stored = new double[YearOfAir.Months * Slices];
    private readonly double[] _pressure = new double[YearOfAir.Months * Slices];

    [GlobalSetup]
    public void Setup()
    {
        for (var month = 0; month < YearOfAir.Months; month++)
        {
            var outdoor = 8 - 16 * Math.Cos(month * Math.PI / 6);
            (_outside[month], _inside[month]) = (0.8 * Saturated(outdoor), 0.5 * Saturated(20));
            for (var i = 0; i < Slices; i++)
            {
                _saturation[month * Slices + i] = Saturated(outdoor + (20 - outdoor) * (i + 0.5) / Slices);
            }
        }
    }

    [Benchmark]
    public double Balance() => CondensateYear.Run(_resistance, _saturation, _outside, _inside, _stored, _pressure);

    private static double Saturated(double celsius) => 611 * Math.Exp(17.5 * celsius / (241 + celsius));
}
