using System.Text.Json;
using System.Text.Json.Serialization;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Umbracell.Store;

/// <summary>Immutable records kept whole as <c>jsonb</c>, with the version of their shape beside them.</summary>
internal static class JsonColumn
{
    private const int SchemaVersion = 1;

    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter() },
    };

    public static PropertyBuilder<T?> AsJson<T>(this PropertyBuilder<T?> property)
        where T : class =>
        property
            .HasColumnType("jsonb")
            .HasConversion(
                value => Write(value),
                text => Read<T>(text),
                new ValueComparer<T?>(
                    (a, b) => Write(a) == Write(b),
                    value => Write(value).GetHashCode(StringComparison.Ordinal),
                    value => value
                )
            );

    private static string Write<T>(T? value)
        where T : class => JsonSerializer.Serialize(new Versioned<T>(SchemaVersion, value), Options);

    private static T? Read<T>(string text)
        where T : class => JsonSerializer.Deserialize<Versioned<T>>(text, Options)?.Value;

    private sealed record Versioned<T>(int SchemaVersion, T? Value);
}
