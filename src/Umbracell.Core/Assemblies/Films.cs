using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Assemblies;

/// <summary>Which way heat flows through a surface in winter.</summary>
public enum HeatFlow
{
    /// <summary>Upward, through a roof or ceiling.</summary>
    Up,

    /// <summary>Sideways, through a wall.</summary>
    Horizontal,

    /// <summary>Downward, through a floor.</summary>
    Down,
}

/// <summary>What lies beyond the outermost layer.</summary>
public enum Exposure
{
    /// <summary>Open air.</summary>
    Outdoors,

    /// <summary>A well-ventilated layer or space: the outer film equals the inner one.</summary>
    Ventilated,

    /// <summary>Soil: no outer film.</summary>
    Ground,

    /// <summary>Another room: inner films on both faces.</summary>
    Room,
}

/// <summary>Which set of surface resistances applies; part of a target's edition.</summary>
public enum FilmSet
{
    /// <summary>ISO 6946, table 7.</summary>
    Iso6946,

    /// <summary>The US set of the model energy codes.</summary>
    Us,
}

/// <summary>Surface (film) resistances.</summary>
public static class Films
{
    /// <summary>Resistance of the inner surface by heat-flow direction.</summary>
    public static ThermalResistance Inside(FilmSet set, HeatFlow flow) =>
        (set, flow) switch
        {
            (FilmSet.Iso6946, HeatFlow.Up) => ThermalResistance.FromSi(0.10),
            (FilmSet.Iso6946, HeatFlow.Horizontal) => ThermalResistance.FromSi(0.13),
            (FilmSet.Iso6946, _) => ThermalResistance.FromSi(0.17),
            (_, HeatFlow.Up) => ThermalResistance.FromUsR(0.61),
            (_, HeatFlow.Horizontal) => ThermalResistance.FromUsR(0.68),
            _ => ThermalResistance.FromUsR(0.92),
        };

    /// <summary>Resistance of the outer surface by what lies beyond it.</summary>
    public static ThermalResistance Outside(FilmSet set, HeatFlow flow, Exposure exposure) =>
        exposure switch
        {
            Exposure.Ground => default,
            Exposure.Outdoors when set == FilmSet.Iso6946 => ThermalResistance.FromSi(0.04),
            Exposure.Outdoors => ThermalResistance.FromUsR(0.17),
            _ => Inside(set, flow),
        };

    /// <summary>Words for the source of a film set.</summary>
    public static Citation Source(FilmSet set) => set == FilmSet.Iso6946 ? Citations.FilmsIso6946 : Citations.FilmsUsCode;
}
