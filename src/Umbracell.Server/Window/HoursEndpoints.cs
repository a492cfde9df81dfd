using System.Security.Claims;
using Umbracell.Questions.Window;
using Umbracell.Server.Access;
using Umbracell.Server.Requests;
using Umbracell.Server.Sheets;

namespace Umbracell.Server.Window;

/// <summary>The hours of a surface, and those other programs ask for, the hours with the question.</summary>
internal static class HoursEndpoints
{
    public static void MapHours(this IEndpointRouteBuilder app)
    {
        app.MapGet(
                "/api/surfaces/{id:guid}/hours",
                async (
                    Guid id,
                    SurfaceWindows windows,
                    CancellationToken stop,
                    bool tent = false,
                    string? product = null,
                    DateTimeOffset? heatFrom = null,
                    double holdC = 20,
                    DateTimeOffset? dryFrom = null,
                    DateTimeOffset? washedAt = null
                ) =>
                    TypedResults.Ok(
                        await windows.OfAsync(id, new(tent, product, heatFrom, holdC) { DryFrom = dryFrom, WashedAt = washedAt }, stop)
                    )
            )
            .WithTags("Window")
            .WithSummary(
                "Which hours can a surface be sprayed in, with what chance, as it is or with something done, and what limits the others?"
            )
            .Requires(Right.Look);
        app.MapGet(
                "/api/jobs/{id:guid}/windows",
                async (Guid id, SurfaceWindows windows, CancellationToken stop) => TypedResults.Ok(await windows.OfJobAsync(id, stop))
            )
            .WithTags("Window")
            .WithSummary("When can each surface of a job be sprayed next, and with what chance?")
            .Requires(Right.Look);
        app.MapGet(
                "/api/surfaces/{id:guid}/months",
                async (Guid id, SurfaceWindows windows, CancellationToken stop) => TypedResults.Ok(await windows.MonthsAsync(id, stop))
            )
            .WithTags("Window")
            .WithSummary("In which months of a usual year can a surface be sprayed unheated?")
            .Requires(Right.Look);
        app.MapGet(
                "/api/surfaces/{id:guid}/washing",
                async (Guid id, SurfaceWindows windows, CancellationToken stop) => TypedResults.Ok(await windows.WashAsync(id, stop))
            )
            .WithTags("Window")
            .WithSummary("By when must a face that is washed have been, to be dry for the next window?")
            .Requires(Right.Look);
        app.MapGet(
                "/api/surfaces/{id:guid}/earlier-starts",
                async (Guid id, SurfaceWindows windows, ClaimsPrincipal user, CancellationToken stop) =>
                    TypedResults.Ok(await windows.EarlierAsync(id, user.May(Right.Price), stop))
            )
            .WithTags("Window")
            .WithSummary("What the crew can do to begin earlier than the weather lets it, what that costs, and how sure it is.")
            .Requires(Right.Look);
        app.MapGet(
                "/api/surfaces/{id:guid}/cheapest-start",
                async (Guid id, SurfaceWindows windows, ClaimsPrincipal user, CancellationToken stop, DateOnly? before = null) =>
                    TypedResults.Ok(await windows.CheapestAsync(id, before, user.May(Right.Price), stop))
            )
            .WithTags("Window")
            .WithSummary("What is the cheapest that opens a start before a day, and why does nothing cheaper? Without a day before any.")
            .Requires(Right.Look);
        app.MapGet(
                "/api/places/{id}/tonight",
                async (string id, Tonight tonight, CancellationToken stop) => TypedResults.Ok(await tonight.OfAsync(id, stop))
            )
            .WithTags("Window")
            .WithSummary("How close do faces in the open come to the dew point tonight?")
            .Requires(Right.Look);
        app.MapPost("/api/compute/face-hours", (FaceHoursQuestion question) => TypedResults.Ok(FaceQuestions.Answer(question)))
            .WithTags("Compute")
            .WithSummary("How warm and how wet is a face in the weather, hour by hour?")
            .Requires(Right.Look)
            .TakesFile(Limits.GridBytes);
        app.MapPost("/api/compute/room-hours", (RoomHoursQuestion question) => TypedResults.Ok(RoomQuestions.Answer(question)))
            .WithTags("Compute")
            .WithSummary("How warm and how humid is a room, hour by hour, heated or not?")
            .Requires(Right.Look)
            .TakesFile(Limits.GridBytes);
        app.MapPost(
                "/api/compute/gate-hours",
                async (GateHoursQuestion question, SheetLibrary library, Guid? job = null) =>
                    TypedResults.Ok(GateHoursQuestions.Answer(question, await library.SuppliesAsync(job)))
            )
            .WithTags("Compute")
            .WithSummary("Which hours can a face be sprayed in, over all members of a forecast?")
            .Requires(Right.Look)
            .TakesFile(Limits.GridBytes);
    }
}
