using Umbracell.Core.Assemblies;
using Umbracell.Core.Choosing;
using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Takeoff;
using Umbracell.Core.Yield;
using Umbracell.Documents;
using Umbracell.Questions.Prove;
using Umbracell.Questions.Sets;
using Umbracell.Questions.Spray;
using Umbracell.Questions.Window;
using Umbracell.Store.Model;

namespace Umbracell.Server.Surfaces;

/// <summary>A surface with what every stage says of it.</summary>
internal sealed record SurfaceStudy
{
    public required Surface Surface { get; init; }

    public required SectionCase Bare { get; init; }

    public required ProductSheet? Sheet { get; init; }

    public required SurfaceTakeoff? Takeoff { get; init; }

    public required IReadOnlyList<Finding> Survey { get; init; }

    public required SectionStudy? Section { get; init; }

    public required MonthlyYear? Year { get; init; }

    public required SetsQuestion? SetsQuestion { get; init; }

    public required SetsStudy? Sets { get; init; }

    /// <summary>What the gate is asked, with readings as old as they were at <see cref="StudiedAt"/>; null until a sheet is
    /// chosen.</summary>
    public GateQuestion? Gate { get; init; }

    /// <summary>Test shots of its product; null until one is chosen.</summary>
    public SurfaceShots? Shots { get; init; }

    /// <summary>How far it is, by its log; null where nothing was logged, or it cannot be told.</summary>
    public SprayAnswer? Sprayed { get; init; }

    /// <summary>Whether it is thick enough and sound, by its log; null where nothing was logged, or it cannot be told.</summary>
    public ProofAnswer? Proof { get; init; }

    /// <summary>When it was studied.</summary>
    public DateTimeOffset StudiedAt { get; init; }

    /// <summary>Foams sprayed after the first, each with its material.</summary>
    public IReadOnlyList<(ProductSheet Sheet, SetsStudy Sets)> Further { get; init; } = [];

    /// <summary>Where the substrate temperature the yield is reckoned at comes from.</summary>
    public SubstrateFrom SubstrateFrom { get; init; } = SubstrateFrom.Assumed;

    /// <summary>Boards laid with the system beside what is put in, outboard and inboard.</summary>
    public IReadOnlyList<LayerDocument> AddedBoards { get; init; } = [];

    /// <summary>Whether it is shaved flush: only open cell is, and only what lies outermost.</summary>
    public bool Shaved =>
        Surface.ShavedFlush && AllSets.Select(one => one.Sheet.Cell).LastOrDefault(CellStructure.Closed) == CellStructure.Open;

    /// <summary>The system; null where none was chosen.</summary>
    public CandidateKind? System { get; init; }

    /// <summary>Every foam with its material.</summary>
    public IEnumerable<(ProductSheet Sheet, SetsStudy Sets)> AllSets => Sets is null ? [] : [(Sheet!, Sets), .. Further];
}

/// <summary>A job with every surface studied: what the board shows and the feet of its columns add up.</summary>
internal sealed record JobStudy(Job Job, IReadOnlyList<SurfaceStudy> Rows);
