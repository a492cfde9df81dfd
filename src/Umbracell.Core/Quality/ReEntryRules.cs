using Umbracell.Core.Findings;

namespace Umbracell.Core.Quality;

/// <summary>When people without protection come back.</summary>
public static class ReEntryRules
{
    /// <summary>Whether they can come back yet.</summary>
    public static readonly Rule Time = new Rule("reEntry", Stage.Prove, Basis.ProductSheet) { IsFirm = true }
        .Ends("over open", "measured limit left", "product")
        .Ends("off unread", "measured limit air", "product")
        .Ends("noHours", "", "product")
        .Ends("spraying unsprayed")
        .Ends("noProduct", "count");

    /// <summary>Whether the ventilation makes as many air changes as the sheet counts on.</summary>
    public static readonly Rule Air = new Rule("reEntryAir", Stage.Prove, Basis.ProductSheet) { IsFirm = true }
        .Ends("asSheet", "measured limit")
        .Ends("slow", "measured limit")
        .Ends("broken", "measured");

    /// <summary>Whether waste, drums, masks and covers are accounted for.</summary>
    public static readonly Rule Accounted = new Rule("reEntryAccounted", Stage.Prove, Basis.Practice)
        .Ends("all")
        .Ends("open", "", "lacks:prove.clearance");

    /// <summary>Whether the times of the log agree with each other.</summary>
    public static readonly Rule Clock = new Rule("reEntryClock", Stage.Prove, Basis.Practice) { IsFirm = true }.Ends("jumped", "count");
}
