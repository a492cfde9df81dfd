using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Conditions;
using Umbracell.Core.Rigs;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Documents;

namespace Umbracell.Formats.JobFiles;

/// <summary>How a rig was set at the job.</summary>
public sealed record FiledRigSetting
{
    [MinLength(1)]
    public required string Rig { get; init; }

    public required string SheetId { get; init; }

    public required double PrimaryATempC { get; init; }

    public required double PrimaryBTempC { get; init; }

    public required double HoseTempC { get; init; }

    public required double MaterialPressurePa { get; init; }

    public required string Tip { get; init; }

    public required string LotA { get; init; }

    public required string LotB { get; init; }

    public required int DrumChanges { get; init; }

    public required DateTimeOffset SetAt { get; init; }

    public required DateTimeOffset ReceivedAt { get; init; }

    public required string SetBy { get; init; }
}

/// <summary>A test shot.</summary>
public sealed record FiledTestShot
{
    /// <summary>What photos of it name.</summary>
    public required Guid Id { get; init; }

    public required Guid SurfaceId { get; init; }

    [MinLength(1)]
    public required string Rig { get; init; }

    public required string SheetId { get; init; }

    public required SubstrateKind Substrate { get; init; }

    /// <summary>What was read and seen.</summary>
    public required ShotDocument Shot { get; init; }

    /// <summary>Causes whose step was done before it.</summary>
    public required IReadOnlyList<ShotCause> Done { get; init; }

    /// <summary>Causes whose step was done after it.</summary>
    public required IReadOnlyList<ShotCause> DoneSince { get; init; }

    public required DateTimeOffset FiredAt { get; init; }

    public required DateTimeOffset ReceivedAt { get; init; }

    public required string FiredBy { get; init; }

    public required DateTimeOffset? AcceptedAt { get; init; }

    public required string AcceptedBy { get; init; }

    /// <summary>Why it counts no longer.</summary>
    public required ShotLoss? Loss { get; init; }
}

/// <summary>Who sprayed was protected and fit.</summary>
public sealed record FiledSprayerCheck
{
    [MinLength(1)]
    public required string Rig { get; init; }

    public required string Sprayer { get; init; }

    public required DateTimeOffset CheckedAt { get; init; }

    public required DateTimeOffset ReceivedAt { get; init; }

    public required string CheckedBy { get; init; }
}

/// <summary>An entry of the spray log.</summary>
public sealed record FiledLogEntry
{
    /// <summary>The surface; null for what is of the whole job.</summary>
    public required Guid? SurfaceId { get; init; }

    public required LogEntryDocument Entry { get; init; }

    public required DateTimeOffset ReceivedAt { get; init; }
}
