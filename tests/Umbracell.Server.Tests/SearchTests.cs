using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Jobs, surfaces and products are found by words.</summary>
public sealed class SearchTests(Product product)
{
    [Theory]
    [InlineData("kuhlhaus", "Kühlhaus am Café", "")]
    [InlineData("CAFÉ", "Kühlhaus am Café", "")]
    [InlineData("nord", "", "Nördliche Wand")]
    [InlineData("kühlhaus NORD", "", "Nördliche Wand")]
    [InlineData("wand 100%", "", "Wand 100% dick")]
    [InlineData("a_b", "", "")]
    [InlineData("nord süd", "", "")]
    [InlineData("'; drop", "", "")]
    [InlineData("", "", "")]
    [InlineData("   ", "", "")]
    public async Task What_has_every_word_is_found_whatever_its_accents_and_capitals(string words, string jobs, string surfaces)
    {
        var (client, job) = await JobAsync("Kühlhaus am Café", "Nördliche Wand", "Dach", "Wand 100% dick");
        var found = await SearchAsync(client, words, job);
        Names(found, "jobs").ShouldBe(jobs);
        Names(found, "surfaces").ShouldBe(surfaces);
    }

    [Fact]
    public async Task Surfaces_of_the_job_one_is_at_come_first_and_never_those_of_a_deleted_one()
    {
        var (client, first) = await JobAsync("First", "East gable");
        var second = await JobOfAsync(client, "Second", "East gable");
        (await SearchAsync(client, "gable", first))["surfaces"]![0]!.Text("jobId").ShouldBe(first);
        (await SearchAsync(client, "gable", second))["surfaces"]![0]!.Text("jobId").ShouldBe(second);
        await client.DeleteAsync($"/api/jobs/{second}", TestContext.Current.CancellationToken);
        var left = await SearchAsync(client, "gable", second);
        left["surfaces"]!.AsArray().Select(one => one!.Text("jobId")).ShouldBe([first]);
        Names(await SearchAsync(client, "second", second), "jobs").ShouldBe("");
    }

    [Fact]
    public async Task Products_are_found_by_name_and_maker_and_of_many_only_the_first_are_told()
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        (await SearchAsync(client, "marl", null))["sheets"]!.AsArray().Count.ShouldBeGreaterThan(1);
        Names(await SearchAsync(client, "fernhollow 20f", null), "sheets").ShouldBe("Marl CC-20F");
        foreach (var kind in (await SearchAsync(client, "a", null)).AsObject())
        {
            kind.Value!.AsArray().Count.ShouldBeLessThanOrEqualTo(8, kind.Key);
        }
    }

    // A firm of its own: nothing else is found there.
    private async Task<(HttpClient Client, string Job)> JobAsync(string name, params string[] surfaces)
    {
        var client = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        return (client, await JobOfAsync(client, name, surfaces));
    }

    private static async Task<string> JobOfAsync(HttpClient client, string name, params string[] surfaces)
    {
        var (status, job) = await client.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", name)));
        status.ShouldBe(201, job.ToJsonString());
        foreach (var surface in surfaces)
        {
            var path = $"/api/jobs/{job.Text("id")}/surfaces";
            (await client.SendJsonAsync(HttpMethod.Post, path, Asking.Typed(null, "us", ("name", surface)))).Status.ShouldBe(201);
        }

        return job.Text("id");
    }

    private static Task<JsonNode> SearchAsync(HttpClient client, string words, string? job) =>
        client.GetJsonAsync($"/api/search?words={Uri.EscapeDataString(words)}" + (job is null ? "" : $"&job={job}"));

    private static string Names(JsonNode found, string kind) => string.Join("; ", found[kind]!.AsArray().Select(one => one!.Text("name")));
}
