using System.Security.Claims;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.FirstRun;
using Umbracell.Server.Materials;
using Umbracell.Server.Means;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Server.Typing;
using Umbracell.Store;
using Umbracell.Store.Model;

namespace Umbracell.Server.Choose;

/// <summary>A rate of the firm.</summary>
/// <param name="Field">Field to change it by.</param>
/// <param name="Name">Product or material; empty for what the field's own name says.</param>
/// <param name="Figure">The rate; null until entered.</param>
public sealed record RateAnswer(string Field, string Name, FigureAnswer? Figure);

/// <summary>What a firm pays, how fast it works, and which school it follows.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Currency">Sign of its money.</param>
/// <param name="Rates">Its rates; null for whom they are none of.</param>
/// <param name="Practice">School by question.</param>
/// <param name="Margins">Margins of the gate.</param>
public sealed record FirmAnswer(
    string Name,
    string Currency,
    RatesAnswer? Rates,
    IReadOnlyDictionary<string, string> Practice,
    IReadOnlyList<MarginAnswer> Margins
)
{
    /// <summary>Figures of materials that it holds in place of the usual ones, by field.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> MaterialFigures { get; init; }

    /// <summary>Where those come from, by field.</summary>
    public required IReadOnlyDictionary<string, string> MaterialSources { get; init; }

    /// <summary>Version to name when changing it.</summary>
    public uint Version { get; init; }
}

/// <summary>Rates of a firm.</summary>
/// <param name="Sets">A set of each product.</param>
/// <param name="Materials">Boards, batts and coats.</param>
/// <param name="Work">Hours, days, shares and paces.</param>
/// <param name="ProfitIsMarkup">Whether profit is a share of the cost, not of the price.</param>
public sealed record RatesAnswer(
    IReadOnlyList<RateAnswer> Sets,
    IReadOnlyList<RateAnswer> Materials,
    IReadOnlyList<RateAnswer> Work,
    bool ProfitIsMarkup
);

internal static class FirmEndpoints
{
    // US$, CHF, Fr.: as long as what is read before an amount.
    private const int LongestSign = 4;

    private const int LongestName = 120;

    private static readonly FigureRange PerArea = new(0, 1_000_000, Dimension.MoneyPerArea);

    private static readonly FigureRange PerBoard = new(0, 1_000_000, Dimension.MoneyPerBoard);

    public static void MapFirm(this IEndpointRouteBuilder app)
    {
        app.MapGet("/api/firm", AnswerAsync)
            .WithTags("Firm")
            .WithSummary("The firm's practice, and its rates for those who price.")
            .Requires(Right.Look);
        app.MapPatch("/api/firm", ChangeAsync)
            .WithTags("Firm")
            .WithSummary("Change typed rates, the school followed in a question, or a margin of the gate.")
            .Requires(Right.Price)
            .Notes(SecurityEvent.RatesChanged);
    }

    private static async Task<Ok<FirmAnswer>> AnswerAsync(UmbracellDb db, SheetLibrary library, ClaimsPrincipal person)
    {
        var answer = Of(await db.Firms.SingleAsync(), await library.SuppliesAsync());
        return TypedResults.Ok(person.May(Right.Price) ? answer : answer with { Rates = null });
    }

