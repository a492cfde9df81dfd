using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Surfaces;

/// <summary>A cell of the board.</summary>
/// <param name="Stage">Column.</param>
/// <param name="Verdict">Worst verdict; null where there is nothing to judge yet.</param>
/// <param name="Word">Key of the word shown where no figure is, or beside it.</param>
/// <param name="Figures">Figures of the cell by name.</param>
/// <param name="Stale">What it stands on has aged or changed.</param>
/// <param name="Missing">Survey: what is still wanted, each with the stages it blocks.</param>
public sealed record BoardCell(
    Stage Stage,
    Verdict? Verdict,
    string Word,
    IReadOnlyDictionary<string, FigureAnswer> Figures,
    bool Stale = false,
    IReadOnlyList<MissingAnswer>? Missing = null
);

/// <summary>Something a survey still wants.</summary>
public sealed record MissingAnswer(string Rule, string Case, Stage Blocks);
