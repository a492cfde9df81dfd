using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Spray;

namespace Umbracell.Server.Spray;

/// <summary>Why nothing can be said of a surface.</summary>
public enum SprayMissing
{
    /// <summary>No product is chosen for it.</summary>
    Sheet,

    /// <summary>Its thickness is not one the sheet rates.</summary>
    Thickness,
}

/// <summary>The log of a surface, and what it says.</summary>
public sealed record SprayOfSurface
{
    /// <summary>Why nothing can be said; null where it can.</summary>
    public required SprayMissing? Missing { get; init; }

    /// <summary>Name of the product.</summary>
    public required string? Sheet { get; init; }

    /// <summary>Everything that was logged, with what was corrected.</summary>
    public required SprayQuestion? Question { get; init; }

    public required SprayAnswer? Answer { get; init; }

    /// <summary>What the gate says now; null where it cannot be asked.</summary>
    public required Verdict? Gate { get; init; }

    /// <summary>What of it is not clear.</summary>
    public required IReadOnlyList<FindingAnswer> GateFindings { get; init; }

    /// <summary>Rule G14: a test shot of the product that counts; null until a product is chosen.</summary>
    public required FindingAnswer? Shot { get; init; }

    /// <summary>Time zone of the job; null where it is not known.</summary>
    public required string? TimeZone { get; init; }
}
