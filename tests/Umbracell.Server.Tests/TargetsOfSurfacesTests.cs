using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Targets;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Every kind of surface is held to its own row of the targets, in the choice and in the section alike.</summary>
public sealed class TargetsOfSurfacesTests(Product product)
{
    [Theory]
    [InlineData("6A", "basementWall", "20' x 8'", "", "U-0.0500")]
    [InlineData("6A", "basementWall", "20' x 8'", "yes", "U-0.0550")]
    [InlineData("3A", "basementWall", "20' x 8'", "no", "U-0.0910")]
    [InlineData("3A", "basementWall", "20' x 8'", "yes", "U-0.1360")]
    [InlineData("6A", "wallOutside", "20' x 9'", null, "U-0.0600")]
    [InlineData("6A", "solidWall", "20' x 9'", null, "U-0.0570")]
    [InlineData("6A", "overheadDoor", "12' x 14'", null, "U-0.3000")]
    [InlineData("6A", "underSlab", "20' x 12'", null, "R-10.0")]
    [InlineData("2A", "underSlab", "20' x 12'", null, null)]
    public async Task A_surface_is_held_to_its_own_row(string zone, string kind, string size, string? crawlSpace, string? target)
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", "Rows"), ("climateZone", zone), ("targetSet", "iecc-2021"))
        );
        (string, string)[] fields =
        [
            ("name", "One"),
            ("kind", kind),
            ("size", size),
            .. crawlSpace is null ? [] : new[] { ("crawlSpace", crawlSpace) },
        ];
        var (status, surface) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(null, "us", fields)
        );
        status.ShouldBe(201, surface.ToJsonString());
        var choice = await client.GetJsonAsync($"/api/surfaces/{surface.Text("id")}/choose");
        choice["answer"]!["target"]?.Text("us").ShouldBe(target);
        (choice["answer"]!["target"] is null).ShouldBe(target is null);
        if (target is null)
        {
            return;
        }

        var best = choice["answer"]!["candidates"]!
            .AsArray()
            .First(c => c!["meetsTarget"]!.GetValue<bool>() && !c["excluded"]!.GetValue<bool>())!;
        var (chosen, answer) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/surfaces/{surface.Text("id")}/choose",
            new { version = choice["version"]!.GetValue<uint>(), candidateId = best.Text("id") }
        );
        chosen.ShouldBe(200, answer.ToJsonString());
        var told = Target(await client.GetJsonAsync($"/api/surfaces/{surface.Text("id")}/section"));
        told["limit"]!.Text("us").ShouldBe(target);
        told.Text("verdict").ShouldBe("clear");
    }

    [Fact]
    public void A_set_of_ones_own_made_before_a_row_came_takes_that_row_from_the_set_it_was_made_from()
    {
        var own = new TargetSetRow
        {
            Edition = "County",
            BasedOn = "iecc-2021",
            GreatestU = new() { ["CrawlWall"] = new() { ["6"] = 0.2 } },
        };
        var set = JobTargets.Of(own);
        set.For(EnvelopeElement.CrawlWall, "6A")!.GreatestU.WattsPerSquareMetreKelvin.ShouldBe(0.2);
        set.For(EnvelopeElement.BasementWall, "6A")!.GreatestU.UsU.ShouldBe(0.05, 1e-9);
        set.SlabFor(EnvelopeElement.Slab, "6A").ShouldNotBeNull();
    }

    private static JsonNode Target(JsonNode section) => section["answer"]!["findings"]!.AsArray().Single(f => f!.Text("rule") == "target")!;
}
