using System.Collections.Concurrent;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>Heat through a metre of metal member by how much of its depth is filled: the more of the web stands bare in the room, the more heat it gathers.</summary>
/// <remarks>Solved at a few fills and straight between them, so that thicknesses can be sought without solving each. Kept by what it depends on, as the same wall is asked for at every step of a hand.</remarks>
public static class MemberCurve
{
    private const int Volumes = 1500, MostKept = 500;

    private static readonly double[] Shares = [0.1, 0.25, 0.45, 0.7, 0.9, 1];

    private static readonly ConcurrentDictionary<Key, Curve> Kept = new();

    private readonly record struct Key(MetalProfile Profile, double Depth, double Spacing, double Inside, double Outside, string Layers, double Conductivity);

    /// <summary>ψ (W/(m·K)) by the share of the depth that is filled, 0 to 1; null where the model does not apply.</summary>
    /// <param name="section">The case; with nothing put in, hard foam stands for what will be.</param>
    public static Curve? For(SectionCase section)
    {
        if (section.Members is not { Profile: { } profile } members || !MemberCell.Applies(section))
        {
            return null;
        }

        var k = ConductivityOf(section);
        var heat = SectionHeat.ClearOf(section);

        // Rounded to a part in fifty: ψ hardly follows the conductivity of what is put in.
        k = Math.Exp(Math.Round(Math.Log(k) * 50) / 50);
        var key = new Key(profile, members.Depth.Metres, members.Spacing.Metres, heat.InsideFilm.SquareMetreKelvinsPerWatt, heat.OutsideFilm.SquareMetreKelvinsPerWatt, LayersOf(section), k);
        if (Kept.Count > MostKept)
        {
            Kept.Clear();
        }

        return Kept.GetOrAdd(key, _ => Solved(section, k));
    }

    // A foam stands by its thickest rating, so that the curve stays the same while its face is moved; several layers by what they are together.
    private static double ConductivityOf(SectionCase section)
    {
        const double HardFoam = 0.022;
        if (section.Fill is [FoamFill { Sheet: var sheet }])
        {
            return sheet.ThickestRated.Metres / sheet.ResistanceAt(sheet.ThickestRated).SquareMetreKelvinsPerWatt;
        }

        var filled = section.FillThickness.Metres;
        return filled > 0 ? filled / section.Fill.Sum(f => f.Resistance.SquareMetreKelvinsPerWatt) : HardFoam;
    }

    // A flange against board spreads its heat otherwise than one against stone: every layer counts, in its order.
    private static string LayersOf(SectionCase section) =>
        string.Join('|', section.Outboard.Append(null).Concat(section.Inboard).Select(l => l is null ? "" : FormattableString.Invariant($"{l.Thickness.Metres:R}/{l.Material.Conductivity.WattsPerMetreKelvin:R}")));

    private static Curve Solved(SectionCase section, double conductivity)
    {
        // A stand-in of the same conductivity at every thickness: a sheet's own table need not reach the depth.
        var stand = new Material("fill", new(conductivity), Permeability.FromPermInches(1), "stand-in");
        var depth = section.Members.Depth;
        var points = Shares.Select(share => new CurvePoint(share, MemberCell.Of(section with { Fill = [new SlabFill(new(stand, depth * share))], SolvedPsi = null }, Volumes)!.Psi)).ToList();
        return new("ψ", [new(0, points[0].Y), .. points], Dimension.Number);
    }
}
