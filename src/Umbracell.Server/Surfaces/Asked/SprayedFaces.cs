using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Formats.DataFiles;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>What is assumed of the hours of a surface because nobody said it.</summary>
public enum HoursAssumption
{
    /// <summary>It looks away from the sun.</summary>
    Facing,

    /// <summary>Sheltered ground.</summary>
    Wind,

    /// <summary>It lies a storey over the ground.</summary>
    Height,

    /// <summary>Heated rooms on the other side.</summary>
    RoomsHeated,

    /// <summary>Ground as warm as the section takes it.</summary>
    Soil,

    /// <summary>The room is not heated.</summary>
    Unheated,

    /// <summary>The crew works by universal time: that of the place is not known.</summary>
    TimeZone,
}

/// <summary>How the face of a surface hangs on the weather, and what was assumed because nobody said it.</summary>
/// <param name="Face">The face.</param>
/// <param name="Assumed">What was assumed.</param>
internal sealed record AskedFace(SprayedFace Face, IReadOnlyList<HoursAssumption> Assumed)
{
    // The face stands a storey over the ground where nothing else is known.
    private static readonly Length Height = Length.FromMetres(3);

    // Half a metre of ground follows the weather of days.
    private static readonly Length Ground = Length.FromMetres(0.5);

    /// <summary>The face of a surface.</summary>
    /// <param name="surface">The surface.</param>
    /// <param name="bare">Its layers without foam.</param>
    /// <param name="job">Its job.</param>
    /// <param name="latitude">Degrees north.</param>
    public static AskedFace Of(Surface surface, SectionCase bare, Job job, double latitude)
    {
        var exposure = ShippedData.Templates[surface.Kind].Exposure;
        var between = ThermalResistance.FromSi(bare.Outboard.Sum(layer => layer.Resistance.SquareMetreKelvinsPerWatt));
        return surface.Kind switch
        {
            SurfaceKind.UnderSlab => new(
                new() { Outer = Outer(surface, latitude) with { Mass = FaceMass.Ground(Ground) }, IsOpen = surface.OpenFace },
                []
            ),
            SurfaceKind.InteriorPartition => new(new(), []),

            // Rooms are on the other side of these floors.
            SurfaceKind.CrawlFloor or SurfaceKind.AtticFloor or SurfaceKind.CantileveredFloor => new(
                new()
                {
                    Ground = Temperature.FromCelsius(job.IndoorC),
                    Between = between,
                    IsOpen = surface.OpenFace,
                },
                [HoursAssumption.RoomsHeated]
            ),
            _ when exposure == Exposure.Ground => new(
                new() { Ground = Temperature.FromCelsius(SurfaceSections.Soil.TempC), Between = between },
                [HoursAssumption.Soil]
            ),
            _ when exposure == Exposure.Room => new(new(), []),
            _ => InTheWeather(surface, bare, between, latitude),
        };
    }

    private static AskedFace InTheWeather(Surface surface, SectionCase bare, ThermalResistance between, double latitude)
    {
        var outer = Outer(surface, latitude);
        if (surface.Kind == SurfaceKind.SolidWall && bare.Outboard.Count > 0)
        {
            outer = outer with
            {
                Mass = FaceMass.Masonry(Length.FromMetres(Math.Clamp(bare.Outboard.Sum(layer => layer.Thickness.Metres), 0.02, 2))),
            };
        }

        return new(
            new()
            {
                Outer = outer,
                Between = surface.OpenFace ? null : between,
                IsOpen = surface.OpenFace,
            },
            [.. Unsaid(surface, outer)]
        );
    }

    private static IEnumerable<HoursAssumption> Unsaid(Surface surface, FaceCase outer)
    {
        if (outer.Plane.TiltDegrees > FacePlane.FlatTo && surface.Details.Facing == Facing.Unknown)
        {
            yield return HoursAssumption.Facing;
        }

        if (surface.Details.Shelter == Shelter.Unknown)
        {
            yield return HoursAssumption.Wind;
        }

        if (surface.Details.FaceHeightM is null)
        {
            yield return HoursAssumption.Height;
        }
    }

    // Where nobody said which way it looks: away from the sun it is the coldest and the longest wet.
    private static FaceCase Outer(Surface surface, double latitude) =>
        new()
        {
            Plane = new(TiltOf(surface), surface.Details.Facing.Degrees() ?? (latitude >= 0 ? 0 : 180)),
            Finish = FaceFinishes.Of(surface.Details.Covering, surface.Substrate),
            TimeConstant = FaceFinishes.TimeConstantOf(surface.Substrate),
            WindShare = WindNear.Share(
                surface.Details.Shelter,
                surface.Details.FaceHeightM is { } metres ? Length.FromMetres(metres) : Height
            ),
        };

    private static double TiltOf(Surface surface) =>
        surface.Kind switch
        {
            SurfaceKind.MetalRoof or SurfaceKind.UnventedDeck or SurfaceKind.VentedRafters => Math.Atan(
                surface.Pitch > 0 ? surface.Pitch : 0.5
            )
                * 180
                / Math.PI,
            SurfaceKind.LowSlopeRoof or SurfaceKind.UnderSlab => 1,
            _ => 90,
        };
}
