using System.Diagnostics.Metrics;

namespace Umbracell.Server.Scheduling;

/// <summary>How much is done beside what people ask for, and how much of it fails.</summary>
internal sealed class ScheduleMetrics(IMeterFactory meters)
{
    /// <summary>Name of the meter.</summary>
    public const string Meter = "Umbracell.Schedule";

    private readonly Counter<long> _runs = meters.Create(Meter).CreateCounter<long>("umbracell.schedule.runs", description: "Works done.");

    public void Done(string work) => Count(work, "done");

    public void Failed(string work) => Count(work, "failed");

    private void Count(string work, string end) => _runs.Add(1, new("work", work), new("end", end));
}
