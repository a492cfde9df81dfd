using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Materials;

/// <summary>A figure of a material that a firm may hold its own of.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Range">What it may be, in SI.</param>
/// <param name="OfMaterial">Reads it off a material; null where materials have none.</param>
/// <param name="OfBatt">Reads it off a batt; null where batts have none.</param>
internal sealed record MaterialFigure(
    string Name,
    FigureRange Range,
    Func<Material, double?>? OfMaterial,
    Func<Batt, double>? OfBatt = null
);

/// <summary>The firm's own figures of materials and batts, as they are typed, kept and reckoned with. What a firm does not say is the
/// usual value that ships.</summary>
internal static class FirmMaterials
{
    /// <summary>Field that takes one of the firm's own away.</summary>
    public const string Gone = "material-gone";

    private const string Prefix = "material-value:",
        Source = "source",
        New = "material-new",
        Fibre = "fibre-batt";

    /// <summary>Most letters of where figures come from.</summary>
    public const int LongestSource = 200;

    /// <summary>The figures there are.</summary>
    public static IReadOnlyList<MaterialFigure> Figures { get; } =
    [
        new("conductivity", new(0.005, 400, Dimension.Conductivity), m => m.Conductivity.WattsPerMetreKelvin),
        new(
            "permeability",
            new(
                Permeability.FromPermInches(0.000_01).KilogramsPerPascalSecondMetre,
                Permeability.FromPermInches(500).KilogramsPerPascalSecondMetre,
                Dimension.Permeability
            ),
            m => m.Permeability.KilogramsPerPascalSecondMetre
        ),
        new("density", new(1, 12_000, Dimension.Density), m => m.Density?.KilogramsPerCubicMetre, b => b.Density.KilogramsPerCubicMetre),
        new("emittance", new(0.02, 1, Dimension.Number), m => m.Emittance),
        new("thickness", new(0.01, 0.6, Dimension.Thickness), null, b => b.Nominal.Metres),
        new("rated", new(0.1, 15, Dimension.Resistance), null, b => b.Rated.SquareMetreKelvinsPerWatt),
    ];

    /// <summary>Everything that ships with figures, by id.</summary>
    public static IEnumerable<string> Shipped => ShippedData.Materials.Keys.Concat(ShippedData.Batts.Select(batt => batt.Id));

    /// <summary>What the firm has under names of its own.</summary>
    public static IReadOnlyList<string> AddedBy(Firm firm) => (firm.Materials ?? MaterialsDocument.None).Added;

    /// <summary>Every field of every material.</summary>
    public static IEnumerable<string> FieldsOf(Firm firm) =>
        Shipped
            .Concat(AddedBy(firm))
            .SelectMany(id => FiguresOf(id).Select(figure => FieldOf(id, figure.Name)).Append(FieldOf(id, Source)))
            .Concat([New, Gone]);

    public static string FieldOf(string id, string name) => $"{Prefix}{id}:{name}";

    public static string SourceFieldOf(string id) => FieldOf(id, Source);

    /// <summary>The figures a material or a batt has.</summary>
    public static IEnumerable<MaterialFigure> FiguresOf(string id) =>
        Figures.Where(figure => ShippedData.Materials.ContainsKey(UsualOf(id)) ? figure.OfMaterial is not null : figure.OfBatt is not null);

    /// <summary>The material that ships and whose figures go for what is not said of it.</summary>
    public static string UsualOf(string id) => OwnMaterial.LikeOf(id) ?? id;

    /// <summary>Whether an id from elsewhere is one of what ships, or of a firm's own that is like it and bears a name.</summary>
    public static bool IsOne(string id) =>
        Shipped.Contains(UsualOf(id)) && (OwnMaterial.NameOf(id) is not { } name || OwnMaterial.IsName(name));

    /// <summary>Takes what was typed; blank goes back to the usual value.</summary>
    /// <param name="fields">What was typed.</param>
    /// <param name="firm">Whose materials.</param>
    /// <param name="isUsed">Whether something is laid that is named so.</param>
    public static void Take(TypedFields fields, Firm firm, Func<string, bool> isUsed)
    {
        var kept = firm.Materials ?? MaterialsDocument.None;
        var (own, added) = (new Dictionary<string, MaterialValues>(kept.Own), kept.Added.ToList());
        TakeAdded(fields, added, own, isUsed);
        foreach (var id in Shipped.Concat(added))
        {
            foreach (var figure in FiguresOf(id))
            {
                fields.QuantityOrBlank(FieldOf(id, figure.Name), figure.Range, si => Set(own, id, With(own, id, figure.Name, si)));
            }

            fields.Text(SourceFieldOf(id), LongestSource, required: false, text => Set(own, id, Of(own, id) with { Source = text }));
        }

        // The same again is no change, which would make every figure of the firm anew.
        if (!Same(own, kept.Own) || !added.SequenceEqual(kept.Added))
        {
            firm.Materials = own.Count + added.Count == 0 ? null : new(own) { Added = added };
        }
    }

    // "foam-board | Sedge board": what it is like, and what it is called.
    private static void TakeAdded(TypedFields fields, List<string> added, Dictionary<string, MaterialValues> own, Func<string, bool> isUsed)
    {
        if (fields.Has(New))
        {
            var (like, name) = fields.Raw(New).Split('|', 2, StringSplitOptions.TrimEntries) is [var first, var second]
                ? (first, second)
                : ("", "");
            if (FaultOf(like, name, added) is { } code)
            {
                fields.Fault(
                    new()
                    {
                        Field = New,
                        Code = code,
                        Typed = name.Length > 0 && name.Length < 40 ? name : "",
                    }
                );
            }
            else
            {
                added.Add(OwnMaterial.IdOf(like, name));
            }
        }

        fields.Known(
            Gone,
            added.Contains,
            id =>
            {
                added.Remove(id);
                own.Remove(id);
            }
        );
        if (fields.Has(Gone) && isUsed(fields.Raw(Gone)))
        {
            fields.Fault(
                new()
                {
                    Field = Gone,
                    Code = FaultCode.StillUsed,
                    Typed = OwnMaterial.NameOf(fields.Raw(Gone)) ?? "",
                }
            );
        }
    }

