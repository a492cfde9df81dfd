namespace Umbracell.Core.Conditions;

/// <summary>What is found on site that bears on the work.</summary>
public enum SiteNoteKind
{
    /// <summary>A leak.</summary>
    Leak,

    /// <summary>A wet or damaged part.</summary>
    WetPart,

    /// <summary>Old insulation.</summary>
    OldInsulation,

    /// <summary>Pests.</summary>
    Pests,

    /// <summary>A flue or chimney.</summary>
    Flue,

    /// <summary>A recessed light.</summary>
    Light,

    /// <summary>Old wiring.</summary>
    Wiring,

    /// <summary>Suspect old material.</summary>
    SuspectMaterial,

    /// <summary>Pipes, ducts or cables in the way.</summary>
    Services,

    /// <summary>A corner the gun does not reach.</summary>
    TightCorner,

    /// <summary>A hole that pressurised foam would blow through.</summary>
    Penetration,

    /// <summary>A fixing wanted on the foam later.</summary>
    Fixing,
}
