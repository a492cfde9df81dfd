using Umbracell.Core.Quantities;

namespace Umbracell.Formats.Surveys;

/// <summary>A field of a surface in a table: its column when read, its cell when written.</summary>
/// <param name="Name">As an edit names it.</param>
/// <param name="Measured">What its figure is, which then stands in a workbook as a number with its unit in the heading; null for words,
/// counts and several figures in one cell.</param>
internal sealed record SurfaceField(string Name, Dimension? Measured = null)
{
    /// <summary>One length of a size, read from a column of its own and written with the others as the size.</summary>
    public bool IsPartOfSize { get; init; }

    /// <summary>Whether its bare numbers are in a unit that the heading may name.</summary>
    public bool HasUnit { get; init; } = Measured is not null;
}

/// <summary>Fields of a surface in a table, in the order they are offered and written. One more is one line here.</summary>
internal static class SurfaceFields
{
    public static IReadOnlyList<SurfaceField> All { get; } =
    [
        new("name"),
        new("kind"),
        new("shape"),
        new("size") { HasUnit = true },
        new("length") { IsPartOfSize = true, HasUnit = true },
        new("width") { IsPartOfSize = true, HasUnit = true },
        new("height") { IsPartOfSize = true, HasUnit = true },
        new("run") { IsPartOfSize = true, HasUnit = true },
        new("perimeter") { IsPartOfSize = true, HasUnit = true },
        new("depth") { IsPartOfSize = true, HasUnit = true },
        new("pitch") { IsPartOfSize = true },
        new("count") { IsPartOfSize = true },
        new("openings") { HasUnit = true },
        new("repeats"),
        new("memberMaterial"),
        new("memberDepth", Dimension.Thickness),
        new("memberSpacing", Dimension.Thickness),
        new("memberShare", Dimension.Percent),
        new("outboard"),
        new("inboard"),
        new("ventChannel", Dimension.Thickness),
        new("baffle"),
        new("substrate"),
        new("profileFactor"),
        new("shavedFlush"),
        new("openLeak"),
        new("sheet"),
        new("thickness", Dimension.Thickness),
        new("system"),
        new("expectedSubstrate", Dimension.Temperature),
        new("expectedDrum", Dimension.Temperature),
        new("access"),
        new("balloonFramed"),
        new("crawlSpace"),
        new("heldAtEnds"),
        new("flange", Dimension.Thickness),
        new("web", Dimension.Thickness),
        new("skin", Dimension.Thickness),
        new("covering"),
        new("attachment"),
        new("facing"),
        new("shelter"),
        new("faceHeight", Dimension.Span),
        new("coveredOn"),
        new("doorSpare", Dimension.Mass),
        new("penetration", Dimension.Thickness),
        new("facts"),
        new("load", Dimension.BearingPressure),
    ];

    /// <summary>The field of a name; null where there is none.</summary>
    public static SurfaceField? Of(string name) => ByName.GetValueOrDefault(name);

    private static readonly Dictionary<string, SurfaceField> ByName = All.ToDictionary(field => field.Name);
}
