using Umbracell.Core.Findings;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Yield;

/// <summary>All that decides how many sets a surface takes.</summary>
public sealed record SetsCase
{
    /// <summary>The foam.</summary>
    public required ProductSheet Sheet { get; init; }

    /// <summary>Net area with ribs developed, above zero.</summary>
    public required Area Sprayed { get; init; }

    /// <summary>Specified thickness.</summary>
    public required Length Thickness { get; init; }

    /// <summary>Depth that sinks into a stone base below the specified thickness.</summary>
    public Length Penetration { get; init; }

    /// <summary>Whether the foam is shaved flush with the members.</summary>
    public required bool ShavedFlush { get; init; }

    /// <summary>Substrate temperature expected; null where nothing is known.</summary>
    public Temperature? Substrate { get; init; }

    /// <summary>Drum temperature expected; null where nothing is known.</summary>
    public Temperature? Drums { get; init; }

    /// <summary>Wind at an open face; null inside.</summary>
    public Speed? WindAtOpenFace { get; init; }

    /// <summary>Scatter of depth readings; null for the default of the foam.</summary>
    public Length? Scatter { get; init; }

    /// <summary>How the scatter came about; null for a default or an entered one.</summary>
    public Working? ScatterWorking { get; init; }

    /// <summary>Mean overfill where shaved flush; null for the default.</summary>
    public Length? Overfill { get; init; }

    /// <summary>Chance of running short that is taken.</summary>
    public double Risk { get; init; } = SpraySets.DefaultRisk;

    /// <summary>How the area came about.</summary>
    public Working? AreaWorking { get; init; }

    /// <summary>What the crew yields against the sheet; 1 until finished jobs are learned from.</summary>
    public double CrewFactor { get; init; } = 1;

    /// <summary>Standard deviation of ln(yield) of a job like this one; null for the spread between crews nothing is known of.</summary>
    public double? YieldSd { get; init; }

    /// <summary>How the crew's factor came about.</summary>
    public Working? CrewWorking { get; init; }
}

/// <summary>Material for a surface: the answer of the sets stage.</summary>
public sealed record SetsStudy
{
    /// <summary>Foam wanted.</summary>
    public required FoamDemand Demand { get; init; }

    /// <summary>Yield expected.</summary>
    public required SetYield Yield { get; init; }

    /// <summary>Sets as a distribution.</summary>
    public required SpraySets Sets { get; init; }

    /// <summary>Uncertainty taken.</summary>
    public required SetsSpread Spread { get; init; }

    /// <summary>Conditions the yield is reckoned at.</summary>
    public required YieldConditions Conditions { get; init; }

    /// <summary>Judgements, worst first.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Substrate temperature sheet yields are stated at.</summary>
    private static readonly Temperature ReferenceSubstrate = Temperature.FromCelsius(21);

    /// <summary>Studies the material for a surface.</summary>
    /// <param name="sets">The case.</param>
    /// <exception cref="QuantityRangeException">Area not above zero, thickness or risk out of range, wind over the sheet's
    /// limit.</exception>
    public static SetsStudy Of(SetsCase sets)
    {
        QuantityRangeException.Within("sprayed area", sets.Sprayed.SquareMetres, 1e-4, 1e6, Dimension.Area);
        List<Finding> findings = [];
        var substrate = Expect(
            "substrate",
            SheetLine.SheetYieldBySubstrate,
            sets.Substrate,
            ReferenceSubstrate,
            sets.Sheet.YieldBySubstrate,
            sets.Sheet,
            findings
        );
        var middle = Temperature.FromCelsius((sets.Sheet.Drums.Least.Celsius + sets.Sheet.Drums.Greatest.Celsius) / 2);
        var drums = Expect("drum", SheetLine.SheetYieldByDrum, sets.Drums, middle, sets.Sheet.YieldByDrum, sets.Sheet, findings);
        var lifts = LiftPlan.For(sets.Sheet, sets.Thickness);
        var conditions = new YieldConditions(substrate, drums, lifts.Lifts[0], sets.WindAtOpenFace);

        var overfill =
            sets.ShavedFlush && sets.Sheet.Cell == CellStructure.Open ? sets.Overfill ?? FoamDemand.DefaultOverfill : (Length?)null;
        var demand = FoamDemand.For(
            sets.Sprayed,
            sets.Thickness,
            sets.Scatter ?? FoamDemand.DefaultScatter(sets.Sheet.Cell),
            overfill,
            sets.Penetration,
            sets.ScatterWorking
        );
        demand = sets.AreaWorking is { } area ? demand with { Working = WithArea(demand.Working, area) } : demand;
        var yield = SetYield.For(sets.Sheet, conditions, sets.CrewFactor, sets.CrewWorking);
        var spread = SetsSpread.DefaultFor(demand) with { Yield = sets.YieldSd ?? SetsSpread.DefaultYield };
        var result = SpraySets.For(demand.Volume, yield, spread, sets.Risk, demand.Working);
        findings.Add(BelowSheetYield(sets.Sheet, yield));
        return new()
        {
            Demand = demand,
            Yield = yield,
            Sets = result,
            Spread = spread,
            Conditions = conditions,
            Findings = [.. findings.OrderByDescending(f => f.Verdict)],
        };
    }

    /// <summary>The temperature the yield is reckoned at. Past the ends of the sheet's curve nothing may be sprayed, so the work will be
    /// done at the end; that is said, not silently done.</summary>
    private static Temperature Expect(
        string key,
        SheetLine line,
        Temperature? known,
        Temperature assumed,
        Curve curve,
        ProductSheet sheet,
        List<Finding> findings
    )
    {
        var source = Citations.Sheet(sheet, line);
        if (known is not { } expected)
        {
            var used = Temperature.FromCelsius(Math.Clamp(assumed.Celsius, curve.First, curve.Last));
            findings.Add(new(MaterialRules.YieldConditions, key + "Assumed", Verdict.Care, source) { Measured = used.ToFigure() });
            return used;
        }

        if (expected.Celsius >= curve.First && expected.Celsius <= curve.Last)
        {
            return expected;
        }

        var end = Temperature.FromCelsius(Math.Clamp(expected.Celsius, curve.First, curve.Last));
        findings.Add(
            new(MaterialRules.YieldConditions, key + "OffCurve", Verdict.Care, source)
            {
                Measured = expected.ToFigure(),
                Limit = end.ToFigure(),
                Margin = new(-Math.Abs(expected.Celsius - end.Celsius), Dimension.TemperatureDifference),
            }
        );
        return end;
    }

    private static Finding BelowSheetYield(ProductSheet sheet, SetYield yield)
    {
        var share = yield.Expected / sheet.SheetYield;
        return new(
            MaterialRules.Yield,
            share < 0.95 ? "wellUnder" : "near",
            share < 0.95 ? Verdict.Care : Verdict.Clear,
            Citations.Sheet(sheet, SheetLine.SheetYield)
        )
        {
            Measured = yield.Expected.ToFigure(),
            Limit = sheet.SheetYield.ToFigure(),
            Margin = Figure.Percent((share - 1) * 100),
            Working = yield.Working,
        };
    }

    private static Working WithArea(Working working, Working area) =>
        working with
        {
            Terms = [.. working.Terms.Select(t => t.Name == "sprayedArea" ? t with { From = area } : t)],
        };
}
