using Umbracell.Core.Choosing;

namespace Umbracell.Store.Model;

/// <summary>What a layer put in after the first foam, or instead of it, is.</summary>
public enum FillRowKind
{
    Foam,
    Batt,
    Slab,
}

/// <summary>A layer put in after the first foam, or instead of it.</summary>
public sealed record FillRow(FillRowKind Kind, string Id, double ThicknessMm, bool TakesRest);

/// <summary>The system chosen for a surface: what goes with the first foam, which stands in columns of its own.</summary>
/// <param name="Kind">Which system.</param>
/// <param name="Then">Layers after the first foam, or all of them where none is sprayed.</param>
/// <param name="AddedOutboard">Boards added outside the members.</param>
/// <param name="AddedInboard">Boards added on their room side.</param>
/// <param name="ChosenBy">Role of the person who chose.</param>
/// <param name="ChosenAt">When.</param>
/// <param name="Overrides">Rules overridden; empty where none was.</param>
/// <param name="Reason">The reason written for it.</param>
/// <param name="Before">What stood before, so that the choice can be taken back.</param>
public sealed record SystemDocument(
    CandidateKind Kind,
    IReadOnlyList<FillRow> Then,
    IReadOnlyList<LayerRow> AddedOutboard,
    IReadOnlyList<LayerRow> AddedInboard,
    string ChosenBy,
    DateTimeOffset ChosenAt,
    IReadOnlyList<string> Overrides,
    string Reason,
    SystemBefore? Before
);

/// <summary>What stood before a choice.</summary>
public sealed record SystemBefore(string? SheetSlug, double? FoamThicknessM, SystemDocument? System);

/// <summary>What was said of a surface that bears on the choice.</summary>
public sealed record ChoiceFactsDocument
{
    public bool Unconditioned { get; init; }

    public bool SoundAsked { get; init; }

    public bool Workplace { get; init; }

    public bool LaterAccess { get; init; }

    public bool RainBeforeCover { get; init; }

    public bool OldBuilding { get; init; }

    public bool Termites { get; init; }

    public bool Radon { get; init; }

    public bool FloodProne { get; init; }

    public bool CombustionInside { get; init; }

    /// <summary>Loose fill will be blown in later.</summary>
    public bool LooseFill { get; init; }

    /// <summary>A wall's cladding stands off it, open to the air below and above.</summary>
    public bool VentedCladding { get; init; }

    public double? LoadKPa { get; init; }
}
