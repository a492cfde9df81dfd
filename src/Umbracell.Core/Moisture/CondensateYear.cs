namespace Umbracell.Core.Moisture;

/// <summary>Vapour through a row of interfaces, month by month, with what condenses kept where it lies (ISO 13788, clause 6).</summary>
/// <remarks>
/// Vapour pressure runs as a taut string under the saturation pressures: where the straight line would exceed saturation it bends there,
/// and the difference of flow between the two sides is what condenses.
/// An interface that holds condensate stays at saturation until it is dry; the month is cut at that moment, so that nothing gives more
/// than it had and water is neither made nor lost.
/// Plain arrays and spans: this runs for every step of a hand.
/// </remarks>
internal static class CondensateYear
{
    /// <summary>Years after which the one told is told, settled or not.</summary>
    private const int MostYears = 12;

    /// <summary>Growth from year to year that is no rounding, kg/m².</summary>
    private const double Grows = 1e-4;

    /// <summary>Two years that differ by less have settled, kg/m².</summary>
    private const double Settled = 1e-9;

    /// <summary>One year in the settled cycle. Where condensate grows from year to year, what earlier years left is not counted.</summary>
    /// <param name="resistance">Vapour resistance from outside up to each interface, Pa·s·m²/kg, rising; the last is the whole.</param>
    /// <param name="saturation">Saturation pressure at each interface, month after month, Pa.</param>
    /// <param name="outside">Vapour pressure outdoors by month, Pa.</param>
    /// <param name="inside">Vapour pressure in the room by month, Pa.</param>
    /// <param name="stored">Given back: condensate on each interface at the end of each month, kg/m².</param>
    /// <param name="pressure">Given back: mean vapour pressure at each interface over each month, Pa.</param>
    /// <returns>What grows from year to year, kg/m²; nothing where the section dries out.</returns>
    public static double Run(
        ReadOnlySpan<double> resistance,
        ReadOnlySpan<double> saturation,
        ReadOnlySpan<double> outside,
        ReadOnlySpan<double> inside,
        Span<double> stored,
        Span<double> pressure
    )
    {
        var n = resistance.Length - 1;
        Span<double> wet = stackalloc double[n];
        wet.Clear();
        Span<double> before = stackalloc double[n];
        var (growth, lastGrowth) = (0.0, double.MaxValue);
        for (var year = 0; year < MostYears && Math.Abs(growth - lastGrowth) > Settled; year++)
        {
            wet.CopyTo(before);
            for (var month = 0; month < YearOfAir.Months; month++)
            {
                var at = month * n;
                Month(
                    resistance,
                    saturation.Slice(at, n),
                    outside[month],
                    inside[month],
                    YearOfAir.DaysOf(month) * 86400.0,
                    wet,
                    pressure.Slice(at, n)
                );
                wet.CopyTo(stored.Slice(at, n));
            }

            (lastGrowth, growth) = (growth, Sum(wet) - Sum(before));

            // A year that ends as it began is every year that follows: most never get wet at all.
            if (wet.SequenceEqual(before))
            {
                break;
            }
        }

        // A cycle that dries out keeps what winter brought over the turn of the year; one that grows is told without what earlier years
        // left.
        if (growth <= Grows)
        {
            return 0;
        }

        for (var i = 0; i < n; i++)
        {
            Lower(stored, i, n);
        }

        return growth;
    }

    /// <summary>Vapour pressures where nothing lies yet: the string under the saturation pressures.</summary>
    /// <param name="resistance">Vapour resistance from outside up to each interface, Pa·s·m²/kg, rising; the last is the whole.</param>
    /// <param name="saturation">Saturation pressure at each interface, Pa.</param>
    /// <param name="outside">Vapour pressure outdoors, Pa.</param>
    /// <param name="inside">Vapour pressure in the room, Pa.</param>
    /// <param name="pressure">Given back: vapour pressure at each interface, Pa.</param>
    public static void Pressures(
        ReadOnlySpan<double> resistance,
        ReadOnlySpan<double> saturation,
        double outside,
        double inside,
        Span<double> pressure
    ) => Tighten(resistance, saturation, -1, outside, saturation.Length, inside, pressure);

    private static double Sum(ReadOnlySpan<double> all)
    {
        var sum = 0.0;
        foreach (var one in all)
        {
            sum += one;
        }

        return sum;
    }

