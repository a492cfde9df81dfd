using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>The workings of a section's figures.</summary>
internal static class SectionWorkings
{
    public static Dictionary<string, Working> Of(SectionStudy study, SectionHeat heat)
    {
        var foam = Fill(study);
        var rest = Rest(study.Case, heat);
        var cavity = Cavity(heat, foam, rest);
        var parallel = Parallel(study, heat, foam, rest);
        var combined = study.CombinedU is { } u ? Combined(study, parallel, u, heat) : null;
        var whole =
            MetalWorkings.Of(study, heat, parallel, rest)
            ?? (study.Case.Films == FilmSet.Iso6946 && combined is not null ? combined : parallel);
        var workings = new Dictionary<string, Working>
        {
            ["foamR"] = foam,
            ["cavityR"] = cavity,
            ["parallelU"] = parallel,
            ["wholeU"] = whole,
            ["foamPermeance"] = Permeance(study),
            ["heatCut"] = new(
                "heatCut",
                "cut = 1 − U / U_bare",
                [new("U", "wholeU", study.WholeU.ToFigure(), whole), new("U_bare", "bareU", study.BareU.ToFigure())],
                Figure.Percent(study.HeatCut * 100),
                Citations.WithoutFoam
            ),
            ["freeSpace"] = new(
                "freeSpace",
                "w = d − t",
                [
                    new("d", "foamDepth", (study.Case.FoamDepth ?? study.Case.FillThickness).ToThickness()),
                    new("t", "foamThickness", study.Case.FillThickness.ToThickness()),
                ],
                heat.FreeWidth.ToThickness(),
                Citations.DepthLeft
            ),
            ["foamSd"] = new(
                "foamSd",
                "sd = δ₀ / M",
                [
                    new("δ₀", "airPermeability", new(Quantities.Permeance.StillAirPermeability, Dimension.Permeability)),
                    new("M", "foamPermeance", study.FillPermeance.ToFigure()),
                ],
                new(study.FillPermeance.EquivalentAirThickness.Metres, Dimension.Span),
                Citations.EquivalentAir(Quantities.Permeance.StillAirPermeability)
            ),
            ["drive"] = new(
                "drive",
                "Δp = p_in − p_out",
                [
                    new("p_in", "indoorVapour", study.Profile.Inside.ToFigure()),
                    new("p_out", "outdoorVapour", study.Profile.Outside.ToFigure()),
                ],
                study.Profile.OutwardDrive.ToFigure(),
                Citations.VapourOfBothSides
            ),
        };
        workings["insideSurface"] = InsideSurface(study, heat);
        if (study.Lifts.Count > 0)
        {
            workings["lifts"] = Lifts(study);
        }

        if (combined is not null)
        {
            workings["combinedU"] = combined;
        }

        return workings;
    }

    private static Working Lifts(SectionStudy study) =>
        study.Lifts is [var only]
            ? only.Working
            : new(
                "lifts",
                "n = " + string.Join(" + ", study.Lifts.Select((_, i) => Numbered("n", i + 1))),
                [.. study.Lifts.Select((plan, i) => new WorkingTerm(Numbered("n", i + 1), "lifts", plan.Working.Result, plan.Working))],
                Figure.Count(study.Lifts.Sum(plan => plan.Lifts.Count)),
                Citations.LiftsOfEachFoam
            );

    private static Working Fill(SectionStudy study)
    {
        var layers = study.Case.Fill.Select(LayerOfFill).ToList();
        return layers.Count == 1
            ? layers[0]
            : new(
                "fillR",
                "R_fill = " + string.Join(" + ", layers.Select((_, i) => Numbered("R", i + 1))),
                [.. layers.Select((w, i) => new WorkingTerm(Numbered("R", i + 1), w.Name, w.Result, w))],
                study.FillR.ToFigure(),
                Citations.LayersInSeries
            );
    }

