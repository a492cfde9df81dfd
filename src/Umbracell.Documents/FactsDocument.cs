using Umbracell.Core.Choosing;

namespace Umbracell.Documents;

/// <summary>What was said of a surface that bears on the choice.</summary>
public sealed record FactsDocument : SaidFacts
{
    /// <summary>Its room is neither heated nor cooled.</summary>
    public bool Unconditioned { get; init; }

    /// <summary>What will stand on it.</summary>
    public double? LoadKPa { get; init; }

    /// <summary>A wall's cladding stands off it, open to the air below and above.</summary>
    public bool VentedCladding { get; init; }
}
