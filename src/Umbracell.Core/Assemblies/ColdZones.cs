namespace Umbracell.Core.Assemblies;

/// <summary>Which model-code zones ask for a vapour retarder on the warm side.</summary>
public static class ColdZones
{
    /// <summary>Whether a zone such as <c>6A</c> is 4C or one of 5 to 8 (IRC R702.7, R806.5).</summary>
    /// <param name="zone">Zone, or null where it is not known.</param>
    public static bool Holds(string? zone) => zone is not null && (zone == "4C" || Number(zone) >= 5);

    /// <summary>The zone's number; 0 where there is none.</summary>
    /// <param name="zone">Zone such as <c>6A</c>.</param>
    public static int Number(string? zone) => zone is { Length: > 0 } && char.IsAsciiDigit(zone[0]) ? zone[0] - '0' : 0;
}
