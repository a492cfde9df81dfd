using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;
using Umbracell.Core.Quantities;

namespace Umbracell.Core.Choosing;

/// <summary>Sizes, judges, scores and orders the candidates of a surface.</summary>
internal static class Ranking
{
    /// <summary>Candidates, best first; then what falls short of the target, by how near it comes; then what fails on condensation; what
    /// is excluded last.</summary>
    public static IReadOnlyList<Candidate> Of(ChoiceCase choice)
    {
        // An unheated room has no target to meet.
        choice = choice.Facts.Conditioned ? choice : choice with { Section = choice.Section with { Target = null }, Labels = [] };
        var sized = CandidateSizing.Of(choice).ToList();
        var closed = sized
            .Where(s => s.Kind is CandidateKind.ClosedCell or CandidateKind.ColdGrade)
            .Select(s => choice.Memo.Year(choice, s.Id, s.Section))
            .OfType<MonthlyYear>()
            .ToList();
        return Ordered(choice, sized.ConvertAll(s => Judge(choice with { ClosedYears = closed }, s)));
    }

    /// <summary>The same candidates at another price: nothing but the cost is reckoned anew.</summary>
    public static IReadOnlyList<Candidate> Repriced(ChoiceCase choice, IReadOnlyList<Candidate> ranked) =>
        Ordered(choice, [.. ranked.Select(c => c with { Cost = CandidateCost.Of(choice, c.Kind, c.Section), Scores = [], Total = 0 })]);

    private static IReadOnlyList<Candidate> Ordered(ChoiceCase choice, List<Candidate> judged)
    {
        return
        [
            .. Scored(choice, judged)
                .OrderBy(c => c.Excluded)
                .ThenBy(c => c.FailsCondensation)
                .ThenByDescending(c => c.MeetsTarget)
                .ThenByDescending(c => c.Total * Nearness(choice, c))
                .ThenBy(c => c.Id, StringComparer.Ordinal),
        ];
    }

    /// <summary>The one advised: the best of the school followed, or the best of all where none of it stays dry; one that fails on
    /// condensation only where all that stand do; null where all are excluded.</summary>
    public static Candidate? Winner(IReadOnlyList<Candidate> ranked) =>
        ranked.FirstOrDefault(c => !c.Excluded && !c.FailsCondensation && c.MeetsTarget && c.InPractice)
        ?? ranked.FirstOrDefault(c => !c.Excluded && !c.FailsCondensation && c.InPractice)
        ?? ranked.FirstOrDefault(c => !c.Excluded && !c.FailsCondensation && c.MeetsTarget)
        ?? ranked.FirstOrDefault(c => !c.Excluded && !c.FailsCondensation)
        ?? ranked.FirstOrDefault(c => !c.Excluded && c.InPractice)
        ?? ranked.FirstOrDefault(c => !c.Excluded);

    // What misses its target by half is no match for what misses it by a hair.
    private static double Nearness(ChoiceCase choice, Candidate c) =>
        c.MeetsTarget ? 1
        : choice.Section.SlabTarget is { } slab ? c.Section.InsulationR.SquareMetreKelvinsPerWatt / slab.LeastR.SquareMetreKelvinsPerWatt
        : choice.Section.Target is not { } target ? 1
        : Math.Min(1, target.GreatestU.WattsPerSquareMetreKelvin / c.U.WattsPerSquareMetreKelvin);

    private static Candidate Judge(ChoiceCase choice, SizedCandidate sized)
    {
        var section = sized.Section;
        var heat = choice.Memo.Heat(sized.Id, section);
        var year = choice.Memo.Year(choice, sized.Id, section);
        var opinions = Condensation.Opinions(choice, section, year);
        var weighed = new Weighed(sized.Kind, section, year, opinions, sized.Fits);
        return new()
        {
            Id = sized.Id,
            Kind = sized.Kind,
            Section = section,
            U = heat.WholeU,
            Installed = Targets.Installed(section),
            MeetsTarget = Targets.Meets(choice, section),
            Year = year,
            Opinions = opinions,
            FailsCondensation = Condensation.Fails(choice.Practice, opinions),
            Findings =
            [
                .. Exclusions
                    .Of(choice, weighed)
                    .Concat(Cautions.Of(choice, weighed))
                    .Concat(Wetter(choice, year))
                    .OrderByDescending(f => f.Verdict),
            ],
            Cost = CandidateCost.Of(choice, sized.Kind, section),
            Scores = [],
            Total = 0,
            School = Practice.SchoolOf(section.Kind, sized.Kind),
            InPractice = choice.Practice.Holds(section.Kind, sized.Kind),
        };
    }

    // A plan may dry one place and dampen another.
    private static IEnumerable<Finding> Wetter(ChoiceCase choice, MonthlyYear? year) =>
        year is not null && choice.Memo.Year(choice, "bare", choice.Section.Bare()) is { } bare && year.WetterThan(bare) is { } wetter
            ? [wetter]
            : [];

    // Scores compare what stands: an excluded system must not make another look dear or slow.
    private static IEnumerable<Candidate> Scored(ChoiceCase choice, List<Candidate> judged)
    {
        var standing = judged.FindAll(c => !c.Excluded);
        if (standing.Count == 0)
        {
            return judged;
        }

        var area = choice.Facts.Treated?.SquareMetres ?? 1;
        var priced = standing.TrueForAll(c => c.Cost.PerSquareMetre is not null);
        var cheapest = priced ? standing.Min(c => c.Cost.PerSquareMetre!.Value) : 0;
        var shallowest = Length.FromMetres(standing.Min(c => c.Section.FillThickness.Metres));
        var quickest = standing.Min(Hours);
        return judged.Select(c => c.Excluded ? c : With(c));

        double Hours(Candidate c) => c.Cost.HoursPerSquareMetre * area + c.Cost.Waits.TotalHours;

        Candidate With(Candidate c)
        {
            var weighed = new Weighed(c.Kind, c.Section, c.Year, c.Opinions, true);
            List<Score> scores = priced ? [Choosing.Scores.Cost(c.Cost.PerSquareMetre!.Value, cheapest)] : [];
            scores.AddRange([
                Choosing.Scores.Depth(c.Section, shallowest),
                .. choice.DrynessUnknown ? (Score[])[] : [Choosing.Scores.Moisture(weighed)],
                Choosing.Scores.Toughness(c.Section),
                Choosing.Scores.Quiet(c.Section),
                Choosing.Scores.Repair(c.Section),
                Choosing.Scores.Speed(Hours(c), quickest),
            ]);
            return c with { Scores = scores, Total = scores.Sum(s => s.Value * choice.Priorities.ShareOf(s.Part)) };
        }
    }
}
