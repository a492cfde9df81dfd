using Umbracell.Core.Air;
using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>A surface in the bid, with the way it is sprayed.</summary>
/// <param name="Row">The surface as studied.</param>
/// <param name="Routes">The cold-weather routes; null where it is warm enough or nothing is known.</param>
/// <param name="Route">The route priced; null where it is sprayed as it is.</param>
/// <param name="Priced">What goes into the bid.</param>
internal sealed record PricedSurface(SurfaceStudy Row, ColdRoutes? Routes, ColdRoute? Route, BidSurface Priced)
{
    /// <summary>Sets of all its foams by the way it will be sprayed.</summary>
    public double Sets => Priced.Foams.Sum(foam => foam.Sets);
}

/// <summary>What a job loads of a product, for all surfaces together by the way each will be sprayed.</summary>
/// <param name="Sheet">The product.</param>
/// <param name="Surfaces">The surfaces that take it.</param>
/// <param name="Volume">Foam of all of them.</param>
/// <param name="Sets">Its sets.</param>
internal sealed record JobLoad(ProductSheet Sheet, IReadOnlyList<PricedSurface> Surfaces, FoamVolume Volume, SpraySets Sets);

/// <summary>The bid of a job by the firm's rates, for the day of the work.</summary>
/// <param name="Bid">The bid.</param>
/// <param name="Surfaces">Its surfaces.</param>
/// <param name="Loads">What it loads, by product.</param>
internal sealed record JobBid(Bid Bid, IReadOnlyList<PricedSurface> Surfaces, IReadOnlyList<JobLoad> Loads)
{
    public static JobBid Of(JobStudy study, PriceMeans means)
    {
        var rows = RowsOf(study);
        var space = SpaceOf(study, rows);
        var surfaces = rows.ConvertAll(row => Priced(row, study.Job, means, space));
        return new(Bid.Of([.. surfaces.Select(s => s.Priced)], means.Rates), surfaces, LoadsOf(surfaces, study.Job, means.Learning));
    }

    private static List<JobLoad> LoadsOf(List<PricedSurface> surfaces, Job job, CrewLearning learning)
    {
        var byProduct = surfaces
            .SelectMany(s => s.Priced.Foams, (surface, foam) => (Surface: surface, Foam: foam))
            .GroupBy(one => one.Foam.Sheet.Id);
        return
        [
            .. byProduct
                .OrderBy(group => group.Key, StringComparer.Ordinal)
                .Select(group =>
                {
                    var sheet = group.First().Foam.Sheet;
                    var crew = learning.For(job.Crew, sheet.Family);
                    var sets = SpraySets.OfJob(
                        [.. group.Select(one => new LoadPart(one.Foam.Volume, one.Foam.Sets, one.Foam.MeanDepthSd, one.Foam.SetsWorking))],
                        crew.NextJobSd,
                        job.RiskPct / 100
                    );
                    return new JobLoad(
                        sheet,
                        [.. group.Select(one => one.Surface).Distinct()],
                        group.Aggregate(default(FoamVolume), (sum, one) => sum + one.Foam.Volume),
                        sets
                    );
                }),
        ];
    }

    // What is measured and has something put in; the space that is heated is theirs together.
    private static List<SurfaceStudy> RowsOf(JobStudy study) =>
        [
            .. study.Rows.Where(r =>
                r.Takeoff is { OpeningsExceedSurface: false, Treated.SquareMetres: > 0 } && (r.Sets is not null || r.Section is not null)
            ),
        ];

    /// <summary>The space the surfaces of a job enclose together.</summary>
    public static SharedSpace SpaceOf(JobStudy study) => SpaceOf(study, RowsOf(study));

    private static SharedSpace SpaceOf(JobStudy study, List<SurfaceStudy> rows) =>
        SharedSpace.Of([.. rows.Select(r => (r.Bare, r.Takeoff!.Treated))], JobPricing.Of(study.Job).SpaceM3);

    /// <summary>A surface priced with another system in it, in the same season and space.</summary>
    public static PricedSurface With(SurfaceStudy other, JobStudy study, PriceMeans means) =>
        Priced(other, study.Job, means, SpaceOf(study, RowsOf(study)));

