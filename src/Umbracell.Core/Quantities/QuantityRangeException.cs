namespace Umbracell.Core.Quantities;

/// <summary>An input lies outside the range in which a model holds. Thrown instead of a clamp or a NaN.</summary>
public sealed class QuantityRangeException : ArgumentOutOfRangeException
{
    /// <summary>An input outside its range.</summary>
    /// <param name="name">The input's name in the model.</param>
    /// <param name="value">The value given.</param>
    /// <param name="least">Least valid value.</param>
    /// <param name="greatest">Greatest valid value.</param>
    public QuantityRangeException(string name, Figure value, Figure least, Figure greatest)
        : base(name, $"{name} is {Print(value)}; the model holds from {Print(least)} to {Print(greatest)}.")
    {
        Value = value;
        Least = least;
        Greatest = greatest;
    }

    /// <summary>The value given.</summary>
    public Figure Value { get; }

    /// <summary>Least valid value.</summary>
    public Figure Least { get; }

    /// <summary>Greatest valid value.</summary>
    public Figure Greatest { get; }

    /// <summary>Returns the value if it lies within the range (bounds included), else throws; NaN is outside every range.</summary>
    public static double Within(string name, double value, double least, double greatest, Dimension dimension) =>
        value >= least && value <= greatest
            ? value
            : throw new QuantityRangeException(name, new(value, dimension), new(least, dimension), new(greatest, dimension));

    private static string Print(Figure figure) => QuantityPrinter.Print(figure, UnitSystem.Metric);
}