    // Takes off what lies on an interface even in its driest month.
    private static void Lower(Span<double> stored, int interfaceAt, int n)
    {
        var driest = double.MaxValue;
        for (var at = interfaceAt; at < stored.Length; at += n)
        {
            driest = Math.Min(driest, stored[at]);
        }

        for (var at = interfaceAt; at < stored.Length; at += n)
        {
            stored[at] -= driest;
        }
    }

    // From one event to the next: an interface that runs dry lets the pressures fall, and the rest of the month goes on with them.
    private static void Month(
        ReadOnlySpan<double> z,
        ReadOnlySpan<double> saturation,
        double outside,
        double inside,
        double seconds,
        Span<double> wet,
        Span<double> mean
    )
    {
        var n = saturation.Length;
        Span<double> pressure = stackalloc double[n];
        Span<double> rate = stackalloc double[n];
        mean.Clear();

        // What runs dry does not get wet again in the same month: pressures only fall. So there are no more events than interfaces.
        var left = seconds;
        for (var events = 0; left > 0; events++)
        {
            Steady(z, saturation, outside, inside, wet, pressure);
            Rates(z, outside, inside, pressure, rate);
            var (step, first) = (left, -1);
            for (var i = 0; i < n; i++)
            {
                // A string that only touches neither gains nor gives by more than rounding.
                rate[i] = wet[i] > 0 || pressure[i] >= saturation[i] * (1 - 1e-12) ? rate[i] : 0;
                if (rate[i] < 0 && wet[i] > 0 && wet[i] + rate[i] * step < 0 && events <= n)
                {
                    (step, first) = (wet[i] / -rate[i], i);
                }
            }

            for (var i = 0; i < n; i++)
            {
                wet[i] = i == first ? 0 : Math.Max(0, wet[i] + rate[i] * step);
                mean[i] += pressure[i] * (step / seconds);
            }

            left = first < 0 ? 0 : left - step;
        }
    }

    // Between two wet interfaces, or a wet one and an air, the string is pulled tight on its own.
    private static void Steady(
        ReadOnlySpan<double> z,
        ReadOnlySpan<double> saturation,
        double outside,
        double inside,
        ReadOnlySpan<double> wet,
        Span<double> pressure
    )
    {
        var n = saturation.Length;
        var (from, fromPressure) = (-1, outside);
        for (var to = 0; to <= n; to++)
        {
            if (to == n || wet[to] > 0)
            {
                var toPressure = to == n ? inside : saturation[to];
                Tighten(z, saturation, from, fromPressure, to, toPressure, pressure);
                (from, fromPressure) = (to, toPressure);
                if (to < n)
                {
                    pressure[to] = toPressure;
                }
            }
        }
    }

    // What flows into each interface less what flows out of it.
    private static void Rates(ReadOnlySpan<double> z, double outside, double inside, ReadOnlySpan<double> pressure, Span<double> rate)
    {
        var n = rate.Length;
        for (var i = 0; i < n; i++)
        {
            var inflow = Slope(z[i], pressure[i], z[i + 1], i + 1 == n ? inside : pressure[i + 1]);
            var outflow = Slope(i == 0 ? 0 : z[i - 1], i == 0 ? outside : pressure[i - 1], z[i], pressure[i]);
            rate[i] = inflow - outflow;
        }
    }

    // The lower hull of the ends and of the saturation pressures between them: the string that stays under all of them.
    private static void Tighten(
        ReadOnlySpan<double> z,
        ReadOnlySpan<double> saturation,
        int from,
        double fromPressure,
        int to,
        double toPressure,
        Span<double> pressure
    )
    {
        var z0 = from < 0 ? 0 : z[from];
        var (lowest, slope) = (-1, Slope(z0, fromPressure, z[to], toPressure));
        for (var i = from + 1; i < to; i++)
        {
            var toHere = Slope(z0, fromPressure, z[i], saturation[i]);
            if (toHere < slope - 1e-15)
            {
                (lowest, slope) = (i, toHere);
            }
        }

        var end = lowest < 0 ? to : lowest;
        for (var i = from + 1; i < end; i++)
        {
            pressure[i] = fromPressure + slope * (z[i] - z0);
        }

        if (lowest >= 0)
        {
            pressure[lowest] = saturation[lowest];
            Tighten(z, saturation, lowest, saturation[lowest], to, toPressure, pressure);
        }
    }

    private static double Slope(double z0, double p0, double z1, double p1) => (p1 - p0) / Math.Max(z1 - z0, 1e-6);
}
