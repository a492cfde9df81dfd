namespace Umbracell.Server.Forecasts;

/// <summary>Why a source gave nothing that can be used.</summary>
public enum ForecastTrouble
{
    /// <summary>It cannot be reached, or refuses.</summary>
    Down,

    /// <summary>It took too long.</summary>
    Late,

    /// <summary>It knows nothing of the place.</summary>
    NotThere,

    /// <summary>Its newest forecast is too old to plan by.</summary>
    Old,

    /// <summary>Its answer ends in the middle, or is none.</summary>
    CutShort,

    /// <summary>Its answer is not a forecast for hours.</summary>
    NotACoverage,

    /// <summary>It tells a figure in a unit nobody here knows.</summary>
    UnknownUnit,

    /// <summary>It tells a figure no air has.</summary>
    Impossible,
}

/// <summary>A source that gave nothing that can be used.</summary>
/// <param name="Source">Its name.</param>
/// <param name="Trouble">Why.</param>
/// <param name="Detail">What it names: a unit, a figure.</param>
public sealed record SourceTrouble(string Source, ForecastTrouble Trouble, string Detail = "");

/// <summary>Why a source cannot serve.</summary>
internal sealed class ForecastTroubleException(ForecastTrouble trouble, string detail = "", Exception? cause = null)
    : Exception($"{trouble}: {detail}", cause)
{
    public ForecastTrouble Trouble { get; } = trouble;

    public string Detail { get; } = detail;
}
