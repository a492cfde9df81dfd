using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Documents;

namespace Umbracell.Questions.Rig;

/// <summary>A test shot of a product.</summary>
public sealed record TestShotQuestion : ShotDocument
{
    [Required]
    public required string SheetId { get; init; }

    /// <summary>Causes whose step was done.</summary>
    public IReadOnlyList<ShotCause> Done { get; init; } = [];
}

/// <summary>Times that are expected, and the mix temperature they come of.</summary>
public sealed record ExpectedShotAnswer(double CreamS, double TackFreeS, double MixTempC);

/// <summary>A cause.</summary>
/// <param name="Id">Which.</param>
/// <param name="Chance">0 to 1; those of all causes make 1.</param>
/// <param name="NextStep">What is done about it next; null for a good shot, and once it was done.</param>
public sealed record LikelyCauseAnswer(ShotCause Id, double Chance, ShotStep? NextStep);

/// <summary>What a test shot says.</summary>
public sealed record TestShotAnswer
{
    public required ExpectedShotAnswer Expected { get; init; }

    /// <summary>All causes, the likeliest first.</summary>
    public required IReadOnlyList<LikelyCauseAnswer> Causes { get; init; }

    /// <summary>The step to take next: of those worth one the cheapest, drums before primaries before pressure.</summary>
    public required ShotStep? NextStep { get; init; }

    /// <summary>Whether it can be accepted by the crew lead.</summary>
    public required bool Acceptable { get; init; }

    /// <summary>What stands against it, whatever the chances.</summary>
    public required IReadOnlyList<ShotRefusal> Findings { get; init; }
}
