using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Spraying;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Prove;

/// <summary>A product that was sprayed.</summary>
public sealed record SprayedProductShape
{
    [Required]
    public required string SheetId { get; init; }

    /// <summary>When the trigger was let go last.</summary>
    public required DateTimeOffset LastTrigger { get; init; }
}

/// <summary>From when on the ventilation ran otherwise.</summary>
public sealed record VentilationShape
{
    public required DateTimeOffset At { get; init; }

    public required bool IsOn { get; init; }

    /// <summary>Air changes an hour; null where nobody found out.</summary>
    [Range(0, 200)]
    public double? AirChanges { get; init; }
}

/// <summary>What was sprayed in a building and how it was ventilated: when do people without protection come back?</summary>
public sealed record ReEntryQuestion
{
    public const int MostProducts = 20,
        MostChanges = 5_000;

    [Required, MaxLength(MostProducts)]
    public required IReadOnlyList<SprayedProductShape> Products { get; init; }

    /// <summary>In any order; before the first nothing is known to have run.</summary>
    [Required, MaxLength(MostChanges)]
    public required IReadOnlyList<VentilationShape> Ventilation { get; init; }

    public required DateTimeOffset Now { get; init; }

    /// <summary>What is accounted for: waste, drums, masks, covers.</summary>
    [MaxLength(20)]
    public IReadOnlyList<Clearance>? Accounted { get; init; }

    /// <summary>Whether the trigger is held somewhere.</summary>
    public bool IsSpraying { get; init; }

    /// <summary>Surfaces that were sprayed and of which nobody knows with what.</summary>
    [Range(0, 100_000)]
    public int Unknown { get; init; }

    /// <summary>Entries of the log whose times contradict each other.</summary>
    [Range(0, 100_000)]
    public int Contradictions { get; init; }
}

/// <summary>A point of the dilution curve.</summary>
/// <param name="At">When.</param>
/// <param name="LeftPct">Percent of what was in the air at the last trigger.</param>
public sealed record DilutionAnswer(DateTimeOffset At, double LeftPct);

/// <summary>When people without protection come back.</summary>
public sealed record ReEntryAnswer
{
    /// <summary>Null where that is never as things are, and before anything was sprayed.</summary>
    public required DateTimeOffset? At { get; init; }

    /// <summary>The earliest by the sheets, had it been ventilated as they ask.</summary>
    public required DateTimeOffset? EarliestBySheet { get; init; }

    /// <summary>The product that is waited for longest.</summary>
    public required string? Product { get; init; }

    /// <summary>When its trigger was let go last.</summary>
    public required DateTimeOffset? LastTrigger { get; init; }

    /// <summary>How much of its hours has passed.</summary>
    public required FigureAnswer Counted { get; init; }

    /// <summary>Its hours by the sheet.</summary>
    public required FigureAnswer? Wanted { get; init; }

    /// <summary>At how many air changes an hour; null outdoors.</summary>
    public required FigureAnswer? WantedAir { get; init; }

    /// <summary>Re-entry as its sheet words it.</summary>
    public required string? SheetWords { get; init; }

    public required IReadOnlyList<DilutionAnswer> Dilution { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}
