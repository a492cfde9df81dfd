using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Spraying;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Spray;

namespace Umbracell.Questions.Prove;

/// <summary>A finished surface with its log: is it thick enough and sound, and can it be covered?</summary>
public sealed record ProofQuestion
{
    [Required]
    public required string SheetId { get; init; }

    public required SurfaceKind SurfaceKind { get; init; }

    /// <summary>Whether it is trimmed flush.</summary>
    public bool IsShaved { get; init; }

    /// <summary>Foam that was specified.</summary>
    [Range(1, 1000)]
    public required double SpecMm { get; init; }

    /// <summary>Area to spray, ribs developed.</summary>
    [Range(0, 1e6)]
    public required double SprayedM2 { get; init; }

    /// <summary>The surface, laid flat; null until its size is taken: no places are drawn then.</summary>
    public SketchAnswer? Sketch { get; init; }

    /// <summary>Which draw of places the surface begins with.</summary>
    [Range(0, int.MaxValue)]
    public int FirstSeed { get; init; }

    /// <summary>Entries of the surface and of the whole job, in any order.</summary>
    [Required, MaxLength(SprayQuestion.MostEntries)]
    public required IReadOnlyList<LogEntryDocument> Entries { get; init; }
}

/// <summary>A place to read depth at.</summary>
public sealed record DepthPlaceAnswer
{
    public required int Number { get; init; }

    public required PlaceKind Kind { get; init; }

    public required double AcrossM { get; init; }

    public required double UpM { get; init; }

    /// <summary>The reading that counts for it.</summary>
    public required Guid? Reading { get; init; }

    public required FigureAnswer? Depth { get; init; }

    /// <summary>Whether it is under the specification.</summary>
    public required bool IsThin { get; init; }

    /// <summary>How much is lacking; null where it is not thin.</summary>
    public required FigureAnswer? Lacks { get; init; }
}

/// <summary>A depth that was read at no place of the plan.</summary>
public sealed record FreeReadingAnswer(Guid Id, DateTimeOffset At, FigureAnswer Depth, bool IsThin);

/// <summary>Depth over the surface by the places where it was read.</summary>
public sealed record DepthMapAnswer
{
    public required double FromAcrossM { get; init; }

    public required double FromUpM { get; init; }

    /// <summary>Sides of a cell.</summary>
    public required double CellAcrossM { get; init; }

    public required double CellUpM { get; init; }

    public required int Columns { get; init; }

    /// <summary>Row by row from the foot; null outside of the surface.</summary>
    public required IReadOnlyList<double?> DepthsMm { get; init; }

    /// <summary>Least and greatest of them, as printed.</summary>
    public required FigureAnswer Least { get; init; }

    public required FigureAnswer Greatest { get; init; }
}

/// <summary>What readings of depth come to.</summary>
public sealed record DepthsAnswer
{
    /// <summary>Readings in the area, and at edges and corners.</summary>
    public required int Area { get; init; }

    public required int Edges { get; init; }

    /// <summary>Readings in the area that are wanted.</summary>
    public required int Wanted { get; init; }

    public required FigureAnswer Mean { get; init; }

    public required FigureAnswer Least { get; init; }

    public required FigureAnswer ShareUnder { get; init; }

    /// <summary>What of the area reaches with the confidence; null for fewer than three readings.</summary>
    public required FigureAnswer? Bound { get; init; }

    /// <summary>Share of the area it speaks of, and how surely.</summary>
    public required FigureAnswer Share { get; init; }

    public required FigureAnswer Confidence { get; init; }

    public required bool Passes { get; init; }

    public required FigureAnswer EffectiveR { get; init; }

    public required FigureAnswer MeanR { get; init; }

    public required WorkingAnswer? BoundWorking { get; init; }

    public required WorkingAnswer ResistanceWorking { get; init; }

    public required DepthMapAnswer? Map { get; init; }

    /// <summary>Area that is under the specification, as far as the readings tell.</summary>
    public required FigureAnswer? LacksArea { get; init; }

    /// <summary>Foam to add there, no coat thinner than the sheet's thinnest.</summary>
    public required FigureAnswer? LacksFoam { get; init; }

    /// <summary>The sheet's thinnest coat.</summary>
    public required FigureAnswer ThinnestCoat { get; init; }
}

/// <summary>Something an inspector looks at.</summary>
public sealed record InspectionAnswer(InspectionItem Item, bool Seen);

/// <summary>A sample.</summary>
public sealed record SampleAnswer(Guid Id, DateTimeOffset At, SampleKind Kind, FindingAnswer Finding);

/// <summary>A defect, from its finding to its closing.</summary>
public sealed record DefectAnswer
{
    public required Guid Id { get; init; }

    public required DateTimeOffset FoundAt { get; init; }

    /// <summary>Null where it was only noted while spraying.</summary>
    public required DefectKind? Kind { get; init; }

    public required int? Place { get; init; }

    public required double? AcrossM { get; init; }

    public required double? UpM { get; init; }

    public required FigureAnswer? Size { get; init; }

    public required DefectCause? Cause { get; init; }

    /// <summary>Causes to think of, the likeliest first.</summary>
    public required IReadOnlyList<DefectCauseAnswer> Likely { get; init; }

    public required DefectState State { get; init; }

    public required RepairWay? Repair { get; init; }

    /// <summary>What was said of it.</summary>
    public required string? Words { get; init; }
}

/// <summary>A cause to think of.</summary>
/// <param name="Cause">The cause.</param>
/// <param name="IsShown">Whether the log itself shows it.</param>
public sealed record DefectCauseAnswer(DefectCause Cause, bool IsShown);

/// <summary>Who signed.</summary>
/// <param name="Id">The entry.</param>
/// <param name="At">When.</param>
/// <param name="Name">Name.</param>
/// <param name="Role">Role.</param>
/// <param name="Strokes">The signature as it was drawn.</param>
public sealed record SignatureAnswer(Guid Id, DateTimeOffset At, string Name, string Role, string Strokes);

/// <summary>Whether a finished surface is thick enough and sound, and can be covered.</summary>
public sealed record ProofAnswer
{
    public required FigureAnswer Specified { get; init; }

    public required IReadOnlyList<DepthPlaceAnswer> Places { get; init; }

    public required IReadOnlyList<FreeReadingAnswer> Free { get; init; }

    /// <summary>Null until a depth was read in the area.</summary>
    public required DepthsAnswer? Depths { get; init; }

    /// <summary>What is to be known of the depths.</summary>
    public required IReadOnlyList<FindingAnswer> DepthFindings { get; init; }

    public required IReadOnlyList<SampleAnswer> Samples { get; init; }

    public required IReadOnlyList<InspectionAnswer> Inspection { get; init; }

    public required SignatureAnswer? Signature { get; init; }

    /// <summary>Whether it can be covered.</summary>
    public required IReadOnlyList<FindingAnswer> Cover { get; init; }

    public required IReadOnlyList<DefectAnswer> Defects { get; init; }

    public required IReadOnlyList<FindingAnswer> DefectFindings { get; init; }

    /// <summary>Which draw of places is in force.</summary>
    public required int Seed { get; init; }

    public required bool IsSprayed { get; init; }

    /// <summary>Whether all of its foam is on, as far as the log tells; before that no depth counts.</summary>
    public required bool IsWhole { get; init; }
}
