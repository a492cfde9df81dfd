using System.Text.Json.Nodes;
using Shouldly;

namespace Umbracell.Server.Tests;

/// <summary>A wall of a job of its own, with a product and a thickness, and its log.</summary>
internal sealed record SprayedWall(HttpClient Client, string Job, string Surface)
{
    public static async Task<SprayedWall> OfAsync(Product product, string? sheet = "marl-cc-20")
    {
        var client = await product.SignedInAsync("owner@coldwaterlane.example");
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", $"Spray {Guid.NewGuid():N}"), ("climateZone", "6A"))
        );
        return await new SprayedWall(client, job.Text("id"), "").AnotherAsync(sheet);
    }

    public async Task<SprayedWall> AnotherAsync(string? sheet = "marl-cc-20")
    {
        (string, string)[] foam = sheet is null ? [] : [("sheet", sheet), ("thickness", "3")];
        var (status, wall) = await Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{Job}/surfaces",
            Asking.Typed(null, "us", [("name", $"{Guid.NewGuid():N}"), ("kind", "studWall"), ("size", "10' x 8'"), .. foam])
        );
        status.ShouldBe(201, wall.ToJsonString());
        return this with { Surface = wall.Text("id") };
    }

    public Task<JsonNode> GetAsync() => Client.GetJsonAsync($"/api/surfaces/{Surface}/spray");

    public Task<(int Status, JsonNode Answer)> SendAsync(params (string, string)[] fields) =>
        Client.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{Surface}/spray-log", Asking.Typed(null, "us", fields));

    public async Task<JsonNode> LogAsync(params (string, string)[] fields)
    {
        var (status, answer) = await SendAsync(fields);
        status.ShouldBe(200, answer.ToJsonString());
        return answer;
    }
}
