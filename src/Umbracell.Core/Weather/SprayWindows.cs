namespace Umbracell.Core.Weather;

/// <summary>Hours in which a surface can be sprayed from start to the end of cure.</summary>
/// <param name="From">Hour in which spraying may begin first.</param>
/// <param name="LastStart">Last hour in which it may begin and still be done.</param>
/// <param name="Until">Hour at which the last of these would end, cure included.</param>
/// <param name="Start">Of these the hour with the greatest chance.</param>
/// <param name="Chance">That chance, 0 to 1: the share of the members in which no hour through cure is held.</param>
public readonly record struct SprayWindow(int From, int LastStart, int Until, int Start, double Chance)
{
    /// <summary>Chance of its first hour.</summary>
    public required double FirstChance { get; init; }
}

/// <summary>What a surface needs of a window.</summary>
/// <param name="Spraying">Hours of lifts and the waits between them, 1 or more.</param>
/// <param name="Cure">Hours after the last lift.</param>
/// <param name="IsWorked">Whether the crew works, and sees what it does, in an hour by its number.</param>
public sealed record WindowNeeds(int Spraying, int Cure, Func<int, bool> IsWorked)
{
    /// <summary>Hours in which nothing may be held.</summary>
    public int Hours => Spraying + Cure;
}

/// <summary>Finds windows among the hours of a surface.</summary>
public static class SprayWindows
{
    /// <summary>Chance below which nobody begins, where nothing else was chosen.</summary>
    public const double UsualLevel = 0.8;

    /// <summary>Chance of a start in each hour; 0 outside of the crew's hours.</summary>
    /// <param name="hours">The hours of the surface.</param>
    /// <param name="needs">What it needs.</param>
    public static double[] Chances(GateHours hours, WindowNeeds needs)
    {
        var chances = new double[hours.Count];
        for (var h = 0; h < hours.Count; h++)
        {
            chances[h] = IsWorkedThrough(h, needs) ? hours.ChanceOf(h, needs.Hours) : 0;
        }

        return chances;
    }

    /// <summary>Windows in their order.</summary>
    /// <param name="chances">Chance of a start in each hour; see <see cref="Chances"/>.</param>
    /// <param name="needs">What it needs.</param>
    /// <param name="from">First hour that counts.</param>
    /// <param name="level">Least chance of a start, above 0 to 1.</param>
    public static IReadOnlyList<SprayWindow> Of(double[] chances, WindowNeeds needs, int from = 0, double level = UsualLevel)
    {
        List<SprayWindow> windows = [];
        for (var h = from; h < chances.Length; h++)
        {
            if (!IsEnough(chances[h], level))
            {
                continue;
            }

            var (first, best) = (h, h);
            while (h + 1 < chances.Length && IsEnough(chances[h + 1], level))
            {
                h++;
                best = chances[h] > chances[best] ? h : best;
            }

            windows.Add(new(first, h, h + needs.Hours, best, chances[best]) { FirstChance = chances[first] });
        }

        return windows;
    }

    private static bool IsEnough(double chance, double level) => chance > 0 && chance >= level - 1e-9;

    // Cure goes on without anybody there.
    private static bool IsWorkedThrough(int from, WindowNeeds needs)
    {
        for (var h = from; h < from + needs.Spraying; h++)
        {
            if (!needs.IsWorked(h))
            {
                return false;
            }
        }

        return true;
    }
}
