using System.Globalization;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Planning;
using Umbracell.Store.Model;
using Umbracell.Store.Tenancy;

namespace Umbracell.Store.Seeding;

/// <summary>What the seeding is given from outside the store.</summary>
public sealed record DemoInputs
{
    /// <summary>JSON documents of the product sheets by slug.</summary>
    public required IReadOnlyDictionary<string, string> Sheets { get; init; }

    /// <summary>Starts a surface from its template.</summary>
    public required StartSurface Start { get; init; }

    /// <summary>Derives the preparation list of a surface.</summary>
    public required Func<Surface, IReadOnlyList<PreparationTask>> List { get; init; }

    /// <summary>Token of the first firm for trying the API.</summary>
    public required string ApiToken { get; init; }

    /// <summary>The moment the demo's readings are dated back from.</summary>
    public required DateTimeOffset Now { get; init; }

    /// <summary>How many more firms get the same jobs, each with people of its own: for what tries the product side by side.</summary>
    public int Copies { get; init; }
}

/// <summary>Plants the demo: two firms that never see one another, people by role, two jobs.</summary>
public static class DemoSeed
{
    /// <summary>The one password of the demo's people. The demo listens on loopback only.</summary>
    public const string Password = "umbra-demo";

    private static readonly Guid NinthAcre = new("6f1c0f5e-9a4e-4c7e-8a57-0d3e5c1b9a01");
    private static readonly Guid ColdwaterLane = new("6f1c0f5e-9a4e-4c7e-8a57-0d3e5c1b9a02");

    /// <summary>Plants the demo once; where it stands already, only adds product sheets that have come since.</summary>
    public static async Task PlantAsync(UmbracellDb db, FirmScope scope, DemoInputs inputs, CancellationToken cancellation = default)
    {
        for (var copy = 0; copy <= inputs.Copies; copy++)
        {
            var (id, name, domain) = FirmAt(copy);
            scope.EnterFirm(id);
            if (await db.Firms.AnyAsync(cancellation))
            {
                await RefreshAsync(db, inputs.Sheets, cancellation);
                await AddPeopleSinceAsync(db, domain, cancellation);
                await AddMeansSinceAsync(db, cancellation);
                await AddLogSinceAsync(db, inputs.Now, cancellation);
            }
            else
            {
                await PlantFirmAsync(db, inputs, id, name, domain, isFirst: copy == 0, cancellation);
            }
        }

        scope.EnterFirm(ColdwaterLane);
        if (await db.Firms.AnyAsync(cancellation))
        {
            await RefreshAsync(db, inputs.Sheets, cancellation);
            return;
        }

        AddFirm(db, ColdwaterLane, "Coldwater Lane Foam", inputs.Sheets, "coldwaterlane.example", [FirmRole.Owner]);
        await db.SaveChangesAsync(cancellation);
    }

    private static (Guid Id, string Name, string Domain) FirmAt(int copy) =>
        copy == 0
            ? (NinthAcre, "Ninth Acre Spray Works", "ninthacre.example")
            : (
                new($"6f1c0f5e-9a4e-4c7e-8a57-0d3e5c1b9a{copy + 0x10:x2}"),
                string.Create(CultureInfo.InvariantCulture, $"Ninth Acre Spray Works {copy + 1}"),
                string.Create(CultureInfo.InvariantCulture, $"ninthacre{copy + 1}.example")
            );

    private static async Task PlantFirmAsync(
        UmbracellDb db,
        DemoInputs inputs,
        Guid id,
        string name,
        string domain,
        bool isFirst,
        CancellationToken cancellation
    )
    {
        AddFirm(
            db,
            id,
            name,
            inputs.Sheets,
            domain,
            [FirmRole.Owner, FirmRole.Estimator, FirmRole.CrewLead, FirmRole.Helper, FirmRole.Viewer]
        );
        if (isFirst)
        {
            db.ApiTokens.Add(
                new()
                {
                    Name = "demo",
                    Hash = TokenHash.Of(inputs.ApiToken),
                    Role = FirmRole.Estimator,
                    ExpiresAt = TimeProvider.System.GetUtcNow().AddDays(365),
                }
            );
        }

        await db.SaveChangesAsync(cancellation);

        var now = inputs.Now;
        var (heron, plover) = (DemoMeans.Crew("Heron"), DemoMeans.Crew("Plover"));
        db.Means.AddRange([heron, plover, .. DemoMeans.Equipment(heron, plover), .. DemoMeans.ScaffoldAndFans(), DemoMeans.Dehumidifier()]);
        DemoPlot[] plots =
        [
            new(DemoJobs.FerryHouse(heron), DemoJobs.FerryHouseSurfaces(inputs.Start), DemoSurveys.FerryHouse),
            new(DemoJobs.OrchidHouse(plover), DemoJobs.OrchidHouseSurfaces(inputs.Start), DemoSurveys.OrchidHouse),
            new(DemoJobs.MillCottages(plover), DemoJobs.MillCottagesSurfaces(inputs.Start), DemoSurveys.MillCottages),
            new(DemoJobs.SeedStore(heron), DemoJobs.SeedStoreSurfaces(inputs.Start), DemoSurveys.SeedStore),
        ];
        foreach (var (plot, i) in plots.Select((p, i) => (p, i)))
        {
            plot.Plant(db, inputs.List, now.AddMinutes(-i), now.AddMinutes(-35));
        }

        // Its jobs are there: nothing is left to set up.
        (await db.Firms.SingleAsync(cancellation)).SkippedSteps = ["firm", "sheet", "crew", "place", "job", "surface", "verdict"];
        db.PastJobs.AddRange(DemoMaterial.PastJobs(heron, plover));
        db.StockLots.AddRange(DemoMaterial.Stock(DateOnly.FromDateTime(now.UtcDateTime)));
        await db.SaveChangesAsync(cancellation);
        await AddLogSinceAsync(db, now, cancellation);
    }

