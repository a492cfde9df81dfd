using System.Text.RegularExpressions;
using Umbracell.Formats.Words;

namespace Umbracell.Formats.Surveys;

/// <summary>How one column of a table is taken.</summary>
/// <param name="Header">Its header as written.</param>
/// <param name="Field">Field of a surface, or empty to leave it out.</param>
/// <param name="Unit">Unit of its bare numbers, or empty for the reader's own.</param>
public sealed record ColumnMap(string Header, string Field, string Unit);

/// <summary>Maps columns of a table to the fields of a surface.</summary>
public static partial class SurfaceColumns
{
    /// <summary>Fields a column can be taken as, in the order they are offered. The lengths of a size may also come in columns of their
    /// own.</summary>
    public static IReadOnlyList<string> Fields { get; } = [.. SurfaceFields.All.Select(field => field.Name)];

    /// <summary>Units a column can be in.</summary>
    public static IReadOnlyList<string> Units { get; } = ["m", "cm", "mm", "ft", "in", "°C", "°F", "kg", "lb", "kPa", "psi", "%"];

    private static readonly Dictionary<string, string> Synonyms = new()
    {
        ["surface"] = "name",
        ["surfacename"] = "name",
        ["label"] = "name",
        ["item"] = "name",
        ["room"] = "name",
        ["where"] = "name",
        ["type"] = "kind",
        ["surfacekind"] = "kind",
        ["kindofsurface"] = "kind",
        ["geometry"] = "shape",
        ["dimensions"] = "size",
        ["sizes"] = "size",
        ["l"] = "length",
        ["walllength"] = "length",
        ["rooflength"] = "length",
        ["long"] = "length",
        ["w"] = "width",
        ["wide"] = "width",
        ["h"] = "height",
        ["high"] = "height",
        ["wallheight"] = "height",
        ["ceilingheight"] = "height",
        ["slope"] = "pitch",
        ["roofpitch"] = "pitch",
        ["bays"] = "count",
        ["baycount"] = "count",
        ["windows"] = "openings",
        ["lessopenings"] = "openings",
        ["qty"] = "repeats",
        ["times"] = "repeats",
        ["alike"] = "repeats",
        ["members"] = "memberMaterial",
        ["framing"] = "memberMaterial",
        ["studdepth"] = "memberDepth",
        ["framingdepth"] = "memberDepth",
        ["cavitydepth"] = "memberDepth",
        ["spacing"] = "memberSpacing",
        ["centres"] = "memberSpacing",
        ["centers"] = "memberSpacing",
        ["oncentre"] = "memberSpacing",
        ["oncenter"] = "memberSpacing",
        ["framingshare"] = "memberShare",
        ["leak"] = "openLeak",
        ["leaks"] = "openLeak",
        ["product"] = "sheet",
        ["foam"] = "sheet",
        ["foamthickness"] = "thickness",
        // As tables of before called what the screen has another word for since: they still come in.
        ["reach"] = "access",
        ["reached"] = "access",
        ["helddown"] = "attachment",
        ["outside"] = "outboard",
        ["inside"] = "inboard",
    };

    /// <summary>What the columns of a header probably are.</summary>
    public static IReadOnlyList<ColumnMap> Guess(IReadOnlyList<string> header)
    {
        var taken = new HashSet<string>();
        return
        [
            .. header.Select(one =>
            {
                var unit = UnitIn().Match(one) is { Success: true } match ? UnitOf(match.Groups["unit"].Value) : "";
                var bare = Bare(UnitIn().Replace(one, ""));
                var field =
                    Fields.FirstOrDefault(f => f.Equals(bare, StringComparison.OrdinalIgnoreCase))
                    ?? WordCatalog.CodeOf("survey.import", bare)
                    ?? Synonyms.GetValueOrDefault(bare, "");
                return new ColumnMap(one, field.Length > 0 && taken.Add(field) ? field : "", unit);
            }),
        ];
    }

    /// <summary>What a kind of table is known again by: its header, whatever the case and spaces.</summary>
    public static string Signature(IReadOnlyList<string> header) => string.Join('|', header.Select(Bare));

    private static string UnitOf(string written) =>
        written.ToLowerInvariant() switch
        {
            "°c" or "c" => "°C",
            "°f" or "f" => "°F",
            "kpa" => "kPa",
            "feet" or "foot" or "'" => "ft",
            "inch" or "inches" or "\"" => "in",
            "metre" or "metres" or "meter" or "meters" => "m",
            var plain => plain,
        };

    private static string Bare(string header) => WordCatalog.Bare(header);

    [GeneratedRegex(
        @"[\(\[]\s*(?<unit>mm|cm|m|ft|in|feet|foot|inch|inches|metres?|meters?|'|""|°?c|°?f|kg|lb|kpa|psi|%)\s*[\)\]]|[_,]\s*(?<unit>mm|cm|m|ft|in)$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex UnitIn();
}
