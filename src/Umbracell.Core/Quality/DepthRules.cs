using Umbracell.Core.Findings;

namespace Umbracell.Core.Quality;

/// <summary>The rules of depth: what is said about the area, and what is accepted.</summary>
public static class DepthRules
{
    /// <summary>What share of the area reaches the specification with what confidence.</summary>
    public static readonly Rule Statement = new Rule("depthStatement", Stage.Prove, Basis.Physics)
        .Ends("proven unproven", "measured limit margin count confidence share")
        .Ends("few", "count limit");

    /// <summary>Whether as many places were read as are wanted.</summary>
    public static readonly Rule Places = new Rule("depthPlaces", Stage.Prove, Basis.Practice).Ends("enough few", "count wanted");

    /// <summary>Mean, share under, and the thinnest place.</summary>
    public static readonly Rule Accepted = new Rule("depthAccepted", Stage.Prove, Basis.Practice)
        .Ends("accepted", "measured limit margin share under")
        .Ends("meanUnder", "measured limit margin")
        .Ends("shareUnder", "measured limit")
        .Ends("placeUnder", "measured limit margin");

    /// <summary>Readings thicker than the sheet rates.</summary>
    public static readonly Rule Rated = new Rule("depthRated", Stage.Prove, Basis.ProductSheet).Ends("beyond", "count limit");
}
