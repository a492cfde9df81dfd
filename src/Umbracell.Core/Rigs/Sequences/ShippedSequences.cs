using System.Text.Json;
using System.Text.Json.Serialization;

namespace Umbracell.Core.Rigs.Sequences;

/// <summary>The sequences that ship, read out of <c>shipped.json</c> beside this file.</summary>
public static class ShippedSequences
{
    /// <summary>One of each kind.</summary>
    public static IReadOnlyDictionary<SequenceKind, Sequence> All { get; } = Read();

    /// <summary>Whether a step of this id ships, so that the catalogue has words for it.</summary>
    public static bool HasWords(string step) => Ids.Contains(step);

    /// <summary>What a step of this id does to the rig wherever it ships; null where none ships, or it does nothing that people or pumps
    /// hang on. Whoever rewrites a sequence can drop such a step, not what it does.</summary>
    public static RigAct? ActOf(string step) => Acts.TryGetValue(step, out var act) ? act : null;

    private static readonly HashSet<string> Ids = [.. All.Values.SelectMany(one => one.Steps).Select(step => step.Id)];

    private static readonly Dictionary<string, RigAct> Acts = All
        .Values.SelectMany(one => one.Steps)
        .Where(step => step.Act is not null)
        .DistinctBy(step => step.Id)
        .ToDictionary(step => step.Id, step => step.Act!.Value);

    internal sealed record Written(SequenceKind Kind, IReadOnlyList<WrittenStep> Steps);

    internal sealed record WrittenReading(StepGauge Gauge, double? Least, double? Greatest);

    internal sealed record WrittenStep
    {
        public required string Id { get; init; }

        public RigAct? Act { get; init; }

        public bool HardStop { get; init; }

        public IReadOnlyList<string>? After { get; init; }

        public WrittenReading? Reading { get; init; }

        public double? WaitMin { get; init; }

        public SequenceRole Who { get; init; }
    }

    private static Dictionary<SequenceKind, Sequence> Read()
    {
        using var file = typeof(ShippedSequences).Assembly.GetManifestResourceStream("sequences.json")!;
        return JsonSerializer
            .Deserialize(file, ShippedSequencesJson.Default.IReadOnlyListWritten)!
            .ToDictionary(one => one.Kind, one => new Sequence { Kind = one.Kind, Steps = [.. one.Steps.Select(Step)] });
    }

    private static SequenceStep Step(WrittenStep step) =>
        new()
        {
            Id = step.Id,
            Act = step.Act,
            HardStop = step.HardStop,
            After = step.After ?? [],
            Reading = step.Reading is { } reading ? new(reading.Gauge, reading.Least, reading.Greatest) : null,
            Wait = step.WaitMin is { } minutes ? TimeSpan.FromMinutes(minutes) : null,
            Who = step.Who,
        };
}

/// <summary>Reads the file without reflection, so that it also works where the code is trimmed.</summary>
[JsonSourceGenerationOptions(
    JsonSerializerDefaults.Web,
    UseStringEnumConverter = true,
    UnmappedMemberHandling = JsonUnmappedMemberHandling.Disallow
)]
[JsonSerializable(typeof(IReadOnlyList<ShippedSequences.Written>))]
internal sealed partial class ShippedSequencesJson : JsonSerializerContext;
