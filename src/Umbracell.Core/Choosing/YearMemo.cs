using Umbracell.Core.Assemblies;
using Umbracell.Core.Moisture;

namespace Umbracell.Core.Choosing;

/// <summary>Years already reckoned while one choice is weighed. Sizing and flip points ask for the same assembly many times; a year
/// depends on nothing but what is in the key.</summary>
internal sealed class YearMemo
{
    private readonly Dictionary<Key, MonthlyYear> _years = [];

    private readonly Dictionary<Key, Lazy<TightestFill>> _tightest = [];

    private readonly record struct Key
    {
        public required string System { get; init; }

        public required double First { get; init; }

        public required double Second { get; init; }

        public required double Depth { get; init; }

        public required double Humidity { get; init; }

        public required double Outdoor { get; init; }
    }

    /// <summary>The year of a system; null where no monthly means are known.</summary>
    /// <param name="choice">The question.</param>
    /// <param name="system">Stable id of the system, which names its layers.</param>
    /// <param name="section">The surface with the system in it.</param>
    public MonthlyYear? Of(ChoiceCase choice, string system, SectionCase section)
    {
        if (choice.Year is not { } air)
        {
            return null;
        }

        var fill = section.Fill;
        var key = new Key
        {
            System = system,
            First = fill.Count > 0 ? fill[0].Thickness.Metres : 0,
            Second = fill.Count > 1 ? fill[1].Thickness.Metres : 0,
            Depth = section.Members.Depth.Metres,
            Humidity = section.Air.IndoorHumidity.Percent,
            Outdoor = section.Air.Outdoor.Celsius,
        };
        if (!_years.TryGetValue(key, out var year))
        {
            _years[key] = year = MonthlyYear.Of(section, air, TightestOf(key, section, air));
        }

        return year;
    }

    // The yardstick is the same however thick the system is.
    private Lazy<TightestFill> TightestOf(Key key, SectionCase section, YearOfAir air)
    {
        key = key with { First = 0, Second = 0 };
        if (!_tightest.TryGetValue(key, out var tightest))
        {
            _tightest[key] = tightest = new(() => new(section, air));
        }

        return tightest;
    }
}
