using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Store.Model;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A new firm sets itself up: what is done is read off what it has.</summary>
public sealed class FirstStepsTests(Product product)
{
    [Fact]
    public async Task Each_step_is_done_by_what_it_asks_for_and_by_nothing_else()
    {
        var owner = (await Product.NewFirmAsync(FirmRole.Owner))[0];
        await Product.InFirmOfAsync(
            owner,
            async db =>
            {
                db.Firms.Single().Name = FirstFirmSeed.Unnamed;
                await db.SaveChangesAsync();
            }
        );
        var client = await product.SignedInAsync(owner);
        (await DoneAsync(client)).ShouldBeEmpty();

        await PatchAsync(client, "/api/firm", ("name", "Sedge Insulators"), ("currency", "$"));
        (await DoneAsync(client)).ShouldBe(["firm"]);
        (await client.GetJsonAsync("/api/session")).Text("firm").ShouldBe("Sedge Insulators");
        await PostAsync(client, "/api/means", ("kind", "crew"), ("name", "Tern"));
        (await DoneAsync(client)).ShouldBe(["firm", "crew"]);
        await PostAsync(client, "/api/places", EditedRecords.Place);
        (await DoneAsync(client)).ShouldBe(["firm", "crew", "place"]);
        var job = await PostAsync(client, "/api/jobs", ("name", "First"), ("climateZone", "6A"));
        (await DoneAsync(client)).ShouldBe(["firm", "crew", "place", "job"]);
        var wall = await PostAsync(client, $"/api/jobs/{job.Text("id")}/surfaces", ("name", "Wall"), ("kind", "studWall"));
        (await DoneAsync(client)).ShouldBe(["firm", "crew", "place", "job"]);
        var (status, sized) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{wall.Text("id")}",
            Asking.Typed(wall["version"]!.GetValue<uint>(), "us", ("size", "20' x 9'"))
        );
        status.ShouldBe(200, sized.ToJsonString());
        (await DoneAsync(client)).ShouldBe(["firm", "crew", "place", "job", "surface"]);

        // What is left is skipped, and taken up again.
        await PatchAsync(client, "/api/firm", ("skip:sheet", "yes"), ("skip:verdict", "yes"));
        (await client.GetJsonAsync("/api/first-steps"))["complete"]!.GetValue<bool>().ShouldBeTrue();
        await PatchAsync(client, "/api/firm", ("skip:sheet", "no"));
        (await client.GetJsonAsync("/api/first-steps"))["complete"]!.GetValue<bool>().ShouldBeFalse();
    }

    [Fact]
    public async Task The_firms_of_the_demo_that_have_jobs_have_nothing_left_to_set_up()
    {
        var demo = await product.SignedInAsync("owner@ninthacre.example");
        (await demo.GetJsonAsync("/api/first-steps"))["complete"]!.GetValue<bool>().ShouldBeTrue();
    }

    private static async Task<List<string>> DoneAsync(HttpClient client) =>
        [
            .. (await client.GetJsonAsync("/api/first-steps"))["steps"]!
                .AsArray()
                .Where(one => one!["done"]!.GetValue<bool>())
                .Select(one => one!.Text("step")),
        ];

    private static async Task<JsonNode> PostAsync(HttpClient client, string path, params (string, string)[] fields) =>
        await SentAsync(client, HttpMethod.Post, path, fields);

    private static async Task PatchAsync(HttpClient client, string path, params (string, string)[] fields) =>
        await SentAsync(client, HttpMethod.Patch, path, fields);

    private static async Task<JsonNode> SentAsync(HttpClient client, HttpMethod method, string path, (string, string)[] fields)
    {
        var (status, answer) = await client.SendJsonAsync(method, path, Asking.Typed(null, "us", fields));
        status.ShouldBeInRange(200, 201, answer.ToJsonString());
        return answer;
    }
}
