using Umbracell.Formats.Forecasts;

namespace Umbracell.Server.Forecasts;

/// <summary>A service forecasts are asked of, by OGC API EDR.</summary>
internal sealed class ForecastSource
{
    /// <summary>Name it is told by; kept copies stand under it.</summary>
    public string Name { get; set; } = "";

    /// <summary>Address below which <c>/collections</c> stands.</summary>
    public string Address { get; set; } = "";

    /// <summary>Collection that is asked.</summary>
    public string Collection { get; set; } = "";

    /// <summary>What must be told wherever its figures are shown; its name where it is left out.</summary>
    public string Attribution { get; set; } = "";

    /// <summary>Axis of its members.</summary>
    public string MemberAxis { get; set; } = "realization";

    /// <summary>Names of its parameters.</summary>
    public Dictionary<ForecastQuantity, string> Parameters { get; set; } = [];

    public ForecastNames Names => new() { Parameters = Parameters, MemberAxis = MemberAxis };

    public string Credit => Attribution.Length > 0 ? Attribution : Name;
}

/// <summary>Services in the order they are asked in: the next one where one is down, late or answers what cannot be read.</summary>
internal sealed class ForecastSettings
{
    /// <summary>Seconds one source may take for all its answers.</summary>
    public int PatienceSeconds { get; set; } = 12;

    /// <summary>Seconds one question may take before it is asked once more.</summary>
    public int AttemptSeconds { get; set; } = 4;

    /// <summary>Seconds for which a source that failed is let alone, so that not every page that is opened asks it again.</summary>
    public int LetAloneSeconds { get; set; } = 60;

    public List<ForecastSource> Sources { get; set; } = [];

    /// <summary>The settings.</summary>
    /// <exception cref="InvalidOperationException">A source without name, address, collection or a parameter for temperature.</exception>
    public static ForecastSettings Of(IConfiguration configuration)
    {
        var settings = configuration.GetSection("Forecasts").Get<ForecastSettings>() ?? new();
        foreach (var (source, i) in settings.Sources.Select((source, i) => (source, i)))
        {
            Must(source.Name.Length is > 0 and <= 60, i, "Name", "a name of at most 60 letters");
            Must(
                Uri.TryCreate(source.Address, UriKind.Absolute, out var at) && at.Scheme.StartsWith("http", StringComparison.Ordinal),
                i,
                "Address",
                "an http address"
            );
            Must(source.Collection.Length > 0, i, "Collection", "the id of a collection");
            Must(source.Parameters.ContainsKey(ForecastQuantity.Temperature), i, "Parameters:Temperature", "the name of the parameter");
        }

        return settings.Sources.DistinctBy(source => source.Name).Count() == settings.Sources.Count
            ? settings
            : throw new InvalidOperationException("Two forecast sources have one name.");

        static void Must(bool isRight, int index, string setting, string wanted)
        {
            if (!isRight)
            {
                throw new InvalidOperationException($"Forecasts:Sources:{index}:{setting} wants {wanted}.");
            }
        }
    }
}
