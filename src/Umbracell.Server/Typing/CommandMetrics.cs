using System.Diagnostics.Metrics;

namespace Umbracell.Server.Typing;

/// <summary>What arrives of what people enter: how much, how much of it twice, and how late.</summary>
internal sealed partial class CommandMetrics
{
    /// <summary>Name of the meter.</summary>
    public const string Meter = "Umbracell.Commands";

    /// <summary>From here on a command counts as entered without a connection.</summary>
    private static readonly TimeSpan Late = TimeSpan.FromMinutes(1);

    private readonly Counter<long> _arrived;
    private readonly Counter<long> _repeated;
    private readonly Histogram<double> _delay;
    private readonly ILogger<CommandMetrics> _logger;

    public CommandMetrics(IMeterFactory meters, ILogger<CommandMetrics> logger)
    {
        var meter = meters.Create(Meter);
        _arrived = meter.CreateCounter<long>(
            "umbracell.commands.arrived",
            description: "Edits and readings that came for the first time, refused ones too."
        );
        _repeated = meter.CreateCounter<long>("umbracell.commands.repeated", description: "Those that came again and were written before.");
        _delay = meter.CreateHistogram<double>("umbracell.commands.delay", "s", "Time between entering and arriving.");
        _logger = logger;
    }

    public void Arrived(TimeSpan delay)
    {
        _arrived.Add(1);
        _delay.Record(delay.TotalSeconds);
        if (delay > Late)
        {
            LogLate(delay.TotalSeconds);
        }
    }

    public void Repeated(Guid id)
    {
        _repeated.Add(1);
        LogRepeated(id);
    }

    [LoggerMessage(LogLevel.Information, "A command arrived {Seconds:0} s after it was entered")]
    private partial void LogLate(double seconds);

    [LoggerMessage(LogLevel.Information, "Command {Id} came again and is answered as the first was")]
    private partial void LogRepeated(Guid id);
}
