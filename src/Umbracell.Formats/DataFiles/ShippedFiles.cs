using NJsonSchema;

namespace Umbracell.Formats.DataFiles;

/// <summary>The data files that come with the product, embedded.</summary>
internal static class ShippedFiles
{
    public static string Text(string name)
    {
        using var reader = new StreamReader(Open(name));
        return reader.ReadToEnd();
    }

    public static byte[] Bytes(string name)
    {
        using var stream = Open(name);
        using var bytes = new MemoryStream();
        stream.CopyTo(bytes);
        return bytes.ToArray();
    }

    private static Stream Open(string name) =>
        typeof(ShippedFiles).Assembly.GetManifestResourceStream(name)
        ?? throw new InvalidOperationException($"The file {name} does not ship with the product.");

    public static IEnumerable<string> Names(string folder) =>
        typeof(ShippedFiles)
            .Assembly.GetManifestResourceNames()
            .Where(name => name.StartsWith(folder, StringComparison.Ordinal))
            .Order(StringComparer.Ordinal);

    // FromJsonAsync only turns asynchronous where a schema refers to another document; ours do not.
    public static JsonSchema Schema(string name) => JsonSchema.FromJsonAsync(Text($"schemas/{name}.schema.json")).GetAwaiter().GetResult();
}
