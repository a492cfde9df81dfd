using Umbracell.Core.Choosing;

namespace Umbracell.Documents;

/// <summary>The system chosen for a surface: what goes with the first foam, which stands in columns of its own.</summary>
public sealed record SystemDocument
{
    /// <summary>Which system.</summary>
    public required CandidateKind Kind { get; init; }

    /// <summary>Layers after the first foam, or all of them where none is sprayed.</summary>
    public IReadOnlyList<FillDocument> Further { get; init; } = [];

    /// <summary>Boards added outside the members.</summary>
    public IReadOnlyList<LayerDocument> AddedOutboard { get; init; } = [];

    /// <summary>Boards added on their room side.</summary>
    public IReadOnlyList<LayerDocument> AddedInboard { get; init; } = [];

    /// <summary>Role of the person who chose.</summary>
    public string ChosenBy { get; init; } = "";

    /// <summary>When.</summary>
    public DateTimeOffset ChosenAt { get; init; }

    /// <summary>Rules overridden; empty where none was.</summary>
    public IReadOnlyList<string> Overrides { get; init; } = [];

    /// <summary>The reason written for it.</summary>
    public string Reason { get; init; } = "";

    /// <summary>What stood before, so that the choice can be taken back; a file carries none.</summary>
    public SystemBefore? Before { get; init; }
}

/// <summary>What stood before a choice.</summary>
/// <param name="SheetSlug">The first foam.</param>
/// <param name="FoamThicknessM">Its thickness.</param>
/// <param name="System">What went with it.</param>
public sealed record SystemBefore(string? SheetSlug, double? FoamThicknessM, SystemDocument? System);
