using Umbracell.Core.Quantities;

namespace Umbracell.Core.Rigs.Shots;

/// <summary>How far a shot rose.</summary>
public enum ShotRise
{
    /// <summary>As it should.</summary>
    Full,

    /// <summary>Less.</summary>
    Low,

    /// <summary>Hardly at all.</summary>
    None,
}

/// <summary>What its skin is like.</summary>
public enum ShotSkin
{
    /// <summary>Smooth, a little like an orange.</summary>
    Smooth,

    /// <summary>In ripples.</summary>
    Ripples,

    /// <summary>Coarse, like popped corn or treebark.</summary>
    Coarse,
}

/// <summary>What its cells are like where it is cut.</summary>
public enum ShotCells
{
    /// <summary>Fine and even.</summary>
    Fine,

    /// <summary>Coarse.</summary>
    Coarse,

    /// <summary>Drawn out in one direction.</summary>
    Drawn,

    /// <summary>Fallen in.</summary>
    Collapsed,
}

/// <summary>Its colour, against foam that is good.</summary>
public enum ShotColour
{
    /// <summary>As usual.</summary>
    Usual,

    /// <summary>Darker.</summary>
    Dark,

    /// <summary>Paler.</summary>
    Pale,

    /// <summary>In streaks.</summary>
    Streaked,
}

/// <summary>How it feels once it has cooled.</summary>
public enum ShotFeel
{
    /// <summary>As foam of its kind does.</summary>
    Firm,

    /// <summary>Soft, or rubbery.</summary>
    Soft,

    /// <summary>It crumbles.</summary>
    Brittle,

    /// <summary>Hard and glassy.</summary>
    Glassy,

    /// <summary>Still sticky.</summary>
    Sticky,
}

/// <summary>How it holds at its edge.</summary>
public enum ShotAdhesion
{
    /// <summary>It tears in the foam.</summary>
    Holds,

    /// <summary>It stands off the face.</summary>
    Gap,

    /// <summary>It comes off with its skin.</summary>
    Peels,
}

/// <summary>What is seen of a test shot; null for what was not looked at.</summary>
public sealed record ShotSeen
{
    /// <summary>From the trigger until it creams.</summary>
    public TimeSpan? Cream { get; init; }

    /// <summary>From the trigger until it has risen.</summary>
    public TimeSpan? RiseTime { get; init; }

    /// <summary>From the trigger until it is free of tack.</summary>
    public TimeSpan? TackFree { get; init; }

    /// <summary>How far it rose.</summary>
    public ShotRise? Rise { get; init; }

    /// <summary>Its skin.</summary>
    public ShotSkin? Skin { get; init; }

    /// <summary>Its cells.</summary>
    public ShotCells? Cells { get; init; }

    /// <summary>Its colour.</summary>
    public ShotColour? Colour { get; init; }

    /// <summary>How it feels.</summary>
    public ShotFeel? Feel { get; init; }

    /// <summary>How it holds.</summary>
    public ShotAdhesion? Adhesion { get; init; }

    /// <summary>Whether two lifts of it part.</summary>
    public bool? LayersPart { get; init; }

    /// <summary>Whether it ran before it creamed.</summary>
    public bool? Pooling { get; init; }

    /// <summary>Whether it shrinks.</summary>
    public bool? Shrinks { get; init; }

    /// <summary>Whether it has blowholes.</summary>
    public bool? Blowholes { get; init; }

    /// <summary>Whether it is scorched within.</summary>
    public bool? Scorch { get; init; }

    /// <summary>Density of a sample cut out of it, its skin taken off.</summary>
    public Density? Sample { get; init; }
}

/// <summary>What is read on rig and substrate when a shot is fired; null for what was not.</summary>
public sealed record ShotReadings
{
    /// <summary>Substrate.</summary>
    public Temperature? Substrate { get; init; }

    /// <summary>A drum.</summary>
    public Temperature? DrumA { get; init; }

    /// <summary>B drum.</summary>
    public Temperature? DrumB { get; init; }

    /// <summary>Primary heater of A.</summary>
    public Temperature? PrimaryA { get; init; }

    /// <summary>Primary heater of B.</summary>
    public Temperature? PrimaryB { get; init; }

    /// <summary>Hose.</summary>
    public Temperature? Hose { get; init; }

    /// <summary>Pressure of A while it is sprayed, Pa.</summary>
    public double? PressureA { get; init; }

    /// <summary>Pressure of B while it is sprayed, Pa.</summary>
    public double? PressureB { get; init; }

    /// <summary>Time since the B drum was stirred.</summary>
    public TimeSpan? SinceMixed { get; init; }

    /// <summary>Thickness of the lift.</summary>
    public Length? Lift { get; init; }
}