    private static Working LayerOfFill(FillLayer layer) =>
        layer switch
        {
            FoamFill foam => FoamR(foam),
            BattFill batt => new(
                "battR",
                "R = c · R_rated",
                [
                    new("R_rated", "battRated", batt.Batt.Rated.ToFigure()),
                    new(
                        "c",
                        "battKept",
                        Figure.Number(batt.Resistance.SquareMetreKelvinsPerWatt / batt.Batt.Rated.SquareMetreKelvinsPerWatt)
                    ),
                    new("t", "layerThickness", batt.Space.ToThickness()),
                    new("t_rated", "battNominal", batt.Batt.Nominal.ToThickness()),
                ],
                batt.Resistance.ToFigure(),
                Citations.PressedFibre(Materials.Batt.StatedAt)
            ),
            SlabFill slab => LayerR(slab.Layer),
            _ => throw new ArgumentOutOfRangeException(nameof(layer)),
        };

    internal static Working FoamR(FoamFill foam)
    {
        var (sheet, t) = (foam.Sheet, foam.Thickness);
        var result = foam.Resistance.ToFigure();
        var source = Citations.AgedR(sheet);
        var first = sheet.AgedR.Points[0];
        if (t.Metres <= first.X)
        {
            return new(
                "foamR",
                "R = R₁ · t / t₁",
                [new("R₁", "sheetR", R(first.Y)), new("t", "foamThickness", t.ToThickness()), new("t₁", "sheetThickness", T(first.X))],
                result,
                source
            );
        }

        var upper = sheet.AgedR.Points.First(p => p.X >= t.Metres - 1e-12);
        var lower = sheet.AgedR.Points.Last(p => p.X < upper.X);
        return new(
            "foamR",
            "R = R₁ + (R₂ − R₁) · (t − t₁) / (t₂ − t₁)",
            [
                new("R₁", "sheetR", R(lower.Y)),
                new("R₂", "sheetR", R(upper.Y)),
                new("t", "foamThickness", t.ToThickness()),
                new("t₁", "sheetThickness", T(lower.X)),
                new("t₂", "sheetThickness", T(upper.X)),
            ],
            result,
            source
        );

        static Figure R(double si) => new(si, Dimension.Resistance);
        static Figure T(double si) => new(si, Dimension.Thickness);
    }

    private static Working Permeance(SectionStudy study)
    {
        var layers = study
            .Case.Fill.Select(layer =>
                layer switch
                {
                    FoamFill foam => LayerPermeance(
                        "foamPermeance",
                        foam.Sheet.Permeability,
                        foam,
                        Citations.Sheet(foam.Sheet, SheetLine.SheetPermeability)
                    ),
                    BattFill batt => LayerPermeance(
                        "layerPermeance",
                        batt.Batt.Material.Permeability,
                        batt,
                        Citations.Data(batt.Batt.Material)
                    ),
                    SlabFill slab => LayerPermeance(
                        "layerPermeance",
                        slab.Layer.Material.Permeability,
                        slab,
                        Citations.Data(slab.Layer.Material)
                    ),
                    _ => throw new ArgumentOutOfRangeException(nameof(study)),
                }
            )
            .ToList();
        return layers.Count == 1
            ? layers[0]
            : new(
                "foamPermeance",
                "1 / M = " + string.Join(" + ", layers.Select((_, i) => $"1 / {Numbered("M", i + 1)}")),
                [.. layers.Select((w, i) => new WorkingTerm(Numbered("M", i + 1), w.Name, w.Result, w))],
                study.FillPermeance.ToFigure(),
                Citations.PermeancesInSeries
            );
    }

    private static Working LayerPermeance(string name, Permeability permeability, FillLayer layer, Citation source) =>
        new(
            name,
            "M = δ / t",
            [new("δ", "permeability", permeability.ToFigure()), new("t", "layerThickness", layer.Thickness.ToThickness())],
            layer.Permeance.ToFigure(),
            source
        );

    private static Working Rest(SectionCase section, SectionHeat heat)
    {
        List<WorkingTerm> terms = [new("R_se", "outsideFilm", heat.OutsideFilm.ToFigure())];
        terms.AddRange(
            heat.Outboard.Concat(section.Inboard)
                .Select(
                    (layer, i) =>
                        new WorkingTerm(Numbered("R", i + 1), "layer:" + layer.Material.Id, layer.Resistance.ToFigure(), LayerR(layer))
                )
        );
        terms.Add(new("R_si", "insideFilm", heat.InsideFilm.ToFigure()));
        return new(
            "restR",
            "R_rest = " + string.Join(" + ", terms.Select(t => t.Symbol)),
            terms,
            heat.Rest.ToFigure(),
            Films.Source(section.Films)
        );
    }

