using System.Globalization;
using Serilog;
using Umbracell.Server.Access;
using Umbracell.Server.Setup;

// What is for machines and the core reads alike on every computer, whatever its language; people are written to by Writing.
CultureInfo.DefaultThreadCurrentCulture = CultureInfo.CurrentCulture = CultureInfo.InvariantCulture;

var builder = WebApplication.CreateBuilder(args);
builder.Services.AddSerilog(log => log.ReadFrom.Configuration(builder.Configuration));
builder.AddUmbracell();
var app = builder.Build();
if (args.Contains("provision"))
{
    return await Provision.RunAsync(app, args);
}

if (args.Contains(ResetSignIn.Command))
{
    return await ResetSignIn.RunAsync(app, args);
}

if (app.Services.GetService<KeyRingSecret>() is { Key: null })
{
    app.Logger.LogWarning("KeyRing:Secret is not set: whoever reads the database can make cookies.");
}

app.UseUmbracell();
await app.RunAsync();
return 0;

/// <summary>The server program; public so that tests can host it.</summary>
public partial class Program;
