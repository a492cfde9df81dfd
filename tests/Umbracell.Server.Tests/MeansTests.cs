using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Crews, rigs, heaters and the rest of what a firm works with, and the figures that hang on them.</summary>
public sealed class MeansTests(Product product)
{
    /// <summary>Of each kind, all that may be known of it, typed in either system.</summary>
    public static TheoryData<string, string, string> Typed =>
        new()
        {
            { "crew", "people 3; dayStart 7 am; dayEnd 4:30 pm; crewHour 150; closedPace 1200", "people 3; dayStart 07:00; dayEnd 16:30" },
            { "rig", "liquidHeaters 15 kW; hoseHeat 3600 W; hoseLength 200 ft; trailer 6000 lb", "hoseLength 60.96 m; trailer 2,722 kg" },
            { "rig", "pressure 1500 psi; hoseLay onReel; tips 01, 02; generator 30 kW", "pressure 10.3 MPa; generator 30 kW" },
            { "spaceHeater", "power 100 kBtu/h; heaterKind indirect; fuel diesel; count 2", "power 29.3 kW; count 2" },
            { "blankets", "power 420; count 6", "power 420 W; count 6" },
            { "hotRoom", "air 95 F; loss 45 W/K; holds 8", "air 35.0 °C; loss 45 W/K; holds 8" },
            { "scaffold", "scaffoldKind mobileTower; reach 20 ft; covers 300 ft2; count 2", "reach 6.10 m; covers 27.9 m²" },
            { "fan", "flow 1900 cfm; duct 12 in; ductLength 25 ft; note leaks at the flange", "duct 305 mm; ductLength 7.62 m" },
            { "dehumidifier", "takesOut 70 pints/day; dryerKind refrigerant; count 2", "takesOut 33 l/day; count 2" },
        };

    [Theory]
    [MemberData(nameof(Typed))]
    public async Task What_is_typed_of_each_kind_stands_there_in_both_systems(string kind, string typed, string metric)
    {
        var client = await OwnerAsync();
        var made = await AddAsync(client, kind, Parts(typed));
        foreach (var (name, text) in Parts(metric))
        {
            (made["words"]![name]?.GetValue<string>() ?? made["figures"]![name]!.Text("metric")).ShouldBe(text, name);
        }

        // Typed once more as it is printed, in the other system, it is the same.
        foreach (var units in new[] { "us", "metric" })
        {
            var printed = made["figures"]!
                .AsObject()
                .Where(one => !one.Value!.Text(units).Contains('¤', StringComparison.Ordinal))
                .Select(one => (one.Key, one.Value!.Text(units)))
                .ToArray();
            if (printed.Length > 0)
            {
                var again = await ChangeAsync(client, made.Text("id"), units == "us" ? "metric" : "us", printed);
                again["figures"]!
                    .AsObject()
                    .Select(one => one.Value!.Text(units))
                    .ShouldBe(made["figures"]!.AsObject().Select(one => one.Value!.Text(units)));
            }
        }
    }

