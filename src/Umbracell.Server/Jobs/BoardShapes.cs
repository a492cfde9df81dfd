using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Jobs;

/// <summary>A row of the board.</summary>
public sealed record BoardRow
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required SurfaceKind Kind { get; init; }

    public required CellStructure? Cell { get; init; }

    public required string? Sheet { get; init; }

    public required Verdict Worst { get; init; }

    public required IReadOnlyList<SketchLayer> Sketch { get; init; }

    public required IReadOnlyList<BoardCell> Cells { get; init; }
}

/// <summary>What the columns add up to.</summary>
public sealed record BoardFeet
{
    public required int Surfaces { get; init; }

    public required FigureAnswer Area { get; init; }

    public required int ToChoose { get; init; }

    public required int ShortOfTarget { get; init; }

    public required FigureAnswer Sets { get; init; }

    public required int MayBeSprayedNow { get; init; }

    public required int ShotStands { get; init; }

    /// <summary>Surfaces that are finished.</summary>
    public required int Sprayed { get; init; }

    /// <summary>Surfaces that were inspected and signed.</summary>
    public required int Covered { get; init; }

    /// <summary>Sets used so far, by levels that were read; null before any was.</summary>
    public required FigureAnswer? SetsUsed { get; init; }

    /// <summary>Sets the rest takes at the yield so far; null before anything was used.</summary>
    public required FigureAnswer? SetsToGo { get; init; }

    public required int Held { get; init; }

    public required FigureAnswer? Cost { get; init; }

    public required FigureAnswer? Price { get; init; }
}

/// <summary>A job as the screens' heads show it, with its own values in SI and printed; its choices and priorities as they would be
/// typed.</summary>
public sealed record JobAnswer
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required string Crew { get; init; }

    public required JobState State { get; init; }

    /// <summary>Whether it is out of the way of the jobs in work.</summary>
    public required bool Archived { get; init; }

    public required string ClimateZone { get; init; }

    public required string TargetSetId { get; init; }

    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }

    public required string? PlaceId { get; init; }

    public required int? HumidityClass { get; init; }

    public required IReadOnlyList<FigureAnswer> RoomTemps { get; init; }

    public required IReadOnlyList<FigureAnswer> RoomHumidities { get; init; }

    public required IReadOnlyDictionary<string, string> Words { get; init; }

    public required string? TimeZone { get; init; }

    public required uint Version { get; init; }
}

/// <summary>The board of a job: everything it shows in one answer.</summary>
public sealed record BoardAnswer(JobAnswer Job, IReadOnlyList<BoardRow> Rows, BoardFeet Feet);

/// <summary>A job in the list.</summary>
public sealed record JobCard
{
    /// <summary>The job.</summary>
    public required JobAnswer Job { get; init; }

    /// <summary>Name of its place; null until one is set.</summary>
    public required string? Place { get; init; }

    /// <summary>Day of the work; null until it is set.</summary>
    public required DateOnly? WorkDate { get; init; }

    /// <summary>How many surfaces it has.</summary>
    public required int Surfaces { get; init; }

    /// <summary>Their treated area.</summary>
    public required FigureAnswer Area { get; init; }

    /// <summary>Surfaces on which something holds.</summary>
    public required int Hold { get; init; }

    /// <summary>Surfaces with a Care and nothing that holds.</summary>
    public required int Care { get; init; }

    /// <summary>The others.</summary>
    public required int Clear { get; init; }

    /// <summary>Whether area and counts are of the job as it stands; else they are the last ones, and newer are being made.</summary>
    public required bool UpToDate { get; init; }
}
