using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Access;
using Umbracell.Server.Answers;
using Umbracell.Server.Jobs;
using Umbracell.Server.Problems;
using Umbracell.Server.Section;
using Umbracell.Server.Sheets;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Drive;

/// <summary>An assembly in one season, as it stands or as planned.</summary>
public sealed record StateAnswer(WorkedFigure RoomFace, FigureAnswer InterfaceTemp, FigureAnswer InterfaceHumidity, bool WouldCondense);

/// <summary>What drives vapour through a surface in one season.</summary>
public sealed record SeasonAnswer(
    FigureAnswer IndoorTemp, FigureAnswer OutdoorTemp, FigureAnswer InsidePressure, FigureAnswer OutsidePressure, WorkedFigure Drive, double DrivePa, DriveDirection Direction, StateAnswer? Now, StateAnswer? Planned);

/// <summary>Vapour drive and surface temperatures of a surface in winter and summer.</summary>
public sealed record DriveAnswer(string InterfaceKey, SeasonAnswer Winter, SeasonAnswer Summer, IReadOnlyList<FindingAnswer> Findings);

/// <summary>A buffer space with the temperatures at which it floats.</summary>
public sealed record BufferAnswer(
    Guid Id, string Name, BufferKind Kind, FigureAnswer Volume, FigureAnswer AirChanges, FigureAnswer AirChangesPlanned, FigureAnswer OtherLoss, FigureAnswer DuctLoss,
    WorkedFigure? WinterNow, WorkedFigure? WinterPlanned, WorkedFigure? SummerNow, WorkedFigure? SummerPlanned, uint Version);

/// <summary>Stack pressure in a season.</summary>
public sealed record StackAnswer(WorkedFigure AtTop, FigureAnswer AtFoot, FigureAnswer NeutralPlane);

/// <summary>What is reckoned for the building as a whole.</summary>
public sealed record BuildingAnswer(StackAnswer? WinterStack, StackAnswer? SummerStack, IReadOnlyList<BufferAnswer> Buffers);

internal static class DriveEndpoints
{
    private static readonly string[] BufferFields = ["name", "kind", "volume", "airChanges", "airChangesPlanned", "otherLoss", "ductLoss"];

    public static void MapDrive(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/surfaces/{id:guid}/drive", OfSurfaceAsync).WithTags("Drive").WithSummary("Vapour drive and surface temperatures at winter and summer design, now and as planned.").RequireAuthorization();
        app.MapGet("/api/jobs/{id:guid}/building", OfBuildingAsync).WithTags("Drive").WithSummary("Buffer spaces and stack pressure.").RequireAuthorization();
        app.MapPost("/api/jobs/{id:guid}/buffers", AddBufferAsync).WithTags("Drive").WithSummary("A new buffer space from typed fields.").RequireAuthorization(Claims.MayEdit);
        app.MapPatch("/api/buffers/{id:guid}", ChangeBufferAsync).WithTags("Drive").WithSummary("Change typed fields of a buffer space.").RequireAuthorization(Claims.MayEdit).ProducesProblem(409);
        app.MapDelete("/api/buffers/{id:guid}", RemoveBufferAsync).WithTags("Drive").WithSummary("Take a buffer space off; surfaces no longer border on it.").RequireAuthorization(Claims.MayEdit);
    }

    private static async Task<Ok<DriveAnswer>> OfSurfaceAsync(Guid id, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var (surface, job) = await reader.FindAsync(id);
        var states = await StatesAsync(job, reader, library, db);
        var winter = Season(surface, SeasonAir.Winter(job), states);
        var summer = Season(surface, SeasonAir.Summer(job), states);
        var key = states.Of(surface, SeasonAir.Winter(job), planned: false)?.Interface.Key ?? "";
        return TypedResults.Ok(new DriveAnswer(key, winter, summer, FindingAnswer.All(FinishFindings(surface, job, states))));
    }

