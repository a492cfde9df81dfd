using Umbracell.Core.Quantities;

namespace Umbracell.Core.Lifts;

/// <summary>What a lift's own heat does to it.</summary>
/// <param name="Peak">The hottest anywhere in it.</param>
/// <param name="Hot">How long some of it is over 100 °C.</param>
/// <param name="Cool">When the whole depth is below the sheet's temperature for the next lift; null where it never is within a
/// day.</param>
public sealed record LiftHeat(Temperature Peak, TimeSpan Hot, TimeSpan? Cool)
{
    private static readonly TimeSpan Longest = TimeSpan.FromDays(1);

    /// <summary>From here on a lift counts as hot.</summary>
    public static Temperature HotFrom => Temperature.FromCelsius(100);

    /// <summary>The heat of a lift. No oxidation is in it: no peak is ever told as safe.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public static LiftHeat Of(LiftCase of)
    {
        var run = new LiftRun(of.Checked());
        var (peak, hot, cool, limit) = (of.Mix.Celsius, 0.0, 0.0, of.CoolBelow.Celsius);
        while (run.Seconds < Longest.TotalSeconds && (run.IsReacting || run.Hottest > limit))
        {
            var before = run.Hottest;
            var step = run.Step();
            var now = run.Hottest;
            peak = Math.Max(peak, now);
            hot += step * ShareAbove(before, now, HotFrom.Celsius);

            // What lies below the limit and still reacts can warm over it again: it is cool once it was over it for the last time.
            cool = now > limit || before > limit ? run.Seconds - step + step * ShareAbove(before, now, limit) : cool;
        }

        return new(Temperature.FromCelsius(peak), TimeSpan.FromSeconds(hot), run.Hottest > limit ? null : TimeSpan.FromSeconds(cool));
    }

    // The share of a step over a limit, along a straight line.
    private static double ShareAbove(double from, double to, double limit) =>
        from >= limit && to >= limit ? 1
        : from < limit && to < limit ? 0
        : Math.Abs((Math.Max(from, to) - limit) / (from - to));
}
