using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Questions.Sets;

namespace Umbracell.Server.Surfaces;

/// <summary>The crew that will spray a job, with what its finished jobs taught.</summary>
internal sealed record CrewAtWork(CrewLearning Learning, string Crew, IReadOnlyDictionary<string, ProductSheet> Sheets)
{
    /// <summary>A question with what was learned of the crew.</summary>
    public SetsQuestion Asked(SetsQuestion question)
    {
        var crew = Learning.For(Crew, FamilyOf(question.SheetId));
        return question with
        {
            CrewFactor = crew.Factor,
            YieldSdLn = crew.NextJobSd(Area.FromSquareMetres(question.AreaM2) * Length.FromMillimetres(question.ThicknessMm)),
            DepthScatterMm = question.DepthScatterMm ?? ScatterOf(question.SheetId)?.Scatter.Millimetres,
        };
    }

    /// <summary>The material of a question that was asked of this crew; null where the firm has no such sheet.</summary>
    public SetsStudy? Study(SetsQuestion asked, Core.Findings.Working? area) =>
        Sheets.GetValueOrDefault(asked.SheetId) is { } sheet
            ? SetsQuestions.Study(asked, sheet, area, Learning.For(Crew, FamilyOf(sheet.Id)).Working, ScatterOf(sheet.Id)?.Working)
            : null;

    private CrewScatter? ScatterOf(string sheet) => Learning.ScatterOf(Crew, FamilyOf(sheet));

    private string FamilyOf(string sheet) => Sheets.GetValueOrDefault(sheet) is { } known ? known.Family : "";
}
