namespace Umbracell.Core.Conditions;

/// <summary>How margins are held against what is wanted of them.</summary>
internal static class GateMargins
{
    // Figures typed in one unit system and kept in the other come short by the last bit.
    private const double Bit = 1e-9;

    /// <summary>Whether a margin falls short; one that is met to the last bit is met.</summary>
    public static bool IsShort(double margin, double wanted) => margin < wanted - Bit;
}
