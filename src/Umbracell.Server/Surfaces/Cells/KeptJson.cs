using System.Text.Json;
using System.Text.Json.Serialization;

namespace Umbracell.Server.Surfaces;

/// <summary>How kept figures are written and read.</summary>
internal static class KeptJson
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter(JsonNamingPolicy.CamelCase, allowIntegerValues: false) },
    };

    public static string Write<T>(T value) => JsonSerializer.Serialize(value, Options);

    public static T Read<T>(string document) => JsonSerializer.Deserialize<T>(document, Options)!;
}
