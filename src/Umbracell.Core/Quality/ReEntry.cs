using Umbracell.Core.Findings;
using Umbracell.Core.Materials;
using Umbracell.Core.Spraying;

namespace Umbracell.Core.Quality;

/// <summary>A product that was sprayed.</summary>
/// <param name="Sheet">Its sheet.</param>
/// <param name="LastTrigger">When the trigger was let go last.</param>
public sealed record SprayedProduct(ProductSheet Sheet, DateTimeOffset LastTrigger);

/// <summary>From when on the ventilation ran otherwise.</summary>
/// <param name="At">From when.</param>
/// <param name="IsOn">Whether it ran.</param>
/// <param name="AirChanges">Air changes an hour; null where nobody found out.</param>
public readonly record struct VentilationChange(DateTimeOffset At, bool IsOn, double? AirChanges);

/// <summary>What was sprayed in a building, and how it was ventilated.</summary>
public sealed record ReEntryCase
{
    /// <summary>Products, each with its last trigger.</summary>
    public required IReadOnlyList<SprayedProduct> Products { get; init; }

    /// <summary>How the ventilation ran, in any order. Before the first it is not known to have run.</summary>
    public required IReadOnlyList<VentilationChange> Ventilation { get; init; }

    /// <summary>Now.</summary>
    public required DateTimeOffset Now { get; init; }

    /// <summary>What is accounted for.</summary>
    public IReadOnlyCollection<Clearance> Accounted { get; init; } = [];

    /// <summary>Whether the trigger is held somewhere.</summary>
    public bool IsSpraying { get; init; }

    /// <summary>Surfaces that were sprayed and of which nobody knows with what.</summary>
    public int Unknown { get; init; }

    /// <summary>Entries of the log whose times contradict each other.</summary>
    public int Contradictions { get; init; }
}

/// <summary>A point of the dilution curve.</summary>
/// <param name="At">When.</param>
/// <param name="Left">Share of what was in the air at the last trigger, 0 to 1.</param>
public readonly record struct DilutionPoint(DateTimeOffset At, double Left);

/// <summary>When people without protection come back.</summary>
/// <remarks>The sheet's hours hold at its air changes. An hour with fewer counts for as much less, an hour without for nothing, an hour
/// with more for no more than an hour: the time is
/// never shorter than the sheet's. Hours with ventilation of which nobody found out the air changes count for nothing until somebody does.</remarks>
public sealed record ReEntry
{
    /// <summary>When; null where that is never, as things are, and before anything was sprayed.</summary>
    public required DateTimeOffset? At { get; init; }

    /// <summary>The earliest by the sheets, had the ventilation run as they ask; null where no sheet tells.</summary>
    public required DateTimeOffset? EarliestBySheet { get; init; }

    /// <summary>The product that is waited for longest; null before anything was sprayed.</summary>
    public required SprayedProduct? Product { get; init; }

    /// <summary>How much of its hours has passed, by the air there was.</summary>
    public required TimeSpan Counted { get; init; }

    /// <summary>Its hours by the sheet; null where the sheet tells none.</summary>
    public required TimeSpan? Wanted { get; init; }

    /// <summary>How the air cleared and will: <c>exp(−n t)</c>. It is shown beside the sheet's hours, never instead of them.</summary>
    public required IReadOnlyList<DilutionPoint> Dilution { get; init; }

    /// <summary>Whether they can come back, what lengthens it.</summary>
    public required IReadOnlyList<Finding> Findings { get; init; }

    // What moves less than a hundredth of the air the sheet counts on airs nothing.
    private const double LeastPace = 0.01;

    // A week of hours; who waits longer is told the time and no curve.
    private const int MostPoints = 168;

