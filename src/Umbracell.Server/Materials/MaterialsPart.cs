using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Documents;
using Umbracell.Formats.DataFiles;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Requests;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Materials;

/// <summary>A figure of a material.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Field">Field of the firm to change it by.</param>
/// <param name="Own">What the firm holds; null where it goes by the usual value.</param>
/// <param name="Usual">The usual value; null where none is known.</param>
public sealed record MaterialFigureAnswer(string Name, string Field, FigureAnswer? Own, FigureAnswer? Usual);

/// <summary>A material or a batt with its figures.</summary>
public sealed record MaterialAnswer
{
    public required string Id { get; init; }

    /// <summary>The one that ships and that it is like; itself where it ships.</summary>
    public required string Like { get; init; }

    /// <summary>Whether it is a fibrous batt, rated by its R.</summary>
    public required bool IsBatt { get; init; }

    public required IReadOnlyList<MaterialFigureAnswer> Figures { get; init; }

    /// <summary>Where the figures come from.</summary>
    public required string Source { get; init; }

    /// <summary>What the firm said of that; empty where it said nothing.</summary>
    public required string OwnSource { get; init; }

    /// <summary>Field of the firm to say it by.</summary>
    public required string SourceField { get; init; }

    /// <summary>The thickness it usually comes in; null where it comes in many.</summary>
    public required FigureAnswer? UsualThickness { get; init; }

    /// <summary>Permeance at that thickness.</summary>
    public required FigureAnswer? Permeance { get; init; }

    /// <summary>Vapour class at that thickness.</summary>
    public required VapourClass? VapourClass { get; init; }
}

/// <summary>Materials beside foam: boards, coats, paints, batts, and what walls are made of.</summary>
internal sealed class MaterialsPart : IPart
{
    public void Map(IEndpointRouteBuilder api) =>
        api.MapGet("/api/materials", AllAsync)
            .WithTags("Firm")
            .WithSummary("Materials and batts with their figures: the usual ones, and the firm's own where it holds others.")
            .Requires(Right.Look);

    private static async Task<Ok<List<MaterialAnswer>>> AllAsync(UmbracellDb db)
    {
        var firm = await db.Firms.AsNoTracking().SingleAsync();
        var (materials, batts) = (FirmMaterials.MaterialsOf(firm), FirmMaterials.BattsOf(firm));
        List<MaterialAnswer> all =
        [
            .. materials.Values.Select(material => Of(material, firm)),
            .. batts.Select(batt => Of(batt, FirmMaterials.UsualBatt(batt.Id), firm)),
        ];
        return TypedResults.Ok(all);
    }

    private static MaterialAnswer Of(Material material, Firm firm)
    {
        var like = FirmMaterials.UsualOf(material.Id);
        var usual = ShippedData.Materials[like];
        Length? thickness = ShippedData.UsualMm.TryGetValue(like, out var mm) ? Length.FromMillimetres(mm) : null;
        Permeance? permeance = thickness is { } thick ? material.Permeability.Over(thick) : null;
        var own = OwnOf(material.Id, firm);
        return new()
        {
            Id = material.Id,
            Like = like,
            IsBatt = false,
            Figures = Figures(material.Id, own, figure => figure.OfMaterial!(usual)),
            Source = material.Source,
            OwnSource = own.Source,
            SourceField = FirmMaterials.SourceFieldOf(material.Id),
            UsualThickness = mm > 0 ? FigureAnswer.OfLayer(mm) : null,
            Permeance = FigureAnswer.Maybe(permeance?.ToFigure()),
            VapourClass = permeance is { } known ? VapourResistance.ClassOf(known) : null,
        };
    }

    private static MaterialAnswer Of(Batt batt, Batt usual, Firm firm)
    {
        var own = OwnOf(batt.Id, firm);
        return new()
        {
            Id = batt.Id,
            Like = FirmMaterials.UsualOf(batt.Id),
            IsBatt = true,
            Figures = Figures(batt.Id, own, figure => figure.OfBatt!(usual)),
            Source = own.Source,
            OwnSource = own.Source,
            SourceField = FirmMaterials.SourceFieldOf(batt.Id),
            UsualThickness = null,
            Permeance = null,
            VapourClass = null,
        };
    }

    private static MaterialValues OwnOf(string id, Firm firm) => firm.Materials?.Own.GetValueOrDefault(id) ?? new();

    private static IReadOnlyList<MaterialFigureAnswer> Figures(string id, MaterialValues own, Func<MaterialFigure, double?> usual) =>
        [
            .. FirmMaterials
                .FiguresOf(id)
                .Select(figure => new MaterialFigureAnswer(
                    figure.Name,
                    FirmMaterials.FieldOf(id, figure.Name),
                    own.Figures.TryGetValue(figure.Name, out var held) ? FigureAnswer.AsTyped(new(held, figure.Range.Dimension)) : null,
                    usual(figure) is { } known ? FigureAnswer.AsTyped(new(known, figure.Range.Dimension)) : null
                )),
        ];
}
