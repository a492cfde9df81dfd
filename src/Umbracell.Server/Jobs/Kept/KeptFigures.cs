using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Documents;
using Umbracell.Questions.Section;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Jobs;

/// <summary>What board and list show of a surface, as it is kept.</summary>
/// <param name="Cell">Cell structure of its first foam.</param>
/// <param name="Sheet">Name of its product.</param>
/// <param name="Sketch">Its section, small.</param>
/// <param name="AreaM2">Treated area; null where it is not known or its openings are larger than it is.</param>
/// <param name="Stages">A cell of each stage.</param>
internal sealed record KeptCells(
    CellStructure? Cell,
    string? Sheet,
    IReadOnlyList<SketchLayer> Sketch,
    double? AreaM2,
    IReadOnlyList<StageCell> Stages
)
{
    /// <summary>The worst of all that is said of the surface.</summary>
    public Verdict Worst => Stages.Max(stage => stage.Worst) ?? Verdict.Clear;

    /// <summary>When the newest of what passes was made.</summary>
    public DateTimeOffset MadeAt => Stages.Max(stage => stage.MadeAt);

    /// <summary>Until when all of it stands; null where it stays.</summary>
    public DateTimeOffset? Until => Stages.Min(stage => stage.Until);

    public bool StandsAt(DateTimeOffset now) => Stages.All(stage => stage.StandsAt(now));

    /// <summary>Whether the surface counts at the foot of a column.</summary>
    public bool IsCounted(Stage stage) => Stages.Any(one => one.Cell.Stage == stage && one.Counted);

    public static KeptCells Of(SurfaceStudy row, StageCells cells, CellTime at) =>
        new(
            row.Sheet?.Cell,
            row.Sheet?.Name,
            SketchLayer.Of(row.Section?.Case ?? row.Bare),
            row.Takeoff is { OpeningsExceedSurface: false } takeoff ? takeoff.Treated.SquareMetres : null,
            cells.Of(row, at)
        );
}

/// <summary>What the surfaces of a job add up to, as it is kept.</summary>
/// <param name="Today">The bid as it would be kept today.</param>
/// <param name="Sets">Sets of each surface by the way it will be sprayed.</param>
/// <param name="Cost">Cost; null where a price is missing or nothing is priced.</param>
/// <param name="Price">Price; null likewise.</param>
internal sealed record KeptSums(BidDocument Today, IReadOnlyDictionary<Guid, double> Sets, double? Cost, double? Price)
{
    public static KeptSums Of(JobBid bid)
    {
        var priced = bid.Bid.Missing.Count == 0 && bid.Surfaces.Count > 0;
        return new(
            KeptBids.Of(bid),
            bid.Surfaces.ToDictionary(s => s.Row.Surface.Id, s => s.Sets),
            priced ? bid.Bid.Cost : null,
            priced ? bid.Bid.Price : null
        );
    }
}
