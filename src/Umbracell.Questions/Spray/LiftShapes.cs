using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Conditions;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions.Spray;

/// <summary>A lift that goes on a surface.</summary>
public sealed record LiftQuestion
{
    [Required]
    public required string SheetId { get; init; }

    public required SubstrateKind SubstrateKind { get; init; }

    [Range(-60, 90)]
    public required double SubstrateTempC { get; init; }

    [Range(-60, 70)]
    public required double AirTempC { get; init; }

    [Range(0.5, 500)]
    public required double ThicknessMm { get; init; }

    /// <summary>Foam that is there already.</summary>
    [Range(0, 1000)]
    public double UnderMm { get; init; }

    /// <summary>How warm that is; the sheet's temperature for the next lift where nobody read it.</summary>
    [Range(-60, 150)]
    public double? UnderTempC { get; init; }

    /// <summary>Liquid at the gun; the sheet's set point where nobody read it.</summary>
    [Range(0, 100)]
    public double? GunTempC { get; init; }
}

/// <summary>What a lift does.</summary>
public sealed record LiftAnswer
{
    /// <summary>The hottest anywhere in it. No peak is safe by itself: no oxidation is calculated.</summary>
    public required FigureAnswer Peak { get; init; }

    /// <summary>How long some of it is over 100 °C.</summary>
    public required FigureAnswer Hot { get; init; }

    /// <summary>When all of it is below the sheet's temperature for the next lift; null where it is not within a day.</summary>
    public required FigureAnswer? Cool { get; init; }

    /// <summary>From its end until the next lift: at least the sheet's wait; null where it does not cool within a day.</summary>
    public required FigureAnswer? Wait { get; init; }

    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}
