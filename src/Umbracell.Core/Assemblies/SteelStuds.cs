using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Steel studs through the whole depth of a cavity: what is left of the cavity's R.</summary>
/// <remarks>Framing and cavity correction factors of ASHRAE 90.1, taken over by the model codes. Between two entries the corrected R runs
/// straight; outside them it is an estimate.</remarks>
public static class SteelStuds
{
    private sealed record Line(double SpacingInches, double DepthInches, (double R, double Factor)[] Entries);

    private static readonly Line[] Table =
    [
        new(16, 3.5, [(13, 0.46), (15, 0.43)]),
        new(16, 6, [(19, 0.37), (21, 0.35)]),
        new(16, 8, [(25, 0.31)]),
        new(24, 3.5, [(13, 0.55), (15, 0.52)]),
        new(24, 6, [(19, 0.45), (21, 0.43)]),
        new(24, 8, [(25, 0.38)]),
    ];

    // Nominal depths: a 3 5/8 in stud is read from the 3 1/2 in line.
    private const double DepthGraceInches = 0.3;
    private const double SpacingGraceInches = 1;
    private const double ClosestListed = 16;

    /// <summary>R that is left of a cavity between steel studs.</summary>
    /// <param name="Resistance">Corrected R.</param>
    /// <param name="Factor">Corrected over nominal R.</param>
    /// <param name="IsEstimate">Whether the table does not list this depth, spacing or R.</param>
    public readonly record struct Corrected(ThermalResistance Resistance, double Factor, bool IsEstimate);

    /// <summary>Corrects a cavity's R.</summary>
    /// <param name="spacing">Centre to centre, above zero.</param>
    /// <param name="depth">Depth of the studs, above zero.</param>
    /// <param name="cavity">R of the cavity without studs, 0 or more.</param>
    public static Corrected Of(Length spacing, Length depth, ThermalResistance cavity)
    {
        // Closer studs and the next listed depth: never the better line where neither fits. Past the deepest line its corrected R is
        // kept: a longer web leads no more heat, as the cell in two dimensions shows.
        var spacingLine = spacing.Inches >= 24 - SpacingGraceInches ? 24 : ClosestListed;
        var lines = Table.Where(l => l.SpacingInches == spacingLine).ToList();
        var line = lines.Find(l => l.DepthInches >= depth.Inches - DepthGraceInches) ?? lines[^1];
        var fits =
            Math.Abs(line.DepthInches - depth.Inches) <= DepthGraceInches && Math.Abs(spacing.Inches - spacingLine) <= SpacingGraceInches;
        var r = cavity.UsR;
        var (effective, listed) = Effective(line, r);
        effective =
            spacing.Inches < ClosestListed - SpacingGraceInches
                ? Closer(effective, Math.Min(r, line.Entries[^1].R), spacing.Inches)
                : effective;
        return new(ThermalResistance.FromUsR(effective), r > 0 ? effective / r : 1, !fits || !listed);
    }

    // Closer than the closest line each stud leads what it leads there: U = 1/R + ψ/s, ψ from the line.
    private static double Closer(double effective, double r, double spacing) =>
        effective > 0 ? 1 / (1 / r + (1 / effective - 1 / r) * ClosestListed / spacing) : 0;

    // Past the last entry the last effective R is kept: more foam between the studs is not credited.
    private static (double R, bool Listed) Effective(Line line, double r)
    {
        var (first, last) = (line.Entries[0], line.Entries[^1]);
        if (r <= first.R)
        {
            return (r * first.Factor, r > first.R - 0.5);
        }

        if (r >= last.R)
        {
            return (last.R * last.Factor, r < last.R + 0.5);
        }

        var share = (r - first.R) / (last.R - first.R);
        return (first.R * first.Factor + share * (last.R * last.Factor - first.R * first.Factor), true);
    }
}
