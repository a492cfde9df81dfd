using Umbracell.Core.Findings;

namespace Umbracell.Core.Yield;

/// <summary>The rules of material: yield, stock, trailer, kits.</summary>
public static class MaterialRules
{
    /// <summary>The yield expected against the sheet's.</summary>
    public static readonly Rule Yield = new Rule("yield", Stage.Sets, Basis.ProductSheet).Ends("near wellUnder", "measured limit margin");

    /// <summary>Conditions the yield is reckoned at.</summary>
    public static readonly Rule YieldConditions = new Rule("yieldConditions", Stage.Sets, Basis.ProductSheet)
        .Ends("substrateAssumed", "measured", basis: Basis.Practice)
        .Ends("substrateOffCurve", "measured limit margin")
        .Ends("drumAssumed", "measured", basis: Basis.Practice)
        .Ends("drumOffCurve", "measured limit margin");

    /// <summary>Drums on hand.</summary>
    public static readonly Rule Stock = new Rule("stock", Stage.Sets, Basis.Practice)
        .Ends("noExpiry", words: "lot side sheet", basis: Basis.ProductSheet)
        .Ends("expired expiresSoon", "measured", "lot side sheet", Basis.ProductSheet)
        .Ends("moreA moreB", "measured limit", "sheet")
        .Ends("lots", words: "sheet")
        .Ends("suffices short", "measured limit", "sheet");

    /// <summary>Enough on hand.</summary>
    public static readonly RuleCase Suffices = Stock["suffices"];

    /// <summary>The drums loaded against what the trailer carries.</summary>
    public static readonly Rule Trailer = new Rule("trailer", Stage.Sets, Basis.Practice)
        .Ends("unknown", "measured")
        .Ends("tooHeavy carried", "measured limit margin");

    /// <summary>Kits against the rig.</summary>
    public static readonly Rule Kit = new Rule("kit", Stage.Sets, Basis.Practice)
        .Ends("cheaper cheaperYetRig rigCheaper", "measured limit margin")
        .Ends("noRates")
        .Ends("substrateOutside", "measured limit margin", basis: Basis.ProductSheet);
}
