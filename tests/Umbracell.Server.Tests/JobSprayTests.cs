using System.Globalization;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>A job by its log: its material, what it cost, what its crew learns from it, and the store it draws from.</summary>
public sealed class JobSprayTests(Product product)
{
    private const string Foam = "marl-cc-20";

    [Fact]
    public async Task Learning_from_a_logged_job_is_learning_from_the_same_job_typed()
    {
        var logged = await SprayedJob.OfAsync(product);
        await logged.SprayAsync();
        (await logged.PastJobsAsync())["jobs"]!.AsArray().ShouldBeEmpty();
        await logged.LogAsync(0, ("kind", "jobFinished"));
        var past = await logged.PastJobsAsync();
        var job = past["jobs"]!.AsArray().ShouldHaveSingleItem()!;
        job.Text("name").ShouldBe(logged.Name);

        // Two walls of 10 by 8 ft, less their members; as deep as it was read.
        var course = (await logged.GetAsync())["courses"]![0]!;
        Amount(job, "actual").ShouldBe(Amount(course["yield"]!["actual"]!), 1e-9);
        Amount(job, "sets").ShouldBe(Amount(course["used"]!), 1e-9);
        (Amount(job, "area") * Amount(job, "meanDepth")).ShouldBe(Amount(course["sprayed"]!), 1e-9);

        var typed = await SprayedJob.OfAsync(product);
        (string, string)[] fields =
        [
            ("name", "Typed"),
            ("crew", SprayedJob.Crew),
            ("product", Foam),
            ("finished", job.Text("finishedOn")),
            ("area", Si(job, "area", "m2")),
            ("meanDepth", Si(job, "meanDepth", "m")),
            ("sets", Si(job, "sets", "")),
            ("substrate", Si(job, "substrate", "C")),
            ("drum", Si(job, "drum", "C")),
            ("lift", Si(job, "lift", "m")),
            ("depthReadings", Si(job, "depthReadings", "")),
            ("depthScatter", Si(job, "depthScatter", "m")),
        ];
        var (status, answer) = await typed.Client.SendJsonAsync(HttpMethod.Post, "/api/past-jobs", Asking.Typed(null, "metric", fields));
        status.ShouldBe(200, answer.ToJsonString());
        foreach (var figure in new[] { "logMean", "logSd", "dataMean", "dataSd" })
        {
            answer["crews"]![0]![figure]!.GetValue<double>().ShouldBe(past["crews"]![0]![figure]!.GetValue<double>(), 1e-6, figure);
        }
    }

    [Fact]
    public async Task A_finished_job_is_learned_anew_when_its_log_is_corrected_and_forgotten_when_it_goes_on()
    {
        var job = await SprayedJob.OfAsync(product);
        var depth = await job.SprayAsync();
        await job.LogAsync(0, ("kind", "jobFinished"));
        var before = (await job.PastJobsAsync())["jobs"]![0]!;
        await job.LogAsync(0, ("kind", "depth"), ("replaces", depth), ("depth", "3 1/2 in"));
        var after = (await job.PastJobsAsync())["jobs"]!.AsArray().ShouldHaveSingleItem()!;
        after.Text("id").ShouldBe(before.Text("id"));
        Amount(after, "meanDepth").ShouldBeGreaterThan(Amount(before, "meanDepth") + 0.002);
        (await job.StateAsync()).ShouldBe("finished");

        // A job is not predicted from its own log.
        var expected = Amount((await job.GetAsync())["courses"]![0]!["yield"]!["expected"]!);
        await job.LogAsync(0, ("kind", "jobReopened"));
        (await job.PastJobsAsync())["jobs"]!.AsArray().ShouldBeEmpty();
        (await job.StateAsync()).ShouldBe("underWay");
        Amount((await job.GetAsync())["courses"]![0]!["yield"]!["expected"]!).ShouldBe(expected, 1e-12);
    }

