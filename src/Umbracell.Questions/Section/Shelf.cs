using System.Text.Json.Serialization;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Materials;

namespace Umbracell.Questions.Section;

/// <summary>What a question can name.</summary>
/// <param name="Sheets">The firm's product sheets by id.</param>
/// <param name="Materials">Materials by id.</param>
/// <param name="Batts">Fibrous batts.</param>
public sealed record Shelf(
    IReadOnlyDictionary<string, ProductSheet> Sheets,
    IReadOnlyDictionary<string, Material> Materials,
    IReadOnlyList<Batt> Batts
)
{
    /// <summary>What was solved for questions before; whoever keeps the shelf keeps it.</summary>
    [JsonIgnore]
    public SolvedMembers Solved { get; init; } = new();
}
