namespace Umbracell.Core.Weather;

/// <summary>Which way a face looks.</summary>
public enum Facing
{
    /// <summary>Not said, or more than one way, as a roof with two slopes does.</summary>
    Unknown,

    /// <summary>North.</summary>
    North,

    /// <summary>Northeast.</summary>
    Northeast,

    /// <summary>East.</summary>
    East,

    /// <summary>Southeast.</summary>
    Southeast,

    /// <summary>South.</summary>
    South,

    /// <summary>Southwest.</summary>
    Southwest,

    /// <summary>West.</summary>
    West,

    /// <summary>Northwest.</summary>
    Northwest,
}

/// <summary>Directions in degrees.</summary>
public static class Facings
{
    /// <summary>Clockwise from north; null where it is not known.</summary>
    /// <param name="facing">Which way.</param>
    public static double? Degrees(this Facing facing) => facing == Facing.Unknown ? null : 45.0 * ((int)facing - (int)Facing.North);
}
