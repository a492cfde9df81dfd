using System.Globalization;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Store.Model;

namespace Umbracell.Server.Survey.Exchange;

/// <summary>A surface as the texts a person would type to the last digit: reading them back gives the same surface.</summary>
internal static class SurfaceTexts
{
    public static Dictionary<string, string> Of(Surface s, UnitSystem system)
    {
        var d = s.Details;
        return new()
        {
            ["name"] = s.Name,
            ["kind"] = Camel(s.Kind),
            ["shape"] = Camel(s.Shape),
            ["size"] = s.HasSize ? Size(s, system) : "",
            ["openings"] = string.Join("; ", s.Openings.OrderBy(o => o.Position).Select(o => $"{o.Count} x {Span(o.WidthM, system)} x {Span(o.HeightM, system)}")),
            ["repeats"] = s.Repeats.ToString(CultureInfo.InvariantCulture),
            ["memberMaterial"] = Camel(s.MemberMaterial),
            ["memberDepth"] = s.MemberMaterial == MemberMaterial.None ? "" : Thickness(s.MemberDepthM, system),
            ["memberSpacing"] = s.MemberMaterial == MemberMaterial.None ? "" : Thickness(s.MemberSpacingM, system),
            ["memberShare"] = s.MemberMaterial == MemberMaterial.Wood ? Number(s.MemberShare * 100) + " %" : "",
            ["outboard"] = Layers(s.Assembly.Outboard, system),
            ["inboard"] = Layers(s.Assembly.Inboard, system),
            ["ventChannel"] = Thickness(s.Assembly.VentChannelMm / 1000, system),
            ["baffle"] = s.Assembly.Baffle is { } baffle ? Layers([baffle], system) : "",
            ["substrate"] = Camel(s.Substrate),
            ["profileFactor"] = Number(s.ProfileFactor),
            ["shavedFlush"] = YesNo(s.ShavedFlush),
            ["openLeak"] = s.OpenLeak?.Words ?? "",
            ["sheet"] = s.SheetSlug ?? "",
            ["thickness"] = s.FoamThicknessM is { } t ? Thickness(t, system) : "",
            ["access"] = Camel(d.Access),
            ["balloonFramed"] = YesNo(d.BalloonFramed),
            ["heldAtEnds"] = YesNo(d.HeldAtEnds),
            ["flange"] = Millimetres(d.FlangeMm, system),
            ["web"] = Millimetres(d.WebMm, system),
            ["skin"] = Millimetres(d.SkinMm, system),
            ["covering"] = Camel(d.Covering),
            ["attachment"] = Camel(d.Attachment),
            ["doorSpare"] = d.DoorSpareKg is { } kg ? Number(kg) + " kg" : "",
            ["penetration"] = d.PenetrationMm > 0 ? Millimetres(d.PenetrationMm, system) : "",
        };
    }

    private static string Size(Surface s, UnitSystem system)
    {
        if (s.Shape == ShapeKind.Outline)
        {
            return string.Join("; ", s.Corners.Chunk(2).Select(c => $"{Span(c[0], system)} x {Span(c[1], system)}"));
        }

        var shape = Jobs.SurfaceReader.ShapeOf(s);
        return string.Concat(Shape.Sizes(s.Shape).Select((part, i) => (i == 0 ? "" : part == SizePart.Pitch ? " at " : " x ") + part switch
        {
            SizePart.Pitch => Number(s.Pitch) + ":1",
            SizePart.Count => s.BayCount.ToString(CultureInfo.InvariantCulture),
            _ => Span(shape[part].Si, system),
        }));
    }

    private static string Layers(IEnumerable<LayerRow> layers, UnitSystem system) => string.Join("; ", layers.Select(l => $"{l.Material} | {Thickness(l.ThicknessMm / 1000, system)}"));

    private static string Span(double metres, UnitSystem system) => system == UnitSystem.Us ? Number(metres / 0.3048) + " ft" : Number(metres) + " m";

    private static string Thickness(double metres, UnitSystem system) => system == UnitSystem.Us ? Number(metres / Length.MetresPerInch) + " in" : Number(metres * 1000) + " mm";

    private static string Millimetres(double? millimetres, UnitSystem system) => millimetres is { } mm ? Thickness(mm / 1000, system) : "";

    private static string YesNo(bool? yes) => yes switch { true => "yes", false => "no", _ => "" };

    // Never an exponent: what is written must read as typed text does.
    private static string Number(double value) => value.ToString("0.###################", CultureInfo.InvariantCulture);

    private static string Camel<T>(T value)
        where T : struct, Enum => char.ToLowerInvariant(value.ToString()[0]) + value.ToString()[1..];
}
