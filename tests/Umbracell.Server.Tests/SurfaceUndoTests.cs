using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Survey;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>An edit of a surface can be taken back to the last column, whatever it reset on the way.</summary>
public sealed class SurfaceUndoTests(Product product)
{
    private static readonly (string Field, string Text)[] Edits =
    [
        ("shape", "box"),
        ("size", ""),
        ("openings", ""),
        ("memberMaterial", "none"),
        ("outboard", ""),
        ("sheet", "marl-cc-20f"),
        ("thickness", "2"),
        ("openLeak", "at the ridge"),
    ];

    [Fact]
    public async Task Every_surface_of_a_job_comes_back_from_another_kind_and_every_edit_as_it_was()
    {
        var (client, job) = await CopyOfTheFerryHouseAsync();
        var before = await FileAsync(client, job);
        var kinds = Enum.GetValues<SurfaceKind>();
        var surfaces = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces")).AsArray();
        foreach (var (surface, i) in surfaces.Select((s, i) => (s!, i)))
        {
            // A few edits for each surface; all of them, and all kinds, among the surfaces.
            var back = surface;
            foreach (
                var edit in new[]
                {
                    Edits[i % Edits.Length],
                    Edits[(i + 3) % Edits.Length],
                    ("kind", kinds[i % kinds.Length].ToString()),
                    ("kind", kinds[(i + surfaces.Count) % kinds.Length].ToString()),
                }
            )
            {
                back = await TakeBackAsync(client, await ChangeAsync(client, back, edit));
            }
        }

        (await FileAsync(client, job)).ShouldBe(before);
    }

    [Theory]
    [InlineData(ShapeKind.Rectangle, "24' x 9'")]
    [InlineData(ShapeKind.Gable, "24' at 9:12")]
    [InlineData(ShapeKind.RoofPlane, "18' x 40' at 9:12")]
    [InlineData(ShapeKind.Band, "100' x 1'")]
    [InlineData(ShapeKind.Bays, "6 x 2' x 9'")]
    [InlineData(ShapeKind.Box, "20' x 8' x 8'")]
    [InlineData(ShapeKind.Outline, "0 x 0; 24' x 0; 12' x 9'")]
    public void A_size_that_was_taken_outlives_any_change_of_kind(ShapeKind shape, string size)
    {
        var surface = SurfaceStart.Of(SurfaceKind.StudWall, "one");
        SurfaceStart.Size(surface, SizeText.ParseShape(size, shape, UnitSystem.Us).Shape!);
        var area = SurfaceReader.ShapeOf(surface).Area.SquareMetres;
        foreach (var template in ShippedData.Templates.Values)
        {
            SurfaceStart.Become(surface, template);
            SurfaceReader.ShapeOf(surface).Area.SquareMetres.ShouldBe(area, area * 1e-12, $"{shape} to {template.Kind}");
        }
    }

    [Theory]
    [InlineData(SurfaceKind.UnventedDeck, "18' x 40' at 9:12", ShapeKind.RoofPlane)]
    [InlineData(SurfaceKind.SteelBox, "20' x 8' x 8'6", ShapeKind.Box)]
    [InlineData(SurfaceKind.BandJoist, "196' x 11 1/4\"", ShapeKind.Band)]
    public async Task A_size_typed_after_the_kind_is_read_in_the_shape_of_the_kind(SurfaceKind kind, string size, ShapeKind shape)
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var (_, job) = await client.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", "Sizes")));
        var (_, surface) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(null, "us", ("name", "One"), ("size", "24' x 9'"))
        );
        var changed = await ChangeAsync(client, await ChangeAsync(client, surface, ("kind", kind.ToString())), ("size", size));
        Enum.Parse<ShapeKind>(changed.Text("shape"), ignoreCase: true).ShouldBe(shape);
    }

    private async Task<(HttpClient Client, string Job)> CopyOfTheFerryHouseAsync()
    {
        var client = await product.SignedInAsync("estimator@ninthacre.example");
        var demo = await client.DemoJobAsync("ferry house");
        var file = await client.GetJsonAsync($"/api/jobs/{demo}/file");
        file["job"]!["name"] = "Undone";
        var (status, copy) = await client.SendJsonAsync(HttpMethod.Post, "/api/jobs/file", file);
        status.ShouldBe(201, copy.ToJsonString());
        return (client, copy.Text("id"));
    }

    private static async Task<string> FileAsync(HttpClient client, string job)
    {
        var surfaces = (await client.GetJsonAsync($"/api/jobs/{job}/file"))["surfaces"]!.AsArray();

        // That it was changed at all is not taken back.
        surfaces.ToList().ForEach(surface => surface!["changedAt"] = null);
        return surfaces.ToJsonString();
    }

    private static async Task<JsonNode> ChangeAsync(HttpClient client, JsonNode surface, params (string Field, string Text)[] fields)
    {
        var id = Guid.CreateVersion7();
        var (status, body) = await client.SendJsonAsync(
            HttpMethod.Patch,
            $"/api/surfaces/{surface.Text("id")}",
            EditedRecords.Command(id, null, surface["version"]!.GetValue<uint>(), fields)
        );
        status.ShouldBe(200, $"{surface.Text("name")}: {body.ToJsonString()}");
        body["command"] = id.ToString();
        return body;
    }

    private static async Task<JsonNode> TakeBackAsync(HttpClient client, JsonNode changed)
    {
        var (status, body) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/commands/{changed.Text("command")}/undo",
            new { id = Guid.CreateVersion7() }
        );
        status.ShouldBe(200, body.ToJsonString());
        changed["version"] = body["version"]!.GetValue<uint>();
        return changed;
    }
}
