using Umbracell.Core.Yield;
using Umbracell.Documents;
using Umbracell.Store.Figures;

namespace Umbracell.Store.Model;

/// <summary>Drums of one side of one lot in the firm's store.</summary>
public sealed class StockLotRow : IFirmRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public required string SheetSlug { get; set; }

    public SetSide Side { get; set; }

    public required string Lot { get; set; }

    /// <summary>Last day it may be used; null where it is not known.</summary>
    public DateOnly? Expires { get; set; }

    public int Full { get; set; }

    /// <summary>What is left in opened drums, kg.</summary>
    public double PartKg { get; set; }

    public uint Version { get; set; }
}

/// <summary>A finished job the crews' yields are learned from.</summary>
public sealed class PastJobRow : IFirmRow, IFigureInput
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public required string Name { get; set; }

    public Guid CrewId { get; set; }

    /// <summary>The crew that did it; always read with the job.</summary>
    public MeansRow? CrewRow { get; set; }

    /// <summary>Name of that crew.</summary>
    public string Crew => CrewRow?.Name ?? "";

    public required string SheetSlug { get; set; }

    /// <summary>The edition of the sheet it was sprayed by; null for the one that stands.</summary>
    public int? SheetNumber { get; set; }

    public DateOnly FinishedOn { get; set; }

    /// <summary>Net area sprayed, m².</summary>
    public double AreaM2 { get; set; }

    /// <summary>Mean of the depths measured.</summary>
    public double MeanDepthM { get; set; }

    /// <summary>Sets used, by drums weighed.</summary>
    public double SetsUsed { get; set; }

    public double SubstrateC { get; set; }

    public double DrumC { get; set; }

    public double LiftM { get; set; }

    /// <summary>Depth readings taken; none where they were not kept.</summary>
    public int DepthReadings { get; set; }

    /// <summary>Standard deviation of those readings.</summary>
    public double DepthScatterM { get; set; }

    /// <summary>The job whose log it came out of; null where it was typed.</summary>
    public Guid? JobId { get; set; }

    /// <summary>Why it is left out of the learning; empty where it counts.</summary>
    public string LeftOutBecause { get; set; } = "";

    public uint Version { get; set; }

    IEnumerable<Guid> IFigureInput.FiguresOf(Func<string, bool> changes) => [FirmId];
}

/// <summary>A bid as it was made: it keeps the season it was made for.</summary>
public sealed class BidRow : IJobRow
{
    public Guid Id { get; set; }

    public Guid FirmId { get; set; }

    public Guid JobId { get; set; }

    public DateTimeOffset MadeAt { get; set; }

    /// <summary>Role of the person who made it.</summary>
    public required string MadeBy { get; set; }

    public DateOnly? WorkDate { get; set; }

    public BidDocument? Document { get; set; }
}
