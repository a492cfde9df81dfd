using System.Globalization;
using System.Xml.Linq;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Takeoff;

namespace Umbracell.Formats.Models;

/// <summary>One surface of a building model, flattened into its own plane.</summary>
internal sealed record ModelSurface
{
    /// <summary>Slope under which a roof is a low-slope roof: 2 in 12 (IRC R905.2.2).</summary>
    private static readonly double LowSlopeDegrees = Math.Atan(2 / 12.0) * 180 / Math.PI;

    private const double LeastArea = 0.01;

    public required string Name { get; init; }

    public string Reason { get; init; } = "";

    public string Note { get; private init; } = "";

    /// <summary>Corners that stand in the size, one by one.</summary>
    public int TypedCorners => Outline is { IsRectangle: false } ? Outline.Corners.Count : 0;

    private SurfaceKind Kind { get; init; }

    private FlatOutline? Outline { get; init; }

    private List<(double Width, double Height)> Openings { get; init; } = [];

    public static ModelSurface Of(XElement surface, double metres)
    {
        var name = Child(surface, "Name")?.Value.Trim() is { Length: > 0 } named ? named : surface.Attribute("id")?.Value ?? "";
        var skeleton = new ModelSurface { Name = name.Length > 200 ? name[..200] : name };
        var outline = FlatOutline.Of(surface, metres);
        if (outline is null)
        {
            return skeleton with { Reason = "noGeometry" };
        }

        if (outline.HasTooManyCorners)
        {
            return skeleton with { Reason = "tooManyCorners" };
        }

        if (outline.CrossesItself)
        {
            return skeleton with { Reason = "crossesItself" };
        }

        if (outline.Area < LeastArea)
        {
            return skeleton with { Reason = "tooSmall" };
        }

        if (KindOf(surface, outline.TiltDegrees) is not { } kind)
        {
            return skeleton with { Reason = "notTreated" };
        }

        var openings = surface.Elements().Where(e => e.Name.LocalName == "Opening").Select(o => FlatOutline.Of(o, metres)).ToList();
        var read = openings.OfType<FlatOutline>().Where(o => o is { HasTooManyCorners: false, CrossesItself: false }).ToList();
        List<(double Width, double Height)> sizes = [.. read.Where(o => o.Area > 1e-4).Select(o => o.AsOpening())];
        return sizes.Distinct().Count() > SizeText.MostOpenings
            ? skeleton with
            {
                Reason = "tooManyOpenings",
            }
            : skeleton with
            {
                Kind = kind,
                Outline = outline,
                Openings = sizes,
                Note = read.Count < openings.Count ? "openingUnread" : "",
            };
    }

    /// <summary>The fields a person would have typed, metric.</summary>
    public Dictionary<string, string> Fields()
    {
        var fields = new Dictionary<string, string>
        {
            ["name"] = Name,
            ["kind"] = Kind.ToString(),
            ["shape"] = (Outline!.IsRectangle ? ShapeKind.Rectangle : ShapeKind.Outline).ToString(),
            ["size"] = Outline.SizeText(),
        };
        if (Openings.Count > 0)
        {
            fields["openings"] = string.Join(
                "; ",
                Openings
                    .GroupBy(o => o)
                    .Select(g => string.Create(CultureInfo.InvariantCulture, $"{g.Count()} x {g.Key.Width} m x {g.Key.Height} m"))
            );
        }

        return fields;
    }

    // What a surface is follows from its type, its tilt and how many spaces it lies between.
    private static SurfaceKind? KindOf(XElement surface, double tilt)
    {
        var spaces = surface.Elements().Count(e => e.Name.LocalName == "AdjacentSpaceId");
        return surface.Attribute("surfaceType")?.Value switch
        {
            "ExteriorWall" => SurfaceKind.StudWall,
            "InteriorWall" when spaces > 1 => SurfaceKind.InteriorPartition,
            "InteriorWall" => SurfaceKind.StudWall,
            "UndergroundWall" => SurfaceKind.BasementWall,
            "Roof" => tilt < LowSlopeDegrees ? SurfaceKind.LowSlopeRoof : SurfaceKind.UnventedDeck,
            "Ceiling" or "UndergroundCeiling" => SurfaceKind.AtticFloor,
            "RaisedFloor" => SurfaceKind.CrawlFloor,
            "ExposedFloor" => SurfaceKind.CantileveredFloor,
            "SlabOnGrade" or "UndergroundSlab" => SurfaceKind.UnderSlab,
            _ => null,
        };
    }

    private static XElement? Child(XElement parent, string name) => parent.Elements().FirstOrDefault(e => e.Name.LocalName == name);
}
