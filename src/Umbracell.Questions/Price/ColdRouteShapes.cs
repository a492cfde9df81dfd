using System.ComponentModel;
using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;
using Umbracell.Questions.Answers;
using Umbracell.Questions.Sets;

namespace Umbracell.Questions.Price;

/// <summary>A surface on a cold day. A face share is the temperature factor of the bare assembly, 0 outdoors to
/// 1 room.</summary>
public sealed record ColdRoutesQuestion
{
    [Required]
    public required SetsQuestion Sets { get; init; }

    [Range(-60, 50)]
    public required double AirTempC { get; init; }

    [Range(1, 100)]
    public required double AirRhPct { get; init; }

    [Range(0, 1)]
    public required double FaceShare { get; init; }

    public required SubstrateKind Substrate { get; init; }

    [Range(1, 1e6)]
    public double? SpaceM3 { get; init; }

    [Range(0, 1e6)]
    public double SpaceLossWK { get; init; }

    [Range(0.05, 100)]
    [DefaultValue(1.0)]
    public double AirChanges { get; init; } = 1;

    [DefaultValue(HeaterKind.Indirect)]
    public HeaterKind Heater { get; init; } = HeaterKind.Indirect;

    public AccessKind Access { get; init; } = AccessKind.Open;

    [Range(-500, 9000)]
    public double AltitudeM { get; init; }

    public bool NeverFlash { get; init; }
}

/// <summary>One way to spray a surface on a cold day.</summary>
public sealed record ColdRouteAnswer
{
    /// <summary>Which.</summary>
    public required string Kind { get; init; }

    /// <summary>Whether something holds it.</summary>
    public required bool Held { get; init; }

    /// <summary>Whether it is the one priced.</summary>
    public required bool Chosen { get; init; }

    /// <summary>Product and sets, first sprayed first.</summary>
    public required IReadOnlyList<RouteFoam> Foams { get; init; }

    /// <summary>sets, cost, hours, finish; heat, preheat, room, roomRh, power where it is heated.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }

    /// <summary>How heat, preheat and power came about, where it is heated.</summary>
    public required IReadOnlyDictionary<string, WorkingAnswer> Workings { get; init; }

    /// <summary>Findings.</summary>
    public required IReadOnlyList<FindingAnswer> Findings { get; init; }
}

/// <summary>A foam of a route.</summary>
public sealed record RouteFoam(string Sheet, FigureAnswer Sets);
