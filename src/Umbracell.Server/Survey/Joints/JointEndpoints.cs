using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Assemblies;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Problems;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Joints;

/// <summary>A joint as the survey shows it.</summary>
public sealed record JointAnswer
{
    public required Guid Id { get; init; }

    public required JointKind Kind { get; init; }

    public required Guid FirstId { get; init; }

    public required Guid? SecondId { get; init; }

    public required string First { get; init; }

    public required string Second { get; init; }

    public required Handover Water { get; init; }

    public required Handover Air { get; init; }

    public required Handover Vapour { get; init; }

    public required Handover Heat { get; init; }

    public required string How { get; init; }

    public required string DoneBy { get; init; }

    public required bool Ready { get; init; }

    public required string SeenBy { get; init; }

    public required DateTimeOffset? SeenAt { get; init; }

    public required bool Solved { get; init; }

    public required FindingAnswer Finding { get; init; }

    public required uint Version { get; init; }
}

/// <summary>A joint the kinds suggest, not yet taken or dismissed.</summary>
public sealed record SuggestedJointAnswer
{
    public required JointKind Kind { get; init; }

    public required Guid FirstId { get; init; }

    public required Guid? SecondId { get; init; }

    public required string First { get; init; }

    public required string Second { get; init; }

    public required bool SameName { get; init; }
}

/// <summary>The joints of a job.</summary>
public sealed record JointsAnswer(IReadOnlyList<JointAnswer> Joints, IReadOnlyList<SuggestedJointAnswer> Suggested, int DoNotMeet);

internal static class JointEndpoints
{
    private static readonly string[] Fields =
    [
        "kind",
        "first",
        "second",
        "beyond",
        "water",
        "air",
        "vapour",
        "heat",
        "how",
        "doneBy",
        "ready",
        "seen",
        "doNotMeet",
    ];

    public static void MapJoints(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/jobs/{id:guid}/joints", ListAsync)
            .WithTags("Joints")
            .WithSummary("Joints of a job, and those its kinds of surface suggest.")
            .Requires(Right.Look);
        app.MapPost("/api/jobs/{id:guid}/joints", AddAsync)
            .WithTags("Joints")
            .WithSummary("A new joint from typed fields.")
            .Requires(Right.Edit);
        app.MapPatch("/api/joints/{id:guid}", ChangeAsync)
            .WithTags("Joints")
            .WithSummary("Change typed fields of a joint.")
            .Requires(Right.Edit)
            .ProducesProblem(409);
        app.MapDelete("/api/joints/{id:guid}", RemoveAsync)
            .WithTags("Joints")
            .WithSummary("Forget a joint; it may be suggested again.")
            .Requires(Right.Edit);
    }

    private static async Task<Ok<JointsAnswer>> ListAsync(Guid id, SurfaceReader reader, UmbracellDb db)
    {
        var job = await reader.FindJobAsync(id);
        return TypedResults.Ok(await AnswerAsync(job.Id, reader, db));
    }

    private static async Task<JointsAnswer> AnswerAsync(Guid job, SurfaceReader reader, UmbracellDb db)
    {
        var rows = await db.Joints.AsNoTracking().Where(j => j.JobId == job).ToListAsync();
        var surfaces = await reader.SurfacesAsync(job);
        var order = surfaces.Select((s, i) => (s.Id, i)).ToDictionary(p => p.Id, p => p.i);
        var names = surfaces.ToDictionary(s => s.Id, s => s.Name);
        var standing = rows.Where(r => order.ContainsKey(r.FirstId) && (r.SecondId is null || order.ContainsKey(r.SecondId.Value)))
            .ToList();
        var met = standing.Select(r => Key(r.Kind, r.FirstId, r.SecondId)).ToHashSet();
        var suggested = JointSuggestions
            .For([.. surfaces.Select(s => new MeetingSurface(s.Id, s.Name, s.Kind, s.Shape))])
            .Where(s => !met.Contains(Key(s.Kind, s.First, s.Second)))
            .Select(s => new SuggestedJointAnswer
            {
                Kind = s.Kind,
                FirstId = s.First,
                SecondId = s.Second,
                First = names[s.First],
                Second = s.Second is { } second ? names[second] : "",
                SameName = s.SameName,
            });
        return new(
            [.. standing.Where(r => !r.DoNotMeet).OrderBy(r => order[r.FirstId]).ThenBy(r => r.Kind).Select(r => Of(r, names))],
            [.. suggested],
            standing.Count(r => r.DoNotMeet)
        );
    }

    private static (JointKind, Guid, Guid?) Key(JointKind kind, Guid first, Guid? second) =>
        second is { } other && other.CompareTo(first) < 0 ? (kind, other, first) : (kind, first, second);

    private static JointAnswer Of(JointRow row, Dictionary<Guid, string> names)
    {
        var shape = SurveyRecords.Shape(row);
        var second = row.SecondId is { } id ? names.GetValueOrDefault(id, "") : row.Beyond;
        return new()
        {
            Id = row.Id,
            Kind = row.Kind,
            FirstId = row.FirstId,
            SecondId = row.SecondId,
            First = names.GetValueOrDefault(row.FirstId, ""),
            Second = second,
            Water = row.Water,
            Air = row.Air,
            Vapour = row.Vapour,
            Heat = row.Heat,
            How = row.How,
            DoneBy = row.DoneBy,
            Ready = row.Ready,
            SeenBy = row.SeenBy,
            SeenAt = row.SeenAt,
            Solved = shape.IsSolved,
            Finding = FindingAnswer.Of(JointCheck.Of(shape, second)),
            Version = row.Version,
        };
    }

