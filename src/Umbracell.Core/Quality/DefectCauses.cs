using Umbracell.Core.Spraying;

namespace Umbracell.Core.Quality;

/// <summary>What usually lies behind a defect.</summary>
public static class DefectCauses
{
    /// <summary>Causes of a kind of defect, the likeliest first. What the log itself shows goes before what is only usual.</summary>
    /// <param name="kind">The kind.</param>
    /// <param name="hotLifts">Whether the log shows lifts that were too thick, or too soon.</param>
    /// <param name="heldGate">Whether it shows lifts that were begun while the gate held.</param>
    public static IReadOnlyList<DefectCause> Of(DefectKind kind, bool hotLifts, bool heldGate)
    {
        var usual = Usual(kind);
        return [.. usual.OrderByDescending(cause => IsShown(cause, hotLifts, heldGate))];
    }

    /// <summary>Whether the log shows a cause.</summary>
    public static bool IsShown(DefectCause cause, bool hotLifts, bool heldGate) =>
        cause switch
        {
            DefectCause.LiftHeat => hotLifts,
            DefectCause.ColdSubstrate or DefectCause.UncleanSubstrate => heldGate,
            _ => false,
        };

    // Practice.
    private static DefectCause[] Usual(DefectKind kind) =>
        kind switch
        {
            DefectKind.Void => [DefectCause.Gun, DefectCause.Access, DefectCause.LiftHeat],
            DefectKind.Parting => [DefectCause.UncleanSubstrate, DefectCause.ColdSubstrate, DefectCause.LiftHeat, DefectCause.Movement],
            DefectKind.Shrinkage => [DefectCause.LiftHeat, DefectCause.Rig, DefectCause.ColdSubstrate],
            DefectKind.Crack => [DefectCause.LiftHeat, DefectCause.Movement, DefectCause.Rig],
            DefectKind.Thin => [DefectCause.Gun, DefectCause.Access, DefectCause.ColdSubstrate],
            DefectKind.OffRatio => [DefectCause.Rig],
            DefectKind.Scorch => [DefectCause.LiftHeat, DefectCause.Rig],
            DefectKind.Wet => [DefectCause.Water, DefectCause.UncleanSubstrate],
            DefectKind.Missed => [DefectCause.Access, DefectCause.Gun],
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "Unknown defect."),
        };
}
