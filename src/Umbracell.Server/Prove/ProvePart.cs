using Umbracell.Questions.Prove;
using Umbracell.Server.Access;
using Umbracell.Server.Papers;
using Umbracell.Server.Requests;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Prove;

/// <summary>Prove: is it thick enough, tight enough and sound, and when do people come back?</summary>
internal sealed class ProvePart : IPart
{
    public void AddTo(IServiceCollection services)
    {
        services.AddSingleton<IStageCell, ProveCell>();
        services.AddScoped<ProofReader>().AddScoped<TightnessReader>().AddScoped<IPaperMaker, DoorPaper>();
    }

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapProve();
        api.MapPost(
                "/api/compute/depth",
                async (DepthQuestion question, SheetLibrary library, Guid? job = null) =>
                    TypedResults.Ok(DepthQuestions.Answer(question, await library.SuppliesAsync(job)))
            )
            .WithTags("Compute")
            .WithSummary("Is the foam thick enough by its readings, how surely, and what R does it have?")
            .Requires(Right.Look);
        api.MapPost(
                "/api/compute/proof",
                async (ProofQuestion question, SheetLibrary library, Guid? job = null) =>
                    TypedResults.Ok(ProofQuestions.Answer(question, await library.SuppliesAsync(job)))
            )
            .WithTags("Compute")
            .WithSummary("Is a finished surface thick enough and sound by its log, and can it be covered?")
            .Requires(Right.Look);
        api.MapPost(
                "/api/compute/reentry",
                async (ReEntryQuestion question, SheetLibrary library, Guid? job = null) =>
                    TypedResults.Ok(ReEntryQuestions.Answer(question, await library.SuppliesAsync(job)))
            )
            .WithTags("Compute")
            .WithSummary("When do people without protection come back, by the sheet and the ventilation that ran?")
            .Requires(Right.Look);
    }
}
