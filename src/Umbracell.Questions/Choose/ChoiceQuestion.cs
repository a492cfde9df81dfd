using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Questions.Section;

namespace Umbracell.Questions.Choose;

/// <summary>All that decides which system is advised for a surface, SI, units in the names.</summary>
public sealed record ChoiceQuestion
{
    /// <summary>The surface; its own foam is not used.</summary>
    [Required]
    public required SectionQuestion Section { get; init; }

    /// <summary>What bears on the choice; what is left out is not known or not so.</summary>
    public FactsShape? Facts { get; init; }

    /// <summary>How much each part matters, 0 to 5; left out, as the product starts with.</summary>
    public IReadOnlyDictionary<ScorePart, double>? Weights { get; init; }

    /// <summary>Whether the points are told at which another system wins.</summary>
    public bool WithFlips { get; init; } = true;

    /// <summary>How the target is met.</summary>
    public TargetPath Path { get; init; }

    /// <summary>Ways to meet the label path; none where the edition has none.</summary>
    [MaxLength(10)]
    public IReadOnlyList<LabelShape>? Labels { get; init; }

    /// <summary>The schools followed; left out, the firm's.</summary>
    public IReadOnlyDictionary<PracticeQuestion, School>? Schools { get; init; }
}

/// <summary>A way to meet the label path.</summary>
/// <param name="CavityRM2KW">R in the cavity.</param>
/// <param name="ContinuousRM2KW">R of continuous insulation; 0 where none is asked.</param>
public sealed record LabelShape([property: Range(0, 50)] double CavityRM2KW, [property: Range(0, 50)] double ContinuousRM2KW = 0);

/// <summary>What bears on a choice, in a question.</summary>
public sealed record FactsShape : SaidFacts
{
    /// <summary>Facts of which nothing is said yet.</summary>
    public FactsShape() { }

    /// <summary>Facts of which this much is said.</summary>
    public FactsShape(SaidFacts said)
        : base(said) { }

    /// <inheritdoc cref="SurfaceFacts.OpenLeak"/>
    public bool OpenLeak { get; init; }

    /// <inheritdoc cref="SurfaceFacts.WoodSubstrate"/>
    public bool WoodSubstrate { get; init; }

    /// <inheritdoc cref="SurfaceFacts.WoodMoisturePercent"/>
    [Range(0, 100)]
    public double? WoodMoisturePct { get; init; }

    /// <inheritdoc cref="SurfaceFacts.Covering"/>
    public Covering Covering { get; init; } = Covering.Unknown;

    /// <inheritdoc cref="SurfaceFacts.Attachment"/>
    public Attachment Attachment { get; init; } = Attachment.Unknown;

    /// <inheritdoc cref="SurfaceFacts.Pitch"/>
    [Range(0, 10)]
    public double? Pitch { get; init; }

    /// <inheritdoc cref="SurfaceFacts.DoorSpare"/>
    [Range(0, 500)]
    public double? DoorSpareKg { get; init; }

    /// <inheritdoc cref="SurfaceFacts.Treated"/>
    [Range(0.01, 1_000_000)]
    public double? TreatedM2 { get; init; }

    /// <inheritdoc cref="SurfaceFacts.ExpectedSubstrate"/>
    [Range(-60, 100)]
    public double? SubstrateTempC { get; init; }

    /// <inheritdoc cref="SurfaceFacts.Conditioned"/>
    public bool Conditioned { get; init; } = true;

    /// <inheritdoc cref="SurfaceFacts.HeldAtEnds"/>
    public bool? HeldAtEnds { get; init; }

    /// <inheritdoc cref="SurfaceFacts.ClearancesAsked"/>
    public bool ClearancesAsked { get; init; }

    /// <inheritdoc cref="SurfaceFacts.WetOldInsulation"/>
    public bool WetOldInsulation { get; init; }

    /// <inheritdoc cref="SurfaceFacts.Load"/>
    [Range(0, 2000)]
    public double? LoadKPa { get; init; }
}
