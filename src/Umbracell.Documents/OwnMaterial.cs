namespace Umbracell.Documents;

/// <summary>Ids of materials and batts a firm has under names of its own: <c>own:LIKE:NAME</c>. What is laid names what it is like and what
/// it is called, so that a layer can be read, drawn and reckoned with wherever it comes to.</summary>
public static class OwnMaterial
{
    /// <summary>Most letters of a name.</summary>
    public const int LongestName = 60;

    private const string Prefix = "own:";

    // What parts layers and fields where they are written in a line, and what a message of the catalogue is filled by.
    private const string NotInNames = ":;|\"\\{}@";

    /// <summary>Id of a material of that name.</summary>
    /// <param name="like">The material that ships and that it is like.</param>
    /// <param name="name">Its name, for which <see cref="IsName"/> holds.</param>
    public static string IdOf(string like, string name) => $"{Prefix}{like}:{name}";

    /// <summary>Whether it can be a name.</summary>
    /// <param name="name">As typed, without spaces around it.</param>
    public static bool IsName(string name) =>
        name.Length is > 0 and <= LongestName && !name.Any(c => char.IsControl(c) || NotInNames.Contains(c, StringComparison.Ordinal));

    /// <summary>The material that ships and that it is like; null where the id is none of a firm's own.</summary>
    /// <param name="id">Id of a material or batt.</param>
    public static string? LikeOf(string id) => Parts(id)?.Like;

    /// <summary>What it is called; null where the id is none of a firm's own.</summary>
    /// <param name="id">Id of a material or batt.</param>
    public static string? NameOf(string id) => Parts(id)?.Name;

    private static (string Like, string Name)? Parts(string id) =>
        id.StartsWith(Prefix, StringComparison.Ordinal) && id.IndexOf(':', Prefix.Length) is > 0 and var at
            ? (id[Prefix.Length..at], id[(at + 1)..])
            : null;
}
