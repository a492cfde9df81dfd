using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Survey;
using Umbracell.Store;
using Umbracell.Store.Seeding;
using Umbracell.Store.Tenancy;

namespace Umbracell.Server.Setup;

/// <summary>Prepares the database under the owner's role: <c>Umbracell.Server provision [--demo | --first-firm]</c>. The server itself
/// never holds that role.</summary>
internal static class Provision
{
    public static async Task<int> RunAsync(WebApplication app, string[] args)
    {
        await using var services = app.Services.CreateAsyncScope();
        var db = services.ServiceProvider.GetRequiredService<UmbracellDb>();
        await db.Database.MigrateAsync();
        var scope = services.ServiceProvider.GetRequiredService<FirmScope>();
        if (args.Contains("--demo"))
        {
            var token = app.Configuration["Demo:ApiToken"] ?? throw new InvalidOperationException("Demo:ApiToken is not set.");
            var inputs = new DemoInputs
            {
                Sheets = ShippedData.ProductSheets,
                Start = SurfaceStart.Of,
                List = PreparationAnswers.List,
                ApiToken = token,
                Now = services.ServiceProvider.GetRequiredService<TimeProvider>().GetUtcNow(),
                Copies = app.Configuration.GetValue("Demo:Copies", 0),
            };
            await DemoSeed.PlantAsync(db, scope, inputs);
        }
        else if (args.Contains("--first-firm"))
        {
            var password = app.Configuration["FirstFirm:Password"] ?? throw new InvalidOperationException("FirstFirm:Password is not set.");
            await FirstFirmSeed.PlantAsync(db, scope, ShippedData.ProductSheets, password);
        }

        return 0;
    }
}
