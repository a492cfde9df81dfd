using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Jobs;
using Umbracell.Server.Problems;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>Takes typed fields into a surface. One way for every stage that changes one.</summary>
internal static class SurfaceEdits
{
    private static readonly string[] Fields =
        ["name", "kind", "shape", "size", "openings", "repeats", "memberDepth", "memberSpacing", "openLeak", "sheet", "thickness", "prepared", "expectedSubstrate", "expectedDrum"];

    private static readonly string[] AreaFields = ["size", "openings", "repeats"];

    /// <summary>A surface of a kind as its template has it.</summary>
    public static Surface Start(SurfaceKind kind, string name)
    {
        var surface = new Surface { Id = Guid.NewGuid(), Name = name };
        Become(surface, kind);
        return surface;
    }

    /// <summary>Takes an edit, or throws with every fault and leaves the surface to be forgotten.</summary>
    public static void Take(TypedEdit edit, Surface surface, IReadOnlyDictionary<string, ProductSheet> sheets)
    {
        var fields = new TypedFields(edit);
        fields.Text("name", 200, required: true, text => surface.Name = text);
        fields.Choice<SurfaceKind>("kind", kind => Become(surface, kind));
        fields.Choice<ShapeKind>("shape", shape => BecomeShape(surface, shape));
        TakeSize(fields, surface);
        TakeOpenings(fields, surface);
        fields.Quantity("repeats", FieldRanges.Repeats, si => surface.Repeats = (int)Math.Round(si));
        fields.Quantity("memberDepth", FieldRanges.MemberDepth, si => surface.MemberDepthM = si);
        fields.Quantity("memberSpacing", FieldRanges.MemberSpacing, si => Space(surface, si));
        fields.Text("openLeak", 500, required: false, text => surface.OpenLeak = text.Length == 0 ? null : text);
        fields.Known("sheet", id => id.Length == 0 || sheets.ContainsKey(id), id => surface.SheetSlug = id.Length == 0 ? null : id);
        fields.QuantityOrBlank("thickness", FieldRanges.FoamThickness, si => surface.FoamThicknessM = si);
        fields.QuantityOrBlank("expectedSubstrate", FieldRanges.ReadTemperature, si => surface.ExpectedSubstrateC = si);
        fields.QuantityOrBlank("expectedDrum", FieldRanges.ReadTemperature, si => surface.ExpectedDrumC = si);
        fields.Text("prepared", 500, required: false, text => TakePrepared(fields, surface, text));
        CheckOpenings(fields, surface);
        fields.ThrowIfFaulty(Fields);
    }

    private static void Become(Surface surface, SurfaceKind kind)
    {
        var template = ShippedData.Templates[kind];
        surface.Kind = kind;
        BecomeShape(surface, template.Shape);
        surface.Substrate = template.Substrate;
        surface.MemberMaterial = template.Members.Material;
        surface.MemberDepthM = template.Members.DepthMm / 1000;
        surface.MemberSpacingM = template.Members.SpacingMm / 1000;
        surface.MemberShare = template.Members.SharePct / 100;
        surface.FoamAgainst = template.FoamAgainst;
        surface.ShavedFlush = template.ShavedFlush;
        surface.OpenFace = template.OpenFace;
        surface.ProfileFactor = template.ProfileFactor;
        surface.Assembly = new()
        {
            Outboard = [.. template.Outboard.Select(Layer)],
            Inboard = [.. template.Inboard.Select(Layer)],
            VentChannelMm = template.VentChannelMm,
            Baffle = template.Baffle is { } baffle ? Layer(baffle) : null,
        };
    }

    private static LayerRow Layer(TemplateLayer layer) => new() { Material = layer.Material, ThicknessMm = layer.ThicknessMm };

    // A size belongs to its shape: another shape asks for it anew.
    private static void BecomeShape(Surface surface, ShapeKind shape)
    {
        if (surface.Shape != shape)
        {
            surface.Shape = shape;
            (surface.FirstM, surface.SecondM, surface.ThirdM, surface.Pitch, surface.BayCount) = (0, 0, 0, 0, 1);
        }
    }

    private static void TakeSize(TypedFields fields, Surface surface)
    {
        if (!fields.Has("size"))
        {
            return;
        }

        var typed = SizeText.ParseShape(fields.Raw("size"), surface.Shape, fields.Units);
        if (typed.Shape is { } shape)
        {
            (surface.FirstM, surface.SecondM, surface.ThirdM) = (shape.First.Metres, shape.Second.Metres, shape.Third.Metres);
            (surface.Pitch, surface.BayCount) = (shape.Pitch, shape.Count);
        }
        else if (typed.Part is { } part)
        {
            fields.Fault(FieldFault.Of("size", part));
        }
        else if (string.IsNullOrWhiteSpace(fields.Raw("size")))
        {
            (surface.FirstM, surface.SecondM, surface.ThirdM, surface.Pitch, surface.BayCount) = (0, 0, 0, 0, 1);
        }
        else
        {
            fields.Fault(new("size", "parts", fields.Raw("size"), Words: [.. Shape.Sizes(surface.Shape).Select(p => p.ToString())]));
        }
    }

    private static void TakeOpenings(TypedFields fields, Surface surface)
    {
        if (!fields.Has("openings"))
        {
            return;
        }

        var typed = SizeText.ParseOpenings(fields.Raw("openings"), fields.Units);
        if (typed.Openings is null)
        {
            fields.Fault(typed.Part is { } part ? FieldFault.Of("openings", part) : new("openings", "parts", fields.Raw("openings"), Words: ["Count", "Width", "Height"]));
            return;
        }

        surface.Openings.Clear();
        surface.Openings.AddRange(typed.Openings.Select((o, i) => new OpeningRow { Position = i, Count = o.Count, WidthM = o.Width.Metres, HeightM = o.Height.Metres }));
    }

    private static void CheckOpenings(TypedFields fields, Surface surface)
    {
        var touched = AreaFields.Where(fields.Has).ToList();
        if (touched.Count > 0 && SurfaceReader.Takeoff(surface) is { OpeningsExceedSurface: true } && surface.Openings.Count > 0)
        {
            fields.Fault(new(touched.Contains("openings") ? "openings" : "size", "openingsExceed", fields.Raw(touched[0])));
        }
    }

    // Members cover a share in proportion to how close they stand; plates and headers stay.
    private static void Space(Surface surface, double spacing)
    {
        if (surface.MemberSpacingM > 0 && surface.MemberShare > 0)
        {
            var template = ShippedData.Templates[surface.Kind].Members;
            surface.MemberShare = FramingShares.For(surface.Kind, spacing) ?? Math.Min(0.6, template.SharePct / 100 * template.SpacingMm / 1000 / spacing);
        }

        surface.MemberSpacingM = spacing;
    }

    private static void TakePrepared(TypedFields fields, Surface surface, string text)
    {
        var items = text.Split(',', StringSplitOptions.TrimEntries | StringSplitOptions.RemoveEmptyEntries);
        var known = items.Select(item => Enum.TryParse<PreparationItem>(item, ignoreCase: true, out var value) && Enum.IsDefined(value) ? value : (PreparationItem?)null).ToList();
        if (known.Contains(null))
        {
            fields.Fault(new("prepared", "unknown", text));
            return;
        }

        surface.Prepared = [.. known.OfType<PreparationItem>().Distinct().Order()];
    }
}