    /// <summary>Every surface of a job as it stands and as planned.</summary>
    public static async Task<SurfaceStates> StatesAsync(Job job, SurfaceReader reader, SheetLibrary library, UmbracellDb db) =>
        new(job, await reader.SurfacesAsync(job.Id), await db.BufferSpaces.AsNoTracking().Where(b => b.JobId == job.Id).ToListAsync(), await library.AllAsync());

    private static SeasonAnswer Season(Surface surface, SeasonAir air, SurfaceStates states)
    {
        var drive = ShippedData.Templates[surface.Kind].Exposure switch
        {
            Exposure.Room => VapourDrive.Between(air.Indoor, air.IndoorRh, air.Indoor, air.IndoorRh),
            Exposure.Ground => VapourDrive.Between(air.Indoor, air.IndoorRh, new(10), new(100)),
            _ => VapourDrive.Between(air.Indoor, air.IndoorRh, air.Outdoor, air.OutdoorRh),
        };
        return new(
            FigureAnswer.Of(air.Indoor.ToFigure()),
            FigureAnswer.Of(air.Outdoor.ToFigure()),
            FigureAnswer.Of(drive.Inside.ToFigure()),
            FigureAnswer.Of(drive.Outside.ToFigure()),
            new(FigureAnswer.Of(drive.Outward.ToFigure()), WorkingAnswer.Of(drive.Working)),
            drive.Outward.Pascals,
            drive.Direction,
            State(states.Of(surface, air, planned: false)),
            State(states.Of(surface, air, planned: true)));
    }

    private static StateAnswer? State(AssemblyState? state) => state is null ? null : new(
        new(FigureAnswer.Of(state.RoomFace.ToFigure()), WorkingAnswer.Of(state.FaceWorking)),
        FigureAnswer.Of(state.Interface.Temperature.ToFigure()),
        FigureAnswer.Of(new(Math.Min(100, state.InterfaceHumidity), Dimension.RelativeHumidity)),
        state.InterfaceHumidity > 100);

    // Rule E5 speaks of the worst season, now and with the foam chosen.
    private static IEnumerable<Finding> FinishFindings(Surface surface, Job job, SurfaceStates states)
    {
        if (surface.Kind != SurfaceKind.CrawlFloor)
        {
            yield break;
        }

        foreach (var (name, planned) in new[] { ("now", false), ("planned", true) })
        {
            var worst = new[] { SeasonAir.Winter(job), SeasonAir.Summer(job) }.Select(air => states.Of(surface, air, planned)?.InterfaceHumidity).Max();
            if (worst is { } humidity)
            {
                var dry = humidity < AssemblyState.GreatestFinishHumidity;
                yield return new("finish", name + (dry ? "Dry" : "Damp"), dry ? Verdict.Clear : Verdict.Care, Basis.Physics, "Choice rule E5: the underside of a tight finish stays under 80 %; steady diffusion at design")
                {
                    Measured = new(Math.Min(100, humidity), Dimension.RelativeHumidity),
                    Limit = new(AssemblyState.GreatestFinishHumidity, Dimension.RelativeHumidity),
                };
            }
        }
    }

    private static async Task<Ok<BuildingAnswer>> OfBuildingAsync(Guid id, SurfaceReader reader, SheetLibrary library, UmbracellDb db) =>
        TypedResults.Ok(await BuildingAsync(await reader.FindJobAsync(id), reader, library, db));

    private static async Task<BuildingAnswer> BuildingAsync(Job job, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var states = await StatesAsync(job, reader, library, db);
        var buffers = await db.BufferSpaces.AsNoTracking().Where(b => b.JobId == job.Id).OrderBy(b => b.Name).ToListAsync();
        return new(Stack(job, SeasonAir.Winter(job)), Stack(job, SeasonAir.Summer(job)), [.. buffers.Select(b => Buffer(b, job, states))]);
    }

    private static StackAnswer? Stack(Job job, SeasonAir air)
    {
        if (StackOf(job, air) is not { } stack)
        {
            return null;
        }

        return new(new(FigureAnswer.Of(stack.Working.Result), WorkingAnswer.Of(stack.Working)), FigureAnswer.Of(new(stack.AtFoot, Dimension.AirPressure)), FigureAnswer.Of(stack.NeutralPlane.ToSpan()));
    }

