namespace Umbracell.Server.Places;

/// <summary>Climate zones of the model energy code.</summary>
internal static class ClimateZones
{
    public static IReadOnlyList<string> All { get; } =
    ["1A", "1B", "2A", "2B", "3A", "3B", "3C", "4A", "4B", "4C", "5A", "5B", "5C", "6A", "6B", "7", "8"];

    /// <summary>The zone of a number, as if it were moist: the letter is for the reader to check.</summary>
    public static string ByNumber(int number) => number >= 7 ? $"{number}" : $"{number}A";
}
