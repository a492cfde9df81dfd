using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Spraying;

/// <summary>Where on a surface a place is.</summary>
public enum PlaceKind
{
    /// <summary>In the area: it counts for what is said about the area.</summary>
    Area,

    /// <summary>At an edge.</summary>
    Edge,

    /// <summary>In a corner.</summary>
    Corner,
}

/// <summary>What is wrong with foam.</summary>
public enum DefectKind
{
    /// <summary>A hollow in the foam or behind it.</summary>
    Void,

    /// <summary>It has come off what it was sprayed on, or one lift off another.</summary>
    Parting,

    /// <summary>It has drawn together and pulled away at the members.</summary>
    Shrinkage,

    /// <summary>A crack.</summary>
    Crack,

    /// <summary>Thinner than specified.</summary>
    Thin,

    /// <summary>Brittle, soft or sticky: the sides did not come one to one.</summary>
    OffRatio,

    /// <summary>Brown inside, from its own heat.</summary>
    Scorch,

    /// <summary>Wet.</summary>
    Wet,

    /// <summary>A bay or place that was left out.</summary>
    Missed,
}

/// <summary>Why foam is not as it should be.</summary>
public enum DefectCause
{
    /// <summary>What was sprayed on was too cold.</summary>
    ColdSubstrate,

    /// <summary>It was wet, dusty or oily.</summary>
    UncleanSubstrate,

    /// <summary>A lift was too thick, or went on too soon.</summary>
    LiftHeat,

    /// <summary>A, B or their heat was not as set.</summary>
    Rig,

    /// <summary>The gun: too far, too slanted, overlaps left out.</summary>
    Gun,

    /// <summary>Hard to reach.</summary>
    Access,

    /// <summary>Water came in later.</summary>
    Water,

    /// <summary>The building moved.</summary>
    Movement,
}

/// <summary>How a defect is repaired.</summary>
public enum RepairWay
{
    /// <summary>Cut back to sound foam and sprayed again.</summary>
    CutAndSprayed,

    /// <summary>Foam was added.</summary>
    Added,

    /// <summary>Filled with cut board, sealed at its edges.</summary>
    Board,

    /// <summary>All of it was taken out and sprayed anew.</summary>
    Replaced,
}

/// <summary>What an inspector looks at before foam is covered.</summary>
public enum InspectionItem
{
    /// <summary>Depth at the places of the plan, a rule in the picture.</summary>
    Depth,

    /// <summary>No void, nothing left out.</summary>
    Voids,

    /// <summary>It holds to members and substrate.</summary>
    Holds,

    /// <summary>Even colour and cells.</summary>
    Cells,

    /// <summary>Joints to other layers.</summary>
    Joints,

    /// <summary>Clearance to flues, lights and old wiring.</summary>
    Clearances,

    /// <summary>The vent channel.</summary>
    VentChannel,

    /// <summary>Trimmed where it is covered flush.</summary>
    Trimmed,

    /// <summary>Upstands, drains and edges of the roof.</summary>
    RoofEdges,

    /// <summary>Ribs and laps of the skin.</summary>
    Ribs,

    /// <summary>Which thermal or ignition barrier comes over it.</summary>
    Barrier,
}

/// <summary>What is accounted for before people come back.</summary>
public enum Clearance
{
    /// <summary>Cut foam is spread outdoors and cold, sweepings are bagged.</summary>
    Waste,

    /// <summary>Drums are closed, counted and away.</summary>
    Drums,

    /// <summary>Masks, cartridges and suits are bagged.</summary>
    Masks,

    /// <summary>Foils and tape are off, and surfaces people touch are clean.</summary>
    Covers,
}

/// <summary>What was sampled.</summary>
public enum SampleKind
{
    /// <summary>Density of a cut piece without skins, by weight and displaced volume.</summary>
    Density,

    /// <summary>A pull at a disc glued to the foam.</summary>
    Adhesion,

    /// <summary>How the cells look at a cut.</summary>
    Look,
}

/// <summary>Where a pull gave way.</summary>
public enum FailedIn
{
    /// <summary>Within the foam.</summary>
    Foam,

    /// <summary>Between foam and substrate.</summary>
    Face,

    /// <summary>Within the substrate.</summary>
    Substrate,

    /// <summary>At the glue of the disc: it tells only that the foam holds more.</summary>
    Glue,
}

/// <summary>How cells look at a cut.</summary>
public enum CellLook
{
    /// <summary>Fine and even.</summary>
    Even,

    /// <summary>Coarse, or drawn long.</summary>
    Coarse,

    /// <summary>In layers, or with glassy streaks.</summary>
    Streaked,

    /// <summary>Brown.</summary>
    Brown,
}

/// <summary>A place on the sketch of a surface.</summary>
/// <param name="Number">Number of the plan; null where it is none of it.</param>
/// <param name="Kind">In the area, at an edge or in a corner.</param>
/// <param name="At">On the sketch; null where nobody said.</param>
public sealed record ProofSpot(int? Number, PlaceKind Kind, Corner? At);

/// <summary>A sample.</summary>
public sealed record SampleSaid
{
    /// <summary>What was sampled.</summary>
    public required SampleKind Kind { get; init; }

    /// <summary>Density of the piece; null for others.</summary>
    public Density? Density { get; init; }

    /// <summary>Pull at which it gave way; null for others.</summary>
    public BearingPressure? Pull { get; init; }

    /// <summary>Where it gave way.</summary>
    public FailedIn? FailedIn { get; init; }

    /// <summary>How the cells look.</summary>
    public CellLook? Look { get; init; }
}

/// <summary>Who signed.</summary>
/// <param name="Name">Name, as the person gave it.</param>
/// <param name="Role">Role: inspector, owner, crew lead.</param>
public sealed record Signature(string Name, string Role);

/// <summary>What an entry of the log says beyond spraying: what was read, sampled, seen, signed, found and repaired.</summary>
public sealed record ProofSaid
{
    /// <summary>Where.</summary>
    public ProofSpot? Spot { get; init; }

    /// <summary>The reading this one takes the place of, at the same place, once foam was added there.</summary>
    public Guid? Again { get; init; }

    /// <summary>Thickness of the block a probe was held to.</summary>
    public Length? Block { get; init; }

    /// <summary>A sample.</summary>
    public SampleSaid? Sample { get; init; }

    /// <summary>What was looked at.</summary>
    public InspectionItem? Item { get; init; }

    /// <summary>Who signed.</summary>
    public Signature? Signature { get; init; }

    /// <summary>What is wrong.</summary>
    public DefectKind? Defect { get; init; }

    /// <summary>How large.</summary>
    public Area? Size { get; init; }

    /// <summary>Why, as far as somebody said.</summary>
    public DefectCause? Cause { get; init; }

    /// <summary>How it was repaired.</summary>
    public RepairWay? Repair { get; init; }

    /// <summary>How far was cut back beyond what could be seen.</summary>
    public Length? CutBack { get; init; }

    /// <summary>Whether it was found sound when it was looked at again.</summary>
    public bool? Passed { get; init; }

    /// <summary>Air changes an hour while the ventilation runs, 0 or more.</summary>
    public double? AirChanges { get; init; }

    /// <summary>What is accounted for.</summary>
    public Clearance? Accounted { get; init; }

    /// <summary>Which draw of places is in force.</summary>
    public int? Seed { get; init; }
}
