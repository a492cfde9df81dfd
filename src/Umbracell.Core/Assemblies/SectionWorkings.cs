using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>The workings of a section's figures.</summary>
internal static class SectionWorkings
{
    public static Dictionary<string, Working> Of(SectionStudy study, SectionHeat heat)
    {
        var foam = FoamR(study);
        var rest = Rest(study.Case, heat);
        var cavity = Cavity(heat, foam, rest);
        var parallel = Parallel(study, heat, foam, rest);
        var combined = study.CombinedU is { } u ? Combined(study, parallel, u, heat) : null;
        var whole = MetalWorkings.Of(study, heat, parallel, rest) ?? (study.Case.Films == FilmSet.Iso6946 && combined is not null ? combined : parallel);
        var workings = new Dictionary<string, Working>
        {
            ["foamR"] = foam,
            ["cavityR"] = cavity,
            ["parallelU"] = parallel,
            ["wholeU"] = whole,
            ["foamPermeance"] = new(
                "foamPermeance",
                "M = δ / t",
                [new("δ", "permeability", study.Case.Sheet.Permeability.ToFigure()), new("t", "foamThickness", study.Case.FoamThickness.ToThickness())],
                study.FoamPermeance.ToFigure(),
                $"{study.Case.Sheet.Name}, {study.Case.Sheet.Edition}: permeability of the bulk"),
            ["heatCut"] = new(
                "heatCut",
                "cut = 1 − U / U_bare",
                [new("U", "wholeU", study.WholeU.ToFigure(), whole), new("U_bare", "bareU", study.BareU.ToFigure())],
                Figure.Percent(study.HeatCut * 100),
                "Same assembly and films without foam"),
            ["freeSpace"] = new(
                "freeSpace",
                "w = d − t",
                [new("d", "foamDepth", (study.Case.FoamDepth ?? study.Case.FoamThickness).ToThickness()), new("t", "foamThickness", study.Case.FoamThickness.ToThickness())],
                heat.FreeWidth.ToThickness(),
                "Depth left between foam and the face of the members; 0 where nothing closes it off"),
            ["foamSd"] = new(
                "foamSd",
                "sd = δ₀ / M",
                [new("δ₀", "airPermeability", new(Permeance.StillAirPermeability, Dimension.Permeability)), new("M", "foamPermeance", study.FoamPermeance.ToFigure())],
                new(study.FoamPermeance.EquivalentAirThickness.Metres, Dimension.Span),
                "ISO 13788: conventional permeability of air 2·10⁻¹⁰ kg/(Pa·s·m)"),
            ["lifts"] = study.Lifts.Working,
            ["drive"] = new(
                "drive",
                "Δp = p_in − p_out",
                [new("p_in", "indoorVapour", study.Profile.Inside.ToFigure()), new("p_out", "outdoorVapour", study.Profile.Outside.ToFigure())],
                study.Profile.OutwardDrive.ToFigure(),
                "Saturation pressure times relative humidity on each side (ASHRAE Fundamentals, psychrometrics)"),
        };
        if (combined is not null)
        {
            workings["combinedU"] = combined;
        }

        return workings;
    }

    private static Working FoamR(SectionStudy study)
    {
        var sheet = study.Case.Sheet;
        var t = study.Case.FoamThickness;
        var source = $"{sheet.Name}, {sheet.Edition}: aged R, {sheet.AgeingMethod}";
        var first = sheet.AgedR.Points[0];
        if (t.Metres <= first.X)
        {
            return new("foamR", "R = R₁ · t / t₁", [new("R₁", "sheetR", R(first.Y)), new("t", "foamThickness", t.ToThickness()), new("t₁", "sheetThickness", T(first.X))], study.FoamR.ToFigure(), source);
        }

        var upper = sheet.AgedR.Points.First(p => p.X >= t.Metres - 1e-12);
        var lower = sheet.AgedR.Points.Last(p => p.X < upper.X);
        return new(
            "foamR",
            "R = R₁ + (R₂ − R₁) · (t − t₁) / (t₂ − t₁)",
            [new("R₁", "sheetR", R(lower.Y)), new("R₂", "sheetR", R(upper.Y)), new("t", "foamThickness", t.ToThickness()), new("t₁", "sheetThickness", T(lower.X)), new("t₂", "sheetThickness", T(upper.X))],
            study.FoamR.ToFigure(),
            source);

        static Figure R(double si) => new(si, Dimension.Resistance);
        static Figure T(double si) => new(si, Dimension.Thickness);
    }

