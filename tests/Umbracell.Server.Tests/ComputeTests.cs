using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

public sealed class ComputeTests(Product product)
{
    [Fact]
    public async Task Air_answers_in_SI_with_the_units_in_the_names()
    {
        var air = await product.WithToken().GetJsonAsync("/api/compute/air?tempC=20&rhPct=50");
        air.Number("dewPointC").ShouldBe(9.272, 0.005);
        air.Number("wetBulbC").ShouldBe(13.78, 0.02);
        air.Number("humidityRatio").ShouldBe(0.007262, 0.000005);
        air.Number("saturationPressurePa").ShouldBe(2338.8, 1.2);
        air.Number("vapourPressurePa").ShouldBe(1169.4, 0.6);
        air.Number("pressurePa").ShouldBe(101_325, 1);
    }

    [Theory]
    [InlineData("tempC=-15&rhPct=70&rhOver=ice", -18.808)]
    [InlineData("tempC=-15&rhPct=70", -17.255)]
    [InlineData("tempC=-11.2&rhPct=97&rhOver=water", -10.316)]
    public async Task Air_below_freezing_minds_its_reference(string query, double frostPoint) =>
        (await product.WithToken().GetJsonAsync("/api/compute/air?" + query)).Number("dewPointC").ShouldBe(frostPoint, 0.005);

    [Theory]
    [InlineData("tempC=20&rhPct=140", "rhPct", "100")]
    [InlineData("tempC=20&rhPct=0", "rhPct", "0")]
    [InlineData("tempC=400&rhPct=50", "tempC", "200")]
    [InlineData("tempC=-50&rhPct=50", "tempC", "-40")]
    [InlineData("tempC=abc&rhPct=50", "tempC", "200")]
    [InlineData("tempC=NaN&rhPct=50", "tempC", "200")]
    [InlineData("rhPct=50", "tempC", "200")]
    [InlineData("tempC=20&rhPct=50&altitudeM=99999", "altitudeM", "11000")]
    [InlineData("tempC=20&rhPct=50&rhOver=steam", "rhOver", "ice")]
    public async Task A_bad_value_is_named_with_its_range(string query, string field, string inRange)
    {
        var answer = await product.WithToken().GetAsync("/api/compute/air?" + query, TestContext.Current.CancellationToken);
        var text = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
        ((int)answer.StatusCode).ShouldBe(400, text);
        answer.Content.Headers.ContentType!.MediaType.ShouldBe("application/problem+json");
        var problem = JsonNode.Parse(text)!;
        problem["errors"]!.AsObject().ContainsKey(field).ShouldBeTrue(text);
        problem.Text("detail").ShouldContain(inRange);
    }

    [Fact]
    public async Task Section_sets_and_gate_answer_without_a_job()
    {
        var client = product.WithToken();
        var (status, section) = await client.SendJsonAsync(HttpMethod.Post, "/api/compute/section", SectionQuestion(76.2));
        status.ShouldBe(200, section.ToJsonString());
        (section.Number("foamRM2KW") / 0.1761101838).ShouldBe(20.4, 1e-6);
        section["findings"]!.AsArray().Count.ShouldBeGreaterThan(3);

        var (setsStatus, sets) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/sets",
            new
            {
                sheetId = "marl-cc-20",
                areaM2 = 92.90304,
                thicknessMm = 50.8,
                shavedFlush = false,
                substrateTempC = 21,
                drumTempC = 21,
                depthScatterMm = 0,
            }
        );
        setsStatus.ShouldBe(200, sets.ToJsonString());
        sets.Number("boardFeet").ShouldBe(2000, 1e-6);
        sets.Number("yieldBoardFeet").ShouldBe(4350, 1e-6);
        sets.Number("medianSets").ShouldBe(2000.0 / 4350, 1e-9);

