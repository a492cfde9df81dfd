using Umbracell.Core.Spraying;
using Umbracell.Questions.Spray;
using Umbracell.Server.Places;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Makes the question of a surface's log.</summary>
internal static class SurfaceSprays
{
    /// <summary>The question of a surface; null until its product and thickness are chosen.</summary>
    /// <param name="surface">The surface.</param>
    /// <param name="job">Its job.</param>
    /// <param name="records">What is known of the job: its readings and its log.</param>
    /// <param name="now">Now.</param>
    /// <param name="freshFor">How long a reading counts.</param>
    public static SprayQuestion? Of(Surface surface, Job job, SurveyRecords records, DateTimeOffset now, TimeSpan freshFor)
    {
        if (surface is not { SheetSlug: { } sheet, FoamThicknessM: { } thickness })
        {
            return null;
        }

        var day = PlaceTime.StartOf(job, PlaceTime.Day(job, now));
        var elsewhere = records
            .Log.Where(row => row.SurfaceId is { } other && other != surface.Id)
            .GroupBy(row => row.SurfaceId)
            .Sum(other => SprayedSurface.Of(other.Select(row => row.Document.ToEntry())).SprayedSince(day, now).TotalSeconds);
        return new()
        {
            SheetId = sheet,
            SurfaceKind = surface.Kind,
            SubstrateKind = surface.Substrate,
            SubstrateTempC = Fresh(ReadingKind.SubstrateTemperature),
            AirTempC = Fresh(ReadingKind.AirTemperature),
            ThicknessMm = thickness * 1000,
            Entries = [.. records.Log.Where(row => row.SurfaceId is null || row.SurfaceId == surface.Id).Select(row => row.Document)],
            Now = now,
            DayStartsAt = day,
            SprayedElsewhereS = elsewhere,
        };

        double? Fresh(ReadingKind kind) =>
            records.Readings.Of(surface.Id, kind) is { } reading && now - reading.TakenAt <= freshFor ? reading.TempC : null;
    }
}
