using Umbracell.Core.Assemblies;
using Umbracell.Core.Conditions;
using Umbracell.Core.Takeoff;

namespace Umbracell.Core.Planning;

/// <summary>What the preparation of a surface follows from.</summary>
/// <param name="Kind">Kind of surface.</param>
/// <param name="Details">What else is known of it.</param>
/// <param name="Notes">What was found on it and is still open or stays.</param>
/// <param name="HasVentChannel">Whether a vent channel is kept.</param>
public sealed record PreparationCase(SurfaceKind Kind, SurfaceDetails Details, IReadOnlySet<SiteNoteKind> Notes, bool HasVentChannel);

/// <summary>One thing to be done before the crew comes.</summary>
/// <param name="Item">What.</param>
/// <param name="Reason">Key of why: <c>always</c>, <c>job</c>, <c>kind</c>, <c>note</c>, <c>detail</c>.</param>
/// <param name="ForJob">Whether it is done once for the whole job.</param>
public sealed record PreparationTask(PreparationItem Item, string Reason, bool ForJob);

/// <summary>The preparation list, derived by rule. Each tick feeds gate rule G13.</summary>
public static class PreparationList
{
    /// <summary>What every surface wants.</summary>
    public static IReadOnlyList<PreparationItem> Always { get; } =
    [
        PreparationItem.Clean,
        PreparationItem.Dry,
        PreparationItem.Firm,
        PreparationItem.Sealed,
        PreparationItem.Masked,
        PreparationItem.LeaksMended,
        PreparationItem.JointsReady,
    ];

    /// <summary>What every job wants once.</summary>
    public static IReadOnlyList<PreparationItem> OncePerJob { get; } =
    [PreparationItem.OccupantsOut, PreparationItem.RegistersCovered, PreparationItem.Power];

    /// <summary>Whether what the survey knows outweighs a tick: an open leak is not mended, an unready joint is not ready.</summary>
    /// <param name="item">The item.</param>
    /// <param name="leakOpen">Whether a leak is open.</param>
    /// <param name="jointOpen">Whether a joint is unsolved or not ready.</param>
    public static bool Outweighs(PreparationItem item, bool leakOpen, bool jointOpen) =>
        (item == PreparationItem.LeaksMended && leakOpen) || (item == PreparationItem.JointsReady && jointOpen);

    private static readonly (PreparationItem Item, Func<PreparationCase, bool> Wanted)[] ByKind =
    [
        (PreparationItem.PenetrationsSealed, c => c.Kind is SurfaceKind.WallOutside or SurfaceKind.EavesClosure),
        (PreparationItem.BafflesRigid, c => c.HasVentChannel),
        (PreparationItem.StudsTrued, c => c.Kind is SurfaceKind.StudWall or SurfaceKind.InteriorPartition),
        (PreparationItem.WetPartsOut, c => c.Kind == SurfaceKind.LowSlopeRoof),
        (PreparationItem.Washed, c => c.Kind is SurfaceKind.LowSlopeRoof or SurfaceKind.SolidWall or SurfaceKind.BasementWall),
        (PreparationItem.VentsClosed, c => c.Kind == SurfaceKind.UnventedDeck),
        (PreparationItem.CavityTopsClosed, c => c.Kind == SurfaceKind.AtticFloor),
        (PreparationItem.BaseLevel, c => c.Kind == SurfaceKind.UnderSlab),
        (PreparationItem.DoorFreed, c => c.Kind == SurfaceKind.OverheadDoor),
    ];

    private static readonly (PreparationItem Item, Func<SurfaceDetails, bool> Wanted)[] ByDetail =
    [
        (PreparationItem.MembersBraced, d => d.HeldAtEnds == true),
        (PreparationItem.CavityTopsClosed, d => d.BalloonFramed == true),
        (
            PreparationItem.CoverBoard,
            d => d.Covering == Covering.SinglePly || d.Attachment is Attachment.HereAndThere or Attachment.Ballasted
        ),
        (PreparationItem.ReachSet, d => d.Access is AccessKind.Ladder or AccessKind.Scaffold),
        (PreparationItem.ServicesMoved, d => d.Access == AccessKind.ServicesInTheWay),
    ];

    private static readonly (PreparationItem Item, SiteNoteKind[] Notes)[] ByNote =
    [
        (PreparationItem.PenetrationsSealed, [SiteNoteKind.Penetration]),
        (PreparationItem.WetPartsOut, [SiteNoteKind.WetPart]),
        (PreparationItem.OldInsulationOut, [SiteNoteKind.OldInsulation]),
        (PreparationItem.PestsGone, [SiteNoteKind.Pests]),
        (PreparationItem.ClearancesKept, [SiteNoteKind.Flue, SiteNoteKind.Light, SiteNoteKind.Wiring]),
        (PreparationItem.SuspectCleared, [SiteNoteKind.SuspectMaterial]),
        (PreparationItem.ServicesMoved, [SiteNoteKind.Services, SiteNoteKind.TightCorner]),
        (PreparationItem.FixingsBlocked, [SiteNoteKind.Fixing]),
    ];

    /// <summary>The list of a surface, in the order of the work; what the whole job wants comes last.</summary>
    public static IReadOnlyList<PreparationTask> For(PreparationCase surface)
    {
        var wanted = new Dictionary<PreparationItem, string>();
        Add(ByNote.Where(rule => surface.Notes.Overlaps(rule.Notes)).Select(rule => rule.Item), "note");
        Add(ByDetail.Where(rule => rule.Wanted(surface.Details)).Select(rule => rule.Item), "detail");
        Add(ByKind.Where(rule => rule.Wanted(surface)).Select(rule => rule.Item), "kind");
        Add(Always, "always");
        return
        [
            .. wanted.OrderBy(w => Order(w.Key)).Select(w => new PreparationTask(w.Key, w.Value, false)),
            .. OncePerJob.Select(item => new PreparationTask(item, "job", true)),
        ];

        void Add(IEnumerable<PreparationItem> items, string reason)
        {
            foreach (var item in items)
            {
                wanted.TryAdd(item, reason);
            }
        }
    }

    // What opens or wets the surface comes before it is cleaned, sealed and masked.
    private static int Order(PreparationItem item) =>
        item switch
        {
            PreparationItem.LeaksMended => 0,
            PreparationItem.SuspectCleared => 1,
            PreparationItem.PestsGone => 2,
            PreparationItem.OldInsulationOut => 3,
            PreparationItem.WetPartsOut => 4,
            PreparationItem.Washed => 5,
            PreparationItem.Clean => 6,
            PreparationItem.Dry => 7,
            PreparationItem.Firm => 8,
            PreparationItem.StudsTrued
            or PreparationItem.MembersBraced
            or PreparationItem.BaseLevel
            or PreparationItem.CoverBoard
            or PreparationItem.DoorFreed => 9,
            PreparationItem.BafflesRigid
            or PreparationItem.VentsClosed
            or PreparationItem.CavityTopsClosed
            or PreparationItem.FixingsBlocked => 10,
            PreparationItem.Sealed or PreparationItem.PenetrationsSealed or PreparationItem.JointsReady => 11,
            PreparationItem.ClearancesKept or PreparationItem.ServicesMoved or PreparationItem.ReachSet => 12,
            _ => 13,
        };
}
