using Umbracell.Core.Assemblies;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Section;
using Umbracell.Server.Targets;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Makes the section question of a surface.</summary>
internal static class SurfaceSections
{
    /// <summary>The question of a surface; null until a sheet and a thickness are chosen.</summary>
    public static SectionQuestion? Of(Surface surface, Job job)
    {
        var then = surface.System?.Then;
        return surface is { SheetSlug: { } sheet, FoamThicknessM: { } thickness }
                ? Of(surface, job, sheet, thickness * 1000) with
                {
                    Then = Then(then),
                }
            : surface.SheetSlug is null && then is { Count: > 0 } ? Of(surface, job, null, null) with { Then = Then(then) }
            : null;
    }

    /// <summary>The question of a surface with another foam.</summary>
    public static SectionQuestion Of(Surface surface, Job job, string? sheet, double? thicknessMm)
    {
        var template = ShippedData.Templates[surface.Kind];
        var targets = JobTargets.Of(job);
        var element = JobTargets.ElementOf(surface);
        var target = targets?.For(element, job.ClimateZone);
        var slab = targets?.SlabFor(element, job.ClimateZone);
        var beyond = Beyond(template.Exposure, job);
        return new(
            surface.Kind,
            sheet,
            thicknessMm,
            Outboard(surface),
            Inboard(surface),
            new(
                surface.MemberMaterial,
                surface.MemberDepthM * 1000,
                surface.MemberSpacingM * 1000,
                surface.MemberShare * 100,
                surface.Details.FlangeMm,
                surface.Details.WebMm,
                surface.Details.SkinMm
            ),
            surface.Assembly.VentChannelMm,
            surface.Assembly.Baffle is { } baffle ? new(baffle.Material, baffle.ThicknessMm) : null,
            surface.FoamAgainst,
            template.HeatFlow,
            template.Exposure,
            targets?.Films ?? FilmSet.Us,
            job.IndoorC,
            job.IndoorRhPct,
            beyond.TempC,
            beyond.RhPct,
            target is null ? null : new(target.GreatestU.WattsPerSquareMetreKelvin, target.Edition),
            job.ClimateZone,
            SurfaceYears.Of(job, template.Exposure),
            BeyondEdgeC: surface.Kind == SurfaceKind.UnderSlab ? job.OutdoorC : null,
            Door: surface.Kind == SurfaceKind.OverheadDoor
                ? new(
                    surface.Details.DoorSpareKg,
                    SurfaceReader.Takeoff(surface) is { OpeningsExceedSurface: false } takeoff ? takeoff.Treated.SquareMetres : null
                )
                : null,
            SlabTarget: slab is null ? null : new(slab.LeastR.SquareMetreKelvinsPerWatt, slab.Along.Millimetres, slab.Edition),
            VentedCladding: surface.Kind == SurfaceKind.StudWall && surface.ChoiceFacts is { VentedCladding: true }
        );
    }

    // A board added outside the members lies against what is outermost of the wall; one added inside, on the members.
    private static List<LayerShape> Outboard(Surface surface)
    {
        var own = Layers(surface.Assembly.Outboard);
        own.InsertRange(Math.Max(0, own.Count - 1), Layers(surface.System?.AddedOutboard ?? []));
        return own;
    }

    private static List<LayerShape> Inboard(Surface surface) =>
        [.. Layers(surface.System?.AddedInboard ?? []), .. Layers(surface.Assembly.Inboard)];

    private static List<FillShape>? Then(IReadOnlyList<FillRow>? rows) =>
        rows is { Count: > 0 } ? [.. rows.Select(row => new FillShape((FillKind)row.Kind, row.Id, row.ThicknessMm, row.TakesRest))] : null;

    /// <summary>A bare question with a system in it.</summary>
    public static SectionQuestion With(SectionQuestion bare, FoamFill? foam, SystemDocument system) =>
        bare with
        {
            SheetId = foam?.Sheet.Id,
            ThicknessMm = foam?.Thickness.Millimetres,
            Outboard =
            [
                .. bare.Outboard.Take(Math.Max(0, bare.Outboard.Count - 1)),
                .. Layers(system.AddedOutboard),
                .. bare.Outboard.Skip(Math.Max(0, bare.Outboard.Count - 1)),
            ],
            Inboard = [.. Layers(system.AddedInboard), .. bare.Inboard],
            Then = Then(system.Then),
        };

    /// <summary>Soil is assumed wet and at 10 °C until a ground temperature is entered.</summary>
    public static (double TempC, double RhPct) Soil { get; } = (10, 100);

    /// <summary>Air (or soil) on the far side at winter design.</summary>
    private static (double TempC, double RhPct) Beyond(Exposure exposure, Job job) =>
        exposure switch
        {
            Exposure.Room => (job.IndoorC, job.IndoorRhPct),
            Exposure.Ground => Soil,
            _ => (job.OutdoorC, job.OutdoorRhPct),
        };

    private static List<LayerShape> Layers(IEnumerable<LayerRow> rows) =>
        [.. rows.Select(row => new LayerShape(row.Material, row.ThicknessMm))];
}
