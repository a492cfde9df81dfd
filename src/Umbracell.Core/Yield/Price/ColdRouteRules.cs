using Umbracell.Core.Findings;

namespace Umbracell.Core.Yield.Price;

/// <summary>What is said of a way to spray in the cold.</summary>
public static class ColdRouteRules
{
    /// <summary>All of it.</summary>
    public static readonly Rule Route = new Rule("coldRoute", Stage.Sets, Basis.Practice)
        .Ends("inWindow nearWindow outsideWindow", "measured limit margin", basis: Basis.ProductSheet)
        .Ends("airOutside", "measured limit", basis: Basis.ProductSheet)
        .Ends("dewClose", "measured limit", basis: Basis.Physics)
        .Ends("tooDamp", "measured limit", basis: Basis.ProductSheet)
        .Ends("openAir")
        .Ends("warmEnough heated tooHot neverDry", "measured limit")
        .Ends("heaterUnknown", "measured")
        .Ends("heaterTooSmall", "measured limit")
        .Ends("spaceAssumed", "measured")
        .Ends("flame")
        .Ends("tooThinForTwo", "measured limit")
        .Ends("readFace", "measured")
        .Ends("noFlashOnSheet flashAdhesion notPractice");

    /// <summary>A way that is not this firm's.</summary>
    public static readonly RuleCase NotPractice = Route["notPractice"];
}
