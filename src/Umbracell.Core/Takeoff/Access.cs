namespace Umbracell.Core.Takeoff;

/// <summary>How a surface is reached.</summary>
public enum AccessKind
{
    /// <summary>Standing on a floor, nothing in the way.</summary>
    Open,

    /// <summary>From a ladder or platform.</summary>
    Ladder,

    /// <summary>From a scaffold or lift.</summary>
    Scaffold,

    /// <summary>Crawling or lying.</summary>
    Crawling,

    /// <summary>Round pipes, ducts and cables.</summary>
    ServicesInTheWay,
}

/// <summary>What access does to the hours; never to the area.</summary>
public static class Access
{
    /// <summary>Hours against open access. Practice, to be replaced by the crew's own.</summary>
    public static double LabourFactor(AccessKind access) =>
        access switch
        {
            AccessKind.Open => 1.0,
            AccessKind.Ladder => 1.15,
            AccessKind.Scaffold => 1.25,
            AccessKind.Crawling => 1.6,
            AccessKind.ServicesInTheWay => 1.35,
            _ => throw new ArgumentOutOfRangeException(nameof(access), access, "Unknown access."),
        };
}
