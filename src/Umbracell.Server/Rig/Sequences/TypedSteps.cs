using System.Text.Json;
using Umbracell.Core.Quantities;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Typing;

namespace Umbracell.Server.Rig.Sequences;

/// <summary>A step as it is typed: limits and waits as people write them.</summary>
internal sealed record TypedStep
{
    public string Id { get; init; } = "";

    public string What { get; init; } = "";

    public string Why { get; init; } = "";

    public string Wrong { get; init; } = "";

    public RigAct? Act { get; init; }

    public bool HardStop { get; init; }

    public IReadOnlyList<string> After { get; init; } = [];

    public StepGauge? Gauge { get; init; }

    public string Least { get; init; } = "";

    public string Greatest { get; init; } = "";

    public string Wait { get; init; } = "";

    public SequenceRole Who { get; init; }
}

/// <summary>Reads the steps of a sequence as a page sends them.</summary>
internal static class TypedSteps
{
    private static readonly JsonSerializerOptions Json = new(DataFile.Json) { RespectNullableAnnotations = true };

    private static readonly FigureRange Waits = new(6, 86_400, Dimension.Duration);

    /// <summary>Takes the field <c>steps</c>: a JSON list of typed steps.</summary>
    /// <exception cref="FieldFaultsException">A step cannot be read, told as <c>steps.3.least</c>.</exception>
    /// <param name="edit">What was typed.</param>
    /// <param name="before">The sequence it was typed over: a limit that reads as it was printed was not touched.</param>
    public static SequenceDocument Read(TypedEdit edit, SequenceDocument before)
    {
        var fields = new TypedFields(edit);
        fields.Require("steps");
        var steps = fields.Has("steps") ? Parsed(fields) : [];
        var read = new SequenceDocument { Kind = before.Kind, Steps = [.. steps.Select((step, at) => Step(step, at, fields, before))] };
        fields.ThrowIfFaulty("steps");
        return read;
    }

    private static IReadOnlyList<TypedStep> Parsed(TypedFields fields)
    {
        try
        {
            var steps = JsonSerializer.Deserialize<IReadOnlyList<TypedStep>>(fields.Raw("steps"), Json) ?? [];
            if (steps.Count <= SequenceDocument.MostSteps && steps.All(IsWhole))
            {
                return steps;
            }

            fields.Fault(
                steps.Count > SequenceDocument.MostSteps
                    ? FieldFault.TooManyParts("steps", SequenceDocument.MostSteps)
                    : Fault("steps", FaultCode.Unknown)
            );
        }
        catch (JsonException)
        {
            fields.Fault(Fault("steps", FaultCode.Unknown));
        }

        return [];
    }

    // A null in a list is not told by its declaration.
    private static bool IsWhole(TypedStep? step) => step is not null && step.After.All(id => id is not null);

    private static StepDocument Step(TypedStep typed, int at, TypedFields fields, SequenceDocument before)
    {
        var kept = before.Steps.FirstOrDefault(step => step.Id == typed.Id.Trim())?.Reading;
        if (typed.Id.Trim().Length is 0 or > StepDocument.LongestId)
        {
            fields.Fault(Fault($"steps.{at}.id", typed.Id.Trim().Length == 0 ? FaultCode.Empty : FaultCode.TooLong));
        }

        if (typed.What.Trim().Length == 0 && !ShippedSequences.HasWords(typed.Id))
        {
            fields.Fault(Fault($"steps.{at}.what", FaultCode.Empty));
        }

        return new()
        {
            Id = typed.Id.Trim(),
            What = Text(typed.What, $"steps.{at}.what"),
            Why = Text(typed.Why, $"steps.{at}.why"),
            Wrong = Text(typed.Wrong, $"steps.{at}.wrong"),
            Act = typed.Act,
            HardStop = typed.HardStop,
            After = typed.After,
            Reading = typed.Gauge is { } gauge
                ? new(
                    gauge,
                    Limit(typed.Least, gauge, "least", kept?.Least, figure => figure.AtLeast),
                    Limit(typed.Greatest, gauge, "greatest", kept?.Greatest, figure => figure.AtMost)
                )
                : null,
            WaitMin = Figure(typed.Wait, Waits, $"steps.{at}.wait") / 60,
            Who = typed.Who,
        };

        string? Text(string text, string field)
        {
            if (text.Length > StepDocument.LongestText)
            {
                fields.Fault(Fault(field, FaultCode.TooLong));
            }

            return text.Trim().Length == 0 ? null : text.Trim();
        }

        double? Limit(string text, StepGauge gauge, string end, double? standing, Func<Figure, Figure> printed)
        {
            var range = StepGauges.RangeOf(gauge);
            return
                kept?.Gauge == gauge
                && standing is { } si
                && QuantityPrinter.Print(printed(new(si, range.Dimension)), fields.Units) == text.Trim()
                ? si
                : Figure(text, range, $"steps.{at}.{end}");
        }

        double? Figure(string text, FigureRange range, string field)
        {
            if (string.IsNullOrWhiteSpace(text))
            {
                return null;
            }

            var read = QuantityParser.Parse(text, range, fields.Units);
            if (read.Fault is not null)
            {
                fields.Fault(FieldFault.Of(field, read));
            }

            return read.Fault is null ? read.Figure!.Value.Amount : null;
        }
    }

    private static FieldFault Fault(string field, FaultCode code) =>
        new()
        {
            Field = field,
            Code = code,
            Typed = "",
        };
}
