using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Places;

/// <summary>A place: monthly means and design air.</summary>
/// <param name="Id">Id.</param>
/// <param name="Name">Name.</param>
/// <param name="ClimateZone">Zone of the model energy code.</param>
/// <param name="Source">Where the figures come from.</param>
/// <param name="Figures">altitude, heating, cooling, coolingRh.</param>
/// <param name="Temps">Monthly means, January first.</param>
/// <param name="Humidities">Monthly means, January first.</param>
/// <param name="Latitude">Degrees north; null where it was never said.</param>
/// <param name="Longitude">Degrees east; null where it was never said.</param>
/// <param name="TimeZone">Time zone by its IANA name; null where it was never said.</param>
/// <param name="Own">Whether it is the firm's own.</param>
/// <param name="HasHours">Whether the hours it was reduced from are kept.</param>
/// <param name="Version">Version; 0 for places that ship.</param>
public sealed record PlaceAnswer(
    string Id,
    string Name,
    string ClimateZone,
    string Source,
    IReadOnlyDictionary<string, FigureAnswer> Figures,
    IReadOnlyList<FigureAnswer> Temps,
    IReadOnlyList<FigureAnswer> Humidities,
    double? Latitude,
    double? Longitude,
    string? TimeZone,
    bool Own,
    bool HasHours,
    uint Version
)
{
    internal static PlaceAnswer Of(Place p, bool own = false, bool hasHours = false, uint version = 0) =>
        new(
            p.Id,
            p.Name,
            p.ClimateZone,
            p.Source,
            FigureAnswer.All(
                new Dictionary<string, Figure>
                {
                    ["altitude"] = new(p.AltitudeM, Dimension.Altitude),
                    ["heating"] = new(p.HeatingC, Dimension.Temperature),
                    ["cooling"] = new(p.CoolingC, Dimension.Temperature),
                    ["coolingRh"] = new(p.CoolingRhPct, Dimension.RelativeHumidity),
                }
            ),
            [.. p.MeanC.Select(t => FigureAnswer.OfCelsius(t))],
            [.. p.MeanRhPct.Select(rh => FigureAnswer.Of(new(rh, Dimension.RelativeHumidity)))],
            p.Latitude,
            p.Longitude,
            p.TimeZone,
            own,
            hasHours,
            version
        );
}

/// <summary>A place read from a weather file.</summary>
/// <param name="Place">The place, kept.</param>
/// <param name="Hours">Hours in the file.</param>
/// <param name="Missing">Hours without temperature or humidity.</param>
/// <param name="Filled">Hours whose humidity came from the dew point.</param>
public sealed record ReadPlace(PlaceAnswer Place, int Hours, int Missing, int Filled);
