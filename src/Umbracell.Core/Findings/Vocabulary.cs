namespace Umbracell.Core.Findings;

/// <summary>How choices out of a list are called between the core, the interface for programs and the catalogue of words.</summary>
public static class Vocabulary
{
    /// <summary>The key of a choice: its name, beginning small.</summary>
    /// <param name="one">A declared value of its list.</param>
    public static string KeyOf<T>(T one)
        where T : struct, Enum => one.ToString() is var name ? char.ToLowerInvariant(name[0]) + name[1..] : "";
}
