namespace Umbracell.Formats.Forecasts;

/// <summary>Figures of one parameter and member at the instants of a forecast, brought to hours. A figure that is missing is no
/// number.</summary>
internal static class ForecastSeries
{
    /// <summary>One figure for each hour from the first instant on; no number where it is not told.</summary>
    /// <param name="hours">Instants, in hours after the first.</param>
    /// <param name="values">As many figures.</param>
    /// <param name="told">How they stand in time.</param>
    /// <param name="isFlow">Whether a sum is shared out as a mean over seconds: heat of the sun becomes W/m².</param>
    public static double[] Hourly(int[] hours, double[] values, Told told, bool isFlow)
    {
        var hourly = new double[hours[^1]];
        Array.Fill(hourly, double.NaN);
        if (told == Told.Accumulated)
        {
            values = Steps(values);
        }

        for (var i = 1; i < hours.Length; i++)
        {
            var (from, to) = (hours[i - 1], hours[i]);
            for (var h = from; h < to; h++)
            {
                hourly[h] = told switch
                {
                    // An hour stands for its middle.
                    Told.Instant => values[i - 1] + (values[i] - values[i - 1]) * (h + 0.5 - from) / (to - from),
                    Told.Mean => values[i],
                    _ => values[i] / (to - from) / (isFlow ? 3600 : 1),
                };
            }
        }

        return hourly;
    }

    // What an angle is told by goes round: half way between 350 and 10 degrees lies north.
    public static double[] HourlyAngles(int[] hours, double[] degrees, Told told)
    {
        const double Degree = Math.PI / 180;
        var north = Hourly(hours, [.. degrees.Select(d => Math.Cos(d * Degree))], told, isFlow: false);
        var east = Hourly(hours, [.. degrees.Select(d => Math.Sin(d * Degree))], told, isFlow: false);
        return [.. north.Zip(east, (n, e) => (Math.Atan2(e, n) / Degree + 360) % 360)];
    }

    // Sums since the run began: each step has what the sum grew by. A sum that falls is rounding, or a gap.
    private static double[] Steps(double[] sums)
    {
        var steps = new double[sums.Length];
        for (var i = 0; i < sums.Length; i++)
        {
            var before = i == 0 ? 0 : sums[i - 1];
            steps[i] = double.IsNaN(before) ? double.NaN : Math.Max(0, sums[i] - before);
        }

        return steps;
    }
}
