using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Xunit;
using static Umbracell.Server.Tests.OwnSheets;

namespace Umbracell.Server.Tests;

/// <summary>Editions of product sheets: what was figured with one keeps to it, until somebody takes the next.</summary>
public sealed class SheetEditionTests(Product product)
{
    [Fact]
    public async Task A_job_keeps_the_edition_it_was_figured_with_says_when_a_newer_one_stands_and_takes_it_when_told()
    {
        var client = await OwnFirmAsync(product);
        var sheet = await CopyAsync(client, "Yarrow CC");
        var (job, wall) = await WallAsync(client, "yarrow-cc");
        var before = await SetsAsync(client, job);

        var (status, next) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets/yarrow-cc/editions",
            Edit(
                "us",
                Version(sheet),
                ("edition", "sheet 9"),
                ("yieldBoardFeet", "2175"),
                ("agedR.1.r", "R-12"),
                ("substrateC.least", "45 F"),
                ("airC.greatest", "122 F")
            )
        );
        status.ShouldBe(200, next.ToJsonString());
        next["editions"]!
            .AsArray()
            .Select(e => (e!.Text("edition"), e!["stands"]!.GetValue<bool>()))
            .ShouldBe([("sheet 9", true), ("sheet 3, demo", false)]);
        next["editions"]![0]!["changed"]!
            .AsArray()
            .Select(p => p!.GetValue<string>())
            .ShouldBe(["substrateC.least", "airC.greatest", "yieldBoardFeet", "agedR"]);
        next["jobs"]!.AsArray().Select(j => (int)j!.Number("number")).ShouldBe([1]);

        (await SetsAsync(client, job)).ShouldBe(before);
        (await SectionRAsync(client, wall)).ShouldBe("R-13.3");
        (await FoamRAsync(client, "yarrow-cc")).ShouldBe("R-12.0");
        (await FoamRAsync(client, "yarrow-cc", job)).ShouldBe("R-13.3");

        var told = (await client.GetJsonAsync($"/api/jobs/{job}/editions")).AsArray().Single()!;
        (told.Text("held"), told.Text("standing")).ShouldBe(("sheet 3, demo", "sheet 9"));
        var change = told["changes"]!.AsArray().Single(c => c!.Text("path") == "yieldBoardFeet")!;
        (change["was"]!.Text("us"), change["now"]!.Text("us")).ShouldBe(("4,350 bd ft", "2,175 bd ft"));

        // A limit that was drawn tighter is told apart from one that was loosened.
        told["changes"]!
            .AsArray()
            .Where(c => c!["isTighter"]!.GetValue<bool>())
            .Select(c => c!.Text("path"))
            .ShouldBe(["substrateC.least"]);

