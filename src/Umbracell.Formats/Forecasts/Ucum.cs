namespace Umbracell.Formats.Forecasts;

/// <summary>Units of forecasts by their UCUM symbols, and what they are in the unit each quantity is kept in.</summary>
internal static class Ucum
{
    private readonly record struct Scale(double By, double Plus = 0);

    private static readonly Dictionary<string, Scale> Temperatures = new()
    {
        ["Cel"] = new(1),
        ["°C"] = new(1),
        ["K"] = new(1, -273.15),
        ["[degF]"] = new(1 / 1.8, -32 / 1.8),
        ["°F"] = new(1 / 1.8, -32 / 1.8),
    };

    private static readonly Dictionary<string, Scale> Speeds = new()
    {
        ["m/s"] = new(1),
        ["m.s-1"] = new(1),
        ["km/h"] = new(1 / 3.6),
        ["km.h-1"] = new(1 / 3.6),
        ["[kn_i]"] = new(1852.0 / 3600),
        ["[mi_i]/h"] = new(1609.344 / 3600),
    };

    private static readonly Dictionary<string, Scale> Waters = new()
    {
        ["mm"] = new(1),
        ["kg/m2"] = new(1),
        ["kg.m-2"] = new(1),
        ["cm"] = new(10),
        ["m"] = new(1000),
        ["[in_i]"] = new(25.4),
        ["L/m2"] = new(1),
    };

    private static readonly Dictionary<string, Scale> Pressures = new()
    {
        ["Pa"] = new(1),
        ["hPa"] = new(100),
        ["kPa"] = new(1000),
        ["mbar"] = new(100),
        ["bar"] = new(1e5),
    };

    private static readonly Dictionary<string, Scale> Shares = new() { ["%"] = new(1), ["1"] = new(100) };

    private static readonly Dictionary<string, Scale> Depths = new()
    {
        ["m"] = new(1),
        ["cm"] = new(0.01),
        ["mm"] = new(0.001),
        ["[in_i]"] = new(0.0254),
    };

    private static readonly Dictionary<string, Scale> Angles = new() { ["deg"] = new(1), ["rad"] = new(180 / Math.PI) };

    // Heat of a time is told in joules and as watts alike; the sum is divided by its seconds where it is read.
    private static readonly Dictionary<string, Scale> Fluxes = new() { ["W/m2"] = new(1), ["W.m-2"] = new(1) };

    private static readonly Dictionary<string, Scale> Heats = new()
    {
        ["J/m2"] = new(1),
        ["J.m-2"] = new(1),
        ["kJ/m2"] = new(1e3),
        ["kJ.m-2"] = new(1e3),
        ["MJ/m2"] = new(1e6),
        ["W.h/m2"] = new(3600),
        ["kW.h/m2"] = new(3.6e6),
    };

    /// <summary>A figure in the unit its quantity is kept in; null where the unit is not known for it.</summary>
    /// <param name="quantity">What is told.</param>
    /// <param name="told">How it stands in time.</param>
    /// <param name="symbol">The unit.</param>
    public static Func<double, double>? For(ForecastQuantity quantity, Told told, string symbol)
    {
        var units = quantity switch
        {
            ForecastQuantity.Temperature or ForecastQuantity.DewPoint => Temperatures,
            ForecastQuantity.Humidity or ForecastQuantity.Cloud => Shares,
            ForecastQuantity.Wind or ForecastQuantity.Gust => Speeds,
            ForecastQuantity.WindFrom => Angles,
            ForecastQuantity.Precipitation => Waters,
            ForecastQuantity.Pressure => Pressures,
            ForecastQuantity.Snow => Depths,
            _ => told is Told.Sum or Told.Accumulated ? Heats : Fluxes,
        };
        var share = quantity == ForecastQuantity.Cloud ? 0.01 : 1;
        return units.TryGetValue(symbol, out var scale) ? value => (value * scale.By + scale.Plus) * share : null;
    }

    /// <summary>Least and greatest figure air can have, in the unit it is kept in: what lies outside was told in another unit than it
    /// says.</summary>
    public static (double Least, double Greatest) Possible(ForecastQuantity quantity) =>
        quantity switch
        {
            ForecastQuantity.Temperature or ForecastQuantity.DewPoint => (-90, 65),
            ForecastQuantity.Humidity => (0, 110),
            ForecastQuantity.Wind => (0, 110),
            ForecastQuantity.Gust => (0, 150),
            ForecastQuantity.WindFrom => (-360, 720),
            ForecastQuantity.Cloud => (0, 1.01),
            ForecastQuantity.Precipitation => (0, 500),
            ForecastQuantity.Pressure => (40_000, 110_000),
            ForecastQuantity.Snow => (0, 20),
            _ => (-20, 1500),
        };
}
