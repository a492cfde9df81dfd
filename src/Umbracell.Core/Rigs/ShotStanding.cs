using Umbracell.Core.Conditions;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Rigs;

/// <summary>Why an accepted test shot counts no longer.</summary>
public enum ShotLoss
{
    /// <summary>A set point, the pressure or the tip was changed.</summary>
    SetPoints,

    /// <summary>A drum was changed.</summary>
    Drums,

    /// <summary>Another product is on the rig.</summary>
    Product,

    /// <summary>It was accepted on another day.</summary>
    Day,
}

/// <summary>The last test shot of a product by a rig, and what became of it.</summary>
/// <param name="Age">How long ago it was fired, 0 or more.</param>
/// <param name="AcceptedBy">Who accepted it; null where nobody has.</param>
/// <param name="On">What it was sprayed on.</param>
/// <param name="Loss">Why it counts no longer; null where it does.</param>
/// <param name="Refused">Whether nobody can accept it.</param>
public sealed record FiredShot(TimeSpan Age, string? AcceptedBy, SubstrateKind On, ShotLoss? Loss, bool Refused);

/// <summary>Rule G14: a test shot accepted today, since set points and drums were last changed.</summary>
public static class ShotStanding
{
    /// <summary>Judges it for a surface.</summary>
    /// <param name="last">The last shot of its product; null where none was fired.</param>
    /// <param name="accepted">The last that was accepted; null where none was.</param>
    /// <param name="surface">What the surface is of: on each a patch is tried first.</param>
    public static Finding Judge(FiredShot? last, FiredShot? accepted, SubstrateKind surface) =>
        (last, accepted) switch
        {
            (null, _) => new(RigRules.TestShot, "none", Verdict.Hold, Citations.TestShotToday),

            // A bad shot after a good one says that something has changed, whether anybody said so or not.
            ({ Refused: true }, _) => Told("refused", Verdict.Hold, last),
            (_, { Loss: { } loss }) => Told("lost", Verdict.Hold, accepted, ("because", Said.Of(loss))),
            (_, { AcceptedBy: { } by } shot) when shot.On != surface => Told(
                "otherSubstrate",
                Verdict.Care,
                shot,
                ("by", by),
                ("substrate", Said.Of(shot.On))
            ),
            (_, { AcceptedBy: { } by } shot) => Told("accepted", Verdict.Clear, shot, ("by", by)),
            _ => Told("waiting", Verdict.Hold, last),
        };

    private static Finding Told(string ends, Verdict verdict, FiredShot shot, params (string Name, Said Word)[] words) =>
        new(RigRules.TestShot, ends, verdict, Citations.TestShotToday)
        {
            Figures = new Dictionary<string, Figure> { ["age"] = Figure.Duration(shot.Age) },
            Words = words.ToDictionary(one => one.Name, one => one.Word),
        };
}
