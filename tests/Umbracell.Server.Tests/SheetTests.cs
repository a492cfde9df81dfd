using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Sheets;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Product sheets of the firm's own: typed, copied, brought in, in editions that jobs keep to, retired and removed.</summary>
public sealed class SheetTests(Product product)
{
    [Fact]
    public async Task A_copy_with_one_figure_changed_is_sprayed_by_its_own_figure_and_the_sample_stays()
    {
        var client = await OwnFirmAsync();
        var sheet = await CopyAsync(client, "Teasel CC", ("agedR.1.r", "R-14"), ("substrateC.least", "35 F"));
        sheet["summary"]!.Text("id").ShouldBe("teasel-cc");
        sheet["summary"]!.Text("origin").ShouldBe("own");
        Line(sheet, "substrateC.least").Text("us").ShouldBe("35 °F");
        Line(sheet, "lift.greatestIn").Text("us").ShouldBe("2 in");
        (await FoamRAsync(client, "teasel-cc")).ShouldBe("R-14.0");
        (await FoamRAsync(client, "marl-cc-20")).ShouldBe("R-13.3");
        (await client.GetJsonAsync("/api/choices"))["sheets"]!.AsArray().ShouldContain(s => s!.Text("id") == "teasel-cc");
    }

    [Fact]
    public async Task A_sheet_is_typed_from_nothing_and_every_line_that_lacks_is_named()
    {
        var client = await OwnFirmAsync();
        var (status, refused) = await client.SendJsonAsync(HttpMethod.Post, "/api/sheets", Edit("us", ("name", "Sorrel CC")));
        status.ShouldBe(400);
        var lacking = refused["faults"]!.AsArray().Select(f => f!.Text("field")).ToList();
        lacking.ShouldContain("lift.greatestIn");
        lacking.ShouldContain("agedR");
        lacking.ShouldNotContain("flashCoatFromIn");

        var like = SheetDocument.Of(ShippedData.ProductSheets["fleece-oc-5"]);
        var typed = TypedTexts(like, us: true).Append(("name", "Sorrel CC")).GroupBy(f => f.Item1).Select(f => f.Last()).ToArray();
        var (kept, sheet) = await client.SendJsonAsync(HttpMethod.Post, "/api/sheets", Edit("us", typed));
        kept.ShouldBe(201, sheet.ToJsonString());
        Line(sheet, "greatestHumidityPct").Text("us").ShouldBe("85 %");
        sheet["curves"]![0]!["points"]!.AsArray().Count.ShouldBe(like.PointsOf(SheetEntries.Curves[0]).Count);
    }

    [Fact]
    public async Task A_sheet_that_is_sent_again_is_no_second_one()
    {
        var client = await OwnFirmAsync();
        var edit = Edit("us", From("marl-cc-20"), ("name", "Once CC"));
        edit["id"] = Guid.CreateVersion7().ToString();
        var answers = await Task.WhenAll(
            Enumerable.Range(0, 4).Select(_ => client.SendJsonAsync(HttpMethod.Post, "/api/sheets", edit.DeepClone()))
        );
        answers.ShouldAllBe(a => a.Status == 201 || a.Status == 409, string.Join("\n", answers.Select(a => $"{a.Body}")));
        answers.ShouldContain(a => a.Status == 201);
        (await client.GetJsonAsync("/api/sheets")).AsArray().Count(s => s!.Text("name") == "Once CC").ShouldBe(1);
    }

    public static TheoryData<string, bool> Shipped =>
        [.. ShippedData.ProductSheets.Keys.SelectMany(id => new[] { (id, true), (id, false) })];

    [Theory]
    [MemberData(nameof(Shipped))]
    public void A_sheet_typed_off_the_screen_in_either_unit_system_is_that_sheet(string id, bool us)
    {
        var sheet = SheetDocument.Of(ShippedData.ProductSheets[id]);
        var typed = SheetDocument.Blank();
        var edit = new SheetEdit
        {
            Units = us ? Core.Quantities.UnitSystem.Us : Core.Quantities.UnitSystem.Metric,
            Fields = TypedTexts(sheet, us).ToDictionary(),
        };
        SheetFields.Take(edit, typed).ShouldBeEmpty();
        foreach (var line in SheetEntries.All)
        {
            typed.TextOf(line).ShouldBe(sheet.TextOf(line), line.Path);
            Near(typed.FigureOf(line)?.Amount, sheet.FigureOf(line)?.Amount, line.Path);
        }

        foreach (var curve in SheetEntries.Curves)
        {
            var (points, of) = (typed.PointsOf(curve), sheet.PointsOf(curve));
            points.Count.ShouldBe(of.Count);
            foreach (var (one, other) in points.Zip(of))
            {
                Near(one.X.Amount, other.X.Amount, curve.Path);
                Near(one.Y.Amount, other.Y.Amount, curve.Path);
            }
        }

        // Five digits are printed.
        static void Near(double? figure, double? of, string path)
        {
            figure.HasValue.ShouldBe(of.HasValue, path);
            if (of is { } known)
            {
                figure!.Value.ShouldBe(known, Math.Max(Math.Abs(known), 1e-13) * 2e-4, path);
            }
        }
    }

