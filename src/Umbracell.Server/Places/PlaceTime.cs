using NodaTime;
using Umbracell.Store.Model;

namespace Umbracell.Server.Places;

/// <summary>The time of day where a job is. Instants are kept; days and hours are those of the place.</summary>
internal static class PlaceTime
{
    private static readonly IDateTimeZoneProvider Zones = DateTimeZoneProviders.Tzdb;

    /// <summary>Whether a name is one of the time zones of the IANA.</summary>
    public static bool IsZone(string name) => Zones.Ids.Contains(name);

    /// <summary>The zone of a job's place; universal time where no place is known, or none of its zone.</summary>
    public static DateTimeZone Of(Job job) =>
        JobPlaces.Of(job)?.TimeZone is { } name ? Zones.GetZoneOrNull(name) ?? DateTimeZone.Utc : DateTimeZone.Utc;

    /// <summary>Whether the zone of a job's place is known.</summary>
    public static bool IsKnown(Job job) => JobPlaces.Of(job)?.TimeZone is { } name && IsZone(name);

    /// <summary>How far a clock where a job is stands ahead of universal time when it shows a time. Of the hour that comes twice in autumn
    /// the first is meant; of the one that is left out in spring, the time after it.</summary>
    public static TimeSpan OffsetAt(Job job, DateTime shown) => Of(job).AtLeniently(LocalDateTime.FromDateTime(shown)).Offset.ToTimeSpan();

    /// <summary>Today where a job is.</summary>
    public static DateOnly Today(Job job, TimeProvider clock) => Day(job, clock.GetUtcNow());

    /// <summary>The day of an instant where a job is.</summary>
    public static DateOnly Day(Job job, DateTimeOffset at) => Instant.FromDateTimeOffset(at).InZone(Of(job)).Date.ToDateOnly();

    /// <summary>An instant as a clock where a job is shows it.</summary>
    public static DateTime Local(Job job, DateTimeOffset at) => Instant.FromDateTimeOffset(at).InZone(Of(job)).ToDateTimeUnspecified();

    /// <summary>The instant a day ends where a job is.</summary>
    public static DateTimeOffset EndOf(Job job, DateOnly day) => StartOf(job, day.AddDays(1));

    /// <summary>The instant a day begins where a job is.</summary>
    public static DateTimeOffset StartOf(Job job, DateOnly day) =>
        LocalDate.FromDateOnly(day).AtStartOfDayInZone(Of(job)).ToDateTimeOffset();
}
