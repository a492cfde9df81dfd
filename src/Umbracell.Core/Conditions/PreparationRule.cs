using Umbracell.Core.Findings;
using Umbracell.Core.Planning;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>Rule G13: everything ready before foam.</summary>
internal static class PreparationRule
{
    public static Finding Judge(GateCase gate)
    {
        var all = gate.Required;
        var missing = all.Where(item => !gate.Prepared.Contains(item) || PreparationList.Outweighs(item, gate.LeakOpen, gate.JointOpen))
            .ToList();
        return new(
            GateRules.Preparation,
            missing.Count == 0 ? "ready" : "missing",
            missing.Count == 0 ? Verdict.Clear : Verdict.Hold,
            Citations.PreparationTicked
        )
        {
            Measured = Figure.Count(all.Count - missing.Count),
            Limit = Figure.Count(all.Count),
            Margin = Figure.Count(-missing.Count),
            Words = new Dictionary<string, Said> { ["items"] = Said.Of(missing) },
        };
    }
}
