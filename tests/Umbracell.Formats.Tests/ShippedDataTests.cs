using System.Text.Json.Nodes;
using CsCheck;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Xunit;

namespace Umbracell.Formats.Tests;

public sealed class ShippedDataTests
{
    private static readonly string Sheet = ShippedData.ProductSheets["marl-cc-20"];

    [Fact]
    public void Every_shipped_sheet_reads_and_contradicts_nothing()
    {
        ShippedData.ProductSheets.Count.ShouldBe(6);
        foreach (var (name, text) in ShippedData.ProductSheets)
        {
            var sheet = ProductSheetFile.Read(name, text);
            sheet.Id.ShouldBe(name);
            sheet.Contradictions().ShouldBeEmpty();
        }
    }

    [Fact]
    public void Every_kind_of_surface_has_a_template_whose_materials_are_known()
    {
        ShippedData.Templates.Keys.ShouldBe(Enum.GetValues<SurfaceKind>(), ignoreOrder: true);
        ShippedData
            .Templates.Values.SelectMany(t => t.Outboard.Concat(t.Inboard))
            .ShouldAllBe(l => ShippedData.Materials.ContainsKey(l.Material));
    }

    [Theory]
    [InlineData("interior-paint", VapourClass.III)]
    [InlineData("retarder-paint", VapourClass.II)]
    [InlineData("vapour-coat", VapourClass.II)]
    [InlineData("retarder-film", VapourClass.I)]
    public void Paints_and_films_ship_by_the_class_they_give_as_they_are_laid(string id, VapourClass expected)
    {
        var material = ShippedData.Materials[id];
        VapourResistance.ClassOf(material.Permeability.Over(Length.FromMillimetres(ShippedData.UsualMm[id]))).ShouldBe(expected);
        material.Source.ShouldNotBeEmpty();
    }

    [Fact]
    public void Each_wood_paper_steel_and_masonry_that_ships_is_known_to_suffer_from_damp()
    {
        string[] indifferent =
        [
            "asphalt-shingle",
            "clay-tile",
            "slate",
            "underlay",
            "built-up-felt",
            "stone-base",
            "soil",
            "sheet-flooring",
            "fibre-batt",
            "foam-board",
            "foil-board",
            "interior-paint",
            "retarder-paint",
            "retarder-film",
            "vapour-coat",
            "weather-coat",
        ];
        ShippedData.Materials.Values.Where(m => m.Harm == WaterHarm.None).Select(m => m.Id).ShouldBe(indifferent, ignoreOrder: true);
    }

    [Fact]
    public void Targets_never_loosen_from_one_edition_to_a_later_one_in_a_cold_zone()
    {
        string[] editions = ["iecc-2009", "iecc-2012", "iecc-2015-2018", "iecc-2021"];
        var roofs = editions.Select(id => ShippedData.TargetSets[id].For(EnvelopeElement.Roof, "6A")!.GreatestU.UsU).ToList();
        roofs.ShouldBe(roofs.OrderDescending());
        ShippedData.TargetSets["iecc-2021"].For(EnvelopeElement.FramedWall, "4C")!.GreatestU.UsU.ShouldBe(0.045, 1e-9);
        ShippedData.TargetSets["iecc-2021"].For(EnvelopeElement.FramedWall, "3A")!.GreatestU.UsU.ShouldBe(0.060, 1e-9);
        ShippedData.TargetSets["metric-sample"].For(EnvelopeElement.Roof, "4C")!.GreatestU.WattsPerSquareMetreKelvin.ShouldBe(0.16, 1e-9);
    }

    [Theory]
    [InlineData("\"cell\": \"closed\"", "\"cell\": \"spongy\"", "cell")]
    [InlineData("\"greatestHumidityPct\": 80", "\"greatestHumidityPct\": 140", "greatestHumidityPct")]
    [InlineData("\"permeabilityPermIn\": 1.35", "\"permeabilityPermIn\": \"much\"", "permeabilityPermIn")]
    [InlineData("\"windLimitMs\": 5", "\"windLimit\": 5", "windLimit")]
    [InlineData("\"yieldBoardFeet\": 4350", "\"yieldBoardFeet\": 6000", "yieldBoardFeet")]
    [InlineData("\"leastIn\": 0.75", "\"leastIn\": 3", "leastIn")]
    public void A_wrong_line_is_named_by_its_number(string right, string wrong, string names)
    {
        var text = Sheet.Replace(right, wrong, StringComparison.Ordinal);
        text.ShouldNotBe(Sheet);
        var line = 1 + text[..text.IndexOf(wrong, StringComparison.Ordinal)].Count(c => c == '\n');
        var faults = Should.Throw<DataFileException>(() => ProductSheetFile.Read("sheet.json", text)).Faults;
        faults.ShouldContain(f => f.Line == line && f.Path.Contains(names, StringComparison.Ordinal), string.Join("; ", faults));
    }

    [Fact]
    public void A_missing_line_is_named()
    {
        var sheet = JsonNode.Parse(Sheet)!.AsObject();
        sheet.Remove("airC");
        Should
            .Throw<DataFileException>(() => ProductSheetFile.Read("sheet.json", sheet.ToJsonString()))
            .Faults.ShouldContain(f => f.Path.Contains("airC") && f.Sentence == "is missing.");
    }

    [Fact]
    public void Text_that_is_no_JSON_is_named_by_its_line()
    {
        var fault = Should
            .Throw<DataFileException>(() => ProductSheetFile.Read("sheet.json", "{\n  \"id\": \n}"))
            .Faults.ShouldHaveSingleItem();
        fault.Line.ShouldBeGreaterThanOrEqualTo(2);
    }

    [Fact]
    public void An_aged_R_that_falls_is_refused()
    {
        var sheet = JsonNode.Parse(Sheet)!.AsObject();
        sheet["agedR"]![2]!["r"] = 10;
        Should
            .Throw<DataFileException>(() => ProductSheetFile.Read("sheet.json", sheet.ToJsonString()))
            .Faults.ShouldContain(f => f.Path == "agedR");
    }

    [Fact]
    public void No_mangled_file_gets_past_as_anything_but_a_sheet_or_a_named_fault() =>
        Gen.Select(Gen.Int[0, Sheet.Length - 1], Gen.Char[' ', '~'])
            .Sample(
                (at, letter) =>
                {
                    var mangled = Sheet[..at] + letter + Sheet[(at + 1)..];
                    try
                    {
                        ProductSheetFile.Read("sheet.json", mangled).Contradictions().ShouldBeEmpty();
                    }
                    catch (DataFileException e)
                    {
                        e.Faults.ShouldNotBeEmpty();
                    }
                },
                iter: 400
            );

    [Fact]
    public void Places_have_a_summer_warmer_than_their_winter_in_all_twelve_months()
    {
        ShippedData.Places.Count.ShouldBe(4);
        foreach (var place in ShippedData.Places.Values)
        {
            (place.MeanC.Count, place.MeanRhPct.Count).ShouldBe((12, 12));
            (place.MeanC[6] - place.MeanC[0]).ShouldBeGreaterThan(5);
        }
    }
}
