using Umbracell.Formats.DataFiles;
using Umbracell.Store.Model;

namespace Umbracell.Server.Places;

/// <summary>The place of a job: one that ships, or one of the firm's own.</summary>
internal static class JobPlaces
{
    public static Place? Of(Job job) =>
        job.OwnPlace is { } own ? Of(own)
        : job.PlaceId is { } id ? ShippedData.Places.GetValueOrDefault(id)
        : null;

    public static string? IdOf(Job job) => job.OwnPlaceId?.ToString() ?? job.PlaceId;

    public static Place Of(PlaceRow own) =>
        new()
        {
            Id = own.Id.ToString(),
            Name = own.Name,
            ClimateZone = own.ClimateZone,
            AltitudeM = own.AltitudeM,
            MeanC = own.MeanC,
            MeanRhPct = own.MeanRhPct,
            HeatingC = own.HeatingC,
            CoolingC = own.CoolingC,
            CoolingRhPct = own.CoolingRhPct,
            Source = own.Source,
            Latitude = own.Latitude,
            Longitude = own.Longitude,
            TimeZone = own.TimeZone,
        };

    /// <summary>Sets a job's place by its id, or none.</summary>
    public static void Set(Job job, string id, IReadOnlyDictionary<string, PlaceRow> own)
    {
        job.OwnPlace = own.GetValueOrDefault(id);
        job.OwnPlaceId = job.OwnPlace?.Id;
        job.PlaceId = id.Length == 0 || job.OwnPlace is not null ? null : id;
    }
}
