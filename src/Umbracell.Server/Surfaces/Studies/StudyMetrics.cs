using System.Diagnostics.Metrics;

namespace Umbracell.Server.Surfaces;

/// <summary>How much is studied, how much of it was at hand, and how long it takes.</summary>
internal sealed partial class StudyMetrics
{
    /// <summary>Name of the meter.</summary>
    public const string Meter = "Umbracell.Studies";

    // A job of two hundred surfaces takes a fifth of a second from nothing.
    private static readonly TimeSpan Long = TimeSpan.FromSeconds(5);

    private readonly Counter<long> _made;
    private readonly Counter<long> _found;
    private readonly Histogram<double> _took;
    private readonly ILogger<StudyMetrics> _logger;

    public StudyMetrics(IMeterFactory meters, ILogger<StudyMetrics> logger)
    {
        var meter = meters.Create(Meter);
        _made = meter.CreateCounter<long>("umbracell.studies.made", description: "Surfaces studied anew.");
        _found = meter.CreateCounter<long>("umbracell.studies.found", description: "Surfaces of the same jobs whose studies still stood.");
        _took = meter.CreateHistogram<double>("umbracell.studies.duration", "s", "Time to bring a job up to date.");
        _logger = logger;
    }

    public void Made(int made, int found, TimeSpan took)
    {
        _made.Add(made);
        _found.Add(found);
        _took.Record(took.TotalSeconds);
        if (took > Long)
        {
            LogLong(made, took.TotalSeconds);
        }
    }

    /// <summary>A job that could not be brought up to date for its list; it is tried again when it is asked for.</summary>
    public void Failed(Guid job, Exception cause) => LogFailed(job, cause);

    [LoggerMessage(LogLevel.Warning, "Studying {Surfaces} surfaces of a job took {Seconds:0.0} s")]
    private partial void LogLong(int surfaces, double seconds);

    [LoggerMessage(LogLevel.Error, "Job {Job} could not be studied for the list of jobs")]
    private partial void LogFailed(Guid job, Exception cause);
}