    [Theory]
    [InlineData("lift.leastIn", "3 in", "lift.leastIn", "thicker than the greatest")]
    [InlineData("lift.referenceIn", "4 in", "lift.referenceIn", "outside")]
    [InlineData("flashCoatFromIn", "3 in", "flashCoatFromIn", "thicker than the greatest lift")]
    [InlineData("airC.least", "130 F", "airC", "empty")]
    [InlineData("agedR.2.r", "R-12", "agedR", "falls")]
    [InlineData("agedR.2.thicknessIn", "2 in", "agedR", "no two at the same place")]
    [InlineData("yieldByDrum.1.tempC", "18 C", "yieldByDrum", "no two at the same place")]
    [InlineData("density.inPlaceLbFt3", "1.5", "density.inPlaceLbFt3", "includes the skins")]
    [InlineData("yieldBoardFeet", "9000", "yieldBoardFeet", "than a set of 442 kg (974 lb) can fill")]
    [InlineData("greatestHumidityPct", "140 %", "greatestHumidityPct", "out of range")]
    [InlineData("agedR", null, "agedR", "at most 60 points")]
    [InlineData("name", "", "name", "required")]
    [InlineData("edition", "\0", "edition", "cannot be saved")]
    [InlineData("cell", "half open", "cell", "not known")]
    [InlineData("ageingEvidence", null, "ageingEvidence", "too long")]
    public async Task What_cannot_stand_on_a_sheet_is_said_at_its_line(string field, string? text, string at, string sentence)
    {
        var client = await OwnFirmAsync();
        text ??= field == "agedR" ? string.Join(',', Enumerable.Range(0, 61).Select(n => $"n{n}")) : new string('a', 10_000);
        var edit = Edit("us", From("marl-cc-20"), ("name", "Never kept"), (field, text));
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Post, "/api/sheets", edit);
        status.ShouldBe(400, answer.ToJsonString());
        answer["errors"]![at].ShouldNotBeNull(answer.ToJsonString())[0]!.GetValue<string>().ShouldContain(sentence);
        (await client.GetJsonAsync("/api/sheets")).AsArray().ShouldNotContain(s => s!.Text("name") == "Never kept");

