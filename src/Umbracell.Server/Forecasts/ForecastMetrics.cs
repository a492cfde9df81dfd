using System.Diagnostics.Metrics;

namespace Umbracell.Server.Forecasts;

/// <summary>How often forecasts are asked for, and how that ends.</summary>
internal sealed class ForecastMetrics(IMeterFactory meters)
{
    /// <summary>Name of the meter.</summary>
    public const string Meter = "Umbracell.Forecasts";

    private readonly Counter<long> _asked = meters
        .Create(Meter)
        .CreateCounter<long>("umbracell.forecasts.asked", description: "Runs asked of forecast services.");

    private volatile bool _failedLast;

    /// <summary>Whether the last question was answered by nobody.</summary>
    public bool StandsStill => _failedLast;

    public void Answered(string source)
    {
        _failedLast = false;
        Count(source, "answered");
    }

    public void Troubled(SourceTrouble trouble) => Count(trouble.Source, trouble.Trouble.ToString());

    public void NobodyAnswered() => _failedLast = true;

    private void Count(string source, string end) => _asked.Add(1, new("source", source), new("end", end));
}
