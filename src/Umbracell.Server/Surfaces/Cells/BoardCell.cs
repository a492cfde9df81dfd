using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Surfaces;

/// <summary>A cell of the board.</summary>
public sealed record BoardCell
{
    /// <summary>Column.</summary>
    public required Stage Stage { get; init; }

    /// <summary>Worst verdict; null where there is nothing to judge yet.</summary>
    public required Verdict? Verdict { get; init; }

    /// <summary>Key of the word shown where no figure is, or beside it.</summary>
    public required string Word { get; init; }

    /// <summary>Figures of the cell by name.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }

    /// <summary>What it stands on has aged or changed.</summary>
    public bool Stale { get; init; }

    /// <summary>Survey: what is still wanted, each with the stages it blocks.</summary>
    public IReadOnlyList<MissingAnswer>? Missing { get; init; }
}

/// <summary>Something a survey still wants.</summary>
public sealed record MissingAnswer(string Rule, string Case, Stage Blocks);
