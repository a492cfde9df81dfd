using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Formats.JobFiles;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Surfaces and jobs in and out of files.</summary>
public sealed class ExchangeTests(Product product)
{
    private const string Table =
        "Room;Type;Length (ft);Height (ft);Windows\nHall;wall;24;9;2 x 3' x 4'\nTower;roof deck;12;;\nStair;castle;10;8;\n";

    [Fact]
    public async Task A_table_is_read_mended_and_taken_whole_and_its_columns_are_remembered()
    {
        var (client, job) = await Exchanging.JobAsync(product);
        var dry = await Exchanging.ImportAsync(client, job, "table", new { content = Bytes(Table), units = "us" });
        dry["columns"]!.AsArray().Select(c => c!.Text("field")).ShouldBe(["name", "kind", "length", "height", "openings"]);
        dry["faulty"]!.GetValue<int>().ShouldBe(2);
        dry["rows"]![0]!["area"]!.Text("us").ShouldBe("192 ft²");
        dry["rows"]![2]!["faults"]![0]!.Text("field").ShouldBe("kind");
        dry["rows"]![2]!["line"]!.GetValue<int>().ShouldBe(4);

        var rows = dry["rows"]!.DeepClone().AsArray();
        var refused = await Exchanging.ImportAsync(client, job, "accept", new { units = "us", rows });
        refused["added"]!.AsArray().ShouldBeEmpty();
        (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray().ShouldBeEmpty();

        rows[1]!["fields"]!["size"] = "13' x 12' at 9:12";
        rows[2]!["fields"]!["kind"] = "solidWall";
        var taken = await Exchanging.ImportAsync(
            client,
            job,
            "accept",
            new
            {
                units = "us",
                rows,
                columns = dry["columns"],
            }
        );
        taken["added"]!.AsArray().Count.ShouldBe(3, taken.ToJsonString());
        (await Exchanging.ImportAsync(client, job, "table", new { content = Bytes(Table), units = "us" }))["remembered"]!
            .GetValue<bool>()
            .ShouldBeTrue();

        (await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/surfaces/remove", new { ids = taken["added"] })).Status.ShouldBe(
            204
        );
        (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_row_of_a_name_the_job_has_or_of_an_unusual_size_is_marked_and_still_taken()
    {
        const string Rows = "name,kind,size\nHall,stud wall,24' x 9'\nhall,stud wall,900' x 9'\n";
        var (client, job) = await Exchanging.JobAsync(product);
        var dry = await Exchanging.ImportAsync(client, job, "table", new { content = Bytes(Rows), units = "us" });
        Doubts(dry).ShouldBe(["", "unusual sameName"]);
        var taken = await Exchanging.ImportAsync(client, job, "accept", new { units = "us", rows = dry["rows"] });
        taken["added"]!.AsArray().Count.ShouldBe(2);
        Doubts(await Exchanging.ImportAsync(client, job, "table", new { content = Bytes(Rows), units = "us" }))
            .ShouldBe(["sameName", "unusual sameName"]);

        static IEnumerable<string> Doubts(JsonNode answer) =>
            answer["rows"]!.AsArray().Select(r => string.Join(' ', r!["doubts"]!.AsArray().Select(d => d!.Text("code"))));
    }

    [Fact]
    public async Task Whatever_a_field_takes_at_most_a_job_file_takes_too()
    {
        const string Most =
            "name;kind;size;repeats;memberMaterial;memberDepth;memberSpacing;ventChannel;profileFactor;flange;web;skin;doorSpare;"
            + "penetration;load;expectedSubstrate;expectedDrum\n"
            + "Most;stud wall;20 m x 9 m;999;steel stud;900 mm;3000 mm;200 mm;3;500 mm;20 mm;20 mm;500 kg;150 mm;2000 kPa;90 °C;90 °C\n";
        var (client, job) = await Exchanging.JobAsync(product);
        var dry = await Exchanging.ImportAsync(client, job, "table", new { content = Bytes(Most), units = "metric" });
        dry["faulty"]!.GetValue<int>().ShouldBe(0, dry.ToJsonString());
        await Exchanging.ImportAsync(client, job, "accept", new { units = "metric", rows = dry["rows"] });
        var file = await client.GetStringAsync($"/api/jobs/{job}/file", TestContext.Current.CancellationToken);
        file.ShouldContain("\"loadKPa\": 2000");
        var (status, brought) = await PostTextAsync(client, "/api/jobs/file", file);
        status.ShouldBe(201, brought.ToJsonString());
    }

    [Fact]
    public async Task A_job_file_comes_back_as_the_same_job()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        foreach (var name in new[] { "ferry house", "orchid house", "seed store" })
        {
            var first = Renamed(
                await client.GetStringAsync($"/api/jobs/{await client.DemoJobAsync(name)}/file", TestContext.Current.CancellationToken)
            );
            var (status, brought) = await PostTextAsync(client, "/api/jobs/file", first);
            status.ShouldBe(201, brought.ToJsonString());
            var second = await client.GetStringAsync($"/api/jobs/{brought.Text("id")}/file", TestContext.Current.CancellationToken);
            Exchanging.ShouldBeTheSame(JsonNode.Parse(WithoutIds(second))!, JsonNode.Parse(WithoutIds(first))!, "");
            var board = await client.GetJsonAsync($"/api/jobs/{brought.Text("id")}/board");
            board["rows"]!.AsArray().Count.ShouldBeGreaterThan(4);
        }
    }

    [Fact]
    public async Task A_job_file_of_the_version_before_comes_in_whole()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var file = JsonNode
            .Parse(
                Renamed(
                    await client.GetStringAsync(
                        $"/api/jobs/{await client.DemoJobAsync("ferry house")}/file",
                        TestContext.Current.CancellationToken
                    )
                )
            )!
            .AsObject();
        Without(file, "ventedCladding");
        Without(file, "sprayLog");
        foreach (var added in new[] { "receivedAt", "tickedAt" })
        {
            Without(file, added).ShouldBeGreaterThan(0, added);
        }

        var (status, brought) = await PostTextAsync(client, "/api/jobs/file", file.ToJsonString());
        status.ShouldBe(201, brought.ToJsonString());
        (await client.GetJsonAsync($"/api/jobs/{brought.Text("id")}/board"))["rows"]!
            .AsArray()
            .Count.ShouldBe(file["surfaces"]!.AsArray().Count);

        // What did not say when it arrived arrived when it was made.
        var again = JsonNode.Parse(
            await client.GetStringAsync($"/api/jobs/{brought.Text("id")}/file", TestContext.Current.CancellationToken)
        )!;
        again["readings"]!.AsArray().ShouldAllBe(r => r!.Text("receivedAt") == r!.Text("takenAt"));
    }

    [Fact]
    public async Task A_log_that_tells_nothing_of_products_and_the_store_comes_in_whole()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var job = await client.DemoJobAsync("ferry house");
        var text = await client.GetStringAsync($"/api/jobs/{job}/file", TestContext.Current.CancellationToken);
        var file = JsonNode.Parse(Renamed(text))!.AsObject();
        foreach (var added in new[] { "drumSheet", "stockLot", "drumCount", "proof" })
        {
            Without(file, added).ShouldBeGreaterThan(0, added);
        }

        var (status, brought) = await PostTextAsync(client, "/api/jobs/file", file.ToJsonString());
        status.ShouldBe(201, brought.ToJsonString());
        var board = await client.GetJsonAsync($"/api/jobs/{brought.Text("id")}/board");
        board["feet"]!["sprayed"]!.GetValue<int>().ShouldBe(1);
    }

