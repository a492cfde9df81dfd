namespace Umbracell.Core.Findings;

/// <summary>The three verdicts, from best to worst, so that the worst of several is their maximum.</summary>
public enum Verdict
{
    /// <summary>Nothing stands in the way.</summary>
    Clear,

    /// <summary>May go ahead with care.</summary>
    Care,

    /// <summary>Must not go ahead.</summary>
    Hold,
}
