using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Targets;

/// <summary>The greatest U of one part of the envelope in one zone.</summary>
public sealed record TargetCell(string Field, string Zone, FigureAnswer GreatestU);

/// <summary>Targets of one part of the envelope.</summary>
public sealed record TargetLine(string Element, IReadOnlyList<TargetCell> Cells);

/// <summary>What the insulation of a slab on ground must have in one zone.</summary>
/// <param name="Zone">Zone.</param>
/// <param name="LeastR">Least R.</param>
/// <param name="Along">How far along its edge.</param>
public sealed record SlabCell(string Zone, FigureAnswer LeastR, FigureAnswer Along);

/// <summary>A target set with every figure.</summary>
public sealed record TargetSetDetail
{
    public required string Id { get; init; }

    public required string Edition { get; init; }

    public required string BasedOn { get; init; }

    public required bool Own { get; init; }

    public required IReadOnlyList<TargetLine> Lines { get; init; }

    public required IReadOnlyList<SlabCell> Slabs { get; init; }

    public required uint Version { get; init; }
}

internal static class TargetEndpoints
{
    private static readonly FigureRange GreatestU = new(0.02, 8, Dimension.Transmittance);

    public static void MapTargets(this IEndpointRouteBuilder app)
    {
        var sets = app.MapGroup("/api/target-sets").WithTags("Targets").Requires(Right.Look);
        sets.MapGet("", async (UmbracellDb db) => TypedResults.Ok(await AllAsync(db)))
            .WithSummary("Target sets that ship and the firm's own, with every figure.");
        sets.MapPost("", AddAsync).WithSummary("A target set of the firm's own, made from another.").Requires(Right.Edit);
        sets.MapPatch("/{id:guid}", ChangeAsync)
            .WithSummary("Change the name or typed figures of a target set of the firm's own.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        sets.MapDelete("/{id:guid}", RemoveAsync)
            .WithSummary("Take a target set of the firm's own away; one that a job is held to stays.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
    }

    /// <summary>Every set, the firm's own first.</summary>
    public static async Task<List<TargetSetDetail>> AllAsync(UmbracellDb db) =>
        [
            .. (await db.TargetSets.AsNoTracking().OrderBy(t => t.Edition).ToListAsync()).Select(Answer),
            .. ShippedData.TargetSets.Values.Select(set => Answer(set, set.Id, own: false, 0)),
        ];

    private static TargetSetDetail Answer(TargetSetRow row) => Answer(JobTargets.Of(row), row.BasedOn, own: true, row.Version);

    private static TargetSetDetail Answer(TargetSet set, string basedOn, bool own, uint version) =>
        new()
        {
            Id = set.Id,
            Edition = set.Edition,
            BasedOn = basedOn,
            Own = own,
            Lines =
            [
                .. set
                    .GreatestU.OrderBy(e => e.Key)
                    .Select(e => new TargetLine(
                        Vocabulary.KeyOf(e.Key),
                        [
                            .. e
                                .Value.OrderBy(z => z.Key, StringComparer.Ordinal)
                                .Select(z => new TargetCell(Field(e.Key.ToString(), z.Key), z.Key, FigureAnswer.Of(z.Value.ToFigure()))),
                        ]
                    )),
            ],
            Slabs =
            [
                .. set
                    .Slabs.OrderBy(z => z.Key, StringComparer.Ordinal)
                    .Select(z => new SlabCell(
                        z.Key,
                        FigureAnswer.Of(z.Value.LeastR.ToFigure()),
                        FigureAnswer.Of(z.Value.Along.ToThickness())
                    )),
            ],
            Version = version,
        };

    private static string Field(string element, string zone) => $"u:{element}:{zone}";

    private static async Task<Created<TargetSetDetail>> AddAsync(TypedEdit edit, UmbracellDb db, Commands commands)
    {
        if (!await commands.TakeAsync(edit, null))
        {
            var first = await FindAsync(edit.Id!.Value, db);
            return TypedResults.Created($"/api/target-sets/{first.Id}", Answer(first));
        }

        var fields = new TypedFields(edit);
        fields.Require("name", "basedOn");
        var known = (await db.TargetSets.AsNoTracking().ToListAsync())
            .Select(row => (Id: row.Id.ToString(), row.BasedOn, Set: JobTargets.Of(row)))
            .Concat(ShippedData.TargetSets.Values.Select(set => (set.Id, BasedOn: set.Id, Set: set)))
            .ToDictionary(one => one.Id);
        var from = ShippedData.TargetSets.Keys.First();
        var name = "";
        fields.Text("name", 120, required: true, text => name = text);
        fields.Known("basedOn", known.ContainsKey, id => from = id);
        fields.ThrowIfFaulty(["name", "basedOn"]);
        var row = new TargetSetRow
        {
            Id = edit.Id ?? Guid.NewGuid(),
            Edition = name,
            BasedOn = known[from].BasedOn,
            GreatestU = Figures(known[from].Set),
        };
        db.TargetSets.Add(row);
        await db.SaveChangesAsync();
        return TypedResults.Created($"/api/target-sets/{row.Id}", Answer(row));
    }

    private static Dictionary<string, Dictionary<string, double>> Figures(TargetSet set) =>
        set.GreatestU.ToDictionary(e => e.Key.ToString(), e => e.Value.ToDictionary(z => z.Key, z => z.Value.WattsPerSquareMetreKelvin));

    private static async Task<Ok<TargetSetDetail>> ChangeAsync(Guid id, TypedEdit edit, UmbracellDb db, Commands commands)
    {
        var row = await FindAsync(id, db);
        if (!await commands.TakeAsync(edit, row))
        {
            return TypedResults.Ok(Answer(row));
        }

        Seen.MustStand(edit.Version, row.Version, () => Answer(row));

        var fields = new TypedFields(edit);
        fields.Text("name", 120, required: true, text => row.Edition = text);
        var figures = Figures(JobTargets.Of(row));
        foreach (var (element, zones) in figures)
        {
            foreach (var zone in zones.Keys.ToList())
            {
                fields.Quantity(Field(element, zone), GreatestU, si => zones[zone] = si);
            }
        }

        fields.ThrowIfFaulty(["name", .. figures.SelectMany(e => e.Value.Keys.Select(zone => Field(e.Key, zone)))]);
        row.GreatestU = figures;
        await db.SaveChangesAsync();
        return TypedResults.Ok(Answer(row));
    }

    private static async Task<Results<NoContent, ProblemHttpResult>> RemoveAsync(Guid id, UmbracellDb db)
    {
        var row = await FindAsync(id, db);
        if (await db.Jobs.WithDeleted().CountAsync(j => j.OwnTargetsId == id) is > 0 and var jobs)
        {
            return InUse.Refusal("targetSet", jobs);
        }

        db.TargetSets.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.NoContent();
    }

    private static async Task<TargetSetRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.TargetSets.FirstOrDefaultAsync(t => t.Id == id) ?? throw new NotFoundException("target set");
}
