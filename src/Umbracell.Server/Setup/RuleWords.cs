using System.Text.Json.Nodes;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;
using Umbracell.Core.Findings;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;

namespace Umbracell.Server.Setup;

/// <summary>Tells in the description of the interface which rules there are and how each can end: the page's types come from there, so
/// that a rule it names and nobody declares does not compile.</summary>
internal static class RuleWords
{
    public static Task WriteAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancel)
    {
        if (context.JsonTypeInfo.Type == typeof(FindingAnswer) || context.JsonTypeInfo.Type == typeof(MissingAnswer))
        {
            Only(schema, "rule", RuleBook.All.Select(rule => rule.Id));
            Only(schema, "case", RuleBook.All.SelectMany(rule => rule.Cases).Select(one => one.Name));
        }

        return Task.CompletedTask;
    }

    private static void Only(OpenApiSchema schema, string property, IEnumerable<string> words)
    {
        if (schema.Properties?[property] is OpenApiSchema text)
        {
            text.Enum = [.. words.Distinct().Order(StringComparer.Ordinal).Select(word => (JsonNode)word)];
        }
    }
}
