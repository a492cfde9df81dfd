using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Places;

/// <summary>A place: monthly means and design air.</summary>
public sealed record PlaceAnswer
{
    /// <summary>Id.</summary>
    public required string Id { get; init; }

    /// <summary>Name.</summary>
    public required string Name { get; init; }

    /// <summary>Zone of the model energy code.</summary>
    public required string ClimateZone { get; init; }

    /// <summary>Where the figures come from.</summary>
    public required string Source { get; init; }

    /// <summary>altitude, heating, cooling, coolingRh.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }

    /// <summary>Monthly means, January first.</summary>
    public required IReadOnlyList<FigureAnswer> Temps { get; init; }

    /// <summary>Monthly means, January first.</summary>
    public required IReadOnlyList<FigureAnswer> Humidities { get; init; }

    /// <summary>Degrees north; null where it was never said.</summary>
    public required double? Latitude { get; init; }

    /// <summary>Degrees east; null where it was never said.</summary>
    public required double? Longitude { get; init; }

    /// <summary>Time zone by its IANA name; null where it was never said.</summary>
    public required string? TimeZone { get; init; }

    /// <summary>Whether it is the firm's own.</summary>
    public required bool Own { get; init; }

    /// <summary>Whether the hours it was reduced from are kept.</summary>
    public required bool HasHours { get; init; }

    /// <summary>Whether those hours were kept before wind, cloud, sun and rain were: the file is asked for again.</summary>
    public required bool HoursLackWeather { get; init; }

    /// <summary>Version; 0 for places that ship.</summary>
    public required uint Version { get; init; }

    internal static PlaceAnswer Of(Place p, bool own = false, KeptHours hours = KeptHours.None, uint version = 0) =>
        new()
        {
            Id = p.Id,
            Name = p.Name,
            ClimateZone = p.ClimateZone,
            Source = p.Source,
            Figures = FigureAnswer.All(
                new Dictionary<string, Figure>
                {
                    ["altitude"] = new(p.AltitudeM, Dimension.Altitude),
                    ["heating"] = new(p.HeatingC, Dimension.Temperature),
                    ["cooling"] = new(p.CoolingC, Dimension.Temperature),
                    ["coolingRh"] = new(p.CoolingRhPct, Dimension.RelativeHumidity),
                }
            ),
            Temps = [.. p.MeanC.Select(t => FigureAnswer.OfCelsius(t))],
            Humidities = [.. p.MeanRhPct.Select(rh => FigureAnswer.Of(new(rh, Dimension.RelativeHumidity)))],
            Latitude = p.Latitude,
            Longitude = p.Longitude,
            TimeZone = p.TimeZone,
            Own = own,
            HasHours = hours != KeptHours.None,
            HoursLackWeather = hours == KeptHours.AirAlone,
            Version = version,
        };
}

/// <summary>A place read from a weather file.</summary>
/// <param name="Place">The place, kept.</param>
/// <param name="Hours">Hours in the file.</param>
/// <param name="Missing">Hours without temperature or humidity.</param>
/// <param name="Filled">Hours whose humidity came from the dew point.</param>
public sealed record ReadPlace(PlaceAnswer Place, int Hours, int Missing, int Filled);

/// <summary>Which hours of a place are kept.</summary>
internal enum KeptHours
{
    /// <summary>None.</summary>
    None,

    /// <summary>Temperature and humidity alone.</summary>
    AirAlone,

    /// <summary>All the file had.</summary>
    Weather,
}
