using System.Text.Json;
using System.Text.Json.Nodes;
using NJsonSchema;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.JobFiles;
using Umbracell.Store.Model;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>Job files with more readings than are held at once.</summary>
public sealed class LongJobFileTests(Product product)
{
    // More than two parts in which they are written.
    private const int Many = 4500,
        Some = 300,
        Wrong = 200;

    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true };

    [Fact]
    public async Task All_readings_come_in_and_go_out_again()
    {
        var owner = await product.SignedInAsync((await Product.NewFirmAsync(FirmRole.Owner))[0]);
        var file = await FileOfAsync(Many);
        var (status, made) = await owner.SendJsonAsync(HttpMethod.Post, "/api/jobs/file", file);
        status.ShouldBe(201, made.ToJsonString());
        var back = await owner.GetJsonAsync($"/api/jobs/{made.Text("id")}/file");
        Told(back).ShouldBe(Told(file));

        // Ids are made anew; when each was taken tells them apart.
        static List<string> Told(JsonNode file) => [.. file["readings"]!.AsArray().Select(r => $"{r!["takenAt"]} {r["kind"]}").Order()];
    }

    /// <summary>What may be wrong, within the long list and beside it.</summary>
    public static TheoryData<string> Spoilt =>
        [
            "value",
            "missing",
            "unknown",
            "null entry",
            "list entry",
            "kind",
            "number beyond all numbers",
            "beside",
            "beside and within",
            "no list",
            "twice",
            "cut short",
            "cut short after an entry",
            "cut short after the list",
            "more behind",
            "contradiction",
        ];

    [Theory]
    [MemberData(nameof(Spoilt))]
    public async Task What_is_wrong_is_told_as_when_the_file_is_read_whole(string how)
    {
        var text = Spoil(await FileOfAsync(Some), how);
        var schema = await JsonSchema.FromJsonAsync(JobFile.SchemaText, TestContext.Current.CancellationToken);
        var (byParts, whole) = (FaultsOf(() => JobFile.Read("f", text)), FaultsOf(() => DataFile.Read<JobFile>("f", text, schema)));
        byParts.ShouldNotBeEmpty();
        if (how is "twice" or "more behind" || how.StartsWith("cut short", StringComparison.Ordinal))
        {
            // Said in other words, at the same place.
            byParts[0].Line.ShouldBe(whole[0].Line);
        }
        else if (how == "contradiction")
        {
            // No fault by the schema: what only the job file knows.
            (byParts[0].Path, byParts[0].Line > 1, whole.Count).ShouldBe(($"readings[{Wrong}]", true, 0));
        }
        else
        {
            byParts.ShouldBe(whole);
        }
    }

    private static string Spoil(JsonNode file, string how)
    {
        var reading = file["readings"]![Wrong]!;
        switch (how)
        {
            case "value":
                reading["tempC"] = "warm";
                break;
            case "missing":
                reading.AsObject().Remove("kind");
                break;
            case "unknown":
                reading["warmth"] = 1;
                break;
            case "null entry":
                file["readings"]![Wrong] = null;
                break;
            case "list entry":
                file["readings"]![Wrong] = new JsonArray(1, 2);
                break;
            case "kind":
                reading["kind"] = 12;
                break;
            case "number beyond all numbers":
                reading["errorK"] = JsonNode.Parse("1e300");
                break;
            case "beside":
                file["surfaces"]![0]!["repeats"] = "often";
                break;
            case "beside and within":
                file["surfaces"]![0]!["repeats"] = -1;
                reading["rawPercent"] = 400;
                break;
            case "no list":
                file["readings"] = new JsonObject();
                break;
            case "contradiction":
                (reading["tempC"], reading["percent"]) = (20, 40);
                break;
        }

        var text = file.ToJsonString(Indented);
        return how switch
        {
            "twice" => text[..^1] + ",\n\"readings\": []\n}",
            "cut short" => text[..(text.Length / 2)],
            "cut short after an entry" => text[..(text.IndexOf("\n    }", text.Length / 2, StringComparison.Ordinal) + "\n    }".Length)],
            "cut short after the list" => text[..(text.LastIndexOf("\n  ]", StringComparison.Ordinal) + "\n  ]".Length)],
            "more behind" => text + "\n{}",
            _ => text,
        };
    }

    private async Task<JsonNode> FileOfAsync(int many)
    {
        var demo = await product.SignedInAsync("owner@ninthacre.example");
        var file = await demo.GetJsonAsync($"/api/jobs/{await demo.DemoJobAsync("ferry house")}/file");
        var readings = file["readings"]!.AsArray();
        readings.Count.ShouldBeGreaterThan(0);
        var first = readings.Select(r => r!.ToJsonString()).ToList();
        for (var i = first.Count; i < many; i++)
        {
            var one = JsonNode.Parse(first[i % first.Count])!;
            one["takenAt"] = DateTimeOffset.UnixEpoch.AddYears(50).AddMinutes(i);
            readings.Add(one);
        }

        // As it is sent: a time is text by then.
        return JsonNode.Parse(file.ToJsonString())!;
    }

    private static IReadOnlyList<DataFault> FaultsOf(Action read)
    {
        try
        {
            read();
            return [];
        }
        catch (DataFileException e)
        {
            return e.Faults;
        }
    }
}
