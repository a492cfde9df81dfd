using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using SkiaSharp;
using Umbracell.Formats.Pictures;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>The survey beside its grid: joints, notes, preparation, photos, baseline, exchange.</summary>
public sealed class SurveyTests(Product product)
{
    [Fact]
    public async Task A_floor_that_the_plan_leaves_wetter_in_summer_says_so()
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var job = await client.DemoJobAsync("orchid house");
        var told = 0;
        foreach (var surface in (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray().Select(s => s!))
        {
            var drive = await client.GetJsonAsync($"/api/surfaces/{surface.Text("id")}/drive");
            foreach (var season in new[] { "winter", "summer" })
            {
                var (now, planned) = (
                    drive[season]!["now"]?["interfaceHumidity"]!.Number("amount"),
                    drive[season]!["planned"]?["interfaceHumidity"]!.Number("amount")
                );
                var said = drive["findings"]!.AsArray().Any(f => f!.Text("rule") == "wetter" && f!.Text("case") == season);
                told += said ? 1 : 0;
                if (planned < 100)
                {
                    said.ShouldBe(planned > 80 && planned > now + 1, $"{surface.Text("name")} in {season}: {now} now, {planned} planned");
                }
            }
        }

        told.ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task An_open_leak_and_an_unready_joint_outweigh_their_ticks()
    {
        var (client, job, wall) = await StartAsync("studWall");
        await TickAsync(client, wall, "leaksMended");
        await TickAsync(client, wall, "jointsReady");
        (await TaskAsync(client, wall, "leaksMended"))["done"]!.GetValue<bool>().ShouldBeTrue();

        await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/surfaces/{wall}/notes",
            ("kind", "leak"),
            ("words", "at the sill"),
            ("daysSinceRain", "2")
        );
        (await TaskAsync(client, wall, "leaksMended"))["contradicted"]!.GetValue<bool>().ShouldBeTrue();

        var joints = await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/jobs/{job}/joints",
            ("kind", "plateToSlab"),
            ("first", wall),
            ("beyond", "slab")
        );
        (await TaskAsync(client, wall, "jointsReady"))["contradicted"]!.GetValue<bool>().ShouldBeTrue();
        var joint = joints["joints"]![0]!;
        joint.Text("heat").ShouldBe("open");
        joint.Text("water").ShouldBe("notNeeded");

