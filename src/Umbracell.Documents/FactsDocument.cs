namespace Umbracell.Documents;

/// <summary>What was said of a surface that bears on the choice.</summary>
public sealed record FactsDocument
{
    /// <summary>Its room is neither heated nor cooled.</summary>
    public bool Unconditioned { get; init; }

    /// <summary>Quiet is asked for.</summary>
    public bool SoundAsked { get; init; }

    /// <summary>It stays bare in a workplace.</summary>
    public bool Workplace { get; init; }

    /// <summary>It must be got at later.</summary>
    public bool LaterAccess { get; init; }

    /// <summary>Rain may fall on it before it is covered.</summary>
    public bool RainBeforeCover { get; init; }

    /// <summary>The building is old.</summary>
    public bool OldBuilding { get; init; }

    /// <summary>Termites are known here.</summary>
    public bool Termites { get; init; }

    /// <summary>Radon is known here.</summary>
    public bool Radon { get; init; }

    /// <summary>It may stand in water.</summary>
    public bool FloodProne { get; init; }

    /// <summary>A fuel-burning appliance draws its air from the rooms.</summary>
    public bool CombustionInside { get; init; }

    /// <summary>What will stand on it.</summary>
    public double? LoadKPa { get; init; }

    /// <summary>Loose fill will be blown in later.</summary>
    public bool LooseFill { get; init; }

    /// <summary>A wall's cladding stands off it, open to the air below and above.</summary>
    public bool VentedCladding { get; init; }
}
