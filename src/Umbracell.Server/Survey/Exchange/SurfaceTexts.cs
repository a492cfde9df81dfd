using System.Globalization;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Documents;
using Umbracell.Formats.Surveys;
using Umbracell.Formats.Words;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>A surface as a row of a table that people read and that reads back as the same surface: words of the screen, lengths in
/// whichever unit writes them shortest without loss.</summary>
internal static class SurfaceTexts
{
    /// <summary>Cells of a surface by field.</summary>
    /// <param name="s">The surface.</param>
    /// <param name="system">Units to write in.</param>
    /// <param name="nameOf">Name of a product by its id.</param>
    public static Dictionary<string, ExportCell> Of(Surface s, UnitSystem system, Func<string, string> nameOf)
    {
        var d = s.Details;
        return new()
        {
            ["name"] = new(s.Name),
            ["kind"] = Word(s.Kind),
            ["shape"] = Word(s.Shape),
            ["size"] = new(s.HasSize ? Size(s, system) : ""),
            ["openings"] = new(
                string.Join(
                    "; ",
                    s.Openings.OrderBy(o => o.Position)
                        .Select(o =>
                            $"{(o.Count == 1 ? "" : $"{o.Count} x ")}{ExactText.Span(o.WidthM, system)} x {ExactText.Span(o.HeightM, system)}"
                        )
                )
            ),
            ["repeats"] = ExportCell.Of(s.Repeats),
            ["memberMaterial"] = Word(s.MemberMaterial),
            ["memberDepth"] = Thickness(s.MemberDepthM > 0 ? s.MemberDepthM : null, system),
            ["memberSpacing"] = Thickness(s.MemberSpacingM > 0 ? s.MemberSpacingM : null, system),
            ["memberShare"] =
                s.MemberShare > 0 && !ShareFollows(s)
                    ? new(ExactText.Number(Math.Round(s.MemberShare * 100, 6)) + " %", s.MemberShare * 100)
                    : default,
            ["outboard"] = new(LayersOrNone(s.Assembly.Outboard, system)),
            ["inboard"] = new(LayersOrNone(s.Assembly.Inboard, system)),
            ["ventChannel"] = Thickness(s.Assembly.VentChannelMm / 1000, system),
            ["baffle"] = new(LayersOrNone(s.Assembly.Baffle is { } baffle ? [baffle] : [], system)),
            ["substrate"] = Word(s.Substrate),
            ["profileFactor"] = ExportCell.Of(s.ProfileFactor),
            ["shavedFlush"] = new(YesNo(s.ShavedFlush)),
            ["openLeak"] = new(s.OpenLeak?.Words ?? ""),
            ["sheet"] = new(s.SheetSlug is { } sheet ? nameOf(sheet) : ""),
            ["thickness"] = Thickness(s.FoamThicknessM, system),
            ["system"] = new(s.System is { } chosen ? SystemText.Of(chosen, system, nameOf) : ""),
            ["expectedSubstrate"] = Temperature(s.ExpectedSubstrateC, system),
            ["expectedDrum"] = Temperature(s.ExpectedDrumC, system),
            ["access"] = Word(d.Access),
            ["balloonFramed"] = new(YesNo(d.BalloonFramed)),
            ["crawlSpace"] = new(YesNo(d.CrawlSpace)),
            ["heldAtEnds"] = new(YesNo(d.HeldAtEnds)),
            ["flange"] = Thickness(d.FlangeMm / 1000, system),
            ["web"] = Thickness(d.WebMm / 1000, system),
            ["skin"] = Thickness(d.SkinMm / 1000, system),
            ["covering"] = Word(d.Covering),
            ["attachment"] = Word(d.Attachment),
            ["facing"] = Word(d.Facing),
            ["shelter"] = Word(d.Shelter),
            ["faceHeight"] = d.FaceHeightM is { } height ? Quantity(height, Dimension.Span, system) : default,
            ["coveredOn"] = new(d.CoveredOn?.ToString("yyyy-MM-dd", CultureInfo.InvariantCulture) ?? ""),
            ["doorSpare"] = d.DoorSpareKg is { } kg ? Quantity(kg, Dimension.Mass, system) : default,
            ["penetration"] = Thickness(d.PenetrationMm > 0 ? d.PenetrationMm / 1000 : null, system),
            ["facts"] = new(
                string.Join(
                    "; ",
                    ChoiceFacts
                        .Told(s.ChoiceFacts ?? new())
                        .Where(f => f.Value)
                        .Select(f => WordCatalog.Of("choose.fact." + f.Key) ?? f.Key)
                )
            ),
            ["load"] = s.ChoiceFacts?.LoadKPa is { } load ? Quantity(load * 1000, Dimension.BearingPressure, system) : default,
        };
    }