        var (early, refused) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/joints/{joint.Text("id")}",
            Asking.Typed(null, "us", ("ready", "yes"))
        );
        early.ShouldBe(400);
        refused["faults"]![0]!.Text("code").ShouldBe("unsolved");
        joints = await SendAsync(
            client,
            HttpMethod.Patch,
            $"/api/joints/{joint.Text("id")}",
            ("air", "carried"),
            ("heat", "carried"),
            ("how", "gasket"),
            ("doneBy", "carpenter"),
            ("ready", "yes"),
            ("seen", "yes")
        );
        joints["joints"]![0]!.Text("seenBy").ShouldBe("estimator");
        (await TaskAsync(client, wall, "jointsReady"))["done"]!.GetValue<bool>().ShouldBeTrue();
    }

    [Fact]
    public async Task The_leak_of_the_grid_is_the_leak_note_and_blanking_it_mends_it()
    {
        var (client, job, wall) = await StartAsync("studWall");
        await ChangeAsync(client, job, wall, ("openLeak", "under the window"));
        var note = (await client.GetJsonAsync($"/api/surfaces/{wall}/notes"))[0]!;
        (note.Text("kind"), note.Text("words"), note["mendedAt"]).ShouldBe(("leak", "under the window", null));
        var after = await ChangeAsync(client, job, wall, ("openLeak", ""));
        after["openLeak"].ShouldBeNull();
        (await client.GetJsonAsync($"/api/surfaces/{wall}/notes"))[0]!["mendedAt"].ShouldNotBeNull();
    }

    [Fact]
    public async Task Kinds_that_meet_are_suggested_until_taken_or_dismissed()
    {
        var (client, job, wall) = await StartAsync("basementWall");
        var slab = (
            await SendAsync(client, HttpMethod.Post, $"/api/jobs/{job}/surfaces", ("name", "Test ground"), ("kind", "underSlab"))
        ).Text("id");
        var joints = await client.GetJsonAsync($"/api/jobs/{job}/joints");
        joints["suggested"]!.AsArray().ShouldContain(s => s!.Text("kind") == "wallToGroundSheet" && s!["secondId"] != null);
        joints = await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/jobs/{job}/joints",
            ("kind", "wallToGroundSheet"),
            ("first", slab),
            ("second", wall),
            ("doNotMeet", "yes")
        );
        joints["suggested"]!.AsArray().ShouldNotContain(s => s!.Text("kind") == "wallToGroundSheet" && s!["secondId"] != null);
        joints["doNotMeet"]!.GetValue<int>().ShouldBe(1);
    }

    [Fact]
    public async Task A_split_keeps_the_area_and_starts_the_second_part_alike()
    {
        var (client, job, deck) = await StartAsync("unventedDeck");
        var before = await ChangeAsync(client, job, deck, ("size", "13' x 40' at 9:12"), ("memberDepth", "11 1/4"));
        var (status, second) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{deck}/split",
            Asking.Typed(before["version"]!.GetValue<uint>(), "us", ("along", "run"), ("at", "3'"), ("name", "Eaves part"))
        );
        status.ShouldBe(200, second.ToJsonString());
        second["memberDepth"]!.Text("us").ShouldBe("11 1/4 in");
        var first = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray().Single(s => s!.Text("id") == deck)!;
        (Area(first) + Area(second)).ShouldBe(Area(before), 1e-9);
        Area(first).ShouldBe(3 * 40 * 1.25 * 0.09290304, 1e-9);
        var (bad, _) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{deck}/split",
            Asking.Typed(first["version"]!.GetValue<uint>(), "us", ("along", "run"), ("at", "4'"), ("name", "x"))
        );
        bad.ShouldBe(400);

        static double Area(JsonNode surface) => surface["treatedArea"]!["figure"]!.Number("amount");
    }

    [Fact]
    public async Task A_template_of_the_firm_starts_other_surfaces()
    {
        var (client, job, wall) = await StartAsync("studWall");
        await ChangeAsync(client, job, wall, ("memberMaterial", "steelStud"), ("memberDepth", "6"), ("outboard", "brick|4; plywood|1/2"));
        var (status, template) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{wall}/template",
            new { name = "Brick on steel studs" }
        );
        status.ShouldBe(201);
        var other = await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/jobs/{job}/surfaces",
            ("name", "Second"),
            ("template", template.Text("id"))
        );
        other.Text("memberMaterial").ShouldBe("steelStud");
        other["outboard"]!.AsArray().Select(l => l!.Text("material")).ShouldBe(["brick", "plywood"]);

        // Changed, it starts the next otherwise; what was made from it stays, and so does what was not typed.
        var (changed, now) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/templates/{template.Text("id")}",
            Asking.Typed(template["version"]!.GetValue<uint>(), "metric", ("outboard", "plywood | 18 mm"), ("memberSpacing", "600"))
        );
        changed.ShouldBe(200, now.ToJsonString());
        (now["memberSpacing"]!.Text("metric"), now.Text("name")).ShouldBe(("600 mm", "Brick on steel studs"));
        var third = await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/jobs/{job}/surfaces",
            ("name", "Third"),
            ("template", template.Text("id"))
        );
        third["outboard"]!.AsArray().Select(l => l!.Text("material")).ShouldBe(["plywood"]);
        third["memberDepth"]!.Text("us").ShouldBe("6 in");
        var second = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray().Single(s => s!.Text("name") == "Second")!;
        second["outboard"]!.AsArray().Count.ShouldBe(2);
        var (bad, refused) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/templates/{template.Text("id")}",
            Asking.Typed(null, "us", ("outboard", "adamant | 3"), ("name", ""))
        );
        (bad, refused["faults"]!.AsArray().Count).ShouldBe((400, 2));

        (await (await product.SignedInAsync("owner@coldwaterlane.example")).GetJsonAsync("/api/templates"))
            .AsArray()
            .ShouldNotContain(t => t!.Text("id") == template.Text("id"));
    }

    [Fact]
    public async Task A_photo_is_kept_without_what_the_camera_wrote_and_bad_ones_are_refused_with_a_reason()
    {
        var (client, job, wall) = await StartAsync("studWall");
        var (status, photos) = await client.UploadAsync($"/api/jobs/{job}/photos?surface={wall}&caption=sill", Jpeg());
        status.ShouldBe(200, photos.ToJsonString());
        var id = photos[0]!.Text("id");
        var kept = await client.GetByteArrayAsync($"/api/photos/{id}/picture", TestContext.Current.CancellationToken);
        Encoding.Latin1.GetString(kept).ShouldNotContain("GPS-PLACE");
        PictureFile.Read(kept).Width.ShouldBe(64);
        (await client.GetByteArrayAsync($"/api/photos/{id}/thumbnail", TestContext.Current.CancellationToken)).Length.ShouldBeGreaterThan(
            100
        );
        (
            (int)
                (
                    await (await product.SignedInAsync("owner@coldwaterlane.example")).GetAsync(
                        $"/api/photos/{id}/picture",
                        TestContext.Current.CancellationToken
                    )
                ).StatusCode
        ).ShouldBe(404);

        (await client.UploadAsync($"/api/jobs/{job}/photos", "no picture at all"u8.ToArray())).Body["file"]!
            .Text("fault")
            .ShouldBe("notAPicture");
        (await client.UploadAsync($"/api/jobs/{job}/photos", [0, 0, 0, 24, .. "ftypheic"u8, .. new byte[40]])).Body["file"]!
            .Text("fault")
            .ShouldBe("heicPicture");
        (await client.GetJsonAsync($"/api/jobs/{job}/photos")).AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_photo_of_sixty_megabytes_is_refused_and_the_server_goes_on()
    {
        var (client, job, _) = await StartAsync("studWall");
        try
        {
            (await client.UploadAsync($"/api/jobs/{job}/photos", new byte[60 * 1024 * 1024])).Status.ShouldBeOneOf(413, 400);
        }
        catch (HttpRequestException)
        {
            // The server may close the line before all is sent.
        }

        (await client.GetJsonAsync($"/api/jobs/{job}/photos")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_fan_test_is_evaluated_and_its_points_read_back_as_typed()
    {
        var (client, job, _) = await StartAsync("studWall");
        var tests = await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/jobs/{job}/fan-tests",
            ("points", "15 980\n25 1366\n35 1700\n45 2001\n55 2280"),
            ("volume", "24000"),
            ("indoor", "70"),
            ("outdoor", "70")
        );
        var test = tests["tests"]![0]!;
        test["result"]!.Number("exponent").ShouldBe(0.65, 0.005);
        test["pointsText"]!.Text("us").Split('\n').Length.ShouldBe(5);
        test["result"]!["flowAt50"]!["low"].ShouldNotBeNull();
        (
            await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/fan-tests", Asking.Typed(null, "us", ("points", "15 kg 980")))
        ).Status.ShouldBe(400);
    }

    [Fact]
    public async Task A_thermal_grid_is_read_and_spots_give_temperature_and_factor()
    {
        var (client, job, wall) = await StartAsync("studWall");
        var grid = string.Join(
            '\n',
            Enumerable
                .Range(0, 10)
                .Select(r =>
                    string.Join(
                        ';',
                        Enumerable
                            .Range(0, 12)
                            .Select(c =>
                                (10 + r + c * 0.5).ToString("0.0", System.Globalization.CultureInfo.InvariantCulture).Replace('.', ',')
                            )
                    )
                )
        );
        var (status, pictures) = await client.UploadAsync($"/api/jobs/{job}/thermal?name=Corner", Encoding.UTF8.GetBytes(grid));
        status.ShouldBe(200, pictures.ToJsonString());
        var picture = pictures[0]!;
        (picture["rows"]!.GetValue<int>(), picture["columns"]!.GetValue<int>()).ShouldBe((10, 12));
        var (_, changed) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/thermal/{picture.Text("id")}",
            Asking.Typed(null, "metric", ("surface", wall), ("indoor", "20"), ("outdoor", "0"), ("spots", "4,2,sill"))
        );
        var spot = changed[0]!["spots"]![0]!;
        spot["temp"]!.Text("metric").ShouldBe("15.0 °C");
        spot["factor"]!.Number("amount").ShouldBe(0.75, 1e-6);
        (await client.UploadAsync($"/api/jobs/{job}/thermal", "1,2,3\n4,5\n"u8.ToArray())).Body["file"]!.Text("fault").ShouldBe("notAGrid");
    }

    [Fact]
    public async Task A_log_gives_its_dew_points()
    {
        var (client, job, _) = await StartAsync("studWall");
        var log =
            "time,temp (°F),RH %\n" + string.Concat(Enumerable.Range(0, 30).Select(i => $"2026-11-20 {i / 2:00}:{i % 2 * 30:00},68,50\n"));
        var (status, added) = await client.UploadAsync($"/api/jobs/{job}/logs?name=Attic", Encoding.UTF8.GetBytes(log));
        status.ShouldBe(200, added.ToJsonString());
        added["logs"]![0]!["highestDew"]!.Number("amount").ShouldBe(9.272, 0.005);
    }

    [Fact]
    public async Task A_complaint_shows_its_figures_now_and_as_planned()
    {
        var (client, job, wall) = await StartAsync("studWall");
        await ChangeAsync(client, job, wall, ("size", "24' x 9'"), ("sheet", "marl-cc-20"), ("thickness", "3"));
        var complaints = await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/jobs/{job}/complaints",
            ("kind", "neverWarms"),
            ("place", "reading room"),
            ("suspects", wall)
        );
        var figures = complaints[0]!["suspects"]![0]!["figures"]!.AsArray();
        var face = figures.Single(f => f!.Text("figure") == "roomFace")!;
        face["planned"]!["figure"]!.Number("amount").ShouldBeGreaterThan(face["now"]!["figure"]!.Number("amount"));
        (
            await client.SendJsonAsync(
                HttpMethod.Post,
                $"/api/jobs/{job}/complaints",
                Asking.Typed(null, "us", ("kind", "damp"), ("suspects", Guid.NewGuid().ToString()))
            )
        ).Status.ShouldBe(400);
    }

    [Fact]
    public async Task A_buffer_space_floats_and_moves_when_the_line_moves()
    {
        var (client, job, floor) = await StartAsync("atticFloor");
        var building = await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/jobs/{job}/buffers",
            ("name", "Attic"),
            ("kind", "attic"),
            ("volume", "3000"),
            ("airChanges", "4"),
            ("airChangesPlanned", "4"),
            ("otherLoss", "80 W/K")
        );
        var attic = building["buffers"]![0]!.Text("id");
        await ChangeAsync(client, job, floor, ("size", "40' x 24'"), ("sheet", "fleece-oc-5"), ("thickness", "9"), ("buffer", attic));
        building = await client.GetJsonAsync($"/api/jobs/{job}/building");
        var now = building["buffers"]![0]!["winterNow"]!["figure"]!.Number("amount");
        building["buffers"]![0]!["winterPlanned"]!["figure"]!.Number("amount").ShouldBeLessThan(now);
    }

    [Fact]
    public async Task Two_meters_that_disagree_are_a_finding_of_the_surface()
    {
        var (client, job, wall) = await StartAsync("studWall");
        await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/surfaces/{wall}/readings",
            ("wood", "14"),
            ("instrument", "pin meter"),
            ("moistureError", "1"),
            ("species", "larch"),
            ("correction", "-1.5")
        );
        await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/surfaces/{wall}/readings",
            ("wood", "17"),
            ("instrument", "plate meter"),
            ("moistureError", "2")
        );
        var surface = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces"))[0]!;
        var finding = surface["findings"]!.AsArray().Single(f => f!.Text("rule") == "meters")!;
        finding["measured"]!.Number("amount").ShouldBe(17 - (14 - 1.5), 1e-9);
    }

    [Theory]
    [InlineData("us", "thermometerError", "1", true)]
    [InlineData("metric", "thermometerError", "1", false)]
    [InlineData("us", "thermometerError", "1 K", false)]
    // A page of before sent kelvins, whatever its units.
    [InlineData("us", "statedError", "1", false)]
    public async Task What_a_thermometer_may_be_out_by_is_typed_in_the_units_of_the_reader(
        string units,
        string field,
        string error,
        bool disagree
    )
    {
        var (client, job, wall) = await StartAsync("studWall");
        foreach (var (instrument, celsius) in new[] { ("infrared thermometer", "10 C"), ("contact thermometer", "11.7 C") })
        {
            var (status, answer) = await client.SendJsonAsync(
                HttpMethod.Post,
                $"/api/surfaces/{wall}/readings",
                Asking.Typed(null, units, ("substrate", celsius), ("instrument", instrument), (field, error))
            );
            status.ShouldBe(200, answer.ToJsonString());
        }

        var surface = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces"))[0]!;
        var finding = surface["findings"]!.AsArray().SingleOrDefault(f => f!.Text("rule") == "meters");
        (finding is not null).ShouldBe(disagree);
        finding?["limit"]!.Number("amount").ShouldBe(2 / 1.8, 1e-9);
    }

    private async Task<(HttpClient Client, string Job, string Surface)> StartAsync(string kind)
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var job = await SendAsync(client, HttpMethod.Post, "/api/jobs", ("name", "Survey test"), ("climateZone", "6A"));
        var surface = await SendAsync(
            client,
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            ("name", "Test surface"),
            ("kind", kind)
        );
        return (client, job.Text("id"), surface.Text("id"));
    }

    private static async Task<JsonNode> SendAsync(
        HttpClient client,
        HttpMethod method,
        string path,
        params (string Field, string Text)[] fields
    )
    {
        var (status, body) = await client.SendJsonAsync(method, path, Asking.Typed(null, "us", fields));
        status.ShouldBeInRange(200, 201, body.ToJsonString());
        return body;
    }

    private static async Task<JsonNode> ChangeAsync(
        HttpClient client,
        string job,
        string surface,
        params (string Field, string Text)[] fields
    )
    {
        var now = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray().Single(s => s!.Text("id") == surface)!;
        var (status, body) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface}",
            Asking.Typed(now["version"]!.GetValue<uint>(), "us", fields)
        );
        status.ShouldBe(200, body.ToJsonString());
        return body;
    }

    private static Task<JsonNode> TickAsync(HttpClient client, string surface, string item) =>
        SendAsync(client, HttpMethod.Patch, $"/api/surfaces/{surface}/preparation/{item}", ("done", "yes"));

    private static async Task<JsonNode> TaskAsync(HttpClient client, string surface, string item) =>
        (await client.GetJsonAsync($"/api/surfaces/{surface}/window"))["preparation"]!.AsArray().Single(t => t!.Text("item") == item)!;

    /// <summary>A picture with a note in it as a camera leaves one.</summary>
    private static byte[] Jpeg()
    {
        using var bitmap = new SKBitmap(64, 48);
        using var image = bitmap.Encode(SKEncodedImageFormat.Jpeg, 90);
        var bytes = image.ToArray();
        var note = "Exif\0\0GPS-PLACE 51.5 N"u8.ToArray();
        return [0xFF, 0xD8, 0xFF, 0xE1, (byte)((note.Length + 2) >> 8), (byte)(note.Length + 2), .. note, .. bytes[2..]];
    }
}
