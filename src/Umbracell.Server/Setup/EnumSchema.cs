using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace Umbracell.Server.Setup;

/// <summary>A list of words is described once, for where it can be left out and where it cannot. Whether it can is said where it is used; in
/// the list itself there is no empty word, whichever use comes first.</summary>
internal static class EnumSchema
{
    public static Task WriteAsync(OpenApiSchema schema, OpenApiSchemaTransformerContext context, CancellationToken cancel)
    {
        if (Nullable.GetUnderlyingType(context.JsonTypeInfo.Type)?.IsEnum == true && schema.Enum is { } words)
        {
            schema.Enum = [.. words.Where(word => word?.GetValueKind() == System.Text.Json.JsonValueKind.String)];
        }

        return Task.CompletedTask;
    }
}
