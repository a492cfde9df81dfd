using System.Globalization;
using System.Text.Json;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Documents;
using Umbracell.Server.Places;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Where the substrate temperature that a yield is reckoned at comes from.</summary>
public enum SubstrateFrom
{
    /// <summary>Typed by the estimator.</summary>
    Typed,

    /// <summary>Mean air of the place at the day of the work.</summary>
    Season,

    /// <summary>The newest reading.</summary>
    Reading,

    /// <summary>Nothing is known: the sheet's reference stands.</summary>
    Assumed,
}

/// <summary>What a job's price hangs on beside its surfaces: the day of the work and the season it brings, and what there is to heat
/// with.</summary>
internal static class JobPricing
{
    public static IReadOnlyList<string> Fields { get; } = ["workDate", "spaceVolume", "spaceAirChanges", "heater"];

    private static readonly FigureRange Changes = new(0.05, 100, Dimension.AirChanges);

    public static PricingDocument Of(Job job) => job.Pricing ?? new();

    public static void Take(TypedFields fields, Job job, DateOnly today)
    {
        var pricing = Of(job);
        fields.DateToCome("workDate", today, day => pricing = pricing with { WorkDate = day });
        fields.QuantityOrBlank("spaceVolume", FieldRanges.Volume, m3 => pricing = pricing with { SpaceM3 = m3 });
        fields.Quantity("spaceAirChanges", Changes, n => pricing = pricing with { AirChanges = n });
        fields.Choice<HeaterKind>("heater", kind => pricing = pricing with { Heater = kind });
        if (Fields.Any(fields.Has))
        {
            job.Pricing = pricing;
        }
    }

    /// <summary>The day and the heater, as they would be typed.</summary>
    public static IEnumerable<KeyValuePair<string, string>> Typed(Job job) =>
        [
            new("workDate", Of(job).WorkDate?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? ""),
            new("heater", JsonNamingPolicy.CamelCase.ConvertName(Of(job).Heater.ToString())),
        ];

    /// <summary>The space to be heated.</summary>
    public static IEnumerable<KeyValuePair<string, Figure>> Figures(Job job) =>
        [
            new("spaceAirChanges", new(Of(job).AirChanges, Dimension.AirChanges)),
            .. Of(job).SpaceM3 is { } m3
                ? [KeyValuePair.Create("spaceVolume", new Figure(m3, Dimension.RoomVolume))]
                : Array.Empty<KeyValuePair<string, Figure>>(),
        ];

    /// <summary>Mean air of the job's place at the day of the work; null until both are known.</summary>
    public static (Temperature Air, RelativeHumidity Humidity)? SeasonOf(Job job) =>
        Of(job).WorkDate is { } day && JobPlaces.Of(job) is { } place
            ? (
                SeasonChange.MeanOf(place.MeanC, day.DayOfYear),
                RelativeHumidity.OfWeather(place.MeanRhPct[day.Month - 1], SeasonChange.MeanOf(place.MeanC, day.DayOfYear))
            )
            : null;

    /// <summary>The substrate temperature to expect: what was typed, else the season's on surfaces that outdoor air reaches, else the
    /// newest reading.</summary>
    public static (double? Celsius, SubstrateFrom From) SubstrateOf(Surface surface, Job job, Exposure exposure, double? read) =>
        surface.ExpectedSubstrateC is { } typed ? (typed, SubstrateFrom.Typed)
        : exposure is Exposure.Outdoors or Exposure.Ventilated && SeasonOf(job) is { } season ? (season.Air.Celsius, SubstrateFrom.Season)
        : read is { } celsius ? (celsius, SubstrateFrom.Reading)
        : (null, SubstrateFrom.Assumed);
}
