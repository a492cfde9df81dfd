using Umbracell.Core.Findings;

namespace Umbracell.Core.Rigs;

/// <summary>The rules of the rig: does it reach its set points, and does its foam pass?</summary>
public static class RigRules
{
    /// <summary>Whether the primary heater of a side holds the sheet's set point while the trigger is held.</summary>
    public static readonly Rule Primary = new Rule("primary", Stage.Rig, Basis.Physics)
        .Ends("held short", "measured limit margin drum flow", "side")
        .Ends("unknown", "limit", "lacks:rig.lack");

    /// <summary>Whether the liquid is warm enough at the gun, after the hose.</summary>
    public static readonly Rule Gun = new Rule("gun", Stage.Rig, Basis.Physics)
        .Ends("held short", "measured limit margin around flow", "side")
        .Ends("unknown", "limit", "lacks:rig.lack");

    /// <summary>Whether the rig gives the sheet's pressure.</summary>
    public static readonly Rule Pressure = new Rule("pressure", Stage.Rig, Basis.ProductSheet).Ends("given short", "measured limit margin");

    /// <summary>A test shot accepted today, since set points and drums were last changed.</summary>
    public static readonly Rule TestShot = new Rule("G14", Stage.Rig, Basis.Practice)
        .Ends("accepted", "age", "by")
        .Ends("otherSubstrate", "age", "by substrate:rig.substrate")
        .Ends("lost", "age", "because:rig.loss")
        .Ends("refused", "age")
        .Ends("waiting", "age")
        .Ends("none");
}
