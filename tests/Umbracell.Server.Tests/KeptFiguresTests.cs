using System.Diagnostics.Metrics;
using System.Text.Json.Nodes;
using Microsoft.EntityFrameworkCore;
using Microsoft.Extensions.DependencyInjection;
using Shouldly;
using Umbracell.Store.Seeding;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Figures are kept, and nobody can tell: whatever is changed, what is shown is what would be reckoned from nothing.</summary>
[Collection(WorkingOff.Name)]
public sealed class KeptFiguresTests(Product product)
{
    private static readonly Dictionary<string, Func<Walls, Task>> ChangesByName = new()
    {
        ["a surface's thickness"] = walls => walls.EditAsync("surface", ("thickness", "3")),
        ["a surface's openings"] = walls => walls.EditAsync("surface", ("openings", "3' x 7'")),
        ["a surface's layers"] = walls => walls.EditAsync("surface", ("outboard", "wood-siding | 3/4; osb | 5/8")),
        ["a surface's kind"] = walls => walls.EditAsync("surface", ("kind", "unventedDeck")),
        ["a leak"] = walls => walls.EditAsync("surface", ("openLeak", "at the ridge")),
        ["a lift"] = walls => walls.SendAsync(HttpMethod.Post, $"/api/surfaces/{walls.Wall}/spray-log", ("kind", "liftBegun")),
        ["levels of a drum"] = walls => walls.DrumAsync(),
        ["a probe on its block"] = walls => walls.ProbeAsync(),
        ["a name"] = walls => walls.EditAsync("surface", ("name", "Other")),
        ["the name of the surface beyond a joint"] = walls => walls.RenameBeyondAsync("Z"),
        ["the surface beyond a joint is taken off"] = walls => walls.SendAsync(HttpMethod.Delete, $"/api/surfaces/{walls.Beyond}"),
        ["a surface is taken off"] = walls => walls.SendAsync(HttpMethod.Delete, $"/api/surfaces/{walls.Wall}"),
        ["a surface is taken off and brought back"] = walls =>
            walls.SendAsync(HttpMethod.Delete, $"/api/surfaces/{walls.Wall}", HttpMethod.Post, $"/api/surfaces/{walls.Wall}/restore"),
        ["imported surfaces are taken off"] = walls =>
            walls.PostAsync($"/api/jobs/{walls.Job}/surfaces/remove", new { ids = new[] { walls.Wall } }),
        ["a surface is added"] = walls =>
            walls.SendAsync(
                HttpMethod.Post,
                $"/api/jobs/{walls.Job}/surfaces",
                ("name", "Three"),
                ("kind", "studWall"),
                ("size", "9' x 9'")
            ),
        ["a fact"] = walls => walls.EditAsync("facts", ("ventedCladding", "yes")),
        ["a joint"] = walls =>
            walls.EditAsync(
                "joint",
                ("water", "carried"),
                ("air", "carried"),
                ("vapour", "carried"),
                ("heat", "carried"),
                ("how", "taped"),
                ("doneBy", "crew"),
                ("ready", "yes")
            ),
        ["a note"] = walls => walls.PathAsync("note"),
        ["a leak that is mended"] = walls => walls.MendAsync(),
        ["a reading"] = walls => walls.SendAsync(HttpMethod.Post, $"/api/surfaces/{walls.Wall}/readings", ("substrate", "41 F")),
        ["a reading of drums"] = walls =>
            walls.SendAsync(HttpMethod.Post, $"/api/surfaces/{walls.Beyond}/readings", ("drumA", "66 F"), ("drumB", "66 F")),
        ["a tick"] = walls => walls.SendAsync(HttpMethod.Patch, $"/api/surfaces/{walls.Wall}/preparation/clean", ("done", "yes")),
        ["a tick for the whole job"] = walls =>
            walls.SendAsync(HttpMethod.Patch, $"/api/jobs/{walls.Job}/preparation/power", ("done", "yes")),
        ["a job's climate zone"] = walls => walls.EditAsync("job", ("climateZone", "3A")),
        ["a job's crew"] = walls => walls.EditAsync("job", ("crew", "Heron")),
        ["a job's day of work"] = walls => walls.EditAsync("job", ("workDate", "2026-07-01")),
        ["a job's risk"] = walls => walls.EditAsync("job", ("risk", "30 %")),
        ["the place of a job"] = walls => walls.EditAsync("place", ("temps", "20;22;30;42;55;64;69;67;59;48;37;26")),
        ["the targets of a job"] = walls => walls.EditAsync("targets", ("u:FramedWall:6", "0.2")),
        ["a finished job"] = walls => walls.LearnAsync(),
        ["a rate"] = walls => walls.EditAsync("firm", ("crewHour", $"{40 + Random.Shared.Next(1, 5000) / 100.0:0.00}")),
        ["a rate of its crew"] = walls => walls.OfCrewAsync(("crewHour", $"{40 + Random.Shared.Next(1, 5000) / 100.0:0.00}")),
        ["the name of its crew"] = walls => walls.OfCrewAsync(("name", $"Crew {Guid.NewGuid():N}"[..20])),
        ["the rig of its crew"] = walls => walls.RigAsync(),
        ["a margin of the gate"] = walls => walls.EditAsync("firm", ("margin:dewHoldK", $"{20 + Random.Shared.Next(1, 600) / 100.0:0.00}")),
        ["a price of a set"] = walls => walls.EditAsync("firm", ("set:marl-cc-20", $"{1000 + Random.Shared.Next(1, 5000) / 10.0:0.0}")),
    };

