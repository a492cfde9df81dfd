using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Umbracell.Documents;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Choose;
using Umbracell.Server.Places;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sets.Price;

/// <summary>Shapes bids and routes for the screens and for keeping.</summary>
internal static class PriceAnswers
{
    public static BidSurfaceAnswer Of(PricedSurface s) =>
        new()
        {
            Id = s.Row.Surface.Id,
            Name = s.Row.Surface.Name,
            Substrate = Temperature(s.Row.SetsQuestion?.SubstrateTempC),
            From = s.Row.SubstrateFrom,
            Route = KeptBids.RouteOf(s),
            AllHeld = s.Routes is { Chosen: null },
            Sets = FigureAnswer.Of(new(s.Sets, Dimension.Sets)),
            Treated = FigureAnswer.Of(s.Priced.Treated.ToFigure()),
            Layers = s.Row.Section is { } section ? SystemLayers.Of(section.Case) : [],
            R = FigureAnswer.Maybe(s.Row.Section?.FillR.ToFigure()),
        };

    /// <summary>A kept bid beside today's: which lines differ, and which surfaces are why.</summary>
    public static KeptBidAnswer Of(BidRow row, BidDocument today, Func<string, string> nameOf)
    {
        var kept = row.Document!;
        var dimensions = kept.Lines.Concat(today.Lines).GroupBy(l => l.Key).ToDictionary(g => g.Key, g => g.First().Dimension);
        FigureAnswer? Quantity(string key, double? si) => si is { } value ? FigureAnswer.Of(new(value, dimensions[key])) : null;
        var changes = BidChange.Between([.. kept.Lines.Select(Plain)], [.. today.Lines.Select(Plain)]);
        var now = today.Surfaces.GroupBy(s => s.Name).ToDictionary(g => g.Key, g => g.First());
        return new()
        {
            Id = row.Id,
            MadeAt = row.MadeAt,
            MadeBy = row.MadeBy,
            WorkDate = row.WorkDate,
            Price = FigureAnswer.Of(Money(kept.Price)),
            Difference = FigureAnswer.Of(Money(Math.Abs(today.Price - kept.Price))),
            Dearer = today.Price > kept.Price,
            Changes =
            [
                .. changes.Select(c => new BidChangeAnswer
                {
                    Key = c.Key,
                    Name = nameOf(c.Key),
                    QuantityBefore = Quantity(c.Key, c.QuantityBefore),
                    QuantityAfter = Quantity(c.Key, c.QuantityAfter),
                    Before = FigureAnswer.Of(Money(c.Before)),
                    After = FigureAnswer.Of(Money(c.After)),
                    Difference = FigureAnswer.Of(Money(Math.Abs(c.Difference))),
                    Dearer = c.Difference > 0,
                }),
            ],
            Surfaces =
            [
                .. kept
                    .Surfaces.Where(s => KeptBids.Differs(s, now.GetValueOrDefault(s.Name)))
                    .Select(s => Change(s, now.GetValueOrDefault(s.Name))),
                .. today
                    .Surfaces.Where(s => kept.Surfaces.All(k => k.Name != s.Name))
                    .Select(s => new SurfaceChangeAnswer
                    {
                        Name = s.Name,
                        SubstrateBefore = null,
                        SubstrateAfter = Temperature(s.SubstrateC),
                        RouteBefore = "",
                        RouteAfter = s.Route,
                        SetsBefore = null,
                        SetsAfter = Sets(s.Sets),
                    }),
            ],
        };

        static (string Key, double Quantity, double Amount) Plain(KeptLine line) => (line.Key, line.Quantity, line.Amount);
    }

    /// <summary>When a place's mean air leaves the window of the products a job is sprayed with.</summary>
    /// <param name="study">The job.</param>
    /// <param name="day">The season told is the one this day lies in, or the next.</param>
    /// <param name="offered">Sheets on offer.</param>
    public static IEnumerable<ColdSeasonAnswer> Seasons(JobStudy study, DateOnly day, IEnumerable<Core.Materials.ProductSheet> offered)
    {
        if (JobPlaces.Of(study.Job) is not { } place)
        {
            yield break;
        }

        foreach (
            var sheet in study
                .Rows.SelectMany(r => r.AllSets)
                .Select(one => one.Sheet)
                .DistinctBy(s => s.Id)
                .OrderBy(s => s.Name, StringComparer.Ordinal)
        )
        {
            if (SeasonChange.Of(place.MeanC, sheet.Substrate.Least) is { } season)
            {
                var until = Day(season.Until, day.Year) is var thisYear && thisYear >= day ? thisYear : Day(season.Until, day.Year + 1);
                var from = Day(season.From, season.From < season.Until ? until.Year : until.Year - 1);
                yield return new(
                    sheet.Name,
                    FigureAnswer.Of(sheet.Substrate.Least.ToFigure()),
                    from,
                    until,
                    ColdRouteCase.ColdGradeFor(sheet, offered) is not null
                );
            }
        }
    }

    private static DateOnly Day(int dayOfYear, int year) => new DateOnly(year, 1, 1).AddDays(dayOfYear - 1);

    private static SurfaceChangeAnswer Change(KeptSurface before, KeptSurface? after) =>
        new()
        {
            Name = before.Name,
            SubstrateBefore = Temperature(before.SubstrateC),
            SubstrateAfter = Temperature(after?.SubstrateC),
            RouteBefore = before.Route,
            RouteAfter = after?.Route ?? "",
            SetsBefore = Sets(before.Sets),
            SetsAfter = after is null ? null : Sets(after.Sets),
        };

    private static FigureAnswer Sets(double sets) => FigureAnswer.Of(new(sets, Dimension.Sets));

    private static FigureAnswer? Temperature(double? celsius) => celsius is { } c ? FigureAnswer.OfCelsius(c) : null;

    private static Figure Money(double amount) => new(amount, Dimension.Money);
}
