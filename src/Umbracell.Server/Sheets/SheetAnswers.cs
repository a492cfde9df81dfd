using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sheets;

/// <summary>A sheet as somebody types it: what is not typed stands as on the sheet it was begun from.</summary>
public sealed record SheetEdit : ICommand
{
    /// <summary>The system bare numbers are read in.</summary>
    public required UnitSystem Units { get; init; }

    /// <summary>Typed text by line. A curve is named with the places of its points, parted by commas, and each point's two figures under
    /// its place.</summary>
    [Required, MaxLength(500)]
    public required IReadOnlyDictionary<string, string> Fields { get; init; }

    /// <summary>The product it is begun from; null where it is begun with nothing.</summary>
    public string? From { get; init; }

    /// <summary>Of an edition, the version of the one on the screen.</summary>
    public uint? Version { get; init; }

    /// <summary>Made where it was typed, so that it sent again is no second one.</summary>
    public Guid? Id { get; init; }

    /// <summary>When it was typed; null for now.</summary>
    public DateTimeOffset? At { get; init; }
}

/// <summary>One line of a sheet.</summary>
public sealed record SheetLineAnswer
{
    /// <summary>Where it stands in the file; names it everywhere.</summary>
    public required string Path { get; init; }

    /// <summary>The part of the sheet it stands in.</summary>
    public required SheetPart Part { get; init; }

    /// <summary>Its figure; null where it is blank or words.</summary>
    public required FigureAnswer? Figure { get; init; }

    /// <summary>Its words; null where it is blank or a figure.</summary>
    public required string? Text { get; init; }

    /// <summary>What it measures; null where it is words.</summary>
    public required Dimension? Dimension { get; init; }

    /// <summary>Whether the sheet may leave it out.</summary>
    public required bool MayBeBlank { get; init; }

    /// <summary>Words it is one of; empty where it is free.</summary>
    public required IReadOnlyList<string> Words { get; init; }
}

/// <summary>A point of a curve.</summary>
public sealed record SheetPointAnswer(FigureAnswer X, FigureAnswer Y);

/// <summary>A curve of a sheet.</summary>
/// <param name="Path">Where it stands in the file; names it everywhere.</param>
/// <param name="Part">The part of the sheet it stands in.</param>
/// <param name="X">Name of a point's first figure.</param>
/// <param name="Y">Name of its second.</param>
/// <param name="Points">Its points, rising.</param>
public sealed record SheetCurveAnswer(string Path, SheetPart Part, string X, string Y, IReadOnlyList<SheetPointAnswer> Points);

/// <summary>A sheet in the list of the firm's.</summary>
public sealed record SheetSummary
{
    public required string Id { get; init; }

    public required string Name { get; init; }

    public required string Maker { get; init; }

    public required string Edition { get; init; }

    public required int Number { get; init; }

    public required CellStructure Cell { get; init; }

    public required FoamGrade Grade { get; init; }

    public required SheetOrigin Origin { get; init; }

    public required bool Retired { get; init; }

    /// <summary>How many editions of it the firm has.</summary>
    public required int Editions { get; init; }

    public required FigureAnswer GreatestLift { get; init; }

    public required FigureAnswer Yield { get; init; }

    public required uint Version { get; init; }
}

/// <summary>One edition of a product.</summary>
public sealed record SheetEditionAnswer
{
    /// <summary>Which, from 1.</summary>
    public required int Number { get; init; }

    /// <summary>As the sheet calls it.</summary>
    public required string Edition { get; init; }

    /// <summary>Whether new jobs are figured with it.</summary>
    public required bool Stands { get; init; }

    /// <summary>Where it came from.</summary>
    public required SheetOrigin Origin { get; init; }

    /// <summary>When it was kept; null for samples.</summary>
    public required DateTimeOffset? KeptAt { get; init; }

    /// <summary>Who kept it.</summary>
    public required string KeptBy { get; init; }

    /// <summary>Lines and curves by which it differs from the edition before.</summary>
    public required IReadOnlyList<string> Changed { get; init; }
}

/// <summary>A job that a sheet is used in.</summary>
/// <param name="Id">The job.</param>
/// <param name="Name">Its name.</param>
/// <param name="Number">The edition it is figured with.</param>
public sealed record SheetJobAnswer(Guid Id, string Name, int Number);

/// <summary>One edition of a sheet with all that stands on it.</summary>
public sealed record SheetDetail
{
    public required SheetSummary Summary { get; init; }

    /// <summary>The edition shown.</summary>
    public required int Number { get; init; }

    public required IReadOnlyList<SheetLineAnswer> Lines { get; init; }

    public required IReadOnlyList<SheetCurveAnswer> Curves { get; init; }

    /// <summary>Its editions, the latest first.</summary>
    public required IReadOnlyList<SheetEditionAnswer> Editions { get; init; }

    public required IReadOnlyList<SheetJobAnswer> Jobs { get; init; }
}

/// <summary>A sheet that is being typed: how it reads so far, and what is wrong.</summary>
/// <param name="Lines">Its lines as they read; of one with nothing on it, all there are to fill in.</param>
/// <param name="Curves">Its curves as they read.</param>
/// <param name="Faults">What is wrong; of lines that are still blank too.</param>
public sealed record SheetCheck(
    IReadOnlyList<SheetLineAnswer> Lines,
    IReadOnlyList<SheetCurveAnswer> Curves,
    IReadOnlyList<FieldFault> Faults
);

/// <summary>What became of a sheet that was brought in.</summary>
public enum SheetArrival
{
    /// <summary>A product the firm had not.</summary>
    New,

    /// <summary>A further edition of one it had.</summary>
    Edition,

    /// <summary>The one that stands already.</summary>
    Same,
}

/// <summary>A sheet that was brought in.</summary>
/// <param name="Became">What became of it.</param>
/// <param name="Sheet">The sheet.</param>
public sealed record SheetBroughtIn(SheetArrival Became, SheetDetail Sheet);

/// <summary>The lines of a sheet as answers.</summary>
internal static class SheetAnswers
{
    public static IReadOnlyList<SheetLineAnswer> Lines(SheetDocument sheet) =>
        [
            .. SheetEntries.All.Select(line => new SheetLineAnswer
            {
                Path = line.Path,
                Part = line.Part,
                Figure = sheet.FigureOf(line) is { } figure ? FigureAnswer.AsTyped(figure) : null,
                Text = sheet.TextOf(line),
                Dimension = line.Unit?.Dimension,
                MayBeBlank = line.MayBeBlank,
                Words = line.Words,
            }),
        ];

    public static IReadOnlyList<SheetCurveAnswer> Curves(SheetDocument sheet) =>
        [
            .. SheetEntries.Curves.Select(curve => new SheetCurveAnswer(
                curve.Path,
                curve.Part,
                curve.X.Path,
                curve.Y.Path,
                [
                    .. sheet
                        .PointsOf(curve)
                        .Select(point => new SheetPointAnswer(FigureAnswer.AsTyped(point.X), FigureAnswer.AsTyped(point.Y))),
                ]
            )),
        ];
}