    private static async Task RefreshAsync(UmbracellDb db, IReadOnlyDictionary<string, string> sheets, CancellationToken cancellation)
    {
        await ShippedSheets.AddMissingAsync(db, sheets, cancellation);
        await db.SaveChangesAsync(cancellation);
    }

    private static void AddFirm(
        UmbracellDb db,
        Guid id,
        string name,
        IReadOnlyDictionary<string, string> sheets,
        string domain,
        FirmRole[] roles
    )
    {
        db.Firms.Add(
            new()
            {
                Id = id,
                Name = name,
                Currency = "$",
                Rates = DemoRates.Of(),
            }
        );
        db.Sheets.AddRange(sheets.Select(sheet => new SheetRow { Slug = sheet.Key, Document = sheet.Value }));
        db.People.AddRange(roles.Select(role => PersonOf(role, domain)));
    }

    // Roles that came after the demo was planted.
    private static async Task AddPeopleSinceAsync(UmbracellDb db, string domain, CancellationToken cancellation)
    {
        var helper = PersonOf(FirmRole.Helper, domain);
        if (!await db.People.AnyAsync(p => p.NormalizedSignInName == helper.NormalizedSignInName, cancellation))
        {
            db.People.Add(helper);
            await db.SaveChangesAsync(cancellation);
        }
    }

    // Where nobody has logged anything yet.
    private static async Task AddLogSinceAsync(UmbracellDb db, DateTimeOffset now, CancellationToken cancellation)
    {
        var job = await db.Jobs.FirstOrDefaultAsync(job => job.Name.Contains(DemoLog.Job), cancellation);
        if (job is null)
        {
            return;
        }

        var surfaces = await db.Surfaces.Where(s => s.JobId == job.Id).ToListAsync(cancellation);
        if (!await db.SprayLog.AnyAsync(cancellation))
        {
            db.SprayLog.AddRange(DemoLog.Of(job.Id, surfaces, now));
            await db.SaveChangesAsync(cancellation);
        }

        if (!DemoLog.HasProof(await db.SprayLog.AsNoTracking().Where(row => row.JobId == job.Id).ToListAsync(cancellation)))
        {
            db.SprayLog.AddRange(DemoLog.ProofOf(job.Id, surfaces, now));
            await db.SaveChangesAsync(cancellation);
        }
    }

    // Of the demo planted before there were records of it, crews, rig, heaters and blankets were made from what it had.
    private static async Task AddMeansSinceAsync(UmbracellDb db, CancellationToken cancellation)
    {
        if (!await db.Means.AnyAsync(means => means.Kind == MeansKind.Scaffold || means.Kind == MeansKind.Fan, cancellation))
        {
            db.Means.AddRange(DemoMeans.ScaffoldAndFans());
            await db.SaveChangesAsync(cancellation);
        }

        if (!await db.Means.AnyAsync(means => means.Kind == MeansKind.Dehumidifier, cancellation))
        {
            db.Means.Add(DemoMeans.Dehumidifier());
            await db.SaveChangesAsync(cancellation);
        }

        foreach (var rig in await db.Means.Where(means => means.Kind == MeansKind.Rig).ToListAsync(cancellation))
        {
            // What somebody wrote there since is theirs.
            if (rig.Document is { } known && DemoMeans.TipsSince.TryGetValue(known.Words.GetValueOrDefault("tips", ""), out var tips))
            {
                rig.Document = known with { Words = new Dictionary<string, string>(known.Words) { ["tips"] = tips } };
            }
        }

        await db.SaveChangesAsync(cancellation);
    }

    private static Person PersonOf(FirmRole role, string domain)
    {
        var (sign, title) = role switch
        {
            FirmRole.Owner => ("owner", "owner"),
            FirmRole.Estimator => ("estimator", "estimator"),
            FirmRole.CrewLead => ("lead", "crew lead, crew Heron"),
            FirmRole.Helper => ("helper", "helper, crew Heron"),
            _ => ("viewer", "viewer"),
        };
        return NewPerson.Of($"{sign}@{domain}", title, role, Password);
    }
}
