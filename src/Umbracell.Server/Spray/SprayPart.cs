using Umbracell.Questions.Spray;
using Umbracell.Server.Access;
using Umbracell.Server.Requests;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Spray;

/// <summary>Spray: what was done, and when the next lift can go on.</summary>
internal sealed class SprayPart : IPart
{
    public void AddTo(IServiceCollection services)
    {
        services.AddSingleton<IStageCell, SprayCell>();
        services.AddScoped<SprayReader>().AddScoped<JobSprayReader>();
    }

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapSpray();
        api.MapPost(
                "/api/compute/lift",
                async (LiftQuestion question, SheetLibrary library, Guid? job = null) =>
                    TypedResults.Ok(LiftQuestions.Answer(question, await library.SuppliesAsync(job)))
            )
            .WithTags("Compute")
            .WithSummary("How hot does a lift get inside, and when can the next go on?")
            .Requires(Right.Look);
        api.MapPost(
                "/api/compute/spray",
                async (SprayQuestion question, SheetLibrary library, Guid? job = null) =>
                    TypedResults.Ok(SprayQuestions.Answer(question, await library.SuppliesAsync(job)))
            )
            .WithTags("Compute")
            .WithSummary("How far is a surface by its log, and when can the next lift go on?")
            .Requires(Right.Look);
        api.MapPost("/api/compute/yield", (YieldQuestion question) => TypedResults.Ok(YieldQuestions.Answer(question)))
            .WithTags("Compute")
            .WithSummary("What does a set yield as far as the job has shown, and will the sets last?")
            .Requires(Right.Look);
    }
}
