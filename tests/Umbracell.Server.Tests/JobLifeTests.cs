using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Routing;
using Microsoft.EntityFrameworkCore;
using Shouldly;
using Umbracell.Store;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A job is marked, archived, copied, deleted and restored.</summary>
public sealed class JobLifeTests(Product product)
{
    [Fact]
    public async Task A_deleted_job_is_told_as_such_wherever_it_is_asked_for_and_restored_it_is_as_it_was()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var file = await FileAsync(records.Client, records.Job);
        await DeleteAsync(records.Client, $"/api/jobs/{records.Job}", 204);
        await DeleteAsync(records.Client, $"/api/jobs/{records.Job}", 204);

        (await NamesAsync(records.Client)).ShouldNotContain(records.Job);
        var listed = (await records.Client.GetJsonAsync("/api/jobs/deleted")).AsArray().Single(job => job!.Text("id") == records.Job)!;
        (listed.Number("surfaces"), listed.Text("deletedBy")).ShouldBe((1, "owner"));
        foreach (var path in PathsOf(records))
        {
            var answer = await records.Client.GetAsync(path, TestContext.Current.CancellationToken);
            var told = await answer.Content.ReadAsStringAsync(TestContext.Current.CancellationToken);
            ((int)answer.StatusCode).ShouldBe(404, $"{path} {told}");
            JsonNode.Parse(told)!.Text("detail").ShouldContain("was deleted by owner", customMessage: path);
        }

