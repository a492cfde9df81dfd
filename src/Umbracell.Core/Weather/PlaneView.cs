using Umbracell.Core.Quantities;

namespace Umbracell.Core.Weather;

/// <summary>What a plane sees of sun, sky and ground, and the balance of its face.</summary>
internal readonly struct PlaneView
{
    private const double Degree = Math.PI / 180;

    private readonly double _up,
        _east,
        _north,
        _ofSky,
        _ofGround;

    private readonly FaceCase _face;

    public PlaneView(FaceCase face)
    {
        _face = face;
        var (sinTilt, cosTilt) = Math.SinCos(face.Plane.TiltDegrees * Degree);
        var (sinAzimuth, cosAzimuth) = Math.SinCos(face.Plane.AzimuthDegrees * Degree);
        (_up, _east, _north) = (cosTilt, sinTilt * sinAzimuth, sinTilt * cosAzimuth);
        (_ofSky, _ofGround) = ((1 + cosTilt) / 2, (1 - cosTilt) / 2);
    }

    public double GreatestFilm => _face.Plane.GreatestFilm;

    /// <summary>Sun on the plane, W/m²: its beam, sky all round alike, and what the ground throws back.</summary>
    public double Sun(in PlaceSky.Hour hour, in SunPosition sun)
    {
        if (sun.SinElevation <= 0)
        {
            return 0;
        }

        var cos = _up * sun.SinElevation + _east * sun.East + _north * sun.North;
        var albedo = hour.HasSnow ? FaceCase.SnowAlbedo : _face.Albedo;
        return hour.Beam * Radiation.BeamFactor(cos, sun.SinElevation)
            + hour.Diffuse * _ofSky
            + (hour.Beam + hour.Diffuse) * albedo * _ofGround;
    }

    /// <summary>Heat from the part of the sky it sees, and from surroundings as warm as the air, W/m².</summary>
    public double Heat(in PlaceSky.Hour hour)
    {
        var kelvin = hour.Celsius + Temperature.IcePointKelvin;
        var square = kelvin * kelvin;
        return _ofSky * hour.Sky + _ofGround * Radiation.Sigma * square * square;
    }

    /// <summary>The film with the rain or snow that fell on the face; none falls on walls and on what looks down.</summary>
    public FaceFilm Caught(FaceFilm film, in PlaceSky.Hour hour) =>
        hour.Rain > 0 && IsRainedOn ? film.Taking(hour.Rain * _up, hour.Celsius, _face.Plane.GreatestFilm) : film;

    /// <summary>Whether it is known how much rain the face caught.</summary>
    public bool KnowsRain(in PlaceSky.Hour hour) => !IsRainedOn || !double.IsNaN(hour.Rain);

    private bool IsRainedOn => _face.Plane.TiltDegrees < FacePlane.WallFrom;

    public FaceBalance Balance(in PlaceSky.Hour hour, double sun, double heat)
    {
        var convection = 2.8 + 3.0 * hour.Wind * _face.WindShare;
        return new()
        {
            Convection = convection,
            Air = hour.Celsius,
            TakenUp = _face.Finish.Absorptance * sun + _face.Finish.Emittance * heat,
            Emittance = _face.Finish.Emittance,
            ToBehind = _face.Behind is { } behind ? 1 / behind.Resistance.SquareMetreKelvinsPerWatt : 0,
            Behind = _face.Behind?.Temperature.Celsius ?? 0,
            Vapour = hour.Vapour,
            Dew = hour.Dew,
            PerPascal = FaceFilm.PerPascal(convection, hour.Pressure),
            Share = 1,
            Before = 0,
        };
    }
}
