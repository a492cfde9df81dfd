using System.ComponentModel.DataAnnotations;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Prove;

/// <summary>Depths that were read: is it thick enough, with what certainty, and what R does the uneven layer have?</summary>
public sealed record DepthQuestion
{
    public const int MostReadings = 10_000;

    [Required]
    public required string SheetId { get; init; }

    /// <summary>Depth that was specified.</summary>
    [Range(1, 1000)]
    public required double SpecMm { get; init; }

    [Required, MinLength(1), MaxLength(MostReadings)]
    public required IReadOnlyList<double> ReadingsMm { get; init; }

    /// <summary>How sure the statement has to be, 0.5 to 0.999; 0.9 where it is left out.</summary>
    [Range(0.5, 0.999)]
    public double? Confidence { get; init; }

    /// <summary>Of which share of the area it speaks, 0.5 to 0.999; 0.9 where it is left out.</summary>
    [Range(0.5, 0.999)]
    public double? Share { get; init; }
}

/// <summary>Whether it is thick enough.</summary>
public sealed record DepthAnswer
{
    /// <summary>How many readings.</summary>
    public required int N { get; init; }

    public required double MeanMm { get; init; }

    public required double LeastMm { get; init; }

    /// <summary>Share of the readings under the specification, 0 to 1.</summary>
    public required double ShareUnder { get; init; }

    /// <summary>Factor of the tolerance statement; null for fewer than three readings.</summary>
    public required double? K { get; init; }

    /// <summary>What the share of the area reaches with the confidence; null for fewer than three readings.</summary>
    public required double? BoundMm { get; init; }

    /// <summary>Whether the bound reaches the specification.</summary>
    public required bool Passes { get; init; }

    /// <summary>R of the uneven layer, m²K/W.</summary>
    public required double EffectiveR { get; init; }

    /// <summary>R at the mean depth, m²K/W.</summary>
    public required double MeanR { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}
