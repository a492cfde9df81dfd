using System.Text.Json;
using System.Text.RegularExpressions;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Server.Problems;
using Umbracell.Server.Surfaces;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>One catalogue for page and server: what the server says of it reads whole.</summary>
public sealed partial class CatalogueTests
{
    [Fact]
    public void Every_message_reads_whole_with_what_it_names()
    {
        var messages = Sentences.Messages().ToList();
        messages.Count.ShouldBeGreaterThan(1000);
        foreach (var (path, message) in messages)
        {
            var named = Hole().Matches(message).Select(hole => (hole.Groups[1].Value, "told")).ToArray();
            WordCatalog.Say(path, named).ShouldNotMatch(@"[{}]", path);
        }
    }

    [Fact]
    public void Every_message_the_server_names_is_there()
    {
        var named = new[] { "src/Umbracell.Server", "src/Umbracell.Formats" }
            .SelectMany(part => Directory.EnumerateFiles(Path.Combine(Sources.Root, part), "*.cs", SearchOption.AllDirectories))
            .SelectMany(file => NamedMessage().Matches(File.ReadAllText(file)))
            .Select(match => match.Groups[1].Value)
            .Distinct()
            .ToList();
        named.Count.ShouldBeGreaterThan(40);
        named.Where(path => WordCatalog.Of(path) is null).ShouldBeEmpty();
    }

    [Fact]
    public void Every_fact_that_is_kept_of_a_surface_can_be_said_and_has_its_word()
    {
        var kept = typeof(FactsDocument)
            .GetProperties()
            .Where(property => property.PropertyType == typeof(bool))
            .Select(property => JsonNamingPolicy.CamelCase.ConvertName(property.Name))
            .ToList();
        ChoiceFacts.Told(new()).Keys.ShouldBe(kept, ignoreOrder: true);
        kept.Where(fact => WordCatalog.Of($"choose.fact.{fact}") is null).ShouldBeEmpty();
    }

    public static TheoryData<FaultCode> Codes => [.. Enum.GetValues<FaultCode>()];

    [Theory]
    [MemberData(nameof(Codes))]
    public void Every_fault_of_a_field_has_a_sentence_and_no_sentence_lacks_its_fault(FaultCode code)
    {
        var figure = FigureAnswer.OfCelsius(20);
        var sentence = FaultSentences.Of(
            new()
            {
                Field = "air",
                Code = code,
                Typed = "warm",
                Least = figure,
                Greatest = figure,
                Words = ["Width", "Height"],
                Other = "68 °F",
            }
        );
        sentence.ShouldStartWith("air: ");
        sentence.ShouldNotMatch(@"[{}]");
        Sentences.KeysOf("problem.field").ShouldBe(Enum.GetValues<FaultCode>().Select(Vocabulary.KeyOf), ignoreOrder: true);
    }

    [Fact]
    public void A_range_is_told_in_both_unit_systems()
    {
        var range = new FigureRange(15, 60, Dimension.Temperature);
        var typed = QuantityParser.Parse("400", range, UnitSystem.Us);
        FaultSentences.Of(FieldFault.Of("hotRoom", typed)).ShouldBe("hotRoom: 400 is out of range: 15.0 °C (59 °F) to 60.0 °C (140 °F).");
    }

    // One by its whole name; what is put together of a key is asked for where its keys are listed.
    [GeneratedRegex(@"\bSay\(\s*""([\w.]*\w)""")]
    private static partial Regex NamedMessage();

    [GeneratedRegex(@"\{(\w+)\}")]
    private static partial Regex Hole();
}
