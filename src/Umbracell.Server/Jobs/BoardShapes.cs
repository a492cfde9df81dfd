using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Jobs;

/// <summary>A row of the board.</summary>
public sealed record BoardRow(
    Guid Id,
    string Name,
    SurfaceKind Kind,
    CellStructure? Cell,
    string? Sheet,
    Verdict Worst,
    IReadOnlyList<SketchLayer> Sketch,
    IReadOnlyList<BoardCell> Cells
);

/// <summary>What the columns add up to.</summary>
public sealed record BoardFeet(
    int Surfaces,
    FigureAnswer Area,
    int ToChoose,
    int ShortOfTarget,
    FigureAnswer Sets,
    int MayBeSprayedNow,
    int Held,
    FigureAnswer? Cost,
    FigureAnswer? Price
);

/// <summary>A job as the screens' heads show it, with its own values in SI and printed; its choices and priorities as they would be
/// typed.</summary>
public sealed record JobAnswer(
    Guid Id,
    string Name,
    string Crew,
    string ClimateZone,
    string TargetSetId,
    IReadOnlyDictionary<string, FigureAnswer> Figures,
    string? PlaceId,
    int? HumidityClass,
    IReadOnlyList<FigureAnswer> RoomTemps,
    IReadOnlyList<FigureAnswer> RoomHumidities,
    IReadOnlyDictionary<string, string> Words,
    string? TimeZone,
    uint Version
);

/// <summary>The board of a job: everything it shows in one answer.</summary>
public sealed record BoardAnswer(JobAnswer Job, IReadOnlyList<BoardRow> Rows, BoardFeet Feet);

/// <summary>A job in the list.</summary>
/// <param name="Job">The job.</param>
/// <param name="Surfaces">How many surfaces it has.</param>
/// <param name="Area">Their treated area.</param>
/// <param name="Hold">Surfaces on which something holds.</param>
/// <param name="Care">Surfaces with a Care and nothing that holds.</param>
/// <param name="Clear">The others.</param>
/// <param name="UpToDate">Whether area and counts are of the job as it stands; else they are the last ones, and newer are being made.</param>
public sealed record JobCard(JobAnswer Job, int Surfaces, FigureAnswer Area, int Hold, int Care, int Clear, bool UpToDate);
