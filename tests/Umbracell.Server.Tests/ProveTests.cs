using System.Globalization;
using System.Text.Json.Nodes;
using Shouldly;
using UglyToad.PdfPig;
using Umbracell.Questions.Prove;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Prove: a wall is measured by a plan, its defects are closed, it is signed, and people come back by the log.</summary>
public sealed class ProveTests(Product product)
{
    [Fact]
    public async Task A_wall_is_read_by_its_plan_a_thin_place_is_added_to_and_read_again()
    {
        var wall = await SprayedAsync(product);
        var places = (await ProofAsync(wall))["answer"]!["places"]!.AsArray();
        places.Count(place => place!.Text("kind") == "area").ShouldBe(6);
        foreach (var (place, i) in places.Select((place, i) => (place!, i)))
        {
            await ReadAsync(wall, place, i == 2 ? "2 1/2 in" : "3 1/8 in");
        }

        var told = (await ProofAsync(wall))["answer"]!;
        var thin = told["places"]![2]!;
        (thin["isThin"]!.GetValue<bool>(), thin["lacks"]!.Text("us")).ShouldBe((true, "1/2 in"));
        Case(told, "depthAccepted").ShouldBe("placeUnder");
        var lacks = told["depths"]!["lacksFoam"]!["amount"]!.GetValue<double>();
        lacks.ShouldBeGreaterThan(0);

        // What is told to be done is done, and comes true.
        var lift = $"{Guid.NewGuid()}";
        await wall.LogAsync(("kind", "liftBegun"), ("entry", lift));
        await wall.LogAsync(("kind", "liftEnded"), ("of", lift));
        await ReadAsync(wall, thin, "3 1/4 in");
        told = (await ProofAsync(wall))["answer"]!;
        Case(told, "depthAccepted").ShouldBe("accepted");
        told["depths"]!["lacksFoam"].ShouldBeNull();
        told["depths"]!["passes"]!.GetValue<bool>().ShouldBeTrue();
        (await CellAsync(wall)).Text("word").ShouldBe("read");
    }

    // The same figures, wherever they are asked for.
    [Fact]
    public async Task Page_board_and_the_core_asked_alone_say_the_same()
    {
        var wall = await SprayedAsync(product);
        var places = (await ProofAsync(wall))["answer"]!["places"]!.AsArray();
        double[] mm = [76, 79, 81, 74, 78, 80];
        foreach (var (place, i) in places.Take(6).Select((place, i) => (place!, i)))
        {
            await ReadAsync(wall, place, string.Create(CultureInfo.InvariantCulture, $"{mm[i]} mm"));
        }

        var told = await ProofAsync(wall);
        var (status, again) = await wall.Client.SendJsonAsync(HttpMethod.Post, "/api/compute/proof", told["question"]!);
        status.ShouldBe(200, again.ToJsonString());
        JsonNode.DeepEquals(again, told["answer"]).ShouldBeTrue();

        var asked = new
        {
            sheetId = "marl-cc-20",
            specMm = 76.2,
            readingsMm = mm,
            confidence = 0.9,
            share = 0.9,
        };
        var (_, depth) = await wall.Client.SendJsonAsync(HttpMethod.Post, "/api/compute/depth", asked);
        depth["n"]!.GetValue<int>().ShouldBe(6);
        depth["k"]!.GetValue<double>().ShouldBe(2.494, 0.002);
        depth["meanMm"]!.GetValue<double>().ShouldBe(78, 1e-9);
        depth["leastMm"]!.GetValue<double>().ShouldBe(74, 1e-9);
        depth["shareUnder"]!.GetValue<double>().ShouldBe(2 / 6.0, 1e-12);
        depth["passes"]!.GetValue<bool>().ShouldBeFalse();
        var depths = told["answer"]!["depths"]!;
        (depths["mean"]!["amount"]!.GetValue<double>() * 1000).ShouldBe(78, 1e-9);
        (depths["bound"]!["amount"]!.GetValue<double>() * 1000).ShouldBe(depth["boundMm"]!.GetValue<double>(), 1e-9);
        depths["effectiveR"]!["amount"]!.GetValue<double>().ShouldBe(depth["effectiveR"]!.GetValue<double>(), 1e-12);
        (await CellAsync(wall))["figures"]!["count"]!["amount"]!.GetValue<double>().ShouldBe(6);
    }

