using Umbracell.Core.Conditions;
using Umbracell.Core.Materials;

namespace Umbracell.Core.Weather;

/// <summary>Things a crew does together for a start.</summary>
/// <param name="Tent">Whether a tent or tarpaulin goes over an open face.</param>
/// <param name="Product">Product sprayed in the place of the one planned; null for that.</param>
/// <param name="Heats">Whether the room is heated.</param>
public sealed record ActionSet(bool Tent, ProductSheet? Product, bool Heats)
{
    /// <summary>Whether dehumidifiers run in the room.</summary>
    public bool Dries { get; init; }
}

/// <summary>What a crew has to change the air of a room with.</summary>
/// <param name="Heaters">Heat there is, W, and what is burnt; null for none.</param>
/// <param name="Dryer">Dehumidifiers; null for none.</param>
public readonly record struct RoomMeans((double Watts, HeaterKind Kind)? Heaters, Dehumidifier? Dryer = null);

/// <summary>What came of a set of actions.</summary>
/// <param name="Set">The set.</param>
/// <param name="Start">The start it opens, or the best of those it does not; null where nobody works before the wanted hour.</param>
/// <param name="Chance">Chance of that start, 0 to 1.</param>
/// <param name="Limit">What holds it in most of the members that are held; null where none is.</param>
public sealed record SetTried(ActionSet Set, int? Start, double Chance, HourLimit? Limit)
{
    /// <summary>When heaters run and what they burn; null without heat.</summary>
    public HeatedStart? Heated { get; init; }

    /// <summary>Hour from which dehumidifiers run, where they open the start; null for others.</summary>
    public int? DriedFrom { get; init; }
}

/// <summary>The cheapest that opens a start before a wanted hour, and why nothing cheaper does.</summary>
/// <param name="Opened">The cheapest set that does; null where none does.</param>
/// <param name="Cheaper">Sets that cost less and do not, the cheapest first.</param>
public sealed record CheapestStart(SetTried? Opened, IReadOnlyList<SetTried> Cheaper)
{
    /// <summary>Finds it. Waiting costs nothing; a tent is the firm's own; another product costs what it costs more; dehumidifiers draw
    /// little; heat burns. Of sets with heat that which burns least is the cheapest; dehumidifiers stand by it only where heat alone opens
    /// nothing.</summary>
    /// <param name="asked">The surface; a start is wanted before its hour.</param>
    /// <param name="others">Products that stand in for the one planned.</param>
    /// <param name="means">What there is to heat and to dry the room with.</param>
    public static CheapestStart Find(SprayCase asked, IReadOnlyList<ProductSheet> others, RoomMeans means)
    {
        List<SetTried> tried = [];
        foreach (var one in Unburnt(asked, others, asked.Room is null ? null : means.Dryer))
        {
            if (IsOpened(one, asked))
            {
                return new(one, tried);
            }

            tried.Add(one);
        }

        if (means.Heaters is not { } heat || asked.Room is null)
        {
            return new(null, tried);
        }

        Dehumidifier?[] beside = means.Dryer is { } there ? [null, there] : [null];
        foreach (var dryer in beside)
        {
            List<SetTried> warm =
            [
                .. Products(others).Select(product => Heated(new(false, product, true) { Dries = dryer is not null }, asked, heat, dryer)),
            ];
            tried.AddRange(warm.Where(one => one.Heated is null));
            if (warm.Where(one => one.Heated is not null).MinBy(one => one.Heated!.Heat) is { } opened)
            {
                return new(opened, tried);
            }
        }

        return new(null, tried);
    }

    // Those without heat, each looked at when it is its turn.
    private static IEnumerable<SetTried> Unburnt(SprayCase asked, IReadOnlyList<ProductSheet> others, Dehumidifier? dryer)
    {
        foreach (var set in Unheated(asked, others))
        {
            yield return Tried(set, CaseOf(asked, set));
        }

        if (dryer is not null)
        {
            foreach (var product in Products(others))
            {
                yield return Dried(new(false, product, false) { Dries = true }, asked, dryer);
            }
        }
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

    private static SetTried Dried(ActionSet set, SprayCase plain, Dehumidifier dryer)
    {
        var asked = CaseOf(plain, set);
        return EarlierStart.ByDrying(asked, dryer) is { } dried
            ? new(set, dried.Start, dried.Chance, asked.Start(new(null, new(dryer, dried.On)), dried.Start).Limit) { DriedFrom = dried.On }
            : Best(set, asked, new(null, new(dryer, asked.From)));
    }

    // The start with the greatest chance, everything running from the first hour on.
    private static SetTried Best(ActionSet set, SprayCase asked, RoomActs acts)
    {
        (int? Start, double Chance, HourLimit? Limit) best = (null, -1, null);
        foreach (var start in asked.PreparedStarts)
        {
            var (chance, limit, _) = asked.Start(acts, start);
            best = chance > best.Chance ? (start, chance, limit) : best;
        }

        return new(set, best.Start, Math.Max(0, best.Chance), best.Limit);
    }

    private static SetTried Heated(ActionSet set, SprayCase plain, (double Watts, HeaterKind Kind) heat, Dehumidifier? dryer)
    {
        var asked = CaseOf(plain, set);
        var opened = asked
            .PreparedStarts.Select(start => EarlierStart.ByHeat(asked, heat.Watts, heat.Kind, start, dryer))
            .OfType<HeatedStart>()
            .MinBy(one => one.Heat);
        if (opened is not null)
        {
            return new(set, opened.Start, opened.Chance, null) { Heated = opened, DriedFrom = dryer is null ? null : asked.From };
        }

        var hottest = Quantities.Temperature.FromCelsius(EarlierStart.HottestHold(asked));
        return Best(
            set,
            asked,
            new(new(heat.Watts, heat.Kind, asked.From, hottest), dryer is null ? null : new DryersOn(dryer, asked.From))
        );
    }
}
