using System.Reflection;

namespace Umbracell.Core.Findings;

/// <summary>Every rule there is, found where it is declared: what a catalogue of sentences must have words for, and what a page may be
/// told.</summary>
public static class RuleBook
{
    /// <summary>All rules, in the order of their ids.</summary>
    public static IReadOnlyList<Rule> All { get; } = In(typeof(RuleBook).Assembly);

    /// <summary>The rules declared in an assembly, in the order of their ids.</summary>
    public static IReadOnlyList<Rule> In(Assembly assembly) =>
        [
            .. assembly
                .GetTypes()
                .SelectMany(type => type.GetFields(BindingFlags.Static | BindingFlags.Public | BindingFlags.NonPublic))
                .Where(field => field.FieldType == typeof(Rule))
                .Select(field => (Rule)field.GetValue(null)!)
                .OrderBy(rule => rule.Id, StringComparer.Ordinal),
        ];
}
