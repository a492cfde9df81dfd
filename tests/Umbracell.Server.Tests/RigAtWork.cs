using System.Text.Json.Nodes;
using Shouldly;

namespace Umbracell.Server.Tests;

/// <summary>A rig of its own at a job of its own: what is set on a rig ends the shots of others. It is a rig of the firm without the jobs
/// of the demo: one that is entered makes all figures of its firm anew.</summary>
internal sealed record RigAtWork(HttpClient Client, string Id, string Job, string Wall)
{
    public static async Task<RigAtWork> OfAsync(Product product, string sheet = "marl-cc-20")
    {
        var (client, name) = (await product.SignedInAsync("owner@coldwaterlane.example"), $"Rig {Guid.NewGuid():N}");
        var (status, means) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/means",
            Asking.Typed(null, "us", ("kind", "rig"), ("name", name), ("liquidHeaters", "15 kW"))
        );
        status.ShouldBe(200, means.ToJsonString());
        var id = (await client.GetJsonAsync("/api/means"))["all"]!.AsArray().Single(one => one!.Text("name") == name)!.Text("id");
        return await new RigAtWork(client, id, "", "").AtAnotherJobAsync(sheet);
    }

    public async Task<RigAtWork> AtAnotherJobAsync(string sheet)
    {
        var (_, job) = await Client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", $"Rig {Guid.NewGuid():N}"), ("climateZone", "6A"))
        );
        var (status, wall) = await Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(null, "us", ("name", "One"), ("kind", "studWall"), ("sheet", sheet), ("thickness", "2"))
        );
        status.ShouldBe(201, wall.ToJsonString());
        return this with { Job = job.Text("id"), Wall = wall.Text("id") };
    }

    public Task<JsonNode> GetAsync() => Client.GetJsonAsync($"/api/surfaces/{Wall}/rig?rig={Id}");

    public Task<JsonNode> BoardAsync() => Client.GetJsonAsync($"/api/jobs/{Job}/board");

    public async Task<JsonNode> CellAsync() =>
        (await BoardAsync())["rows"]![0]!["cells"]!.AsArray().Single(cell => cell!.Text("stage") == "rig")!;

    public Task<(int Status, JsonNode Body)> PostAsync(string what, (string, string)[] fields, DateTimeOffset? at = null) =>
        Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{Wall}/{what}",
            EditedRecords.Command(Guid.NewGuid(), at, null, what == "readings" ? fields : [.. fields, ("rig", Id)])
        );

    public async Task ReadAsync(DateTimeOffset at, params (string, string)[] fields) => await TakenAsync(PostAsync("readings", fields, at));

    public Task<JsonNode> SetAsync(params (string, string)[] fields) => TakenAsync(PostAsync("rig-settings", fields));

    public Task<JsonNode> SetAsync(DateTimeOffset at, params (string, string)[] fields) =>
        TakenAsync(PostAsync("rig-settings", fields, at));

    public Task<JsonNode> FireAsync((string, string)[] fields, DateTimeOffset? at = null) =>
        TakenAsync(PostAsync("test-shots", fields, at));

    public Task<(int Status, JsonNode Body)> OfShotAsync(JsonNode rig, string what, (string, string) field, DateTimeOffset? at = null) =>
        Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/test-shots/{rig["shots"]![0]!.Text("id")}/{what}",
            EditedRecords.Command(Guid.NewGuid(), at, null, field)
        );

    public Task<JsonNode> ProtectAsync(DateTimeOffset? at = null) =>
        TakenAsync(PostAsync("sprayers", [("sprayer", "applicator"), ("protected", "yes")], at));

    public async Task<int> AcceptAsync(JsonNode rig, bool isProtected = true, DateTimeOffset? at = null)
    {
        if (isProtected)
        {
            await ProtectAsync(at);
        }

        return (await OfShotAsync(rig, "acceptance", ("accepted", "yes"), at)).Status;
    }

    /// <summary>Begins a sequence, and gives its id.</summary>
    public async Task<string> BeginAsync(string kind, bool atJob = true) =>
        (
            await TakenAsync(
                Client.SendJsonAsync(
                    HttpMethod.Post,
                    $"/api/rigs/{Id}/sequence-runs",
                    EditedRecords.Command(Guid.NewGuid(), null, null, ("kind", kind), ("job", atJob ? Job : ""))
                )
            )
        ).Text("id");

    /// <summary>Says something of a step of a sequence that is run.</summary>
    public Task<(int Status, JsonNode Body)> SayAsync(string run, string step, string said, DateTimeOffset? at = null) =>
        Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/sequence-runs/{run}/marks",
            EditedRecords.Command(Guid.NewGuid(), at, null, (step, said))
        );

    private static async Task<JsonNode> TakenAsync(Task<(int Status, JsonNode Body)> sent)
    {
        var (status, body) = await sent;
        status.ShouldBe(200, body.ToJsonString());
        return body;
    }
}
