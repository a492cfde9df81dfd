namespace Umbracell.Core.Yield.Price;

/// <summary>Money to the hundredth, as it is printed and paid.</summary>
public static class Cents
{
    /// <summary>The nearest hundredth; halves away from nothing.</summary>
    /// <param name="amount">Money; finite.</param>
    public static double Of(double amount) =>
        Math.Abs(amount) < (double)(decimal.MaxValue / 1000)
            ? (double)Math.Round((decimal)amount, 2, MidpointRounding.AwayFromZero)
            : amount;
}