    /// <summary>Takes every property of a name out, however deep, and says how many there were.</summary>
    private static int Without(JsonNode? node, string name) =>
        node switch
        {
            JsonObject all => (all.Remove(name) ? 1 : 0) + all.ToList().Sum(part => Without(part.Value, name)),
            JsonArray all => all.Sum(part => Without(part, name)),
            _ => 0,
        };

    [Theory]
    [InlineData("Batt", 201)]
    [InlineData("Straw", 400)]
    public async Task Systems_of_a_job_file_of_the_first_version_come_in_whole_or_are_refused_where_they_stand(string kind, int status)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var text = await client.GetStringAsync(
            $"/api/jobs/{await client.DemoJobAsync("mill cottages")}/file",
            TestContext.Current.CancellationToken
        );
        var file = JsonNode.Parse(Renamed(text))!;
        file["formatVersion"] = 1;
        var read = file["readings"]!.AsArray().Select(r => r!.DeepClone()).ToList();
        foreach (var reading in file["readings"]!.AsArray().Select(r => r!.AsObject()))
        {
            reading["value"] = (reading["tempC"] ?? reading["percent"] ?? (reading["foundDry"]!.GetValue<bool>() ? 1 : 0)).DeepClone();
            reading["statedError"] = (reading["errorK"] ?? reading["errorPoints"])?.DeepClone();
            reading["rawValue"] = reading["rawPercent"]?.DeepClone();
            string[] typedNow = ["tempC", "percent", "foundDry", "errorK", "errorPoints", "rawPercent"];
            typedNow.ToList().ForEach(typed => reading.Remove(typed));
        }

