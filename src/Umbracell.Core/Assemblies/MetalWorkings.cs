using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Workings of U where members are metal.</summary>
internal static class MetalWorkings
{
    /// <summary>The working of the whole U, or null where no metal takes part.</summary>
    public static Working? Of(SectionStudy study, SectionHeat heat, Working parallel, Working rest) =>
        heat.Studs is { } studs ? Studs(study, heat, studs, rest)
        : heat.MemberPsi is { } psi && study.Case.Members.Profile is { } profile ? Members(study, heat, psi, profile, parallel)
        : null;

    private static Working Studs(SectionStudy study, SectionHeat heat, SteelStuds.Corrected studs, Working rest)
    {
        var left = new Working(
            "studR",
            "R_c = F · (R_foam + R_air)",
            [
                new("F", "studFactor", Figure.Number(studs.Factor)),
                new("R_foam", "foamR", heat.Fill.ToFigure()),
                new("R_air", "freeSpace", heat.FreeSpace.ToFigure()),
            ],
            studs.Resistance.ToFigure(),
            Citations.SteelStudTable
        );
        return new(
            "wholeU",
            "U = 1 / (R_c + R_rest)",
            [new("R_c", "studR", studs.Resistance.ToFigure(), left), new("R_rest", "restR", heat.Rest.ToFigure(), rest)],
            study.WholeU.ToFigure(),
            Citations.SteelStudsThroughDepth
        );
    }

    private static Working Members(SectionStudy study, SectionHeat heat, double psi, MetalProfile profile, Working parallel) =>
        new(
            "wholeU",
            "U = U_clear + ψ / s",
            [
                new("U_clear", "clearU", study.ParallelU.ToFigure(), parallel),
                new(
                    "ψ",
                    "memberPsi",
                    new(psi, Dimension.LinearTransmittance),
                    study.MemberCell is { } cell ? Solved(study, cell) : Psi(study, heat, psi, profile)
                ),
                new("s", "memberSpacing", study.Case.Members.Spacing.ToSpan()),
            ],
            study.WholeU.ToFigure(),
            !study.MembersSolved ? Citations.ClearFieldAndFin : Citations.ClearFieldAndConduction
        );

    private static Working Solved(SectionStudy study, Conduction.MemberCell cell) =>
        new(
            "memberPsi",
            "ψ = 2 · (Φ / ΔT − U_clear · s / 2)",
            [
                new("Φ", "cellHeat", new(cell.Field.HeatIn, Dimension.Power)),
                new("ΔT", "temperatureSpan", (study.Case.Air.Indoor - study.Case.Air.Outdoor).ToFigure()),
                new("U_clear", "clearU", study.ParallelU.ToFigure()),
                new("s", "memberSpacing", study.Case.Members.Spacing.ToSpan()),
                new("n", "cellVolumes", Figure.Count(cell.Field.Across * cell.Field.Through)),
                new("U_est", "estimateU", (study.EstimateU ?? study.WholeU).ToFigure()),
            ],
            new(cell.Psi, Dimension.LinearTransmittance),
            Citations.FiniteVolumes
        );

    private static Working Psi(SectionStudy study, SectionHeat heat, double psi, MetalProfile profile) =>
        new(
            "memberPsi",
            "ψ = 1 / (R_si / b + d / (k · t_w) + 1 / (2 · √(h_e · k · t_skin)))",
            [
                new("R_si", "insideFilm", heat.InsideFilm.ToFigure()),
                new("b", "flange", profile.Flange.ToThickness()),
                new("d", "memberDepth", study.Case.Members.Depth.ToThickness()),
                new("t_w", "web", profile.Web.ToThickness()),
                new("t_skin", "skin", profile.Skin.ToThickness()),
                new("k", "conductivity", new(Girts.Steel, Dimension.Conductivity)),
                new("h_e", "outerTransfer", new(Girts.OuterTransfer, Dimension.Transmittance)),
            ],
            new(psi, Dimension.LinearTransmittance),
            Citations.FinEstimate
        );
}
