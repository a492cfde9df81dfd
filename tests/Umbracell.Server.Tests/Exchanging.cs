using System.Text.Json.Nodes;
using Shouldly;

namespace Umbracell.Server.Tests;

/// <summary>Jobs and surfaces going out and coming in.</summary>
internal static class Exchanging
{
    public static async Task<(HttpClient Client, string Job)> JobAsync(Product product, string who = "estimator@ninthacre.example")
    {
        var client = await product.SignedInAsync(who);
        var (status, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "Exchange test"), ("climateZone", "6A"), ("place", "brindle-quay"), ("humidityClass", "2"))
        );
        status.ShouldBe(201, job.ToJsonString());
        return (client, job.Text("id"));
    }

    public static async Task<JsonNode> ImportAsync(HttpClient client, string job, string step, object body)
    {
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{job}/imports/{step}", body);
        status.ShouldBe(200, answer.ToJsonString());
        return answer;
    }

    public static async Task<JsonArray> SurfacesOfFileAsync(HttpClient client, string job) =>
        (await client.GetJsonAsync($"/api/jobs/{job}/file"))["surfaces"]!.AsArray();

    public static void ShouldBeTheSame(JsonNode? second, JsonNode? first, string path)
    {
        if (first is JsonObject o)
        {
            second.ShouldBeOfType<JsonObject>(path).Select(p => p.Key).ShouldBe(o.Select(p => p.Key));
            o.ToList().ForEach(p => ShouldBeTheSame(second![p.Key], p.Value, $"{path}.{p.Key}"));
        }
        else if (first is JsonArray a)
        {
            second.ShouldBeOfType<JsonArray>(path).Count.ShouldBe(a.Count, path);
            Enumerable.Range(0, a.Count).ToList().ForEach(i => ShouldBeTheSame(second![i], a[i], $"{path}[{i}]"));
        }
        else
        {
            (second?.ToJsonString()).ShouldBe(first?.ToJsonString(), path);
        }
    }
}
