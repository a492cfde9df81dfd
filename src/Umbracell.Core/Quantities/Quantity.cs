namespace Umbracell.Core.Quantities;

/// <summary>What every quantity holds itself to: a finite number in its own range. A quantity whose nought means nothing, such as a
/// density, cannot be read where none was given.</summary>
internal static class Quantity
{
    /// <summary>More than any quantity of a building in any SI unit: beyond it lies only what went wrong in a calculation.</summary>
    public const double Greatest = 1e15;

    /// <summary>The number, if it lies in the range.</summary>
    /// <exception cref="QuantityRangeException">It does not, or it is no number.</exception>
    public static double Within(string name, double value, double least, double greatest, Dimension dimension) =>
        QuantityRangeException.Within(name, value, least, greatest, dimension);

    /// <summary>The number, if one was given.</summary>
    /// <exception cref="InvalidOperationException">None was.</exception>
    public static double Given(string name, double value) =>
        value > 0 ? value : throw new InvalidOperationException($"This {name} was never given.");
}