    // Nothing of this shows before more is done.
    private static readonly string[] Quiet = ["a tick", "a fact", "a surface is taken off and brought back", "a leak that is mended"];

    public static TheoryData<string> Changes => [.. ChangesByName.Keys];

    [Theory]
    [MemberData(nameof(Changes))]
    public async Task After_any_change_what_is_shown_is_what_is_reckoned_from_nothing_and_so_it_is_once_it_is_taken_back(string change)
    {
        var walls = await Walls.OfAsync(product);
        var before = await walls.ShownAsync();
        await ChangesByName[change](walls);
        var after = await walls.ShownAsync();
        (after != before).ShouldBe(!Quiet.Contains(change));
        await ForgetAsync(walls);
        (await walls.ShownAsync()).ShouldBe(after);
        if (walls.Edit is { } edit)
        {
            (
                await walls.Records.Client.SendJsonAsync(HttpMethod.Post, $"/api/commands/{edit}/undo", new { id = Guid.CreateVersion7() })
            ).Status.ShouldBe(200);
            (await walls.ShownAsync()).ShouldBe(before);
        }
    }

    [Fact]
    public async Task A_list_that_says_it_is_up_to_date_shows_what_the_board_shows()
    {
        await using var working = new Product { WorksOff = true };
        var walls = await Walls.OfAsync(working);
        foreach (var thickness in new[] { "1", "2", "4" })
        {
            await walls.EditAsync("surface", ("thickness", thickness));
            var card = await CardAsync(walls);
            var worst = (await walls.Records.Client.GetJsonAsync($"/api/jobs/{walls.Job}/board"))["rows"]!
                .AsArray()
                .Select(row => row!.Text("worst"))
                .ToList();
            foreach (var verdict in new[] { "hold", "care", "clear" })
            {
                card[verdict]!.GetValue<int>().ShouldBe(worst.Count(one => one == verdict), verdict);
            }

            card["surfaces"]!.GetValue<int>().ShouldBe(2);
        }
    }

    private static async Task<JsonNode> CardAsync(Walls walls)
    {
        for (var time = 0; time < 100; time++)
        {
            var card = (await walls.Records.Client.GetJsonAsync("/api/jobs"))
                .AsArray()
                .Single(one => one!["job"]!.Text("id") == walls.Job)!;
            if (card["upToDate"]!.GetValue<bool>())
            {
                return card;
            }

            await Task.Delay(200, TestContext.Current.CancellationToken);
        }

        throw new TimeoutException("The list was never up to date.");
    }

