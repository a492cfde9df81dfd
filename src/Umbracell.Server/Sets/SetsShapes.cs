using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Questions.Sets;

namespace Umbracell.Server.Sets;

/// <summary>All surfaces of a job sprayed with one product, loaded together.</summary>
/// <param name="SheetId">Product.</param>
/// <param name="Sheet">Its name.</param>
/// <param name="Surfaces">How many surfaces take it.</param>
/// <param name="OfThis">Whether the surface asked about is one of them.</param>
/// <param name="MedianSets">Sets that suffice as often as not.</param>
/// <param name="LoadSets">Whole sets to load.</param>
/// <param name="Median">The median with its working.</param>
/// <param name="BoardFeet">Foam.</param>
/// <param name="Load">The load with its working.</param>
/// <param name="Loaded">What that load means.</param>
/// <param name="Around">The same for one set fewer and one more.</param>
public sealed record ProductLoad(
    string SheetId,
    string Sheet,
    int Surfaces,
    bool OfThis,
    double MedianSets,
    int LoadSets,
    WorkedFigure Median,
    FigureAnswer BoardFeet,
    WorkedFigure Load,
    SetsLoadAnswer Loaded,
    IReadOnlyList<SetsLoadAnswer> Around
);

/// <summary>A foam sprayed over the first.</summary>
public sealed record FurtherFoam(string Sheet, FigureAnswer MeanDepth, FigureAnswer BoardFeet, FigureAnswer Sets);

/// <summary>The material of a surface and of the job with it.</summary>
public sealed record SetsOfSurface(
    SetsQuestion? Question,
    SetsAnswer? Answer,
    string? Missing,
    IReadOnlyList<ProductLoad> Job,
    IReadOnlyList<FurtherFoam> Further,
    uint Version,
    uint JobVersion
);
