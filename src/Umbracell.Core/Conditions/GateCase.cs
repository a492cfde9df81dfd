using Umbracell.Core.Air;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>A value that was read.</summary>
/// <typeparam name="T">The quantity.</typeparam>
/// <param name="Value">What was read.</param>
/// <param name="Age">How long ago, 0 or more.</param>
/// <param name="Instrument">With what.</param>
public sealed record Reading<T>(T Value, TimeSpan Age, string Instrument);

/// <summary>What the foam is sprayed on, as far as its moisture is judged.</summary>
public enum SubstrateKind
{
    /// <summary>Wood: by meter, percent of dry mass against the sheet; where the sheet asks for dry without a figure, by eye too.</summary>
    Wood,

    /// <summary>Metal: by eye, wiped dry and free of frost. No meter reads it.</summary>
    Metal,

    /// <summary>Concrete, masonry, felt or ground: by its own meter; seen dry with no meter read is a Care.</summary>
    Mineral,
}

/// <summary>What must be ready before foam is sprayed (gate rule G13).</summary>
public enum PreparationItem
{
    /// <summary>Free of dust, oil, rust scale and loose paint.</summary>
    Clean,

    /// <summary>Dry to the touch and free of frost.</summary>
    Dry,

    /// <summary>Firm; nothing loose behind or on it.</summary>
    Firm,

    /// <summary>Holes foam would blow through are sealed.</summary>
    Sealed,

    /// <summary>Everything that must stay clean is masked.</summary>
    Masked,

    /// <summary>Leaks are mended.</summary>
    LeaksMended,

    /// <summary>Joints to the next control layer are ready.</summary>
    JointsReady,

    /// <summary>Holes in a wall sprayed from outside are sealed from the room: pressurised foam would blow through.</summary>
    PenetrationsSealed,

    /// <summary>Baffles are rigid or backed, and blocking stands at the wall line.</summary>
    BafflesRigid,

    /// <summary>Members held at both ends only are braced.</summary>
    MembersBraced,

    /// <summary>Studs are trued: once foam is in they cannot be.</summary>
    StudsTrued,

    /// <summary>Wet parts are mapped, cut out and replaced like for like.</summary>
    WetPartsOut,

    /// <summary>Cover board lies over a sheet that foam grips poorly or that is held only here and there.</summary>
    CoverBoard,

    /// <summary>Washed, and dry again.</summary>
    Washed,

    /// <summary>Old insulation is out and the cavity cleaned.</summary>
    OldInsulationOut,

    /// <summary>Attic and soffit vents are closed: the line has moved to the roof.</summary>
    VentsClosed,

    /// <summary>Cavity tops are closed before loose fill is blown in; balloon framing is sealed at both ends.</summary>
    CavityTopsClosed,

    /// <summary>Registers are covered, combustion appliances off and their air secured.</summary>
    RegistersCovered,

    /// <summary>Occupants and pets are out.</summary>
    OccupantsOut,

    /// <summary>Ladder, platform or scaffold stands.</summary>
    ReachSet,

    /// <summary>Power for the rig and heaters.</summary>
    Power,

    /// <summary>Clearances to flues, lights and old wiring are kept by guards.</summary>
    ClearancesKept,

    /// <summary>Suspect old material is cleared or left alone by people licensed for it.</summary>
    SuspectCleared,

    /// <summary>Pests are gone and their way in is closed.</summary>
    PestsGone,

    /// <summary>Services in the way are moved or masked.</summary>
    ServicesMoved,

    /// <summary>Stone base is clean, angular and level.</summary>
    BaseLevel,

    /// <summary>Door panels are cut at their joints, tracks and springs masked.</summary>
    DoorFreed,

    /// <summary>Blocking for later fixings is in.</summary>
    FixingsBlocked,
}

/// <summary>All the gate needs to know at one moment.</summary>
public sealed record GateCase
{
    /// <summary>The product to be sprayed.</summary>
    public required ProductSheet Sheet { get; init; }

    /// <summary>Substrate temperature.</summary>
    public Reading<Temperature>? Substrate { get; init; }

    /// <summary>Air temperature at the work.</summary>
    public Reading<Temperature>? Air { get; init; }

    /// <summary>Relative humidity at the work.</summary>
    public Reading<RelativeHumidity>? Humidity { get; init; }

    /// <summary>What the substrate is.</summary>
    public required SubstrateKind SubstrateKind { get; init; }

    /// <summary>Its moisture by the meter made for it: percent of dry mass for wood, the meter's own scale for concrete; of several the
    /// wettest.</summary>
    public Reading<double>? MoistureMeter { get; init; }

    /// <summary>Whether it was found dry and frost-free by eye. A meter outranks the eye; of two that differ the worse rules.</summary>
    public Reading<bool>? FoundDry { get; init; }

    /// <summary>A drum.</summary>
    public Reading<Temperature>? DrumA { get; init; }

    /// <summary>B drum.</summary>
    public Reading<Temperature>? DrumB { get; init; }

    /// <summary>What must be ticked off before foam; the items every surface has where the list is not derived.</summary>
    public IReadOnlyList<PreparationItem> Required { get; init; } = Planning.PreparationList.Always;

    /// <summary>Whether a leak is open: then leaks are not mended, whatever was ticked.</summary>
    public bool LeakOpen { get; init; }

    /// <summary>Whether a joint is unsolved or not ready: then joints are not ready, whatever was ticked.</summary>
    public bool JointOpen { get; init; }

    /// <summary>What has been ticked off.</summary>
    public IReadOnlySet<PreparationItem> Prepared { get; init; } = new HashSet<PreparationItem>();

    /// <summary>Air pressure.</summary>
    public Pressure Pressure { get; init; } = StandardAtmosphere.PressureAt(Length.Zero);

    /// <summary>Practice margins.</summary>
    public GatePractice Practice { get; init; } = new();

    /// <summary>Other sheets the firm could spray instead.</summary>
    public IReadOnlyList<ProductSheet> OtherSheets { get; init; } = [];
}
