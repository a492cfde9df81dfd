using Umbracell.Core.Airtightness;
using Umbracell.Core.Quantities;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Fan tests of a job, for the core.</summary>
internal static class JobFanTests
{
    /// <summary>Evaluates a test; null where its points make no line.</summary>
    public static FanTest? Evaluate(FanTestRow row, Job job)
    {
        try
        {
            return row.PressuresPa.Length == 0 ? null : FanTest.Of(Case(row, job));
        }
        catch (QuantityRangeException)
        {
            return null;
        }
    }

    /// <summary>The newest test before or after the work that can be evaluated.</summary>
    public static (FanTestRow Row, FanTest Test)? Newest(IEnumerable<FanTestRow> rows, WorkPhase phase, Job job)
    {
        foreach (var row in rows.Where(row => row.Phase == phase).OrderByDescending(row => row.TakenAt))
        {
            if (Evaluate(row, job) is { } test)
            {
                return (row, test);
            }
        }

        return null;
    }

    /// <summary>A test as it was read.</summary>
    public static FanTestCase Case(FanTestRow row, Job job) =>
        new()
        {
            Points = [.. row.PressuresPa.Zip(row.FlowsM3S, (p, q) => new FanPoint(EnvelopePressure.FromPascals(p), q))],
            Direction = row.Direction,
            Indoor = Temperature.FromCelsius(row.IndoorC),
            Outdoor = Temperature.FromCelsius(row.OutdoorC),
            Altitude = Length.FromMetres(job.AltitudeM),
            Volume = row.VolumeM3,
            ZeroBefore = row.ZeroBeforePa,
            ZeroAfter = row.ZeroAfterPa,
        };
}