        // While it is typed the same is said, and the rest is drawn.
        var (checkedOk, check) = await client.SendJsonAsync(HttpMethod.Post, "/api/sheets/check", edit);
        if (checkedOk == 200)
        {
            check["faults"]!.AsArray().ShouldContain(f => f!.Text("field") == at);
        }
    }

    [Fact]
    public async Task A_job_keeps_the_edition_it_was_figured_with_says_when_a_newer_one_stands_and_takes_it_when_told()
    {
        var client = await OwnFirmAsync();
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
        var client = await OwnFirmAsync();
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
    public async Task What_goes_out_as_a_file_comes_in_the_same_a_changed_one_is_the_next_edition()
    {
        var client = await OwnFirmAsync();
        var token = TestContext.Current.CancellationToken;
        await CopyAsync(client, "Clary CC", ("yieldByDrum", "0,1,2,n"), ("yieldByDrum.n.tempC", "75 F"), ("yieldByDrum.n.factor", "1"));
        var file = await client.GetStringAsync("/api/sheets/clary-cc/file", token);
        ProductSheetFile.Read("clary", file).YieldByDrum.Points.Select(p => p.X).ShouldBe([18, 21, 23.889, 27], 0.001);

        (await ComeAsync(client, file)).Text("became").ShouldBe("same");
        await WallAsync(client, "clary-cc");
        var changed = await ComeAsync(client, file.Replace("\"sheet 3, demo\"", "\"sheet 12\"", StringComparison.Ordinal));
        changed.Text("became").ShouldBe("edition");
        changed["sheet"]!["editions"]!.AsArray().Count.ShouldBe(2);
        var other = await ComeAsync(client, file.Replace("\"clary-cc\"", "\"clary-elsewhere\"", StringComparison.Ordinal));
        (other.Text("became"), other["sheet"]!["summary"]!.Text("id")).ShouldBe(("new", "clary-elsewhere"));

        // The first edition stays to be read and given out.
        (await client.GetStringAsync("/api/sheets/clary-cc/file?number=1", token)).ShouldBe(file);
    }

    [Theory]
    [InlineData("\"schemaVersion\": 1", "\"schemaVersion\": 7", "line 2, schemaVersion: This sheet is written in version 7")]
    [InlineData("\"thicknessIn\": 3", "\"thicknessIn\": 1", "must rise")]
    [InlineData("\"yieldBoardFeet\": 4350", "\"yieldBoardFeet\": 43500", "can fill")]
    [InlineData("\"yieldBoardFeet\": 4350,", "", "is missing")]
    [InlineData("\"windLimitMs\": 5", "\"windLimitMs\": \"a gale\"", "must be a number")]
    [InlineData("\"yieldByDrum\": [", null, "too many entries; at most 60")]
    [InlineData("\"name\": \"Marl CC-20\"", "\"name\": \"Marl\\u0000\"", "")]
    [InlineData("{", "no sheet at all {", "not valid JSON")]
    public async Task A_file_that_is_no_sheet_is_refused_with_the_line(string was, string? now, string sentence)
    {
        var client = await OwnFirmAsync();
        var file = ShippedData.ProductSheets["marl-cc-20"];
        now ??= was + string.Concat(Enumerable.Repeat("""{ "tempC": 1, "factor": 1 },""", 70));
        var at = file.IndexOf(was, StringComparison.Ordinal);
        var (status, body) = await client.UploadAsync(
            "/api/sheets/file",
            Encoding.UTF8.GetBytes(
                file[..at] + now + file[(at + was.Length)..].Replace("\"marl-cc-20\"", "\"marl-other\"", StringComparison.Ordinal)
            )
        );
        status.ShouldBe(400, body.ToJsonString());
        body.Text("detail").ShouldContain(sentence);
    }

    [Fact]
    public async Task A_retired_product_is_offered_no_more_but_stays_where_it_is_used_and_may_come_back()
    {
        var client = await OwnFirmAsync();
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
    public async Task A_product_that_something_names_stays_and_one_that_nothing_names_goes()
    {
        var client = await OwnFirmAsync();
        await CopyAsync(client, "Vetch CC");
        await WallAsync(client, "vetch-cc");
        var (refused, why) = await client.SendJsonAsync(HttpMethod.Delete, "/api/sheets/vetch-cc", new { });
        refused.ShouldBe(409);
        why.Text("detail").ShouldContain("1");

        await CopyAsync(client, "Spurrey CC");
        (await client.SendJsonAsync(HttpMethod.Delete, "/api/sheets/spurrey-cc", new { })).Status.ShouldBe(204);
        (await client.GetJsonAsync("/api/sheets")).AsArray().ShouldNotContain(s => s!.Text("id") == "spurrey-cc");
        (await client.SendJsonAsync(HttpMethod.Get, "/api/sheets/spurrey-cc", new { })).Status.ShouldBe(404);

        // Its name is free again.
        (await CopyAsync(client, "Spurrey CC"))["summary"]!
            .Text("id")
            .ShouldStartWith("spurrey-cc");
    }

    [Fact]
    public async Task A_job_goes_to_another_firm_with_its_sheets_and_is_figured_there_as_at_home()
    {
        var client = await OwnFirmAsync();
        var token = TestContext.Current.CancellationToken;
        await CopyAsync(client, "Tansy CC", ("yieldBoardFeet", "3000"));
        var (job, _) = await WallAsync(client, "tansy-cc");
        var file = await client.GetByteArrayAsync($"/api/jobs/{job}/file", token);

        var away = await OwnFirmAsync();
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
        var client = await OwnFirmAsync();
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

    private async Task<HttpClient> OwnFirmAsync()
    {
        var names = await Product.NewFirmAsync(FirmRole.Owner);
        await Product.InFirmOfAsync(
            names[0],
            async db =>
            {
                db.Sheets.AddRange(ShippedData.ProductSheets.Select(s => new SheetRow { Slug = s.Key, Document = s.Value }));
                await db.SaveChangesAsync();
            }
        );
        return await product.SignedInAsync(names[0]);
    }

    private static async Task<JsonNode> CopyAsync(HttpClient client, string name, params (string, string)[] changed)
    {
        var (status, sheet) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets",
            Edit("us", From("marl-cc-20"), [("name", name), .. changed])
        );
        status.ShouldBe(201, sheet.ToJsonString());
        return sheet;
    }

    private static async Task<(string Job, string Wall)> WallAsync(HttpClient client, string sheet)
    {
        var (_, job) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/jobs",
            Asking.Typed(null, "us", ("name", sheet), ("climateZone", "6A"))
        );
        var (status, wall) = await client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{job.Text("id")}/surfaces",
            Asking.Typed(null, "us", ("name", "One"), ("kind", "studWall"), ("size", "20' x 9'"), ("sheet", sheet), ("thickness", "2 in"))
        );
        status.ShouldBe(201, wall.ToJsonString());
        return (job.Text("id"), wall.Text("id"));
    }

    // On the board, in the price and at its stage: the same wherever it stands.
    private static async Task<double> SetsAsync(HttpClient client, string job)
    {
        var priced = (await client.GetJsonAsync($"/api/jobs/{job}/price"))["surfaces"]![0]!;
        var board = await client.GetJsonAsync($"/api/jobs/{job}/board");
        var stage = await client.GetJsonAsync($"/api/surfaces/{priced.Text("id")}/sets");
        var sets = priced["sets"]!.Number("amount");
        board["feet"]!["sets"]!.Number("amount").ShouldBe(sets, 1e-9);
        stage["job"]![0]!.Number("medianSets").ShouldBe(sets, 1e-9);
        return sets;
    }

    private static async Task<string> SectionRAsync(HttpClient client, string wall) =>
        (await client.GetJsonAsync($"/api/surfaces/{wall}/section"))["answer"]!["figures"]!["foamR"]!["figure"]!.Text("us");

    private static async Task<string> FoamRAsync(HttpClient client, string sheet, string? job = null)
    {
        var (_, wall) = await WallAsync(client, "marl-cc-20");
        var question = (await client.GetJsonAsync($"/api/surfaces/{wall}/section"))["question"]!.DeepClone();
        question["sheetId"] = sheet;
        var (status, answer) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/compute/section" + (job is null ? "" : $"?job={job}"),
            question
        );
        status.ShouldBe(200, answer.ToJsonString());
        return answer["figures"]!["foamR"]!["figure"]!.Text("us");
    }

    private static async Task<List<string>> OfferedAsync(HttpClient client, string wall) =>
        [
            .. (await client.GetJsonAsync($"/api/surfaces/{wall}/choose"))["answer"]!["candidates"]!
                .AsArray()
                .SelectMany(c => c!.Text("id").Split([':', '+', ' '])),
        ];

    private static async Task<JsonNode> PatchAsync(HttpClient client, string path, object edit)
    {
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, path, edit);
        status.ShouldBe(200, answer.ToJsonString());
        return answer;
    }

    private static async Task<JsonNode> ComeAsync(HttpClient client, string file)
    {
        var (status, answer) = await client.UploadAsync("/api/sheets/file", Encoding.UTF8.GetBytes(file));
        status.ShouldBe(201, answer.ToJsonString());
        return answer;
    }

    private static JsonNode Line(JsonNode sheet, string path) =>
        sheet["lines"]!.AsArray().Single(line => line!.Text("path") == path)!["figure"]!;

    private static (string, string) From(string product) => ("from", product);

    private static (string, string) Version(JsonNode sheet) => ("version", $"{sheet["summary"]!.Number("version")}");

    // What is no line of a sheet stands beside the fields.
    private static JsonObject Edit(string units, params (string Field, string Text)[] fields)
    {
        var edit = new JsonObject { ["units"] = units, ["fields"] = new JsonObject() };
        foreach (var (field, text) in fields)
        {
            if (field == "version")
            {
                edit[field] = uint.Parse(text, System.Globalization.CultureInfo.InvariantCulture);
            }
            else if (field == "from")
            {
                edit[field] = text;
            }
            else
            {
                edit["fields"]![field] = text;
            }
        }

        return edit;
    }

    private static JsonObject Edit(string units, (string, string) beside, params (string, string)[] fields) =>
        Edit(units, [beside, .. fields]);

    /// <summary>All that stands on a sheet, as somebody would type it.</summary>
    private static IEnumerable<(string, string)> TypedTexts(SheetDocument sheet, bool us)
    {
        foreach (var line in SheetEntries.All)
        {
            if (sheet.TextOf(line) is { } text)
            {
                yield return (line.Path, text);
            }
            else if (sheet.FigureOf(line) is { } figure)
            {
                yield return (line.Path, Printed(figure, us));
            }
        }

        foreach (var curve in SheetEntries.Curves)
        {
            var points = sheet.PointsOf(curve);
            yield return (curve.Path, string.Join(',', points.Select((_, i) => $"n{i}")));
            foreach (var (point, i) in points.Select((point, i) => (point, i)))
            {
                yield return ($"{curve.Path}.n{i}.{curve.X.Path}", Printed(point.X, us));
                yield return ($"{curve.Path}.n{i}.{curve.Y.Path}", Printed(point.Y, us));
            }
        }
    }

    private static string Printed(Core.Quantities.Figure figure, bool us) =>
        Core.Quantities.QuantityPrinter.PrintAsTyped(figure, us ? Core.Quantities.UnitSystem.Us : Core.Quantities.UnitSystem.Metric);
}