    [Fact]
    public async Task An_edit_makes_anew_what_hangs_on_it_and_another_process_reads_what_this_one_has_kept()
    {
        // One of its own: what other tests ask the shared one for meanwhile would be counted too.
        await using var one = new Product();
        using var studies = new CountedStudies(one);
        var walls = await Walls.OfAsync(one);
        var board = $"/api/jobs/{walls.Job}/board";
        await walls.Records.Client.GetJsonAsync(board);
        // The schedule, of this process or another's, may have been there before the first who asks: how many it took tells nothing.
        _ = studies.Taken();
        await walls.Records.Client.GetJsonAsync(board);
        await walls.Records.Client.GetJsonAsync($"/api/surfaces/{walls.Wall}/sets");
        studies.Taken().ShouldBe(0);
        await walls.EditAsync("surface", ("thickness", "3"));
        var shown = await walls.Records.Client.GetJsonAsync(board);
        studies.Taken().ShouldBe(1);
        await walls.EditAsync("firm", ("setUpHours", $"{Random.Shared.Next(1, 800) / 100.0:0.00}"));
        await walls.Records.Client.GetJsonAsync($"/api/jobs/{walls.Job}/price");
        studies.Taken().ShouldBe(0);

        // What is said of the whole job while it is sprayed is said every few minutes.
        await walls.SendAsync(HttpMethod.Post, $"/api/surfaces/{walls.Wall}/spray-log", ("kind", "areaClear"));
        await walls.Records.Client.GetJsonAsync(board);
        studies.Taken().ShouldBe(0);

        await using var other = new Product();
        using var others = new CountedStudies(other);
        var client = await other.SignedInAsync(walls.Owner);
        await walls.Records.Client.GetJsonAsync(board);
        var read = await client.GetJsonAsync(board);
        JsonNode.DeepEquals(read["rows"], shown["rows"]).ShouldBeTrue();
        others.Taken().ShouldBe(0);
        await client.GetJsonAsync($"/api/surfaces/{walls.Wall}/sets");
        others.Taken().ShouldBe(2);
    }

    [Fact]
    public async Task Readings_age_on_a_board_that_nobody_touches()
    {
        var walls = await Walls.OfAsync(product);
        var clock = new Ahead();
        await using var later = product.WithWebHostBuilder(host =>
            host.ConfigureServices(services => services.AddSingleton<TimeProvider>(clock))
        );
        var client = later.CreateClient();
        await client.SendJsonAsync(HttpMethod.Post, "/api/session", new { signInName = walls.Owner, password = DemoSeed.Password });
        foreach (var (minutes, stale) in new[] { (0, false), (115, false), (125, true), (115, false) })
        {
            clock.By = TimeSpan.FromMinutes(minutes);
            (await StaleAsync(client)).ShouldBe(stale, $"{minutes} min");
        }

        async Task<bool> StaleAsync(HttpClient asked) =>
            (await asked.GetJsonAsync($"/api/jobs/{walls.Job}/board"))["rows"]!.AsArray().Single(row => row!.Text("id") == walls.Wall)![
                "cells"
            ]!
                .AsArray()
                .Single(cell => cell!.Text("stage") == "window")!["stale"]!.GetValue<bool>();
    }

    /// <summary>A clock so much ahead of the machine's.</summary>
    private sealed class Ahead : TimeProvider
    {
        public TimeSpan By { get; set; }

        public override DateTimeOffset GetUtcNow() => System.GetUtcNow() + By;
    }

    /// <summary>How many surfaces a server studies.</summary>
    private sealed class CountedStudies : IDisposable
    {
        private readonly MeterListener _listener = new();

        private long _made;

        public CountedStudies(Product product)
        {
            var factory = product.Services.GetRequiredService<IMeterFactory>();
            _listener.InstrumentPublished = (instrument, listener) =>
            {
                if (instrument.Name == "umbracell.studies.made" && instrument.Meter.Scope == factory)
                {
                    listener.EnableMeasurementEvents(instrument);
                }
            };
            _listener.SetMeasurementEventCallback<long>((_, made, _, _) => Interlocked.Add(ref _made, made));
            _listener.Start();
        }

        /// <summary>So many since it was last asked.</summary>
        public long Taken() => Interlocked.Exchange(ref _made, 0);

        public void Dispose() => _listener.Dispose();
    }

    // As if all the firm's figures hung on something that has changed.
    private static Task ForgetAsync(Walls walls) =>
        Product.InFirmOfAsync(
            walls.Owner,
            db => db.Database.ExecuteSqlAsync($"update input_versions set version = version + 1", TestContext.Current.CancellationToken)
        );