    private static async Task<Ok<FirmAnswer>> ChangeAsync(TypedEdit edit, UmbracellDb db, SheetLibrary library, Commands commands)
    {
        var (firm, supplies) = (await db.Firms.SingleAsync(), await library.SuppliesAsync());
        if (!await commands.TakeAsync(edit, firm))
        {
            return TypedResults.Ok(Of(firm, supplies));
        }

        Seen.MustStand(edit.Version, firm.Version, () => Of(firm, supplies));

        var fields = new TypedFields(edit);
        var rates = firm.Rates ?? Rates.Unpriced;
        foreach (var rate in WorkRates.All)
        {
            fields.Quantity(rate.Field, rate.Range, value => rates = rate.With(rates, value));
        }

        foreach (var id in supplies.Sheets.Keys)
        {
            fields.QuantityOrBlank(
                "set:" + id,
                WorkRates.Price,
                value => rates = rates with { SetPrice = With(rates.SetPrice, id, value) }
            );
        }

        foreach (var id in MaterialsOf(supplies))
        {
            fields.QuantityOrBlank(
                "material:" + id,
                PriceOf(id, supplies),
                value => rates = rates with { MaterialPrice = With(rates.MaterialPrice, id, value) }
            );
        }

        fields.Text("name", LongestName, required: true, text => firm.Name = text);
        fields.Text("currency", LongestSign, required: false, text => firm.Currency = text);
        fields.YesNo("profitIsMarkup", yes => rates = rates with { ProfitIsMarkup = yes == true });
        JobChoosing.Schools(fields, firm.Practice, practice => firm.Practice = practice);
        FirmMargins.Take(fields, firm);
        FirmMaterials.Take(fields, firm, await MaterialUses.OfAsync(db, edit));
        FirstSteps.Take(fields, firm);
        fields.ThrowIfFaulty([
            "name",
            "currency",
            "profitIsMarkup",
            .. WorkRates.All.Select(rate => rate.Field),
            .. supplies.Sheets.Keys.Select(id => "set:" + id),
            .. MaterialsOf(supplies).Select(id => "material:" + id),
            .. Enum.GetNames<PracticeQuestion>().Select(q => "practice" + q),
            .. FirmMargins.Fields,
            .. FirmMaterials.FieldsOf(firm),
            .. FirstSteps.Fields,
        ]);

        // What was not touched stays not entered.
        firm.Rates = firm.Rates is null && rates == Rates.Unpriced ? null : rates;
        await db.SaveChangesAsync();
        return TypedResults.Ok(Of(firm, supplies));
    }

    private static IEnumerable<string> MaterialsOf(Supplies supplies)
    {
        var systems = supplies.ForSystems;
        Material[] bought = [systems.Board, systems.FacedBoard, systems.VapourCoat, systems.WeatherCoat];
        return [.. supplies.Batts.Select(b => b.Id), .. bought.Select(m => m.Id)];
    }

    private static Dictionary<string, double> With(IReadOnlyDictionary<string, double> prices, string id, double? price)
    {
        var changed = new Dictionary<string, double>(prices);
        changed.Remove(id);
        if (price is { } known)
        {
            changed[id] = known;
        }

        return changed;
    }

    private static FirmAnswer Of(Firm firm, Supplies supplies)
    {
        var rates = firm.Rates ?? Rates.Unpriced;
        return new(
            firm.Name,
            firm.Currency,
            new(
                [
                    .. supplies
                        .Sheets.Values.OrderBy(s => s.Cell)
                        .ThenBy(s => s.Name, StringComparer.Ordinal)
                        .Select(s => new RateAnswer("set:" + s.Id, s.Name, Money(rates.PriceOf(s)))),
                ],
                [
                    .. MaterialsOf(supplies)
                        .Select(id => new RateAnswer(
                            "material:" + id,
                            id,
                            Money(rates.PriceOf(id, null), PriceOf(id, supplies).Dimension)
                        )),
                ],
                [.. WorkRates.All.Select(rate => new RateAnswer(rate.Field, "", FigureAnswer.Of(rate.Of(rates))))],
                rates.ProfitIsMarkup
            ),
            Enum.GetValues<PracticeQuestion>()
                .ToDictionary(
                    q => Vocabulary.KeyOf(q),
                    q => firm.Practice?.Schools.TryGetValue(q, out var school) == true ? Vocabulary.KeyOf(school) : ""
                ),
            FirmMargins.Of(firm)
        )
        {
            MaterialFigures = FirmMaterials.OwnFigures(firm),
            MaterialSources = FirmMaterials.OwnSources(firm),
            Version = firm.Version,
        };
    }

    // Boards are priced by their thickness too; batts and coats come in one.
    private static FigureRange PriceOf(string material, Supplies supplies) =>
        supplies.Materials.TryGetValue(material, out var known) && known.IsInsulation ? PerBoard : PerArea;

    private static FigureAnswer? Money(double? price, Dimension dimension = Dimension.Money) =>
        price is { } known ? FigureAnswer.Of(new(known, dimension)) : null;
}
