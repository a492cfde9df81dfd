using Umbracell.Core.Assemblies;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Server.Section;

/// <summary>Fields of temperature for the drawing.</summary>
internal static class SectionFields
{
    /// <summary>The cell of metal members; null where none was solved.</summary>
    public static MemberCellAnswer? Of(SectionStudy study)
    {
        if (study.MemberCell is not { } cell)
        {
            return null;
        }

        var all = (0.0, double.MaxValue, 0.0, double.MaxValue);
        return Drawn(
            "member",
            cell.Field,
            all,
            study.Case.Air.Outdoor,
            study.Case.Air.Indoor,
            study.Profile.Points[^1].DewPoint,
            cell.Coldest,
            new()
            {
                ["psi"] = new(cell.Psi, Dimension.LinearTransmittance),
                ["estimate"] = (study.EstimateU ?? cell.U).ToFigure(),
                ["wholeU"] = cell.U.ToFigure(),
            }
        );
    }

    /// <summary>The edge of a slab.</summary>
    public static MemberCellAnswer Of(SlabEdge edge, SectionCase section) =>
        Drawn(
            "slabEdge",
            edge.Bare,
            edge.Window,
            section.BeyondEdge!.Value,
            section.Air.Indoor,
            edge.Dew,
            edge.Coldest,
            new() { ["wrapped"] = edge.ColdestWrapped.ToFigure(), ["saved"] = new(edge.Saved, Dimension.LinearTransmittance) }
        );

    private static MemberCellAnswer Drawn(
        string kind,
        ConductionField field,
        (double Left, double Right, double Bottom, double Top) window,
        Temperature outdoor,
        Temperature indoor,
        Temperature dew,
        Temperature coldest,
        Dictionary<string, Figure> figures
    )
    {
        var across = Within(field.EdgesAcross, window.Left, window.Right);
        var through = Within(field.EdgesThrough, window.Bottom, window.Top);
        figures["coldest"] = coldest.ToFigure();
        figures["dew"] = dew.ToFigure();
        figures["indoor"] = indoor.ToFigure();
        figures["outdoor"] = outdoor.ToFigure();
        return new()
        {
            Kind = kind,
            AcrossMm = Edges(field.EdgesAcross, across),
            ThroughMm = Edges(field.EdgesThrough, through),
            TempC =
            [
                .. through
                    .SelectMany(j => across.Select(i => field.At(i, j)))
                    .Select(t => double.IsNaN(t) ? (double?)null : Math.Round(t, 2)),
            ],
            IndoorC = indoor.Celsius,
            OutdoorC = outdoor.Celsius,
            DewC = dew.Celsius,
            Figures = FigureAnswer.All(figures),
        };
    }

    // Volumes that lie in the window, if only partly.
    private static List<int> Within(IReadOnlyList<double> edges, double from, double to) =>
        [.. Enumerable.Range(0, edges.Count - 1).Where(i => edges[i + 1] > from && edges[i] < to)];

    // In millimetres from the first edge shown.
    private static IReadOnlyList<double> Edges(IReadOnlyList<double> edges, List<int> volumes) =>
        [.. volumes.Append(volumes[^1] + 1).Select(i => Math.Round((edges[i] - edges[volumes[0]]) * 1000, 2))];
}
