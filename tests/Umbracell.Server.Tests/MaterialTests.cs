using System.Globalization;
using System.Text.Json.Nodes;
using Shouldly;
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

    [Fact]
    public async Task A_material_of_ones_own_is_laid_by_its_name_with_its_own_figures_and_stays_while_it_is_laid()
    {
        var (client, job, wall) = await WallAsync();
        await LayAsync(client, job, wall, "faced foam board | 40 mm");
        await PatchAsync(client, Asking.Typed(null, "metric", ("material-new", "foil-board | Sedge board")));
        const string Id = "own:foil-board:Sedge board";
        await LayAsync(client, job, wall, "sedge board | 40 mm");
        var like = await CavityAsync(client, wall);

        // Until its own figures are typed it is as what it is like.
        await LayAsync(client, job, wall, "foil-board | 40 mm");
        (await CavityAsync(client, wall)).ShouldBe(like, 1e-12);
        await LayAsync(client, job, wall, Id + " | 40 mm");
        var usual = (await MaterialAsync(client, Id))["figures"]!.AsArray().Single(f => f!.Text("name") == "conductivity")!["usual"]!;
        await PatchAsync(client, Asking.Typed(null, "metric", ($"material-value:{Id}:conductivity", "0.018 W/mK")));
        (await CavityAsync(client, wall)).ShouldBe(like + 0.04 / 0.018 - 0.04 / usual.Number("amount"), 1e-9);
        (await client.GetJsonAsync("/api/choices"))["materials"]!.AsArray().Select(m => m!.GetValue<string>()).ShouldContain(Id);

        // It stays while it is laid, and in the table of surfaces it goes by its name.
        (await GoneAsync(client, Id)).ShouldBe((400, "stillUsed"));
        var csv = await client.GetStringAsync($"/api/jobs/{job}/surfaces.csv?units=metric", TestContext.Current.CancellationToken);
        csv.ShouldContain("Sedge board | 40 mm");
        await LayAsync(client, job, wall, "osb | 11 mm");
        (await GoneAsync(client, Id)).Status.ShouldBe(200);
        (await client.GetJsonAsync("/api/materials")).AsArray().ShouldNotContain(one => one!.Text("id") == Id);
    }

    [Fact]
    public async Task Where_a_material_is_undone_under_a_layer_the_layer_counts_as_what_it_was_like()
    {
        var (client, job, wall) = await WallAsync();
        await LayAsync(client, job, wall, "foam-board | 40 mm");
        var like = await CavityAsync(client, wall);
        var edit = Guid.CreateVersion7();
        await PatchAsync(client, EditedRecords.Command(edit, null, null, ("material-new", "foam-board | Sedge board")));
        await LayAsync(client, job, wall, "Sedge board | 40 mm");
        (await client.SendJsonAsync(HttpMethod.Post, $"/api/commands/{edit}/undo", new { id = Guid.CreateVersion7() })).Status.ShouldBe(
            200
        );
        (await CavityAsync(client, wall)).ShouldBe(like, 1e-12);
        (await client.GetJsonAsync($"/api/jobs/{job}/board"))["rows"]!.AsArray().Count.ShouldBe(1);
    }

    [Theory]
    [InlineData("foam-board | ", "empty")]
    [InlineData("adamant | Sedge board", "unknown")]
    [InlineData("foam-board | plywood", "taken")]
    [InlineData("foam-board | SEDGE one", "taken")]
    [InlineData("foam-board | Sedge; board", "notAName")]
    [InlineData("foam-board | Sedge \"board\"", "notAName")]
    [InlineData("foam-board | Sedge {board}", "notAName")]
    [InlineData("foam-board | Sedge @ 40", "notAName")]
    [InlineData("Sedge board", "unknown")]
    public async Task What_cannot_be_a_name_is_refused(string typed, string code)
    {
        var (client, _, _) = await WallAsync();
        await PatchAsync(client, Asking.Typed(null, "us", ("material-new", "foam-board | Sedge one")));
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, "us", ("material-new", typed)));
        (status, answer["faults"]?[0]!.Text("code")).ShouldBe((400, code));
        var (tooLong, _) = await client.SendJsonAsync(
            HttpMethod.Patch,
            "/api/firm",
            Asking.Typed(null, "us", ("material-new", "foam-board | " + new string('n', 10_000)))
        );
        tooLong.ShouldBe(400);
    }

    [Fact]
    public async Task A_batt_of_ones_own_is_among_the_batts_with_the_R_of_its_label()
    {
        var (client, _, _) = await WallAsync();
        const string Id = "own:batt-19:Heather 20";
        await PatchAsync(client, Asking.Typed(null, "us", ("material-new", "batt-19 | Heather 20")));
        await PatchAsync(
            client,
            Asking.Typed(null, "us", ($"material-value:{Id}:rated", "R-20"), ($"material-value:{Id}:thickness", "5.5"))
        );
        var batt = (await client.GetJsonAsync("/api/supplies"))["batts"]!.AsArray().Single(one => one!.Text("id") == Id)!;
        batt.Number("rated").ShouldBe(20 / 5.678263337, 1e-6);
        batt.Number("nominal").ShouldBe(0.1397, 1e-9);
        (await client.GetJsonAsync("/api/firm"))["rates"]!["materials"]!.AsArray().ShouldContain(rate => rate!.Text("name") == Id);
    }

    [Fact]
    public async Task A_job_takes_its_materials_along_and_finds_those_that_are_there()
    {
        var (client, job, wall) = await WallAsync();
        await PatchAsync(client, Asking.Typed(null, "metric", ("material-new", "foam-board | Sedge board")));
        await PatchAsync(client, Asking.Typed(null, "metric", ("material-value:own:foam-board:Sedge board:conductivity", "0.02 W/mK")));
        await LayAsync(client, job, wall, "Sedge board | 40 mm");
        var file = await client.GetByteArrayAsync($"/api/jobs/{job}/file", TestContext.Current.CancellationToken);
        var (other, _, _) = await WallAsync();
        for (var times = 0; times < 2; times++)
        {
            var (status, brought) = await other.UploadAsync("/api/jobs/file", file);
            status.ShouldBe(201, brought.ToJsonString());
            var surface = (await other.GetJsonAsync($"/api/jobs/{brought.Text("id")}/surfaces"))[0]!.Text("id");
            (await CavityAsync(other, surface)).ShouldBe(await CavityAsync(client, wall), 1e-12);
        }

        (await other.GetJsonAsync("/api/materials"))
            .AsArray()
            .Count(one => one!.Text("id").StartsWith("own:", StringComparison.Ordinal))
            .ShouldBe(1);
    }

    [Theory]
    [InlineData("own:adamant:Sedge board")]
    [InlineData("own:foam-board:Sedge {board")]
    [InlineData("own:foam-board:")]
    public async Task A_layer_of_a_file_that_nobody_can_read_is_refused(string material)
    {
        var (client, job, wall) = await WallAsync();
        await LayAsync(client, job, wall, "foam-board | 40 mm");
        var file = await client.GetStringAsync($"/api/jobs/{job}/file", TestContext.Current.CancellationToken);
        var spoilt = System.Text.Encoding.UTF8.GetBytes(file.Replace("\"foam-board\"", $"\"{material}\"", StringComparison.Ordinal));
        (await client.UploadAsync("/api/jobs/file", spoilt)).Status.ShouldBe(400);
    }

    private static async Task<(int Status, string? Code)> GoneAsync(HttpClient client, string id)
    {
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, "/api/firm", Asking.Typed(null, "us", ("material-gone", id)));
        return (status, answer["faults"]?[0]?.Text("code"));
    }

    private static async Task LayAsync(HttpClient client, string job, string wall, string layers)
    {
        var version = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces"))[0]!["version"]!.GetValue<uint>();
        var typed = Asking.Typed(version, "metric", ("outboard", layers));
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, $"/api/surfaces/{wall}", typed);
        status.ShouldBe(200, answer.ToJsonString());
    }

    private async Task<(HttpClient Client, string Job, string Wall)> WallAsync()
    {
        var client = await product.SignedInAsync(await Product.NewFirmThatSpraysAsync());
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