    [Fact]
    public async Task A_void_is_repaired_and_looked_at_again_before_the_inspector_signs()
    {
        var wall = await SprayedAsync(product);
        var places = (await ProofAsync(wall))["answer"]!["places"]!.AsArray();
        await ReadAsync(wall, places[0]!, "3 1/8 in");
        var found = $"{Guid.NewGuid()}";
        await LogAsync(wall, ("kind", "defect"), ("entry", found), ("defect", "void"), ("size", "2 ft2"), ("words", "by the pipe"));
        (await CellAsync(wall)).Text("word").ShouldBe("defects");

        // Closed without a repair: it is told, and nothing is written.
        var (status, answer) = await SendAsync(wall, ("kind", "defectRechecked"), ("of", found), ("sound", "yes"));
        status.ShouldBe(400);
        (answer["faults"]![0]!.Text("field"), answer["faults"]![0]!.Text("code")).ShouldBe(("of", "notRepaired"));

        await LogAsync(wall, ("kind", "defectRepaired"), ("of", found), ("repair", "cutAndSprayed"), ("cutBack", "4 in"));
        (await LogAsync(wall, ("kind", "defectRechecked"), ("of", found), ("sound", "yes")))["answer"]!["defects"]![0]!
            .Text("state")
            .ShouldBe("closed");

        foreach (var item in (await ProofAsync(wall))["answer"]!["inspection"]!.AsArray())
        {
            await LogAsync(wall, ("kind", "inspected"), ("inspected", item!.Text("item")));
        }

        // A signature of nobody.
        (status, answer) = await SendAsync(
            wall,
            ("kind", "signedOff"),
            ("signedName", " "),
            ("signedRole", "inspector"),
            ("signedStrokes", "")
        );
        status.ShouldBe(400);
        answer["faults"]!.AsArray().Select(one => one!.Text("field")).ShouldBe(["signedName", "signedStrokes"], ignoreOrder: true);

        var told = await LogAsync(
            wall,
            ("kind", "signedOff"),
            ("signedName", "R. Roe"),
            ("signedRole", "inspector"),
            ("signedStrokes", "1 2 30 40\n5 6 7 8")
        );
        told["answer"]!["signature"]!.Text("strokes").ShouldBe("1 2 30 40\n5 6 7 8");
        told["answer"]!["cover"]!.AsArray().ShouldHaveSingleItem()!.Text("case").ShouldBe("signed");
        (await CellAsync(wall)).Text("word").ShouldBe("signed");
        (await wall.Client.GetJsonAsync($"/api/jobs/{wall.Job}/board"))["feet"]!["covered"]!.GetValue<int>().ShouldBe(1);

        // What is defective holds Spray as long as it is open.
        (await wall.GetAsync())["answer"]!["end"]!
            .AsArray()
            .ShouldNotContain(one => one!.Text("case") == "defects");
    }

    [Fact]
    public async Task People_come_back_by_the_log_and_the_door_says_when()
    {
        var wall = await SprayedAsync(product);
        (await ReEntryAsync(wall))["answer"]!["findings"]![0]!.Text("case").ShouldBe("off");
        await LogAsync(wall, ("kind", "ventilationOn"));
        (await ReEntryAsync(wall))["answer"]!["findings"]![0]!.Text("case").ShouldBe("unread");

        // 2,000 cfm through 24,000 cubic feet: five air changes an hour, half of what the sheet asks for.
        await LogAsync(wall, ("kind", "ventilationRead"), ("airFlow", "2000 cfm"), ("roomVolume", "24000 ft3"));
        var told = await ReEntryAsync(wall);
        var answer = told["answer"]!;
        told["airChanges"]!["amount"]!.GetValue<double>().ShouldBe(5, 1e-9);
        var last = answer["lastTrigger"]!.GetValue<DateTimeOffset>();
        answer["earliestBySheet"]!.GetValue<DateTimeOffset>().ShouldBe(last.AddHours(24));
        answer["at"]!.GetValue<DateTimeOffset>().ShouldBeGreaterThanOrEqualTo(last.AddHours(48));
        answer["findings"]!.AsArray().ShouldContain(one => one!.Text("case") == "slow");
        var (status, again) = await wall.Client.SendJsonAsync(HttpMethod.Post, "/api/compute/reentry", told["question"]!);
        status.ShouldBe(200, again.ToJsonString());
        JsonNode.DeepEquals(again, answer).ShouldBeTrue();

        var (_, paper) = await wall.Client.SendJsonAsync(
            HttpMethod.Post,
            $"/api/jobs/{wall.Job}/papers",
            new { kind = "door", units = "us" }
        );
        var file = await wall.Client.GetByteArrayAsync($"/api/papers/{paper.Text("id")}/pdf", TestContext.Current.CancellationToken);
        using var pdf = PdfDocument.Open(file);
        var words = string.Join(' ', pdf.GetPages().SelectMany(page => page.GetWords()).Select(word => word.Text));
        words.ShouldContain("Do not enter without protection");
        words.ShouldContain("24 h at 10 air changes an hour");
        var at = answer["at"]!.GetValue<DateTimeOffset>().UtcDateTime;
        words.ShouldContain(at.ToString("MMM d, yyyy", CultureInfo.InvariantCulture));
        words.ShouldContain(at.ToString("h:mm tt", CultureInfo.InvariantCulture));
    }