        // What the board and the price show follows the edition that is taken, and comes back with it.
        var command = Guid.CreateVersion7();
        await PatchAsync(client, $"/api/jobs/{job}", EditedRecords.Command(command, null, null, ("edition:yarrow-cc", "")));
        (await SetsAsync(client, job)).ShouldBe(2 * before, 0.02 * before);
        (await SectionRAsync(client, wall)).ShouldBe("R-12.0");
        (await client.GetJsonAsync($"/api/jobs/{job}/editions")).AsArray().ShouldBeEmpty();
        (await client.SendJsonAsync(HttpMethod.Post, $"/api/commands/{command}/undo", new { id = Guid.CreateVersion7() })).Status.ShouldBe(
            200
        );
        (await SetsAsync(client, job)).ShouldBe(before);
    }

    [Fact]
    public async Task Of_two_editions_at_once_the_second_is_refused_with_the_first_in_sight()
    {
        var client = await OwnFirmAsync(product);
        var sheet = await CopyAsync(client, "Burnet CC");
        await WallAsync(client, "burnet-cc");
        var answers = await Task.WhenAll(
            Enumerable
                .Range(0, 6)
                .Select(i =>
                    client.SendJsonAsync(
                        HttpMethod.Post,
                        "/api/sheets/burnet-cc/editions",
                        Edit("us", Version(sheet), ("edition", $"sheet {10 + i}"))
                    )
                )
        );
        answers.Count(a => a.Status == 200).ShouldBe(1, string.Join("\n", answers.Select(a => $"{a.Status} {a.Body}")));
        answers.Where(a => a.Status != 200).ShouldAllBe(a => a.Status == 409);
        var now = await client.GetJsonAsync("/api/sheets/burnet-cc");
        now["editions"]!.AsArray().Count.ShouldBe(2);
        var (late, said) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets/burnet-cc/editions",
            Edit("us", Version(sheet), ("edition", "sheet 30"))
        );
        late.ShouldBe(409);
        said["theirs"]!["summary"]!.Number("version").ShouldBe(now["summary"]!.Number("version"));

        // One name for two editions would leave a job without a word for which it keeps to.
        var (same, why) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets/burnet-cc/editions",
            Edit("us", Version(now), ("windLimitMs", "3 m/s"))
        );
        same.ShouldBe(200, why.ToJsonString());
        await WallAsync(client, "burnet-cc");
        (same, why) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets/burnet-cc/editions",
            Edit("us", Version(why), ("windLimitMs", "4 m/s"))
        );
        same.ShouldBe(400);
        why["errors"]!["edition"]![0]!.GetValue<string>().ShouldContain("already");
    }

    [Fact]
    public async Task A_retired_product_is_offered_no_more_but_stays_where_it_is_used_and_may_come_back()
    {
        var client = await OwnFirmAsync(product);
        var sheet = await CopyAsync(client, "Mallow CC");
        var (job, wall) = await WallAsync(client, "mallow-cc");
        var (_, other) = await WallAsync(client, "marl-cc-20");
        (await OfferedAsync(client, other)).ShouldContain("mallow-cc");

        var edit = Asking.Typed((uint)sheet["summary"]!.Number("version"), "us", ("retired", "yes"));
        var retired = await PatchAsync(client, "/api/sheets/mallow-cc", edit);
        retired["summary"]!["retired"]!.GetValue<bool>().ShouldBeTrue();
        (await OfferedAsync(client, other)).ShouldNotContain("mallow-cc");
        (await OfferedAsync(client, wall)).ShouldContain("mallow-cc");
        (await SetsAsync(client, job)).ShouldBeGreaterThan(0);

        await PatchAsync(
            client,
            "/api/sheets/mallow-cc",
            Asking.Typed((uint)retired["summary"]!.Number("version"), "us", ("retired", "no"))
        );
        (await OfferedAsync(client, other)).ShouldContain("mallow-cc");
    }

    [Fact]
    public async Task A_job_goes_to_another_firm_with_its_sheets_and_is_figured_there_as_at_home()
    {
        var client = await OwnFirmAsync(product);
        var token = TestContext.Current.CancellationToken;
        await CopyAsync(client, "Tansy CC", ("yieldBoardFeet", "3000"));
        var (job, _) = await WallAsync(client, "tansy-cc");
        var file = await client.GetByteArrayAsync($"/api/jobs/{job}/file", token);

        var away = await OwnFirmAsync(product);
        var (status, came) = await away.UploadAsync("/api/jobs/file", file);
        status.ShouldBe(201, came.ToJsonString());
        (await SetsAsync(away, came.Text("id"))).ShouldBe(await SetsAsync(client, job));
        var there = await away.GetJsonAsync("/api/sheets/tansy-cc");
        there["summary"]!.Text("origin").ShouldBe("job");

        // Where the firm has another edition of that product, its own stands and the job keeps the one it came with.
        var (_, theirs) = await away.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets/tansy-cc/editions",
            Edit("us", Version(there), ("edition", "sheet 20"), ("yieldBoardFeet", "2000"))
        );
        var (_, again) = await away.UploadAsync("/api/jobs/file", file);
        (await SetsAsync(away, again.Text("id"))).ShouldBe(await SetsAsync(client, job));
        (await away.GetJsonAsync($"/api/jobs/{again.Text("id")}/editions")).AsArray().Single()!.Text("standing").ShouldBe("sheet 20");
        theirs["editions"]!.AsArray().Count.ShouldBe((await away.GetJsonAsync("/api/sheets/tansy-cc"))["editions"]!.AsArray().Count);
    }

    [Fact]
    public async Task Finished_jobs_are_judged_by_the_edition_they_were_sprayed_by()
    {
        var client = await OwnFirmAsync(product);
        var sheet = await CopyAsync(client, "Betony CC");
        var past = EditedRecords
            .PastJob.Where(f => f.Item1 != "leftOut")
            .Select(f => f.Item1 == "product" ? (f.Item1, "betony-cc") : f)
            .ToArray();
        var (made, answer) = await client.SendJsonAsync(HttpMethod.Post, "/api/past-jobs", EditedRecords.Command(null, past));
        made.ShouldBe(200, answer.ToJsonString());
        var ratio = answer["jobs"]![0]!.Number("ratioPct");
        var (status, next) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets/betony-cc/editions",
            Edit("us", Version(sheet), ("edition", "sheet 7"), ("yieldBoardFeet", "3000"))
        );
        status.ShouldBe(200, next.ToJsonString());
        (await client.GetJsonAsync("/api/past-jobs"))["jobs"]![0]!.Number("ratioPct").ShouldBe(ratio);
    }

    [Fact]
    public async Task A_product_that_was_retired_and_offered_again_still_leaves_jobs_their_edition()
    {
        var client = await OwnFirmAsync(product);
        var sheet = await CopyAsync(client, "Hemp CC");
        var (job, _) = await WallAsync(client, "hemp-cc");
        var before = await SetsAsync(client, job);
        var retired = await PatchAsync(
            client,
            "/api/sheets/hemp-cc",
            Asking.Typed((uint)sheet["summary"]!.Number("version"), "us", ("retired", "yes"))
        );

        // The next edition of a retired product is retired too, and the job keeps to the one before.
        var (status, next) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets/hemp-cc/editions",
            Edit("us", Version(retired), ("edition", "sheet 8"), ("yieldBoardFeet", "2000"))
        );
        status.ShouldBe(200, next.ToJsonString());
        next["editions"]!.AsArray().Count.ShouldBe(2);
        next["summary"]!["retired"]!.GetValue<bool>().ShouldBeTrue();
        (await SetsAsync(client, job)).ShouldBe(before);

        // A job that is told to keep to the very edition that stands is not carried along by the next one either.
        await PatchAsync(client, $"/api/jobs/{job}", Asking.Typed(null, "us", ("edition:hemp-cc", "2")));
        var second = await SetsAsync(client, job);
        (status, next) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets/hemp-cc/editions",
            Edit("us", Version(next), ("edition", "sheet 9"), ("yieldBoardFeet", "1000"))
        );
        status.ShouldBe(200, next.ToJsonString());
        (await SetsAsync(client, job)).ShouldBe(second);
    }

    [Fact]
    public async Task A_file_that_is_sent_again_is_answered_though_it_changed_the_sheet_in_place()
    {
        var client = await OwnFirmAsync(product);
        await CopyAsync(client, "Flax CC");
        var file = await client.GetStringAsync("/api/sheets/flax-cc/file", TestContext.Current.CancellationToken);
        var changed = Encoding.UTF8.GetBytes(
            file.Replace("\"yieldBoardFeet\": 4350", "\"yieldBoardFeet\": 4200", StringComparison.Ordinal)
        );
        var path = $"/api/sheets/file?command={Guid.CreateVersion7()}";
        foreach (var _ in Enumerable.Range(0, 2))
        {
            var (status, answer) = await client.UploadAsync(path, changed);
            status.ShouldBe(201, answer.ToJsonString());
            answer["sheet"]!["editions"]!.AsArray().Count.ShouldBe(1);
        }
    }

    [Fact]
    public async Task The_gate_of_a_job_keeps_to_the_tighter_of_its_edition_and_the_one_in_force()
    {
        var client = await OwnFirmAsync(product);
        var sheet = await CopyAsync(client, "Nettle CC");
        var (job, _) = await WallAsync(client, "nettle-cc");
        (await GateAsync(client, job)).ShouldBe(("sheet 3, demo", "39.2 °F", "80 %"));

        // The substrate's window is tighter now, the humidity looser: the job is held to the first and not let off by the second.
        var (status, next) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets/nettle-cc/editions",
            Edit("us", Version(sheet), ("edition", "sheet 4"), ("substrateC.least", "45 F"), ("greatestHumidityPct", "90 %"))
        );
        status.ShouldBe(200, next.ToJsonString());
        (await GateAsync(client, job)).ShouldBe(("sheet 3, demo / sheet 4", "45 °F", "80 %"));
        (await GateAsync(client, null)).ShouldBe(("sheet 4", "45 °F", "90 %"));
        (await SetsAsync(client, job)).ShouldBeGreaterThan(0);
    }

    // The edition the gate cites, the substrate it asks for and the humidity it allows.
    private static async Task<(string Edition, string Substrate, string Humidity)> GateAsync(HttpClient client, string? job)
    {
        var question = new
        {
            sheetId = "nettle-cc",
            substrateKind = "wood",
            substrate = new { tempC = 6 },
            air = new { tempC = 6 },
            humidity = new { rhPct = 95 },
            prepared = Array.Empty<string>(),
        };
        var (status, gate) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/gate" + (job is null ? "" : $"?job={job}"),
            question
        );
        status.ShouldBe(200, gate.ToJsonString());
        var (substrate, humidity) = (Finding("G1"), Finding("G4"));
        return (substrate["source"]!["words"]!.Text("edition"), substrate["limit"]!.Text("us"), humidity["limit"]!.Text("us"));

        JsonNode Finding(string rule) => gate["findings"]!.AsArray().Single(f => f!.Text("rule") == rule)!;
    }
}
