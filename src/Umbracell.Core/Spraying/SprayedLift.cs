using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Spraying;

/// <summary>A lift as it was logged.</summary>
public sealed record SprayedLift
{
    /// <summary>Id of the entry that began it.</summary>
    public required Guid Id { get; init; }

    /// <summary>The how manieth of the surface, from 1.</summary>
    public required int Number { get; init; }

    /// <summary>When it was begun.</summary>
    public required DateTimeOffset BegunAt { get; init; }

    /// <summary>When it was ended; null while it is sprayed.</summary>
    public DateTimeOffset? EndedAt { get; init; }

    /// <summary>What the gate said when it was begun; null where it was not known.</summary>
    public Verdict? Gate { get; init; }

    /// <summary>Mean of the depths read after it, of all foam; null until one is read.</summary>
    public Length? Depth { get; init; }

    /// <summary>How many depths that is of.</summary>
    public int Depths { get; init; }

    /// <summary>Standard deviation of those depths about their mean; zero for fewer than two.</summary>
    public Length DepthScatter { get; init; }

    /// <summary>What it added to the lift before it; null where either was not read.</summary>
    public Length? Thickness { get; init; }

    /// <summary>The last a probe read in it; null where nobody did.</summary>
    public (Temperature At, DateTimeOffset When)? Probe { get; init; }
}
