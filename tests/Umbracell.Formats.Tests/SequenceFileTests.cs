using System.Text;
using System.Text.Json.Nodes;
using Shouldly;
using Umbracell.Core.Rigs.Sequences;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Formats.Words;
using Xunit;

namespace Umbracell.Formats.Tests;

/// <summary>Sequences as files: what is written is read back, and what is wrong is told with its line.</summary>
public sealed class SequenceFileTests
{
    public static TheoryData<SequenceKind> Kinds => [.. Enum.GetValues<SequenceKind>()];

    [Fact]
    public void The_schema_of_sequence_files_is_the_one_that_ships() => SequenceFile.SchemaText.ShouldBe(SequenceFile.GenerateSchema());

    [Theory]
    [MemberData(nameof(Kinds))]
    public void A_sequence_that_ships_comes_back_out_of_its_file(SequenceKind kind)
    {
        var shipped = SequenceDocument.Of(ShippedSequences.All[kind]);
        var written = SequenceFile.Write(shipped);
        SequenceFile.Write(SequenceFile.Read("it", Encoding.UTF8.GetString(written))).ShouldBe(written);
    }

    [Theory]
    [MemberData(nameof(Kinds))]
    public void Every_step_that_ships_says_what_is_done_why_and_what_can_go_wrong(SequenceKind kind)
    {
        foreach (var step in ShippedSequences.All[kind].Steps)
        {
            foreach (var part in new[] { "what", "why", "wrong" })
            {
                WordCatalog.Say($"sequence.step.{step.Id}.{part}").Length.ShouldBeGreaterThan(10, $"{step.Id} {part}");
            }
        }
    }

    [Fact]
    public void Every_hard_stop_that_is_taken_out_of_a_sequence_and_needed_by_another_step_is_told_at_the_line_of_that_step()
    {
        foreach (var (kind, sequence) in ShippedSequences.All)
        {
            var whole = JsonNode.Parse(SequenceFile.Write(SequenceDocument.Of(sequence)))!;
            foreach (var (act, then) in RigOrders.All.Select(order => (order.First, order.Then)))
            {
                if (sequence.Steps.All(step => step.Act != act) || sequence.Steps.All(step => step.Act != then))
                {
                    continue;
                }

                var cut = Without(whole, sequence.Steps.Single(step => step.Act == act).Id).ToString();
                var faults = Should.Throw<DataFileException>(() => SequenceFile.Read("it", cut)).Faults;
                var at = sequence.Steps.Single(step => step.Act == then).Id;
                var line = cut.Split('\n').TakeWhile(text => !text.Contains($"\"{at}\"", StringComparison.Ordinal)).Count();
                faults.Select(fault => fault.Line).ShouldContain(line, $"{kind}: {act} before {then}");
            }
        }
    }

    private static JsonNode Without(JsonNode whole, string step)
    {
        var cut = whole.DeepClone();
        var steps = cut["steps"]!.AsArray();
        steps.Remove(steps.Single(one => (string)one!["id"]! == step));
        foreach (var one in steps)
        {
            one!["after"] = new JsonArray([.. one["after"]!.AsArray().Where(id => (string)id! != step).Select(id => id!.DeepClone())]);
        }

        return cut;
    }
}