    /// <summary>Layers as they are typed, with the materials' own words.</summary>
    public static string Layers(IEnumerable<LayerDocument> layers, UnitSystem system) =>
        string.Join("; ", layers.Select(l => $"{AssemblyEdits.NameOf(l.Material)} | {ExactText.Thickness(l.ThicknessMm / 1000, system)}"));

    // Whether members and spacing alone bring the share back: then it is not written out to its last digit.
    private static bool ShareFollows(Surface s)
    {
        var fresh = SurfaceStart.Of(s.Kind, "");
        AssemblyEdits.Take(
            new(
                new(
                    null,
                    UnitSystem.Metric,
                    new Dictionary<string, string>
                    {
                        ["memberMaterial"] = s.MemberMaterial.ToString(),
                        ["memberSpacing"] = ExactText.Thickness(s.MemberSpacingM, UnitSystem.Metric),
                    }
                )
            ),
            fresh,
            []
        );
        return Math.Abs(fresh.MemberShare - s.MemberShare) < 1e-9;
    }

    // A blank cell says nothing and would leave the layers of the kind.
    private static string LayersOrNone(IReadOnlyList<LayerDocument> layers, UnitSystem system) =>
        layers.Count == 0 ? AssemblyEdits.NoLayers : Layers(layers, system);

    private static string Size(Surface s, UnitSystem system)
    {
        if (s.Shape == ShapeKind.Outline)
        {
            return string.Join("; ", s.Corners.Chunk(2).Select(c => $"{ExactText.Span(c[0], system)} x {ExactText.Span(c[1], system)}"));
        }

        var shape = SurfaceReader.ShapeOf(s);
        return string.Concat(
            Shape
                .Sizes(s.Shape)
                .Select(
                    (part, i) =>
                        (
                            i == 0 ? ""
                            : part == SizePart.Pitch ? " at "
                            : " x "
                        )
                        + part switch
                        {
                            SizePart.Pitch => ExactText.Pitch(s.Pitch),
                            SizePart.Count => s.BayCount.ToString(CultureInfo.InvariantCulture),
                            _ => ExactText.Span(shape[part].Amount, system),
                        }
                )
        );
    }

    private static ExportCell Thickness(double? metres, UnitSystem system) =>
        metres is { } m ? new(ExactText.Thickness(m, system), QuantityPrinter.Value(new(m, Dimension.Thickness), system)) : default;

    private static ExportCell Temperature(double? celsius, UnitSystem system) =>
        celsius is { } c ? Quantity(c, Dimension.Temperature, system) : default;

    private static ExportCell Quantity(double si, Dimension dimension, UnitSystem system) =>
        new(ExactText.Quantity(new(si, dimension), system), QuantityPrinter.Value(new(si, dimension), system));

    private static string YesNo(bool? yes) =>
        yes switch
        {
            true => "yes",
            false => "no",
            _ => "",
        };

    private static ExportCell Word<T>(T value)
        where T : struct, Enum
    {
        var code = Vocabulary.KeyOf(value);
        return new(WordCatalog.Of($"{FieldWords.ListOf(typeof(T))}.{code}") ?? code);
    }
}