    [Fact]
    public async Task A_sprayed_surface_that_is_deleted_keeps_everybody_out_until_it_is_restored()
    {
        var wall = await SprayedAsync(product);
        await wall.AnotherAsync();
        await LogAsync(wall, ("kind", "ventilationOn"));
        await LogAsync(wall, ("kind", "ventilationRead"), ("airChanges", "12"));
        var at = (await ReEntryAsync(wall))["answer"]!["at"]!.GetValue<DateTimeOffset>();
        var surface = (await wall.Client.GetJsonAsync($"/api/surfaces/{wall.Surface}/spray"))["question"]!.Text("sheetId");
        surface.ShouldBe("marl-cc-20");
        (await wall.Client.DeleteAsync($"/api/surfaces/{wall.Surface}", TestContext.Current.CancellationToken)).EnsureSuccessStatusCode();
        (await ReEntryAsync(wall))["answer"]!["findings"]![0]!.Text("case").ShouldBe("noProduct");
        var back = Asking.Typed(null, "us");
        (await wall.Client.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{wall.Surface}/restore", back)).Status.ShouldBe(200);
        (await ReEntryAsync(wall))["answer"]!["at"]!.GetValue<DateTimeOffset>().ShouldBe(at);
    }

    [Theory]
    [InlineData("sampled", "sample=density;pieceWeight=34 g", "pieceVolume", "empty")]
    [InlineData("sampled", "sample=density;pieceWeight=34 g;pieceVolume=10 ml", "pieceWeight", "outOfRange")]
    [InlineData("sampled", "sample=density;pieceWeight=34 kPa;pieceVolume=10 ml", "pieceWeight", "wrongUnit")]
    [InlineData("sampled", "sample=adhesion;pull=20 psi", "failedIn", "empty")]
    [InlineData("sampled", "sample=adhesion;pull=hard;failedIn=foam", "pull", "notANumber")]
    [InlineData("sampled", "sample=adhesion;pull=20 psi;failedIn=", "failedIn", "empty")]
    [InlineData("sampled", "sample=density;pieceWeight=;pieceVolume=", "pieceWeight", "empty")]
    [InlineData("sampled", "sample=look;look=", "look", "empty")]
    [InlineData("defect", "defect=;words=", "words", "empty")]
    [InlineData("note", "words=", "words", "empty")]
    [InlineData("probeChecked", "block=2 in", "depth", "empty")]
    [InlineData("ventilationRead", "airFlow=2000 cfm", "roomVolume", "empty")]
    [InlineData("ventilationRead", "", "airChanges", "empty")]
    [InlineData("defect", "", "words", "empty")]
    [InlineData("defect", "defect=hole", "defect", "unknown")]
    [InlineData("defectRepaired", "of=6f1c0f5e-9a4e-4c7e-8a57-0d3e5c1b9a01;repair=board", "of", "unknown")]
    [InlineData("depth", "depth=9 ft;spot=1", "depth", "outOfRange")]
    public async Task What_cannot_be_is_told_at_its_field_and_nothing_is_written(string kind, string typed, string field, string code)
    {
        var wall = await SprayedAsync(product);
        var before = (await ProofAsync(wall))["question"]!["entries"]!.AsArray().Count;
        var fields = typed
            .Split(';', StringSplitOptions.RemoveEmptyEntries)
            .Select(pair => pair.Split('='))
            .Select(pair => (pair[0], pair[1]));
        var (status, answer) = await SendAsync(wall, [("kind", kind), .. fields]);
        status.ShouldBe(400, answer.ToJsonString());
        answer["faults"]!.AsArray().Select(one => (one!.Text("field"), one!.Text("code"))).ShouldContain((field, code));
        (await ProofAsync(wall))["question"]!["entries"]!.AsArray().Count.ShouldBe(before);
    }

    [Fact]
    public async Task Density_comes_of_weight_and_displaced_water()
    {
        var wall = await SprayedAsync(product);
        var told = await LogAsync(wall, ("kind", "sampled"), ("sample", "density"), ("pieceWeight", "32 g"), ("pieceVolume", "1000 ml"));
        var finding = told["answer"]!["samples"]![0]!["finding"]!;
        finding["measured"]!["amount"]!.GetValue<double>().ShouldBe(32, 1e-9);
        finding.Text("case").ShouldBe("dense");
    }

    [Fact]
    public async Task Who_only_looks_logs_nothing()
    {
        var wall = await SprayedAsync(product);
        var viewer = await product.SignedInAsync("viewer@ninthacre.example");
        var job = await viewer.DemoJobAsync("ferry house");
        var surface = (await viewer.GetJsonAsync($"/api/jobs/{job}/board"))["rows"]![0]!.Text("id");
        var body = Asking.Typed(null, "us", ("kind", "note"), ("words", "seen"));
        (await viewer.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{surface}/proof-log", body)).Status.ShouldBe(403);

        // Nor does anybody of another firm see it.
        using var other = await viewer.GetAsync($"/api/surfaces/{wall.Surface}/proof", TestContext.Current.CancellationToken);
        ((int)other.StatusCode).ShouldBe(404);
    }

    [Fact]
    public async Task A_surface_without_foam_or_size_says_what_it_lacks()
    {
        var wall = await SprayedWall.OfAsync(product, sheet: null);
        (await ProofAsync(wall)).Text("missing").ShouldBe("sheet");
        (await CellAsync(wall)).Text("word").ShouldBe("none");
    }

    [Fact]
    public async Task A_question_without_readings_is_refused()
    {
        var wall = await SprayedWall.OfAsync(product);
        var asked = new DepthQuestion
        {
            SheetId = "marl-cc-20",
            SpecMm = 50,
            ReadingsMm = [],
        };
        (await wall.Client.SendJsonAsync(HttpMethod.Post, "/api/compute/depth", asked)).Status.ShouldBe(400);
    }

    private static async Task<SprayedWall> SprayedAsync(Product product)
    {
        var wall = await SprayedWall.OfAsync(product);
        for (var i = 0; i < 2; i++)
        {
            var lift = $"{Guid.NewGuid()}";
            await wall.LogAsync(("kind", "liftBegun"), ("entry", lift));
            await wall.LogAsync(("kind", "liftEnded"), ("of", lift));
        }

        return wall;
    }

    private static Task<JsonNode> ReadAsync(SprayedWall wall, JsonNode place, string depth) =>
        LogAsync(wall, ("kind", "depth"), ("depth", depth), ("spot", $"{place["number"]}"), ("spotKind", place.Text("kind")));

    private static Task<JsonNode> ProofAsync(SprayedWall wall) => wall.Client.GetJsonAsync($"/api/surfaces/{wall.Surface}/proof");

    private static Task<JsonNode> ReEntryAsync(SprayedWall wall) => wall.Client.GetJsonAsync($"/api/jobs/{wall.Job}/re-entry");

    private static async Task<JsonNode> CellAsync(SprayedWall wall) =>
        (await wall.Client.GetJsonAsync($"/api/jobs/{wall.Job}/board"))["rows"]!.AsArray().Single(row => row!.Text("id") == wall.Surface)![
            "cells"
        ]!
            .AsArray()
            .Single(cell => cell!.Text("stage") == "prove")!;

    private static string Case(JsonNode answer, string rule) =>
        answer["depthFindings"]!.AsArray().First(one => one!.Text("rule") == rule)!.Text("case");

    private static Task<(int Status, JsonNode Answer)> SendAsync(SprayedWall wall, params (string, string)[] fields) =>
        wall.Client.SendJsonAsync(HttpMethod.Post, $"/api/surfaces/{wall.Surface}/proof-log", Asking.Typed(null, "us", fields));

    private static async Task<JsonNode> LogAsync(SprayedWall wall, params (string, string)[] fields)
    {
        var (status, answer) = await SendAsync(wall, fields);
        status.ShouldBe(200, answer.ToJsonString());
        return answer;
    }
}