    /// <summary>A job with two walls that meet, in the place and under the targets of the firm's own.</summary>
    private sealed class Walls
    {
        private readonly Dictionary<string, string> _paths = [];

        public required EditedRecords Records { get; init; }

        /// <summary>Of a firm of its own: nobody else enters a rig, a rate or a finished job there meanwhile.</summary>
        public required string Owner { get; init; }

        public string Job => Records.Job;

        public string Wall => Records.Wall;

        public required string Beyond { get; init; }

        /// <summary>The last edit that can be taken back.</summary>
        public Guid? Edit { get; private set; }

        public static async Task<Walls> OfAsync(Product product)
        {
            var owner = await Product.NewFirmThatSpraysAsync();
            var records = await EditedRecords.OnAWallAsync(product, owner);
            var (_, beyond) = await records.Client.SendJsonAsync(
                HttpMethod.Post,
                $"/api/jobs/{records.Job}/surfaces",
                EditedRecords.Command(
                    null,
                    ("name", "Two"),
                    ("kind", "studWall"),
                    ("size", "30' x 9'"),
                    ("sheet", "marl-cc-20"),
                    ("thickness", "3")
                )
            );
            var walls = new Walls
            {
                Records = records,
                Owner = owner,
                Beyond = beyond.Text("id"),
            };
            await walls.PrepareAsync();
            return walls;
        }

        private async Task PrepareAsync()
        {
            var place = await PathAsync("place");
            var targets = await PathAsync("targets");
            await SendAsync(
                HttpMethod.Post,
                $"/api/surfaces/{Wall}/readings",
                ("substrate", "60 F"),
                ("air", "62 F"),
                ("humidity", "50 %"),
                ("wood", "12")
            );
            await SendAsync(HttpMethod.Post, $"/api/jobs/{Job}/joints", ("kind", "bandToWall"), ("first", Wall), ("second", Beyond));
            await EditAsync(
                "job",
                ("place", place.Split('/')[3]),
                ("targetSet", targets.Split('/')[3]),
                ("workDate", "2027-01-20"),
                ("crew", Crew)
            );
            Edit = null;
        }

        public async Task<string> PathAsync(string kind)
        {
            if (!_paths.TryGetValue(kind, out var path))
            {
                path =
                    kind == "joint"
                        ? $"/api/joints/{(await Records.Client.GetJsonAsync($"/api/jobs/{Job}/joints"))["joints"]![0]!.Text("id")}"
                        : await Records.PathAsync(kind);
                _paths[kind] = path;
            }

            return path;
        }

        public async Task EditAsync(string kind, params (string Field, string Text)[] fields)
        {
            var path = await PathAsync(kind);
            await EditAtAsync(path, await Records.VersionAsync(kind, path), fields);
        }

        private async Task EditAtAsync(string path, uint? version, (string Field, string Text)[] fields)
        {
            Edit = Guid.CreateVersion7();
            await PostAsync(path, EditedRecords.Command(Edit.Value, null, version, fields), HttpMethod.Patch);
        }

        public async Task RenameBeyondAsync(string name)
        {
            var beyond = (await Records.Client.GetJsonAsync($"/api/jobs/{Job}/surfaces")).AsArray().Single(s => s!.Text("id") == Beyond)!;
            var command = EditedRecords.Command(beyond["version"]!.GetValue<uint>(), ("name", name));
            await PostAsync($"/api/surfaces/{Beyond}", command, HttpMethod.Patch);
        }

        public async Task MendAsync()
        {
            await PathAsync("note");
            await ShownAsync();
            await EditAsync("note", ("mended", "yes"));
            Edit = null;
        }

        // The foot of the board tells the sets that are used.
        public async Task DrumAsync()
        {
            foreach (var dip in new[] { "28 in", "14 in" })
            {
                await SendAsync(HttpMethod.Post, $"/api/surfaces/{Wall}/spray-log", ("kind", "drumLevel"), ("side", "a"), ("dip", dip));
            }
        }

