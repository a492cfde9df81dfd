using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>Conditions a yield is expected under.</summary>
/// <param name="Substrate">Substrate temperature, within the sheet's curve.</param>
/// <param name="Drums">Drum temperature, within the sheet's curve.</param>
/// <param name="Lift">Thickness of each lift, above zero.</param>
/// <param name="WindAtOpenFace">Wind at an open face; null inside.</param>
public sealed record YieldConditions(Temperature Substrate, Temperature Drums, Length Lift, Speed? WindAtOpenFace);

/// <summary>One factor on the way from sheet yield to expected yield.</summary>
/// <param name="Key">Its name: substrate, drum, lift, open, altitude, crew.</param>
/// <param name="Value">The factor.</param>
/// <param name="Working">How it came about.</param>
public sealed record YieldFactor(string Key, double Value, Working Working);

/// <summary>The yield of a set to expect.</summary>
/// <param name="Expected">Board feet per set.</param>
/// <param name="Factors">The factors that made it from the sheet's.</param>
/// <param name="MassBound">Most a set can fill at the in-place density.</param>
/// <param name="ImpliedLoss">Share of the set's mass that does not stay in the foam.</param>
/// <param name="Working">How it came about.</param>
public sealed record SetYield(
    FoamVolume Expected,
    IReadOnlyList<YieldFactor> Factors,
    FoamVolume MassBound,
    double ImpliedLoss,
    Working Working
)
{
    /// <summary>Further overspray at an open face in still air and at the wind limit.</summary>
    private const double StillAirOverspray = 0.02,
        WindLimitOverspray = 0.10;

    /// <summary>Yield of a set under conditions.</summary>
    /// <param name="sheet">The sheet.</param>
    /// <param name="conditions">The conditions.</param>
    /// <param name="crewFactor">The crew's own factor, 0.2 to 2; 1 until it is learned.</param>
    /// <param name="crewWorking">How that factor came about.</param>
    /// <exception cref="QuantityRangeException">A temperature outside the sheet's curves, wind over the sheet's limit, or a yield above
    /// what the mass of a set can fill.</exception>
    public static SetYield For(ProductSheet sheet, YieldConditions conditions, double crewFactor = 1, Working? crewWorking = null)
    {
        QuantityRangeException.Within("crew factor", crewFactor, 0.2, 2, Dimension.Number);
        var source = Citations.Sheet(sheet, SheetLine.SheetYield);
        List<YieldFactor> factors =
        [
            FromCurve("substrate", sheet.YieldBySubstrate, conditions.Substrate, Citations.Sheet(sheet, SheetLine.SheetYieldBySubstrate)),
            FromCurve("drum", sheet.YieldByDrum, conditions.Drums, Citations.Sheet(sheet, SheetLine.SheetYieldByDrum)),
            ForLift(sheet, conditions.Lift),
            ForOpenFace(sheet, conditions.WindAtOpenFace),
            new("altitude", 1, new("factor:altitude", "f_alt = 1", [], Figure.Number(1), Citations.NoAltitudeCurve)),
            new("crew", crewFactor, crewWorking ?? new("factor:crew", "f_crew", [], Figure.Number(crewFactor), Citations.NothingLearned)),
        ];
        var expected = sheet.SheetYield * factors.Aggregate(1.0, (product, f) => product * f.Value);
        var bound = sheet.SetMass / sheet.InPlaceDensity;
        QuantityRangeException.Within("yield of a set", expected.CubicMetres, 0, bound.CubicMetres, Dimension.FoamVolume);
        var working = new Working(
            "setYield",
            "Y = Y_sheet · f_substrate · f_drum · f_lift · f_open · f_altitude · f_crew",
            [
                new("Y_sheet", "sheetYield", sheet.SheetYield.ToFigure()),
                .. factors.Select(f => new WorkingTerm("f_" + f.Key, "factor:" + f.Key, Figure.Number(f.Value), f.Working)),
            ],
            expected.ToFigure(),
            source
        );
        return new(expected, factors, bound, 1 - expected / bound, working);
    }

    /// <summary>The lift factor: each lift's dense skin costs an equivalent thickness s, so <c>[t/(t+s)] / [t_ref/(t_ref+s)]</c>.</summary>
    /// <param name="lift">Thickness of each lift, above zero.</param>
    /// <param name="reference">The sheet's reference lift.</param>
    /// <param name="skin">Equivalent thickness s.</param>
    public static double LiftFactor(Length lift, Length reference, Length skin) => lift / (lift + skin) / (reference / (reference + skin));

    private static YieldFactor FromCurve(string key, Curve curve, Temperature temperature, Citation source)
    {
        var value = curve.At(temperature.Celsius);
        return new(
            key,
            value,
            new("factor:" + key, $"f_{key}(T)", [new("T", "temperature:" + key, temperature.ToFigure())], Figure.Number(value), source)
        );
    }

    private static YieldFactor ForLift(ProductSheet sheet, Length lift)
    {
        ThicknessLimits.Within("lift", lift);
        var value = LiftFactor(lift, sheet.ReferenceLift, sheet.SkinEquivalent);
        return new(
            "lift",
            value,
            new(
                "factor:lift",
                "f_lift = [t / (t + s)] / [t_ref / (t_ref + s)]",
                [
                    new("t", "liftThickness", lift.ToThickness()),
                    new("s", "skinEquivalent", sheet.SkinEquivalent.ToThickness()),
                    new("t_ref", "referenceLift", sheet.ReferenceLift.ToThickness()),
                ],
                Figure.Number(value),
                Citations.DenseSkin
            )
        );
    }

    private static YieldFactor ForOpenFace(ProductSheet sheet, Speed? wind)
    {
        if (wind is not { } speed)
        {
            return new("open", 1, new("factor:open", "f_open = 1", [], Figure.Number(1), Citations.NoOpenFace));
        }

        QuantityRangeException.Within("wind at the open face", speed.MetresPerSecond, 0, sheet.WindLimit.MetresPerSecond, Dimension.Speed);
        var value =
            1 - (StillAirOverspray + (WindLimitOverspray - StillAirOverspray) * speed.MetresPerSecond / sheet.WindLimit.MetresPerSecond);
        return new(
            "open",
            value,
            new(
                "factor:open",
                "f_open = 1 − (0.02 + 0.08 · v / v_limit)",
                [new("v", "wind", speed.ToFigure()), new("v_limit", "windLimit", sheet.WindLimit.ToFigure())],
                Figure.Number(value),
                Citations.OpenFace
            )
        );
    }
}
