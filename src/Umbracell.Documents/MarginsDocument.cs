using Umbracell.Core.Conditions;

namespace Umbracell.Documents;

/// <summary>What a firm holds tighter at the gate than the rules do.</summary>
/// <param name="Tighter">Figures by margin, in SI; a margin that is not named goes by the rules.</param>
public sealed record MarginsDocument(IReadOnlyDictionary<GateMargin, double> Tighter)
{
    /// <summary>All by the rules.</summary>
    public static MarginsDocument None { get; } = new(new Dictionary<GateMargin, double>());
}
