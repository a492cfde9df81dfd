using Umbracell.Core.Quantities;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Choose;

/// <summary>What a person says of a surface that bears on the choice.</summary>
internal static class ChoiceFacts
{
    private static readonly (string Field, Func<ChoiceFactsDocument, bool> Read, Func<ChoiceFactsDocument, bool, ChoiceFactsDocument> With)[] All =
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
    ];

    private static readonly FigureRange Load = new(0, 2_000_000, Dimension.BearingPressure);

    public static IReadOnlyDictionary<string, bool> Told(ChoiceFactsDocument facts) => All.ToDictionary(f => f.Field, f => f.Read(facts));

    public static ChoiceFactsDocument Taken(TypedFields fields, ChoiceFactsDocument facts)
    {
        foreach (var (field, _, with) in All)
        {
            fields.YesNo(field, on => facts = with(facts, on == true));
        }

        fields.QuantityOrBlank("load", Load, pascals => facts = facts with { LoadKPa = pascals / 1000 });
        fields.ThrowIfFaulty([.. All.Select(f => f.Field), "load"]);
        return facts;
    }
}
