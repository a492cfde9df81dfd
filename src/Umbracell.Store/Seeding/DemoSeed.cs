using Microsoft.EntityFrameworkCore;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Store.Seeding;

/// <summary>What the seeding is given from outside the store.</summary>
/// <param name="Sheets">JSON documents of the product sheets by slug.</param>
/// <param name="Start">Starts a surface from its template.</param>
/// <param name="ApiToken">Token of the first firm for trying the API.</param>
/// <param name="Now">The moment the demo's readings are dated back from.</param>
public sealed record DemoInputs(IReadOnlyDictionary<string, string> Sheets, StartSurface Start, string ApiToken, DateTimeOffset Now);

/// <summary>Plants the demo: two firms that never see one another, people by role, two jobs.</summary>
public static class DemoSeed
{
    /// <summary>The one password of the demo's people. The demo listens on loopback only.</summary>
    public const string Password = "umbra-demo";

    private static readonly Guid NinthAcre = new("6f1c0f5e-9a4e-4c7e-8a57-0d3e5c1b9a01");
    private static readonly Guid ColdwaterLane = new("6f1c0f5e-9a4e-4c7e-8a57-0d3e5c1b9a02");

    /// <summary>Plants the demo once; does nothing where it stands already.</summary>
    public static async Task PlantAsync(UmbracellDb db, FirmScope scope, DemoInputs inputs, CancellationToken cancellation = default)
    {
        scope.EnterFirm(NinthAcre);
        if (await db.Firms.AnyAsync(cancellation))
        {
            return;
        }

        AddFirm(db, NinthAcre, "Ninth Acre Spray Works", inputs.Sheets, "ninthacre.example", [FirmRole.Owner, FirmRole.Estimator, FirmRole.CrewLead, FirmRole.Viewer]);
        db.ApiTokens.Add(new() { Name = "demo", Hash = TokenHash.Of(inputs.ApiToken), Role = FirmRole.Estimator });
        await db.SaveChangesAsync(cancellation);

        AddJob(db, DemoJobs.FerryHouse(), DemoJobs.FerryHouseSurfaces(inputs.Start), inputs.Now);
        AddJob(db, DemoJobs.MillCottages(), DemoJobs.MillCottagesSurfaces(inputs.Start), inputs.Now.AddMinutes(-1));
        await db.SaveChangesAsync(cancellation);

        scope.EnterFirm(ColdwaterLane);
        AddFirm(db, ColdwaterLane, "Coldwater Lane Foam", inputs.Sheets, "coldwaterlane.example", [FirmRole.Owner]);
        await db.SaveChangesAsync(cancellation);
    }

    private static void AddFirm(UmbracellDb db, Guid id, string name, IReadOnlyDictionary<string, string> sheets, string domain, FirmRole[] roles)
    {
        db.Firms.Add(new() { Id = id, Name = name });
        db.Sheets.AddRange(sheets.Select(sheet => new SheetRow { Slug = sheet.Key, Document = sheet.Value }));
        foreach (var role in roles)
        {
            var (sign, title) = role switch
            {
                FirmRole.Owner => ("owner", "owner"),
                FirmRole.Estimator => ("estimator", "estimator"),
                FirmRole.CrewLead => ("lead", "crew lead, crew Heron"),
                _ => ("viewer", "viewer"),
            };
            db.People.Add(NewPerson.Of($"{sign}@{domain}", title, role, Password));
        }
    }

    private static void AddJob(UmbracellDb db, Job job, IEnumerable<DemoSurface> surfaces, DateTimeOffset now)
    {
        job.Id = Guid.NewGuid();
        job.CreatedAt = now;
        db.Jobs.Add(job);
        var taken = now.AddMinutes(-35);
        foreach (var (demo, position) in surfaces.Select((s, i) => (s, i)))
        {
            demo.Row.Id = Guid.NewGuid();
            demo.Row.JobId = job.Id;
            demo.Row.Position = position;
            demo.Row.ChangedAt = now;
            db.Surfaces.Add(demo.Row);
            foreach (var reading in demo.Readings)
            {
                (reading.JobId, reading.SurfaceId, reading.TakenAt) = (job.Id, demo.Row.Id, taken);
                db.Readings.Add(reading);
            }
        }

        foreach (var (sheet, (a, b)) in DemoJobs.Drums)
        {
            db.Readings.Add(Drum(job.Id, sheet, ReadingKind.DrumA, a, taken));
            db.Readings.Add(Drum(job.Id, sheet, ReadingKind.DrumB, b, taken));
        }
    }

    private static ReadingRow Drum(Guid job, string sheet, ReadingKind kind, double celsius, DateTimeOffset taken) =>
        new() { JobId = job, SheetSlug = sheet, Kind = kind, Value = celsius, Instrument = "bung thermometer", TakenAt = taken, TakenBy = "crew lead, crew Heron" };
}