        // Whether depths can be gone by hangs on it at every surface of the job.
        public async Task ProbeAsync()
        {
            var log = $"/api/surfaces/{Wall}/spray-log";
            await SendAsync(HttpMethod.Post, log, ("kind", "liftBegun"));
            await SendAsync(HttpMethod.Post, log, ("kind", "liftEnded"));
            await SendAsync(HttpMethod.Post, log, ("kind", "finished"));
            await SendAsync(HttpMethod.Post, log, ("kind", "depth"), ("depth", "3 in"));
            await ShownAsync();
            await SendAsync(HttpMethod.Post, log, ("kind", "probeChecked"), ("block", "2 in"), ("depth", "3 in"));
        }

        public Task SendAsync(HttpMethod method, string path, params (string Field, string Text)[] fields) =>
            PostAsync(path, EditedRecords.Command(null, fields), method);

        public async Task SendAsync(HttpMethod first, string path, HttpMethod then, string further)
        {
            await SendAsync(first, path);
            await SendAsync(then, further);
        }

        public async Task PostAsync(string path, object body, HttpMethod? method = null)
        {
            var (status, answer) = await Records.Client.SendJsonAsync(method ?? HttpMethod.Post, path, body);
            status.ShouldBeInRange(200, 204, answer.ToJsonString());
        }

        // A crew nobody else learns from, which sprays this job.
        public async Task LearnAsync()
        {
            var crew = $"Crew {Guid.NewGuid():N}"[..20];
            await EditAsync("job", ("crew", crew));
            Edit = null;
            await ShownAsync();
            (string, string)[] finished =
            [
                ("name", crew),
                ("crew", crew),
                ("product", "marl-cc-20"),
                ("finished", "2026-10-01"),
                ("area", "4000 ft2"),
                ("meanDepth", "3 in"),
                ("sets", "4"),
                ("substrate", "60 F"),
                ("drum", "70 F"),
                ("lift", "2 in"),
            ];
            await SendAsync(HttpMethod.Post, "/api/past-jobs", finished);
        }

        // A crew of its own sprays this job, so that nobody else's changes with it.
        private string Crew { get; } = $"Crew {Guid.NewGuid():N}"[..20];

        public async Task OfCrewAsync(params (string, string)[] fields)
        {
            var crew = await CrewRecordAsync();
            await EditAtAsync($"/api/means/{crew.Text("id")}", crew["version"]!.GetValue<uint>(), fields);
        }

        // Its rig carries next to nothing.
        public async Task RigAsync()
        {
            var crew = await CrewRecordAsync();
            (string, string)[] rig = [("kind", "rig"), ("name", crew.Text("name")), ("crew", crew.Text("id")), ("trailer", "101 kg")];
            await SendAsync(HttpMethod.Post, "/api/means", rig);
        }

        private async Task<JsonNode> CrewRecordAsync() =>
            (await Records.Client.GetJsonAsync("/api/means"))["all"]!.AsArray().Single(one => one!.Text("name") == Crew)!;

        /// <summary>All that is shown of the job from kept figures.</summary>
        public async Task<string> ShownAsync()
        {
            List<string> shown = [];
            foreach (
                var path in new[]
                {
                    $"/api/jobs/{Job}/board",
                    $"/api/jobs/{Job}/price",
                    $"/api/jobs/{Job}/order",
                    $"/api/surfaces/{Beyond}/sets",
                    $"/api/surfaces/{Beyond}/cold-routes",
                    $"/api/surfaces/{Beyond}/kits",
                    $"/api/surfaces/{Beyond}/inch-ledger",
                }
            )
            {
                var answer = await Records.Client.GetAsync(path);
                var text = await answer.Content.ReadAsStringAsync();
                shown.Add(answer.IsSuccessStatusCode ? Told(JsonNode.Parse(text)!) : answer.StatusCode.ToString());
            }

            return string.Join("\n", shown);
        }

        // That something was changed at all may show in its version.
        private static string Told(JsonNode answer)
        {
            Strip(answer);
            return answer.ToJsonString();
        }

        private static void Strip(JsonNode? node)
        {
            if (node is JsonObject one)
            {
                one.Remove("version");
                one.Remove("jobVersion");
                one.ToList().ForEach(part => Strip(part.Value));
            }
            else if (node is JsonArray all)
            {
                all.ToList().ForEach(Strip);
            }
        }
    }
}
