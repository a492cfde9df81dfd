using Umbracell.Core.Air;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Judges metal members: what they add to U, and whether they sweat.</summary>
internal static class MetalFindings
{
    private static readonly Citation CellSource = Citations.MetalConduction;

    private static readonly Citation FinSource = Citations.MetalFin;

    public static IEnumerable<Finding> Of(SectionStudy study)
    {
        if (study.Studs is { } studs)
        {
            yield return new(
                SectionRules.MetalMembers,
                studs.IsEstimate ? "studsEstimate" : "studs",
                studs.IsEstimate ? Verdict.Care : Verdict.Clear,
                Citations.SteelStudFactors
            )
            {
                Measured = Figure.Percent(studs.Factor * 100),
                Figures = new Dictionary<string, Figure> { ["left"] = studs.Resistance.ToFigure() },
                Working = study.Workings["wholeU"],
            };
        }
        else if (study.Case.Members.Material == MemberMaterial.Girt || study.MembersSolved)
        {
            yield return study.ColdestMetal is { } flange
                ? Flange(study, flange)
                : new(SectionRules.MetalMembers, "profileUnknown", Verdict.Care, FinSource) { Measured = study.ParallelU.ToFigure() };
        }
    }

    private static Finding Flange(SectionStudy study, Temperature flange)
    {
        var air = study.Case.Air;
        var dew = MoistAir.Of(air.Indoor, air.IndoorHumidity, StandardAtmosphere.PressureAt(Length.Zero)).DewPoint;
        var dry = flange > dew;
        var solved = study.MembersSolved;
        return new(
            SectionRules.MetalMembers,
            (dry ? "flangeDry" : "flangeSweats")
                + (
                    solved
                        ? study.Case.Members.Material == MemberMaterial.SteelStud
                            ? "Stud"
                            : "Solved"
                        : ""
                ),
            dry ? Verdict.Clear : Verdict.Care,
            solved ? CellSource : FinSource
        )
        {
            Measured = flange.ToFigure(),
            Limit = dew.ToFigure(),
            Margin = (flange - dew).ToFigure(),
            Figures = new Dictionary<string, Figure>
            {
                ["psi"] = new(study.MemberPsi!.Value, Dimension.LinearTransmittance),
                ["solved"] = study.WholeU.ToFigure(),
                ["estimate"] = (study.EstimateU ?? study.WholeU).ToFigure(),
            },
            Working = study.Workings["wholeU"],
            Remedies = dry ? [] : [new("coverFlange", new Dictionary<string, Figure>())],
        };
    }
}
