namespace Umbracell.Formats.Forecasts;

/// <summary>Why an answer of a forecast service cannot be used.</summary>
public enum ForecastFault
{
    /// <summary>It ends before it is whole, or is no JSON at all.</summary>
    CutShort,

    /// <summary>JSON, and no coverage that gives hours at a point.</summary>
    NotACoverage,

    /// <summary>A unit nobody here knows; the detail names it.</summary>
    UnknownUnit,

    /// <summary>A figure no air has, such as kelvins told as degrees; the detail names it.</summary>
    Impossible,

    /// <summary>Neither temperature nor humidity in it.</summary>
    NothingOfUse,

    /// <summary>Hours out of order, or steps that are neither 1, 3 nor 6 hours.</summary>
    Steps,

    /// <summary>More figures than are read at once.</summary>
    TooLarge,
}

/// <summary>An answer of a forecast service that cannot be used.</summary>
/// <param name="fault">Why.</param>
/// <param name="detail">What it names: a unit, a parameter, a figure.</param>
public sealed class UnreadableForecastException(ForecastFault fault, string detail = "") : Exception($"{fault}: {detail}")
{
    /// <summary>Why.</summary>
    public ForecastFault Fault { get; } = fault;

    /// <summary>What it names.</summary>
    public string Detail { get; } = detail;
}
