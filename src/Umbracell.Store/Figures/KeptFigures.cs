using Umbracell.Core.Findings;
using Umbracell.Store.Model;

namespace Umbracell.Store.Figures;

/// <summary>What the board and the list of jobs show of a surface, kept as it was last made.</summary>
public sealed class SurfaceCellsRow : IJobRow
{
    public Guid SurfaceId { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    /// <summary>What it was made from.</summary>
    public required string MadeFrom { get; set; }

    public DateTimeOffset MadeAt { get; set; }

    /// <summary>The worst of all that is said of the surface.</summary>
    public Verdict Worst { get; set; }

    /// <summary>When the worst may become another because readings age; null where it will not.</summary>
    public DateTimeOffset? WorstUntil { get; set; }

    /// <summary>Treated area, m²; 0 where no size is taken.</summary>
    public double AreaM2 { get; set; }

    /// <summary>The cells, JSON.</summary>
    public required string Document { get; set; }
}

/// <summary>What all surfaces of a job add up to, kept as it was last made.</summary>
public sealed class JobSumsRow : IJobRow
{
    public Guid JobId { get; set; }

    public Guid FirmId { get; set; }

    /// <summary>What it was made from.</summary>
    public required string MadeFrom { get; set; }

    /// <summary>The sums, JSON.</summary>
    public required string Document { get; set; }
}
