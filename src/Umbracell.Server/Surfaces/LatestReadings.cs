using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>The newest reading of each kind, by surface, by product and of the job.</summary>
internal sealed class LatestReadings
{
    private readonly Dictionary<(Guid Surface, ReadingKind Kind), ReadingRow> _bySurface = [];
    private readonly ILookup<Guid, ReadingRow> _allOfSurface;
    private readonly Dictionary<(string Sheet, ReadingKind Kind), ReadingRow> _byProduct = [];
    private readonly Dictionary<ReadingKind, ReadingRow> _ofJob = [];

    public LatestReadings(IReadOnlyCollection<ReadingRow> readings)
    {
        _allOfSurface = readings.Where(r => r.SurfaceId is not null).ToLookup(r => r.SurfaceId!.Value);
        foreach (var reading in readings.OrderBy(r => r.TakenAt))
        {
            if (reading.SurfaceId is { } surface)
            {
                _bySurface[(surface, reading.Kind)] = reading;
            }
            else if (reading.SheetSlug is { } sheet)
            {
                _byProduct[(sheet, reading.Kind)] = reading;
            }
            else
            {
                _ofJob[reading.Kind] = reading;
            }
        }
    }

    public ReadingRow? Of(Guid surface, ReadingKind kind) => _bySurface.GetValueOrDefault((surface, kind));

    /// <summary>The wettest reading of a kind of meter on the newest day it was read, whichever meter and place: one dry spot does not
    /// make a wet deck dry.</summary>
    public ReadingRow? Wettest(Guid surface, ReadingKind kind)
    {
        var read = _allOfSurface[surface].Where(r => r.Kind == kind).ToList();
        return read.Where(r => r.TakenAt >= read.Max(one => one.TakenAt).AddDays(-1)).MaxBy(r => r.Percent);
    }

    public (ReadingRow? A, ReadingRow? B) Drums(string sheet) =>
        (_byProduct.GetValueOrDefault((sheet, ReadingKind.DrumA)), _byProduct.GetValueOrDefault((sheet, ReadingKind.DrumB)));

    /// <summary>The newest of the whole job, such as the air outdoors; null for none.</summary>
    public ReadingRow? OfJob(ReadingKind kind) => _ofJob.GetValueOrDefault(kind);

    public bool HasMoisture(Guid surface) =>
        Of(surface, ReadingKind.WoodMoisture) is not null
        || Of(surface, ReadingKind.FoundDry) is not null
        || Of(surface, ReadingKind.ConcreteMoisture) is not null;

    /// <summary>Meters that disagree about a surface.</summary>
    public IReadOnlyList<Finding> Disagreements(Guid surface) =>
        MeterAgreement.Check([
            .. from reading in _allOfSurface[surface]
            let statedError = reading.StatedError
            where reading.Measured is not null && statedError is not null
            select new MeterReading
            {
                What = Vocabulary.KeyOf(reading.Kind),
                Value = reading.Measured!.Value,
                StatedError = statedError.Value,
                Instrument = reading.Instrument,
                At = reading.TakenAt,
                Place = reading.Place,
            },
        ]);

    public IEnumerable<ReadingRow> For(Surface surface)
    {
        var drums = surface.SheetSlug is { } sheet ? Drums(sheet) : default;
        return Enum.GetValues<ReadingKind>()
            .Select(kind =>
                kind switch
                {
                    ReadingKind.DrumA => drums.A,
                    ReadingKind.DrumB => drums.B,
                    ReadingKind.OutdoorTemperature or ReadingKind.OutdoorHumidity => _ofJob.GetValueOrDefault(kind),
                    _ => Of(surface.Id, kind),
                }
            )
            .OfType<ReadingRow>();
    }
}
