namespace Umbracell.Core.Conditions;

/// <summary>Heat the face of a surface takes up when the room is warmed before spraying.</summary>
public static class FaceHeat
{
    /// <summary>J/(m²·K): sheet metal of 0.6 mm, wood panel of 11 mm, the first 100 mm of masonry or concrete. Usual handbook values.</summary>
    /// <param name="substrate">What is sprayed on.</param>
    public static double CapacityOf(SubstrateKind substrate) => substrate switch
    {
        SubstrateKind.Metal => 2_300,
        SubstrateKind.Wood => 12_000,
        _ => 180_000,
    };
}
