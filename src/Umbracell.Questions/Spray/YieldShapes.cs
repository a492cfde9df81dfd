using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Yield;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Spray;

/// <summary>What was expected of a set, what was sprayed with how much, and what is left to spray and on the rig.</summary>
public sealed record YieldQuestion
{
    /// <summary>Yield of a set that was expected, with the crew's factor.</summary>
    [Range(1e-6, 1e4)]
    public required double ExpectedM3 { get; init; }

    /// <summary>What is not known of it before: standard deviation of ln(yield), without what one job scatters.</summary>
    [Range(0, 1)]
    public required double YieldSd { get; init; }

    /// <summary>Foam in place so far, by covered area and measured depth.</summary>
    [Range(0, 1e6)]
    public double SprayedM3 { get; init; }

    /// <summary>Sets of a side that it took.</summary>
    [Range(0, 1e4)]
    public double UsedSetsA { get; init; }

    [Range(0, 1e4)]
    public double UsedSetsB { get; init; }

    /// <summary>Foam that is still to be sprayed.</summary>
    [Range(0, 1e6)]
    public double LeftM3 { get; init; }

    /// <summary>Sets of a side that are still on the rig.</summary>
    [Range(0, 1e4)]
    public double OnRigSetsA { get; init; }

    [Range(0, 1e4)]
    public double OnRigSetsB { get; init; }
}

/// <summary>The yield as the job shows it, and whether the sets last.</summary>
public sealed record YieldAnswer
{
    /// <summary>Yield of a set so far; null before anything was used.</summary>
    public required FigureAnswer? Actual { get; init; }

    /// <summary>Yield to expect of the rest, median.</summary>
    public required FigureAnswer Expected { get; init; }

    /// <summary>Nine in ten times the rest yields more.</summary>
    public required FigureAnswer Low { get; init; }

    /// <summary>Nine in ten times the rest yields less.</summary>
    public required FigureAnswer High { get; init; }

    /// <summary>Sets the rest takes, median.</summary>
    public required FigureAnswer SetsLeft { get; init; }

    /// <summary>Chance that the scarcer side runs dry before, 0 to 1.</summary>
    public required double ChanceShort { get; init; }

    /// <summary>The side that runs dry first.</summary>
    public required SetSide Scarcer { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}
