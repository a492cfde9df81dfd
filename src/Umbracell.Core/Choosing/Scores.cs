using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>One part of a candidate's score.</summary>
/// <param name="Part">Which.</param>
/// <param name="Value">0 worst to 1 best.</param>
/// <param name="Measured">The figure it was made from.</param>
/// <param name="Working">How it was made.</param>
public sealed record Score(ScorePart Part, double Value, Figure Measured, Working Working);

/// <summary>Scores from computed figures, each 0 to 1.</summary>
internal static class Scores
{
    // Over this humidity at the coldest interface nothing is left of the moisture score; at or under the other it is whole.
    private const double DampestHumidity = 100,
        DriestHumidity = 60;

    /// <summary>Density of hard foam that takes knocks as board does, kg/m³.</summary>
    private const double ToughDensity = 45;

    /// <summary>Thickness of open-pored layers that takes up speech: a quarter wave of 1 kHz.</summary>
    private static readonly Length QuarterWave = Length.FromMillimetres(85);

    public static Score Cost(double cost, double cheapest) =>
        Ratio(
            ScorePart.Cost,
            cheapest / Math.Max(cost, 1e-9),
            new(cost, Dimension.MoneyPerArea),
            "s = c_least / c",
            [
                new("c_least", "cheapest", new(cheapest, Dimension.MoneyPerArea)),
                new("c", "candidateCost", new(cost, Dimension.MoneyPerArea)),
            ]
        );

    public static Score Depth(SectionCase section, Length shallowest)
    {
        var t = section.FillThickness;
        return Ratio(
            ScorePart.Depth,
            shallowest / t,
            t.ToThickness(),
            "s = t_least / t",
            [new("t_least", "shallowest", shallowest.ToThickness()), new("t", "fillThickness", t.ToThickness())]
        );
    }

    /// <summary>Distance from damp at the worst place that water can harm; where steady means read it wet under any system, by the code's
    /// table and the class instead, if that is less.</summary>
    public static Score Moisture(Weighed w)
    {
        if (w.Year is not { } year)
        {
            return ByHumidity("designHumidity", AtDesign(w.Section));
        }

        var told =
            year.NeverDries > 0 && !year.LiesUntold ? ByHumidity("worstMonth", DampestHumidity)
            : year.DampestTold is { } place ? ByHumidity("worstMonth", place.Greatest, place.Working)
            : null;
        var byTable = year.Places.FirstOrDefault(p => p.IsDamperThanWeather && p.Untold) is { } untold ? ByTable(w, untold) : null;
        return told is null ? byTable ?? ByHumidity("worstMonth", year.Dampest.Greatest, year.Dampest.Working)
            : byTable is { } other && other.Value < told.Value ? other
            : told;
    }

    private static Score ByHumidity(string name, double humidity, Working? from = null) =>
        Ratio(
            ScorePart.Moisture,
            (DampestHumidity - humidity) / (DampestHumidity - DriestHumidity),
            new(humidity, Dimension.RelativeHumidity),
            "s = (100 − RH) / 40",
            [new("RH", name, new(humidity, Dimension.RelativeHumidity), from)]
        );

    // R twice what the table asks is all that can be had of its margin; where no table speaks, the class alone.
    private static Score ByTable(Weighed w, PlaceYear untold)
    {
        var permeance = VapourResistance.InSeries(
            w.Section.Fill.Select(f => f.Permeance)
                .Concat((untold.Inward ? w.Section.Outboard : w.Section.Inboard).Select(l => l.Permeance))
        );
        var byClass = VapourResistance.ClassOf(permeance) switch
        {
            VapourClass.I => 1,
            VapourClass.II => 0.8,
            VapourClass.III => 0.3,
            _ => 0,
        };
        List<WorkingTerm> terms =
        [
            new("W", "wetterSidePermeance", permeance.ToFigure()),
            new("s_class", "classWorth", Figure.Number(byClass)),
        ];
        var table = w.Opinions.FirstOrDefault(o => o.Rule != CondensationRules.Year);
        if (table is not { Measured: { } has, Limit: { Amount: > 0 } asks })
        {
            return Ratio(ScorePart.Moisture, byClass, permeance.ToFigure(), "s = s_class", terms);
        }

        terms.InsertRange(0, [new("R", "tableHas", has), new("R_table", "tableAsks", asks)]);
        return Ratio(
            ScorePart.Moisture,
            (Math.Clamp(has.Amount / asks.Amount / 2, 0, 1) + byClass) / 2,
            has,
            "s = (min(1, R / 2 R_table) + s_class) / 2",
            terms
        );
    }

    public static Score Toughness(SectionCase section)
    {
        var face =
            section.Fill[^1] is SlabFill { Layer.Material.IsInsulation: false } && section.Fill.Count > 1
                ? section.Fill[^2]
                : section.Fill[^1];
        var density = face.KilogramsPerSquareMetre / Math.Max(face.Thickness.Metres, 1e-6);
        return Ratio(
            ScorePart.Toughness,
            density / ToughDensity,
            new(density, Dimension.Density),
            "s = ρ / 45 kg/m³",
            [new("ρ", "faceDensity", new(density, Dimension.Density))]
        );
    }

    public static Score Quiet(SectionCase section)
    {
        var porous = Length.FromMetres(section.Fill.Where(IsPorous).Sum(f => f.Thickness.Metres));
        return Ratio(
            ScorePart.Quiet,
            porous / QuarterWave,
            porous.ToThickness(),
            "s = t_porous / 85 mm",
            [new("t_porous", "porousThickness", porous.ToThickness())]
        );
    }

    // What sticks must be cut out, and the denser it is the harder; what is laid in is lifted out.
    public static Score Repair(SectionCase section)
    {
        var stuck = section.Fill.OfType<FoamFill>().Sum(f => f.KilogramsPerSquareMetre);
        return Ratio(
            ScorePart.Repair,
            1 / (1 + stuck / 2),
            new(stuck, Dimension.AreaWeight),
            "s = 1 / (1 + m / 2 kg/m²)",
            [new("m", "stuckWeight", new(stuck, Dimension.AreaWeight))]
        );
    }

    public static Score Speed(double hours, double quickest) =>
        Ratio(
            ScorePart.Speed,
            quickest / Math.Max(hours, 1e-9),
            Figure.Duration(TimeSpan.FromHours(hours)),
            "s = h_least / h",
            [
                new("h_least", "quickest", Figure.Duration(TimeSpan.FromHours(quickest))),
                new("h", "hoursOfSurface", Figure.Duration(TimeSpan.FromHours(hours))),
            ]
        );

    private static bool IsPorous(FillLayer layer) => layer is BattFill || layer is FoamFill { Sheet.Cell: Materials.CellStructure.Open };

    private static double AtDesign(SectionCase section)
    {
        var state = AssemblyState.OfFilled(section);
        return Math.Min(DampestHumidity, state.InterfaceHumidity);
    }

    private static Score Ratio(ScorePart part, double value, Figure measured, string formula, IReadOnlyList<WorkingTerm> terms)
    {
        var held = Math.Clamp(value, 0, 1);
        return new(part, held, measured, new("score", formula, terms, Figure.Number(held), Citations.Scores));
    }
}
