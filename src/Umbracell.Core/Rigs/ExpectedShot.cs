using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Rigs;

/// <summary>Times a test shot is expected to take: those of the sheet, by Arrhenius from the mix at the sheet's set points to the mix there
/// is, which the substrate draws down. Practice, not measured.</summary>
/// <param name="Mix">Mix temperature.</param>
/// <param name="Cream">From the trigger until it creams.</param>
/// <param name="TackFree">From the trigger until it is free of tack.</param>
public readonly record struct ExpectedShot(Temperature Mix, TimeSpan Cream, TimeSpan TackFree)
{
    // What the substrate takes of a lift of the sheet's reference, and at the most of a thin one.
    private const double Drawn = 0.25,
        MostDrawn = 0.6;

    /// <summary>What is expected.</summary>
    /// <param name="sheet">The product.</param>
    /// <param name="gun">Liquid at the gun.</param>
    /// <param name="substrate">What is sprayed on.</param>
    /// <param name="lift">How thick, above zero.</param>
    public static ExpectedShot Of(ProductSheet sheet, Temperature gun, Temperature substrate, Length lift)
    {
        var reference = MixOf(sheet, sheet.SetPoints.Hose, sheet.Reaction.Substrate, sheet.ReferenceLift);
        var mix = MixOf(sheet, gun, substrate, lift);
        var activation = sheet.Exotherm.Activation;
        var slower = Math.Exp(activation / FoamExotherm.Gas * (1 / mix.Kelvin - 1 / reference.Kelvin));
        return new(mix, sheet.Reaction.Cream * slower, sheet.Reaction.TackFree * slower);
    }

    /// <summary><c>T_mix = T_gun − χ (T_gun − T_sub)</c> with <c>χ = min(0.6, 0.25 L_ref / L)</c>.</summary>
    /// <param name="sheet">The product.</param>
    /// <param name="gun">Liquid at the gun.</param>
    /// <param name="substrate">What is sprayed on.</param>
    /// <param name="lift">How thick.</param>
    /// <exception cref="QuantityRangeException">A lift out of range.</exception>
    public static Temperature MixOf(ProductSheet sheet, Temperature gun, Temperature substrate, Length lift)
    {
        QuantityRangeException.Within("lift", lift.Metres, 1e-4, 1, Dimension.Thickness);
        var drawn = Math.Min(MostDrawn, Drawn * sheet.ReferenceLift.Metres / lift.Metres);
        return Temperature.FromCelsius(gun.Celsius - drawn * (gun - substrate).Kelvins);
    }
}
