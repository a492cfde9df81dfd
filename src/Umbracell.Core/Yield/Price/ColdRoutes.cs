using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Means;
using Umbracell.Core.Quantities;
using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Yield.Price;

/// <summary>Ways to spray a surface on a cold day.</summary>
public enum ColdRouteKind
{
    /// <summary>The standard grade on the surface as it is.</summary>
    Straight,

    /// <summary>The space is heated until the surface is warm enough for the standard grade.</summary>
    Heat,

    /// <summary>The cold grade throughout.</summary>
    ColdGrade,

    /// <summary>A first lift of cold grade, then the standard grade on its warm face.</summary>
    ColdThenStandard,

    /// <summary>A flash coat of the standard grade, then built up.</summary>
    FlashCoat,
}

/// <summary>A surface on a cold day, and what there is to warm it with.</summary>
public sealed record ColdRouteCase
{
    /// <summary>The grade wanted.</summary>
    public required ProductSheet Standard { get; init; }

    /// <summary>Its cold grade; null where none is on offer.</summary>
    public ProductSheet? ColdGrade { get; init; }

    /// <summary>The cold grade that may stand in for a sheet: of the same cell, and only for the usual grade; roofing foam stays roofing
    /// foam.</summary>
    /// <param name="standard">The grade wanted.</param>
    /// <param name="offered">Sheets on offer.</param>
    public static ProductSheet? ColdGradeFor(ProductSheet standard, IEnumerable<ProductSheet> offered) =>
        standard.Grade != FoamGrade.Standard
            ? null
            : offered
                .Where(s => s.Cell == standard.Cell && s.Grade == FoamGrade.Cold)
                .OrderBy(s => s.Id, StringComparer.Ordinal)
                .FirstOrDefault();

    /// <summary>The surface's name.</summary>
    public required string Name { get; init; }

    /// <summary>Treated area.</summary>
    public required Area Treated { get; init; }

    /// <summary>Foam wanted, with overfill or scatter and what sinks in: the same whatever the route.</summary>
    public required FoamDemand Demand { get; init; }

    /// <summary>Wind at an open face; null inside.</summary>
    public Speed? WindAtOpenFace { get; init; }

    /// <summary>Specified thickness.</summary>
    public required Length Thickness { get; init; }

    /// <summary>Temperature of what is sprayed on.</summary>
    public required Temperature Substrate { get; init; }

    /// <summary>Air beside it.</summary>
    public required Temperature Air { get; init; }

    /// <summary>Humidity of that air.</summary>
    public required RelativeHumidity AirHumidity { get; init; }

    /// <summary>How far the bare face follows the room, 0 to 1: the temperature factor of the assembly without foam.</summary>
    public required double FaceShare { get; init; }

    /// <summary>Heat the face takes up, J/(m²·K).</summary>
    public required double FaceCapacity { get; init; }

    /// <summary>Heat the building takes up for each square metre of its floor, J/(m²·K).</summary>
    public required double BuildingCapacity { get; init; }

    /// <summary>Whether the air beside it was neither read nor taken from a season, so that nothing is held by it.</summary>
    public bool AirAssumed { get; init; }

    /// <summary>The space that would be heated; null outdoors, where nothing can be.</summary>
    public HeatedSpace? Space { get; init; }

    /// <summary>Whether the space's size was assumed.</summary>
    public bool SpaceAssumed { get; init; }

    /// <summary>The kind of heater the space would be heated with.</summary>
    public HeaterKind Heater { get; init; } = HeaterKind.Indirect;

    /// <summary>What the firm works with.</summary>
    public FirmMeans Means { get; init; } = FirmMeans.None;

    /// <summary>How the surface is reached.</summary>
    public AccessKind Access { get; init; }

    /// <summary>What the crew yields against the sheet.</summary>
    public double CrewFactor { get; init; } = 1;

    /// <summary>Drum temperature the work will be done with; null for the middle of the sheet's window.</summary>
    public Temperature? Drums { get; init; }

    /// <summary>The firm's margins at the gate: a way that the gate would hold is none, and a surface is warmed until the gate reads
    /// Clear.</summary>
    public GatePractice Gate { get; init; } = new();

    /// <summary>Whether the practice never flashes.</summary>
    public bool NeverFlash { get; init; }

    /// <summary>What the firm pays and how fast it works.</summary>
    public required Rates Rates { get; init; }
}

/// <summary>A way to spray the surface, with what it takes.</summary>
public sealed record ColdRoute
{
    /// <summary>Which way.</summary>
    public required ColdRouteKind Kind { get; init; }

    /// <summary>Foams with their sets, first sprayed first.</summary>
    public required IReadOnlyList<BidFoam> Foams { get; init; }

    /// <summary>Its direct cost and hours by the firm's rates.</summary>
    public required Bid Bid { get; init; }

    /// <summary>Time to warm building and surface before work.</summary>
    public required TimeSpan Preheat { get; init; }

    /// <summary>The air the heater makes; null where nothing is heated.</summary>
    public required SpaceHeating? Heating { get; init; }

    /// <summary>Heat.</summary>
    public required double KilowattHours { get; init; }

    /// <summary>From the first heat to the end of the last lift.</summary>
    public required TimeSpan Finish { get; init; }

    /// <summary>Adhesion, moisture and limits, worst first.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    /// <summary>Whether the sheet or the air holds it.</summary>
    public bool Held => Findings.Worst() == Verdict.Hold;

    /// <summary>How the time to warm up came about; null where nothing is heated.</summary>
    public Working? PreheatWorking { get; init; }

    /// <summary>Sets of all products.</summary>
    public double Sets => Foams.Sum(f => f.Sets);
}

/// <summary>The cold-weather routes of a surface side by side (material method, cold routes).</summary>
/// <param name="Case">The question.</param>
/// <param name="Routes">Every route, in the order of <see cref="ColdRouteKind"/>.</param>
public sealed record ColdRoutes(ColdRouteCase Case, IReadOnlyList<ColdRoute> Routes)
{
    /// <summary>The route to price: as it is where no other is asked for, else the cheapest that nothing holds and the practice does not
    /// speak against; null where all are held.</summary>
    public ColdRoute? Chosen
    {
        get
        {
            if (!IsNearEdge(Case) && !Routes[0].Held)
            {
                return Routes[0];
            }

            var open = Routes.Where(r => !r.Held && r.Findings.All(f => f.Case != ColdRouteRules.NotPractice)).ToList();
            return open.Where(r => r.Bid.Missing.Count == 0).MinBy(r => r.Bid.Cost) ?? open.FirstOrDefault();
        }
    }

    /// <summary>Whether a surface asks for routes: near the edge of its window, or held as it is by window, air or dew.</summary>
    /// <param name="question">The case.</param>
    public static bool AreAsked(ColdRouteCase question) =>
        IsNearEdge(question) || new ColdRouteStudy(question).Of(ColdRouteKind.Straight)!.Held;

    /// <summary>Whether a surface is so near the cold edge of its window that the gate asks for care.</summary>
    /// <param name="question">The case.</param>
    public static bool IsNearEdge(ColdRouteCase question) =>
        question.Substrate < question.Standard.Substrate.Least + question.Gate.WellInside;

    /// <summary>Compares the routes.</summary>
    /// <param name="question">The case.</param>
    /// <exception cref="QuantityRangeException">An area or thickness out of range, or air outside the psychrometric formulas.</exception>
    public static ColdRoutes Of(ColdRouteCase question) =>
        new(question, [.. Enum.GetValues<ColdRouteKind>().Select(kind => new ColdRouteStudy(question).Of(kind)).OfType<ColdRoute>()]);
}