    private static FaultCode? FaultOf(string like, string name, List<string> added) =>
        !Shipped.Contains(like) ? FaultCode.Unknown
        : name.Length == 0 ? FaultCode.Empty
        : name.Length > OwnMaterial.LongestName ? FaultCode.TooLong
        : !OwnMaterial.IsName(name) ? FaultCode.NotAName
        : IsNamed(name, added) ? FaultCode.Taken
        : null;

    private static bool IsNamed(string name, List<string> added) =>
        added.Exists(id => string.Equals(OwnMaterial.NameOf(id), name, StringComparison.OrdinalIgnoreCase))
        || WordCatalog.CodeOf("material", name) is not null;

    /// <summary>The materials as the firm has them.</summary>
    public static IReadOnlyDictionary<string, Material> MaterialsOf(Firm firm) =>
        firm.Materials is { } held
            ? ShippedData
                .Materials.Keys.Concat(held.Added.Where(id => ShippedData.Materials.ContainsKey(UsualOf(id))))
                .ToDictionary(id => id, id => Held(ShippedData.Materials[UsualOf(id)], Of(held.Own, id)) with { Id = id })
            : ShippedData.Materials;

    /// <summary>The batts as the firm has them.</summary>
    public static IReadOnlyList<Batt> BattsOf(Firm firm)
    {
        if (firm.Materials is not { } held)
        {
            return ShippedData.Batts;
        }

        var fibre = MaterialsOf(firm)[Fibre];
        return
        [
            .. ShippedData
                .Batts.Select(batt => batt.Id)
                .Concat(held.Added.Where(id => !ShippedData.Materials.ContainsKey(UsualOf(id))))
                .Select(id => Held(UsualBatt(id), Of(held.Own, id)) with { Id = id, Material = fibre })
                .OrderBy(batt => batt.Nominal)
                .ThenBy(batt => batt.Rated.SquareMetreKelvinsPerWatt),
        ];
    }

    /// <summary>The batt that ships and whose figures go for what is not said of one.</summary>
    public static Batt UsualBatt(string id) => ShippedData.Batts.First(batt => batt.Id == UsualOf(id));

    /// <summary>The figures the firm holds, by field, as they are printed.</summary>
    public static Dictionary<string, FigureAnswer> OwnFigures(Firm firm) =>
        (firm.Materials ?? MaterialsDocument.None)
            .Own.SelectMany(one =>
                FiguresOf(one.Key)
                    .Where(figure => one.Value.Figures.ContainsKey(figure.Name))
                    .Select(figure =>
                        (FieldOf(one.Key, figure.Name), FigureAnswer.AsTyped(new(one.Value.Figures[figure.Name], figure.Range.Dimension)))
                    )
            )
            .ToDictionary();

    /// <summary>Where they come from, by field.</summary>
    public static Dictionary<string, string> OwnSources(Firm firm) =>
        (firm.Materials ?? MaterialsDocument.None)
            .Own.Where(one => one.Value.Source.Length > 0)
            .ToDictionary(one => SourceFieldOf(one.Key), one => one.Value.Source);

    private static Material Held(Material usual, MaterialValues own) =>
        usual with
        {
            Conductivity = own.Figures.TryGetValue("conductivity", out var k) ? ThermalConductivity.FromSi(k) : usual.Conductivity,
            Permeability = own.Figures.TryGetValue("permeability", out var p) ? Permeability.FromSi(p) : usual.Permeability,
            Density = own.Figures.TryGetValue("density", out var d) ? Density.FromKilogramsPerCubicMetre(d) : usual.Density,
            Emittance = own.Figures.GetValueOrDefault("emittance", usual.Emittance),
            Source = own.Source.Length > 0 ? own.Source : usual.Source,
        };

    private static Batt Held(Batt usual, MaterialValues own) =>
        usual with
        {
            Nominal = own.Figures.TryGetValue("thickness", out var t) ? Length.FromMetres(t) : usual.Nominal,
            Density = own.Figures.TryGetValue("density", out var d) ? Density.FromKilogramsPerCubicMetre(d) : usual.Density,
            Rated = own.Figures.TryGetValue("rated", out var r) ? ThermalResistance.FromSi(r) : usual.Rated,
        };

    private static MaterialValues Of(IReadOnlyDictionary<string, MaterialValues> own, string id) => own.GetValueOrDefault(id) ?? new();

    private static MaterialValues With(Dictionary<string, MaterialValues> own, string id, string name, double? si)
    {
        var figures = new Dictionary<string, double>(Of(own, id).Figures);
        figures.Remove(name);
        if (si is { } known)
        {
            figures[name] = known;
        }

        return Of(own, id) with
        {
            Figures = figures,
        };
    }

    private static void Set(Dictionary<string, MaterialValues> own, string id, MaterialValues values)
    {
        own.Remove(id);
        if (values.Figures.Count > 0 || values.Source.Length > 0)
        {
            own[id] = values;
        }
    }

    private static bool Same(Dictionary<string, MaterialValues> own, IReadOnlyDictionary<string, MaterialValues> kept) =>
        own.Count == kept.Count
        && own.All(one =>
            kept.TryGetValue(one.Key, out var other)
            && one.Value.Source == other.Source
            && one.Value.Figures.OrderBy(f => f.Key).SequenceEqual(other.Figures.OrderBy(f => f.Key))
        );
}
