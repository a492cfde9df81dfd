using Umbracell.Core.Findings;

namespace Umbracell.Core.Assemblies;

/// <summary>Judges a joint. An unsolved joint is a finding on both surfaces it joins.</summary>
public static class JointCheck
{
    /// <summary>Judges one joint.</summary>
    /// <param name="joint">The joint.</param>
    /// <param name="beyond">What the surface judged meets there, in words.</param>
    public static Finding Of(Joint joint, string beyond)
    {
        var open = joint.OpenLayers.ToList();
        var (name, verdict) =
            open.Count > 0 ? ("open", Verdict.Care)
            : !joint.IsSolved ? ("unassigned", Verdict.Care)
            : !joint.Ready ? ("notReady", Verdict.Care)
            : joint.SeenBy.Length == 0 ? ("unseen", Verdict.Clear)
            : ("seen", Verdict.Clear);
        return new(
            "joint",
            name,
            verdict,
            Basis.Practice,
            "Each control layer carries on across a joint, sealed with what, by whom, seen by whom"
        )
        {
            Words = new Dictionary<string, string>
            {
                ["joint"] = joint.Kind.ToString(),
                ["layers"] = string.Join(",", open),
                ["beyond"] = beyond,
                ["how"] = joint.How,
                ["by"] = joint.By,
                ["seenBy"] = joint.SeenBy,
            },
        };
    }
}
