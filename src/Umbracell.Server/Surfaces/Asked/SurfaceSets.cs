using Umbracell.Core.Takeoff;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Sets;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Makes the sets questions of a surface.</summary>
internal static class SurfaceSets
{
    /// <summary>The questions of a surface, one for each foam in the order they are sprayed; empty until it has a size, a sheet and a
    /// thickness.</summary>
    public static IReadOnlyList<SetsQuestion> AllOf(Surface surface, Job job, SurfaceTakeoff? takeoff, LatestReadings readings)
    {
        if (Of(surface, job, takeoff, readings) is not { } first)
        {
            return [];
        }

        // Only what lies outermost is shaved; its drums are its own.
        var further = (surface.System?.Further ?? []).Where(layer => layer.Kind == FillKind.Foam).ToList();
        return
        [
            further.Count > 0 ? first with { ShavedFlush = false } : first,
            .. further.Select(layer =>
                first with
                {
                    SheetId = layer.Id,
                    ThicknessMm = layer.ThicknessMm,
                    PenetrationMm = 0,
                    DrumTempC = surface.ExpectedDrumC ?? Coldest(readings, layer.Id),
                }
            ),
        ];
    }

    /// <summary>The question of a surface's first foam; null until it has a size, a sheet and a thickness.</summary>
    public static SetsQuestion? Of(Surface surface, Job job, SurfaceTakeoff? takeoff, LatestReadings readings)
    {
        return surface is { SheetSlug: { } sheet, FoamThicknessM: { } thickness } && takeoff is { OpeningsExceedSurface: false }
            ? For(surface, job, takeoff, readings, sheet, thickness * 1000)
            : null;
    }

    /// <summary>The question of any foam on a surface of known size.</summary>
    public static SetsQuestion For(
        Surface surface,
        Job job,
        SurfaceTakeoff takeoff,
        LatestReadings readings,
        string sheet,
        double thicknessMm
    ) =>
        new()
        {
            SheetId = sheet,
            AreaM2 = takeoff.Developed.SquareMetres,
            ThicknessMm = thicknessMm,
            ShavedFlush = surface.ShavedFlush,
            SubstrateTempC = SubstrateOf(surface, job, readings).Celsius,
            DrumTempC = surface.ExpectedDrumC ?? Coldest(readings, sheet),
            WindMs = surface.OpenFace ? 0 : null,
            DepthScatterMm = null,
            OverfillMm = null,
            RiskPct = job.RiskPct,
            PenetrationMm = surface.Details.PenetrationMm,
        };

    /// <summary>The substrate temperature a surface's yield is reckoned at, and where it comes from.</summary>
    public static (double? Celsius, SubstrateFrom From) SubstrateOf(Surface surface, Job job, LatestReadings readings) =>
        JobPricing.SubstrateOf(
            surface,
            job,
            ShippedData.Templates[surface.Kind].Exposure,
            readings.Of(surface.Id, ReadingKind.SubstrateTemperature)?.TempC
        );

    private static double? Coldest(LatestReadings readings, string sheet) =>
        readings.Drums(sheet) is { A.TempC: { } a, B.TempC: { } b } ? Math.Min(a, b) : null;
}