    [Fact]
    public async Task Who_sprays_at_a_job_that_somebody_else_has_finished_goes_on_with_it()
    {
        var job = await SprayedJob.OfAsync(product);
        await job.SprayAsync();
        await job.LogAsync(20, ("kind", "jobFinished"));
        await job.LogAsync(0, ("kind", "liftBegun"));
        (await job.GetAsync())["finishedAt"].ShouldBeNull();
        (await job.StateAsync()).ShouldBe("underWay");
        (await job.PastJobsAsync())["jobs"]!.AsArray().ShouldBeEmpty();

        // Of a lift that happened before and is sent late it stays finished.
        var late = await SprayedJob.OfAsync(product);
        await late.SprayAsync();
        await late.LogAsync(20, ("kind", "jobFinished"));
        var lift = $"{Guid.NewGuid()}";
        await late.LogAsync(40, ("kind", "liftBegun"), ("entry", lift));
        await late.LogAsync(35, ("kind", "liftEnded"), ("of", lift));
        (await late.GetAsync())["finishedAt"].ShouldNotBeNull();
        (await late.PastJobsAsync())["jobs"]!.AsArray().ShouldBeEmpty("what the late lift made of the depth nobody has read");
        await late.LogAsync(0, ("kind", "depth"), ("depth", "3 3/4 in"), ("of", lift));
        (await late.PastJobsAsync())["jobs"]!.AsArray().ShouldHaveSingleItem();
    }

    [Fact]
    public async Task A_wall_that_was_begun_and_stopped_fifty_times_is_learned_from_and_nothing_breaks()
    {
        var job = await SprayedJob.OfAsync(product);
        foreach (var side in new[] { "a", "b" })
        {
            await job.LogAsync(200, ("kind", "drumOpened"), ("side", side), ("lot", "one"));
        }

        var lift = "";
        for (var i = 0; i < 50; i++)
        {
            lift = $"{Guid.NewGuid()}";
            await job.LogAsync(190 - 3 * i, ("kind", "liftBegun"), ("entry", lift));
            await job.LogAsync(189 - 3 * i, ("kind", "liftEnded"), ("of", lift));
        }

        await job.LogAsync(5, ("kind", "depth"), ("depth", "3 in"), ("of", lift));

        // Levels read the moment the first lift was begun, by a clock that is a little off.
        foreach (var side in new[] { "a", "b" })
        {
            await job.LogAsync(190, ("kind", "drumLevel"), ("side", side), ("dip", "25 in"));
        }

        await job.LogAsync(0, ("kind", "jobFinished"));
        (await job.PastJobsAsync())["crews"]!.AsArray().ShouldHaveSingleItem()!["jobs"]!.GetValue<int>().ShouldBe(1);
        (await job.Client.GetJsonAsync($"/api/jobs/{job.Job}/board"))["feet"]!["setsUsed"].ShouldNotBeNull();
        (await job.GetAsync())["courses"]!.AsArray().ShouldHaveSingleItem();
    }

    [Fact]
    public async Task What_is_missing_before_it_can_be_learned_from_is_told()
    {
        var job = await SprayedJob.OfAsync(product);
        (await LacksAsync(job)).ShouldBe(["lifts"]);
        var lift = $"{Guid.NewGuid()}";
        await job.LogAsync(90, ("kind", "liftBegun"), ("entry", lift));
        await job.LogAsync(80, ("kind", "liftEnded"), ("of", lift));
        (await LacksAsync(job)).ShouldBe(["levels", "depths"]);
        await job.LogAsync(0, ("kind", "jobFinished"));
        (await job.PastJobsAsync())["jobs"]!.AsArray().ShouldBeEmpty();
    }

