using Umbracell.Core.Assemblies;
using Umbracell.Core.Lifts;
using Umbracell.Core.Materials;
using Umbracell.Core.Quantities;
using Umbracell.Core.Yield;

namespace Umbracell.Core.Choosing;

/// <summary>What was reckoned already while one choice is weighed. Sizing and flip points ask for the same assembly many times, and of
/// the inputs that move each turns but a part: the air does not change how heat passes, nor the target what a set yields.</summary>
/// <remarks>Each key holds all that its value depends on and a variation of the question may move. Not for two threads at once.</remarks>
internal sealed class ChoiceMemo
{
    private readonly Dictionary<(Assembly, Air), MonthlyYear> _years = [];

    private readonly Dictionary<(Assembly, Air), Lazy<TightestFill>> _tightest = [];

    private readonly Dictionary<Assembly, HeatAndMoisture> _ways = [];

    private readonly Dictionary<(Assembly, double? Target), Length?> _needed = [];

    private readonly Dictionary<(string Sheet, Length), SetYield> _yields = [];

    private readonly Dictionary<(string Sheet, Length), LiftPlan> _lifts = [];

    // The system names its layers; how thick they are, and the members they stand between, are told beside it.
    private readonly record struct Assembly(string System, double First, double Second, double Depth)
    {
        // What the members' heat was solved to: at a flip point it is solved anew, at the same depth.
        public Curve? Psi { get; init; }

        public static Assembly Of(string system, SectionCase section)
        {
            var fill = section.Fill;
            return new(
                system,
                fill.Count > 0 ? fill[0].Thickness.Metres : 0,
                fill.Count > 1 ? fill[1].Thickness.Metres : 0,
                section.Members.Depth.Metres
            )
            {
                Psi = section.SolvedPsi,
            };
        }
    }

    private readonly record struct Air(double Humidity, double Outdoor);

    /// <summary>The year of a system; null where no monthly means are known.</summary>
    /// <param name="choice">The question.</param>
    /// <param name="system">Stable id of the system, which names its layers.</param>
    /// <param name="section">The surface with the system in it.</param>
    public MonthlyYear? Year(ChoiceCase choice, string system, SectionCase section)
    {
        if (choice.Year is not { } months)
        {
            return null;
        }

        var air = new Air(section.Air.IndoorHumidity.Percent, section.Air.Outdoor.Celsius);
        var assembly = Assembly.Of(system, section);

        // The yardstick is the same however thick the system is.
        var yardstick = (assembly with { First = 0, Second = 0 }, air);
        return Once(
            _years,
            (assembly, air),
            () =>
                MonthlyYear.Of(section, Ways(assembly, section), months, Once(_tightest, yardstick, () => new(() => new(section, months))))
        );
    }

    /// <summary>Heat through a system.</summary>
    /// <param name="system">Stable id of the system, which names its layers.</param>
    /// <param name="section">The surface with the system in it.</param>
    public SectionHeat Heat(string system, SectionCase section) => Ways(Assembly.Of(system, section), section).Heat;

    /// <summary>The thinnest foam that meets the target; null where none does.</summary>
    /// <param name="choice">The question.</param>
    /// <param name="system">Stable id of the system, which names its layers.</param>
    /// <param name="section">The surface with the system in it, at any thickness.</param>
    public Length? ThinnestForTarget(ChoiceCase choice, string system, SectionCase section) =>
        Once(
            _needed,
            (Assembly.Of(system, section) with { First = 0 }, section.Target?.GreatestU.WattsPerSquareMetreKelvin),
            () => SectionSearch.Thinnest(section, at => Targets.Meets(choice, at))
        );

    /// <summary>How a foam is laid up.</summary>
    public LiftPlan Lifts(ProductSheet sheet, Length thickness) =>
        Once(_lifts, (sheet.Id, thickness), () => LiftPlan.For(sheet, thickness));

    /// <summary>What a set of a foam yields.</summary>
    /// <param name="sheet">The foam.</param>
    /// <param name="lift">Its first lift.</param>
    /// <param name="conditions">All else it depends on, the same in every variation of a question.</param>
    public SetYield Yield(ProductSheet sheet, Length lift, Func<YieldConditions> conditions) =>
        Once(_yields, (sheet.Id, lift), () => SetYield.For(sheet, conditions()));

    private HeatAndMoisture Ways(Assembly assembly, SectionCase section) => Once(_ways, assembly, () => HeatAndMoisture.Of(section));

    private static T Once<TKey, T>(Dictionary<TKey, T> known, TKey key, Func<T> reckon)
        where TKey : notnull
    {
        if (!known.TryGetValue(key, out var value))
        {
            known[key] = value = reckon();
        }

        return value;
    }
}
