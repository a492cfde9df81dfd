using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>How thin and how thick foam may be: the one place for each limit. What a sheet rates is the sheet's
/// (<see cref="SectionCase.Thickest"/>), and stands under all of these.</summary>
public static class ThicknessLimits
{
    /// <summary>Least that is reckoned with, mm.</summary>
    public const double LeastMm = 0.1;

    /// <summary>Most that is reckoned with, mm: past every foam, so that a question is answered or refused by its sheet.</summary>
    public const double GreatestMm = 1000;

    /// <summary>Least a person may enter, mm: a flash.</summary>
    public const double LeastEnteredMm = 1;

    /// <summary>Most a person may enter, mm: two feet.</summary>
    public const double MostEnteredMm = 610;

    /// <summary>What a person may enter; a figure past the usual is asked about.</summary>
    public static FigureRange Entered { get; } =
        new FigureRange(LeastEnteredMm / 1000, MostEnteredMm / 1000, Dimension.Thickness).Usually(0.01, 0.45);

    /// <summary>Thickest layer of board or batt that is moved, where no foam is sprayed.</summary>
    public static Length BoardMost { get; } = Length.FromMetres(0.3);

    /// <summary>A thickness that can be reckoned with.</summary>
    /// <param name="name">What it is, for what is said where it cannot.</param>
    /// <param name="thickness">The thickness.</param>
    /// <exception cref="QuantityRangeException">Outside of what is reckoned with.</exception>
    public static Length Within(string name, Length thickness)
    {
        QuantityRangeException.Within(name, thickness.Metres, LeastMm / 1000, GreatestMm / 1000, Dimension.Thickness);
        return thickness;
    }
}
