using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Server.Answers;

namespace Umbracell.Server.Jobs;

/// <summary>The one mark and the one figure of each stage of a surface.</summary>
internal static class BoardCells
{
    public static IReadOnlyList<BoardCell> Of(SurfaceStudy row) => [Survey(row), Choose(row), Section(row), Sets(row), Window(row)];

    /// <summary>Layers for the small drawing, outermost first.</summary>
    public static IReadOnlyList<SketchLayer> Sketch(SurfaceStudy row)
    {
        var assembly = row.Surface.Assembly;
        List<SketchLayer> layers = [.. assembly.Outboard.Select(l => new SketchLayer(l.Material, l.ThicknessMm))];
        var depth = row.Surface.MemberDepthM * 1000;
        if (assembly.VentChannelMm > 0)
        {
            layers.Add(new("ventChannel", assembly.VentChannelMm));
            depth -= assembly.VentChannelMm;
        }

        if (assembly.Baffle is { } baffle)
        {
            layers.Add(new(baffle.Material, baffle.ThicknessMm));
            depth -= baffle.ThicknessMm;
        }

        var foam = (row.Surface.FoamThicknessM ?? 0) * 1000;
        List<SketchLayer> middle = [new(row.Sheet?.Cell == CellStructure.Open ? "open" : "closed", foam), new("freeSpace", Math.Max(0, depth - foam))];
        if (row.Surface.FoamAgainst == Core.Assemblies.FoamSide.Inboard)
        {
            middle.Reverse();
        }

        layers.AddRange(middle.Where(l => l.ThicknessMm > 0));
        layers.AddRange(assembly.Inboard.Select(l => new SketchLayer(l.Material, l.ThicknessMm)));
        return layers;
    }

    private static BoardCell Survey(SurfaceStudy row)
    {
        var worst = row.Survey[0];
        var figures = row.Takeoff is { } takeoff ? new Dictionary<string, FigureAnswer> { ["area"] = FigureAnswer.Of(takeoff.Treated.ToFigure()) } : [];
        var missing = row.Survey.Where(f => f.Words.ContainsKey("blocks")).Select(f => new MissingAnswer(f.Rule, f.Case, f.Words["blocks"])).ToList();

        // A hold says its word; what is merely wanted stands beside the area.
        return new(Stage.Survey, worst.Verdict, worst.Verdict == Verdict.Hold ? $"{worst.Rule}.{worst.Case}" : "area", figures, Missing: missing);
    }

    private static BoardCell Choose(SurfaceStudy row) => row.Sheet is { } sheet
        ? new(Stage.Choose, null, $"{(sheet.Cell == CellStructure.Open ? "open" : "closed")}{sheet.Grade}", new Dictionary<string, FigureAnswer>())
        : new(Stage.Choose, null, "none", new Dictionary<string, FigureAnswer>());

    private static BoardCell Section(SurfaceStudy row)
    {
        if (row.Section is not { } section)
        {
            var unrated = row is { Sheet: not null, Surface.FoamThicknessM: not null };
            return new(Stage.Section, unrated ? Verdict.Hold : null, unrated ? "unrated" : "none", new Dictionary<string, FigureAnswer>());
        }

        return new(Stage.Section, section.Findings.Concat(row.Year?.Findings ?? []).Worst(), "thickness", new Dictionary<string, FigureAnswer>
        {
            ["thickness"] = FigureAnswer.Of(section.Case.FoamThickness.ToThickness()),
            ["foamR"] = FigureAnswer.Of(section.FoamR.ToFigure()),
        });
    }

    private static BoardCell Sets(SurfaceStudy row) => row.Sets is { } sets
        ? new(Stage.Sets, sets.Findings.Worst(), "sets", new Dictionary<string, FigureAnswer> { ["sets"] = FigureAnswer.Of(new(sets.Sets.Median, Dimension.Sets)) })
        : new(Stage.Sets, null, "none", new Dictionary<string, FigureAnswer>());

    private static BoardCell Window(SurfaceStudy row)
    {
        if (row.Gate is not { } gate)
        {
            return new(Stage.Window, null, "none", new Dictionary<string, FigureAnswer>());
        }

        var worst = gate.Findings.Where(f => f.Rule != "age").OrderByDescending(f => f.Verdict).ThenBy(f => f.Rule == "G13").First();
        var figures = new Dictionary<string, FigureAnswer>();
        if (worst.Measured is { } measured)
        {
            figures["measured"] = FigureAnswer.Of(measured);
        }

        return new(Stage.Window, gate.Verdict, worst.Verdict == Verdict.Clear ? "now" : $"{worst.Rule}.{worst.Case}", figures, gate.Findings.Any(f => f.Rule == "age"));
    }
}
