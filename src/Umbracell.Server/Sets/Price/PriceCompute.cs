using System.ComponentModel.DataAnnotations;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.EntityFrameworkCore;
using Umbracell.Core.Air;
using Umbracell.Core.Choosing;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield;
using Umbracell.Core.Yield.Price;
using Umbracell.Questions.Answers;
using Umbracell.Server.Access;
using Umbracell.Server.Sheets;
using Umbracell.Server.Surfaces;
using Umbracell.Store;

namespace Umbracell.Server.Sets.Price;

/// <summary>A foam in a bid that is asked for.</summary>
public sealed record BidFoamShape(
    [property: Required] string SheetId,
    [property: Range(0.001, 1e7)] double BoardFeet,
    [property: Range(0.0001, 1e5)] double Sets
);

/// <summary>A surface in a bid that is asked for.</summary>
public sealed record BidSurfaceShape(
    [property: Required, MaxLength(200)] string Name,
    [property: Range(0.0001, 1e6)] double TreatedM2,
    [property: Required, MaxLength(10)] IReadOnlyList<BidFoamShape> Foams,
    AccessKind Access = AccessKind.Open,
    bool ShavedFlush = false,
    [property: Range(0, 100_000)] double WaitMin = 0
);

/// <summary>A bid asked by another program; the firm's own rates price it.</summary>
public sealed record BidQuestion([property: Required, MaxLength(1000)] IReadOnlyList<BidSurfaceShape> Surfaces);

/// <summary>A surface on a cold day, asked by another program. A face share is the temperature factor of the bare assembly, 0 outdoors to
/// 1 room.</summary>
public sealed record ColdRoutesQuestion(
    [property: Required] SetsQuestion Sets,
    [property: Range(-60, 50)] double AirTempC,
    [property: Range(1, 100)] double AirRhPct,
    [property: Range(0, 1)] double FaceShare,
    SubstrateKind Substrate,
    [property: Range(1, 1e6)] double? SpaceM3 = null,
    [property: Range(0, 1e6)] double SpaceLossWK = 0,
    [property: Range(0.05, 100)] double AirChanges = 1,
    HeaterKind Heater = HeaterKind.Indirect,
    AccessKind Access = AccessKind.Open,
    [property: Range(-500, 9000)] double AltitudeM = 0
);

/// <summary>A drum asked for: where it stands, and when it must be warm.</summary>
public sealed record DrumQuestion(
    SetSide Side,
    [property: Range(1, 1000)] double MassKg,
    [property: Range(-40, 60)] double StartTempC,
    [property: Range(-40, 60)] double AroundTempC,
    [property: Range(-40, 60)] double WantedTempC,
    [property: Range(0, 5000)] double BlanketW = 0,
    [property: Range(0, 1000)] double AfterH = 12
);

/// <summary>A drum after a time, and how long it needs.</summary>
/// <param name="AfterTempC">Temperature after the hours asked for.</param>
/// <param name="LeadMin">Minutes to the temperature wanted; null where it never gets there.</param>
/// <param name="Working">How that came about.</param>
public sealed record DrumTimeAnswer(double AfterTempC, double? LeadMin, WorkingAnswer Working);

/// <summary>Questions of material and money for other programs, SI, with the firm's sheets and rates.</summary>
internal static class PriceCompute
{
    public static void MapPriceCompute(this IEndpointRouteBuilder app)
    {
        var compute = app.MapGroup("/api/compute").WithTags("Compute").RequireAuthorization();
        compute
            .MapPost("/bid", BidAsync)
            .WithSummary("What surfaces cost by the firm's rates; for those who price.")
            .RequireAuthorization(Claims.MayPrice);
        compute.MapPost("/cold-routes", RoutesAsync).WithSummary("The ways to spray a surface on a cold day side by side.");
        compute.MapPost("/drum", Drum).WithSummary("A drum after a time in a blanket or bare, and when the blanket must go on.");
    }

