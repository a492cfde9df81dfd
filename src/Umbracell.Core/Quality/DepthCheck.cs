using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Quality;

/// <summary>Depths that were read on a finished surface.</summary>
public sealed record DepthCase
{
    /// <summary>The product.</summary>
    public required ProductSheet Sheet { get; init; }

    /// <summary>Depth that was specified, above zero.</summary>
    public required Length Specified { get; init; }

    /// <summary>Readings in the area, one or more; 0 m or more each.</summary>
    public required IReadOnlyList<Length> Area { get; init; }

    /// <summary>Readings at edges and corners: they are accepted or not, and tell nothing about the area.</summary>
    public IReadOnlyList<Length> Edges { get; init; } = [];

    /// <summary>How many readings in the area are wanted; 0 where nobody planned.</summary>
    public int Wanted { get; init; }

    /// <summary>How sure the statement about the area has to be.</summary>
    public Assurance Assurance { get; init; } = Assurance.Usual;
}

/// <summary>Whether a surface is thick enough.</summary>
public sealed record DepthCheck
{
    /// <summary>Resistance of the film by which an uneven layer is brought together (ISO 6946: 0.13 inside and 0.04 outside), m²K/W: heat
    /// passes side by side through thin and thick
    /// places.</summary>
    public const double Films = 0.17;

    /// <summary>Most of the readings that can be under the specification.</summary>
    public const double GreatestShareUnder = 0.10;

    /// <summary>No reading is further under it than this.</summary>
    public static Length GreatestShortfall { get; } = Length.FromMillimetres(6);

    // Depths typed in one unit and kept in another differ by as much.
    private const double Rounding = 1e-9;

    /// <summary>Mean of the readings in the area.</summary>
    public required Length Mean { get; init; }

    /// <summary>Least of all readings, edges and corners among them.</summary>
    public required Length Least { get; init; }

    /// <summary>Standard deviation of the readings in the area about their mean; zero for fewer than two.</summary>
    public required Length Scatter { get; init; }

    /// <summary>Share of the readings in the area that are under the specification, 0 to 1.</summary>
    public required double ShareUnder { get; init; }

    /// <summary>k of the tolerance statement; null for fewer than three readings.</summary>
    public required double? Factor { get; init; }

    /// <summary>What the share of the area reaches with the confidence; below zero where few readings scatter widely. Null for fewer
    /// than three.</summary>
    public required Length? Bound { get; init; }

    /// <summary>Whether the bound reaches the specification.</summary>
    public required bool Passes { get; init; }

    /// <summary>R of the uneven layer, by readings in the area.</summary>
    public required ThermalResistance EffectiveR { get; init; }

    /// <summary>R at the mean depth.</summary>
    public required ThermalResistance MeanR { get; init; }

    /// <summary>Statement about the area, acceptance, readings the sheet does not rate.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>How the bound came about; null where there is none.</summary>
    public required Working? Working { get; init; }

    /// <summary>How R came about.</summary>
    public required Working ResistanceWorking { get; init; }

    /// <summary>Judges the readings.</summary>
    /// <exception cref="QuantityRangeException">No reading, one below zero or over a metre, a specification that is not above zero, a
    /// confidence or share out of range.</exception>
    public static DepthCheck Of(DepthCase of)
    {
        QuantityRangeException.Within("readings", of.Area.Count, 1, 100_000, Dimension.Count);
        QuantityRangeException.Within("specified depth", of.Specified.Metres, 1e-3, 1, Dimension.Thickness);
        foreach (var read in of.Area.Concat(of.Edges))
        {
            QuantityRangeException.Within("depth", read.Metres, 0, 1, Dimension.Thickness);
        }

        var mean = of.Area.Average(read => read.Metres);
        var scatter = of.Area.Count < 2 ? 0 : Math.Sqrt(of.Area.Sum(read => Square(read.Metres - mean)) / (of.Area.Count - 1));
        double? factor = of.Area.Count < ToleranceBound.Fewest ? null : ToleranceBound.Factor(of.Area.Count, of.Assurance);
        double? bound = mean - factor * scatter;
        var effective = of.Area.Count / of.Area.Sum(read => 1 / (RatedAt(of.Sheet, read) + Films)) - Films;
        var check = new DepthCheck
        {
            Mean = Length.FromMetres(mean),
            Least = of.Area.Concat(of.Edges).Min(),
            Scatter = Length.FromMetres(scatter),
            ShareUnder = of.Area.Count(read => IsUnder(read, of.Specified)) / (double)of.Area.Count,
            Factor = factor,
            Bound = bound is { } metres ? Length.FromMetres(metres) : null,
            Passes = bound >= of.Specified.Metres - Rounding,
            EffectiveR = ThermalResistance.FromSi(Math.Max(0, effective)),
            MeanR = ThermalResistance.FromSi(RatedAt(of.Sheet, Length.FromMetres(mean))),
            Findings = [],
            Working = null,
            ResistanceWorking = null!,
        };
        return check with
        {
            Findings = [.. DepthFindings.Of(of, check)],
            Working = DepthWorkings.OfBound(check),
            ResistanceWorking = DepthWorkings.OfResistance(of, check),
        };
    }

    /// <summary>Whether a depth is under another by more than a rounding.</summary>
    public static bool IsUnder(Length read, Length specified) => read.Metres < specified.Metres - Rounding;

    // Past the end of the sheet's table its end is counted.
    private static double RatedAt(ProductSheet sheet, Length depth) =>
        sheet.ResistanceAt(depth < sheet.ThickestRated ? AtLeast(depth) : sheet.ThickestRated).SquareMetreKelvinsPerWatt;

    // A tenth of a millimetre is the least the sheet is asked for.
    private static Length AtLeast(Length depth) => depth.Metres < 1e-4 ? Length.Zero : depth;

    private static double Square(double x) => x * x;
}
