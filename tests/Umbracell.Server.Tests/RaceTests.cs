using System.Reflection;
using System.Text.Json.Nodes;
using Microsoft.AspNetCore.Routing;
using Shouldly;
using Umbracell.Server.Typing;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Many who write the same at the same moment: nothing is lost, nobody is told "saved" of what was not, and whoever comes second
/// is shown what stands.</summary>
public sealed class RaceTests(Product product)
{
    private const int AtOnce = 5;

    [Theory]
    [MemberData(nameof(CommandTests.Records), MemberType = typeof(CommandTests))]
    public async Task Of_those_who_change_a_record_at_once_one_wins_and_the_others_see_it(
        string record,
        string field,
        string mine,
        string _
    )
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var path = await records.PathAsync(record);
        var version = await records.VersionAsync(record, path);
        var answers = await Task.WhenAll(
            Enumerable
                .Range(0, AtOnce)
                .Select(_ => records.Client.SendJsonAsync(HttpMethod.Patch, path, EditedRecords.Command(version, (field, mine))))
        );

        answers.Count(answer => answer.Status == 200).ShouldBe(1, string.Join("\n", answers.Select(a => $"{a.Status} {a.Body}")));
        var now = await records.VersionAsync(record, path);
        foreach (var (status, body) in answers.Where(answer => answer.Status != 200))
        {
            status.ShouldBe(409, body.ToJsonString());
            body["theirs"].ShouldNotBeNull(body.ToJsonString()).ToJsonString().ShouldContain($"\"version\":{now}");
        }
    }

    /// <summary>Everything that can be made, with what it takes.</summary>
    public static TheoryData<string, string[]> Made =>
        new()
        {
            { "/api/jobs", ["name", "Once"] },
            { "/api/jobs/{job}/surfaces", ["name", "Once"] },
            { "/api/surfaces/{wall}/split", ["along", "length", "at", "8'", "name", "The rest"] },
            { "/api/jobs/{job}/joints", ["kind", "bandToWall", "first", "{wall}", "beyond", "sill"] },
            { "/api/jobs/{job}/buffers", ["name", "Attic", "kind", "attic"] },
            { "/api/jobs/{job}/complaints", ["kind", "draught", "words", "at the sill"] },
            { "/api/jobs/{job}/fan-tests", ["points", "50 2310\n40 2000\n30 1650\n20 1250\n10 800"] },
            { "/api/surfaces/{wall}/notes", ["kind", "leak", "words", "at the sill"] },
            { "/api/target-sets", ["name", "Own", "basedOn", "iecc-2021"] },
            { "/api/stock", ["product", "marl-cc-20", "side", "b", "lot", "L once"] },
            { "/api/past-jobs", [.. EditedRecords.PastJob.SelectMany(f => new[] { f.Item1, f.Item2 })] },
            { "/api/means", ["kind", "scaffold", "name", "Once"] },
            { "/api/places", [.. EditedRecords.Place.SelectMany(f => new[] { f.Item1, f.Item2 })] },
        };

    [Theory]
    [MemberData(nameof(Made))]
    public async Task What_is_made_by_one_command_is_made_once_however_often_it_comes(string path, string[] texts)
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var at = path.Replace("{job}", records.Job, StringComparison.Ordinal).Replace("{wall}", records.Wall, StringComparison.Ordinal);
        var fields = texts
            .Select(text => text.Replace("{wall}", records.Wall, StringComparison.Ordinal))
            .Chunk(2)
            .Select(f => (f[0], f[1]));
        var id = Guid.CreateVersion7();
        uint? version = path.EndsWith("/split", StringComparison.Ordinal)
            ? await records.VersionAsync("surface", $"/api/surfaces/{records.Wall}")
            : null;
        var edit = EditedRecords.Command(id, null, version, [.. fields]);
        var answers = await Task.WhenAll(Enumerable.Range(0, AtOnce).Select(_ => records.Client.SendJsonAsync(HttpMethod.Post, at, edit)));
        answers.ShouldAllBe(answer => answer.Status == 200 || answer.Status == 201, string.Join("\n", answers.Select(a => $"{a.Body}")));
        foreach (var (_, body) in answers)
        {
            TimesIn(body).ShouldBe(1, body.ToJsonString());
        }

        var list = at.Replace("/buffers", "/building", StringComparison.Ordinal);
        list = list.EndsWith("/split", StringComparison.Ordinal) ? $"/api/jobs/{records.Job}/surfaces" : list;
        TimesIn(await records.Client.GetJsonAsync(list)).ShouldBe(1);

        int TimesIn(JsonNode answer) => answer.ToJsonString().Split($"\"id\":\"{id}\"").Length - 1;
    }

    [Theory]
    [InlineData("logs", "time,temp,rh\n2026-11-20 08:00,20,40\n2026-11-20 09:00,21,41\n2026-11-20 10:00,21,42\n")]
    [InlineData("thermal", "")]
    [InlineData("photos", "")]
    [InlineData("bids", "")]
    public async Task A_file_that_comes_twice_under_one_id_is_kept_once(string kind, string text)
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var bytes = kind switch
        {
            "photos" => CommandTests.Picture(),
            "thermal" => EditedRecords.ThermalFile,
            _ => System.Text.Encoding.UTF8.GetBytes(text),
        };
        var path = $"/api/jobs/{records.Job}/{kind}?command={Guid.CreateVersion7()}";
        var answers = await Task.WhenAll(Enumerable.Range(0, 3).Select(_ => records.Client.UploadAsync(path, bytes)));
        answers.ShouldAllBe(answer => answer.Status == 200, string.Join("\n", answers.Select(a => $"{a.Status} {a.Body}")));
        var kept = kind == "bids" ? answers[0].Body["kept"]! : await records.Client.GetJsonAsync($"/api/jobs/{records.Job}/{kind}");
        kept.AsArray().Count.ShouldBe(1);
    }

    [Fact]
    public async Task A_job_file_that_comes_twice_under_one_id_is_one_job()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var file = await records.Client.GetJsonAsync($"/api/jobs/{records.Job}/file");
        var path = $"/api/jobs/file?command={Guid.CreateVersion7()}";
        var answers = new[]
        {
            await records.Client.SendJsonAsync(HttpMethod.Post, path, file),
            await records.Client.SendJsonAsync(HttpMethod.Post, path, file),
        };
        answers.Select(answer => (answer.Status, answer.Body.ToJsonString())).Distinct().Count().ShouldBe(1);
    }

    [Fact]
    public async Task An_id_that_something_else_has_is_refused_with_words()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var other = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        var taken = EditedRecords.Command(Guid.Parse(records.Job), null, null, ("name", "Mine"));
        var (status, body) = await other.SendJsonAsync(HttpMethod.Post, "/api/jobs", taken);
        status.ShouldBe(409, body.ToJsonString());
        body.Text("detail").ShouldContain("id");
    }

    [Fact]
    public async Task What_is_found_on_one_surface_by_many_at_once_is_all_kept()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var notes = await Task.WhenAll(
            Enumerable
                .Range(0, AtOnce)
                .Select(i =>
                    records.Client.SendJsonAsync(
                        HttpMethod.Post,
                        $"/api/surfaces/{records.Wall}/notes",
                        EditedRecords.Command(null, ("kind", "leak"), ("words", $"drip {i}"))
                    )
                )
        );
        notes.ShouldAllBe(note => note.Status == 200, string.Join("\n", notes.Select(n => $"{n.Status} {n.Body}")));
        (await records.Client.GetJsonAsync($"/api/surfaces/{records.Wall}/notes")).AsArray().Count.ShouldBe(AtOnce);
    }

    [Fact]
    public async Task An_item_ticked_by_many_at_once_is_one_item()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var ticks = await Task.WhenAll(
            Enumerable
                .Range(0, AtOnce)
                .Select(i =>
                    records.Client.SendJsonAsync(
                        HttpMethod.Patch,
                        $"/api/surfaces/{records.Wall}/preparation/masked",
                        i % 2 == 0
                            ? EditedRecords.Command(null, ("done", "yes"))
                            : EditedRecords.Command(null, ("assignedTo", "crew Heron"))
                    )
                )
        );
        ticks.ShouldAllBe(tick => tick.Status == 200);
    }

    [Fact]
    public async Task Who_assigns_what_another_has_assigned_since_is_shown_theirs_and_a_tick_stands_all_the_same()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var path = $"/api/surfaces/{records.Wall}/preparation/masked";
        await EditAsync(null, ("assignedTo", "crew Heron"));
        var seen = (await ItemAsync())["version"]!.GetValue<uint>();
        await EditAsync(seen, ("assignedTo", "crew Teal"));

        var (status, refused) = await EditAsync(seen, ("assignedTo", "crew Wren"));
        status.ShouldBe(409);
        refused["theirs"].ShouldNotBeNull().ToJsonString().ShouldContain("crew Teal");
        (await EditAsync(seen, ("done", "yes"))).Status.ShouldBe(200);
        ((await ItemAsync()).Text("assignedTo"), (await ItemAsync())["done"]!.GetValue<bool>()).ShouldBe(("crew Teal", true));

        Task<(int Status, JsonNode Body)> EditAsync(uint? version, (string, string) field) =>
            records.Client.SendJsonAsync(HttpMethod.Patch, path, EditedRecords.Command(version, field));

        async Task<JsonNode> ItemAsync() =>
            (await records.Client.GetJsonAsync($"/api/jobs/{records.Job}/preparation"))["surfaces"]![0]!["tasks"]!
                .AsArray()
                .Single(task => task!.Text("item") == "masked")!;
    }

    // What makes nothing, or the same whenever it comes: answers, signing in, taking away and giving back, a paper that says what the
    // last one said.
    private static readonly string[] MakesNothingTwice =
    [
        "POST /api/session",
        "POST /api/people/{id:guid}/erase",
        "POST /api/tokens/{id:guid}/renew",
        "POST /api/link",
        "POST /api/session/second-step",
        "POST /api/session/second-step/remove",
        "POST /api/compute/pocket",
        "POST /api/compute/choice",
        "POST /api/compute/section",
        "POST /api/compute/member",
        "POST /api/compute/sets",
        "POST /api/compute/gate",
        "POST /api/compute/bid",
        "POST /api/compute/cold-routes",
        "POST /api/compute/drum",
        "POST /api/compute/test-shot",
        "POST /api/compute/sequence",
        "POST /api/compute/lift",
        "POST /api/compute/depth",
        "POST /api/compute/proof",
        "POST /api/compute/reentry",
        "POST /api/compute/spray",
        "POST /api/compute/yield",
        "POST /api/compute/set-points",
        "POST /api/jobs/{id:guid}/surfaces/remove",
        "POST /api/jobs/{id:guid}/papers",
        "POST /api/places/weather-file",
        "POST /api/places/{id:guid}/hours",
        "POST /api/compute/face-hours",
        "POST /api/compute/room-hours",
        "POST /api/compute/gate-hours",
        "POST /api/jobs/{id:guid}/restore",
        "POST /api/surfaces/{id:guid}/restore",
        "POST /api/jobs/{id:guid}/imports/table",
        "POST /api/jobs/{id:guid}/imports/model",
        "POST /api/jobs/{id:guid}/imports/check",
    ];

    [Fact]
    public void Whatever_makes_something_takes_the_id_of_its_command()
    {
        var keyed = Endpoints
            .Of(product)
            .Where(endpoint => endpoint.Metadata.GetMetadata<HttpMethodMetadata>()?.HttpMethods.Contains("POST") == true)
            .Where(endpoint => endpoint.RoutePattern.RawText!.StartsWith("/api/", StringComparison.Ordinal))
            .ToLookup(TakesAnId, Endpoints.NameOf);
        keyed[false].ShouldBe(MakesNothingTwice, ignoreOrder: true);
        keyed[true].Count().ShouldBeGreaterThan(20);

        static bool TakesAnId(RouteEndpoint endpoint) =>
            endpoint
                .Metadata.OfType<MethodInfo>()
                .Single()
                .GetParameters()
                .Any(p => p.ParameterType.IsAssignableTo(typeof(ICommand)) || (p.Name == "command" && p.ParameterType == typeof(Guid?)));
    }

    [Fact]
    public async Task Rows_of_a_table_taken_twice_under_one_id_are_surfaces_once_and_told_alike()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var row = new
        {
            line = 1,
            fields = new
            {
                name = "Gable",
                kind = "studWall",
                size = "10' x 9'",
            },
            note = "",
        };
        var path = $"/api/jobs/{records.Job}/imports/accept?command={Guid.CreateVersion7()}";
        var body = new { units = "us", rows = new[] { row, row with { line = 2 } } };
        var first = await records.Client.SendJsonAsync(HttpMethod.Post, path, body);
        var answers = await AtOnceAsync(() => records.Client.SendJsonAsync(HttpMethod.Post, path, body));
        foreach (var (status, answer) in answers.Append(first))
        {
            status.ShouldBe(200, answer.ToJsonString());
            answer["added"]!.ToJsonString().ShouldBe(first.Body["added"]!.ToJsonString());
        }

        first.Body["added"]!.AsArray().Count.ShouldBe(2);
        (await records.Client.GetJsonAsync($"/api/jobs/{records.Job}/surfaces")).AsArray().Count.ShouldBe(3);
    }

    [Fact]
    public async Task Finished_jobs_taken_twice_under_one_id_are_kept_once()
    {
        var owner = await product.SignedInAsync(EditedRecords.FirmOwner);
        var table = System.Text.Encoding.UTF8.GetBytes(
            "Job;Crew;Product;Finished on;Area;Depth;Sets used;Substrate;Drums;Lift\n"
                + "Barn A;Once;Marl CC-20;2026-05-04;1200;3 1/2;0,95;61 F;70 F;1 3/4\n"
        );
        var path = $"/api/past-jobs/import?take=true&command={Guid.CreateVersion7()}";
        var answers = await AtOnceAsync(() => owner.UploadAsync(path, table));
        answers.ShouldAllBe(a => a.Status == 200 && a.Body["taken"]!.GetValue<bool>(), string.Join("\n", answers.Select(a => $"{a.Body}")));
        (await owner.GetJsonAsync("/api/past-jobs"))["jobs"]!.AsArray().Count(j => j!.Text("crew") == "Once").ShouldBe(1);
    }

    [Fact]
    public async Task A_template_kept_twice_under_one_id_is_one()
    {
        var records = await EditedRecords.OnAWallAsync(product);
        var (path, name) = ($"/api/surfaces/{records.Wall}/template?command={Guid.CreateVersion7()}", $"Wall {Guid.NewGuid()}");
        var answers = await AtOnceAsync(() => records.Client.SendJsonAsync(HttpMethod.Post, path, new { name }));
        answers.ShouldAllBe(a => a.Status == 201, string.Join("\n", answers.Select(a => $"{a.Body}")));
        (await records.Client.GetJsonAsync("/api/templates")).AsArray().Count(t => t!.Text("name") == name).ShouldBe(1);
    }

    [Fact]
    public async Task A_token_whose_secret_was_lost_on_the_way_is_one_token_with_another_secret()
    {
        var owner = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        var path = $"/api/tokens?command={Guid.CreateVersion7()}";
        var wanted = new
        {
            name = "Scales",
            role = "viewer",
            days = 3,
        };
        var (_, lost) = await owner.SendJsonAsync(HttpMethod.Post, path, wanted);
        var (status, again) = await owner.SendJsonAsync(HttpMethod.Post, path, wanted);
        (status, again["tokens"]!.AsArray().Count).ShouldBe((200, 1));
        (await StatusWithAsync(lost)).ShouldBe(401);
        (await StatusWithAsync(again)).ShouldBe(200);

        async Task<int> StatusWithAsync(JsonNode answer)
        {
            var program = product.CreateClient();
            program.DefaultRequestHeaders.Authorization = new("Bearer", answer.Text("secret"));
            return (int)(await program.GetAsync("/api/jobs", TestContext.Current.CancellationToken)).StatusCode;
        }
    }

    private static Task<(int Status, JsonNode Body)[]> AtOnceAsync(Func<Task<(int Status, JsonNode Body)>> send) =>
        Task.WhenAll(Enumerable.Range(0, AtOnce).Select(_ => send()));
}
