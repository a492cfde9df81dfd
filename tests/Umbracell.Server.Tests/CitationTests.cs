using System.Reflection;
using Shouldly;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Formats.DataFiles;
using Xunit;

namespace Umbracell.Server.Tests;

/// <summary>What judgements rest on is a key in the core and a sentence in the catalogue: neither stands without the other.</summary>
public sealed class CitationTests
{
    [Fact]
    public void Everything_cited_has_its_sentence() => All().ToList().ForEach(Sentences.Check);

    [Fact]
    public void The_catalogue_has_no_sentence_that_nothing_cites() =>
        Sentences.KeysOf("cited").ShouldBe(All().Select(cited => cited.Key).Distinct(), ignoreOrder: true);

    private static IEnumerable<Citation> All()
    {
        var members = typeof(Citations).GetMembers(BindingFlags.Public | BindingFlags.Static | BindingFlags.DeclaredOnly);
        var fixedOnes = members.OfType<PropertyInfo>().Select(p => (Citation)p.GetValue(null)!);
        var made = members.OfType<MethodInfo>().Where(m => !m.IsSpecialName).SelectMany(Made);
        return fixedOnes.Concat(made);
    }

    // Where a line of a sheet is named, each line.
    private static IEnumerable<Citation> Made(MethodInfo way) =>
        way.GetParameters()
            .Aggregate(
                (IEnumerable<object[]>)
                    [
                        [],
                    ],
                (all, parameter) => all.SelectMany(one => Given(parameter.ParameterType).Select(value => (object[])[.. one, value]))
            )
            .Select(values => (Citation)way.Invoke(null, values)!);

    private static IEnumerable<object> Given(Type type) =>
        type == typeof(SheetLine) ? Enum.GetValues<SheetLine>().Cast<object>()
        : type == typeof(ProductSheet)
            ? [ProductSheetFile.Read(ShippedData.ProductSheets.Keys.First(), ShippedData.ProductSheets.Values.First())]
        : type == typeof(Material) ? [ShippedData.Materials.Values.First()]
        : type == typeof(TemperatureDifference) ? [TemperatureDifference.FromKelvins(3)]
        : type == typeof(TimeSpan) ? [TimeSpan.FromHours(2)]
        : type == typeof(double) ? [80.0]
        : type == typeof(Temperature) ? [Temperature.FromCelsius(20)]
        : type == typeof(Pressure) ? [Pressure.FromPascals(101_325)]
        : type == typeof(Length) ? [Length.FromMetres(0.2)]
        : type == typeof(Density) ? [Density.FromKilogramsPerCubicMetre(30)]
        : type == typeof(ThermalConductivity) ? [ThermalConductivity.FromSi(1.5)]
        : type == typeof(Figure) ? [new Figure(1, Dimension.FoamVolume)]
        : type == typeof(Rule) ? [RuleBook.All[0]]
        : ["words"];
}
