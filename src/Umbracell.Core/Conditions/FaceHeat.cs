namespace Umbracell.Core.Conditions;

/// <summary>Heat the face of a surface takes up when the room is warmed before spraying.</summary>
public static class FaceHeat
{
    /// <summary>J/(m²·K): sheet metal of 0.6 mm, wood panel of 11 mm, the first 100 mm of masonry or concrete. Usual handbook
    /// values.</summary>
    /// <param name="substrate">What is sprayed on.</param>
    public static double CapacityOf(SubstrateKind substrate) =>
        substrate switch
        {
            SubstrateKind.Metal => 2_300,
            SubstrateKind.Wood => 12_000,
            _ => 180_000,
        };

    /// <summary>Heat a building takes up for each square metre of its floor, J/(m²·K): very light, light and heavy of ISO 52016-1, table
    /// B.14.</summary>
    /// <param name="substrate">What its faces are of.</param>
    public static double BuildingCapacityOf(SubstrateKind substrate) =>
        substrate switch
        {
            SubstrateKind.Metal => 80_000,
            SubstrateKind.Wood => 110_000,
            _ => 260_000,
        };
}
