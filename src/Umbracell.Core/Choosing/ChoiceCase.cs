using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;
using Umbracell.Core.Moisture;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield.Price;

namespace Umbracell.Core.Choosing;

/// <summary>How a target is met.</summary>
public enum TargetPath
{
    /// <summary>The U of the whole assembly.</summary>
    U,

    /// <summary>Installed R as printed on the products, cavity and continuous.</summary>
    Label,
}

/// <summary>One way to meet a label path, such as 13 in the cavity and 5 continuous.</summary>
/// <param name="Cavity">R in the cavity.</param>
/// <param name="Continuous">R of continuous insulation; nothing where none is asked.</param>
public readonly record struct LabelRequirement(ThermalResistance Cavity, ThermalResistance Continuous);

/// <summary>What is known of a surface that bears on the choice. What is not known is null or false and said so.</summary>
public sealed record SurfaceFacts : SaidFacts
{
    /// <summary>Facts of which nothing is said yet.</summary>
    public SurfaceFacts() { }

    /// <summary>Facts of which this much is said.</summary>
    public SurfaceFacts(SaidFacts said)
        : base(said) { }

    /// <summary>Whether a leak is open above it.</summary>
    public bool OpenLeak { get; init; }

    /// <summary>Wettest wood reading, percent; null where none was taken or the substrate is not wood.</summary>
    public double? WoodMoisturePercent { get; init; }

    /// <summary>Whether the substrate is wood.</summary>
    public bool WoodSubstrate { get; init; }

    /// <summary>Roof or wall covering.</summary>
    public Covering Covering { get; init; }

    /// <summary>How the covering is held.</summary>
    public Attachment Attachment { get; init; }

    /// <summary>Rise over run of a roof; null where it has none or it is not known.</summary>
    public double? Pitch { get; init; }

    /// <summary>What a door's springs can still carry.</summary>
    public Mass? DoorSpare { get; init; }

    /// <summary>Treated area; null until it is measured.</summary>
    public Area? Treated { get; init; }

    /// <summary>Substrate temperature to spray on; null where not known.</summary>
    public Temperature? ExpectedSubstrate { get; init; }

    /// <summary>Whether the room is heated or cooled.</summary>
    public bool Conditioned { get; init; } = true;

    /// <summary>Whether members are held at both ends only; null where not looked at.</summary>
    public bool? HeldAtEnds { get; init; }

    /// <summary>Flues, lights or wiring that foam must keep clear of.</summary>
    public bool ClearancesAsked { get; init; }

    /// <summary>Wet or damaged old insulation was found.</summary>
    public bool WetOldInsulation { get; init; }

    /// <summary>What will stand on it; null where nothing does or it is not known.</summary>
    public BearingPressure? Load { get; init; }
}

/// <summary>Materials other than foam that systems are made with.</summary>
/// <param name="Batts">Batts on offer.</param>
/// <param name="Board">Insulating board without facing.</param>
/// <param name="FacedBoard">Insulating board with a tight facing.</param>
/// <param name="VapourCoat">Coat that makes the face of open cell Class II.</param>
/// <param name="WeatherCoat">Coat of roofing foam.</param>
public sealed record SystemMaterials(
    IReadOnlyList<Batt> Batts,
    Material Board,
    Material FacedBoard,
    Material VapourCoat,
    Material WeatherCoat
);

/// <summary>All that decides a choice: the question the choose stage asks.</summary>
public sealed record ChoiceCase
{
    /// <summary>The surface with nothing put in.</summary>
    public required SectionCase Section { get; init; }

    /// <summary>What bears on the choice.</summary>
    public required SurfaceFacts Facts { get; init; }

    /// <summary>Foams on offer.</summary>
    public required IReadOnlyList<ProductSheet> Sheets { get; init; }

    /// <summary>What else systems are made with.</summary>
    public required SystemMaterials Materials { get; init; }

    /// <summary>Monthly means on both sides; null where they are not known.</summary>
    public YearOfAir? Year { get; init; }

    /// <summary>How the target is met.</summary>
    public TargetPath Path { get; init; }

    /// <summary>Ways to meet the label path; empty where the edition has none.</summary>
    public IReadOnlyList<LabelRequirement> Labels { get; init; } = [];

    /// <summary>What things cost.</summary>
    public required Rates Rates { get; init; }

    /// <summary>What matters how much.</summary>
    public Priorities Priorities { get; init; } = Priorities.Even;

    /// <summary>The school the firm or the job follows.</summary>
    public Practice Practice { get; init; } = new();

    /// <summary>The firm's margins at the gate.</summary>
    public GatePractice Gate { get; init; } = new();

    /// <summary>Whether the dryness of its systems cannot be told: air is on its far side, and no months of it are known.</summary>
    public bool DrynessUnknown => Year is null && FacesAir;

    /// <summary>Whether air of the weather, and no room or soil, is on its far side.</summary>
    public bool FacesAir => Section.Exposure is Exposure.Outdoors or Exposure.Ventilated;

    /// <summary>Multiplies the price of open-cell sets: for asking where the price turns the choice.</summary>
    internal double OpenPriceFactor { get; init; } = 1;

    /// <summary>Years of the systems of closed cell alone: what others are held against where a limit is passed by all.</summary>
    internal IReadOnlyList<MonthlyYear> ClosedYears { get; init; } = [];

    /// <summary>What was reckoned so far for this question and its variations.</summary>
    internal ChoiceMemo Memo { get; init; } = new();
}
