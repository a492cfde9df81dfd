using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Surfaces;

/// <summary>What a person says of a surface that bears on the choice.</summary>
internal static class ChoiceFacts
{
    private static readonly (string Field, Func<FactsDocument, bool> Read, Func<FactsDocument, bool, FactsDocument> With)[] All =
    [
        ("unconditioned", f => f.Unconditioned, (f, on) => f with { Unconditioned = on }),
        ("soundAsked", f => f.SoundAsked, (f, on) => f with { SoundAsked = on }),
        ("workplace", f => f.Workplace, (f, on) => f with { Workplace = on }),
        ("laterAccess", f => f.LaterAccess, (f, on) => f with { LaterAccess = on }),
        ("rainBeforeCover", f => f.RainBeforeCover, (f, on) => f with { RainBeforeCover = on }),
        ("oldBuilding", f => f.OldBuilding, (f, on) => f with { OldBuilding = on }),
        ("termites", f => f.Termites, (f, on) => f with { Termites = on }),
        ("radon", f => f.Radon, (f, on) => f with { Radon = on }),
        ("floodProne", f => f.FloodProne, (f, on) => f with { FloodProne = on }),
        ("combustionInside", f => f.CombustionInside, (f, on) => f with { CombustionInside = on }),
        ("looseFill", f => f.LooseFill, (f, on) => f with { LooseFill = on }),
        ("ventedCladding", f => f.VentedCladding, (f, on) => f with { VentedCladding = on }),
    ];

    private static readonly FigureRange Load = new(0, 2_000_000, Dimension.BearingPressure);

    public static IReadOnlyDictionary<string, bool> Told(FactsDocument facts) => All.ToDictionary(f => f.Field, f => f.Read(facts));

    /// <summary>What is asked of a kind of surface: only framed walls are asked about their cladding.</summary>
    public static IReadOnlyDictionary<string, bool> Asked(FactsDocument facts, SurfaceKind kind) =>
        Told(facts).Where(f => f.Key != "ventedCladding" || kind == SurfaceKind.StudWall).ToDictionary();

    public static FactsDocument Taken(TypedFields fields, FactsDocument facts)
    {
        foreach (var (field, _, with) in All)
        {
            fields.YesNo(field, on => facts = with(facts, on == true));
        }

        facts = WithLoad(fields, facts);
        fields.ThrowIfFaulty([.. All.Select(f => f.Field), "load"]);
        return facts;
    }

    /// <summary>Takes the facts of a table's cell: those that are named are true, the others are not.</summary>
    public static FactsDocument Listed(TypedFields fields, FactsDocument facts)
    {
        if (fields.Has("facts"))
        {
            var named = fields
                .Raw("facts")
                .Split(';', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries)
                .Select(word => (Word: word, Code: WordCatalog.CodeOf("choose.fact", word)))
                .ToList();
            named
                .Where(n => n.Code is null)
                .ToList()
                .ForEach(n =>
                    fields.Fault(
                        new()
                        {
                            Field = "facts",
                            Code = FaultCode.Unknown,
                            Typed = n.Word,
                        }
                    )
                );
            facts = All.Aggregate(facts, (said, fact) => fact.With(said, named.Exists(n => n.Code == fact.Field)));
        }

        return WithLoad(fields, facts);
    }

    private static FactsDocument WithLoad(TypedFields fields, FactsDocument facts)
    {
        fields.QuantityOrBlank("load", Load, pascals => facts = facts with { LoadKPa = pascals / 1000 });
        return facts;
    }
}