    private static async Task<Ok<BidAnswer>> BidAsync(BidQuestion question, SheetLibrary library, UmbracellDb db)
    {
        var sheets = await library.AllAsync();
        var surfaces = question.Surfaces.Select(
            (s, i) =>
                new BidSurface(
                    s.Name,
                    new(s.TreatedM2),
                    s.Access,
                    [
                        .. s.Foams.Select(
                            (f, j) =>
                                new BidFoam(
                                    Known(sheets, f.SheetId, $"surfaces[{i}].foams[{j}].sheetId"),
                                    FoamVolume.FromBoardFeet(f.BoardFeet),
                                    f.Sets
                                )
                        ),
                    ],
                    [],
                    s.ShavedFlush,
                    TimeSpan.FromMinutes(s.WaitMin)
                )
        );
        return TypedResults.Ok(
            PriceAnswers.Of(Bid.Of([.. surfaces], ChoiceQuestions.RatesOf(await db.Firms.SingleAsync())), PriceAnswers.Names(sheets))
        );
    }

    private static async Task<Ok<IReadOnlyList<ColdRouteAnswer>>> RoutesAsync(
        ColdRoutesQuestion question,
        SheetLibrary library,
        UmbracellDb db
    )
    {
        var sheets = await library.AllAsync();
        var sheet = Known(sheets, question.Sets.SheetId, "sets.sheetId");
        var sets = SetsQuestions.Study(question.Sets, sheet);
        var firm = await db.Firms.SingleAsync();
        var (air, humidity) = (new Temperature(question.AirTempC), new RelativeHumidity(question.AirRhPct));
        var routes = ColdRoutes.Of(
            new()
            {
                Standard = sheet,
                ColdGrade = ColdRouteCase.ColdGradeFor(sheet, sheets.Values),
                Name = "",
                Treated = new(question.Sets.AreaM2),
                Demand = sets.Demand,
                WindAtOpenFace = sets.Conditions.WindAtOpenFace,
                Thickness = Length.FromMillimetres(question.Sets.ThicknessMm),
                Substrate = new(question.Sets.SubstrateTempC ?? question.AirTempC),
                Air = air,
                AirHumidity = humidity,
                FaceShare = question.FaceShare,
                FaceCapacity = FaceHeat.CapacityOf(question.Substrate),
                BuildingCapacity = FaceHeat.BuildingCapacityOf(question.Substrate),
                Space = question.SpaceM3 is { } m3
                    ? new(
                        m3,
                        question.SpaceLossWK,
                        question.AirChanges,
                        air,
                        humidity,
                        StandardAtmosphere.PressureAt(new(question.AltitudeM))
                    )
                    : null,
                Heater = question.Heater,
                Access = question.Access,
                CrewFactor = question.Sets.CrewFactor,
                Drums = question.Sets.DrumTempC is { } drums ? new(drums) : null,
                NeverFlash = (firm.Practice ?? new()).Of(PracticeQuestion.ColdSubstrate) == School.A,
                Rates = ChoiceQuestions.RatesOf(firm),
            }
        );
        return TypedResults.Ok<IReadOnlyList<ColdRouteAnswer>>([.. routes.Routes.Select(r => PriceAnswers.Of(r, r == routes.Chosen))]);
    }

    private static Ok<DrumTimeAnswer> Drum(DrumQuestion question)
    {
        var drum = new DrumWarmth(
            question.Side,
            new(question.MassKg),
            new(question.StartTempC),
            new(question.AroundTempC),
            question.BlanketW
        );
        var wanted = new Temperature(question.WantedTempC);
        return TypedResults.Ok(
            new DrumTimeAnswer(
                drum.After(TimeSpan.FromHours(question.AfterH)).Celsius,
                drum.TimeTo(wanted)?.TotalMinutes,
                WorkingAnswer.Of(drum.Working(wanted))
            )
        );
    }

    private static ProductSheet Known(IReadOnlyDictionary<string, ProductSheet> sheets, string id, string field) =>
        sheets.GetValueOrDefault(id) ?? throw new FieldFaultsException([new(field, "unknown", id)]);
}
