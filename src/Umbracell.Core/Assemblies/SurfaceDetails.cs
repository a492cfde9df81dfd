using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Assemblies;

/// <summary>What lies on a roof, or faces a wall before it is taken off.</summary>
public enum Covering
{
    /// <summary>Not seen yet.</summary>
    Unknown,

    /// <summary>Asphalt shingles.</summary>
    Shingles,

    /// <summary>Wood shingles or shakes; want an air space below them.</summary>
    WoodShingles,

    /// <summary>Tile or slate.</summary>
    Tile,

    /// <summary>Metal sheets.</summary>
    MetalSheets,

    /// <summary>Built-up felt or bitumen.</summary>
    BuiltUpFelt,

    /// <summary>Single-ply sheet; foam grips it poorly.</summary>
    SinglePly,

    /// <summary>Old foam with its coating.</summary>
    CoatedFoam,
}

/// <summary>How a covering is held down.</summary>
public enum Attachment
{
    /// <summary>Not seen yet.</summary>
    Unknown,

    /// <summary>Stuck all over.</summary>
    FullyAdhered,

    /// <summary>Fastened in close rows.</summary>
    Fastened,

    /// <summary>Fastened only here and there.</summary>
    HereAndThere,

    /// <summary>Held by ballast.</summary>
    Ballasted,
}

/// <summary>One further thing asked of a kind of surface.</summary>
public enum DetailField
{
    /// <summary>How it is reached.</summary>
    Access,

    /// <summary>Band joist of balloon framing: open to the attic.</summary>
    BalloonFramed,

    /// <summary>Basement wall: of a crawl space.</summary>
    CrawlSpace,

    /// <summary>Members held at both ends only.</summary>
    HeldAtEnds,

    /// <summary>Flange, web and skin of girts.</summary>
    GirtProfile,

    /// <summary>Flange and web of steel studs; without them the code's table stands.</summary>
    StudProfile,

    /// <summary>Roof or wall covering.</summary>
    Covering,

    /// <summary>How the covering is held.</summary>
    Attachment,

    /// <summary>What the springs of a door can still carry.</summary>
    DoorSpare,

    /// <summary>How far foam sinks into the stone base.</summary>
    Penetration,

    /// <summary>Which buffer space it borders on.</summary>
    Buffer,

    /// <summary>Which way it looks.</summary>
    Facing,

    /// <summary>How open the ground around it is to wind.</summary>
    Shelter,

    /// <summary>How high over the ground it lies.</summary>
    FaceHeight,

    /// <summary>Day on which the next trade covers it.</summary>
    CoveredOn,
}

/// <summary>Further things known of a surface, by kind. What is not known is null or unknown.</summary>
public sealed record SurfaceDetails
{
    /// <summary>How it is reached.</summary>
    public AccessKind Access { get; init; }

    /// <summary>Whether a band joist stands in balloon framing; null where not looked at.</summary>
    public bool? BalloonFramed { get; init; }

    /// <summary>Whether members are held at both ends only, so that foam can push them out of line; null where not looked at.</summary>
    public bool? HeldAtEnds { get; init; }

    /// <summary>Section of girts.</summary>
    public MetalProfile? Girt { get; init; }

    /// <summary>Covering.</summary>
    public Covering Covering { get; init; }

    /// <summary>Attachment.</summary>
    public Attachment Attachment { get; init; }

    /// <summary>Spare capacity of a door's springs and operator.</summary>
    public Mass? DoorSpare { get; init; }

    /// <summary>How far foam sinks into what it is sprayed on; zero elsewhere.</summary>
    public Length Penetration { get; init; }
}
