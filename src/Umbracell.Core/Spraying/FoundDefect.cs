using Umbracell.Core.Quantities;

namespace Umbracell.Core.Spraying;

/// <summary>How far a defect is.</summary>
public enum DefectState
{
    /// <summary>Found.</summary>
    Open,

    /// <summary>Repaired, and not looked at again yet.</summary>
    Repaired,

    /// <summary>Looked at again and sound.</summary>
    Closed,
}

/// <summary>A defect, from its finding to its closing.</summary>
public sealed record FoundDefect
{
    /// <summary>Id of the entry by which it was found.</summary>
    public required Guid Id { get; init; }

    /// <summary>When it was found.</summary>
    public required DateTimeOffset FoundAt { get; init; }

    /// <summary>What is wrong; null where it was only noted while spraying.</summary>
    public DefectKind? Kind { get; init; }

    /// <summary>Where.</summary>
    public ProofSpot? Spot { get; init; }

    /// <summary>How large.</summary>
    public Area? Size { get; init; }

    /// <summary>Why, as far as somebody said.</summary>
    public DefectCause? Cause { get; init; }

    /// <summary>How far it is.</summary>
    public DefectState State { get; init; }

    /// <summary>How it was repaired last.</summary>
    public RepairWay? Repair { get; init; }

    /// <summary>Whether the repair is one that can be accepted: what did not react one to one comes out.</summary>
    public bool IsRepairEnough => Repair is not null && (Kind != DefectKind.OffRatio || Repair == RepairWay.Replaced);

    /// <summary>The defects of a surface by the time they were found.</summary>
    /// <remarks>A defect is closed by who looks at it again after it was repaired, and finds it sound. What was found unsound is open again, and so is what is
    /// repaired in a way that cannot be accepted.</remarks>
    /// <param name="inForce">Entries in force, by time.</param>
    public static IReadOnlyList<FoundDefect> Of(IEnumerable<LogEntry> inForce)
    {
        Dictionary<Guid, FoundDefect> found = [];
        foreach (var entry in inForce)
        {
            switch (entry.Kind)
            {
                case LogEntryKind.Defect:
                    found[entry.Id] = new()
                    {
                        Id = entry.Id,
                        FoundAt = entry.At,
                        Kind = entry.Proof?.Defect,
                        Spot = entry.Proof?.Spot,
                        Size = entry.Proof?.Size,
                        Cause = entry.Proof?.Cause,
                    };
                    break;
                case LogEntryKind.DefectRepaired when Known(entry) is { } defect && entry.Proof?.Repair is { } way:
                    found[defect.Id] = defect with { State = DefectState.Repaired, Repair = way };
                    break;
                case LogEntryKind.DefectRechecked when Known(entry) is { State: not DefectState.Open } defect:
                    var isSound = entry.Proof?.Passed == true && defect.IsRepairEnough;
                    found[defect.Id] = defect with { State = isSound ? DefectState.Closed : DefectState.Open };
                    break;
            }
        }

        return [.. found.Values.OrderBy(one => one.FoundAt).ThenBy(one => one.Id)];

        FoundDefect? Known(LogEntry entry) => entry.Of is { } id ? found.GetValueOrDefault(id) : null;
    }
}
