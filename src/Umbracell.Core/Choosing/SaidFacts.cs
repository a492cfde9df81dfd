namespace Umbracell.Core.Choosing;

/// <summary>What a person says of a surface by yes or no, as it is kept, asked with and judged: one more is one more line here, a rule that
/// reads it and its word. What is not said is not so.</summary>
public record SaidFacts
{
    /// <summary>Whether quiet is asked for.</summary>
    public bool SoundAsked { get; init; }

    /// <summary>Whether it stays bare in a workplace, where things strike it.</summary>
    public bool Workplace { get; init; }

    /// <summary>Whether it must be got at later.</summary>
    public bool LaterAccess { get; init; }

    /// <summary>Whether rain may fall on it before it is covered.</summary>
    public bool RainBeforeCover { get; init; }

    /// <summary>Whether the building is old: lime, joist ends in masonry, lead or asbestos not ruled out.</summary>
    public bool OldBuilding { get; init; }

    /// <summary>Whether termites are known here.</summary>
    public bool Termites { get; init; }

    /// <summary>Whether radon is known here.</summary>
    public bool Radon { get; init; }

    /// <summary>Whether it may stand in water.</summary>
    public bool FloodProne { get; init; }

    /// <summary>Whether a fuel-burning appliance draws its air from the rooms.</summary>
    public bool CombustionInside { get; init; }

    /// <summary>Whether loose fill will be blown in above or beside it later.</summary>
    public bool LooseFill { get; init; }
}
