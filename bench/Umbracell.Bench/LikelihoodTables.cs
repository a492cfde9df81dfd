using System.Text.Json;
using System.Text.Json.Nodes;
using Umbracell.Core.Rigs.Shots;
using Umbracell.Formats.DataFiles;

namespace Umbracell.Bench;

/// <summary>Counts the likelihoods of test shots anew and writes them into their file, priors and weights left as they stand there.</summary>
internal static class LikelihoodTables
{
    private static readonly JsonSerializerOptions Indented = new() { WriteIndented = true };

    public static void Write(string path)
    {
        var root = JsonNode.Parse(File.ReadAllText(path))!.AsObject();
        var sheets = ShippedData
            .ProductSheets.OrderBy(sheet => sheet.Key, StringComparer.Ordinal)
            .Select(sheet => ProductSheetFile.Read(sheet.Key, sheet.Value))
            .ToList();
        root["basis"] =
            $"given: counted on {ShotLikelihoods.ShippedShots} shots of the simulated foam for each cause and sample sheet, "
            + $"seed {ShotLikelihoods.ShippedSeed}; priors and weights: practice";
        root["given"] = new JsonObject(
            ShotLikelihoods
                .Counted(sheets, ShotLikelihoods.ShippedSeed, ShotLikelihoods.ShippedShots)
                .Select(sign => KeyValuePair.Create<string, JsonNode?>(sign.Key, new JsonObject(sign.Value.Select(Row))))
        );
        File.WriteAllText(path, root.ToJsonString(Indented).ReplaceLineEndings("\n") + "\n");
    }

    private static KeyValuePair<string, JsonNode?> Row(KeyValuePair<ShotCause, double[]> cause) =>
        new(
            JsonNamingPolicy.CamelCase.ConvertName(cause.Key.ToString()),
            new JsonArray([.. cause.Value.Select(share => (JsonNode?)share)])
        );
}
