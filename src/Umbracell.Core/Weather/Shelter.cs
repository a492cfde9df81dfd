namespace Umbracell.Core.Weather;

/// <summary>How open the ground around a face is to wind.</summary>
public enum Shelter
{
    /// <summary>Not said.</summary>
    Unknown,

    /// <summary>Water, fields, an airfield.</summary>
    Open,

    /// <summary>Hedges, trees, low houses.</summary>
    Sheltered,

    /// <summary>Close, high buildings.</summary>
    Town,
}
