namespace Umbracell.Core.Rigs.Sequences;

/// <summary>What a step does to a rig, as far as people or pumps hang on it.</summary>
public enum RigAct
{
    /// <summary>Oil, fuel and belts of engine and compressor seen.</summary>
    EngineSeen,

    /// <summary>All breakers off.</summary>
    BreakersOff,

    /// <summary>Engine started.</summary>
    EngineStarted,

    /// <summary>Engine runs steadily at its speed.</summary>
    EngineSteady,

    /// <summary>Breakers on: the engine is under load.</summary>
    LoadOn,

    /// <summary>Compressor at its set point.</summary>
    CompressorSet,

    /// <summary>Shipping caps off the pumps.</summary>
    CapsOff,

    /// <summary>Dryer on the A drum, air flowing towards the drum.</summary>
    DryerOn,

    /// <summary>Pumps in their drums.</summary>
    PumpsIn,

    /// <summary>Pumps stand in liquid and are wetted.</summary>
    PumpsPrimed,

    /// <summary>Air to the drum pumps.</summary>
    AirToPumps,

    /// <summary>Purged into waste until no air comes.</summary>
    Purged,

    /// <summary>Pressures of both sides matched.</summary>
    PressuresMatched,

    /// <summary>Gun mounted.</summary>
    GunOn,

    /// <summary>Air at the gun.</summary>
    AirAtGun,

    /// <summary>Fluid valves of the gun open.</summary>
    FluidOpen,

    /// <summary>Nothing weeps at the side seals.</summary>
    SealsDry,

    /// <summary>Supplied air runs and who sprays is dressed.</summary>
    PeopleProtected,

    /// <summary>First trigger: the test shot.</summary>
    Triggered,

    /// <summary>Fluid valves of the gun shut.</summary>
    FluidShut,

    /// <summary>Both sides without pressure.</summary>
    Depressurised,

    /// <summary>Gun taken off, opened or cleaned.</summary>
    GunOpened,

    /// <summary>A hose or a filter opened.</summary>
    LineOpened,

    /// <summary>Waste of A kept open and away from B.</summary>
    WasteApart,
}

/// <summary>An order that protects people or pumps.</summary>
/// <param name="First">What is done first.</param>
/// <param name="Then">What must not be done before it.</param>
public readonly record struct RigOrder(RigAct First, RigAct Then);

/// <summary>The orders no sequence can do without, whoever wrote it (the trade's practice; the manuals of rig and gun decide).</summary>
public static class RigOrders
{
    /// <summary>All of them.</summary>
    public static IReadOnlyList<RigOrder> All { get; } =
    [
        // An engine that runs dry, or starts under load, is broken at once.
        new(RigAct.EngineSeen, RigAct.EngineStarted),
        new(RigAct.BreakersOff, RigAct.EngineStarted),
        new(RigAct.EngineSteady, RigAct.LoadOn),
        // A cap left on breaks the pump; one that runs dry runs away.
        new(RigAct.CapsOff, RigAct.PumpsIn),
        new(RigAct.PumpsPrimed, RigAct.AirToPumps),
        new(RigAct.CompressorSet, RigAct.AirToPumps),
        // Moist air turns A to stone.
        new(RigAct.DryerOn, RigAct.AirToPumps),
        new(RigAct.AirToPumps, RigAct.Purged),
        // Fluid without air at the gun crosses over and sets in the gun, and sprays out of its seals.
        new(RigAct.Purged, RigAct.GunOn),
        new(RigAct.GunOn, RigAct.AirAtGun),
        new(RigAct.AirAtGun, RigAct.FluidOpen),
        new(RigAct.PressuresMatched, RigAct.FluidOpen),
        new(RigAct.FluidOpen, RigAct.SealsDry),
        new(RigAct.SealsDry, RigAct.Triggered),
        new(RigAct.PeopleProtected, RigAct.Triggered),
        // Nobody opens what is under pressure.
        new(RigAct.FluidShut, RigAct.Depressurised),
        new(RigAct.Depressurised, RigAct.GunOpened),
        new(RigAct.Depressurised, RigAct.LineOpened),
        new(RigAct.WasteApart, RigAct.LineOpened),
    ];

    /// <summary>What must have been done before an act.</summary>
    public static IEnumerable<RigAct> Before(RigAct act) => All.Where(order => order.Then == act).Select(order => order.First);

    /// <summary>Whether something dangerous waits for an act, so that nobody can skip it.</summary>
    public static bool Protects(RigAct act) => All.Any(order => order.First == act);
}
