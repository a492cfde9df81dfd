using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Rigs;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Rig;

/// <summary>A tip and what it lets through of both sides together.</summary>
public sealed record TipAsked([property: Required, MaxLength(60)] string Name, [property: Range(0.1, 60)] double FlowKgMin);

/// <summary>What heats and moves the liquids; what is not known is left out.</summary>
public sealed record RigAsked
{
    /// <summary>Primary heaters of both sides together.</summary>
    [Range(500, 200_000)]
    public double? LiquidHeatW { get; init; }

    /// <summary>Hose heat of both sides together.</summary>
    [Range(0, 100_000)]
    public double? HoseHeatW { get; init; }

    /// <summary>Heated hose with its whip.</summary>
    [Range(3, 200)]
    public double? HoseLengthM { get; init; }

    public HoseLay HoseLay { get; init; } = HoseLay.OnGround;

    public HoseWear HoseWear { get; init; }

    [Range(1, 40)]
    public double? GreatestPressureMpa { get; init; }

    [MaxLength(20)]
    public IReadOnlyList<TipAsked> Tips { get; init; } = [];
}

/// <summary>A rig about to be set for a product; what was not read is left out.</summary>
public sealed record SetPointsQuestion
{
    [Required]
    public required string SheetId { get; init; }

    [Required]
    public required RigAsked Rig { get; init; }

    [Range(-40, 80)]
    public double? DrumATempC { get; init; }

    [Range(-40, 80)]
    public double? DrumBTempC { get; init; }

    /// <summary>Air around the hose.</summary>
    [Range(-60, 70)]
    public double? AirTempC { get; init; }

    /// <summary>Name of the tip in the gun; without it the largest that holds the set points.</summary>
    [MaxLength(60)]
    public string? Tip { get; init; }

    /// <summary>How long the hose stood.</summary>
    [Range(0, 1440)]
    public double PauseMin { get; init; } = 30;
}

/// <summary>What a side reaches while the trigger is held.</summary>
public sealed record SideReachAnswer(
    Core.Yield.SetSide Side,
    FigureAnswer Reaches,
    FigureAnswer? AtGun,
    FigureAnswer? Slug,
    FigureAnswer? SlugTrigger
);

/// <summary>Set points proposed for a rig, with what it reaches of them.</summary>
public sealed record SetPointsAnswer
{
    public required FigureAnswer Primaries { get; init; }

    public required FigureAnswer Hose { get; init; }

    public required FigureAnswer Pressure { get; init; }

    /// <summary>The tip it was reckoned with; null where the flow of none is known.</summary>
    public string? Tip { get; init; }

    /// <summary>The largest tip with which both primary heaters hold their set point; null where none does, or none is known.</summary>
    public string? LargestTip { get; init; }

    /// <summary>The greatest flow of both sides at which they do; null where any does, or where it cannot be known.</summary>
    public FigureAnswer? GreatestFlow { get; init; }

    public required IReadOnlyList<SideReachAnswer> Sides { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}
