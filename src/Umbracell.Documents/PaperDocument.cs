using Umbracell.Core.Quantities;

namespace Umbracell.Documents;

/// <summary>A kind of paper.</summary>
public enum PaperKind
{
    /// <summary>What is done and what it costs, for the customer.</summary>
    OuterBid,

    /// <summary>How the price comes about, for the firm alone.</summary>
    InnerBid,

    /// <summary>What is ordered.</summary>
    Order,

    /// <summary>What is loaded on the rig.</summary>
    LoadList,

    /// <summary>Systems of a surface side by side.</summary>
    Comparison,

    /// <summary>What hangs on the door until people come back inside.</summary>
    Door,
}

/// <summary>A paper as it was made: the words and figures that stand on it, in one reader's units. What is printed later is printed from
/// this, so that a paper reads the same however the job has changed since.</summary>
public sealed record PaperDocument
{
    /// <summary>Units of its figures; they decide the size of the sheet too.</summary>
    public required UnitSystem Units { get; init; }

    /// <summary>The firm's name at its head.</summary>
    public required string Firm { get; init; }

    /// <summary>Sign that stands before the amounts of money on it; empty where none does.</summary>
    public string Currency { get; init; } = "";

    /// <summary>Title.</summary>
    public required string Title { get; init; }

    /// <summary>What it is for, a line each.</summary>
    public required IReadOnlyList<string> Lead { get; init; }

    /// <summary>Sections through what is compared, drawn to one scale; often none.</summary>
    public required IReadOnlyList<PaperSection> Sections { get; init; }

    /// <summary>Its table.</summary>
    public required PaperTable Table { get; init; }

    /// <summary>What must be read with it, a paragraph each.</summary>
    public required IReadOnlyList<string> Notes { get; init; }

    /// <summary>Whether it is to stand on a single page, its letters made smaller as far as they can still be read.</summary>
    public bool OnePage { get; init; }
}

/// <summary>A table on paper.</summary>
/// <param name="Columns">Its columns, one at least.</param>
/// <param name="Lines">Its lines.</param>
public sealed record PaperTable(IReadOnlyList<PaperColumn> Columns, IReadOnlyList<PaperLine> Lines);

/// <summary>A column of a table on paper.</summary>
/// <param name="Heading">Its heading.</param>
/// <param name="Figures">Whether it holds figures, which stand at its right edge.</param>
/// <param name="Share">Width against the other columns, above zero.</param>
public sealed record PaperColumn(string Heading, bool Figures = false, double Share = 1);

/// <summary>A line of a table on paper.</summary>
/// <param name="Cells">One for each column.</param>
/// <param name="IsSum">Whether it is a sum.</param>
public sealed record PaperLine(IReadOnlyList<string> Cells, bool IsSum = false);

/// <summary>A section through a system.</summary>
/// <param name="Name">The system's name.</param>
/// <param name="Layers">Its layers in words, beside which no tone must be known.</param>
/// <param name="Drawn">Its layers from outside in.</param>
public sealed record PaperSection(string Name, string Layers, IReadOnlyList<DrawnLayer> Drawn);

/// <summary>A layer as drawn.</summary>
/// <param name="Key">Material, or kind of foam; it decides the tone.</param>
/// <param name="ThicknessMm">Thickness, mm.</param>
public sealed record DrawnLayer(string Key, double ThicknessMm);
