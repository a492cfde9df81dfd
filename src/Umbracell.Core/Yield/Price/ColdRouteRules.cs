using Umbracell.Core.Findings;

namespace Umbracell.Core.Yield.Price;

/// <summary>What is said of a way to spray in the cold.</summary>
public static class ColdRouteRules
{
    /// <summary>All of it.</summary>
    public static readonly Rule Route = new Rule("coldRoute", Stage.Sets, Basis.Practice)
        .Ends("inWindow", "measured limit margin", basis: Basis.ProductSheet)
        .Ends("nearWindow", "measured limit margin", basis: Basis.ProductSheet)
        .Ends("outsideWindow", "measured limit margin", basis: Basis.ProductSheet)
        .Ends("airOutside", "measured limit", basis: Basis.ProductSheet)
        .Ends("dewClose", "measured limit", basis: Basis.Physics)
        .Ends("tooDamp", "measured limit", basis: Basis.ProductSheet)
        .Ends("openAir")
        .Ends("warmEnough", "measured limit")
        .Ends("heated", "measured limit")
        .Ends("tooHot", "measured limit")
        .Ends("neverDry", "measured limit")
        .Ends("heaterUnknown", "measured")
        .Ends("heaterTooSmall", "measured limit")
        .Ends("spaceAssumed", "measured")
        .Ends("flame")
        .Ends("tooThinForTwo", "measured limit")
        .Ends("readFace", "measured")
        .Ends("noFlashOnSheet")
        .Ends("flashAdhesion")
        .Ends("notPractice");

    /// <summary>A way that is not this firm's.</summary>
    public static readonly RuleCase NotPractice = Route["notPractice"];
}
