using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;

namespace Umbracell.Core.Weather;

/// <summary>Finish and slowness of faces where nobody measured them (usual handbook values).</summary>
public static class FaceFinishes
{
    /// <summary>What a face takes up of the sun and gives off, by its covering, else by what it is made of.</summary>
    /// <param name="covering">The covering.</param>
    /// <param name="substrate">What the face is made of.</param>
    public static FaceFinish Of(Covering covering, SubstrateKind substrate) =>
        covering switch
        {
            Covering.Shingles or Covering.BuiltUpFelt => new(0.90, 0.90),
            Covering.WoodShingles => new(0.70, 0.90),
            Covering.Tile => new(0.70, 0.90),
            Covering.MetalSheets => new(0.60, 0.85),
            Covering.SinglePly => new(0.70, 0.90),
            Covering.CoatedFoam => new(0.30, 0.90),
            _ => substrate switch
            {
                SubstrateKind.Metal => new(0.60, 0.85),
                SubstrateKind.Wood => new(0.60, 0.90),
                _ => new(0.65, 0.90),
            },
        };

    /// <summary>How slowly a face follows (time constant of its kind): sheet metal 0.2 h, boards and sheathing 1 h; what is thicker is
    /// followed in slices.</summary>
    /// <param name="substrate">What the face is made of.</param>
    public static TimeSpan TimeConstantOf(SubstrateKind substrate) => TimeSpan.FromHours(substrate == SubstrateKind.Metal ? 0.2 : 1);
}
