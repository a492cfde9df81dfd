using Umbracell.Core.Planning;
using Umbracell.Store.Model;

namespace Umbracell.Store.Seeding;

/// <summary>A demo job with its surfaces and what else its survey found.</summary>
/// <param name="Job">The job.</param>
/// <param name="Surfaces">Its surfaces.</param>
/// <param name="Survey">Adds joints, complaints, buffer spaces and baseline.</param>
internal sealed record DemoPlot(Job Job, IEnumerable<DemoSurface> Surfaces, Action<DemoSurvey> Survey)
{
    private const string Lead = "crew lead, crew Heron";

    public void Plant(UmbracellDb db, Func<Surface, IReadOnlyList<PreparationTask>> list, DateTimeOffset created, DateTimeOffset taken)
    {
        Job.Id = Guid.NewGuid();
        Job.CreatedAt = created;
        db.Jobs.Add(Job);
        var demos = Surfaces.ToList();
        foreach (var (demo, position) in demos.Select((s, i) => (s, i)))
        {
            (demo.Row.Id, demo.Row.JobId, demo.Row.Position, demo.Row.ChangedAt) = (Guid.NewGuid(), Job.Id, position, created);
        }

        var survey = new DemoSurvey(Job, demos, taken);
        Survey(survey);
        foreach (var demo in demos)
        {
            demo.Row.BufferId = demo.Buffer is { } buffer ? survey.BufferNamed(buffer) : null;
            demo.Row.Notes.ForEach(note => (note.Id, note.NotedAt, note.ReceivedAt) = (Guid.NewGuid(), taken, taken));
            db.Surfaces.Add(demo.Row);
            demo.Readings.ToList().ForEach(reading => (reading.JobId, reading.SurfaceId, reading.TakenAt) = (Job.Id, demo.Row.Id, taken));
            db.Readings.AddRange(demo.Readings);
            db.Preparation.AddRange(
                demo.Ticks(list(demo.Row).Where(t => !t.ForJob).Select(t => t.Item))
                    .Select(item => new PreparationRow
                    {
                        Id = Guid.NewGuid(),
                        JobId = Job.Id,
                        SurfaceId = demo.Row.Id,
                        Item = item,
                        AssignedTo = "helper",
                        DoneAt = taken,
                        TickedAt = taken,
                        DoneBy = Lead,
                    })
            );
        }

        db.Preparation.AddRange(
            PreparationList.OncePerJob.Select(item => new PreparationRow
            {
                Id = Guid.NewGuid(),
                JobId = Job.Id,
                Item = item,
                AssignedTo = "estimator",
                DoneAt = taken,
                TickedAt = taken,
                DoneBy = Lead,
            })
        );
        db.AddRange(survey.Rows);
        foreach (var (sheet, (a, b)) in DemoJobs.Drums)
        {
            db.Readings.Add(Drum(sheet, ReadingKind.DrumA, a, taken));
            db.Readings.Add(Drum(sheet, ReadingKind.DrumB, b, taken));
        }
    }

    private ReadingRow Drum(string sheet, ReadingKind kind, double celsius, DateTimeOffset taken) =>
        new()
        {
            JobId = Job.Id,
            SheetSlug = sheet,
            Kind = kind,
            TempC = celsius,
            Instrument = "bung thermometer",
            TakenAt = taken,
            ReceivedAt = taken,
            TakenBy = Lead,
        };
}
