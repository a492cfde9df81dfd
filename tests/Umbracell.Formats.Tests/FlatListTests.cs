using System.Text;
using System.Text.Json.Nodes;
using CsCheck;
using NJsonSchema;
using Shouldly;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.JobFiles;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>The quick look through a long list accepts nothing that the schema refuses.</summary>
public sealed class FlatListTests
{
    private const string Asked = """
        {
          "type": "object",
          "properties": {
            "rows": {
              "type": "array",
              "items": {
                "type": "object",
                "additionalProperties": false,
                "required": ["id", "at", "value"],
                "properties": {
                  "id": { "type": ["null", "string"], "format": "guid" },
                  "at": { "type": "string", "format": "date-time" },
                  "value": { "type": ["null", "number"], "minimum": -60, "maximum": 100 },
                  "dry": { "type": ["null", "boolean"] },
                  "words": { "type": "string", "maxLength": 6 },
                  "over": { "type": "string", "enum": ["water", "ice"] },
                  "code": { "type": "string", "pattern": "^[a-z]+$" }
                }
              }
            },
            "beside": {}
          }
        }
        """;

    private static readonly string[] Values =
    [
        "null",
        "true",
        "0",
        "-60.0",
        "100.000001",
        "1e300",
        "1e-400",
        "[]",
        "{}",
        "\"\"",
        "\"ice\"",
        "\"Ice\"",
        "\"\\u0069ce\"",
        "\"sixsix\"",
        "\"seven77\"",
        "\"漢漢漢漢漢漢\"",
        "\"8f14e45f-ceea-467f-a0e6-7b6ac44b0001\"",
        "\"{8f14e45f-ceea-467f-a0e6-7b6ac44b0001}\"",
        "\"8f14e45fceea467fa0e67b6ac44b0001\"",
        "\"2026-11-23T12:40:00Z\"",
        "\"2026-11-23T12:40:00.123+05:30\"",
        "\"2026-11-23T12:40:00\"",
        "\"2026-11-23T12:40:00.12\"",
        "\"2026-11-23T12:40:00.123-12\"",
        "\"2026-11-23\"",
        "\"2026-13-23T12:40:00Z\"",
        "\"12:40:00\"",
        "\"23.11.2026 12:40:00 Z\"",
    ];

    private static readonly string[] Right =
    [
        "\"id\":null",
        "\"at\":\"2026-11-23T12:40:00Z\"",
        "\"value\":20",
        "\"dry\":false",
        "\"words\":\"dry\"",
        "\"over\":\"ice\"",
    ];

    private static readonly JsonSchema Schema = JsonSchema.FromJsonAsync(Asked).GetAwaiter().GetResult();

    [Fact]
    public void What_it_accepts_the_schema_accepts()
    {
        string[] names = ["id", "at", "value", "dry", "words", "over", "code", "other"];
        var accepted = 0;
        Gen.Select(Gen.Int[0, names.Length - 1], Gen.Int[0, Values.Length - 1], Gen.Int[0, Right.Length], Gen.Bool)
            .Sample(
                (name, value, missing, behind) =>
                {
                    var spoilt = $"\"{names[name]}\":{Values[value]}";
                    var rest = Right.Where((m, i) => i != missing && !m.StartsWith($"\"{names[name]}\"", StringComparison.Ordinal));
                    var entry = $"{{{string.Join(',', behind ? rest.Append(spoilt) : rest.Prepend(spoilt))}}}";
                    var file = $$"""{"beside": [1], "rows": [{{{string.Join(',', Right)}}}, {{entry}}], "after": "{"}""";
                    if (Emptied(file) is { } emptied)
                    {
                        Interlocked.Increment(ref accepted);
                        Schema.Validate(file).ShouldBeEmpty(entry);
                        JsonNode
                            .DeepEquals(JsonNode.Parse(emptied), JsonNode.Parse("""{"beside": [1], "rows": [], "after": "{"}"""))
                            .ShouldBeTrue();
                    }
                },
                iter: 4000,
                seed: "0000KuZ0CuT4"
            );
        accepted.ShouldBeGreaterThan(60);
    }

    /// <summary>What the quick look leaves to the slow one.</summary>
    [Theory]
    [InlineData("""{"rows": [], "rows": []}""")]
    [InlineData("""{"rows": [{"id": null, "id": null, "at": "2026-11-23T12:40:00Z", "value": 1}]}""")]
    [InlineData("""{"rows": [null]}""")]
    [InlineData("""{"rows": {}}""")]
    [InlineData("""{"beside": []}""")]
    [InlineData("""{"rows": []} {}""")]
    [InlineData("""{"rows": [] /* none */}""")]
    [InlineData("""{"rows": [""")]
    [InlineData("""[]""")]
    [InlineData("")]
    public void What_it_does_not_understand_it_leaves(string file) => Emptied(file).ShouldBeNull();

    [Fact]
    public async Task Readings_of_a_job_file_are_looked_at_quickly()
    {
        const string reading = """
            {"surfaceId":null,"sheetId":"marl-cc-20","kind":"DrumA","tempC":15.5,"percent":null,"foundDry":null,"humidityOver":"water",
             "instrument":"thermometer","errorK":0.5,"errorPoints":null,"place":"","rawPercent":null,"species":"",
             "takenAt":"2026-11-23T12:40:00+00:00","takenBy":"lead","receivedAt":null}
            """;
        var schema = await JsonSchema.FromJsonAsync(JobFile.SchemaText, TestContext.Current.CancellationToken);
        var look = new FlatList("readings", schema.ActualProperties["readings"].Item!.ActualSchema);
        look.Emptied(Encoding.UTF8.GetBytes($$"""{"readings": [{{reading}}, {{reading}}]}""")).ShouldNotBeNull();
    }

    private static string? Emptied(string file) =>
        new FlatList("rows", Schema.ActualProperties["rows"].Item!.ActualSchema).Emptied(Encoding.UTF8.GetBytes(file)) is { } emptied
            ? Encoding.UTF8.GetString(emptied)
            : null;
}
