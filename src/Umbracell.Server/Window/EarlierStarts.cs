using Umbracell.Core.Conditions;
using Umbracell.Core.Quantities;
using Umbracell.Core.Weather;
using Umbracell.Questions.Answers;

namespace Umbracell.Server.Window;

/// <summary>What a crew can do about the weather.</summary>
public enum EarlierKind
{
    /// <summary>Heat the room.</summary>
    Heat,

    /// <summary>Put a tent or tarpaulin over an open face.</summary>
    Tent,

    /// <summary>Spray another product of the same cells.</summary>
    Product,

    /// <summary>Dry the room.</summary>
    Dry,
}

/// <summary>What the crew can do to begin earlier than the weather alone lets it.</summary>
public sealed record EarlierStartsAnswer
{
    /// <summary>What opens an earlier start, the earliest first; empty where nothing does.</summary>
    public required IReadOnlyList<EarlierStartAnswer> Starts { get; init; }

    /// <summary>What was looked at and opens nothing earlier.</summary>
    public required IReadOnlyList<EarlierKind> Tried { get; init; }

    /// <summary>Whether heat was left out because no heater was entered.</summary>
    public required bool NoHeaters { get; init; }

    /// <summary>Where there are no hours.</summary>
    internal static EarlierStartsAnswer None =>
        new()
        {
            Starts = [],
            Tried = [],
            NoHeaters = false,
        };
}

/// <summary>Something the crew can do, and the start it opens.</summary>
public sealed record EarlierStartAnswer
{
    /// <summary>What is done.</summary>
    public required EarlierKind Kind { get; init; }

    /// <summary>When spraying may begin.</summary>
    public required DateTimeOffset Start { get; init; }

    /// <summary>Members in which nothing is held from then to the end of cure.</summary>
    public required int Holding { get; init; }

    /// <summary>When heaters or dehumidifiers go on; null for others.</summary>
    public DateTimeOffset? On { get; init; }

    /// <summary>What burns, of heat.</summary>
    public HeaterKind? Heater { get; init; }

    /// <summary>The other product.</summary>
    public string? Product { get; init; }

    /// <summary>Its id.</summary>
    public string? ProductId { get; init; }

    /// <summary>Of heat power, hold, heat and, for those who price, its cost; of drying takesOut, as the plate says.</summary>
    public required IReadOnlyDictionary<string, FigureAnswer> Figures { get; init; }
}

/// <summary>Puts what the firm has to warm and shelter with through the hours of a surface.</summary>
internal sealed class EarlierStarts(SprayCase asked, HoursCase of, bool maySeeMoney)
{
    private readonly GateHours _hours = of.Gate;
    private readonly List<EarlierStartAnswer> _found = [];
    private readonly List<EarlierKind> _tried = [];

    /// <summary>What opens an earlier start.</summary>
    public EarlierStartsAnswer Find()
    {
        if (of.Heat is { } heat)
        {
            Take(EarlierKind.Heat, EarlierStart.ByHeat(asked, heat.Watts, heat.Kind) is { } start ? Heated(start, heat) : null);
        }

        if (of.Dryer is { } dryer)
        {
            Take(EarlierKind.Dry, EarlierStart.ByDrying(asked, dryer) is { } start ? Dried(start, dryer) : null);
        }

        if (asked.Limits.IsOpen)
        {
            Take(EarlierKind.Tent, EarlierStart.UnderTent(asked) is { } window ? Told(EarlierKind.Tent, window) : null);
        }

        foreach (var other in of.StandIns)
        {
            var window = EarlierStart.ByProduct(asked, other);
            Take(
                EarlierKind.Product,
                window is { } one ? Told(EarlierKind.Product, one) with { Product = other.Name, ProductId = other.Id } : null
            );
        }

        return new()
        {
            Starts = [.. _found.OrderBy(one => one.Start).ThenBy(one => one.Kind)],
            Tried = [.. _tried.Distinct()],
            NoHeaters = asked.Room is not null && of.Heat is null,
        };
    }

    private void Take(EarlierKind kind, EarlierStartAnswer? start)
    {
        if (start is null)
        {
            _tried.Add(kind);
        }
        else
        {
            _found.Add(start);
        }
    }

    private EarlierStartAnswer Told(EarlierKind kind, SprayWindow window) =>
        new()
        {
            Kind = kind,
            Start = _hours.StartOf(window.From),
            Holding = HoldingOf(window.FirstChance),
            Figures = new Dictionary<string, FigureAnswer>(),
        };

    private EarlierStartAnswer Heated(HeatedStart start, (double Watts, HeaterKind Kind) heat) =>
        new()
        {
            Kind = EarlierKind.Heat,
            Start = _hours.StartOf(start.Start),
            Holding = HoldingOf(start.Chance),
            On = _hours.StartOf(start.On),
            Heater = heat.Kind,
            Figures = HeatFigures.Of(start, heat.Watts, of.Job, maySeeMoney),
        };

    private EarlierStartAnswer Dried(DriedStart start, Dehumidifier dryer) =>
        new()
        {
            Kind = EarlierKind.Dry,
            Start = _hours.StartOf(start.Start),
            Holding = HoldingOf(start.Chance),
            On = _hours.StartOf(start.On),
            Figures = DryerFigures(dryer),
        };

    /// <summary>takesOut, as the plate says.</summary>
    internal static IReadOnlyDictionary<string, FigureAnswer> DryerFigures(Dehumidifier dryer) =>
        FigureAnswer.All(new Dictionary<string, Figure> { ["takesOut"] = new(dryer.RatedKilogramsPerHour, Dimension.WaterPace) });

    private int HoldingOf(double chance) => (int)Math.Round(chance * _hours.Members.Count);
}
