using Umbracell.Core.Findings;

namespace Umbracell.Core.Assemblies;

/// <summary>Judges a joint. An unsolved joint is a finding on both surfaces it joins.</summary>
public static class JointCheck
{
    private const string Words = "joint:joint layers:layer beyond how by seenBy";

    /// <summary>Each control layer carries on across a joint.</summary>
    public static readonly Rule Rule = new Rule("joint", Stage.Survey, Basis.Practice)
        .Ends("open unassigned notReady", words: Words, blocks: Stage.Window)
        .Ends("unseen seen", words: Words);

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
        return new(Rule, name, verdict, Citations.JointLayers)
        {
            Words = new Dictionary<string, Said>
            {
                ["joint"] = Said.Of(joint.Kind),
                ["layers"] = Said.Of(open),
                ["beyond"] = beyond,
                ["how"] = joint.How,
                ["by"] = joint.By,
                ["seenBy"] = joint.SeenBy,
            },
        };
    }
}
