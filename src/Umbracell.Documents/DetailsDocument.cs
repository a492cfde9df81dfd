using Umbracell.Core.Assemblies;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Weather;

namespace Umbracell.Documents;

/// <summary>What else is asked of a kind of surface; each kind asks other things.</summary>
public sealed record DetailsDocument
{
    /// <summary>How it is reached.</summary>
    public AccessKind Access { get; init; }

    /// <summary>Whether the studs run through past the floor.</summary>
    public bool? BalloonFramed { get; init; }

    /// <summary>Whether members are held at both ends only.</summary>
    public bool? HeldAtEnds { get; init; }

    /// <summary>Flange of a metal member.</summary>
    public double? FlangeMm { get; init; }

    /// <summary>Gauge of its web.</summary>
    public double? WebMm { get; init; }

    /// <summary>Gauge of the skin it carries.</summary>
    public double? SkinMm { get; init; }

    /// <summary>Roof or wall covering.</summary>
    public Covering Covering { get; init; }

    /// <summary>How the covering is held.</summary>
    public Attachment Attachment { get; init; }

    /// <summary>What a door's springs can still carry.</summary>
    public double? DoorSpareKg { get; init; }

    /// <summary>How far foam goes into what it is sprayed on, such as rough stone.</summary>
    public double PenetrationMm { get; init; }

    /// <summary>Whether a basement wall is that of a crawl space; unknown counts as a basement, whose targets are tighter.</summary>
    public bool? CrawlSpace { get; init; }

    /// <summary>Which way it looks.</summary>
    public Facing Facing { get; init; }

    /// <summary>How open the ground around it is to wind.</summary>
    public Shelter Shelter { get; init; }

    /// <summary>How high over the ground it lies, 0.5 to 100 m; null where nobody said it.</summary>
    public double? FaceHeightM { get; init; }

    /// <summary>Day on which the next trade covers an open face; null where nobody said it.</summary>
    public DateOnly? CoveredOn { get; init; }
}
