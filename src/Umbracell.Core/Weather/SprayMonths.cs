using Umbracell.Core.Moisture;

namespace Umbracell.Core.Weather;

/// <summary>What a month of a year offers a surface.</summary>
/// <param name="Month">1 to 12.</param>
/// <param name="Worked">Hours in which the crew works.</param>
/// <param name="Open">Those of them in which foam could be sprayed and cure with nothing held.</param>
/// <param name="Limit">What holds most of the others; null where none is held.</param>
public readonly record struct SprayMonth(int Month, int Worked, int Open, HourLimit? Limit)
{
    /// <summary>Share of the crew's hours that are open, 0 to 1; 0 in a month in which the crew does not work.</summary>
    public double Share => Worked == 0 ? 0 : (double)Open / Worked;
}

/// <summary>Reduces a year of hours of a surface to its months.</summary>
public static class SprayMonths
{
    /// <summary>The months, January first.</summary>
    /// <param name="hours">A whole year of the surface, one member; each hour told by the clock of the place.</param>
    /// <param name="needs">Whose hours they are, and how long foam cures.</param>
    public static IReadOnlyList<SprayMonth> Of(GateHours hours, WindowNeeds needs)
    {
        var (worked, open) = (new int[YearOfAir.Months], new int[YearOfAir.Months]);
        var limits = new int[YearOfAir.Months, (int)HourLimit.Unknown + 1];
        for (var h = 0; h < hours.Count; h++)
        {
            if (!needs.IsWorked(h))
            {
                continue;
            }

            var month = hours.StartOf(h).Month - 1;
            worked[month]++;
            if (hours.LimitOf(h, 1 + needs.Cure) is { } limit)
            {
                limits[month, (int)limit]++;
            }
            else
            {
                open[month]++;
            }
        }

        return [.. Enumerable.Range(0, YearOfAir.Months).Select(m => new SprayMonth(m + 1, worked[m], open[m], MostOf(m)))];

        HourLimit? MostOf(int month)
        {
            var most = Enumerable.Range(0, limits.GetLength(1)).MaxBy(limit => limits[month, limit]);
            return limits[month, most] == 0 ? null : (HourLimit)most;
        }
    }
}