    private static PricedSurface Priced(SurfaceStudy row, Job job, PriceMeans means, SharedSpace space)
    {
        var asItIs = new BidSurface
        {
            Name = row.Surface.Name,
            Treated = row.Takeoff!.Treated,
            Access = row.Surface.Details.Access,
            Foams =
            [
                .. row.AllSets.Select(one => new BidFoam(one.Sheet, one.Sets.Demand.Volume, one.Sets.Sets.Median, one.Sets.Sets.Working)
                {
                    MeanDepthSd = one.Sets.Spread.MeanDepth,
                }),
            ],
            Bought = [.. Bought(row)],
            Shaved = row.Shaved,
            Waits = LiftPlan.LeastTimeOf(row.Section?.Lifts ?? []),
            Trades = row.System == CandidateKind.NewRoofOnBoard ? BidTrade.OfNewRoof(means.Rates) : [],
        };
        if (CaseOf(row, job, means, space) is not { } question || !ColdRoutes.AreAsked(question))
        {
            return new(row, null, null, asItIs);
        }

        var routes = ColdRoutes.Of(question);
        var route = routes.Chosen is { Kind: not ColdRouteKind.Straight } other ? other : null;
        var heat = route is { KilowattHours: > 0, Heating: { } air } ? new BidHeat(route.KilowattHours, air.Working) : null;
        return new(
            row,
            routes,
            route,
            route is null ? asItIs : asItIs with { Foams = [.. route.Foams, .. asItIs.Foams.Skip(1)], Heat = heat }
        );
    }

    /// <summary>The cold-weather question of a surface; null without foam, size, or a substrate temperature.</summary>
    public static ColdRouteCase? QuestionOf(JobStudy study, SurfaceStudy row, PriceMeans means) =>
        RowsOf(study) is var rows && rows.Contains(row) ? CaseOf(row, study.Job, means, SpaceOf(study, rows)) : null;

    private static ColdRouteCase? CaseOf(SurfaceStudy row, Job job, PriceMeans means, SharedSpace space)
    {
        if (row is not { Sheet: { } sheet, Sets: { } sets, SetsQuestion: { SubstrateTempC: { } substrate } asked, Takeoff: { } takeoff })
        {
            return null;
        }

        // Air of the season stands beside what follows the season; beside a face that was read or typed nothing is known of it.
        var season = row.SubstrateFrom == SubstrateFrom.Season ? JobPricing.SeasonOf(job) : null;
        var (air, humidity) = season ?? (Temperature.FromCelsius(substrate), RelativeHumidity.FromPercent(job.OutdoorRhPct));
        var outdoors = row.Surface.OpenFace;
        var pressure = StandardAtmosphere.PressureAt(Length.FromMetres(job.AltitudeM));
        return new()
        {
            Standard = sheet,
            ColdGrade = ColdRouteCase.ColdGradeFor(sheet, means.Supplies.Offered),
            Gate = means.Supplies.Gate,
            Name = row.Surface.Name,
            Treated = takeoff.Treated,
            Demand = sets.Demand,
            WindAtOpenFace = sets.Conditions.WindAtOpenFace,
            Thickness = Length.FromMillimetres(asked.ThicknessMm),
            Substrate = Temperature.FromCelsius(substrate),
            Air = air,
            AirHumidity = humidity,
            FaceShare = AssemblyState.FaceShareOf(row.Bare),
            FaceCapacity = FaceHeat.CapacityOf(row.Surface.Substrate),
            BuildingCapacity = FaceHeat.BuildingCapacityOf(row.Surface.Substrate),
            AirAssumed = season is null,
            Space = outdoors ? null : space.ShareOf(takeoff.Treated, JobPricing.Of(job).AirChanges, air, humidity, pressure),
            SpaceAssumed = space.Assumed,
            Heater = JobPricing.Of(job).Heater,
            Access = row.Surface.Details.Access,
            CrewFactor = means.Learning.For(job.Crew, sheet.Family).Factor,
            Drums = asked.DrumTempC is { } drums ? Temperature.FromCelsius(drums) : null,
            NeverFlash = means.Practice.Of(PracticeQuestion.ColdSubstrate) == School.NeverFlash,
            Rates = means.Rates,
            Means = means.Supplies.Means,
        };
    }

    private static IEnumerable<BidBought> Bought(SurfaceStudy row)
    {
        if (row.Section is not { Case: var section } || row.Takeoff is not { } takeoff)
        {
            yield break;
        }

        foreach (var layer in section.Fill)
        {
            if (layer is BattFill batt)
            {
                yield return new(batt.Batt.Id, takeoff.Treated, null, BidPace.Batt);
            }
            else if (layer is SlabFill { Layer: var slab })
            {
                yield return Slab(slab, takeoff.Treated);
            }
        }

        foreach (var board in row.AddedBoards)
        {
            yield return new(board.Material, takeoff.Treated, Length.FromMillimetres(board.ThicknessMm), BidPace.Board);
        }
    }

    private static BidBought Slab(Layer layer, Area area) =>
        layer.Material.IsInsulation
            ? new(layer.Material.Id, area, layer.Thickness, BidPace.Board)
            : new(layer.Material.Id, area, null, BidPace.Coat);
}
