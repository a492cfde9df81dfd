using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Spraying;

/// <summary>What an entry of the log says.</summary>
public enum LogEntryKind
{
    /// <summary>A lift was begun. It is named by its entry.</summary>
    LiftBegun,

    /// <summary>A lift was ended.</summary>
    LiftEnded,

    /// <summary>Depth of all foam at a place.</summary>
    Depth,

    /// <summary>What a probe read at mid-depth of the last lift.</summary>
    Probe,

    /// <summary>Work was stopped, with a reason.</summary>
    Stopped,

    /// <summary>It went on.</summary>
    Resumed,

    /// <summary>Ventilation was switched on.</summary>
    VentilationOn,

    /// <summary>Ventilation was switched off.</summary>
    VentilationOff,

    /// <summary>Occupants and other trades are out of the work area, and nothing burns in it.</summary>
    AreaClear,

    /// <summary>Somebody without protection is in the work area.</summary>
    AreaEntered,

    /// <summary>Something is wrong with the foam.</summary>
    Defect,

    /// <summary>A note.</summary>
    Note,

    /// <summary>Something of the walk-round was looked at and is right.</summary>
    Seen,

    /// <summary>The surface is finished.</summary>
    Finished,

    /// <summary>It is not finished after all.</summary>
    Reopened,

    /// <summary>What it replaces did not happen.</summary>
    Withdrawn,

    /// <summary>A drum of a side was opened, with its lot.</summary>
    DrumOpened,

    /// <summary>What is left in the open drum of a side.</summary>
    DrumLevel,

    /// <summary>The open drum of a side is empty.</summary>
    DrumEmpty,

    /// <summary>So many full drums of a side are on the truck, beside the open one.</summary>
    DrumsOnTruck,

    /// <summary>Fuel was bought for the job: for the generator, for heat.</summary>
    FuelBought,

    /// <summary>Spraying is finished at the whole job.</summary>
    JobFinished,

    /// <summary>It is not finished after all.</summary>
    JobReopened,

    /// <summary>How many air changes the ventilation makes was found out.</summary>
    VentilationRead,

    /// <summary>Something is accounted for before people come back.</summary>
    AccountedFor,

    /// <summary>Places to read depths at were drawn anew.</summary>
    PlacesDrawn,

    /// <summary>A probe was held to a block of known thickness.</summary>
    ProbeChecked,

    /// <summary>A sample was cut or pulled.</summary>
    Sampled,

    /// <summary>Something of the inspection was looked at and is right.</summary>
    Inspected,

    /// <summary>The inspection before cover was signed.</summary>
    SignedOff,

    /// <summary>A defect was repaired.</summary>
    DefectRepaired,

    /// <summary>A repaired defect was looked at again.</summary>
    DefectRechecked,
}

/// <summary>Why work was stopped.</summary>
public enum StopReason
{
    /// <summary>The gun is plugged or leaks.</summary>
    Gun,

    /// <summary>The rig, the hose or the air.</summary>
    Rig,

    /// <summary>A drum ran dry or is changed.</summary>
    Drums,

    /// <summary>The foam is not right.</summary>
    Foam,

    /// <summary>Rain, wind or cold.</summary>
    Weather,

    /// <summary>Somebody came into the work area.</summary>
    People,

    /// <summary>A break.</summary>
    Break,

    /// <summary>Something else.</summary>
    Other,
}

/// <summary>One entry of the log. Nothing is overwritten: a correction is a further entry that replaces one.</summary>
public sealed record LogEntry
{
    /// <summary>Made on the device; the same entry twice is one.</summary>
    public required Guid Id { get; init; }

    /// <summary>What it says.</summary>
    public required LogEntryKind Kind { get; init; }

    /// <summary>When it happened.</summary>
    public required DateTimeOffset At { get; init; }

    /// <summary>When it was said: of two corrections the later one is in force.</summary>
    public required DateTimeOffset SaidAt { get; init; }

    /// <summary>The entry it replaces; null where it says something new.</summary>
    public Guid? Replaces { get; init; }

    /// <summary>The lift or the stop it is of; null for what is of none, or of the lift before it.</summary>
    public Guid? Of { get; init; }

    /// <summary>Depth of all foam at a place, 0 to 1 m.</summary>
    public Length? Depth { get; init; }

    /// <summary>What the probe read.</summary>
    public Temperature? Read { get; init; }

    /// <summary>Why work was stopped.</summary>
    public StopReason? Reason { get; init; }

    /// <summary>What was looked at on the walk-round.</summary>
    public WalkRoundItem? Item { get; init; }

    /// <summary>The side of a drum.</summary>
    public SetSide? Side { get; init; }

    /// <summary>Lot of a drum as it is printed on it.</summary>
    public string? Lot { get; init; }

    /// <summary>What is left in a drum, as a share of a full one, 0 to 1.1.</summary>
    public double? Left { get; init; }

    /// <summary>The product in a drum; null where nobody said: it is then taken for that of every surface.</summary>
    public string? Sheet { get; init; }

    /// <summary>The lot of the firm's store a drum was taken from; null where it was typed.</summary>
    public Guid? Stock { get; init; }

    /// <summary>How many drums, 0 or more.</summary>
    public int? Count { get; init; }

    /// <summary>What fuel cost, in the firm's own money, 0 or more.</summary>
    public double? FuelCost { get; init; }

    /// <summary>What the gate said when a lift was begun; null where it was not known.</summary>
    public Verdict? Gate { get; init; }

    /// <summary>What was read, sampled, seen, signed, found or repaired; null for what is of spraying alone.</summary>
    public ProofSaid? Proof { get; init; }
}
