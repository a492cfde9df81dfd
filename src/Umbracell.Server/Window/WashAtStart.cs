using Umbracell.Core.Conditions;
using Umbracell.Core.Weather;

namespace Umbracell.Server.Window;

/// <summary>When a face that must be washed has to be, to be dry for the next window.</summary>
public sealed record WashAtStartAnswer
{
    /// <summary>Start of the window; null where there is none, and for a face that takes up water, which only a meter tells.</summary>
    public required DateTimeOffset? Start { get; init; }

    /// <summary>By when it must be washed; null where it does not dry in time.</summary>
    public required DateTimeOffset? By { get; init; }

    /// <summary>First start once it has dried, where it is washed in the next hour and does not dry in time; null where there is
    /// none.</summary>
    public required DateTimeOffset? Next { get; init; }

    /// <summary>Nothing is told.</summary>
    internal static WashAtStartAnswer None { get; } =
        new()
        {
            Start = null,
            By = null,
            Next = null,
        };
}

/// <summary>Puts a washed face through the hours.</summary>
internal static class WashAtStart
{
    /// <summary>When to wash a face.</summary>
    public static WashAtStartAnswer Of(HoursCase of, DateTimeOffset now)
    {
        if (of.Row.Surface.Substrate != SubstrateKind.Metal || of.WindowsFrom(of.HourOf(now)) is not [var next, ..])
        {
            return WashAtStartAnswer.None;
        }

        var asked = of.Case with { From = Math.Min(of.HourOf(now) + 1, of.Case.Count - 1) };
        var start = Math.Max(next.From, asked.From);
        var by = WashTime.Latest(asked, start);
        return new()
        {
            Start = of.StartOf(start),
            By = by is { } hour ? of.StartOf(hour) : null,
            Next = by is null
                ? FirstStart(asked.Washed(asked.From)) is { } first
                    ? of.StartOf(first)
                    : null
                : null,
        };
    }

    // Nobody sprays in the hour in which it is washed.
    private static int? FirstStart(SprayCase washed)
    {
        var gate = washed.Hours();
        return SprayWindows.Of(SprayWindows.Chances(gate, washed.Needs), washed.Needs, washed.From + 1) is [var first, ..]
            ? first.From
            : null;
    }
}
