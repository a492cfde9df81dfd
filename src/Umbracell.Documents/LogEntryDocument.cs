using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Yield;

namespace Umbracell.Documents;

/// <summary>An entry of the spray log.</summary>
public sealed record LogEntryDocument
{
    public const int LongestPlace = 80,
        LongestLot = 60,
        LongestWords = 500,
        LongestSheet = 80,
        MostDrums = 100;

    public const double MostMoney = 1e6;

    /// <summary>Made on the device: the same entry sent twice is one.</summary>
    public required Guid Id { get; init; }

    public required LogEntryKind Kind { get; init; }

    /// <summary>When it happened.</summary>
    public required DateTimeOffset At { get; init; }

    /// <summary>When it was said.</summary>
    public required DateTimeOffset SaidAt { get; init; }

    /// <summary>Who said it.</summary>
    public string? By { get; init; }

    /// <summary>The entry it corrects.</summary>
    public Guid? Replaces { get; init; }

    /// <summary>The lift or stop it is of.</summary>
    public Guid? Of { get; init; }

    /// <summary>Depth of all foam.</summary>
    [Range(0, 1000)]
    public double? DepthMm { get; init; }

    /// <summary>What a probe read at mid-depth.</summary>
    [Range(-60, 250)]
    public double? TempC { get; init; }

    /// <summary>Where on the surface.</summary>
    [MaxLength(LongestPlace)]
    public string? Place { get; init; }

    public StopReason? Reason { get; init; }

    /// <summary>What was looked at on the walk-round.</summary>
    public WalkRoundItem? Item { get; init; }

    /// <summary>The side of a drum.</summary>
    public SetSide? Side { get; init; }

    /// <summary>Lot of a drum.</summary>
    [MaxLength(LongestLot)]
    public string? Lot { get; init; }

    /// <summary>What is left in a drum, a share of a full one.</summary>
    [Range(0, 1.1)]
    public double? Left { get; init; }

    /// <summary>The product in a drum.</summary>
    [MaxLength(LongestSheet)]
    public string? DrumSheet { get; init; }

    /// <summary>The lot of the firm's store a drum was taken from.</summary>
    public Guid? StockLot { get; init; }

    /// <summary>How many drums.</summary>
    [Range(0, MostDrums)]
    public int? DrumCount { get; init; }

    /// <summary>What fuel cost.</summary>
    [Range(0, MostMoney)]
    public double? FuelCost { get; init; }

    /// <summary>What the gate said when a lift was begun.</summary>
    public Verdict? Gate { get; init; }

    [MaxLength(LongestWords)]
    public string? Words { get; init; }

    /// <summary>What was read, sampled, seen, signed, found or repaired.</summary>
    public ProofDocument? Proof { get; init; }

    /// <summary>The entry, for the core.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public LogEntry ToEntry() =>
        new()
        {
            Id = Id,
            Kind = Kind,
            At = At,
            SaidAt = SaidAt,
            Replaces = Replaces,
            Of = Of,
            Depth = DepthMm is { } mm
                ? Length.FromMillimetres(QuantityRangeException.Within("depth", mm, 0, 1000, Dimension.Number))
                : null,
            Read = TempC is { } celsius ? Temperature.FromCelsius(celsius) : null,
            Reason = Reason,
            Item = Item,
            Side = Side,
            Lot = Lot,
            Left = Left is { } left ? QuantityRangeException.Within("left", left, 0, 1.1, Dimension.Number) : null,
            Sheet = DrumSheet,
            Stock = StockLot,
            Count = DrumCount,
            FuelCost = FuelCost,
            Gate = Gate,
            Proof = Proof?.ToSaid(),
        };
}
