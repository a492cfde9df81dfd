using Umbracell.Core.Quality;
using Umbracell.Core.Spraying;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Prove;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Makes the questions of a finished surface and of a building people want to come back to.</summary>
internal static class SurfaceProofs
{
    /// <summary>The question of a surface; null until its product and thickness are chosen.</summary>
    public static ProofQuestion? Of(Surface surface, SurveyRecords records) =>
        surface is { SheetSlug: { } sheet, FoamThicknessM: { } thickness }
            ? new()
            {
                SheetId = sheet,
                SurfaceKind = surface.Kind,
                IsShaved = surface.ShavedFlush,
                SpecMm = thickness * 1000,
                SprayedM2 = SurfaceReader.Takeoff(surface)?.Developed.SquareMetres ?? 0,
                Sketch = surface.HasSize ? SketchAnswer.Of(SurfaceReader.SketchOf(surface)) : null,
                FirstSeed = SeedOf(surface.Id),
                Entries = [.. records.Log.Where(row => row.SurfaceId is null || row.SurfaceId == surface.Id).Select(row => row.Document)],
            }
            : null;

    /// <summary>The question of a job: what was sprayed at it last, and how it was ventilated.</summary>
    /// <param name="surfaces">Surfaces of the job.</param>
    /// <param name="log">Its log.</param>
    /// <param name="now">Now.</param>
    /// <param name="knows">Whether the firm knows a product.</param>
    public static ReEntryQuestion ReEntryOf(
        IReadOnlyList<Surface> surfaces,
        IReadOnlyList<LogEntryRow> log,
        DateTimeOffset now,
        Func<string, bool> knows
    )
    {
        var sprayed = log.Where(row => row.SurfaceId is not null)
            .GroupBy(row => row.SurfaceId)
            .Select(of =>
                (
                    Foams: FoamsOf(surfaces.FirstOrDefault(surface => surface.Id == of.Key)),
                    SprayedSurface.Of(of.Select(row => row.Document.ToEntry())).Lifts
                )
            )
            .Where(one => one.Lifts.Count > 0)
            .ToList();
        var lifts = sprayed.SelectMany(one => one.Lifts).ToList();
        return new()
        {
            Products =
            [
                .. sprayed
                    .SelectMany(one => one.Foams.Where(knows).Select(foam => (Foam: foam, Last: one.Lifts.Max(LastOf))))
                    .GroupBy(one => one.Foam)
                    .Select(group => new SprayedProductShape { SheetId = group.Key, LastTrigger = group.Max(one => one.Last) }),
            ],
            Unknown = sprayed.Count(one => one.Foams.Count == 0 || !one.Foams.All(knows)),
            Ventilation =
            [
                .. VentilationOfLog
                    .Of(log.Where(row => row.SurfaceId is null).Select(row => row.Document.ToEntry()))
                    .Select(one => new VentilationShape
                    {
                        At = one.At,
                        IsOn = one.IsOn,
                        AirChanges = one.AirChanges,
                    }),
            ],
            Now = now,
            Accounted = [.. Clearances.Of(log.Select(row => row.Document.ToEntry())).Order()],
            IsSpraying = lifts.Exists(lift => lift.EndedAt is null),
            Contradictions = lifts.Count(lift => lift.EndedAt < lift.BegunAt || LastOf(lift) > now),
        };
    }

    // Of several foams each is on by the last trigger. Of a surface that was deleted nobody knows it any more.
    private static IReadOnlyList<string> FoamsOf(Surface? surface) =>
        surface?.SheetSlug is { } first
            ? [first, .. (surface.System?.Further ?? []).Where(layer => layer.Kind == FillKind.Foam).Select(layer => layer.Id)]
            : [];

    // Where the clock jumped between the two, the later one.
    private static DateTimeOffset LastOf(SprayedLift lift) => lift.EndedAt is { } ended && ended > lift.BegunAt ? ended : lift.BegunAt;

    private static int SeedOf(Guid id) => BitConverter.ToInt32(id.ToByteArray()) & int.MaxValue;
}
