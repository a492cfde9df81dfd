using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Questions.Sets;

namespace Umbracell.Server.Sets;

/// <summary>All surfaces of a job sprayed with one product, loaded together.</summary>
public sealed record ProductLoad
{
    /// <summary>Product.</summary>
    public required string SheetId { get; init; }

    /// <summary>Its name.</summary>
    public required string Sheet { get; init; }

    /// <summary>How many surfaces take it.</summary>
    public required int Surfaces { get; init; }

    /// <summary>Whether the surface asked about is one of them.</summary>
    public required bool OfThis { get; init; }

    /// <summary>Sets that suffice as often as not.</summary>
    public required double MedianSets { get; init; }

    /// <summary>Whole sets to load.</summary>
    public required int LoadSets { get; init; }

    /// <summary>The median with its working.</summary>
    public required WorkedFigure Median { get; init; }

    /// <summary>Foam.</summary>
    public required FigureAnswer BoardFeet { get; init; }

    /// <summary>The load with its working.</summary>
    public required WorkedFigure Load { get; init; }

    /// <summary>What that load means.</summary>
    public required SetsLoadAnswer Loaded { get; init; }

    /// <summary>The same for one set fewer and one more.</summary>
    public required IReadOnlyList<SetsLoadAnswer> Around { get; init; }
}

/// <summary>A foam sprayed over the first.</summary>
public sealed record FurtherFoam(string Sheet, FigureAnswer MeanDepth, FigureAnswer BoardFeet, FigureAnswer Sets);

/// <summary>The material of a surface and of the job with it.</summary>
public sealed record SetsOfSurface
{
    public required SetsQuestion? Question { get; init; }

    public required SetsAnswer? Answer { get; init; }

    public required string? Missing { get; init; }

    public required IReadOnlyList<ProductLoad> Job { get; init; }

    public required IReadOnlyList<FurtherFoam> Further { get; init; }

    public required uint Version { get; init; }

    public required uint JobVersion { get; init; }
}
