using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>The days of a year between which a place's mean air lies under a temperature: when stock is changed to the cold grade and
/// back.</summary>
/// <param name="From">Day of the year it falls below, 1 to 365.</param>
/// <param name="Until">Day of the year it rises above again, 1 to 365.</param>
public sealed record SeasonChange(int From, int Until)
{
    private const int Days = 365;

    /// <summary>Mean air of a day of the year: straight between the middles of months.</summary>
    /// <param name="monthlyC">Twelve monthly means, January first, °C.</param>
    /// <param name="day">1 to 366.</param>
    public static Temperature MeanOf(IReadOnlyList<double> monthlyC, int day)
    {
        var at = (Math.Min(day, Days) - 0.5) / Days * 12 - 0.5;
        var low = (int)Math.Floor(at);
        var share = at - low;
        return Temperature.FromCelsius(monthlyC[(low + 12) % 12] * (1 - share) + monthlyC[(low + 13) % 12] * share);
    }

    /// <summary>The cold season for a temperature; null where no day or every day is colder.</summary>
    /// <param name="monthlyC">Twelve monthly means, January first, °C.</param>
    /// <param name="limit">Temperature.</param>
    public static SeasonChange? Of(IReadOnlyList<double> monthlyC, Temperature limit)
    {
        var cold = Enumerable.Range(1, Days).Select(day => MeanOf(monthlyC, day) < limit).ToList();
        if (cold.TrueForAll(c => c) || !cold.Exists(c => c))
        {
            return null;
        }

        // From the height of summer on: the first day it falls under, and the last of that winter.
        var summer = Enumerable.Range(0, Days).MaxBy(i => MeanOf(monthlyC, i + 1).Celsius);
        var from = Enumerable.Range(0, Days).Select(i => (summer + i) % Days).First(i => cold[i]);
        var until = Enumerable.Range(0, Days).Select(i => (from + i) % Days).First(i => !cold[i]);
        return new(from + 1, until + 1);
    }
}
