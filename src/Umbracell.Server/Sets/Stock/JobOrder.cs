using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Means;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Questions;
using Umbracell.Questions.Answers;
using Umbracell.Server.Surfaces;
using Umbracell.Store.Model;

namespace Umbracell.Server.Sets.Stock;

/// <summary>What a job loads, what of it is in the store, and what is ordered.</summary>
internal static class JobOrder
{
    private const int MostNextJobs = 5;

    public static JobOrderAnswer Of(
        JobStudy study,
        JobBid bid,
        IReadOnlyList<StockLotRow> lots,
        ILookup<string, string> elsewhere,
        Supplies supplies,
        DateOnly today
    )
    {
        var (rates, trailer) = (supplies.Priced, supplies.Means.Trailer);
        var pricing = JobPricing.Of(study.Job);
        var day = pricing.WorkDate ?? today;
        var air = JobPricing.SeasonOf(study.Job)?.Air;
        var lines = bid
            .Loads.Select(load => Line(load, lots, supplies, day, air) with { NextJobs = [.. elsewhere[load.Sheet.Id].Take(MostNextJobs)] })
            .ToList();
        var weighed = RigLoad.Of([.. bid.Loads.Select(load => (load.Sheet, load.Sets.Load.Sets))], trailer ?? Mass.FromKilograms(0));
        return new()
        {
            WorkDate = pricing.WorkDate,
            OrderBy = pricing.WorkDate is { } work && rates.LeadDays > 0 ? work.AddDays(-(int)Math.Ceiling(rates.LeadDays)) : null,
            Lines = lines,
            Weight = FigureAnswer.Of(weighed.Weight.ToFigure()),
            Trailer = trailer is { } carries ? FigureAnswer.Of(carries.ToFigure()) : null,
            Findings = FindingAnswer.All(weighed.Findings),
            NightAir = air is { } known ? FigureAnswer.Of(known.ToFigure()) : null,
        };
    }

    private static OrderLine Line(JobLoad of, IReadOnlyList<StockLotRow> lots, Supplies supplies, DateOnly day, Temperature? air)
    {
        var means = supplies.Means;
        var (sheet, load) = (of.Sheet, of.Sets.Load.Sets);
        var stock = DrumStock.Of(sheet, StoreLots.Of(lots, sheet.Id), load, day);
        return new()
        {
            SheetId = sheet.Id,
            Sheet = sheet.Name,
            Load = load,
            SetsA = FigureAnswer.Of(new(stock.SetsA, Dimension.Sets)),
            SetsB = FigureAnswer.Of(new(stock.SetsB, Dimension.Sets)),
            Order = new(FigureAnswer.Of(stock.Working.Result), WorkingAnswer.Of(stock.Working)),
            OrderCount = stock.Order,
            Price = supplies.Priced.PriceOf(sheet) is { } price ? FigureAnswer.Of(new(stock.Order * price, Dimension.Money)) : null,
            Weight = FigureAnswer.Of(new(load * sheet.SetMass.Kilograms, Dimension.Mass)),
            Drums = air is { } night && !sheet.IsKit ? [Drum(sheet, SetSide.A, night, means), Drum(sheet, SetSide.B, night, means)] : [],
            Warming = air is { } cold && !sheet.IsKit ? Warming(sheet, load, cold, supplies) : null,
            LeftOver = FigureAnswer.Of(new(load - of.Sets.Median, Dimension.Sets)),
            NextJobs = [],
            Findings = FindingAnswer.All(stock.Findings),
        };
    }

    private static WarmingAnswer Warming(ProductSheet sheet, int load, Temperature night, Supplies supplies)
    {
        var warming = DrumWarming.Of(
            [new(SetSide.A, sheet.SetMassA, load), new(SetSide.B, sheet.SetMassB, load)],
            new()
            {
                Night = night,
                Wanted = sheet.Drums.Least + SprayGate.DrumEdge,
                Blankets = supplies.Means.Blankets,
                Room = supplies.Means.HotRoom,
                KilowattHourPrice = supplies.Priced.HeatKilowattHour,
            }
        );
        return new(Way(warming.Blankets), Way(warming.HotRoom));

        static WarmingWayAnswer? Way(WarmingWay? way) =>
            way is null
                ? null
                : new(
                    way.Lead is { } lead ? FigureAnswer.Of(Figure.Duration(lead)) : null,
                    new(FigureAnswer.Of(way.Working.Result), WorkingAnswer.Of(way.Working)),
                    FigureAnswer.Of(new(way.Cost, Dimension.Money)),
                    way.AtATime
                );
    }

    private static DrumAnswer Drum(ProductSheet sheet, SetSide side, Temperature night, FirmMeans means)
    {
        var wanted = sheet.Drums.Least + SprayGate.DrumEdge;
        var drum = new DrumWarmth(side, DrumStock.MassOf(sheet, side), night, night, means.Blankets?.Watts ?? 0);
        var lead = drum.TimeTo(wanted);
        return new(
            side,
            FigureAnswer.Of(night.ToFigure()),
            FigureAnswer.Of(wanted.ToFigure()),
            lead is null ? null : new(FigureAnswer.Of(Figure.Duration(lead.Value)), WorkingAnswer.Of(drum.Working(wanted)))
        );
    }
}