        file["job"]!["choosing"]!["schools"] = JsonNode.Parse("""[{ "question": "bandJoist", "school": "b" }]""");
        file["surfaces"]![1]!["system"] = JsonNode.Parse(
            $$"""
            {
              "kind": "hybrid", "then": [{ "kind": "{{kind}}", "id": "batt-13", "thicknessMm": 60, "takesRest": true }],
              "addedOutboard": [], "addedInboard": [{ "material": "foam-board", "thicknessMm": 25 }],
              "chosenBy": "owner", "chosenAt": "2026-11-20T08:00:00+00:00", "overrides": ["E9"], "reason": "as agreed"
            }
            """
        );
        var written = file.ToJsonString(new() { WriteIndented = true });
        var (answered, brought) = await PostTextAsync(client, "/api/jobs/file", written);
        answered.ShouldBe(status, brought.ToJsonString());
        if (status == 400)
        {
            brought["lines"]![0]!.Text("path").ShouldBe("surfaces[1].system.further[0].kind");
            var line = brought["lines"]![0]!["line"]!.GetValue<int>();
            written.Split('\n')[line - 1].ShouldContain("\"system\"");
            return;
        }

        var again = await client.GetJsonAsync($"/api/jobs/{brought.Text("id")}/file");
        again["formatVersion"]!.GetValue<int>().ShouldBe(JobFile.CurrentVersion);
        string[] ofReading = ["kind", "tempC", "percent", "foundDry", "errorK", "errorPoints", "rawPercent", "takenAt"];
        again["readings"]!
            .AsArray()
            .Select(r => string.Join(' ', ofReading.Select(of => r![of]?.ToJsonString())))
            .ShouldBe(read.Select(r => string.Join(' ', ofReading.Select(of => r[of]?.ToJsonString()))), ignoreOrder: true);
        again["job"]!["choosing"]!["schools"]!.ToJsonString().ShouldBe("""[{"question":"bandJoist","school":"cutBoard"}]""");
        var system = again["surfaces"]![1]!["system"]!;
        system["further"]!.ToJsonString().ShouldBe("""[{"kind":"batt","id":"batt-13","thicknessMm":60,"takesRest":true}]""");
        system["addedInboard"]!.ToJsonString().ShouldBe("""[{"material":"foam-board","thicknessMm":25}]""");
        (system.Text("reason"), system["overrides"]![0]!.GetValue<string>()).ShouldBe(("as agreed", "E9"));
    }

    [Fact]
    public async Task A_job_file_that_is_broken_is_refused_by_line_and_leaves_no_job_behind()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var file = await client.GetStringAsync(
            $"/api/jobs/{await client.DemoJobAsync("mill cottages")}/file",
            TestContext.Current.CancellationToken
        );
        file = file.Replace("Skerrow mill cottages", "Must not be kept", StringComparison.Ordinal);
        var (status, problem) = await PostTextAsync(
            client,
            "/api/jobs/file",
            file.Replace("\"memberShare\": 0.1", "\"memberShare\": -4", StringComparison.Ordinal)
        );
        status.ShouldBe(400);
        problem["lines"]![0]!["line"]!.GetValue<int>().ShouldBeGreaterThan(10);
        (
            await PostTextAsync(
                client,
                "/api/jobs/file",
                file.Replace(
                    $"\"formatVersion\": {JobFile.CurrentVersion}",
                    $"\"formatVersion\": {JobFile.CurrentVersion + 1}",
                    StringComparison.Ordinal
                )
            )
        ).Status.ShouldBe(400);
        foreach (var version in new[] { "123456789012345678901234567890", "1e400", "-1", "\"3\"", "null", "[3]" })
        {
            var other = file.Replace(
                $"\"formatVersion\": {JobFile.CurrentVersion}",
                $"\"formatVersion\": {version}",
                StringComparison.Ordinal
            );
            (await PostTextAsync(client, "/api/jobs/file", other)).Status.ShouldBe(400, version);
        }

        (await PostTextAsync(client, "/api/jobs/file", "{")).Status.ShouldBe(400);
        (await client.GetJsonAsync("/api/jobs")).AsArray().ShouldNotContain(j => j!["job"]!.Text("name") == "Must not be kept");
    }

    [Theory]
    [InlineData("readings", "tempC", -900.0)]
    [InlineData("surfaces", "memberSpacingM", 0.0)]
    public async Task A_job_file_with_what_cannot_be_is_refused_and_the_list_of_jobs_still_opens(string list, string field, double value)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var file = JsonNode.Parse(
            Renamed(
                await client.GetStringAsync(
                    $"/api/jobs/{await client.DemoJobAsync("seed store")}/file",
                    TestContext.Current.CancellationToken
                )
            )
        )!;
        var at = file[list]!.AsArray().ToList().FindIndex(one => one![field] is not null);
        file[list]![at]![field] = value;
        var (status, problem) = await PostTextAsync(client, "/api/jobs/file", file.ToJsonString());
        status.ShouldBe(400);
        problem["lines"]![0]!.Text("path").ShouldBe($"{list}[{at}].{field}");
        (await client.GetJsonAsync("/api/jobs")).AsArray().Count.ShouldBeGreaterThan(3);
    }

    [Fact]
    public async Task A_building_model_becomes_surfaces_and_says_what_it_left_out()
    {
        var (client, job) = await Exchanging.JobAsync(product);
        const string Model = """
            <gbXML xmlns="http://www.gbxml.org/schema" lengthUnit="Feet"><Campus id="c">
              <Surface id="w1" surfaceType="ExteriorWall"><Name>North wall</Name><AdjacentSpaceId spaceIdRef="s1"/>
                <PlanarGeometry><PolyLoop><CartesianPoint><Coordinate>0</Coordinate><Coordinate>0</Coordinate><Coordinate>0</Coordinate></CartesianPoint>
                <CartesianPoint><Coordinate>24</Coordinate><Coordinate>0</Coordinate><Coordinate>0</Coordinate></CartesianPoint>
                <CartesianPoint><Coordinate>24</Coordinate><Coordinate>0</Coordinate><Coordinate>9</Coordinate></CartesianPoint>
                <CartesianPoint><Coordinate>0</Coordinate><Coordinate>0</Coordinate><Coordinate>9</Coordinate></CartesianPoint></PolyLoop></PlanarGeometry>
                <Opening id="o1"><RectangularGeometry><Width>3</Width><Height>4</Height></RectangularGeometry></Opening></Surface>
              <Surface id="s1" surfaceType="Shade"><RectangularGeometry><Width>3</Width><Height>4</Height></RectangularGeometry></Surface>
              <Surface id="r1" surfaceType="Roof"/></Campus></gbXML>
            """;
        var dry = await Exchanging.ImportAsync(client, job, "model", new { content = Bytes(Model) });
        dry["rows"]!.AsArray().Count.ShouldBe(1);
        dry["rows"]![0]!["area"]!.Text("us").ShouldBe("204 ft²");
        dry["skipped"]!.AsArray().Select(s => s!.Text("reason")).ShouldBe(["notTreated", "noGeometry"]);
    }

    [Theory]
    [InlineData("<!DOCTYPE x [<!ENTITY e SYSTEM \"file:///etc/passwd\">]><gbXML lengthUnit=\"Meters\">&e;</gbXML>", "forbiddenXml")]
    [InlineData("<gbXML lengthUnit=\"Cubits\"><Campus/></gbXML>", "unknownUnit")]
    [InlineData("<gbXML><Campus/></gbXML>", "unknownUnit")]
    [InlineData("<html/>", "notABuildingModel")]
    [InlineData("no xml", "notXml")]
    public async Task A_model_that_cannot_be_read_says_why(string xml, string fault)
    {
        var (client, job) = await Exchanging.JobAsync(product);
        var (status, problem) = await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/imports/model", new { content = Bytes(xml) });
        status.ShouldBe(400);
        problem["file"]!.Text("fault").ShouldBe(fault);
    }

    [Theory]
    [InlineData("openings", 60_000, "tooLong")]
    [InlineData("openings", 250, "tooManyParts")]
    [InlineData("size", 250, "tooManyParts")]
    public async Task A_text_of_more_parts_than_are_read_is_refused_typed_or_brought_in(string field, int parts, string code)
    {
        var (client, job) = await Exchanging.JobAsync(product);
        var text = string.Join("; ", Enumerable.Repeat("1 m x 1 m", parts));
        var fields = new Dictionary<string, string>
        {
            ["name"] = "Many",
            ["shape"] = "outline",
            [field] = text,
        };
        var (status, typed) = await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/surfaces", new { units = "metric", fields });
        (status, typed["faults"]![0]!.Text("code")).ShouldBe((400, code));
        var (_, checkedRows) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job}/imports/check",
            new
            {
                units = "metric",
                rows = new[]
                {
                    new
                    {
                        line = 1,
                        fields,
                        note = "",
                    },
                },
            }
        );
        checkedRows["rows"]![0]!["faults"]![0]!.Text("code").ShouldBe(code);
    }

    [Theory]
    [InlineData("table")]
    [InlineData("model")]
    public async Task A_file_that_was_left_out_is_asked_for(string kind)
    {
        var (client, job) = await Exchanging.JobAsync(product);
        foreach (var body in new object[] { new { }, new { content = (string?)null }, new { content = "" } })
        {
            var (status, problem) = await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/imports/{kind}", body);
            (status, problem["file"]!.Text("fault")).ShouldBe((400, "empty"));
        }
    }

    [Fact]
    public async Task A_table_of_two_hundred_thousand_lines_is_refused()
    {
        var (client, job) = await Exchanging.JobAsync(product);
        var text = new StringBuilder("name,length,height\n");
        for (var i = 0; i < 200_000; i++)
        {
            text.Append("wall,12,9\n");
        }

        var (status, problem) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job}/imports/table",
            new { content = Bytes(text.ToString()), units = "us" }
        );
        status.ShouldBe(400);
        (problem["file"]!.Text("fault"), problem["file"]!.Text("detail")).ShouldBe(("tooManyLines", "200001"));
    }

    // Other tests look the demo's jobs up by name.
    private static string Renamed(string file)
    {
        var node = JsonNode.Parse(file)!;
        node["job"]!["name"] = "Brought in";
        return node.ToJsonString();
    }

    private static string WithoutIds(string file)
    {
        var ids = new Dictionary<string, int>();
        var plain = System.Text.RegularExpressions.Regex.Replace(
            file,
            "[0-9a-f]{8}-[0-9a-f-]{27}",
            m => "id" + (ids.TryGetValue(m.Value, out var n) ? n : ids[m.Value] = ids.Count)
        );
        var node = JsonNode.Parse(plain)!;
        node["job"]!["createdAt"] = null;

        // Marks and joints have no order of their own.
        foreach (var list in new[] { "preparation", "joints", "readings" })
        {
            node[list] = new JsonArray([
                .. node[list]!.AsArray().Select(x => x!.DeepClone()).OrderBy(x => x.ToJsonString(), StringComparer.Ordinal),
            ]);
        }

        return node.ToJsonString();
    }

    private static async Task<(int Status, JsonNode Body)> PostTextAsync(HttpClient client, string path, string text)
    {
        using var content = new StringContent(text, Encoding.UTF8, new MediaTypeHeaderValue("application/json"));
        var answer = await client.PostAsync(path, content, TestContext.Current.CancellationToken);
        return ((int)answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken))!);
    }

    private static string Bytes(string text) => Convert.ToBase64String(Encoding.UTF8.GetBytes(text));
}