    private static Working LayerR(Layer layer) =>
        new(
            "layer:" + layer.Material.Id,
            "R = t / k",
            [new("t", "layerThickness", layer.Thickness.ToThickness()), new("k", "conductivity", layer.Material.Conductivity.ToFigure())],
            layer.Resistance.ToFigure(),
            Citations.Data(layer.Material)
        );

    // Temperature of the face towards the room between members, by its share of the resistance.
    private static Working InsideSurface(SectionStudy study, SectionHeat heat)
    {
        var (indoor, outdoor) = (study.Case.Air.Indoor, study.Case.Air.Outdoor);
        var factor = 1 - heat.InsideFilm.SquareMetreKelvinsPerWatt / study.CavityR.SquareMetreKelvinsPerWatt;
        return new(
            "insideSurface",
            "θ_si = θe + f · (θi − θe), f = 1 − R_si / R_T",
            [
                new("θi", "indoorTemperature", indoor.ToFigure()),
                new("θe", "outdoorTemperature", outdoor.ToFigure()),
                new("R_si", "insideFilm", heat.InsideFilm.ToFigure()),
                new("R_T", "cavityR", study.CavityR.ToFigure()),
                new("f", "temperatureFactor", Figure.Number(factor)),
            ],
            new(outdoor.Celsius + factor * (indoor.Celsius - outdoor.Celsius), Dimension.Temperature),
            Citations.TemperatureFactor
        );
    }

    private static Working Cavity(SectionHeat heat, Working foam, Working rest) =>
        new(
            "cavityR",
            "R = R_foam + R_air + R_rest",
            [
                new("R_foam", foam.Name, heat.Fill.ToFigure(), foam),
                new("R_air", "freeSpace", heat.FreeSpace.ToFigure()),
                new("R_rest", "restR", heat.Rest.ToFigure(), rest),
            ],
            heat.CavityTotal.ToFigure(),
            Citations.LayersAndAirSpace
        );

    private static Working Parallel(SectionStudy study, SectionHeat heat, Working foam, Working rest)
    {
        List<WorkingTerm> terms =
        [
            new("R_foam", foam.Name, heat.Fill.ToFigure(), foam),
            new("R_air", "freeSpace", heat.FreeSpace.ToFigure()),
            new("R_rest", "restR", heat.Rest.ToFigure(), rest),
        ];
        if (heat.Share == 0)
        {
            return new("wholeU", "U = 1 / (R_foam + R_air + R_rest)", terms, study.ParallelU.ToFigure(), Citations.LayersInSeries);
        }

        terms.InsertRange(0, [new("f", "memberShare", Figure.Number(heat.Share)), new("R_member", "member", heat.Member.ToFigure())]);
        return new(
            "wholeU",
            "U = f / (R_member + R_rest) + (1 − f) / (R_foam + R_air + R_rest)",
            terms,
            study.ParallelU.ToFigure(),
            Citations.ParallelPath
        );
    }

    private static Working Combined(SectionStudy study, Working parallel, ThermalTransmittance combined, SectionHeat heat)
    {
        var upper = study.ParallelU.ToResistance();
        var lower = ThermalResistance.FromSi(2 * combined.ToResistance().SquareMetreKelvinsPerWatt - upper.SquareMetreKelvinsPerWatt);
        return heat.Share == 0
            ? parallel
            : new(
                "combinedU",
                "U = 2 / (R_upper + R_lower)",
                [new("R_upper", "upperLimit", upper.ToFigure(), parallel), new("R_lower", "lowerLimit", lower.ToFigure())],
                combined.ToFigure(),
                Citations.CombinedMethod
            );
    }

    private static string Numbered(string symbol, int n) =>
        symbol + string.Concat(n.ToString(System.Globalization.CultureInfo.InvariantCulture).Select(c => (char)('₀' + (c - '0'))));
}
