using Umbracell.Core.Airtightness;
using Umbracell.Core.Assemblies;
using Umbracell.Store.Model;

namespace Umbracell.Store.Seeding;

/// <summary>Writes what a demo survey found beside its surfaces.</summary>
internal sealed class DemoSurvey(Job job, IReadOnlyList<DemoSurface> surfaces, DateTimeOffset taken)
{
    private const string Estimator = "estimator";

    private readonly List<object> _rows = [];

    public IReadOnlyList<object> Rows => _rows;

    public Guid BufferNamed(string name) => _rows.OfType<BufferSpaceRow>().First(b => b.Name == name).Id;

    public void Buffer(string name, BufferKind kind, double volume, double airChanges, double planned, double otherLoss, double ductLoss) =>
        _rows.Add(
            new BufferSpaceRow
            {
                Id = Guid.NewGuid(),
                JobId = job.Id,
                Name = name,
                Kind = kind,
                VolumeM3 = volume,
                AirChanges = airChanges,
                AirChangesPlanned = planned,
                OtherLossWK = otherLoss,
                DuctLossW = ductLoss,
            }
        );

    /// <summary>A joint with every usual layer carried on, or still open where nothing is said of how.</summary>
    public void Joint(
        JointKind kind,
        string first,
        string? second,
        string beyond = "",
        string how = "",
        string by = "",
        bool ready = false,
        bool seen = false
    )
    {
        var layers = Joints
            .Start(kind)
            .Layers.ToDictionary(l => l.Key, l => l.Value == Handover.Open && how.Length > 0 ? Handover.Carried : l.Value);
        _rows.Add(
            new JointRow
            {
                Id = Guid.NewGuid(),
                JobId = job.Id,
                FirstId = IdOf(first),
                SecondId = second is null ? null : IdOf(second),
                Beyond = beyond,
                Kind = kind,
                Water = layers[ControlLayer.Water],
                Air = layers[ControlLayer.Air],
                Vapour = layers[ControlLayer.Vapour],
                Heat = layers[ControlLayer.Heat],
                How = how,
                DoneBy = by,
                Ready = ready,
                SeenBy = seen ? "crew lead, crew Heron" : "",
                SeenAt = seen ? taken : null,
            }
        );
    }

    public void Complaint(ComplaintKind kind, string place, string words, params string[] suspects) =>
        _rows.Add(
            new ComplaintRow
            {
                Id = Guid.NewGuid(),
                JobId = job.Id,
                Kind = kind,
                Place = place,
                Words = words,
                Suspects = [.. suspects.Select(IdOf)],
                MadeAt = taken.AddDays(-6).AddMinutes(_rows.Count),
            }
        );

    public void FanTest(
        double indoor,
        double outdoor,
        double volume,
        double zeroBefore,
        double zeroAfter,
        params (double Pa, double M3H)[] points
    ) =>
        _rows.Add(
            new FanTestRow
            {
                Id = Guid.NewGuid(),
                JobId = job.Id,
                Phase = WorkPhase.Before,
                Direction = FanDirection.Depressurise,
                IndoorC = indoor,
                OutdoorC = outdoor,
                VolumeM3 = volume,
                ZeroBeforePa = zeroBefore,
                ZeroAfterPa = zeroAfter,
                PressuresPa = [.. points.Select(p => p.Pa)],
                FlowsM3S = [.. points.Select(p => p.M3H / 3600)],
                Words = "all doors inside open, hearth damper closed",
                TakenAt = taken.AddDays(-5),
                TakenBy = Estimator,
            }
        );

    /// <summary>A wall with cold studs, a cold foot and a cold corner, as a camera would see it.</summary>
    public void Thermal(string name, string surface, double indoor, double outdoor, string conditions)
    {
        const int Rows = 60,
            Columns = 80;
        var temps = new float[Rows * Columns];
        for (var r = 0; r < Rows; r++)
        {
            for (var c = 0; c < Columns; c++)
            {
                var stud = Math.Exp(-Math.Pow((c + 3) % 16 - 8, 2) / 4.0);
                var foot = Math.Exp((r - Rows) / 6.0);
                var corner = Math.Exp(-c / 5.0) * (0.4 + 0.6 * r / Rows);
                var factor = 0.90 - 0.10 * stud - 0.22 * foot - 0.18 * corner;
                temps[r * Columns + c] = (float)Math.Round(outdoor + factor * (indoor - outdoor), 2);
            }
        }

        var picture = new ThermalPictureRow
        {
            Id = Guid.NewGuid(),
            JobId = job.Id,
            SurfaceId = IdOf(surface),
            Name = name,
            Rows = Rows,
            Columns = Columns,
            TempsC = temps,
            IndoorC = indoor,
            OutdoorC = outdoor,
            Conditions = conditions,
            TakenAt = taken.AddDays(-5),
            TakenBy = Estimator,
        };
        picture.Spots.Add(
            new()
            {
                Label = "corner at the floor",
                Row = 56,
                Column = 1,
            }
        );
        picture.Spots.Add(
            new()
            {
                Label = "between studs",
                Row = 20,
                Column = 29,
            }
        );
        _rows.Add(picture);
    }

    /// <summary>Four days every half hour: a day's swing, damp at night.</summary>
    public void Log(string name, string surface, double mean, double swing, double humidity)
    {
        var times = Enumerable.Range(0, 4 * 48).Select(i => taken.AddDays(-4).AddMinutes(30 * i)).ToList();
        double Day(DateTimeOffset at) => Math.Sin((at.TimeOfDay.TotalHours - 9) / 24 * 2 * Math.PI);
        _rows.Add(
            new LoggerSeriesRow
            {
                Id = Guid.NewGuid(),
                JobId = job.Id,
                SurfaceId = IdOf(surface),
                Name = name,
                Times = [.. times.Select(t => t.ToUnixTimeSeconds())],
                TempsC = [.. times.Select(t => Math.Round(mean + swing * Day(t), 2))],
                RhPct = [.. times.Select(t => Math.Round(Math.Clamp(humidity - 2.2 * swing * Day(t), 5, 99), 1))],
                AddedAt = taken,
                AddedBy = Estimator,
            }
        );
    }

    private Guid IdOf(string name) => surfaces.First(s => s.Row.Name == name).Row.Id;
}
