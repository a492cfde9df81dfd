using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Section;
using Umbracell.Server.Access;
using Umbracell.Server.Jobs;
using Umbracell.Server.Problems;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Drive;

/// <summary>A buffer space with the temperatures at which it floats.</summary>
public sealed record BufferAnswer
{
    public required Guid Id { get; init; }

    public required string Name { get; init; }

    public required BufferKind Kind { get; init; }

    public required FigureAnswer Volume { get; init; }

    public required FigureAnswer AirChanges { get; init; }

    public required FigureAnswer AirChangesPlanned { get; init; }

    public required FigureAnswer OtherLoss { get; init; }

    public required FigureAnswer DuctLoss { get; init; }

    public required WorkedFigure? WinterNow { get; init; }

    public required WorkedFigure? WinterPlanned { get; init; }

    public required WorkedFigure? SummerNow { get; init; }

    public required WorkedFigure? SummerPlanned { get; init; }

    public required uint Version { get; init; }
}

/// <summary>Stack pressure in a season.</summary>
public sealed record StackAnswer(WorkedFigure AtTop, FigureAnswer AtFoot, FigureAnswer NeutralPlane);

/// <summary>What is reckoned for the building as a whole.</summary>
public sealed record BuildingAnswer(StackAnswer? WinterStack, StackAnswer? SummerStack, IReadOnlyList<BufferAnswer> Buffers);

internal static class BuildingEndpoints
{
    private static readonly string[] BufferFields = ["name", "kind", "volume", "airChanges", "airChangesPlanned", "otherLoss", "ductLoss"];

    public static void MapBuilding(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/building", OfBuildingAsync)
            .WithTags("Drive")
            .WithSummary("Buffer spaces and stack pressure.")
            .Requires(Right.Look);
        app.MapPost("/api/jobs/{id:guid}/buffers", AddBufferAsync)
            .WithTags("Drive")
            .WithSummary("A new buffer space from typed fields.")
            .Requires(Right.Edit);
        app.MapPatch("/api/buffers/{id:guid}", ChangeBufferAsync)
            .WithTags("Drive")
            .WithSummary("Change typed fields of a buffer space.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        app.MapDelete("/api/buffers/{id:guid}", RemoveBufferAsync)
            .WithTags("Drive")
            .WithSummary("Take a buffer space off; surfaces no longer border on it.")
            .Requires(Right.Edit);
    }

    private static async Task<Ok<BuildingAnswer>> OfBuildingAsync(Guid id, SurfaceReader reader, SheetLibrary library, UmbracellDb db) =>
        TypedResults.Ok(await BuildingAsync(await reader.FindJobAsync(id), reader, library, db));

    private static async Task<BuildingAnswer> BuildingAsync(Job job, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var states = await SurfaceStates.OfAsync(job, reader, library, db);
        var buffers = await db.BufferSpaces.AsNoTracking().Where(b => b.JobId == job.Id).OrderBy(b => b.Name).ToListAsync();
        return new(Stack(job, JobAir.Winter(job)), Stack(job, JobAir.Summer(job)), [.. buffers.Select(b => Buffer(b, job, states))]);
    }

    private static StackAnswer? Stack(Job job, DesignAir air)
    {
        if (StackOf(job, air) is not { } stack)
        {
            return null;
        }

        return new(
            new(FigureAnswer.Of(stack.Working.Result), WorkingAnswer.Of(stack.Working)),
            FigureAnswer.Of(new(stack.AtFoot, Dimension.AirPressure)),
            FigureAnswer.Of(stack.NeutralPlane.ToSpan())
        );
    }

    /// <summary>Stack pressure of a job; null until its height is taken.</summary>
    public static StackPressure? StackOf(Job job, DesignAir air) =>
        job.HeightM is { } height
            ? StackPressure.Of(
                Length.FromMetres(height),
                air.Indoor,
                air.Outdoor,
                StandardAtmosphere.PressureAt(Length.FromMetres(job.AltitudeM))
            )
            : null;

    private static BufferAnswer Buffer(BufferSpaceRow row, Job job, SurfaceStates states) =>
        new()
        {
            Id = row.Id,
            Name = row.Name,
            Kind = row.Kind,
            Volume = FigureAnswer.Of(new(row.VolumeM3, Dimension.RoomVolume)),
            AirChanges = FigureAnswer.Of(new(row.AirChanges, Dimension.AirChanges)),
            AirChangesPlanned = FigureAnswer.Of(new(row.AirChangesPlanned, Dimension.AirChanges)),
            OtherLoss = FigureAnswer.Of(new(row.OtherLossWK, Dimension.HeatLoss)),
            DuctLoss = FigureAnswer.Of(new(row.DuctLossW, Dimension.Power)),
            WinterNow = Floating(states.Float(row, JobAir.Winter(job), planned: false)),
            WinterPlanned = Floating(states.Float(row, JobAir.Winter(job), planned: true)),
            SummerNow = Floating(states.Float(row, JobAir.Summer(job), planned: false)),
            SummerPlanned = Floating(states.Float(row, JobAir.Summer(job), planned: true)),
            Version = row.Version,
        };

    private static WorkedFigure? Floating(BufferSpace? space) =>
        space is null ? null : new(FigureAnswer.Of(space.Temperature.ToFigure()), WorkingAnswer.Of(space.Working));

    private static async Task<Ok<BuildingAnswer>> AddBufferAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands
    )
    {
        var job = await reader.FindJobAsync(id);
        if (!await commands.TakeAsync(edit, null))
        {
            return TypedResults.Ok(await BuildingAsync(job, reader, library, db));
        }

        var fields = new TypedFields(edit);
        fields.Require("name");
        var row = new BufferSpaceRow
        {
            Id = edit.Id ?? Guid.NewGuid(),
            JobId = job.Id,
            Name = "",
        };
        Take(fields, row);
        db.BufferSpaces.Add(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await BuildingAsync(job, reader, library, db));
    }

    private static async Task<Ok<BuildingAnswer>> ChangeBufferAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        SheetLibrary library,
        UmbracellDb db,
        Commands commands
    )
    {
        var row = await FindBufferAsync(id, db);
        var job = await reader.FindJobAsync(row.JobId);
        if (!await commands.TakeAsync(edit, row))
        {
            return TypedResults.Ok(await BuildingAsync(job, reader, library, db));
        }

        await Seen.MustStandAsync(edit.Version, row.Version, () => BuildingAsync(job, reader, library, db));

        Take(new(edit), row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await BuildingAsync(job, reader, library, db));
    }

    private static async Task<Ok<BuildingAnswer>> RemoveBufferAsync(Guid id, SurfaceReader reader, SheetLibrary library, UmbracellDb db)
    {
        var row = await FindBufferAsync(id, db);
        (await db.Surfaces.Where(s => s.BufferId == id).ToListAsync()).ForEach(s => s.BufferId = null);
        db.BufferSpaces.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await BuildingAsync(await reader.FindJobAsync(row.JobId), reader, library, db));
    }

    private static async Task<BufferSpaceRow> FindBufferAsync(Guid id, UmbracellDb db) =>
        await db.BufferSpaces.SingleOrDefaultAsync(b => b.Id == id) ?? throw new NotFoundException("buffer space");

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
