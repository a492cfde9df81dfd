using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Sets;

namespace Umbracell.Questions.Price;

/// <summary>A surface on a cold day. A face share is the temperature factor of the bare assembly, 0 outdoors to
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
    [property: Range(-500, 9000)] double AltitudeM = 0,
    bool NeverFlash = false
);

/// <summary>One way to spray a surface on a cold day.</summary>
/// <param name="Kind">Which.</param>
/// <param name="Held">Whether something holds it.</param>
/// <param name="Chosen">Whether it is the one priced.</param>
/// <param name="Foams">Product and sets, first sprayed first.</param>
/// <param name="Figures">sets, cost, hours, finish; heat, preheat, room, roomRh, power where it is heated.</param>
/// <param name="Workings">How heat, preheat and power came about, where it is heated.</param>
/// <param name="Findings">Findings.</param>
public sealed record ColdRouteAnswer(
    string Kind,
    bool Held,
    bool Chosen,
    IReadOnlyList<RouteFoam> Foams,
    IReadOnlyDictionary<string, FigureAnswer> Figures,
    IReadOnlyDictionary<string, WorkingAnswer> Workings,
    IReadOnlyList<FindingAnswer> Findings
);

/// <summary>A foam of a route.</summary>
public sealed record RouteFoam(string Sheet, FigureAnswer Sets);
