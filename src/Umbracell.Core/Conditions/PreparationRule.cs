using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Conditions;

/// <summary>Rule G13: everything ready before foam.</summary>
internal static class PreparationRule
{
    public static Finding Judge(GateCase gate)
    {
        var all = gate.Required;
        var missing = all.Where(item => !gate.Prepared.Contains(item)).ToList();
        return new("G13", missing.Count == 0 ? "ready" : "missing", missing.Count == 0 ? Verdict.Clear : Verdict.Hold, Basis.Practice, "Preparation list ticked off")
        {
            Measured = Figure.Count(all.Count - missing.Count),
            Limit = Figure.Count(all.Count),
            Margin = Figure.Count(-missing.Count),
            Words = new Dictionary<string, string> { ["items"] = string.Join(",", missing) },
        };
    }
}
