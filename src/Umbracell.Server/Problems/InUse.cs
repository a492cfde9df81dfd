using System.Globalization;
using Microsoft.AspNetCore.Http.HttpResults;
using Umbracell.Formats.Words;

namespace Umbracell.Server.Problems;

/// <summary>Refuses to take away what jobs still name.</summary>
internal static class InUse
{
    /// <param name="what">Which message of the catalogue's <c>problem.inUse</c> tells it.</param>
    /// <param name="jobs">How many jobs name it.</param>
    public static ProblemHttpResult Refusal(string what, int jobs) =>
        TypedResults.Problem(
            WordCatalog.Say($"problem.inUse.{what}", ("count", jobs.ToString(CultureInfo.InvariantCulture))),
            statusCode: 409,
            title: WordCatalog.Say("problem.title.inUse")
        );
}
