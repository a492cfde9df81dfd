using Umbracell.Questions.Rig;
using Umbracell.Server.Access;
using Umbracell.Server.Requests;
using Umbracell.Server.Rig.Sequences;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Rig;

/// <summary>Rig: set points, test shots and who accepted them.</summary>
internal sealed class RigPart : IPart
{
    public void AddTo(IServiceCollection services)
    {
        services.AddSingleton<IStageCell, RigCell>();
        services.AddScoped<RigReader>();
        services.AddScoped<SprayerChecks>();
        services.AddScoped<SequenceReader>();
    }

    public void Map(IEndpointRouteBuilder api)
    {
        api.MapRig();
        api.MapSequences();
        api.MapRuns();
        api.MapPost(
                "/api/compute/test-shot",
                async (TestShotQuestion question, SheetLibrary library, Guid? job = null) =>
                    TypedResults.Ok(TestShotQuestions.Answer(question, await library.SuppliesAsync(job)))
            )
            .WithTags("Compute")
            .WithSummary("What does a test shot say: what is likely wrong, what is done next, and can it be accepted?")
            .Requires(Right.Look);
        api.MapPost(
                "/api/compute/set-points",
                async (SetPointsQuestion question, SheetLibrary library, Guid? job = null) =>
                    TypedResults.Ok(SetPointsQuestions.Answer(question, await library.SuppliesAsync(job)))
            )
            .WithTags("Compute")
            .WithSummary("Which set points does a rig reach for a product, and what would help where it does not?")
            .Requires(Right.Look);
    }
}
