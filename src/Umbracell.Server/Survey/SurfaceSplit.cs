using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey;

/// <summary>Cuts a surface in two. The first part keeps what was found, read and joined; the second starts with the same assembly and
/// foam.</summary>
internal static class SurfaceSplit
{
    /// <summary>Takes the typed cut: <c>along</c> and <c>at</c>; the new surface is not yet kept anywhere.</summary>
    public static Surface Take(TypedEdit edit, Surface surface)
    {
        var fields = new TypedFields(edit);
        var name = "";
        SizePart? along = null;
        double? at = null;
        fields.Text("name", 200, required: true, text => name = text);
        fields.Choice<SizePart>("along", part => along = part);
        var whole =
            along is { } cut && ShapeSplit.Along(surface.Shape).Contains(cut) && surface.HasSize
                ? SurfaceReader.ShapeOf(surface)[cut].Amount
                : (double?)null;
        if (along is null || whole is null)
        {
            fields.Fault(
                new()
                {
                    Field = "along",
                    Code = FaultCode.Unknown,
                    Typed = fields.Has("along") ? fields.Raw("along") : "",
                }
            );
        }
        else
        {
            var least = SizeText.SideRange.Least;
            fields.Quantity("at", new(least, Math.Max(least, whole.Value - least), Dimension.Span), si => at = si);
        }

        if (!fields.Has("at"))
        {
            fields.Fault(
                new()
                {
                    Field = "at",
                    Code = FaultCode.Empty,
                    Typed = "",
                }
            );
        }

        fields.ThrowIfFaulty("name", "along", "at");
        return Cut(surface, along!.Value, Length.FromMetres(at!.Value), name);
    }

    private static Surface Cut(Surface surface, SizePart along, Length at, string name)
    {
        var (first, second) = ShapeSplit.Cut(SurfaceReader.ShapeOf(surface), along, at);
        var rest = SurfaceStart.Of(surface.Kind, name.Length > 0 ? name : surface.Name);
        SurfaceStart.Become(rest, SurfaceStart.ToTemplate(surface));
        (rest.Repeats, rest.SheetSlug, rest.FoamThicknessM, rest.BufferId) = (
            surface.Repeats,
            surface.SheetSlug,
            surface.FoamThicknessM,
            surface.BufferId
        );
        rest.Details = surface.Details;
        (rest.System, rest.ChoiceFacts) = (surface.System, surface.ChoiceFacts);
        SurfaceStart.Size(surface, first);
        SurfaceStart.Size(rest, second);
        return rest;
    }
}
