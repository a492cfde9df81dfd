using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Questions.Price;
using Umbracell.Server.Access;
using Umbracell.Server.Sheets;

namespace Umbracell.Server.Sets.Price;

/// <summary>Questions of material and money for other programs, SI, with the firm's sheets and rates.</summary>
internal static class PriceCompute
{
    public static void MapPriceCompute(this IEndpointRouteBuilder app)
    {
        var compute = app.MapGroup("/api/compute").WithTags("Compute").Requires(Right.Look);
        compute.MapPost("/bid", BidAsync).WithSummary("What surfaces cost by the firm's rates; for those who price.").Requires(Right.Price);
        compute.MapPost("/cold-routes", RoutesAsync).WithSummary("The ways to spray a surface on a cold day side by side.");
        compute
            .MapPost("/drum", (DrumQuestion question) => TypedResults.Ok(DrumQuestions.Answer(question)))
            .WithSummary("A drum after a time in a blanket or bare, and when the blanket must go on.");
    }

    private static async Task<Ok<BidAnswer>> BidAsync(BidQuestion question, SheetLibrary library, Guid? job = null) =>
        TypedResults.Ok(BidQuestions.Answer(question, await library.SuppliesAsync(job)));

    private static async Task<Ok<IReadOnlyList<ColdRouteAnswer>>> RoutesAsync(
        ColdRoutesQuestion question,
        SheetLibrary library,
        Guid? job = null
    ) => TypedResults.Ok(ColdRouteQuestions.Answer(question, await library.SuppliesAsync(job)));
}
