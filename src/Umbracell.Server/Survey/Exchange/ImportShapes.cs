using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Quantities;
using Umbracell.Formats.Models;
using Umbracell.Formats.Surveys;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>A file with how its columns are to be taken; null finds out.</summary>
public sealed record TableToImport(
    [property: Required] byte[]? Content,
    UnitSystem Units,
    IReadOnlyList<ColumnMap>? Columns,
    bool? DecimalComma
);

/// <summary>A building model.</summary>
public sealed record ModelToImport([property: Required] byte[]? Content);

/// <summary>A row as it stands on the screen.</summary>
public sealed record RowToImport(
    int Line,
    [property: Required, MaxLength(60)] IReadOnlyDictionary<string, string> Fields,
    string Note = ""
);

/// <summary>Rows to be checked or taken. Columns are remembered where they are sent with an acceptance.</summary>
public sealed record RowsToImport(
    UnitSystem Units,
    [property: Required, MaxLength(5000)] IReadOnlyList<RowToImport> Rows,
    IReadOnlyList<ColumnMap>? Columns = null
);

/// <summary>A row as checked: what it would become, or what is wrong with it, and what may have been meant otherwise.</summary>
public sealed record CheckedRow
{
    public required int Line { get; init; }

    public required IReadOnlyDictionary<string, string> Fields { get; init; }

    public required string Note { get; init; }

    public required IReadOnlyList<FieldFault> Faults { get; init; }

    public required FigureAnswer? Area { get; init; }

    public required IReadOnlyList<FieldDoubt> Doubts { get; init; }
}

/// <summary>What a file would bring. Nothing is written until it is accepted.</summary>
public sealed record ImportAnswer
{
    public required IReadOnlyList<ColumnMap> Columns { get; init; }

    public required bool Remembered { get; init; }

    public required string Delimiter { get; init; }

    public required string Encoding { get; init; }

    public required bool DecimalComma { get; init; }

    public required UnitSystem Units { get; init; }

    public required IReadOnlyList<CheckedRow> Rows { get; init; }

    public required IReadOnlyList<SkippedSurface> Skipped { get; init; }

    public required int Faulty { get; init; }

    public required FigureAnswer Area { get; init; }

    public required IReadOnlyList<Guid> Added { get; init; }
}

/// <summary>Surfaces to be taken off together.</summary>
public sealed record SurfacesToRemove([property: Required, MaxLength(5000)] IReadOnlyList<Guid> Ids);
