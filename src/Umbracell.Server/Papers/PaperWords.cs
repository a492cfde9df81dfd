using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.Words;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;

namespace Umbracell.Server.Papers;

/// <summary>What is written on a paper: messages of the catalogue, with figures in the reader's units.</summary>
/// <param name="units">Units of the reader.</param>
/// <param name="currency">Sign of the firm's money, as the firm wrote it.</param>
internal sealed class PaperWords(UnitSystem units, string currency)
{
    // A coat is a film: its thickness in inches says nothing.
    private const double ThickestFilm = 0.002;

    /// <summary>What stands where there is nothing to say.</summary>
    public const string None = "–";

    /// <summary>A message of the catalogue.</summary>
    /// <param name="path">Such as <c>order.by</c>.</param>
    /// <param name="told">What it names: words, figures and days of the calendar.</param>
    public string Say(string path, params (string Name, object? Value)[] told) =>
        WordCatalog.Say(path, [.. told.Select(one => (one.Name, Told(one.Value)))]);

    /// <summary>The figure as this reader reads it; nothing where there is none.</summary>
    public string Print(FigureAnswer? figure) =>
        figure is null ? "" : Writing.Money(Writing.OfCatalog.Figure(units == UnitSystem.Us ? figure.Us : figure.Metric), currency);

    /// <summary>The figure, or a dash.</summary>
    public string PrintOrDash(FigureAnswer? figure) => figure is null ? None : Print(figure);

    /// <summary>The word of a material; the name of a product as it is.</summary>
    public static string Material(string name) => OwnMaterial.NameOf(name) ?? WordCatalog.Of($"material.{name}") ?? name;

    /// <summary>What meets at a place in a section: the two layers on either side of it.</summary>
    public string Place(string key)
    {
        if (key == "foam|foam")
        {
            return Say("harmedPlace.betweenFoams");
        }

        var layers = key.Split('|').Select(Material).ToList();
        return layers[0] == layers[^1] ? layers[0] : Say("harmedPlace.against", ("outer", layers[0]), ("inner", layers[^1]));
    }

    /// <summary>Layers of a system, outermost first.</summary>
    public string Layers(IEnumerable<CandidateLayer> layers) =>
        Writing.Listed(layers.Select(Layer), "plus") is { Length: > 0 } all ? all : None;

    /// <summary>A finding in full: what it is, and what was held against what.</summary>
    public string Told(FindingAnswer finding) => Say("writing.told", ("title", Title(finding)), ("detail", Detail(finding)));

    public string Title(FindingAnswer finding) => Sentence(finding, "t") ?? "";

    private string Detail(FindingAnswer finding) => Sentence(finding, "d") ?? "";

    private string Layer(CandidateLayer layer)
    {
        var name = layer.Foam is null ? Material(layer.Name) : layer.Name;
        return layer.Thickness.Amount < ThickestFilm ? name : Say("writing.layer", ("name", name), ("thickness", layer.Thickness));
    }

    private string Told(object? value) =>
        value switch
        {
            null => "",
            FigureAnswer figure => Print(figure),
            DateOnly day => Writing.OfCatalog.Day(day),
            string words => words,
            _ => throw new ArgumentException($"A {value.GetType().Name} has no words.", nameof(value)),
        };

    private string? Sentence(FindingAnswer finding, string part)
    {
        var path = $"finding.{finding.Rule}.{finding.Case}.{part}";
        return WordCatalog.Of(path) is null ? null : Say(path, [.. Values(finding)]);
    }

    private IEnumerable<(string, object?)> Values(FindingAnswer finding) =>
        [
            ("measured", finding.Measured),
            ("limit", finding.Limit),
            ("margin", finding.Margin),
            .. finding.Figures.Select(figure => (figure.Key, (object?)figure.Value)),
            .. finding.Words.Select(word => (word.Key, (object?)Word(word.Value))),
        ];

    // Keys of the vocabulary become its words; the rest are words of people or of a sheet and stay as they are.
    private string Word(WordAnswer word) =>
        Writing.Listed(
            word.Keys.Select(key =>
                word.Book switch
                {
                    null => key,
                    "place" => Place(key),
                    "material" => Material(key),
                    var book => Say($"{book}.{key}"),
                }
            )
        );
}
