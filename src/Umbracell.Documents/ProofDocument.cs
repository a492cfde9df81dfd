using System.ComponentModel.DataAnnotations;
using Umbracell.Core.Quantities;
using Umbracell.Core.Spraying;
using Umbracell.Core.Takeoff;

namespace Umbracell.Documents;

/// <summary>What an entry of the log says beyond spraying: what was read, sampled, seen, signed, found and repaired.</summary>
public sealed record ProofDocument
{
    public const int LongestName = 80,
        LongestStrokes = 20_000,
        MostPlaces = 1_000;

    public const double MostArea = 1e4,
        MostAirChanges = 200,
        GreatestDensity = 200,
        GreatestPullKPa = 2_000;

    /// <summary>Number of the place in the plan.</summary>
    [Range(1, MostPlaces)]
    public int? SpotNumber { get; init; }

    public PlaceKind? SpotKind { get; init; }

    /// <summary>Across the sketch, from its left.</summary>
    [Range(-1e4, 1e4)]
    public double? SpotXM { get; init; }

    /// <summary>Up the sketch, from its foot.</summary>
    [Range(-1e4, 1e4)]
    public double? SpotYM { get; init; }

    /// <summary>The reading whose place it takes.</summary>
    public Guid? ReadAgain { get; init; }

    /// <summary>Thickness of the block a probe was held to.</summary>
    [Range(0.1, 1000)]
    public double? BlockMm { get; init; }

    public SampleKind? Sample { get; init; }

    [Range(1, GreatestDensity)]
    public double? DensityKgM3 { get; init; }

    [Range(0, GreatestPullKPa)]
    public double? PullKPa { get; init; }

    public FailedIn? FailedIn { get; init; }

    public CellLook? CellLook { get; init; }

    public InspectionItem? Inspected { get; init; }

    /// <summary>Name under a signature.</summary>
    [MaxLength(LongestName)]
    public string? SignedName { get; init; }

    [MaxLength(LongestName)]
    public string? SignedRole { get; init; }

    /// <summary>The signature as it was drawn: a line each, x and y in turn, in thousandths of the width of the field.</summary>
    [MaxLength(LongestStrokes)]
    public string? SignedStrokes { get; init; }

    public DefectKind? DefectKind { get; init; }

    [Range(0, MostArea)]
    public double? DefectAreaM2 { get; init; }

    public DefectCause? DefectCause { get; init; }

    public RepairWay? RepairWay { get; init; }

    [Range(0, 1000)]
    public double? CutBackMm { get; init; }

    /// <summary>Whether a repaired defect was found sound.</summary>
    public bool? FoundSound { get; init; }

    /// <summary>Air changes an hour of the ventilation.</summary>
    [Range(0, MostAirChanges)]
    public double? AirChanges { get; init; }

    /// <summary>What is accounted for before people come back.</summary>
    public Clearance? Accounted { get; init; }

    /// <summary>Which draw of places is in force.</summary>
    [Range(0, 1_000_000)]
    public int? PlacesDrawn { get; init; }

    /// <summary>What it says, for the core.</summary>
    /// <exception cref="QuantityRangeException">A figure out of range.</exception>
    public ProofSaid ToSaid() =>
        new()
        {
            Spot =
                SpotNumber is null && SpotKind is null && SpotXM is null
                    ? null
                    : new(SpotNumber, SpotKind ?? PlaceKind.Area, SpotXM is { } x && SpotYM is { } y ? new Corner(x, y) : null),
            Again = ReadAgain,
            Block = BlockMm is { } block ? Length.FromMillimetres(block) : null,
            Sample = Sample is { } kind ? ToSample(kind) : null,
            Item = Inspected,
            Signature = SignedName is { } name ? new(name, SignedRole ?? "") : null,
            Defect = DefectKind,
            Size = DefectAreaM2 is { } area ? Area.FromSquareMetres(area) : null,
            Cause = DefectCause,
            Repair = RepairWay,
            CutBack = CutBackMm is { } back ? Length.FromMillimetres(back) : null,
            Passed = FoundSound,
            AirChanges = AirChanges is { } changes
                ? QuantityRangeException.Within("air changes", changes, 0, MostAirChanges, Dimension.AirChanges)
                : null,
            Accounted = Accounted,
            Seed = PlacesDrawn,
        };

    private SampleSaid ToSample(SampleKind kind) =>
        new()
        {
            Kind = kind,
            Density = DensityKgM3 is { } density ? Density.FromKilogramsPerCubicMetre(density) : null,
            Pull = PullKPa is { } pull ? BearingPressure.FromKilopascals(pull) : null,
            FailedIn = FailedIn,
            Look = CellLook,
        };
}
