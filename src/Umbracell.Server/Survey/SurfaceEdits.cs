using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>Takes typed fields into a surface. One way for every stage that changes one.</summary>
internal static class SurfaceEdits
{
    private static readonly string[] Fields =
    [
        "name",
        "kind",
        "template",
        "shape",
        "size",
        "openings",
        "repeats",
        "openLeak",
        "sheet",
        "thickness",
        "system",
        "expectedSubstrate",
        "expectedDrum",
        "facts",
        "load",
        .. AssemblyEdits.Fields,
        .. DetailEdits.Fields,
    ];

    private static readonly string[] AreaFields = ["size", "openings", "repeats"];

    /// <summary>Takes an edit, or throws with every fault and leaves the surface to be forgotten.</summary>
    /// <param name="edit">What was typed.</param>
    /// <param name="surface">The surface.</param>
    /// <param name="known">What a field may name.</param>
    /// <param name="stamp">Who types, and when.</param>
    public static void Take(TypedEdit edit, Surface surface, SurveyChoices known, Stamp stamp)
    {
        var fields = new TypedFields(edit);
        if (fields.Has("kind") && fields.Has("size"))
        {
            // The size that comes with a new kind is meant in the new kind's shape.
            SurfaceStart.ForgetSize(surface);
        }

        fields.Text("name", 200, required: true, text => surface.Name = text);
        fields.Choice<SurfaceKind>("kind", kind => SurfaceStart.Become(surface, ShippedData.Templates[kind]));
        fields.Known("template", id => known.Templates.ContainsKey(id), id => SurfaceStart.Become(surface, known.Templates[id]));
        fields.Choice<ShapeKind>("shape", shape => SurfaceStart.BecomeShape(surface, shape));
        TakeSize(fields, surface);
        TakeOpenings(fields, surface);
        fields.Quantity("repeats", FieldRanges.Repeats, si => surface.Repeats = (int)Math.Round(si));
        AssemblyEdits.Take(fields, surface, known.OwnMaterials);
        DetailEdits.Take(fields, surface, known);
        fields.Text("openLeak", 500, required: false, text => TakeLeak(surface, text, stamp));
        fields.Known(
            "sheet",
            text => text.Length == 0 || known.SheetOf(text) is not null,
            text => (surface.SheetSlug, surface.System) = (known.SheetOf(text), null)
        );
        fields.QuantityOrBlank("thickness", ThicknessLimits.Entered, si => surface.FoamThicknessM = si);
        Exchange.SystemText.Take(fields, known, stamp, system => surface.System = system);
        if (fields.Has("facts") || fields.Has("load"))
        {
            surface.ChoiceFacts = ChoiceFacts.Listed(fields, surface.ChoiceFacts ?? new());
        }

        fields.QuantityOrBlank("expectedSubstrate", FieldRanges.ReadTemperature, si => surface.ExpectedSubstrateC = si);
        fields.QuantityOrBlank("expectedDrum", FieldRanges.DrumTemperature, si => surface.ExpectedDrumC = si);
        CheckOpenings(fields, surface);
        fields.ThrowIfFaulty(Fields);
    }

    private static void TakeSize(TypedFields fields, Surface surface)
    {
        if (!fields.Has("size"))
        {
            return;
        }

        var typed = SizeText.ParseShape(fields.Raw("size"), surface.Shape, fields.Units);
        if (
            typed is { Shape: null, Part: null }
            && SizeText.ParseShape(fields.Raw("size"), ShippedData.Templates[surface.Kind].Shape, fields.Units)
                is { Shape: not null } ofKind
        )
        {
            typed = ofKind;
        }

        if (typed.Shape is { } shape)
        {
            fields.Mark(typed.Doubtful is { } doubtful ? FieldDoubt.Of("size", doubtful) : null);
            SurfaceStart.Size(surface, shape);
        }
        else if (typed.Part is { } part)
        {
            fields.Fault(FieldFault.Of("size", part));
        }
        else if (typed.TooMany)
        {
            fields.Fault(FieldFault.TooManyParts("size", SizeText.MostCorners));
        }
        else if (string.IsNullOrWhiteSpace(fields.Raw("size")))
        {
            SurfaceStart.ForgetSize(surface);
        }
        else
        {
            fields.Fault(
                new()
                {
                    Field = "size",
                    Code = FaultCode.Parts,
                    Typed = fields.Raw("size"),
                    Words = [.. Shape.Sizes(surface.Shape).Select(p => p.ToString())],
                }
            );
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
            fields.Fault(
                typed.Part is { } part ? FieldFault.Of("openings", part)
                : typed.TooMany ? FieldFault.TooManyParts("openings", SizeText.MostOpenings)
                : new()
                {
                    Field = "openings",
                    Code = FaultCode.Parts,
                    Typed = fields.Raw("openings"),
                    Words = ["Count", "Width", "Height"],
                }
            );
            return;
        }

        fields.Mark(typed.Doubtful is { } doubtful ? FieldDoubt.Of("openings", doubtful) : null);
        surface.Openings.Clear();
        surface.Openings.AddRange(
            typed.Openings.Select(
                (o, i) =>
                    new OpeningRow
                    {
                        Position = i,
                        Count = o.Count,
                        WidthM = o.Width.Metres,
                        HeightM = o.Height.Metres,
                    }
            )
        );
    }

    private static void CheckOpenings(TypedFields fields, Surface surface)
    {
        var touched = AreaFields.Where(fields.Has).ToList();
        if (touched.Count > 0 && SurfaceReader.Takeoff(surface) is { OpeningsExceedSurface: true } && surface.Openings.Count > 0)
        {
            fields.Fault(
                new()
                {
                    Field = touched.Contains("openings") ? "openings" : "size",
                    Code = FaultCode.OpeningsExceed,
                    Typed = fields.Raw(touched[0]),
                }
            );
        }
    }

    // The leak of the grid is the surface's open leak note; blanked, the leak is mended.
    private static void TakeLeak(Surface surface, string text, Stamp stamp)
    {
        if (surface.OpenLeak is { } open && text.Length == 0)
        {
            (open.MendedAt, open.MendedBy) = (stamp.At, stamp.By);
        }
        else if (surface.OpenLeak is { } known)
        {
            known.Words = text;
        }
        else if (text.Length > 0)
        {
            surface.Notes.Add(
                new()
                {
                    Kind = SiteNoteKind.Leak,
                    Words = text,
                    NotedAt = stamp.At,
                    ReceivedAt = stamp.ReceivedAt,
                    NotedBy = stamp.By,
                }
            );
        }
    }
}
