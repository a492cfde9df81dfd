namespace Umbracell.Documents;

/// <summary>Figures of a material or a batt that a firm holds in place of the usual ones.</summary>
public sealed record MaterialValues
{
    /// <summary>By name, in SI: conductivity, permeability, density, emittance, thickness. What is not named is as usual.</summary>
    public IReadOnlyDictionary<string, double> Figures { get; init; } = new Dictionary<string, double>();

    /// <summary>Where they come from; empty where it was not said.</summary>
    public string Source { get; init; } = "";
}

/// <summary>What a firm holds of materials.</summary>
/// <param name="Own">Values by material or batt.</param>
public sealed record MaterialsDocument(IReadOnlyDictionary<string, MaterialValues> Own)
{
    /// <summary>All as usual.</summary>
    public static MaterialsDocument None { get; } = new(new Dictionary<string, MaterialValues>());

    /// <summary>Ids of materials and batts it has under names of its own (<see cref="OwnMaterial"/>).</summary>
    public IReadOnlyList<string> Added { get; init; } = [];
}
