using System.Text.Json.Nodes;
using Umbracell.Core.Findings;
using Umbracell.Documents;

namespace Umbracell.Formats.JobFiles;

/// <summary>Brings files that earlier versions wrote to the shape of today, before they are held against the schema.</summary>
internal static class JobFileUpgrades
{
    // The first makes version 2 of version 1. What was only added to the shape needs no step: a file without it is whole.
    private static readonly Action<JsonObject>[] Steps = [ToSecondVersion, TypeErrors];

    /// <summary>A file in the shape of today.</summary>
    /// <param name="file">The file as it was read; a file of today's version, or of none, stays as it is.</param>
    public static void ToCurrent(JsonNode? file)
    {
        if (
            file is not JsonObject job
            || job["formatVersion"] is not JsonValue written
            || !written.TryGetValue(out int version)
            || version < 1
        )
        {
            return;
        }

        foreach (var step in Steps.Skip(version - 1))
        {
            step(job);
            job["formatVersion"] = ++version;
        }
    }

    private static void ToSecondVersion(JsonObject job)
    {
        NameFurtherLayers(job);
        NameSchools(job);
        TypeReadings(job);
    }

    // A value was °C, percent, or 1 and 0 by turns.
    private static void TypeReadings(JsonObject job)
    {
        foreach (var reading in ReadingsOf(job))
        {
            if (reading["kind"] is not JsonValue kind || !reading.Remove("value", out var value))
            {
                continue;
            }

            // Null stands for what the schema then finds missing or wrong, at its place.
            var field = FiledReading.FieldOf(kind.ToString());
            var isNumber = value is JsonValue number && number.TryGetValue(out double _);
            (reading["tempC"], reading["percent"], reading["foundDry"]) = (null, null, null);
            reading[field] = field == "foundDry" && isNumber ? value!.GetValue<double>() > 0 : value;
        }
    }

    // An error was kelvins or points by turns; what a reading without an instrument had says nothing.
    private static void TypeErrors(JsonObject job)
    {
        foreach (var reading in ReadingsOf(job))
        {
            if (reading["kind"] is not JsonValue kind || !reading.Remove("statedError", out var error))
            {
                continue;
            }

            (reading["errorK"], reading["errorPoints"]) = (null, null);
            if (FiledReading.ErrorFieldOf(FiledReading.FieldOf(kind.ToString())) is { } field)
            {
                reading[field] = error;
            }

            if (reading.Remove("rawValue", out var raw))
            {
                reading["rawPercent"] = raw;
            }
        }
    }

    private static IEnumerable<JsonObject> ReadingsOf(JsonObject job) => (job["readings"] as JsonArray ?? []).OfType<JsonObject>();

    private static void NameSchools(JsonObject job)
    {
        var schools = ((job["job"] as JsonObject)?["choosing"] as JsonObject)?["schools"] as JsonArray;
        foreach (var one in (schools ?? []).OfType<JsonObject>())
        {
            if (one["question"] is JsonValue question && one["school"] is JsonValue letter)
            {
                one["school"] = Vocabulary.KeyOf(DocumentUpgrades.SchoolOfLetter(question.ToString(), letter.ToString()));
            }
        }
    }

    private static string Camel(string word) => char.ToLowerInvariant(word[0]) + word[1..];

    private static void NameFurtherLayers(JsonObject job)
    {
        foreach (var system in SystemsOf(job))
        {
            DocumentUpgrades.NameFurtherLayers(system);
            foreach (var layer in (system["further"] as JsonArray ?? []).OfType<JsonObject>())
            {
                if (layer["kind"] is JsonValue kind && kind.TryGetValue(out string? word) && word.Length > 0)
                {
                    layer["kind"] = Camel(word);
                }
            }
        }
    }

    private static IEnumerable<JsonObject> SystemsOf(JsonObject job) =>
        (job["surfaces"] as JsonArray ?? []).OfType<JsonObject>().Select(surface => surface["system"]).OfType<JsonObject>();
}
