using BenchmarkDotNet.Attributes;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Bench;

/// <summary>Hours of faces, of members and of a whole job: 200 surfaces, 21 members, 240 hours and the two days before them.</summary>
[ShortRunJob]
public class WindowBench
{
    private const int Surfaces = 200,
        Members = 21,
        Hours = 288;

    private static readonly WeatherPlace Place = new(new(43.9, -76.6), Length.FromMetres(180));

    private readonly FaceCase _roof = new()
    {
        Plane = new(10, 180),
        Finish = new(0.7, 0.9),
        TimeConstant = TimeSpan.FromHours(0.2),
    };

    private readonly HourLimits _limits = new()
    {
        Sheet = ProductSheetFile.Read("marl-cc-20", ShippedData.ProductSheets["marl-cc-20"]),
        Practice = new(),
        IsOpen = true,
    };

    private PlaceSky _year = null!;
    private IReadOnlyList<PlaceSky> _members = null!;
    private List<SurfaceHours> _given = null!;

    [GlobalSetup]
    public void Setup()
    {
        _year = PlaceSky.Of(Run(0, 8760), Place);
        _members = PlaceSky.OfMembers([.. Enumerable.Range(0, Members).Select(m => Run(m, Hours))], Place);
        _given = [.. _members.Select(sky => SurfaceHours.Of(Roof(0), null, sky))];
    }

    [Benchmark]
    public FaceRun FaceOfAYear() => FaceRun.Of(_roof, _year);

    [Benchmark]
    public double GateHoursOfTwoHundredSurfaces()
    {
        var sum = 0.0;
        for (var s = 0; s < Surfaces; s++)
        {
            sum += Told(GateHours.Of(_given, _limits));
        }

        return sum;
    }

    [Benchmark]
    public double GateHoursWithTheirSubstrates()
    {
        var sum = 0.0;
        for (var s = 0; s < Surfaces; s++)
        {
            var face = Roof(s);
            sum += Told(GateHours.Of([.. _members.Select(sky => SurfaceHours.Of(face, null, sky))], _limits));
        }

        return sum;
    }

    private SprayedFace Roof(int number) => new() { Outer = _roof with { Plane = new(number % 90, number * 7 % 360) }, IsOpen = true };

    private static double Told(GateHours gate)
    {
        var sum = 0.0;
        for (var h = 48; h < gate.Count; h++)
        {
            sum += gate[h].Passing;
        }

        return sum;
    }

    private static AirRun Run(int member, int hours)
    {
        var random = new Random(member);
        var start = new DateTimeOffset(2026, 1, 1, 0, 0, 0, TimeSpan.Zero);
        return new()
        {
            Source = AirSource.Forecast,
            Hours =
            [
                .. Enumerable
                    .Range(0, hours)
                    .Select(i =>
                    {
                        var celsius = 6 + 8 * Math.Sin(i * Math.PI / 12) + 4 * random.NextDouble();
                        return new AirHour
                        {
                            Start = start.AddHours(i),
                            Temperature = Temperature.FromCelsius(celsius),
                            Humidity = RelativeHumidity.FromPercent(50 + 48 * random.NextDouble()),
                            Wind = new(Speed.FromMetresPerSecond(6 * random.NextDouble())),
                            Cloud = random.NextDouble(),
                            Precipitation = Precipitation.Of(random.NextDouble() > 0.9 ? 1 : 0, null),
                        };
                    }),
            ],
        };
    }
}
