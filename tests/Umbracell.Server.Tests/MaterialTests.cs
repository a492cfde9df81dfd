using System.Globalization;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Figures of materials that a firm holds in place of the usual ones.</summary>
public sealed class MaterialTests(Product product)
{
    [Fact]
    public async Task A_figure_of_ones_own_is_reckoned_with_everywhere_and_taken_back_it_is_not()
    {
        var (client, job, wall) = await WallAsync();
        var before = await CavityAsync(client, wall);

        // Twice as conductive: half of the layer's R is gone from the path through the cavity, and nothing else.
        var usual = await FigureAsync(client, "osb", "conductivity");
        var edit = Guid.CreateVersion7();
        (string, string)[] typed =
        [
            ("material-value:osb:conductivity", string.Create(CultureInfo.InvariantCulture, $"{2 * usual} W/mK")),
            ("material-value:osb:source", "maker's sheet"),
        ];
        await PatchAsync(client, EditedRecords.Command(edit, null, null, typed));
        const double Thickness = 0.0111;
        (await CavityAsync(client, wall)).ShouldBe(before - Thickness / usual / 2, 1e-9);
        var told = await MaterialAsync(client, "osb");
        told.Text("source").ShouldBe("maker's sheet");

        // The core beside the page is given the same.
        var supplies = await client.GetJsonAsync($"/api/supplies?job={job}");
        supplies["materials"]!["osb"]!.Number("conductivity").ShouldBe(2 * usual, 1e-9);

        (await client.SendJsonAsync(HttpMethod.Post, $"/api/commands/{edit}/undo", new { id = Guid.CreateVersion7() })).Status.ShouldBe(
            200
        );
        (await CavityAsync(client, wall)).ShouldBe(before, 1e-12);
        (await MaterialAsync(client, "osb"))["figures"]![0]!["own"].ShouldBeNull();
    }

    [Fact]
    public async Task A_coat_is_told_with_the_vapour_class_its_own_figure_gives_it()
    {
        var (client, _, _) = await WallAsync();
        (await MaterialAsync(client, "vapour-coat")).Text("vapourClass").ShouldBe("ii");
        await PatchAsync(client, Asking.Typed(null, "us", ("material-value:vapour-coat:permeability", "0.0015 perm-in")));
        var coat = await MaterialAsync(client, "vapour-coat");
        coat.Text("vapourClass").ShouldBe("i");
        coat["permeance"]!.Text("us").ShouldBe("0.076 perm");
        await PatchAsync(client, Asking.Typed(null, "metric", ("material-value:vapour-coat:permeability", "")));
        (await MaterialAsync(client, "vapour-coat")).Text("vapourClass").ShouldBe("ii");
    }

    [Fact]
    public async Task A_batt_is_laid_by_its_own_thickness_and_density()
    {
        var (client, _, _) = await WallAsync();
        await PatchAsync(
            client,
            Asking.Typed(null, "metric", ("material-value:batt-19:density", "12 kg/m³"), ("material-value:batt-19:thickness", "150 mm"))
        );
        var batt = (await client.GetJsonAsync("/api/supplies"))["batts"]!.AsArray().Single(one => one!.Text("id") == "batt-19")!;
        batt.Number("density").ShouldBe(12, 1e-9);
        batt.Number("nominal").ShouldBe(0.15, 1e-9);
    }

    [Theory]
    [InlineData("material-value:osb:conductivity", "0", "outOfRange")]
    [InlineData("material-value:osb:conductivity", "a lot", "notANumber")]
    [InlineData("material-value:osb:permeability", "5 in", "wrongUnit")]
    [InlineData("material-value:osb:emittance", "1.4", "outOfRange")]
    [InlineData("material-value:osb:thickness", "10 mm", "unknown")]
    [InlineData("material-value:adamant:density", "3", "unknown")]
    public async Task What_no_material_can_have_is_refused_at_its_field(string field, string text, string code)
    {
        var (client, _, _) = await WallAsync();
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, "metric", (field, text)));
        status.ShouldBe(400, answer.ToJsonString());
        var fault = answer["faults"]!.AsArray().ShouldHaveSingleItem()!;
        (fault.Text("field"), fault.Text("code")).ShouldBe((field, code));
    }

    private async Task<(HttpClient Client, string Job, string Wall)> WallAsync()
    {
        var owner = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        await Product.InFirmOfAsync(
            owner,
            async db =>
            {
                db.Sheets.Add(new() { Slug = "marl-cc-20", Document = ShippedData.ProductSheets["marl-cc-20"] });
                await db.SaveChangesAsync();
            }
        );
        var client = await product.SignedInAsync(owner);
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "One"), ("climateZone", "6A"))
        );
        var (status, wall) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(
                null,
                "us",
                ("name", "One"),
                ("kind", "studWall"),
                ("size", "20' x 9'"),
                ("sheet", "marl-cc-20"),
                ("thickness", "2 in")
            )
        );
        status.ShouldBe(201, wall.ToJsonString());
        return (client, job.Text("id"), wall.Text("id"));
    }

    // R of the path through the cavity.
    private static async Task<double> CavityAsync(HttpClient client, string wall) =>
        (await client.GetJsonAsync($"/api/surfaces/{wall}/section"))["answer"]!.Number("cavityRM2KW");

    private static async Task<double> FigureAsync(HttpClient client, string material, string name) =>
        (await MaterialAsync(client, material))["figures"]!.AsArray().Single(one => one!.Text("name") == name)!["usual"]!.Number("amount");

    private static async Task<JsonNode> MaterialAsync(HttpClient client, string id) =>
        (await client.GetJsonAsync("/api/materials")).AsArray().Single(one => one!.Text("id") == id)!;

    private static async Task PatchAsync(HttpClient client, object edit)
    {
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", edit);
        status.ShouldBe(200, answer.ToJsonString());
    }
}
