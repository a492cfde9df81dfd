using System.Text.Json;
using System.Text.Json.Nodes;
using System.Text.Json.Serialization;
using Microsoft.EntityFrameworkCore;
using Microsoft.EntityFrameworkCore.ChangeTracking;
using Microsoft.EntityFrameworkCore.Metadata.Builders;

namespace Umbracell.Store;

/// <summary>Immutable records kept whole as <c>jsonb</c>, with the version of their shape beside them.</summary>
internal static class JsonColumn
{
    private static readonly JsonSerializerOptions Options = new(JsonSerializerDefaults.Web)
    {
        Converters = { new JsonStringEnumConverter() },
    };

    // What was kept before names began small is read too.
    private static readonly JsonNodeOptions Names = new() { PropertyNameCaseInsensitive = true };

    /// <summary>Keeps a record.</summary>
    /// <param name="property">Where.</param>
    /// <param name="upgrades">What brings earlier versions to today's shape, in order: the first makes version 2 of version 1.</param>
    public static PropertyBuilder<T> AsJson<T>(this PropertyBuilder<T> property, params Action<JsonNode?>[] upgrades)
        where T : class?
    {
        var version = upgrades.Length + 1;
        return property
            .HasColumnType("jsonb")
            .HasConversion(
                value => Write(value, version),
                text => Read<T>(text, upgrades),
                new ValueComparer<T>(
                    (a, b) => Write(a, version) == Write(b, version),
                    value => Write(value, version).GetHashCode(StringComparison.Ordinal),
                    value => value
                )
            );
    }

    private static string Write<T>(T value, int version)
        where T : class? => JsonSerializer.Serialize(new Versioned<T>(version, value), Options);

    private static T Read<T>(string text, Action<JsonNode?>[] upgrades)
        where T : class?
    {
        var kept = JsonNode.Parse(text, Names)!.AsObject();
        var version = kept["schemaVersion"]?.GetValue<int>() ?? 1;

        // Some documents of the first version stood for themselves, their version among their fields.
        var document = kept.ContainsKey("value") ? kept["value"] : kept;
        foreach (var upgrade in upgrades.Skip(version - 1))
        {
            upgrade(document);
        }

        return document.Deserialize<T>(Options)!;
    }

    private sealed record Versioned<T>(int SchemaVersion, T Value);
}
