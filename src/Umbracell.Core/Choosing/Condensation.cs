using Umbracell.Core.Assemblies;
using Umbracell.Core.Findings;

namespace Umbracell.Core.Choosing;

/// <summary>The independent opinions on condensation: the model code's tables for roofs and walls, and the monthly year. The worst rules
/// unless the practice names one.</summary>
public static class Condensation
{
    /// <summary>All opinions that apply; none where neither a table speaks of the surface nor a year is known.</summary>
    /// <param name="choice">The question.</param>
    /// <param name="section">The case with its fill.</param>
    /// <param name="year">Its year; null where none is known.</param>
    public static IReadOnlyList<Finding> Opinions(ChoiceCase choice, SectionCase section, MonthlyYear? year)
    {
        List<Finding> opinions = [];
        if (CondensationTables.Of(section, choice.Facts.Covering, year) is { } table)
        {
            opinions.Add(table);
        }

        if (year is not null)
        {
            var worst = year.Findings.OrderByDescending(f => f.Verdict).First();
            opinions.Add(worst with { Case = CondensationRules.Year[worst.Case.ToString()] });
        }

        return opinions;
    }

    /// <summary>The verdict that rules: the worst of all, or the one the practice names where it was given.</summary>
    public static Verdict Ruling(Practice practice, IReadOnlyList<Finding> opinions) => Named(practice, opinions).Worst();

    private static IReadOnlyList<Finding> Named(Practice practice, IReadOnlyList<Finding> opinions)
    {
        var named = practice.Of(PracticeQuestion.Condensation) switch
        {
            School.CodeTables => opinions.Where(o => o.Rule != CondensationRules.Year).ToList(),
            School.MonthlyYear => opinions.Where(o => o.Rule == CondensationRules.Year).ToList(),
            _ => [],
        };
        return named.Count > 0 ? named : opinions;
    }

    /// <summary>Whether the assembly fails by the opinion that rules: a table not met, or condensate that is much or stays. Humidity
    /// alone asks for care.</summary>
    public static bool Fails(Practice practice, IReadOnlyList<Finding> opinions) =>
        Named(practice, opinions).Any(o => o.Verdict != Verdict.Clear && !CondensationRules.AskForCareAlone.Contains(o.Case));

    /// <summary>Whether the opinions differ on one assembly.</summary>
    public static bool Differ(IReadOnlyList<Finding> opinions) => opinions.Select(o => o.Verdict).Distinct().Count() > 1;
}
