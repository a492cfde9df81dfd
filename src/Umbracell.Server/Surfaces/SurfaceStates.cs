using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions;
using Umbracell.Questions.Section;
using Umbracell.Server.Sheets;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>Surfaces of a job as they stand and as they are planned, with the buffer spaces they border on.</summary>
internal sealed class SurfaceStates(Job job, IReadOnlyList<Surface> surfaces, IReadOnlyList<BufferSpaceRow> buffers, Supplies supplies)
{
    /// <summary>Every surface of a job as it stands and as planned.</summary>
    public static async Task<SurfaceStates> OfAsync(Job job, SurfaceReader reader, SheetLibrary library, UmbracellDb db) =>
        new(
            job,
            await reader.SurfacesAsync(job.Id),
            await db.BufferSpaces.AsNoTracking().Where(b => b.JobId == job.Id).ToListAsync(),
            await library.SuppliesAsync(job)
        );

    private readonly Pressure _pressure = StandardAtmosphere.PressureAt(Length.FromMetres(job.AltitudeM));

    /// <summary>A surface in a season; null where it cannot be studied: no sheet at all, or a thickness its sheet does not rate.</summary>
    /// <param name="surface">The surface.</param>
    /// <param name="air">Design air.</param>
    /// <param name="planned">With its foam, or as it stands now.</param>
    public AssemblyState? Of(Surface surface, DesignAir air, bool planned)
    {
        var beyond =
            BufferOf(surface) is { } space && Float(space, air, planned) is { } floating
                ? air.Beyond(floating.Temperature, _pressure)
                : air;
        return StateOf(surface, beyond, planned);
    }

    /// <summary>The buffer space a surface borders on.</summary>
    public BufferSpaceRow? BufferOf(Surface surface) => surface.BufferId is { } id ? buffers.FirstOrDefault(b => b.Id == id) : null;

    /// <summary>The temperature at which a buffer space floats; null where nothing joins it to anything.</summary>
    public BufferSpace? Float(BufferSpaceRow space, DesignAir air, bool planned)
    {
        var mine = surfaces.Where(s => s.BufferId == space.Id).Select(s => (Surface: s, Loss: LossOf(s, air, planned))).ToList();
        var toRooms = mine.Where(m => IsTowardsRooms(m.Surface.Kind)).Sum(m => m.Loss);
        var toOutside = mine.Where(m => !IsTowardsRooms(m.Surface.Kind)).Sum(m => m.Loss) + space.OtherLossWK;
        return toRooms + toOutside <= 0
            ? null
            : BufferSpace.Of(
                new(toRooms, toOutside, space.VolumeM3, planned ? space.AirChangesPlanned : space.AirChanges, space.DuctLossW),
                air.Indoor,
                air.Outdoor,
                _pressure
            );
    }

    // A surface for which nothing is planned stays as it is.
    private double LossOf(Surface surface, DesignAir air, bool planned) =>
        SurfaceReader.Takeoff(surface) is { OpeningsExceedSurface: false } takeoff
        && (StateOf(surface, air, planned) ?? StateOf(surface, air, planned: false)) is { } state
            ? state.U.WattsPerSquareMetreKelvin * takeoff.Treated.SquareMetres
            : 0;

    // A floor over a crawl space and the floor of an attic lie between the space and the rooms; walls and decks between it and outdoors.
    private static bool IsTowardsRooms(SurfaceKind kind) =>
        kind is SurfaceKind.AtticFloor or SurfaceKind.CrawlFloor or SurfaceKind.InteriorPartition;

    private AssemblyState? StateOf(Surface surface, DesignAir air, bool planned)
    {
        var thickness = planned ? surface.FoamThicknessM : 0;
        var sheet =
            surface.SheetSlug is { } slug ? supplies.Sheets.GetValueOrDefault(slug)
            : planned ? null
            : supplies.Sheets.Values.FirstOrDefault();
        if (thickness is not { } metres || sheet is null)
        {
            return null;
        }

        // Soil and rooms stay what they are; open air and vented spaces take the season's air.
        var template = ShippedData.Templates[surface.Kind];
        var section = SectionQuestions.Case(
            SurfaceSections.Empty(surface, job) with
            {
                SheetId = sheet.Id,
                ThicknessMm = Math.Max(1, metres * 1000),
            },
            supplies
        );
        var outdoors = template.Exposure is Exposure.Outdoors or Exposure.Ventilated;
        section = section with { Air = outdoors ? air : section.Air with { Indoor = air.Indoor, IndoorHumidity = air.IndoorHumidity } };
        try
        {
            return AssemblyState.Of(section, Length.FromMetres(metres));
        }
        catch (QuantityRangeException)
        {
            return null;
        }
    }
}
