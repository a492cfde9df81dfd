using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Spraying;

/// <summary>What became of the drums of a side, by the log.</summary>
/// <param name="Side">A or B.</param>
/// <param name="Lot">Lot of the drum that is open; null where none is, or nobody said.</param>
/// <param name="Left">What is left in it, a share of a full one; null where none is open.</param>
/// <param name="Used">Drums used so far, by levels that were read, 0 or more.</param>
public sealed record DrumUse(SetSide Side, string? Lot, double? Left, double Used)
{
    /// <summary>The product in the open drum; null where none is open, or nobody said.</summary>
    public string? Sheet { get; init; }

    /// <summary>Products that were open while the surface was sprayed, in their order.</summary>
    public IReadOnlyList<string> SheetsOnSurface { get; init; } = [];

    /// <summary>Lots that were open while the surface was sprayed, in their order.</summary>
    public IReadOnlyList<string> LotsOnSurface { get; init; } = [];

    /// <summary>Whether a level was read higher than the one before, with no new drum between.</summary>
    public bool Rose { get; init; }

    /// <summary>Whether a lift was begun after the drum was said to be empty, before another was opened.</summary>
    public bool WasDry { get; init; }

    /// <summary>Drums used when its level was last read: when it was opened, dipped or said to be empty.</summary>
    public IReadOnlyList<DrumReading> Readings { get; init; } = [];

    /// <summary>The lot of the firm's store the open drum was taken from; null where none is open, or it was typed.</summary>
    public Guid? Stock { get; init; }

    /// <summary>Full drums on the truck beside the open one, those opened since left out; null until somebody said.</summary>
    public int? OnTruck { get; init; }

    /// <summary>How high a full 200 l steel drum is filled: 0.2 m³ over a circle of 572 mm.</summary>
    public static Length FullDip { get; } = Length.FromMetres(0.2 / (Math.PI * 0.286 * 0.286));

    /// <summary>What is left of a drum by the depth of the liquid in it, a share of a full one.</summary>
    /// <param name="dip">Depth of the liquid, 0 to 0.9 m.</param>
    public static double LeftOf(Length dip) => dip / FullDip;
}

/// <summary>How much a side had used when its level was read.</summary>
/// <param name="At">When.</param>
/// <param name="Used">Drums used by then.</param>
/// <param name="Left">What was left in the open drum, a share of a full one.</param>
public sealed record DrumReading(DateTimeOffset At, double Used, double Left);