    [Fact]
    public async Task A_drum_that_is_opened_leaves_the_store_and_what_is_left_of_it_comes_back()
    {
        var job = await SprayedJob.OfAsync(product);
        var lot = await job.StoreAsync("a", full: 2);
        var id = $"{Guid.NewGuid()}";
        await job.LogAsync(60, ("kind", "drumOpened"), ("entry", id), ("side", "a"), ("stock", lot));
        await job.LogAsync(60, ("kind", "drumOpened"), ("entry", id), ("side", "a"), ("stock", lot));
        (await job.LotAsync(lot)).ShouldBe((1, 0));

        await job.LogAsync(0, ("kind", "withdrawn"), ("replaces", id));
        (await job.LotAsync(lot)).ShouldBe((2, 0));

        await job.LogAsync(50, ("kind", "drumOpened"), ("side", "a"), ("stock", lot));
        await job.LogAsync(40, ("kind", "drumLevel"), ("side", "a"), ("weight", "100 kg"));
        await job.LogAsync(0, ("kind", "jobFinished"));
        (await job.LotAsync(lot)).ShouldBe((1, 100));
        await job.LogAsync(0, ("kind", "jobReopened"));
        (await job.LotAsync(lot)).ShouldBe((1, 0));

        // What was opened before is gone on with: the part of a drum first has to be all there is.
        var part = await job.StoreAsync("b", full: 0, "50 kg");
        var opened = await job.LogAsync(0, ("kind", "drumOpened"), ("side", "b"), ("stock", part));
        (await job.LotAsync(part)).ShouldBe((0, 0));
        Amount(opened["answer"]!["drums"]![1]!["left"]!).ShouldBe(100 * 50 / MassB(), 1e-6);
    }

    [Fact]
    public async Task More_in_a_drum_than_one_holds_is_refused_by_the_weight_it_can_have()
    {
        var job = await SprayedJob.OfAsync(product);
        var (status, refused) = await job.SendAsync(0, ("kind", "drumLevel"), ("side", "a"), ("weight", "700 kg"));
        (status, refused["faults"]!.AsArray().ShouldHaveSingleItem()!.Text("field")).ShouldBe((400, "weight"));
    }

    [Fact]
    public async Task Strokes_go_on_from_the_level_before_and_never_under_nothing()
    {
        var job = await SprayedJob.OfAsync(product);
        var (none, why) = await job.SendAsync(50, ("kind", "drumLevel"), ("side", "a"), ("strokes", "100"), ("strokesOfDrum", "1600"));
        (none, why["faults"]!.AsArray().ShouldHaveSingleItem()!.Text("field")).ShouldBe((400, "strokes"), "no drum is open to go on from");
        await job.LogAsync(40, ("kind", "drumOpened"), ("side", "a"), ("lot", "a-1"));
        var (lacking, _) = await job.SendAsync(35, ("kind", "drumLevel"), ("side", "a"), ("strokes", "400"));
        lacking.ShouldBe(400);
        Amount(await LeftAsync(30, "400")).ShouldBe(75, 1e-9);
        Amount(await LeftAsync(20, "800")).ShouldBe(25, 1e-9);
        Amount(await LeftAsync(10, "800")).ShouldBe(0, 1e-9);

        async Task<JsonNode> LeftAsync(int ago, string strokes) =>
            (await job.LogAsync(ago, ("kind", "drumLevel"), ("side", "a"), ("strokes", strokes), ("strokesOfDrum", "1600")))["answer"]![
                "drums"
            ]![0]!["left"]!;
    }

