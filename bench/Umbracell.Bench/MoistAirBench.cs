using BenchmarkDotNet.Attributes;
using Umbracell.Core.Air;
using Umbracell.Core.Quantities;

namespace Umbracell.Bench;

/// <summary>Moist-air states over a spread of weather. Aim: at least 3 million a second on one core, nothing allocated.</summary>
[MemoryDiagnoser]
[ShortRunJob]
public class MoistAirBench
{
    private const int States = 1000;

    private readonly (Temperature Air, RelativeHumidity Humidity)[] _weather = new (Temperature, RelativeHumidity)[States];
    private readonly Pressure _pressure = StandardAtmosphere.PressureAt(Length.FromMetres(180));

    [GlobalSetup]
    public void Setup()
    {
        var random = new Random(1);
        for (var i = 0; i < States; i++)
        {
            _weather[i] = (
                Temperature.FromCelsius(-25 + 60 * random.NextDouble()),
                RelativeHumidity.FromPercent(20 + 79 * random.NextDouble())
            );
        }
    }

    /// <summary>Saturation and vapour pressure, humidity ratio and dew or frost point: what the gate asks.</summary>
    [Benchmark(OperationsPerInvoke = States)]
    public double StateWithDewPoint()
    {
        var sum = 0.0;
        foreach (var (temperature, humidity) in _weather)
        {
            var air = MoistAir.Of(temperature, humidity, _pressure);
            sum += air.DewPoint.Celsius + air.HumidityRatio;
        }

        return sum;
    }

    /// <summary>The same with the wet bulb, which is solved for on top.</summary>
    [Benchmark(OperationsPerInvoke = States)]
    public double StateWithWetBulb()
    {
        var sum = 0.0;
        foreach (var (temperature, humidity) in _weather)
        {
            var air = MoistAir.Of(temperature, humidity, _pressure);
            sum += air.WetBulb.Celsius + air.HumidityRatio;
        }

        return sum;
    }
}