    /// <summary>Answers.</summary>
    public static ReEntry Of(ReEntryCase of)
    {
        var changes = of.Ventilation.OrderBy(one => one.At).ToList();
        var waits = of.Products.Select(product => Wait(product, changes, of.Now)).ToList();

        // What has no end is waited for longest.
        var longest = waits.Count == 0 ? null : waits.MaxBy(wait => (wait.At ?? DateTimeOffset.MaxValue, wait.Product.LastTrigger));
        var isNever = of.IsSpraying || of.Unknown > 0 || waits.Exists(wait => wait.At is null);
        var told = new ReEntry
        {
            At = isNever ? null : longest?.At,
            EarliestBySheet = waits.Exists(wait => wait.Wanted is null) ? null : waits.Max(wait => wait.Product.LastTrigger + wait.Wanted),
            Product = longest?.Product,
            Counted = longest?.Counted ?? TimeSpan.Zero,
            Wanted = longest?.Wanted,
            Dilution = longest is null ? [] : DilutionOf(longest, changes, of.Now),
            Findings = [],
        };
        return told with { Findings = [.. ReEntryFindings.Of(of, told, changes)] };
    }

    /// <summary>How the ventilation runs at a time.</summary>
    internal static VentilationChange? RunsAt(IReadOnlyList<VentilationChange> changes, DateTimeOffset at) =>
        changes.LastOrDefault(one => one.At <= at) is { At: var from } known && from != default ? known : null;

    private sealed record WaitOf(SprayedProduct Product, TimeSpan? Wanted, TimeSpan Counted, DateTimeOffset? At);

    private static WaitOf Wait(SprayedProduct product, List<VentilationChange> changes, DateTimeOffset now)
    {
        if (product.Sheet.ReEntryTime is not { } time)
        {
            return new(product, null, TimeSpan.Zero, null);
        }

        var (left, at, counted) = (time.After, product.LastTrigger, TimeSpan.Zero);
        foreach (var to in changes.Select(one => one.At).Where(one => one > product.LastTrigger).Append(DateTimeOffset.MaxValue))
        {
            var pace = PaceOf(time, RunsAt(changes, at));
            counted += Passed(at, to, now) * pace;
            if (pace > 0 && (to == DateTimeOffset.MaxValue || (to - at) * pace >= left))
            {
                var until = at + left / pace;
                return new(product, time.After, counted < time.After ? counted : time.After, until);
            }

            left -= to == DateTimeOffset.MaxValue ? TimeSpan.Zero : (to - at) * pace;
            at = to;
        }

        return new(product, time.After, counted, null);
    }

    private static TimeSpan Passed(DateTimeOffset from, DateTimeOffset to, DateTimeOffset now)
    {
        var end = to < now ? to : now;
        return end > from ? end - from : TimeSpan.Zero;
    }

    // Outdoors nobody ventilates.
    private static double PaceOf(ReEntryTime time, VentilationChange? change) =>
        time.AirChanges is not { } asked ? 1
        : change is { IsOn: true, AirChanges: { } made } && made / asked >= LeastPace ? Math.Min(1, made / asked)
        : 0;

    private static List<DilutionPoint> DilutionOf(WaitOf longest, List<VentilationChange> changes, DateTimeOffset now)
    {
        var from = longest.Product.LastTrigger;
        var end = longest.At is { } at && at > now ? at : now;
        var hours = (int)Math.Clamp(Math.Ceiling((end - from).TotalHours) + 1, 2, MostPoints);
        var (exponent, known) = (0.0, from);
        List<DilutionPoint> points = [new(from, 1)];
        for (var hour = 1; hour <= hours; hour++)
        {
            var to = from.AddHours(hour);
            foreach (var edge in changes.Select(one => one.At).Where(one => one > known && one < to).Append(to).ToList())
            {
                var made = RunsAt(changes, known) is { IsOn: true, AirChanges: { } rate } ? rate : 0;
                exponent += made * (edge - known).TotalHours;
                known = edge;
            }

            points.Add(new(to, Math.Exp(-exponent)));
        }

        return points;
    }
}
