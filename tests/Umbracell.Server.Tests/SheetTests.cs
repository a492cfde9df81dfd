using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Server.Sheets;
using Xunit;
using static Umbracell.Server.Tests.OwnSheets;

namespace Umbracell.Server.Tests;

/// <summary>Product sheets of the firm's own: typed, copied, brought in and removed.</summary>
public sealed class SheetTests(Product product)
{
    [Fact]
    public async Task A_copy_with_one_figure_changed_is_sprayed_by_its_own_figure_and_the_sample_stays()
    {
        var client = await OwnFirmAsync(product);
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
        var client = await OwnFirmAsync(product);
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
        var client = await OwnFirmAsync(product);
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
        var edit = new SheetEdit { Units = us ? UnitSystem.Us : UnitSystem.Metric, Fields = TypedTexts(sheet, us).ToDictionary() };
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
        var client = await OwnFirmAsync(product);
        text ??= field == "agedR" ? string.Join(',', Enumerable.Range(0, 61).Select(n => $"n{n}")) : new string('a', 10_000);
        var edit = Edit("us", From("marl-cc-20"), ("name", "Never kept"), (field, text));
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Post, "/api/sheets", edit);
        status.ShouldBe(400, answer.ToJsonString());
        answer["errors"]![at].ShouldNotBeNull(answer.ToJsonString())[0]!.GetValue<string>().ShouldContain(sentence);
        (await client.GetJsonAsync("/api/sheets")).AsArray().ShouldNotContain(s => s!.Text("name") == "Never kept");

        // While it is typed the same is said, and the rest is drawn.
        var (checkedOk, check) = await client.SendJsonAsync(HttpMethod.Post, "/api/sheets/check", edit);
        checkedOk.ShouldBe(text.Contains('\0') ? 400 : 200);
        check["faults"]!.AsArray().ShouldContain(f => f!.Text("field") == at);
    }

    [Fact]
    public async Task What_goes_out_as_a_file_comes_in_the_same_a_changed_one_is_the_next_edition()
    {
        var client = await OwnFirmAsync(product);
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
        var client = await OwnFirmAsync(product);
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
    public async Task A_product_that_something_names_stays_and_one_that_nothing_names_goes()
    {
        var client = await OwnFirmAsync(product);
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
    public async Task No_text_of_a_file_may_hold_a_character_that_cannot_be_kept()
    {
        var client = await OwnFirmAsync(product);
        var shipped = JsonNode.Parse(ShippedData.ProductSheets["marl-cc-20"])!;
        foreach (var line in SheetEntries.All.Where(line => line is { Unit: null, Words.Count: 0 }))
        {
            var file = shipped.DeepClone();
            file[line.Path] = "a\0b";
            var (status, answer) = await client.UploadAsync("/api/sheets/file", Encoding.UTF8.GetBytes(file.ToJsonString()));
            status.ShouldBe(400, line.Path);
            answer.Text("detail").ShouldContain("a character that cannot be saved", customMessage: line.Path);
        }
    }
}
