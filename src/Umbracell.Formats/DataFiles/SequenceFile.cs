using System.Text.Json;
using NJsonSchema;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Documents;
using Umbracell.Formats.Words;

namespace Umbracell.Formats.DataFiles;

/// <summary>A sequence of a rig as a JSON file: limits in Pa, °C, percent or kg, waits in minutes.</summary>
public static class SequenceFile
{
    private static readonly Lazy<JsonSchema> Schema = new(() => ShippedFiles.Schema("sequence"));

    private static readonly JsonSerializerOptions Written = new(DataFile.Json) { WriteIndented = true };

    /// <summary>The schema, as text.</summary>
    public static string SchemaText => ShippedFiles.Text("schemas/sequence.schema.json");

    /// <summary>The schema as it follows from the shapes here; what ships must be this.</summary>
    public static string GenerateSchema() =>
        ShapeSchema.Of<SequenceDocument>((name, property) => property.IsRequired = name is "id" or "kind" or "steps" or "gauge");

    /// <summary>Reads a sequence, and looks whether it can be run and protects people and pumps.</summary>
    /// <param name="name">File name, for errors.</param>
    /// <param name="text">The JSON.</param>
    /// <exception cref="DataFileException">Against the schema, or not safe; each fault with its line.</exception>
    public static SequenceDocument Read(string name, string text)
    {
        var read = DataFile.Read<SequenceDocument>(name, text, Schema.Value);
        var unsafeSteps = SequenceFaults.Of(read.ToSequence()).Select(fault => (PathOf(read, fault), Sentence(fault)));
        var faults = DataFile.Faults(text, unsafeSteps.Concat(Wordless(read)));
        return faults.Count > 0 ? throw new DataFileException(name, faults) : read;
    }

    /// <summary>Writes a sequence.</summary>
    public static byte[] Write(SequenceDocument sequence) => JsonSerializer.SerializeToUtf8Bytes(sequence, Written);

    /// <summary>What is wrong, as a sentence.</summary>
    public static string Sentence(SequenceFault fault) =>
        WordCatalog.Say(
            $"sequence.fault.{JsonNamingPolicy.CamelCase.ConvertName(fault.Code.ToString())}",
            (
                "lacks",
                fault.Lacks is { } act ? WordCatalog.Say($"sequence.act.{JsonNamingPolicy.CamelCase.ConvertName(act.ToString())}") : ""
            )
        );

    // Who reads it must know what to do.
    private static IEnumerable<(string Path, string Sentence)> Wordless(SequenceDocument of) =>
        of
            .Steps.Select((step, at) => (step, at))
            .Where(one => one.step.What is null && !ShippedSequences.HasWords(one.step.Id))
            .Select(one => ($"steps[{one.at}]", WordCatalog.Say("sequence.fault.noWords")));

    private static string PathOf(SequenceDocument of, SequenceFault fault)
    {
        var at = of.Steps.TakeWhile(step => step.Id != fault.Step).Count();
        return at < of.Steps.Count ? $"steps[{at}]" : "steps";
    }
}
