using Umbracell.Core.Quantities;

namespace Umbracell.Core.Moisture;

/// <summary>Vapour retarder class of the model codes (dry cup).</summary>
public enum VapourClass
{
    /// <summary>0.1 perm or less.</summary>
    I,

    /// <summary>Above 0.1 to 1.0 perm.</summary>
    II,

    /// <summary>Above 1.0 to 10 perm.</summary>
    III,

    /// <summary>Above 10 perm: vapour-open.</summary>
    Open,
}

/// <summary>Permeances, alone and in series.</summary>
public static class VapourResistance
{
    /// <summary>The class of a layer (IRC definitions: I 0.1 perm or less, II to 1.0, III to 10).</summary>
    /// <remarks>A bound is met within 1e-9 of its value: thickness arithmetic must not cost a class.</remarks>
    public static VapourClass ClassOf(Permeance permeance) =>
        permeance.Perms switch
        {
            <= 0.1 * (1 + 1e-9) => VapourClass.I,
            <= 1.0 * (1 + 1e-9) => VapourClass.II,
            <= 10 * (1 + 1e-9) => VapourClass.III,
            _ => VapourClass.Open,
        };

    /// <summary>Greatest permeance of a class.</summary>
    public static Permeance GreatestOf(VapourClass vapourClass) =>
        vapourClass switch
        {
            VapourClass.I => Permeance.FromPerms(0.1),
            VapourClass.II => Permeance.FromPerms(1.0),
            VapourClass.III => Permeance.FromPerms(10),
            _ => throw new ArgumentOutOfRangeException(nameof(vapourClass), vapourClass, "Open has no greatest permeance."),
        };

    /// <summary>Least thickness at which a material reaches a class.</summary>
    public static Length ThicknessFor(Permeability permeability, VapourClass vapourClass) =>
        Length.FromMetres(permeability.KilogramsPerPascalSecondMetre / GreatestOf(vapourClass).KilogramsPerPascalSecondSquareMetre);

    /// <summary>Permeances in series: the reciprocals add.</summary>
    /// <param name="layers">One or more layers.</param>
    public static Permeance InSeries(IEnumerable<Permeance> layers) =>
        Permeance.FromSi(1 / layers.Sum(layer => 1 / layer.KilogramsPerPascalSecondSquareMetre));
}
