using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Pocket;

/// <summary>What somebody wants to know without a job.</summary>
public enum PocketCard
{
    /// <summary>How far a surface is above the dew point of the air.</summary>
    Dew,

    /// <summary>Foam, sets and price for an area.</summary>
    Sets,

    /// <summary>How thick for an R.</summary>
    Thickness,

    /// <summary>What each inch takes of the heat.</summary>
    Inch,

    /// <summary>How long drums need to warm.</summary>
    Drums,
}

/// <summary>A quick question, as it is typed.</summary>
/// <param name="Card">What is wanted.</param>
/// <param name="SheetId">The product.</param>
/// <param name="Units">The system bare numbers are read in.</param>
/// <param name="Fields">Typed text by field.</param>
public sealed record PocketQuestion(
    PocketCard Card,
    [property: Required] string SheetId,
    UnitSystem Units,
    [property: Required, MaxLength(10)] IReadOnlyDictionary<string, string> Fields
);

/// <summary>An inch of foam.</summary>
/// <param name="Thickness">Foam with it.</param>
/// <param name="Left">Heat that still passes.</param>
/// <param name="Cut">What this inch takes.</param>
public sealed record PocketInch(FigureAnswer Thickness, WorkedFigure Left, FigureAnswer Cut);

/// <summary>The answer to a quick question; figures are missing until every field is typed.</summary>
/// <param name="Figures">By what they are.</param>
/// <param name="Inches">Inch after inch; empty on other cards.</param>
/// <param name="Finding">What the gate says of it; null on other cards.</param>
/// <param name="Note">What has to be known beside it; null where nothing has.</param>
/// <param name="Faults">What cannot be read.</param>
public sealed record PocketAnswer(
    IReadOnlyDictionary<string, WorkedFigure> Figures,
    IReadOnlyList<PocketInch> Inches,
    FindingAnswer? Finding,
    string? Note,
    IReadOnlyList<FieldFault> Faults
);
