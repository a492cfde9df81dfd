using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Formats.Pictures;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Requests;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;

namespace Umbracell.Server.Survey.State;

/// <summary>A photo without its bytes.</summary>
public sealed record PhotoAnswer
{
    public required Guid Id { get; init; }

    public required Guid? SurfaceId { get; init; }

    /// <summary>The test shot it shows; null for any other photo.</summary>
    public required Guid? TestShotId { get; init; }

    /// <summary>The entry of the spray log it shows; null for any other photo.</summary>
    public required Guid? LogEntryId { get; init; }

    public required string Caption { get; init; }

    public required int Width { get; init; }

    public required int Height { get; init; }

    public required DateTimeOffset AddedAt { get; init; }

    public required string AddedBy { get; init; }

    public required uint Version { get; init; }
}

internal static class PhotoEndpoints
{
    private const int MostOfAJob = 2000;

    public static void MapPhotos(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/photos", ListAsync).WithTags("State").WithSummary("Photos of a job.").Requires(Right.Look);
        app.MapPost("/api/jobs/{id:guid}/photos", AddAsync)
            .WithTags("State")
            .WithSummary("A photo (JPEG or PNG); the file is the body. Where it was taken is removed.")
            .Requires(Right.Record)
            .Accepts<byte[]>("application/octet-stream")
            .TakesFile(Limits.PhotoBytes);
        app.MapPatch("/api/photos/{id:guid}", ChangeAsync)
            .WithTags("State")
            .WithSummary("Caption of a photo.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        app.MapDelete("/api/photos/{id:guid}", RemoveAsync).WithTags("State").WithSummary("Take a photo off.").Requires(Right.Edit);
        app.MapGet("/api/photos/{id:guid}/picture", PictureAsync).WithTags("State").WithSummary("The picture.").Requires(Right.Look);
        app.MapGet("/api/photos/{id:guid}/thumbnail", ThumbnailAsync)
            .WithTags("State")
            .WithSummary("The picture, small.")
            .Requires(Right.Look);
    }

    private static async Task<Ok<List<PhotoAnswer>>> ListAsync(Guid id, SurfaceReader reader, UmbracellDb db) =>
        TypedResults.Ok(await AllAsync((await reader.FindJobAsync(id)).Id, db));

    private static Task<List<PhotoAnswer>> AllAsync(Guid job, UmbracellDb db) =>
        db
            .Photos.AsNoTracking()
            .Where(p => p.JobId == job)
            .OrderBy(p => p.AddedAt)
            .Select(p => new PhotoAnswer
            {
                Id = p.Id,
                SurfaceId = p.SurfaceId,
                TestShotId = p.TestShotId,
                LogEntryId = p.LogEntryId,
                Caption = p.Caption,
                Width = p.Width,
                Height = p.Height,
                AddedAt = p.AddedAt,
                AddedBy = p.AddedBy,
                Version = p.Version,
            })
            .ToListAsync();

    private static async Task<Ok<List<PhotoAnswer>>> AddAsync(
        Guid id,
        HttpRequest request,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock,
        Guid? surface = null,
        Guid? shot = null,
        Guid? entry = null,
        string caption = "",
        Guid? command = null,
        DateTimeOffset? at = null
    )
    {
        var job = await reader.FindJobAsync(id);
        var sent = new SentAlone(command, at);
        var stamp = Stamp.Of(user, clock, sent);
        if (!await commands.TakeAsync(sent, null, stamp))
        {
            return TypedResults.Ok(await AllAsync(job.Id, db));
        }

        if (surface is { } known && !(await reader.NamesAsync(job.Id)).ContainsKey(known))
        {
            throw new NotFoundException("surface");
        }

        if (shot is { } fired && !await db.TestShots.AnyAsync(s => s.Id == fired && s.JobId == job.Id))
        {
            throw new NotFoundException("test shot");
        }

        if (entry is { } logged && !await db.SprayLog.AnyAsync(e => e.Id == logged && e.JobId == job.Id))
        {
            throw new NotFoundException("entry of the log");
        }

        var picture = PictureFile.Read(await Uploads.ReadAsync(request));
        if (await db.Photos.CountAsync(p => p.JobId == job.Id) >= MostOfAJob)
        {
            throw FieldFaultsException.Of("file", FaultCode.TooMany, caption);
        }

        db.Photos.Add(
            new()
            {
                Id = command ?? Guid.NewGuid(),
                JobId = job.Id,
                SurfaceId = surface,
                TestShotId = shot,
                LogEntryId = entry,
                Caption = caption.Length <= 200 ? caption : caption[..200],
                ContentType = picture.ContentType,
                Bytes = picture.Bytes,
                Thumbnail = picture.Thumbnail,
                Width = picture.Width,
                Height = picture.Height,
                AddedAt = stamp.At,
                ReceivedAt = stamp.ReceivedAt,
                AddedBy = stamp.By,
            }
        );
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(job.Id, db));
    }

    private static async Task<Ok<List<PhotoAnswer>>> ChangeAsync(Guid id, TypedEdit edit, UmbracellDb db, Commands commands)
    {
        var photo = await db.Photos.SingleOrDefaultAsync(p => p.Id == id) ?? throw new NotFoundException("photo");
        if (!await commands.TakeAsync(edit, photo))
        {
            return TypedResults.Ok(await AllAsync(photo.JobId, db));
        }

        await Seen.MustStandAsync(edit.Version, photo.Version, () => AllAsync(photo.JobId, db));

        var fields = new TypedFields(edit);
        fields.Text("caption", 200, required: false, text => photo.Caption = text);
        fields.ThrowIfFaulty("caption");
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AllAsync(photo.JobId, db));
    }

    private static async Task<NoContent> RemoveAsync(Guid id, UmbracellDb db) =>
        await db.Photos.Where(p => p.Id == id).ExecuteDeleteAsync() > 0 ? TypedResults.NoContent() : throw new NotFoundException("photo");

    private static async Task<FileContentHttpResult> PictureAsync(Guid id, UmbracellDb db, HttpResponse response)
    {
        var photo =
            await db.Photos.AsNoTracking().Where(p => p.Id == id).Select(p => new { p.Bytes, p.ContentType }).SingleOrDefaultAsync()
            ?? throw new NotFoundException("photo");
        return Picture(photo.Bytes, photo.ContentType, response);
    }

    private static async Task<FileContentHttpResult> ThumbnailAsync(Guid id, UmbracellDb db, HttpResponse response) =>
        Picture(
            await db.Photos.AsNoTracking().Where(p => p.Id == id).Select(p => p.Thumbnail).SingleOrDefaultAsync()
                ?? throw new NotFoundException("photo"),
            "image/jpeg",
            response
        );

    // A photo never changes under its id; only its firm may keep it.
    private static FileContentHttpResult Picture(byte[] bytes, string type, HttpResponse response)
    {
        response.Headers.CacheControl = "private, max-age=86400";
        return TypedResults.File(bytes, type);
    }
}
