using Umbracell.Questions.Rig;
using Umbracell.Server.Access;
using Umbracell.Server.Requests;
using Umbracell.Server.Sheets;

namespace Umbracell.Server.Rig;

/// <summary>Rig: a test shot read.</summary>
internal sealed class RigPart : IPart
{
    public void AddTo(IServiceCollection services) { }

    public void Map(IEndpointRouteBuilder api) =>
        api.MapPost(
                "/api/compute/test-shot",
                async (TestShotQuestion question, SheetLibrary library, Guid? job = null) =>
                    TypedResults.Ok(TestShotQuestions.Answer(question, await library.SuppliesAsync(job)))
            )
            .WithTags("Compute")
            .WithSummary("What does a test shot say: what is likely wrong, what is done next, and can it be accepted?")
            .Requires(Right.Look);
}
