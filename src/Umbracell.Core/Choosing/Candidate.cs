using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>A system on a surface, sized, judged and scored.</summary>
public sealed record Candidate
{
    /// <summary>Stable id: kind and products.</summary>
    public required string Id { get; init; }

    /// <summary>Which system.</summary>
    public required CandidateKind Kind { get; init; }

    /// <summary>The surface with the system in it.</summary>
    public required SectionCase Section { get; init; }

    /// <summary>U of the whole.</summary>
    public required ThermalTransmittance U { get; init; }

    /// <summary>Installed R as printed.</summary>
    public required LabelRequirement Installed { get; init; }

    /// <summary>Whether the target is met by the path chosen; true where there is none.</summary>
    public required bool MeetsTarget { get; init; }

    /// <summary>Its monthly year; null where none is known.</summary>
    public required MonthlyYear? Year { get; init; }

    /// <summary>What the opinions on condensation say.</summary>
    public required IReadOnlyList<Finding> Opinions { get; init; }

    /// <summary>Whether it fails by the opinion on condensation that rules.</summary>
    public required bool FailsCondensation { get; init; }

    /// <summary>Exclusion rules that spoke, and cautions; worst first. A Hold excludes.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>What it costs and how long it takes.</summary>
    public required CandidateCost Cost { get; init; }

    /// <summary>Parts of the score; empty for what is excluded.</summary>
    public required IReadOnlyList<Score> Scores { get; init; }

    /// <summary>Weighted sum of the parts, 0 to 1.</summary>
    public required double Total { get; init; }

    /// <summary>The school it belongs to.</summary>
    public required School School { get; init; }

    /// <summary>Whether it is of the school followed.</summary>
    public required bool InPractice { get; init; }

    /// <summary>Whether a rule removes it.</summary>
    public bool Excluded => Findings.Any(f => f.Verdict == Verdict.Hold);

    /// <summary>How the total came about.</summary>
    /// <param name="priorities">The weights.</param>
    public Working TotalWorking(Priorities priorities) =>
        new(
            "totalScore",
            "S = Σ w · s",
            [
                .. Scores.SelectMany(s =>
                    new WorkingTerm[]
                    {
                        new("w", "weight:" + s.Part, Figure.Number(priorities.ShareOf(s.Part))),
                        new("s", "score:" + s.Part, Figure.Number(s.Value), s.Working),
                    }
                ),
            ],
            Figure.Number(Total),
            Citations.Priorities
        );
}