        var (status, _) = await records.Client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{records.Job}/restore", new { });
        status.ShouldBe(204);
        (await FileAsync(records.Client, records.Job)).ShouldBe(file);
        (await NamesAsync(records.Client)).ShouldContain(records.Job);
    }

    [Fact]
    public async Task Only_an_owner_removes_a_job_for_good_only_a_deleted_one_and_nothing_of_it_is_left()
    {
        var (client, job) = await CopyOfAsync("ferry house");
        var estimator = await product.SignedInAsync("estimator@ninthacre.example");
        var owner = await product.SignedInAsync("owner@ninthacre.example");
        await DeleteAsync(owner, $"/api/jobs/deleted/{job}", 404);
        var note = EditedRecords.Command(null, ("kind", "leak"), ("words", "at the sill"));
        var wall = (await client.GetJsonAsync($"/api/jobs/{job}/surfaces"))[0]!.Text("id");
        var (made, noted) = await client.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{wall}/notes", note);
        made.ShouldBeLessThan(300, noted.ToJsonString());
        var edit = EditedRecords.Command(null, ("traced", "to the flashing of the chimney"));
        var kept = (await client.GetJsonAsync($"/api/surfaces/{wall}/notes")).AsArray().Last()!.Text("id");
        (await client.SendJsonAsync(HttpMethod.Patch, $"/api/notes/{kept}", edit)).Status.ShouldBe(200);
        (await EditsSayingAsync("flashing of the chimney")).ShouldBe(1);
        await DeleteAsync(client, $"/api/jobs/{job}", 204);
        await DeleteAsync(estimator, $"/api/jobs/deleted/{job}", 403);
        (await RowsOfAsync(job)).ShouldBeGreaterThan(15);
        await DeleteAsync(owner, $"/api/jobs/deleted/{job}", 204);
        await DeleteAsync(owner, $"/api/jobs/deleted/{job}", 404);
        (await RowsOfAsync(job)).ShouldBe(0);
        (await EditsSayingAsync("flashing of the chimney")).ShouldBe(0);
        (await owner.GetJsonAsync("/api/jobs/deleted")).AsArray().ShouldAllBe(one => one!.Text("id") != job);
    }

    [Fact]
    public async Task Another_firm_neither_deletes_restores_copies_nor_removes_it()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var stranger = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        await DeleteAsync(stranger, $"/api/jobs/{records.Job}", 404);
        (await stranger.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{records.Job}/copy", new { })).Status.ShouldBe(404);
        await DeleteAsync(records.Client, $"/api/jobs/{records.Job}", 204);
        (await stranger.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{records.Job}/restore", new { })).Status.ShouldBe(404);
        await DeleteAsync(stranger, $"/api/jobs/deleted/{records.Job}", 404);
        (await stranger.GetJsonAsync("/api/jobs/deleted")).AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_copy_plans_the_same_and_holds_nothing_that_was_measured_found_or_offered()
    {
        var (client, copy) = await CopyOfAsync("ferry house");
        var first = JsonNode.Parse(await FileAsync(client, await client.DemoJobAsync("ferry house")))!;
        var second = JsonNode.Parse(await FileAsync(client, copy))!;
        first["surfaces"]!.AsArray().ShouldContain(surface => surface!["notes"]!.AsArray().Count > 0);
        first["joints"]!.AsArray().ShouldContain(joint => joint!["ready"]!.GetValue<bool>());
        first["readings"]!.AsArray().ShouldNotBeEmpty();
        second["job"]!.Text("name").ShouldBe(first["job"]!.Text("name") + " (copy)");
        second["job"]!.Text("state").ShouldBe("estimate");
        second["job"]!["pricing"]?["workDate"].ShouldBeNull();
        foreach (
            var kind in new[] { "readings", "complaints", "preparation", "fanTests", "thermalPictures", "logs", "photos", "bids", "papers" }
        )
        {
            second[kind]!.AsArray().ShouldBeEmpty(kind);
        }

        second["surfaces"]!.AsArray().ShouldAllBe(surface => surface!["notes"]!.AsArray().Count == 0);
        second["joints"]!.AsArray().ShouldAllBe(joint => !joint!["ready"]!.GetValue<bool>() && joint.Text("seenBy").Length == 0);
        second["joints"]!.AsArray().Count.ShouldBe(first["joints"]!.AsArray().Count);
        Planned(second).ShouldBe(Planned(first));
    }

    [Fact]
    public async Task A_copy_asked_for_twice_under_one_id_is_one_job()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var path = $"/api/jobs/{records.Job}/copy?command={Guid.CreateVersion7()}";
        var first = await records.Client.SendJsonAsync(HttpMethod.Post, path, new { });
        var second = await records.Client.SendJsonAsync(HttpMethod.Post, path, new { });
        (second.Status, second.Body.ToJsonString()).ShouldBe((201, first.Body.ToJsonString()));
    }

    [Theory]
    [InlineData("ordered", "ordered")]
    [InlineData(null, "estimate")]
    public async Task A_job_file_carries_the_state_and_one_without_comes_in_as_an_estimate(string? filed, string taken)
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var file = JsonNode.Parse(await FileAsync(records.Client, records.Job))!;
        file["job"]!.AsObject().Remove("state");
        if (filed is not null)
        {
            file["job"]!["state"] = filed;
        }

        var (status, job) = await records.Client.SendJsonAsync(HttpMethod.Post, "/api/jobs/file", file);
        status.ShouldBe(201, job.ToJsonString());
        (await records.Client.GetJsonAsync($"/api/jobs/{job.Text("id")}/board"))["job"]!.Text("state").ShouldBe(taken);
    }

    [Fact]
    public async Task A_place_that_only_a_deleted_job_names_is_still_in_use()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var (_, place) = await records.Client.SendJsonAsync(HttpMethod.Post, "/api/places", Asking.Typed(null, "us", EditedRecords.Place));
        await ChangeAsync(records, ("place", place.Text("id")));
        await DeleteAsync(records.Client, $"/api/jobs/{records.Job}", 204);
        await DeleteAsync(records.Client, $"/api/places/{place.Text("id")}", 409);
        await DeleteAsync(records.Client, $"/api/jobs/deleted/{records.Job}", 204);
        await DeleteAsync(records.Client, $"/api/places/{place.Text("id")}", 204);
    }

    [Theory]
    [InlineData("state", "finished")]
    [InlineData("state", "notOrdered")]
    [InlineData("archived", "yes")]
    public async Task Stock_is_not_held_for_a_job_that_draws_nothing_more(string field, string text)
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var name = $"Draws {field} {text}";
        var (client, other) = (records.Client, await NewJobAsync(records.Client, name));
        var wall = Asking.Typed(null, "us", ("name", "Wall"), ("size", "20' x 9'"), ("sheet", "marl-cc-20"), ("thickness", "2"));
        (await client.SendJsonAsync(HttpMethod.Post, $"/api/jobs/{other}/surfaces", wall)).Status.ShouldBe(201);
        // Those of the nearest day are named first: no job of another test is before this one among the few.
        await ChangeAsync(client, other, ("workDate", "2026-01-02"));
        (await OrderAsync()).ShouldContain(name);
        await ChangeAsync(client, other, (field, text));
        (await OrderAsync()).ShouldNotContain(name);

        async Task<string> OrderAsync() => (await client.GetJsonAsync($"/api/jobs/{records.Job}/order")).ToJsonString();
    }

    private async Task<(HttpClient Client, string Job)> CopyOfAsync(string name)
    {
        var client = await product.SignedInAsync("owner@ninthacre.example");
        var path = $"/api/jobs/{await client.DemoJobAsync(name)}/copy";
        var (status, copy) = await client.SendJsonAsync(HttpMethod.Post, path, new { });
        status.ShouldBe(201, copy.ToJsonString());
        return (client, copy.Text("id"));
    }

    private static async Task<string> NewJobAsync(HttpClient client, string name)
    {
        var (status, job) = await client.SendJsonAsync(HttpMethod.Post, "/api/jobs", Asking.Typed(null, "us", ("name", name)));
        status.ShouldBe(201, job.ToJsonString());
        return job.Text("id");
    }

    private static Task ChangeAsync(EditedRecords records, params (string, string)[] fields) =>
        ChangeAsync(records.Client, records.Job, fields);

    private static async Task ChangeAsync(HttpClient client, string job, params (string, string)[] fields)
    {
        var version = (await client.GetJsonAsync($"/api/jobs/{job}/board"))["job"]!["version"]!.GetValue<uint>();
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, $"/api/jobs/{job}", Asking.Typed(version, "us", fields));
        status.ShouldBe(200, answer.ToJsonString());
    }

    // Everything that can be asked of a job or of a surface, whatever stage answers.
    private IEnumerable<string> PathsOf(EditedRecords records)
    {
        var paths = Endpoints
            .Of(product)
            .Where(endpoint => endpoint.Metadata.GetMetadata<HttpMethodMetadata>() is { HttpMethods: ["GET"] })
            .Where(endpoint => endpoint.RoutePattern.Parameters.Count == 1)
            .Select(endpoint => "/" + endpoint.RoutePattern.RawText!.TrimStart('/'))
            .ToList();
        var jobs = paths.Where(path => path.StartsWith("/api/jobs/{id", StringComparison.Ordinal)).ToList();
        var surfaces = paths.Where(path => path.StartsWith("/api/surfaces/{id", StringComparison.Ordinal)).ToList();
        (jobs.Count, surfaces.Count).ShouldBeGreaterThan((10, 4));
        return jobs.Select(path => Filled(path, records.Job)).Concat(surfaces.Select(path => Filled(path, records.Wall)));

        static string Filled(string path, string id) => path.Replace("{id:guid}", id, StringComparison.Ordinal);
    }

    private static async Task<List<string>> NamesAsync(HttpClient client) =>
        [.. (await client.GetJsonAsync("/api/jobs")).AsArray().Select(card => card!["job"]!.Text("id"))];

    private static async Task<string> FileAsync(HttpClient client, string job) =>
        (await client.GetJsonAsync($"/api/jobs/{job}/file")).ToJsonString();

    private static async Task DeleteAsync(HttpClient client, string path, int status) =>
        (await client.SendJsonAsync(HttpMethod.Delete, path, new { })).Status.ShouldBe(status, path);

    private static async Task<int> EditsSayingAsync(string words)
    {
        var count = 0;
        await Product.InFirmOfAsync(
            "owner@ninthacre.example",
            async db =>
                count = await db
                    .Database.SqlQuery<int>($"select count(*)::int as \"Value\" from commands where strpos(changed::text, {words}) > 0")
                    .SingleAsync()
        );
        return count;
    }

    // Rows of every table that name the job, and what the ledger keeps of it.
    private static async Task<int> RowsOfAsync(string id)
    {
        var (job, count) = (Guid.Parse(id), 0);
        await Product.InFirmOfAsync(
            "owner@ninthacre.example",
            async db =>
            {
                var tables = db.Model.GetEntityTypes().Where(type => type.FindProperty(nameof(Surface.JobId)) is not null);
                foreach (var table in tables.Select(type => type.GetTableName()).OfType<string>().Distinct())
                {
                    var rows = $"select count(*)::int as \"Value\" from {table} where job_id = {{0}}";
                    count += await db.Database.SqlQueryRaw<int>(rows, job).SingleAsync();
                }

                count += await db.Jobs.WithDeleted().CountAsync(one => one.Id == job);
                count += await db.Commands.CountAsync(command => command.RecordId == job);
            }
        );
        return count;
    }

    // What a surface is planned as, without what binds it to its own job.
    private static string Planned(JsonNode file)
    {
        var surfaces = file["surfaces"]!.DeepClone().AsArray();
        foreach (var surface in surfaces.Select(one => one!.AsObject()))
        {
            surface.Remove("id");
            surface.Remove("bufferId");
            surface.Remove("notes");
            if (surface["system"] is JsonObject system)
            {
                system.Remove("overrides");
                system.Remove("reason");
            }
        }

        return surfaces.ToJsonString();
    }
}