    private static async Task<Created<JointsAnswer>> AddAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var job = await reader.FindJobAsync(id);
        var stamp = Stamp.Of(user, clock, edit);
        if (!await commands.TakeAsync(edit, null, stamp))
        {
            return TypedResults.Created($"/api/joints/{edit.Id}", await AnswerAsync(job.Id, reader, db));
        }

        var fields = new TypedFields(edit);
        fields.Require("kind", "first");

        var row = new JointRow { Id = edit.Id ?? Guid.NewGuid(), JobId = job.Id };
        await TakeAsync(fields, row, reader, stamp, isNew: true);
        db.Joints.Add(row);
        await db.SaveChangesAsync();
        return TypedResults.Created($"/api/joints/{row.Id}", await AnswerAsync(job.Id, reader, db));
    }

    private static async Task<Ok<JointsAnswer>> ChangeAsync(
        Guid id,
        TypedEdit edit,
        SurfaceReader reader,
        UmbracellDb db,
        Commands commands,
        ClaimsPrincipal user,
        TimeProvider clock
    )
    {
        var row = await FindAsync(id, db);
        if (!await commands.TakeAsync(edit, row))
        {
            return TypedResults.Ok(await AnswerAsync(row.JobId, reader, db));
        }

        await Seen.MustStandAsync(edit.Version, row.Version, async () => Of(row, await reader.NamesAsync(row.JobId)));

        await TakeAsync(new(edit), row, reader, Stamp.Of(user, clock), isNew: false);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(row.JobId, reader, db));
    }

    private static async Task<Ok<JointsAnswer>> RemoveAsync(Guid id, SurfaceReader reader, UmbracellDb db)
    {
        var row = await FindAsync(id, db);
        db.Joints.Remove(row);
        await db.SaveChangesAsync();
        return TypedResults.Ok(await AnswerAsync(row.JobId, reader, db));
    }

    private static async Task<JointRow> FindAsync(Guid id, UmbracellDb db) =>
        await db.Joints.SingleOrDefaultAsync(j => j.Id == id) ?? throw new NotFoundException("joint");

    private static async Task TakeAsync(TypedFields fields, JointRow row, SurfaceReader reader, Stamp stamp, bool isNew)
    {
        var known = await reader.NamesAsync(row.JobId);
        fields.Choice<JointKind>("kind", kind => Become(row, kind));
        if (isNew)
        {
            fields.Known(
                "first",
                id => Guid.TryParse(id, out var surface) && known.ContainsKey(surface),
                id => row.FirstId = Guid.Parse(id)
            );
            fields.Id("second", id => known.ContainsKey(id) && id != row.FirstId, id => row.SecondId = id);
        }

        fields.Text("beyond", 120, required: false, text => row.Beyond = text);
        fields.Choice<Handover>("water", value => row.Water = value);
        fields.Choice<Handover>("air", value => row.Air = value);
        fields.Choice<Handover>("vapour", value => row.Vapour = value);
        fields.Choice<Handover>("heat", value => row.Heat = value);
        fields.Text("how", 300, required: false, text => row.How = text);
        fields.Text("doneBy", 120, required: false, text => row.DoneBy = text);
        fields.YesNo("ready", yes => row.Ready = yes == true);
        fields.YesNo("seen", yes => (row.SeenAt, row.SeenBy) = stamp.Where(yes));
        fields.YesNo("doNotMeet", yes => row.DoNotMeet = yes == true);
        CheckReady(fields, row);
        fields.ThrowIfFaulty(Fields);
    }

    private static void Become(JointRow row, JointKind kind)
    {
        var start = Core.Assemblies.Joints.Start(kind).Layers;
        row.Kind = kind;
        (row.Water, row.Air, row.Vapour, row.Heat) = (
            start[ControlLayer.Water],
            start[ControlLayer.Air],
            start[ControlLayer.Vapour],
            start[ControlLayer.Heat]
        );
    }

    // Nobody can have seen what nobody takes on: ready and seen follow a solved joint only.
    private static void CheckReady(TypedFields fields, JointRow row)
    {
        var solved = SurveyRecords.Shape(row).IsSolved;
        if (!solved && row.Ready && fields.Has("ready"))
        {
            fields.Fault(
                new()
                {
                    Field = "ready",
                    Code = FaultCode.Unsolved,
                    Typed = "yes",
                }
            );
        }
        else if (!solved)
        {
            row.Ready = false;
        }

        if (!row.Ready && row.SeenBy.Length > 0)
        {
            (row.SeenBy, row.SeenAt) = ("", null);
            if (fields.Has("seen"))
            {
                fields.Fault(
                    new()
                    {
                        Field = "seen",
                        Code = FaultCode.NotReady,
                        Typed = "yes",
                    }
                );
            }
        }
    }
}