    [Theory]
    [InlineData("crew", "people", "none", "notANumber")]
    [InlineData("crew", "people", "2.5", "notWhole")]
    [InlineData("crew", "dayStart", "25:00", "notATime")]
    [InlineData("crew", "dayEnd", "sunset", "notATime")]
    [InlineData("crew", "crew", "", "unknown")]
    [InlineData("crew", "name", "", "empty")]
    [InlineData("rig", "hoseLength", "60 kg", "wrongUnit")]
    [InlineData("rig", "hoseLay", "in the river", "unknown")]
    [InlineData("rig", "crew", "0199ab00-0000-7000-8000-000000000000", "unknown")]
    [InlineData("spaceHeater", "power", "", "empty")]
    [InlineData("spaceHeater", "power", "2 GW", "wrongUnit")]
    [InlineData("spaceHeater", "count", "0", "outOfRange")]
    [InlineData("hotRoom", "air", "90 C", "outOfRange")]
    [InlineData("fan", "flow", "-3", "outOfRange")]
    [InlineData("dehumidifier", "takesOut", "", "empty")]
    [InlineData("dehumidifier", "takesOut", "70 kg", "wrongUnit")]
    [InlineData("dehumidifier", "dryerKind", "magic", "unknown")]
    [InlineData("scaffold", "trailer", "3", "unknown")]
    [InlineData("scaffold", "note", "\0", "unwritable")]
    public async Task What_cannot_be_is_refused_at_its_field_and_nothing_is_kept(string kind, string field, string text, string code)
    {
        var client = await OwnerAsync();
        Dictionary<string, string> fields = new(Needed(kind))
        {
            ["kind"] = kind,
            ["name"] = "New",
            [field] = text,
        };
        var (status, answer) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/means",
            Asking.Typed(null, "us", [.. fields.Select(f => (f.Key, f.Value))])
        );
        status.ShouldBe(400, answer.ToJsonString());
        answer["faults"]!.AsArray().Select(f => (f!.Text("field"), f!.Text("code"))).ShouldBe([(field, code)]);
        (await AllAsync(client)).ShouldNotContain(one => one!.Text("name") == "New");
    }

    [Fact]
    public async Task A_name_is_given_once_for_a_kind_whatever_its_capitals_and_is_no_longer_than_a_line()
    {
        var client = await OwnerAsync();
        await AddAsync(client, "crew", [("name", "Tern")]);
        await AddAsync(client, "rig", [("name", "Tern")]);
        foreach (var (name, code) in new[] { ("TERN", "taken"), (new string('n', 10_000), "tooLong") })
        {
            var typed = Asking.Typed(null, "us", ("kind", "crew"), ("name", name));
            var (status, answer) = await client.SendJsonAsync(HttpMethod.Post, "/api/means", typed);
            (status, answer["faults"]![0]!.Text("code")).ShouldBe((400, code));
        }
    }

    [Fact]
    public async Task A_job_names_a_crew_by_any_capitals_and_one_nobody_had_yet_is_made()
    {
        var client = await OwnerAsync();
        await AddAsync(client, "crew", [("name", "Tern")]);
        var job = await JobAsync(client, "tern");
        (await BoardAsync(client, job)).Text("crew").ShouldBe("Tern");
        var other = await JobAsync(client, "Dunlin");
        (await AllAsync(client)).Select(one => (one!.Text("name"), one!["jobs"]!.GetValue<int>())).ShouldBe([("Dunlin", 1), ("Tern", 1)]);

        // Its new name stands on the job; and a job may have none.
        await ChangeAsync(client, await IdAsync(client, "Dunlin"), "us", ("name", "Sandpiper"));
        (await BoardAsync(client, other)).Text("crew").ShouldBe("Sandpiper");
        (await client.GetJsonAsync("/api/search?words=sandpiper"))["jobs"]!.AsArray().Count.ShouldBe(1);
        var version = (await BoardAsync(client, other))["version"]!.GetValue<uint>();
        var (status, _) = await client.SendJsonAsync(HttpMethod.Patch, $"/api/jobs/{other}", Asking.Typed(version, "us", ("crew", " ")));
        status.ShouldBe(200);
        (await BoardAsync(client, other)).Text("crew").ShouldBe("");
    }

    [Theory]
    [InlineData("طاقم مالك الحزين")]
    [InlineData("Équipe Héron — 2ᵉ")]
    [InlineData("鷺班")]
    public async Task A_crew_may_be_called_in_any_script(string name)
    {
        var client = await OwnerAsync();
        var job = await JobAsync(client, name);
        (await BoardAsync(client, job)).Text("crew").ShouldBe(name);
        (await client.GetJsonAsync($"/api/search?words={Uri.EscapeDataString(name)}"))["jobs"]!.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_crew_that_a_job_names_stays_and_a_rig_outlives_its_crew()
    {
        var client = await OwnerAsync();
        var job = await JobAsync(client, "Tern");
        var (tern, dunlin) = (await IdAsync(client, "Tern"), (await AddAsync(client, "crew", [("name", "Dunlin")])).Text("id"));
        var rig = (await AddAsync(client, "rig", [("name", "Rig"), ("crew", dunlin)])).Text("id");
        (await DeleteAsync(client, tern)).ShouldBe(409);
        (await client.DeleteAsync($"/api/jobs/{job}", TestContext.Current.CancellationToken)).EnsureSuccessStatusCode();
        (await DeleteAsync(client, tern)).ShouldBe(409);
        (await DeleteAsync(client, dunlin)).ShouldBe(200);
        (await AllAsync(client)).Single(one => one!.Text("id") == rig)!["crew"].ShouldBeNull();
    }

    [Fact]
    public async Task A_crews_own_rates_price_its_jobs_and_no_other()
    {
        var client = await OwnSheets.OwnFirmAsync(product);
        await client.SendJsonAsync(
            HttpMethod.Patch,
            "/api/firm",
            Asking.Typed(null, "us", ("crewHour", "100"), ("set:marl-cc-20", "2500"))
        );
        var (tern, other) = (await JobAsync(client, "Tern"), await JobAsync(client, "Dunlin"));
        foreach (var job in new[] { tern, other })
        {
            await WallAsync(client, job);
        }

        var (before, beside) = (await LabourAsync(client, tern), await LabourAsync(client, other));
        await ChangeAsync(client, await IdAsync(client, "Tern"), "us", ("crewHour", "200"));
        (await LabourAsync(client, tern)).ShouldBe(2 * before, 0.02);
        (await LabourAsync(client, other)).ShouldBe(beside, 1e-9);

        // The core beside the page is given the same, and blank goes by the firm again.
        (await client.GetJsonAsync($"/api/supplies?job={tern}"))["rates"]!
            .Number("crewHour")
            .ShouldBe(200);
        (await client.GetJsonAsync($"/api/supplies?job={other}"))["rates"]!.Number("crewHour").ShouldBe(100);
        await ChangeAsync(client, await IdAsync(client, "Tern"), "us", ("crewHour", ""));
        (await LabourAsync(client, tern)).ShouldBe(before, 1e-9);
    }

    [Fact]
    public async Task Who_may_not_price_sees_no_rate_of_a_crew_and_sets_none()
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.CrewLead);
        var (owner, lead) = (await product.SignedInAsync(names[0]), await product.SignedInAsync(names[1]));
        var crew = await AddAsync(owner, "crew", [("name", "Tern"), ("people", "3"), ("crewHour", "150")]);
        var book = await lead.GetJsonAsync("/api/means");
        book.ToJsonString().ShouldNotContain("crewHour");
        book["all"]![0]!["figures"]!["people"]!.Number("amount").ShouldBe(3);
        var (status, _) = await lead.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/means/{crew.Text("id")}",
            Asking.Typed(null, "us", ("crewHour", "1"))
        );
        status.ShouldBe(403);
        await ChangeAsync(lead, crew.Text("id"), "us", ("people", "4"));
        (await AllAsync(owner))[0]!["figures"]!["crewHour"]!.Text("us").ShouldBe("¤150.00");
    }

    [Fact]
    public async Task A_load_is_held_against_what_the_rig_of_the_jobs_crew_carries()
    {
        var client = await OwnSheets.OwnFirmAsync(product);
        var job = await JobAsync(client, "Tern");
        await WallAsync(client, job);
        (await TrailerAsync(client, job)).ShouldBe(("unknown", null));
        await AddAsync(client, "rig", [("name", "Small"), ("trailer", "300 kg")]);
        (await TrailerAsync(client, job)).ShouldBe(("tooHeavy", "300 kg"));
        var large = await AddAsync(client, "rig", [("name", "Large"), ("trailer", "3000 kg"), ("crew", await IdAsync(client, "Tern"))]);
        (await TrailerAsync(client, job)).ShouldBe(("carried", "3,000 kg"));

        // What is not in use is not counted on.
        await ChangeAsync(client, large.Text("id"), "us", ("retired", "yes"));
        (await TrailerAsync(client, job)).ShouldBe(("tooHeavy", "300 kg"));
    }

    [Fact]
    public async Task A_cold_wall_is_warmed_with_the_heaters_of_the_kind_its_job_says()
    {
        var client = await OwnSheets.OwnFirmAsync(product);
        var job = await JobAsync(client, "Tern", ("place", "brindle-quay"), ("workDate", "2027-01-20"), ("heater", "indirect"));
        var wall = (await WallAsync(client, job)).Text("id");
        (await HeatersAsync(client, wall)).ShouldBe(["heaterUnknown"]);
        await AddAsync(client, "spaceHeater", [("name", "Electric"), ("power", "300 kW"), ("heaterKind", "electric")]);
        (await HeatersAsync(client, wall)).ShouldBe(["heaterTooSmall"]);
        var one = await AddAsync(
            client,
            "spaceHeater",
            [("name", "Indirect"), ("power", "100 kW"), ("heaterKind", "indirect"), ("count", "3")]
        );
        (await HeatersAsync(client, wall)).ShouldBeEmpty();
        await ChangeAsync(client, one.Text("id"), "us", ("retired", "yes"));
        (await HeatersAsync(client, wall)).ShouldBe(["heaterTooSmall"]);
    }

    private static async Task<string[]> HeatersAsync(HttpClient client, string wall) =>
        [
            .. (await client.GetJsonAsync($"/api/surfaces/{wall}/cold-routes"))["routes"]!
                .AsArray()
                .Single(route => route!.Text("kind") == "heat")!["findings"]!
                .AsArray()
                .Select(finding => finding!.Text("case"))
                .Where(name => name.StartsWith("heater", StringComparison.Ordinal)),
        ];

    [Fact]
    public async Task Drums_are_warmed_in_what_the_firm_has_and_it_is_said_where_not_all_find_a_place()
    {
        var client = await OwnSheets.OwnFirmAsync(product);
        var job = await JobAsync(client, "Tern", ("place", "brindle-quay"), ("workDate", "2027-01-20"));
        await WallAsync(client, job);
        (await WarmingAsync(client, job))["blankets"].ShouldBeNull();
        await AddAsync(client, "blankets", [("name", "Weak"), ("power", "200")]);
        var weak = (await WarmingAsync(client, job))["blankets"]!["lead"]!.Number("amount");
        await AddAsync(client, "blankets", [("name", "Strong"), ("power", "420"), ("count", "1")]);
        var strong = (await WarmingAsync(client, job))["blankets"]!;
        strong["lead"]!.Number("amount").ShouldBeLessThan(weak);
        strong["atATime"]!.GetValue<int>().ShouldBe(1);
        await AddAsync(client, "hotRoom", [("name", "Bay"), ("air", "35 C"), ("loss", "45 W/K")]);
        (await WarmingAsync(client, job))["hotRoom"]!["atATime"].ShouldBeNull();
    }

    [Fact]
    public async Task A_job_that_comes_in_with_a_crew_nobody_had_brings_it()
    {
        var (client, other) = (await OwnerAsync(), await OwnerAsync());
        var job = await JobAsync(client, "Tern");
        var file = await client.GetByteArrayAsync($"/api/jobs/{job}/file", TestContext.Current.CancellationToken);
        (await other.UploadAsync("/api/jobs/file", file)).Status.ShouldBe(201);
        (await AllAsync(other)).ShouldHaveSingleItem()!.Text("name").ShouldBe("Tern");
    }

    private async Task<HttpClient> OwnerAsync() => await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);

    private static (string Name, string Text)[] Parts(string text) =>
        [.. text.Split("; ").Select(part => part.Split(' ', 2) is var pair ? (pair[0], pair[1]) : default)];

    private static Dictionary<string, string> Needed(string kind) =>
        kind switch
        {
            "spaceHeater" or "blankets" => new() { ["power"] = "4 kW" },
            "hotRoom" => new() { ["air"] = "90 F", ["loss"] = "45 W/K" },
            "dehumidifier" => new() { ["takesOut"] = "33 l/day" },
            "fan" => new() { ["flow"] = "900 cfm" },
            _ => [],
        };

    private static async Task<JsonNode> AddAsync(HttpClient client, string kind, (string, string)[] fields)
    {
        var id = Guid.CreateVersion7();
        (string, string)[] named = fields.Any(f => f.Item1 == "name") ? fields : [("name", "One"), .. fields];
        return Of(
            await SentAsync(client, HttpMethod.Post, "/api/means", EditedRecords.Command(id, null, null, [("kind", kind), .. named])),
            id
        );
    }

    private static async Task<JsonNode> ChangeAsync(HttpClient client, string id, string units, params (string, string)[] fields) =>
        Of(await SentAsync(client, HttpMethod.Patch, $"/api/means/{id}", Asking.Typed(null, units, fields)), Guid.Parse(id));

    private static async Task<JsonNode> SentAsync(HttpClient client, HttpMethod method, string path, object body)
    {
        var (status, answer) = await client.SendJsonAsync(method, path, body);
        status.ShouldBeInRange(200, 201, answer.ToJsonString());
        return answer;
    }

    private static JsonNode Of(JsonNode book, Guid id) => book["all"]!.AsArray().Single(one => one!.Text("id") == id.ToString())!;

    private static async Task<JsonArray> AllAsync(HttpClient client) => (await client.GetJsonAsync("/api/means"))["all"]!.AsArray();

    private static async Task<string> IdAsync(HttpClient client, string name) =>
        (await AllAsync(client)).Single(one => one!.Text("name") == name)!.Text("id");

    private static async Task<int> DeleteAsync(HttpClient client, string id) =>
        (int)(await client.DeleteAsync($"/api/means/{id}", TestContext.Current.CancellationToken)).StatusCode;

    private static async Task<string> JobAsync(HttpClient client, string crew, params (string, string)[] more) =>
        (
            await SentAsync(
                client,
                HttpMethod.Post,
                "/api/jobs",
                Asking.Typed(null, "us", [("name", crew), ("climateZone", "6A"), ("crew", crew), .. more])
            )
        ).Text("id");

    private static Task<JsonNode> WallAsync(HttpClient client, string job) =>
        SentAsync(
            client,
            HttpMethod.Post,
            $"/api/jobs/{job}/surfaces",
            Asking.Typed(
                null,
                "us",
                ("name", "Wall"),
                ("kind", "studWall"),
                ("size", "40' x 9'"),
                ("sheet", "marl-cc-20"),
                ("thickness", "3")
            )
        );

    private static async Task<JsonNode> BoardAsync(HttpClient client, string job) =>
        (await client.GetJsonAsync($"/api/jobs/{job}/board"))["job"]!;

    private static async Task<double> LabourAsync(HttpClient client, string job) =>
        (await client.GetJsonAsync($"/api/jobs/{job}/price"))["bid"]!["lines"]!.AsArray().Single(line => line!.Text("key") == "crew")![
            "amount"
        ]!["figure"]!.Number("amount");

    private static async Task<(string Case, string? Carries)> TrailerAsync(HttpClient client, string job)
    {
        var order = await client.GetJsonAsync($"/api/jobs/{job}/order");
        return (order["findings"]![0]!.Text("case"), order["trailer"]?.Text("metric"));
    }

    private static async Task<JsonNode> WarmingAsync(HttpClient client, string job) =>
        (await client.GetJsonAsync($"/api/jobs/{job}/order"))["lines"]![0]!["warming"]!;
}
