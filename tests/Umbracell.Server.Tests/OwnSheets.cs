using System.Globalization;
using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Umbracell.Store.Model;

namespace Umbracell.Server.Tests;

/// <summary>A firm with product sheets, jobs sprayed with them, and edits of a sheet as they are sent.</summary>
internal static class OwnSheets
{
    /// <summary>An owner of a firm of its own that has the sample sheets.</summary>
    public static async Task<HttpClient> OwnFirmAsync(Product product)
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

    public static async Task<JsonNode> CopyAsync(HttpClient client, string name, params (string, string)[] changed)
    {
        var (status, sheet) = await client.SendJsonAsync(
            HttpMethod.Post,
            "/api/sheets",
            Edit("us", From("marl-cc-20"), [("name", name), .. changed])
        );
        status.ShouldBe(201, sheet.ToJsonString());
        return sheet;
    }

    public static async Task<(string Job, string Wall)> WallAsync(HttpClient client, string sheet)
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
    public static async Task<double> SetsAsync(HttpClient client, string job)
    {
        var priced = (await client.GetJsonAsync($"/api/jobs/{job}/price"))["surfaces"]![0]!;
        var board = await client.GetJsonAsync($"/api/jobs/{job}/board");
        var stage = await client.GetJsonAsync($"/api/surfaces/{priced.Text("id")}/sets");
        var sets = priced["sets"]!.Number("amount");
        board["feet"]!["sets"]!.Number("amount").ShouldBe(sets, 1e-9);
        stage["job"]![0]!.Number("medianSets").ShouldBe(sets, 1e-9);
        return sets;
    }

    public static async Task<string> SectionRAsync(HttpClient client, string wall) =>
        (await client.GetJsonAsync($"/api/surfaces/{wall}/section"))["answer"]!["figures"]!["foamR"]!["figure"]!.Text("us");

    public static async Task<string> FoamRAsync(HttpClient client, string sheet, string? job = null)
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

    public static async Task<List<string>> OfferedAsync(HttpClient client, string wall) =>
        [
            .. (await client.GetJsonAsync($"/api/surfaces/{wall}/choose"))["answer"]!["candidates"]!
                .AsArray()
                .SelectMany(c => c!.Text("id").Split([':', '+', ' '])),
        ];

    public static async Task<JsonNode> PatchAsync(HttpClient client, string path, object edit)
    {
        var (status, answer) = await client.SendJsonAsync(HttpMethod.Patch, path, edit);
        status.ShouldBe(200, answer.ToJsonString());
        return answer;
    }

    public static async Task<JsonNode> ComeAsync(HttpClient client, string file)
    {
        var (status, answer) = await client.UploadAsync("/api/sheets/file", Encoding.UTF8.GetBytes(file));
        status.ShouldBe(201, answer.ToJsonString());
        return answer;
    }

    public static JsonNode Line(JsonNode sheet, string path) =>
        sheet["lines"]!.AsArray().Single(line => line!.Text("path") == path)!["figure"]!;

    public static (string, string) From(string product) => ("from", product);

    public static (string, string) Version(JsonNode sheet) => ("version", $"{sheet["summary"]!.Number("version")}");

    // What is no line of a sheet stands beside the fields.
    public static JsonObject Edit(string units, params (string Field, string Text)[] fields)
    {
        var edit = new JsonObject { ["units"] = units, ["fields"] = new JsonObject() };
        foreach (var (field, text) in fields)
        {
            if (field == "version")
            {
                edit[field] = uint.Parse(text, CultureInfo.InvariantCulture);
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

    public static JsonObject Edit(string units, (string, string) beside, params (string, string)[] fields) =>
        Edit(units, [beside, .. fields]);

    /// <summary>All that stands on a sheet, as somebody would type it.</summary>
    public static IEnumerable<(string, string)> TypedTexts(SheetDocument sheet, bool us)
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

    public static string Printed(Figure figure, bool us) => QuantityPrinter.PrintAsTyped(figure, us ? UnitSystem.Us : UnitSystem.Metric);
}
