using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>What a metal member does by how much of its depth is filled: the more of the web stands bare in the room, the more heat it
/// gathers.</summary>
/// <param name="Psi">Heat through a metre of member, W/(m·K), by the share of the depth that is filled, 0 to 1.</param>
/// <param name="Coldest">Coldest spot that room air touches, between 0 (outdoor air) and 1 (indoor air), by the same share.</param>
/// <remarks>Solved at a few fills and straight between them, so that thicknesses can be sought, and a hand can move, without solving
/// each. Between the fills U keeps within a hundredth of the cell's own and the
/// coldest spot within half a kelvin at 40 K between the airs. Kept by what it depends on, as the same wall is asked for at every step of
/// a hand.</remarks>
public sealed record MemberCurve(Curve Psi, Curve Coldest)
{
    private const int Volumes = 1500;

    // Closest where the foam meets the flanges: there the metal's heat bends.
    private static readonly double[] Shares = [0.02, 0.06, 0.12, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.88, 0.94, 0.98, 1];

    /// <summary>How many fills a curve is solved at.</summary>
    public static int Fills => Shares.Length;

    /// <summary>The curve of a section's members; null where the model does not apply.</summary>
    /// <param name="section">The case; with nothing put in, hard foam stands for what will be.</param>
    public static MemberCurve? For(SectionCase section)
    {
        if (section.Members is not { Profile: { } profile } members || !MemberCell.Applies(section))
        {
            return null;
        }

        var k = ConductivityOf(section);
        var heat = SectionHeat.ClearOf(section);
        var key = new MemberCurveKey
        {
            Profile = profile,
            Depth = members.Depth.Metres,
            Spacing = members.Spacing.Metres,
            Inside = heat.InsideFilm.SquareMetreKelvinsPerWatt,
            Outside = heat.OutsideFilm.SquareMetreKelvinsPerWatt,
            Layers = LayersOf(section),
            Conductivity = k,
        };
        return section.Solved.Curves.Of(key, () => Solved(section, k));
    }

    /// <summary>ψ of the same members at another depth, between curves solved at depths an inch apart: a depth is sought in steps too
    /// many to solve each.</summary>
    /// <param name="section">The case at its own depth.</param>
    /// <param name="depth">The other depth.</param>
    internal static Curve? PsiAt(SectionCase section, Length depth)
    {
        var knot = Length.FromInches(1).Metres;
        var from = section.Members.Depth.Metres;
        var below = Math.Floor((depth.Metres - from) / knot + 1e-9);
        var share = Math.Clamp((depth.Metres - from) / knot - below, 0, 1);
        var least = below * knot + from > knot / 2 ? below : below + 1;
        return share < 1e-6 || least > below ? Solved(least)
            : Solved(below) is { } low && Solved(below + 1) is { } high ? Mixed(low, high, share)
            : null;

        Curve? Solved(double knots) =>
            For(section with { Members = section.Members with { Depth = Length.FromMetres(from + knots * knot) } })?.Psi;

        static Curve Mixed(Curve low, Curve high, double share) =>
            new(low.Name, [.. low.Points.Zip(high.Points, (a, b) => new CurvePoint(a.X, a.Y + (b.Y - a.Y) * share))], Dimension.Number);
    }

    /// <summary>Solves one of the fills of a section's curve beforehand, so that whoever has no second thread can do it in small pieces
    /// while nobody asks.</summary>
    /// <param name="section">The case.</param>
    /// <param name="fill">Which, from 0 to <see cref="Fills"/> - 1.</param>
    /// <returns>False where there is no such fill, or the model does not apply.</returns>
    public static bool Prepare(SectionCase section, int fill)
    {
        if (fill < 0 || fill >= Shares.Length || !MemberCell.Applies(section))
        {
            return false;
        }

        FilledTo(section, Shares[fill], ConductivityOf(section));
        if (fill == Shares.Length - 1)
        {
            For(section);
        }

        return true;
    }

    /// <summary>Whether the curve stands for a case as it is: one layer, no deeper than its members.</summary>
    internal static bool StandsFor(SectionCase section) => section.Fill.Count == 1 && section.FillThickness <= section.Members.Depth;

    /// <summary>The coldest spot of a case.</summary>
    internal Temperature ColdestOf(SectionCase section) =>
        section.Air.Outdoor
        + TemperatureDifference.FromKelvins((section.Air.Indoor - section.Air.Outdoor).Kelvins * Coldest.At(ShareOf(section)));

    /// <summary>Share of the members' depth that is filled, 0 to 1.</summary>
    internal static double ShareOf(SectionCase section) => Math.Clamp(section.FillThickness / section.Members.Depth, 0, 1);

    // A foam stands by its thickest rating, for the layers beside it too, so that the curve stays the same while its face is moved; what
    // holds no foam, by what it is together.
    // Rounded to a part in fifty: ψ hardly follows the conductivity of what is put in.
    private static double ConductivityOf(SectionCase section)
    {
        const double HardFoam = 0.022;
        var filled = section.FillThickness.Metres;
        var k =
            section.Foam is { Sheet: var sheet }
                ? sheet.ThickestRated.Metres / sheet.ResistanceAt(sheet.ThickestRated).SquareMetreKelvinsPerWatt
            : filled > 0 ? filled / section.Fill.Sum(f => f.Resistance.SquareMetreKelvinsPerWatt)
            : HardFoam;
        return Math.Exp(Math.Round(Math.Log(k) * 50) / 50);
    }

    // A flange against board spreads its heat otherwise than one against stone: every layer counts, in its order.
    private static string LayersOf(SectionCase section) =>
        string.Join(
            '|',
            section
                .Outboard.Append(null)
                .Concat(section.Inboard)
                .Select(l =>
                    l is null ? "" : FormattableString.Invariant($"{l.Thickness.Metres:R}/{l.Material.Conductivity.WattsPerMetreKelvin:R}")
                )
        );

    private static MemberCurve Solved(SectionCase section, double conductivity)
    {
        var cells = Shares.Select(share => FilledTo(section, share, conductivity)).ToList();
        var span = (section.Air.Indoor - section.Air.Outdoor).Kelvins;
        return new(Through("ψ", cell => cell.Psi), Through("coldest", cell => (cell.Coldest - section.Air.Outdoor).Kelvins / span));

        Curve Through(string name, Func<MemberCell, double> of) =>
            new(name, [new(0, of(cells[0])), .. cells.Zip(Shares, (cell, share) => new CurvePoint(share, of(cell)))], Dimension.Number);
    }

    // A stand-in of the same conductivity at every thickness: a sheet's own table need not reach the depth.
    private static MemberCell FilledTo(SectionCase section, double share, double conductivity)
    {
        var stand = new Material
        {
            Id = "fill",
            Conductivity = ThermalConductivity.FromSi(conductivity),
            Permeability = Permeability.FromPermInches(1),
            Source = "stand-in",
        };
        return MemberCell.Of(section with { Fill = [new SlabFill(new(stand, section.Members.Depth * share))], SolvedPsi = null }, Volumes)!;
    }
}

/// <summary>All that decides a curve.</summary>
internal readonly record struct MemberCurveKey
{
    public required MetalProfile Profile { get; init; }

    public required double Depth { get; init; }

    public required double Spacing { get; init; }

    public required double Inside { get; init; }

    public required double Outside { get; init; }

    public required string Layers { get; init; }

    public required double Conductivity { get; init; }
}
