using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>Heat that meets at a face in an hour: <c>h_c (T_air − T) + a I + e (L − σ T⁴) + (T_b − T)/R + L m' = 0</c>.</summary>
internal readonly struct FaceBalance
{
    private const double Hour = 3600,
        Closed = 1e-7,
        Narrow = 1e-11;

    private const int Tries = 60;

    /// <summary>W/(m²·K).</summary>
    public required double Convection { get; init; }

    /// <summary>°C.</summary>
    public required double Air { get; init; }

    /// <summary>Sun and sky taken up, W/m².</summary>
    public required double TakenUp { get; init; }

    /// <summary>0 to 1.</summary>
    public required double Emittance { get; init; }

    /// <summary>W/(m²·K).</summary>
    public required double ToBehind { get; init; }

    /// <summary>°C.</summary>
    public required double Behind { get; init; }

    /// <summary>Vapour pressure of the air at the face, Pa.</summary>
    public required double Vapour { get; init; }

    /// <summary>Dew or frost point of the air at the face, °C.</summary>
    public required double Dew { get; init; }

    /// <summary>kg/(m²·s·Pa).</summary>
    public required double PerPascal { get; init; }

    /// <summary>How far the face comes in the hour towards where it would end: 1 for one that follows at once.</summary>
    public required double Share { get; init; }

    /// <summary>Where it was, °C.</summary>
    public required double Before { get; init; }

    /// <summary>Temperature at the end of the hour, and the film that lies there then.</summary>
    /// <remarks>Frost keeps the face at 0 °C until it has melted, and water until it has frozen.</remarks>
    public (double Celsius, FaceFilm Film) Solve(FaceFilm film, double greatest)
    {
        var face = Balanced(film.Total, 0);
        var melting = 0.0;
        if (face > 0 && film.Frost > 0 || face < 0 && film.Water > 0)
        {
            var most = face > 0 ? film.Frost : -film.Water;
            var atZero = Net(0, film.Total, isBelow: face < 0) * Hour / FaceFilm.Melting;

            // Between the two sides of 0 °C the heat of what passes jumps: there nothing melts or freezes, and the face stays.
            melting = face > 0 ? Math.Clamp(atZero, 0, most) : Math.Clamp(atZero, most, 0);
            face = melting == most ? Balanced(film.Total, -most * FaceFilm.Melting / Hour) : 0;
        }

        var after = film.Melted(melting);
        return (face, after.Taking(Passed(face, film.Total) * Hour, face, greatest));
    }

    /// <summary>Heat left over at a temperature at the end of the hour, W/m².</summary>
    public double Net(double celsius, double lies, bool isBelow) =>
        Dry(Towards(celsius)) + (isBelow ? FaceFilm.Subliming : FaceFilm.HeatOf(celsius)) * Passed(celsius, lies);

    private double Towards(double celsius) => Before + (celsius - Before) / Share;

    private double Dry(double celsius)
    {
        var kelvin = celsius + Temperature.IcePointKelvin;
        var square = kelvin * kelvin;
        return Convection * (Air - celsius) + TakenUp - Emittance * Radiation.Sigma * square * square + ToBehind * (Behind - celsius);
    }

    private double DrySlope(double celsius)
    {
        var kelvin = celsius + Temperature.IcePointKelvin;
        return -Convection - 4 * Emittance * Radiation.Sigma * kelvin * kelvin * kelvin - ToBehind;
    }

    // What goes off is bounded by what lies there.
    private double Passed(double celsius, double lies)
    {
        if (lies == 0 && celsius >= Dew)
        {
            return 0;
        }

        return Math.Max(PerPascal * (Vapour - FaceFilm.Saturated(celsius)), -lies / Hour);
    }

    // The balance falls as the face grows warmer, so there is one root; Newton's steps, kept between what is known to be too cold and
    // too warm where the film ends and at 0 °C, where the slope jumps.
    private double Balanced(double lies, double further)
    {
        var (cold, warm) = (double.NegativeInfinity, double.PositiveInfinity);
        var at = Math.Max(Air, -90);
        for (var i = 0; i < Tries && warm - cold > Narrow; i++)
        {
            var net = Net(at, lies, isBelow: at < 0) + further;
            if (Math.Abs(net) < Closed)
            {
                return at;
            }

            (cold, warm) = net > 0 ? (at, warm) : (cold, at);
            var step = at - net / Slope(at, lies);
            at = step > cold && step < warm ? step : (cold + warm) / 2;
        }

        return at;
    }

    private double Slope(double at, double lies)
    {
        var dry = DrySlope(Towards(at)) / Share;
        if (lies == 0 && at >= Dew)
        {
            return dry;
        }

        var saturated = FaceFilm.Saturated(at);
        return PerPascal * (Vapour - saturated) <= -lies / Hour
            ? dry
            : dry - FaceFilm.HeatOf(at) * PerPascal * FaceFilm.Slope(at, saturated);
    }
}
