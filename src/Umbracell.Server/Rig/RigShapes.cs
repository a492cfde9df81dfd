using Umbracell.Core.Conditions;
using Umbracell.Core.Rigs;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Rig;

namespace Umbracell.Server.Rig;

/// <summary>Why nothing can be said of a rig.</summary>
public enum RigMissing
{
    /// <summary>No product is chosen for the surface.</summary>
    Sheet,

    /// <summary>The firm has entered no rig.</summary>
    Rig,
}

/// <summary>A rig of the firm.</summary>
public sealed record RigName(Guid Id, string Name);

/// <summary>How a rig is set.</summary>
public sealed record RigSettingAnswer
{
    /// <summary>Name of the product on it.</summary>
    public required string Sheet { get; init; }

    /// <summary>Whether that is the product of the surface.</summary>
    public required bool IsOfSurface { get; init; }

    public required FigureAnswer PrimaryA { get; init; }

    public required FigureAnswer PrimaryB { get; init; }

    public required FigureAnswer Hose { get; init; }

    public required FigureAnswer Pressure { get; init; }

    public required string Tip { get; init; }

    public required string LotA { get; init; }

    public required string LotB { get; init; }

    public required DateTimeOffset At { get; init; }

    public required string By { get; init; }
}

/// <summary>A test shot that was fired.</summary>
public sealed record FiredShotAnswer
{
    public required Guid Id { get; init; }

    public required DateTimeOffset At { get; init; }

    public required string By { get; init; }

    /// <summary>What it was fired on.</summary>
    public required SubstrateKind Substrate { get; init; }

    /// <summary>As it can be asked again.</summary>
    public required TestShotQuestion Question { get; init; }

    /// <summary>Whether it can be accepted, as it was fired: what was done since changes nothing of it.</summary>
    public required bool Acceptable { get; init; }

    /// <summary>What it says, without the causes whose step was done since.</summary>
    public required TestShotAnswer Answer { get; init; }

    /// <summary>Who accepted it; null where nobody has.</summary>
    public required string? AcceptedBy { get; init; }

    /// <summary>Why it counts no longer; null where nothing was changed since.</summary>
    public required ShotLoss? Loss { get; init; }

    public required uint Version { get; init; }
}

/// <summary>The rig for a surface: how it is set, what it reaches, and the test shots of its product.</summary>
public sealed record RigOfSurface
{
    public required RigMissing? Missing { get; init; }

    /// <summary>Name of the surface's product; null where none is chosen.</summary>
    public required string? Sheet { get; init; }

    /// <summary>The rig it is shown for: the one asked for, that of the job's crew, or the first.</summary>
    public required Guid? Rig { get; init; }

    public required IReadOnlyList<RigName> Rigs { get; init; }

    /// <summary>What set points were asked with; null where something is missing.</summary>
    public required SetPointsQuestion? Asked { get; init; }

    /// <summary>Set points proposed; null where something is missing.</summary>
    public required SetPointsAnswer? Proposed { get; init; }

    /// <summary>How it is set; null where nobody has said.</summary>
    public required RigSettingAnswer? Setting { get; init; }

    /// <summary>What was read lately of substrate, air and drums: what a shot fired now goes by where nothing else is typed. Null where
    /// something is missing.</summary>
    public required TestShotQuestion? Next { get; init; }

    /// <summary>Times that are expected of it at the set points; null where something is missing.</summary>
    public required ExpectedShotAnswer? Expected { get; init; }

    /// <summary>Who sprays today and was said to be protected and fit; null where that is not on record.</summary>
    public required SprayerAnswer? Sprayer { get; init; }

    /// <summary>The last shots of the surface's product at the job, the newest first.</summary>
    public required IReadOnlyList<FiredShotAnswer> Shots { get; init; }

    /// <summary>Rule G14; null where no product is chosen.</summary>
    public required FindingAnswer? Standing { get; init; }

    public required uint Version { get; init; }
}
