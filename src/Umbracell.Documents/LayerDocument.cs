using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Assemblies;

namespace Umbracell.Documents;

/// <summary>A layer that stands, or a board that is added.</summary>
/// <param name="Material">Its material's id.</param>
/// <param name="ThicknessMm">How thick it is.</param>
public sealed record LayerDocument([property: Required] string Material, [property: Range(0.01, 3000)] double ThicknessMm);

/// <summary>What a layer put in is.</summary>
public enum FillKind
{
    /// <summary>Sprayed foam; the id names a sheet.</summary>
    Foam,

    /// <summary>Fibrous batt; the id names a batt.</summary>
    Batt,

    /// <summary>Board cut to fit with sealed edges, or a coat; the id names a material.</summary>
    Slab,
}

/// <summary>A layer put in after the first foam, or instead of it.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Id">Its sheet, batt or material.</param>
/// <param name="ThicknessMm">How thick it is.</param>
/// <param name="TakesRest">Whether it takes what depth the others leave.</param>
public sealed record FillDocument(
    FillKind Kind,
    [property: Required] string Id,
    [property: Range(0.01, ThicknessLimits.GreatestMm)] double ThicknessMm,
    bool TakesRest = false
);
