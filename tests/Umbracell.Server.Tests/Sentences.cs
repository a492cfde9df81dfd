using System.Text.Json.Nodes;
using System.Text.RegularExpressions;
using Shouldly;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;

namespace Umbracell.Server.Tests;

/// <summary>The catalogue of the screens, asked whether it has words for what the core says.</summary>
internal static partial class Sentences
{
    private static readonly JsonNode Catalogue = JsonNode.Parse(Sources.Read("web/src/i18n/en.json"))!;

    public static void Check(Finding finding)
    {
        HashSet<string> given = [.. finding.Figures.Keys, .. finding.Words.Keys];
        given.UnionWith(
            new[] { ("measured", finding.Measured), ("limit", finding.Limit), ("margin", finding.Margin) }
                .Where(p => p.Item2 is not null)
                .Select(p => p.Item1)
        );
        // What is declared of a case is there, so that what holds of all cases holds of every finding.
        given
            .IsSupersetOf(Declared(finding.Case))
            .ShouldBeTrue($"{finding.Case} carries {string.Join(' ', given)} and not {string.Join(' ', Declared(finding.Case))}");
        foreach (var (name, said) in finding.Words)
        {
            finding.Case.Words.Keys.ShouldContain(name, finding.Case.ToString());
            if (finding.Case.Words[name] is { } book)
            {
                said.Keys.ToList().ForEach(key => WordOf(book, key));
            }
        }

        finding.Remedies.ToList().ForEach(Check);
        Check(finding.Source);
        if (finding.Working is { } working)
        {
            Check(working);
        }
    }

    /// <summary>A way a rule can end: its sentences name nothing that its findings do not carry.</summary>
    public static void Check(RuleCase one)
    {
        foreach (var part in new[] { "t", "d" })
        {
            Given(Words($"finding.{one}.{part}"), Declared(one), one.ToString());
        }

        one.Words.Values.OfType<string>().Where(book => book != "place").ToList().ForEach(book => Book(book));
    }

    private static HashSet<string> Declared(RuleCase one) => [.. one.Figures, .. one.Words.Keys];

    private static void WordOf(string book, string key)
    {
        if (book != "place")
        {
            Words($"{book}.{key}");
            return;
        }

        key.Split('|').Length.ShouldBe(2, key);
        key.Split('|').ToList().ForEach(layer => Words($"material.{layer}"));
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
        Check(working.Source);
        foreach (var term in working.Terms)
        {
            Words($"workings.name.{term.Name.Split(':')[0]}");
            double.IsFinite(term.Value.Amount).ShouldBeTrue($"{working.Name}: {term.Symbol}");
            if (term.From is { } from)
            {
                Check(from);
            }
        }
    }

    public static void Check(Citation cited) => Given(Words($"cited.{cited.Key}"), [.. cited.Figures.Keys, .. cited.Words.Keys], cited.Key);

    /// <summary>Every message of the catalogue with its path.</summary>
    public static IEnumerable<(string Path, string Message)> Messages()
    {
        return Below(Catalogue, "");

        static IEnumerable<(string, string)> Below(JsonNode node, string path) =>
            node is JsonObject book
                ? book.SelectMany(one => Below(one.Value!, path.Length == 0 ? one.Key : $"{path}.{one.Key}"))
                : [(path, node.GetValue<string>())];
    }

    /// <summary>The keys of a part of the catalogue.</summary>
    public static IEnumerable<string> KeysOf(string path) => Book(path).AsObject().Select(one => one.Key);

    private static void Given(string sentence, HashSet<string> given, string where)
    {
        foreach (Match hole in Hole().Matches(sentence))
        {
            given.ShouldContain(hole.Groups[1].Value, $"{where} says “{sentence}”");
        }
    }

    public static string Words(string path) => Book(path).GetValue<string>();

    private static JsonNode Book(string path) =>
        path.Split('.')
            .Aggregate<string, JsonNode?>(Catalogue, (at, key) => at?[key])
            .ShouldNotBeNull($"The catalogue has no words for {path}.");

    /// <summary>Every rule and way it ends that the catalogue has a sentence for.</summary>
    public static IEnumerable<string> SentencesOfFindings()
    {
        return Ends(Book("finding"), "");

        static IEnumerable<string> Ends(JsonNode node, string path) =>
            node is not JsonObject book ? []
            : book.ContainsKey("t") ? [path]
            : book.SelectMany(one => Ends(one.Value!, path.Length == 0 ? one.Key : $"{path}.{one.Key}"));
    }

    public static string Camel(string name) => char.ToLowerInvariant(name[0]) + name[1..];

    [GeneratedRegex(@"\{(\w+)\}")]
    private static partial Regex Hole();
}
