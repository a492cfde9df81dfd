namespace Umbracell.Core.Assemblies.Conduction;

/// <summary>Conduction that was solved already, remembered for whoever asks: the same wall comes again at every step of a hand, in other
/// air and in other months.</summary>
/// <remarks>Belongs to who asks, for as long as they ask: a server has one, a page has one, a case of its own brings one for itself and
/// what is made from it. May be used by several at once. What was solved before says nothing of a case, so all memories are
/// alike.</remarks>
public sealed class SolvedMembers : IEquatable<SolvedMembers>
{
    internal Remembered<CellNumbers, ConductionField> Cells { get; } = new(200);

    internal Remembered<MemberCurveKey, MemberCurve> Curves { get; } = new(500);

    /// <summary>The field of a cell between airs of 0 and 1 °C.</summary>
    internal ConductionField FieldOf(ConductionCell cell, int volumes) =>
        Cells.Of(
            CellNumbers.Of(cell, volumes),
            () => ConductionField.Solve(cell, volumes, volumes <= MemberCell.FewVolumes ? MovingResidual : ConductionSystem.UsualResidual)
        );

    /// <inheritdoc/>
    public bool Equals(SolvedMembers? other) => other is not null;

    /// <inheritdoc/>
    public override bool Equals(object? obj) => obj is SolvedMembers;

    /// <inheritdoc/>
    public override int GetHashCode() => 0;

    // A hand in motion sees three digits.
    private const double MovingResidual = 1e-5;
}