    [Fact]
    public async Task A_drum_that_is_opened_ends_the_shots_before_it_and_one_that_was_not_opened_does_not()
    {
        var rig = await RigAtWork.OfAsync(product);
        var now = DateTimeOffset.UtcNow;
        await rig.ReadAsync(now.AddMinutes(-40), ("substrate", "70 F"), ("air", "70 F"), ("drumA", "75 F"), ("drumB", "75 F"));
        await rig.SetAsync(now.AddMinutes(-30));
        var fired = await rig.FireAsync([("cream", "4"), ("rose", "full")], now.AddMinutes(-20));
        fired["shots"]![0]!["loss"].ShouldBeNull();
        var id = $"{Guid.NewGuid()}";
        await OpenAsync(now.AddMinutes(-10), ("kind", "drumOpened"), ("entry", id), ("side", "a"));
        (await rig.GetAsync())["shots"]![0]!["loss"]!.GetValue<string>().ShouldBe("drums");
        await OpenAsync(now, ("kind", "withdrawn"), ("replaces", id));
        (await rig.GetAsync())["shots"]![0]!["loss"].ShouldBeNull();
        await OpenAsync(now.AddMinutes(-25), ("kind", "drumOpened"), ("side", "a"));
        (await rig.GetAsync())["shots"]![0]!["loss"].ShouldBeNull();

        async Task OpenAsync(DateTimeOffset at, params (string, string)[] fields)
        {
            var command = EditedRecords.Command(Guid.NewGuid(), at, null, fields);
            var (status, answer) = await rig.Client.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{rig.Wall}/spray-log", command);
            status.ShouldBe(200, answer.ToJsonString());
        }
    }

    [Fact]
    public async Task A_photo_of_an_entry_goes_along_in_the_job_file_and_one_of_another_job_is_refused()
    {
        var job = await SprayedJob.OfAsync(product);
        var note = $"{Guid.NewGuid()}";
        await job.LogAsync(0, ("kind", "defect"), ("words", "hollow at bay 3"), ("entry", note));
        var path = $"/api/jobs/{job.Job}/photos?surface={job.One}&entry={note}";
        (await job.Client.UploadAsync(path, CommandTests.Picture())).Body[0]!.Text("logEntryId").ShouldBe(note);

        var file = await job.Client.GetStringAsync($"/api/jobs/{job.Job}/file", TestContext.Current.CancellationToken);
        var (status, brought) = await job.Client.SendJsonAsync(HttpMethod.Post, "/api/jobs/file", JsonNode.Parse(file)!);
        status.ShouldBe(201, brought.ToJsonString());
        var photo = (await job.Client.GetJsonAsync($"/api/jobs/{brought.Text("id")}/photos")).AsArray().ShouldHaveSingleItem()!;
        var there = await job.Client.GetJsonAsync($"/api/surfaces/{photo.Text("surfaceId")}/spray");
        there["question"]!["entries"]!.AsArray().ShouldContain(entry => entry!.Text("id") == photo.Text("logEntryId"));

        (await job.Client.UploadAsync($"/api/jobs/{brought.Text("id")}/photos?entry={note}", CommandTests.Picture())).Status.ShouldBe(404);
    }