    private static Working Rest(SectionCase section, SectionHeat heat)
    {
        List<WorkingTerm> terms = [new("R_se", "outsideFilm", heat.OutsideFilm.ToFigure())];
        terms.AddRange(heat.Outboard.Concat(section.Inboard).Select((layer, i) => new WorkingTerm(Numbered("R", i + 1), "layer:" + layer.Material.Id, layer.Resistance.ToFigure(), LayerR(layer))));
        terms.Add(new("R_si", "insideFilm", heat.InsideFilm.ToFigure()));
        return new("restR", "R_rest = " + string.Join(" + ", terms.Select(t => t.Symbol)), terms, heat.Rest.ToFigure(), Films.Source(section.Films));
    }

    private static Working LayerR(Layer layer) => new(
        "layer:" + layer.Material.Id,
        "R = t / k",
        [new("t", "layerThickness", layer.Thickness.ToThickness()), new("k", "conductivity", layer.Material.Conductivity.ToFigure())],
        layer.Resistance.ToFigure(),
        layer.Material.Source);

    private static Working Cavity(SectionHeat heat, Working foam, Working rest) => new(
        "cavityR",
        "R = R_foam + R_air + R_rest",
        [new("R_foam", "foamR", heat.Foam.ToFigure(), foam), new("R_air", "freeSpace", heat.FreeSpace.ToFigure()), new("R_rest", "restR", heat.Rest.ToFigure(), rest)],
        heat.CavityTotal.ToFigure(),
        "Layers in series; air space by ISO 6946 table 8");

    private static Working Parallel(SectionStudy study, SectionHeat heat, Working foam, Working rest)
    {
        List<WorkingTerm> terms = [new("R_foam", "foamR", heat.Foam.ToFigure(), foam), new("R_air", "freeSpace", heat.FreeSpace.ToFigure()), new("R_rest", "restR", heat.Rest.ToFigure(), rest)];
        if (heat.Share == 0)
        {
            return new("wholeU", "U = 1 / (R_foam + R_air + R_rest)", terms, study.ParallelU.ToFigure(), "Layers in series");
        }

        terms.InsertRange(0, [new("f", "memberShare", Figure.Number(heat.Share)), new("R_member", "member", heat.Member.ToFigure())]);
        return new("wholeU", "U = f / (R_member + R_rest) + (1 − f) / (R_foam + R_air + R_rest)", terms, study.ParallelU.ToFigure(), "Parallel path (ASHRAE Fundamentals); upper limit of ISO 6946");
    }

    private static Working Combined(SectionStudy study, Working parallel, ThermalTransmittance combined, SectionHeat heat)
    {
        var upper = study.ParallelU.ToResistance();
        var lower = new ThermalResistance(2 * combined.ToResistance().SquareMetreKelvinsPerWatt - upper.SquareMetreKelvinsPerWatt);
        return heat.Share == 0
            ? parallel
            : new("combinedU", "U = 2 / (R_upper + R_lower)", [new("R_upper", "upperLimit", upper.ToFigure(), parallel), new("R_lower", "lowerLimit", lower.ToFigure())], combined.ToFigure(), "ISO 6946 combined method");
    }

    private static string Numbered(string symbol, int n) => symbol + string.Concat(n.ToString(System.Globalization.CultureInfo.InvariantCulture).Select(c => (char)('₀' + (c - '0'))));
}
