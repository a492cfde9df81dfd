using Umbracell.Core.Conditions;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Window;

/// <summary>The cheapest that opens a start before a day, and why nothing cheaper does.</summary>
public sealed record CheapestStartAnswer
{
    /// <summary>The cheapest set of actions that does; null where none does, or there are no hours.</summary>
    public required ActionSetAnswer? Opened { get; init; }

    /// <summary>Sets that cost less and do not, the cheapest first.</summary>
    public required IReadOnlyList<ActionSetAnswer> Cheaper { get; init; }

    /// <summary>Whether heat was left out because no heater was entered.</summary>
    public required bool NoHeaters { get; init; }
}

/// <summary>Things done together, and the start that comes of them.</summary>
public sealed record ActionSetAnswer
{
    /// <summary>Whether a tent or tarpaulin goes over the face.</summary>
    public required bool Tent { get; init; }

    /// <summary>Product sprayed in the place of the one planned; null for that.</summary>
    public required string? Product { get; init; }

    /// <summary>Its id.</summary>
    public required string? ProductId { get; init; }

    /// <summary>What is burnt; null without heat.</summary>
    public required HeaterKind? Heater { get; init; }

    /// <summary>When the heaters go on.</summary>
    public required DateTimeOffset? On { get; init; }

    /// <summary>Whether dehumidifiers run in the room.</summary>
    public required bool Dries { get; init; }

    /// <summary>When they go on, where the set opens the start.</summary>
    public required DateTimeOffset? DryFrom { get; init; }

    /// <summary>The start it opens, or the best of those it does not; null where nobody works before the day.</summary>
    public required DateTimeOffset? Start { get; init; }

    /// <summary>Members in which nothing is held from then to the end of cure.</summary>
    public required int Holding { get; init; }

    /// <summary>What holds most of the others first; null where none is held.</summary>
    public required HourLimit? Limit { get; init; }

    /// <summary>Of heat that opens the start power, hold, heat and, for those who price, cost.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }
}

/// <summary>Tells the cheapest start.</summary>
internal static class CheapestStarts
{
    /// <summary>Where there are no hours.</summary>
    public static CheapestStartAnswer None { get; } =
        new()
        {
            Opened = null,
            Cheaper = [],
            NoHeaters = false,
        };

    public static CheapestStartAnswer Of(HoursCase of, DateTimeOffset now, DateOnly? day, bool maySeeMoney)
    {
        var found = CheapestStart.Find(of.Before(now, day), [.. of.StandIns], new(of.Heat, of.Dryer));
        return new()
        {
            Opened = found.Opened is { } opened ? Told(opened) : null,
            Cheaper = [.. found.Cheaper.Select(Told)],
            NoHeaters = of.Case.Room is not null && of.Heat is null,
        };

        ActionSetAnswer Told(SetTried tried) =>
            new()
            {
                Tent = tried.Set.Tent,
                Product = tried.Set.Product?.Name,
                ProductId = tried.Set.Product?.Id,
                Heater = tried.Set.Heats ? of.Heat?.Kind : null,
                On = tried.Heated is { } heated ? of.StartOf(heated.On) : null,
                Dries = tried.Set.Dries,
                DryFrom = tried.DriedFrom is { } dry ? of.StartOf(dry) : null,
                Start = tried.Start is { } start ? of.StartOf(start) : null,
                Holding = (int)Math.Round(tried.Chance * of.Case.Members.Count),
                Limit = tried.Limit,
                Figures = tried switch
                {
                    { Heated: { } heat } => HeatFigures.Of(heat, of.Heat!.Value.Watts, of.Job, maySeeMoney),
                    { DriedFrom: not null } => EarlierStarts.DryerFigures(of.Dryer!),
                    _ => new Dictionary<string, FigureAnswer>(),
                },
            };
    }
}
