using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Shouldly;
using Xunit;

namespace Umbracell.Server.Tests.Weather;

/// <summary>The examples of the pages of methods run as they are written, and answer what is written.</summary>
public sealed partial class HoursExampleTests(Product product)
{
    [Theory]
    [InlineData("window", "face-hours", "room-hours", "gate-hours")]
    [InlineData("rig", "set-points", "test-shot")]
    public async Task Every_example_gives_the_answer_beside_it(string method, params string[] asked)
    {
        var page = Sources.Read($"docs/methods/{method}.md");
        var examples = Example().Matches(page);
        examples.Select(one => one.Groups["path"].Value).ShouldBe(asked.Select(name => $"/api/compute/{name}"));
        var client = product.WithToken();
        foreach (Match example in examples)
        {
            var (status, answer) = await client.SendJsonAsync(
                HttpMethod.Post,
                example.Groups["path"].Value,
                JsonNode.Parse(example.Groups["question"].Value)!
            );
            status.ShouldBe(200, answer.ToJsonString());
            Same(answer, JsonNode.Parse(example.Groups["answer"].Value)!, example.Groups["path"].Value);
        }
    }

    [Fact]
    public async Task Hours_of_a_gate_asked_with_their_members_are_told_by_shares()
    {
        static JsonObject Hour(double celsius) =>
            new()
            {
                ["tempC"] = celsius,
                ["dewPointC"] = celsius - 12,
                ["windMs"] = 1,
                ["cloud"] = 1,
                ["precipMm"] = 0,
            };
        JsonArray Member(double celsius) => new([.. Enumerable.Range(0, 6).Select(_ => (JsonNode)Hour(celsius))]);
        var question = new JsonObject
        {
            ["latitude"] = 43.9,
            ["longitude"] = -76.6,
            ["start"] = "2026-11-24T00:00:00Z",
            ["sheetId"] = "marl-cc-20",
            ["face"] = new JsonObject
            {
                ["tiltDeg"] = 180,
                ["absorptance"] = 0,
                ["emittance"] = 0.9,
            },
            ["members"] = new JsonArray(Member(20), Member(20), Member(20), Member(20), Member(-3)),
        };
        var (status, answer) = await product.WithToken().SendJsonAsync(HttpMethod.Post, "/api/compute/gate-hours", question);
        status.ShouldBe(200, answer.ToJsonString());
        var hours = answer["hours"]!.AsArray();
        hours.Count.ShouldBe(6);
        hours.ShouldAllBe(hour => hour!["verdict"]!.GetValue<string>() == "care" && hour["passingPct"]!.GetValue<double>() == 80);
        hours.Select(hour => hour!["startPct"]!.GetValue<double>()).ShouldBe([80, 80, 80, 80, 80, 0]);
        question["members"]![4]!.AsArray().RemoveAt(0);
        (await product.WithToken().SendJsonAsync(HttpMethod.Post, "/api/compute/gate-hours", question)).Status.ShouldBe(400);
    }

    // Figures are written to two places.
    private static void Same(JsonNode? told, JsonNode? written, string at)
    {
        switch (written)
        {
            case JsonObject all:
                all.ShouldAllBe(member => told!.AsObject().ContainsKey(member.Key), at);
                foreach (var (name, value) in all)
                {
                    Same(told![name], value, $"{at}.{name}");
                }

                break;
            case JsonArray all:
                told!.AsArray().Count.ShouldBe(all.Count, at);
                for (var i = 0; i < all.Count; i++)
                {
                    Same(told![i], all[i], $"{at}[{i}]");
                }

                break;
            case JsonValue value when value.TryGetValue<double>(out var number):
                told!.GetValue<double>().ShouldBe(number, 0.006, at);
                break;
            default:
                (told?.ToString()).ShouldBe(written?.ToString(), at);
                break;
        }
    }

    [GeneratedRegex(
        @"`POST (?<path>/api/compute/[a-z-]+)`\s+```json\s+(?<question>.*?)```.*?```json\s+(?<answer>.*?)```",
        RegexOptions.Singleline
    )]
    private static partial Regex Example();
}
