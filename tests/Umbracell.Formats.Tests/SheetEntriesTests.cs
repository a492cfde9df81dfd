using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>The lines of a product sheet, told once for all that read, write and compare them.</summary>
public sealed class SheetEntriesTests
{
    [Fact]
    public void What_a_sheet_says_of_its_own_heat_is_taken_and_the_rest_is_usual()
    {
        var text = JsonNode.Parse(ShippedData.ProductSheets["marl-cc-20"])!;
        ProductSheetFile.Read("own", text.ToJsonString()).Exotherm.ShouldBe(FoamExotherm.Usual(CellStructure.Closed));
        text["exotherm"] = new JsonObject { ["heatKJKg"] = 150, ["activationKJMol"] = null };
        var told = ProductSheetFile.Read("own", text.ToJsonString()).Exotherm;
        told.ShouldBe(FoamExotherm.Usual(CellStructure.Closed) with { Heat = 150_000 });
    }

    [Fact]
    public void Every_line_of_the_schema_is_known_and_no_other()
    {
        var schema = JsonNode.Parse(ProductSheetFile.SchemaText)!;
        List<string> known =
        [
            "schemaVersion",
            "id",
            .. SheetEntries.All.Select(line => line.Path),
            .. SheetEntries.Curves.SelectMany(curve => new[] { $"{curve.Path}[].{curve.X.Path}", $"{curve.Path}[].{curve.Y.Path}" }),
        ];
        Leaves(schema, "").ShouldBe(known, ignoreOrder: true);
    }

    public static TheoryData<string> Shipped => [.. ShippedData.ProductSheets.Keys];

    [Theory]
    [MemberData(nameof(Shipped))]
    public void A_sheet_written_again_says_the_same(string id)
    {
        var text = ShippedData.ProductSheets[id];
        var sheet = SheetDocument.Of(text);
        JsonNode.DeepEquals(JsonNode.Parse(sheet.Write()), JsonNode.Parse(text)).ShouldBeTrue(sheet.Write());

        // Line by line onto a blank one, by way of SI.
        var copy = SheetDocument.Blank();
        copy.Id = sheet.Id;
        foreach (var line in SheetEntries.All)
        {
            if (sheet.TextOf(line) is { } words)
            {
                copy.Set(line, words);
            }
            else
            {
                copy.Set(line, sheet.FigureOf(line)?.Amount);
            }
        }

        foreach (var curve in SheetEntries.Curves)
        {
            copy.Set(curve, sheet.PointsOf(curve).Select(p => (p.X.Amount, p.Y.Amount)).Reverse());
        }

        copy.SaysTheSame(sheet).ShouldBeTrue();
        JsonNode.DeepEquals(JsonNode.Parse(copy.Write()), JsonNode.Parse(text)).ShouldBeTrue(copy.Write());
    }

    [Fact]
    public void Each_figure_that_is_changed_is_told_as_a_difference_and_as_tighter_one_way_only()
    {
        var text = ShippedData.ProductSheets["marl-cc-20"];
        var sheet = SheetDocument.Of(text);
        foreach (var line in SheetEntries.All.Where(line => line.Unit is not null && sheet.FigureOf(line) is not null))
        {
            var (more, less) = (SheetDocument.Of(text), SheetDocument.Of(text));
            var si = sheet.FigureOf(line)!.Value.Amount;
            more.Set(line, si * 1.01);
            less.Set(line, si * 0.99);
            more.Differences(sheet).ShouldBe([line.Path]);
            var tighter = new[] { more, less }.Count(one => line.IsTighter(one.FigureOf(line), sheet.FigureOf(line)));
            tighter.ShouldBe(line.Limit == SheetLimit.None ? 0 : 1, line.Path);
        }

        // A limit that was not given before binds from now on.
        var wood = SheetEntries.All.Single(line => line.Path == "greatestWoodMoisturePct");
        wood.IsTighter(new Figure(18, Dimension.MoistureContent), null).ShouldBeTrue();
        wood.IsTighter(null, new Figure(18, Dimension.MoistureContent)).ShouldBeFalse();
    }

    private static IEnumerable<string> Leaves(JsonNode schema, string path) =>
        schema["properties"] is JsonObject properties
            ? properties.SelectMany(p => Leaves(p.Value!, path.Length == 0 ? p.Key : $"{path}.{p.Key}"))
        : schema["items"] is { } items ? Leaves(items, path + "[]")
        : [path];
}
