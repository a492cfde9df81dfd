using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Server.Choose;

namespace Umbracell.Server.Jobs;

/// <summary>The one mark and the one figure of each stage of a surface.</summary>
internal static class BoardCells
{
    /// <summary>Those that do not follow the time.</summary>
    public static IReadOnlyList<BoardCell> AtDesk(SurfaceStudy row) => [Survey(row), Choose(row), Section(row), Sets(row)];

    /// <summary>The cells of a surface with what its job makes of them.</summary>
    /// <param name="kept">The cells as they were kept.</param>
    /// <param name="pricedSets">Sets of the way it will be sprayed.</param>
    /// <param name="priceChanged">Whether the newest bid was made with other figures for it.</param>
    public static IReadOnlyList<BoardCell> Of(IReadOnlyList<BoardCell> kept, double pricedSets, bool priceChanged) =>
        [.. kept.Select(cell => cell is { Stage: Stage.Sets, Word: "sets" } ? Priced(cell, pricedSets, priceChanged) : cell)];

    private static BoardCell Survey(SurfaceStudy row)
    {
        var worst = row.Survey[0];
        var figures = row.Takeoff is { } takeoff
            ? new Dictionary<string, FigureAnswer> { ["area"] = FigureAnswer.Of(takeoff.Treated.ToFigure()) }
            : [];
        var missing = row
            .Survey.Where(f => f.Case.Blocks is not null)
            .Select(f => new MissingAnswer(f.Rule.Id, f.Case.Name, f.Case.Blocks!.Value))
            .ToList();

        // A hold says its word; what is merely wanted stands beside the area.
        return new(Stage.Survey, worst.Verdict, worst.Verdict == Verdict.Hold ? worst.Case.ToString() : "area", figures, Missing: missing);
    }

    private static BoardCell Choose(SurfaceStudy row) =>
        row.Surface.System is { } system
            ? new(
                Stage.Choose,
                system.Overrides.Count > 0 ? Verdict.Care : null,
                "candidate." + ChoiceAnswers.Key(system.Kind.ToString()),
                new Dictionary<string, FigureAnswer>()
            )
        : row.Sheet is { } sheet
            ? new(
                Stage.Choose,
                null,
                $"{(sheet.Cell == CellStructure.Open ? "open" : "closed")}{sheet.Grade}",
                new Dictionary<string, FigureAnswer>()
            )
        : new(Stage.Choose, null, "none", new Dictionary<string, FigureAnswer>());

    private static BoardCell Section(SurfaceStudy row)
    {
        if (row.Section is not { } section)
        {
            var unrated = row is { Sheet: not null, Surface.FoamThicknessM: not null };
            return new(Stage.Section, unrated ? Verdict.Hold : null, unrated ? "unrated" : "none", new Dictionary<string, FigureAnswer>());
        }

        return new(
            Stage.Section,
            section.Findings.Concat(row.Year?.Findings ?? []).Worst(),
            "thickness",
            new Dictionary<string, FigureAnswer>
            {
                ["thickness"] = FigureAnswer.Of(section.Case.FillThickness.ToThickness()),
                ["foamR"] = FigureAnswer.Of(section.FillR.ToFigure()),
            }
        );
    }

    private static BoardCell Sets(SurfaceStudy row) =>
        new(
            Stage.Sets,
            row.Sets is null ? null : row.AllSets.SelectMany(one => one.Sets.Findings).Worst(),
            row.Sets is null ? "none" : "sets",
            new Dictionary<string, FigureAnswer>()
        );

    // In the cold the sets are those of the way it will be sprayed, as in the bid.
    private static BoardCell Priced(BoardCell cell, double sets, bool changed) =>
        cell with
        {
            Figures = new Dictionary<string, FigureAnswer> { ["sets"] = FigureAnswer.Of(new(sets, Dimension.Sets)) },
            Stale = changed,
        };

    /// <param name="of">The gate; null where nothing was read yet.</param>
    public static BoardCell Window(SprayGate? of)
    {
        if (of is not { } gate)
        {
            return new(Stage.Window, null, "none", new Dictionary<string, FigureAnswer>());
        }

        var worst = gate
            .Findings.Where(f => f.Rule != GateRules.ReadingsAge)
            .OrderByDescending(f => f.Verdict)
            .ThenBy(f => f.Rule == GateRules.Preparation)
            .First();
        var figures = new Dictionary<string, FigureAnswer>();
        if (worst.Measured is { } measured)
        {
            figures["measured"] = FigureAnswer.Of(measured);
        }

        return new(
            Stage.Window,
            gate.Verdict,
            worst.Verdict == Verdict.Clear ? "now" : worst.Case.ToString(),
            figures,
            gate.Findings.Any(f => f.Rule == GateRules.ReadingsAge)
        );
    }
}
