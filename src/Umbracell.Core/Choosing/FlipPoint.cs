using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>Inputs a choice may turn on.</summary>
public enum FlipInput
{
    /// <summary>Depth of the members.</summary>
    Depth,

    /// <summary>Relative humidity of the room at winter design; the heated months shift with it.</summary>
    IndoorHumidity,

    /// <summary>Price of open-cell sets against today's, in percent.</summary>
    OpenCellPrice,

    /// <summary>Greatest U allowed.</summary>
    Target,

    /// <summary>Outdoor design temperature; the months shift with it.</summary>
    OutdoorTemperature,

    /// <summary>What a door's springs can still carry.</summary>
    DoorCapacity,
}

/// <summary>Why another candidate wins past a flip point.</summary>
public enum FlipCause
{
    /// <summary>A rule removes the one advised now.</summary>
    Excluded,

    /// <summary>The one advised now no longer reaches the target.</summary>
    FallsShort,

    /// <summary>A rule or target that kept the other back lets it in, and it scores higher.</summary>
    OtherAllowed,

    /// <summary>The other scores higher.</summary>
    Outscored,
}

/// <summary>A value of an input at which another candidate wins.</summary>
public sealed record FlipPoint
{
    /// <summary>Which input.</summary>
    public required FlipInput Input { get; init; }

    /// <summary>Its value now.</summary>
    public required Figure Now { get; init; }

    /// <summary>A value just past the change, on the input's own scale: typed as printed, in either unit system, the other
    /// wins.</summary>
    public required Figure At { get; init; }

    /// <summary>Id of the one that wins past it.</summary>
    public required string Winner { get; init; }

    /// <summary>Its kind.</summary>
    public required CandidateKind WinnerKind { get; init; }

    /// <summary>Why.</summary>
    public required FlipCause Cause { get; init; }

    /// <summary>The rule that removes the one advised now, where one does.</summary>
    public required string? Rule { get; init; }

    /// <summary>Least value of the range searched, SI.</summary>
    public required double Low { get; init; }

    /// <summary>Greatest value of the range searched, SI.</summary>
    public required double High { get; init; }

    /// <summary>What stands against what there.</summary>
    public required Working Working { get; init; }

    /// <summary>How far the change lies from today's value, as a share of the range searched.</summary>
    public double Distance => Math.Abs(At.Amount - Now.Amount) / Math.Max(1e-9, High - Low);

    /// <summary>Whether the change lies above today's value.</summary>
    public bool Above => At.Amount > Now.Amount;
}

/// <summary>A system that trades places with the one advised where an input moves by less than the thickness is rounded by: to be taken
/// as alike.</summary>
/// <param name="Input">Which input.</param>
/// <param name="At">Where they trade places.</param>
/// <param name="Winner">Id of the other.</param>
/// <param name="WinnerKind">Its kind.</param>
public sealed record AlikeSystem(FlipInput Input, Figure At, string Winner, CandidateKind WinnerKind);

/// <summary>Flip points with what is alike.</summary>
/// <param name="Flips">The nearest below and above today's value of each input.</param>
/// <param name="Alike">Systems that trade places with the one advised on the way there, each once.</param>
public sealed record FlipsFound(IReadOnlyList<FlipPoint> Flips, IReadOnlyList<AlikeSystem> Alike);

/// <summary>Which flip points are sought: they cost many times the work of the rest.</summary>
public enum FlipSearch
{
    /// <summary>None.</summary>
    None,

    /// <summary>The one nearest to today's values.</summary>
    Nearest,

    /// <summary>The nearest below and above today's value of each input.</summary>
    All,
}
