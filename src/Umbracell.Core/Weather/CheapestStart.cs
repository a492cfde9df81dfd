using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;

namespace Umbracell.Core.Weather;

/// <summary>Things a crew does together for a start.</summary>
/// <param name="Tent">Whether a tent or tarpaulin goes over an open face.</param>
/// <param name="Product">Product sprayed in the place of the one planned; null for that.</param>
/// <param name="Heats">Whether the room is heated.</param>
public sealed record ActionSet(bool Tent, ProductSheet? Product, bool Heats);

/// <summary>What came of a set of actions.</summary>
/// <param name="Set">The set.</param>
/// <param name="Start">The start it opens, or the best of those it does not; null where nobody works before the wanted hour.</param>
/// <param name="Chance">Chance of that start, 0 to 1.</param>
/// <param name="Limit">What holds it in most of the members that are held; null where none is.</param>
public sealed record SetTried(ActionSet Set, int? Start, double Chance, HourLimit? Limit)
{
    /// <summary>When heaters run and what they burn; null without heat.</summary>
    public HeatedStart? Heated { get; init; }
}

/// <summary>The cheapest that opens a start before a wanted hour, and why nothing cheaper does.</summary>
/// <param name="Opened">The cheapest set that does; null where none does.</param>
/// <param name="Cheaper">Sets that cost less and do not, the cheapest first.</param>
public sealed record CheapestStart(SetTried? Opened, IReadOnlyList<SetTried> Cheaper)
{
    /// <summary>Finds it. Waiting costs nothing; a tent is the firm's own; another product costs what it costs more; heat burns. Of sets
    /// with heat that which burns least is the cheapest.</summary>
    /// <param name="asked">The surface; a start is wanted before its hour.</param>
    /// <param name="others">Products that stand in for the one planned.</param>
    /// <param name="heaters">Heat there is, W, and what is burnt; null for none.</param>
    public static CheapestStart Find(SprayCase asked, IReadOnlyList<ProductSheet> others, (double Watts, HeaterKind Kind)? heaters)
    {
        List<SetTried> tried = [];
        foreach (var set in Unheated(asked, others))
        {
            var one = Tried(set, CaseOf(asked, set));
            if (IsOpened(one, asked))
            {
                return new(one, tried);
            }

            tried.Add(one);
        }

        if (heaters is not { } heat || asked.Room is null)
        {
            return new(null, tried);
        }

        List<SetTried> warm = [.. Products(others).Select(product => Heated(new(false, product, true), asked, heat))];
        var opened = warm.Where(one => one.Heated is not null).MinBy(one => one.Heated!.Heat);
        return new(opened, [.. tried, .. warm.Where(one => one.Heated is null)]);
    }

    private static IEnumerable<ProductSheet?> Products(IReadOnlyList<ProductSheet> others) => others.Prepend<ProductSheet?>(null);

    private static IEnumerable<ActionSet> Unheated(SprayCase asked, IReadOnlyList<ProductSheet> others)
    {
        bool[] tents = asked.UnderTent() is null ? [false] : [false, true];
        return Products(others)
            .SelectMany(product => tents.Select(tent => new ActionSet(tent, product, false)))
            .OrderBy(set => set.Product is not null);
    }

    private static SprayCase CaseOf(SprayCase asked, ActionSet set)
    {
        var sprayed = set.Product is { } product ? asked.With(product) : asked;
        return set.Tent ? sprayed.UnderTent()! : sprayed;
    }

    private static bool IsOpened(SetTried one, SprayCase asked) => one.Start is not null && one.Chance >= asked.Level - 1e-9;

    // The first hour with the chance wanted, else the hour with the greatest.
    private static SetTried Tried(ActionSet set, SprayCase asked)
    {
        var gate = asked.Hours();
        var starts = asked.Starts.Select(start => (Start: start, Chance: gate.ChanceOf(start, asked.Needs.Hours))).ToList();
        if (starts.Count == 0)
        {
            return new(set, null, 0, null);
        }

        var opened = starts.FindIndex(one => one.Chance >= asked.Level - 1e-9);
        var (best, chance) = opened >= 0 ? starts[opened] : starts.MaxBy(one => one.Chance);
        return new(set, best, chance, gate.LimitOf(best, asked.Needs.Hours));
    }

    private static SetTried Heated(ActionSet set, SprayCase plain, (double Watts, HeaterKind Kind) heat)
    {
        var asked = CaseOf(plain, set);
        HeatedStart? least = null;
        (int? Start, double Chance, HourLimit? Limit) best = (null, -1, null);
        var hottest = Quantities.Temperature.FromCelsius(EarlierStart.HottestHold(asked));
        foreach (var start in asked.HeatedStarts)
        {
            if (EarlierStart.ByHeat(asked, heat.Watts, heat.Kind, start) is { } one)
            {
                least = least is null || one.Heat < least.Heat ? one : least;
            }
            else if (least is null)
            {
                var (chance, limit, _) = asked.Start(new(heat.Watts, heat.Kind, asked.From, hottest), start);
                best = chance > best.Chance ? (start, chance, limit) : best;
            }
        }

        return least is null
            ? new(set, best.Start, Math.Max(0, best.Chance), best.Limit)
            : new(set, least.Start, least.Chance, null) { Heated = least };
    }
}
