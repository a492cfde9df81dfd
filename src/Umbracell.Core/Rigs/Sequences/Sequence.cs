using Umbracell.Core.Quantities;

namespace Umbracell.Core.Rigs.Sequences;

/// <summary>What a sequence is for.</summary>
public enum SequenceKind
{
    /// <summary>A rig nobody has run yet.</summary>
    NewRig,

    /// <summary>A rig that stood for weeks.</summary>
    StoredRig,

    /// <summary>The start of a day.</summary>
    DayStart,

    /// <summary>Another product goes on the rig.</summary>
    ProductChange,

    /// <summary>The end of a day.</summary>
    DayEnd,

    /// <summary>Care of the gun.</summary>
    GunCare,

    /// <summary>A rig that is parked over winter.</summary>
    WinterParking,

    /// <summary>The work area closed off from people, air intakes and plant.</summary>
    WorkArea,
}

/// <summary>Who does a step.</summary>
public enum SequenceRole
{
    /// <summary>Whoever holds the device.</summary>
    Anyone,

    /// <summary>Who sprays.</summary>
    Applicator,

    /// <summary>Who stands at the rig.</summary>
    Helper,

    /// <summary>Who leads the crew.</summary>
    CrewLead,
}

/// <summary>What a step can read.</summary>
public enum StepGauge
{
    /// <summary>A pressure, of air or of material; Pa.</summary>
    Pressure,

    /// <summary>A temperature; °C.</summary>
    Temperature,

    /// <summary>A relative humidity; percent.</summary>
    Humidity,

    /// <summary>What is left in a drum; percent of a full one.</summary>
    Level,

    /// <summary>A mass on a scale; kg.</summary>
    Weight,
}

/// <summary>What can be read at all.</summary>
public static class StepGauges
{
    /// <summary>The range of a gauge: wide enough for any rig, narrow enough to catch a slip.</summary>
    public static FigureRange RangeOf(StepGauge gauge) =>
        gauge switch
        {
            StepGauge.Pressure => new(0, 40e6, Dimension.MaterialPressure),
            StepGauge.Temperature => new(-40, 95, Dimension.Temperature),
            StepGauge.Humidity => new(0, 100, Dimension.RelativeHumidity),
            StepGauge.Level => new(0, 100, Dimension.Percent),
            _ => new(0, 2000, Dimension.Mass),
        };
}

/// <summary>A value that a step reads off a gauge, with its limits in SI.</summary>
/// <param name="Gauge">What it is.</param>
/// <param name="Least">The least it may be; null for no limit.</param>
/// <param name="Greatest">The greatest it may be; null for no limit.</param>
public sealed record StepReading(StepGauge Gauge, double? Least, double? Greatest)
{
    /// <summary>Whether a value is within its limits.</summary>
    public bool Holds(double si) => double.IsFinite(si) && !(si < Least) && !(si > Greatest);
}

/// <summary>A step of a sequence.</summary>
public sealed record SequenceStep
{
    /// <summary>Its name within the sequence; steps that ship have their words in the catalogue by it.</summary>
    public required string Id { get; init; }

    /// <summary>What is done, in the firm's own words; null for a step that ships.</summary>
    public string? What { get; init; }

    /// <summary>Why, in the firm's own words.</summary>
    public string? Why { get; init; }

    /// <summary>What can go wrong, in the firm's own words.</summary>
    public string? Wrong { get; init; }

    /// <summary>What it does to the rig, as far as people or pumps hang on it.</summary>
    public RigAct? Act { get; init; }

    /// <summary>Whether nobody can skip it. A step that protects people or pumps is one whatever is said here.</summary>
    public bool HardStop { get; init; }

    /// <summary>Steps that come before it, by their ids.</summary>
    public IReadOnlyList<string> After { get; init; } = [];

    /// <summary>What is read and within which limits; null where nothing is.</summary>
    public StepReading? Reading { get; init; }

    /// <summary>How long what it begins takes; what comes after it waits that long. Null where it is done at once.</summary>
    public TimeSpan? Wait { get; init; }

    /// <summary>Who does it.</summary>
    public SequenceRole Who { get; init; }

    /// <summary>Whether nobody can skip it.</summary>
    public bool IsHardStop => HardStop || (Act is { } act && RigOrders.Protects(act));
}

/// <summary>Steps that are done in an order that is safe.</summary>
public sealed record Sequence
{
    /// <summary>What it is for.</summary>
    public required SequenceKind Kind { get; init; }

    /// <summary>Its steps, as they are shown.</summary>
    public required IReadOnlyList<SequenceStep> Steps { get; init; }

    /// <summary>A step by its id; null where there is none.</summary>
    public SequenceStep? this[string id] => Steps.FirstOrDefault(step => step.Id == id);

    /// <summary>What must be done before a step: what it names itself, and what its act asks for wherever that lies in the
    /// sequence.</summary>
    public IEnumerable<SequenceStep> Before(SequenceStep step) =>
        Steps.Where(one =>
            one != step
            && (
                step.After.Contains(one.Id)
                || (one.Act is { } first && step.Act is { } then && RigOrders.All.Contains(new RigOrder(first, then)))
            )
        );
}
