using Umbracell.Core.Rigs.Sequences;
using Umbracell.Documents;

namespace Umbracell.Store.Model;

/// <summary>A sequence as the firm has it, instead of the one that ships.</summary>
public sealed class FirmSequenceRow : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public SequenceKind Kind { get; set; }

    public required SequenceDocument Document { get; set; }

    public DateTimeOffset ChangedAt { get; set; }

    public required string ChangedBy { get; set; }

    public uint Version { get; set; }
}

/// <summary>A sequence that is or was run.</summary>
public sealed class SequenceRunRow : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid RigId { get; set; }

    /// <summary>The job it is run at; null for what belongs to no job, such as parking for the winter.</summary>
    public Guid? JobId { get; set; }

    public SequenceKind Kind { get; set; }

    /// <summary>The sequence as it was when it began: what is changed of it meanwhile changes nothing here.</summary>
    public required SequenceDocument Document { get; set; }

    public DateTimeOffset BegunAt { get; set; }

    public required string BegunBy { get; set; }

    /// <summary>When it was given up; null where it was not.</summary>
    public DateTimeOffset? GivenUpAt { get; set; }

    public string GivenUpBy { get; set; } = "";
}

/// <summary>What is said of a step.</summary>
public enum StepSaying
{
    /// <summary>It was done.</summary>
    Done,

    /// <summary>It was skipped, with a reason.</summary>
    Skipped,

    /// <summary>What was said before is taken back.</summary>
    TakenBack,
}

/// <summary>Something said of a step of a run. What was said stays: it is taken back by saying so.</summary>
public sealed class StepMarkRow : IFirmRow
{
    public const int LongestReason = 300;

    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid RunId { get; set; }

    /// <summary>The how manieth of its run: two who say something at the same moment come one after the other.</summary>
    public int Number { get; set; }

    public required string Step { get; set; }

    public StepSaying Saying { get; set; }

    /// <summary>Why it was skipped.</summary>
    public string Reason { get; set; } = "";

    /// <summary>What was read, SI; null where nothing was.</summary>
    public double? Read { get; set; }

    public DateTimeOffset SaidAt { get; set; }

    /// <summary>When it arrived; later than it was said where there was no connection.</summary>
    public DateTimeOffset ReceivedAt { get; set; }

    public required string SaidBy { get; set; }
}

/// <summary>Who sprays is protected and fit: said before the first trigger of a day.</summary>
public sealed class SprayerCheckRow : IJobRow
{
    public const int LongestName = 80;

    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public Guid RigId { get; set; }

    /// <summary>Who sprays, by role or name.</summary>
    public required string Sprayer { get; set; }

    public DateTimeOffset CheckedAt { get; set; }

    /// <summary>When it arrived.</summary>
    public DateTimeOffset ReceivedAt { get; set; }

    public required string CheckedBy { get; set; }
}
