using Umbracell.Core.Findings;

namespace Umbracell.Core.Quality;

/// <summary>The rules of what is seen, sampled and found on a finished surface.</summary>
public static class ProofRules
{
    /// <summary>Nothing is covered before it was inspected and signed.</summary>
    public static readonly Rule Cover = new Rule("coverHold", Stage.Prove, Basis.Practice)
        .Ends("signed", "", "name role")
        .Ends("unsigned")
        .Ends("unseen", "", "lacks:prove.item")
        .Ends("defects", "count")
        .Ends("unread");

    /// <summary>A defect is repaired and looked at again.</summary>
    public static readonly Rule Defect = new Rule("defectOpen", Stage.Prove, Basis.Practice) { IsFirm = true }.Ends(
        "open repaired offRatio",
        "",
        "defect:prove.defect"
    );

    /// <summary>The probe was held to a block.</summary>
    public static readonly Rule Probe = new Rule("probeChecked", Stage.Prove, Basis.Practice)
        .Ends("true off", "measured limit")
        .Ends("unchecked");

    /// <summary>Density and adhesion of samples.</summary>
    public static readonly Rule Sample = new Rule("sample", Stage.Prove, Basis.ProductSheet)
        .Ends("dense light heavy", "measured limit")
        .Ends("holds lets glue", "measured limit")
        .Ends("pulled", "measured", "failed:prove.failedIn")
        .Ends("faceFailed", "measured", basis: Basis.Practice)
        .Ends("even")
        .Ends("uneven", "", "look:prove.look", basis: Basis.Practice);

    /// <summary>Depths are read on foam.</summary>
    public static readonly Rule Sprayed = new Rule("proofUnsprayed", Stage.Prove, Basis.Practice).Ends("unsprayed");
}
