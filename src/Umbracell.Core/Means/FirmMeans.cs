using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Means;

/// <summary>Space heaters of one kind and power.</summary>
/// <param name="Kind">What they burn and where the exhaust goes; null where that is not known.</param>
/// <param name="Watts">Heat of each, W, above zero.</param>
/// <param name="Count">How many, 1 or more.</param>
public sealed record SpaceHeater(HeaterKind? Kind, double Watts, int Count);

/// <summary>Drum blankets of one strength.</summary>
/// <param name="Watts">Heat of each, W, above zero.</param>
/// <param name="Count">How many drums they go round at a time; null for as many as are wanted.</param>
public sealed record DrumBlankets(double Watts, int? Count);

/// <summary>A room in which drums are warmed.</summary>
/// <param name="Air">Its air.</param>
/// <param name="Loss">Heat it loses for a kelvin over its surroundings, W/K, above zero.</param>
/// <param name="Holds">How many drums stand in it at a time; null for as many as are wanted.</param>
public sealed record HotRoom(Temperature Air, double Loss, int? Holds);

/// <summary>Hours of the day in which a crew works.</summary>
/// <param name="From">First.</param>
/// <param name="To">Last; after the first.</param>
public sealed record WorkDay(TimeOnly From, TimeOnly To)
{
    /// <summary>What is taken where a crew's hours were not entered.</summary>
    public static WorkDay Usual { get; } = new(new(7, 0), new(17, 0));

    /// <summary>Whether an hour that begins at a time lies whole in the day.</summary>
    /// <param name="start">Its start by the clock of the place.</param>
    public bool Holds(TimeOnly start) => start >= From && start.Hour < 23 && start.AddHours(1) <= To;
}

/// <summary>What a firm works with, as far as a figure hangs on it. What is not in use is not in it.</summary>
public sealed record FirmMeans
{
    /// <summary>Nothing was entered.</summary>
    public static FirmMeans None { get; } = new();

    /// <summary>Its space heaters.</summary>
    public IReadOnlyList<SpaceHeater> Heaters { get; init; } = [];

    /// <summary>The strongest drum blankets it has; null for none.</summary>
    public DrumBlankets? Blankets { get; init; }

    /// <summary>The hot room that holds the most; null for none.</summary>
    public HotRoom? HotRoom { get; init; }

    /// <summary>Its dehumidifiers of the kind that takes out most; null for none.</summary>
    public Dehumidifier? Dehumidifier { get; init; }

    /// <summary>Load the rig may carry, of several the least; null where none was entered.</summary>
    public Mass? Trailer { get; init; }

    /// <summary>Hours of the day of the crew; null where they were not entered.</summary>
    public WorkDay? Day { get; init; }

    /// <summary>Heat of all heaters of a kind together, W; those whose kind is not known count. Null where no heater was entered at all:
    /// zero would say that there is none.</summary>
    /// <param name="kind">The kind.</param>
    public double? HeaterWatts(HeaterKind kind) =>
        Heaters.Count == 0 ? null : Heaters.Where(heater => heater.Kind is null || heater.Kind == kind).Sum(h => h.Watts * h.Count);
}
