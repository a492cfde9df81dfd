using NodaTime;
using Umbracell.Core.Weather;

namespace Umbracell.Server.Window;

/// <summary>The sun of a calendar day where a place is, which has 23, 24 or 25 hours.</summary>
internal static class LocalSun
{
    public static SunDay Of(LocalDate day, DateTimeZone zone, GeoPoint point)
    {
        var (start, next) = (day.AtStartOfDayInZone(zone), day.PlusDays(1).AtStartOfDayInZone(zone));
        return SunDay.Of(start.ToDateTimeOffset(), (next - start).ToTimeSpan(), point);
    }
}
