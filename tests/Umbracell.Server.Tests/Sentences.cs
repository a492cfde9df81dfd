using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;

namespace Umbracell.Server.Tests;

/// <summary>The catalogue of the screens, asked whether it has words for what the core says.</summary>
internal static partial class Sentences
{
    private static readonly JsonNode Catalogue = ReadCatalogue();

    public static void Check(Finding finding)
    {
        HashSet<string> given = [.. finding.Figures.Keys, .. finding.Words.Keys];
        given.UnionWith(
            new[] { ("measured", finding.Measured), ("limit", finding.Limit), ("margin", finding.Margin) }
                .Where(p => p.Item2 is not null)
                .Select(p => p.Item1)
        );
        foreach (var part in new[] { "t", "d" })
        {
            Given(Words($"finding.{finding.Rule}.{finding.Case}.{part}"), given, $"{finding.Rule}.{finding.Case}");
        }

        if (finding.Words.TryGetValue("place", out var place))
        {
            place.Split('|').Length.ShouldBe(2, place);
            place.Split('|').ToList().ForEach(layer => Words($"material.{layer}"));
        }

        finding.Remedies.ToList().ForEach(Check);
        if (finding.Working is { } working)
        {
            Check(working);
        }
    }

    public static void Check(HarmedPlace place)
    {
        Words($"material.{place.Outer}");
        Words($"material.{place.Inner}");
    }

    public static void Check(Remedy remedy) =>
        Given(Words($"remedy.{remedy.Kind}"), [.. remedy.Figures.Keys, .. remedy.Words?.Keys ?? []], remedy.Kind);

    public static void Check(Working working)
    {
        Words($"workings.name.{working.Name.Split(':')[0]}");
        working.Source.ShouldNotBeNullOrWhiteSpace();
        foreach (var term in working.Terms)
        {
            Words($"workings.name.{term.Name.Split(':')[0]}");
            double.IsFinite(term.Value.Si).ShouldBeTrue($"{working.Name}: {term.Symbol}");
            if (term.From is { } from)
            {
                Check(from);
            }
        }
    }

    private static void Given(string sentence, HashSet<string> given, string where)
    {
        foreach (Match hole in Hole().Matches(sentence))
        {
            given.ShouldContain(hole.Groups[1].Value, $"{where} says “{sentence}”");
        }
    }

    public static string Words(string path)
    {
        var node = path.Split('.').Aggregate<string, JsonNode?>(Catalogue, (at, key) => at?[key]);
        return node.ShouldNotBeNull($"The catalogue has no words for {path}.").GetValue<string>();
    }

    public static string Camel(string name) => char.ToLowerInvariant(name[0]) + name[1..];

    private static JsonNode ReadCatalogue()
    {
        var folder = new DirectoryInfo(AppContext.BaseDirectory);
        while (!File.Exists(Path.Combine(folder!.FullName, "Umbracell.slnx")))
        {
            folder = folder.Parent;
        }

        return JsonNode.Parse(File.ReadAllText(Path.Combine(folder.FullName, "web/src/i18n/en.json")))!;
    }

    [GeneratedRegex(@"\{(\w+)\}")]
    private static partial Regex Hole();
}