    /// <summary>Stack pressure of a job; null until its height is taken.</summary>
    public static StackPressure? StackOf(Job job, SeasonAir air) =>
        job.HeightM is { } height ? StackPressure.Of(new(height), air.Indoor, air.Outdoor, StandardAtmosphere.PressureAt(new(job.AltitudeM))) : null;

    private static BufferAnswer Buffer(BufferSpaceRow row, Job job, SurfaceStates states) => new(
        row.Id,
        row.Name,
        row.Kind,
        FigureAnswer.Of(new(row.VolumeM3, Dimension.RoomVolume)),
        FigureAnswer.Of(new(row.AirChanges, Dimension.AirChanges)),
        FigureAnswer.Of(new(row.AirChangesPlanned, Dimension.AirChanges)),
        FigureAnswer.Of(new(row.OtherLossWK, Dimension.HeatLoss)),
        FigureAnswer.Of(new(row.DuctLossW, Dimension.Power)),
        Floating(states.Float(row, SeasonAir.Winter(job), planned: false)),
        Floating(states.Float(row, SeasonAir.Winter(job), planned: true)),
        Floating(states.Float(row, SeasonAir.Summer(job), planned: false)),
        Floating(states.Float(row, SeasonAir.Summer(job), planned: true)),
        row.Version);

    private static WorkedFigure? Floating(BufferSpace? space) => space is null ? null : new(FigureAnswer.Of(space.Temperature.ToFigure()), WorkingAnswer.Of(space.Working));

    private static async Task<Ok<BuildingAnswer>> AddBufferAsync(Guid id, TypedEdit edit, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var job = await reader.FindJobAsync(id);
        var fields = new TypedFields(edit);
        fields.Require("name");
        var row = new BufferSpaceRow { Id = Guid.NewGuid(), JobId = job.Id, Name = "" };
        Take(fields, row);
        db.BufferSpaces.Add(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await BuildingAsync(job, reader, library, db));
    }

    private static async Task<Ok<BuildingAnswer>> ChangeBufferAsync(Guid id, TypedEdit edit, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var row = await FindBufferAsync(id, db);
        var job = await reader.FindJobAsync(row.JobId);
        if (edit.Version is { } seen && seen != row.Version)
        {
            throw new StaleEditException(await BuildingAsync(job, reader, library, db));
        }

        Take(new(edit), row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await BuildingAsync(job, reader, library, db));
    }

    private static async Task<Ok<BuildingAnswer>> RemoveBufferAsync(Guid id, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var row = await FindBufferAsync(id, db);
        await db.Surfaces.Where(s => s.BufferId == id).ExecuteUpdateAsync(set => set.SetProperty(s => s.BufferId, (Guid?)null));
        db.BufferSpaces.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await BuildingAsync(await reader.FindJobAsync(row.JobId), reader, library, db));
    }

    private static async Task<BufferSpaceRow> FindBufferAsync(Guid id, UmbracellDb db) => await db.BufferSpaces.SingleOrDefaultAsync(b => b.Id == id) ?? throw new NotFoundException("buffer space");

    private static void Take(TypedFields fields, BufferSpaceRow row)
    {
        fields.Text("name", 120, required: true, text => row.Name = text);
        fields.Choice<BufferKind>("kind", kind => row.Kind = kind);
        fields.Quantity("volume", FieldRanges.BufferVolume, si => row.VolumeM3 = si);
        fields.Quantity("airChanges", FieldRanges.AirChanges, si => row.AirChanges = si);
        fields.Quantity("airChangesPlanned", FieldRanges.AirChanges, si => row.AirChangesPlanned = si);
        fields.Quantity("otherLoss", FieldRanges.HeatLoss, si => row.OtherLossWK = si);
        fields.Quantity("ductLoss", FieldRanges.DuctLoss, si => row.DuctLossW = si);
        fields.ThrowIfFaulty(BufferFields);
    }
}
