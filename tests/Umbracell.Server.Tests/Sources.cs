namespace Umbracell.Server.Tests;

/// <summary>The sources of the product, for tests that read them.</summary>
internal static class Sources
{
    /// <summary>Where they lie.</summary>
    public static string Root { get; } = FindRoot();

    /// <summary>A file, by its path from there.</summary>
    public static string Read(string path) => File.ReadAllText(Path.Combine(Root, path));

    private static string FindRoot()
    {
        var at = AppContext.BaseDirectory;
        while (!File.Exists(Path.Combine(at, "Umbracell.slnx")))
        {
            at = Path.GetDirectoryName(at) ?? throw new InvalidOperationException("The root of the product was not found.");
        }

        return at;
    }
}
