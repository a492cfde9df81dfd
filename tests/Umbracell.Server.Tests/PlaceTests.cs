using System.Globalization;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Places and target sets of the firm's own, typed and read from files.</summary>
public sealed class PlaceTests(Product product)
{
    private const string Means = "14; 18; 27; 41; 54; 64; 69; 67; 59; 47; 36; 22",
        Humidities = "75";

    [Fact]
    public async Task A_typed_place_gives_a_job_its_year_and_cannot_be_taken_away_under_it()
    {
        var client = product.WithToken();
        var (status, place) = await client.SendJsonAsync(HttpMethod.Post, "/api/places", Asking.Typed(null, "us", Fields("Sedge Lock")));
        status.ShouldBe(201, place.ToJsonString());
        place["temps"]![0]!.Text("us").ShouldBe("14 °F");
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "Sedge job"), ("place", place.Text("id")))
        );
        job.Text("placeId").ShouldBe(place.Text("id"));
        var year = await YearAsync(client, job.Text("id"));
        year["air"]![0]!["outdoorTemp"]!.Number("amount").ShouldBe(-10, 1e-9);
        var (refused, why) = await client.SendJsonAsync(HttpMethod.Delete, $"/api/places/{place.Text("id")}", new { });
        refused.ShouldBe(409);
        why.Text("detail").ShouldContain("Jobs that use this place: 1.");

        // The job goes out with its place and comes in with it.
        var file = await client.GetByteArrayAsync($"/api/jobs/{job.Text("id")}/file", TestContext.Current.CancellationToken);
        using var content = new ByteArrayContent(file);
        content.Headers.ContentType = new MediaTypeHeaderValue("application/json");
        var came = JsonNode.Parse(
            await (await client.PostAsync("/api/jobs/file", content, TestContext.Current.CancellationToken)).Content.ReadAsStringAsync(
                TestContext.Current.CancellationToken
            )
        )!;
        var jobs = (await client.GetJsonAsync("/api/jobs")).AsArray();
        jobs.Single(j => j!["job"]!.Text("id") == came.Text("id"))!["job"]!.Text("placeId").ShouldBe(place.Text("id"));
    }

    [Fact]
    public async Task Bad_figures_of_a_place_are_named_and_nothing_is_kept()
    {
        var client = product.WithToken();
        foreach (
            var (field, text, code) in new[]
            {
                ("temps", "1; 2; 3", "months"),
                ("humidities", "75; 80", "months"),
                ("heating", "95 F", "notWarmer"),
                ("cooling", "warm", "notANumber"),
                ("climateZone", "9Z", "unknown"),
                ("coolingRh", "140 %", "outOfRange"),
            }
        )
        {
            var fields = Fields("Nowhere").Select(f => f.Item1 == field ? (field, text) : f).ToArray();
            var (status, body) = await client.SendJsonAsync(HttpMethod.Post, "/api/places", Asking.Typed(null, "us", fields));
            status.ShouldBe(400, body.ToJsonString());
            body["faults"]!.AsArray().Select(f => f!.Text("code")).ShouldContain(code, field);
        }

        (await client.GetJsonAsync("/api/places")).AsArray().ShouldNotContain(p => p!.Text("name") == "Nowhere");
    }

    [Fact]
    public async Task A_weather_file_becomes_a_place_with_its_hours_kept_and_a_cut_one_nothing()
    {
        var client = product.WithToken();
        var (status, read) = await SendAsync(client, WeatherFile(8760));
        status.ShouldBe(201, read.ToJsonString());
        read["place"]!["hasHours"]!.GetValue<bool>().ShouldBeTrue();
        read["place"]!.Text("climateZone").ShouldBe("6A");
        read["place"]!["temps"]![0]!.Number("amount").ShouldBeLessThan(read["place"]!["temps"]![6]!.Number("amount") - 20);
        var before = (await client.GetJsonAsync("/api/places")).AsArray().Count;
        var (refused, body) = await SendAsync(client, WeatherFile(4000));
        refused.ShouldBe(400);
        body["file"]!.Text("fault").ShouldBe("weatherFileCutShort");
        (await client.GetJsonAsync("/api/places")).AsArray().Count.ShouldBe(before);
    }

    [Fact]
    public async Task Hours_kept_before_wind_and_cloud_were_are_asked_for_again_and_the_place_stays_as_it_is()
    {
        var client = product.WithToken();
        var (_, read) = await SendAsync(client, WeatherFile(8760));
        var id = Guid.Parse(read["place"]!.Text("id"));
        await Product.InFirmOfAsync(
            "owner@ninthacre.example",
            db =>
                db.PlaceHours.Where(row => row.PlaceId == id)
                    .ExecuteUpdateAsync(set =>
                        set.SetProperty(row => row.UtcOffsetH, (double?)null).SetProperty(row => row.WindMs, (float[]?)null)
                    )
        );
        async Task<JsonNode> PlaceAsync() => (await client.GetJsonAsync("/api/places")).AsArray().Single(p => p!.Text("id") == $"{id}")!;
        (await PlaceAsync())["hoursLackWeather"]!.GetValue<bool>().ShouldBeTrue();
        (await SendAsync(client, WeatherFile(4000), $"{id}/hours")).Status.ShouldBe(400);
        var (status, again) = await SendAsync(client, WeatherFile(8760), $"{id}/hours");
        status.ShouldBe(200, again.ToJsonString());
        var place = await PlaceAsync();
        (place["hoursLackWeather"]!.GetValue<bool>(), place["hasHours"]!.GetValue<bool>()).ShouldBe((false, true));
        JsonNode.DeepEquals(place["temps"], read["place"]!["temps"]).ShouldBeTrue();
    }

    [Fact]
    public async Task A_target_set_of_ones_own_holds_its_jobs_to_its_figures()
    {
        var client = product.WithToken();
        var (status, set) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/target-sets",
            Asking.Typed(null, "us", ("name", "County amendment"), ("basedOn", "iecc-2021"))
        );
        status.ShouldBe(201, set.ToJsonString());
        var (changed, after) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/target-sets/{set.Text("id")}",
            Asking.Typed(set["version"]!.GetValue<uint>(), "us", ("u:FramedWall:5", "0.030"))
        );
        changed.ShouldBe(200, after.ToJsonString());
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "County job"), ("climateZone", "5A"), ("targetSet", set.Text("id")))
        );
        job.Text("targetSetId").ShouldBe(set.Text("id"));
        var section = await SectionAsync(client, job.Text("id"));
        section["answer"]!["figures"]!["targetU"]!["figure"]!.Text("us").ShouldBe("U-0.0300");
        (await client.SendJsonAsync(HttpMethod.Delete, $"/api/target-sets/{set.Text("id")}", new { })).Status.ShouldBe(409);
        (
            await client.SendJsonAsync(
                HttpMethod.Patch,
                $"/api/target-sets/{set.Text("id")}",
                Asking.Typed(set["version"]!.GetValue<uint>(), "us", ("u:FramedWall:5", "0.050"))
            )
        ).Status.ShouldBe(409);
        (
            await client.SendJsonAsync(
                HttpMethod.Patch,
                $"/api/target-sets/{set.Text("id")}",
                Asking.Typed(null, "us", ("u:FramedWall:5", "zero"))
            )
        ).Status.ShouldBe(400);
    }

    private static (string, string)[] Fields(string name) =>
        [
            ("name", name),
            ("climateZone", "6A"),
            ("altitude", "400 ft"),
            ("heating", "-5 F"),
            ("cooling", "87 F"),
            ("coolingRh", "50 %"),
            ("temps", Means),
            ("humidities", Humidities),
        ];

    private static async Task<JsonNode> SectionAsync(HttpClient client, string job)
    {
        var (_, surface) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job}/surfaces",
            Asking.Typed(
                null,
                "us",
                ("name", "Wall"),
                ("kind", "studWall"),
                ("size", "24' x 9'"),
                ("sheet", "marl-cc-20"),
                ("thickness", "3 in")
            )
        );
        return await client.GetJsonAsync($"/api/surfaces/{surface.Text("id")}/section");
    }

    private static async Task<JsonNode> YearAsync(HttpClient client, string job) => (await SectionAsync(client, job))["answer"]!["year"]!;

    private static async Task<(int Status, JsonNode Body)> SendAsync(HttpClient client, string text, string to = "weather-file")
    {
        using var content = new ByteArrayContent(Encoding.ASCII.GetBytes(text));
        content.Headers.ContentType = new MediaTypeHeaderValue("application/octet-stream");
        var answer = await client.PostAsync($"/api/places/{to}", content);
        return ((int)answer.StatusCode, JsonNode.Parse(await answer.Content.ReadAsStringAsync())!);
    }

    private static string WeatherFile(int hours)
    {
        var text = new StringBuilder("LOCATION,Alder Fen,-,-,made up,000000,45.0,-75.0,-5.0,180.0\n");
        text.Insert(text.Length, "COMMENTS,made up\n", 7);
        var at = new DateTime(1995, 1, 1, 0, 0, 0, DateTimeKind.Unspecified);
        for (var i = 0; i < hours; i++, at = at.AddHours(1))
        {
            var celsius = 6.5 - 13.5 * Math.Cos((at.DayOfYear - 20) / 365.0 * 2 * Math.PI);
            text.Append(CultureInfo.InvariantCulture, $"1995,{at.Month},{at.Day},{at.Hour + 1},60,A7,{celsius:0.0},0.0,70,99000\n");
        }

        return text.ToString();
    }
}
