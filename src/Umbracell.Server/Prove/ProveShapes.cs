using Umbracell.Core.Assemblies;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Prove;

namespace Umbracell.Server.Prove;

/// <summary>Why nothing can be said of a surface.</summary>
public enum ProveMissing
{
    /// <summary>No product is chosen for it.</summary>
    Sheet,

    /// <summary>Its thickness is not one the sheet rates.</summary>
    Thickness,
}

/// <summary>A joint of the surface, and who saw it.</summary>
public sealed record SeenJointAnswer
{
    public required Guid Id { get; init; }

    public required JointKind Kind { get; init; }

    /// <summary>What the surface meets there.</summary>
    public required string Beyond { get; init; }

    public required Handover Water { get; init; }

    public required Handover Air { get; init; }

    public required Handover Vapour { get; init; }

    public required Handover Heat { get; init; }

    public required bool Ready { get; init; }

    /// <summary>Who saw it; empty where nobody did.</summary>
    public required string SeenBy { get; init; }

    public required DateTimeOffset? SeenAt { get; init; }

    public required uint Version { get; init; }
}

/// <summary>A finished surface, and what its log says of it.</summary>
public sealed record ProofOfSurface
{
    /// <summary>Why nothing can be said; null where it can.</summary>
    public required ProveMissing? Missing { get; init; }

    /// <summary>Name of the product.</summary>
    public required string? Sheet { get; init; }

    public required ProofQuestion? Question { get; init; }

    public required ProofAnswer? Answer { get; init; }

    public required IReadOnlyList<SeenJointAnswer> Joints { get; init; }

    /// <summary>Time zone of the job; null where it is not known.</summary>
    public required string? TimeZone { get; init; }
}

/// <summary>When people come back to a building.</summary>
public sealed record ReEntryOfJob
{
    public required ReEntryQuestion Question { get; init; }

    public required ReEntryAnswer Answer { get; init; }

    /// <summary>Whether the ventilation runs; null until somebody said.</summary>
    public required bool? Ventilated { get; init; }

    /// <summary>Air changes that were read last.</summary>
    public required FigureAnswer? AirChanges { get; init; }

    /// <summary>Room volume of the newest fan test, to put beside the flow of a fan; null where there is none.</summary>
    public required FigureAnswer? RoomVolume { get; init; }

    public required string? TimeZone { get; init; }
}
