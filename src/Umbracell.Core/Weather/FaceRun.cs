using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>A face at the end of an hour. What hangs on weather that is not known is null.</summary>
public readonly record struct FaceHour
{
    /// <summary>First instant of the hour.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>Temperature of the face.</summary>
    public required Temperature? Temperature { get; init; }

    /// <summary>Sun on its plane, W/m².</summary>
    public required double? SunWm2 { get; init; }

    /// <summary>Heat from sky and surroundings on its plane, W/m².</summary>
    public required double? SkyWm2 { get; init; }

    /// <summary>Water and frost that lie on it, kg/m².</summary>
    public required double? WetKgM2 { get; init; }

    /// <summary>Frost among it, kg/m².</summary>
    public required double? FrostKgM2 { get; init; }
}

/// <summary>What a face in the weather does, hour by hour.</summary>
public sealed class FaceRun
{
    private readonly PlaceSky _sky;
    private readonly double[] _celsius,
        _sun,
        _heat,
        _frost,
        _wet,
        _far;

    private FaceRun(PlaceSky sky, int count)
    {
        _sky = sky;
        (_celsius, _sun, _heat, _frost, _wet, _far) = (
            new double[count],
            new double[count],
            new double[count],
            new double[count],
            new double[count],
            new double[count]
        );
    }

    /// <summary>How many hours.</summary>
    public int Count => _celsius.Length;

    internal ReadOnlySpan<double> Celsius => _celsius;

    internal ReadOnlySpan<double> Wet => _wet;

    /// <summary>The far face of a thick layer, towards what lies behind it, °C; nought where there is no such layer.</summary>
    internal ReadOnlySpan<double> FarFace => _far;

    /// <summary>An hour.</summary>
    /// <param name="index">From 0.</param>
    public FaceHour this[int index] =>
        new()
        {
            Start = _sky.Run.Hours[index].Start,
            Temperature = Known(_celsius[index]) is { } t ? Temperature.FromCelsius(t) : null,
            SunWm2 = Known(_sun[index]),
            SkyWm2 = Known(_heat[index]),
            WetKgM2 = Known(_wet[index]),
            FrostKgM2 = Known(_frost[index]),
        };

    /// <summary>Every hour.</summary>
    public IEnumerable<FaceHour> Hours => Enumerable.Range(0, Count).Select(i => this[i]);

    /// <summary>Puts a face through the hours of a place. It begins where it would come to rest in the first hour, dry.</summary>
    /// <param name="face">The face.</param>
    /// <param name="sky">The hours.</param>
    /// <exception cref="QuantityRangeException">A figure of the face out of its range.</exception>
    public static FaceRun Of(FaceCase face, PlaceSky sky) => Of(face, sky, [], sky.Hours.Length);

    /// <summary>The same with air behind the face that changes by the hour.</summary>
    /// <param name="face">The face.</param>
    /// <param name="sky">The hours.</param>
    /// <param name="behind">°C by the hour; empty where it stays what the face says.</param>
    /// <param name="count">How many of the hours.</param>
    /// <param name="washed">Hour at whose start it is washed; null where it is not.</param>
    internal static FaceRun Of(FaceCase face, PlaceSky sky, ReadOnlySpan<double> behind, int count, int? washed = null)
    {
        face.Checked();
        var run = new FaceRun(sky, count);
        var plane = new PlaneView(face);
        var slices = face.Mass is { } mass ? new FaceSlices(mass, face.Behind, FirstDay(sky)) : null;
        var (film, before, share) = (default(FaceFilm), 0.0, 1.0);
        var follows = face.TimeConstant > TimeSpan.Zero && slices is null ? 1 - Math.Exp(-1 / face.TimeConstant.TotalHours) : 1;
        for (var i = 0; i < run.Count; i++)
        {
            ref readonly var hour = ref sky.Hours[i];
            run._sun[i] = plane.Sun(hour, sky.Sun[i]);
            run._heat[i] = plane.Heat(hour);
            film = plane.Caught(i == washed ? film with { Water = plane.GreatestFilm } : film, hour);
            var balance = plane.Balance(hour, run._sun[i], run._heat[i]) with { Share = share, Before = before };
            if (face.Behind is { } beyond)
            {
                balance = balance with { Behind = behind.IsEmpty ? beyond.Temperature.Celsius : behind[i] };
            }

            if (slices is not null)
            {
                var (conductance, celsius) = slices.AtFace(balance.Behind);
                balance = balance with { ToBehind = conductance, Behind = celsius };
            }

            if (double.IsNaN(balance.TakenUp + balance.Convection + balance.Vapour + balance.Air + balance.Behind))
            {
                run._celsius[i] = run._wet[i] = run._frost[i] = run._far[i] = double.NaN;
                continue;
            }

            (before, film) = balance.Solve(film, plane.GreatestFilm);
            slices?.Follow(before);
            run._far[i] = slices?.FarFace ?? 0;
            share = follows;
            var isKnown = plane.KnowsRain(hour);
            (run._celsius[i], run._wet[i], run._frost[i]) = (before, isKnown ? film.Total : double.NaN, isKnown ? film.Frost : double.NaN);
        }

        return run;
    }

    // A thick layer has long forgotten any one hour.
    private static double FirstDay(PlaceSky sky)
    {
        var (sum, count) = (0.0, 0);
        foreach (ref readonly var hour in sky.Hours[..Math.Min(24, sky.Hours.Length)])
        {
            if (!double.IsNaN(hour.Celsius))
            {
                (sum, count) = (sum + hour.Celsius, count + 1);
            }
        }

        return count == 0 ? 0 : sum / count;
    }

    private static double? Known(double value) => double.IsNaN(value) ? null : value;
}
