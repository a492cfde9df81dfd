using System.Text.Json.Nodes;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>The gate through the server: readings of a surface, the board and the window, and what other programs ask.</summary>
public sealed class GateTests(Product product)
{
    [Fact]
    public async Task Board_and_window_tell_the_same_verdict_of_every_surface_of_the_demo()
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        foreach (var name in Asking.DemoJobs)
        {
            var job = await client.DemoJobAsync(name);
            foreach (var row in (await client.GetJsonAsync($"/api/jobs/{job}/board"))["rows"]!.AsArray())
            {
                await ShouldAgreeAsync(client, job, row!.Text("id"));
            }
        }
    }

    [Theory]
    [InlineData(null, "")]
    [InlineData("hold", "drumA=72 F;drumB=72 F")]
    [InlineData("hold", "substrate=60 F")]
    [InlineData("hold", "foundDry=no")]
    [InlineData("hold", "tick")]
    public async Task Board_and_window_begin_together_with_whatever_is_read_or_ticked_first(string? verdict, string first)
    {
        var (client, job, wall) = await WallAsync("studWall", "marl-cc-20");
        if (first == "tick")
        {
            (
                await client.SendJsonAsync(
                    HttpMethod.Patch,
                    $"/api/surfaces/{wall}/preparation/masked",
                    Asking.Typed(null, "us", ("done", "yes"))
                )
            ).Status.ShouldBe(200);
        }
        else if (first.Length > 0)
        {
            await ReadAsync(client, wall, [.. first.Split(';').Select(one => (one.Split('=')[0], one.Split('=')[1]))]);
        }

        (await ShouldAgreeAsync(client, job, wall)).ShouldBe(verdict);
    }

    [Fact]
    public async Task An_eye_that_says_dry_does_not_overrule_a_concrete_meter_whichever_came_last()
    {
        var (client, _, wall) = await WallAsync("basementWall", "marl-cc-20");
        await ReadAsync(client, wall, ("concrete", "25 %"));
        await ReadAsync(client, wall, ("foundDry", "yes"));
        (await G5Async(client, wall)).ShouldBe("concreteWet");
        await ReadAsync(client, wall, ("concrete", "3 %"));
        (await G5Async(client, wall)).ShouldBe("concreteDry");
        await ReadAsync(client, wall, ("foundDry", "no"));
        (await G5Async(client, wall)).ShouldBe("seenWet");
    }

    [Fact]
    public async Task Of_two_meters_or_places_the_worse_rules_until_it_is_read_again()
    {
        var (client, _, wall) = await WallAsync("studWall", "marl-cc-20");
        await ReadAsync(client, wall, ("wood", "24 %"), ("place", "sill"));
        await ReadAsync(client, wall, ("wood", "12 %"), ("place", "top plate"));
        (await G5Async(client, wall)).ShouldBe("wet");
        await ReadAsync(client, wall, ("wood", "13 %"), ("place", "sill"));
        (await G5Async(client, wall)).ShouldBe("dry");
    }

    [Fact]
    public async Task A_sheet_that_asks_for_dry_wood_takes_the_meter_and_the_eye_together()
    {
        var (client, _, roof) = await WallAsync("lowSlopeRoof", "slate-rf-30");
        var surface = (await client.GetJsonAsync($"/api/surfaces/{roof}/window"))["substrateKind"]!.GetValue<string>();
        surface.ShouldBe("mineral");
        var (wood, _, deck) = await WallAsync("unventedDeck", "slate-rf-30");
        await ReadAsync(wood, deck, ("wood", "12 %"));
        (await G5Async(wood, deck)).ShouldBe("notLookedAt");
        await ReadAsync(wood, deck, ("foundDry", "yes"));
        (await G5Async(wood, deck)).ShouldBe("woodDry");
        await ReadAsync(wood, deck, ("wood", "16 %"));
        (await G5Async(wood, deck)).ShouldBe("woodWet");
    }

    [Theory]
    [InlineData("{\"woodPct\":null,\"foundDry\":true,\"concretePct\":25}", "concreteWet")]
    [InlineData("{\"woodPct\":null,\"foundDry\":true}", "seenOnly")]
    [InlineData("{\"woodPct\":null,\"foundDry\":null,\"concretePct\":2}", "concreteDry")]
    public async Task Another_program_may_give_meter_and_eye_in_one(string moisture, string name)
    {
        var question = JsonNode.Parse(
            $"{{\"sheetId\":\"marl-cc-20\",\"substrateKind\":\"mineral\",\"prepared\":[],\"moisture\":{moisture}}}"
        )!;
        var (status, answer) = await product.WithToken().SendJsonAsync(HttpMethod.Post, "/api/compute/gate", question);
        status.ShouldBe(200, answer.ToJsonString());
        answer["findings"]!.AsArray().Single(f => f!.Text("rule") == "G5")!.Text("case").ShouldBe(name);
    }

    private static async Task<string?> ShouldAgreeAsync(HttpClient client, string job, string surface)
    {
        var row = (await client.GetJsonAsync($"/api/jobs/{job}/board"))["rows"]!.AsArray().Single(r => r!.Text("id") == surface)!;
        var cell = row["cells"]!.AsArray().Single(c => c!.Text("stage") == "window")!;
        var window = (await client.GetJsonAsync($"/api/surfaces/{surface}/window"))["answer"];
        var told = window is { } answer && answer["begun"]!.GetValue<bool>() ? answer.Text("verdict") : null;
        cell["verdict"]?.GetValue<string>().ShouldBe(told, row.Text("name"));
        (cell["verdict"] is null).ShouldBe(told is null, row.Text("name"));
        return told;
    }

    private async Task<(HttpClient Client, string Job, string Surface)> WallAsync(string kind, string sheet)
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "Gate"), ("climateZone", "6A"))
        );
        var (status, surface) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(null, "us", ("name", "One"), ("kind", kind), ("sheet", sheet), ("thickness", "2"))
        );
        status.ShouldBe(201, surface.ToJsonString());
        return (client, job.Text("id"), surface.Text("id"));
    }

    private static async Task ReadAsync(HttpClient client, string surface, params (string Field, string Text)[] fields)
    {
        var (status, body) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{surface}/readings",
            Asking.Typed(null, "us", fields)
        );
        status.ShouldBe(200, body.ToJsonString());
    }

    private static async Task<string> G5Async(HttpClient client, string surface) =>
        (await client.GetJsonAsync($"/api/surfaces/{surface}/window"))["answer"]!["findings"]!
            .AsArray()
            .Single(f => f!.Text("rule") == "G5")!
            .Text("case");
}
