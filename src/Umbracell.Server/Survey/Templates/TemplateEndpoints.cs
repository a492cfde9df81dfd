using System.Text.Json;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Materials;
using Umbracell.Server.Problems;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Templates;

/// <summary>Assemblies a firm meets again: kept from a surface, changed, and forgotten. Surfaces made from one stay as they are.</summary>
internal static class TemplateEndpoints
{
    private const int LongestName = 120;

    public static void MapTemplates(this IEndpointRouteBuilder app)
    {
        app.MapPost("/api/surfaces/{id:guid}/template", SaveAsync)
            .WithTags("Survey")
            .WithSummary("Keep a surface's assembly as a template of the firm.")
            .Requires(Right.Edit);
        var templates = app.MapGroup("/api/templates").WithTags("Survey").Requires(Right.Look);
        templates.MapGet("", AllAsync).WithSummary("The firm's own templates.");
        templates
            .MapPatch("/{id:guid}", ChangeAsync)
            .WithSummary("Change the name, members or layers of a template; surfaces made from it stay as they are.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        templates
            .MapDelete("/{id:guid}", RemoveAsync)
            .WithSummary("Forget a template; surfaces made from it stay as they are.")
            .Requires(Right.Edit);
    }

    private static async Task<Ok<List<TemplateAnswer>>> AllAsync(UmbracellDb db) =>
        TypedResults.Ok((await db.Templates.AsNoTracking().OrderBy(t => t.Name).ToListAsync()).ConvertAll(Answer));

    private static async Task<Created<TemplateAnswer>> SaveAsync(
        Guid id,
        Named named,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        Guid? command = null
    )
    {
        var (surface, _) = await reader.FindAsync(id);
        var name = named.Name.Trim();
        if (name.Length is 0 or > LongestName)
        {
            throw FieldFaultsException.Of(
                "name",
                name.Length == 0 ? FaultCode.Empty : FaultCode.TooLong,
                name.Length == 0 ? "" : name[..40]
            );
        }

        var isNew = await commands.TakeAsync(new SentAlone(command), null);
        var template = isNew
            ? new TemplateRow
            {
                Id = command ?? Guid.NewGuid(),
                Name = name,
                Kind = surface.Kind,
                Document = Written(surface),
            }
            : await FindAsync(command!.Value, db);
        if (isNew)
        {
            db.Templates.Add(template);
            await db.SaveChangesAsync();
        }

        return TypedResults.Created($"/api/templates/{template.Id}", Answer(template));
    }

    private static async Task<Ok<TemplateAnswer>> ChangeAsync(Guid id, TypedEdit edit, UmbracellDb db, Commands commands)
    {
        var row = await FindAsync(id, db);
        if (await commands.TakeAsync(edit, row))
        {
            Seen.MustStand(edit.Version, row.Version, () => Answer(row));
            var (fields, surface) = (new TypedFields(edit), SurfaceOf(row));
            fields.Text("name", LongestName, required: true, name => row.Name = name);
            AssemblyEdits.Take(fields, surface, FirmMaterials.AddedBy(await db.Firms.AsNoTracking().SingleAsync()));
            fields.ThrowIfFaulty(["name", .. AssemblyEdits.Fields]);
            if (edit.Fields.Keys.Any(AssemblyEdits.Fields.Contains))
            {
                row.Document = Written(surface);
            }

            await db.SaveChangesAsync();
        }

        return TypedResults.Ok(Answer(row));
    }

    private static async Task<NoContent> RemoveAsync(Guid id, UmbracellDb db)
    {
        db.Templates.Remove(await FindAsync(id, db));
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<TemplateRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.Templates.SingleOrDefaultAsync(t => t.Id == id) ?? throw new NotFoundException("template");

    private static TemplateAnswer Answer(TemplateRow row)
    {
        var surface = SurfaceOf(row);
        var hasMembers = surface.MemberMaterial != MemberMaterial.None;
        return new()
        {
            Id = row.Id,
            Name = row.Name,
            Kind = row.Kind,
            MemberMaterial = surface.MemberMaterial,
            MemberDepth = hasMembers ? Thickness(surface.MemberDepthM) : null,
            MemberSpacing = hasMembers ? Thickness(surface.MemberSpacingM) : null,
            Outboard = [.. surface.Assembly.Outboard.Select(SurfaceAnswers.Layer)],
            Inboard = [.. surface.Assembly.Inboard.Select(SurfaceAnswers.Layer)],
            VentChannel = surface.Assembly.VentChannelMm > 0 ? Thickness(surface.Assembly.VentChannelMm / 1000) : null,
            Version = row.Version,
        };
    }

    // What is typed into a surface is typed into the surface a template makes.
    private static Surface SurfaceOf(TemplateRow row)
    {
        var surface = new Surface { Name = row.Name };
        SurfaceStart.Become(surface, JsonSerializer.Deserialize<AssemblyTemplate>(row.Document, DataFile.Json)!);
        return surface;
    }

    private static string Written(Surface surface) => JsonSerializer.Serialize(SurfaceStart.ToTemplate(surface), DataFile.Json);

    private static FigureAnswer Thickness(double metres) => FigureAnswer.Of(new(metres, Dimension.Thickness));
}
