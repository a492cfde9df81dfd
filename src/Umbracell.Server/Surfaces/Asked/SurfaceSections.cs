using Umbracell.Core.Assemblies;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Section;
using Umbracell.Server.Targets;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Makes the section question of a surface.</summary>
internal static class SurfaceSections
{
    /// <summary>The question of a surface with what is put in; null until a foam with its thickness or another system is
    /// chosen.</summary>
    public static SectionQuestion? Of(Surface surface, Job job) =>
        KeptSystems.Of(surface) is var system && (system.SheetId is not null || system.Further.Count > 0)
            ? system.In(Bare(surface, job))
            : null;

    /// <summary>The question of a surface with the boards of its system and nothing between its members.</summary>
    public static SectionQuestion Empty(Surface surface, Job job) =>
        (KeptSystems.Of(surface) with { SheetId = null, ThicknessMm = null, Further = [] }).In(Bare(surface, job));

    /// <summary>The question of a surface as it was found.</summary>
    public static SectionQuestion Bare(Surface surface, Job job)
    {
        var template = ShippedData.Templates[surface.Kind];
        var targets = JobTargets.Of(job);
        var element = JobTargets.ElementOf(surface);
        var target = targets?.For(element, job.ClimateZone);
        var slab = targets?.SlabFor(element, job.ClimateZone);
        var beyond = Beyond(template.Exposure, job);
        return new()
        {
            Kind = surface.Kind,
            SheetId = null,
            ThicknessMm = null,
            Outboard = surface.Assembly.Outboard,
            Inboard = surface.Assembly.Inboard,
            Members = new()
            {
                Material = surface.MemberMaterial,
                DepthMm = surface.MemberDepthM * 1000,
                SpacingMm = surface.MemberSpacingM * 1000,
                SharePct = surface.MemberShare * 100,
                FlangeMm = surface.Details.FlangeMm,
                WebMm = surface.Details.WebMm,
                SkinMm = surface.Details.SkinMm,
            },
            VentChannelMm = surface.Assembly.VentChannelMm,
            Baffle = surface.Assembly.Baffle,
            FoamAgainst = surface.FoamAgainst,
            HeatFlow = template.HeatFlow,
            Exposure = template.Exposure,
            Films = targets?.Films ?? FilmSet.Us,
            IndoorC = job.IndoorC,
            IndoorRhPct = job.IndoorRhPct,
            OutdoorC = beyond.TempC,
            OutdoorRhPct = beyond.RhPct,
            Target = target is null ? null : new(target.GreatestU.WattsPerSquareMetreKelvin, target.Edition),
            ClimateZone = job.ClimateZone,
            Year = SurfaceYears.Of(job, template.Exposure),
            BeyondEdgeC = surface.Kind == SurfaceKind.UnderSlab ? job.OutdoorC : null,
            Door =
                surface.Kind == SurfaceKind.OverheadDoor
                    ? new(
                        surface.Details.DoorSpareKg,
                        SurfaceReader.Takeoff(surface) is { OpeningsExceedSurface: false } takeoff ? takeoff.Treated.SquareMetres : null
                    )
                    : null,
            SlabTarget = slab is null ? null : new(slab.LeastR.SquareMetreKelvinsPerWatt, slab.Along.Millimetres, slab.Edition),
            VentedCladding = surface.Kind == SurfaceKind.StudWall && surface.ChoiceFacts is { VentedCladding: true },
        };
    }

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
}
