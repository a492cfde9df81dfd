using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Formats.Climate;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Places;

/// <summary>Hours of a year between the core's air and the arrays they are kept in.</summary>
internal static class PlaceHours
{
    /// <summary>The row that keeps hours of a weather file.</summary>
    public static PlaceHoursRow Row(Guid place, IReadOnlyList<AirHour> hours)
    {
        return new()
        {
            PlaceId = place,
            UtcOffsetH = hours[0].Start.Offset.TotalHours,
            TempC = All(h => h.Temperature?.Celsius),
            RhPct = All(h => h.Humidity?.Percent),
            WindMs = All(h => h.Wind?.Mean.MetresPerSecond),
            WindFromDeg = All(h => h.Wind?.FromDegrees),
            Cloud = All(h => h.Cloud),
            PrecipMm = All(h => h.Precipitation?.Millimetres),
            GlobalWm2 = All(h => h.GlobalWm2),
            PressurePa = All(h => h.Pressure?.Pascals),
            SnowM = All(h => h.Snow?.Metres),
        };

        float[] All(Func<AirHour, double?> of) => [.. hours.Select(h => (float)(of(h) ?? double.NaN))];
    }

    /// <summary>What is kept of places.</summary>
    public static async Task<Dictionary<Guid, KeptHours>> KeptAsync(UmbracellDb db) =>
        await db
            .PlaceHours.Select(row => new { row.PlaceId, HasWeather = row.UtcOffsetH != null })
            .ToDictionaryAsync(row => row.PlaceId, row => row.HasWeather ? KeptHours.Weather : KeptHours.AirAlone);

    /// <summary>What is kept of a place.</summary>
    public static async Task<KeptHours> KeptAsync(UmbracellDb db, Guid place) =>
        await db
            .PlaceHours.Where(row => row.PlaceId == place)
            .Select(row => row.UtcOffsetH != null ? KeptHours.Weather : KeptHours.AirAlone)
            .FirstOrDefaultAsync();

    /// <summary>The hours of the row; what it lacks is unknown.</summary>
    public static AirHour[] Hours(PlaceHoursRow row)
    {
        var first = new DateTimeOffset(WeatherFile.NominalYear, 1, 1, 0, 0, 0, TimeSpan.FromHours(row.UtcOffsetH ?? 0));
        return [.. row.TempC.Select((_, i) => Hour(row, i, first.AddHours(i)))];
    }

    private static AirHour Hour(PlaceHoursRow row, int i, DateTimeOffset start)
    {
        var temperature = At(row.TempC) is { } t ? Temperature.FromCelsius(t) : (Temperature?)null;
        return new()
        {
            Start = start,
            Temperature = temperature,
            Humidity = temperature is { } air && At(row.RhPct) is { } rh ? RelativeHumidity.OfWeather(rh, air) : null,
            Wind = At(row.WindMs) is { } wind ? new(Speed.FromMetresPerSecond(wind), null, At(row.WindFromDeg)) : null,
            Cloud = At(row.Cloud),
            Precipitation = At(row.PrecipMm) is { } fell ? Precipitation.Of(fell, temperature) : null,
            GlobalWm2 = At(row.GlobalWm2),
            Pressure = At(row.PressurePa) is { } pascals ? Pressure.FromPascals(pascals) : null,
            Snow = At(row.SnowM) is { } metres ? Length.FromMetres(metres) : null,
        };

        double? At(float[]? values) => values is not null && !float.IsNaN(values[i]) ? values[i] : null;
    }
}
