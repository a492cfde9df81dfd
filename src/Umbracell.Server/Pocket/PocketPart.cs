using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Questions.Pocket;
using Umbracell.Server.Access;
using Umbracell.Server.Requests;
using Umbracell.Server.Sheets;

namespace Umbracell.Server.Pocket;

/// <summary>Quick answers without a job, where the core does not run beside the page.</summary>
internal sealed class PocketPart : IPart
{
    public void AddTo(IServiceCollection services) { }

    public void Map(IEndpointRouteBuilder api) =>
        api.MapPost("/api/compute/pocket", AnswerAsync)
            .WithTags("Compute")
            .WithSummary("A quick question as it is typed: dew margin, sets, thickness for an R, inches, drums.")
            .Requires(Right.Look);

    private static async Task<Ok<PocketAnswer>> AnswerAsync(
        PocketQuestion question,
        SheetLibrary library,
        System.Security.Claims.ClaimsPrincipal person
    )
    {
        var supplies = await library.SuppliesAsync();
        return TypedResults.Ok(PocketQuestions.Answer(question, person.May(Right.Price) ? supplies : supplies with { Rates = null }));
    }
}
