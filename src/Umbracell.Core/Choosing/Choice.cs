using Umbracell.Core.Assemblies;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>How far a choice may be advised.</summary>
public enum Advice
{
    /// <summary>The best stands and is dry by what rules.</summary>
    Advised,

    /// <summary>Dryness is not known: without monthly air nothing is advised that a place may then fail.</summary>
    DrynessUnknown,

    /// <summary>All that stand fail on condensation: the best of them is shown, not advised.</summary>
    AllFail,

    /// <summary>Every system is excluded.</summary>
    NoneStands,
}

/// <summary>Which system for a surface: the answer of the choose stage.</summary>
public sealed record Choice
{
    /// <summary>The question.</summary>
    public required ChoiceCase Case { get; init; }

    /// <summary>Candidates, best first; what falls short after what meets the target, what is excluded last.</summary>
    public required IReadOnlyList<Candidate> Candidates { get; init; }

    /// <summary>The best that stands by what is known; null where every system is excluded. Whether it may be advised is told by
    /// <see cref="Advice"/>.</summary>
    public required Candidate? Advised { get; init; }

    /// <summary>How far it may be advised.</summary>
    public Advice Advice =>
        Advised is null ? Advice.NoneStands
        : Case.DrynessUnknown ? Advice.DrynessUnknown
        : Advised.FailsCondensation ? Advice.AllFail
        : Advice.Advised;

    /// <summary>What would have to change where all fail on condensation; empty elsewhere.</summary>
    public required IReadOnlyList<DryingMeasure> Measures { get; init; }

    /// <summary>The best of the other school, where the practice follows one.</summary>
    public required Candidate? OtherSchool { get; init; }

    /// <summary>What would make another win, nearest first for each input.</summary>
    public required IReadOnlyList<FlipPoint> Flips { get; init; }

    /// <summary>Systems that trade places with the one advised within the rounding of the thickness; empty where flip points were not all
    /// sought.</summary>
    public required IReadOnlyList<AlikeSystem> Alike { get; init; }

    /// <summary>What holds the surface whatever is chosen.</summary>
    public required IReadOnlyList<Finding> OfSurface { get; init; }

    /// <summary>Weighs the systems of a surface.</summary>
    /// <param name="choice">The question.</param>
    /// <param name="flips">Which flip points are sought.</param>
    /// <exception cref="QuantityRangeException">Air outside the psychrometric formulas, or an assembly that cannot be.</exception>
    public static Choice Of(ChoiceCase choice, FlipSearch flips = FlipSearch.All)
    {
        choice = choice with { Memo = new(), Section = WithSolvedMembers(choice) };
        var ranked = Ranking.Of(choice);
        var advised = Ranking.Winner(ranked);
        var found = flips switch
        {
            FlipSearch.All => FlipPoints.Of(choice, ranked),
            FlipSearch.Nearest => new(FlipPoints.Nearest(choice, ranked) is { } nearest ? [nearest] : [], []),
            _ => new FlipsFound([], []),
        };
        return new()
        {
            Case = choice,
            Candidates = ranked,
            Advised = advised,
            OtherSchool = ranked.FirstOrDefault(c => !c.Excluded && !c.InPractice && c.Id != advised?.Id),
            Flips = found.Flips,
            Alike = found.Alike,
            Measures =
                advised is { FailsCondensation: true } && !choice.DrynessUnknown && flips == FlipSearch.All
                    ? DryingMeasures.Of(choice)
                    : [],
            OfSurface = [.. Exclusions.OfSurface(choice)],
        };
    }

    // The members' heat is solved at a few fills once, for every system and flip point.
    private static SectionCase WithSolvedMembers(ChoiceCase choice) =>
        choice.Section with
        {
            SolvedPsi = choice.Section.SolvedPsi ?? MemberCurve.For(choice.Section)?.Psi,
        };
}
