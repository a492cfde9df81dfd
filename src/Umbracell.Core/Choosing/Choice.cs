using Umbracell.Core.Assemblies;
using Umbracell.Core.Assemblies.Conduction;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>Which system for a surface: the answer of the choose stage.</summary>
public sealed record Choice
{
    /// <summary>The question.</summary>
    public required ChoiceCase Case { get; init; }

    /// <summary>Candidates, best first; what falls short after what meets the target, what is excluded last.</summary>
    public required IReadOnlyList<Candidate> Candidates { get; init; }

    /// <summary>The one advised; null where every system is excluded.</summary>
    public required Candidate? Advised { get; init; }

    /// <summary>The best of the other school, where the practice follows one.</summary>
    public required Candidate? OtherSchool { get; init; }

    /// <summary>What would make another win, nearest first for each input.</summary>
    public required IReadOnlyList<FlipPoint> Flips { get; init; }

    /// <summary>What holds the surface whatever is chosen.</summary>
    public required IReadOnlyList<Finding> OfSurface { get; init; }

    /// <summary>Weighs the systems of a surface.</summary>
    /// <param name="choice">The question.</param>
    /// <param name="flips">Which flip points are sought.</param>
    /// <exception cref="QuantityRangeException">Air outside the psychrometric formulas, or an assembly that cannot be.</exception>
    public static Choice Of(ChoiceCase choice, FlipSearch flips = FlipSearch.All)
    {
        choice = choice with { Years = new(), Section = WithSolvedMembers(choice) };
        var ranked = Ranking.Of(choice);
        var advised = Ranking.Winner(ranked);
        return new()
        {
            Case = choice,
            Candidates = ranked,
            Advised = advised,
            OtherSchool = ranked.FirstOrDefault(c => !c.Excluded && !c.InPractice && c.Id != advised?.Id),
            Flips = flips switch
            {
                FlipSearch.All => FlipPoints.Of(choice, ranked),
                FlipSearch.Nearest => FlipPoints.Nearest(choice, ranked) is { } nearest ? [nearest] : [],
                _ => [],
            },
            OfSurface = [.. Exclusions.OfSurface(choice)],
        };
    }

    // The members' heat is solved at a few fills once, for every system and flip point.
    private static SectionCase WithSolvedMembers(ChoiceCase choice) => choice.Section with { SolvedPsi = choice.Section.SolvedPsi ?? MemberCurve.For(choice.Section)?.Psi };
}