        var (gateStatus, gate) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/gate",
            new
            {
                sheetId = "marl-cc-20",
                substrateKind = "wood",
                substrate = new { tempC = 4.1 },
                air = new { tempC = 5 },
                humidity = new { rhPct = 84.5 },
                prepared = Array.Empty<string>(),
            }
        );
        gateStatus.ShouldBe(200, gate.ToJsonString());
        gate.Text("verdict").ShouldBe("hold");
        gate["findings"]!.AsArray().Single(f => f!.Text("rule") == "G3")!.Text("verdict").ShouldBe("hold");
    }

    [Fact]
    public async Task An_unknown_sheet_and_an_absurd_thickness_are_named()
    {
        var client = product.WithToken();
        var (unknown, body) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/sets",
            new
            {
                sheetId = "no-such",
                areaM2 = 10,
                thicknessMm = 50,
                shavedFlush = false,
            }
        );
        unknown.ShouldBe(400);
        body["errors"]!.AsObject().ContainsKey("sheetId").ShouldBeTrue();
        var (absurd, problem) = await client.SendJsonAsync(HttpMethod.Post, "/api/compute/section", SectionQuestion(900));
        absurd.ShouldBe(400);
        problem["errors"]!.AsObject().ContainsKey("thicknessMm").ShouldBeTrue(problem.ToJsonString());
        problem.Text("detail").ShouldContain("152 mm");
    }

    [Fact]
    public async Task A_body_with_letters_in_a_number_is_named()
    {
        var (status, problem) = await product
            .WithToken()
            .SendJsonAsync(
                HttpMethod.Post,
                "/api/compute/sets",
                new
                {
                    sheetId = "marl-cc-20",
                    areaM2 = "ten",
                    thicknessMm = 50,
                    shavedFlush = false,
                }
            );
        status.ShouldBe(400);
        problem["errors"]!.AsObject().ContainsKey("areaM2").ShouldBeTrue(problem.ToJsonString());
    }

    [Theory]
    [InlineData("/api/compute/air?tempC=20&rhPct=50")]
    [InlineData("/api/jobs")]
    [InlineData("/api/choices")]
    public async Task Without_a_sign_in_nothing_is_answered(string path)
    {
        ((int)(await product.CreateClient().GetAsync(path, TestContext.Current.CancellationToken)).StatusCode).ShouldBe(401);
        ((int)(await product.WithToken("wrong").GetAsync(path, TestContext.Current.CancellationToken)).StatusCode).ShouldBe(401);
    }

    [Fact]
    public async Task The_interface_describes_itself_and_its_health()
    {
        var client = product.CreateClient();
        var paths = (await client.GetJsonAsync("/openapi/v1.json"))["paths"]!.AsObject().Select(p => p.Key).ToList();
        paths.ShouldContain("/api/compute/air");
        paths.ShouldContain("/api/jobs/{id}/board");
        foreach (var path in new[] { "/healthz", "/readyz", "/api" })
        {
            ((int)(await client.GetAsync(path, TestContext.Current.CancellationToken)).StatusCode).ShouldBe(200, path);
        }

        ((int)(await client.GetAsync("/api/nowhere", TestContext.Current.CancellationToken)).StatusCode).ShouldBe(404);
    }

    private static object SectionQuestion(double thicknessMm) =>
        new
        {
            kind = "studWall",
            sheetId = "marl-cc-20",
            thicknessMm,
            outboard = new[] { new { material = "osb", thicknessMm = 11 } },
            inboard = new[] { new { material = "gypsum-board", thicknessMm = 12.7 } },
            members = new
            {
                material = "wood",
                depthMm = 139.7,
                spacingMm = 406.4,
                sharePct = 25,
            },
            ventChannelMm = 0,
            baffle = (object?)null,
            foamAgainst = "outboard",
            heatFlow = "horizontal",
            exposure = "outdoors",
            films = "us",
            indoorC = 20,
            indoorRhPct = 40,
            outdoorC = -15,
            outdoorRhPct = 80,
            target = new { uWM2K = 0.3, edition = "test" },
            climateZone = "6A",
        };
}