    [Fact]
    public async Task How_it_lasts_is_what_the_core_says_when_it_is_asked()
    {
        var job = await SprayedJob.OfAsync(product);
        await job.SprayAsync();
        await job.LogAsync(0, ("kind", "drumsOnTruck"), ("side", "a"), ("count", "1"));
        var course = (await job.GetAsync())["courses"]![0]!;
        var sides = course["sides"]!.AsArray();
        sides[0]!["isOfTruck"]!.GetValue<bool>().ShouldBeTrue();
        Amount(sides[0]!["onHand"]!).ShouldBeInRange(1, 2);
        var (status, told) = await job.Client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/yield",
            new
            {
                expectedM3 = 9.5,
                yieldSd = 0.1,
                sprayedM3 = Amount(course["sprayed"]!),
                usedSetsA = Amount(sides[0]!["used"]!),
                usedSetsB = Amount(sides[1]!["used"]!),
                leftM3 = Amount(course["left"]!),
                onRigSetsA = Amount(sides[0]!["onHand"]!),
                onRigSetsB = Amount(sides[1]!["onHand"]!),
            }
        );
        status.ShouldBe(200, told.ToJsonString());
        Amount(told["actual"]!).ShouldBe(Amount(course["yield"]!["actual"]!), 1e-12);
        told.Text("scarcer").ShouldBe(course["yield"]!.Text("scarcer"));
    }

    [Fact]
    public async Task What_it_cost_is_told_to_those_who_price_and_to_nobody_else()
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner, FirmRole.CrewLead);
        await Product.GiveSheetAsync(names[0], Foam);
        var job = await SprayedJob.OfAsync(product, names[0]);
        await job.SprayAsync();
        var lead = await product.SignedInAsync(names[1]);
        (await lead.GetJsonAsync($"/api/jobs/{job.Job}/spray"))["cost"].ShouldBeNull();
        var cost = (await job.GetAsync())["cost"]!;

        // Nobody entered a price for a set: it is said, and nothing stands for it.
        cost["missing"]!.AsArray().Select(one => one!.GetValue<string>()).ShouldBe(["Marl CC-20"]);
        var (status, priced) = await job.Client.SendJsonAsync(
            HttpMethod.Patch,
            "/api/firm",
            Asking.Typed(null, "us", ("set:marl-cc-20", "2000"), ("crewHour", "100"))
        );
        status.ShouldBe(200, priced.ToJsonString());
        var told = await job.GetAsync();
        var foam = told["cost"]!["lines"]!.AsArray().Single(line => line!.Text("key") == "foam:" + Foam)!;
        Amount(foam["done"]!["amount"]!).ShouldBe(2000 * Amount(told["courses"]![0]!["used"]!), 0.006);
        var crew = told["cost"]!["lines"]!.AsArray().Single(line => line!.Text("key") == "crew")!;
        Amount(crew["done"]!["amount"]!).ShouldBe(100 * Amount(told["onSite"]!) / 3600, 0.006);

        await job.LogAsync(40, ("kind", "fuelBought"), ("cost", "84.50"));
        var fuel = (await job.GetAsync())["cost"]!["lines"]!.AsArray().Single(line => line!.Text("key") == "fuel")!;
        Amount(fuel["done"]!["amount"]!).ShouldBe(84.5);
        (await job.SendAsync(0, ("kind", "fuelBought"), ("cost", "much"))).Status.ShouldBe(400);

        // From the first entry of the day, three hours ago, to the last.
        Amount(told["onSite"]!).ShouldBe(2.5 * 3600, 60);
    }

    private static double MassB() => ProductSheetFile.Read(Foam, ShippedData.ProductSheets[Foam]).SetMassB.Kilograms;

    private static async Task<IEnumerable<string>> LacksAsync(SprayedJob job) =>
        (await job.GetAsync())["courses"]![0]!["lacks"]!.AsArray().Select(one => one!.GetValue<string>());

    private static double Amount(JsonNode figure) => figure["amount"]!.GetValue<double>();

    private static double Amount(JsonNode job, string figure) => Amount(job["figures"]![figure]!);

    private static string Si(JsonNode job, string figure, string unit) =>
        string.Create(CultureInfo.InvariantCulture, $"{Amount(job, figure):R} {unit}").Trim();

    /// <summary>A job with two walls of a firm of its own, sprayed by one crew.</summary>
    private sealed record SprayedJob(HttpClient Client, string Name, string Job, string One, string Two)
    {
        public const string Crew = "Heron";

        public static async Task<SprayedJob> OfAsync(Product product, string? owner = null)
        {
            var client = await product.SignedInAsync(owner ?? await Product.NewFirmThatSpraysAsync());
            var name = $"Logged {Guid.NewGuid():N}";
            var (_, job) = await client.SendJsonAsync(
                HttpMethod.Post,
                "/api/jobs",
                Asking.Typed(null, "us", ("name", name), ("climateZone", "6A"), ("crew", Crew))
            );
            return new(client, name, job.Text("id"), await WallAsync("One"), await WallAsync("Two"));

            async Task<string> WallAsync(string wall)
            {
                var (status, answer) = await client.SendJsonAsync(
                    HttpMethod.Post,
                    $"/api/jobs/{job.Text("id")}/surfaces",
                    Asking.Typed(
                        null,
                        "us",
                        ("name", wall),
                        ("kind", "studWall"),
                        ("size", "40' x 10'"),
                        ("sheet", Foam),
                        ("thickness", "3")
                    )
                );
                status.ShouldBe(201, answer.ToJsonString());
                return answer.Text("id");
            }
        }

        /// <summary>Both walls in one day, from three hours ago to half an hour ago; gives the id of the first depth.</summary>
        public async Task<string> SprayAsync()
        {
            foreach (var side in new[] { "a", "b" })
            {
                await LogAsync(180, ("kind", "drumOpened"), ("side", side), ("lot", $"{side}-1"));
            }

            var first = $"{Guid.NewGuid()}";
            await LiftAsync(One, 170, (first, "3 1/8 in"), (null, "3 3/8 in"));
            await LiftAsync(Two, 120, (null, "3 in"), (null, "3 1/4 in"));
            await LogAsync(30, ("kind", "drumLevel"), ("side", "a"), ("dip", "21 in"));
            await LogAsync(30, ("kind", "drumLevel"), ("side", "b"), ("dip", "21 in"));
            return first;
        }

        private async Task LiftAsync(string wall, int ago, params (string? Id, string Depth)[] depths)
        {
            foreach (var number in new[] { 0, 1 })
            {
                var lift = $"{Guid.NewGuid()}";
                await SaidAsync(wall, ago - 25 * number, ("kind", "liftBegun"), ("entry", lift));
                await SaidAsync(wall, ago - 25 * number - 15, ("kind", "liftEnded"), ("of", lift));
                if (number == 1)
                {
                    foreach (var (id, depth) in depths)
                    {
                        await SaidAsync(
                            wall,
                            ago - 42,
                            ("kind", "depth"),
                            ("depth", depth),
                            ("of", lift),
                            ("entry", id ?? $"{Guid.NewGuid()}")
                        );
                    }
                }
            }
        }

        public Task<JsonNode> GetAsync() => Client.GetJsonAsync($"/api/jobs/{Job}/spray");

        public Task<JsonNode> PastJobsAsync() => Client.GetJsonAsync("/api/past-jobs");

        public async Task<string> StateAsync() => (await Client.GetJsonAsync($"/api/jobs/{Job}/board"))["job"]!.Text("state");

        public Task<JsonNode> LogAsync(int minutesAgo, params (string, string)[] fields) => SaidAsync(One, minutesAgo, fields);

        public Task<(int Status, JsonNode Answer)> SendAsync(int minutesAgo, params (string, string)[] fields) =>
            SendAsync(One, minutesAgo, fields);

        private async Task<JsonNode> SaidAsync(string wall, int minutesAgo, params (string, string)[] fields)
        {
            var (status, answer) = await SendAsync(wall, minutesAgo, fields);
            status.ShouldBe(200, answer.ToJsonString());
            return answer;
        }

        private Task<(int Status, JsonNode Answer)> SendAsync(string wall, int minutesAgo, (string, string)[] fields) =>
            Client.SendJsonAsync(
                HttpMethod.Post,
                $"/api/surfaces/{wall}/spray-log",
                EditedRecords.Command(Guid.NewGuid(), DateTimeOffset.UtcNow.AddMinutes(-minutesAgo), null, fields)
            );

        public async Task<string> StoreAsync(string side, int full, string part = "0 kg")
        {
            var id = Guid.CreateVersion7();
            (string, string)[] fields = [("product", Foam), ("side", side), ("lot", $"{id:N}"), ("full", $"{full}"), ("part", part)];
            var (status, answer) = await Client.SendJsonAsync(HttpMethod.Post, "/api/stock", EditedRecords.Command(id, null, null, fields));
            status.ShouldBe(200, answer.ToJsonString());
            return $"{id}";
        }

        /// <summary>Full drums of a lot, and kilograms in opened ones.</summary>
        public async Task<(int Full, double Kilograms)> LotAsync(string id)
        {
            var lot = (await Client.GetJsonAsync("/api/stock"))["lots"]!.AsArray().Single(one => one!.Text("id") == id)!;
            return (lot["full"]!.GetValue<int>(), Math.Round(Amount(lot["part"]!), 6));
        }
    }
}
