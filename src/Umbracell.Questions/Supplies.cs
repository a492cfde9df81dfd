using System.Text.Json.Serialization;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Means;
using Umbracell.Core.Yield.Price;
using Umbracell.Documents;
using Umbracell.Questions.Answers;

namespace Umbracell.Questions;

/// <summary>What a question can name, and what it costs: what a firm sprays, what is laid beside foam, what the firm pays.</summary>
/// <param name="Sheets">The firm's product sheets by id.</param>
/// <param name="Materials">Materials by id.</param>
/// <param name="Batts">Fibrous batts.</param>
/// <param name="Rates">What the firm pays and how fast it works; null where it has entered nothing, or for a reader who may not see
/// it.</param>
public sealed record Supplies(
    IReadOnlyDictionary<string, ProductSheet> Sheets,
    IReadOnlyDictionary<string, Material> Materials,
    IReadOnlyList<Batt> Batts,
    Rates? Rates = null
)
{
    /// <summary>The schools the firm follows; what a question that names none is answered by.</summary>
    public IReadOnlyDictionary<PracticeQuestion, School> Schools { get; init; } = new Dictionary<PracticeQuestion, School>();

    /// <summary>What the firm holds tighter at the gate than the rules do.</summary>
    public IReadOnlyDictionary<GateMargin, double> Margins { get; init; } = new Dictionary<GateMargin, double>();

    /// <summary>Of products in an older edition, the one in force: when it may be sprayed is judged by both.</summary>
    public IReadOnlyDictionary<string, ProductSheet> InForce { get; init; } = new Dictionary<string, ProductSheet>();

    /// <summary>What the firm works with; of a job, its crew's own rig.</summary>
    public FirmMeans Means { get; init; } = FirmMeans.None;

    /// <summary>Products that are not offered any more; a question may still name them.</summary>
    public IReadOnlyCollection<string> Retired { get; init; } = [];

    /// <summary>The sheets that are offered where a product is to be chosen.</summary>
    [JsonIgnore]
    public IEnumerable<ProductSheet> Offered => Sheets.Values.Where(sheet => !Retired.Contains(sheet.Id));

    /// <summary>The margins of the gate in force.</summary>
    [JsonIgnore]
    public GatePractice Gate => new() { Tighter = Margins };

    /// <summary>What was solved for questions before; whoever keeps the supplies keeps it.</summary>
    [JsonIgnore]
    public SolvedMembers Solved { get; init; } = new();

    /// <summary>The rates, or usual paces without any price where there are none.</summary>
    [JsonIgnore]
    public Rates Priced => Rates ?? Core.Yield.Price.Rates.Unpriced;

    /// <summary>What systems are made with beside foam.</summary>
    [JsonIgnore]
    public SystemMaterials ForSystems =>
        new(Batts, Materials["foam-board"], Materials["foil-board"], Materials["vapour-coat"], Materials["weather-coat"]);

    /// <summary>A material by its id. One of a firm's own that this firm has not counts as the one it is like; null where nothing is
    /// known of it.</summary>
    /// <param name="id">Its id.</param>
    public Material? MaterialOf(string id) =>
        Materials.GetValueOrDefault(id)
        ?? (OwnMaterial.LikeOf(id) is { } like && Materials.TryGetValue(like, out var usual) ? usual with { Id = id } : null);

    /// <summary>A batt by its id, in the same way.</summary>
    /// <param name="id">Its id.</param>
    public Batt? BattOf(string id) =>
        Batts.FirstOrDefault(batt => batt.Id == id)
        ?? (
            OwnMaterial.LikeOf(id) is { } like && Batts.FirstOrDefault(batt => batt.Id == like) is { } usual ? usual with { Id = id } : null
        );

    /// <summary>The sheet a question names, as the gate holds to it: its limits, and those of the edition in force where they are
    /// tighter.</summary>
    /// <param name="id">Its id.</param>
    /// <exception cref="FieldFaultsException">The firm has no such sheet.</exception>
    public ProductSheet SheetAtTheGate(string id) => InForce.TryGetValue(id, out var inForce) ? Sheet(id).AlsoWithin(inForce) : Sheet(id);

    /// <summary>A sheet that a field of a question names.</summary>
    /// <param name="id">Its id.</param>
    /// <param name="field">The field, for what is said where it is not known.</param>
    /// <exception cref="FieldFaultsException">The firm has no such sheet.</exception>
    public ProductSheet Sheet(string id, string field = "sheetId") =>
        Sheets.GetValueOrDefault(id)
        ?? throw new FieldFaultsException([
            new()
            {
                Field = field,
                Code = FaultCode.Unknown,
                Typed = id,
            },
        ]);
}
